<script setup lang="ts">
import { addSeconds, format, parseISO } from 'date-fns'
import { computed } from 'vue'
import { decidingChain, waitingTime, type Handwork } from '~~/core/board'
import type { KeptPlan } from '~~/core/household'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'

const props = defineProps<{
  session: Session
  shown: KeptPlan | undefined
  compiled: CompiledSession | undefined
  handwork: Handwork[]
  /** Whether planning is under way: not all figures are known from the beginning. */
  working: boolean
}>()

const plan = computed(() => props.shown?.plan)
const day = computed(() => format(parseISO(props.session.start), 'EEEE d MMMM yyyy'))
const handsFree = computed(() => Math.max(0, ...props.handwork.map((h) => h.to)))
const waiting = computed(() => waitingTime(props.handwork))
const saved = computed(() =>
  props.shown && props.shown.oneByOne !== null
    ? props.shown.oneByOne - props.shown.plan.makespan
    : undefined,
)
const gap = computed(() =>
  plan.value ? (plan.value.makespan - plan.value.bound) / Math.max(1, plan.value.makespan) : 0,
)

/** Why it cannot be shorter, as far as that is known. */
const because = computed(() => {
  const { shown, compiled } = props
  if (!shown || !compiled) return ''
  const { plan, boundBy } = shown
  const chain = decidingChain(compiled.problem, plan)
  const dishes = [...new Set(chain.map((l) => compiled.cards[l.activity]?.dish))]
    .map((id) => compiled.dishes.find((d) => d.id === id)?.name)
    .filter((name) => name !== undefined)
  const proof =
    plan.status === 'optimal'
      ? 'Nothing shorter exists'
      : `No plan can be done before ${clock(plan.bound)}`
  const words = boundBy.replace(/"([^"]+)"/g, (_, id: string) => nameOf(id))
  return `${dishes.join(', then ')} decide the finish (the red hairline). ${proof}, proven by ${words}.`
})

function nameOf(id: string): string {
  const person = props.compiled?.problem.cooks.some((c) => c.id === id)
  return props.compiled?.cards[id]?.text ?? (person ? id[0]!.toUpperCase() + id.slice(1) : id)
}

const clock = (seconds: number) => clockTime(props.session.start, seconds)
const later = (seconds: number) =>
  format(addSeconds(parseISO(props.session.start), seconds), "yyyy-MM-dd'T'HH:mm")
</script>

<template>
  <header class="headline">
    <div>
      <p class="quiet">{{ day }}</p>
      <h1>{{ session.name }}</h1>
    </div>
    <dl v-if="plan" class="figures">
      <div>
        <dt>Finished at</dt>
        <dd>
          <time :datetime="later(plan.makespan)" data-test="finished">{{
            clock(plan.makespan)
          }}</time>
          <small>{{ spanText(plan.makespan) }} in all</small>
        </dd>
      </div>
      <div>
        <dt>Hands free at</dt>
        <dd>
          <time :datetime="later(handsFree)" data-test="hands-free">{{ clock(handsFree) }}</time>
          <small>the last touch</small>
        </dd>
      </div>
      <div>
        <dt>Waiting</dt>
        <dd>
          <span data-test="waiting">{{ spanText(waiting) }}</span>
          <small>between first and last touch</small>
        </dd>
      </div>
      <div v-if="saved !== undefined" class="compared">
        <dt>Dish after dish</dt>
        <dd>
          <span data-test="saved">{{ spanText(Math.abs(saved)) }}</span>
          <small
            >{{ saved >= 0 ? 'shorter' : 'longer' }} than {{ spanText(shown!.oneByOne!) }}</small
          >
        </dd>
      </div>
      <div v-else-if="working" class="compared">
        <dt>Dish after dish</dt>
        <dd>
          …
          <small>being worked out</small>
        </dd>
      </div>
      <div>
        <dt>From the proven least</dt>
        <dd>
          <span data-test="gap">{{
            plan.status === 'optimal' ? 'none' : `${(gap * 100).toFixed(1)} %`
          }}</span>
          <small>{{
            plan.status === 'optimal' ? 'it is the shortest' : 'at most that much longer'
          }}</small>
        </dd>
      </div>
    </dl>
    <p v-if="plan" class="because">{{ because }}</p>
    <slot />
  </header>
</template>

<style scoped>
.headline {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) auto;
  gap: 2px 32px;
  align-items: end;
}
h1 {
  font-size: clamp(1.4rem, 2.3vw, 1.9rem);
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
}
/* As wide as it will be, so that nothing moves when it is known. */
.compared {
  min-width: 7.5rem;
}
dt {
  font-size: 0.85rem;
  color: var(--quiet);
}
dd {
  display: flex;
  flex-direction: column;
  font-family: var(--display);
  font-size: 1.5rem;
  font-variant-numeric: tabular-nums;
  line-height: 1.1;
}
dd small {
  font-family: var(--text);
  font-size: 0.8rem;
  color: var(--quiet);
}
.because {
  grid-column: 1 / -1;
  margin-top: 4px;
  font-size: 0.88rem;
  color: var(--quiet);
}
@media (max-width: 700px) {
  .headline {
    grid-template-columns: 1fr;
  }
  .figures {
    gap: 10px 22px;
  }
  dd {
    font-size: 1.4rem;
  }
}
</style>
