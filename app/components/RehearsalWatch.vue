<script setup lang="ts">
import { useRafFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { mdiPause, mdiPlay } from '@mdi/js'
import { handworkOf } from '~~/core/board'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { plain } from '~/composables/plain'
import { workTogether, type Team } from '~/workers/planners'

/** One run of the plan, played as it happens: to learn the dance before it counts. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  plan: Plan
}>()

const SPEEDS = [1, 5, 20, 60, 120]
const speed = ref(60)
const playing = ref(false)
const at = ref(0)
const seed = ref(1)
const run = shallowRef<Plan>()
let team: Team<Plan> | undefined
onScopeDispose(() => team?.end())

watch(
  [() => props.plan, seed],
  async () => {
    playing.value = false
    run.value = undefined
    at.value = 0
    const copy = plain({ problem: props.compiled.problem, plan: props.plan })
    const [mine, number] = [
      workTogether(1, (p) => p.play(copy.problem, copy.plan, seed.value)),
      seed.value,
    ]
    team = mine
    const found = await mine.result
    if (team !== mine || number !== seed.value) return
    run.value = found?.[0]
    playing.value = run.value !== undefined
  },
  { immediate: true },
)
const end = computed(() => Math.max(0, ...(run.value?.activities ?? []).map((a) => a.end)))
useRafFn(({ delta }) => {
  if (!playing.value) return
  at.value = Math.min(end.value, at.value + (delta / 1000) * speed.value)
  if (at.value >= end.value) playing.value = false
})

const clock = (seconds: number) => clockTime(props.session.start, seconds)
const work = computed(() => (run.value ? handworkOf(run.value, props.compiled) : []))
/** What each cook has in hand at this moment. */
const inHand = computed(() =>
  props.compiled.problem.cooks.map((cook) => {
    const now = work.value.find((w) => w.cook === cook.id && w.from <= at.value && w.to > at.value)
    const next = work.value.find((w) => w.cook === cook.id && w.from > at.value)
    const name = props.kitchen.people.find((p) => p.id === cook.id)?.name ?? cook.id
    return {
      id: cook.id,
      name,
      text: now?.text ?? (next ? `free until ${clock(next.from)}` : 'done'),
    }
  }),
)
const behind = computed(() => (run.value?.makespan ?? 0) - props.plan.makespan)
</script>

<template>
  <div class="watch" data-test="watch">
    <p class="banner" role="note">
      <strong>A rehearsal.</strong> Nothing here is being cooked, and nothing is recorded.
      <template v-if="run">
        This run ends at {{ clock(run.makespan) }}, {{ spanText(Math.abs(behind)) }}
        {{ behind < 0 ? 'earlier' : 'later' }} than planned.
      </template>
    </p>
    <div v-if="run" class="controls no-print">
      <v-btn
        :icon="playing ? mdiPause : mdiPlay"
        size="small"
        variant="outlined"
        :aria-label="playing ? 'Pause' : 'Go on'"
        @click="playing = !playing"
      />
      <time class="figure now" data-test="watch-now">{{ clock(at) }}</time>
      <v-slider
        :model-value="at"
        :max="end"
        min="0"
        step="10"
        hide-details
        color="primary"
        aria-label="How far it has come"
        @update:model-value="at = $event"
      />
      <v-btn-toggle v-model="speed" mandatory density="compact" variant="text" aria-label="Speed">
        <v-btn v-for="s in SPEEDS" :key="s" :value="s" :aria-label="`${s} times as fast`"
          >{{ s }}×</v-btn
        >
      </v-btn-toggle>
      <v-btn size="small" variant="text" @click="seed++">Another run</v-btn>
    </div>
    <dl v-if="run" class="hands">
      <div v-for="h in inHand" :key="h.id">
        <dt>{{ h.name }}</dt>
        <dd>{{ h.text }}</dd>
      </div>
    </dl>
    <TheWeave
      v-if="run"
      :session="session"
      :kitchen="kitchen"
      :compiled="compiled"
      :plan="run"
      :followed="undefined"
      :now="at"
    />
  </div>
</template>

<style scoped>
.watch {
  margin: 8px 0 20px;
  padding: 0 0 12px;
  border-bottom: 1px solid var(--hair);
}
.banner {
  padding: 8px 14px;
  border-left: 6px solid rgb(var(--v-theme-warning));
  background: rgb(var(--v-theme-surface));
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 10px 0;
}
.controls .v-slider {
  flex: 1 1 220px;
}
.now {
  min-width: 3.2em;
  font-size: 1.5rem;
}
.hands {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
  gap: 4px 24px;
  margin-bottom: 8px;
}
dt {
  font-size: 0.85rem;
  color: var(--quiet);
}
dd {
  min-height: 1.5em;
}
</style>
