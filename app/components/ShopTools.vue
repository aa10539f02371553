<script setup lang="ts">
import { issueLines } from '~/composables/issueText'
import {
  mdiCodeJson,
  mdiContentCopy,
  mdiDotsVertical,
  mdiPrinter,
  mdiQrcode,
  mdiSortVariant,
  mdiStorefrontOutline,
  mdiTableArrowDown,
  mdiTrayArrowDown,
} from '@mdi/js'
import { ref, useTemplateRef } from 'vue'
import {
  listAsCsv,
  listAsRows,
  listAsText,
  readPrices,
  type Price,
  type ShopList,
} from '~~/core/shopping'
import { shop } from '~/devices/shop'
import { database } from '~/database/database'
import { newId } from '~/composables/newId'
import { download } from '~/composables/useDownload'
import { said } from '~/composables/useMeasures'
import { today } from '~/composables/usePreparation'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

/** What can be done with the whole list: sent, printed, carried along, priced. */
const props = defineProps<{ list: ShopList }>()
/** As one would send it to somebody who measures as this household does. */
const asText = () => said(listAsText(props.list))
const notices = useNotices()
const saving = useSaving()
const code = ref<string[]>()
const asking = ref(false)
const ordering = ref(false)
const picker = useTemplateRef<{ open: () => void }>('picker')

async function copy() {
  try {
    await navigator.clipboard.writeText(asText())
    notices.show({ text: 'The list is copied: paste it where you like.' })
  } catch {
    download('list.txt', 'text/plain', asText())
    notices.show({ text: 'This browser does not let a page copy: the list came as a file.' })
  }
}
/** As many letters as a code holds that a phone still reads from a screen. */
const MOST = 900
async function showCode() {
  if (code.value) {
    code.value = undefined
    return
  }
  const { toDataURL } = await import('qrcode')
  const parts: string[] = ['']
  for (const line of asText().split('\n')) {
    const bytes = new TextEncoder().encode(`${parts.at(-1)}${line}\n`).length
    if (bytes > MOST) parts.push('')
    parts[parts.length - 1] += `${line}\n`
  }
  code.value = await Promise.all(
    parts.map((text) => toDataURL(text.trim(), { errorCorrectionLevel: 'L', width: 300 })),
  )
}

/** Prices into the household: those that are known already from the same shop are replaced. */
async function keepPrices(found: readonly Omit<Price, 'id' | 'day'>[]) {
  const { prices } = database
  const before = await prices.toArray()
  const same = (a: Omit<Price, 'id' | 'day'>, b: Price) =>
    a.item === b.item && a.amount === b.amount && a.unit === b.unit && a.shop === b.shop
  const gone = before.filter((b) => found.some((f) => same(f, b)))
  const fresh = found.map((f): Price => ({ ...f, id: newId(), day: today() }))
  await saving.write('the prices', () =>
    database.transaction('rw', prices, async () => {
      await prices.bulkDelete(gone.map((g) => g.id))
      await prices.bulkPut(fresh)
    }),
  )
  return () =>
    saving.write('the prices', () =>
      database.transaction('rw', prices, async () => {
        await prices.bulkDelete(fresh.map((f) => f.id))
        await prices.bulkPut(gone)
      }),
    )
}
async function askShop() {
  asking.value = true
  try {
    const { shop: name, simulated, prices } = await shop.prices()
    const undo = await keepPrices(prices)
    notices.show({
      text: `${prices.length} prices of ${name}${simulated ? ', a made-up shop,' : ''} are known now.`,
      undo,
    })
  } catch {
    notices.show({
      text: 'The shop does not answer. Prices can be typed at each thing.',
      bad: true,
    })
  } finally {
    asking.value = false
  }
}
async function fromFile(file: File) {
  const read = readPrices(await file.text(), `${today()}T00:00`)
  if (!read.ok) {
    notices.show({
      text: `${file.name}: no price was taken over.`,
      details: issueLines(read.issues),
      bad: true,
    })
    return
  }
  const undo = await keepPrices(read.value)
  notices.show({ text: `${read.value.length} prices are known now.`, undo })
}
const asJson = () =>
  download(
    'list.json',
    'application/json',
    JSON.stringify({ lines: listAsRows(props.list), total: props.list.total }, null, 1),
  )
const print = () => window.print()
</script>

<template>
  <div class="tools">
    <v-btn size="small" variant="tonal" :prepend-icon="mdiContentCopy" @click="copy"
      >Copy as text</v-btn
    >
    <v-btn
      size="small"
      variant="tonal"
      :prepend-icon="mdiQrcode"
      :aria-expanded="code !== undefined"
      @click="showCode"
      >Onto a phone</v-btn
    >
    <v-btn size="small" variant="text" :prepend-icon="mdiPrinter" @click="print">Print</v-btn>
    <v-btn
      size="small"
      variant="text"
      :prepend-icon="mdiStorefrontOutline"
      :loading="asking"
      @click="askShop"
      >Ask the shop for prices</v-btn
    >
    <slot />
    <v-menu>
      <template #activator="{ props: menu }">
        <IconButton v-bind="menu" :icon="mdiDotsVertical" label="More for the list" />
      </template>
      <v-list>
        <v-list-item
          :prepend-icon="mdiTableArrowDown"
          title="As a table (CSV)"
          @click="download('list.csv', 'text/csv', listAsCsv(list))"
        />
        <v-list-item :prepend-icon="mdiCodeJson" title="As JSON" @click="asJson" />
        <v-list-item
          :prepend-icon="mdiTrayArrowDown"
          title="Prices from a file"
          @click="picker?.open()"
        />
        <v-list-item
          :prepend-icon="mdiSortVariant"
          title="Your way through the shop"
          @click="ordering = true"
        />
      </v-list>
    </v-menu>
    <v-dialog v-model="ordering" max-width="420">
      <ShopSections @close="ordering = false" />
    </v-dialog>
    <FilePicker ref="picker" accept=".csv,.json,.txt" label="File with prices" @chosen="fromFile" />
    <figure v-if="code" class="codes">
      <img
        v-for="(c, k) in code"
        :key="c"
        :src="c"
        width="300"
        height="300"
        :alt="`The list as a code to scan, ${k + 1} of ${code.length}`"
      />
      <figcaption class="quiet">
        The list itself is in {{ code.length === 1 ? 'it' : 'them' }}: scan
        {{ code.length === 1 ? 'it' : 'each' }} with a phone's camera.
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.codes {
  flex-basis: 100%;
  margin: 8px 0;
}
.codes img {
  max-width: 100%;
  height: auto;
  margin: 0 12px 6px 0;
  border: 8px solid #fff;
}
</style>
