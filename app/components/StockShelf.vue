<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { mdiClose } from '@mdi/js'
import { ref } from 'vue'
import { amountText } from '~~/core/quantity'
import { freeId, idFor, readAmount } from '~~/core/recipe'
import { foodOf } from '~~/core/food'
import type { Stock, StockPlace } from '~~/core/stock'
import { said } from '~/composables/useMeasures'

/** What lies in one place, with how full it is; counted by hand where it stands. */
const props = defineProps<{
  place: StockPlace
  name: string
  /** Litres that are taken, and that there are, where the place is measured in them. */
  taken: number
  litres: number | undefined
  things: readonly Stock[]
  all: readonly Stock[]
}>()
const emit = defineEmits<{ put: [thing: Stock]; remove: [thing: Stock] }>()
/** Letters that a drawer's name has at most. */
const LONGEST = 60
const line = ref('')
const wrong = ref<string>()
const refused = ref<Record<string, string>>({})

function add() {
  const read = readAmount(line.value, 'stock', '700 g parsnips')
  if (!read.ok) {
    const [issue] = read.issues
    wrong.value = issueText(issue!)
    return
  }
  const { item, amount, unit } = read.value
  if (amount > 100_000) {
    wrong.value = `${amount} is more than any house keeps. Allowed: up to 100,000.`
    return
  }
  const id = freeId(idFor(item, new Set()), new Set(props.all.map((s) => s.id)))
  emit('put', { id, item, amount, unit, place: props.place })
  wrong.value = undefined
  line.value = ''
}
/** So much of it is left, as somebody counts. */
function recount(thing: Stock, typed: string) {
  const read = readAmount(`${typed} ${thing.item}`, 'stock', '700 g')
  const same = read.ok && foodOf(read.value.item).key === foodOf(thing.item).key
  const fine = same && read.value.amount <= 100_000
  refused.value = fine
    ? Object.fromEntries(Object.entries(refused.value).filter(([id]) => id !== thing.id))
    : { ...refused.value, [thing.id]: `"${typed}" is no amount. Allowed: such as 700 g, or 2.` }
  if (fine) emit('put', { ...thing, amount: read.value.amount, unit: read.value.unit })
}
function setWhere(thing: Stock, typed: string) {
  const { where: _, ...rest } = thing
  const where = typed.trim().slice(0, LONGEST)
  emit('put', where ? { ...rest, where } : rest)
}
function setBy(thing: Stock, day: string | undefined) {
  const { by: _, ...rest } = thing
  emit('put', day === undefined ? rest : { ...rest, by: day })
}
</script>

<template>
  <section :aria-label="name" :data-test="`place-${place}`">
    <h2>{{ name }}</h2>
    <p v-if="litres !== undefined" class="quiet">
      About <span class="figure">{{ taken }}</span> litres; beside that the kitchen counts on room
      for <span class="figure">{{ litres }}</span> more.
    </p>
    <p v-if="things.length" class="quiet head" aria-hidden="true">use by</p>
    <ul class="bare">
      <li v-for="t in things" :key="t.id">
        <div class="thing">
          <TypedField
            class="amount"
            as="text"
            :value="said(amountText(t.amount, t.unit))"
            :aria-label="`${t.item}: how much`"
            :aria-invalid="refused[t.id] !== undefined"
            @commit="recount(t, $event)"
          />
          <span class="item">{{ t.item }}</span>
          <IconButton :icon="mdiClose" :label="`${t.item} is gone`" @click="emit('remove', t)" />
        </div>
        <TypedField
          as="text"
          :value="t.where"
          placeholder="where it lies"
          :aria-label="`${t.item}: where it lies`"
          @commit="setWhere(t, $event)"
        />
        <DayField
          class="by"
          :value="t.by"
          :name="`${t.item}: use by`"
          empty
          @set="setBy(t, $event)"
        />
        <p v-if="refused[t.id]" class="wrong" role="alert">{{ refused[t.id] }}</p>
      </li>
    </ul>
    <p v-if="!things.length" class="quiet">Nothing that we know of.</p>
    <LineForm
      v-model="line"
      :label="`Something in the ${name.toLowerCase()}`"
      example="700 g parsnips"
      button="Put it there"
      :wrong="wrong"
      @add="add"
    />
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 2px;
  font-size: 1.2rem;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 12.5em;
  gap: 0 8px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.thing {
  grid-column: 1 / -1;
  display: flex;
  gap: 6px;
  align-items: center;
}
.amount {
  flex: none;
  width: 5.6em;
}
.head {
  width: 12.5em;
  margin-left: auto;
  font-size: 0.88rem;
}
.item {
  flex: 1;
}
.wrong {
  grid-column: 1 / -1;
}
@media (max-width: 420px) {
  .head {
    display: none;
  }
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
