<script setup lang="ts">
import { mdiDelete } from '@mdi/js'
import { computed, ref } from 'vue'
import { reportOf } from '~~/core/logbook'
import { database } from '~/database/database'
import { teach } from '~/database/teach'
import { spanText } from '~/composables/useClock'
import { useLive } from '~/composables/useLive'
import { dayText } from '~/composables/useMeasures'
import { openedKitchen } from '~/database/opened'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

useHead({ title: 'Logbook · Cadrum' })
const saving = useSaving()
const notices = useNotices()
const data = useLive(async () => {
  const [records, kitchen] = await Promise.all([database.records.toArray(), openedKitchen()])
  return { records: records.sort((a, b) => b.endedAt - a.endedAt), kitchen }
})
const records = computed(() => data.value?.records ?? [])
const chosen = ref<string>()
const record = computed(() => records.value.find((r) => r.id === chosen.value) ?? records.value[0])
const rows = computed(() =>
  records.value.map((r) => {
    const { planned, real } = reportOf(r)
    const off = real - planned
    return {
      id: r.id,
      name: r.name,
      day: dayText(new Date(r.cooking.startedAt).toISOString()),
      took: spanText(real),
      off: r.stopped
        ? 'then stopped'
        : Math.abs(off) < 60
          ? 'as planned'
          : `${spanText(Math.abs(off))} ${off > 0 ? 'longer' : 'shorter'}`,
    }
  }),
)

async function letGo(id: string) {
  const gone = records.value.find((r) => r.id === id)
  if (!gone) return
  const change = (act: () => Promise<unknown>) =>
    saving.write('the logbook', () =>
      database.transaction('rw', database.records, database.kitchens, async () => {
        await act()
        await teach(gone.kitchen)
      }),
    )
  await change(() => database.records.delete(id))
  notices.show({
    text: `"${gone.name}" is out of the logbook.`,
    undo: () => change(() => database.records.put(gone)),
  })
}
</script>

<template>
  <div v-if="!data" class="quiet" role="status">Opening the household …</div>
  <section v-else-if="!record" class="empty">
    <h1>Nothing cooked yet</h1>
    <p>
      When a session has been cooked, its report is kept here: what took how long, what it teaches
      for the next time, and your notes.
    </p>
    <v-btn to="/cook" color="primary" size="large">To the stove</v-btn>
    <LookingBack :records="records" class="back" />
  </section>
  <div v-else>
    <h1>Logbook</h1>
    <ul class="records no-print" aria-label="Sessions that were cooked">
      <li v-for="r in rows" :key="r.id">
        <v-btn
          :variant="r.id === record.id ? 'tonal' : 'text'"
          :aria-pressed="r.id === record.id"
          height="56"
          @click="chosen = r.id"
        >
          {{ r.day }} · {{ r.name }} · {{ r.took }}, {{ r.off }}
        </v-btn>
        <IconButton
          :icon="mdiDelete"
          :label="`Take ${r.name} of ${r.day} out`"
          @click="letGo(r.id)"
        />
      </li>
    </ul>
    <LookingBack :records="records" class="back" />
    <SessionReport :record="record" />
    <LearnedPaces v-if="data.kitchen" :kitchen="data.kitchen" class="no-print" />
  </div>
</template>

<style scoped>
.empty {
  max-width: 560px;
  margin: 40px auto;
}
.empty p {
  margin: 10px 0 16px;
}
.back {
  margin: 14px 0;
}
.records {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
.records li {
  display: flex;
  max-width: 100%;
  align-items: center;
}
/* On a phone the name of a session takes two lines. */
.records li > :first-child {
  flex: 0 1 auto;
  min-width: 0;
}
.records :deep(.v-btn__content) {
  white-space: normal;
  text-align: left;
}
</style>
