<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  chooseBoxes,
  packedAs,
  portionsOfYield,
  rounded,
  shareOut,
  toBox,
  usualPortion,
  type Leaving,
  type Lying,
  type Pack,
  type Share,
  type Yield,
} from '~~/core/packing'
import type { Kitchen } from '~~/core/kitchen'
import type { Label } from '~~/core/labels'
import { amountText, counted } from '~~/core/quantity'
import type { Recipe } from '~~/core/recipe'
import { AFTER_STOVE } from '~~/core/safety'
import { issueText } from '~/composables/issueText'
import { numberTyped } from '~/composables/useFields'
import { dayText, said } from '~/composables/useMeasures'

/** One dish from its pot into boxes: how much it made, and how it is divided. */
const props = defineProps<{
  recipe: Recipe
  index: number
  labels: readonly Label[]
  kitchen: Kitchen
  lying: readonly Lying[]
  /** What of it is packed already. */
  packed: readonly Pack[]
  /** The day on which it was cooked, as far as that is known. */
  cooked: string
  today: string
  /** Days that it keeps in each place. */
  keeps: Pack['keeps']
  /** What of it other dishes could use. */
  leaves: readonly Leaving[]
}>()
const emit = defineEmits<{
  pack: [shares: Share[], cooked: string]
  keep: [left: Leaving]
}>()

const BY: Record<Yield['by'], string> = {
  portion: 'portions',
  g: 'grams, weighed',
  ml: 'millilitres',
  ladle: 'ladles',
  piece: 'pieces',
}
const PLACES = ['fridge', 'freezer', 'shelf'] as const
/** Where it keeps; another place is not offered. */
const places = computed(() =>
  PLACES.filter((p) => props.keeps[p] > 0).map((p) => ({ value: p, title: p })),
)
const planned = computed(() => rounded(props.labels.reduce((n, l) => n + l.portions, 0)))
const by = ref<Yield['by']>('portion')
const amount = ref<string>()
const each = ref<string>()
const usual = computed(() =>
  by.value === 'g' || by.value === 'ml'
    ? (usualPortion(props.recipe) ?? 350)
    : by.value === 'ladle'
      ? 2
      : 1,
)
const made = computed(() =>
  portionsOfYield({
    amount: numberTyped(amount.value ?? String(by.value === 'portion' ? planned.value : 0)),
    by: by.value,
    each: numberTyped(each.value ?? String(usual.value)),
  }),
)
const portions = computed(() => (made.value.ok ? made.value.value : 0))
/** What the cook has changed of the shares, by their id. */
const own = ref<Record<string, Partial<Share>>>({})
const shares = computed(() =>
  shareOut(props.labels, portions.value).map((s) => ({ ...s, ...own.value[s.id] })),
)
const sum = computed(() => rounded(shares.value.reduce((n, s) => n + s.portions, 0)))
const boxes = computed(
  () =>
    chooseBoxes(
      shares.value.map((s) => toBox(props.recipe, s)),
      props.kitchen.boxes ?? [],
      props.lying,
    ).boxOf,
)
const day = ref<string>()
const isRaw = computed(() => packedAs(props.recipe) === 'raw')
const inJars = computed(() => shares.value.some((s) => boxes.value.get(s.id)?.kind === 'jar'))
const half = computed(() => packedAs(props.recipe) === 'half-cooked')
const wrong = ref('')
function count(typed: string) {
  amount.value = typed
  own.value = {}
}
function setPortions(s: Share, typed: string) {
  const n = numberTyped(typed)
  wrong.value = n >= 0 && n <= 500 ? '' : `"${typed}" is no number of portions. Allowed: 0 to 500.`
  if (!wrong.value) own.value = { ...own.value, [s.id]: { ...own.value[s.id], portions: n } }
}
const setPlace = (s: Share, place: Share['place']) =>
  (own.value = { ...own.value, [s.id]: { ...own.value[s.id], place } })
function pack() {
  const full = shares.value.filter((s) => s.portions > 0)
  if (full.length) emit('pack', full, day.value ?? props.cooked)
}
</script>

<template>
  <li class="divide" :data-test="`divide-${recipe.id}`">
    <h3><DishMark :mark="recipe.mark" :index="index" /> {{ recipe.name }}</h3>
    <p v-if="packed.length" class="quiet" data-test="packed-already">
      Packed: {{ counted(rounded(packed.reduce((n, p) => n + p.portions, 0)), 'portion') }} in
      {{ counted(packed.length, 'box', 'boxes') }}, cooked
      {{ dayText(packed[0]!.cooked, 'EEE d MMM') }}.
    </p>
    <template v-else>
      <p v-if="half" class="wrong">
        It is half-cooked when it is packed: cook it through before it is chilled, or keep it raw.
      </p>
      <div class="made">
        <TypedField
          class="amount"
          label="It made"
          :value="amount ?? (by === 'portion' ? planned : '')"
          inputmode="decimal"
          :aria-invalid="!made.ok"
          @commit="count"
        />
        <PickField
          class="by"
          label="counted in"
          aria-label="What it is counted in"
          :value="by"
          :items="BY"
          @pick="by = $event"
        />
        <TypedField
          v-if="by !== 'portion'"
          class="amount"
          label="for a portion"
          :value="each ?? usual"
          inputmode="decimal"
          @commit="each = $event"
        />
        <DayField
          class="day"
          :value="day ?? cooked"
          label="cooked on"
          name="Cooked on"
          @set="day = $event"
        />
      </div>
      <p v-if="!made.ok" class="wrong" role="alert">{{ issueText(made.issues[0]!) }}</p>
      <p v-else-if="portions !== planned && portions > 0" class="quiet" data-test="differs">
        {{ portions }} portions, {{ planned }} were planned.
      </p>
      <table v-if="shares.length">
        <thead>
          <tr class="quiet">
            <th>portions</th>
            <th>goes into the</th>
            <th>in</th>
            <th>for</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in shares" :key="s.id">
            <td>
              <TypedField
                class="amount"
                :value="s.portions"
                inputmode="decimal"
                aria-label="portions in this box"
                @commit="setPortions(s, $event)"
              />
            </td>
            <td>
              <PickField
                :value="s.place"
                :items="places"
                aria-label="where this box goes"
                @pick="setPlace(s, $event)"
              />
            </td>
            <td>{{ boxes.get(s.id)?.name.toLowerCase() ?? 'any that holds it' }}</td>
            <td>
              {{ s.on ? dayText(s.on, 'EEE d MMM') : 'any day'
              }}<template v-if="s.variant">, {{ s.variant }}</template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <p v-if="isRaw" class="caution">{{ AFTER_STOVE.raw.text }}</p>
      <p v-if="inJars" class="caution">{{ AFTER_STOVE.jars.text }}</p>
      <p v-if="made.ok && sum !== portions" class="wrong" role="status">
        {{ sum }} portions are in boxes, it made {{ portions }}.
      </p>
      <v-btn color="primary" :disabled="!made.ok || sum <= 0 || half" @click="pack"
        >Into the house: {{ said(`${sum} portions`) }}</v-btn
      >
    </template>
    <p v-for="l in leaves" :key="l.item" data-test="leaves">
      It leaves {{ said(amountText(l.amount, l.unit)) }} {{ l.item }}, by
      {{ dayText(l.by, 'EEE d MMM') }}.
      <v-btn size="small" variant="tonal" @click="emit('keep', l)">Keep it in the fridge</v-btn>
    </p>
  </li>
</template>

<style scoped>
.divide {
  padding: 12px 14px;
  border: 1px solid var(--hair);
  border-radius: 10px;
  background: rgb(var(--v-theme-surface));
}
.caution {
  margin-top: 6px;
  color: rgb(var(--v-theme-error));
  font-size: 0.9rem;
}
h3 {
  margin-bottom: 6px;
}
.made {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
}
.amount {
  width: 5.2em;
}
.day {
  width: 12.5em;
}
.by {
  min-width: 9.5em;
}
table {
  width: 100%;
  margin: 8px 0;
  border-collapse: collapse;
  font-size: 0.95rem;
}
th {
  font-weight: 400;
  text-align: start;
}
td {
  padding: 2px 6px 2px 0;
}
</style>
