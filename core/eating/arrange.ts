import equal from 'fast-deep-equal'
import { dayAfter, isPast, rounded, THAWED_DAYS, type Lying } from '../packing'
import { lastOf, type Day } from './days'
import type { Part } from './schema'

/** What a dish is on the table; what is unknown is a meal. */
export type RoleOf = (dish: string) => 'meal' | 'part' | 'extra'

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

interface Way {
  left: number[]
  /** The day on which it was put from the freezer into the fridge. */
  out: (string | undefined)[]
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
  const at = new Map(lying.map((l, i) => [l.pack.id, i]))
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
      for (const [n, plate] of platesOn(day, way, lying, roleOf, meant, at).entries()) {
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
        const dishes = dishesOf(plate, at, lying)
        cost += COST.over * overOf(day, plate, at, lying, roleOf)
        const own = dishesOf(day.plate, at, lying)
        cost += COST.short * near * shortOf(day, plate, at, lying, roleOf)
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

/** The last day on which it may be eaten, where that comes to an end: what stays frozen only loses in taste. */
function lastDay(l: Lying, out: string | undefined): string | undefined {
  if (l.place !== 'freezer') return l.eatBy
  if (out === undefined) return undefined
  const known = thawed.get(l) ?? new Map<string, string>()
  thawed.set(l, known)
  const by = known.get(out) ?? thawedBy(l, out)
  known.set(out, by)
  return by
}
/** Reckoning with days is slow, and the same is asked thousands of times. */
const thawed = new WeakMap<Lying, Map<string, string>>()

/** As `lyingOf` reckons it for what is taken out on a day. */
function thawedBy({ pack }: Lying, out: string): string {
  const { moves } = pack
  const frozen =
    [...moves].reverse().find((m) => m.kind === 'moved' && m.place === 'freezer')?.at ?? pack.at
  const spent = Math.round((Date.parse(frozen.slice(0, 10)) - Date.parse(pack.cooked)) / 86_400_000)
  const rest = Math.max(1, Math.min(THAWED_DAYS, pack.keeps.fridge - spent))
  return dayAfter(out, pack.is === 'raw' ? 1 : rest)
}

const canFreeze = (l: Lying) => l.place === 'fridge' && !l.thawed && l.pack.keeps.freezer > 0

/** The dishes of a plate in one word, to be compared. */
const dishesOf = (plate: readonly Part[], at: Map<string, number>, lying: readonly Lying[]) =>
  [...new Set(plate.flatMap((p) => (at.has(p.pack) ? [lying[at.get(p.pack)!]!.pack.dish] : [])))]
    .sort()
    .join('+')

/** Its packs in one word, in whatever order. */
const packsOf = (plate: readonly Part[]) =>
  plate
    .map((p) => `${p.pack} ${p.portions}`)
    .sort()
    .join()

/** Portions that are wanting: of two parts that make a meal each is to be enough for all. */
function shortOf(
  day: Day,
  plate: readonly Part[],
  at: Map<string, number>,
  lying: readonly Lying[],
  roleOf: RoleOf,
): number {
  const { meals, parts } = servedBy(plate, at, lying, roleOf)
  // A part alone is half of a meal.
  const whole = parts.length > 1 ? Math.min(...parts) : (parts[0] ?? 0) / 2
  return Math.max(0, day.eaters - meals - whole)
}

/** Portions that are on the table beside what is eaten of them. */
function overOf(
  day: Day,
  plate: readonly Part[],
  at: Map<string, number>,
  lying: readonly Lying[],
  roleOf: RoleOf,
): number {
  const { meals, parts } = servedBy(plate, at, lying, roleOf)
  const most = parts.length > 1 ? parts.reduce((n, x) => n + x, 0) / 2 : (parts[0] ?? 0)
  return Math.max(0, meals + most - day.eaters)
}

/** Portions of meals, and of each of the parts. */
function servedBy(
  plate: readonly Part[],
  at: Map<string, number>,
  lying: readonly Lying[],
  roleOf: RoleOf,
) {
  const by = new Map<string, number>()
  for (const p of plate) {
    const i = at.get(p.pack)
    if (i === undefined) continue
    const { dish } = lying[i]!.pack
    by.set(dish, (by.get(dish) ?? 0) + p.portions)
  }
  const meals = [...by].filter(([dish]) => roleOf(dish) === 'meal').reduce((n, [, x]) => n + x, 0)
  return { meals, parts: [...by].filter(([dish]) => roleOf(dish) === 'part').map(([, x]) => x) }
}

function platesOn(
  day: Day,
  way: Way,
  lying: readonly Lying[],
  roleOf: RoleOf,
  meant: ReadonlyMap<string, string>,
  at: Map<string, number>,
): Part[][] {
  if (day.over) return [[]]
  const there = lying.flatMap((l, i) => {
    if (way.left[i]! <= 0) return []
    if (l.place !== 'freezer') return isPast(l, day.day) ? [] : [i]
    const out = way.out[i]
    return out !== undefined && lastDay(l, out)! < day.day ? [] : [i]
  })
  // What was put there stays as far as it is still there and good.
  const kept = day.plate.flatMap((p): Part[] => {
    const i = at.get(p.pack)
    if (i === undefined || !there.includes(i)) return []
    return [{ pack: p.pack, portions: Math.min(p.portions, way.left[i]!) }]
  })
  if (day.fixed) return [kept]
  if (day.eaters <= 0) return [[]]
  const byDish = new Map<string, number[]>()
  for (const i of there) {
    const { dish } = lying[i]!.pack
    byDish.set(dish, [...(byDish.get(dish) ?? []), i])
  }
  const of = (dish: string): Part[] => takeFrom(byDish.get(dish)!, day, way, lying, meant)
  const dishes = [...byDish.keys()].sort()
  const meals = dishes.filter((d) => roleOf(d) === 'meal')
  const parts = dishes.filter((d) => roleOf(d) === 'part')
  const plates = [
    ...meals.map((d) => of(d)),
    ...parts.flatMap((a, k) => parts.slice(k + 1).map((b) => [...of(a), ...of(b)])),
    // Two that are not enough each, and a part where there is no other.
    ...meals.flatMap((a, k) =>
      meals.slice(k + 1).flatMap((b) => {
        const first = of(a)
        const n = first.reduce((sum, p) => sum + p.portions, 0)
        return n < day.eaters
          ? [
              [
                ...first,
                ...takeFrom(
                  byDish.get(b)!,
                  { ...day, eaters: rounded(day.eaters - n) },
                  way,
                  lying,
                  meant,
                ),
              ],
            ]
          : []
      }),
    ),
    ...(parts.length === 1 ? [of(parts[0]!)] : []),
    [],
  ]
  // Of two that are as good the one that was there stays.
  return [kept, ...plates]
}

const inOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

/** As many portions as eat, out of the packs that were meant for the day, then out of what is to be eaten first. */
function takeFrom(
  packs: readonly number[],
  day: Day,
  way: Way,
  lying: readonly Lying[],
  meant: ReadonlyMap<string, string>,
): Part[] {
  const rank = (i: number) => {
    const on = meant.get(lying[i]!.pack.id)
    return on === day.day ? 0 : on === undefined || on < day.day ? 1 : 2
  }
  const by = (i: number) => lastDay(lying[i]!, way.out[i]) ?? '9'
  const order = [...packs].sort(
    (a, b) =>
      rank(a) - rank(b) ||
      inOrder(by(a), by(b)) ||
      way.left[a]! - way.left[b]! ||
      inOrder(lying[a]!.pack.id, lying[b]!.pack.id),
  )
  const out: Part[] = []
  let open = day.eaters
  for (const i of order) {
    if (open <= 0) break
    const portions = Math.min(open, way.left[i]!)
    out.push({ pack: lying[i]!.pack.id, portions: rounded(portions) })
    open = rounded(open - portions)
  }
  return out
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

/** Whether what is arranged can still be eaten so: all of it is there, good on its day, and enough. */
export function stillGood(days: readonly Day[], lying: readonly Lying[]): boolean {
  const at = new Map(lying.map((l) => [l.pack.id, l]))
  const taken = new Map<string, number>()
  for (const d of days) {
    if (d.over) continue
    for (const p of d.plate) {
      const l = at.get(p.pack)
      if (!l || isPast(l, d.day)) return false
      taken.set(p.pack, (taken.get(p.pack) ?? 0) + p.portions)
      if (taken.get(p.pack)! > l.left + 1e-9) return false
    }
  }
  return true
}

/** Portions that are wanting on each of the days on which any are. */
export function shortBy(
  days: readonly Day[],
  lying: readonly Lying[],
  roleOf: RoleOf,
): Map<string, number> {
  const at = new Map(lying.map((l, i) => [l.pack.id, i]))
  return new Map(
    days
      .filter((d) => !d.over)
      .map((d): [string, number] => [d.day, shortOf(d, d.plate, at, lying, roleOf)])
      .filter(([, n]) => n > 0),
  )
}
