<script setup lang="ts">
import { computed } from 'vue'
import { mayWaitFor, type Recipe, type Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

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
function setMost(id: string, typed: string) {
  const set = (most?: number) =>
    void apply('after', (s) => ({
      ...s,
      after: s.after.map((a) => {
        if (a.step !== id) return a
        const { most: _, ...rest } = a
        return most === undefined ? rest : { ...rest, most }
      }),
    }))
  if (typed.trim() === '') set()
  else figure('after', 'Longest wait', typed, set)
}
</script>

<template>
  <details v-if="others.length" :open="step.after.length > 0">
    <summary>Waits for {{ step.after.length || 'nothing' }}</summary>
    <div v-for="o in others" :key="o.id" class="wait">
      <label>
        <input
          type="checkbox"
          :checked="waitOf(o.id) !== undefined"
          @change="setWait(o.id, ($event.target as HTMLInputElement).checked)"
        />
        {{ o.do }}
      </label>
      <label v-if="waitOf(o.id)">
        at most
        <TypedField
          class="inset most"
          inputmode="numeric"
          placeholder="any"
          :aria-label="`Longest wait after: ${o.do}`"
          :value="waitOf(o.id)?.most"
          @commit="setMost(o.id, $event)"
        />
        min later
      </label>
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
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  justify-content: space-between;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  font-size: 0.92rem;
}
.most {
  width: 4.5em;
}
</style>
