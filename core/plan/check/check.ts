import type { Problem } from '../../problem'
import type { Plan } from '../schema'
import { factsOf, presentActivities, type Breach, type Context, type Placed } from './context'
import { checkCooks } from './cooks'
import { checkFacts } from './facts'
import { checkOvens } from './ovens'
import { checkRelations } from './relations'
import { checkStations } from './stations'
import { checkTiming } from './timing'
import { checkVerdict } from './verdict'

/**
 * Every breach of the eight rules, none for a valid plan. It is written from the rules alone
 * and shares nothing with the solver, so that a mistake there cannot hide here.
 */
export function checkPlan(problem: Problem, plan: Plan): Breach[] {
  const breaches: Breach[] = []
  const report = (breach: Breach) => void breaches.push(breach)
  const context: Context = {
    problem,
    plan,
    stations: new Map(problem.stations.map((s) => [s.id, s])),
    placed: new Map(),
    present: presentActivities(problem, plan),
    holds: new Map(problem.holds.map((h) => [h.id, h])),
    facts: factsOf(problem),
    report,
  }
  if (plan.status === 'infeasible' || plan.status === 'unknown') {
    checkVerdict(context)
    return breaches
  }
  place(context)
  checkFacts(context)
  checkTiming(context)
  checkRelations(context)
  checkStations(context)
  checkCooks(context)
  checkOvens(context)
  checkVerdict(context)
  return breaches
}

function place({ problem, plan, placed, report }: Context): void {
  const activities = new Map(problem.activities.map((a) => [a.id, a]))
  for (const run of plan.activities) {
    const activity = activities.get(run.id)
    const mode = activity?.modes.find((m) => m.id === run.mode)
    const say = (message: string) =>
      report({ rule: 1, subject: run.id, from: run.start, to: run.end, message })
    if (!activity) say('is not an activity of the problem')
    else if (!mode) say(`has no mode "${run.mode}"`)
    else if (placed.has(run.id)) say('is planned twice')
    else placed.set(run.id, { activity, mode, run } satisfies Placed)
  }
}

/** One line for a breach: rule, whose, when, what. */
export function breachText(breach: Breach): string {
  const when =
    breach.from === undefined
      ? ''
      : ` [${breach.from}${breach.to === undefined ? '' : `, ${breach.to}`}]`
  return `rule ${breach.rule}: ${breach.subject}${when}: ${breach.message}`
}
