<script setup lang="ts">
import { ref } from 'vue'
import { SECONDS, type Asked, type Gain } from '~~/core/advice'
import { counted } from '~~/core/quantity'
import type { Plan } from '~~/core/plan'
import { withDish, withoutDish, type Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { plain } from '~/composables/plain'
import { useTrying } from '~/composables/useTrying'
import { usePlanning } from '~/stores/planning'

/** What would have everybody finished sooner, each by a plan of its own, most first. */
const props = defineProps<{ asked: Asked; plan: Plan }>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const planning = usePlanning()
const ALL = 8
const most = ref(ALL)
const { tried, found, ask, stop } = useTrying<Gain[]>(
  () => JSON.stringify([props.asked.session, planning.running]),
  (planner, onTry) => planner.help(plain(props.asked), plain(props.plan), onTry),
)
function take({ change: { takes } }: Gain) {
  if (takes?.kind === 'without') emit('change', (s) => withoutDish(s, takes.dish))
  if (takes?.kind === 'done')
    emit('change', (s) => {
      const done = s.dishes.find((d) => d.recipe === takes.dish)?.done ?? []
      return withDish(s, takes.dish, { done: [...done, takes.step] })
    })
}
</script>

<template>
  <div data-test="help">
    <h3>What would help?</h3>
    <p v-if="!found" class="quiet">
      One more oven or pan, one more hand, something done before, a dish less: each is planned, and
      what gains most comes first.
    </p>
    <v-btn v-if="!tried && !found" size="small" variant="outlined" @click="ask()"> Find out </v-btn>
    <p v-if="tried" role="status">
      Planned so far: {{ tried[0] }} of {{ tried[1] }}
      <v-btn size="small" variant="text" @click="stop">Stop, show what there is</v-btn>
    </p>
    <template v-if="found">
      <ul class="bare lined">
        <li v-for="g in found.slice(0, most)" :key="g.change.id" data-test="gain">
          <span
            ><strong class="figure">{{ spanText(g.gained) }}</strong> sooner, at
            <span class="figure">{{ clockTime(asked.session.start, g.makespan) }}</span>:
            {{ g.change.words }}.</span
          >
          <v-btn v-if="g.change.takes" size="small" variant="tonal" @click="take(g)">
            {{ g.change.takes.kind === 'without' ? 'Leave it out' : 'It will be done' }}
          </v-btn>
        </li>
      </ul>
      <p v-if="!found.length && !tried" class="quiet">
        Nothing that was tried gains as much as half a minute.
      </p>
      <v-btn v-if="found.length > most" size="small" variant="text" @click="most = found.length">
        All {{ found.length }}
      </v-btn>
      <p class="quiet">
        Each figure is a plan found in {{ counted(SECONDS.help, 'second') }}: with more time there
        may be more to gain.
      </p>
    </template>
  </div>
</template>

<style scoped>
h3 {
  margin: 8px 0 2px;
  font-size: 1rem;
}
</style>
