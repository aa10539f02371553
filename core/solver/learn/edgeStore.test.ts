import fc from 'fast-check'
import { expect, it } from 'vitest'
import { Engine } from './engine'
import { codeValue } from './trail'

const INTS = 4
const FLAGS = 4
const MOST = 6

interface Lag {
  from: number
  to: number
  weight: number
  /** Booleans and what they must be. */
  when: [number, boolean][]
  /** Added after the sealing. */
  late: boolean
}
const lag: fc.Arbitrary<Lag> = fc.record({
  from: fc.nat(INTS - 1),
  to: fc.nat(INTS - 1),
  // Few weights, so that many lags fall into one group.
  weight: fc.integer({ min: -2, max: 3 }),
  when: fc.uniqueArray(fc.tuple(fc.nat(FLAGS - 1), fc.boolean()), {
    maxLength: 3,
    selector: ([x]) => x,
  }),
  late: fc.boolean(),
})
/** Fixes a boolean or raises an earliest time on a level of its own, or goes so many levels back. */
const step = fc.oneof(
  fc.record({ flag: fc.nat(FLAGS - 1), yes: fc.boolean() }),
  fc.record({ int: fc.nat(INTS - 1), at: fc.nat(MOST) }),
  fc.record({ back: fc.integer({ min: 1, max: 3 }) }),
)
type Decision = Exclude<typeof step extends fc.Arbitrary<infer T> ? T : never, { back: number }>

/** Earliest and latest times and booleans that follow, by going round until nothing changes. */
function follows(lags: Lag[], decisions: Decision[]): string {
  const lo = new Array<number>(INTS).fill(0)
  const hi = new Array<number>(INTS).fill(MOST)
  const flags = new Array<boolean | undefined>(FLAGS).fill(undefined)
  for (const d of decisions)
    if ('flag' in d) flags[d.flag] = d.yes
    else lo[d.int] = Math.max(lo[d.int]!, d.at)
  for (let before = ''; ;) {
    const now = JSON.stringify([lo, hi, flags.map((f) => f ?? null)])
    if (lo.some((x, i) => x > hi[i]!)) return 'conflict'
    if (now === before) return now
    before = now
    for (const { from, to, weight, when } of lags) {
      if (when.some(([x, yes]) => flags[x] === !yes)) continue
      const open = when.filter(([x]) => flags[x] === undefined)
      if (open.length > 1) continue
      const broken = lo[from]! + weight > hi[to]!
      if (open.length === 1) {
        if (broken) flags[open[0]![0]] = !open[0]![1]
        continue
      }
      lo[to] = Math.max(lo[to]!, lo[from]! + weight)
      hi[from] = Math.min(hi[from]!, hi[to]! - weight)
    }
  }
}

it('lets follow from lags exactly what going round until nothing changes does, also after going back', () => {
  let conflicts = 0
  let compared = 0
  fc.assert(
    fc.property(
      fc.array(lag, { minLength: 8, maxLength: 20 }),
      fc.array(step, { maxLength: 16 }),
      // Known for good before the late lags are added, followed by then or not.
      fc.option(fc.record({ flag: fc.nat(FLAGS - 1), yes: fc.boolean(), followed: fc.boolean() })),
      (lags, steps, known) => {
        const engine = new Engine()
        const ints = Array.from({ length: INTS }, () => engine.newInt(0, MOST))
        const codes = Array.from({ length: FLAGS }, () => engine.newBool())
        const condition = ({ when }: Lag) => when.map(([x, yes]) => codes[x]! ^ (yes ? 0 : 1))
        for (const l of lags)
          if (!l.late) engine.edges.add(ints[l.from]!, ints[l.to]!, l.weight, condition(l))
        let ok = engine.seal()
        if (ok && known) {
          const code = codes[known.flag]! ^ (known.yes ? 0 : 1)
          if (known.followed) ok = engine.require(code, codeValue(code))
          else if (engine.isTrue(code ^ 1)) ok = false
          else if (!engine.isTrue(code)) engine.requireAny([code])
        }
        for (const l of lags)
          if (ok && l.late)
            ok = engine.requireLag(ints[l.from]!, ints[l.to]!, l.weight, condition(l))
        ok = ok && engine.propagate()
        const now = () =>
          JSON.stringify([
            ints.map((x) => engine.lo(x)),
            ints.map((x) => engine.hi(x)),
            codes.map((c) => (engine.isFixed(c >> 1) ? engine.isTrue(c) : null)),
          ])
        const decided: Decision[] = known ? [known] : []
        const root = decided.length
        expect(ok ? now() : 'conflict').toBe(follows(lags, decided))
        if (!ok) return
        for (const s of steps) {
          if ('back' in s) {
            const level = Math.max(0, engine.level - s.back)
            engine.backtrack(level)
            decided.length = root + level
          } else if ('flag' in s) {
            if (engine.isFixed(codes[s.flag]! >> 1)) continue
            engine.decide(codes[s.flag]! ^ (s.yes ? 0 : 1), s.yes ? 1 : 0)
            decided.push(s)
          } else {
            const x = ints[s.int]!
            if (s.at <= engine.lo(x) || s.at > engine.hi(x)) continue
            engine.decide(2 * x, s.at)
            decided.push(s)
          }
          if (engine.propagate()) {
            expect(now()).toBe(follows(lags, decided))
            compared++
            continue
          }
          expect(follows(lags, decided)).toBe('conflict')
          conflicts++
          engine.backtrack(engine.level - 1)
          decided.pop()
          expect(engine.propagate()).toBe(true)
          expect(now()).toBe(follows(lags, decided))
        }
      },
    ),
    { numRuns: 800 },
  )
  expect(conflicts).toBeGreaterThan(20)
  expect(compared).toBeGreaterThan(500)
})
