<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Recipe } from '~~/core/recipe'
import type { Session } from '~~/core/session'
import { amountSaid, type DishCost, type Saving, type ShopList } from '~~/core/shopping'
import { said } from '~/composables/useMeasures'
import { moneyText, moneyTyped } from '~/composables/useMoney'

/** What it comes to, against what it may; what each dish costs, and what would save. */
const props = defineProps<{
  list: ShopList
  costs: readonly DishCost[]
  session: Session
  recipes: readonly Recipe[]
  savings: readonly Saving[]
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const total = computed(() => props.list.total)
const nameOf = (id: string) => props.recipes.find((r) => r.id === id)?.name ?? id
const words = computed(() => {
  const { least, most, unknown } = total.value
  if (!unknown.length) return moneyText(least)
  if (most === undefined) return least ? `at least ${moneyText(least)}` : 'not known'
  return `${moneyText(least)} to ${moneyText(most)}`
})
const unknown = computed(() =>
  props.list.lines.filter((l) => total.value.unknown.includes(l.id)).map((l) => l.item),
)
const over = computed(() =>
  props.session.budget === undefined ? undefined : total.value.least - props.session.budget,
)
/** Where the walk through the shop crosses the budget. */
const breaks = computed(() => {
  let sum = 0
  if (over.value === undefined || over.value <= 0) return undefined
  return props.list.lines.find(
    (l) => (sum += l.bought > 0 ? (l.cost ?? 0) : 0) > props.session.budget!,
  )
})
const dear = computed(() =>
  [...props.costs]
    .filter((c) => c.cost > 0)
    .sort((a, b) => b.cost / b.servings - a.cost / a.servings),
)
const wrong = ref<string>()
function setBudget(typed: string) {
  if (!typed.trim()) {
    wrong.value = undefined
    return emit('change', ({ budget: _, ...s }) => s)
  }
  const coins = moneyTyped(typed, 100_000_000)
  wrong.value =
    coins === undefined ? `"${typed}" is no sum. Allowed: a sum such as 60 or 59.50.` : undefined
  if (coins !== undefined) emit('change', (s) => ({ ...s, budget: coins }))
}
/** So many are shown: the most first. */
const SHOWN = 6
/** Leaving a dish out is thought of where the money is not enough. */
const shown = computed(() =>
  props.savings
    .filter((s) => s.kind !== 'without' || (over.value !== undefined && over.value > 0))
    .slice(0, SHOWN),
)
function savingWords(s: Saving): string {
  const saves = moneyText(s.saves)
  if (s.kind === 'instead')
    return `${s.with} for ${s.item} in ${s.dishes.map(nameOf).join(' and ')}: ${saves} less`
  if (s.kind === 'without') return `without ${nameOf(s.dish)}: ${saves} less`
  const amount = said(amountSaid(s.amount, s.unit))
  if (s.kind === 'made')
    return s.item === 'bread'
      ? `${amount} ${s.item} baked as ${nameOf(s.recipe)}: ${saves} less than bought`
      : `${amount} ${s.item} come of ${nameOf(s.recipe)}: bought it would be ${saves}`
  return `${s.item} in a pack of ${amount}: ${saves} less by weight, if the ${said(amountSaid(s.left, s.unit))} left over are used`
}
</script>

<template>
  <aside class="money" aria-label="What it costs" data-test="money">
    <h2>What it costs</h2>
    <p class="sum figure" data-test="total">{{ words }}</p>
    <TypedField
      class="budget"
      label="It may cost"
      :value="session.budget === undefined ? '' : moneyText(session.budget)"
      placeholder="any"
      :aria-invalid="wrong !== undefined"
      @commit="setBudget"
    />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p v-if="over !== undefined && over > 0" class="wrong" role="status" data-test="over">
      {{ moneyText(over) }} more than it may<template v-if="breaks"
        >: the money is spent at the {{ breaks.item }}</template
      >.
    </p>
    <p v-else-if="over !== undefined" class="quiet">
      {{ moneyText(-over) }} are left{{ unknown.length ? ' for what has no price yet' : '' }}.
    </p>
    <details v-if="unknown.length">
      <summary>No price is known of {{ unknown.length }}</summary>
      <p class="quiet">{{ unknown.join(', ') }}. Type it at the thing, or ask the shop.</p>
    </details>
    <template v-if="shown.length">
      <h2>What would save</h2>
      <ul class="bare" data-test="savings">
        <li v-for="s in shown" :key="savingWords(s)">{{ savingWords(s) }}</li>
      </ul>
    </template>
    <template v-if="dear.length">
      <h2>Each dish</h2>
      <table>
        <thead>
          <tr>
            <th>dish</th>
            <th class="num">all</th>
            <th class="num">a serving</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in dear" :key="c.dish">
            <td>{{ nameOf(c.dish) }}</td>
            <td class="num figure">{{ c.unknown.length ? 'from ' : '' }}{{ moneyText(c.cost) }}</td>
            <td class="num figure">{{ moneyText(Math.round(c.cost / c.servings)) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="quiet small">
        By what goes into each; what is in the house counts as much. What is left of packs belongs
        to no dish.
      </p>
    </template>
  </aside>
</template>

<style scoped>
h2 {
  margin: 12px 0 4px;
  font-size: 1.15rem;
}
.sum {
  font-size: 1.8rem;
}
.budget {
  max-width: 12em;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 0.92rem;
}
th {
  text-align: left;
  font-weight: 650;
}
td,
th {
  padding: 4px 6px 4px 0;
  border-bottom: 1px solid var(--hair);
}
.num {
  text-align: right;
  white-space: nowrap;
}
.small {
  font-size: 0.88rem;
}
</style>
