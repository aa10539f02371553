import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readProblem, type ProblemInput } from '../../problem'
import { CHORE, CookTime } from './cookTime'
import { UndoLog } from '../structures/undoLog'
import { buildModel } from '../model/buildModel'
import type { Model } from '../model/model'

const RAW = 0
const READY = 1

function modelWith(cook: Partial<ProblemInput['cooks'][number]> = {}): Model {
  const step = (id: string, hygiene: string) => ({
    id,
    label: id,
    hygiene,
    modes: [{ id: 'm', needs: [], phases: [{ seconds: [1, 1] as [number, number], hands: {} }] }],
  })
  const reading = readProblem({
    format: 'cadrum/problem@1',
    name: 'x',
    cooks: [{ id: 'ana', ...cook }],
    stations: [],
    activities: [step('a', 'raw'), step('b', 'ready')],
    hygiene: { raw: { ready: 20 } },
  } satisfies ProblemInput)
  if (!reading.ok) throw new Error('unusable')
  return buildModel(reading.value)
}
const fresh = (cook: Partial<ProblemInput['cooks'][number]> = {}) => {
  const model = modelWith(cook)
  return new CookTime(model, model.cooks[0]!, new UndoLog())
}
const hands = (time: CookTime, t: number, seconds: number, hygiene: number, attention = 50) =>
  time.slot(t, 100_000, seconds, attention, true, hygiene)

describe('CookTime', () => {
  it('finds the first gap that is long enough', () => {
    const time = fresh()
    time.take(10, 20, 50, true, READY)
    time.take(25, 40, 50, true, READY)
    expect(hands(time, 0, 10, READY)).toBe(0)
    expect(hands(time, 0, 11, READY)).toBe(40)
    expect(hands(time, 12, 5, READY)).toBe(20)
    expect(hands(time, 12, 6, READY)).toBe(40)
  })

  it('works around absences, watching too', () => {
    const time = fresh({ unavailable: [[5, 30]] })
    expect(hands(time, 0, 6, READY)).toBe(30)
    expect(time.slot(0, 100_000, 6, 10, false, CHORE)).toBe(30)
    expect(time.slot(0, 100_000, 5, 10, false, CHORE)).toBe(0)
  })

  it('watches beside hands only as far as the attention goes', () => {
    const time = fresh({ attention: 80 })
    time.take(0, 50, 60, true, READY)
    expect(time.slot(0, 100_000, 10, 20, false, CHORE)).toBe(0)
    expect(time.slot(0, 100_000, 10, 21, false, CHORE)).toBe(50)
    time.take(0, 30, 20, false, CHORE)
    expect(time.slot(0, 100_000, 10, 10, false, CHORE)).toBe(30)
    expect(time.slot(0, 100_000, 10, 81, false, CHORE)).toBeGreaterThan(100_000)
  })

  it('leaves a pause to wash hands after raw work, and does not let a chore fill it', () => {
    const time = fresh()
    time.take(0, 30, 90, true, RAW)
    expect(hands(time, 0, 10, RAW)).toBe(30)
    expect(hands(time, 0, 10, READY)).toBe(50)
    time.take(50, 60, 50, true, READY)
    // Any hands work between 30 and 50 would leave no 20 s at a stretch.
    expect(time.slot(30, 100_000, 5, 0, true, CHORE)).toBe(60)
    expect(hands(time, 30, 5, READY)).toBe(60)
  })

  it('lets one pause serve, wherever it lies', () => {
    const time = fresh()
    time.take(0, 30, 90, true, RAW)
    time.take(55, 60, 0, true, CHORE)
    // 30 to 55 is pause enough; right behind the chore the hands are clean.
    expect(hands(time, 60, 10, READY)).toBe(60)
  })

  it('never offers a slot that overlaps, whatever is there', () => {
    const block = fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 20 }))
    fc.assert(
      fc.property(fc.array(block, { maxLength: 12 }), block, (blocks, [t, seconds]) => {
        const time = fresh()
        const taken: [number, number][] = []
        for (const [from, length] of blocks) {
          const at = hands(time, from, length, READY)
          time.take(at, at + length, 50, true, READY)
          taken.push([at, at + length])
        }
        const at = hands(time, t, seconds, READY)
        expect(at).toBeGreaterThanOrEqual(t)
        for (const [from, to] of taken) expect(at + seconds <= from || to <= at).toBe(true)
        // And none earlier: every instant from t on would have hit something.
        for (let s = t; s < at; s++)
          expect(taken.some(([from, to]) => s < to && from < s + seconds)).toBe(true)
      }),
      { numRuns: 200 },
    )
  })
})
