<script setup lang="ts">
import { computed, ref } from 'vue'
import { spanText } from '~/composables/useClock'
import { isAllowed, PLANNING_SECONDS, usePlanning } from '~/stores/planning'

defineProps<{ canPlan: boolean; refusal: string[]; broken: string[] }>()
const emit = defineEmits<{ plan: [seed: number] }>()
const planning = usePlanning()
/** What stands in the field, sound or not: it is never overwritten while somebody types. */
const draft = ref(String(planning.seconds))
const wrong = ref(false)

/** Takes the seconds over where they are sound; otherwise says what is allowed, and keeps both. */
function setSeconds(value: string) {
  draft.value = value
  const seconds = Number(value)
  wrong.value = value.trim() === '' || !isAllowed(seconds)
  if (!wrong.value) planning.seconds = seconds
}

const share = computed(() =>
  Math.min(100, ((planning.progress?.elapsedMs ?? 0) / (planning.seconds * 1000)) * 100),
)
const words = computed(() => {
  const p = planning.progress
  if (!p) return 'Setting up …'
  if (p.best === undefined) return 'Looking for a first plan …'
  const far = ((p.best - p.bound) / Math.max(1, p.best)) * 100
  return `Best so far ${spanText(p.best)}, could be at most ${far.toFixed(1)} % shorter`
})
</script>

<template>
  <div class="progress no-print">
    <div v-if="planning.running" class="run" data-test="planning">
      <div class="words" role="status">
        {{ words }}
        <span v-if="planning.progress" class="quiet">
          · {{ planning.progress.iterations.toLocaleString('en') }} plans tried
        </span>
      </div>
      <v-progress-linear
        :model-value="share"
        color="primary"
        height="6"
        rounded
        aria-label="Time spent planning"
      />
      <v-btn color="primary" variant="outlined" @click="planning.stop()">Stop, take the best</v-btn>
    </div>
    <div v-if="canPlan" class="idle" :class="{ away: planning.running }">
      <v-btn
        variant="outlined"
        size="small"
        @click="emit('plan', 1 + Math.floor(Math.random() * 1e6))"
      >
        Look again
      </v-btn>
      <v-text-field
        class="snug"
        :model-value="draft"
        inputmode="numeric"
        prefix="for"
        suffix="seconds"
        aria-label="Seconds to plan"
        :error="wrong"
        @update:model-value="setSeconds(String($event))"
      />
      <span v-if="wrong" class="wrong" role="alert">
        Seconds to plan: {{ PLANNING_SECONDS.least }} to {{ PLANNING_SECONDS.most }}; until then
        {{ planning.seconds }} count.
      </span>
    </div>
    <div v-if="planning.failure" class="bad" role="alert">{{ planning.failure }}</div>
    <div v-if="refusal.length" class="bad" role="alert">
      <strong>This cannot be done:</strong>
      <ul>
        <li v-for="reason in refusal" :key="reason">{{ reason }}</li>
      </ul>
      <template v-if="broken.length">
        <strong>The plan below comes nearest, but:</strong>
        <ul data-test="broken">
          <li v-for="limit in broken" :key="limit">{{ limit }}</li>
        </ul>
      </template>
    </div>
  </div>
</template>

<style scoped>
.progress {
  flex: 1;
  display: grid;
  align-content: center;
  min-height: 54px;
}
/* One lies over the other: as high while planning as before and after it, so nothing below moves. */
.run,
.idle {
  grid-area: 1 / 1;
}
.idle.away {
  visibility: hidden;
}
.run {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px 16px;
  align-items: center;
}
.run .v-btn {
  grid-row: 1 / 3;
  grid-column: 2;
}
@media (max-width: 600px) {
  .progress {
    flex-basis: 100%;
  }
  /* However many lines its words take: it lies over the foot of the page, and moves nothing. */
  .run {
    position: fixed;
    z-index: 5;
    inset: auto 0 0;
    grid-template-columns: minmax(0, 1fr);
    padding: 10px 16px 14px;
    border-top: 1px solid var(--hair);
    background: rgb(var(--v-theme-surface));
  }
  .run .v-btn {
    grid-row: auto;
    grid-column: 1;
    justify-self: start;
  }
}
.idle {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
.bad {
  margin: 8px 0;
  padding: 10px 14px;
  border-left: 6px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
}
.bad ul {
  padding-left: 18px;
}
</style>
