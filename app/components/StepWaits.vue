<script setup lang="ts">
import { computed } from 'vue'
import { counted } from '~~/core/quantity'
import { foodLinks, mayWaitFor, type Recipe, type Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

type Wait = Step['after'][number]
const props = defineProps<{ recipe: Recipe; step: Step; change: Change<Step> }>()
const { errors, apply, figure } = useFields<Step>((edit) => props.change(edit))
const others = computed(() => mayWaitFor(props.recipe, props.step.id))
const waitOf = (id: string) => props.step.after.find((a) => a.step === id)

function setWait(id: string, on: boolean) {
  void apply('after', (s) => ({
    ...s,
    after: on ? [...s.after, { step: id }] : s.after.filter((a) => a.step !== id),
  }))
}
/** How long the food may wait where the recipe does not say, and why. */
const usualOf = (id: string) =>
  foodLinks(props.recipe).find((l) => l.from === id && l.to === props.step.id)?.usual
const setTo = (id: string, change: (wait: Wait) => Wait) =>
  void apply('after', (s) => ({
    ...s,
    after: s.after.map((a) => (a.step === id ? change(a) : a)),
  }))
function setMost(id: string, typed: string) {
  const text = typed.trim().toLowerCase()
  if (text === '')
    setTo(id, (wait) => {
      const { most: _, ...rest } = wait
      return rest
    })
  else if (text === 'any') setTo(id, (a) => ({ ...a, most: null }))
  else figure('after', 'Longest wait', typed, (most) => setTo(id, (a) => ({ ...a, most })))
}
function setLeast(id: string, typed: string) {
  if (typed.trim() === '')
    setTo(id, (wait) => {
      const { least: _, ...rest } = wait
      return rest
    })
  else figure('after', 'Shortest wait', typed, (least) => setTo(id, (a) => ({ ...a, least })))
}
function setFood(id: string, along: boolean) {
  setTo(id, (wait) => {
    const { food: _, ...rest } = wait
    return along ? rest : { ...rest, food: false }
  })
}
const mostText = (wait: Wait) => (wait.most === null ? 'any' : wait.most)
</script>

<template>
  <details v-if="others.length" :open="step.after.length > 0">
    <summary>
      Waits for {{ step.after.length ? counted(step.after.length, 'step') : 'nothing' }}
    </summary>
    <div v-for="o in others" :key="o.id" class="wait">
      <CheckField :value="waitOf(o.id) !== undefined" :label="o.do" @set="setWait(o.id, $event)" />
      <div v-if="waitOf(o.id)" class="times">
        <span>begins</span>
        <TypedField
          class="snug"
          inputmode="numeric"
          placeholder="0"
          :aria-label="`Shortest wait after: ${o.do}`"
          :value="waitOf(o.id)?.least"
          @commit="setLeast(o.id, $event)"
        />
        <span>to</span>
        <TypedField
          inputmode="text"
          unit="min later"
          :placeholder="usualOf(o.id) ? String(usualOf(o.id)!.most) : 'any'"
          :aria-label="`Longest wait after: ${o.do}`"
          :value="mostText(waitOf(o.id)!)"
          @commit="setMost(o.id, $event)"
        />
        <CheckField
          :value="waitOf(o.id)?.food !== false"
          label="its food goes in"
          :aria-label="`The food goes in from: ${o.do}`"
          @set="setFood(o.id, $event)"
        />
        <small v-if="waitOf(o.id)?.most === undefined && usualOf(o.id)" class="quiet">
          {{ usualOf(o.id)!.most }} min unless you say otherwise: {{ usualOf(o.id)!.source }}
        </small>
      </div>
    </div>
    <p v-if="errors.after" class="wrong" role="alert">{{ errors.after }}</p>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-size: 0.9rem;
}
.wait {
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}
.times {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
  padding-left: 34px;
}
.times small {
  flex-basis: 100%;
}
</style>
