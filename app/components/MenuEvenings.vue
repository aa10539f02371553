<script setup lang="ts">
import { format, parseISO } from 'date-fns'
import { ref } from 'vue'
import type { Recipe } from '~~/core/recipe'
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
const dayText = (day: string) => format(parseISO(day), 'EEE d MMM')

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
  const eaters = Number(typed)
  const sound = typed.trim() !== '' && Number.isInteger(eaters) && eaters >= 0 && eaters <= 40
  wrong.value = { ...wrong.value, [day]: sound ? '' : `"${typed}" eat? Allowed: 0 to 40, whole.` }
  if (sound) set(day, { eaters })
}
const eat = (id: string, day: string, on: boolean) =>
  emit('change', (s) => withEaten(s, id, day, on))
const freeze = (ids: string[]) =>
  emit('change', (s) => ids.reduce((now, id) => withDish(now, id, { to: 'freezer' }), s))
const others = (evening: MenuEvening) =>
  props.session.dishes.filter((d) => !evening.dishes.includes(d.recipe))
</script>

<template>
  <section aria-label="Evenings">
    <ol class="bare">
      <li v-for="e in evenings" :key="e.day" :class="e.time" :data-test="`evening-${e.day}`">
        <div class="day">
          <strong>{{ dayText(e.day) }}</strong>
          <button
            type="button"
            class="time"
            :aria-label="`${dayText(e.day)} is a ${e.time} evening: make it ${e.time === 'short' ? 'long' : 'short'}`"
            @click="set(e.day, { time: e.time === 'short' ? 'long' : 'short' })"
          >
            {{ e.time }}
          </button>
          <label class="quiet"
            ><TypedField
              class="inset"
              :value="e.eaters"
              inputmode="numeric"
              :aria-label="`${dayText(e.day)}: how many eat`"
              :aria-invalid="!!wrong[e.day]"
              @commit="setEaters(e.day, $event)"
            />
            eat</label
          >
        </div>
        <div class="what">
          <span v-for="id in e.dishes" :key="id" class="dish">
            <DishMark :mark="recipe(id)?.mark ?? '??'" :index="order.indexOf(id)" />
            {{ recipe(id)?.name ?? id }}
            <button
              type="button"
              :aria-label="`${dayText(e.day)} without ${recipe(id)?.name}`"
              @click="eat(id, e.day, false)"
            >
              ×
            </button>
          </span>
          <select
            v-if="others(e).length"
            class="inset"
            :value="''"
            :aria-label="`${dayText(e.day)}: another dish`"
            @change="
              eat(($event.target as HTMLSelectElement).value, e.day, true)
              ;($event.target as HTMLSelectElement).value = ''
            "
          >
            <option value="">{{ e.dishes.length ? 'and …' : 'nothing yet …' }}</option>
            <option v-for="d in others(e)" :key="d.recipe" :value="d.recipe">
              {{ recipe(d.recipe)?.name ?? d.recipe }}
            </option>
          </select>
          <p v-if="wrong[e.day]" class="wrong" role="alert">{{ wrong[e.day] }}</p>
          <p v-if="e.late.length" class="wrong" data-test="late">
            {{ e.late.map((id) => recipe(id)?.name).join(' and ') }} will not keep till then.
            <v-btn size="x-small" variant="outlined" @click="freeze(e.late)">Freeze it</v-btn>
          </p>
          <p v-if="e.again" class="quiet small">{{ e.again }} again, as the evening before.</p>
        </div>
        <button
          type="button"
          class="drop"
          :aria-label="`Not for ${dayText(e.day)}`"
          @click="drop(e.day)"
        >
          ×
        </button>
      </li>
    </ol>
    <div class="buttons">
      <button type="button" class="more" @click="more(1)">+ an evening</button>
      <button v-if="!evenings.length" type="button" class="more" @click="more(7)">
        + the next seven
      </button>
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
.day .inset {
  width: 2.8em;
  padding: 4px 6px;
}
.day label {
  white-space: nowrap;
  font-size: 0.9rem;
}
button.time:not(.v-btn) {
  min-height: 30px;
  width: 3em;
  border-bottom: 1px dotted var(--quiet);
  text-align: left;
}
.dish {
  padding: 2px 4px 2px 2px;
  font-size: 0.95rem;
}
.dish button,
.drop {
  min-width: 28px;
  min-height: 30px;
}
.what select {
  width: 6.2em;
  padding: 4px 6px;
  border-color: transparent;
  background: none;
  color: var(--quiet);
  font-size: 0.9rem;
}
.what select:hover,
.what select:focus {
  border-color: var(--quiet);
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
