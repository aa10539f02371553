<script setup lang="ts">
import { issueLines } from '~/composables/issueText'
import { computed, ref, useTemplateRef } from 'vue'
import Papa from 'papaparse'
import { counted } from '~~/core/quantity'
import { readInHouse } from '~~/core/shopping'
import { litresTaken, stockOf, useSoon, type Stock, type StockPlace } from '~~/core/stock'
import { freeId, takersOf } from '~~/core/recipe'
import { download } from '~/composables/useDownload'
import { dayText, said } from '~/composables/useMeasures'
import { amountText } from '~~/core/quantity'
import { meantOn } from '~~/core/eating'
import { roomIn } from '~~/core/packing'
import { useHouse } from '~/composables/useHouse'
import { today, usePreparation } from '~/composables/usePreparation'
import { database } from '~/database/database'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

useHead({ title: 'Keep · Cadrum' })
const { ready, kitchen, recipes, stock } = usePreparation()
const packed = useHouse()
const { lying, order, arrangement, does } = packed
const chosen = ref<string>()
/** The evening that each pack is meant for. */
const meant = computed(() => meantOn(arrangement.value?.days ?? []))
const saving = useSaving()
const notices = useNotices()
const picker = useTemplateRef<{ open: () => void }>('picker')
const PLACES: { place: StockPlace; name: string }[] = [
  { place: 'fridge', name: 'Fridge' },
  { place: 'freezer', name: 'Freezer' },
  { place: 'shelf', name: 'Shelf' },
]
const rooms = computed(() =>
  PLACES.map(({ place, name }) => {
    const litres = kitchen.value && roomIn(kitchen.value, place)
    return {
      place,
      name,
      taken: litresTaken(stock.value, place),
      litres,
      things: stock.value
        .filter((s) => s.place === place)
        .sort((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9') || a.item.localeCompare(b.item)),
    }
  }),
)
const soon = computed(() =>
  useSoon(stock.value, today()).map((s) => ({
    ...s,
    takers: takersOf(s.stock.item, recipes.value).map(
      (t) => recipes.value.find((r) => r.id === t.recipe)!.name,
    ),
  })),
)
const when = (days: number) =>
  days < 0
    ? `over since ${days === -1 ? 'yesterday' : `${-days} days`}`
    : days === 0
      ? 'today'
      : days === 1
        ? 'tomorrow'
        : `in ${days} days`

const put = (thing: Stock) =>
  saving.write('what is in the house', () => database.stock.put({ ...thing, counted: today() }))
/** What is in the house, from a file: beside what is there. */
async function fromFile(file: File) {
  const read = readInHouse(await file.text())
  if (!read.ok) {
    notices.show({
      text: `${file.name}: nothing was taken over.`,
      details: issueLines(read.issues),
      bad: true,
    })
    return
  }
  const taken = new Set(stock.value.map((s) => s.id))
  const fresh = stockOf(read.value).map((s) => {
    const id = freeId(s.id, taken)
    taken.add(id)
    return { ...s, id, counted: today() }
  })
  await saving.write('what is in the house', () => database.stock.bulkPut(fresh))
  notices.show({
    text: `${counted(fresh.length, 'thing')} more in the house.`,
    undo: () =>
      saving.write('what is in the house', () => database.stock.bulkDelete(fresh.map((f) => f.id))),
  })
}
const asTable = () =>
  download(
    'in-the-house.csv',
    'text/csv',
    Papa.unparse(
      stock.value.map((s) => ({
        item: s.item,
        amount: s.amount,
        unit: s.unit,
        place: s.place,
        where: s.where ?? '',
        by: s.by ?? '',
      })),
    ) + '\n',
  )
async function remove(thing: Stock) {
  await saving.write('what is in the house', () => database.stock.delete(thing.id))
  notices.show({
    text: `${thing.item} is gone.`,
    undo: () => saving.write('what is in the house', () => database.stock.put(thing)),
  })
}
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <div v-else>
    <h1>Keep</h1>
    <p class="quiet">
      Above what is cooked and packed, what is to be eaten first in front; below what is in the
      house to cook with. Shopping and packing fill it, cooking and eating empty it.
    </p>
    <p v-if="!lying.length" class="quiet" data-test="nothing-packed">
      Nothing is packed. When dishes are cooked,
      <NuxtLink to="/pack?fill">fill the boxes</NuxtLink>, and they lie here.
    </p>
    <div v-else class="rooms" data-test="packed">
      <PackShelf
        v-for="r in rooms.filter(
          (x) => x.litres !== undefined || lying.some((l) => l.place === x.place),
        )"
        :key="r.place"
        :place="r.place"
        :name="r.name"
        :lying="lying"
        :room="r.litres"
        :order="order"
        :today="packed.today.value"
        :meant="meant"
        :chosen="chosen"
        @choose="chosen = $event"
        @act="does"
      />
    </div>
    <h2 class="house">To cook with</h2>
    <p class="no-print">
      <v-btn size="small" variant="text" @click="picker?.open()">From a file</v-btn>
      <v-btn v-if="stock.length" size="small" variant="text" @click="asTable">As a table</v-btn>
      <FilePicker
        ref="picker"
        accept=".csv,.json,.txt"
        label="File of what is in the house"
        @chosen="fromFile"
      />
    </p>
    <section v-if="soon.length" aria-label="To be used soon" data-test="soon">
      <h2>To be used soon</h2>
      <ul class="bare">
        <li v-for="s in soon" :key="s.stock.id" :class="{ wrong: s.days < 0 }">
          <strong>{{ said(amountText(s.stock.amount, s.stock.unit)) }} {{ s.stock.item }}</strong>
          {{ when(s.days) }} ({{ dayText(s.stock.by!, 'EEE d MMM') }})<template v-if="s.days < 0"
            >: look and smell before you use it, and throw away raw meat and fish</template
          ><template v-else-if="s.takers.length">: {{ s.takers.join(', ') }}</template>
        </li>
      </ul>
    </section>
    <div class="rooms">
      <StockShelf
        v-for="r in rooms"
        :key="r.place"
        v-bind="r"
        :all="stock"
        @put="put"
        @remove="remove"
      />
    </div>
  </div>
</template>

<style scoped>
.rooms {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 12px 28px;
  margin-top: 12px;
}
h2 {
  margin: 12px 0 4px;
  font-size: 1.15rem;
}
li {
  padding: 3px 0;
}
</style>
