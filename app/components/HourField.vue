<script setup lang="ts">
import { mdiClockOutline } from '@mdi/js'
import { defineAsyncComponent } from 'vue'
import { clockText, measures, timeTyped } from '~/composables/useMeasures'

/** A time of the day, typed or chosen on a clock: `HH:mm`, or nothing where it may be empty. */
const props = defineProps<{
  value: string | undefined
  name: string
  label?: string
  empty?: boolean
}>()
const emit = defineEmits<{ set: [time: string | undefined] }>()
const VTimePicker = defineAsyncComponent(() =>
  import('vuetify/components/VTimePicker').then((m) => m.VTimePicker),
)
/** The hour is chosen first: while it alone is another, the minutes are still to come. */
const hourOnly = (time: string) => time.slice(3) === (props.value ?? '00:00').slice(3)
</script>

<template>
  <PickerField
    v-slot="{ take }"
    v-bind="{ value, name, label, empty }"
    :shown="value && clockText(value)"
    placeholder="any"
    :icon="mdiClockOutline"
    choose="choose on a clock"
    :read="timeTyped"
    refusal="that is not a time. Allowed: a time such as 9:30 or 6 pm."
    @set="emit('set', $event)"
  >
    <VTimePicker
      :model-value="value ?? null"
      :format="measures.clock === '24' ? '24hr' : 'ampm'"
      hide-header
      color="primary"
      @update:model-value="$event && take($event, hourOnly($event))"
    />
  </PickerField>
</template>
