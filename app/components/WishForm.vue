<script setup lang="ts">
import { computed } from 'vue'
import {
  wishText,
  withoutWish,
  withWish,
  type Asked,
  type Cost,
  type Granted,
} from '~~/core/advice'
import { counted } from '~~/core/quantity'
import type { Plan } from '~~/core/plan'
import type { CompiledSession, Session, Wish } from '~~/core/session'
import { spanText } from '~/composables/useClock'
import { plain } from '~/composables/plain'
import { useTrying } from '~/composables/useTrying'
import { speakingOf, useWish } from '~/composables/useWish'

/**
 * What the cook wants otherwise, of one step or of the session: put together from short lists, answered with
 * what it would cost, and taken or left.
 */
const props = defineProps<{
  asked: Asked
  compiled: CompiledSession
  plan: Plan
  /** The step that it is about; without one it is about people, places and dishes. */
  step?: string
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

const { kind, choice, from, until, minutes, kinds, choices, wish, wrong, hasHours, isSpan, clock } =
  useWish(props)
const speaking = computed(() => speakingOf(props.compiled, props.asked.kitchen))
const { tried, found, ask, stop } = useTrying<Granted>(
  () => JSON.stringify([wish.value, props.asked.session]),
  (planner) => planner.costOf(plain(props.asked), plain(props.plan), plain(wish.value!)),
)
function costWords({ later, switches, moved }: Cost): string {
  const finish = clock(props.plan.makespan + later)
  const time =
    Math.abs(later) < 30
      ? `Finished at ${finish} as now`
      : later > 0
        ? `Finished at ${finish}, ${spanText(later)} later`
        : `Finished at ${finish}: a plan that is ${spanText(-later)} shorter turned up meanwhile`
  const changes = switches
    ? `, ${counted(Math.abs(switches), 'change')} of dish ${switches > 0 ? 'more' : 'fewer'}`
    : ''
  return `${time}${changes}; ${counted(moved, 'step')} otherwise than now.`
}
function take() {
  const taken = plain(wish.value!)
  emit('change', (s) => withWish(s, taken))
  kind.value = undefined
}
const back = (it: Wish) => {
  const taken = plain(wish.value!)
  emit('change', (s) => withWish(withoutWish(s, plain(it)), taken))
}
</script>

<template>
  <div class="form" :data-test="step === undefined ? 'wish-form' : 'step-wish-form'">
    <div class="fields">
      <PickField
        :value="kind"
        :items="kinds"
        :label="step === undefined ? 'Something else you want' : 'It'"
        :aria-label="step === undefined ? 'What you want' : 'What you want of this step'"
        @pick="kind = $event"
      />
      <PickField
        v-if="choices"
        :key="kind"
        :value="choice"
        :items="choices"
        label="which"
        aria-label="Which"
        @pick="choice = $event"
      />
      <HourField
        v-if="hasHours"
        :value="from"
        :label="isSpan ? 'from' : 'at'"
        :name="isSpan ? 'Wished from' : 'Wished hour'"
        empty
        @set="from = $event"
      />
      <HourField
        v-if="isSpan"
        :value="until"
        label="until"
        name="Wished until"
        empty
        @set="until = $event"
      />
      <TypedField
        v-if="kind === 'takes'"
        :value="minutes"
        label="minutes"
        inputmode="decimal"
        aria-label="Minutes that it takes"
        @commit="minutes = $event"
      />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div v-if="wish && !found" class="acts">
      <v-btn size="small" variant="outlined" :disabled="tried !== undefined" @click="ask()">
        What would it cost?
      </v-btn>
      <v-btn v-if="tried" size="small" variant="text" @click="stop">Stop</v-btn>
      <span v-if="tried" class="quiet" role="status">Looking …</span>
    </div>
    <div v-if="wish && found" class="answer" role="status" data-test="wish-cost">
      <template v-if="found.possible">
        <p>{{ costWords(found.cost) }}</p>
        <v-btn size="small" color="primary" @click="take">Do it so</v-btn>
        <v-btn size="small" variant="text" @click="kind = undefined">Leave it</v-btn>
      </template>
      <template v-else>
        <p class="wrong">
          {{
            found.proven
              ? 'No plan can keep that beside everything else.'
              : 'No plan turned up that keeps that beside everything else.'
          }}
        </p>
        <ul class="bare lined">
          <li v-for="c in found.instead" :key="JSON.stringify(c.wish)">
            <span
              >It can be done where this is taken back: {{ wishText(c.wish, speaking) }}. Finished
              at <strong class="figure">{{ clock(c.makespan) }}</strong> then.</span
            >
            <v-btn size="small" variant="tonal" @click="back(c.wish)">Take that back</v-btn>
          </li>
        </ul>
      </template>
    </div>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 8px;
}
.acts {
  display: flex;
  gap: 8px;
  align-items: center;
}
.acts,
.wrong,
.answer {
  margin-top: 8px;
}
.answer .v-btn {
  margin: 6px 6px 0 0;
}
</style>
