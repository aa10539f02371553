<script setup lang="ts">
import type { Kitchen, Person } from '~~/core/kitchen'

const props = defineProps<{ people: Kitchen['people'] }>()
const emit = defineEmits<{
  add: []
  edit: [id: string, patch: Partial<Person>]
  remove: [id: string]
}>()

const SKILLS = { knife: 'knife', heat: 'hob and oven', raw: 'raw meat', simple: 'simple work' }
const PRACTICE = {
  practised: 'practised',
  learning: 'learning: a fifth less at once',
  helper: 'helper: little at once',
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
            emit('edit', p.id, {
              practice: ($event.target as HTMLSelectElement).value as Person['practice'],
            })
          "
        >
          <option v-for="(word, key) in PRACTICE" :key="key" :value="key">{{ word }}</option>
        </select>
        <span class="skills">
          <label v-for="(word, key) in SKILLS" :key="key"
            ><input type="checkbox" :checked="p.skills.includes(key)" @change="toggle(p, key)" />
            {{ word }}</label
          >
        </span>
        <button
          v-if="props.people.length > 1"
          type="button"
          :aria-label="`Take ${p.name} away`"
          @click="emit('remove', p.id)"
        >
          ×
        </button>
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
