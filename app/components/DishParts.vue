<script setup lang="ts">
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import {
  listSittings,
  partingCosts,
  withFixed,
  type Assignment,
  type Session,
} from '~~/core/session'
import { said } from '~/composables/useMeasures'

/** In which sitting each step of a dish is done, and what another would cost. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  recipe: Recipe
  assignment: Assignment | undefined
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session]; close: [] }>()
const sittings = computed(() =>
  listSittings(props, props.assignment).filter((s) => s.kind === 'cooking'),
)
const fixed = computed(
  () =>
    new Map(
      (props.session.dishes.find((d) => d.recipe === props.recipe.id)?.fixed ?? []).map((f) => [
        f.step,
        f.sitting,
      ]),
    ),
)
const whereIs = (step: string) => {
  const at = props.assignment?.placed.get(props.recipe.id)?.get(step)
  return at === undefined ? 'main' : (props.assignment!.slots[at]?.id ?? 'main')
}
/** What fixing a step costs, in minutes of all sittings together; nothing where it cannot be. */
const costs = computed(() =>
  partingCosts(
    { ...props, recipes: props.recipes },
    props.recipe.id,
    sittings.value.map((s) => s.id),
  ),
)
function itemsFor(step: string) {
  return sittings.value.flatMap((s) => {
    const cost = costs.value.get(step)?.get(s.id)
    if (cost === undefined) return []
    const words =
      whereIs(step) === s.id
        ? 'as it is'
        : cost > 0.5
          ? `${Math.round(cost)} min more`
          : cost < -0.5
            ? `${Math.round(-cost)} min less`
            : 'as long'
    return [{ value: s.id, title: `${s.name} (${words})` }]
  })
}
const fix = (step: string, sitting: string) =>
  emit('change', (s) => withFixed(s, props.recipe.id, step, sitting))
const free = (step: string) => emit('change', (s) => withFixed(s, props.recipe.id, step, undefined))
</script>

<template>
  <v-card class="card" data-test="dish-parts">
    <h2>{{ recipe.name }}</h2>
    <p v-if="sittings.length < 2" class="quiet">
      There is one sitting, and all of it is done then. With a second one, what can wait may be done
      before.
    </p>
    <ol class="bare">
      <li v-for="step in recipe.steps" :key="step.id">
        <span>{{ said(step.do) }}</span>
        <PickField
          v-if="sittings.length > 1"
          :value="whereIs(step.id)"
          :items="itemsFor(step.id)"
          :aria-label="`When: ${step.do}`"
          @pick="fix(step.id, $event)"
        />
        <v-btn v-if="fixed.has(step.id)" size="x-small" variant="text" @click="free(step.id)">
          Leave it to the plan
        </v-btn>
      </li>
    </ol>
    <v-btn variant="outlined" @click="emit('close')">Close</v-btn>
  </v-card>
</template>

<style scoped>
.card {
  padding: 20px;
}
ol {
  margin: 12px 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 240px;
  gap: 2px 12px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
li :deep(.v-btn) {
  grid-column: 2;
  justify-self: start;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  li :deep(.v-btn) {
    grid-column: 1;
  }
}
</style>
