<script setup lang="ts">
await navigateTo('/plan', { replace: true })
</script>

<template>
  <div />
</template>
