import { describe, expect, it } from 'vitest'
import { seeded } from '../../structures/random'
import { LnsAdaptation } from './lnsAdaptation'

const WHOLE = { partial: false, makespan: true }
const of = (more: Partial<typeof WHOLE> = {}) =>
  new LnsAdaptation(100, seeded(1), { ...WHOLE, ...more })

describe('Demand', () => {
  it('asks the same for twice as much while it pays, and for a quarter where that is too much', () => {
    const adaptation = of()
    adaptation.ended('solution', 10, 1000)
    expect(adaptation.again).toBe(true)
    expect(adaptation.less(5000, 4000)).toBe(20)
    adaptation.ended('impossible', 20, 1000)
    expect(adaptation.again).toBe(true)
    expect(adaptation.less(5000, 4000)).toBe(5)
    adaptation.ended('limit', 5, 1000)
    expect(adaptation.again).toBe(false)
  })

  it('never asks for more than half of the gap after a plan, nor for less than a second', () => {
    const adaptation = of()
    adaptation.ended('solution', 400, 60)
    expect(adaptation.less(5000, 4940)).toBe(30)
    adaptation.ended('solution', 30, 1)
    expect(adaptation.less(5000, 4999)).toBe(1)
  })

  it('asks a new one for a share of the gap, which counts up to 3 % of the plan', () => {
    const most = (adaptation: LnsAdaptation) =>
      Math.max(...Array.from({ length: 60 }, () => adaptation.less(10_000, 2000)))
    expect(most(of())).toBeCloseTo(0.15 * 300)
    expect(most(of({ partial: true }))).toBeCloseTo(0.15 * 8000)
    expect(most(of({ makespan: false }))).toBeCloseTo(0.15 * 8000)
  })

  it('leaves more free after what was soon refused, less after what took all its conflicts', () => {
    const adaptation = of()
    expect(adaptation.share).toBeCloseTo(0.17)
    adaptation.ended('impossible', 1, 100)
    expect(adaptation.share).toBeGreaterThan(0.17)
    for (let k = 0; k < 3; k++) adaptation.ended('limit', 1, 100)
    expect(adaptation.share).toBeLessThan(0.17)
    for (let k = 0; k < 200; k++) adaptation.ended('limit', 1, 100)
    expect(adaptation.share).toBe(0.03)
    for (let k = 0; k < 200; k++) adaptation.ended('impossible', 1, 100)
    expect(adaptation.share).toBe(0.8)
  })

  it('gives each ten times as long at most, and the first after something better as long as at first', () => {
    const adaptation = of()
    const after = (count: number) => {
      for (let k = 0; k < count; k++) adaptation.ended('limit', 1, 100)
      return adaptation.times
    }
    expect([adaptation.times, after(9), after(1), after(10), after(500)]).toEqual([1, 1, 2, 3, 10])
    adaptation.better()
    expect(adaptation.times).toBe(1)
    const inPart = of({ partial: true })
    for (let k = 0; k < 50; k++) inPart.ended('limit', 1, 100)
    expect(inPart.times).toBe(1)
  })
})
