<script setup lang="ts">
import { computed, ref } from 'vue'
import { OVEN_MARKS, trim } from '~~/core/quantity'
import { numberTyped } from '~/composables/useFields'
import { heatText, said } from '~/composables/useMeasures'
import { litresBy } from '~~/core/session'
import {
  grainOf,
  grainSum,
  pressureMinutes,
  roastMinutes,
  roastOf,
  servingsPerPot,
  type Recipe,
  type Step,
  type Way,
} from '~~/core/recipe'

const props = defineProps<{ recipe: Recipe; step: Step; way: Way }>()
const emit = defineEmits<{ minutes: [least: number, most: number]; heat: [celsius: number] }>()

const used = computed(() => props.recipe.ingredients.filter((i) => props.step.uses.includes(i.id)))
const inKilos = (i: Recipe['ingredients'][number]) =>
  i.unit === 'kg' ? i.amount : i.unit === 'g' ? i.amount / 1000 : 0
const named = computed(() => [
  ...used.value,
  ...props.recipe.ingredients.filter((i) => !props.step.uses.includes(i.id)),
])

const meat = computed(() =>
  props.step.work === 'bake' ? named.value.find((i) => roastOf(i.item)) : undefined,
)
const kilos = ref<string>()
const weight = computed(
  () => numberTyped(kilos.value ?? '') || (meat.value ? inKilos(meat.value) : 0),
)
const roast = computed(() =>
  meat.value && weight.value > 0
    ? roastMinutes(roastOf(meat.value.item)!, [weight.value])
    : undefined,
)

const grain = computed(() =>
  ['boil', 'simmer', 'pressure'].includes(props.step.work)
    ? used.value.find((i) => grainOf(i.item) && inKilos(i) > 0)
    : undefined,
)
const how = computed(() => {
  const kinds = props.way.on.map((o) => o.kind)
  return kinds.includes('pressure-cooker')
    ? ('pressure-cooker' as const)
    : kinds.includes('rice-cooker')
      ? ('rice-cooker' as const)
      : ('hob' as const)
})
const grains = computed(() =>
  grain.value
    ? grainSum(grainOf(grain.value.item)!, 1000 * inKilos(grain.value), how.value)
    : undefined,
)

const litres = ref('3')
const pressure = computed(() => {
  const value = numberTyped(litres.value)
  return props.step.work === 'pressure' && value > 0 ? pressureMinutes(value) : undefined
})
/** What is in the pot by now, and how many that feeds. */
const pot = computed(() => {
  if (!['boil', 'simmer', 'slow', 'pressure', 'soften'].includes(props.step.work)) return undefined
  const filled = litresBy(props.recipe, props.step.id)
  return filled >= 0.75 ? { filled, heads: servingsPerPot(filled) } : undefined
})
const marks = computed(() =>
  OVEN_MARKS.map(([mark, value]) => ({
    value,
    title: `mark ${trim(mark)} = ${heatText(value)}`,
  })),
)
const oven = computed(() => props.way.on.some((o) => o.kind === 'oven'))
</script>

<template>
  <div v-if="meat || grains || pressure || pot || oven" class="sums">
    <div v-if="meat" class="sum">
      <span>{{ meat.item }}, the heaviest piece</span>
      <v-text-field
        v-model="kilos"
        class="snug"
        :placeholder="String(inKilos(meat) || '')"
        persistent-placeholder
        suffix="kg"
        inputmode="decimal"
        :aria-label="`Weight of the heaviest piece of ${meat.item}, in kg`"
      />
      <template v-if="roast">
        <strong class="figure">{{ roast.least }}–{{ roast.most }} min</strong>
        <v-btn size="small" variant="tonal" @click="emit('minutes', roast.least, roast.most)"
          >Take it</v-btn
        >
        <small class="quiet">{{ said(roast.source) }}</small>
      </template>
      <small v-else class="quiet">how heavy is it?</small>
    </div>
    <p v-if="grains && grain">
      {{ grain.item }}: <strong class="figure">{{ said(`${grains.water} ml`) }}</strong> of water,
      <strong class="figure">{{ grains.minutes.least }}–{{ grains.minutes.most }} min</strong>,
      about {{ said(`${grains.cooked} g`) }} cooked
      <v-btn
        size="small"
        variant="tonal"
        @click="emit('minutes', grains.minutes.least, grains.minutes.most)"
        >Take it</v-btn
      >
      <small class="quiet">{{ grains.minutes.source }}</small>
    </p>
    <div v-if="step.work === 'pressure'" class="sum">
      <span>With</span>
      <v-text-field
        v-model="litres"
        class="snug"
        suffix="litres"
        inputmode="decimal"
        aria-label="Litres in the pressure cooker"
      />
      <span>in it:</span>
      <template v-if="pressure">
        up in <strong class="figure">{{ pressure.up.least }}–{{ pressure.up.most }} min</strong>,
        down by itself in
        <strong class="figure">{{ pressure.down.least }}–{{ pressure.down.most }} min</strong>
        <small class="quiet">{{ pressure.up.source }}; {{ pressure.down.source }}</small>
      </template>
    </div>
    <p v-if="pot">
      About <strong class="figure">{{ said(`${pot.filled.toFixed(1)} l`) }}</strong> has gone in by
      here: as soup or stew
      <strong class="figure">{{ pot.heads.least }}–{{ pot.heads.most }}</strong> servings
      <small class="quiet"
        >{{ said(pot.heads.source) }}; without what is counted in pieces or spoons</small
      >
    </p>
    <PickField
      v-if="oven"
      :items="marks"
      aria-label="Set the oven by its mark"
      placeholder="Oven mark …"
      @pick="emit('heat', $event)"
    />
  </div>
</template>

<style scoped>
.sums {
  padding: 8px 12px;
  border-radius: 10px;
  background: rgb(var(--v-theme-background));
  font-size: 0.9rem;
}
.sums p,
.sum {
  margin-bottom: 6px;
}
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.sums small {
  display: block;
  flex-basis: 100%;
}
</style>
