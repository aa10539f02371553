<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { computed } from 'vue'
import { inShopOrder, SECTION_WORDS } from '~~/core/food'
import { setMeasures } from '~/composables/useMeasures'
import { ownSections } from '~/composables/usePreparation'
import { useSaving } from '~/stores/saving'

/** The sections of the shop in the order in which this household walks them. */
const emit = defineEmits<{ close: [] }>()
const saving = useSaving()
const order = computed(() => inShopOrder(ownSections()))
function move(at: number, by: number) {
  const sections = [...order.value]
  const [moved] = sections.splice(at, 1)
  sections.splice(at + by, 0, moved!)
  void saving.write('your way through the shop', () => setMeasures({ sections }))
}
</script>

<template>
  <v-card title="Your way through the shop" data-test="sections">
    <v-card-text>
      <p class="quiet">The list goes in this order.</p>
      <ol class="bare">
        <li v-for="(s, k) in order" :key="s">
          <span>{{ SECTION_WORDS[s] }}</span>
          <IconButton
            :icon="mdiArrowUp"
            :label="`${SECTION_WORDS[s]} sooner`"
            :disabled="k === 0"
            @click="move(k, -1)"
          />
          <IconButton
            :icon="mdiArrowDown"
            :label="`${SECTION_WORDS[s]} later`"
            :disabled="k === order.length - 1"
            @click="move(k, 1)"
          />
        </li>
      </ol>
    </v-card-text>
    <v-card-actions>
      <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </v-card-actions>
  </v-card>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
li span {
  flex: 1;
}
</style>
