import type { Problem } from '../problem'
import { roughBound } from '../solver'

/** By how many percent a plan may be longer than the shortest, by what a cook chooses. */
export const CALM = { shortest: 0, calm: 3, 'very calm': 8 } as const
export type Calm = keyof typeof CALM

/**
 * The problem with fewer changes of dish wanted behind the length: a plan may be longer for them by so
 * many percent of what it takes at least, as far as that is known before anything is planned.
 */
export function withCalm(problem: Problem, percent: number): Problem {
  const free = Math.round((roughBound(problem) * percent) / 100)
  return {
    ...problem,
    objective: ['makespan', 'switches', 'handsFree', 'handsSpread'],
    ...(free > 0 ? { allowance: { makespan: free } } : {}),
  }
}
