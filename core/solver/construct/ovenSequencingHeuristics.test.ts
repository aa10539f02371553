import { describe, expect, it } from 'vitest'
import { bakery } from '../portfolio/bakery.fixture'
import { byTemperature } from './ovenSequencingHeuristics'
import { OvenSequencing } from './ovenSequencing'
import { buildModel } from '../model/buildModel'
import { headsAndTails } from '../model/headsAndTails'

/** Bakes of so many seconds at so many degrees, in one oven with room for two. */
function sequenceOf(...bakes: [seconds: number, low: number, amount?: number][]): OvenSequencing {
  const model = buildModel(
    bakery(bakes.map(([seconds, low, amount]) => ({ seconds, celsius: [low, low + 10], amount }))),
  )
  const all = new Uint8Array(model.activities.length).fill(1)
  return new OvenSequencing(model, () => true, headsAndTails(model, all))
}

describe('orders by temperature', () => {
  it('bake at one temperature together, as many as fit, and then at the next', () => {
    const sequence = sequenceOf([600, 200], [500, 160], [400, 165], [300, 170])
    // 160, 165 and 170 agree on 170: two at once and the third when one is done; then 200.
    expect(byTemperature(sequence, 1, (i) => i)).toEqual([1, 2, 3, 0])
    sequence.lengthOf([1, 2, 3, 0])
    expect([...sequence.times]).toEqual([700, 0, 0, 400])
    expect(byTemperature(sequence, -1, (i) => i)).toEqual([0, 1, 2, 3])
    sequence.lengthOf([0, 1, 2, 3])
    expect([...sequence.times]).toEqual([0, 600, 600, 1000])
  })

  it('put what is urgent first, and what takes the whole oven alone', () => {
    const sequence = sequenceOf([600, 200], [500, 200, 2], [400, 200])
    expect(byTemperature(sequence, 1, (i) => -i)).toEqual([2, 1, 0])
    sequence.lengthOf([2, 1, 0])
    expect([...sequence.times]).toEqual([900, 400, 0])
  })
})
