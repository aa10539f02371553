<script setup lang="ts">
import type { Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

const props = defineProps<{ step: Step; change: Change<Step> }>()
const { errors, apply, figure } = useFields<Step>((edit) => props.change(edit))

function days(typed: string) {
  if (!typed.trim() || Number(typed) === 0) void apply('ahead', ({ ahead: _, ...rest }) => rest)
  else
    figure(
      'ahead',
      'Days ahead',
      typed,
      (n) => void apply('ahead', (s) => ({ ...s, ahead: { ...s.ahead, days: n } })),
    )
}
const how = (typed: string) =>
  apply('ahead', (s) => ({
    ...s,
    ahead: { days: s.ahead?.days ?? 1, ...(typed.trim() ? { how: typed.trim() } : {}) },
  }))
</script>

<template>
  <div class="ahead">
    <TypedField
      label="Can be done ahead"
      unit="days"
      inputmode="numeric"
      aria-label="Can be done ahead, days"
      :value="step.ahead?.days"
      :aria-invalid="!!errors.ahead"
      @commit="days"
    />
    <TypedField
      v-if="step.ahead"
      label="It keeps"
      :value="step.ahead.how"
      placeholder="in water in the fridge"
      @commit="how"
    />
    <p v-if="step.ahead && step.work === 'brown'" class="caution">
      Meat is cooked through before it is chilled, or kept raw: half-cooked it keeps germs growing.
      Follow local guidance.
    </p>
    <p v-if="errors.ahead" class="wrong" role="alert">{{ errors.ahead }}</p>
  </div>
</template>

<style scoped>
.ahead {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
