import { foodOf, measured } from '../food'
import { z } from 'zod'
import { daySchema, idSchema } from '../session'
import type { Offer } from './packs'

/** The dearest thing that is thought to be food, in the smallest coin. */
export const MOST_COST = 1_000_000

/** What something cost, where and when. */
export const priceSchema = z.strictObject({
  id: idSchema,
  item: z.string().min(1).max(300),
  /** How much of it that buys. */
  amount: z.number().positive().max(100_000),
  unit: z.enum(['g', 'kg', 'ml', 'l', 'piece']),
  /** In the smallest coin. */
  cost: z.int().min(0).max(MOST_COST),
  /** Sold by weight or one by one: any amount can be had at that price. */
  loose: z.literal(true).optional(),
  shop: z.string().min(1).max(120).optional(),
  day: daySchema,
})
export type Price = z.output<typeof priceSchema>

/** What can be bought of each food by the prices that are known, the latest of each size in each shop. */
export function offersBy(prices: readonly Price[]): (key: string) => Offer[] {
  const latest = new Map<string, { key: string; offer: Offer; day: string }>()
  for (const p of prices) {
    const named = foodOf(p.item)
    const { amount, unit } = measured(named, p.amount, p.unit)
    const mark = [named.key, unit, p.loose ? 'loose' : amount, p.shop ?? ''].join('|')
    if ((latest.get(mark)?.day ?? '') > p.day) continue
    latest.set(mark, {
      key: `${named.key}|${unit}`,
      day: p.day,
      offer: {
        amount,
        cost: p.cost,
        ...(p.loose ? { loose: true as const } : {}),
        ...(p.shop ? { shop: p.shop } : {}),
      },
    })
  }
  const byKey = new Map<string, Offer[]>()
  for (const { key, offer } of latest.values()) byKey.set(key, [...(byKey.get(key) ?? []), offer])
  return (key) => byKey.get(key) ?? []
}
