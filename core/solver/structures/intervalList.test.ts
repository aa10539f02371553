import fc from 'fast-check'
import { expect, it } from 'vitest'
import { UndoLog } from './undoLog'
import { IntervalList } from './intervalList'

type Span = [from: number, to: number, what: number]
const listed = ({ from, to, what, count }: IntervalList): Span[] =>
  Array.from({ length: count }, (_, i) => [from[i]!, to[i]!, what[i]!])
const span = fc
  .tuple(fc.nat(60), fc.nat(9), fc.nat(4))
  .map(([from, length, what]): Span => [from, from + length, what])

it('keeps intervals by their beginning, then their end, as many as come', () => {
  fc.assert(
    fc.property(fc.array(span, { maxLength: 90 }), (list) => {
      const spans = new IntervalList()
      for (const s of list) {
        const at = spans.insert(...s)
        expect(listed(spans)[at]).toEqual(s)
      }
      const sorted = [...list].sort((a, b) => a[0] - b[0] || a[1] - b[1])
      expect(listed(spans).map(([from, to]) => [from, to])).toEqual(sorted.map(([f, t]) => [f, t]))
      expect(listed(spans).map(String).sort()).toEqual(list.map(String).sort())
    }),
  )
})

it('is as it was before once a undoLog has taken back what was put', () => {
  fc.assert(
    fc.property(fc.array(span), fc.array(span), (before, after) => {
      const undoLog = new UndoLog()
      const spans = new IntervalList()
      const others: { from: number; to: number }[] = []
      for (const s of before) undoLog.put(spans, ...s)
      const was = listed(spans)
      const mark = undoLog.mark()
      for (const [from, to, what] of after) {
        undoLog.put(spans, from, to, what)
        undoLog.insert(others, { from, to })
        undoLog.setEnd(others[0]!, to + 1)
      }
      expect(listed(spans)).toHaveLength(before.length + after.length)
      undoLog.undo(mark)
      expect(listed(spans)).toEqual(was)
      expect(others).toEqual([])
      undoLog.undo(0)
      expect(spans.count).toBe(0)
    }),
  )
})

it('finds the first that begins, or ends, after an instant', () => {
  fc.assert(
    fc.property(fc.array(span), fc.nat(70), (list, at) => {
      const spans = new IntervalList()
      // One behind the other, as a search by ends wants them.
      let end = 0
      for (const [, , length] of list) spans.insert(end + 1, (end += 1 + length), 0)
      const all = listed(spans)
      const first = (i: 0 | 1) => {
        const k = all.findIndex((s) => s[i] > at)
        return k < 0 ? all.length : k
      }
      expect(spans.firstAfter(at)).toBe(first(0))
      expect(spans.firstEndingAfter(at)).toBe(first(1))
    }),
  )
})
