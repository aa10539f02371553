<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'

/** A thing by its name, with what one wants to know of it; all else is behind one touch. */
defineProps<{ name: string; words: string; source?: string | undefined; open: boolean }>()
const emit = defineEmits<{ rename: [name: string]; toggle: [] }>()
</script>

<template>
  <div class="line">
    <slot />
    <TypedField
      as="text"
      class="name"
      :value="name"
      :aria-label="`Name of ${name}`"
      @commit="emit('rename', $event)"
    />
    <span class="quiet words" :title="source">{{ words }}</span>
    <IconButton
      :icon="open ? mdiChevronUp : mdiChevronDown"
      :label="`More about ${name}`"
      :aria-expanded="open"
      @click="emit('toggle')"
    />
  </div>
</template>

<style scoped>
.line {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
.line :deep(.name) {
  flex: 0 1 11em;
  min-width: 5em;
}
.words {
  flex: 1;
  font-size: 0.9rem;
}
</style>
