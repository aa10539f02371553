<script setup lang="ts">
import { celsiusOf, degreesOf } from '~~/core/quantity'
import { numberTyped } from '~/composables/useFields'
import { measures } from '~/composables/useMeasures'

/** A temperature in the household's degrees, given and committed in degrees Celsius. */
const props = defineProps<{ value: number | undefined; label?: string }>()
const emit = defineEmits<{ commit: [typed: string] }>()
const shown = () =>
  props.value === undefined ? undefined : Math.round(degreesOf(props.value, measures.degrees))

/** What is no number is passed on as it was typed, for whoever knows what is allowed. */
function commit(typed: string) {
  const value = numberTyped(typed)
  emit(
    'commit',
    Number.isFinite(value) ? String(Math.round(celsiusOf(value, measures.degrees))) : typed,
  )
}
</script>

<template>
  <TypedField
    :label="label"
    :value="shown()"
    :unit="`°${measures.degrees}`"
    inputmode="numeric"
    @commit="commit"
  />
</template>
