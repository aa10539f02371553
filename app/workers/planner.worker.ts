import { expose } from 'comlink'
import { planEvening } from '~~/core/eating'
import {
  changesFor,
  compared,
  type Compared,
  type School,
  costOf,
  gainsOf,
  roomFor,
  SECONDS,
  type Asked,
  type Clash,
  type Gain,
} from '~~/core/advice'
import type { Kitchen } from '~~/core/kitchen'
import {
  soonerWithout,
  startAnew,
  worthTelling,
  type Anew,
  type Running,
  type Standing,
  type Without,
} from '~~/core/logbook'
import { breachText, checkPlan, comparePlans, relaxed, type Plan } from '~~/core/plan'
import type { Problem } from '~~/core/problem'
import {
  played,
  startRehearsal,
  steadiest,
  withRoom,
  type Policy,
  type Rehearsal,
  type Steady,
} from '~~/core/rehearsal'
import {
  compileSession,
  leaveOut,
  oneByOne,
  partByEngine,
  type LeaveOut,
  type PartedByEngine,
  type Wish,
} from '~~/core/session'
import { leastBad, startSolving, type LeastBad } from '~~/core/solver'

export interface PlanningProgress {
  /** The shortest plan so far in seconds, where there is one already. */
  best: number | undefined
  bound: number
  elapsedMs: number
  iterations: number
  /** A better plan than the last one sent, checked; absent where there is none. */
  better: CheckedPlan | undefined
  /** Seconds with one dish after another, once they are known. */
  oneByOne: number | undefined
}

/** A plan that the checker has passed, and what its bound rests on. */
export interface CheckedPlan {
  plan: Plan
  boundBy: string
  /** The values of the best plan that makes no use of an allowance. */
  strict: readonly number[] | undefined
}

export interface PlanningResult extends CheckedPlan {
  /** Where there is proven to be no plan: the one that breaks the limits least, if one turned up. */
  least: LeastBad | undefined
  oneByOne: number | undefined
  /** How it was chosen among several, where the session is to be calm. */
  steady: Omit<Steady, 'plan'> | undefined
}

const SLICE_MS = 60
/** After so long a plan is compared with one dish after another: nobody waits for that. */
const COMPARED_MS = 1500
/** How long a plan is looked for that breaks least, where none keeps everything. */
const LEAST_MS = 5000
/** What share of the time goes into a plan with room before its longest waits. */
const ROOM = 0.3
/** The best plans of a search that are rehearsed, the latest of them. */
const CANDIDATES = 4
let stopped = false
/** Whether nobody wants what has been found. */
let unwanted = false
/** Plans that were found elsewhere for the same problem, to be taken over between slices. */
let heard: Plan[] = []

/** The plan that breaks least, checked against the limits as it draws them. */
function hurried(problem: Problem): LeastBad | undefined {
  const until = performance.now() + LEAST_MS
  const least = leastBad(problem, { expired: () => performance.now() > until })
  return least && !checkPlan(relaxed(problem, least.broken), least.plan).length ? least : undefined
}

const effort = (seconds: number) => ({ seconds, clock: () => performance.now() })

const withoutPlan = ({ eighty, otherwise, of }: Steady) => ({ eighty, otherwise, of })

/** The steadiest of the latest plans and of one that has room before its longest waits. */
async function steadied(
  problem: Problem,
  found: Plan,
  candidates: readonly Plan[],
  { seed, seconds, onSlice }: { seed: number; seconds: number; onSlice: (n: number) => void },
): Promise<Steady | undefined> {
  const roomy = startSolving(withRoom(problem), { seed, seconds, clock: () => performance.now() })
  while (!stopped && roomy.advance(SLICE_MS)) {
    onSlice(roomy.iterations())
    await breathe()
  }
  return steadiest(problem, found, [...candidates.slice(-CANDIDATES), roomy.plan()])
}

const breathe = () => new Promise((resolve) => setTimeout(resolve))

const planner = {
  /**
   * Plans for so many seconds or until stopped; the plan that comes back has been checked, and
   * `compared` with one dish after another.
   */
  async plan(
    problem: Problem,
    options: { seconds: number; seed: number; compared?: boolean; previous?: Plan | undefined },
    onProgress: (progress: PlanningProgress) => void,
  ): Promise<PlanningResult> {
    stopped = unwanted = false
    heard = []
    const began = performance.now()
    const free = problem.allowance?.makespan ?? 0
    const seconds = free > 0 ? options.seconds * (1 - ROOM) : options.seconds
    const candidates: Plan[] = []
    const run = startSolving(problem, {
      ...options,
      seconds,
      clock: () => performance.now(),
      signal: {
        get aborted() {
          return stopped
        },
      },
    })
    let going = true
    let separately: number | undefined
    let sent: Plan | undefined
    const checked = (plan: Plan): CheckedPlan => {
      const breaches = checkPlan(problem, plan)
      if (breaches.length) throw new Error(`The plan breaks ${breaches.map(breachText).join('; ')}`)
      return { plan, boundBy: run.boundWords(), strict: run.strict() }
    }
    const isPlanned = ({ status }: Plan) => status === 'feasible' || status === 'optimal'
    const isBetter = (plan: Plan) => !sent || comparePlans(problem, plan, sent) < 0
    const compare = (planned: boolean) => {
      if (options.compared && planned) separately ??= oneByOne(problem)
    }
    while (going && !stopped) {
      for (const plan of heard.splice(0)) run.receive(plan)
      going = run.advance(SLICE_MS)
      const plan = run.plan()
      const planned = isPlanned(plan)
      if (performance.now() - began > COMPARED_MS) compare(planned)
      onProgress({
        best: planned ? (plan.shortest ?? plan.makespan) : undefined,
        bound: plan.bound,
        elapsedMs: performance.now() - began,
        iterations: run.iterations(),
        better: planned && isBetter(plan) ? checked(plan) : undefined,
        oneByOne: separately,
      })
      if (planned && isBetter(plan)) candidates.push((sent = plan))
      await breathe()
    }
    const found = checked(run.plan())
    if (!unwanted) compare(isPlanned(found.plan))
    const steady =
      free > 0 && !unwanted && isPlanned(found.plan)
        ? await steadied(problem, found.plan, candidates, {
            seed: options.seed,
            seconds: options.seconds - seconds,
            onSlice: (iterations) =>
              onProgress({
                best: found.plan.shortest,
                bound: found.plan.bound,
                elapsedMs: performance.now() - began,
                iterations: run.iterations() + iterations,
                better: undefined,
                oneByOne: separately,
              }),
          })
        : undefined
    const least = !isPlanned(found.plan) && !unwanted ? hurried(problem) : undefined
    // What breaks nothing is a plan, though it came late.
    const late = least && !least.broken.length ? least.plan : undefined
    const plan = late ?? steady?.plan
    const chosen = plan ? checked(plan) : found
    return {
      ...chosen,
      oneByOne: separately,
      least: late ? undefined : least,
      steady: steady && withoutPlan(steady),
    }
  },
  /** What to leave out so that the rest is done within so many seconds. */
  async leaveOut(
    input: Parameters<typeof leaveOut>[0],
    limit: number,
    onTry: (done: number, of: number) => void,
  ): Promise<LeaveOut[]> {
    stopped = unwanted = false
    return leaveOut(input, limit, async (done, of) => {
      onTry(done, of)
      await breathe()
      return !stopped
    })
  },
  /** What a wish would cost beside all the others; where it cannot be, which of them makes room. */
  costOf: (asked: Asked, plan: Plan, wish: Wish) => costOf(asked, plan, wish, effort(SECONDS.cost)),
  /** Which wishes, each taken back by itself, leave something that can be planned. */
  async roomFor(asked: Asked, onTry: (done: number, of: number) => void): Promise<Clash[]> {
    onTry(0, asked.session.wishes?.length ?? 0)
    await breathe()
    return roomFor(asked, undefined, effort(SECONDS.cost))
  },
  /** What would have everything finished sooner, most first. */
  async help(
    asked: Asked,
    plan: Plan,
    onTry: (done: number, of: number, found: Gain[]) => void,
  ): Promise<Gain[]> {
    stopped = unwanted = false
    const compiled = compileSession(asked)
    if (!compiled.ok) return []
    const changes = changesFor(asked, compiled.value, plan)
    return gainsOf(changes, plan, effort(SECONDS.help), async (done, of, found) => {
      onTry(done, of, found)
      await breathe()
      return !stopped
    })
  },
  /** Ways to go about a session, each planned and measured, one after the other. */
  async compare(
    schools: School[],
    plan: Plan,
    onTry: (done: number, of: number, found: Compared[]) => void,
  ): Promise<Compared[]> {
    stopped = unwanted = false
    return compared(schools, plan, effort(SECONDS.compare), async (done, of, found) => {
      onTry(done, of, found)
      await breathe()
      return !stopped
    })
  },
  /** Parts the dishes of a session between its sittings by plans of each. */
  async partByEngine(
    input: Parameters<typeof partByEngine>[0],
    onTry: (done: number, of: number) => void,
  ): Promise<PartedByEngine> {
    stopped = unwanted = false
    return partByEngine(
      input,
      async (done, of) => {
        onTry(done, of)
        await breathe()
        return !stopped
      },
      () => performance.now(),
    )
  },
  /** Rehearses a plan so many times or until stopped; what it has come to is told after each slice. */
  async rehearse(
    problem: Problem,
    plan: Plan,
    { runs, slice, ...options }: { runs: number; slice: number; seed: number; policy: Policy },
    onSlice: (rehearsal: Rehearsal) => void,
  ): Promise<Rehearsal> {
    stopped = unwanted = false
    const going = startRehearsal(problem, plan, options)
    for (let done = 0; done < runs && !stopped; done += slice) {
      going.advance(Math.min(slice, runs - done))
      onSlice(going.result())
      await breathe()
    }
    return going.result()
  },
  /**
   * Plans what is left of a session under way for so many seconds, beside going on in the order that the
   * cooks have in mind; nothing where that is as good.
   */
  async anew(
    problem: Problem,
    kept: Plan,
    { seconds, seed }: { seconds: number; seed: number },
  ): Promise<Anew | undefined> {
    stopped = unwanted = false
    const clock = () => performance.now()
    const going = startAnew(problem, kept, { seconds, seed, clock })
    while (!stopped && going.advance(SLICE_MS)) await breathe()
    const best = going.best()
    return best && worthTelling(problem, kept, best) ? best : undefined
  },
  /** When a session under way would be finished without each of these dishes, soonest first. */
  async without(
    running: Running,
    standing: Pick<Standing, 'now' | 'pauses'>,
    dishes: readonly string[],
    onTry: (done: number, of: number) => void,
  ): Promise<Without[]> {
    stopped = unwanted = false
    return soonerWithout(running, standing, dishes, async (done, of) => {
      onTry(done, of)
      await breathe()
      return !stopped
    })
  },
  /** A few minutes of an evening: they take so little that nobody waits. */
  evening: (evening: Parameters<typeof planEvening>[0], kitchen: Kitchen) =>
    planEvening(evening, kitchen),
  /** One run of it, as a plan that turned out so. */
  play: (problem: Problem, plan: Plan, seed: number): Plan => played(problem, plan, { seed }),
  /** Hears of a plan found elsewhere: what is better than the best here is taken over. */
  receive(plan: Plan) {
    heard.push(plan)
  },
  /** Has the work end soon; `forget`: nobody wants what has been found by then. */
  stop(forget = false) {
    stopped = true
    unwanted = forget
  },
}

export type Planner = typeof planner
expose(planner)
