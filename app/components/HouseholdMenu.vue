<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { ref } from 'vue'
import { LARGEST_FILE, type Household } from '~~/core/household'
import { collectHousehold, importHousehold, replaceHousehold } from '~/database/household'
import { demoHousehold } from '~/database/demo'
import { download } from '~/composables/useDownload'
import { useNotices } from '~/stores/notices'

const notices = useNotices()
const picker = ref<HTMLInputElement>()

async function exportAll() {
  const household = await collectHousehold()
  const name = `cadrum-${household.savedAt.slice(0, 10)}.json`
  download(name, 'application/json', JSON.stringify(household, null, 1))
  notices.show({ text: `Everything is in ${name}.` })
}

async function importFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  // Not even read where it cannot be ours: a film by mistake would stall the page.
  if (file.size > LARGEST_FILE)
    return refuse(file.name, [
      `it is too large (${Math.round(file.size / 1e6)} MB); allowed: up to ${LARGEST_FILE / 1e6} MB`,
    ])
  const before = await collectHousehold()
  const reading = await importHousehold(await file.text())
  if (!reading.ok)
    return refuse(
      file.name,
      reading.issues.map((i) => `${i.path}: ${i.message}; allowed: ${i.allowed}`),
    )
  offerBack(`${file.name} is taken over.`, before)
}

function refuse(name: string, details: string[]) {
  notices.show({ text: `${name} was not taken over; nothing has changed.`, details, bad: true })
}

function offerBack(text: string, before: Household) {
  notices.show({ text, undo: () => replaceHousehold(before) })
}

async function wipe() {
  const before = await collectHousehold()
  const empty = { kitchens: [], recipes: [], sessions: [], plans: [], cooking: [] }
  await replaceHousehold({ ...before, ...empty })
  offerBack('Everything is gone from this browser.', before)
}

async function demo() {
  const before = await collectHousehold()
  await replaceHousehold(demoHousehold())
  offerBack('Highfell, the demo household, is loaded.', before)
}
</script>

<template>
  <v-menu>
    <template #activator="{ props }">
      <v-btn v-bind="props" variant="text" class="menu" aria-label="Household">
        <v-icon :icon="mdiDotsHorizontal" /><span class="word">Household</span>
      </v-btn>
    </template>
    <v-list>
      <v-list-item title="Export everything" subtitle="One file, yours" @click="exportAll" />
      <v-list-item
        title="Import a file"
        subtitle="Takes the place of what is here"
        @click="picker?.click()"
      />
      <v-list-item title="Load the demo household" @click="demo" />
      <v-list-item title="Wipe this browser" subtitle="Can be undone at once" @click="wipe" />
    </v-list>
  </v-menu>
  <input
    ref="picker"
    type="file"
    accept="application/json,.json"
    class="unseen"
    aria-label="File to import"
    tabindex="-1"
    @change="importFile"
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
