import { checkPlan, valuesOfPlan, compareValues, type ActivityRun, type Plan } from '../../plan'
import type { Problem } from '../../problem'

/**
 * The best values of a tiny problem, by trying every instant, length, cook and station of every
 * step up to a last instant and asking the independent checker; undefined where no plan is valid. None
 * of the solver's code is in it. Without chores, holds and heats.
 */
export function bestOfAll(problem: Problem, last: number): number[] | undefined {
  let best: number[] | undefined
  const plan: Plan = {
    format: 'cadrum/plan@1',
    problem: problem.name,
    status: 'feasible',
    makespan: 0,
    bound: 0,
    seed: 0,
    elapsedMs: 0,
    choices: {},
    activities: [],
    holds: [],
    chores: [],
    heats: [],
    reasons: [],
  }
  const judge = () => {
    const aside = new Set(problem.activities.filter((a) => a.aside).map((a) => a.id))
    const ends = plan.activities.filter((a) => !aside.has(a.id)).map((a) => a.end)
    plan.makespan = Math.max(0, ...ends)
    const values = valuesOfPlan(problem, plan)
    if (best && compareValues(values, best) >= 0) return
    const bound = problem.objective[0] === 'lateStart' ? 0 - values[0]! : values[0]!
    if (checkPlan(problem, { ...plan, bound }).length === 0) best = values
  }
  const place = (activities: Problem['activities'], k: number): void => {
    const activity = activities[k]
    if (!activity) return judge()
    for (const run of runsOf(problem, activity, last)) {
      plan.activities.push(run)
      place(activities, k + 1)
      plan.activities.pop()
    }
  }
  const choose = (k: number, gone: Set<string>): void => {
    const choice = problem.choices[k]
    if (!choice)
      return place(
        problem.activities.filter((a) => !gone.has(a.id)),
        0,
      )
    for (const option of choice.options) {
      plan.choices[choice.id] = option.id
      const others = choice.options.filter((o) => o !== option).flatMap((o) => o.activities)
      choose(k + 1, new Set([...gone, ...others]))
    }
  }
  choose(0, new Set())
  return best
}

function* runsOf(
  problem: Problem,
  activity: Problem['activities'][number],
  last: number,
): Generator<ActivityRun> {
  for (const mode of activity.modes)
    for (let start = 0; start <= last; start++)
      for (const stations of productOf(
        mode.needs.map((n) => problem.stations.filter((s) => s.kind === n.kind).map((s) => s.id)),
      ))
        for (const lengths of productOf(
          mode.phases.map(({ seconds: [least, most] }) =>
            Array.from({ length: Math.min(most ?? last, last) - least + 1 }, (_, i) => least + i),
          ),
        ))
          for (const cooks of productOf(
            mode.phases.map((p) => (p.hands || p.watch ? problem.cooks.map((c) => c.id) : [''])),
          )) {
            let at = start
            const phases = lengths.map((seconds, i) => ({
              from: at,
              to: (at += seconds),
              ...(cooks[i] ? { cook: cooks[i] } : {}),
            }))
            if (at > last) continue
            yield { id: activity.id, mode: mode.id, start, end: at, stations, phases }
          }
}

function productOf<T>(lists: T[][]): T[][] {
  return lists.reduce<T[][]>((all, list) => all.flatMap((a) => list.map((x) => [...a, x])), [[]])
}
