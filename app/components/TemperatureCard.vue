<script setup lang="ts">
import { computed, ref } from 'vue'
import { celsiusOf, degreesOf } from '~~/core/quantity'
import { thermometer, type Where } from '~/devices/thermometer'
import { numberTyped } from '~/composables/useFields'
import { heatText, measuredText, measures } from '~/composables/useMeasures'

/** A temperature inside the food: typed, or read from the thermometer. It warns, and keeps nobody from anything. */
const props = defineProps<{
  dish: string
  /** The least that is usual for it, in degrees Celsius, where there is one. */
  least: number | undefined
  where: Where
}>()
const emit = defineEmits<{ keep: [celsius: number]; close: [] }>()

const celsius = ref<number>()
const simulated = ref(false)
const failed = ref('')
const reading = ref(false)
const LEAST = -60
const MOST = 400
/** As it was typed: rounded up, too little would pass for enough. */
const shown = computed(() =>
  celsius.value === undefined
    ? undefined
    : Math.round(10 * degreesOf(celsius.value, measures.degrees)) / 10,
)

function typed(text: string) {
  const value = celsiusOf(numberTyped(text), measures.degrees)
  failed.value =
    value >= LEAST && value <= MOST
      ? ''
      : `"${text}" is no temperature. Allowed: ${heatText(LEAST)} to ${heatText(MOST)}.`
  celsius.value = failed.value ? undefined : value
  simulated.value = false
}
async function read() {
  reading.value = true
  failed.value = ''
  try {
    const found = await thermometer.read(props.where)
    celsius.value = found.celsius
    simulated.value = found.simulated
  } catch {
    failed.value = 'The thermometer does not answer: type what it shows.'
  } finally {
    reading.value = false
  }
}
/** Held against what the household's own thermometer would have to show: 145 °F is enough for 63 °C. */
const under = computed(
  () =>
    props.least !== undefined &&
    shown.value !== undefined &&
    shown.value < Math.round(degreesOf(props.least, measures.degrees)),
)
</script>

<template>
  <v-card :title="dish" data-test="temperature">
    <v-card-text class="body">
      <p v-if="least !== undefined">
        The usual least in the middle is <strong>{{ heatText(least) }}</strong>, by your local
        guidance if that says more.
      </p>
      <div class="fields">
        <TypedField
          label="Temperature inside"
          :value="shown"
          :unit="`°${measures.degrees}`"
          inputmode="decimal"
          @commit="typed"
        />
        <v-btn height="56" variant="tonal" :loading="reading" @click="read">
          Read the thermometer
        </v-btn>
      </div>
      <p v-if="celsius !== undefined" class="big figure" role="status">
        {{ measuredText(celsius) }}
        <small v-if="simulated">from the simulated thermometer</small>
      </p>
      <p v-if="under" class="caution" role="alert">
        Not enough yet: give it more time, and measure again in the thickest part.
      </p>
      <p v-if="failed" class="caution" role="alert">{{ failed }}</p>
    </v-card-text>
    <v-card-actions>
      <v-btn
        color="primary"
        variant="flat"
        height="56"
        :disabled="celsius === undefined"
        @click="emit('keep', celsius!)"
        >Write it down</v-btn
      >
      <v-btn variant="text" height="56" @click="emit('close')">Close</v-btn>
    </v-card-actions>
  </v-card>
</template>

<style scoped>
.body {
  font-size: 1.15rem;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: end;
  margin: 10px 0;
}
.big {
  font-family: var(--display);
  font-size: 2.6rem;
}
.big small {
  display: block;
  font-size: 1rem;
  line-height: 1.3;
  color: var(--quiet);
}
.caution {
  color: rgb(var(--v-theme-error));
}
</style>
