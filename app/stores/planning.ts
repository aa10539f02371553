import { useStorage, useThrottleFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { betterPlan, type KeptPlan } from '~~/core/household'
import { checkPlan, valuesOfPlan, type Plan } from '~~/core/plan'
import type { Problem } from '~~/core/problem'
import { sessionOf } from '~~/core/session'
import { database } from '~/database/database'
import { useLive } from '~/composables/useLive'
import { NotSaved } from '~/database/failure'
import { generation } from '~/database/household'
import type { CheckedPlan, PlanningProgress, PlanningResult } from '~/workers/planner.worker'
import { planTogether } from '~/workers/planTogether'
import { plain } from '~/composables/plain'
import { useSaving } from './saving'

/** How long a plan is worked on where nobody has said otherwise, and what can be said, in seconds. */
const SECONDS = 20
export const PLANNING_SECONDS = { least: 1, most: 120 }

/** How long planners are warmed up, in seconds. */
const WARM_UP = 2

/** Between two words about a run under way, in milliseconds. */
const LOOK_MS = 500

/**
 * Between two better plans that are drawn, in milliseconds: up to sixteen are found in a second, nobody
 * can follow them, and drawing one takes the page a tenth of it, in which no click is heard.
 */
const DRAW_MS = 2500

let current: ReturnType<typeof planTogether> | undefined
let turn = 0
let warm = false

const keep = (
  session: string,
  mark: string,
  problem: Problem,
  { plan, boundBy, strict, oneByOne, least, steady }: CheckedPlan & Partial<PlanningResult>,
): KeptPlan => ({
  session,
  problem: mark,
  plan,
  values: valuesOfPlan(problem, plan),
  ...(strict && problem.allowance?.[problem.objective[0]!]
    ? { strict: [...strict], free: problem.allowance[problem.objective[0]!]! }
    : {}),
  boundBy,
  oneByOne: oneByOne ?? null,
  ...(least ? { least } : {}),
  ...(steady ? { steady } : {}),
})

/** Keeps a plan, unless a better one for the same problem is there. */
const store = (session: string, plan: KeptPlan, problem: Problem, since?: string) =>
  useSaving().write(
    'the plan',
    () =>
      database.transaction('rw', database.plans, database.sessions, database.settings, async () => {
        // Of a session that was wiped or replaced meanwhile nobody wants a plan.
        if (!(await database.sessions.get(sessionOf(session)))) return
        if (since !== undefined && since !== (await generation())) return
        const before = await database.plans.get(session)
        if (before && before.problem !== plan.problem) remember(before)
        // A spoiled plan, however short, is in nobody's way.
        const spoiled =
          before?.problem === plan.problem &&
          before.plan.activities.length > 0 &&
          checkPlan(problem, before.plan).length > 0
        await database.plans.put(spoiled ? plan : betterPlan(before, plan))
      }),
    { byItself: true },
  )

/** Plans that gave way to those of another problem, the latest last: somebody may go back. */
const earlier = new Map<string, KeptPlan>()
const EARLIER = 6
function remember(plan: KeptPlan): void {
  const key = `${plan.session} ${plan.problem}`
  earlier.delete(key)
  earlier.set(key, plan)
  if (earlier.size > EARLIER) earlier.delete(earlier.keys().next().value!)
}

/** Whether a plan can be worked on for so many seconds. */
export const isAllowed = (seconds: number): boolean =>
  seconds >= PLANNING_SECONDS.least && seconds <= PLANNING_SECONDS.most

/** The planning that is under way, if any; its result goes to the database. */
export const usePlanning = defineStore('planning', () => {
  const running = ref(false)
  const progress = shallowRef<PlanningProgress>()
  const failure = ref<string>()
  const chosen = useStorage('cadrum-planning-seconds', SECONDS)
  /** How long a plan is worked on, kept in this browser. */
  const seconds = computed({
    get: () => (isAllowed(chosen.value) ? chosen.value : SECONDS),
    set: (now) => (chosen.value = now),
  })
  /** Which problem the run under way is about. */
  const about = ref<string>()
  /** The best plan of the run under way, to look at meanwhile. */
  const preview = shallowRef<KeptPlan>()

  /** Plans a problem; with a `previous` plan as little of it is changed as may be. */
  async function plan(
    session: string,
    problem: Problem,
    mark: string,
    { seed = 1, previous }: { seed?: number; previous?: Plan | undefined } = {},
  ): Promise<void> {
    const mine = ++turn
    warm = true
    about.value = mark
    // An earlier run is of no use any more.
    current?.end()
    running.value = true
    progress.value = undefined
    preview.value = undefined
    failure.value = undefined
    const since = generation().catch(() => undefined)
    let latest: PlanningProgress
    let best: KeptPlan | undefined
    let stored: KeptPlan | undefined
    let drawAgain = 0
    let over = false
    const show = () => {
      if (mine !== turn || over) return
      progress.value = latest
      const drawn = preview.value
      if (best?.plan === drawn?.plan && best?.oneByOne === drawn?.oneByOne) return
      if (performance.now() < drawAgain) return
      // The very first comes before anything is proven of it: that follows soon.
      drawAgain = performance.now() + (drawn ? DRAW_MS : LOOK_MS)
      preview.value = best
      // A plan that can be seen can be cooked from, and is there after a reload.
      if (best && best !== stored) {
        stored = best
        const found = best
        // Not once something else is wanted: what was taken up again would give way to it.
        void since
          .then((from) => (mine === turn ? store(session, found, problem, from) : undefined))
          .catch(tell)
      }
    }
    const tell = (error: unknown) => {
      // What could not be kept is told for all pages alike.
      if (mine === turn && !(error instanceof NotSaved))
        failure.value = error instanceof Error ? error.message : String(error)
    }
    const showNowAndThen = useThrottleFn(show, LOOK_MS, true)
    current = planTogether(
      plain(problem),
      { seconds: seconds.value, seed, previous: previous && plain(previous) },
      (result) => keep(session, mark, problem, result),
      (p) => {
        const first = best === undefined && p.better !== undefined
        latest = p
        const now = p.better ? keep(session, mark, problem, p.better) : best
        if (now) best = { ...now, oneByOne: p.oneByOne ?? best?.oneByOne ?? null }
        if (first) show()
        else void showNowAndThen()
      },
    )
    try {
      const now = await current.result
      over = true
      if (!now || mine !== turn) return
      if (now.plan.status === 'unknown')
        failure.value =
          'No plan turned up in the time there was. Plan again, or make the session smaller.'
      if (now.plan.activities.length || now.least) preview.value = now
      await store(session, now, problem, await since)
    } catch (error) {
      tell(error)
    } finally {
      if (mine === turn) running.value = false
    }
  }

  /** Takes a plan up again that was made for a problem before; whether there was one. */
  function recall(session: string, problem: Problem, mark: string): boolean {
    const known = earlier.get(`${session} ${mark}`)
    if (!known) return false
    turn++
    current?.end()
    running.value = false
    preview.value = known
    store(session, known, problem).catch((error: unknown) => {
      if (!(error instanceof NotSaved)) throw error
    })
    return true
  }

  // Whoever has put another household in its place, here or in another tab.
  watch(
    useLive(() => generation()),
    (_, before) => {
      if (before !== undefined) drop()
    },
  )

  /** Ends the run under way, whose plan nobody wants any more. */
  function drop(): void {
    if (!running.value) return
    turn++
    current?.end()
    running.value = false
  }

  /**
   * Has the planners work for a moment on what will probably be asked of them, while nobody waits:
   * the compiler knows the engine then, and the first plan comes as fast as the later ones. What they
   * find is left: a plan that nobody has asked for would be in the way of one that has the time.
   */
  function warmUp(problem: Problem): void {
    if (warm) return
    warm = true
    current = planTogether(
      plain(problem),
      { seconds: WARM_UP, seed: 1 },
      (result) => keep('', '', problem, result),
      () => {},
    )
    current.result.catch(() => {})
  }

  function stop(): void {
    current?.stop()
  }

  return { running, about, progress, preview, failure, seconds, plan, stop, drop, recall, warmUp }
})
