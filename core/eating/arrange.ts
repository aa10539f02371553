import equal from 'fast-deep-equal'
import { dayAfter, isPast, rounded, type Lying } from '../packing'
import { lastOf, type Day } from './days'
import { canFreeze, lastDay, platesOn, type Left } from './plates'
import type { Part } from './schema'
import { dishesOf, overOf, packsOf, shortOf, thereOf, type RoleOf } from './served'

/** What was arranged otherwise than before, and why. */
export interface Moved {
  day: string
  from: string[]
  to: string[]
  why: string
}

export interface Arrangement {
  days: Day[]
  /** Packs that come out of the freezer on the evening before. */
  thaw: { day: string; pack: string }[]
  /** Packs that nobody eats in time: into the freezer by that day. */
  freeze: { pack: string; by: string; portions: number }[]
  /** Portions that go off uneaten, whatever is done. */
  lost: { pack: string; portions: number; eatBy: string }[]
  moved: Moved[]
}

/** What counts how much: first that nothing goes off and everybody eats, then that little changes. */
const COST = {
  short: 1000,
  lost: 300,
  freeze: 12,
  changed: 40,
  over: 8,
  fromFrozen: 15,
  again: 10,
  combined: 4,
  otherPack: 2,
  opened: 1,
}
/** Ways of going on that are looked at: fifty times as many find a better one in one of a hundred cases. */
const WIDTH = 40
/** More often than that nothing came to be better in tests. */
const ROUNDS = 8

interface Way extends Left {
  plates: Part[][]
  cost: number
  before: string
  /** Everything stays as it is, as far as it is still there. */
  asItWas: boolean
}

/**
 * What is eaten on which evening, so that nothing passes its day, everybody has enough, and as little as can be
 * is otherwise than it was. A beam search over the evenings in their order: what can be on a plate is a meal,
 * two parts, or what is there of them; what lies frozen comes out the evening before, what cannot be eaten in
 * time is said. Days that are over, and those the cook has fixed, stay.
 */
export function arrange(
  today: string,
  days: readonly Day[],
  lying: readonly Lying[],
  roleOf: RoleOf,
  width = WIDTH,
): Arrangement {
  // What was looked at in the light of the old may be better in that of the new: each time it costs less.
  let now = arrangedOnce(today, days, lying, roleOf, width)
  for (let k = 0; k < ROUNDS; k++) {
    const next = arrangedOnce(today, now.days, lying, roleOf, width)
    if (equal(next.days, now.days)) break
    now = next
  }
  const at = new Map(lying.map((l, i) => [l.pack.id, i]))
  return { ...now, moved: movedBetween(days, now.days, lying, at) }
}

function arrangedOnce(
  today: string,
  days: readonly Day[],
  lying: readonly Lying[],
  roleOf: RoleOf,
  width: number,
): Omit<Arrangement, 'moved'> {
  const there = thereOf(lying, roleOf)
  const { at } = there
  const end = lastOf(today, days)
  const meant = new Map<string, string>()
  for (const d of days) for (const p of d.plate) meant.set(`${p.pack}`, d.day)
  let ways: Way[] = [
    {
      left: lying.map((l) => l.left),
      out: lying.map(() => undefined),
      plates: [],
      cost: 0,
      before: '',
      asItWas: true,
    },
  ]
  for (const [k, day] of days.entries()) {
    // Who goes short later has time to buy something.
    const near = 1 + (days.length - k) / 100
    const evening = dayAfter(day.day, -1)
    const next: Way[] = []
    for (const way of ways)
      for (const [n, plate] of platesOn(day, way, meant, there).entries()) {
        const left = [...way.left]
        const out = [...way.out]
        let cost = way.cost
        for (const { pack, portions } of plate) {
          const i = at.get(pack)!
          left[i] = rounded(left[i]! - portions)
          const l = lying[i]!
          if (l.place === 'freezer' && out[i] === undefined) {
            if (evening < today) cost += COST.fromFrozen
            out[i] = evening < today ? day.day : evening
          }
        }
        // What nobody has eaten by now is lost, or has to be frozen before.
        lying.forEach((l, i) => {
          // Bars and bread are eaten whenever somebody wants them.
          if (roleOf(l.pack.dish) === 'extra') return
          if (left[i]! > 0 && lastDay(l, out[i]) === day.day)
            cost += left[i]! * (canFreeze(l) ? COST.freeze : COST.lost)
        })
        const dishes = dishesOf(plate, there)
        cost += COST.over * overOf(day, plate, there)
        const own = dishesOf(day.plate, there)
        cost += COST.short * near * shortOf(day, plate, there)
        if (own && own !== dishes) cost += COST.changed
        else if (own && packsOf(plate) !== packsOf(day.plate)) cost += COST.otherPack
        if (dishes && dishes === way.before) cost += COST.again
        if (day.time === 'short' && dishes.includes('+')) cost += COST.combined
        cost += COST.opened * plate.filter((p) => left[at.get(p.pack)!]! > 0).length
        next.push({
          left,
          out,
          plates: [...way.plates, plate],
          cost,
          before: dishes || way.before,
          asItWas: way.asItWas && n === 0,
        })
      }
    ways = best(next, width)
  }
  const way = ways[0]!
  const arranged = days.map((d, k): Day => ({ ...d, plate: way.plates[k]! }))
  const thaw: Arrangement['thaw'] = []
  lying.forEach((l, i) => {
    if (l.place === 'freezer' && way.out[i] !== undefined)
      thaw.push({ day: way.out[i]!, pack: l.pack.id })
  })
  const freeze: Arrangement['freeze'] = []
  const lost: Arrangement['lost'] = []
  lying.forEach((l, i) => {
    const by = lastDay(l, way.out[i])
    if (way.left[i]! <= 0 || by === undefined || by > end) return
    if (roleOf(l.pack.dish) === 'extra' && by >= today) return
    if (canFreeze(l) && by >= today) freeze.push({ pack: l.pack.id, by, portions: way.left[i]! })
    else lost.push({ pack: l.pack.id, portions: way.left[i]!, eatBy: by })
  })
  return { days: arranged, thaw, freeze, lost }
}

/** The cheapest of them, each state once. */
function best(ways: Way[], width: number): Way[] {
  ways.sort((a, b) => a.cost - b.cost)
  const seen = new Set<string>()
  const out: Way[] = []
  const old = ways.find((w) => w.asItWas)
  for (const w of ways) {
    const key = `${w.left.join()}|${w.out.join()}|${w.before}`
    if (seen.has(key)) continue
    seen.add(key)
    out.push(w)
    if (out.length >= width) break
  }
  return old && !out.includes(old) ? [...out, old] : out
}

function movedBetween(
  before: readonly Day[],
  after: readonly Day[],
  lying: readonly Lying[],
  at: Map<string, number>,
): Moved[] {
  const names = (plate: readonly Part[]) => [
    ...new Set(
      plate.map((p) =>
        at.has(p.pack) ? lying[at.get(p.pack)!]!.pack.name : 'something that is gone',
      ),
    ),
  ]
  return before.flatMap((b, k) => {
    const [from, to] = [names(b.plate), names(after[k]!.plate)]
    if (!from.length || b.over || [...from].sort().join() === [...to].sort().join()) return []
    const lost = b.plate.find((p) => !at.has(p.pack))
    const past = b.plate.find((p) => at.has(p.pack) && isPast(lying[at.get(p.pack)!]!, b.day))
    const plate = b.plate.reduce((n, p) => n + p.portions, 0)
    const why = lost
      ? 'it is gone'
      : past
        ? 'it would be past its day'
        : plate < b.eaters
          ? 'it is not enough'
          : 'so that nothing passes its day'
    return [{ day: b.day, from, to, why }]
  })
}
