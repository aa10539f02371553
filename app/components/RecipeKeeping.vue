<script setup lang="ts">
import { computed } from 'vue'
import type { Recipe } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

/** Where and how long a dish keeps, and whether it is made for others to take from. */
const props = defineProps<{ recipe: Recipe; change: Change<Recipe> }>()
const { errors, apply, figure } = useFields<Recipe>((edit) => props.change(edit))

type Place = NonNullable<Recipe['store']>['place']
const PLACES: { value: Place | ''; title: string }[] = [
  { value: '', title: 'not said' },
  { value: 'fridge', title: 'in the fridge' },
  { value: 'freezer', title: 'in the freezer' },
  { value: 'shelf', title: 'on the shelf, dry' },
]
const USUAL: Record<Place, number> = { fridge: 3, freezer: 90, shelf: 7 }
/** Litres that a serving fills: an estimate of ours, to begin with. */
const SERVING = 0.35

const place = computed<Place | ''>(() => props.recipe.store?.place ?? '')
const setPlace = (value: Place | '') =>
  apply('store', ({ store, ...rest }) =>
    value === ''
      ? rest
      : {
          ...rest,
          store: {
            litres: store?.litres ?? Math.max(0.3, Math.round(rest.serves * SERVING * 10) / 10),
            place: value,
            days: store?.place === value ? store.days : USUAL[value],
          },
        },
  )
const setStore = (key: 'days' | 'litres', name: string, typed: string) =>
  figure('store', name, typed, (n) => {
    void apply('store', (r) => (r.store ? { ...r, store: { ...r.store, [key]: n } } : r))
  })
</script>

<template>
  <section aria-label="Keeping">
    <h2>Keeping</h2>
    <PickField label="It keeps" :value="place" :items="PLACES" @pick="setPlace" />
    <div v-if="recipe.store" class="figures">
      <TypedField
        unit="days"
        inputmode="numeric"
        aria-label="Days that it keeps"
        :value="recipe.store.days"
        @commit="setStore('days', 'Days', $event)"
      />
      <TypedField
        unit="litres a batch"
        inputmode="decimal"
        aria-label="Litres that one batch fills"
        :value="recipe.store.litres"
        @commit="setStore('litres', 'Litres', $event)"
      />
    </div>
    <CheckField
      :value="recipe.base"
      label="A base, made for other dishes"
      @set="apply('base', (r) => ({ ...r, base: $event }))"
    />
    <p v-for="(message, field) in errors" v-show="message" :key="field" class="wrong" role="alert">
      {{ message }}
    </p>
  </section>
</template>

<style scoped>
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  margin-top: 6px;
}
</style>
