<script setup lang="ts">
import { downloadHousehold } from '~/composables/useDownload'
import { useSaving } from '~/stores/saving'
import { useTabs } from '~/stores/tabs'

/** What the cook has to know about keeping: what is not saved, and which tab writes. */
const saving = useSaving()
const tabs = useTabs()
const list = new Intl.ListFormat('en', { type: 'conjunction' })
</script>

<template>
  <div v-if="saving.unsaved.length" class="bar bad no-print" role="alert" data-test="unsaved">
    <p>
      <strong>Not saved: {{ list.format(saving.unsaved) }}.</strong>
      Reason: {{ saving.why }} It is tried again by itself; leave this page open.
    </p>
    <v-btn size="small" variant="outlined" @click="saving.again()">Try again now</v-btn>
    <v-btn size="small" variant="text" @click="downloadHousehold">Export what is saved</v-btn>
    <v-btn size="small" variant="text" @click="saving.giveUp()">Leave it unsaved</v-btn>
  </div>
  <div v-else-if="saving.blocked" class="bar bad no-print" role="alert">
    <p>An older Cadrum is open in another tab. Close that tab, and this page goes on.</p>
  </div>
  <div v-if="!saving.lasting.lasts" class="bar bad no-print" role="alert" data-test="passing">
    <p>
      <strong>This browser keeps nothing for this page:</strong> {{ saving.lasting.why }} Everything
      works until you close it. Export before that, and import the file next time.
    </p>
    <v-btn size="small" variant="outlined" @click="downloadHousehold">Export everything</v-btn>
  </div>
  <div v-if="!tabs.writes" class="bar no-print" role="status" data-test="follows">
    <p>
      Cadrum is open in another tab, and changes are saved there. This tab follows; change something
      here, and saving moves here.
    </p>
    <v-btn size="small" variant="outlined" @click="tabs.takeOver()">Save here</v-btn>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 8px 20px;
  border-bottom: 1px solid var(--hair);
  border-left: 6px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
.bar.bad {
  border-left-color: rgb(var(--v-theme-error));
}
p {
  flex: 1 1 320px;
}
</style>
