<script setup lang="ts" generic="T extends string | number">
import { computed } from 'vue'

/** One of several; without a value it is there to add something, and asks again after each. */
const props = defineProps<{
  value?: T
  items: readonly { value: T; title: string }[] | Readonly<Record<T, string>>
  label?: string
}>()
const emit = defineEmits<{ pick: [value: T] }>()
defineOptions({ inheritAttrs: false })
const list = computed(() =>
  Array.isArray(props.items)
    ? props.items
    : Object.entries(props.items).map(([value, title]) => ({ value, title })),
)
function pick(value: unknown) {
  if (value !== null && value !== props.value) emit('pick', value as T)
}
</script>

<template>
  <FieldName :label="label">
    <v-select
      v-bind="$attrs"
      :model-value="value ?? null"
      :items="list"
      @update:model-value="pick"
    />
  </FieldName>
</template>
