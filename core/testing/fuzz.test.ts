import { describe, expect, it } from 'vitest'
import { fuzz } from './fuzz'

describe('what the engine says of random problems', () => {
  it('holds against plans that are known from elsewhere', () => {
    const { faults, problems, plans, optimal, infeasible } = fuzz(1, 220)
    expect(faults.map((f) => `seed ${f.seed}: ${f.what}`)).toEqual([])
    // That it claims something often enough to be wrong.
    expect(problems).toBeGreaterThan(600)
    expect(plans).toBeGreaterThan(500)
    expect(optimal).toBeGreaterThan(300)
    expect(infeasible).toBeGreaterThan(20)
  })
})
