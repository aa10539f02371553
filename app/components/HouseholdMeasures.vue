<script setup lang="ts">
import type { Measures } from '~~/core/quantity'
import { measures, setMeasures } from '~/composables/useMeasures'
import { useSaving } from '~/stores/saving'

/** How the household measures and tells the time: set once, and followed on every page. */
const emit = defineEmits<{ close: [] }>()
const saving = useSaving()
type Choice = 'amounts' | 'degrees' | 'clock' | 'week'
const CHOICES: {
  key: Choice
  title: string
  options: { value: string; title: string }[]
}[] = [
  {
    key: 'amounts',
    title: 'Amounts',
    options: [
      { value: 'metric', title: 'grams and litres' },
      { value: 'us', title: 'pounds, ounces and cups' },
    ],
  },
  {
    key: 'degrees',
    title: 'Heat',
    options: [
      { value: 'C', title: '°C' },
      { value: 'F', title: '°F' },
    ],
  },
  {
    key: 'clock',
    title: 'Clock',
    options: [
      { value: '24', title: '18:30' },
      { value: '12', title: '6:30 pm' },
    ],
  },
  {
    key: 'week',
    title: 'The week begins on',
    options: [
      { value: 'monday', title: 'Monday' },
      { value: 'sunday', title: 'Sunday' },
      { value: 'saturday', title: 'Saturday' },
    ],
  },
]
/** Currencies of many households; prices are figures alone without one. */
const CURRENCIES = [
  { value: '', title: 'figures alone' },
  ...[
    'EUR',
    'GBP',
    'USD',
    'CHF',
    'AUD',
    'CAD',
    'NZD',
    'SEK',
    'NOK',
    'DKK',
    'PLN',
    'CZK',
    'JPY',
  ].map((value) => ({
    value,
    title: `${value} (${new Intl.DisplayNames('en', { type: 'currency' }).of(value)})`,
  })),
]
const set = (key: Choice | 'currency', value: string | null) =>
  saving.write('how you measure', () =>
    setMeasures({ [key]: value || undefined } as Partial<Measures>),
  )
</script>

<template>
  <v-card title="Measures and clock" data-test="measures">
    <v-card-text>
      <p class="quiet">Recipes are read in any of these, and shown in these.</p>
      <fieldset v-for="c in CHOICES" :key="c.key">
        <legend>{{ c.title }}</legend>
        <v-radio-group
          inline
          :model-value="measures[c.key]"
          :aria-label="c.title"
          @update:model-value="set(c.key, $event)"
        >
          <v-radio v-for="o in c.options" :key="o.value" :value="o.value" :label="o.title" />
        </v-radio-group>
      </fieldset>
      <PickField
        class="currency"
        label="Money"
        :value="measures.currency ?? ''"
        :items="CURRENCIES"
        @pick="set('currency', $event)"
      />
    </v-card-text>
    <v-card-actions>
      <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </v-card-actions>
  </v-card>
</template>

<style scoped>
fieldset {
  margin-top: 10px;
}
fieldset :deep(.v-selection-control-group) {
  gap: 0 20px;
}
legend {
  font-weight: 650;
}
</style>
