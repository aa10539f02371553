<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { mdiClose } from '@mdi/js'
import { format } from 'date-fns'
import { ref } from 'vue'
import { amountText } from '~~/core/quantity'
import { readLeaving, type Recipe } from '~~/core/recipe'
import { dayText, said } from '~/composables/useMeasures'
import type { Change } from '~/composables/useFields'

const props = defineProps<{ recipe: Recipe; change: Change<Recipe> }>()
const left = ref('')
const note = ref('')
const wrong = ref<{ left?: string; note?: string }>({})

async function addLeft() {
  const reading = readLeaving(left.value)
  const [issue] = reading.ok
    ? await props.change((r) => ({ ...r, leaves: [...(r.leaves ?? []), reading.value] }))
    : reading.issues
  wrong.value = issue ? { left: issueText(issue) } : {}
  if (!issue) left.value = ''
}
const dropLeft = (at: number) =>
  props.change((r) => ({ ...r, leaves: (r.leaves ?? []).filter((_, i) => i !== at) }))

async function addNote() {
  const text = note.value.trim()
  if (!text) return
  const day = format(new Date(), 'yyyy-MM-dd')
  const [issue] = await props.change((r) => ({ ...r, notes: [{ day, text }, ...(r.notes ?? [])] }))
  wrong.value = issue ? { note: issueText(issue) } : {}
  if (!issue) note.value = ''
}
const dropNote = (at: number) =>
  props.change((r) => ({ ...r, notes: (r.notes ?? []).filter((_, i) => i !== at) }))
</script>

<template>
  <section aria-label="Left over and noted">
    <h2>Left over</h2>
    <ul class="bare">
      <li v-for="(l, i) in recipe.leaves ?? []" :key="l.item + i">
        <span>{{ said(amountText(l.amount, l.unit)) }} {{ l.item }}, keeps {{ l.days }} days</span>
        <IconButton :icon="mdiClose" :label="`No ${l.item} left over`" @click="dropLeft(i)" />
      </li>
    </ul>
    <LineForm
      v-model="left"
      label="Left over of one batch"
      example="500 g bones, keeps 2 days"
      button="Add"
      :wrong="wrong.left"
      @add="addLeft"
    />
    <h2>Last time</h2>
    <ul class="bare">
      <li v-for="(n, i) in recipe.notes ?? []" :key="n.day + i">
        <span
          ><small class="quiet">{{ dayText(n.day, 'd MMM yyyy') }}</small> {{ n.text }}</span
        >
        <IconButton :icon="mdiClose" :label="`Without the note ${n.text}`" @click="dropNote(i)" />
      </li>
    </ul>
    <LineForm
      v-model="note"
      label="A note for next time"
      example="Less salt; took 20 min more"
      button="Note"
      :wrong="wrong.note"
      @add="addNote"
    />
  </section>
</template>

<style scoped>
h2:not(:first-child) {
  margin-top: 16px;
}
li {
  display: flex;
  gap: 6px;
  align-items: baseline;
  justify-content: space-between;
  padding: 4px 2px;
  border-bottom: 1px solid var(--hair);
}
li small {
  display: block;
}
</style>
