import { objectiveValue, wantsMore } from '../values'
import type { Context } from './context'

/** Rule 8: the makespan is what the activities say, and the bound and status fit it. */
export function checkVerdict({ plan, placed, problem, report }: Context): void {
  const say = (message: string) => report({ rule: 8, subject: 'plan', message })
  if (plan.status === 'infeasible' || plan.status === 'unknown') {
    if (plan.activities.length) say(`is ${plan.status} and yet has activities`)
    return
  }
  const ends = [...placed.values()].filter((p) => !p.activity.aside).map((p) => p.run.end)
  const makespan = Math.max(0, ...ends)
  if (plan.makespan !== makespan) say(`says makespan ${plan.makespan}, it is ${makespan}`)
  const first = problem.objective[0]!
  const value = objectiveValue(problem, plan, first)
  if (wantsMore(first) ? plan.bound < value : plan.bound > value)
    say(`has a bound of ${plan.bound} that its ${first} of ${value} beats`)
  if (plan.status === 'optimal' && plan.bound !== value)
    say(`is called optimal with ${first} ${value} and bound ${plan.bound}`)
}
