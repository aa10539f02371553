<script setup lang="ts">
/** The name of a field above it, where it has one. */
defineProps<{ label: string | undefined }>()
</script>

<template>
  <label v-if="label" class="named"
    ><span>{{ label }}</span
    ><slot
  /></label>
  <slot v-else />
</template>
