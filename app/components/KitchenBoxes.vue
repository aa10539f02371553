<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { ref } from 'vue'
import type { Box } from '~~/core/kitchen'
import { freeId, idFor } from '~~/core/recipe'
import { numberTyped } from '~/composables/useFields'

/** What food is put away in: how many of each size, and whether each has a lid. */
const props = defineProps<{ boxes: readonly Box[] }>()
const emit = defineEmits<{ change: [boxes: Box[], told?: string] }>()
const KINDS: Record<Box['kind'], string> = { box: 'box', bag: 'bag', tray: 'tray', jar: 'jar' }
const wrong = ref<Record<string, string>>({})
const edit = (id: string, patch: Partial<Box>) =>
  emit(
    'change',
    props.boxes.map((b) => (b.id === id ? { ...b, ...patch } : b)),
  )
function rename(box: Box, typed: string) {
  const name = typed.trim()
  const fine = name.length > 0 && name.length <= 200
  wrong.value = {
    ...wrong.value,
    [box.id]: fine ? '' : 'They want a name. Allowed: 1 to 200 letters.',
  }
  if (fine) edit(box.id, { name })
}
function figure(box: Box, key: 'litres' | 'count' | 'lids', typed: string) {
  const n = numberTyped(typed)
  const fine = key === 'litres' ? n > 0 && n <= 50 : Number.isInteger(n) && n >= 0 && n <= 500
  wrong.value = {
    ...wrong.value,
    [box.id]: fine
      ? ''
      : `"${typed}" does not fit. Allowed: ${key === 'litres' ? 'more than 0, up to 50 litres' : 'a whole number from 0 to 500'}.`,
  }
  if (fine) edit(box.id, { [key]: n })
}
function add(kind: Box['kind']) {
  const name = { box: 'Boxes', bag: 'Bags', tray: 'Trays', jar: 'Jars' }[kind]
  const id = freeId(idFor(name, new Set()), new Set(props.boxes.map((b) => b.id)))
  emit('change', [...props.boxes, { id, name, kind, litres: 1, count: 6 }])
}
const remove = (box: Box) =>
  emit(
    'change',
    props.boxes.filter((b) => b.id !== box.id),
    `${box.name}: gone.`,
  )
</script>

<template>
  <section aria-label="Boxes and bags" data-test="boxes">
    <h2>Boxes and bags</h2>
    <p class="quiet">
      What food is put away in. Each dish is given the smallest that holds it, and it is said
      beforehand where they do not suffice.
    </p>
    <ul class="bare">
      <li v-for="b in boxes" :key="b.id">
        <TypedField
          as="text"
          :value="b.name"
          :aria-label="`Name of ${b.name}`"
          @commit="rename(b, $event)"
        />
        <PickField
          :value="b.kind"
          :items="KINDS"
          :aria-label="`What ${b.name} are`"
          @pick="edit(b.id, { kind: $event })"
        />
        <TypedField
          unit="l"
          :value="b.litres"
          inputmode="decimal"
          :aria-label="`Litres that one of ${b.name} holds`"
          @commit="figure(b, 'litres', $event)"
        />
        <TypedField
          unit="there"
          :value="b.count"
          inputmode="numeric"
          :aria-label="`How many of ${b.name}`"
          @commit="figure(b, 'count', $event)"
        />
        <TypedField
          v-if="b.kind !== 'bag'"
          unit="lids"
          :value="b.lids ?? b.count"
          inputmode="numeric"
          :aria-label="`Lids of ${b.name}`"
          @commit="figure(b, 'lids', $event)"
        />
        <IconButton :icon="mdiClose" :label="`${b.name} are gone`" @click="remove(b)" />
        <p v-if="wrong[b.id]" class="wrong" role="alert">{{ wrong[b.id] }}</p>
      </li>
    </ul>
    <AddMenu
      label="More boxes or bags"
      :items="
        Object.entries(KINDS).map(([value, title]) => ({ value: value as Box['kind'], title }))
      "
      @pick="add"
    />
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 2px;
  font-size: 1.25rem;
}
/* Name, kind, litres, how many, lids, gone: a bag has no lids, and its place stays empty. */
li {
  display: grid;
  grid-template-columns: minmax(7em, 1fr) 6.5em 5em 6.2em 6.2em auto;
  gap: 4px 8px;
  align-items: center;
  padding: 3px 0;
}
li > button {
  grid-column: 6;
}
.wrong {
  grid-column: 1 / -1;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
    padding: 8px 0;
    border-bottom: 1px solid var(--hair);
  }
  li > :nth-child(1),
  li > :nth-child(2) {
    grid-column: span 2;
  }
  li > button {
    grid-column: 4;
  }
}
</style>
