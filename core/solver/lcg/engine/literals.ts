import type { Engine } from './engine'
import { negated, type Literal } from './trail'

/** Beside the literals of booleans: what is always and what is never so. */
export const ALWAYS: Literal = -1
export const NEVER_SO: Literal = -2

export const not = (literal: Literal): Literal =>
  literal === ALWAYS ? NEVER_SO : literal === NEVER_SO ? ALWAYS : negated(literal)

/** At least one of the literals, constants taken into account. */
export function anyOf(engine: Engine, literals: Literal[]): void {
  if (literals.includes(ALWAYS)) return
  engine.addClause(literals.filter((c) => c !== NEVER_SO))
}

/** Where `given` is true exactly one of `n` literals is, otherwise none. */
export function oneOf(engine: Engine, n: number, given: Literal): Literal[] {
  if (n === 0) return []
  if (n === 1) return [given]
  if (given === ALWAYS && n === 2) {
    const literal = engine.newBool()
    return [literal, negated(literal)]
  }
  const literals = Array.from({ length: n }, () => engine.newBool())
  anyOf(engine, [not(given), ...literals])
  literals.forEach((c, i) => {
    anyOf(engine, [negated(c), given])
    for (let j = i + 1; j < n; j++) anyOf(engine, [negated(c), negated(literals[j]!)])
  })
  return literals
}

/** A literal that is true exactly where all of the given ones are. */
export function allOf(engine: Engine, literals: Literal[]): Literal {
  const open = literals.filter((c) => c !== ALWAYS)
  if (open.includes(NEVER_SO)) return NEVER_SO
  if (open.length < 2) return open[0] ?? ALWAYS
  const all = engine.newBool()
  anyOf(engine, [all, ...open.map(not)])
  for (const c of open) anyOf(engine, [not(all), c])
  return all
}

/** A literal that is true exactly where any of the given ones is. */
export const someOf = (engine: Engine, literals: Literal[]): Literal =>
  not(allOf(engine, literals.map(not)))
