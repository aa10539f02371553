<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import { counted } from '~~/core/quantity'
import { keyOf, type Session } from '~~/core/session'
import { plain } from '~/composables/plain'
import { download } from '~/composables/useDownload'
import { dayText } from '~/composables/useMeasures'
import { usePreparation } from '~/composables/usePreparation'
import { useNotices } from '~/stores/notices'

/** The weeks into a calendar, and the busy evenings out of one. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  planned: ReadonlyMap<string, number>
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const notices = useNotices()
const { preparation, isDone } = usePreparation()
const picker = ref<{ open: () => void }>()
/** More than any calendar of a household holds. */
const LARGEST = 10_000_000

async function save() {
  const { calendarOf } = await import('~~/core/calendar')
  const seconds = new Map([...props.planned].map(([id, s]) => [keyOf(props.session.id, id), s]))
  const content = calendarOf(
    props,
    new Date().toISOString(),
    (key) => {
      const own = seconds.get(key)
      return own === undefined ? undefined : Math.ceil(own / 60)
    },
    (preparation.value?.ready ?? []).filter((r) => !isDone(`ready:${r.id}`)),
  )
  download(`${props.session.id}.ics`, 'text/calendar', content)
}

async function read(file: File) {
  const days = (props.session.evenings ?? []).map((e) => e.day)
  const { busyEvenings } = await import('~~/core/calendar')
  const found =
    file.size > LARGEST
      ? undefined
      : busyEvenings(
          await file.text(),
          days[0] ?? props.session.start.slice(0, 10),
          days.at(-1) ?? '',
        )
  if (!found?.ok) {
    notices.show({
      text: `"${file.name}" is not a calendar. Allowed: a calendar file (.ics) of up to 10 MB.`,
      bad: true,
    })
    return
  }
  const busy = new Map(found.value.map((b) => [b.day, b.what]))
  const known = days.filter((d) => busy.has(d))
  const before = plain(props.session.evenings ?? [])
  if (known.length)
    emit('change', (s) => ({
      ...s,
      evenings: (s.evenings ?? []).map((e) => (busy.has(e.day) ? { ...e, time: 'short' } : e)),
    }))
  notices.show({
    text: known.length
      ? `${counted(known.length, 'evening is', 'evenings are')} busy, and short now.`
      : 'None of these evenings is busy.',
    details: known.map((d) => `${dayText(d, 'EEE d MMM')}: ${busy.get(d)!.join(', ')}`),
    ...(known.length
      ? { undo: async () => emit('change', (s) => ({ ...s, evenings: before })) }
      : {}),
  })
}
</script>

<template>
  <v-menu>
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" size="small" variant="text" :append-icon="mdiChevronDown">
        Calendar
      </v-btn>
    </template>
    <v-list>
      <v-list-item
        title="All of this into your calendar"
        subtitle="A file with alarms: sittings, dinners, what thaws"
        @click="save"
      />
      <v-list-item
        title="Busy evenings from a calendar"
        subtitle="A calendar file: those evenings become short"
        @click="picker?.open()"
      />
    </v-list>
  </v-menu>
  <FilePicker
    ref="picker"
    label="Calendar file with busy evenings"
    accept=".ics,text/calendar"
    @chosen="read"
  />
</template>
