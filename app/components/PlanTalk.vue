<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { slackOf, stepWords, type Asked } from '~~/core/advice'
import { placeWords } from '~~/core/guide'
import type { Plan } from '~~/core/plan'
import { sessionOf, type CompiledSession, type Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { usePlanning } from '~/stores/planning'

/** The plan talked over: one step or the whole of it, what the cook wants otherwise, and what would help. */
const props = defineProps<{
  asked: Asked
  compiled: CompiledSession
  plan: Plan | undefined
  /** The step that was touched, in the weave or in the list. */
  step: string | undefined
  locked: boolean
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session]; close: [] }>()
const planning = usePlanning()
const clock = (seconds: number) => clockTime(props.asked.session.start, seconds)
const run = computed(() => props.plan?.activities.find((r) => r.id === props.step))
const slack = computed(() =>
  props.plan ? slackOf(props.compiled.problem, props.plan) : new Map<string, number>(),
)
const facts = computed(() => {
  const it = run.value
  if (!it) return undefined
  const { people } = props.asked.kitchen
  const who = [...new Set(it.phases.flatMap((p) => p.cook ?? []))]
  const names = who.map((id) => people.find((p) => p.id === id)?.name ?? id)
  const places = it.stations.map((id) => placeWords(id, props.asked.kitchen))
  const room = slack.value.get(it.id) ?? 0
  return {
    words: [
      `${clock(it.start)} to ${clock(it.end)}`,
      ...(names.length ? [names.join(', then ')] : []),
      ...(places.length ? [places.join(', ')] : []),
    ].join(' · '),
    room:
      room >= 60
        ? `May begin up to ${spanText(room)} later, in this order, with everything finished as planned.`
        : 'No later, in this order: everything would be finished later.',
  }
})
</script>

<template>
  <section class="talk no-print" aria-labelledby="talk-title">
    <div class="head">
      <h2 id="talk-title">Talk it over</h2>
      <EditButtons v-if="!locked" :session="sessionOf(asked.session.id)" />
    </div>
    <v-card v-if="run && facts && plan" class="step" data-test="step-talk">
      <div class="head">
        <h3>{{ stepWords(run.id, { compiled }) }}</h3>
        <IconButton :icon="mdiClose" label="Close this step" @click="emit('close')" />
      </div>
      <p class="figure">{{ facts.words }}</p>
      <p class="quiet">{{ facts.room }}</p>
      <WishForm
        v-if="!locked"
        :key="run.id"
        :asked="asked"
        :compiled="compiled"
        :plan="plan"
        :step="run.id"
        @change="emit('change', $event)"
      />
    </v-card>
    <p v-else-if="plan" class="quiet">
      Touch a step in the weave, or "Change" beside it in the list, to have it otherwise.
    </p>
    <WishList
      :asked="asked"
      :compiled="compiled"
      :stuck="plan === undefined && !planning.running"
      @change="emit('change', $event)"
    />
    <div v-if="plan && !locked" class="two">
      <WishForm :asked="asked" :compiled="compiled" :plan="plan" @change="emit('change', $event)" />
      <HelpCard :asked="asked" :plan="plan" @change="emit('change', $event)" />
    </div>
    <ComparePlans
      v-if="plan && !locked"
      :asked="asked"
      :compiled="compiled"
      :plan="plan"
      @change="emit('change', $event)"
    />
  </section>
</template>

<style scoped>
.talk {
  margin-top: 28px;
}
h2 {
  font-size: 1.5rem;
}
.step {
  margin: 8px 0;
  padding: 12px 16px;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: start;
}
h3 {
  font-size: 1.1rem;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: 12px 32px;
  margin-top: 8px;
}
</style>
