import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { cookingsOf } from '../session'
import { loomOf } from './loom'

const { assignment } = cookingsOf({
  session: demoSession,
  kitchen: demoKitchen,
  recipes: demoRecipes,
})
const rows = loomOf(demoSession, demoRecipes, assignment)
const cell = (row: string, dish: string) =>
  rows.find((r) => r.id === row)!.cells.find((c) => c.dish === dish)!

describe('the loom', () => {
  it('has sittings and evenings in their order, and a cell for each dish', () => {
    expect(rows.slice(0, 3).map((r) => r.id)).toEqual(['friday', 'main', '2027-03-20'])
    expect(rows).toHaveLength(14)
    for (const row of rows) expect(row.cells).toHaveLength(demoSession.dishes.length)
  })

  it('shows each step where it is done, once', () => {
    expect(cell('friday', 'squash-soup').steps).toEqual(['cut'])
    for (const { recipe } of demoSession.dishes) {
      const steps = rows.flatMap((r) => r.cells.find((c) => c.dish === recipe)!.steps)
      expect(steps.sort()).toEqual(
        demoRecipes
          .find((r) => r.id === recipe)!
          .steps.map((s) => s.id)
          .sort(),
      )
    }
  })

  it('leads each thread from where it begins to where it is eaten last', () => {
    expect(cell('friday', 'squash-soup')).toMatchObject({ before: 'nothing', after: 'parted' })
    expect(cell('main', 'squash-soup')).toMatchObject({ before: 'parted', after: 'freezer' })
    expect(cell('2027-03-22', 'bean-bake')).toMatchObject({
      eaten: true,
      before: 'fridge',
      after: 'nothing',
    })
    // What is frozen and nobody eats stays there.
    expect(cell('2027-03-31', 'soda-bread')).toMatchObject({ before: 'freezer', after: 'freezer' })
    for (const [k, row] of rows.entries())
      for (const c of row.cells) {
        const next = rows[k + 1]?.cells.find((x) => x.dish === c.dish)
        if (next) expect(next.before).toBe(c.after)
      }
  })

  it('has everything in the one sitting where there are no others', () => {
    const { sittings: _, ...one } = demoSession
    const alone = loomOf(one, demoRecipes, undefined)
    const main = alone.find((r) => r.id === 'main')!
    expect(main.cells.every((c) => c.steps.length > 0)).toBe(true)
  })
})
