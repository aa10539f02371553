<script setup lang="ts">
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
const PLACES = { tonight: 'tonight', fridge: 'fridge', freezer: 'freezer' }

const ahead = (id: string) => {
  const r = recipe(id)
  return r ? aheadOf(r) : []
}
const setDone = (d: SessionDish, step: string, done: boolean) =>
  set(d.recipe, { done: [...(d.done ?? []).filter((s) => s !== step), ...(done ? [step] : [])] })
const setPlace = (id: string, place: string) =>
  set(id, { to: place === '' ? undefined : (place as SessionDish['to']) })
/** Half batches, as far as there may be. */
const STEPS = Array.from({ length: 2 * MOST_BATCHES }, (_, k) => (k + 1) / 2)
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
              · keeps {{ figures(d.recipe)!.days }}
              {{ figures(d.recipe)!.days === 1 ? 'day' : 'days' }}</span
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
        <div class="how">
          <select
            class="inset"
            :value="d.batches"
            :aria-label="`${recipe(d.recipe)?.name}: batches`"
            @change="set(d.recipe, { batches: Number(($event.target as HTMLSelectElement).value) })"
          >
            <option v-for="b in STEPS" :key="b" :value="b">×{{ b }}</option>
          </select>
          <select
            class="inset"
            :value="d.to ?? ''"
            :aria-label="`${recipe(d.recipe)?.name}: where it goes`"
            @change="setPlace(d.recipe, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">{{ recipe(d.recipe)?.store?.place ?? 'anywhere' }}, as written</option>
            <option v-for="(word, key) in PLACES" :key="key" :value="key">{{ word }}</option>
          </select>
          <select
            class="inset"
            :value="d.goes ?? 1"
            :aria-label="`${recipe(d.recipe)?.name}: in how many goes`"
            @change="set(d.recipe, { goes: Number(($event.target as HTMLSelectElement).value) })"
          >
            <option :value="1">at once</option>
            <option v-for="g in [2, 3, 4]" :key="g" :value="g">in {{ g }} goes</option>
          </select>
          <label
            ><input
              type="checkbox"
              :checked="d.must ?? false"
              :aria-label="`${recipe(d.recipe)?.name} must be made`"
              @change="set(d.recipe, { must: ($event.target as HTMLInputElement).checked })"
            />
            must</label
          >
          <details v-if="ahead(d.recipe).length" class="before">
            <summary>done before{{ d.done?.length ? `: ${d.done.length}` : '' }}</summary>
            <label v-for="s in ahead(d.recipe)" :key="s.id"
              ><input
                type="checkbox"
                :checked="d.done?.includes(s.id) ?? false"
                @change="setDone(d, s.id, ($event.target as HTMLInputElement).checked)"
              />
              {{ s.do }}
              <span class="quiet"
                >up to {{ s.ahead.days }} {{ s.ahead.days === 1 ? 'day' : 'days'
                }}{{ s.ahead.how ? `, ${s.ahead.how}` : '' }}</span
              ></label
            >
          </details>
          <button
            type="button"
            :aria-label="`Leave out ${recipe(d.recipe)?.name}`"
            @click="remove(d.recipe)"
          >
            ×
          </button>
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
  grid-template-columns: auto minmax(0, 1fr);
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
  grid-column: 2;
  font-size: 0.9rem;
}
.how select {
  padding: 3px 2px;
  border-color: transparent;
  border-bottom: 1px dotted var(--quiet);
  border-radius: 0;
  background-color: transparent;
  font-size: 0.9rem;
}
.how select:hover {
  border-color: var(--quiet);
}
.how label {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 30px;
}
.how .before label {
  flex-wrap: wrap;
  gap: 2px 6px;
}
.how button {
  min-width: 30px;
  min-height: 30px;
  margin-left: auto;
}
</style>
