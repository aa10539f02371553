<script setup lang="ts">
import { differenceInMinutes, format, parseISO } from 'date-fns'
import { computed } from 'vue'
import type { LoomRow } from '~~/core/board'
import type { Kitchen } from '~~/core/kitchen'
import { counted } from '~~/core/quantity'
import type { Session } from '~~/core/session'
import { spanText } from '~/composables/useClock'
import { clockText } from '~/composables/useMeasures'

/** One sitting: when, who, and how long it takes. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  row: LoomRow
  /** Seconds of its plan, where it has one that is up to date. */
  planned: number | undefined
  /** Minutes that it takes at least, as far as hands and the longest dish tell. */
  least: number | undefined
}>()
const emit = defineEmits<{ edit: []; open: [] }>()
const own = computed(
  () => props.session.sittings?.find((s) => s.id === props.row.id) ?? props.session,
)
const who = computed(() =>
  own.value.cooks.map((id) => props.kitchen.people.find((p) => p.id === id)?.name ?? id).join(', '),
)
const until = computed(() => {
  const { limit, start } = own.value
  if (limit === undefined) return ''
  const end = new Date(parseISO(start).getTime() + limit * 60_000)
  const days = Math.floor(differenceInMinutes(end, parseISO(start.slice(0, 10))) / 1440)
  return ` to ${clockText(format(end, 'HH:mm'))}${days ? ' the next day' : ''}`
})
const dishes = computed(() => props.row.cells.filter((c) => c.steps.length).length)
const over = computed(
  () =>
    own.value.limit !== undefined &&
    (props.planned === undefined ? (props.least ?? 0) * 60 : props.planned) > own.value.limit * 60,
)
</script>

<template>
  <div class="sitting">
    <p>
      <span class="figure">{{ clockText(own.start.slice(11)) }}{{ until }}</span>
      · {{ who || 'nobody yet' }}
      <template v-if="dishes"> · {{ counted(dishes, 'dish', 'dishes') }}</template>
      <span v-else class="quiet"> · nothing to do then</span>
      <span v-if="planned !== undefined" data-test="planned" :class="{ wrong: over }">
        · {{ spanText(planned) }} by the plan</span
      >
      <span v-else-if="least && dishes" class="quiet" :class="{ wrong: over }">
        · at least {{ spanText(least * 60) }}</span
      >
    </p>
    <div class="keys">
      <v-btn size="small" variant="text" @click="emit('edit')">Change</v-btn>
      <v-btn v-if="dishes" size="small" variant="tonal" @click="emit('open')">Plan</v-btn>
    </div>
  </div>
</template>

<style scoped>
.sitting {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  justify-content: space-between;
}
.keys {
  display: flex;
  gap: 6px;
}
</style>
