<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { ref } from 'vue'
import type { Recipe } from '~~/core/recipe'
import { USUAL_HOUR, withDish, withEaten, type MenuEvening, type Session } from '~~/core/session'
import { numberTyped } from '~/composables/useFields'
import { dayText } from '~/composables/useMeasures'

/** One evening: how much time there is, who eats when, and what. */
const props = defineProps<{
  session: Session
  evening: MenuEvening
  recipes: Recipe[]
  order: readonly string[]
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const recipe = (id: string) => props.recipes.find((r) => r.id === id)
const wrong = ref('')
const dayName = () => dayText(props.evening.day, 'EEE d MMM')
const set = (patch: Partial<MenuEvening>) =>
  emit('change', (s) => ({
    ...s,
    evenings: (s.evenings ?? []).map((e) => (e.day === props.evening.day ? { ...e, ...patch } : e)),
  }))
function setEaters(typed: string) {
  const eaters = numberTyped(typed)
  const sound = Number.isInteger(eaters) && eaters >= 0 && eaters <= 40
  wrong.value = sound ? '' : `"${typed}" is not a number of eaters. Allowed: 0 to 40.`
  if (sound) set({ eaters })
}
const eat = (id: string, on: boolean) =>
  emit('change', (s) => withEaten(s, id, props.evening.day, on))
const freeze = (ids: string[]) =>
  emit('change', (s) => ids.reduce((now, id) => withDish(now, id, { to: 'freezer' }), s))
const drop = () =>
  emit('change', (s) => ({
    ...s,
    evenings: (s.evenings ?? []).filter((e) => e.day !== props.evening.day),
    dishes: s.dishes.map((d) =>
      d.on ? { ...d, on: d.on.filter((x) => x !== props.evening.day) } : d,
    ),
  }))
const others = () =>
  props.session.dishes
    .filter((d) => !props.evening.dishes.includes(d.recipe))
    .map((d) => ({ value: d.recipe, title: recipe(d.recipe)?.name ?? d.recipe }))
</script>

<template>
  <div class="evening" :class="evening.time">
    <div class="what">
      <span v-for="id in evening.dishes" :key="id" class="dish">
        <DishMark :mark="recipe(id)?.mark ?? '??'" :index="order.indexOf(id)" />
        {{ recipe(id)?.name ?? id }}
        <IconButton
          :icon="mdiClose"
          :label="`${dayName()} without ${recipe(id)?.name}`"
          @click="eat(id, false)"
        />
      </span>
      <AddMenu :items="others()" :label="`${dayName()}: another dish`" @pick="eat($event, true)" />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <p v-if="evening.late.length" class="wrong" data-test="late">
        {{ evening.late.map((id) => recipe(id)?.name).join(' and ') }} will not keep till then.
        <v-btn size="x-small" variant="outlined" @click="freeze(evening.late)">Freeze it</v-btn>
      </p>
      <p v-if="evening.again" class="quiet small">
        {{ evening.again }} again, two evenings running.
      </p>
    </div>
    <div class="facts">
      <v-btn
        class="pressed time"
        variant="text"
        :aria-label="`${dayName()} is a ${evening.time} evening: make it ${evening.time === 'short' ? 'long' : 'short'}`"
        @click="set({ time: evening.time === 'short' ? 'long' : 'short' })"
      >
        {{ evening.time }}
      </v-btn>
      <HourField
        :name="`${dayName()}: when you eat`"
        :value="evening.at ?? USUAL_HOUR"
        @set="$event && set({ at: $event })"
      />
      <TypedField
        unit="eat"
        class="eaters"
        :value="evening.eaters"
        inputmode="numeric"
        :aria-label="`${dayName()}: how many eat`"
        :aria-invalid="!!wrong"
        @commit="setEaters"
      />
      <IconButton :icon="mdiClose" :label="`Not for ${dayName()}`" @click="drop" />
    </div>
  </div>
</template>

<style scoped>
.evening {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 10px;
  align-items: center;
}
.what,
.dish,
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.facts {
  flex-wrap: nowrap;
}
.facts > * {
  max-width: 132px;
}
.facts > :nth-child(2) {
  flex: none;
  width: 122px;
}
.facts .eaters {
  width: 80px;
}
.time {
  width: 3.4em;
  border-bottom: 1px dotted var(--quiet);
}
.dish {
  padding: 2px 4px 2px 2px;
  font-size: 0.95rem;
}
.what p {
  flex-basis: 100%;
}
.small {
  font-size: 0.85rem;
}
@media (max-width: 700px) {
  .evening {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
