import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { breachText, checkPlan } from '../plan'
import { solve } from '../solver'
import { compileSession } from './compile'
import { leaveOut } from './leaveOut'
import { mendsOf } from './mends'
import type { Session, SessionDish } from './schema'

const sessionOf = (...dishes: SessionDish[]): Session => ({ ...demoSession, dishes })
const input = (session: Session) => ({ session, kitchen: demoKitchen, recipes: demoRecipes })
const changed = (session: Session, dish: string, set: Partial<SessionDish>): Session => ({
  ...session,
  dishes: session.dishes.map((d) => (d.recipe === dish ? { ...d, ...set } : d)),
})

describe('what mends a session', () => {
  it('is nothing where nothing is in the way', () => {
    expect(mendsOf(input(sessionOf({ recipe: 'squash-soup', batches: 1 })))).toEqual([])
  })

  it('is two goes, or less of it, where no pot holds it all', () => {
    const session = sessionOf({ recipe: 'squash-soup', batches: 4 })
    const mends = mendsOf(input(session))
    expect(mends.map((m) => m.set)).toEqual([{ goes: 2 }, { batches: 3 }])
    for (const mend of mends) {
      expect(mend.left).toBe(0)
      expect(compileSession(input(changed(session, mend.dish, mend.set))).ok).toBe(true)
    }
  })

  it('is the freezer, tonight or less, where the fridge is too full', () => {
    const session = sessionOf({ recipe: 'bean-bake', batches: 6 })
    const sets = mendsOf(input(session)).map((m) => m.set)
    expect(sets).toEqual([{ to: 'freezer' }, { to: 'tonight' }, { batches: 5 }])
  })

  it('is not offered where it would leave as much in the way', () => {
    const session: Session = { ...sessionOf({ recipe: 'squash-soup', batches: 1 }), cooks: [] }
    expect(mendsOf(input(session))).toEqual([])
  })
})

describe('a dish in two goes', () => {
  const session = sessionOf({ recipe: 'squash-soup', batches: 4, goes: 2 })
  const reading = compileSession(input(session))
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  const { problem, dishes, cards, shared } = reading.value

  it('is two dishes of half the batches, and a plan of them keeps all rules', () => {
    expect(dishes.filter((d) => !d.base).map((d) => [d.id, d.name, d.batches])).toEqual([
      ['squash-soup', 'Squash and red lentil soup', 2],
      ['squash-soup-go-2', 'Squash and red lentil soup, go 2', 2],
    ])
    const plan = solve(problem, { iterations: 30 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    expect(plan.activities.length).toBeGreaterThan(0)
  })

  it('shares its cutting', () => {
    expect(shared.map((s) => s.parts.map((p) => p.dish))).toEqual([
      ['squash-soup', 'squash-soup-go-2'],
    ])
    const cut = Object.values(cards).find((c) => c.dish === shared[0]!.id)!
    expect(cut.uses).toHaveLength(2)
  })
})

it('what is eaten tonight takes no room in the cold', () => {
  const reading = compileSession(
    input(sessionOf({ recipe: 'bean-bake', batches: 1, to: 'tonight' })),
  )
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  expect(reading.value.problem.holds.filter((h) => h.id === 'bean-bake.fridge')).toEqual([])
})

it('what must be made is not proposed to be left out', async () => {
  const session = sessionOf(
    { recipe: 'squash-soup', batches: 1, must: true },
    { recipe: 'soda-bread', batches: 1 },
    { recipe: 'oat-bars', batches: 1 },
  )
  const options = await leaveOut(input(session), 3 * 3600)
  expect(options.length).toBeGreaterThan(0)
  expect(options.flatMap((o) => o.dishes)).not.toContain('squash-soup')
})
