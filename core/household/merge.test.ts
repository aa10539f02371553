import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoMenus, demoRecipes, demoSession } from '../../demo'
import {
  contentsOf,
  emptyHousehold,
  mergeHouseholds,
  OWNED,
  outdated,
  readHousehold,
  type Household,
} from './index'

const demo: Household = {
  ...emptyHousehold('2027-03-20T08:00:00.000Z'),
  kitchens: [demoKitchen],
  recipes: demoRecipes,
  sessions: [demoSession],
  menus: demoMenus,
}
const sound = (h: Household) => readHousehold(JSON.stringify(h)).ok

describe('mergeHouseholds', () => {
  it('adds everything to nothing, and nothing to itself', () => {
    const empty = emptyHousehold(demo.savedAt)
    expect(mergeHouseholds(empty, demo).household).toEqual(demo)
    const again = mergeHouseholds(demo, demo)
    expect(again.household).toEqual(demo)
    expect(again).toMatchObject({ added: 0, beside: 0 })
  })

  it('leaves what is there as it is, and takes what differs in beside it', () => {
    const own = { ...demoRecipes[8]!, serves: 99 }
    const here = { ...emptyHousehold(demo.savedAt), recipes: [own] }
    const { household, added, beside } = mergeHouseholds(here, demo)
    expect(household.recipes[0]).toEqual(own)
    const theirs = household.recipes.find((r) => r.id === `${own.id}-2`)!
    expect(theirs).toMatchObject({ name: `${own.name} 2`, serves: demoRecipes[8]!.serves })
    expect(theirs.mark).not.toBe(own.mark)
    expect(beside).toBe(1)
    expect(added).toBe(demoRecipes.length + 2 + demoMenus.length)
    // The session that came along cooks the recipe that came along.
    const dish = household.sessions[0]!.dishes.find((d) => d.recipe.startsWith(own.id))
    expect(dish?.recipe).toBe(`${own.id}-2`)
    expect(sound(household)).toBe(true)
    // A second time there is nothing left to bring.
    expect(mergeHouseholds(household, demo).household.recipes).toHaveLength(
      household.recipes.length,
    )
  })

  it('gives a newcomer its own name where what is there is called otherwise by now', () => {
    const here = {
      ...emptyHousehold(demo.savedAt),
      recipes: [{ ...demoRecipes[8]!, name: 'Ours' }],
    }
    const { household } = mergeHouseholds(here, demo)
    expect(household.recipes.map((r) => r.name)).toContain(demoRecipes[8]!.name)
    expect(household.recipes[0]!.name).toBe('Ours')
  })

  it('moves bases, kitchens and plans along with what speaks of them', () => {
    const base = demoRecipes.find((r) => r.base)!
    const here: Household = {
      ...emptyHousehold(demo.savedAt),
      recipes: [{ ...base, serves: 77 }],
      kitchens: [{ ...demoKitchen, name: 'Ours' }],
      sessions: [{ ...demoSession, name: 'Ours' }],
      cooking: [{ session: demoSession.id, startedAt: 1, events: [], plans: [] }],
    }
    const cooking = [{ session: demoSession.id, startedAt: 2, events: [], plans: [] }]
    const { household, sessionOf } = mergeHouseholds(here, { ...demo, cooking })
    expect(sessionOf(demoSession.id)).toBe(`${demoSession.id}-2`)
    const takes = household.recipes.flatMap((r) => r.steps.flatMap((s) => s.takes))
    expect(takes.some((t) => t.base === `${base.id}-2`)).toBe(true)
    expect(takes.some((t) => t.base === base.id)).toBe(false)
    const [ours, theirs] = household.sessions
    expect(ours).toMatchObject({ name: 'Ours', kitchen: demoKitchen.id })
    expect(theirs).toMatchObject({ kitchen: `${demoKitchen.id}-2`, id: `${demoSession.id}-2` })
    expect(household.cooking).toEqual([
      { session: demoSession.id, startedAt: 1, events: [], plans: [] },
      { session: `${demoSession.id}-2`, startedAt: 2, events: [], plans: [] },
    ])
    expect(sound(household)).toBe(true)
  })

  it('never loses or changes a thing, whatever parts two households share', () => {
    const part = fc.record({
      recipes: fc.subarray(demoRecipes),
      serves: fc.integer({ min: 1, max: 9 }),
    })
    fc.assert(
      fc.property(part, part, (a, b) => {
        const household = ({ recipes, serves }: typeof a): Household => ({
          ...emptyHousehold(demo.savedAt),
          recipes: recipes.map((r) => ({ ...r, serves })),
        })
        const [mine, theirs] = [household(a), household(b)]
        const merged = mergeHouseholds(mine, theirs).household
        expect(merged.recipes.slice(0, mine.recipes.length)).toEqual(mine.recipes)
        for (const r of theirs.recipes)
          expect(
            merged.recipes.some((m) => m.serves === r.serves && m.name.startsWith(r.name)),
          ).toBe(true)
        const ids = merged.recipes.map((r) => r.id)
        expect(new Set(ids).size).toBe(ids.length)
        const marks = merged.recipes.map((r) => r.mark)
        expect(new Set(marks).size).toBe(marks.length)
      }),
    )
  })

  it('counts what a household owns in words, every list of it', () => {
    expect(contentsOf(demo)).toEqual([
      `${demoRecipes.length} recipes`,
      '1 kitchen',
      '1 session',
      `${demoMenus.length} menu${demoMenus.length === 1 ? '' : 's'}`,
    ])
    expect(Object.keys(demo).filter((k) => Array.isArray(demo[k as keyof Household]))).toEqual([
      ...OWNED,
    ])
  })
})

describe('outdated', () => {
  const HOUR = 3_600_000
  const states = (n: number, hours: number) =>
    Array.from({ length: n }, (_, i) => ({ id: i + 1, at: i * hours * HOUR }))

  it('keeps the ten latest of one morning', () => {
    expect(outdated(states(12, 0.1))).toEqual([2, 1])
    expect(outdated(states(10, 0.1))).toEqual([])
  })

  it('keeps the last of each day for a week beside them', () => {
    // Twelve a day over ten days: the ten latest are of one day.
    const gone = new Set(outdated(states(120, 2)))
    const kept = states(120, 2).filter((s) => !gone.has(s.id))
    expect(kept).toHaveLength(10 + 6)
    expect(Math.min(...kept.map((s) => s.id))).toBe(48)
  })

  it('keeps at least the ten latest kept, also when the clock was set back', () => {
    const back = [...states(10, 24), ...states(5, 1).map((s) => ({ id: s.id + 10, at: s.at }))]
    const gone = outdated(back)
    for (const id of [6, 7, 8, 9, 10, 11, 12, 13, 14, 15]) expect(gone).not.toContain(id)
  })
})
