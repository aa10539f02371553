import { BRIEF, wantsMore } from '../../plan'
import type { ObjectiveName } from '../../problem'
import { isLcgObjective } from '../lcg/model/objectives'
import { latestBeginning } from '../model/horizon'
import { NEVER, type Model } from '../model/model'
import type { PlanBody } from '../model/planBody'

/** What is known of the objective that comes first, before anything is searched. */
export interface FirstObjective {
  name: ObjectiveName
  /** Whether clause learning can say what is the least of it. */
  learned: boolean
  /** No plan has less. */
  least: number
  /**
   * By how much a plan may have less than what learning says: a wash may be drawn out to fill the time
   * between other work, and learning knows it only as long as it must last.
   */
  slack: number
}

export function firstObjective(model: Model): FirstObjective {
  const name = model.problem.objective[0]!
  const latest = latestBeginning(model)
  return {
    name,
    // Without a latest hour there is always a later beginning: nothing to be learned.
    learned: isLcgObjective(name, model.problem) && (name !== 'lateStart' || latest !== undefined),
    least: leastOf(name, model, latest),
    slack: name === 'handsSpread' && model.stations.some((s) => s.wash) ? Infinity : 0,
  }
}

/** A value that no plan has less of, without any search; for the makespan other bounds say more. */
function leastOf(name: ObjectiveName, model: Model, latest: number | undefined): number {
  switch (name) {
    case 'cost':
      return leastCost(model)
    case 'lateStart':
      return 0 - (latest ?? NEVER)
    case 'switches':
      return leastSwitches(model)
    default:
      return 0
  }
}

/** A value of the first objective as the contract words it, from the one that is made small. */
export const inContract = (name: ObjectiveName, value: number): number =>
  wantsMore(name) ? 0 - value : value

/** Whatever dish is surely worked on is somebody's first or comes after another one. */
function leastSwitches({ activities, cooks, problem }: Model): number {
  const dishes = new Set<string | undefined>()
  for (const { index, aside, choice, fact, modes } of activities)
    if (!aside && choice < 0 && !fact)
      if (modes.every((m) => m.phases.some((p) => p.hands && p.min > BRIEF)))
        dishes.add(problem.activities[index]!.dish)
  return Math.max(0, dishes.size - cooks.length)
}

const leastCost = ({ choices }: Model): number =>
  choices.reduce(
    (sum, { options }) =>
      sum + Math.min(...options.filter((o) => o.possible).map((o) => o.cost), Infinity),
    0,
  )

/**
 * A plan moved as late as a whole as it still `keeps` all rules, up to a latest beginning: schedules are
 * put together early.
 */
export function postponed(
  body: PlanBody,
  latest: number,
  keeps: (later: PlanBody) => boolean,
): PlanBody {
  let best = body
  let by = 0
  let step = latest - Math.min(...body.activities.map((a) => a.start))
  for (; step >= 1; step = step > 1 ? Math.ceil(step / 2) : 0) {
    const later = shifted(body, by + step)
    if (!keeps(later)) continue
    by += step
    best = later
  }
  return best
}

/** A plan with everything in it so many seconds later. */
function shifted(body: PlanBody, seconds: number): PlanBody {
  const later = <T extends { from: number; to: number }>(x: T): T => ({
    ...x,
    from: x.from + seconds,
    to: x.to + seconds,
  })
  return {
    ...body,
    makespan: body.makespan + seconds,
    activities: body.activities.map((a) => ({
      ...a,
      start: a.start + seconds,
      end: a.end + seconds,
      phases: a.phases.map(later),
    })),
    holds: body.holds.map(later),
    chores: body.chores.map(later),
    heats: body.heats.map(later),
  }
}
