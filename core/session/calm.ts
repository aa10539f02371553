import type { Problem } from '../problem'
import { roughBound } from '../solver'
import type { Aim } from './schema'

/** By how many percent a plan may be longer than the shortest, by what a cook chooses. */
export const CALM = { shortest: 0, calm: 3, 'very calm': 8 } as const
export type Calm = keyof typeof CALM

/** What counts behind the length, by what a cook aims at. */
const BEHIND: Record<Aim, Problem['objective']> = {
  dishes: ['switches', 'handsFree', 'handsSpread'],
  hands: ['handsFree', 'switches', 'handsSpread'],
  ovens: ['heatChanges', 'switches', 'handsFree', 'handsSpread'],
}
/** The figure that an aim is about: changes of dish, seconds until the last hands are free, changes of heat. */
export const figureOf = (aim: Aim) => BEHIND[aim][0]!

/**
 * The problem with what the cooks aim at wanted behind the length: a plan may be longer for it by so many
 * percent of what it takes at least, as far as that is known before anything is planned.
 */
export function withCalm(problem: Problem, percent: number, aim: Aim = 'dishes'): Problem {
  const free = Math.round((roughBound(problem) * percent) / 100)
  return {
    ...problem,
    objective: ['makespan', ...BEHIND[aim]],
    ...(free > 0 ? { allowance: { makespan: free } } : {}),
  }
}
