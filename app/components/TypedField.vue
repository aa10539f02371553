<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A field that keeps what is being typed, though the value behind it is changed elsewhere
 * meanwhile (another tab), and what was refused, until it is mended.
 */
const props = defineProps<{
  value: string | number | undefined
  /** May be longer than its field is wide: it then takes several lines. */
  long?: boolean
}>()
const emit = defineEmits<{ commit: [typed: string] }>()
const shown = () => String(props.value ?? '')
const text = ref(shown())
let focused = false
let before = ''

watch(
  () => props.value,
  () => {
    if (!focused) text.value = shown()
  },
)
function enter() {
  focused = true
  before = text.value
}
/** What is pasted may have line breaks; the value is one line. */
const commitLine = (typed: string) => emit('commit', typed.replace(/\s+/g, ' ').trim())
function leave() {
  focused = false
  if (text.value === before) text.value = shown()
}
</script>

<template>
  <textarea
    v-if="long"
    v-model="text"
    rows="1"
    @focus="enter"
    @blur="leave"
    @keydown.enter.prevent="($event.target as HTMLTextAreaElement).blur()"
    @change="commitLine(($event.target as HTMLTextAreaElement).value)"
  ></textarea>
  <input
    v-else
    v-model="text"
    @focus="enter"
    @blur="leave"
    @change="emit('commit', ($event.target as HTMLInputElement).value)"
  />
</template>

<style scoped>
textarea {
  field-sizing: content;
  vertical-align: top;
  resize: none;
}
</style>
