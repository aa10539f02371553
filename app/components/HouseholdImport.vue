<script setup lang="ts">
import { computed } from 'vue'
import { counted, plural } from '~~/core/quantity'
import { contentsOf, mergeHouseholds, type Household } from '~~/core/household'
import { useLive } from '~/composables/useLive'
import { useReplacing } from '~/composables/useReplacing'
import { collectHousehold } from '~/database/household'

/** Asks whether a file is to stand beside what is here or in its place, and shows what that comes to. */
const props = defineProps<{ name: string; household: Household }>()
const emit = defineEmits<{ close: [] }>()
const { add, swap } = useReplacing()
const here = useLive(() => collectHousehold())
const merged = computed(() => here.value && mergeHouseholds(here.value, props.household))
const list = new Intl.ListFormat('en', { type: 'conjunction' })

function take(how: typeof add) {
  emit('close')
  void how(props.name, props.household)
}
</script>

<template>
  <v-card title="Where is the file to go?" data-test="import">
    <v-card-text>
      <p>{{ name }} holds {{ list.format(contentsOf(household)) || 'nothing' }}.</p>
      <p v-if="merged" class="gap">
        <strong>Beside what is here:</strong>
        {{ merged.added }} new, {{ merged.same }} already here<template v-if="merged.beside"
          >; {{ counted(merged.beside, 'differs from one', 'differ from ones') }} of the same name,
          and {{ plural(merged.beside, 'gets a number', 'get numbers') }}</template
        >. Nothing of yours changes.
      </p>
      <p v-if="here" class="gap">
        <strong>In its place:</strong> what is here now goes. It can be taken back.
      </p>
      <HouseholdNames v-if="here" :household="here" />
    </v-card-text>
    <v-card-actions>
      <v-btn color="primary" variant="flat" @click="take(add)">Add it beside</v-btn>
      <v-btn color="error" variant="outlined" @click="take(swap)">Replace what is here</v-btn>
      <v-btn variant="text" @click="emit('close')">Leave it</v-btn>
    </v-card-actions>
  </v-card>
</template>

<style scoped>
.gap {
  margin-top: 10px;
}
</style>
