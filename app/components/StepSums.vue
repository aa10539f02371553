<script setup lang="ts">
import { computed, ref } from 'vue'
import { litresBy } from '~~/core/session'
import {
  GAS_MARKS,
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
  () => Number((kilos.value ?? '').replace(',', '.')) || (meat.value ? inKilos(meat.value) : 0),
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
  const value = Number(litres.value.replace(',', '.'))
  return props.step.work === 'pressure' && value > 0 ? pressureMinutes(value) : undefined
})
/** What is in the pot by now, and how many that feeds. */
const pot = computed(() => {
  if (!['boil', 'simmer', 'slow', 'pressure', 'soften'].includes(props.step.work)) return undefined
  const filled = litresBy(props.recipe, props.step.id)
  return filled >= 0.75 ? { filled, heads: servingsPerPot(filled) } : undefined
})
const oven = computed(() => props.way.on.some((o) => o.kind === 'oven'))
</script>

<template>
  <div v-if="meat || grains || pressure || pot || oven" class="sums">
    <p v-if="meat">
      {{ meat.item }} of
      <input
        class="inset"
        :value="kilos ?? (inKilos(meat) || '')"
        inputmode="decimal"
        :aria-label="`Weight of the heaviest piece of ${meat.item}, in kg`"
        @input="kilos = ($event.target as HTMLInputElement).value"
      />
      kg:
      <template v-if="roast">
        <strong class="figure">{{ roast.least }}–{{ roast.most }} min</strong>
        <button type="button" @click="emit('minutes', roast.least, roast.most)">take it</button>
        <small class="quiet">{{ roast.source }}</small>
      </template>
      <small v-else class="quiet">how heavy is the heaviest piece?</small>
    </p>
    <p v-if="grains && grain">
      {{ grain.item }}: <strong class="figure">{{ grains.water }} ml</strong> of water,
      <strong class="figure">{{ grains.minutes.least }}–{{ grains.minutes.most }} min</strong>,
      about {{ grains.cooked }} g cooked
      <button type="button" @click="emit('minutes', grains.minutes.least, grains.minutes.most)">
        take it
      </button>
      <small class="quiet">{{ grains.minutes.source }}</small>
    </p>
    <p v-if="step.work === 'pressure'">
      With
      <input
        v-model="litres"
        class="inset"
        inputmode="decimal"
        aria-label="Litres in the pressure cooker"
      />
      litres in it:
      <template v-if="pressure">
        up in <strong class="figure">{{ pressure.up.least }}–{{ pressure.up.most }} min</strong>,
        down by itself in
        <strong class="figure">{{ pressure.down.least }}–{{ pressure.down.most }} min</strong>
        <small class="quiet">{{ pressure.up.source }}; {{ pressure.down.source }}</small>
      </template>
    </p>
    <p v-if="pot">
      About <strong class="figure">{{ pot.filled.toFixed(1) }} l</strong> has gone in by here: as
      soup or stew
      <strong class="figure">{{ pot.heads.least }}–{{ pot.heads.most }}</strong> servings
      <small class="quiet"
        >{{ pot.heads.source }}; without what is counted in pieces or spoons</small
      >
    </p>
    <label v-if="oven">
      Oven mark
      <select
        class="inset"
        :value="''"
        aria-label="Set the oven by its mark"
        @change="
          emit('heat', Number(($event.target as HTMLSelectElement).value))
          ;($event.target as HTMLSelectElement).value = ''
        "
      >
        <option value="">choose …</option>
        <option v-for="(celsius, mark) in GAS_MARKS" :key="mark" :value="celsius">
          mark {{ mark }} = {{ celsius }} °C
        </option>
      </select>
    </label>
  </div>
</template>

<style scoped>
.sums {
  padding: 8px 12px;
  border-radius: 10px;
  background: rgb(var(--v-theme-background));
  font-size: 0.9rem;
}
.sums p {
  margin-bottom: 6px;
}
input.inset {
  width: 4em;
  padding: 2px 6px;
}
select.inset {
  padding: 3px 6px;
}
button:not(.v-btn) {
  min-height: 28px;
  padding: 0 10px;
  text-decoration: underline;
}
small {
  display: block;
}
</style>
