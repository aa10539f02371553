<script setup lang="ts">
import { computed } from 'vue'
import { useTheme } from 'vuetify'
import type { Kitchen } from '~~/core/kitchen'
import { counted } from '~~/core/quantity'
import { database } from '~/database/database'
import { workWords } from '~/composables/useWords'
import { useSaving } from '~/stores/saving'

/** What the sessions have taught about each person's pace; each can be refused with one touch. */
const props = defineProps<{ kitchen: Kitchen }>()
const saving = useSaving()
const people = computed(() => props.kitchen.people.filter((p) => p.learned?.length))
const words = (percent: number) =>
  percent === 100
    ? 'as the recipes say'
    : `${Math.abs(percent - 100)} % ${percent > 100 ? 'longer' : 'quicker'} than the recipes say`

/** How far apart single pieces lie, where that is known. */
const spreadWords = ({ between }: Learned) =>
  between && between[1] > between[0] ? ` (two of three: ${between[0]} to ${between[1]} %)` : ''
const theme = useTheme()
const colour = (name: string) => theme.current.value.colors[name] as string

type Learned = NonNullable<Kitchen['people'][number]['learned']>[number]
const switched = ({ refused: _, ...learned }: Learned, on: boolean): Learned => ({
  ...learned,
  ...(on ? {} : { refused: true as const }),
})
const known = (learned: readonly Learned[]) => learned.filter((l) => l.between)
/** What a person learned, as bars from the one end of what is usual for them to the other. */
const bars = (learned: readonly Learned[]) => [
  {
    label: 'two of three pieces of work',
    data: learned.map((l) => l.between!),
    backgroundColor: colour('primary'),
    borderSkipped: false,
    minBarLength: 4,
  },
]
const options = {
  indexAxis: 'y' as const,
  scales: {
    x: { title: { display: true, text: '% of the recipes’ time' } },
    y: { grid: { display: false } },
  },
}
const use = (person: string, work: string, on: unknown) =>
  saving.write('what was learned', () =>
    database.transaction('rw', database.kitchens, async () => {
      const place = await database.kitchens.get(props.kitchen.id)
      if (!place) return
      await database.kitchens.put({
        ...place,
        people: place.people.map((p) =>
          p.id === person && p.learned
            ? {
                ...p,
                learned: p.learned.map((l) => (l.work === work ? switched(l, on === true) : l)),
              }
            : p,
        ),
      })
    }),
  )
</script>

<template>
  <section v-if="people.length" data-test="learned">
    <h2>What Cadrum has learned</h2>
    <p class="quiet">
      From what really happened, drawn to the recipes’ times while there is little of it. The next
      plan goes by it where it is switched on.
    </p>
    <div v-for="p in people" :key="p.id">
      <h3>{{ p.name }}</h3>
      <ChartFrame
        v-if="known(p.learned!).length"
        :name="`How long ${p.name} takes, by kind of work`"
        :labels="known(p.learned!).map((l) => workWords(l.work))"
        :datasets="bars(known(p.learned!))"
        :options="options"
        :height="90 + 26 * known(p.learned!).length"
      />
      <ul>
        <li v-for="l in p.learned" :key="l.work">
          <v-switch
            :model-value="!l.refused"
            color="primary"
            density="comfortable"
            hide-details
            :label="`${workWords(l.work)}: ${words(l.percent)}${spreadWords(l)}, from ${counted(l.pieces, 'piece')} of work`"
            @update:model-value="use(p.id, l.work, $event)"
          />
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 28px;
}
h2 {
  font-size: 1.3rem;
}
h3 {
  margin: 12px 0 2px;
  font-size: 1.1rem;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 0 24px;
  padding: 0;
  list-style: none;
}
</style>
