<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Kitchen, Person } from '~~/core/kitchen'
import { clockText, timeTyped } from '~/composables/useMeasures'

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
const PRACTICE: Record<Person['practice'], string> = {
  practised: 'practised',
  learning: 'learning: minds a fifth less at once',
  helper: 'helper: minds little at once',
}

const PACES = [
  { value: 80, title: 'quick' },
  { value: 100, title: 'as fast as recipes say' },
  { value: 130, title: 'a third slower' },
  { value: 160, title: 'much slower' },
]
const open = ref<string>()
const list = new Intl.ListFormat('en', { type: 'conjunction' })
/** What one wants to know of somebody at a glance. */
function wordsOf(p: Person): string {
  const all = Object.keys(SKILLS) as (keyof typeof SKILLS)[]
  const lacking = all.filter((s) => !p.skills.includes(s)).map((s) => SKILLS[s])
  const hours = [p.from && `from ${clockText(p.from)}`, p.until && `until ${clockText(p.until)}`]
  return [
    p.practice,
    lacking.length && `no ${list.format(lacking)}`,
    p.pace && p.pace !== 100 && PACES.find((x) => x.value === p.pace)?.title,
    hours.filter(Boolean).join(' '),
    p.away?.length && `away ${awayText(p)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
const wrong = ref<Record<string, string>>({})
const awayText = (p: Person) =>
  (p.away ?? []).map((a) => `${clockText(a.from)}–${clockText(a.to)}`).join(', ')

/** `12:00–13:00, 15:30-16`: times away as one writes them. */
function setAway(person: Person, typed: string) {
  const away = typed
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => part.split(/\s*(?:[-–—]|to)\s*/).map(timeTyped))
  const sound = away.every(([from, to, more]) => from && to && !more && from < to)
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
        <NamedLine
          :name="p.name"
          :words="wordsOf(p)"
          :open="open === p.id"
          @rename="emit('edit', p.id, { name: $event })"
          @toggle="open = open === p.id ? undefined : p.id"
        />
        <div v-if="open === p.id" class="facts">
          <PickField
            label="At the stove"
            :value="p.practice"
            :items="PRACTICE"
            :aria-label="`${p.name}: practice`"
            @pick="emit('edit', p.id, withPractice($event))"
          />
          <PickField
            label="With a knife"
            :value="p.pace ?? 100"
            :items="PACES"
            :aria-label="`${p.name}: pace`"
            @pick="emit('edit', p.id, { pace: $event })"
          />
          <div class="skills wide">
            <CheckField
              v-for="(word, key) in SKILLS"
              :key="key"
              :value="p.skills.includes(key)"
              :label="word"
              @set="toggle(p, key)"
            />
          </div>
          <HourField
            label="There from"
            :name="`${p.name}: there from`"
            :value="p.from"
            empty
            @set="setHour(p, 'from', $event ?? '')"
          />
          <HourField
            label="Until"
            :name="`${p.name}: there until`"
            :value="p.until"
            empty
            @set="setHour(p, 'until', $event ?? '')"
          />
          <TypedField
            label="Away"
            class="wide"
            :value="awayText(p)"
            placeholder="12:00–13:00"
            :aria-label="`${p.name}: away`"
            :aria-invalid="!!wrong[p.id]"
            @commit="setAway(p, $event)"
          />
          <v-btn
            v-if="people.length > 1"
            size="small"
            variant="text"
            color="error"
            :aria-label="`Take ${p.name} away`"
            @click="emit('remove', p.id)"
            >Does not cook here any more</v-btn
          >
        </div>
        <p v-if="wrong[p.id]" class="wrong" role="alert">{{ wrong[p.id] }}</p>
      </li>
    </ul>
    <p class="quiet">
      A young helper does simple work only: knives, heat and raw meat are how people get hurt.
    </p>
    <v-btn class="more" size="small" variant="text" @click="emit('add')">+ somebody</v-btn>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.15rem;
}
li {
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}
.facts {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 6px 12px;
  padding: 4px 8px 10px;
}
.facts > .wide,
.facts > :deep(.wide) {
  grid-column: 1 / -1;
}
.skills {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
.quiet {
  margin: 6px 0;
  font-size: 0.88rem;
}
</style>
