<script setup lang="ts">
import { clearError } from '#imports'
import type { NuxtError } from '#app'
import { useColours } from '~/composables/useColours'

const props = defineProps<{ error: NuxtError }>()
useColours()
const missing = props.error.statusCode === 404
</script>

<template>
  <v-app>
    <main class="page">
      <h1>{{ missing ? 'There is no such page' : 'This page could not be shown' }}</h1>
      <p v-if="missing">The address leads nowhere. What you own is untouched.</p>
      <p v-else>What you own is untouched. What went wrong: {{ error.message }}</p>
      <v-btn color="primary" size="large" @click="clearError({ redirect: '/plan' })">
        To the plan
      </v-btn>
    </main>
  </v-app>
</template>

<style scoped>
.page {
  max-width: 560px;
  margin: 48px auto;
  padding: 0 16px;
}
p {
  margin: 12px 0 20px;
}
</style>
