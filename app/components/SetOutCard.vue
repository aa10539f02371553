<script setup lang="ts">
import { mdiScale } from '@mdi/js'
import { computed, ref } from 'vue'
import type { SetOutDish, SetOutItem } from '~~/core/setout'
import { counted } from '~~/core/quantity'
import { gramsIn, foodOf } from '~~/core/food'
import { clockTime } from '~/composables/useClock'
import { said } from '~/composables/useMeasures'
import { scales } from '~/devices/scales'

/** What stands together for one dish: things in the order of use, measured, and what it is made in. */
const props = defineProps<{
  dish: SetOutDish
  index: number
  /** What an earlier sitting has got ready for it, in words. */
  fetched: readonly string[]
  /** When the sitting begins. */
  start: string
  isDone: (mark: string) => boolean
}>()
const emit = defineEmits<{ done: [mark: string, on: boolean] }>()
const mark = (i: SetOutItem) => `out:${i.id}`
const mixes = computed(() => {
  const by = new Map<number, string[]>()
  for (const i of props.dish.items)
    if (i.mix) by.set(i.mix, [...(by.get(i.mix) ?? []), `${i.amount} ${i.item}`])
  return [...by]
})
/** By more than this much a weight is wrong: a part of it, and never less than so many grams. */
const WRONG = { part: 0.05, grams: 3 }
/** How often each thing lay on the scales. */
const times = new Map<string, number>()
const weighed = ref<Record<string, string>>({})
/** Grams of it, where it is something to weigh. */
const gramsOf = (i: SetOutItem) =>
  i.unit === 'g' && i.need >= 10 ? gramsIn(foodOf(i.item), i.need, 'g') : undefined
async function weigh(i: SetOutItem) {
  const want = Math.round(gramsOf(i)!)
  const time = (times.get(i.id) ?? 0) + 1
  times.set(i.id, time)
  try {
    const { grams, simulated } = await scales.read({ grams: want, what: i.id, time })
    const off = grams - want
    const bad = Math.abs(off) > Math.max(WRONG.grams, WRONG.part * want)
    const by = bad
      ? `${said(`${Math.abs(off)} g`)} too ${off > 0 ? 'much' : 'little'}`
      : 'as it should be'
    weighed.value = {
      ...weighed.value,
      [i.id]: `${said(`${grams} g`)}: ${by}${simulated ? ' (made-up scales)' : ''}`,
    }
    if (!bad) emit('done', mark(i), true)
  } catch {
    weighed.value = { ...weighed.value, [i.id]: 'The scales do not answer.' }
  }
}
</script>

<template>
  <section class="card" :aria-label="dish.name" :data-test="`out-${dish.dish}`">
    <h3>
      <DishMark :mark="dish.mark" :index="index" /> {{ dish.name }}
      <span v-if="dish.first !== undefined" class="quiet figure">{{
        clockTime(start, dish.first)
      }}</span>
    </h3>
    <ul class="bare">
      <li v-for="i in dish.items" :key="i.id">
        <CheckField
          :value="isDone(mark(i))"
          :label="`${said(i.amount)} ${i.item}`"
          @set="emit('done', mark(i), $event)"
          >{{ i.mix ? `bowl ${i.mix}` : '' }}</CheckField
        >
        <IconButton
          v-if="gramsOf(i) !== undefined"
          class="no-print"
          :icon="mdiScale"
          :label="`Weigh the ${i.item}`"
          @click="weigh(i)"
        />
        <p v-if="weighed[i.id]" class="weighed" role="status">{{ weighed[i.id] }}</p>
      </li>
    </ul>
    <p v-for="[n, own] in mixes" :key="n" class="quiet">
      Bowl {{ n }}, measured once for all: {{ said(own.join(', ')) }}.
    </p>
    <p v-for="f in fetched" :key="f" class="quiet">{{ said(f) }}.</p>
    <p v-if="dish.tools.length || dish.packs" class="quiet">
      <template v-if="dish.tools.length">With: {{ dish.tools.join(', ') }}. </template
      ><template v-if="dish.packs"
        >{{ counted(dish.packs, 'box or bag', 'boxes or bags') }} with labels.</template
      >
    </p>
  </section>
</template>

<style scoped>
.card {
  break-inside: avoid;
}
h3 {
  font-size: 1.05rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--hair);
}
.weighed {
  flex-basis: 100%;
  padding-left: 40px;
  font-size: 0.9rem;
}
</style>
