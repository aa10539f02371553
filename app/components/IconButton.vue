<script setup lang="ts">
/** A button that is a picture only, with its name for whoever cannot see it or does not know it. */
defineProps<{ icon: string; label: string }>()
</script>

<template>
  <v-btn
    :icon="icon"
    variant="text"
    size="small"
    density="comfortable"
    :aria-label="label"
    :title="label"
  />
</template>
