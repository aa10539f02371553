<script setup lang="ts">
import { computed, ref } from 'vue'
import { RUNS, schoolsFor, SECONDS, type Asked, type Compared, type Figures } from '~~/core/advice'
import { counted } from '~~/core/quantity'
import type { Plan } from '~~/core/plan'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { dishLook } from '~/composables/useDishLook'
import { plain } from '~/composables/plain'
import { useTrying } from '~/composables/useTrying'
import { usePlanning } from '~/stores/planning'

/** Up to three ways to go about the session under one clock, with what each comes to. */
const props = defineProps<{ asked: Asked; compiled: CompiledSession; plan: Plan }>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const planning = usePlanning()
const schools = computed(() => schoolsFor(props.asked))
const items = computed(() => schools.value.map((s) => ({ value: s.id, title: s.words })))
/** The two that stand beside the plan as it is. */
const [second, third] = [ref('calm 0'), ref('')]
const chosen = computed(() =>
  ['now', second.value, third.value].flatMap((id) => schools.value.find((s) => s.id === id) ?? []),
)
const { tried, found, ask, stop } = useTrying<Compared[]>(
  () => JSON.stringify([props.asked.session, planning.running, second.value, third.value]),
  (planner, onTry) => planner.compare(plain(chosen.value), plain(props.plan), onTry),
)
const clock = (seconds: number) => clockTime(props.asked.session.start, seconds)
const ROWS: { name: string; of: (f: Figures) => string }[] = [
  { name: 'finished by the plan', of: (f) => clock(f.makespan) },
  { name: 'nine times in ten by', of: (f) => clock(f.nineInTen) },
  { name: 'hands free', of: (f) => clock(f.handsFree) },
  { name: 'work of hands', of: (f) => spanText(f.hands) },
  { name: 'cooks wait', of: (f) => spanText(f.waiting) },
  { name: 'changes of dish', of: (f) => String(f.switches) },
  { name: 'oven set to another heat', of: (f) => String(f.heatChanges) },
  { name: 'washed in between', of: (f) => String(f.washes) },
]
const end = computed(() => Math.max(1, ...(found.value ?? []).map((c) => c.figures?.makespan ?? 0)))
const hours = computed(() =>
  Array.from({ length: Math.floor(end.value / 3600) + 1 }, (_, k) => k * 3600),
)
const nameOf = (id: string) => props.asked.kitchen.people.find((p) => p.id === id)?.name ?? id
const lookOf = (dish: string | undefined) =>
  dish === undefined ? undefined : dishLook(props.compiled.order.indexOf(dish))
const x = (seconds: number) => (100 * seconds) / end.value
function take({ school }: Compared) {
  const change = plain(school.session!)
  emit('change', (s) => ({ ...s, ...change }))
}
</script>

<template>
  <div data-test="compare">
    <h3>Side by side</h3>
    <div class="fields">
      <PickField
        :value="second"
        :items="items.slice(1)"
        label="The plan as it is, beside"
        aria-label="Beside the plan as it is"
        @pick="second = $event"
      />
      <PickField
        :value="third"
        :items="[{ value: '', title: 'nothing more' }, ...items.slice(1)]"
        label="and"
        aria-label="And beside that"
        @pick="third = $event"
      />
      <v-btn
        size="small"
        variant="outlined"
        :disabled="planning.running || tried !== undefined"
        @click="ask(chosen.length)"
      >
        {{ planning.running ? 'Once the plan is made' : 'Compare' }}
      </v-btn>
    </div>
    <p v-if="tried" role="status">
      Planned so far: {{ tried[0] }} of {{ tried[1] }}
      <v-btn size="small" variant="text" @click="stop">Stop</v-btn>
    </p>
    <template v-if="found?.length">
      <div class="scroll" tabindex="0" role="region" aria-label="The plans side by side">
        <table>
          <thead>
            <tr>
              <td />
              <th v-for="c in found" :key="c.school.id" scope="col">{{ c.school.words }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in ROWS" :key="r.name">
              <th scope="row">{{ r.name }}</th>
              <td v-for="c in found" :key="c.school.id" class="figure">
                {{ c.figures ? r.of(c.figures) : 'no plan' }}
              </td>
            </tr>
            <tr>
              <th scope="row" />
              <td v-for="c in found" :key="c.school.id">
                <v-btn
                  v-if="c.school.session && c.figures"
                  size="small"
                  variant="tonal"
                  :aria-label="`Take it: ${c.school.words}`"
                  @click="take(c)"
                  >Take it</v-btn
                >
                <span v-else-if="c.school.id !== 'now'" class="quiet">a rule of the house</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="strips" aria-hidden="true">
        <div v-for="c in found" :key="c.school.id">
          <p class="quiet">{{ c.school.words }}</p>
          <div v-for="cook in c.cooks" :key="cook" class="strip">
            <span class="who">{{ nameOf(cook) }}</span>
            <svg viewBox="0 0 100 10" preserveAspectRatio="none">
              <rect x="0" y="0" width="100" height="10" class="ground" />
              <rect
                v-for="h in c.handwork.filter((w) => w.cook === cook)"
                :key="h.key"
                :x="x(h.from)"
                y="0.5"
                :width="Math.max(0.1, x(h.to) - x(h.from))"
                height="9"
                :fill="lookOf(h.dish)?.colour ?? 'currentColor'"
              >
                <title>{{ clock(h.from) }} {{ h.text }}</title>
              </rect>
              <line v-for="t in hours" :key="t" :x1="x(t)" :x2="x(t)" y1="0" y2="10" />
            </svg>
          </div>
        </div>
        <p class="quiet">
          Hands, from {{ clock(0) }} to {{ clock(end) }}, a line each hour, in the colours of the
          dishes.
        </p>
      </div>
      <p class="quiet">
        Beside the plan above each was planned for {{ counted(SECONDS.compare, 'second') }}, and all
        were rehearsed {{ RUNS }} times: with more time each may be better.
      </p>
    </template>
  </div>
</template>

<style scoped>
h3 {
  margin: 12px 0 2px;
  font-size: 1rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 8px;
  align-items: end;
}
.fields .v-btn {
  justify-self: start;
}
.scroll {
  overflow-x: auto;
}
table {
  margin-top: 8px;
  border-collapse: collapse;
}
th {
  text-align: start;
}
tbody th {
  font-weight: 400;
}
td,
th {
  padding: 3px 20px 3px 0;
}
td.figure {
  white-space: nowrap;
}
.strip {
  display: grid;
  grid-template-columns: 4em minmax(0, 1fr);
  gap: 8px;
  align-items: center;
}
svg {
  width: 100%;
  height: 18px;
}
.ground {
  fill: var(--hair);
  opacity: 0.4;
}
line {
  stroke: rgb(var(--v-theme-surface));
  stroke-width: 0.2;
}
</style>
