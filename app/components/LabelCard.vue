<script setup lang="ts">
import { mdiPencil, mdiRestore } from '@mdi/js'
import { ref } from 'vue'
import type { Label } from '~~/core/labels'

/** One label as it will be read, to be left out, copied or written by hand. */
defineProps<{
  label: Label
  lines: readonly string[]
  index: number
  chosen: boolean
  copies: number
  /** It was written by hand. */
  changed: boolean
  /** What it would say has become something else since. */
  outdated: boolean
}>()
const emit = defineEmits<{
  choose: [on: boolean]
  copies: [n: number]
  write: [text: string | undefined]
}>()
const MOST = 20
/** Letters that a label holds at most. */
const LONGEST = 600
const writing = ref<string>()
const wrong = ref<string>()
function keep() {
  const text = (writing.value ?? '').trim()
  wrong.value = !text
    ? 'Nothing is on it. Allowed: at least its name.'
    : text.length > LONGEST
      ? `${text.length} letters are too many. Allowed: up to ${LONGEST}.`
      : undefined
  if (wrong.value) return
  emit('write', text)
  writing.value = undefined
}
const copyItems = Array.from({ length: MOST }, (_, k) => ({
  value: k + 1,
  title: k ? `${k + 1} copies` : '1 copy',
}))
</script>

<template>
  <li class="label" :class="{ out: !chosen }" :data-test="`label-${label.id}`">
    <div class="head no-print">
      <v-checkbox
        :model-value="chosen"
        :aria-label="`Print ${label.name}, ${label.portions} portions`"
        @update:model-value="emit('choose', $event === true)"
      />
      <DishMark :mark="label.mark" :index="index" />
      <span class="space" />
      <PickField
        class="copies"
        :value="copies"
        :items="copyItems"
        :aria-label="`Copies of ${label.name}`"
        @pick="emit('copies', $event)"
      />
      <IconButton
        :icon="mdiPencil"
        :label="`Write ${label.name} by hand`"
        @click="writing = lines.join('\n')"
      />
      <IconButton
        v-if="changed"
        :icon="mdiRestore"
        label="As it was worked out"
        @click="emit('write', undefined)"
      />
    </div>
    <template v-if="writing !== undefined">
      <v-textarea
        v-model="writing"
        auto-grow
        rows="6"
        :aria-label="`Words on the label of ${label.name}`"
        :error="wrong !== undefined"
      />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <v-btn size="small" variant="tonal" @click="keep">Keep</v-btn>
      <v-btn size="small" variant="text" @click="writing = undefined">Leave it</v-btn>
    </template>
    <p v-if="outdated" class="wrong" role="status">
      Written by hand, and what is cooked has changed since: look at its days and portions.
    </p>
    <div v-if="writing === undefined" class="paper" :title="label.because">
      <p v-for="(line, k) in lines" :key="k" :class="{ name: k === 0 }">{{ line }}</p>
    </div>
  </li>
</template>

<style scoped>
.label {
  display: flex;
  flex-direction: column;
  break-inside: avoid;
}
.head {
  display: flex;
  gap: 4px;
  align-items: center;
}
.space {
  flex: 1;
}
.copies {
  max-width: 8em;
}
.paper {
  flex: 1;
  padding: 10px 12px;
  border: 1px solid var(--hair);
  border-radius: 6px;
  background: rgb(var(--v-theme-surface));
  font-size: 0.92rem;
}
.name {
  font-weight: 700;
}
.out .paper {
  opacity: 0.45;
}
</style>
