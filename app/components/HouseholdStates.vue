<script setup lang="ts">
import { format } from 'date-fns'
import { contentsOf } from '~~/core/household'
import { timeOf } from '~/composables/useMeasures'
import { useLive } from '~/composables/useLive'
import { useReplacing } from '~/composables/useReplacing'
import { database } from '~/database/database'
import { collectHousehold, sameHousehold } from '~/database/household'

/** The states that were kept, the latest first, each to go back to. */
const emit = defineEmits<{ close: [] }>()
const { restore } = useReplacing()
const list = new Intl.ListFormat('en', { type: 'conjunction' })
const states = useLive(async () => {
  const now = await collectHousehold()
  const all = await database.states.reverse().toArray()
  return all.map(({ id, at, before, household }) => ({
    id,
    when: `${format(at, 'EEEE d MMMM')}, ${timeOf(new Date(at))}`,
    before,
    holds: list.format(contentsOf(household)),
    now: sameHousehold(now, household),
  }))
})

function go(id: number, when: string) {
  emit('close')
  void restore(id, when)
}
</script>

<template>
  <v-card title="Earlier states" data-test="states">
    <v-card-text>
      <p>
        This browser keeps the last ten states of your household and the last one of each day for a
        week. You can undo going back.
      </p>
      <p v-if="states && !states.length" class="quiet">
        None yet. The first is kept when you change something.
      </p>
      <ol class="bare lined">
        <li v-for="s in states" :key="s.id">
          <div>
            <strong>{{ s.when }}</strong>
            <span v-if="s.before" class="quiet"> before {{ s.before }}</span>
            <p class="quiet">{{ s.holds }}</p>
          </div>
          <span v-if="s.now" class="quiet">as now</span>
          <v-btn v-else variant="outlined" size="small" @click="go(s.id, s.when)"> Go back </v-btn>
        </li>
      </ol>
    </v-card-text>
    <v-card-actions>
      <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </v-card-actions>
  </v-card>
</template>
