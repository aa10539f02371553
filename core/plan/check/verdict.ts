import type { Context } from './context'

/** Rule 8: the makespan is what the activities say, and the bound and status fit it. */
export function checkVerdict({ plan, placed, report }: Context): void {
  const say = (message: string) => report({ rule: 8, subject: 'plan', message })
  if (plan.status === 'infeasible' || plan.status === 'unknown') {
    if (plan.activities.length) say(`is ${plan.status} and yet has activities`)
    return
  }
  const ends = [...placed.values()].filter((p) => !p.activity.aside).map((p) => p.run.end)
  const makespan = Math.max(0, ...ends)
  if (plan.makespan !== makespan) say(`says makespan ${plan.makespan}, it is ${makespan}`)
  if (plan.bound > plan.makespan)
    say(`has a bound of ${plan.bound} above its makespan of ${plan.makespan}`)
  if (plan.status === 'optimal' && plan.bound !== plan.makespan)
    say(`is called optimal with makespan ${plan.makespan} and bound ${plan.bound}`)
}
