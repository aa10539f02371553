<script setup lang="ts">
import { computed, ref } from 'vue'
import { isTickedOff, standsReady, type Instruction } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import { counted } from '~~/core/quantity'
import { graveCautions } from '~~/core/safety'
import type { Recipe } from '~~/core/recipe'
import type { CompiledSession, ListedSitting, Session } from '~~/core/session'
import { spanText } from '~/composables/useClock'
import { said } from '~/composables/useMeasures'

/** What has to stand ready, before the clock starts. */
const props = defineProps<{
  session: Session
  sittings: readonly ListedSitting[]
  sitting: string
  kitchen: Kitchen
  compiled: CompiledSession
  plan: Plan
  lines: readonly Instruction[]
  recipes: readonly Recipe[]
  broken: readonly string[]
}>()
const emit = defineEmits<{ start: []; open: [sitting: string] }>()

const checks = computed(() => standsReady({ ...props, after: spanText }).map(said))
/** What there is to tick off, as many as the stove says are to go. */
const things = computed(() => props.lines.filter(isTickedOff).length)
const here = computed(() =>
  props.session.cooks.map((id) => props.kitchen.people.find((p) => p.id === id)?.name ?? id),
)
/** What can maim or kill today, before anybody has a hand at it. */
const grave = computed(() => {
  const { cards, dishes } = props.compiled
  const made = new Set(
    props.plan.activities.map((a) => `${cards[a.id]?.dish} ${cards[a.id]?.step}`),
  )
  return graveCautions(
    dishes.flatMap((d) => props.recipes.find((r) => r.id === d.id) ?? []),
    (dish, step) => made.has(`${dish} ${step}`),
  ).map((g) => ({ text: said(g.text), dishes: g.dishes.join(', ') }))
})
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
    <SittingStrip :sittings="sittings" :open="sitting" @open="emit('open', $event)" />
    <h1>{{ session.name }}</h1>
    <p>
      {{ counted(things, 'thing') }} to do, {{ spanText(plan.makespan) }} by the plan. The clock
      starts when you press the button, whatever time the plan says.
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
    <template v-if="grave.length">
      <h2>Take care today</h2>
      <ul class="grave" data-test="grave">
        <li v-for="g in grave" :key="g.text">
          <strong>{{ g.dishes }}:</strong> {{ g.text }}
        </li>
      </ul>
    </template>
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
.checks li > * {
  flex: 1;
  min-width: 0;
}
.grave {
  padding-left: 20px;
}
.grave li {
  margin: 6px 0;
}
.caution {
  color: rgb(var(--v-theme-error));
}
.go {
  font-size: 1.25rem;
}
</style>
