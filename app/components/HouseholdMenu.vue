<script setup lang="ts">
import { mdiCheck, mdiDotsHorizontal } from '@mdi/js'
import { computed, ref, shallowRef } from 'vue'
import { LARGEST_FILE, ownsAnything, type Household } from '~~/core/household'
import { downloadHousehold } from '~/composables/useDownload'
import { dayText } from '~/composables/useMeasures'
import { useLive } from '~/composables/useLive'
import { useReplacing } from '~/composables/useReplacing'
import { database } from '~/database/database'
import { collectHousehold, readFile } from '~/database/household'
import { openedSession, openSession } from '~/database/opened'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

const notices = useNotices()
const saving = useSaving()
const { demo, swap } = useReplacing()
const picker = ref<{ open: () => void }>()
const asking = ref<'import' | 'wipe' | 'states' | 'measures'>()
const file = shallowRef<{ name: string; household: Household }>()
const open = computed({
  get: () => asking.value !== undefined,
  set: (is) => {
    if (!is) asking.value = undefined
  },
})

/** All sessions there are; with more than one the menu says which is open. */
const sessions = useLive(async () => {
  const [all, now] = [await database.sessions.toArray(), await openedSession()]
  return all.map((s) => ({
    id: s.id,
    name: s.name,
    day: dayText(s.start, 'd MMMM'),
    open: s.id === now?.id,
  }))
})

async function exportAll() {
  notices.show({ text: `Everything is in ${await downloadHousehold()}.` })
}

async function choose(chosen: File) {
  const refuse = (details: string[]) =>
    notices.show({
      text: `${chosen.name} was not taken over; nothing has changed.`,
      details,
      bad: true,
    })
  // Not even read where it cannot be ours: a film by mistake would stall the page.
  if (chosen.size > LARGEST_FILE)
    return refuse([
      `it is too large (${Math.round(chosen.size / 1e6)} MB); allowed: up to ${LARGEST_FILE / 1e6} MB`,
    ])
  const reading = await readFile(chosen)
  if (!reading.ok)
    return refuse(reading.issues.map((i) => `${i.path}: ${i.message}; allowed: ${i.allowed}`))
  const household = reading.value
  if (ownsAnything(await collectHousehold())) {
    file.value = { name: chosen.name, household }
    asking.value = 'import'
    return
  }
  await swap(chosen.name, household)
}

const goTo = (id: string) => saving.write('which session is open', () => openSession(id))
</script>

<template>
  <v-menu>
    <template #activator="{ props }">
      <v-btn v-bind="props" variant="text" class="menu" aria-label="Household">
        <v-icon :icon="mdiDotsHorizontal" /><span class="word">Household</span>
      </v-btn>
    </template>
    <v-list>
      <template v-if="(sessions?.length ?? 0) > 1">
        <v-list-subheader>Sessions</v-list-subheader>
        <v-list-item
          v-for="s in sessions"
          :key="s.id"
          :title="s.name"
          :subtitle="s.day"
          :append-icon="s.open ? mdiCheck : undefined"
          :aria-current="s.open"
          @click="goTo(s.id)"
        />
        <v-divider />
      </template>
      <v-list-item
        title="Measures and clock"
        subtitle="Grams or cups, °C or °F, 24 or 12 hours"
        @click="asking = 'measures'"
      />
      <v-divider />
      <v-list-item title="Export everything" subtitle="One file, yours" @click="exportAll" />
      <v-list-item
        title="Import a file"
        subtitle="Beside what is here, or in its place"
        @click="picker?.open()"
      />
      <v-list-item title="Load the demo household" subtitle="Beside what is here" @click="demo" />
      <v-list-item
        title="Go back to an earlier state"
        subtitle="The last ten, and a week"
        @click="asking = 'states'"
      />
      <v-list-item
        title="Wipe this browser"
        subtitle="Shows what would go"
        @click="asking = 'wipe'"
      />
    </v-list>
  </v-menu>
  <v-dialog v-model="open" max-width="560" scrollable>
    <HouseholdImport v-if="asking === 'import' && file" v-bind="file" @close="asking = undefined" />
    <HouseholdWipe v-else-if="asking === 'wipe'" @close="asking = undefined" />
    <HouseholdMeasures v-else-if="asking === 'measures'" @close="asking = undefined" />
    <HouseholdStates v-else-if="asking === 'states'" @close="asking = undefined" />
  </v-dialog>
  <FilePicker
    ref="picker"
    label="File to import"
    accept="application/json,.json"
    @chosen="choose"
  />
</template>

<style scoped>
.word {
  margin-left: 8px;
}
@media (max-width: 500px) {
  .menu {
    min-width: 44px;
    padding: 0;
  }
  .word {
    display: none;
  }
}
</style>
