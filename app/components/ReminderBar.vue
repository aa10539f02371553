<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { addHours, format } from 'date-fns'
import { computed, ref } from 'vue'
import { counted } from '~~/core/quantity'
import { clockText, dayText, said } from '~/composables/useMeasures'
import { moment, useHouse } from '~/composables/useHouse'
import { usePreparation } from '~/composables/usePreparation'

/** What is to be seen to now or in the next hours, on every page, until it is ticked. */
const { whole, onTheStove, sittings, preparation, isDone, setDone } = usePreparation()
/** Hours ahead of which it is called, and after which it is no longer worth calling. */
const [AHEAD, LATE] = [3, 12]
/** Hours before a sitting within which anything of it can be due: a big bird takes days to thaw. */
const NEAR = 120
const now = ref(new Date())
useIntervalFn(() => (now.value = new Date()), 60_000)
const iso = (at: Date) => format(at, "yyyy-MM-dd'T'HH:mm")
/** Nothing of a session is due long before it, or when it is over: then nothing is worked out either. */
const near = computed(() => {
  const [from, to] = [addHours(now.value, -LATE), addHours(now.value, NEAR)].map((d) =>
    format(d, 'yyyy-MM-dd'),
  )
  const session = whole.value
  const days = [session, ...(session?.sittings ?? [])].map((s) => s?.start.slice(0, 10) ?? '')
  return [...days, ...(session?.evenings ?? []).map((e) => e.day)].some(
    (day) => day >= from! && day <= to!,
  )
})
/** What a sitting wanted that has begun is no longer called. */
const hasBegun = (sitting: string) =>
  (sittings.value.find((s) => s.id === sitting)?.start ?? '9') <= iso(now.value)
const due = computed(() => {
  // At the stove there is nothing but the stove.
  if (!near.value || onTheStove.value.length) return undefined
  const [from, to] = [iso(addHours(now.value, -LATE)), iso(addHours(now.value, AHEAD))]
  return (preparation.value?.ready ?? []).find(
    (r) => r.at >= from && r.at <= to && !hasBegun(r.for) && !isDone(`ready:${r.id}`),
  )
})
/** Hour from which it is called what comes out of the freezer this evening. */
const EVENING = 17
const { today, arrangement, lying, does } = useHouse()
const thaw = computed(() => {
  if (onTheStove.value.length || now.value.getHours() < EVENING) return undefined
  const due = (arrangement.value?.thaw ?? []).filter((t) => t.day === today.value)
  return due
    .map((t) => lying.value.find((l) => l.pack.id === t.pack))
    .find((l) => l?.place === 'freezer')
})
const takenOut = () =>
  does(
    {
      kind: 'happened',
      pack: thaw.value!.pack.id,
      move: { kind: 'moved', place: 'fridge', at: moment() },
    },
    `${thaw.value!.pack.name}: in the fridge.`,
  )
const when = computed(() => {
  if (!due.value) return ''
  const today = due.value.at.startsWith(format(now.value, 'yyyy-MM-dd'))
  return `${today ? '' : `${dayText(due.value.at.slice(0, 10), 'EEE')} `}${clockText(due.value.at.slice(11))}`
})
</script>

<template>
  <div v-if="due" class="due no-print" role="status" data-test="reminder">
    <span
      ><strong class="figure">{{ when }}</strong> {{ said(due.words) }}</span
    >
    <span class="keys">
      <v-btn size="small" variant="text" to="/set-out">All of it</v-btn>
      <v-btn size="small" variant="tonal" @click="setDone(`ready:${due.id}`, true)">Seen to</v-btn>
    </span>
  </div>
  <div v-if="thaw" class="due no-print" role="status" data-test="thaw-reminder">
    <span
      ><strong>{{ thaw.pack.name }}</strong
      >, {{ counted(thaw.left, 'portion') }}: out of the freezer into the fridge this evening, for
      tomorrow</span
    >
    <span class="keys">
      <v-btn size="small" variant="text" to="/eat">The evenings</v-btn>
      <v-btn size="small" variant="tonal" @click="takenOut">It is in the fridge</v-btn>
    </span>
  </div>
</template>

<style scoped>
.due {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  justify-content: space-between;
  padding: 6px 20px;
  border-bottom: 1px solid var(--hair);
  background: rgb(var(--v-theme-surface));
}
.keys {
  display: flex;
  gap: 6px;
}
</style>
