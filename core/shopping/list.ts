import { type Base, foodOf, measured, inShopOrder, type Section } from '../food'
import { singular, type Recipe } from '../recipe'
import type { Session } from '../session'
import { needsOf, type Need } from './needs'
import { costIn, packsFor, type Bought, type Offer } from './packs'
import { offersBy, type Price } from './prices'
import type { Unit } from '../quantity'

/** A thing that is in the house, as far as shopping goes. */
export interface InHouse {
  id?: string
  item: string
  amount: number
  unit: Unit
}

/** What one dish wants of a line. */
export interface Want {
  dish: string
  ingredient: string
  amount: number
  /** As its recipe says it. */
  as: string
  instead?: string
}

/** One thing on the list, with where all of it comes from and goes: bought + stock = used + left. */
export interface ShopLine {
  /** The same as long as it is the same thing. */
  id: string
  item: string
  section: Section
  unit: Base
  wants: Want[]
  used: number
  /** What of it is in the house already. */
  stock: number
  /** Of which of the things in the house it is taken, in `unit`. */
  from: { id?: string; item: string; amount: number; made?: string }[]
  /** It is thought to be in the house, and to be looked for. */
  check: boolean
  packs: Bought[]
  bought: number
  left: number
  /** In the smallest coin; undefined where a price is not known. */
  cost: number | undefined
  /** What a unit of it costs: as it is bought, else by the cheapest price that is known. */
  rate: number | undefined
  /** All amounts are as weighed or measured, and none by a table. */
  exact: boolean
  /** Recipes that could use what is left of it. */
  leftFor: string[]
}

/** What the cook has said about lines. */
export interface ShopChoices {
  /** Lines that were to be looked for and are not enough. */
  lacking?: readonly string[]
  /** Sizes of packs that were not to be had. */
  notHad?: readonly { line: string; amount: number }[]
}

/** The list of everything, and what it costs. */
export interface ShopList {
  lines: ShopLine[]
  total: Total
}

/** What lines cost together: a range where some have no price that is known. */
export interface Total {
  least: number
  /** Undefined where nothing is known of how dear the rest could be. */
  most: number | undefined
  /** Ids of lines without a price. */
  unknown: string[]
}

export interface Asked {
  session: Session
  /** What a session still wants, where that is not all of it. */
  needsOf?: (session: Session) => readonly Need[]
  recipes: readonly Recipe[]
  stock?: readonly InHouse[]
  prices?: readonly Price[]
  choices?: ShopChoices
  /** The sections in the household's own order. */
  sections?: readonly Section[]
}

/** Less than this of what it is bought in is nothing. */
const NOTHING = 1e-6
/** A pack is left over where more than a fiftieth of it is. */
const WORTH_A_WORD = 0.02

/** All that a session is still to be bought for, over all its sittings and evenings. */
export function shopList(asked: Asked): ShopList {
  const { session, recipes, stock = [], prices = [], choices = {}, sections } = asked
  const order = inShopOrder(sections)
  const offers = offersBy(prices)
  const house = inHouse(stock)
  const needs = asked.needsOf?.(session) ?? needsOf(session, recipes)
  const lines = grouped(needs).map((needs) => lineOf(needs, house, offers, { ...asked, choices }))
  lines.sort(
    (a, b) => order.indexOf(a.section) - order.indexOf(b.section) || a.item.localeCompare(b.item),
  )
  return { lines, total: totalOf(lines) }
}

/** Needs of the same thing in the same measure, in the order in which they come. */
function grouped(needs: readonly Need[]): Need[][] {
  const by = new Map<string, Need[]>()
  for (const need of needs) {
    const id = lineId(need)
    by.set(id, [...(by.get(id) ?? []), need])
  }
  return [...by.values()]
}

/** Which line of a list a thing belongs to. */
const lineId = (n: { named: { key: string }; unit: Base }) => `${n.named.key}|${n.unit}`

/** What there is of each line, taken bit by bit. */
function inHouse(stock: readonly InHouse[]) {
  const there = stock.map((s) => {
    const named = foodOf(s.item)
    const { amount, unit } = measured(named, s.amount, s.unit)
    return { line: lineId({ named, unit }), amount, id: s.id, item: s.item }
  })
  return (line: string, wanted: number): ShopLine['from'] => {
    const out: ShopLine['from'] = []
    let open = wanted
    for (const s of there) {
      if (s.line !== line || s.amount <= NOTHING || open <= NOTHING) continue
      const amount = Math.min(open, s.amount)
      open -= amount
      out.push({ ...(s.id === undefined ? {} : { id: s.id }), item: s.item, amount })
    }
    return out
  }
}

function lineOf(
  needs: Need[],
  house: ReturnType<typeof inHouse>,
  offers: (key: string) => Offer[],
  { choices = {}, recipes, session }: Asked,
): ShopLine {
  const { named, unit } = needs[0]!
  const id = lineId(needs[0]!)
  const used = needs.reduce((n, x) => n + x.amount, 0)
  // What another dish leaves goes into this one, and the rest comes out of the house.
  const made = needs.flatMap((n): ShopLine['from'] =>
    n.made === undefined ? [] : [{ item: named.name, amount: n.amount, made: n.made }],
  )
  const of = made.reduce((n, x) => n + x.amount, 0)
  const from = [...made, ...house(id, used - of)]
  const there = from.reduce((n, x) => n + x.amount, 0)
  const food = unit === named.food?.by ? named.food : undefined
  const lacking = choices.lacking?.includes(id) ?? false
  const check = !lacking && used - there > NOTHING && used <= (food?.pantry ?? 0)
  // What is looked for counts as there until somebody says that it is not.
  const stock = check ? used : there
  const packs = packsFor(used - stock, unit, sizesOf(needs, food?.packs, offers(id), id, choices))
  const bought = packs.reduce((n, p) => n + p.count * p.offer.amount, 0)
  const left = bought + stock - used
  const biggest = Math.max(0, ...packs.map((p) => p.offer.amount))
  return {
    id,
    item: oneOf(named.name, unit, bought || used),
    section: named.food?.section ?? 'other',
    unit,
    wants: needs.map(({ dish, ingredient, amount, as, instead }) => ({
      dish,
      ingredient,
      amount,
      as,
      ...(instead === undefined ? {} : { instead }),
    })),
    used,
    stock,
    from,
    check,
    packs,
    bought,
    left: Math.max(0, left),
    cost: costIn(packs),
    rate: rateOf(bought, costIn(packs), offers(id)),
    exact: needs.every((n) => n.exact),
    leftFor:
      left > WORTH_A_WORD * biggest + NOTHING
        ? recipes
            .filter(
              (r) =>
                !session.dishes.some((d) => d.recipe === r.id) &&
                r.ingredients.some((i) => foodOf(i.item).key === named.key),
            )
            .map((r) => r.id)
        : [],
  }
}

/** `1 lemon` of what the list has in the plural. */
const oneOf = (name: string, unit: Base, amount: number) =>
  unit === 'piece' && amount <= 1
    ? name.replace(/([a-z]+)$/i, (last) =>
        /(?:us|ss|is|gras)$/i.test(last) ? last : singular(last),
      )
    : name

function rateOf(
  bought: number,
  cost: number | undefined,
  offers: readonly Offer[],
): number | undefined {
  if (bought > 0) return cost === undefined ? undefined : cost / bought
  const rates = offers.flatMap((o) => (o.cost === undefined ? [] : [o.cost / o.amount]))
  return rates.length ? Math.min(...rates) : undefined
}

/** The sizes that are thought of: those with a price, else what recipes say, else what is usual. */
function sizesOf(
  needs: readonly Need[],
  usual: readonly number[] | undefined,
  priced: readonly Offer[],
  line: string,
  { notHad = [] }: ShopChoices,
): Offer[] {
  const had = (o: Offer) =>
    !notHad.some((n) => n.line === line && Math.abs(n.amount - o.amount) < NOTHING)
  const said = [...new Set(needs.flatMap((n) => n.pack ?? []))]
  const own = [
    priced,
    said.map((amount) => ({ amount })),
    (usual ?? []).map((amount) => ({ amount })),
  ]
  for (const some of own) {
    const left = some.filter(had)
    if (left.length) return left
  }
  return []
}

/** What lines cost together. */
export function totalOf(lines: readonly ShopLine[]): Total {
  const toBuy = lines.filter((l) => l.bought > 0)
  const unknown = toBuy.filter((l) => l.cost === undefined)
  const least = toBuy.reduce((n, l) => n + (l.cost ?? 0), 0)
  const dearest = unknown.map((l) => guess(l, toBuy))
  return {
    least,
    most: dearest.every((d) => d !== undefined)
      ? least + dearest.reduce<number>((n, d) => n + d!, 0)
      : undefined,
    unknown: unknown.map((l) => l.id),
  }
}

/** What a line costs at most, if it is no dearer than the dearest of its section whose price is known. */
function guess(line: ShopLine, all: readonly ShopLine[]): number | undefined {
  const like = all.filter(
    (l) => l.section === line.section && l.unit === line.unit && l.cost !== undefined,
  )
  if (!like.length) return undefined
  return Math.round(line.bought * Math.max(...like.map((l) => l.cost! / l.bought)))
}
