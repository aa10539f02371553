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
  const beats = (a: number, b: number) => (wantsMore(first) ? a > b : a < b)
  if (beats(value, plan.bound))
    say(`has a bound of ${plan.bound} that its ${first} of ${value} beats`)
  // Files from before there were allowances do not say what was the best.
  const best = plan.shortest ?? value
  const allowance = problem.allowance?.[first] ?? 0
  if (beats(value, best)) say(`says that ${best} is the best ${first}, its own is ${value}`)
  if (beats(best, plan.bound))
    say(`has a bound of ${plan.bound} that its best ${first} ${best} beats`)
  if (Math.abs(value - best) > allowance)
    say(`has a ${first} of ${value}, ${Math.abs(value - best)} from the best of ${best}`)
  if (plan.status === 'optimal' && plan.bound !== best)
    say(`is called optimal with ${first} ${best} and bound ${plan.bound}`)
}
