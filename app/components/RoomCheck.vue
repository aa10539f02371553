<script setup lang="ts">
import { computed } from 'vue'
import { checkRoom, lyingIn } from '~~/core/packing'
import type { Kitchen } from '~~/core/kitchen'
import type { Label } from '~~/core/labels'
import type { Recipe } from '~~/core/recipe'
import { FREEZING_SOURCE } from '~~/core/safety'
import { useHouse } from '~/composables/useHouse'

/** Whether what a session packs finds boxes, lids and room in the cold, before anything is cooked. */
const props = defineProps<{
  labels: readonly Label[]
  kitchen: Kitchen
  recipes: ReadonlyMap<string, Recipe>
  session: string
}>()
const { house } = useHouse()
/** What this session has packed already is no longer to come. */
const check = computed(() => {
  const lying = lyingIn(house.value.packs)
  const packed = new Set(
    house.value.packs.flatMap((p) => (p.session === props.session ? [p.dish] : [])),
  )
  const open = props.labels.filter((l) => !packed.has(l.dish))
  return { ...checkRoom(open, props.kitchen, props.recipes, lying), any: open.length > 0 }
})
const boxes = computed(() => {
  const by = new Map<string, number>()
  for (const b of check.value.boxed.boxOf.values()) by.set(b.id, (by.get(b.id) ?? 0) + 1)
  return (props.kitchen.boxes ?? []).flatMap((b) =>
    by.has(b.id) ? [`${by.get(b.id)} × ${b.name.toLowerCase()} (${b.litres} l)`] : [],
  )
})
const fine = computed(
  () => !check.value.boxed.lacking.length && check.value.places.every((p) => !p.over),
)
</script>

<template>
  <section v-if="check.any" class="room" aria-label="Boxes and room" data-test="room">
    <p>
      <strong :class="fine ? '' : 'wrong'">{{
        fine ? 'There is room for all of it.' : 'Not all of it finds its place.'
      }}</strong>
      <template v-for="p in check.places" :key="p.place">
        {{ ' ' }}{{ p.place === 'fridge' ? 'Fridge' : 'Freezer' }}:
        <span class="figure" :class="{ wrong: p.over > 0 }">{{ p.wanted }}</span> of
        <span class="figure">{{ p.free }}</span> free litres.
      </template>
      <span v-if="boxes.length" class="quiet"> Take {{ boxes.join(', ') }}.</span>
      <span v-else-if="!kitchen.boxes?.length" class="quiet">
        Say in <NuxtLink to="/kitchen">your kitchen</NuxtLink> which boxes you own, and each thing
        gets the right one.
      </span>
    </p>
    <p v-if="check.boxed.lacking.length" class="wrong">
      Without a box:
      {{
        check.boxed.lacking
          .map((t) => labels.find((l) => l.id === t.id)!)
          .map((l) => `${l.name}, ${l.portions} portions`)
          .join('; ')
      }}.
    </p>
    <ul v-if="check.proposals.length">
      <li v-for="p in check.proposals" :key="p.text">{{ p.text }}</li>
    </ul>
    <ul v-if="check.badly.length" :title="FREEZING_SOURCE">
      <template v-for="b in check.badly" :key="b.dish">
        <li v-for="w in b.what" :key="w.what">
          {{ b.name }}: {{ w.what }} {{ w.because }} in the freezer; {{ w.instead }}.
        </li>
      </template>
    </ul>
  </section>
</template>

<style scoped>
.room {
  margin: 10px 0;
  padding: 10px 14px;
  border: 1px solid var(--hair);
  border-radius: 10px;
  background: rgb(var(--v-theme-surface));
}
ul {
  margin: 6px 0 0 20px;
}
</style>
