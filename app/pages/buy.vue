<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted, trim } from '~~/core/quantity'
import { SECTION_WORDS } from '~~/core/food'
import { amountSaid, savingsOf, withBulk, type BulkWay, type ShopLine } from '~~/core/shopping'
import { plain } from '~/composables/plain'
import { said } from '~/composables/useMeasures'
import { moneyText } from '~/composables/useMoney'
import { useMissing } from '~/composables/useMissing'
import { useBasket } from '~/composables/useBasket'
import { usePreparation } from '~/composables/usePreparation'
import { useNotices } from '~/stores/notices'

useHead({ title: 'Buy · Cadrum' })
const held = usePreparation()
const { ready, session, kitchen, recipes, preparation, ticked, change } = held
const basket = useBasket(held)
const missing = useMissing(held)
const savings = computed(() => (preparation.value ? savingsOf(preparation.value.asked) : []))
/** Which dish leaves it, where it is none of the house's. */
const whence = (line: ShopLine) => {
  const made = line.from.flatMap((f) => recipes.value.find((r) => r.id === f.made)?.name ?? [])
  return made.length ? `, from ${made.join(' and ')}` : ''
}
const notices = useNotices()
const lots = ref(false)
const list = computed(() => preparation.value?.list)
const order = computed(() => recipes.value.map((r) => r.id))
const toBuy = computed(
  () =>
    list.value?.lines.filter((l) => l.bought > 0 || basket.inBasket(l.id)).map(asInBasket) ?? [],
)
const checks = computed(() => list.value?.lines.filter((l) => l.check) ?? [])
const there = computed(
  () => list.value?.lines.filter((l) => !l.check && l.stock > 0 && l.bought === 0) ?? [],
)
const sections = computed(() => {
  const out: { id: string; title: string; lines: ShopLine[] }[] = []
  for (const line of toBuy.value) {
    if (out.at(-1)?.id !== line.section)
      out.push({ id: line.section, title: SECTION_WORDS[line.section], lines: [] })
    out.at(-1)!.lines.push(line)
  }
  return out
})
/** What lies in the basket is what was bought, whatever the menu has become. */
function asInBasket(line: ShopLine): ShopLine {
  const own = basket.inBasket(line.id)
  return own && line.bought === 0 ? { ...line, bought: own.amount } : line
}
const inBasket = computed(() => ticked.value.basket)
const spent = computed(() => inBasket.value.reduce((n, b) => n + (b.cost ?? 0), 0))
const unpaid = computed(() => inBasket.value.filter((b) => b.cost === undefined).length)

/** The dishes that take a lot of one thing, onto the menu. */
async function take(way: BulkWay) {
  lots.value = false
  const before = plain(session.value!.dishes)
  await change((s) => withBulk(s, way))
  const names = way.dishes.map(
    (d) => `${recipes.value.find((r) => r.id === d.recipe)?.name} ×${trim(d.batches)}`,
  )
  notices.show({
    text: `On the menu: ${names.join(', ')}.`,
    undo: () => change((s) => ({ ...s, dishes: before })),
  })
}
/** How much of a thing is wanted, as this household measures. */
const amountText = (line: ShopLine) => said(amountSaid(line.used, line.unit))
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!session || !kitchen" />
  <div v-else-if="list" class="buy">
    <header>
      <h1>Buy</h1>
      <p class="quiet">
        For {{ session.name }}: {{ counted(session.dishes.length, 'dish', 'dishes') }}, all its
        sittings and evenings.
      </p>
    </header>
    <div class="columns">
      <section aria-label="The list" data-test="list">
        <ShopTools class="no-print" :list="list">
          <v-btn size="small" variant="text" @click="lots = true">A lot of one thing</v-btn>
        </ShopTools>
        <v-dialog v-model="lots" max-width="620">
          <ShopBulk :kitchen="kitchen" :recipes="recipes" @take="take" @close="lots = false" />
        </v-dialog>
        <p v-if="!session.dishes.length" class="quiet">
          No dish is chosen yet: see <NuxtLink to="/choose">Choose</NuxtLink>.
        </p>
        <p v-else-if="!toBuy.length" class="quiet">Nothing is to be bought.</p>
        <section v-for="s in sections" :key="s.id" :aria-label="s.title">
          <h2>{{ s.title }}</h2>
          <ul class="bare">
            <ShopRow
              v-for="line in s.lines"
              :key="line.id"
              :line="line"
              :recipes="recipes"
              :order="order"
              :basket="basket.inBasket(line.id)"
              :other="missing.isOther(line)"
              @put="basket.put(line, $event)"
              @paid="basket.paid(line, $event)"
              @missing="missing.doWith"
            />
          </ul>
        </section>
        <section v-if="checks.length" aria-label="Is there enough?" data-test="checks">
          <h2>Is there enough?</h2>
          <p class="quiet no-print">A little of what is in the house anyway. Untick what is not.</p>
          <ul class="bare checks">
            <li v-for="line in checks" :key="line.id">
              <CheckField
                :value="true"
                :label="line.item"
                @set="!$event && missing.doWith({ kind: 'lacking', line })"
                >{{ amountText(line) }}</CheckField
              >
            </li>
          </ul>
        </section>
        <section v-if="there.length" aria-label="In the house already">
          <h2>In the house already</h2>
          <ul class="bare there">
            <li v-for="line in there" :key="line.id">
              {{ amountText(line) }} {{ line.item }}{{ whence(line) }}
            </li>
          </ul>
        </section>
      </section>
      <ShopMoney
        class="no-print"
        :list="list"
        :costs="preparation!.costs"
        :savings="savings"
        :session="session"
        :recipes="recipes"
        @change="change"
      />
    </div>
    <div v-if="inBasket.length" class="basket no-print" role="status" data-test="basket">
      <span
        ><strong>{{ counted(inBasket.length, 'thing') }}</strong> in the basket,
        <strong class="figure">{{ moneyText(spent) }}</strong><template v-if="unpaid">
          and {{ counted(unpaid, 'price') }} not known</template
        ></span
      >
      <v-btn color="primary" @click="basket.bringHome()">It is all home</v-btn>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(280px, 1fr);
  gap: 12px 32px;
}
h2 {
  margin: 14px 0 2px;
  font-size: 1.15rem;
}
.checks li,
.there li {
  padding: 2px 0;
}
.basket {
  position: sticky;
  bottom: 0;
  z-index: 3;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
  margin: 14px -8px 0;
  padding: 10px 14px;
  border-top: 2px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
@media (max-width: 800px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .buy {
    font-size: 0.8rem;
  }
  .columns {
    display: block;
    columns: 2;
  }
}
</style>
