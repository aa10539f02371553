import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import type { Box } from '../kitchen'
import { labelsOf, type Label } from '../labels'
import { cookingsOf } from '../session'
import { chooseBoxes, HEADROOM } from './boxes'
import { packedAs, packedKeeps, packsFrom, portionsOfYield, shareOut } from './divide'
import { lyingIn } from './lying'
import { packed } from './packs.fixture'
import { checkRoom } from './room'

const recipes = new Map(demoRecipes.map((r) => [r.id, r]))
const held = { session: demoSession, kitchen: demoKitchen, recipes: demoRecipes }
const { assignment } = cookingsOf(held)
const labels = labelsOf({ ...held, ...(assignment ? { assignment } : {}) })
const of = (dish: string) => labels.filter((l) => l.dish === dish)
const BOXES: Box[] = [
  { id: 'small', name: 'Small boxes', kind: 'box', litres: 0.6, count: 6 },
  { id: 'large', name: 'Large boxes', kind: 'box', litres: 1.5, count: 8, lids: 5 },
  { id: 'bags', name: 'Flat bags', kind: 'bag', litres: 1.5, count: 20 },
]

describe('a yield', () => {
  it('is counted in portions, by weight, by the ladle or in pieces', () => {
    const n = (amount: number, by: 'portion' | 'g' | 'ladle', each = 1) => {
      const read = portionsOfYield({ amount, by, each })
      return read.ok ? read.value : read.issues[0]!.message
    }
    expect(n(7, 'portion')).toBe(7)
    expect(n(2800, 'g', 350)).toBe(8)
    expect(n(9, 'ladle', 2)).toBe(4.5)
    expect(n(2800, 'g', 0)).toMatch(/nothing that a portion could be/)
    expect(n(-1, 'portion')).toMatch(/no yield/)
    expect(n(90_000, 'g', 1)).toMatch(/would be 90000 portions/)
  })

  it('fills the boxes that were planned, evenings first', () => {
    const pork = of('braised-pork')
    const meant = pork.reduce((n, l) => n + l.portions, 0)
    const as = shareOut(pork, meant)
    expect(as.map((s) => [s.portions, s.place, s.on])).toEqual(
      pork.map((l) => [l.portions, l.place, l.on]),
    )
    const less = shareOut(pork, meant - 2)
    const evenings = (list: { on?: string; portions: number }[]) =>
      list.filter((s) => s.on !== undefined).reduce((n, s) => n + s.portions, 0)
    // What has no evening of its own is short first.
    expect(evenings(less)).toBe(Math.min(evenings(as), meant - 2))
    const more = shareOut(pork, meant + 5)
    expect(more.length).toBeGreaterThan(as.length)
  })

  it('goes into boxes to the last spoon, whatever it came to', () => {
    const label = fc.record({
      portions: fc.integer({ min: 1, max: 6 }),
      on: fc.option(fc.constantFrom('2027-03-21', '2027-03-23'), { nil: undefined }),
      kind: fc.constantFrom(undefined, 'mild', 'hot'),
    })
    fc.assert(
      fc.property(
        fc.array(label, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (list, made) => {
          const planned = list.map((l, k) => ({ ...labels[0]!, ...l, id: `l${k}` })) as Label[]
          const portions = Math.round(made * 100) / 100
          const shares = shareOut(planned, portions)
          expect(shares.reduce((n, s) => n + s.portions, 0)).toBeCloseTo(portions, 1)
          expect(shares.every((s) => s.portions > 0)).toBe(true)
          expect(new Set(shares.map((s) => s.id)).size).toBe(shares.length)
        },
      ),
    )
  })
})

describe('boxes', () => {
  it('are the smallest that hold it, with room to grow for what is wet and frozen', () => {
    const soup = { id: 'soup', litres: 0.6 * (1 - HEADROOM / 2), wet: true }
    const pick = (place: 'fridge' | 'freezer') =>
      chooseBoxes([{ ...soup, place }], BOXES).boxOf.get('soup')?.id
    expect(pick('fridge')).toBe('small')
    // Frozen it grows, and of two that hold it the bag lies flat.
    expect(pick('freezer')).toBe('bags')
  })

  it('are never used twice, filled over the rim or closed without a lid', () => {
    const thing = fc.record({
      litres: fc.double({ min: 0.1, max: 2, noNaN: true }),
      place: fc.constantFrom('fridge' as const, 'freezer' as const),
      wet: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(thing, { maxLength: 40 }), fc.nat(3), (list, lying) => {
        const things = list.map((t, k) => ({ ...t, id: `t${k}` }))
        const there = lyingIn(
          Array.from({ length: lying }, (_, k) => packed('stew', 2, { id: `p${k}`, box: 'large' })),
        )
        const { boxOf, lacking } = chooseBoxes(things, BOXES, there)
        expect(boxOf.size + lacking.length).toBe(things.length)
        for (const b of BOXES) {
          const used = [...boxOf.values()].filter((x) => x === b).length
          const taken = b.id === 'large' ? lying : 0
          expect(used + taken).toBeLessThanOrEqual(
            Math.max(taken, Math.min(b.count, b.lids ?? b.count)),
          )
        }
        for (const t of things) {
          const box = boxOf.get(t.id)
          if (box) expect(t.litres).toBeLessThanOrEqual(box.litres)
        }
      }),
    )
  })
})

describe('what is packed', () => {
  it('lies in the house as its labels say', () => {
    const pork = of('braised-pork')
    const shares = shareOut(
      pork,
      pork.reduce((n, l) => n + l.portions, 0),
    )
    const read = packsFrom(shares, {
      recipe: recipes.get('braised-pork')!,
      recipes,
      session: demoSession,
      cooked: pork[0]!.cooked,
      at: '2027-03-20T14:00:00',
      boxes: BOXES,
      cost: 120,
    })
    if (!read.ok) throw new Error(read.issues[0]!.message)
    const lying = read.value.map((p) => lyingIn([p])[0]!)
    expect(lying.map((l) => l.eatBy)).toEqual(pork.map((l) => l.eatBy))
    expect(new Set(read.value.map((p) => p.id)).size).toBe(pork.length)
    expect(read.value.reduce((n, p) => n + p.cost!, 0)).toBe(
      120 * pork.reduce((n, l) => n + l.portions, 0),
    )
    expect(read.value.every((p) => p.box !== undefined)).toBe(true)
  })

  it('is what its labels say then, whatever was planned', () => {
    const filled = [
      { portions: 4, place: 'fridge' as const, on: '2027-03-22', cooked: '2027-03-21' },
      { portions: 1.5, place: 'freezer' as const, cooked: '2027-03-21' },
    ]
    const told = labelsOf({
      ...held,
      ...(assignment ? { assignment } : {}),
      packed: (dish) => (dish === 'braised-pork' ? filled : []),
    })
    const pork = told.filter((l) => l.dish === 'braised-pork')
    expect(pork.map((l) => [l.portions, l.place, l.on, l.cooked, l.eatBy])).toEqual([
      [4, 'fridge', '2027-03-22', '2027-03-21', '2027-03-24'],
      [1.5, 'freezer', undefined, '2027-03-21', '2027-06-19'],
    ])
    expect(told.filter((l) => l.dish !== 'braised-pork')).toEqual(
      labels.filter((l) => l.dish !== 'braised-pork'),
    )
  })

  it('goes only where it keeps: no stew into the cupboard, whoever says so', () => {
    for (const recipe of demoRecipes.filter((r) => !r.base)) {
      const { keeps } = packedKeeps(recipe, recipes)
      for (const place of ['fridge', 'freezer', 'shelf'] as const) {
        const read = packsFrom([{ id: 'a', portions: 2, place }], {
          recipe,
          recipes,
          cooked: '2027-03-20',
          at: '2027-03-20T14:00:00',
        })
        expect(read.ok).toBe(keeps[place] > 0)
        if (read.ok) expect(read.value[0]!.keeps).toEqual(keeps)
        else expect(read.issues[0]!.allowed).toMatch(/the fridge/)
      }
    }
    expect(packedKeeps(recipes.get('braised-pork')!, recipes).keeps.shelf).toBe(0)
    expect(packedKeeps(recipes.get('soda-bread')!, recipes).keeps.shelf).toBeGreaterThan(0)
  })

  it('is raw or cooked, and nothing half-cooked is put away', () => {
    expect(demoRecipes.filter((r) => !r.base).map((r) => packedAs(r))).toEqual(
      demoRecipes.filter((r) => !r.base).map(() => 'cooked'),
    )
    const pork = recipes.get('braised-pork')!
    const brown = pork.steps.find((s) => s.work === 'brown')!
    const before = pork.steps.slice(0, pork.steps.indexOf(brown) + 1)
    const half = { ...pork, steps: before }
    expect(packedAs(half)).toBe('half-cooked')
    const read = packsFrom([{ id: 'a', portions: 2, place: 'fridge' }], {
      recipe: half,
      recipes,
      cooked: '2027-03-20',
      at: '2027-03-20T14:00:00',
    })
    expect(read.ok ? '' : `${read.issues[0]!.message}; ${read.issues[0]!.allowed}`).toMatch(
      /half-cooked.*cook it through/,
    )
    const season = pork.steps.filter((s) => s.id === 'season')
    expect(packedAs({ ...pork, steps: season })).toBe('raw')
  })
})

describe('room', () => {
  it('is looked for before anything is cooked, and what would make it is reckoned', () => {
    const kitchen = { ...demoKitchen, boxes: BOXES }
    const fridgeOf = (capacity: number) => ({
      ...kitchen,
      stations: kitchen.stations.map((s) => (s.kind === 'fridge' ? { ...s, capacity } : s)),
    })
    expect(checkRoom(labels, fridgeOf(20), recipes).places.map((p) => p.over)).toEqual([0, 0])
    const tight = fridgeOf(10)
    const check = checkRoom(labels, tight, recipes)
    const fridge = check.places.find((p) => p.place === 'fridge')!
    expect(fridge.over).toBeGreaterThan(0)
    const freezing = check.proposals.filter((x) => x.kind === 'freeze')
    expect(freezing).toHaveLength(1)
    for (const p of freezing) {
      const dish = labels.find((l) => p.text.includes(l.name))!
      const moved = labels.map((l) =>
        l.dish === dish.dish ? { ...l, place: 'freezer' as const } : l,
      )
      expect(checkRoom(moved, tight, recipes).places.find((x) => x.place === 'fridge')!.over).toBe(
        0,
      )
    }
  })

  it('says how many boxes are wanting, how large, and which lids', () => {
    const { boxed, proposals } = checkRoom(
      labels,
      { ...demoKitchen, boxes: [{ ...BOXES[1]!, count: 6, lids: 2 }] },
      recipes,
    )
    expect(boxed.lacking.length).toBe(labels.length - 2)
    const words = proposals.map((p) => p.text).join('\n')
    expect(words).toMatch(/Look for lids of Large boxes: 4 lie there without one/)
    expect(words).toMatch(new RegExp(`Get ${boxed.lacking.length} more that hold [\\d.]+ litres`))
  })

  it('says what the freezer spoils, and what to do instead', () => {
    const soup = recipes.get('squash-soup')!
    const pasta = {
      ...soup,
      ingredients: [
        ...soup.ingredients,
        { id: 'p', item: 'small pasta', amount: 200, unit: 'g' as const },
      ],
    }
    const { badly } = checkRoom(
      of('squash-soup'),
      demoKitchen,
      new Map([...recipes, [soup.id, pasta]]),
    )
    expect(badly).toMatchObject(
      [
        { dish: 'squash-soup', what: [{ what: 'boiled pasta or noodles', instead: /without it/ }] },
      ].map((b) => ({
        ...b,
        what: [{ ...b.what[0], instead: expect.stringMatching(/without it/) }],
      })),
    )
    expect(checkRoom(of('squash-soup'), demoKitchen, recipes).badly).toEqual([])
  })
})
