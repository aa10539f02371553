<script setup lang="ts">
import { computed } from 'vue'
import type { KitchenStation } from '~~/core/kitchen'
import { mostLitres } from '~~/core/recipe'

const props = defineProps<{ station: KitchenStation }>()
const emit = defineEmits<{ edit: [patch: Partial<KitchenStation>]; wrong: [text: string] }>()

/** What a size means for a kind, if it has one. */
const SIZE: Record<string, string> = {
  pot: 'litres',
  'slow-cooker': 'litres',
  'pressure-cooker': 'litres',
  'rice-cooker': 'litres',
  'air-fryer': 'litres',
  'frying-pan': 'cm across',
  burner: 'cm across',
}
/** What several of a kind are counted in. */
const COUNT: Record<string, string> = {
  oven: 'shelves',
  tray: 'trays',
  'oven-dish': 'dishes',
  bowl: 'bowls',
  lid: 'lids',
  colander: 'of them',
  grater: 'of them',
  bench: 'places',
  fridge: 'litres free',
  freezer: 'litres free',
}

const UNITS_OF = { size: SIZE, capacity: COUNT }
const figures = computed(() =>
  (['size', 'capacity'] as const).flatMap((field) => {
    const unit = UNITS_OF[field][props.station.kind]
    return unit ? [{ field, unit }] : []
  }),
)

/** How much may go in, for what boils over or must not be full. */
const fill = computed(() =>
  props.station.size !== undefined &&
  ['pot', 'slow-cooker', 'pressure-cooker'].includes(props.station.kind)
    ? mostLitres(
        props.station.kind as 'pot' | 'slow-cooker' | 'pressure-cooker',
        props.station.size,
      )
    : undefined,
)

function figure(field: 'size' | 'capacity', typed: string) {
  const value = Number(typed.replace(',', '.'))
  // How large a burner is need not be known.
  if (typed.trim() === '' && props.station.kind === 'burner' && field === 'size')
    return emit('edit', { size: undefined })
  if (!(value > 0)) {
    const unit = UNITS_OF[field][props.station.kind]
    emit(
      'wrong',
      `${props.station.name}: "${typed}" is no number of ${unit} above 0. Nothing was changed.`,
    )
    return
  }
  emit('edit', { [field]: value })
}
/** Minutes from cold to 200 °C: what a cook knows of an oven. */
const HOT = 180
const warmUp = computed(
  () => Math.round(((props.station.oven?.heatSecondsPerDegree ?? 0) * HOT) / 6) / 10,
)
function speed(typed: string) {
  const minutes = Number(typed.replace(',', '.'))
  const { oven } = props.station
  if (!oven || typed.trim() === '' || !(minutes >= 0 && minutes <= 120)) {
    emit(
      'wrong',
      `${props.station.name}: "${typed}" is no time of 0 to 120 minutes to 200 °C. Nothing was changed.`,
    )
    return
  }
  const heatSecondsPerDegree = Math.round((minutes * 6000) / HOT) / 100
  // An oven loses heat more slowly than it gains it; how much more slowly stays as it was.
  const ratio =
    oven.heatSecondsPerDegree > 0 ? oven.coolSecondsPerDegree / oven.heatSecondsPerDegree : 2
  const coolSecondsPerDegree = Math.min(60, Math.round(heatSecondsPerDegree * ratio * 100) / 100)
  emit('edit', { oven: { ...oven, heatSecondsPerDegree, coolSecondsPerDegree } })
}
function grill(on: boolean) {
  const { oven } = props.station
  if (oven) emit('edit', { oven: { ...oven, methods: on ? ['bake', 'grill'] : ['bake'] } })
}
function walk(typed: string) {
  const minutes = typed.trim() === '' ? 0 : Number(typed.replace(',', '.'))
  if (!(minutes >= 0 && minutes <= 30))
    emit(
      'wrong',
      `${props.station.name}: "${typed}" is no walk of 0 to 30 minutes. Nothing was changed.`,
    )
  else emit('edit', { walk: minutes || undefined })
}
function heat(k: 'min' | 'max', typed: string) {
  const value = Number(typed)
  const { oven } = props.station
  const sound =
    oven &&
    value >= 0 &&
    value <= 400 &&
    typed.trim() !== '' &&
    (k === 'min' ? value <= oven.max : value >= oven.min)
  if (!sound) {
    emit(
      'wrong',
      `${props.station.name}: ${k === 'min' ? 'the lowest' : 'the highest'} heat "${typed}" does not fit. Allowed: 0 to 400 °C, the lowest below the highest.`,
    )
    return
  }
  emit('edit', { oven: { ...oven, [k]: value } })
}
</script>

<template>
  <span class="facts">
    <label v-for="f in figures" :key="f.field"
      ><TypedField
        class="inset"
        inputmode="decimal"
        :value="station[f.field]"
        :aria-label="`${station.name}: ${f.unit}`"
        @commit="figure(f.field, $event)"
      />
      {{ f.unit }}</label
    >
    <span v-if="fill" class="quiet" :title="fill!.source">holds {{ fill!.most }}</span>
    <template v-if="station.oven">
      <label
        ><TypedField
          class="inset"
          inputmode="numeric"
          :value="station.oven.min"
          :aria-label="`${station.name}: lowest heat in °C`"
          @commit="heat('min', $event)"
        />
        to</label
      >
      <label
        ><TypedField
          class="inset"
          inputmode="numeric"
          :value="station.oven.max"
          :aria-label="`${station.name}: highest heat in °C`"
          @commit="heat('max', $event)"
        />
        °C</label
      >
      <label
        >hot in
        <TypedField
          class="inset"
          inputmode="decimal"
          :value="warmUp"
          :aria-label="`${station.name}: minutes to 200 °C`"
          @commit="speed($event)"
        />
        min</label
      >
      <label
        ><input
          type="checkbox"
          :checked="station.oven.methods.includes('grill')"
          :aria-label="`${station.name} has a grill`"
          @change="grill(($event.target as HTMLInputElement).checked)"
        />
        grill</label
      >
    </template>
    <label v-if="station.kind === 'outdoor-grill' || station.walk"
      >a walk of
      <TypedField
        class="inset"
        inputmode="decimal"
        :value="station.walk ?? 0"
        :aria-label="`${station.name}: minutes to walk there`"
        @commit="walk($event)"
      />
      min</label
    >
    <label v-if="station.kind === 'burner'"
      ><input
        type="checkbox"
        :checked="station.tags.includes('large')"
        @change="
          emit('edit', {
            tags: [
              ...station.tags.filter((t) => t !== 'large'),
              ...(($event.target as HTMLInputElement).checked ? ['large'] : []),
            ],
          })
        "
      />
      strong</label
    >
  </span>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  font-size: 0.88rem;
}
.facts label {
  display: flex;
  gap: 4px;
  align-items: center;
}
.facts .inset {
  width: 3.6em;
  padding: 3px 6px;
}
</style>
