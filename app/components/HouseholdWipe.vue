<script setup lang="ts">
import { ref } from 'vue'
import { ownsAnything } from '~~/core/household'
import { useLive } from '~/composables/useLive'
import { useReplacing } from '~/composables/useReplacing'
import { collectHousehold } from '~/database/household'

/** Shows what would go before it goes. */
const emit = defineEmits<{ close: [] }>()
const { wipe } = useReplacing()
const here = useLive(() => collectHousehold())
const forGood = ref(false)

function go() {
  emit('close')
  void wipe(forGood.value)
}
</script>

<template>
  <v-card title="Wipe this browser?" data-test="wipe">
    <v-card-text v-if="here">
      <p v-if="!ownsAnything(here)">There is nothing here to wipe except earlier states.</p>
      <p v-else>
        All this goes, with its plans and cooking notes. Export everything first to have them in a
        file.
      </p>
      <HouseholdNames :household="here" />
      <v-checkbox
        v-model="forGood"
        label="The earlier states too: then there is no way back"
        hide-details
      />
    </v-card-text>
    <v-card-actions>
      <v-btn color="error" variant="flat" @click="go">Wipe it</v-btn>
      <v-btn variant="text" @click="emit('close')">Keep it</v-btn>
    </v-card-actions>
  </v-card>
</template>
