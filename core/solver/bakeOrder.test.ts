import { describe, expect, it } from 'vitest'
import { bakery } from './bakery.fixture'
import { bakeTimes } from './bakeOrder'
import { buildModel } from './buildModel'
import type { Model } from './model'

/** Bakes of so many seconds at so many degrees, in one oven with room for two. */
const modelOf = (...bakes: [seconds: number, low: number, amount?: number][]) =>
  buildModel(
    bakery(bakes.map(([seconds, low, amount]) => ({ seconds, celsius: [low, low + 10], amount }))),
  )

const all = ({ activities }: Model) => new Uint8Array(activities.length).fill(1)

describe('bakeTimes', () => {
  it('bakes at one temperature together, as many as fit, and then at the next', () => {
    const model = modelOf([600, 200], [500, 160], [400, 165], [300, 170])
    const upwards = bakeTimes(
      model,
      all(model),
      (i) => i,
      (celsius) => celsius,
    )
    // 160, 165 and 170 agree on 170: two at once and the third when one is done; then 200.
    expect(upwards).toEqual([700, 0, 0, 400])
    const downwards = bakeTimes(
      model,
      all(model),
      (i) => i,
      (celsius) => -celsius,
    )
    expect(downwards).toEqual([0, 600, 600, 1000])
  })

  it('leaves out what is not done', () => {
    const model = modelOf([600, 200], [500, 160], [400, 165], [300, 170])
    const upwards = bakeTimes(
      model,
      Uint8Array.of(1, 0, 1, 1),
      (i) => i,
      (celsius) => celsius,
    )
    expect(upwards).toEqual([400, undefined, 0, 0])
  })

  it('puts what is urgent first, and what takes the whole oven alone', () => {
    const model = modelOf([600, 200], [500, 200, 2], [400, 200])
    expect(
      bakeTimes(
        model,
        all(model),
        (i) => -i,
        () => 0,
      ),
    ).toEqual([900, 400, 0])
  })
})
