<script setup lang="ts">
import { computed, ref } from 'vue'
import { isPast, rounded, type Lying } from '~~/core/packing'
import { helpingOf, type Act, type Day, type Part } from '~~/core/eating'
import type { Recipe } from '~~/core/recipe'
import { numberTyped } from '~/composables/useFields'
import { dayText } from '~/composables/useMeasures'

/** One evening to come: what is eaten, for how many, and what else it could be. */
const props = defineProps<{
  day: Day
  days: readonly Day[]
  lying: readonly Lying[]
  recipes: ReadonlyMap<string, Recipe>
  order: readonly string[]
  /** Portions that are wanting. */
  short: number
  today: string
}>()
const emit = defineEmits<{ act: [act: Act, told: string] }>()
const at = computed(() => new Map(props.lying.map((l) => [l.pack.id, l])))
const dishes = computed(() => {
  const by = new Map<string, number>()
  for (const p of props.day.plate) {
    const dish = at.value.get(p.pack)?.pack.dish
    if (dish) by.set(dish, rounded((by.get(dish) ?? 0) + p.portions))
  }
  return [...by].map(([id, portions]) => ({ id, portions, recipe: props.recipes.get(id) }))
})
const name = computed(() => dayText(props.day.day, 'EEE d MMM'))
const wrong = ref('')
function setEaters(typed: string) {
  const eaters = numberTyped(typed)
  const fine = Number.isInteger(eaters) && eaters >= 0 && eaters <= 40
  wrong.value = fine ? '' : `"${typed}" is not a number of eaters. Allowed: 0 to 40.`
  if (fine)
    emit('act', { kind: 'eaters', day: props.day.day, eaters }, `${name.value}: ${eaters} eat.`)
}
/** Dishes of which something may still be eaten that day, with as much as eat. */
const others = computed(() => {
  const by = new Map<string, Lying[]>()
  for (const l of props.lying)
    if (!isPast(l, props.day.day)) by.set(l.pack.dish, [...(by.get(l.pack.dish) ?? []), l])
  return [...by]
    .filter(([id]) => !dishes.value.some((d) => d.id === id))
    .map(([id, packs]) => ({ value: id, title: packs[0]!.pack.name }))
    .sort((a, b) => a.title.localeCompare(b.title))
})
const portionsOf = (dish: string) => helpingOf(dish, props.day, props.days, props.lying)
const put = (plate: Part[], told: string) =>
  emit('act', { kind: 'on the table', day: props.day.day, plate }, `${name.value}: ${told}.`)
const add = (dish: string) =>
  put([...props.day.plate, ...portionsOf(dish)], `${props.recipes.get(dish)?.name} too`)
const instead = (dish: string) => put(portionsOf(dish), `${props.recipes.get(dish)?.name}`)
const swaps = computed(() =>
  props.days
    .filter((d) => d.day !== props.day.day && !d.over && d.plate.length)
    .map((d) => ({ value: d.day, title: dayText(d.day, 'EEE d MMM') })),
)
const swap = (other: string) =>
  emit(
    'act',
    { kind: 'swapped', day: props.day.day, with: other },
    `${name.value} and ${dayText(other, 'EEE d MMM')} have changed places.`,
  )
const letGo = () =>
  emit('act', { kind: 'let go', day: props.day.day }, `${name.value} is arranged as it fits best.`)
</script>

<template>
  <li class="evening" :class="day.time" :data-test="`evening-${day.day}`">
    <span class="when">{{ name }}</span>
    <div class="what">
      <span v-for="d in dishes" :key="d.id" class="dish">
        <DishMark :mark="d.recipe?.mark ?? '??'" :index="order.indexOf(d.id)" />
        {{ d.recipe?.name ?? d.id }}
        <span v-if="d.portions !== day.eaters" class="quiet">× {{ d.portions }}</span>
      </span>
      <span v-if="day.over" class="quiet">eaten</span>
      <span v-else-if="day.fresh && !dishes.length" class="quiet">fresh from the stove</span>
      <span v-else-if="!dishes.length && day.eaters > 0" class="quiet">nothing yet</span>
      <span v-if="day.fixed && !day.over" class="own">
        your choice
        <v-btn size="x-small" variant="text" @click="letGo">let it go</v-btn>
      </span>
      <p v-if="short > 0 && day.eaters > 0 && !day.over" class="wrong">
        {{ short >= day.eaters ? 'Not enough of anything' : `${short} of ${day.eaters} go short` }}:
        cook something fresh, or fewer eat.
      </p>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    </div>
    <div v-if="!day.over" class="facts no-print">
      <TypedField
        unit="eat"
        class="eaters"
        :value="day.eaters"
        inputmode="numeric"
        :aria-label="`${name}: how many eat`"
        :aria-invalid="!!wrong"
        @commit="setEaters"
      />
      <AddMenu :items="others" :label="`${name}: another dish too`" @pick="add" />
      <v-menu>
        <template #activator="{ props: menu }">
          <v-btn v-bind="menu" size="small" variant="text" :aria-label="`Change ${name}`"
            >Change</v-btn
          >
        </template>
        <v-list max-height="60vh">
          <v-list-item
            v-for="s in swaps"
            :key="s.value"
            :title="`Change places with ${s.title}`"
            @click="swap(s.value)"
          />
          <v-list-item
            v-for="o in others"
            :key="o.value"
            :title="`${o.title} instead`"
            @click="instead(o.value)"
          />
          <v-list-item title="Nothing from here" @click="put([], 'nothing from here')" />
        </v-list>
      </v-menu>
    </div>
  </li>
</template>

<style scoped>
.evening {
  display: grid;
  grid-template-columns: 6.5em minmax(0, 1fr) auto;
  gap: 2px 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.when {
  font-family: var(--display);
}
.what,
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 12px;
  align-items: center;
}
.what p {
  flex-basis: 100%;
}
.eaters {
  width: 84px;
}
.own {
  color: rgb(var(--v-theme-primary));
  font-size: 0.9rem;
}
@media (max-width: 600px) {
  .evening {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
