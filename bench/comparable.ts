import type { Problem } from '../core/problem'
import { randomProblem } from '../core/testing/randomProblem'
import { problems } from './bench'

export { solve } from '../core/solver'
export { referenceModel } from './exactModel'

/** How many random problems the engine is compared on. */
const RANDOM = 60

/** Of the benchmark what an exact solver may prove in good time, and small random problems. */
export function comparable(): [string, Problem][] {
  const small = /^job shop 6x6$|^4 dishes|^9 dishes with every feature, [12]$/
  return [
    ...problems()
      .filter(([name]) => small.test(name))
      .map(([name, make]): [string, Problem] => [name, make()]),
    ...Array.from({ length: RANDOM }, (_, i): [string, Problem] => [
      `random, ${i + 1}`,
      randomProblem(i + 1),
    ]),
  ]
}
