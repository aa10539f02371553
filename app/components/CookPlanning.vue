<script setup lang="ts">
import { computed } from 'vue'
import { spanText } from '~/composables/useClock'
import { usePlanShown } from '~/composables/usePlanShown'
import { useSession } from '~/composables/useSession'
import { usePlanning } from '~/stores/planning'

/**
 * Where there is no plan for what the session is by now (its recipes changed, or how long the cooks take
 * was learned since): makes one, or says where it is said why there can be none.
 */
const held = useSession()
usePlanShown(held)
const planning = usePlanning()
const best = computed(() => planning.progress?.best)
</script>

<template>
  <section class="start">
    <SittingStrip :sittings="held.sittings.value" :open="held.sitting.value" @open="held.openThe" />
    <template v-if="planning.running">
      <h1>Making the plan</h1>
      <p role="status">
        {{ best === undefined ? 'It takes a few seconds.' : `Best so far ${spanText(best)}.` }}
      </p>
      <v-progress-linear
        indeterminate
        color="primary"
        height="6"
        rounded
        aria-label="Making the plan"
      />
      <v-btn v-if="best !== undefined" variant="outlined" size="large" @click="planning.stop()">
        Stop, take the best
      </v-btn>
    </template>
    <template v-else>
      <h1>No plan to cook from</h1>
      <p>As it stands this cannot be cooked. The plan says why, and what could be changed.</p>
      <v-btn to="/plan" color="primary" size="large">To the plan</v-btn>
    </template>
  </section>
</template>

<style scoped>
.start {
  max-width: 560px;
  margin: 40px auto;
}
.start p {
  margin: 10px 0 16px;
}
.start .v-btn {
  margin-top: 16px;
}
</style>
