import { describe, expect, it } from 'vitest'
import { UndoLog } from '../structures/undoLog'
import { NEVER, pairKey, type MStation } from '../model/model'
import { StationTime } from './stationTime'

const station = (change: Partial<MStation> = {}): MStation => ({
  index: 0,
  capacity: 1,
  away: [],
  wash: null,
  oven: null,
  ...change,
})
const fresh = (change: Partial<MStation> = {}) => new StationTime(station(change), new UndoLog())

describe('StationTime', () => {
  it('says until when there is room, or when to try again', () => {
    const time = fresh()
    time.occupy(20, 50, 1, -1)
    expect(time.room(0, 1, -1)).toBe(true)
    expect(time.until).toBe(20)
    expect(time.room(30, 1, -1)).toBe(false)
    expect(time.again).toBe(50)
    expect(time.room(50, 1, -1)).toBe(true)
    expect(time.until).toBe(NEVER)
  })

  it('counts amounts where several fit', () => {
    const time = fresh({ capacity: 3 })
    time.occupy(0, 40, 2, -1)
    time.occupy(10, 20, 1, -1)
    expect(time.room(0, 1, -1)).toBe(true)
    expect(time.until).toBe(10)
    expect(time.room(12, 1, -1)).toBe(false)
    expect(time.again).toBe(20)
    expect(time.room(20, 2, -1)).toBe(false)
    expect(time.again).toBe(40)
  })

  it('is not taken while it is away', () => {
    const time = fresh({ away: [[10, 30]] })
    expect(time.room(15, 1, -1)).toBe(false)
    expect(time.again).toBe(30)
    expect(time.room(0, 1, -1)).toBe(true)
    expect(time.until).toBe(10)
  })

  it('asks for a wash before, and keeps time for one after', () => {
    const time = fresh({ wash: { seconds: 8, cooks: [0], between: new Map([[pairKey(1, 2), 0]]) } })
    time.occupy(0, 20, 1, 1)
    time.occupy(60, 80, 1, 1)
    expect(time.room(30, 1, 3)).toBe(true)
    expect(time.washBefore).toBe(8)
    expect(time.washFrom).toBe(20)
    expect(time.until).toBe(52)
    // The same contents want none, nor does the pair that `between` excuses.
    expect(time.room(30, 1, 1)).toBe(true)
    expect([time.washBefore, time.until]).toEqual([0, 60])
    expect(time.room(30, 1, 2)).toBe(true)
    expect([time.washBefore, time.until]).toEqual([0, 52])
    expect(time.room(55, 1, 3)).toBe(false)
    expect(time.again).toBe(80)
  })

  it('knows the seconds between any two contents', () => {
    const time = fresh({ wash: { seconds: 8, cooks: [0], between: new Map([[pairKey(1, 2), 3]]) } })
    expect(time.washSeconds(1, 1)).toBe(0)
    expect(time.washSeconds(1, 2)).toBe(3)
    expect(time.washSeconds(2, 1)).toBe(8)
    // Nothing named: always washed.
    expect(time.washSeconds(-1, -1)).toBe(8)
    expect(fresh().washSeconds(1, 2)).toBe(0)
  })
})
