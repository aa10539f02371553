<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { counted } from '~~/core/quantity'
import type { Recipe } from '~~/core/recipe'
import {
  aheadOf,
  MOST_BATCHES,
  type MenuDish,
  type Session,
  type SessionDish,
} from '~~/core/session'
import { useSessionDishes } from '~/composables/useSessionDishes'

const props = defineProps<{
  session: Session
  dishes: MenuDish[]
  recipes: Recipe[]
  order: string[]
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const { recipe, set, add, remove } = useSessionDishes(props, (edit) => emit('change', edit))
const figures = (id: string) => props.dishes.find((d) => d.recipe === id)

const ahead = (id: string) => {
  const r = recipe(id)
  return r ? aheadOf(r) : []
}
const setDone = (d: SessionDish, step: string, done: boolean) =>
  set(d.recipe, (now) => ({
    done: [...(now.done ?? []).filter((s) => s !== step), ...(done ? [step] : [])],
  }))
const setPlace = (id: string, place: string) =>
  set(id, { to: place === '' ? undefined : (place as SessionDish['to']) })
/** Half batches, as far as there may be. */
const BATCHES = Array.from({ length: 2 * MOST_BATCHES }, (_, k) => (k + 1) / 2).map((value) => ({
  value,
  title: `×${value}`,
}))
const GOES = [1, 2, 3, 4].map((value) => ({
  value,
  title: value === 1 ? 'at once' : `in ${value} goes`,
}))
const placesOf = (id: string) => [
  { value: '', title: `${recipe(id)?.store?.place ?? 'anywhere'}, as written` },
  ...['tonight', 'fridge', 'freezer'].map((value) => ({ value, title: value })),
]
</script>

<template>
  <section aria-label="What is cooked">
    <ul class="bare">
      <li v-for="d in session.dishes" :key="d.recipe" :data-test="`menu-${d.recipe}`">
        <DishMark :mark="recipe(d.recipe)?.mark ?? '??'" :index="order.indexOf(d.recipe)" />
        <div class="name">
          <NuxtLink :to="`/recipes?open=${d.recipe}`">{{
            recipe(d.recipe)?.name ?? d.recipe
          }}</NuxtLink>
          <p v-if="figures(d.recipe)" class="small" data-test="servings">
            <span class="figure"
              >{{ figures(d.recipe)!.made }} servings, {{ figures(d.recipe)!.wanted }} of them
              planned</span
            >
            <span class="quiet" :title="figures(d.recipe)!.source">
              · keeps {{ counted(figures(d.recipe)!.days, 'day') }}</span
            >
          </p>
          <p v-if="recipe(d.recipe)?.notes?.length" class="small quiet">
            Last time: {{ recipe(d.recipe)!.notes![0]!.text }}
          </p>
          <p v-if="figures(d.recipe) && figures(d.recipe)!.wanted > figures(d.recipe)!.made">
            <span class="wrong"
              >{{ Math.ceil(figures(d.recipe)!.wanted - figures(d.recipe)!.made) }} short.</span
            >
            <v-btn
              v-if="figures(d.recipe)!.enough <= MOST_BATCHES"
              size="x-small"
              variant="outlined"
              @click="set(d.recipe, { batches: figures(d.recipe)!.enough })"
              >Make ×{{ figures(d.recipe)!.enough }}</v-btn
            >
          </p>
        </div>
        <IconButton
          :icon="mdiClose"
          :label="`Leave out ${recipe(d.recipe)?.name}`"
          @click="remove(d.recipe)"
        />
        <div class="how">
          <PickField
            class="snug"
            :value="d.batches"
            :items="BATCHES"
            :aria-label="`${recipe(d.recipe)?.name}: batches`"
            @pick="set(d.recipe, { batches: $event })"
          />
          <PickField
            class="snug"
            :value="d.to ?? ''"
            :items="placesOf(d.recipe)"
            :aria-label="`${recipe(d.recipe)?.name}: where it goes`"
            @pick="setPlace(d.recipe, $event)"
          />
          <PickField
            class="snug"
            :value="d.goes ?? 1"
            :items="GOES"
            :aria-label="`${recipe(d.recipe)?.name}: in how many goes`"
            @pick="set(d.recipe, { goes: $event })"
          />
          <CheckField
            :value="d.must ?? false"
            label="must"
            :aria-label="`${recipe(d.recipe)?.name} must be made`"
            @set="set(d.recipe, { must: $event })"
          />
          <details v-if="ahead(d.recipe).length" class="before">
            <summary>done before{{ d.done?.length ? `: ${d.done.length}` : '' }}</summary>
            <CheckField
              v-for="s in ahead(d.recipe)"
              :key="s.id"
              :value="d.done?.includes(s.id) ?? false"
              :label="s.do"
              @set="setDone(d, s.id, $event)"
              >up to {{ counted(s.ahead.days, 'day')
              }}{{ s.ahead.how ? `, ${s.ahead.how}` : '' }}</CheckField
            >
          </details>
          <DishTimes
            :session="session"
            :dish="d"
            :recipe="recipe(d.recipe)"
            @set="set(d.recipe, $event)"
          />
        </div>
      </li>
    </ul>
    <AddDish :session="session" :recipes="recipes" @add="add" />
    <MenuShelf :session="session" :recipes="recipes" @change="emit('change', $event)" />
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 2px 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.name {
  line-height: 1.25;
}
.small {
  font-size: 0.85rem;
}
.before[open] {
  flex-basis: 100%;
  order: 1;
}
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  grid-column: 2 / -1;
  font-size: 0.9rem;
}
</style>
