import { describe, expect, it } from 'vitest'
import { randomProblem } from '../../testing/randomProblem'
import { Annealing } from './annealing'
import { buildModel } from '../model/buildModel'
import { seeded } from '../structures/random'
import { SerialSchedule } from '../sgs/serialScheduleGeneration'

/** Annealing that has one schedule of energy 1000 to go on from. */
function begun() {
  const model = buildModel(randomProblem(3, 10))
  const annealing = new Annealing(model, seeded(1))
  const schedule = new SerialSchedule(model)
  expect(schedule.decode(annealing.candidate)).toBe(true)
  expect(annealing.accepts(1000, true, 1)).toBe(true)
  annealing.accept(1000, schedule)
  return { annealing, schedule }
}

describe('Annealing', () => {
  it('always goes on from what is no worse, never from what is far worse', () => {
    const { annealing } = begun()
    for (let i = 1; i < 500; i++) {
      expect(annealing.accepts(1000, false, i)).toBe(true)
      expect(annealing.accepts(2000, false, i)).toBe(false)
    }
  })

  it('goes on from what is a little worse now and then, but not from a first schedule', () => {
    const { annealing } = begun()
    let taken = 0
    for (let i = 1; i < 500; i++) {
      if (annealing.accepts(1001, false, i)) taken++
      expect(annealing.accepts(1001, true, i)).toBe(false)
    }
    expect(taken).toBeGreaterThan(20)
    expect(taken).toBeLessThan(480)
  })

  it('comes back from an excursion that led nowhere to exactly where it set out', () => {
    const { annealing, schedule } = begun()
    const home = [...annealing.current.priority]
    expect(annealing.turn(2)).toBe(true)
    annealing.candidate.priority.fill(0.5)
    expect(schedule.decode(annealing.candidate)).toBe(true)
    annealing.accept(5000, schedule)
    annealing.current.priority.fill(7)
    expect(annealing.turn(20)).toBe(false)
    expect(annealing.energy).toBe(5000)
    expect(annealing.turn(100)).toBe(false)
    expect(annealing.energy).toBe(1000)
    expect([...annealing.current.priority]).toEqual(home)
    // A while at home, then the next one.
    expect(annealing.turn(150)).toBe(false)
    expect(annealing.turn(400)).toBe(true)
  })
})
