import { expect, it } from 'vitest'
import { readProblem } from '../../problem'
import { bakery } from '../portfolio/bakery.fixture'
import { buildModel } from '../model/buildModel'
import { CookChoice } from './cookChoice'
import { emptyEncoding } from './encoding'
import { SerialSchedule } from './serialScheduleGeneration'

const MINUTE = 60
const step = (id: string, minutes: number, phase: object) => ({
  id,
  label: id,
  modes: [
    {
      id: 'm',
      needs: [],
      phases: [{ seconds: [minutes * MINUTE, minutes * MINUTE] as [number, number], ...phase }],
    },
  ],
})
const reading = readProblem({
  format: 'cadrum/problem@1',
  name: 'two cooks, of whom only the first has enough attention for raw meat',
  cooks: [
    { id: 'all', attention: 100 },
    { id: 'some', attention: 80 },
  ],
  stations: [],
  activities: [
    step('raw', 30, { hands: { attention: 90 } }),
    step('cut', 20, { hands: { attention: 60 } }),
    step('simmer', 60, { watch: 20 }),
  ],
})
if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
const model = buildModel(reading.value)
const phaseOf = (i: number) => model.activities[i]!.modes[0]!.phases[0]!

it('counts what watching leaves no attention for, and what only one cook can do', () => {
  const schedule = new SerialSchedule(model)
  const choice = new CookChoice(model, schedule.cooks)
  expect(choice.cost(0, phaseOf(2), 0, 600)).toBe(30 * MINUTE)
  expect(choice.cost(1, phaseOf(2), 0, 600)).toBe(0)
  expect(choice.cost(0, phaseOf(1), 0, 600)).toBe(30 * MINUTE)
  expect(choice.cost(1, phaseOf(1), 0, 600)).toBe(0)
  // With something else to watch already, one more pot is in the way of the second cook's cutting.
  schedule.cooks[1]!.take(0, 600, 10, false, -1)
  expect(choice.cost(1, phaseOf(2), 0, 600)).toBe(10 * MINUTE)
  expect(choice.cost(1, phaseOf(2), 600, 600)).toBe(0)
})

it('has the pot watched by whoever can be spared', () => {
  const schedule = new SerialSchedule(model)
  const encoding = emptyEncoding(model)
  encoding.priority.set([2, 1, 0])
  encoding.spare = true
  expect(schedule.decode(encoding)).toBe(true)
  expect(schedule.phases[2]![0]!.cook).toBe(1)
  expect(schedule.start[0]).toBe(0)
})

it('bakes in the oven that has the heat first, or room first', () => {
  const decoded = (capacities: number[], celsius: number[], rate: number) => {
    const bakes = celsius.map((c, i) => ({
      seconds: i ? 600 : 900,
      celsius: [c, c] as [number, number],
    }))
    const ovens = buildModel(bakery(bakes, capacities, rate))
    const schedule = new SerialSchedule(ovens)
    const encoding = emptyEncoding(ovens)
    celsius.forEach((_, i) => (encoding.priority[i] = i))
    expect(schedule.decode(encoding)).toBe(true)
    return schedule
  }
  // The first oven has room, but at another temperature.
  const hot = decoded([2, 2], [180, 220], 1)
  expect(hot.served).toEqual([[0], [1]])
  expect(hot.end[1]).toBe(200 + 600)
  // The third waits for room at its heat rather than for the other oven to change to it.
  const room = decoded([1, 1], [180, 230, 230], 20)
  expect(room.served).toEqual([[0], [1], [1]])
  expect(room.end[2]).toBe(210 * 20 + 1200)
})
