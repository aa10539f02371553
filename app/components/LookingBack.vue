<script setup lang="ts">
import { subMonths, format } from 'date-fns'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { useTheme } from 'vuetify'
import { lookBack, lookBackByDish } from '~~/core/eating'
import { tallyMoves } from '~~/core/packing'
import { counted } from '~~/core/quantity'
import { reportOf, type CookedRecord } from '~~/core/logbook'
import { spanText } from '~/composables/useClock'
import { download } from '~/composables/useDownload'
import { useHouse } from '~/composables/useHouse'
import { moneyText } from '~/composables/useMoney'

/** The last months: what was packed and what became of it, what it cost, and the hours it took. */
const props = defineProps<{ records: readonly CookedRecord[] }>()
const { house, today } = useHouse()
const SPANS = { 1: 'the last month', 3: 'the last three months', 12: 'the last year', 0: 'ever' }
const months = ref<keyof typeof SPANS>(3)
const from = computed(() =>
  Number(months.value)
    ? format(subMonths(new Date(today.value), Number(months.value)), 'yyyy-MM-dd')
    : '',
)
const packs = computed(() => house.value.packs.filter((p) => p.at.slice(0, 10) >= from.value))
const of = computed(() => lookBack(packs.value))
const dishes = computed(() => lookBackByDish(packs.value))
/** Hours that sessions took, of those that were cooked to their end. */
const cooked = computed(() =>
  props.records
    .filter((r) => !r.stopped && format(r.endedAt, 'yyyy-MM-dd') >= from.value)
    .map((r) => reportOf(r)),
)
const hours = computed(() => cooked.value.reduce((n, r) => n + r.real, 0))
const theme = useTheme()
/** What became of the portions, each part of them in words and in the bar. */
const parts = computed(() =>
  [
    { name: 'eaten', n: of.value.eaten, colour: 'primary' },
    { name: 'given away', n: of.value.given, colour: 'warning' },
    { name: 'into other dishes', n: of.value.used, colour: 'secondary' },
    { name: 'still there', n: of.value.left, colour: 'surface-variant' },
    { name: 'thrown away', n: of.value.thrown, colour: 'error' },
  ].filter((p) => p.n > 0),
)
const bars = computed(() =>
  parts.value.map((p) => ({
    label: p.name,
    data: [p.n],
    backgroundColor: theme.current.value.colors[p.colour] as string,
  })),
)
const OPTIONS = {
  indexAxis: 'y' as const,
  scales: {
    x: { stacked: true, title: { display: true, text: 'portions' } },
    y: { stacked: true, display: false },
  },
}
const inWords = computed(() => parts.value.map((p) => `${p.n} ${p.name}`).join(', '))
const each = computed(() => (of.value.known > 0 ? of.value.cost / of.value.known : undefined))
const rows = () =>
  house.value.packs.map((p) => {
    const t = tallyMoves([p])
    return {
      dish: p.name,
      cooked: p.cooked,
      packed: p.portions,
      eaten: t.eaten,
      thrown: t.thrown,
      given: t.given,
      left: t.left,
      cost: p.cost === undefined ? '' : (p.cost / 100).toFixed(2),
    }
  })
const asTable = () => download('packs.csv', 'text/csv', `${Papa.unparse(rows())}\n`)
const asJson = () =>
  download('packs.json', 'application/json', `${JSON.stringify(house.value.packs, undefined, 2)}\n`)
</script>

<template>
  <section v-if="house.packs.length" aria-label="Looking back" data-test="looking-back">
    <header>
      <h2>Looking back</h2>
      <PickField
        :value="String(months)"
        :items="SPANS"
        aria-label="How far back"
        @pick="months = Number($event) as keyof typeof SPANS"
      />
      <v-btn size="small" variant="text" @click="asTable">As a table</v-btn>
      <v-btn size="small" variant="text" @click="asJson">As JSON</v-btn>
    </header>
    <p v-if="!of.packed" class="quiet">Nothing was packed in that time.</p>
    <template v-else>
      <p>
        <strong class="figure">{{ counted(of.packed, 'portion') }}</strong> packed<template
          v-if="hours"
          >, in {{ spanText(hours) }} of cooking: {{ spanText(hours / of.packed) }} a
          portion</template
        ><template v-if="each !== undefined"
          >; {{ moneyText(Math.round(each)) }} a portion, of the {{ of.known }} whose price is
          known</template
        >.
      </p>
      <ChartFrame
        :name="`What became of the portions: ${inWords}`"
        :labels="['']"
        :datasets="bars"
        :options="OPTIONS"
        :height="130"
      />
      <p>{{ inWords }}.</p>
      <p v-if="of.why.length">
        Thrown away:
        <template v-for="(w, k) in of.why" :key="w.why"
          >{{ k ? '; ' : '' }}{{ counted(w.portions, 'portion') }} {{ w.why
          }}<template v-if="w.cost"> ({{ moneyText(w.cost) }})</template></template
        >.
      </p>
      <table>
        <thead>
          <tr class="quiet">
            <th>dish</th>
            <th>packed</th>
            <th>eaten</th>
            <th>thrown away</th>
            <th>a portion</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="d in dishes" :key="d.dish">
            <td>{{ d.name }}</td>
            <td class="figure">{{ d.of.packed }}</td>
            <td class="figure">{{ d.of.eaten }}</td>
            <td class="figure" :class="{ wrong: d.of.thrown > 0 }">{{ d.of.thrown }}</td>
            <td class="figure">
              {{ d.of.known ? moneyText(Math.round(d.of.cost / d.of.known)) : 'not known' }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
table {
  margin-top: 8px;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: start;
}
td,
th {
  padding: 2px 18px 2px 0;
}
td.figure {
  white-space: nowrap;
}
</style>
