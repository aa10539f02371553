<script setup lang="ts">
import { mdiCodeJson, mdiPrinter, mdiTable } from '@mdi/js'
import { computed } from 'vue'
import { useTheme } from 'vuetify'
import { reportOf, reportTable, type CookedRecord, type Report } from '~~/core/logbook'
import { counted } from '~~/core/quantity'
import { spanText } from '~/composables/useClock'
import { download } from '~/composables/useDownload'
import { measuredText, timeOf } from '~/composables/useMeasures'
import { workWords } from '~/composables/useWords'

/** What became of a session: planned against real, and where everybody's time went. */
const props = defineProps<{ record: CookedRecord }>()
const theme = useTheme()
const colour = (name: string) => theme.current.value.colors[name] as string
const report = computed(() => reportOf(props.record))
const timeAt = (seconds: number) =>
  timeOf(new Date(props.record.cooking.startedAt + seconds * 1000))
const minutes = (seconds: number) => Math.round(seconds / 6) / 10

const dishes = computed(() => report.value.dishes.filter((d) => d.real !== undefined))
const dishBars = computed(() => [
  {
    label: 'planned',
    data: dishes.value.map((d) => minutes(d.planned)),
    backgroundColor: colour('secondary'),
  },
  {
    label: 'cooked',
    data: dishes.value.map((d) => minutes(d.real!)),
    backgroundColor: colour('primary'),
  },
])
const dishOptions = {
  indexAxis: 'y' as const,
  scales: {
    x: { beginAtZero: true, title: { display: true, text: 'minutes after the start' } },
    y: { grid: { display: false } },
  },
}
/** Where time went, in parts that are few enough to be seen. */
const PARTS = ['hands', 'washing', 'waiting', 'standing still'] as const
const WASHING = new Set(['wash', 'wash-hands'])
const parts = computed(() =>
  report.value.people.map((p) => {
    const washing = p.works.filter((w) => WASHING.has(w.work)).reduce((s, w) => s + w.seconds, 0)
    const all = p.works.reduce((s, w) => s + w.seconds, 0)
    return { name: p.name, parts: [all - washing, washing, p.waiting, p.paused] }
  }),
)
const COLOURS = ['primary', 'warning', 'surface-variant', 'error'] as const
const partBars = computed(() =>
  PARTS.map((label, k) => ({
    label,
    data: parts.value.map((p) => minutes(p.parts[k]!)),
    backgroundColor: colour(COLOURS[k]!),
  })),
)
const partOptions = {
  indexAxis: 'y' as const,
  scales: {
    x: { stacked: true, title: { display: true, text: 'minutes' } },
    y: { stacked: true, grid: { display: false } },
  },
}
const foretold = computed(() => props.record.cooking.foretold)
const fileName = computed(
  () => `cadrum-${new Date(props.record.cooking.startedAt).toISOString().slice(0, 10)}`,
)
const changeWords = ({ kind, dish, food, instead }: Report['changes'][number]) =>
  kind === 'extra'
    ? `One dish more: ${dish}`
    : kind === 'given-up'
      ? `Given up: ${dish}`
      : `No ${food} for ${dish}: ${instead ? `${instead} instead` : 'left out'}`
const print = () => window.print()
</script>

<template>
  <article class="report" data-test="report">
    <h2>{{ record.name }}</h2>
    <p class="figure">
      {{ timeAt(0) }} to {{ timeAt(report.real) }}: <strong>{{ spanText(report.real) }}</strong>,
      planned {{ spanText(report.planned) }}
      <template v-if="foretold">
        · foretold {{ spanText(foretold.half) }}, nine times in ten within
        {{ spanText(foretold.most) }}</template
      >
      <template v-if="report.anew"> · planned anew {{ counted(report.anew, 'time') }}</template>
    </p>
    <div class="files no-print">
      <v-btn variant="tonal" :prepend-icon="mdiPrinter" @click="print">Print</v-btn>
      <v-btn
        variant="tonal"
        :prepend-icon="mdiTable"
        @click="download(`${fileName}.csv`, 'text/csv', reportTable(record))"
        >CSV</v-btn
      >
      <v-btn
        variant="tonal"
        :prepend-icon="mdiCodeJson"
        @click="download(`${fileName}.json`, 'application/json', JSON.stringify(record, null, 1))"
        >JSON</v-btn
      >
    </div>
    <div class="charts">
      <section>
        <h3>When each dish was done</h3>
        <p v-if="!dishes.length" class="quiet">No dish was finished.</p>
        <ChartFrame
          v-else
          name="When each dish was done, planned and cooked"
          :labels="dishes.map((d) => d.name)"
          :datasets="dishBars"
          :options="dishOptions"
          :height="90 + 44 * dishes.length"
        />
      </section>
      <section>
        <h3>Where the time went</h3>
        <ChartFrame
          name="Where each cook's time went"
          :labels="parts.map((p) => p.name)"
          :datasets="partBars"
          :options="partOptions"
          :height="120 + 50 * parts.length"
        />
        <table>
          <thead>
            <tr>
              <th scope="col">Person</th>
              <th v-for="part in PARTS" :key="part" scope="col">{{ part }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in parts" :key="p.name">
              <th scope="row">{{ p.name }}</th>
              <td v-for="(seconds, k) in p.parts" :key="k">{{ spanText(seconds) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
    <section>
      <h3>Kinds of work</h3>
      <table>
        <thead>
          <tr>
            <th scope="col">Work</th>
            <th scope="col">planned</th>
            <th scope="col">took</th>
            <th scope="col">pieces</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="w in report.works" :key="w.work">
            <th scope="row">{{ workWords(w.work) }}</th>
            <td>{{ spanText(w.planned) }}</td>
            <td>{{ spanText(w.real) }}</td>
            <td>{{ w.pieces }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="report.temperatures.length">
      <h3>Temperatures</h3>
      <ul>
        <li v-for="(t, k) in report.temperatures" :key="k">
          {{ timeAt(t.at) }} {{ record.dishes.find((d) => d.id === t.dish)?.name }}:
          {{ measuredText(t.celsius) }}
        </li>
      </ul>
    </section>
    <section v-if="report.skipped.length">
      <h3>Left out</h3>
      <ul>
        <li v-for="text in report.skipped" :key="text">{{ text }}</li>
      </ul>
    </section>
    <section v-if="report.changes.length">
      <h3>Otherwise than planned</h3>
      <ul>
        <li v-for="(c, k) in report.changes" :key="k">{{ timeAt(c.at) }} {{ changeWords(c) }}</li>
      </ul>
    </section>
    <section>
      <h3>For next time</h3>
      <ul v-if="report.notes.length">
        <li v-for="(n, k) in report.notes" :key="k">{{ n.text }}</li>
      </ul>
      <NextTime :record="record" class="no-print" />
    </section>
  </article>
</template>

<style scoped>
.report > p {
  font-size: 1.1rem;
}
h2 {
  font-size: 1.5rem;
}
h3 {
  margin: 18px 0 6px;
  font-size: 1.15rem;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 10px 0;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(460px, 100%), 1fr));
  gap: 10px 32px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 5px 14px 5px 0;
  border-bottom: 1px solid var(--hair);
  text-align: right;
  font-weight: 400;
}
th:first-child {
  text-align: left;
}
thead th {
  color: var(--quiet);
}
</style>
