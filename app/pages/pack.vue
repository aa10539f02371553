<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from '#imports'
import { labelLines, packsInto, type Label } from '~~/core/labels'
import { counted } from '~~/core/quantity'
import { READ_THE_PACK } from '~~/core/recipe'
import { LABEL_SHEETS } from '~/composables/labelSheets'
import { download } from '~/composables/useDownload'
import { dayText, said } from '~/composables/useMeasures'
import { usePreparation } from '~/composables/usePreparation'
import { labelPrinter } from '~/devices/labelPrinter'
import { useNotices } from '~/stores/notices'

useHead({ title: 'Pack · Cadrum' })
const {
  ready,
  whole: session,
  kitchen,
  recipes,
  preparation,
  ticked,
  tick,
  over,
} = usePreparation()
const notices = useNotices()
/** Labels are written before, boxes are filled after the cooking: what is due is opened. */
const route = useRoute()
const asked = ref<'labels' | 'boxes' | undefined>('fill' in route.query ? 'boxes' : undefined)
const cookedAny = computed(() => over.value.size > 0)
const part = computed({
  get: () => asked.value ?? (cookedAny.value ? 'boxes' : 'labels'),
  set: (value) => (asked.value = value),
})
const byId = computed(() => new Map(recipes.value.map((r) => [r.id, r])))
const labels = computed(() => preparation.value?.labels ?? [])
const order = computed(() => recipes.value.map((r) => r.id))
const packs = computed(() => packsInto(labels.value))
/** Labels that are not to be printed, and copies of those that are. */
const left = ref<string[]>([])
const copies = ref<Record<string, number>>({})
const chosen = computed(() => labels.value.filter((l) => !left.value.includes(l.id)))
const sheetId = ref(LABEL_SHEETS[0]!.id)
const sheet = computed(() => LABEL_SHEETS.find((s) => s.id === sheetId.value)!)
const withCode = ref(false)
const skip = ref(0)
const printed = ref<string[]>()
const busy = ref(false)

const day = (iso: string) => dayText(iso, 'EEE d MMM yyyy')
/** The words of a label: by hand where somebody has changed them. */
const worked = (l: Label) => labelLines(l, day).map(said)
const byHand = (l: Label) => ticked.value.labels[l.id]
const linesOf = (l: Label) => byHand(l)?.text.split('\n') ?? worked(l)
const toPrint = computed(() =>
  chosen.value.flatMap((l) =>
    Array.from({ length: copies.value[l.id] ?? 1 }, () => ({
      lines: linesOf(l),
      ...(withCode.value ? { code: `${location.origin}/recipes?open=${l.dish}` } : {}),
    })),
  ),
)
const write = (l: Label, text: string | undefined) =>
  tick((t) => {
    const { [l.id]: _, ...rest } = t.labels
    const own = { text: text ?? '', was: worked(l).join('\n') }
    return { ...t, labels: text === undefined ? rest : { ...rest, [l.id]: own } }
  })
function choose(l: Label, on: boolean) {
  left.value = [...left.value.filter((id) => id !== l.id), ...(on ? [] : [l.id])]
}

async function asPdf() {
  busy.value = true
  try {
    const { labelsPdf } = await import('~/composables/useLabelsPdf')
    download(
      'labels.pdf',
      'application/pdf',
      await labelsPdf(toPrint.value, sheet.value, skip.value),
    )
  } finally {
    busy.value = false
  }
}
async function toPrinter() {
  busy.value = true
  try {
    const { drawings } = await labelPrinter.print(toPrint.value.map((l) => l.lines))
    printed.value = drawings.map((svg) => `data:image/svg+xml,${encodeURIComponent(svg)}`)
  } catch {
    notices.show({ text: 'The label printer does not answer. A sheet can be printed.', bad: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!session || !kitchen" />
  <div v-else>
    <h1>Pack</h1>
    <v-btn-toggle
      v-model="part"
      mandatory
      density="compact"
      variant="outlined"
      color="primary"
      class="no-print parts"
      aria-label="Before the cooking or after it"
    >
      <v-btn value="labels">Write labels</v-btn>
      <v-btn value="boxes">Fill the boxes</v-btn>
    </v-btn-toggle>
    <RoomCheck
      v-if="labels.length"
      :labels="labels"
      :kitchen="kitchen"
      :recipes="byId"
      :session="session.id"
    />
    <template v-if="part === 'boxes'">
      <FillBoxes
        v-if="preparation"
        :session="session"
        :kitchen="kitchen"
        :recipes="byId"
        :order="order"
        :preparation="preparation"
      />
    </template>
    <template v-else>
      <p class="quiet">
        Written before the cooking begins: a label for each of the
        {{ counted(labels.length, 'box or bag', 'boxes and bags') }} that {{ session.name }} fills,
        {{ packs.fridge }} for the fridge, {{ packs.freezer }} for the freezer<template
          v-if="packs.shelf"
          >, {{ packs.shelf }} for the shelf</template
        >.
      </p>
      <div v-if="labels.length" class="tools no-print">
        <PickField
          class="sheet"
          label="Paper"
          :value="sheetId"
          :items="LABEL_SHEETS.map((s) => ({ value: s.id, title: s.title }))"
          @pick="sheetId = $event"
        />
        <PickField
          class="first"
          label="The first free label"
          :value="skip"
          :items="
            Array.from({ length: sheet.across * sheet.down }, (_, k) => ({
              value: k,
              title: `number ${k + 1}`,
            }))
          "
          @pick="skip = $event"
        />
        <CheckField :value="withCode" label="With a code" @set="withCode = $event"
          >that opens the dish here</CheckField
        >
        <v-btn color="primary" :disabled="!toPrint.length || busy" @click="asPdf"
          >{{ counted(toPrint.length, 'label') }} as PDF</v-btn
        >
        <v-btn variant="tonal" :disabled="!toPrint.length || busy" @click="toPrinter"
          >To the label printer</v-btn
        >
      </div>
      <section
        v-if="printed"
        class="printed"
        aria-label="From the label printer"
        data-test="printed"
      >
        <p class="quiet">
          From the made-up label printer, as a small thermal printer would print them.
          <v-btn size="small" variant="text" @click="printed = undefined">Close</v-btn>
        </p>
        <img v-for="(src, k) in printed" :key="k" :src="src" alt="" width="240" height="160" />
      </section>
      <p v-if="!labels.length" class="quiet">
        Nothing is packed away: no dish is chosen, or all of it is eaten from the stove.
      </p>
      <ul class="bare labels">
        <LabelCard
          v-for="l in labels"
          :key="l.id"
          :label="l"
          :lines="linesOf(l)"
          :index="order.indexOf(l.dish)"
          :chosen="!left.includes(l.id)"
          :copies="copies[l.id] ?? 1"
          :changed="byHand(l) !== undefined"
          :outdated="byHand(l) !== undefined && byHand(l)!.was !== worked(l).join('\n')"
          @choose="choose(l, $event)"
          @copies="copies = { ...copies, [l.id]: $event }"
          @write="write(l, $event)"
        />
      </ul>
      <p v-if="labels.length" class="quiet">{{ READ_THE_PACK }}</p>
    </template>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: end;
  margin: 8px 0;
}
.sheet {
  min-width: 270px;
}
.first {
  min-width: 130px;
}
.parts {
  margin: 6px 0;
}
.labels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 12px;
  margin-top: 10px;
}
.printed img {
  max-width: 100%;
  margin: 4px;
  border: 1px solid var(--hair);
}
</style>
