import { amountText, measurable } from '../quantity'
import type { Kitchen } from '../kitchen'
import type { Label } from '../labels'
import type { Plan } from '../plan'
import { inOrder, type Recipe } from '../recipe'
import { recipesById, type CompiledSession, type Session } from '../session'
import type { Base } from '../food'
import type { Portion } from './amounts'

/** One thing to lay out for a dish. */
export interface SetOutItem {
  id: string
  item: string
  /** As it is measured: by the recipe's own measure. */
  amount: string
  /** In what it is bought in. */
  need: number
  unit: Base
  /** Seconds from the beginning at which it is wanted first, where the plan says. */
  first: number | undefined
  /** The bowl of spices that it is measured into with others, once for all. */
  mix?: number
}

/** What stands together for one dish. */
export interface SetOutDish {
  dish: string
  name: string
  mark: string
  first: number | undefined
  items: SetOutItem[]
  /** Boards, pans and machines that it wants, by name. */
  tools: string[]
  /** Boxes and bags that it fills in this sitting. */
  packs: number
}

/**
 * What is laid out before a sitting: each dish in the order in which its things are wanted first, by the
 * plan where there is one, else as its recipe goes. Spices that go in together are measured into one bowl.
 */
export function setOutOf(held: {
  session: Session
  recipes: readonly Recipe[]
  kitchen: Kitchen
  /** Of `portionsBySitting`. */
  portions: readonly Portion[]
  sitting: string
  labels: readonly Label[]
  /** Whether a dish is finished and packed in this sitting. */
  packedHere: (dish: string) => boolean
  compiled?: CompiledSession
  plan?: Plan
}): SetOutDish[] {
  const { session, recipes, portions, sitting, plan, labels } = held
  // What comes of another dish is laid out by nobody.
  const here = portions.filter((p) => p.sitting === sitting && p.made === undefined)
  const byId = recipesById(session, recipes)
  const begun = beginnings(held)
  const dishes = [...new Set(here.map((p) => p.dish))]
  const out = dishes.map((dish): SetOutDish => {
    const recipe = byId.get(dish)!
    const steps = inOrder(recipe).map((s) => s.id)
    const own = here.filter((p) => p.dish === dish)
    const items = own
      .map((p): SetOutItem & { at: number } => ({
        id: `${sitting}|${dish}|${p.ingredient}`,
        item: recipe.ingredients.find((i) => i.id === p.ingredient)!.item,
        amount: amountSaid(p, recipe, portions),
        need: p.amount,
        unit: p.unit,
        first: p.step === undefined ? undefined : begun.get(`${dish}.${p.step}`),
        at: p.step === undefined ? steps.length : steps.indexOf(p.step),
      }))
      .sort((a, b) => (a.first ?? Infinity) - (b.first ?? Infinity) || a.at - b.at)
    const mixed = mixes(own, items)
    return {
      dish,
      name: recipe.name,
      mark: recipe.mark,
      first: items[0]?.first,
      items: items.map(({ at: _, ...i }) => {
        const mix = mixed.get(i.id)
        return mix === undefined ? i : { ...i, mix }
      }),
      tools: toolsOf(held, dish),
      packs: held.packedHere(dish) ? labels.filter((l) => l.dish === dish).length : 0,
    }
  })
  // Without a plan they stay in the order of the session.
  return plan ? out.sort((a, b) => (a.first ?? Infinity) - (b.first ?? Infinity)) : out
}

/** When each step begins by the plan, under `dish.step`. */
function beginnings({ compiled, plan }: { compiled?: CompiledSession; plan?: Plan }) {
  const out = new Map<string, number>()
  for (const a of plan?.activities ?? []) {
    const card = compiled?.cards[a.id]
    if (!card) continue
    const key = `${card.dish}.${card.step}`
    out.set(key, Math.min(out.get(key) ?? Infinity, a.start))
  }
  return out
}

/** The part of an ingredient that is wanted here, as its recipe measures it. */
function amountSaid(p: Portion, recipe: Recipe, all: readonly Portion[]): string {
  const i = recipe.ingredients.find((x) => x.id === p.ingredient)!
  const whole = all
    .filter((x) => x.dish === p.dish && x.ingredient === p.ingredient)
    .reduce((n, x) => n + x.amount, 0)
  const share = whole ? p.amount / whole : 1
  // All that is made of the dish, and of that the part for here.
  const stated = i.amount * p.times * share
  return amountText(measurable(stated, i.unit), i.unit) + (i.counted ? ` ${i.counted}` : '')
}

/** Spices that go in at the same step, two or more of them: which bowl each is measured into. */
function mixes(own: readonly Portion[], items: readonly SetOutItem[]): Map<string, number> {
  const by = new Map<string, string[]>()
  for (const p of own) {
    if (p.named.food?.section !== 'spices' || p.step === undefined) continue
    const id = items.find((i) => i.id.endsWith(`|${p.ingredient}`))!.id
    by.set(p.step, [...(by.get(p.step) ?? []), id])
  }
  const out = new Map<string, number>()
  let n = 0
  for (const ids of by.values()) {
    if (ids.length < 2) continue
    n++
    for (const id of ids) out.set(id, n)
  }
  return out
}

/** Places that a dish stands in by the plan, without those that are there anyway. */
function toolsOf(
  { compiled, plan, kitchen }: { compiled?: CompiledSession; plan?: Plan; kitchen: Kitchen },
  dish: string,
): string[] {
  const byId = new Map(kitchen.stations.map((s) => [s.id, s]))
  const out = new Set<string>()
  const used = [
    ...(plan?.activities ?? []).flatMap((a) =>
      compiled?.cards[a.id]?.dish === dish ? a.stations : [],
    ),
    ...(plan?.holds ?? []).flatMap((h) =>
      compiled?.kept[h.id]?.activities.some((a) => compiled.cards[a]?.dish === dish)
        ? [h.station]
        : [],
    ),
  ]
  for (const id of used) {
    const s = byId.get(id)
    if (s && (s.zone === 'vessel' || s.zone === 'appliance' || s.kind === 'board')) out.add(s.name)
  }
  return [...out]
}
