import { demoKitchen, demoRecipes, demoSession } from '../demo'
import { instructions } from '../core/guide'
import type { Kitchen } from '../core/kitchen'
import {
  doneOf,
  learnFrom,
  recordOf,
  withLearned,
  type CookedRecord,
  type Event,
  type Learned,
} from '../core/logbook'
import {
  quantile,
  rehearse,
  follow,
  Luck,
  networkOf,
  USUAL_TIMES,
  coursePlan,
} from '../core/rehearsal'
import { WORK_KINDS } from '../core/recipe'
import { compileSession, type CompiledSession } from '../core/session'
import { seeded, solve } from '../core/solver'

/** Who really cooks: a third slower at cutting, a tenth quicker at everything else. */
export const TRUTH = (work: string): number => (work === 'cut' ? 1.35 : 0.9)
/** Decodes of each plan, and runs of each rehearsal. */
const DECODES = 60
const RUNS = 400
/** Sessions that are learned from, the latest. */
const LATEST = 12

/** Who cooks alone in all of them. */
const COOK = 'runa'

const knownOf = (knowing: Knowing, records: readonly CookedRecord[]): Learned[] =>
  knowing === 'nothing'
    ? []
    : knowing === 'the record'
      ? learnFrom(records.slice(-LATEST))
      : WORK_KINDS.map((work) => ({ cook: COOK, work, factor: TRUTH(work), spread: 1, pieces: 1 }))

export interface LearningRow {
  session: number
  planned: number
  half: number
  most: number
  real: number
}

/** What the plans know of their cook: the recipes' times, what the sessions so far have taught, or the truth. */
export const KNOWING = ['nothing', 'the record', 'the truth'] as const
type Knowing = (typeof KNOWING)[number]

/** So many sessions of one cook, one after another. */
export function learning(sessions: number, seed: number, knowing: Knowing): LearningRow[] {
  const records: CookedRecord[] = []
  const rows: LearningRow[] = []
  for (let n = 0; n < sessions; n++) {
    const kitchen = withLearned(demoKitchen, knownOf(knowing, records))
    // Other dishes each time, as in a household.
    const dishes = demoSession.dishes.filter((_, k) => (k + n) % 2 === 0 || k % 3 === n % 3)
    const session = { ...demoSession, cooks: [COOK], dishes }
    const reading = compileSession({ session, kitchen, recipes: demoRecipes })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const compiled = reading.value
    const plan = solve(compiled.problem, { iterations: DECODES, seed: seed + n })
    const { finishes } = rehearse(compiled.problem, plan, { runs: RUNS, seed: seed + n })
    const { events, real } = cooked(compiled, plan, kitchen, 1000 * seed + n)
    records.push(
      recordOf({
        cooking: { session: session.id, startedAt: n, events, plans: [{ plan }] },
        session,
        kitchen,
        compiled,
        endedAt: n,
      }),
    )
    rows.push({
      session: n + 1,
      planned: plan.makespan,
      half: quantile(finishes, 0.5),
      most: quantile(finishes, 0.9),
      real,
    })
  }
  return rows
}

/** How it really goes in the plan's order, told line by line. */
function cooked(
  compiled: CompiledSession,
  plan: ReturnType<typeof solve>,
  kitchen: Kitchen,
  seed: number,
): { events: Event[]; real: number } {
  const { problem, cards } = compiled
  const net = networkOf(problem, plan)
  const luck = new Luck(seeded(seed), USUAL_TIMES, 1)
  const course = follow(net, {
    of: (draw) => {
      const [seconds, late] = luck.of(draw)
      const card = cards[draw.key.split(' ')[0]!]
      if (draw.kind !== 'hands' || !card) return [seconds, late]
      // The truth, whatever the plan has learned of it.
      return [Math.round((seconds * TRUTH(card.work)) / (card.learned ?? 1)), late]
    },
  })
  const turned = coursePlan(problem, plan, net, course)
  const lines = instructions(turned, compiled, kitchen)
  const events = lines.map((line, k): Event => {
    const turn = { line, from: line.at, to: line.free, over: false, waits: false }
    const told = doneOf(turn, { now: undefined, since: 0 }, line.cook, line.free)
    return { ...told, from: line.at, id: `e${k}`, at: 0 }
  })
  return { events, real: turned.makespan }
}

/** How far off the foretold finish is on average, either way and on balance, and in what share of sessions nine in ten holds. */
export function judged(rows: readonly LearningRow[]): {
  off: number
  bias: number
  holds: number
} {
  const off = rows.map((r) => r.half / r.real - 1)
  const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length
  return {
    off: mean(off.map(Math.abs)),
    bias: mean(off),
    holds: rows.filter((r) => r.real <= r.most).length / rows.length,
  }
}
