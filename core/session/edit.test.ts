import { expect, it } from 'vitest'
import { demoSession } from '../../demo'
import { withDish, withDishBack, withMoreBatches, withNewDish, withoutDish } from './edit'
import { MOST_BATCHES } from './schema'

it('changes one dish and leaves the others as they are', () => {
  const changed = withDish(demoSession, 'fish-pie', { batches: 3 })
  expect(changed.dishes.find((d) => d.recipe === 'fish-pie')!.batches).toBe(3)
  expect(changed.dishes.filter((d) => d.recipe !== 'fish-pie')).toEqual(
    demoSession.dishes.filter((d) => d.recipe !== 'fish-pie'),
  )
})

it('brings a dish back to its place and keeps what was changed since', () => {
  const at = demoSession.dishes.findIndex((d) => d.recipe === 'fish-pie')
  const dish = demoSession.dishes[at]!
  const meanwhile = withDish(withoutDish(demoSession, 'fish-pie'), 'soda-bread', { batches: 1 })
  const back = withDishBack(meanwhile, dish, at)
  expect(back.dishes[at]).toEqual(dish)
  expect(back.dishes.find((d) => d.recipe === 'soda-bread')!.batches).toBe(1)
  expect(back.dishes).toHaveLength(demoSession.dishes.length)
})

it('takes a dish in once', () => {
  const twice = withNewDish(
    withNewDish(withoutDish(demoSession, 'fish-pie'), 'fish-pie'),
    'fish-pie',
  )
  expect(twice.dishes.filter((d) => d.recipe === 'fish-pie')).toHaveLength(1)
})

it('adds batches to what there is by then, and stays within what may be', () => {
  const of = (s: typeof demoSession) => s.dishes.find((d) => d.recipe === 'fish-pie')!.batches
  const more = withMoreBatches(withMoreBatches(demoSession, 'fish-pie', 0.5), 'fish-pie', 0.5)
  expect(of(more)).toBe(of(demoSession) + 1)
  expect(of(withMoreBatches(demoSession, 'fish-pie', -9))).toBe(0.5)
  expect(of(withMoreBatches(demoSession, 'fish-pie', 99))).toBe(MOST_BATCHES)
})
