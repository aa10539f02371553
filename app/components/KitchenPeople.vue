<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Kitchen, Person } from '~~/core/kitchen'

const props = defineProps<{ people: Kitchen['people'] }>()
const emit = defineEmits<{
  add: []
  edit: [id: string, patch: Partial<Person>]
  remove: [id: string]
}>()

const SKILLS = { knife: 'knife', heat: 'hob and oven', raw: 'raw meat', simple: 'simple work' }
/** A helper does what its own caution allows: nothing with knives, heat or raw food. */
const withPractice = (practice: Person['practice']): Partial<Person> =>
  practice === 'helper' ? { practice, skills: ['simple'] } : { practice }
const PRACTICE = {
  practised: 'practised',
  learning: 'learning: a fifth less at once',
  helper: 'helper: little at once',
}

const PACES = { 80: 'quick', 100: 'as recipes say', 130: 'a third slower', 160: 'much slower' }
const wrong = ref<Record<string, string>>({})
const awayText = (p: Person) => (p.away ?? []).map((a) => `${a.from}–${a.to}`).join(', ')

/** `12:00–13:00, 15:30-16`: times away as one writes them. */
function setAway(person: Person, typed: string) {
  const clock = (text: string) =>
    /^\d{1,2}(:\d\d)?$/.test(text)
      ? `${text.padStart(2, '0').replace(/^(\d):/, '0$1:')}${text.includes(':') ? '' : ':00'}`
      : text
  const away = typed
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => part.split(/\s*(?:[-–—]|to)\s*/).map(clock))
  const sound = away.every(
    (a) => a.length === 2 && a.every((t) => /^(?:[01]\d|2[0-3]):[0-5]\d$/.test(t)) && a[0]! < a[1]!,
  )
  wrong.value = {
    ...wrong.value,
    [person.id]: sound
      ? ''
      : `"${typed}" says no times away. Allowed: 12:00–13:00, several with commas, or nothing.`,
  }
  if (sound) emit('edit', person.id, { away: away.map(([from, to]) => ({ from: from!, to: to! })) })
}
/** Hours that were set and may still be on their way to the household and back. */
const set = new Map<string, Partial<Pick<Person, 'from' | 'until'>>>()
watch(
  () => props.people,
  () => set.clear(),
)
function setHour(person: Person, key: 'from' | 'until', value: string) {
  const { from, until } = { ...person, ...set.get(person.id) }
  const other = key === 'from' ? until : from
  const sound =
    value === '' || other === undefined || (key === 'from' ? value < other : value > other)
  wrong.value = {
    ...wrong.value,
    [person.id]: sound
      ? ''
      : `${person.name} would be gone before coming: there until ${key === 'from' ? other : value}, from ${key === 'from' ? value : other}. Allowed: from before until.`,
  }
  if (!sound) return
  const hour = { [key]: value === '' ? undefined : value }
  set.set(person.id, { ...set.get(person.id), ...hour })
  emit('edit', person.id, hour)
}

function toggle(person: Person, skill: Person['skills'][number]) {
  const skills = person.skills.includes(skill)
    ? person.skills.filter((s) => s !== skill)
    : [...person.skills, skill]
  emit('edit', person.id, { skills })
}
</script>

<template>
  <section class="people" aria-label="Who cooks here">
    <h2>Who cooks here</h2>
    <ul class="bare">
      <li v-for="p in people" :key="p.id" :data-test="`person-${p.id}`">
        <TypedField
          class="over"
          :value="p.name"
          :aria-label="`Name of ${p.name}`"
          @commit="emit('edit', p.id, { name: $event })"
        />
        <select
          class="inset"
          :value="p.practice"
          :aria-label="`${p.name}: practice`"
          @change="
            emit(
              'edit',
              p.id,
              withPractice(($event.target as HTMLSelectElement).value as Person['practice']),
            )
          "
        >
          <option v-for="(word, key) in PRACTICE" :key="key" :value="key">{{ word }}</option>
        </select>
        <button
          v-if="props.people.length > 1"
          type="button"
          :aria-label="`Take ${p.name} away`"
          @click="emit('remove', p.id)"
        >
          ×
        </button>
        <span class="skills">
          <label v-for="(word, key) in SKILLS" :key="key"
            ><input type="checkbox" :checked="p.skills.includes(key)" @change="toggle(p, key)" />
            {{ word }}</label
          >
        </span>
        <span class="skills hours">
          <label
            >pace
            <select
              class="inset"
              :value="p.pace ?? 100"
              :aria-label="`${p.name}: pace`"
              @change="
                emit('edit', p.id, { pace: Number(($event.target as HTMLSelectElement).value) })
              "
            >
              <option v-for="(word, key) in PACES" :key="key" :value="key">{{ word }}</option>
            </select></label
          >
          <label
            >there from
            <input
              class="inset"
              type="time"
              :value="p.from ?? ''"
              :aria-label="`${p.name}: there from`"
              @change="setHour(p, 'from', ($event.target as HTMLInputElement).value)"
          /></label>
          <label
            >until
            <input
              class="inset"
              type="time"
              :value="p.until ?? ''"
              :aria-label="`${p.name}: there until`"
              @change="setHour(p, 'until', ($event.target as HTMLInputElement).value)"
          /></label>
          <label
            >away
            <TypedField
              class="inset away"
              :value="awayText(p)"
              placeholder="12:00–13:00"
              :aria-label="`${p.name}: away`"
              :aria-invalid="!!wrong[p.id]"
              @commit="setAway(p, $event)"
          /></label>
        </span>
        <p v-if="wrong[p.id]" class="wrong" role="alert">{{ wrong[p.id] }}</p>
      </li>
    </ul>
    <p class="quiet">
      A young helper: simple work only, no knives, no heat and no raw meat, which is how people get
      hurt.
    </p>
    <button type="button" class="more" @click="emit('add')">+ somebody</button>
  </section>
</template>

<style scoped>
.people {
  padding: 12px 16px;
  border-top: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
h2 {
  font-size: 1.15rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.over {
  width: 9em;
}
.skills {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.skills label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 30px;
}
.hours {
  flex-basis: 100%;
  font-size: 0.9rem;
}
.hours .inset {
  padding: 4px 6px;
  font-size: 0.9rem;
  color-scheme: light dark;
}
.away {
  width: 8.5em;
}
.wrong {
  flex-basis: 100%;
}
li button {
  min-width: 30px;
  min-height: 32px;
  margin-left: auto;
}
.quiet {
  margin: 6px 0;
  font-size: 0.88rem;
}
</style>
