<script setup lang="ts">
import { mdiClockOutline } from '@mdi/js'
import { computed, defineAsyncComponent, ref } from 'vue'
import { clockText, measures, timeTyped } from '~/composables/useMeasures'

/** A time of the day, typed or chosen on a clock: `HH:mm`, or nothing where it may be empty. */
const props = defineProps<{
  value: string | undefined
  name: string
  label?: string
  empty?: true
}>()
const emit = defineEmits<{ set: [time: string | undefined] }>()
const VTimePicker = defineAsyncComponent(() =>
  import('vuetify/components/VTimePicker').then((m) => m.VTimePicker),
)
const open = ref(false)
const wrong = ref(false)
const shown = computed(() => props.value && clockText(props.value))

function commit(typed: string) {
  const time = timeTyped(typed)
  wrong.value = !time && !(props.empty && typed.trim() === '')
  if (!wrong.value && time !== props.value) emit('set', time)
}
</script>

<template>
  <div class="hour-field">
    <TypedField
      :label="label"
      :aria-label="name"
      :value="shown"
      placeholder="any"
      :aria-invalid="wrong"
      @commit="commit"
    >
      <v-menu v-model="open" :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: menu }">
          <IconButton v-bind="menu" :icon="mdiClockOutline" :label="`${name}: choose on a clock`" />
        </template>
        <VTimePicker
          :model-value="value ?? null"
          :format="measures.clock === '24' ? '24hr' : 'ampm'"
          hide-header
          color="primary"
          @update:model-value="emit('set', $event ?? undefined)"
          @update:minute="open = false"
        />
      </v-menu>
    </TypedField>
    <p v-if="wrong" class="wrong" role="alert">
      {{ name }}: that is not a time. Allowed: a time such as 9:30 or 6 pm.
    </p>
  </div>
</template>
