<script setup lang="ts">
import { computed } from 'vue'
import type { Recipe } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

/** Where and how long a dish keeps, and whether it is made for others to take from. */
const props = defineProps<{ recipe: Recipe; change: Change<Recipe> }>()
const { errors, apply, figure } = useFields<Recipe>((edit) => props.change(edit))

type Place = NonNullable<Recipe['store']>['place']
const PLACES = [
  { value: '', title: 'not said' },
  { value: 'fridge', title: 'in the fridge' },
  { value: 'freezer', title: 'in the freezer' },
  { value: 'shelf', title: 'on the shelf, dry' },
]
const USUAL: Record<Place, number> = { fridge: 3, freezer: 90, shelf: 7 }
/** Litres that a serving fills: an estimate of ours, to begin with. */
const SERVING = 0.35

const place = computed(() => props.recipe.store?.place ?? '')
const setPlace = (value: string) =>
  apply('store', ({ store, ...rest }) =>
    value === ''
      ? rest
      : {
          ...rest,
          store: {
            litres: store?.litres ?? Math.max(0.3, Math.round(rest.serves * SERVING * 10) / 10),
            place: value as Place,
            days: store?.place === value ? store.days : USUAL[value as Place],
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
    <v-select
      :model-value="place"
      :items="PLACES"
      label="It keeps"
      @update:model-value="setPlace"
    />
    <p v-if="recipe.store" class="figures">
      <label>
        for
        <TypedField
          class="inset"
          inputmode="numeric"
          aria-label="Days that it keeps"
          :value="recipe.store.days"
          @commit="setStore('days', 'Days', $event)"
        />
        days,
      </label>
      <label>
        <TypedField
          class="inset"
          inputmode="decimal"
          aria-label="Litres that one batch fills"
          :value="recipe.store.litres"
          @commit="setStore('litres', 'Litres', $event)"
        />
        litres a batch
      </label>
    </p>
    <v-checkbox
      :model-value="recipe.base"
      label="A base, made for other dishes"
      density="compact"
      hide-details
      @update:model-value="apply('base', (r) => ({ ...r, base: $event === true }))"
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
.figures :deep(.inset) {
  width: 4em;
}
</style>
