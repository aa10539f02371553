<script setup lang="ts">
import { mdiCalendar } from '@mdi/js'
import { format, parseISO } from 'date-fns'
import { defineAsyncComponent, ref } from 'vue'
import { dayText, dayTyped, firstDay } from '~/composables/useMeasures'

/** A day, typed or chosen in a month: ISO form, or nothing where it may be empty. */
const props = defineProps<{
  value: string | undefined
  name: string
  label?: string
  empty?: true
}>()
const emit = defineEmits<{ set: [day: string | undefined] }>()
const VDatePicker = defineAsyncComponent(() =>
  import('vuetify/components/VDatePicker').then((m) => m.VDatePicker),
)
const open = ref(false)
const wrong = ref(false)

function commit(typed: string) {
  const day = dayTyped(typed, new Date())
  wrong.value = !day && !(props.empty && typed.trim() === '')
  if (!wrong.value && day !== props.value) emit('set', day)
}
function choose(day: unknown) {
  open.value = wrong.value = false
  emit('set', format(day as Date, 'yyyy-MM-dd'))
}
</script>

<template>
  <div class="day-field">
    <TypedField
      :label="label"
      :aria-label="name"
      :value="value && dayText(value, 'EEE d MMM yyyy')"
      placeholder="a day"
      :aria-invalid="wrong"
      @commit="commit"
    >
      <v-menu v-model="open" :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: menu }">
          <IconButton v-bind="menu" :icon="mdiCalendar" :label="`${name}: choose in a month`" />
        </template>
        <VDatePicker
          :model-value="value ? parseISO(value) : undefined"
          :first-day-of-week="firstDay()"
          hide-header
          show-adjacent-months
          color="primary"
          @update:model-value="choose"
        />
      </v-menu>
    </TypedField>
    <p v-if="wrong" class="wrong" role="alert">
      {{ name }}: that is not a day. Allowed: a day such as 20 March 2027.
    </p>
  </div>
</template>
