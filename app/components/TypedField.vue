<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A field that keeps what is being typed, though the value behind it is changed elsewhere
 * meanwhile (another tab), and what was refused, until it is mended.
 */
const props = defineProps<{ value: string | number | undefined }>()
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
function leave() {
  focused = false
  if (text.value === before) text.value = shown()
}
</script>

<template>
  <input
    v-model="text"
    @focus="enter"
    @blur="leave"
    @change="emit('commit', ($event.target as HTMLInputElement).value)"
  />
</template>
