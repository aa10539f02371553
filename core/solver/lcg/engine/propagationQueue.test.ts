import fc from 'fast-check'
import { expect, it } from 'vitest'
import { PropagationQueue } from './propagationQueue'

const SIDES = 8

it('always gives the side with the lowest bound, each once, though bounds rise meanwhile', () => {
  const step = fc.oneof(
    fc.record({ side: fc.nat(SIDES - 1), by: fc.integer({ min: 1, max: 9 }) }),
    fc.constant('take' as const),
    fc.constant('clear' as const),
  )
  fc.assert(
    fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
      const queue = new PropagationQueue()
      queue.seal(SIDES)
      const bound = new Int32Array(SIDES)
      const waiting = new Set<number>()
      const takeOne = () => {
        const side = queue.take()
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
      expect(queue.take()).toBe(-1)
    }),
  )
})

it('goes by the plan where it is asked to, and by the bounds of what the plan knows nothing of', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -1, max: 9 }), { minLength: SIDES / 2, maxLength: SIDES / 2 }),
      fc.array(fc.tuple(fc.nat(SIDES - 1), fc.integer({ min: 1, max: 9 })), { maxLength: 20 }),
      (values, raises) => {
        const queue = new PropagationQueue()
        queue.seal(SIDES)
        queue.plan(Int32Array.from(values))
        queue.inOrder = true
        const bound = new Int32Array(SIDES)
        for (const [side, by] of raises) {
          bound[side]! += by
          queue.offer(side, bound)
        }
        const key = (side: number) => {
          const value = values[side >> 1]!
          return value < 0 ? bound[side]! : side & 1 ? -value : value
        }
        const taken = [...new Set(raises.map(([side]) => side))].map(() => queue.take())
        const sorted = taken.map(key)
        expect(sorted).toEqual([...sorted].sort((a, b) => a - b))
        expect(new Set(taken)).toEqual(new Set(raises.map(([side]) => side)))
        expect(queue.take()).toBe(-1)
      },
    ),
  )
})
