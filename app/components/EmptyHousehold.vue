<script setup lang="ts">
import { useReplacing } from '~/composables/useReplacing'

const { demo } = useReplacing()
</script>

<template>
  <section class="empty">
    <h1>Nothing on the stove yet</h1>
    <p>
      Cadrum plans a cooking session from a kitchen and its recipes. Describe
      <NuxtLink to="/kitchen">your kitchen</NuxtLink> and bring
      <NuxtLink to="/recipes">your recipes</NuxtLink> in, import a file of yours from the Household
      menu, or look around with Highfell, a made-up farm kitchen with twelve dishes.
    </p>
    <v-btn color="primary" size="large" @click="demo">Load Highfell</v-btn>
  </section>
</template>

<style scoped>
.empty {
  max-width: 560px;
  margin: 48px auto;
}
p {
  margin: 12px 0 20px;
}
</style>
