<script setup lang="ts">
import { mdiDotsVertical } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Recipe } from '~~/core/recipe'
import type { Preparing } from '~~/core/setout'
import { amountSaid, packsSaid, type ShopLine } from '~~/core/shopping'
import { said } from '~/composables/useMeasures'
import { moneyText, moneyTyped } from '~/composables/useMoney'
import type { Missing } from '~/composables/useMissing'

/** One thing to buy: how much, for which dishes, what it costs, and what to do where it is not to be had. */
const props = defineProps<{
  line: ShopLine
  recipes: readonly Recipe[]
  order: readonly string[]
  basket: Preparing['basket'][number] | undefined
  /** Something was said of it that can be taken back. */
  other: boolean
}>()
const emit = defineEmits<{
  put: [on: boolean]
  paid: [cost: number]
  missing: [what: Missing]
}>()
const recipeOf = (id: string) => props.recipes.find((r) => r.id === id)
const dishes = computed(() =>
  [...new Set(props.line.wants.map((w) => w.dish))].flatMap((id) => recipeOf(id) ?? []),
)
const packs = computed(() => (props.line.packs.length ? packsSaid(props.line) : ''))
const left = computed(() =>
  props.line.left > 0.5 && props.line.packs.some((p) => !p.offer.loose)
    ? said(amountSaid(props.line.left, props.line.unit))
    : undefined,
)
const cost = computed(() => props.basket?.cost ?? props.line.cost)
const shops = computed(() => [...new Set(props.line.packs.flatMap((p) => p.offer.shop ?? []))])
const open = ref(false)
const wrong = ref<string>()
function pay(typed: string) {
  const coins = moneyTyped(typed)
  wrong.value =
    coins === undefined
      ? `"${typed}" is no price. Allowed: a sum such as 2.10, up to 10,000.`
      : undefined
  if (coins !== undefined) emit('paid', coins)
}
/** Not to be had: what is done about it is the page's, for the row may be gone then. */
function missing(what: Missing) {
  open.value = false
  emit('missing', what)
}
const others = computed(() => [...new Set(props.line.wants.flatMap((w) => w.instead ?? []))])
const sizes = computed(() => props.line.packs.filter((p) => !p.offer.loose))
</script>

<template>
  <li class="row" :class="{ taken: basket }">
    <v-checkbox
      class="tick"
      :model-value="basket !== undefined"
      :aria-label="`${said(packs)} ${line.item}`"
      @update:model-value="emit('put', $event === true)"
    />
    <div class="what">
      <p>
        <strong class="figure">{{ said(packs) }}</strong> {{ line.item }}
        <DishMark v-for="d in dishes" :key="d.id" :mark="d.mark" :index="order.indexOf(d.id)" />
        <span class="only-spoken">for {{ dishes.map((d) => d.name).join(', ') }}</span>
      </p>
      <p v-if="line.stock > 0 || left" class="quiet small">
        <template v-if="line.stock > 0"
          >{{ said(amountSaid(line.stock, line.unit)) }} in the house</template
        ><template v-if="line.stock > 0 && left">, </template
        ><template v-if="left">{{ left }} left over</template
        ><template v-if="left && line.leftFor.length"
          >, for {{ line.leftFor.map((id) => recipeOf(id)?.name).join(' or ') }}</template
        >
      </p>
    </div>
    <span class="cost figure">{{ cost === undefined ? '' : moneyText(cost) }}</span>
    <IconButton
      class="no-print"
      :icon="mdiDotsVertical"
      :label="`${line.item}: where it goes, what it costs, what if there is none`"
      :aria-expanded="open"
      @click="open = !open"
    />
    <div v-if="open" class="more no-print">
      <p class="small">
        <template v-for="(w, i) in line.wants" :key="w.dish + w.ingredient"
          >{{ i ? '; ' : '' }}{{ recipeOf(w.dish)?.name }}: {{ said(w.as) }}</template
        ><template v-if="!line.exact">. Pieces and spoons are reckoned by usual weights.</template
        ><template v-if="shops.length"> Price of {{ shops.join(' and ') }}.</template>
      </p>
      <TypedField
        class="paid"
        label="What it cost"
        :value="cost === undefined ? '' : moneyText(cost)"
        :aria-label="`What ${line.item} cost`"
        :aria-invalid="wrong !== undefined"
        @commit="pay"
      />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <p class="small">Not to be had?</p>
      <div class="keys">
        <v-btn
          v-if="other"
          size="small"
          variant="tonal"
          @click="missing({ kind: 'as before', line })"
          >As it was</v-btn
        >
        <v-btn
          v-for="p in sizes"
          :key="p.offer.amount"
          size="small"
          variant="outlined"
          @click="missing({ kind: 'size', line, amount: p.offer.amount })"
          >not in {{ said(amountSaid(p.offer.amount, line.unit)) }}</v-btn
        >
        <v-btn
          v-for="item in others"
          :key="item"
          size="small"
          variant="outlined"
          @click="missing({ kind: 'instead', line, item })"
          >{{ item }} instead</v-btn
        >
        <v-btn
          v-for="d in dishes.filter((x) => !x.base)"
          :key="d.id"
          size="small"
          variant="outlined"
          @click="missing({ kind: 'without', recipe: d })"
          >without {{ d.name }}</v-btn
        >
      </div>
    </div>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr) auto auto;
  gap: 0 6px;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--hair);
}
.taken .what {
  opacity: 0.6;
  text-decoration: line-through;
}
.cost {
  min-width: 4.5em;
  text-align: right;
}
.small {
  font-size: 0.88rem;
}
.more {
  grid-column: 2 / -1;
  padding: 4px 0 12px;
}
.paid {
  max-width: 10em;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
@media print {
  .row {
    min-height: 0;
  }
}
</style>
