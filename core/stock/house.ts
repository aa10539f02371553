import { addDays, format, parseISO } from 'date-fns'
import { freeId, idFor } from '../recipe'
import { foodOf, gramsIn, measured, type Base } from '../food'
import type { ToUse } from '../session'
import type { ShopLine } from '../shopping'
import { stockSchema, type Stock, type StockPlace } from './schema'

/** Less than this of a thing is nothing that one keeps. */
const NOTHING = 0.5

/** Where a thing goes when it comes home, by where in the shop it stood. */
const GOES: Partial<Record<ShopLine['section'], StockPlace>> = {
  meat: 'fridge',
  fish: 'fridge',
  dairy: 'fridge',
  produce: 'fridge',
  frozen: 'freezer',
}
/** Produce that does not want the cold. */
const ON_THE_SHELF =
  /\b(?:onions?|shallots?|garlic|potato(?:es)?|squash|pumpkins?|swede|bananas?|tomato(?:es)?|avocados?|lemons?|limes?|oranges?|apples?|ginger)\b/

export const placeFor = (item: string): StockPlace => {
  const named = foodOf(item)
  const section = named.food?.section ?? 'other'
  if (section === 'produce' && ON_THE_SHELF.test(named.name)) return 'shelf'
  return GOES[section] ?? 'shelf'
}

/** What has come home of one thing. */
export interface Brought {
  item: string
  amount: number
  unit: Base
  by?: string
  /** Where it goes, if not where such things are kept. */
  place?: StockPlace
}

/** The stock with what has come home: beside what was there already of the same kind and day. */
export function withBrought(
  stock: readonly Stock[],
  brought: readonly Brought[],
  today: string,
): Stock[] {
  const out = [...stock]
  const ids = new Set(out.map((s) => s.id))
  for (const { item, amount, unit, by, place = placeFor(item) } of brought) {
    if (amount <= 0) continue
    const named = foodOf(item)
    const at = out.findIndex(
      (s) =>
        s.place === place && s.by === by && foodOf(s.item).key === named.key && s.unit === unit,
    )
    if (at >= 0) {
      out[at] = { ...out[at]!, amount: round(out[at]!.amount + amount, unit), counted: today }
      continue
    }
    const id = freeId(idFor(item, new Set()), ids)
    ids.add(id)
    out.push({
      id,
      item,
      amount: round(amount, unit),
      unit,
      place,
      ...(by === undefined ? {} : { by }),
      counted: today,
    })
  }
  return out
}

/** What was used of one thing. */
export interface Used {
  item: string
  amount: number
  unit: Base
}

/**
 * The stock without what was used, what is to be used soonest first; of what is not known to be there
 * nothing is taken.
 */
export function withoutUsed(stock: readonly Stock[], used: readonly Used[]): Stock[] {
  const left = new Map(stock.map((s) => [s.id, s.amount]))
  const soonest = [...stock].sort((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9'))
  for (const { item, amount, unit } of used) {
    const named = foodOf(item)
    let open = amount
    for (const s of soonest) {
      if (open <= 0) break
      const own = foodOf(s.item)
      const there = measured(own, left.get(s.id)!, s.unit)
      if (own.key !== named.key || there.unit !== unit || there.amount <= 0) continue
      const taken = Math.min(open, there.amount)
      left.set(s.id, left.get(s.id)! * (1 - taken / there.amount))
      open -= taken
    }
  }
  return stock.flatMap((s) => {
    const amount = round(left.get(s.id)!, s.unit)
    return small(amount, s) ? [] : [{ ...s, amount }]
  })
}

const isLarge = (unit: Stock['unit']) => unit === 'kg' || unit === 'l'
const small = (amount: number, { unit }: Stock) =>
  amount <= (isLarge(unit) ? NOTHING / 1000 : unit === 'piece' ? 0.01 : NOTHING)
/** To the gram, the millilitre, or a hundredth of a piece. */
const round = (n: number, unit: Stock['unit']) => {
  const step = isLarge(unit) ? 1000 : 100
  return Math.round(n * step) / step
}

/** Something in the house that should be used, the soonest first. */
export interface Soon {
  stock: Stock
  /** Days until then; below 0 it is over. */
  days: number
}

/** Within how many days a thing is worth a word. */
const SOON_DAYS = 10

/** What in the house should be used within some days of a day, the soonest first. */
export function useSoon(stock: readonly Stock[], day: string, within = SOON_DAYS): Soon[] {
  const last = format(addDays(parseISO(day), within), 'yyyy-MM-dd')
  return stock
    .filter((s) => s.by !== undefined && s.by <= last && s.amount > 0)
    .sort((a, b) => a.by!.localeCompare(b.by!))
    .map((s) => ({
      stock: s,
      days: Math.round((parseISO(s.by!).getTime() - parseISO(day).getTime()) / 86_400_000),
    }))
}

/**
 * What is in the house and can still be used up from a day on, the soonest first, each once; past its day
 * it is nobody's dinner.
 */
export function toUseUp(stock: readonly Stock[], day: string): ToUse[] {
  return useSoon(stock, day)
    .filter((s) => s.days >= 0)
    .map(({ stock: { item, amount, unit, by } }) => ({ item, amount, unit, by }))
}

/** Grams of most foods that fill a litre: an estimate of ours. */
const GRAMS_PER_LITRE = 800

/** Litres that a thing takes: as somebody has said, else by what it weighs, a kilo some more than a litre. */
export function litresOf(s: Stock): number {
  if (s.litres !== undefined) return s.litres
  const named = foodOf(s.item)
  const { amount, unit } = measured(named, s.amount, s.unit)
  const grams = gramsIn(named, amount, unit)
  return grams === undefined ? 0 : grams / GRAMS_PER_LITRE
}

/** Litres that are taken in a place. */
export const litresTaken = (stock: readonly Stock[], place: StockPlace): number =>
  Math.round(stock.filter((s) => s.place === place).reduce((n, s) => n + litresOf(s), 0) * 10) / 10

/** Things in the house as a file lists them, each with an id and a place of its own. */
export function stockOf(
  things: readonly (Pick<Stock, 'item' | 'amount' | 'unit'> & Partial<Stock>)[],
): Stock[] {
  const ids = new Set<string>()
  return things.map((t) => {
    const id = freeId(t.id ?? idFor(t.item, new Set()), ids)
    ids.add(id)
    return stockSchema.parse({ ...t, id, place: t.place ?? placeFor(t.item) })
  })
}
