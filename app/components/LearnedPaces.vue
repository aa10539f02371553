<script setup lang="ts">
import { computed } from 'vue'
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

type Learned = NonNullable<Kitchen['people'][number]['learned']>[number]
const switched = ({ work, percent, pieces }: Learned, on: boolean): Learned => ({
  work,
  percent,
  pieces,
  ...(on ? {} : { refused: true as const }),
})
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
      <ul>
        <li v-for="l in p.learned" :key="l.work">
          <v-switch
            :model-value="!l.refused"
            color="primary"
            density="comfortable"
            hide-details
            :label="`${workWords(l.work)}: ${words(l.percent)}, from ${counted(l.pieces, 'piece')} of work`"
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
