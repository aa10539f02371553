<script setup lang="ts">
import { format, parseISO, subDays } from 'date-fns'
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import { longWaits, withSitting, type Assignment, type Session } from '~~/core/session'
import { spanText } from '~/composables/useClock'
import { clockText, dayText } from '~/composables/useMeasures'

/** What goes on by itself for hours in one sitting, and other sittings by which nobody waits for it. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  assignment: Assignment | undefined
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

/** When most begin something for the next day, and how long one stays for what is left of it. */
const EVENING = '19:00'
const MINUTES = 60
/** More than so many are one thing too many to decide. */
const MOST = 2

const starts = computed(() => [
  props.session.start,
  ...(props.session.sittings ?? []).map((s) => s.start),
])
const waits = computed(() => {
  const dayBefore = format(subDays(parseISO(props.session.start.slice(0, 10)), 1), 'yyyy-MM-dd')
  const evening = starts.value.some((s) => s.startsWith(dayBefore))
    ? []
    : [{ start: `${dayBefore}T${EVENING}`, words: 'Begin it the evening before' }]
  return longWaits(props.session, props.kitchen, props.recipes, props.assignment)
    .slice(0, MOST)
    .map((w) => ({
      ...w,
      name: props.recipes.find((r) => r.id === w.dish)?.name ?? w.dish,
      ways: [
        ...evening,
        {
          start: w.then,
          words: `Go on ${dayText(w.then.slice(0, 10), 'EEEE')} at ${clockText(w.then.slice(11))}`,
        },
      ].filter((way) => !starts.value.includes(way.start)),
    }))
})
const add = (start: string) =>
  emit('change', (s) => withSitting(s, { start, limit: MINUTES, cooks: s.cooks }))
</script>

<template>
  <p v-for="w in waits" :key="w.dish + w.step" class="wait" data-test="long-wait">
    {{ w.name }} goes on by itself for {{ spanText(60 * w.minutes) }}.
    <v-btn
      v-for="way in w.ways"
      :key="way.start"
      size="small"
      variant="outlined"
      @click="add(way.start)"
      >{{ way.words }}</v-btn
    >
  </p>
</template>

<style scoped>
.wait {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin-top: 8px;
}
</style>
