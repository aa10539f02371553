<script setup lang="ts">
import { computed } from 'vue'
import type { Act, Arrangement } from '~~/core/eating'
import { dayAfter, isPast, type Lying } from '~~/core/packing'
import { counted } from '~~/core/quantity'
import { moment } from '~/composables/useHouse'
import { dayText } from '~/composables/useMeasures'

/** What a hand has to do so that nothing goes off: out of the freezer, into it, or away. */
const props = defineProps<{
  arrangement: Arrangement
  lying: readonly Lying[]
  today: string
  order: readonly string[]
}>()
const emit = defineEmits<{ act: [act: Act, told: string] }>()
const at = computed(() => new Map(props.lying.map((l) => [l.pack.id, l])))
const found = <T extends { pack: string }>(list: readonly T[]) =>
  list.flatMap((x) => {
    const l = at.value.get(x.pack)
    return l ? [{ ...x, l }] : []
  })
/** Today, and what should have come out yesterday. */
const thaw = computed(() =>
  found(props.arrangement.thaw).filter(
    (t) => t.day <= props.today && eatenOn(t.pack) !== props.today,
  ),
)
const eatenOn = (pack: string) =>
  props.arrangement.days.find((d) => !d.over && d.plate.some((p) => p.pack === pack))?.day
const freeze = computed(() => found(props.arrangement.freeze))
const lost = computed(() =>
  found(props.arrangement.lost).filter(({ l }) => !isPast(l, props.today)),
)
const past = computed(() => props.lying.filter((l) => isPast(l, props.today)))
const move = (l: Lying, place: 'fridge' | 'freezer') =>
  emit(
    'act',
    { kind: 'happened', pack: l.pack.id, move: { kind: 'moved', place, at: moment() } },
    `${l.pack.name}: in the ${place}.`,
  )
const away = (l: Lying) =>
  emit(
    'act',
    {
      kind: 'happened',
      pack: l.pack.id,
      move: { kind: 'thrown', portions: l.left, why: 'past its day', at: moment() },
    },
    `${l.pack.name}: ${counted(l.left, 'portion')} thrown away.`,
  )
const where = (l: Lying) => (l.where ? `, ${l.where}` : '')
const when = (day: string) =>
  day === props.today
    ? 'today'
    : day === dayAfter(props.today, 1)
      ? 'tomorrow'
      : dayText(day, 'EEEE d MMM')
</script>

<template>
  <section
    v-if="thaw.length || freeze.length || lost.length || past.length"
    aria-label="To be seen to"
    data-test="seen-to"
  >
    <h2>To be seen to</h2>
    <ul class="bare lined">
      <li v-for="l in past" :key="`p${l.pack.id}`">
        <span class="wrong"
          ><strong>{{ l.pack.name }}</strong
          >, {{ counted(l.left, 'portion') }}: past its day since
          {{ dayText(l.eatBy, 'EEE d MMM') }}. Away with it: what makes ill is neither seen nor
          smelled.</span
        >
        <v-btn size="small" variant="tonal" @click="away(l)">Thrown away</v-btn>
      </li>
      <li v-for="t in thaw" :key="`t${t.pack}`">
        <span
          ><strong>{{ t.l.pack.name }}</strong
          >, {{ counted(t.l.left, 'portion') }}{{ where(t.l) }}: out of the freezer into the fridge
          this evening, in a dish that catches what drips. Not on the bench: outside gets warm long
          before the middle does.</span
        >
        <v-btn size="small" variant="tonal" @click="move(t.l, 'fridge')">It is in the fridge</v-btn>
      </li>
      <li v-for="f in freeze" :key="`f${f.pack}`">
        <span
          ><strong>{{ f.l.pack.name }}</strong
          >, {{ counted(f.portions, 'portion') }}: nobody eats them by {{ when(f.by) }}. Into the
          freezer till then.</span
        >
        <v-btn size="small" variant="tonal" @click="move(f.l, 'freezer')"
          >It is in the freezer</v-btn
        >
      </li>
      <li v-for="x in lost" :key="`l${x.pack}`">
        <span
          ><strong>{{ x.l.pack.name }}</strong
          >, {{ counted(x.portions, 'portion') }}: nobody eats them by {{ when(x.eatBy) }}, and they
          cannot be frozen{{ x.l.thawed ? ' again' : '' }}. Eat them at noon, or ask somebody
          in.</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 4px;
  font-size: 1.2rem;
}
</style>
