<script setup lang="ts">
import { format } from 'date-fns'
import { contentsOf } from '~~/core/household'
import { useLive } from '~/composables/useLive'
import { database } from '~/database/database'
import { collectHousehold, restoreState, sameHousehold } from '~/database/household'
import { useNotices } from '~/stores/notices'
import { usePlanning } from '~/stores/planning'
import { useSaving } from '~/stores/saving'

/** The states that were kept, the latest first, each to go back to. */
const emit = defineEmits<{ close: [] }>()
const list = new Intl.ListFormat('en', { type: 'conjunction' })
const states = useLive(async () => {
  const now = await collectHousehold()
  const all = await database.states.reverse().toArray()
  return all.map(({ id, at, before, household }) => ({
    id,
    when: format(at, 'EEEE d MMMM, HH:mm'),
    before,
    holds: list.format(contentsOf(household)),
    now: sameHousehold(now, household),
  }))
})

async function restore(id: number, when: string) {
  emit('close')
  usePlanning().drop()
  await useSaving().write('the earlier state', () => restoreState(id))
  const state = await database.states.toCollection().last()
  await useNotices().offerBack(`All is as it was on ${when}.`, state?.id)
}
</script>

<template>
  <v-card title="Earlier states" data-test="states">
    <v-card-text>
      <p>
        This browser keeps the last ten states of your household and the last one of each day for a
        week. Going back can itself be taken back.
      </p>
      <p v-if="states && !states.length" class="quiet">
        None yet: the first is kept with a change.
      </p>
      <ol class="bare">
        <li v-for="s in states" :key="s.id">
          <div>
            <strong>{{ s.when }}</strong>
            <span v-if="s.before" class="quiet"> before {{ s.before }}</span>
            <p class="quiet">{{ s.holds }}</p>
          </div>
          <span v-if="s.now" class="quiet">as now</span>
          <v-btn v-else variant="outlined" size="small" @click="restore(s.id, s.when)">
            Go back
          </v-btn>
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
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
