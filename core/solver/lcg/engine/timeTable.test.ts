import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TimeTable, type Task } from './timeTable'
import { Engine } from './engine'

interface Plain {
  lo: number
  hi: number
  seconds: number
  amount: number
}
const tasks = fc.array(
  fc.record({
    lo: fc.integer({ min: 0, max: 5 }),
    hi: fc.integer({ min: 0, max: 5 }),
    seconds: fc.integer({ min: 1, max: 4 }),
    amount: fc.integer({ min: 1, max: 3 }),
  }),
  { minLength: 2, maxLength: 4 },
)

/** All starts with which no instant takes more than the capacity. */
function solutions(list: readonly Plain[], capacity: number): number[][] {
  let partial: number[][] = [[]]
  for (const t of list)
    partial = partial.flatMap((starts) =>
      Array.from({ length: Math.max(0, t.hi - t.lo + 1) }, (_, k) => [...starts, t.lo + k]),
    )
  return partial.filter((starts) =>
    Array.from({ length: 12 }, (_, at) => at).every(
      (at) =>
        list.reduce(
          (sum, t, i) => sum + (starts[i]! <= at && at < starts[i]! + t.seconds ? t.amount : 0),
          0,
        ) <= capacity,
    ),
  )
}

function propagated(list: readonly Plain[], capacity: number) {
  const engine = new Engine()
  const own = list.map((t): Task => {
    const s = engine.newInt(t.lo, t.hi)
    const e = engine.newInt(t.lo + t.seconds, t.hi + t.seconds)
    engine.precedences.add(s, e, t.seconds, [])
    engine.precedences.add(e, s, -t.seconds, [])
    return { s, e, literal: -1, amount: t.amount, least: t.seconds }
  })
  const timeTable = new TimeTable(own, capacity)
  engine.addPropagator(timeTable, timeTable.sides())
  return { engine, own, ok: engine.seal() }
}

describe('Cumulative', () => {
  it('never rules out a start that some solution has, and finds every plain overload', () => {
    let refused = 0
    let tightened = 0
    fc.assert(
      fc.property(tasks, (raw) => {
        const list = raw.map((t) => ({ ...t, hi: Math.max(t.lo, t.hi) }))
        const all = solutions(list, 3)
        const { engine, own, ok } = propagated(list, 3)
        if (!ok) {
          refused++
          expect(all).toEqual([])
          return
        }
        list.forEach((t, i) => {
          const starts = all.map((s) => s[i]!)
          if (!starts.length) return
          const [lo, hi] = [engine.lo(own[i]!.s), engine.hi(own[i]!.s)]
          if (lo > t.lo || hi < t.hi) tightened++
          expect(Math.min(...starts)).toBeGreaterThanOrEqual(lo)
          expect(Math.max(...starts)).toBeLessThanOrEqual(hi)
        })
        // With every start fixed it decides: what it lets through is a solution.
        if (list.every((_, i) => engine.isFixed(own[i]!.s))) expect(all).toHaveLength(1)
      }),
      { numRuns: 600, seed: 6 },
    )
    expect(refused).toBeGreaterThan(5)
    expect(tightened).toBeGreaterThan(20)
  })

  it('says after any going back and forth what it says to somebody who comes anew', () => {
    const step = fc.record({ task: fc.nat(3), back: fc.nat(2), later: fc.boolean() })
    let moved = 0
    fc.assert(
      fc.property(tasks, fc.array(step, { maxLength: 10 }), (raw, steps) => {
        const list = raw.map((t) => ({ ...t, hi: t.lo + t.hi }))
        const { engine, own, ok } = propagated(list, 3)
        if (!ok) return
        const decided: [side: number, value: number][] = []
        for (const { task, back, later } of steps) {
          engine.backtrack(Math.max(0, engine.level - back))
          decided.length = engine.level
          const t = own[task % own.length]!
          const [lo, hi] = [engine.lo(t.s), engine.hi(t.s)]
          if (lo === hi) continue
          const literal: [number, number] = later ? [2 * t.s, lo + 1] : [2 * t.s + 1, -lo]
          engine.decide(...literal)
          decided.push(literal)
          const fresh = propagated(list, 3)
          for (const d of decided) fresh.engine.assume([d])
          const goes = engine.propagate()
          expect(goes).toBe(fresh.engine.propagate())
          if (!goes) {
            engine.backtrack(engine.level - 1)
            decided.pop()
            continue
          }
          for (const [k, o] of own.entries()) {
            expect(engine.lo(o.s)).toBe(fresh.engine.lo(fresh.own[k]!.s))
            expect(engine.hi(o.s)).toBe(fresh.engine.hi(fresh.own[k]!.s))
            if (engine.lo(o.s) > list[k]!.lo && o !== t) moved++
          }
        }
      }),
      { numRuns: 400 },
    )
    expect(moved).toBeGreaterThan(100)
  })

  it('moves a task past what lies fixed, from both ends', () => {
    const { engine, own } = propagated(
      [
        { lo: 2, hi: 2, seconds: 3, amount: 2 },
        { lo: 0, hi: 5, seconds: 3, amount: 2 },
      ],
      3,
    )
    expect([engine.lo(own[1]!.s), engine.hi(own[1]!.s)]).toEqual([5, 5])
  })
})
