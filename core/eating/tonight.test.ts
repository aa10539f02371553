import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes } from '../../demo'
import { labelsOf } from '../labels'
import { lyingIn, packsFrom, shareOut } from '../packing'
import { cookingsOf, type Session } from '../session'
import { demoSession } from '../../demo'
import { eveningsCalendar } from './calendar'
import { afterwards, arranged, type House } from './house'
import { eveningFrom, eveningToPlan, planEvening } from './tonight'

const recipes = new Map(demoRecipes.map((r) => [r.id, r]))
const held = { session: demoSession as Session, kitchen: demoKitchen, recipes: demoRecipes }
const { assignment } = cookingsOf(held)
const labels = labelsOf({ ...held, ...(assignment ? { assignment } : {}) })
/** All that the demo packs, as it is packed on the Saturday. */
const packs = [...recipes.values()].flatMap((recipe) => {
  const own = labels.filter((l) => l.dish === recipe.id)
  if (!own.length) return []
  const read = packsFrom(
    shareOut(
      own,
      own.reduce((n, l) => n + l.portions, 0),
    ),
    {
      recipe,
      recipes,
      session: demoSession,
      cooked: own[0]!.cooked,
      at: '2027-03-20T14:00:00',
      boxes: demoKitchen.boxes!,
    },
  )
  if (!read.ok) throw new Error(read.issues[0]!.message)
  return read.value
})
const roleOf = (dish: string) => recipes.get(dish)!.role ?? 'meal'
const around = (today: string) => ({ today, sessions: [demoSession], roleOf })
const clock = (session: Session, seconds: number) => {
  const minutes =
    Number(session.start.slice(11, 13)) * 60 + Number(session.start.slice(14)) + seconds / 60
  return `${Math.floor(minutes / 60)}:${String(Math.round(minutes) % 60).padStart(2, '0')}`
}
const evening = (day: string, forgotten = false) => {
  const { arrangement } = arranged({ packs, meals: [] }, around('2027-03-20'))
  const now = forgotten ? { ...arrangement, thaw: [] } : arrangement
  const own = eveningFrom(day, now, lyingIn(packs), recipes)
  const session = eveningToPlan(day, own, now, recipes, demoKitchen)
  return { own, planned: session && planEvening(session, demoKitchen, { clock }) }
}

describe('twelve evenings out of what Highfell has packed', () => {
  const { arrangement } = arranged({ packs, meals: [] }, around('2027-03-20'))

  it('each have enough, and lose nothing', () => {
    expect(arrangement.days).toHaveLength(12)
    expect(arrangement.lost.map((l) => l.pack)).toEqual([])
    const fed = arrangement.days.filter((d) => d.plate.length)
    expect(fed.length).toBeGreaterThanOrEqual(11)
  })

  it('are ready on the minute, of what lies where it is said to lie', () => {
    for (const { day, plate } of arrangement.days.filter((_, k) => k % 3 === 0)) {
      const { own, planned } = evening(day)
      expect(own.eaten.length > 0).toBe(plate.length > 0)
      if (!plate.length) continue
      if (!planned) throw new Error(`no plan for ${day}`)
      expect(planned.session.start >= `${day}T16:00`).toBe(true)
      const words = planned.lines.map((l) => l.text).join('\n')
      for (const e of own.eaten)
        expect(words.toLowerCase()).toContain(e.name.toLowerCase().slice(0, 8))
      expect(planned.plan.makespan).toBeLessThanOrEqual(75 * 60)
    }
  })

  it('warm what is still frozen for longer, where it was not taken out the evening before', () => {
    const frozen = arrangement.thaw[0]!
    const eaten = arrangement.days.find((d) => d.plate.some((p) => p.pack === frozen.pack))!.day
    const usual = evening(eaten).planned!
    const forgotten = evening(eaten, true).planned!
    expect(usual.lines.map((l) => l.text).join()).toMatch(/where it has thawed/)
    expect(forgotten.lines.map((l) => l.text).join()).toMatch(/frozen as it is/)
    expect(forgotten.plan.makespan).toBeGreaterThan(usual.plan.makespan)
    // And the evening before says that it comes out.
    expect(
      evening(frozen.day)
        .planned!.lines.map((l) => l.text)
        .join(),
    ).toMatch(/Out of the freezer into the fridge for tomorrow/)
  })
})

describe('a calendar of the evenings', () => {
  it('has each dinner once and calls what thaws the night before', () => {
    const { arrangement } = arranged({ packs, meals: [] }, around('2027-03-20'))
    const text = eveningsCalendar(arrangement, lyingIn(packs), recipes, '2027-03-20T15:00:00Z')
    const events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((v) => new ICAL.Event(v))
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
    const dinners = events.filter((e) => e.summary.startsWith('Dinner: '))
    expect(dinners).toHaveLength(arrangement.days.filter((d) => d.plate.length).length)
    const out = events.filter((e) => e.summary.startsWith('Out of the freezer'))
    expect(out).toHaveLength(new Set(arrangement.thaw.map((t) => t.day)).size)
    for (const e of out) expect(e.startDate.toString()).toMatch(/T21:00:00$/)
    for (const e of events) expect(e.component.getAllSubcomponents('valarm')).toHaveLength(1)
  })
})

describe('packing dish after dish', () => {
  it('puts on each evening what was planned for it, in whatever order the dishes are packed', () => {
    const dishes = [...new Set(packs.map((p) => p.dish))]
    const planned = new Map<string, string[]>()
    for (const l of labels)
      if (l.on) planned.set(l.on, [...(planned.get(l.on) ?? []), l.dish].sort())
    for (const order of [dishes, [...dishes].reverse()]) {
      let house: House = { packs: [], meals: [] }
      for (const dish of order) {
        const own = packs.filter((p) => p.dish === dish)
        const read = afterwards(house, { kind: 'packed', packs: own }, around('2027-03-20'))
        if (!read.ok) throw new Error(read.issues[0]!.message)
        house = read.value.house
      }
      for (const [day, what] of planned) {
        const plate = house.meals.find((m) => m.id === day)!.plate!
        const there = plate.map((p) => packs.find((x) => x.id === p.pack)!.dish)
        expect([...new Set(there)].sort()).toEqual(what)
      }
    }
  })
})
