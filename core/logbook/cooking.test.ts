import { describe, expect, it } from 'vitest'
import { cookView, finish, undo, type Cooking, type Task } from './index'

const work: Task[] = [
  { key: 'a#0', cook: 'ana', from: 0, to: 60 },
  { key: 'b#0', cook: 'ana', from: 300, to: 360 },
  { key: 'c#0', cook: 'bo', from: 0, to: 30 },
]
const T0 = 1_000_000
const log: Cooking = { session: 's', startedAt: T0, done: [] }

describe('cooking', () => {
  it('shows what is on now with the time left, and what comes next', () => {
    const view = cookView(work, log, 'ana', T0 + 20_000)
    expect(view).toMatchObject({ left: 40, startsIn: 0 })
    expect(view.now!.key).toBe('a#0')
    expect(view.next.map((n) => n.key)).toEqual(['b#0'])
    expect(cookView(work, log, 'ana', T0 + 75_000).left).toBe(-15)
  })

  it('moves on when a step is done, records its real time, and waits for its turn', () => {
    const after = finish(work, log, 'ana', T0 + 90_000)
    expect(after.done).toEqual([{ key: 'a#0', cook: 'ana', startedAt: T0, endedAt: T0 + 90_000 }])
    const view = cookView(work, after, 'ana', T0 + 100_000)
    expect(view.now!.key).toBe('b#0')
    expect(view.startsIn).toBe(200)
    expect(view.left).toBe(60)
  })

  it('lets a cook begin early, and then counts from there', () => {
    const after = finish(work, finish(work, log, 'ana', T0 + 60_000), 'ana', T0 + 130_000)
    expect(after.done[1]).toMatchObject({ key: 'b#0', endedAt: T0 + 130_000 })
    expect(after.done[1]!.startedAt).toBeLessThanOrEqual(T0 + 130_000)
    expect(cookView(work, after, 'ana', T0 + 131_000).now).toBeUndefined()
    expect(finish(work, after, 'ana', T0 + 140_000)).toEqual(after)
  })

  it('takes a second tap for the same thing for nothing', () => {
    const once = finish(work, log, 'ana', T0 + 60_000, 'a#0')
    expect(once.done.map((d) => d.key)).toEqual(['a#0'])
    expect(finish(work, once, 'ana', T0 + 60_200, 'a#0')).toBe(once)
  })

  it('keeps its order when the clock is set back by an hour', () => {
    const once = finish(work, log, 'ana', T0 + 60_000)
    const back = finish(work, once, 'bo', T0 - 3_600_000)
    const [first, second] = back.done
    expect(first).toEqual(once.done[0])
    expect(second!.endedAt).toBeGreaterThanOrEqual(first!.endedAt)
    for (const d of back.done) expect(d.endedAt).toBeGreaterThanOrEqual(d.startedAt)
    expect(Math.min(...back.done.map((d) => d.startedAt))).toBeGreaterThanOrEqual(T0)
  })

  it('takes back the last step of one cook only', () => {
    const both = finish(work, finish(work, log, 'ana', T0 + 1), 'bo', T0 + 2)
    expect(undo(both, 'ana').done.map((d) => d.key)).toEqual(['c#0'])
    expect(undo(log, 'ana')).toEqual(log)
  })
})
