import { describe, expect, it } from 'vitest'
import { randomProblem } from '../../testing/randomProblem'
import { buildModel } from '../buildModel'
import { prove } from '../prove'
import { solve } from '../solve'
import { together } from './cuts'
import { Decisions } from './decisions'
import { addExclusions } from './exclusion'
import { buildSessionModel, type SessionModel, type Touch } from './sessionModel'

/** A solution of a session in which only neighbours in its plan have an order from the beginning. */
function solution(seed: number): SessionModel | undefined {
  const problem = randomProblem(seed, 14)
  const model = buildModel(problem)
  if (!prove(model).feasible) return undefined
  const plan = solve(problem, { iterations: 14, seed })
  if (!plan.activities.length) return undefined
  const session = buildSessionModel(model, plan, { hands: 1, large: 160, uses: 8 })
  addExclusions(session)
  const { engine } = session
  if (!engine.seal()) return undefined
  const decisions = new Decisions(session, model)
  while (engine.conflicts < 200)
    if (!engine.propagate()) {
      if (!engine.learn()) return undefined
    } else if (!decisions.next()) return session
  return undefined
}

describe('touches that meet', () => {
  it('come with those shortly after each other, and nothing comes where none meet', () => {
    let met = 0
    let apart = 0
    for (let seed = 1; seed <= 120; seed++) {
      const session = solution(seed)
      if (!session) continue
      const { engine, touches } = session
      const on = (t: Touch, cook: number) =>
        t.cooks.some((x) => x.cook === cook && (x.code < 0 || engine.isTrue(x.code)))
      const pause = (a: Touch, b: Touch) =>
        Math.max(engine.lo(a.s) - engine.lo(b.e), engine.lo(b.s) - engine.lo(a.e))
      const open = touches.flatMap((a, i) =>
        touches
          .slice(i + 1)
          .filter(
            (b) =>
              (a.activity < 0 || a.activity !== b.activity) &&
              !session.ordered(a, b) &&
              session.model.cooks.some((_, c) => on(a, c) && on(b, c)),
          )
          .map((b) => pause(a, b)),
      )
      const pairs = together(session)
      const shortest = open.length ? Math.min(...open) : 0
      if (shortest >= 0) {
        apart++
        expect(pairs).toEqual([])
        continue
      }
      met++
      for (const [a, b] of pairs) expect(session.ordered(a, b)).toBe(false)
      expect(pairs.some(([a, b]) => pause(a, b) < 0)).toBe(true)
      expect(pairs.length).toBe(open.filter((gap) => gap < 3000).length)
    }
    expect(met).toBeGreaterThan(10)
    expect(apart).toBeGreaterThan(10)
  })
})
