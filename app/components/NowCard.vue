<script setup lang="ts">
import { mdiCheck } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { placeWords } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import type { InHand, Turn } from '~~/core/logbook'
import type { CompiledSession } from '~~/core/session'
import { spanText, timerText } from '~/composables/useClock'
import { standsAt } from '~/composables/useMeasures'

/** What one cook does now, what comes next and soon after, and all that can be said of it. */
const props = defineProps<{
  cook: string
  name: string
  others: { id: string; name: string }[]
  hand: InHand
  /** Whether anybody still has something to do. */
  going: boolean
  paused: boolean
  kitchen: Kitchen
  compiled: CompiledSession
  /** Amounts of the line in hand that are in already. */
  added: ReadonlySet<number>
  /** Amounts of the line in hand that are not there, with what goes in instead. */
  missing: ReadonlyMap<number, string>
  canUndo: boolean
}>()
const emit = defineEmits<{
  done: [turn: Turn, minutesAgo: number]
  more: [turn: Turn, minutes: number]
  later: [turn: Turn, minutes: number]
  skip: [turn: Turn]
  hand: [turn: Turn, to: string]
  first: [turn: Turn]
  added: [amount: number]
  temperature: [turn: Turn]
  missing: [turn: Turn]
  out: [station: string]
  undo: []
}>()

const turn = computed(() => props.hand.now)
const line = computed(() => turn.value?.line)
const where = computed(() =>
  (line.value?.places ?? []).map((id) => placeWords(id, props.kitchen)).join(', '),
)
const dish = computed(() => props.compiled.dishes.find((d) => d.id === line.value?.dish))
/** Which of the two rows of choices is open: more time, or something else. */
const asking = ref<'more' | 'else'>()
watch(
  () => line.value?.key,
  () => (asking.value = undefined),
)
const ask = (what: 'more' | 'else') => (asking.value = asking.value === what ? undefined : what)
const begins = computed(() => line.value?.points?.[0] === 0 && line.value.activity !== undefined)
const index = (id: string | undefined) => (id ? props.compiled.order.indexOf(id) : -1)

/** Pans and tools that it wants: a place of the kitchen is told to be out of use where it stands. */
const vessels = computed(() =>
  begins.value
    ? props.kitchen.stations.filter(
        (s) => line.value!.places.includes(s.id) && s.zone !== 'hob' && s.zone !== 'oven',
      )
    : [],
)
type Choice = { text: string; act: () => void }
/** All that can be said of what is in hand beside that it is done. */
const choices = computed((): Choice[] => {
  const it = turn.value
  if (!it) return []
  if (asking.value === 'more')
    return [2, 5, 10, 20].map((m) => ({
      text: `${m} minutes more`,
      act: () => emit('more', it, m),
    }))
  return [
    ...(it.line.dish ? [{ text: 'Its temperature …', act: () => emit('temperature', it) }] : []),
    ...(it.line.amounts.length && it.line.dish
      ? [{ text: 'Something is missing …', act: () => emit('missing', it) }]
      : []),
    ...[2, 5, 10].map((m) => ({ text: `Done ${m} minutes ago`, act: () => emit('done', it, m) })),
    ...(begins.value
      ? [
          ...[5, 15].map((m) => ({
            text: `Not yet: in ${m} minutes`,
            act: () => emit('later', it, m),
          })),
          ...props.others.map((o) => ({
            text: `${o.name} does it`,
            act: () => emit('hand', it, o.id),
          })),
          ...(props.hand.next[0]
            ? [{ text: 'The next one first', act: () => emit('first', props.hand.next[0]!) }]
            : []),
        ]
      : []),
    ...vessels.value.map((s) => ({
      text: `${s.name} is out of use`,
      act: () => emit('out', s.id),
    })),
    ...(begins.value || !it.line.points
      ? [{ text: 'Leave it out', act: () => emit('skip', it) }]
      : []),
  ]
})
function choose(c: Choice) {
  asking.value = undefined
  c.act()
}
defineExpose({
  /** Does what stands at this place of the open row; without one the first number opens it. */
  key: (n: number) => {
    if (!turn.value) return
    if (!asking.value)
      return n === 1
        ? emit('done', turn.value, 0)
        : ask(n === 2 && line.value?.activity ? 'more' : 'else')
    const c = choices.value[n - 1]
    if (c) choose(c)
  },
})
</script>

<template>
  <article class="card" :data-test="`cook-${cook}`" :aria-label="`${name} now`">
    <header>
      <h2>{{ name }}</h2>
      <DishMark v-if="dish" :mark="dish.mark" :index="index(dish.id)" />
      <span class="dish">{{ dish?.name }}</span>
    </header>
    <template v-if="line && turn">
      <p class="deed" data-test="now">{{ line.text }}</p>
      <p v-if="where || line.celsius !== undefined" class="where">
        {{ where
        }}<template v-if="line.celsius !== undefined && line.kind !== 'oven'">
          · {{ standsAt(line.celsius) }}</template
        >
      </p>
      <ul v-if="line.amounts.length" class="amounts" aria-label="What goes in">
        <li v-for="(amount, k) in line.amounts" :key="k">
          <p v-if="missing.has(k)" class="gone">
            <s>{{ amount }}</s> {{ missing.get(k) ? `instead: ${missing.get(k)}` : 'left out' }}
          </p>
          <v-btn
            v-else
            :variant="added.has(k) ? 'tonal' : 'outlined'"
            :prepend-icon="added.has(k) ? mdiCheck : undefined"
            :aria-pressed="added.has(k)"
            height="56"
            class="amount"
            @click="emit('added', k)"
          >
            {{ amount }}
          </v-btn>
        </li>
      </ul>
      <p class="time figure" :class="{ over: hand.left < 0 && !hand.startsIn }" role="timer">
        <template v-if="paused"><small>standing still</small></template>
        <small v-else-if="turn.waits">as soon as the others are that far</small>
        <template v-else-if="hand.startsIn > 0">
          <small>in</small> {{ timerText(hand.startsIn) }}
        </template>
        <template v-else-if="line.free > line.at">
          {{ timerText(hand.left) }}<small v-if="hand.left < 0"> over</small>
        </template>
        <small v-else>now</small>
      </p>
      <p v-if="line.caution" class="caution">{{ line.caution }}</p>
    </template>
    <p v-else-if="going" class="deed">Nothing for you just now: see what the others do.</p>
    <p v-else class="deed">All done. Sit down.</p>
    <div class="keys">
      <v-btn
        v-if="turn && line"
        color="primary"
        height="72"
        class="done"
        :prepend-icon="mdiCheck"
        :aria-label="`Done: ${line.text}`"
        @click="emit('done', turn, 0)"
      >
        Done
      </v-btn>
      <v-btn
        v-if="line?.activity"
        height="72"
        variant="tonal"
        :aria-expanded="asking === 'more'"
        @click="ask('more')"
      >
        Needs more
      </v-btn>
      <v-btn
        v-if="turn"
        height="72"
        variant="tonal"
        :aria-expanded="asking === 'else'"
        @click="ask('else')"
      >
        Else …
      </v-btn>
      <v-btn
        height="72"
        variant="outlined"
        :disabled="!canUndo"
        :aria-label="`Take back the last step of ${name}`"
        @click="emit('undo')"
      >
        Undo
      </v-btn>
    </div>
    <div v-if="asking && turn" class="keys choices" data-test="choices">
      <v-btn
        v-for="(c, k) in choices"
        :key="c.text"
        height="64"
        variant="outlined"
        @click="choose(c)"
      >
        <span class="digit" aria-hidden="true">{{ k + 1 }}</span> {{ c.text }}
      </v-btn>
    </div>
    <ol v-if="hand.next.length" class="next">
      <li v-for="(n, i) in hand.next" :key="n.line.key">
        <span class="quiet word">{{ i === 0 ? 'next' : 'soon' }}</span>
        <DishMark
          v-if="index(n.line.dish) >= 0"
          :mark="compiled.dishes.find((d) => d.id === n.line.dish)!.mark"
          :index="index(n.line.dish)"
        />
        <span class="what">{{ n.line.text }}</span>
        <span v-if="n.line.free > n.line.at" class="quiet">{{
          spanText(n.line.free - n.line.at)
        }}</span>
      </li>
    </ol>
  </article>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  padding: 16px 22px;
  border-radius: 16px;
  border: 1px solid var(--hair);
  background: rgb(var(--v-theme-surface));
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
h2 {
  font-size: 1.25rem;
}
.dish {
  color: var(--quiet);
  font-size: 1.25rem;
}
.deed {
  margin-top: 6px;
  font-family: var(--display);
  font-size: 1.9rem;
  line-height: 1.2;
}
.where,
.caution {
  margin-top: 6px;
  font-size: 1.3rem;
}
.where {
  color: var(--quiet);
}
.amounts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
  padding: 0;
  list-style: none;
}
.gone {
  min-height: 56px;
  padding: 14px 8px;
  font-size: 1.25rem;
}
.gone s {
  color: var(--quiet);
}
.amount {
  font-size: 1.25rem;
}
.time {
  margin: 6px 0;
  font-family: var(--display);
  font-size: 3.6rem;
  line-height: 1.1;
}
.time small {
  font-size: 1.4rem;
}
.over,
.caution {
  color: rgb(var(--v-theme-error));
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 10px 0;
}
.keys .v-btn {
  flex: 1 1 auto;
  min-width: 0;
  padding-inline: 14px;
  font-size: 1.15rem;
}
.choices {
  margin-top: 0;
}
.digit {
  margin-right: 8px;
  color: var(--quiet);
}
.done {
  flex: 1 1 100% !important;
  font-size: 1.5rem !important;
}
.next {
  margin-top: auto;
  padding: 8px 0 0;
  border-top: 1px solid var(--hair);
  list-style: none;
}
.next li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 5px 0;
  font-size: 1.25rem;
}
.word {
  min-width: 2.6em;
}
.what {
  flex: 1;
}
</style>
