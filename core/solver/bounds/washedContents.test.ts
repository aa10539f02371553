import { describe, expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { readProblem, type ProblemInput } from '../../problem'
import { buildModel } from '../model/buildModel'
import { prove } from './rootProof'
import { solve } from '../portfolio/solve'

/** So many soups of ten minutes of hands each, one after another in so many pots. */
function soups(count: number, pots: number, contents: (i: number) => string | undefined) {
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: 'soups',
    cooks: [{ id: 'cook' }],
    stations: Array.from({ length: pots }, (_, i) => ({
      id: `pot${i}`,
      kind: 'pot',
      wash: { seconds: 60 },
    })),
    activities: Array.from({ length: count }, (_, i) => ({
      id: `soup${i}`,
      label: `Soup ${i}`,
      modes: [
        {
          id: 'pot',
          needs: [{ kind: 'pot', ...(contents(i) ? { contents: contents(i)! } : {}) }],
          phases: [{ seconds: [600, 600] as [number, number], hands: {} }],
        },
      ],
    })),
  }
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
const boundOf = (...args: Parameters<typeof soups>) => {
  const proof = prove(buildModel(soups(...args)))
  if (!proof.feasible) throw new Error(proof.reasons.join())
  return proof.bound.value
}

describe('the washing that no plan gets round', () => {
  it('counts for the hands: one pot fewer than dishes, one wash more', () => {
    expect(boundOf(4, 1, () => undefined)).toBe(4 * 600 + 3 * 60)
    expect(boundOf(4, 3, () => undefined)).toBe(4 * 600 + 60)
    expect(boundOf(4, 4, () => undefined)).toBe(4 * 600)
    // Two soups of one kind go into one pot without a wash.
    expect(boundOf(4, 1, (i) => (i < 2 ? 'leek' : 'pea'))).toBe(4 * 600 + 60)
    expect(
      solve(
        soups(4, 1, () => undefined),
        { iterations: 40 },
      ).makespan,
    ).toBe(2580)
  })

  it('never lifts the bound above a plan, over whole sessions', () => {
    for (let seed = 1; seed <= 6; seed++) {
      const problem = everyFeature(4, seed)
      const plan = solve(problem, { iterations: 150 })
      const proof = prove(buildModel(problem))
      expect(proof.feasible && proof.bound.value).toBeLessThanOrEqual(plan.makespan)
    }
  })
})
