import type { Label } from '../labels'
import { freeId, lotsOf, type Recipe } from '../recipe'
import { rawKeepingOf } from '../safety'
import { foodOf, measured, type Base } from '../food'
import { keepsIn, litresFilled, type Leftover, type Session } from '../session'
import type { Box } from '../kitchen'
import type { Issue, Reading } from '../reading'
import { chooseBoxes, toBox } from './boxes'
import type { Lying } from './lying'
import { dayAfter, rounded } from './lying'
import { misplaced } from './misplaced'
import { MOST_PORTIONS, type Pack } from './schema'

/** How much a dish made, as the cook counts it: in portions, or in whatever one portion is so much of. */
export interface Yield {
  amount: number
  by: 'portion' | 'g' | 'ml' | 'ladle' | 'piece'
  /** So much is one portion; of portions it is one. */
  each: number
}

/** Grams below which a portion is not known: most of the dish is counted in pieces. */
const LEAST_PORTION = 100

/** Portions that a yield comes to. */
export function portionsOfYield(y: Yield): Reading<number> {
  const issues: Issue[] = []
  if (!(y.amount >= 0) || y.amount > 100_000)
    issues.push({ path: 'amount', message: `"${y.amount}" is no yield`, allowed: '0 to 100,000' })
  if (!(y.each > 0) || y.each > 100_000)
    issues.push({
      path: 'each',
      message: `"${y.each}" is nothing that a portion could be`,
      allowed: 'more than 0',
    })
  const n = issues.length ? 0 : y.by === 'portion' ? y.amount : y.amount / y.each
  if (n > MOST_PORTIONS)
    issues.push({
      path: 'amount',
      message: `would be ${Math.round(n)} portions`,
      allowed: `up to ${MOST_PORTIONS}`,
    })
  return issues.length ? { ok: false, issues } : { ok: true, value: rounded(n) }
}

/** What a portion is usually, by weight or volume of what goes in; undefined where little is known. */
export function usualPortion(recipe: Recipe): number | undefined {
  const litres = litresFilled(recipe.ingredients)
  const each = Math.round((litres * 1000) / recipe.serves / 10) * 10
  return each >= LEAST_PORTION ? each : undefined
}

/** What a dish leaves for others, with the last day on which it is used. */
export interface Leaving {
  item: string
  amount: number
  unit: Base
  by: string
}

/** What is left of a dish that was made in so many batches, less what other dishes of its session take up. */
export function leavingsOf(
  recipe: Recipe,
  batches: number,
  cooked: string,
  taken: readonly Leftover[],
  recipes: ReadonlyMap<string, Recipe>,
): Leaving[] {
  return (recipe.leaves ?? []).flatMap(({ item, amount, unit, days }) => {
    const named = foodOf(item)
    const left = measured(named, amount * batches, unit)
    const used = taken
      .filter((t) => t.from === recipe.id && t.unit === left.unit)
      .filter((t) => {
        const into = recipes.get(t.to)?.ingredients.find((i) => i.id === t.ingredient)
        return into !== undefined && foodOf(into.item).key === named.key
      })
      .reduce((n, t) => n + t.amount, 0)
    const rest = rounded(left.amount - used)
    return rest > 0 ? [{ item, amount: rest, unit: left.unit, by: dayAfter(cooked, days) }] : []
  })
}

/** A box that is to be filled: for how many, where it goes, and when it is meant to be eaten. */
export interface Share {
  id: string
  portions: number
  place: Pack['place']
  variant?: string
  on?: string
}

/**
 * A dish's portions over its boxes, as it was planned: evenings come first, in their order; where it made less,
 * what was to lie longest without a day of its own is short, where it made more there are more boxes.
 */
export function shareOut(planned: readonly Label[], portions: number): Share[] {
  const rank = (l: Label) => l.on ?? '9'
  const order = [...planned].sort((a, b) => rank(a).localeCompare(rank(b)))
  const meant = planned.reduce((n, l) => n + l.portions, 0)
  let left = rounded(portions)
  const given = new Map<string, number>()
  // Of several kinds each has its share, whatever it made of the whole.
  const kinds = new Set(planned.map((l) => l.kind)).size > 1
  for (const l of order) {
    const n = kinds
      ? rounded((portions * l.portions) / Math.max(meant, 1e-9))
      : Math.min(left, l.portions)
    given.set(l.id, rounded(Math.min(n, left)))
    left = rounded(left - given.get(l.id)!)
  }
  const out = planned.flatMap((l): Share[] => {
    const n = given.get(l.id)!
    return n > 0
      ? [
          {
            id: l.id,
            portions: n,
            place: l.place,
            ...(l.kind === undefined ? {} : { variant: l.kind }),
            ...(l.on === undefined ? {} : { on: l.on }),
          },
        ]
      : []
  })
  const last = planned.at(-1)
  if (left > 0 && kinds && out.length) {
    out[out.length - 1]!.portions = rounded(out.at(-1)!.portions + left)
    return out
  }
  const usual = Math.max(1, ...planned.map((l) => l.portions))
  for (let k = 1; left > 0.004; k++) {
    const n = Math.min(usual, left)
    out.push({
      id: `${last?.id ?? 'box'}+${k}`,
      portions: rounded(n),
      // What there is no evening for keeps longest where the rest of it does.
      place: planned.find((l) => l.on === undefined)?.place ?? last?.place ?? 'fridge',
    })
    left = rounded(left - n)
  }
  return out
}

/** Whether a dish is ready to eat when it is packed; nothing half-cooked is put away. */
export function packedAs(recipe: Recipe): 'cooked' | 'raw' | 'half-cooked' {
  const lots = lotsOf(recipe)
  const last = recipe.steps.filter(
    (s) => !recipe.steps.some((o) => o.after.some((a) => a.step === s.id && a.food !== false)),
  )
  const ends = last.map((s) => lots.get(s.id)!)
  if (ends.some((l) => l.part && !l.cooked)) return 'half-cooked'
  return ends.some((l) => l.raw && l.flesh && !l.cooked) ? 'raw' : 'cooked'
}

/** Days that a dish keeps in each place once it is packed, raw or cooked, and who says so; 0 where it does not. */
export function packedKeeps(
  recipe: Recipe,
  recipes: ReadonlyMap<string, Recipe>,
): { keeps: Pack['keeps']; sources: Record<Pack['place'], string> } {
  const raw =
    packedAs(recipe) === 'raw' ? rawKeepingOf(recipe.ingredients.map((i) => i.item)) : undefined
  const of = (place: Pack['place']) =>
    raw ? { days: raw[place], source: raw.sources[place] } : keepsIn(recipe, place, recipes)
  const [fridge, freezer, shelf] = [of('fridge'), of('freezer'), of('shelf')]
  return {
    keeps: { fridge: fridge.days, freezer: freezer.days, shelf: shelf.days },
    sources: { fridge: fridge.source, freezer: freezer.source, shelf: shelf.source },
  }
}

/** The packs of a dish, each in a box, as they go into the house. */
export function packsFrom(
  shares: readonly Share[],
  held: {
    recipe: Recipe
    recipes: ReadonlyMap<string, Recipe>
    session?: Pick<Session, 'id'>
    /** The day of its oldest cooked part, and when the lids go on. */
    cooked: string
    at: string
    boxes?: readonly Box[]
    lying?: readonly Lying[]
    /** What one portion cost. */
    cost?: number
    taken?: ReadonlySet<string>
  },
): Reading<Pack[]> {
  const { recipe, recipes, cooked, at } = held
  const is = packedAs(recipe)
  if (is === 'half-cooked')
    return {
      ok: false,
      issues: [
        {
          path: recipe.name,
          message:
            'is half-cooked: germs grow in it while it cools, and the rest of the cooking comes too late',
          allowed: 'cook it through before it is chilled, or keep it raw',
        },
      ],
    }
  if (cooked > at.slice(0, 10))
    return {
      ok: false,
      issues: [
        {
          path: recipe.name,
          message: `cannot have been cooked on ${cooked}`,
          allowed: `up to ${at.slice(0, 10)}`,
        },
      ],
    }
  const { keeps, sources } = packedKeeps(recipe, recipes)
  for (const share of shares) {
    const not = misplaced(keeps, share.place)
    if (not) return { ok: false, issues: [{ path: recipe.name, ...not }] }
  }
  const things = shares.map((s) => toBox(recipe, s))
  const litres = new Map(things.map((t) => [t.id, t.litres]))
  const { boxOf } = chooseBoxes(things, held.boxes ?? [], held.lying)
  const ids = new Set(held.taken)
  const packs = shares.map((s): Pack => {
    const id = freeId(`${held.session?.id ?? 'own'}-${recipe.id}-${cooked}-1`, ids)
    ids.add(id)
    const box = boxOf.get(s.id)
    return {
      format: 'cadrum/pack@1',
      id,
      dish: recipe.id,
      ...(held.session ? { session: held.session.id } : {}),
      name: recipe.name,
      mark: recipe.mark,
      ...(s.variant === undefined ? {} : { variant: s.variant }),
      portions: s.portions,
      is,
      cooked,
      at,
      place: s.place,
      keeps,
      because: sources[s.place],
      litres: rounded(box?.litres ?? litres.get(s.id)!),
      ...(s.on === undefined ? {} : { on: s.on }),
      ...(box ? { box: box.id } : {}),
      ...(held.cost === undefined ? {} : { cost: Math.round(held.cost * s.portions) }),
      moves: [],
    }
  })
  return { ok: true, value: packs }
}
