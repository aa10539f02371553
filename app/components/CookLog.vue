<script setup lang="ts">
import { mdiClockEditOutline, mdiUndoVariant } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Event } from '~~/core/logbook'
import type { CompiledSession } from '~~/core/session'
import { spanText } from '~/composables/useClock'
import { measuredText } from '~/composables/useMeasures'

/** Everything that has happened, the latest first: each can be undone, and set right in its time. */
const props = defineProps<{
  events: readonly Event[]
  kitchen: Kitchen
  compiled: CompiledSession
  timeAt: (seconds: number) => string
  startedAt: number
  /** Whether it can be put away again. */
  closes: boolean
}>()
const emit = defineEmits<{
  undo: [event: string]
  correct: [event: string, from: number, to: number]
  note: [text: string]
  close: []
}>()

const person = (id: string | undefined) =>
  id === undefined ? '' : (props.kitchen.people.find((p) => p.id === id)?.name ?? id)
const place = (id: string) => props.kitchen.stations.find((s) => s.id === id)?.name ?? id
const dish = (id: string) => props.compiled.dishes.find((d) => d.id === id)?.name ?? id
const step = (id: string) => props.compiled.cards[id]?.text ?? id

function words(e: Event): string | undefined {
  switch (e.kind) {
    case 'done':
      return e.skipped ? `Left out: ${e.text}` : e.text
    case 'more':
      return `Needs until ${props.timeAt(e.until)}: ${step(e.activity)}`
    case 'later':
      return `Not before ${props.timeAt(e.until)}: ${step(e.activity)}`
    case 'handed':
      return `For ${person(e.to)}: ${step(e.activity)}`
    case 'given-up':
      return `Given up: ${dish(e.dish)}`
    case 'extra':
      return `One dish more: ${dish(e.dish)}`
    case 'turned':
      return `Goes on ${props.compiled.cards[e.activity]?.ways[e.mode] ?? e.mode}, until ${props.timeAt(e.until)}: ${step(e.activity)}`
    case 'missing':
      return `No ${e.item} for ${dish(e.dish)}: ${e.instead ? `${e.instead} instead` : 'left out'}`
    case 'out':
      return `${place(e.station)} is out of use`
    case 'back':
      return `${place(e.station)} can be used again`
    case 'paused':
      return 'Everything stands still'
    case 'resumed':
      return 'It goes on'
    case 'planned':
      return e.words
    case 'note':
      return `Note: ${e.text}`
    case 'temperature':
      return `${measuredText(e.celsius)}: ${dish(e.dish)}`
    default:
      return undefined
  }
}
const rows = computed(() =>
  props.events
    .flatMap((e) => {
      const text = words(e)
      return text === undefined ? [] : [{ e, text }]
    })
    .reverse(),
)
const at = (e: Event) =>
  props.timeAt(e.kind === 'done' ? e.to : Math.round((e.at - props.startedAt) / 1000))

/** Which line is being set right. */
const open = ref<string>()
const note = ref('')
function write() {
  if (!note.value.trim()) return
  emit('note', note.value.trim())
  note.value = ''
}
</script>

<template>
  <section class="log" aria-labelledby="log-title">
    <div class="head">
      <h2 id="log-title">What has happened</h2>
      <v-btn v-if="closes" variant="text" height="56" @click="emit('close')">Close</v-btn>
    </div>
    <form class="note" @submit.prevent="write">
      <v-text-field
        v-model="note"
        aria-label="A note"
        placeholder="A note for next time"
        maxlength="2000"
      />
      <v-btn type="submit" height="56" variant="tonal">Write it down</v-btn>
    </form>
    <ol>
      <li v-for="{ e, text } in rows" :key="e.id">
        <time class="figure">{{ at(e) }}</time>
        <span class="who">{{ person(e.cook) }}</span>
        <span class="what"
          >{{ text }}
          <span v-if="e.kind === 'done' && e.to - e.from > 30" class="quiet"
            >took {{ spanText(e.to - e.from) }}</span
          ></span
        >
        <IconButton
          v-if="e.kind === 'done' && !e.skipped"
          :icon="mdiClockEditOutline"
          :label="`Set the time right: ${text}`"
          @click="open = open === e.id ? undefined : e.id"
        />
        <span v-else />
        <IconButton
          v-if="e.kind !== 'planned' && e.kind !== 'extra'"
          :icon="mdiUndoVariant"
          :label="`It did not happen: ${text}`"
          @click="emit('undo', e.id)"
        />
        <span v-else />
        <div v-if="open === e.id && e.kind === 'done'" class="right">
          <v-btn
            v-for="m in [1, 2, 5, 10]"
            :key="m"
            height="56"
            variant="outlined"
            @click="
              emit(
                'correct',
                e.id,
                Math.max(0, Math.min(e.from, e.to - 60 * m)),
                Math.max(0, e.to - 60 * m),
              )
            "
            >{{ m }} min earlier</v-btn
          >
          <v-btn
            v-for="m in [2, 5, 10]"
            :key="`b${m}`"
            height="56"
            variant="outlined"
            @click="emit('correct', e.id, Math.max(0, e.from - 60 * m), e.to)"
            >begun {{ m }} min earlier</v-btn
          >
        </div>
      </li>
    </ol>
    <p v-if="!rows.length" class="quiet">Nothing yet.</p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
.log {
  margin-top: 24px;
}
h2 {
  font-size: 1.3rem;
}
.note {
  display: flex;
  gap: 10px;
  max-width: 620px;
  margin: 8px 0;
}
ol {
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 4.2em 4.2em minmax(0, 1fr) 40px 40px;
  gap: 2px 10px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.right {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 8px;
}
@media (max-width: 500px) {
  li {
    grid-template-columns: 3.6em minmax(0, 1fr) 40px 40px;
  }
  .who {
    display: none;
  }
}
</style>
