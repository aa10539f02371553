import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayAfter, lyingIn, lyingOf, tallyMoves, withMove, type Pack } from '../packing'
import { packed } from '../packing/packs.fixture'
import type { Session } from '../session'
import { arrange } from './arrange'
import { shortBy, type RoleOf } from './served'
import { daysFrom } from './days'
import { asPacked } from './asPacked'
import { lookBack } from './lookBack'
import { helpingOf, meantOn, settled, spareOf } from './table'
import { afterwards, arranged, type Act, type After, type House } from './house'

const FIRST = '2027-03-20'
const roleOf: RoleOf = (dish) =>
  dish.startsWith('grain') || dish.startsWith('beans')
    ? 'part'
    : dish.startsWith('bars')
      ? 'extra'
      : 'meal'

/** A session whose evenings begin on the day it is cooked. */
const session = (days: number, eaters = 3): Session => ({
  format: 'cadrum/session@1',
  id: 'saturday',
  name: 'Saturday',
  kitchen: 'k',
  cooks: [],
  start: `${FIRST}T09:00`,
  dishes: [],
  evenings: Array.from({ length: days }, (_, k) => ({
    day: dayAfter(FIRST, k),
    time: k % 3 ? ('short' as const) : ('long' as const),
    eaters,
  })),
})
const around = (today: string, days = 7, eaters = 3) => ({
  today,
  sessions: [session(days, eaters)],
  roleOf,
})
const start = (packs: Pack[], days = 7): After =>
  arranged({ packs, meals: [] }, around(FIRST, days))
const does = (house: House, act: Act, today: string, days = 7): After => {
  const read = afterwards(house, act, around(today, days))
  if (!read.ok) throw new Error(read.issues.map((i) => `${i.path} ${i.message}`).join('; '))
  return read.value
}
const dishesBy = ({ arrangement }: After) =>
  Object.fromEntries(
    arrangement.days.map((d) => [
      d.day.slice(8),
      [...new Set(d.plate.map((p) => p.pack.split('-')[0]))].join('+'),
    ]),
  )

/** Eats and thaws as it is arranged, told as it would be told: whatever is refused was wrongly arranged. */
function liveThrough({ house, arrangement }: After, today: string): void {
  const packs = new Map(house.packs.map((p) => [p.id, p]))
  const tell = (id: string, move: Parameters<typeof withMove>[1]) => {
    const read = withMove(packs.get(id)!, move)
    if (!read.ok) throw new Error(`${id}: ${read.issues[0]!.message}`)
    packs.set(id, read.value)
  }
  const last = arrangement.days.at(-1)?.day ?? today
  for (let day = today; day <= last; day = dayAfter(day, 1)) {
    for (const { pack, portions } of arrangement.days.find((d) => d.day === day && !d.over)
      ?.plate ?? []) {
      if (lyingOf(packs.get(pack)!).place === 'freezer')
        tell(pack, { kind: 'moved', place: 'fridge', at: `${day}T18:00:00` })
      tell(pack, { kind: 'eaten', portions, at: `${day}T19:00:00` })
    }
    for (const t of arrangement.thaw)
      if (t.day === day && lyingOf(packs.get(t.pack)!).place === 'freezer')
        tell(t.pack, { kind: 'moved', place: 'fridge', at: `${day}T21:00:00` })
  }
}

describe('the evenings', () => {
  it('eat first what keeps shortest, thaw the evening before, and let nothing pass its day', () => {
    const after = start([
      packed('fishpie', 3, { keeps: { fridge: 1, freezer: 60, shelf: 0 } }),
      packed('stew', 6),
      ...[1, 2, 3].map((n) => packed('soup', 3, { place: 'freezer', id: `soup-${n}` })),
    ])
    const by = dishesBy(after)
    const days = (dish: string) => Object.keys(by).filter((d) => by[d] === dish)
    expect(days('fishpie')).toHaveLength(1)
    expect(Number(days('fishpie')[0])).toBeLessThanOrEqual(21)
    expect(days('stew')).toHaveLength(2)
    expect(Number(days('stew')[1])).toBeLessThanOrEqual(23)
    expect(days('soup')).toHaveLength(3)
    expect(after.arrangement).toMatchObject({ lost: [], freeze: [] })
    // A pack comes out of the freezer on the evening before.
    for (const t of after.arrangement.thaw) expect(by[dayAfter(t.day, 1).slice(8)]).toBe('soup')
    liveThrough(after, FIRST)
  })

  it('leave alone what was arranged, and say what moved and why when something is gone', () => {
    const first = start([packed('stew', 3), packed('soup', 3, { place: 'freezer' })], 3)
    expect(arranged(first.house, around(FIRST, 3))).toEqual(first)
    const on = first.arrangement.days.find((d) => d.plate.some((p) => p.pack.startsWith('stew')))!
    const gone = does(
      first.house,
      {
        kind: 'happened',
        pack: 'stew-fridge-3',
        move: { kind: 'thrown', at: '2027-03-20T15:00', portions: 3, why: 'went bad' },
      },
      FIRST,
      3,
    )
    expect(gone.arrangement.moved).toContainEqual(
      expect.objectContaining({ day: on.day, from: ['something that is gone'], why: 'it is gone' }),
    )
    expect(gone.arrangement.days.flatMap((d) => d.plate.map((p) => p.pack))).not.toContain(
      'stew-fridge-3',
    )
  })

  it('find more for a guest, and say who goes short where there is no more', () => {
    const first = start([packed('stew', 6), packed('soup', 6, { place: 'freezer' })], 4)
    const day = first.arrangement.days.find((d) => d.plate.length)!.day
    const more = does(first.house, { kind: 'eaters', day, eaters: 5 }, FIRST, 4)
    const plate = more.arrangement.days.find((d) => d.day === day)!.plate
    expect(plate.reduce((n, p) => n + p.portions, 0)).toBe(5)
    liveThrough(more, FIRST)
    const refused = afterwards(first.house, { kind: 'eaters', day, eaters: 2.5 }, around(FIRST, 4))
    expect(refused.ok).toBe(false)
  })

  it('change places with one another, and stay so', () => {
    const first = start([packed('stew', 3), packed('soup', 3)], 2)
    const before = dishesBy(first)
    const swapped = does(first.house, { kind: 'swapped', day: FIRST, with: '2027-03-21' }, FIRST, 2)
    expect(dishesBy(swapped)).toEqual({ 20: before[21], 21: before[20] })
    expect(arranged(swapped.house, around(FIRST, 2)).arrangement).toMatchObject({
      days: swapped.arrangement.days,
    })
    // What would be past its day is not put there, and nothing else changes.
    const fish = packed('fishpie', 3, { keeps: { fridge: 1, freezer: 60, shelf: 0 } })
    const short = start([fish, packed('soup', 3, { place: 'freezer' })], 5)
    const [early, late] = ['2027-03-21', '2027-03-24']
    const late3 = does(
      short.house,
      { kind: 'on the table', day: early, plate: [{ pack: fish.id, portions: 3 }] },
      FIRST,
      5,
    )
    const refused = afterwards(
      late3.house,
      { kind: 'swapped', day: early, with: late },
      around(FIRST, 5),
    )
    expect(refused.ok ? '' : refused.issues[0]!.message).toBe('would be past its day, 2027-03-21')
    const put = afterwards(
      short.house,
      { kind: 'on the table', day: late, plate: [{ pack: fish.id, portions: 3 }] },
      around(FIRST, 5),
    )
    expect(put.ok).toBe(false)
    const back = does(swapped.house, { kind: 'let go', day: FIRST }, FIRST, 2)
    expect(back.arrangement.days[0]!.fixed).toBe(false)
  })

  it('put two parts together, and none of them alone where it can be helped', () => {
    const after = start(
      [packed('grain', 6), packed('beans', 6), packed('soup', 3), packed('bars', 12)],
      3,
    )
    const plates = Object.values(dishesBy(after))
    expect(plates.filter((p) => p === 'beans+grain' || p === 'grain+beans')).toHaveLength(2)
    expect(plates.join()).not.toContain('bars')
  })

  it('say what to freeze by when, where more is there than anybody eats in time', () => {
    const { arrangement } = start([packed('stew', 24)], 7)
    expect(arrangement.freeze).toEqual([{ pack: 'stew-fridge-24', by: '2027-03-23', portions: 12 }])
    const salad = packed('salad', 24, { keeps: { fridge: 2, freezer: 0, shelf: 0 } })
    expect(start([salad], 7).arrangement.lost).toEqual([
      { pack: 'salad-fridge-24', portions: 15, eatBy: '2027-03-22' },
    ])
  })

  it('are over with what was eaten: what was warmed and left is thrown away, what stayed cold lies on', () => {
    const first = start([packed('stew', 6)], 3)
    const over = does(
      first.house,
      {
        kind: 'eaten',
        day: FIRST,
        at: `${FIRST}T19:30`,
        of: [{ pack: 'stew-fridge-6', portions: 2 }],
        warmed: [{ pack: 'stew-fridge-6', portions: 1 }],
      },
      FIRST,
      3,
    )
    expect(tallyMoves(over.house.packs)).toMatchObject({ eaten: 2, thrown: 1, left: 3 })
    const next = over.arrangement.days.find((d) => d.day === '2027-03-21')!
    expect(next.plate).toEqual([{ pack: 'stew-fridge-6', portions: 3 }])
    const twice = afterwards(
      over.house,
      {
        kind: 'eaten',
        day: FIRST,
        at: `${FIRST}T20:00`,
        of: [{ pack: 'stew-fridge-6', portions: 9 }],
      },
      around(FIRST, 3),
    )
    expect(twice.ok).toBe(false)
  })
})

describe('beside what is arranged', () => {
  const days = () => start([packed('stew', 6), packed('soup', 3, { place: 'freezer' })], 2)

  it('what no evening takes is spare, and a helping comes rather of that', () => {
    const { arrangement, house } = start([packed('stew', 9), packed('stew', 2, { id: 'more' })], 2)
    const lying = lyingIn(house.packs)
    const spare = spareOf(arrangement, lying)
    const taken = arrangement.days.flatMap((d) => d.plate).reduce((n, p) => n + p.portions, 0)
    expect(spare.reduce((n, s) => n + s.left, 0) + taken).toBe(11)
    const [day] = arrangement.days
    const helping = helpingOf('stew', { ...day!, eaters: 4 }, arrangement.days, lying)
    expect(helping.reduce((n, p) => n + p.portions, 0)).toBe(4)
    expect(meantOn(arrangement.days).get(day!.plate[0]!.pack)).toBeDefined()
    expect(helpingOf('stew', { ...day!, day: '2027-03-30' }, arrangement.days, lying)).toEqual([])
  })

  it('an evening is settled pack by pack', () => {
    const { house } = days()
    const plate = [
      { pack: 'stew-fridge-6', portions: 2 },
      { pack: 'soup-freezer-3', portions: 3 },
    ]
    const told = new Map([
      ['stew', { portions: 2, warmed: true }],
      ['soup', { portions: 1, warmed: true }],
    ])
    expect(settled(plate, lyingIn(house.packs), told)).toEqual({
      of: [
        { pack: 'stew-fridge-6', portions: 2 },
        { pack: 'soup-freezer-3', portions: 1 },
      ],
      warmed: [{ pack: 'soup-freezer-3', portions: 2 }],
    })
    told.set('soup', { portions: 0, warmed: false })
    expect(settled(plate, lyingIn(house.packs), told)).toEqual({ of: [plate[0]], warmed: [] })
  })

  it('a day with something fresh from the stove takes nothing of it, and nobody goes short', () => {
    const fresh = new Set([FIRST])
    const { arrangement, house } = arranged(
      { packs: [packed('stew', 6)], meals: [] },
      { ...around(FIRST, 2), fresh },
    )
    expect(arrangement.days[0]!.plate).toEqual([])
    expect(arrangement.days[1]!.plate).toEqual([{ pack: 'stew-fridge-6', portions: 3 }])
    expect([...shortBy(arrangement.days, lyingIn(house.packs), roleOf).keys()]).toEqual([])
  })

  it('the session has its dishes on the evenings on which they are eaten', () => {
    const own = { session: 'saturday' }
    const { house } = start([packed('stew', 3, own), packed('soup', 3, own)], 2)
    const menu = {
      ...session(2),
      dishes: ['stew', 'soup', 'rice'].map((recipe) => ({
        recipe,
        batches: 1,
        on: ['2027-03-30'],
      })),
    }
    const served = asPacked(menu, house.packs, house.meals)
    const on = (dish: string) => served.dishes.find((d) => d.recipe === dish)!.on
    expect([...on('stew')!, ...on('soup')!].sort()).toEqual([FIRST, '2027-03-21'])
    expect(on('rice')).toEqual(['2027-03-30'])
    expect(asPacked(menu, [], [])).toBe(menu)
    // Of evenings of which nothing is told it is what was packed for them.
    const meant = asPacked(menu, house.packs, [])
    for (const dish of meant.dishes) {
      const own = house.packs.filter((p) => p.session === menu.id && p.dish === dish.recipe)
      if (own.length) expect(dish.on).toEqual([...new Set(own.flatMap((p) => p.on ?? []))].sort())
    }
  })
})

describe('any life of a household', () => {
  const dish = fc.constantFrom('stew', 'soup', 'pie', 'grain', 'beans', 'bars')
  const aPack = fc.record({
    dish,
    portions: fc.integer({ min: 1, max: 8 }),
    place: fc.constantFrom('fridge' as const, 'freezer' as const),
    fridge: fc.integer({ min: 1, max: 4 }),
    freezer: fc.constantFrom(0, 60),
  })
  const happens = fc.record({
    days: fc.constantFrom(0, 0, 0, 1, 1, 2),
    what: fc.constantFrom(
      'eat' as const,
      'eat' as const,
      'half' as const,
      'guests' as const,
      'swap' as const,
      'thaw' as const,
      'freeze' as const,
      'throw' as const,
      'give' as const,
      'choose' as const,
      'let go' as const,
      'cook' as const,
    ),
    a: fc.nat(40),
    b: fc.nat(40),
  })

  it('is fed nearly as well as by a search that is fifty times as wide', () => {
    const total = { here: 0, wide: 0 }
    fc.assert(
      fc.property(
        fc.array(aPack, { minLength: 4, maxLength: 12 }),
        fc.integer({ min: 1, max: 4 }),
        (list, eaters) => {
          const lying = lyingIn(
            list.map((p, k) =>
              packed(p.dish, p.portions, {
                id: `${p.dish}-${k}`,
                place: p.freezer ? p.place : 'fridge',
                keeps: { fridge: p.fridge, freezer: p.freezer, shelf: 0 },
              }),
            ),
          )
          const days = daysFrom(around(FIRST, 8, eaters), [], [])
          const bad = (width?: number) => {
            const a = arrange(FIRST, days, lying, roleOf, width)
            const short = [...shortBy(a.days, lying, roleOf).values()].reduce((n, x) => n + x, 0)
            const lost = a.lost.reduce((n, x) => n + x.portions, 0)
            return 1000 * short + 300 * lost
          }
          total.here += bad()
          total.wide += bad(2000)
        },
      ),
      { numRuns: 25, seed: 7 },
    )
    expect(total.here).toBeLessThanOrEqual(total.wide * 1.03)
  })

  it('adds up at every moment, proposes nothing past its day, and settles', () => {
    fc.assert(
      fc.property(
        fc.array(aPack, { minLength: 1, maxLength: 7 }),
        fc.array(happens, { maxLength: 14 }),
        fc.integer({ min: 0, max: 5 }),
        (first, list, eaters) => {
          let n = 0
          const fill = (p: (typeof first)[number], day: string): Pack =>
            packed(p.dish, p.portions, {
              id: `${p.dish}-${++n}`,
              place: p.freezer ? p.place : 'fridge',
              cooked: day,
              at: `${day}T12:00:00`,
              keeps: { fridge: p.fridge, freezer: p.freezer, shelf: 0 },
              cost: 100 * p.portions,
            })
          let today = FIRST
          let clock = 0
          const now = () => {
            clock++
            const two = (x: number) => String(x).padStart(2, '0')
            return `${today}T${two(13 + Math.floor(clock / 3600))}:${two(Math.floor(clock / 60) % 60)}:${two(clock % 60)}`
          }
          const about = () => around(today, 10, eaters)
          let after = arranged({ packs: first.map((p) => fill(p, FIRST)), meals: [] }, about())
          for (const { days, what, a, b } of list) {
            today = dayAfter(today, days)
            after = arranged(after.house, about())
            const { house, arrangement } = after
            const lying = lyingIn(house.packs)
            const l = lying[a % Math.max(1, lying.length)]
            const [day, other] = [a, b].map(
              (x) => arrangement.days[x % Math.max(1, arrangement.days.length)]?.day,
            )
            const tonight = arrangement.days.find((d) => d.day === today && !d.over)
            const act: Act | undefined =
              what === 'eat' && tonight
                ? { kind: 'eaten', day: today, at: now(), of: tonight.plate }
                : what === 'half' && tonight?.plate.length
                  ? {
                      kind: 'eaten',
                      day: today,
                      at: now(),
                      of: tonight.plate.map((p) => ({ ...p, portions: p.portions / 2 })),
                      warmed: tonight.plate.map((p) => ({ ...p, portions: p.portions / 4 })),
                    }
                  : what === 'guests' && day
                    ? { kind: 'eaters', day, eaters: b % 9 }
                    : what === 'swap' && day && other
                      ? { kind: 'swapped', day, with: other }
                      : what === 'choose' && day && l
                        ? {
                            kind: 'on the table',
                            day,
                            plate: [{ pack: l.pack.id, portions: l.left }],
                          }
                        : what === 'let go' && day
                          ? { kind: 'let go', day }
                          : what === 'cook'
                            ? {
                                kind: 'packed',
                                packs: [
                                  fill(
                                    {
                                      dish: 'pie',
                                      portions: 1 + (a % 6),
                                      place: 'fridge',
                                      fridge: 2,
                                      freezer: 60,
                                    },
                                    today,
                                  ),
                                ],
                              }
                            : !l
                              ? undefined
                              : {
                                  kind: 'happened',
                                  pack: l.pack.id,
                                  move:
                                    what === 'thaw'
                                      ? { kind: 'moved', place: 'fridge', at: now() }
                                      : what === 'freeze'
                                        ? { kind: 'moved', place: 'freezer', at: now() }
                                        : what === 'give'
                                          ? {
                                              kind: 'given',
                                              portions: Math.min(1, l.left),
                                              at: now(),
                                            }
                                          : {
                                              kind: 'thrown',
                                              portions: l.left,
                                              why: 'went bad',
                                              at: now(),
                                            },
                                }
            if (act) {
              const read = afterwards(house, act, about())
              if (read.ok) after = read.value
              // What is refused changes nothing.
              else expect(arranged(house, about()).house).toEqual(after.house)
            }
            const t = tallyMoves(after.house.packs)
            expect(t.left + t.eaten + t.thrown + t.given + t.used).toBeCloseTo(t.packed, 1)
            const own = after.house.packs.map((p) => tallyMoves([p]))
            for (const key of ['packed', 'left', 'eaten', 'thrown', 'given'] as const)
              expect(own.reduce((sum, x) => sum + x[key], 0)).toBeCloseTo(t[key], 1)
            // What was thrown away cost what its portions cost, and all of it what all of them do.
            const back = lookBack(after.house.packs)
            expect(back.cost).toBe(100 * t.packed)
            for (const w of back.why) expect(Math.abs(w.cost - 100 * w.portions)).toBeLessThan(2)
            liveThrough(after, today)
            // What is stored is what is shown, and it stays when nothing happens.
            for (const d of after.arrangement.days)
              expect(after.house.meals.find((m) => m.id === d.day)?.plate ?? []).toEqual(d.plate)
            const again = arranged(after.house, about())
            expect(again.house).toEqual(after.house)
            expect(again.arrangement.moved).toEqual([])
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})
