<script setup lang="ts">
import { computed } from 'vue'
import { KINDS, kindWord } from '~~/core/kitchen'
import { keptFor, type Recipe, type Step, type Way } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

const props = defineProps<{ recipe: Recipe; step: Step; way: Way; change: Change<Step> }>()
const { errors, apply, figure } = useFields<Step>((edit) => props.change(edit))

const kinds = computed(() =>
  Object.entries(KINDS)
    .filter(([kind, { anyway }]) => !anyway && !props.way.on.some((o) => o.kind === kind))
    .map(([value, { one }]) => ({ value, title: one })),
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
    inWay((w) => ({ ...w, heat: { ...OVEN, ...w.heat, celsius, stated: undefined } })),
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
/** A dish in the oven takes a shelf. */
const add = (kind: string) =>
  setEquipment([...props.way.on, kind === 'oven' ? { kind, amount: 1 } : { kind }])
</script>

<template>
  <div class="way">
    <div class="fields">
      <TypedField
        v-for="(word, k) in WHICH"
        :key="word"
        :label="word"
        unit="min"
        inputmode="decimal"
        :value="way.minutes[k]"
        :aria-invalid="!!errors.minutes"
        :aria-label="`${word} minutes`"
        @commit="setMinutes(k, $event)"
      />
      <template v-if="way.on.some((o) => o.kind === 'oven')">
        <HeatField
          v-for="(word, k) in ['Oven from', 'to']"
          :key="word"
          :label="word"
          :value="way.heat?.celsius[k]"
          :aria-invalid="!!errors.heat"
          @commit="typeHeat(k as 0 | 1, $event)"
        />
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
      <v-chip
        v-for="k in kept"
        :key="k"
        class="kept"
        title="Kept from the step before or for the next"
        >the {{ kindWord(k) }} all along</v-chip
      >
      <v-chip
        v-for="(o, i) in way.on"
        :key="o.kind + i"
        closable
        :close-label="`Without the ${kindWord(o.kind)}`"
        @click:close="setEquipment(way.on.filter((_, k) => k !== i))"
        >{{ kindWord(o.kind) }}</v-chip
      >
      <AddMenu :items="kinds" label="Add equipment" @pick="add" />
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
.gear {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
.kept {
  font-style: italic;
}
</style>
