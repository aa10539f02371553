<script setup lang="ts">
import { computed, ref } from 'vue'
import { standsReady, type Instruction } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import { counted } from '~~/core/quantity'
import type { Recipe } from '~~/core/recipe'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { said } from '~/composables/useMeasures'

/** What has to stand ready, before the clock starts. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  plan: Plan
  lines: readonly Instruction[]
  recipes: readonly Recipe[]
  broken: readonly string[]
}>()
const emit = defineEmits<{ start: [] }>()

const checks = computed(() => {
  const clock = (seconds: number) => clockTime(props.session.start, seconds)
  return standsReady({ ...props, clock }).map(said)
})
const here = computed(() =>
  props.session.cooks.map((id) => props.kitchen.people.find((p) => p.id === id)?.name ?? id),
)
const ticked = ref(new Set<string>())
const tick = (text: string, on: unknown) => {
  const next = new Set(ticked.value)
  if (on) next.add(text)
  else next.delete(text)
  ticked.value = next
}
const open = computed(
  () =>
    [...here.value.map((n) => `${n} is here`), ...checks.value].filter((c) => !ticked.value.has(c))
      .length,
)
</script>

<template>
  <section class="start">
    <h1>{{ session.name }}</h1>
    <p>
      {{ counted(lines.length, 'thing') }} to do, {{ spanText(plan.makespan) }} by the plan. The
      clock starts when you press the button, whatever time the plan says.
    </p>
    <p v-if="broken.length" class="caution">
      No plan keeps everything. This one comes nearest, but: {{ broken.join('; ') }}.
    </p>
    <h2>Before you start</h2>
    <ul class="checks">
      <li v-for="text in [...here.map((n) => `${n} is here`), ...checks]" :key="text">
        <v-checkbox
          :model-value="ticked.has(text)"
          :label="text"
          density="comfortable"
          @update:model-value="tick(text, $event)"
        />
      </li>
    </ul>
    <p class="caution">
      Hot pans, sharp blades, raw meat: follow your local guidance and the makers’ manuals. The plan
      never knows better than what you see in the pan.
    </p>
    <v-btn color="primary" height="64" class="go" data-test="start" @click="emit('start')">
      Start cooking now
    </v-btn>
    <p v-if="open" class="quiet" data-test="open-checks">
      {{ counted(open, 'thing') }} not ticked off yet.
    </p>
  </section>
</template>

<style scoped>
.start {
  max-width: 720px;
  margin: 24px auto;
  font-size: 1.1rem;
}
.start p {
  margin: 10px 0 14px;
}
h2 {
  margin-top: 18px;
  font-size: 1.3rem;
}
.checks {
  padding: 0;
  list-style: none;
}
.checks li {
  display: flex;
  min-height: 56px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
.caution {
  color: rgb(var(--v-theme-error));
}
.go {
  font-size: 1.25rem;
}
</style>
