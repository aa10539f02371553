import fc from 'fast-check'
import { expect, it } from 'vitest'
import { SideQueue } from './sideQueue'

const SIDES = 8

it('always gives the side with the lowest bound, each once, though bounds rise meanwhile', () => {
  const step = fc.oneof(
    fc.record({ side: fc.nat(SIDES - 1), by: fc.integer({ min: 1, max: 9 }) }),
    fc.constant('take' as const),
    fc.constant('clear' as const),
  )
  fc.assert(
    fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
      const queue = new SideQueue()
      queue.seal(SIDES)
      const bound = new Int32Array(SIDES)
      const waiting = new Set<number>()
      const takeOne = () => {
        const side = queue.take(bound)
        expect(side >= 0).toBe(waiting.size > 0)
        if (side < 0) return
        expect(waiting.has(side)).toBe(true)
        expect(bound[side]).toBe(Math.min(...[...waiting].map((s) => bound[s]!)))
        waiting.delete(side)
      }
      for (const s of steps) {
        if (s === 'take') takeOne()
        else if (s === 'clear') {
          queue.clear()
          waiting.clear()
        } else {
          bound[s.side]! += s.by
          queue.offer(s.side, bound)
          waiting.add(s.side)
        }
      }
      while (waiting.size) takeOne()
      expect(queue.take(bound)).toBe(-1)
    }),
  )
})
