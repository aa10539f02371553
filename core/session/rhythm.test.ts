import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoMenus, demoRecipes, demoSession } from '../../demo'
import { mainOf } from '../recipe'
import { solve } from '../solver'
import { compileSession } from './compile'
import { cookingsOf } from './sittings'
import { HABITS, nextDay, proposed, rhythmSchema, type Rhythm } from './rhythm'

const rhythm = (name: string, change: Partial<Rhythm> = {}): Rhythm =>
  rhythmSchema.parse({
    ...HABITS.find((h) => h.name === name),
    format: 'cadrum/rhythm@1',
    id: 'ours',
    kitchen: 'highfell',
    cooks: ['runa', 'teo'],
    eaters: 3,
    ...change,
  })
const before = { sessions: [demoSession], menus: demoMenus }
const next = (r: Rhythm, after = '2027-04-01') =>
  proposed(r, after, demoKitchen, demoRecipes, before)

describe('when a rhythm comes round', () => {
  const weekly = rhythm('The big weekly session')

  it('is the next such day, and never today', () => {
    expect(nextDay(weekly, '2027-04-01', undefined)).toBe('2027-04-04')
    expect(nextDay(weekly, '2027-04-04', undefined)).toBe('2027-04-11')
  })

  it('is two weeks after the last time, or on the first such day of a month', () => {
    const other = { ...weekly, every: 'two weeks' as const }
    expect(nextDay(other, '2027-04-05', '2027-04-04')).toBe('2027-04-18')
    const monthly = { ...weekly, every: 'month' as const, weekday: 6 }
    expect(nextDay(monthly, '2027-04-01', undefined)).toBe('2027-04-03')
    expect(nextDay(monthly, '2027-04-03', undefined)).toBe('2027-05-01')
  })

  it('is on its weekday, after the day from which it is asked', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2027-01-01'), max: new Date('2028-12-31'), noInvalidDate: true }),
        fc.integer({ min: 1, max: 7 }),
        fc.constantFrom('week' as const, 'two weeks' as const, 'month' as const),
        (date, weekday, every) => {
          const after = date.toISOString().slice(0, 10)
          const day = nextDay({ ...weekly, weekday, every }, after, undefined)
          expect(day > after).toBe(true)
          expect(new Date(`${day}T12:00:00Z`).getUTCDay() % 7).toBe(weekday % 7)
        },
      ),
    )
  })
})

describe('what a rhythm proposes', () => {
  it('has its day, people, sittings and evenings', () => {
    const session = next(rhythm('Two sittings over a week-end'))
    expect(session).toMatchObject({ start: '2027-04-03T09:30', limit: 150, cooks: ['runa', 'teo'] })
    expect(session.sittings).toMatchObject([{ start: '2027-04-02T19:30', limit: 60 }])
    expect(session.evenings).toHaveLength(7)
    expect(session.dishes).toHaveLength(6)
  })

  it('uses up what there is, then turns to what was cooked longest ago, and varies', () => {
    const session = next(rhythm('The big weekly session', { dishes: 3 }))
    const chosen = session.dishes.map((d) => demoRecipes.find((r) => r.id === d.recipe)!)
    // Parsnips and celery are to be used up.
    expect(chosen[0]!.id).toBe('braised-pork')
    expect(new Set(chosen.map(mainOf)).size).toBe(3)
    const old = proposed(
      rhythm('The big weekly session', { dishes: 1 }),
      '2027-04-01',
      demoKitchen,
      demoRecipes,
      {
        sessions: [{ ...demoSession, useUp: [], dishes: demoSession.dishes.slice(1) }],
        menus: [],
      },
    )
    expect(old.dishes[0]!.recipe).toBe('braised-pork')
  })

  it('begins with what is in the house, but not with what goes off before', () => {
    const one = rhythm('The big weekly session', { dishes: 1 })
    const of = (by: string) =>
      proposed(one, '2027-04-01', demoKitchen, demoRecipes, {
        sessions: [{ ...demoSession, useUp: [] }],
        menus: [],
        house: [{ item: 'red lentils', amount: 200, unit: 'g', by }],
      })
    const first = demoRecipes.find((r) => r.id === of('2027-04-10').dishes[0]!.recipe)!
    expect(first.ingredients.some((i) => /red lentils/.test(i.item))).toBe(true)
    expect(of('2027-04-10').useUp).toMatchObject([{ item: 'red lentils', by: '2027-04-10' }])
    expect(of('2027-04-03').useUp).toBeUndefined()
  })

  it('proposes one time after the other', () => {
    const weekly = rhythm('The big weekly session')
    const first = next(weekly)
    const second = proposed(weekly, '2027-04-01', demoKitchen, demoRecipes, {
      ...before,
      sessions: [demoSession, first],
    })
    expect([first.id, second.id]).toEqual(['ours-2027-04-04', 'ours-2027-04-11'])
    expect(second.dishes.map((d) => d.recipe)).not.toEqual(first.dishes.map((d) => d.recipe))
  })

  it('never takes the name of another session, nor counts those of another rhythm', () => {
    const weekly = rhythm('The big weekly session')
    const first = next(weekly)
    const moved = { ...first, start: '2027-03-28T10:00' }
    const again = proposed(weekly, '2027-04-01', demoKitchen, demoRecipes, {
      ...before,
      sessions: [moved],
    })
    expect(again.start).toBe(first.start)
    expect(again.id).not.toBe(moved.id)
    const other = { ...first, id: 'ours-and-theirs-2027-06-06', start: '2027-06-06T10:00' }
    expect(
      proposed(weekly, '2027-04-01', demoKitchen, demoRecipes, { ...before, sessions: [other] })
        .start,
    ).toBe(first.start)
  })

  it('has an hour on each of five mornings, with tonight\u2019s dinner made by then', () => {
    const session = next(rhythm('An hour each morning'))
    expect(session.sittings!.map((s) => s.start)).toEqual(
      [6, 7, 8, 9].map((d) => `2027-04-0${d}T08:00`),
    )
    const { sittings, assignment, issues } = cookingsOf({
      session,
      kitchen: demoKitchen,
      recipes: demoRecipes,
    })
    expect(issues).toEqual([])
    // Made in the morning it is not left out till the evening.
    expect(session.dishes.every((d) => d.to === 'fridge')).toBe(true)
    for (const dish of session.dishes) {
      const last = Math.max(...assignment!.placed.get(dish.recipe)!.values())
      expect(assignment!.slots[last]!.start.slice(0, 10) <= dish.on![0]!).toBe(true)
    }
    for (const s of sittings) {
      const compiled = compileSession({ ...s, kitchen: demoKitchen })
      expect(compiled.ok, JSON.stringify(compiled)).toBe(true)
      if (compiled.ok)
        expect(solve(compiled.value.problem, { iterations: 30 }).activities.length).toBeGreaterThan(
          0,
        )
    }
  })

  it('makes two of a dish where one is for the freezer, and freezes a whole day\u2019s work', () => {
    expect(next(rhythm('Dinner twice, one for the freezer')).dishes).toMatchObject([{ batches: 2 }])
    const day = next(rhythm('The monthly freezer day'))
    expect(day.dishes.every((d) => d.to === 'freezer')).toBe(true)
    expect(day.evenings).toBeUndefined()
  })

  it('never proposes a base by itself, nor more than there is', () => {
    for (const habit of HABITS) {
      const session = next(rhythm(habit.name, { dishes: 20 }))
      const ids = session.dishes.map((d) => d.recipe)
      expect(new Set(ids).size).toBe(ids.length)
      for (const id of ids) expect(demoRecipes.find((r) => r.id === id)!.base).toBe(false)
    }
  })
})
