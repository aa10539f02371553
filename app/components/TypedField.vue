<script setup lang="ts">
import { computed, ref, useAttrs, watch } from 'vue'

/**
 * A field that keeps what is being typed, though the value behind it is changed elsewhere
 * meanwhile (another tab), and what was refused, until it is mended.
 */
const props = defineProps<{
  value: string | number | undefined
  /** Said above it. */
  label?: string
  /** What a number in it counts, said behind it. */
  unit?: string
  /** May be longer than its field is wide: it then takes several lines. */
  long?: boolean
  /** Stands as text or as a heading until somebody types over it. */
  as?: 'text' | 'heading'
}>()
const emit = defineEmits<{ commit: [typed: string] }>()
defineOptions({ inheritAttrs: false })
const attrs = useAttrs()
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
/** What is pasted may have line breaks; the value is one line. */
function commit(event: Event) {
  const typed = (event.target as HTMLInputElement).value
  emit('commit', props.long ? typed.replace(/\s+/g, ' ').trim() : typed)
}
const bound = computed(() => ({
  ...attrs,
  class: [attrs.class, props.as && `as-${props.as}`, props.unit && 'snug'],
  error: attrs['aria-invalid'] === true,
  suffix: props.unit,
  onFocus: enter,
  onBlur: leave,
  onChange: commit,
}))
</script>

<template>
  <FieldName :label="label">
    <v-textarea
      v-if="long"
      v-bind="bound"
      v-model="text"
      rows="1"
      auto-grow
      no-resize
      @keydown.enter.prevent="($event.target as HTMLTextAreaElement).blur()"
    />
    <v-text-field v-else v-bind="bound" v-model="text">
      <template v-if="$slots.default" #append-inner><slot /></template>
    </v-text-field>
  </FieldName>
</template>
