import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { UndoLog, type Timed } from './undoLog'

const item = (from: number, to: number): Timed => ({ from, to })

describe('UndoLog', () => {
  it('keeps a list in order, an empty interval before the one that begins there', () => {
    const undoLog = new UndoLog()
    const list: Timed[] = []
    for (const [from, to] of [
      [10, 20],
      [0, 5],
      [10, 10],
      [5, 8],
    ] as const)
      undoLog.insert(list, item(from, to))
    expect(list.map((t) => [t.from, t.to])).toEqual([
      [0, 5],
      [5, 8],
      [10, 10],
      [10, 20],
    ])
  })

  it('takes everything back to a mark, ends that were moved included', () => {
    const undoLog = new UndoLog()
    const list: Timed[] = []
    const first = item(0, 5)
    undoLog.insert(list, first)
    const mark = undoLog.mark()
    undoLog.setEnd(first, 9)
    undoLog.insert(list, item(9, 12))
    undoLog.setEnd(first, 3)
    undoLog.undo(mark)
    expect(list).toEqual([{ from: 0, to: 5 }])
    undoLog.undo(0)
    expect(list).toEqual([])
  })

  it('is as if nothing had happened after any writes and an undo', () => {
    const write = fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 9 }))
    fc.assert(
      fc.property(fc.array(write), fc.array(write), (before, after) => {
        const undoLog = new UndoLog()
        const list: Timed[] = []
        for (const [from, length] of before) undoLog.insert(list, item(from, from + length))
        const was = list.map((t) => ({ ...t }))
        const mark = undoLog.mark()
        for (const [from, length] of after) {
          undoLog.insert(list, item(from, from + length))
          if (list[0]) undoLog.setEnd(list[0], from + length + 1)
        }
        undoLog.undo(mark)
        expect(list).toEqual(was)
      }),
    )
  })
})
