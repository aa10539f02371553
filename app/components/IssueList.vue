<script setup lang="ts">
import type { Issue } from '~~/core/reading'

defineProps<{ issues: Issue[] }>()
</script>

<template>
  <div class="issues" role="alert">
    <h2>This cannot be planned yet</h2>
    <ul>
      <li v-for="issue in issues" :key="issue.path + issue.message">
        <strong>{{ issue.message }}.</strong> Allowed: {{ issue.allowed }}.
      </li>
    </ul>
  </div>
</template>

<style scoped>
.issues {
  margin-bottom: 16px;
  padding: 14px 18px;
  border-left: 6px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
}
h2 {
  font-size: 1.15rem;
}
ul {
  margin: 8px 0 0 18px;
}
</style>
