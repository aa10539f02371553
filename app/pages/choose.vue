<script setup lang="ts">
import { computed } from 'vue'
import { counted } from '~~/core/quantity'
import { handworkOf } from '~~/core/board'
import { leftOver } from '~~/core/recipe'
import { useHouse } from '~/composables/useHouse'
import { fillEvenings, menuOf } from '~~/core/session'
import { said } from '~/composables/useMeasures'
import { usePlanned } from '~/composables/usePlanned'
import { usePlanShown } from '~/composables/usePlanShown'
import { useSession } from '~/composables/useSession'
import { useNotices } from '~/stores/notices'
import { usePlanning } from '~/stores/planning'

useHead({ title: 'Choose · Cadrum' })
const held = useSession()
const { ready, whole: session, kitchen, recipes, onTheStove, compiled, issues, change } = held
const { parting } = held
const cooking = computed(() => onTheStove.value.length > 0)
const planning = usePlanning()
const notices = useNotices()
const { shown } = usePlanShown(held)
const menu = computed(() => session.value && menuOf(session.value, recipes.value))
const offers = computed(() =>
  leftOver(
    (session.value?.dishes ?? []).flatMap((d) => {
      const recipe = recipes.value.find((r) => r.id === d.recipe)
      return recipe ? [{ recipe, batches: d.batches }] : []
    }),
    recipes.value,
  ),
)
const nameOf = (id: string) => recipes.value.find((r) => r.id === id)?.name ?? id
const order = computed(() => compiled.value?.order ?? recipes.value.map((r) => r.id))
const handwork = computed(() =>
  shown.value && compiled.value ? handworkOf(shown.value.plan, compiled.value) : [],
)
const planned = usePlanned(held)
async function openThe(sitting: string) {
  await held.openThe(sitting)
  await navigateTo('/plan')
}
const empty = computed(() => menu.value?.evenings.filter((e) => !e.dishes.length).length ?? 0)

const { providedBut } = useHouse()
function fill() {
  const before = session.value!.dishes
  const provided = providedBut(session.value!.id)
  const filled = fillEvenings(session.value!, recipes.value, provided)
  const days = (list: typeof before) => list.reduce((n, d) => n + (d.on?.length ?? 0), 0)
  const added = days(filled.dishes) - days(before)
  void change((s) => fillEvenings(s, recipes.value, provided))
  notices.show(
    added
      ? {
          text: `${counted(added, 'evening has', 'evenings have')} a dish now.`,
          undo: () =>
            change((s) => ({
              ...s,
              dishes: s.dishes.map((d) => ({
                ...d,
                on: before.find((b) => b.recipe === d.recipe)?.on,
              })),
            })),
        }
      : { text: 'No dish has enough left that will still be good by then.' },
  )
}
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!session || !kitchen" />
  <div v-else>
    <PlanHeadline
      :session="session"
      :kitchen="kitchen"
      :shown="shown"
      :compiled="compiled"
      :handwork="handwork"
    >
      <!-- Always there, or a click that comes when planning begins or ends meets something else. -->
      <div class="quiet working">
        <p v-if="planning.running && compiled" role="status" data-test="planning">
          {{ shown ? 'Looking for a shorter plan …' : 'Working out how long it takes …' }}
          <v-btn size="small" variant="text" @click="planning.stop()">Stop, take the best</v-btn>
        </p>
      </div>
    </PlanHeadline>
    <IssueList
      v-if="issues.length"
      :issues="issues"
      :session="session"
      :kitchen="kitchen"
      :recipes="recipes"
      @change="change"
    />
    <p v-if="cooking" class="quiet locked">
      This session is being cooked: the menu can be looked at, and changed when the
      <NuxtLink to="/cook">session is over</NuxtLink>.
    </p>
    <fieldset class="weeks" :disabled="cooking">
      <div class="head">
        <h2>The weeks</h2>
        <v-btn v-if="empty && session.dishes.length" size="small" variant="tonal" @click="fill"
          >Fill the empty evenings</v-btn
        >
      </div>
      <WeekLoom
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :order="order"
        :assignment="parting?.assignment"
        :planned="planned"
        @change="change"
        @open="openThe"
      />
    </fieldset>
    <fieldset class="menu" :disabled="cooking">
      <div>
        <div class="head">
          <h2>What is cooked</h2>
          <SessionLimit
            class="limit"
            :session="session"
            :kitchen="kitchen"
            :recipes="recipes"
            :makespan="planning.running ? undefined : shown?.plan.makespan"
            @change="change"
          />
        </div>
        <MenuDishes
          :session="session"
          :dishes="menu!.dishes"
          :recipes="recipes"
          :order="order"
          @change="change"
        />
      </div>
      <div>
        <MenuUseUp :session="session" :recipes="recipes" @change="change" />
        <section v-if="offers.length" aria-label="Left over" data-test="left-over">
          <h2>Left over for others</h2>
          <ul class="bare">
            <li v-for="o in offers" :key="o.from + o.line" class="offer">
              <strong>{{ said(o.line) }}</strong> from {{ nameOf(o.from) }}, keeps
              {{ o.days }} days:
              <template v-if="!o.takers.length">no recipe here uses it.</template>
              <template v-for="(t, i) in o.takers" :key="t.recipe"
                >{{ i ? '; ' : '' }}{{ nameOf(t.recipe) }} wants {{ said(t.wants) }}</template
              >
            </li>
          </ul>
        </section>
      </div>
    </fieldset>
  </div>
</template>

<style scoped>
.menu {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.25fr);
  gap: 36px;
  margin-top: 14px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
}
h2 {
  font-size: 1.2rem;
}
.offer {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 0.92rem;
}
section h2 {
  margin-top: 16px;
}
.working {
  grid-column: 1 / -1;
  min-height: 28px;
  font-size: 0.9rem;
}
.limit {
  margin-top: 0;
}
.locked {
  margin-top: 10px;
}
@media (max-width: 900px) {
  .menu {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
