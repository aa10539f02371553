import { expect, it } from 'vitest'
import { bakery } from '../../portfolio/bakery.fixture'
import { buildModel } from '../../model/buildModel'
import { below, seeded } from '../../structures/random'
import { solve } from '../../portfolio/solve'
import { Decisions } from '../search/decisions'
import { addDisjunctives } from '../model/disjunctive'
import { addHeatCut, heatCuts } from './heatCuts'
import { warmStart } from '../model/warmStart'
import { buildSessionModel, type SessionModel } from '../model/sessionModel'

/** Bakes of narrow and of wide ranges: a wide one between two narrow ones hides their change. */
function bakes(seed: number) {
  const random = seeded(seed)
  return bakery(
    Array.from({ length: 4 + below(random, 3) }, () => {
      const low = 100 + 20 * below(random, 5)
      return {
        seconds: 5 + below(random, 40),
        celsius: [low, low + [0, 20, 100][below(random, 3)]!] as [number, number],
        load: below(random, 2) * below(random, 20),
      }
    }),
    [2],
    1,
  )
}

/** Whether the engine has a solution, which then stands in it. */
function solved(session: SessionModel, decisions: Decisions): boolean {
  const { engine } = session
  for (;;)
    if (!engine.propagate()) {
      if (!engine.learn()) return false
    } else if (!decisions.next()) return true
}

/** Whether the engine takes these values of its variables, -1 for any. */
function takes({ engine }: SessionModel, values: ArrayLike<number>): boolean {
  engine.backtrack(0)
  const boundLiterals: [number, number][] = []
  for (let x = 0; x < values.length; x++)
    if (values[x]! >= 0) boundLiterals.push([2 * x, values[x]!], [2 * x + 1, -values[x]!])
  const goes = engine.assume(boundLiterals) && engine.propagate()
  engine.backtrack(0)
  return goes
}

it('excludes the solution it was made for, and never a plan', () => {
  let cuts = 0
  let joined = 0
  for (let seed = 1; seed <= 60; seed++) {
    const problem = bakes(seed)
    const model = buildModel(problem)
    const plans = [1, 2, 3].map((k) => solve(problem, { iterations: 10 * k, seed: k }))
    const session = buildSessionModel(model)
    addDisjunctives(session)
    const { engine } = session
    engine.reserve(2000)
    expect(engine.seal()).toBe(true)
    const decisions = new Decisions(session, model)
    for (let round = 0; round < 12 && solved(session, decisions); round++) {
      const found = heatCuts(session)
      if (!found.length) break
      const values = Array.from({ length: engine.size / 2 }, (_, x) =>
        engine.isFixed(x) ? engine.lo(x) : -1,
      )
      engine.backtrack(0)
      for (const cut of found) {
        expect(addHeatCut(session, cut)).toBe(true)
        cuts++
        if (cut.joined.includes(true)) joined++
      }
      expect(takes(session, values)).toBe(false)
      for (const plan of plans) {
        const planned = warmStart(session, plan)
        expect([seed, round, takes(session, planned)]).toEqual([seed, round, true])
      }
    }
  }
  expect(cuts).toBeGreaterThan(60)
  expect(joined).toBeGreaterThan(10)
})
