<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import {
  eveningFrom,
  eveningToPlan,
  settled,
  type Act,
  type Arrangement,
  type Told,
} from '~~/core/eating'
import { instructions, type Instruction } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import { rounded, type Lying } from '~~/core/packing'
import { counted } from '~~/core/quantity'
import type { Recipe } from '~~/core/recipe'
import { USUAL_HOUR } from '~~/core/session'
import { clockTime } from '~/composables/useClock'
import { numberTyped } from '~/composables/useFields'
import { moment } from '~/composables/useHouse'
import { clockText, dayText, said, setTo } from '~/composables/useMeasures'
import { plain } from '~/composables/plain'
import { workTogether } from '~/workers/planners'

/** The evening of a day: what there is, when to begin and what to do, and what was eaten of it. */
const props = defineProps<{
  day: string
  arrangement: Arrangement
  lying: readonly Lying[]
  recipes: ReadonlyMap<string, Recipe>
  order: readonly string[]
  kitchen: Kitchen
}>()
const emit = defineEmits<{ act: [act: Act, told: string] }>()
const meal = computed(() => props.arrangement.days.find((d) => d.day === props.day))
const evening = computed(() =>
  eveningFrom(props.day, props.arrangement, props.lying, props.recipes),
)
/** The evening as it is asked of the engine, in one word: asked again only where it is another one. */
const asked = computed(() =>
  eveningToPlan(props.day, evening.value, props.arrangement, props.recipes, props.kitchen),
)
const planned = shallowRef<{ start: string; lines: Instruction[] }>()
const failed = ref(false)
let turn = 0
watch(
  () => JSON.stringify([asked.value, props.kitchen.stations, props.kitchen.people]),
  async () => {
    const mine = ++turn
    planned.value = undefined
    failed.value = false
    if (!asked.value) return
    const team = workTogether(1, (planner) =>
      planner.evening(plain(asked.value!), plain(props.kitchen)),
    )
    const [plan] = (await team.result.catch(() => undefined)) ?? []
    if (mine !== turn) return
    if (!plan) {
      failed.value = true
      return
    }
    planned.value = {
      start: plan.session.start,
      lines: instructions(plan.plan, plan.compiled, props.kitchen, {
        clock: (seconds) => clockTime(plan.session.start, seconds),
        dial: setTo,
      }),
    }
  },
  { immediate: true },
)
/** Stirring now and then is no line of its own for ten minutes of warming. */
const lines = computed(() => {
  const told = new Set<string>()
  return (planned.value?.lines ?? [])
    .filter((l) => l.kind !== 'stir')
    .map((l) => {
      // Said once it is heard.
      const again = l.caution !== undefined && told.has(l.caution)
      if (l.caution !== undefined) told.add(l.caution)
      return { ...l, caution: again ? undefined : l.caution }
    })
})

/** What was eaten of each dish, where it is not all of it, and what else of it was warmed. */
const eaten = ref<Record<string, string>>({})
const warmed = ref<Record<string, boolean>>({})
const asking = ref(false)
const wrong = ref('')
function over() {
  const told = new Map<string, Told>()
  for (const e of evening.value.eaten) {
    const portions = numberTyped(eaten.value[e.recipe.id] ?? String(e.portions))
    if (!(portions >= 0 && portions <= e.portions)) {
      wrong.value = `${e.name}: "${eaten.value[e.recipe.id]}" cannot have been eaten. Allowed: 0 to ${e.portions}.`
      return
    }
    told.set(e.recipe.id, { portions, warmed: warmed.value[e.recipe.id] !== false })
  }
  const { of, warmed: left } = settled(meal.value?.plate ?? [], props.lying, told)
  wrong.value = ''
  asking.value = false
  emit(
    'act',
    { kind: 'eaten', day: props.day, at: moment(), of, warmed: left },
    left.length
      ? `Eaten. Warmed and left, so thrown away: ${counted(rounded(left.reduce((n, p) => n + p.portions, 0)), 'portion')}.`
      : 'Eaten.',
  )
}
const short = (e: { recipe: Recipe; portions: number }) =>
  numberTyped(eaten.value[e.recipe.id] ?? String(e.portions)) < e.portions
</script>

<template>
  <section class="tonight" aria-label="Tonight" data-test="tonight">
    <h2>{{ dayText(day, 'EEEE d MMMM') }}</h2>
    <p v-if="meal?.over" data-test="over">Eaten. Nothing is left to do this evening.</p>
    <p v-else-if="meal?.fresh && !evening.eaten.length">
      What is cooked today is eaten as it comes from the stove.
    </p>
    <template v-else-if="evening.eaten.length">
      <ul class="bare what">
        <li v-for="e in evening.eaten" :key="e.recipe.id">
          <DishMark :mark="e.recipe.mark" :index="order.indexOf(e.recipe.id)" />
          <span class="name">{{ e.name }}</span>
          <span class="quiet">
            for {{ e.portions }},
            {{
              e.still ? 'still frozen' : e.frozen ? 'thawed, in the fridge' : `from the ${e.place}`
            }}</span
          >
        </li>
      </ul>
      <p v-if="planned" class="begin">
        Begin at <strong class="figure">{{ clockText(planned.start.slice(11)) }}</strong>, at the
        table at <strong class="figure">{{ clockText(meal?.at ?? USUAL_HOUR) }}</strong>.
      </p>
      <p v-else-if="failed" class="wrong">
        This kitchen has no place free to warm it: see what is out of use in
        <NuxtLink to="/kitchen">your kitchen</NuxtLink>.
      </p>
      <p v-else class="quiet" role="status">Planning the evening …</p>
    </template>
    <p v-else-if="meal && meal.eaters > 0">
      Nothing is left that would be enough for {{ meal.eaters }}: cook something fresh, or
      <NuxtLink to="/choose">plan the next session</NuxtLink>.
    </p>
    <p v-else>Nobody eats here this evening.</p>
    <ol v-if="lines.length" class="bare lines" data-test="evening-lines">
      <li v-for="l in lines" :key="l.key">
        <span class="figure at">{{ clockTime(planned!.start, l.at) }}</span>
        <span
          >{{ said(l.text)
          }}<span v-if="l.amounts.length" class="quiet"> {{ said(l.amounts.join(', ')) }}</span>
          <span v-if="l.caution" class="caution">{{ said(l.caution) }}</span></span
        >
      </li>
    </ol>
    <template v-if="evening.eaten.length && !meal?.over">
      <div class="keys no-print">
        <v-btn color="primary" size="large" @click="over">All eaten</v-btn>
        <v-btn variant="tonal" size="large" :aria-expanded="asking" @click="asking = !asking"
          >Not all of it</v-btn
        >
      </div>
      <div v-if="asking" class="asking" data-test="not-all">
        <div v-for="e in evening.eaten" :key="e.recipe.id" class="row">
          <TypedField
            class="n"
            :label="`${e.name}: portions eaten`"
            :value="eaten[e.recipe.id] ?? e.portions"
            inputmode="decimal"
            @commit="eaten = { ...eaten, [e.recipe.id]: $event }"
          />
          <CheckField
            v-if="short(e)"
            :value="warmed[e.recipe.id] !== false"
            label="The rest was warmed or on the plates"
            @set="warmed = { ...warmed, [e.recipe.id]: $event }"
            >and is thrown away; what stayed cold in its box is kept</CheckField
          >
        </div>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <v-btn variant="tonal" @click="over">So it was</v-btn>
      </div>
    </template>
  </section>
</template>

<style scoped>
.tonight {
  padding: 16px 20px;
  border: 1px solid var(--hair);
  border-top: 8px solid rgb(var(--v-theme-primary));
  border-radius: 12px;
  background: rgb(var(--v-theme-surface));
}
.what li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: baseline;
  margin: 6px 0;
}
.name {
  font-family: var(--display);
  font-size: 1.3rem;
}
.begin {
  margin: 8px 0;
  font-size: 1.1rem;
}
.lines li {
  display: grid;
  grid-template-columns: 4.2em minmax(0, 1fr);
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid var(--hair);
}
.caution {
  display: block;
  color: rgb(var(--v-theme-error));
  font-size: 0.92rem;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 12px;
}
.asking {
  margin-top: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: end;
  margin-bottom: 8px;
}
</style>
