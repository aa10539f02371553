<script setup lang="ts">
import { format } from 'date-fns'
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import {
  leavingsOf,
  lyingIn,
  packedKeeps,
  packsFrom,
  rounded,
  shareOut,
  type Leaving,
  type Pack,
  type Share,
} from '~~/core/packing'
import { counted } from '~~/core/quantity'
import type { Recipe } from '~~/core/recipe'
import { AFTER_STOVE } from '~~/core/safety'
import { foodOf } from '~~/core/food'
import { dishesToMake, keyOf, leftoversTaken, MAIN, type Session } from '~~/core/session'
import { withBrought } from '~~/core/stock'
import { useLive } from '~/composables/useLive'
import { database } from '~/database/database'
import { useSaving } from '~/stores/saving'
import { finishedSitting, type Preparation } from '~~/core/setout'
import { issueLines } from '~/composables/issueText'
import { moment, useHouse } from '~/composables/useHouse'
import { useNotices } from '~/stores/notices'

/** From the pots into boxes: every dish that a session packs, and what it really made. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: ReadonlyMap<string, Recipe>
  order: readonly string[]
  preparation: Preparation
}>()
const notices = useNotices()
const saving = useSaving()
const stock = useLive(() => database.stock.toArray())
/** What the dishes take up of one another, and so is not left. */
const taken = computed(() => leftoversTaken(dishesToMake(props.session, props.recipes)))
function leavesOf(dish: string): Leaving[] {
  const [pack] = packedOf(dish)
  const wish = props.session.dishes.find((d) => d.recipe === dish)
  const recipe = props.recipes.get(dish)!
  if (!pack || !wish) return []
  const key = (item: string) => foodOf(item).key
  return leavingsOf(recipe, wish.batches, pack.cooked, taken.value, props.recipes).filter(
    (l) =>
      l.by >= today.value &&
      !(stock.value ?? []).some((s) => key(s.item) === key(l.item) && s.by === l.by),
  )
}
/** Into the stock of the house, where lists and menus find it. */
async function keep(left: Leaving) {
  const before = await database.stock.toArray()
  await saving.write('what is in the house', () =>
    database.stock.bulkPut(withBrought(before, [{ ...left, place: 'fridge' }], today.value)),
  )
  notices.show({
    text: `${left.item}: in the fridge.`,
    undo: () =>
      saving.write('what is in the house', () =>
        database.transaction('rw', database.stock, async () => {
          await database.stock.clear()
          await database.stock.bulkPut(before)
        }),
      ),
  })
}
const { house, lying, does, records, today } = useHouse()
const labels = computed(() => props.preparation.labels)
const dishes = computed(() => [...new Set(labels.value.map((l) => l.dish))])
const packedOf = (dish: string) =>
  house.value.packs.filter((p) => p.dish === dish && p.session === props.session.id)
/** The day on which the oldest part of a dish was cooked: as its sitting really was, where that is told. */
function cookedOn(dish: string): string {
  const sitting = finishedSitting(props.preparation.assignment, dish) ?? MAIN
  const record = records.value.find((r) => r.cooking.session === keyOf(props.session.id, sitting))
  const real = record && format(record.cooking.startedAt, 'yyyy-MM-dd')
  const written = labels.value.find((l) => l.dish === dish)!.cooked
  const day = real ?? written
  return day > today.value ? today.value : day
}
/** A dish in its boxes, beside what is being packed with it. */
function packsOf(dish: string, shares: Share[], cooked: string, beside: readonly Pack[] = []) {
  const cost = props.preparation.costs.find((c) => c.dish === dish)
  return packsFrom(shares, {
    recipe: props.recipes.get(dish)!,
    recipes: props.recipes,
    session: props.session,
    cooked,
    at: moment(),
    boxes: props.kitchen.boxes ?? [],
    lying: [...lying.value, ...lyingIn(beside)],
    taken: new Set([...house.value.packs, ...beside].map((p) => p.id)),
    ...(cost && !cost.unknown.length ? { cost: cost.cost / cost.servings } : {}),
  })
}
/** All that is not packed yet, as it was planned. */
const open = computed(() => dishes.value.filter((d) => !packedOf(d).length))
async function fillAll() {
  const packs: Pack[] = []
  const refused: string[] = []
  for (const dish of open.value) {
    const own = labels.value.filter((l) => l.dish === dish)
    const made = rounded(own.reduce((n, l) => n + l.portions, 0))
    const read = packsOf(dish, shareOut(own, made), cookedOn(dish), packs)
    if (read.ok) packs.push(...read.value)
    else refused.push(...issueLines(read.issues))
  }
  if (packs.length)
    await does({ kind: 'packed', packs }, `${counted(packs.length, 'box', 'boxes')} in the house.`)
  if (refused.length) notices.show({ text: 'Not packed:', details: refused, bad: true })
}
async function fill(dish: string, shares: Share[], cooked: string) {
  const recipe = props.recipes.get(dish)!
  const read = packsOf(dish, shares, cooked)
  if (!read.ok) {
    notices.show({ text: 'It was not packed.', details: issueLines(read.issues), bad: true })
    return
  }
  await does(
    { kind: 'packed', packs: read.value },
    `${recipe.name}: ${counted(read.value.length, 'box', 'boxes')} in the house.`,
  )
}
</script>

<template>
  <section aria-label="From pot to portions">
    <p class="quiet">
      From pot to portions: say how much a dish really made, and evenings, labels and costs follow.
      Divide it while it is hot, in shallow boxes; into the cold within two hours of leaving the
      heat, one in a hot kitchen. A deep hot pot stays warm inside for half a day.
      {{ AFTER_STOVE.lid.text }}
    </p>
    <v-btn v-if="open.length > 1" variant="tonal" data-test="fill-all" @click="fillAll"
      >All {{ open.length }} dishes came out as planned</v-btn
    >
    <ul class="bare dishes">
      <DivideCard
        v-for="dish in dishes"
        :key="dish"
        :recipe="recipes.get(dish)!"
        :index="order.indexOf(dish)"
        :labels="labels.filter((l) => l.dish === dish)"
        :kitchen="kitchen"
        :lying="lying"
        :packed="packedOf(dish)"
        :cooked="cookedOn(dish)"
        :today="today"
        :keeps="packedKeeps(recipes.get(dish)!, recipes).keeps"
        :leaves="leavesOf(dish)"
        @keep="keep"
        @pack="(shares: Share[], cooked: string) => fill(dish, shares, cooked)"
      />
    </ul>
  </section>
</template>

<style scoped>
.dishes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 420px), 1fr));
  gap: 12px;
  align-items: start;
  margin-top: 10px;
}
</style>
