import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns'
import type { StockPlace } from '../stock'
import type { Pack } from './schema'

/** Days within which what has thawed in the fridge is eaten, counted from the day it was put there. */
export const THAWED_DAYS = 2

/** Where a pack is now, how much is left of it, and till when it may be eaten. */
export interface Lying {
  pack: Pack
  left: number
  place: StockPlace
  where?: string
  /** The day on which it came there. */
  since: string
  /** It was frozen and is not any more: it never goes back. */
  thawed: boolean
  /** The last day on which it may be eaten; in the freezer the last on which it is at its best. */
  eatBy: string
  /** Litres that what is left of it takes. */
  litres: number
}

export const dayAfter = (day: string, days: number): string =>
  format(addDays(parseISO(day), days), 'yyyy-MM-dd')

/** What became of a pack up to now, from all that was told of it. */
export function lyingOf(pack: Pack): Lying {
  let { place, where } = pack
  let since = pack.at.slice(0, 10)
  let left = pack.portions
  let thawed = false
  let eatBy = dayAfter(pack.cooked, pack.keeps[place])
  // Days that it lay in the fridge count, whatever came between.
  let frozenOn = place === 'freezer' ? since : undefined
  for (const m of pack.moves) {
    if (m.kind !== 'moved') {
      left = rounded(left - m.portions)
      continue
    }
    const day = m.at.slice(0, 10)
    where = m.where
    if (m.place === place) continue
    if (m.place === 'freezer') {
      frozenOn = day
      eatBy = dayAfter(pack.cooked, pack.keeps.freezer)
    } else if (place === 'freezer') {
      thawed = true
      const spent = differenceInCalendarDays(parseISO(frozenOn!), parseISO(pack.cooked))
      const rest = Math.max(1, Math.min(THAWED_DAYS, pack.keeps.fridge - spent))
      eatBy = dayAfter(day, pack.is === 'raw' ? 1 : rest)
    } else if (!thawed) eatBy = dayAfter(pack.cooked, pack.keeps[m.place])
    place = m.place
    since = day
  }
  return {
    pack,
    left: Math.max(0, left),
    place,
    ...(where === undefined ? {} : { where }),
    since,
    thawed,
    eatBy,
    // A box that is half empty is as large as before; it is empty when nothing is left.
    litres: left > 0 ? pack.litres : 0,
  }
}

/** Portions are counted to a hundredth. */
export const rounded = (n: number): number => Math.round(n * 100) / 100

/** All that lies in the house, what is to be eaten first before the rest. */
export const lyingIn = (packs: readonly Pack[]): Lying[] =>
  packs
    .map(lyingOf)
    .filter((l) => l.left > 0)
    .sort((a, b) => a.eatBy.localeCompare(b.eatBy) || a.pack.id.localeCompare(b.pack.id))

/** Whether it is past its day: in the freezer only its taste is. */
export const isPast = ({ place, eatBy }: Pick<Lying, 'place' | 'eatBy'>, day: string): boolean =>
  place !== 'freezer' && eatBy < day

/** Litres that packs take in a place. */
export const litresLying = (lying: readonly Lying[], place: StockPlace): number =>
  Math.round(lying.filter((l) => l.place === place).reduce((n, l) => n + l.litres, 0) * 10) / 10

/** The last day on which a frozen pack is eaten once it is put into the fridge on a day. */
export const onceThawed = (pack: Pack, day: string): string =>
  lyingOf({
    ...pack,
    moves: [...pack.moves, { kind: 'moved', place: 'fridge', at: `${day}T21:00` }],
  }).eatBy
