import { proxy } from 'comlink'
import { computed, ref, watch, type Ref } from 'vue'
import {
  FORCED,
  isFact,
  problemLeft,
  type Cooking,
  type Event,
  type Running,
  type Standing,
  type Turn,
} from '~~/core/logbook'
import { quantile } from '~~/core/rehearsal'
import type { Session } from '~~/core/session'
import { useTabs } from '~/stores/tabs'
import { workTogether } from '~/workers/planners'
import { newId } from './newId'
import { plain } from './plain'

/** Something is told again by a new plan where it is so much earlier or later than it was told, in seconds. */
const NOTICED = 120
/** Between two looks for a better plan, and how long one takes, in seconds. */
const PAUSE = 45
const PLANNING = 2.5
/** Between two looks at when people will be finished, in seconds, and how many runs each takes. */
const HONEST = 120
const RUNS = 200

interface State {
  session: Ref<Session | undefined>
  cooking: Ref<Cooking | undefined>
  running: Ref<Running | undefined>
  standing: Ref<Standing | undefined>
  turns: Ref<Turn[]>
  left: Ref<number>
  events: Ref<Event[]>
  counted: Ref<Event[]>
  paused: Ref<Event | undefined>
  now: Ref<number>
}
interface Ways {
  timeAt: (seconds: number) => string
  edit: (id: string, change: (log: Cooking) => Cooking) => Promise<unknown>
}

/**
 * Plans a session under way anew, in a worker, whenever it differs from what was told by more than a little;
 * and foretells now and then when people will be finished. One tab does it: the one that writes.
 */
export function usePlanningAnew(
  { session, cooking, running, standing, turns, left, events, counted, paused, now }: State,
  { timeAt, edit }: Ways,
) {
  const tabs = useTabs()
  const busy = ref(false)
  const most = ref<number>()
  let [asked, honest, offBefore, told] = [-PAUSE, -HONEST, 0, 0]
  // Another session, or the same one begun anew, is looked at from its beginning.
  watch(
    () => cooking.value?.startedAt,
    () => {
      ;[asked, honest, offBefore, told] = [-PAUSE, -HONEST, 0, 0]
      most.value = undefined
    },
  )
  /** By how much something is to come earlier or later than it was told. */
  const off = computed(() =>
    turns.value.reduce(
      (worst, t) =>
        t.over || !t.line.points ? worst : Math.max(worst, Math.abs(t.from - t.line.at)),
      0,
    ),
  )
  /** What cannot go on as it was told, however little it is late. */
  const forced = computed(() => counted.value.filter((e) => FORCED.has(e.kind)).length)

  /** How much is known that a plan has to go by. */
  const facts = computed(() => events.value.filter(isFact).length)

  async function look(): Promise<void> {
    const [log, run, stand] = [cooking.value, running.value, standing.value]
    if (!log || !run || !stand || busy.value || paused.value || !left.value || !tabs.writes) return
    const changed = forced.value !== told
    const late = off.value > NOTICED && off.value > offBefore + NOTICED
    if (off.value < offBefore - NOTICED) offBefore = off.value
    if ((changed || late) && (changed || stand.now - asked >= PAUSE)) {
      asked = stand.now
      offBefore = off.value
      told = forced.value
      await planAnew(run, stand)
    } else if (stand.now - honest >= HONEST) {
      honest = stand.now
      await foretell(run, stand)
    }
  }

  async function planAnew(run: Running, stand: Standing) {
    busy.value = true
    const known = facts.value
    try {
      const problem = plain(problemLeft(run, stand))
      const team = workTogether(1, (planner) =>
        planner.anew(problem, plain(stand.plan), { seconds: PLANNING, seed: 1 }),
      )
      const found = (await team.result)?.[0]
      const id = session.value?.id
      if (!found || id === undefined || !cooking.value) return
      // Somebody has told something meanwhile that this plan does not know of: it is looked at again.
      if (facts.value !== known) {
        asked = -PAUSE
        offBefore = 0
        told = -1
        return
      }
      const [before, after] = [timeAt(stand.finish), timeAt(found.plan.makespan)]
      const words =
        before === after
          ? `Planned anew at ${timeAt(stand.now)}: finished at ${after} as before.`
          : `Planned anew at ${timeAt(stand.now)}: finished at ${after} instead of ${before}.`
      await edit(id, (log) => ({
        ...log,
        plans: [...log.plans, plain({ plan: found.plan, progress: problem.progress })],
        events: [
          ...log.events,
          { kind: 'planned', plan: log.plans.length, words, id: newId(), at: Date.now() },
        ],
      }))
      offBefore = 0
      honest = -HONEST
    } finally {
      busy.value = false
    }
  }

  /** When people will be finished, by rehearsing what is left. */
  async function foretell(run: Running, stand: Standing) {
    busy.value = true
    try {
      const problem = plain(problemLeft(run, stand))
      const options = { runs: RUNS, slice: RUNS, seed: 1, policy: 'follow' as const }
      const copy = plain(stand.plan)
      const team = workTogether(1, (planner) =>
        planner.rehearse(
          problem,
          copy,
          options,
          proxy(() => {}),
        ),
      )
      const found = (await team.result)?.[0]
      if (!found) return
      most.value = quantile(found.finishes, 0.9)
      const id = session.value?.id
      // What was foretold at the very beginning is held against what came of it.
      if (id !== undefined && !cooking.value?.foretold && !facts.value) {
        const foretold = { half: quantile(found.finishes, 0.5), most: most.value }
        await edit(id, (log) => (log.foretold ? log : { ...log, foretold }))
      }
    } finally {
      busy.value = false
    }
  }

  watch([now, forced], () => void look(), { immediate: true })
  return { busy, most }
}
