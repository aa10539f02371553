<script setup lang="ts">
import { computed, ref } from 'vue'
import { loomOf, type LoomRow } from '~~/core/board'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import { counted } from '~~/core/quantity'
import { eveningsFrom, finishedIn, menuOf, type Assignment, type Session } from '~~/core/session'
import { useLoom } from '~/composables/useLoom'
import { dayText } from '~/composables/useMeasures'

/** Sittings and evenings in the order of time, and each dish's way through them. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  order: string[]
  assignment: Assignment | undefined
  /** Seconds of the plan of each sitting that has one up to date. */
  planned: ReadonlyMap<string, number>
}>()
const emit = defineEmits<{
  change: [edit: (session: Session) => Session]
  open: [sitting: string]
}>()
const rows = computed(() => loomOf(props.session, props.recipes, props.assignment))
const menu = computed(() => menuOf(props.session, props.recipes, finishedIn(props.assignment)))
const eveningOf = (id: string) => menu.value.evenings.find((e) => e.day === id)
const recipe = (id: string) => props.recipes.find((r) => r.id === id)
const edited = ref<string>()
const parts = ref<string>()
const rhythms = ref(false)
const loom = useLoom(rows, {
  change: (edit) => emit('change', edit),
  open: (dish) => (parts.value = dish),
})
const dayOf = (row: LoomRow) => dayText(row.start.slice(0, 10), 'EEE d MMM')
const nameOf = (row: LoomRow) =>
  row.kind === 'evening' ? dayOf(row) : row.id === 'main' ? props.session.name : row.name
function words(row: LoomRow, dish: string) {
  const name = recipe(dish)?.name ?? dish
  const own = row.cells.find((c) => c.dish === dish)!
  if (row.kind === 'evening') return `${name}, ${dayOf(row)}: ${own.eaten ? 'eaten' : 'not eaten'}`
  const all = recipe(dish)?.steps.length ?? 0
  return own.steps.length
    ? `${name}, ${nameOf(row)}: ${own.steps.length === all ? 'all of it' : counted(own.steps.length, 'step')}`
    : `${name}, ${nameOf(row)}: nothing`
}
const leastOf = (row: LoomRow) => {
  const k = props.assignment?.slots.findIndex((s) => s.id === row.id) ?? -1
  return k < 0 ? undefined : props.assignment!.lengths[k]
}
/** One evening more at the end; the first is that of the session itself. */
const more = (count: number) =>
  emit('change', (s) => {
    const known = s.evenings ?? []
    const people = Math.max(1, props.kitchen.people.length)
    const all = eveningsFrom(s.start, known.length + count + 31, people)
    const fresh = all.filter((e) => !known.some((k) => k.day === e.day)).slice(0, count)
    return { ...s, evenings: [...known, ...fresh].sort((a, b) => (a.day < b.day ? -1 : 1)) }
  })
</script>

<template>
  <section class="loom" aria-label="Evenings">
    <div class="marks" aria-hidden="true">
      <span v-for="d in session.dishes" :key="d.recipe" :title="recipe(d.recipe)?.name">
        <DishMark :mark="recipe(d.recipe)?.mark ?? '??'" :index="order.indexOf(d.recipe)" />
      </span>
    </div>
    <ol class="bare">
      <li
        v-for="(row, k) in rows"
        :key="row.id"
        :class="[row.kind, eveningOf(row.id)?.time]"
        :data-test="row.kind === 'evening' ? `evening-${row.id}` : `sitting-${row.id}`"
      >
        <strong class="day">
          {{ dayOf(row) }}
          <small v-if="row.kind === 'cooking'">{{ nameOf(row) }}</small>
        </strong>
        <LoomCells
          :row="row"
          :order="order"
          :words="(dish: string) => words(row, dish)"
          :focused="loom.focusedIn(row, k === 0)"
          :moved="loom.moved.value?.row === row.id ? loom.moved.value.dish : undefined"
          @act="loom.act(row.id, $event)"
          @focus="loom.at.value = { row: row.id, dish: $event }"
          @grab="(dish: string, e: PointerEvent) => loom.grab(row.id, dish, e)"
          @key="(dish: string, e: KeyboardEvent) => loom.key(row.id, dish, e)"
        />
        <SittingRow
          v-if="row.kind === 'cooking'"
          :session="session"
          :kitchen="kitchen"
          :row="row"
          :planned="planned.get(row.id)"
          :least="leastOf(row)"
          @edit="edited = row.id"
          @open="emit('open', row.id)"
        />
        <EveningRow
          v-else-if="eveningOf(row.id)"
          :session="session"
          :evening="eveningOf(row.id)!"
          :recipes="recipes"
          :order="order"
          @change="emit('change', $event)"
        />
        <p v-else class="quiet">Something comes out of the freezer for the next evening.</p>
      </li>
    </ol>
    <LongWaits
      :session="session"
      :kitchen="kitchen"
      :recipes="recipes"
      :assignment="assignment"
      @change="emit('change', $event)"
    />
    <p class="quiet legend">
      ◆ made · ○ eaten · beaded in the freezer · thin while it waits for the rest. Take a mark to
      another day, or press it; with keys: arrows, Enter, and Shift with an arrow.
    </p>
    <div class="buttons">
      <v-btn class="more" size="small" variant="text" @click="more(1)">+ an evening</v-btn>
      <v-btn
        v-if="!session.evenings?.length"
        class="more"
        size="small"
        variant="text"
        @click="more(7)"
      >
        + the next seven
      </v-btn>
      <v-btn class="more" size="small" variant="text" @click="edited = 'new'">+ a sitting</v-btn>
      <v-btn class="more" size="small" variant="text" @click="rhythms = true">Rhythms</v-btn>
      <WeekCalendar
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :planned="planned"
        @change="emit('change', $event)"
      />
      <PartSittings
        v-if="assignment"
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :assignment="assignment"
        :planned="planned"
        @change="emit('change', $event)"
      />
    </div>
    <v-dialog v-model="rhythms" max-width="720">
      <RhythmsCard
        v-if="rhythms"
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        @close="rhythms = false"
      />
    </v-dialog>
    <v-dialog
      :model-value="edited !== undefined"
      max-width="520"
      @update:model-value="edited = undefined"
    >
      <SittingCard
        v-if="edited !== undefined"
        :session="session"
        :kitchen="kitchen"
        :sitting="edited"
        @change="emit('change', $event)"
        @close="edited = undefined"
      />
    </v-dialog>
    <v-dialog
      :model-value="parts !== undefined"
      max-width="640"
      @update:model-value="parts = undefined"
    >
      <DishParts
        v-if="parts !== undefined && recipe(parts)"
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :recipe="recipe(parts)!"
        :assignment="assignment"
        @change="emit('change', $event)"
        @close="parts = undefined"
      />
    </v-dialog>
  </section>
</template>

<style scoped>
.loom {
  --days: 150px;
}
li {
  display: grid;
  grid-template-columns: var(--days) auto minmax(0, 1fr);
  gap: 0 14px;
  align-items: center;
  min-height: 46px;
  padding-left: 10px;
  border-bottom: 1px solid var(--hair);
  border-left: 5px solid transparent;
}
li.long {
  border-left-color: rgb(var(--v-theme-primary));
}
li.cooking {
  background: color-mix(in srgb, rgb(var(--v-theme-primary)) 9%, transparent);
}
.day {
  padding: 4px 0;
  line-height: 1.25;
}
.day small {
  display: block;
  font-weight: 400;
}
.marks {
  display: flex;
  padding-left: calc(var(--days) + 29px);
}
.marks span {
  width: 34px;
  text-align: center;
}
.marks :deep(.mark) {
  min-width: 0;
  padding: 1px 3px;
}
.legend {
  margin-top: 6px;
  font-size: 0.85rem;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin-top: 8px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    padding: 4px 0 6px 8px;
  }
  .marks {
    padding-left: 13px;
  }
  .marks,
  li :deep(.cells) {
    overflow: hidden;
  }
  .marks span,
  li :deep(.cell) {
    width: 26px;
  }
}
</style>
