import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { allOf, ALWAYS, anyOf, not, oneOf } from './literals'
import { TimeTable } from './timeTable'
import { Engine } from './engine'
import { negated } from './trail'
import { solveAll } from './solveAll.fixture'

describe('Engine', () => {
  it('refutes more pigeons than holes', () => {
    const engine = new Engine()
    const holes = Array.from({ length: 5 }, () => oneOf(engine, 4, ALWAYS))
    for (let h = 0; h < 4; h++)
      for (let a = 0; a < 5; a++)
        for (let b = a + 1; b < 5; b++) anyOf(engine, [not(holes[a]![h]!), not(holes[b]![h]!)])
    expect(solveAll(engine, holes.flat(), [])).toEqual([])
    expect(engine.impossible).toBe(true)
    expect(engine.conflicts).toBeGreaterThan(3)
  })

  it('finds exactly the solutions of random clauses that trying all finds', () => {
    const clause = fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.boolean()), {
      minLength: 1,
      maxLength: 3,
    })
    fc.assert(
      fc.property(fc.array(clause, { maxLength: 22 }), (clauses) => {
        const engine = new Engine()
        const literals = Array.from({ length: 6 }, () => engine.newBool())
        for (const c of clauses)
          engine.addClause(c.map(([x, yes]) => (yes ? literals[x]! : not(literals[x]!))))
        const found = solveAll(engine, literals, [], 64).map((s) => s.join(''))
        const wanted = Array.from({ length: 64 }, (_, n) =>
          [0, 1, 2, 3, 4, 5].map((k) => (n >> k) & 1),
        )
          .filter((v) => clauses.every((c) => c.some(([x, yes]) => (v[x] === 1) === yes)))
          .map((v) => v.join(''))
        expect(found.sort()).toEqual(wanted.sort())
      }),
      { numRuns: 200 },
    )
  })

  it('carries bounds along conditional lags, and drops conditions that would break them', () => {
    const engine = new Engine()
    const [a, b] = [engine.newInt(3, 20), engine.newInt(0, 10)]
    const when = engine.newBool()
    const never = engine.newBool()
    engine.precedences.add(a, b, 4, [when])
    engine.precedences.add(a, b, 9, [never])
    engine.addClause([when])
    expect(engine.seal()).toBe(true)
    expect([engine.lo(b), engine.hi(a)]).toEqual([7, 6])
    expect(engine.isTrue(negated(never))).toBe(true)
  })

  it('knows all-of and its contrary', () => {
    const engine = new Engine()
    const literals = [engine.newBool(), engine.newBool()]
    const both = allOf(engine, literals)
    const all = solveAll(engine, [...literals, both], [], 9)
    expect(all.map((s) => s.join('')).sort()).toEqual(['000', '010', '100', '111'])
  })
})

describe('Cumulative', () => {
  it('never overloads, and loses no solution', () => {
    const task = fc.record({
      length: fc.integer({ min: 1, max: 3 }),
      amount: fc.integer({ min: 1, max: 3 }),
    })
    fc.assert(
      fc.property(
        fc.array(task, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 3, max: 6 }),
        (tasks, end) => {
          const engine = new Engine()
          const starts = tasks.map(() => engine.newInt(0, end))
          const ends = tasks.map(() => engine.newInt(0, end))
          tasks.forEach((t, i) => {
            engine.precedences.add(starts[i]!, ends[i]!, t.length, [])
            engine.precedences.add(ends[i]!, starts[i]!, -t.length, [])
          })
          const timeTable = new TimeTable(
            tasks.map((t, i) => ({
              s: starts[i]!,
              e: ends[i]!,
              literal: ALWAYS,
              amount: t.amount,
              least: t.length,
            })),
            3,
          )
          engine.addPropagator(timeTable, timeTable.sides())
          const [found] = solveAll(engine, [], starts)
          const fits = (at: number[]) =>
            Array.from({ length: end }, (_, t) => t).every(
              (t) =>
                tasks.reduce(
                  (sum, k, i) => sum + (at[i]! <= t && t < at[i]! + k.length ? k.amount : 0),
                  0,
                ) <= 3,
            )
          if (found) expect(fits(found)).toBe(true)
          else {
            const tryAll = (at: number[]): boolean =>
              at.length === tasks.length
                ? fits(at)
                : Array.from({ length: end - tasks[at.length]!.length + 1 }, (_, s) => s).some(
                    (s) => tryAll([...at, s]),
                  )
            expect(tryAll([])).toBe(false)
          }
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('several literals at once', () => {
  /** Three booleans of which at most one is true. */
  const oneOfThree = () => {
    const engine = new Engine()
    const literals = [0, 1, 2].map(() => engine.newBool())
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ])
      engine.addClause([literals[a!]! ^ 1, literals[b!]! ^ 1])
    expect(engine.seal()).toBe(true)
    return { engine, literals }
  }

  it('an attempt that fails leaves everything as it was', () => {
    const { engine, literals } = oneOfThree()
    const before = [...engine.bound]
    expect(
      engine.attempt([
        [literals[0]!, 1],
        [literals[1]!, 1],
      ] as [number, number][]),
    ).toBe(false)
    expect([...engine.bound]).toEqual(before)
    expect(engine.level).toBe(0)
    expect(engine.attempt([[literals[0]!, 1]])).toBe(true)
    expect(engine.isTrue(literals[1]! ^ 1)).toBe(true)
  })

  it('what was assumed and contradicts itself is refused without learning that nothing goes', () => {
    const { engine, literals } = oneOfThree()
    engine.assume([[literals[0]!, 1]])
    expect(engine.propagate()).toBe(true)
    expect(engine.assume([[literals[1]!, 1]])).toBe(false)
    engine.backtrack(0)
    engine.assume([
      [literals[0]!, 1],
      [literals[2]!, 1],
    ])
    expect(engine.propagate()).toBe(false)
    expect(engine.learn()).toBe(false)
    expect(engine.impossible).toBe(false)
    engine.backtrack(0)
    expect(engine.attempt([[literals[2]!, 1]])).toBe(true)
  })

  it('the lower bound without any decision is told apart from that of now', () => {
    const engine = new Engine()
    const x = engine.newInt(0, 9)
    expect(engine.seal()).toBe(true)
    engine.require(2 * x, 2)
    engine.decide(2 * x, 7)
    expect([engine.lo(x), engine.rootLo(x)]).toEqual([7, 2])
  })
})
