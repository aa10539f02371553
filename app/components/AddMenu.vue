<script setup lang="ts" generic="T extends string | number">
import { mdiPlus } from '@mdi/js'

/** A plus that offers what can be added; nothing where nothing can. */
defineProps<{ label: string; items: readonly { value: T; title: string }[] }>()
const emit = defineEmits<{ pick: [value: T] }>()
</script>

<template>
  <v-menu v-if="items.length">
    <template #activator="{ props: menu }">
      <IconButton v-bind="menu" :icon="mdiPlus" :label="label" />
    </template>
    <v-list max-height="60vh">
      <v-list-item
        v-for="i in items"
        :key="i.value"
        :title="i.title"
        @click="emit('pick', i.value)"
      />
    </v-list>
  </v-menu>
</template>
