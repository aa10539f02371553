import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipes, demoSession } from '../../demo'
import { mainOf, type Recipe } from '../recipe'
import { roleIn } from './role'
import { daysAfter, eveningsFrom, fillEvenings, menuOf, withEaten } from './menu'
import { sessionSchema, type Session } from './schema'

const week: Session = {
  ...demoSession,
  start: '2027-03-20T09:00',
  evenings: eveningsFrom('2027-03-20T09:00', 7, 3),
  dishes: [
    { recipe: 'braised-pork', batches: 2 },
    { recipe: 'bean-bake', batches: 1 },
    { recipe: 'squash-soup', batches: 1 },
  ],
}
const dishOf = (session: Session, id: string) =>
  menuOf(session, demoRecipes).dishes.find((d) => d.recipe === id)!

describe('a menu', () => {
  it('begins on the day of the session, with short evenings in the week', () => {
    expect(week.evenings!.map((e) => [e.day.slice(8), e.time])).toEqual([
      ['20', 'long'],
      ['21', 'long'],
      ['22', 'short'],
      ['23', 'short'],
      ['24', 'short'],
      ['25', 'short'],
      ['26', 'long'],
    ])
    expect(sessionSchema.safeParse(week).success).toBe(true)
    // Over the change to summer time, and to the next month.
    expect(daysAfter('2027-03-20T09:00', '2027-04-02')).toBe(13)
  })

  it('counts how long a dish keeps from the day on which it is finished', () => {
    const late = (day: string, madeOn?: string) => {
      const eaten = withEaten(week, 'bean-bake', day, true)
      return menuOf(eaten, demoRecipes, () => madeOn).evenings.find((e) => e.day === day)!.late
    }
    expect(late('2027-03-23')).toEqual([])
    expect(late('2027-03-24')).toEqual(['bean-bake'])
    expect(late('2027-03-24', '2027-03-21')).toEqual([])
    expect(late('2027-03-23', '2027-03-19')).toEqual(['bean-bake'])
  })

  it('counts servings against eaters, and says how many batches would do', () => {
    const serves = demoRecipes.find((r) => r.id === 'bean-bake')!.serves
    let session = withEaten(week, 'bean-bake', '2027-03-20', true)
    expect(dishOf(session, 'bean-bake')).toMatchObject({ made: serves, wanted: 3, enough: 1 })
    session = withEaten(session, 'bean-bake', '2027-03-21', true)
    session = withEaten(session, 'bean-bake', '2027-03-22', true)
    expect(dishOf(session, 'bean-bake')).toMatchObject({ wanted: 9, enough: 2 })
    session = withEaten(session, 'bean-bake', '2027-03-22', false)
    expect(dishOf(session, 'bean-bake').wanted).toBe(6)
  })

  it('says what no longer keeps by then, and the freezer mends it', () => {
    const late = withEaten(week, 'bean-bake', '2027-03-25', true)
    const evening = (s: Session) =>
      menuOf(s, demoRecipes).evenings.find((e) => e.day === '2027-03-25')!
    expect(evening(late).late).toEqual(['bean-bake'])
    const frozen: Session = {
      ...late,
      dishes: late.dishes.map((d) => (d.recipe === 'bean-bake' ? { ...d, to: 'freezer' } : d)),
    }
    expect(evening(frozen).late).toEqual([])
    expect(dishOf(frozen, 'bean-bake').source).toMatch(/usual food safety guidance/)
    expect(dishOf(late, 'bean-bake').source).toBe('the recipe says so')
  })

  it('names a main ingredient that comes on two evenings running', () => {
    let session = withEaten(week, 'braised-pork', '2027-03-21', true)
    session = withEaten(session, 'braised-pork', '2027-03-22', true)
    const again = menuOf(session, demoRecipes).evenings.map((e) => e.again)
    expect(again.filter((a) => a !== undefined)).toEqual([
      mainOf(demoRecipes.find((r) => r.id === 'braised-pork')!),
    ])
    expect(again[2]).toMatch(/pork/)
  })

  it('fills evenings with what keeps shortest first, and never more than there is or keeps', () => {
    const filled = menuOf(fillEvenings(week, demoRecipes), demoRecipes)
    expect(filled.evenings[0]!.dishes).toEqual(['bean-bake'])
    expect(filled.evenings.filter((e) => e.dishes.length).length).toBeGreaterThan(3)
  })

  it('leaves alone the evenings for which there is something in the house already', () => {
    const provided = new Set(['2027-03-21', '2027-03-22'])
    const { evenings } = menuOf(fillEvenings(week, demoRecipes, provided), demoRecipes)
    for (const e of evenings) if (provided.has(e.day)) expect(e.dishes).toEqual([])
    expect(evenings[0]!.dishes.length).toBeGreaterThan(0)
  })

  it('combines parts, each pair once before any comes again, and never makes a meal of bars', () => {
    const dishes = ['brown-rice', 'spiced-chickpeas', 'turkey-patties', 'oat-bars'].map(
      (recipe) => ({
        recipe,
        batches: 3,
        to: 'freezer' as const,
      }),
    )
    const { evenings } = menuOf(fillEvenings({ ...week, dishes }, demoRecipes), demoRecipes)
    const plates = evenings.map((e) => [...e.dishes].sort().join('+'))
    expect(new Set(plates.slice(0, 3)).size).toBe(3)
    expect(plates.filter(Boolean).length).toBeGreaterThan(4)
    for (const plate of plates.filter(Boolean)) expect(plate.split('+')).toHaveLength(2)
    expect(plates.join()).not.toContain('oat-bars')
  })

  it('warms one thing on a short evening and combines parts on a long one', () => {
    const dishes = ['squash-soup', 'brown-rice', 'spiced-chickpeas'].map((recipe) => ({
      recipe,
      batches: 4,
      to: recipe === 'squash-soup' ? ('freezer' as const) : ('fridge' as const),
    }))
    const first = (time: 'short' | 'long') => {
      const evenings = week.evenings!.slice(0, 1).map((e) => ({ ...e, time }))
      return menuOf(fillEvenings({ ...week, evenings, dishes }, demoRecipes), demoRecipes)
        .evenings[0]!.dishes
    }
    expect(first('short')).toEqual(['squash-soup'])
    expect([...first('long')].sort()).toEqual(['brown-rice', 'spiced-chickpeas'])
  })

  it('never fills in more than there is, or what no longer keeps', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 10 }),
        fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 3, maxLength: 3 }),
        (eaters, halves) => {
          const session: Session = {
            ...week,
            evenings: eveningsFrom(week.start, eaters.length, 1).map((e, i) => ({
              ...e,
              eaters: eaters[i]!,
            })),
            dishes: week.dishes.map((d, i) => ({ ...d, batches: halves[i]! / 2 })),
          }
          const { dishes, evenings } = menuOf(fillEvenings(session, demoRecipes), demoRecipes)
          for (const d of dishes) expect(d.wanted).toBeLessThanOrEqual(d.made + 1e-9)
          for (const e of evenings) expect(e.late).toEqual([])
        },
      ),
    )
  })
})

describe('what a dish is on the table', () => {
  const named = (name: string, item = 'flour'): Recipe => ({
    ...demoRecipes[0]!,
    name,
    role: undefined,
    ingredients: [{ id: 'a', item, amount: 200, unit: 'g' }],
  })
  it('is said by its recipe, else bread, bars and dips go beside a meal', () => {
    expect(roleIn(named('Cardamom knots'))).toBe('extra')
    expect(roleIn(named('Oat bars', 'oats'))).toBe('extra')
    expect(roleIn(named('Hummus', 'chickpeas'))).toBe('extra')
    expect(roleIn(named('Sausage rolls', 'pork sausages'))).toBe('meal')
    expect(roleIn(named('Leek gratin', 'leeks'))).toBe('meal')
    expect(roleIn({ ...named('Soda bread'), role: 'part' })).toBe('part')
  })
})
