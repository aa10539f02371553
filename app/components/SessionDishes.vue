<script setup lang="ts">
import { mdiClose, mdiMinus, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import type { Recipe } from '~~/core/recipe'
import {
  LEAST_BATCHES,
  MOST_BATCHES,
  withMoreBatches,
  type CompiledSession,
  type Session,
  type SharedPrep,
} from '~~/core/session'
import { useSessionDishes } from '~/composables/useSessionDishes'

const props = defineProps<{
  session: Session
  recipes: Recipe[]
  compiled: CompiledSession | undefined
  followed: string | undefined
}>()
const emit = defineEmits<{
  change: [edit: (session: Session) => Session]
  follow: [dish: string]
}>()
const { recipe, add, remove } = useSessionDishes(props, (edit) => emit('change', edit))
const place = (id: string) =>
  props.compiled?.order.indexOf(id) ?? props.recipes.findIndex((r) => r.id === id)
const bases = computed(() =>
  (props.compiled?.dishes ?? []).filter(
    (d) => !props.session.dishes.some((own) => own.recipe === d.id),
  ),
)
const merged = (id: string) => props.compiled?.shared.find((s) => s.id === id && !s.apart)
const apart = computed(() => (props.compiled?.shared ?? []).filter((s) => s.apart))
const namesIn = (s: SharedPrep) => s.parts.map((p) => p.name).join(' and ')
const keepApart = (id: string, on: boolean) =>
  emit('change', (s) => ({
    ...s,
    apart: [...(s.apart ?? []).filter((a) => a !== id), ...(on ? [id] : [])],
  }))
const more = (id: string, batches: number) => emit('change', (s) => withMoreBatches(s, id, batches))
</script>

<template>
  <div>
    <h2>Dishes</h2>
    <ul class="bare dishes">
      <li v-for="dish in session.dishes" :key="dish.recipe" :data-test="`dish-${dish.recipe}`">
        <v-btn
          variant="text"
          class="pressed name"
          :aria-pressed="followed === dish.recipe"
          :title="`Follow ${recipe(dish.recipe)?.name} through the plan`"
          @click="emit('follow', dish.recipe)"
        >
          <DishMark :mark="recipe(dish.recipe)?.mark ?? '??'" :index="place(dish.recipe)" />
          <span>{{ recipe(dish.recipe)?.name ?? dish.recipe }}</span>
        </v-btn>
        <span class="batches">
          <v-btn
            :icon="mdiMinus"
            size="x-small"
            variant="text"
            :disabled="dish.batches <= LEAST_BATCHES"
            :aria-label="`Fewer batches of ${recipe(dish.recipe)?.name}`"
            @click="more(dish.recipe, -0.5)"
          />
          <output class="figure" :aria-label="`Batches of ${recipe(dish.recipe)?.name}`"
            >×{{ dish.batches }}</output
          >
          <v-btn
            :icon="mdiPlus"
            size="x-small"
            variant="text"
            :disabled="dish.batches >= MOST_BATCHES"
            :aria-label="`More batches of ${recipe(dish.recipe)?.name}`"
            @click="more(dish.recipe, 0.5)"
          />
          <v-btn
            :icon="mdiClose"
            size="x-small"
            variant="text"
            :aria-label="`Leave out ${recipe(dish.recipe)?.name}`"
            @click="remove(dish.recipe)"
          />
        </span>
      </li>
      <li v-for="base in bases" :key="base.id" class="base" :data-test="`base-${base.id}`">
        <v-btn
          variant="text"
          class="pressed name"
          :aria-pressed="followed === base.id"
          @click="emit('follow', base.id)"
        >
          <DishMark :mark="base.mark" :index="place(base.id)" />
          <span
            >{{ base.name }}
            <small class="quiet">{{
              merged(base.id)
                ? `once for ${namesIn(merged(base.id)!)}`
                : base.base
                  ? 'shared, made once'
                  : 'the same again, in another go'
            }}</small></span
          >
        </v-btn>
        <v-btn
          v-if="merged(base.id)"
          size="small"
          variant="text"
          :aria-label="`${base.name}: for each dish apart`"
          @click="keepApart(base.id, true)"
          >apart</v-btn
        >
        <output v-else class="figure">×{{ base.batches }}</output>
      </li>
      <li v-for="s in apart" :key="s.id" class="quiet apart">
        <small>{{ s.name }}: apart for {{ namesIn(s) }}</small>
        <v-btn
          size="small"
          variant="text"
          :aria-label="`${s.name}: once for all`"
          @click="keepApart(s.id, false)"
          >once</v-btn
        >
      </li>
    </ul>
    <AddDish :session="session" :recipes="recipes" @add="add" />
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
  font-size: 1.1rem;
}
.dishes li {
  display: flex;
  justify-content: space-between;
  gap: 4px;
  align-items: center;
  min-height: 40px;
  border-bottom: 1px solid var(--hair);
}
.name {
  flex: 1;
  min-height: 36px;
  line-height: 1.15;
}
.name :deep(.v-btn__content) {
  display: flex;
  gap: 8px;
  font-size: 0.92rem;
}
.name[aria-pressed='true'] :deep(.v-btn__content span:last-child) {
  text-decoration: underline 2px;
}
.name small {
  display: block;
}
.batches {
  display: flex;
  align-items: center;
}
.batches output {
  min-width: 2.4em;
  text-align: center;
}
</style>
