<script setup lang="ts">
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import type { Assignment, Session } from '~~/core/session'
import { plain } from '~/composables/plain'
import { spanText } from '~/composables/useClock'
import { useTrying } from '~/composables/useTrying'

/** How long the sittings take together, and whether plans of each make them shorter. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  assignment: Assignment
  planned: ReadonlyMap<string, number>
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

const { tried, found, ask, stop } = useTrying(
  // A plan that is kept meanwhile changes nothing of it.
  () => JSON.stringify(props.session),
  (planner, onTry) => {
    const { session, kitchen, recipes } = props
    return planner.partByEngine(plain({ session, kitchen, recipes }), onTry)
  },
)
const words = computed(() => {
  const it = found.value
  if (!it?.better) return undefined
  const of = (lengths: ReadonlyMap<string, number>) =>
    props.assignment.slots
      .flatMap((s) => (lengths.has(s.id) ? [spanText(lengths.get(s.id)!)] : []))
      .join(' and ')
  return `${of(it.after)} instead of ${of(it.before)}, by brief plans of each.`
})
function take() {
  const { parted } = found.value!.session
  if (parted) emit('change', (s) => ({ ...s, parted: plain(parted) }))
}
const together = computed(() => {
  const all = props.assignment.slots.filter((s, k) => props.assignment.lengths[k]! > 0)
  if (!all.every((s) => props.planned.has(s.id))) return undefined
  return all.reduce((n, s) => n + props.planned.get(s.id)!, 0)
})
</script>

<template>
  <div class="together quiet" data-test="together">
    <p v-if="tried" role="status">
      Trying {{ tried[0] }} of {{ tried[1] }} ways to part the dishes
      <v-btn size="small" variant="text" @click="stop">Stop, take the best</v-btn>
    </p>
    <p v-else-if="found">
      <template v-if="words">
        {{ words }}
        <v-btn size="small" variant="outlined" data-test="take-parting" @click="take"
          >Part them so</v-btn
        >
      </template>
      <template v-else-if="found.tried"
        >No other way to part them is shorter: {{ found.tried }} were tried.</template
      >
      <template v-else>There is no other way to part them, or one sitting has no plan.</template>
    </p>
    <p v-else>
      <template v-if="together">{{ spanText(together) }} together. </template>
      However the dishes are parted, it takes
      {{ spanText(Math.floor(assignment.bound) * 60) }} or more.
      <v-btn size="small" variant="text" data-test="part" @click="ask()"
        >Part the dishes better</v-btn
      >
    </p>
  </div>
</template>

<style scoped>
.together {
  flex: 1 1 300px;
  text-align: right;
}
</style>
