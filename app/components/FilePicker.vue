<script setup lang="ts">
import { ref } from 'vue'

/** The browser's own way to choose a file, opened from a button or a menu beside it. */
defineProps<{ label: string; accept: string }>()
const emit = defineEmits<{ chosen: [file: File] }>()
const field = ref<HTMLInputElement>()
defineExpose({ open: () => field.value?.click() })
function choose() {
  const file = field.value!.files?.[0]
  // The same file may be chosen again.
  field.value!.value = ''
  if (file) emit('chosen', file)
}
</script>

<template>
  <input
    ref="field"
    type="file"
    class="unseen"
    :accept="accept"
    :aria-label="label"
    tabindex="-1"
    @change="choose"
  />
</template>
