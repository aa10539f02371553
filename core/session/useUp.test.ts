import { describe, expect, it } from 'vitest'
import { demoMenus, demoRecipes, demoSession } from '../../demo'
import { inTurn, menuFrom, menuSchema, withMenu } from './earlierMenus'
import { sessionSchema } from './schema'
import { dueOf, readToUse, withoutDue } from './useUp'

describe('what is to be used up', () => {
  it('is read as a cook writes it, or refused with what is allowed', () => {
    expect(readToUse('300 g spinach', '2027-03-22')).toEqual({
      ok: true,
      value: { item: 'spinach', amount: 300, unit: 'g', by: '2027-03-22' },
    })
    for (const bad of ['', '-2 leeks', '3 blorps of leeks', '300 g']) {
      const reading = readToUse(bad, undefined)
      expect(reading.ok).toBe(false)
      if (!reading.ok) expect(reading.issues[0]!.allowed).not.toBe('')
    }
  })

  it('stands soonest first, with the dishes that ask for it, those chosen first', () => {
    const due = dueOf(demoSession, demoRecipes)
    expect(due.map((d) => d.line)).toEqual(['700 g parsnips', '300 g celery'])
    expect(due[1]!.takers).toEqual([
      { recipe: 'braised-pork', wants: '400 g celery', chosen: true },
    ])
    const two = { ...demoSession, useUp: [...demoSession.useUp!, ...demoSession.useUp!] }
    expect(dueOf(withoutDue(two, due[0]!), demoRecipes).map((d) => d.item)).toEqual([
      'parsnips',
      'celery',
      'celery',
    ])
    const nothing = dueOf(
      { ...demoSession, useUp: [{ item: 'seaweed', amount: 1, unit: 'g' }] },
      demoRecipes,
    )
    expect(nothing[0]!.takers).toEqual([])
  })
})

describe('menus that were kept', () => {
  it('hold the dishes without the days, and give them back', () => {
    const menu = menuFrom(
      { ...demoSession, dishes: [{ recipe: 'fish-pie', batches: 1, must: true, done: ['leek'] }] },
      'again',
    )
    expect(menuSchema.safeParse(menu).success).toBe(true)
    expect(menu.dishes).toEqual([{ recipe: 'fish-pie', batches: 1, must: true }])
    const session = withMenu(demoSession, menu, demoRecipes)
    expect(session.dishes).toEqual(menu.dishes)
    expect(sessionSchema.safeParse(session).success).toBe(true)
  })

  it('come round in their turn, and do without recipes that are gone', () => {
    expect(inTurn([...demoMenus].reverse()).map((m) => m.id)).toEqual(['new-year', 'half-term'])
    const few = demoRecipes.filter((r) => r.id !== 'soda-bread')
    expect(withMenu(demoSession, demoMenus[0]!, few).dishes.map((d) => d.recipe)).toEqual([
      'braised-pork',
      'squash-soup',
      'oat-bars',
    ])
  })
})
