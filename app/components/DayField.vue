<script setup lang="ts">
import { mdiCalendar } from '@mdi/js'
import { format, parseISO } from 'date-fns'
import { defineAsyncComponent } from 'vue'
import { dayText, dayTyped, firstDay } from '~/composables/useMeasures'

/** A day, typed or chosen in a month: ISO form, or nothing where it may be empty. */
defineProps<{ value: string | undefined; name: string; label?: string; empty?: boolean }>()
const emit = defineEmits<{ set: [day: string | undefined] }>()
const VDatePicker = defineAsyncComponent(() =>
  import('vuetify/components/VDatePicker').then((m) => m.VDatePicker),
)
const dayOf = (typed: string) => dayTyped(typed, new Date())
const iso = (day: unknown) => format(day as Date, 'yyyy-MM-dd')
</script>

<template>
  <PickerField
    v-slot="{ take }"
    v-bind="{ value, name, label, empty }"
    :shown="value && dayText(value, 'EEE d MMM yyyy')"
    placeholder="a day"
    :icon="mdiCalendar"
    choose="choose in a month"
    :read="dayOf"
    refusal="that is not a day. Allowed: a day such as 20 March 2027."
    @set="emit('set', $event)"
  >
    <VDatePicker
      :model-value="value ? parseISO(value) : undefined"
      :first-day-of-week="firstDay()"
      hide-header
      show-adjacent-months
      color="primary"
      @update:model-value="take(iso($event))"
    />
  </PickerField>
</template>
