<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { ref } from 'vue'
import type { Recipe } from '~~/core/recipe'
import { numberTyped } from '~/composables/useFields'
import { dayText } from '~/composables/useMeasures'
import { eveningsFrom, withDish, withEaten, type MenuEvening, type Session } from '~~/core/session'

const props = defineProps<{
  session: Session
  evenings: MenuEvening[]
  recipes: Recipe[]
  /** Where each dish stands in the household, which gives it its colour. */
  order: string[]
  /** How many eat, where a new evening says nothing. */
  people: number
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

const recipe = (id: string) => props.recipes.find((r) => r.id === id)
const wrong = ref<Record<string, string>>({})
const dayName = (day: string) => dayText(day, 'EEE d MMM')

/** One evening more at the end; the first is that of the session itself. */
const more = (count: number) =>
  emit('change', (s) => {
    const known = s.evenings ?? []
    const all = eveningsFrom(s.start, known.length + count + 31, props.people)
    const fresh = all.filter((e) => !known.some((k) => k.day === e.day)).slice(0, count)
    return { ...s, evenings: [...known, ...fresh].sort((a, b) => (a.day < b.day ? -1 : 1)) }
  })
const drop = (day: string) =>
  emit('change', (s) => ({
    ...s,
    evenings: (s.evenings ?? []).filter((e) => e.day !== day),
    dishes: s.dishes.map((d) => (d.on ? { ...d, on: d.on.filter((x) => x !== day) } : d)),
  }))
const set = (day: string, patch: Partial<MenuEvening>) =>
  emit('change', (s) => ({
    ...s,
    evenings: (s.evenings ?? []).map((e) => (e.day === day ? { ...e, ...patch } : e)),
  }))
function setEaters(day: string, typed: string) {
  const eaters = numberTyped(typed)
  const sound = Number.isInteger(eaters) && eaters >= 0 && eaters <= 40
  wrong.value = {
    ...wrong.value,
    [day]: sound ? '' : `"${typed}" is not a number of eaters. Allowed: 0 to 40.`,
  }
  if (sound) set(day, { eaters })
}
const eat = (id: string, day: string, on: boolean) =>
  emit('change', (s) => withEaten(s, id, day, on))
const freeze = (ids: string[]) =>
  emit('change', (s) => ids.reduce((now, id) => withDish(now, id, { to: 'freezer' }), s))
const others = (evening: MenuEvening) =>
  props.session.dishes
    .filter((d) => !evening.dishes.includes(d.recipe))
    .map((d) => ({ value: d.recipe, title: recipe(d.recipe)?.name ?? d.recipe }))
</script>

<template>
  <section aria-label="Evenings">
    <ol class="bare">
      <li v-for="e in evenings" :key="e.day" :class="e.time" :data-test="`evening-${e.day}`">
        <div class="day">
          <strong>{{ dayName(e.day) }}</strong>
          <v-btn
            class="pressed time"
            variant="text"
            :aria-label="`${dayName(e.day)} is a ${e.time} evening: make it ${e.time === 'short' ? 'long' : 'short'}`"
            @click="set(e.day, { time: e.time === 'short' ? 'long' : 'short' })"
          >
            {{ e.time }}
          </v-btn>
          <TypedField
            unit="eat"
            :value="e.eaters"
            inputmode="numeric"
            :aria-label="`${dayName(e.day)}: how many eat`"
            :aria-invalid="!!wrong[e.day]"
            @commit="setEaters(e.day, $event)"
          />
        </div>
        <div class="what">
          <span v-for="id in e.dishes" :key="id" class="dish">
            <DishMark :mark="recipe(id)?.mark ?? '??'" :index="order.indexOf(id)" />
            {{ recipe(id)?.name ?? id }}
            <IconButton
              :icon="mdiClose"
              :label="`${dayName(e.day)} without ${recipe(id)?.name}`"
              @click="eat(id, e.day, false)"
            />
          </span>
          <AddMenu
            :items="others(e)"
            :label="`${dayName(e.day)}: another dish`"
            @pick="eat($event, e.day, true)"
          />
          <p v-if="wrong[e.day]" class="wrong" role="alert">{{ wrong[e.day] }}</p>
          <p v-if="e.late.length" class="wrong" data-test="late">
            {{ e.late.map((id) => recipe(id)?.name).join(' and ') }} will not keep till then.
            <v-btn size="x-small" variant="outlined" @click="freeze(e.late)">Freeze it</v-btn>
          </p>
          <p v-if="e.again" class="quiet small">{{ e.again }} again, two evenings running.</p>
        </div>
        <IconButton :icon="mdiClose" :label="`Not for ${dayName(e.day)}`" @click="drop(e.day)" />
      </li>
    </ol>
    <div class="buttons">
      <v-btn class="more" size="small" variant="text" @click="more(1)">+ an evening</v-btn>
      <v-btn v-if="!evenings.length" class="more" size="small" variant="text" @click="more(7)">
        + the next seven
      </v-btn>
    </div>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 236px minmax(0, 1fr) 30px;
  gap: 4px 12px;
  align-items: center;
  min-height: 46px;
  padding: 3px 0 3px 10px;
  border-bottom: 1px solid var(--hair);
  border-left: 5px solid transparent;
}
li.long {
  border-left-color: rgb(var(--v-theme-primary));
}
.day,
.what,
.dish,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.day {
  flex-wrap: nowrap;
}
.day strong {
  width: 6.4em;
  white-space: nowrap;
}
.time {
  width: 3em;
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
.buttons {
  margin-top: 10px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) 30px;
  }
  .what {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
