<script setup lang="ts">
import { computed } from 'vue'
import { STATION_KINDS } from '~~/core/kitchen'
import { keptFor, type Recipe, type Step, type Way } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'
import { kindWord } from '~/composables/useWords'

const props = defineProps<{ recipe: Recipe; step: Step; way: Way; change: Change<Step> }>()
const { errors, apply, figure } = useFields<Step>((edit) => props.change(edit))

/** What is there anyway, or is kept for cold things: nothing to choose for a step. */
const ANYWAY = ['fridge', 'freezer', 'bench']
const kinds = computed(() =>
  Object.keys(STATION_KINDS).filter(
    (k) => !ANYWAY.includes(k) && !props.way.on.some((o) => o.kind === k),
  ),
)
const kept = computed(() => keptFor(props.recipe, props.step.id))

const inWay = (edit: (way: Way) => Way) => (s: Step) => ({
  ...s,
  ways: s.ways.map((w) => (w.id === props.way.id ? edit(w) : w)),
})
const WHICH = ['Least', 'Usual', 'Most'] as const
const OVEN: NonNullable<Way['heat']> = { celsius: [175, 185], method: 'bake' }

function setMinutes(k: number, typed: string) {
  figure('minutes', `${WHICH[k]} minutes`, typed, (value) => {
    const minutes = props.way.minutes.map((m, i) => (i === k ? value : m)) as Way['minutes']
    void apply(
      'minutes',
      inWay((w) => ({ ...w, minutes })),
    )
  })
}
/** A sum taken over: usual in the middle, and some room for what it does not know. */
function takeMinutes(least: number, most: number) {
  const minutes: Way['minutes'] = [least, Math.round((least + most) / 2), Math.ceil(most * 1.15)]
  void apply('minutes', (s) => ({
    ...inWay((w) => ({ ...w, minutes }))(s),
    doubts: s.doubts.filter((d) => !/guess|by weight/.test(d)),
  }))
}
const setHeat = (celsius: [number, number]) =>
  void apply(
    'heat',
    inWay((w) => ({ ...w, heat: { ...OVEN, ...w.heat, celsius } })),
  )
function typeHeat(k: 0 | 1, typed: string) {
  figure('heat', 'Oven heat', typed, (value) => {
    const [low, high] = props.way.heat?.celsius ?? OVEN.celsius
    setHeat(k ? [low, value] : [value, high])
  })
}
function setEquipment(on: Way['on']) {
  void apply(
    'equipment',
    inWay(({ heat, ...w }) =>
      on.some((o) => o.kind === 'oven') ? { ...w, on, heat: heat ?? OVEN } : { ...w, on },
    ),
  )
}
function add(event: Event) {
  const list = event.target as HTMLSelectElement
  const kind = list.value
  list.value = ''
  // A dish in the oven takes a shelf.
  setEquipment([...props.way.on, kind === 'oven' ? { kind, amount: 1 } : { kind }])
}
</script>

<template>
  <div class="way">
    <div class="fields">
      <label v-for="(word, k) in WHICH" :key="word">
        {{ word }} min
        <TypedField
          class="inset"
          inputmode="decimal"
          :value="way.minutes[k]"
          :aria-invalid="!!errors.minutes"
          :aria-label="`${word} minutes`"
          @commit="setMinutes(k, $event)"
        />
      </label>
      <template v-if="way.on.some((o) => o.kind === 'oven')">
        <label v-for="(word, k) in ['Oven from °C', 'to °C']" :key="word">
          {{ word }}
          <TypedField
            class="inset"
            inputmode="numeric"
            :value="way.heat?.celsius[k]"
            :aria-invalid="!!errors.heat"
            @commit="typeHeat(k as 0 | 1, $event)"
          />
        </label>
      </template>
    </div>
    <template v-for="f in ['minutes', 'heat', 'equipment']" :key="f">
      <p v-if="errors[f]" class="wrong" role="alert">{{ errors[f] }}</p>
    </template>
    <StepSums
      :recipe="recipe"
      :step="step"
      :way="way"
      @minutes="takeMinutes"
      @heat="setHeat([$event - 5, $event + 5])"
    />
    <div class="gear">
      <span>With</span>
      <span
        v-for="k in kept"
        :key="k"
        class="chip kept"
        title="Kept from the step before or for the next"
        >the {{ kindWord(k) }} all along</span
      >
      <span v-for="(o, i) in way.on" :key="o.kind + i" class="chip">
        {{ kindWord(o.kind) }}
        <button
          type="button"
          :aria-label="`Without the ${kindWord(o.kind)}`"
          @click="setEquipment(way.on.filter((_, k) => k !== i))"
        >
          ×
        </button>
      </span>
      <select class="inset" aria-label="Add equipment" :value="''" @change="add">
        <option value="">add …</option>
        <option v-for="k in kinds" :key="k" :value="k">{{ kindWord(k) }}</option>
      </select>
    </div>
  </div>
</template>

<style scoped>
.way,
.fields {
  display: flex;
  gap: 10px;
}
.way {
  flex-direction: column;
}
.fields {
  flex-wrap: wrap;
}
label {
  display: flex;
  flex-direction: column;
  gap: 2px;
  width: 6.2em;
  font-size: 0.85rem;
}
.inset {
  width: 100%;
}
.gear {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
.gear .inset {
  width: auto;
}
.chip {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  padding: 2px 4px 2px 12px;
  border-radius: 14px;
  background: rgb(var(--v-theme-surface-variant));
}
.kept {
  padding-right: 12px;
  font-style: italic;
}
.chip button {
  min-width: 26px;
  min-height: 26px;
}
</style>
