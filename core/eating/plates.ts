import { isPast, onceThawed, rounded, type Lying } from '../packing'
import type { Day } from './days'
import type { Part } from './schema'
import type { There } from './served'

/** What is left of each pack, and on which day it was put from the freezer into the fridge. */
export interface Left {
  left: number[]
  out: (string | undefined)[]
}

/** The last day on which it may be eaten, where that comes to an end: what stays frozen only loses in taste. */
export function lastDay(l: Lying, out: string | undefined): string | undefined {
  if (l.place !== 'freezer') return l.eatBy
  if (out === undefined) return undefined
  const known = thawed.get(l) ?? new Map<string, string>()
  thawed.set(l, known)
  const by = known.get(out) ?? onceThawed(l.pack, out)
  known.set(out, by)
  return by
}
/** Reckoning with days is slow, and the same is asked thousands of times. */
const thawed = new WeakMap<Lying, Map<string, string>>()

/** Whether it may still go into the freezer. */
export const canFreeze = (l: Lying) =>
  l.place !== 'freezer' && !l.thawed && l.pack.keeps.freezer > 0

/** What can be on the table of an evening, with what was there first: as far as it is still there and good. */
export function platesOn(
  day: Day,
  way: Left,
  meant: ReadonlyMap<string, string>,
  house: There,
): Part[][] {
  const { lying, at, roleOf } = house
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
  if (day.eaters <= 0 || day.fresh) return [[]]
  const byDish = new Map<string, number[]>()
  for (const i of there) {
    const { dish } = lying[i]!.pack
    byDish.set(dish, [...(byDish.get(dish) ?? []), i])
  }
  const of = (dish: string): Part[] => takeFrom(byDish.get(dish)!, day, way, meant, lying)
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
                  meant,
                  lying,
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
export function takeFrom(
  packs: readonly number[],
  day: Day,
  way: Left,
  meant: ReadonlyMap<string, string>,
  lying: readonly Lying[],
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
