import { isPast, rounded, type Lying } from '../packing'
import type { Arrangement } from './arrange'
import type { Day } from './days'
import { takeFrom } from './plates'
import type { Part } from './schema'

/** The evening that each pack is on the table of. */
export const meantOn = (days: readonly Day[]): Map<string, string> =>
  new Map(days.flatMap((d) => (d.over ? [] : d.plate.map((p) => [p.pack, d.day] as const))))

/** Portions that no evening takes, of every pack of which there are any. */
export function spareOf(
  { days }: Pick<Arrangement, 'days'>,
  lying: readonly Lying[],
): { lying: Lying; left: number }[] {
  const taken = new Map<string, number>()
  for (const d of days)
    if (!d.over) for (const p of d.plate) taken.set(p.pack, (taken.get(p.pack) ?? 0) + p.portions)
  return lying
    .map((l) => ({ lying: l, left: rounded(l.left - (taken.get(l.pack.id) ?? 0)) }))
    .filter((s) => s.left > 0)
}

/** As much of a dish as eat on an evening, rather of what no other evening has than of what one has. */
export function helpingOf(
  dish: string,
  day: Day,
  days: readonly Day[],
  lying: readonly Lying[],
): Part[] {
  const own = lying.flatMap((l, i) => (l.pack.dish === dish && !isPast(l, day.day) ? [i] : []))
  const left = { left: lying.map((l) => l.left), out: lying.map(() => undefined) }
  return takeFrom(own, { ...day, eaters: Math.max(1, day.eaters) }, left, meantOn(days), lying)
}

/** What was eaten of a dish on the table, and whether the rest of it was warmed too. */
export interface Told {
  portions: number
  warmed: boolean
}

/** An evening that is over, pack by pack: what was eaten, and what was warmed and left. */
export function settled(
  plate: readonly Part[],
  lying: readonly Lying[],
  told: ReadonlyMap<string, Told>,
): { of: Part[]; warmed: Part[] } {
  const dishOf = new Map(lying.map((l) => [l.pack.id, l.pack.dish]))
  const open = new Map([...told].map(([dish, t]) => [dish, t.portions]))
  const of: Part[] = []
  const warmed: Part[] = []
  for (const { pack, portions } of plate) {
    const dish = dishOf.get(pack)
    if (dish === undefined) continue
    const ate = rounded(Math.min(open.get(dish) ?? portions, portions))
    if (open.has(dish)) open.set(dish, rounded(open.get(dish)! - ate))
    const rest = rounded(portions - ate)
    if (ate > 0) of.push({ pack, portions: ate })
    if (rest > 0 && told.get(dish)?.warmed) warmed.push({ pack, portions: rest })
  }
  return { of, warmed }
}
