<script setup lang="ts">
import { addSeconds, format, parseISO } from 'date-fns'
import { computed } from 'vue'
import { chainText, decidingChain, waitingTime, type Handwork } from '~~/core/board'
import type { KeptPlan } from '~~/core/household'
import type { Kitchen } from '~~/core/kitchen'
import type { Rehearsal } from '~~/core/rehearsal'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { honest } from '~/composables/useRehearsal'
import { dayText } from '~/composables/useMeasures'
import { inKitchenWords } from '~/composables/useWords'
import { usePlanning } from '~/stores/planning'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  shown: KeptPlan | undefined
  compiled: CompiledSession | undefined
  handwork: Handwork[]
  /** How it goes with people, once it has been rehearsed; where it is not, nothing is said of it. */
  people?: Rehearsal | undefined
  rehearsed?: boolean
}>()
const planning = usePlanning()

const plan = computed(() => props.shown?.plan)
const day = computed(() => dayText(props.session.start, 'EEEE d MMMM yyyy'))
const handsFree = computed(() => Math.max(0, ...props.handwork.map((h) => h.to)))
const waiting = computed(() => waitingTime(props.handwork))
const saved = computed(() =>
  props.shown && props.shown.oneByOne !== null
    ? props.shown.oneByOne - props.shown.plan.makespan
    : undefined,
)
/** Seconds of the shortest plan found; the one on the page may be longer for the sake of calm. */
const shortest = computed(() => plan.value?.shortest ?? plan.value?.makespan ?? 0)
/** By what share that could be shorter at most, as far as is proven. */
const shorter = computed(() =>
  plan.value ? (shortest.value - plan.value.bound) / Math.max(1, shortest.value) : 0,
)
/** How much longer it is for the sake of calm, where that is as much as half a minute. */
const forCalm = computed(() => {
  const longer = (plan.value?.makespan ?? 0) - shortest.value
  return longer >= 30 ? spanText(longer) : undefined
})

/** A figure that stands in the headline; without a value it is still being worked out. */
interface Figure {
  name: string
  test: string
  value?: string | undefined
  note?: string | undefined
  /** What is still being done for it once the plan is there. */
  waits?: string
  /** When it is, where it is an instant. */
  at?: number | undefined
}
const figures = computed<Figure[]>(() => {
  const p = plan.value
  if (!p && !planning.running) return []
  const optimal = p?.status === 'optimal'
  const late = props.shown?.least !== undefined
  // Before anything is proven there is nothing to compare with.
  const known = p && (late || optimal || p.bound > 0) ? p : undefined
  const people = props.people && honest(props.people)
  const finished: Figure = {
    name: props.rehearsed ? 'By the plan' : 'Finished at',
    test: 'finished',
    value: p && clock(p.makespan),
    note: p && `${spanText(p.makespan)} in all`,
    at: p?.makespan,
  }
  const list: Figure[] = [
    ...(props.rehearsed
      ? [
          {
            name: 'Finished about',
            waits: 'being rehearsed',
            test: 'people',
            value: people && clock(people.half),
            note: people && `nine in ten before ${clock(people.most)}`,
            at: people?.half,
          },
        ]
      : []),
    finished,
    ...(p && Math.abs(p.makespan - handsFree.value) >= 60
      ? [
          {
            name: 'Hands free at',
            test: 'hands-free',
            value: clock(handsFree.value),
            note: 'after the last job',
            at: handsFree.value,
          },
        ]
      : []),
    {
      name: 'Cooks wait',
      test: 'waiting',
      value: p && spanText(waiting.value),
      note: 'between first and last job',
    },
    {
      name: 'Saves you',
      test: 'saved',
      value: saved.value === undefined ? undefined : spanText(Math.max(0, saved.value)),
      note: `dish after dish takes ${spanText(props.shown?.oneByOne ?? 0)}`,
    },
    {
      name: 'Could be shorter by',
      test: 'gap',
      value: known && (late ? '–' : optimal ? 'nothing' : `${(shorter.value * 100).toFixed(1)} %`),
      note: late
        ? 'no plan keeps everything'
        : forCalm.value
          ? `${optimal ? '' : 'at most, '}beside ${forCalm.value} for calm`
          : optimal
            ? 'no plan is shorter'
            : 'at most',
    },
  ]
  return list
})

/** Why it cannot be shorter, as far as that is known. */
const because = computed(() => {
  const { shown, compiled, kitchen } = props
  if (!shown || !compiled) return undefined
  const { plan, boundBy } = shown
  const chain = chainText(decidingChain(compiled, plan), compiled, kitchen)
  const decide = chain.many ? 'decide' : 'decides'
  // Nothing is proven of it, or it keeps not even all limits.
  if (shown.least || (plan.bound === 0 && plan.status !== 'optimal'))
    return {
      short: `${chain.dishes} ${decide} when you finish (the red line).`,
      steps: `${chain.steps}.`,
    }
  const proof =
    plan.status === 'optimal'
      ? forCalm.value
        ? `Nothing shorter than ${spanText(shortest.value)} exists`
        : 'Nothing shorter exists'
      : `No plan can finish before ${clock(plan.bound)}`
  const words = inKitchenWords(boundBy, compiled, kitchen, props.session.start)
  return {
    short: `${chain.dishes} ${decide} when you finish (the red line). ${proof}, proven by ${words}.`,
    steps: `${chain.steps}.`,
  }
})

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
    <dl v-if="figures.length" class="figures">
      <div v-for="f in figures" :key="f.name">
        <dt>{{ f.name }}</dt>
        <dd v-if="f.value === undefined">
          {{ planning.running || f.waits ? '…' : '–' }}
          <small>{{
            !plan
              ? '\u00a0'
              : planning.running
                ? 'being worked out'
                : (f.waits ?? 'not worked out yet')
          }}</small>
        </dd>
        <dd v-else>
          <time v-if="f.at !== undefined" :datetime="later(f.at)" :data-test="f.test">{{
            f.value
          }}</time>
          <span v-else :data-test="f.test">{{ f.value }}</span>
          <small>{{ f.note }}</small>
        </dd>
      </div>
    </dl>
    <details v-if="figures.length" class="because">
      <summary>{{ because?.short }}</summary>
      {{ because?.steps }}
    </details>
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
  gap: 8px 26px;
}
/* As wide as they will be, so that next to nothing moves when they are known. */
.figures > div {
  min-width: 4.4rem;
}
.figures > div:nth-child(n + 3) {
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
summary {
  cursor: pointer;
}
.because {
  grid-column: 1 / -1;
  margin-top: 4px;
  font-size: 0.88rem;
  color: var(--quiet);
}
/* As high whether it says anything yet or not; the rest is there once it is opened. */
.because:not([open]) > summary {
  height: 2lh;
  overflow: hidden;
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
@media (max-width: 480px) {
  .figures {
    display: grid;
    grid-template-columns: 1fr 1fr;
  }
  /* As high whatever it turns out to say. */
  dd small {
    min-height: 2lh;
  }
  .because:not([open]) > summary {
    height: 6lh;
  }
}
</style>
