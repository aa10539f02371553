<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { format } from 'date-fns'
import { useHouse } from '~/composables/useHouse'
import { computed, ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import { idFor, type Recipe } from '~~/core/recipe'
import { HABITS, proposed, rhythmSchema, type Rhythm, type Session } from '~~/core/session'
import { toUseUp } from '~~/core/stock'
import { plain } from '~/composables/plain'
import { clockText, dayText } from '~/composables/useMeasures'
import { useLive } from '~/composables/useLive'
import { database } from '~/database/database'
import { openSession } from '~/database/opened'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

/** The household's habits of cooking ahead, each with the next session that it proposes. */
const props = defineProps<{ session: Session; kitchen: Kitchen; recipes: Recipe[] }>()
const emit = defineEmits<{ close: [] }>()
const saving = useSaving()
const notices = useNotices()
const save = (action: () => Promise<unknown>) => saving.write('the rhythms', action)
const data = useLive(async () => ({
  rhythms: await database.rhythms.toArray(),
  sessions: await database.sessions.toArray(),
  menus: await database.menus.toArray(),
  stock: await database.stock.toArray(),
}))
/** Those of this kitchen: its people are who would cook. */
const rhythms = computed(() =>
  (data.value?.rhythms ?? []).filter((r) => r.kitchen === props.kitchen.id),
)
const { providedBut } = useHouse()
const today = format(new Date(), 'yyyy-MM-dd')
const next = computed(() =>
  rhythms.value.map((rhythm) => ({
    rhythm,
    session: proposed(rhythm, today, props.kitchen, props.recipes, {
      ...data.value!,
      provided: providedBut(undefined),
      house: toUseUp(data.value?.stock ?? [], today),
    }),
  })),
)
const habits = HABITS.map((h) => ({ value: h.name, title: h.name }))
const nameOf = (id: string) => props.recipes.find((r) => r.id === id)?.name ?? id

async function add(name: string) {
  const habit = HABITS.find((h) => h.name === name)!
  const rhythm = rhythmSchema.parse({
    ...habit,
    format: 'cadrum/rhythm@1',
    id: idFor(name, new Set(data.value?.rhythms.map((r) => r.id))),
    kitchen: props.kitchen.id,
    cooks: props.session.cooks.length ? plain(props.session.cooks) : [props.kitchen.people[0]!.id],
    eaters: Math.max(1, props.kitchen.people.length),
  })
  await save(() => database.rhythms.put(rhythm))
}
const change = (rhythm: Rhythm, patch: Partial<Rhythm>) =>
  save(() => database.rhythms.put({ ...plain(rhythm), ...patch }))
async function drop(rhythm: Rhythm) {
  await save(() => database.rhythms.delete(rhythm.id))
  notices.show({
    text: `"${rhythm.name}" is no longer a rhythm.`,
    undo: () => save(() => database.rhythms.put(plain(rhythm))),
  })
}
const taking = ref(false)
async function take(session: Session) {
  taking.value = true
  const before = props.session.id
  await save(async () => {
    await database.sessions.put(plain(session))
    await openSession(session.id)
  })
  emit('close')
  notices.show({
    text: `"${session.name}" on ${dayText(session.start.slice(0, 10), 'EEE d MMM')} is open. The others are under Household.`,
    undo: () =>
      save(async () => {
        await database.sessions.delete(session.id)
        await openSession(before)
      }),
  })
}
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'].map(
  (title, k) => ({ value: k + 1, title }),
)
const EVERY = { week: 'every week', 'two weeks': 'every other week', month: 'once a month' }
const LIKES = { meals: 'whole dishes', parts: 'parts to combine', both: 'dishes and parts' }
const COUNTS = Array.from({ length: 12 }, (_, k) => ({ value: k + 1, title: `${k + 1}` }))
</script>

<template>
  <v-card class="card" data-test="rhythms">
    <h2>Rhythms</h2>
    <p class="quiet">How you like to cook ahead. Each proposes its next session.</p>
    <section v-for="n in next" :key="n.rhythm.id" :data-test="`rhythm-${n.rhythm.id}`">
      <div class="head">
        <h3>{{ n.rhythm.name }}</h3>
        <IconButton :icon="mdiClose" :label="`Without ${n.rhythm.name}`" @click="drop(n.rhythm)" />
      </div>
      <div class="fields">
        <PickField
          :value="n.rhythm.every"
          :items="EVERY"
          :aria-label="`${n.rhythm.name}: how often`"
          @pick="change(n.rhythm, { every: $event as Rhythm['every'] })"
        />
        <PickField
          :value="n.rhythm.weekday"
          :items="DAYS"
          :aria-label="`${n.rhythm.name}: on which day`"
          @pick="change(n.rhythm, { weekday: $event })"
        />
        <HourField
          :value="n.rhythm.from"
          :name="`${n.rhythm.name}: from`"
          @set="$event && change(n.rhythm, { from: $event })"
        />
        <PickField
          :value="n.rhythm.dishes"
          :items="COUNTS"
          :aria-label="`${n.rhythm.name}: how many dishes`"
          @pick="change(n.rhythm, { dishes: $event })"
        />
        <PickField
          :value="n.rhythm.likes"
          :items="LIKES"
          :aria-label="`${n.rhythm.name}: whole dishes or parts`"
          @pick="change(n.rhythm, { likes: $event as Rhythm['likes'] })"
        />
      </div>
      <p>
        Next on <strong>{{ dayText(n.session.start.slice(0, 10), 'EEEE d MMMM') }}</strong> at
        {{ clockText(n.session.start.slice(11)) }}:
        {{
          n.session.dishes.map((d) => nameOf(d.recipe)).join(', ') || 'no recipe is of that kind'
        }}.
      </p>
      <v-btn
        size="small"
        variant="tonal"
        :disabled="taking || !n.session.dishes.length"
        @click="take(n.session)"
        >Take it</v-btn
      >
    </section>
    <div class="fields">
      <PickField :items="habits" label="One more rhythm" aria-label="One more rhythm" @pick="add" />
    </div>
    <v-btn variant="outlined" @click="emit('close')">Close</v-btn>
  </v-card>
</template>

<style scoped>
.card {
  padding: 20px;
}
section {
  margin: 10px 0;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--hair);
}
.head {
  display: flex;
  justify-content: space-between;
}
h3 {
  font-size: 1.05rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 6px 8px;
  margin: 6px 0;
}
</style>
