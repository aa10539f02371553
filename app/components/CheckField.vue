<script setup lang="ts">
/** Yes or no, with its words beside it and, in the slot, why one would. */
defineProps<{ value: boolean; label: string }>()
const emit = defineEmits<{ set: [on: boolean] }>()
</script>

<template>
  <v-checkbox :model-value="value" @update:model-value="emit('set', $event === true)">
    <template #label
      ><span
        >{{ label }} <span v-if="$slots.default" class="quiet"><slot /></span></span
    ></template>
  </v-checkbox>
</template>
