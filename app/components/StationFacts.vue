<script setup lang="ts">
import { computed } from 'vue'
import { KINDS, type KitchenStation } from '~~/core/kitchen'
import { numberTyped } from '~/composables/useFields'
import { heatRange } from '~/composables/useMeasures'
import { warmUp, withWarmUp } from '~/composables/useStationWords'

/** All that can be said of a place, to be changed. */
const props = defineProps<{ station: KitchenStation }>()
const emit = defineEmits<{ edit: [patch: Partial<KitchenStation>]; wrong: [text: string] }>()

const figures = computed(() => {
  const { size, counted } = KINDS[props.station.kind] ?? {}
  return [
    ...(size ? [{ field: 'size' as const, unit: size }] : []),
    ...(counted ? [{ field: 'capacity' as const, unit: counted }] : []),
  ]
})
const refuse = (typed: string, what: string) =>
  emit('wrong', `${props.station.name}: "${typed}" is not a ${what}. Nothing was changed.`)

function figure(field: 'size' | 'capacity', unit: string, typed: string) {
  // How large a burner is need not be known.
  if (typed.trim() === '' && props.station.kind === 'burner') emit('edit', { size: undefined })
  else if (numberTyped(typed) > 0) emit('edit', { [field]: numberTyped(typed) })
  else refuse(typed, `number of ${unit} above 0`)
}
const inOven = (patch: Partial<NonNullable<KitchenStation['oven']>>) =>
  emit('edit', { oven: { ...props.station.oven!, ...patch } })
function speed(typed: string) {
  const minutes = numberTyped(typed)
  if (minutes >= 0 && minutes <= 120)
    emit('edit', { oven: withWarmUp(props.station.oven!, minutes) })
  else refuse(typed, 'time of 0 to 120 minutes to get hot')
}
function walk(typed: string) {
  const minutes = typed.trim() === '' ? 0 : numberTyped(typed)
  if (minutes >= 0 && minutes <= 30) emit('edit', { walk: minutes || undefined })
  else refuse(typed, 'walk of 0 to 30 minutes')
}
function heat(k: 'min' | 'max', typed: string) {
  const value = numberTyped(typed)
  const { min, max } = props.station.oven!
  if (value >= 0 && value <= 400 && (k === 'min' ? value <= max : value >= min))
    inOven({ [k]: value })
  else
    emit(
      'wrong',
      `${props.station.name}: ${k === 'min' ? 'the lowest' : 'the highest'} heat "${typed}" does not fit. Allowed: ${heatRange([0, 400])}, the lowest below the highest.`,
    )
}
const strong = (on: boolean) =>
  emit('edit', {
    tags: [...props.station.tags.filter((t) => t !== 'large'), ...(on ? ['large'] : [])],
  })
</script>

<template>
  <div class="facts">
    <TypedField
      v-for="f in figures"
      :key="f.field"
      :unit="f.unit"
      inputmode="decimal"
      :value="station[f.field]"
      :aria-label="`${station.name}: ${f.unit}`"
      @commit="figure(f.field, f.unit, $event)"
    />
    <template v-if="station.oven">
      <HeatField
        :value="station.oven.min"
        :aria-label="`${station.name}: lowest heat`"
        @commit="heat('min', $event)"
      />
      <span>to</span>
      <HeatField
        :value="station.oven.max"
        :aria-label="`${station.name}: highest heat`"
        @commit="heat('max', $event)"
      />
      <TypedField
        unit="min until hot"
        inputmode="decimal"
        :value="warmUp(station.oven)"
        :aria-label="`${station.name}: minutes until it is hot`"
        @commit="speed"
      />
      <CheckField
        :value="station.oven.methods.includes('grill')"
        label="grill"
        :aria-label="`${station.name} has a grill`"
        @set="inOven({ methods: $event ? ['bake', 'grill'] : ['bake'] })"
      />
    </template>
    <TypedField
      v-if="station.kind === 'outdoor-grill' || station.walk"
      unit="min to walk there"
      inputmode="decimal"
      :value="station.walk ?? 0"
      :aria-label="`${station.name}: minutes to walk there`"
      @commit="walk"
    />
    <CheckField
      v-if="station.kind === 'burner'"
      :value="station.tags.includes('large')"
      label="strong"
      :aria-label="`${station.name} is strong`"
      @set="strong"
    />
  </div>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.facts > * {
  flex: none;
}
</style>
