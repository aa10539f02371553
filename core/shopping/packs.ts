/** One size in which a thing can be bought, in the base of its food. */
export interface Offer {
  amount: number
  /** In the smallest coin; undefined where nobody knows. */
  cost?: number
  /** Any amount of it can be had, at so much for `amount`. */
  loose?: true
  shop?: string
}

/** So many of one size. */
export interface Bought {
  offer: Offer
  count: number
}

/** Packs of one size that are thought of at most: more is no household's shopping. */
const MOST_PACKS = 400

/** A loose thing is weighed out to so many grams or millilitres; pieces are whole. */
export const weighedOut = (amount: number, unit: 'g' | 'ml' | 'piece'): number => {
  const step = unit === 'piece' ? 1 : amount < 50 ? 5 : 10
  return Math.ceil(amount / step - 1e-9) * step
}

const amountIn = (bought: readonly Bought[]) =>
  bought.reduce((n, b) => n + b.count * b.offer.amount, 0)
/** What packs cost together, where all of them have a price. */
export const costIn = (bought: readonly Bought[]): number | undefined =>
  bought.reduce<number | undefined>(
    (n, b) =>
      n === undefined || b.offer.cost === undefined ? undefined : n + b.count * b.offer.cost,
    0,
  )

/**
 * Packs that come to an amount at least: the cheapest of all ways where every size has a price, else those
 * that leave the least, and of these the fewest. Loose goods are bought to the measure.
 */
export function packsFor(
  amount: number,
  unit: 'g' | 'ml' | 'piece',
  offers: readonly Offer[],
): Bought[] {
  if (amount <= 0) return []
  const usual: Offer[] = offers.length ? [...offers] : [{ amount: 1, loose: true }]
  const loose = usual
    .filter((o) => o.loose)
    .map((o) => {
      const out = weighedOut(amount, unit)
      const cost = o.cost === undefined ? undefined : Math.round((o.cost * out) / o.amount)
      const weighed: Offer = { ...o, amount: out }
      return [{ offer: cost === undefined ? weighed : { ...weighed, cost }, count: 1 }]
    })
  const sizes = usual.filter((o) => !o.loose).sort((a, b) => b.amount - a.amount)
  const ways = [...loose, ...combinations(amount, sizes)]
  const priced = ways.every((w) => costIn(w) !== undefined)
  const better = (a: Bought[], b: Bought[]) =>
    (priced ? costIn(a)! - costIn(b)! : 0) ||
    amountIn(a) - amountIn(b) ||
    a.reduce((n, x) => n + x.count, 0) - b.reduce((n, x) => n + x.count, 0)
  return ways.sort(better)[0] ?? []
}

/** Every way to come to an amount with packs of these sizes in which no pack could be left out. */
function combinations(amount: number, sizes: readonly Offer[]): Bought[][] {
  const out: Bought[][] = []
  const go = (at: number, left: number, so: Bought[]) => {
    if (left <= 1e-6) {
      out.push(so)
      return
    }
    const offer = sizes[at]
    if (!offer || out.length > 5000) return
    const most = Math.min(MOST_PACKS, Math.ceil(left / offer.amount - 1e-9))
    // The last size fills up; of the ones before it every number is tried.
    const least = at === sizes.length - 1 ? most : 0
    for (let count = most; count >= least; count--)
      go(at + 1, left - count * offer.amount, count ? [...so, { offer, count }] : so)
  }
  go(0, amount, [])
  return out
}
