import type { Engine } from './engine'
import { negated, type Literal } from './trail'

/**
 * Searches to the end by fixing booleans, then integers at their lowest: up to so many solutions that
 * differ in the booleans, as their truths and then the integers. `late` adds what comes after the
 * sealing.
 */
export function solveAll(
  engine: Engine,
  literals: Literal[],
  ints: number[],
  most = 1,
  late = () => {},
): number[][] {
  const found: number[][] = []
  if (!engine.seal()) return found
  late()
  for (;;) {
    if (!engine.propagate()) {
      if (!engine.learn()) return found
      continue
    }
    const literal = literals.find((c) => !engine.isFixed(c >> 1))
    if (literal !== undefined) {
      engine.decide(literal, 1 - (literal & 1))
      continue
    }
    const x = ints.find((i) => !engine.isFixed(i))
    if (x !== undefined) {
      engine.decide(2 * x + 1, -engine.lo(x))
      continue
    }
    found.push([
      ...literals.map((c) => (engine.isTrue(c) ? 1 : 0)),
      ...ints.map((i) => engine.lo(i)),
    ])
    if (found.length >= most) return found
    const last = literals.map((c) => (engine.isTrue(c) ? negated(c) : c))
    engine.backtrack(0)
    if (!engine.requireAny(last) || !engine.propagate()) return found
  }
}
