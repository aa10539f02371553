<script setup lang="ts">
import { computed } from 'vue'
import { counted } from '~~/core/quantity'
import { finishedSitting, setOutOf } from '~~/core/setout'
import { MAIN } from '~~/core/session'
import { usePreparation } from '~/composables/usePreparation'

useHead({ title: 'Set out · Cadrum' })
const held = usePreparation()
const { ready, whole, kitchen, recipes, sittings, sitting, preparation, compiled, plan } = held
const order = computed(() => recipes.value.map((r) => r.id))
const dishes = computed(() => {
  const made = preparation.value
  if (!made || !whole.value || !kitchen.value) return []
  return setOutOf({
    session: whole.value,
    recipes: recipes.value,
    kitchen: kitchen.value,
    portions: made.portions,
    sitting: sitting.value,
    labels: made.labels,
    packedHere: (dish) => (finishedSitting(made.assignment, dish) ?? MAIN) === sitting.value,
    ...(compiled.value && plan.value ? { compiled: compiled.value, plan: plan.value } : {}),
  })
})
/** What an earlier sitting has got ready and this one takes up. */
const fetched = (dish: string) =>
  (held.cookedBy.value.find((r) => r.id === dish)?.steps ?? [])
    .filter((s) => s.id.startsWith('fetch-'))
    .map((s) => s.do)
const missing = computed(() => {
  const marks = new Set(dishes.value.flatMap((d) => d.items.map((i) => `out:${i.id}`)))
  return [...marks].filter((m) => !held.isDone(m)).length
})
const waits = computed(() =>
  (preparation.value?.list.lines ?? []).filter((l) => l.bought > 0).map((l) => l.item),
)
/** Things of this sitting that are still on the shopping list. */
const toBuy = computed(() => {
  const here = new Set(
    (preparation.value?.portions ?? [])
      .filter((p) => p.sitting === sitting.value)
      .map((p) => p.named.name),
  )
  return waits.value.filter((item) => here.has(item))
})
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!whole || !kitchen" />
  <div v-else-if="preparation">
    <h1>Set out</h1>
    <ReadyList
      :ready="preparation.ready"
      :sittings="sittings"
      :is-done="held.isDone"
      @done="held.setDone"
    />
    <section aria-label="On the counter" data-test="counter">
      <h2>On the counter</h2>
      <SittingStrip :sittings="sittings" :open="sitting" @open="held.openThe" />
      <details v-if="toBuy.length" data-test="to-buy">
        <summary class="wrong">
          {{ counted(toBuy.length, 'thing is', 'things are') }} still to be bought
        </summary>
        <p>{{ toBuy.join(', ') }}. See <NuxtLink to="/buy">Buy</NuxtLink>.</p>
      </details>
      <p v-if="!dishes.length" class="quiet">Nothing is to be laid out then.</p>
      <template v-else>
        <p class="quiet">
          {{
            plan
              ? 'In the order in which the plan wants it first.'
              : 'There is no plan of it yet: in the order of the menu.'
          }}
          <strong>{{ missing ? `${missing} things are still to come.` : 'All is there.' }}</strong>
        </p>
        <CounterMap :dishes="dishes" :kitchen="kitchen" :order="order" :is-done="held.isDone" />
        <div class="cards">
          <SetOutCard
            v-for="d in dishes"
            :key="d.dish"
            :dish="d"
            :index="order.indexOf(d.dish)"
            :fetched="fetched(d.dish)"
            :start="held.session.value?.start ?? whole.start"
            :is-done="held.isDone"
            @done="held.setDone"
          />
        </div>
      </template>
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
  font-size: 1.25rem;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 14px 24px;
  align-items: start;
  margin-top: 10px;
}
@media print {
  .cards {
    display: block;
    columns: 2;
  }
}
</style>
