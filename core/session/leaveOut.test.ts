import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { solve } from '../solver'
import { compileSession, leaveOut, type Session } from './index'

const small: Session = {
  ...demoSession,
  dishes: ['soda-bread', 'oat-bars', 'turkey-patties'].map((recipe) => ({ recipe, batches: 1 })),
}
const input = { session: small, kitchen: demoKitchen, recipes: demoRecipes }
const lengthOf = (dishes: string[]) => {
  const reading = compileSession({
    ...input,
    session: { ...small, dishes: small.dishes.filter((d) => !dishes.includes(d.recipe)) },
  })
  if (!reading.ok) throw new Error('does not compile')
  return solve(reading.value.problem, { iterations: 200 }).makespan
}

describe('leaveOut', () => {
  it('names the single dishes without which the rest fits, with lengths that plans have', async () => {
    const options = await leaveOut(input, lengthOf(['soda-bread']) + 300)
    expect(options.length).toBeGreaterThan(0)
    for (const o of options) {
      expect(o.fits).toBe(true)
      expect(o.dishes).toHaveLength(1)
      expect(lengthOf(o.dishes)).toBeLessThanOrEqual(o.makespan)
    }
    const lengths = options.map((o) => o.makespan)
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b))
  })

  it('leaves out several where no single one is enough, and says so where nothing helps', async () => {
    const ids = small.dishes.map((d) => d.recipe)
    const singles = await Promise.all(
      ids.map(async (id) => (await leaveOut(input, lengthOf([id])))[0]),
    )
    const shortest = Math.min(...singles.map((o) => o!.makespan))
    const two = await leaveOut(input, shortest - 60)
    expect(two.length).toBeGreaterThan(0)
    for (const o of two) {
      expect(o.dishes).toHaveLength(2)
      expect(o.makespan).toBeLessThanOrEqual(shortest - 60)
    }
    expect(await leaveOut(input, 60)).toEqual([])
  })

  it('stops when it is told to', async () => {
    let tries = 0
    await leaveOut(input, 60, () => ++tries < 2)
    expect(tries).toBe(2)
  })
})
