import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { cookingArbitrary } from '../guide/random.fixture'
import { compileSession } from '../session'
import { solve } from '../solver'
import { cookThrough } from './cooked.fixture'

const demo = compileSession({
  session: demoSession,
  kitchen: demoKitchen,
  recipes: demoRecipes,
})
if (!demo.ok) throw new Error(JSON.stringify(demo.issues))
const plan = solve(demo.value.problem, { iterations: 60 })

describe('a session that is cooked from what is told', () => {
  it('ends to the second as planned where everything takes as long as planned', () => {
    const cooked = cookThrough(demo.value, plan, { seed: 1, noise: 0, kitchen: demoKitchen })
    expect(cooked.faults).toEqual([])
    expect(cooked.left.map((t) => t.line.key)).toEqual([])
    expect([cooked.asked, cooked.standing.finish]).toEqual([0, plan.makespan])
  })

  it.each([1, 2, 3])('ends with everything done, whatever happens on the way (%i)', (seed) => {
    const cooked = cookThrough(demo.value, plan, { seed, mishaps: 0.08, kitchen: demoKitchen })
    expect(cooked.faults).toEqual([])
    expect(cooked.left.map((t) => t.line.key)).toEqual([])
    expect(cooked.asked).toBeGreaterThan(0)
  })

  it.each([4, 5])('ends so too where dishes are given up and others come (%i)', (seed) => {
    const cooked = cookThrough(demo.value, plan, {
      seed,
      mishaps: 0.15,
      kitchen: demoKitchen,
      begun: { session: demoSession, kitchen: demoKitchen, recipes: demoRecipes },
    })
    expect(cooked.faults).toEqual([])
    expect(cooked.left.map((t) => t.line.key)).toEqual([])
    const kinds = new Set(cooked.events.map((e) => e.kind))
    expect([kinds.has('given-up'), kinds.has('extra')]).toEqual([true, true])
  })

  it('ends so in random sessions too', () => {
    const sessions = fc.sample(cookingArbitrary, { numRuns: 200, seed: 11 })
    let cookedThem = 0
    let slowest = 0
    sessions.forEach((session, k) => {
      const reading = compileSession(session)
      if (!reading.ok) return
      const first = solve(reading.value.problem, { iterations: 8 })
      if (!first.activities.length) return
      const cooked = cookThrough(reading.value, first, {
        seed: k + 1,
        mishaps: 0.1,
        kitchen: session.kitchen,
        begun: session,
      })
      slowest = Math.max(slowest, cooked.slowestMs)
      expect(cooked.faults).toEqual([])
      expect(cooked.left.map((t) => t.line.key)).toEqual([])
      cookedThem++
    })
    // Under half of a second on a usual machine; one that is shared may stand still for seconds.
    expect(slowest).toBeLessThan(5000)
    expect(cookedThem).toBeGreaterThan(120)
  }, 300_000)
})
