import { describe, expect, it } from 'vitest'
import { begunAt } from './begunAt'
import type { Cooking } from './cooking'
import type { Event } from './events'

const done = (id: string, change: Partial<Extract<Event, { kind: 'done' }>> = {}): Event => ({
  id,
  at: 1_000_000 + 60_000,
  kind: 'done',
  key: 'stock.cook#0',
  is: 'start',
  text: 'Put it on',
  from: 30,
  to: 60,
  activity: 'stock.cook',
  points: [0, 1],
  ...change,
})
const log = (...events: Event[]): Cooking => ({
  session: 's',
  startedAt: 1_000_000,
  events,
  plans: [],
})

describe('begunAt', () => {
  it('is when it was told to have begun, set right where it was', () => {
    expect(begunAt(log(done('a')), 'stock.cook')).toBe(1_030_000)
    const right: Event = {
      id: 'b',
      at: 2_000_000,
      kind: 'corrected',
      event: 'a',
      from: 300,
      to: 360,
    }
    expect(begunAt(log(done('a'), right), 'stock.cook')).toBe(1_300_000)
  })

  it('is unknown where nobody told, or it was undone, left out, or something else', () => {
    expect(begunAt(log(), 'stock.cook')).toBeUndefined()
    expect(begunAt(log(done('a')), 'stock.cool')).toBeUndefined()
    expect(begunAt(log(done('a', { skipped: true })), 'stock.cook')).toBeUndefined()
    expect(begunAt(log(done('a', { points: [1, 2] })), 'stock.cook')).toBeUndefined()
    const undone: Event = { id: 'b', at: 2_000_000, kind: 'undone', event: 'a' }
    expect(begunAt(log(done('a'), undone), 'stock.cook')).toBeUndefined()
  })
})
