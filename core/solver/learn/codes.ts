import type { Engine } from './engine'
import { negated, type Code } from './trail'

/** Beside the codes of booleans: what is always and what is never so. */
export const ALWAYS: Code = -1
export const NEVER_SO: Code = -2

export const not = (code: Code): Code =>
  code === ALWAYS ? NEVER_SO : code === NEVER_SO ? ALWAYS : negated(code)

/** At least one of the codes, constants taken into account. */
export function anyOf(engine: Engine, codes: Code[]): void {
  if (codes.includes(ALWAYS)) return
  engine.addClause(codes.filter((c) => c !== NEVER_SO))
}

/** Where `given` is true exactly one of `n` codes is, otherwise none. */
export function oneOf(engine: Engine, n: number, given: Code): Code[] {
  if (n === 0) return []
  if (n === 1) return [given]
  if (given === ALWAYS && n === 2) {
    const code = engine.newBool()
    return [code, negated(code)]
  }
  const codes = Array.from({ length: n }, () => engine.newBool())
  anyOf(engine, [not(given), ...codes])
  codes.forEach((c, i) => {
    anyOf(engine, [negated(c), given])
    for (let j = i + 1; j < n; j++) anyOf(engine, [negated(c), negated(codes[j]!)])
  })
  return codes
}

/** A code that is true exactly where all of the given ones are. */
export function allOf(engine: Engine, codes: Code[]): Code {
  const open = codes.filter((c) => c !== ALWAYS)
  if (open.includes(NEVER_SO)) return NEVER_SO
  if (open.length < 2) return open[0] ?? ALWAYS
  const all = engine.newBool()
  anyOf(engine, [all, ...open.map(not)])
  for (const c of open) anyOf(engine, [not(all), c])
  return all
}

/** A code that is true exactly where any of the given ones is. */
export const someOf = (engine: Engine, codes: Code[]): Code => not(allOf(engine, codes.map(not)))
