import { getsReady, sharesOf, type Recipe } from '../recipe'
import {
  dishesToMake,
  leftoversTaken,
  MAIN,
  recipesById,
  servingSteps,
  type Assignment,
  type Session,
} from '../session'
import { needsOf, type Need } from '../shopping'

/** Under which name stands what is not wanted on any day that is planned. */
export const LATER = 'later'

/** A part of a need, for one sitting, evening, or later. */
export interface Portion extends Need {
  /** `main`, the id of a sitting, the day of an evening, or `later`. */
  sitting: string
  /** The step that wants it first there. */
  step: string | undefined
}

/**
 * What every dish wants in which sitting and on which evening: the parts of each need add up to it. What is
 * got ready in one sitting for another is wanted when it is got ready.
 */
export function portionsBySitting(
  session: Session,
  recipes: readonly Recipe[],
  assignment: Assignment | undefined,
): Portion[] {
  const byId = recipesById(session, recipes)
  const at = (dish: string, end: 'first' | 'last') => {
    const slots = assignment?.placed.get(dish)?.values()
    return slots ? (end === 'first' ? Math.min(...slots) : Math.max(...slots)) : 0
  }
  // What is begun before the other is done cannot take of it.
  const taken = leftoversTaken(
    dishesToMake(session, byId),
    (from, to) => at(from, 'last') <= at(to, 'first'),
  )
  return needsOf(session, recipes).flatMap((need) => {
    const recipe = byId.get(need.dish)!
    const parts = partsOf(need, recipe, session, assignment)
    const made = taken.find((t) => t.to === need.dish && t.ingredient === need.ingredient)?.from
    return parts.map(({ sitting, step, share }) => ({
      ...need,
      amount: need.amount * share,
      sitting,
      step,
      ...(made === undefined ? {} : { made }),
    }))
  })
}

/** Needs of what is still to be done: what belongs to sittings that are over is left out. */
export function needsLeft(portions: readonly Portion[], over: ReadonlySet<string>): Need[] {
  const out = new Map<string, Need>()
  for (const { sitting, step: _, ...need } of portions) {
    if (over.has(sitting)) continue
    const key = `${need.dish}|${need.ingredient}`
    const known = out.get(key)
    out.set(key, known ? { ...known, amount: known.amount + need.amount } : need)
  }
  return [...out.values()]
}

interface Part {
  sitting: string
  step: string | undefined
  share: number
}

function partsOf(
  { ingredient }: Need,
  recipe: Recipe,
  session: Session,
  assignment: Assignment | undefined,
): Part[] {
  const serving = new Set(servingSteps(recipe).map((s) => s.id))
  const uses = recipe.steps.filter((s) => s.uses.includes(ingredient))
  if (uses.length && uses.every((s) => serving.has(s.id)))
    return forMeals(recipe, session, uses[0]!.id)
  const placed = assignment?.placed.get(recipe.id)
  const last = placed ? Math.max(...placed.values()) : 0
  const slotOf = (step: string) => placed?.get(step) ?? last
  const name = (slot: number) => assignment?.slots[slot]?.id ?? MAIN
  const cooked = uses.filter((s) => !serving.has(s.id))
  const first = [...cooked].sort((a, b) => slotOf(a.id) - slotOf(b.id))[0]
  if (!first) return [{ sitting: name(last), step: undefined, share: 1 }]
  const ready = cooked.filter((s) => getsReady(s.work)).map((s) => ({ id: s.id, at: slotOf(s.id) }))
  const shares = sharesOf(recipe)
  const bySlot = new Map<number, { step: string; share: number }>()
  for (const s of cooked) {
    if (getsReady(s.work)) continue
    const share = shares.get(s.id)?.get(ingredient) ?? 0
    if (share <= 0) continue
    const before = ready.filter((r) => r.at <= slotOf(s.id)).sort((a, b) => a.at - b.at)[0]
    const at = before?.at ?? slotOf(s.id)
    const known = bySlot.get(at)
    bySlot.set(at, {
      step: known?.step ?? before?.id ?? s.id,
      share: (known?.share ?? 0) + share,
    })
  }
  const sum = [...bySlot.values()].reduce((n, p) => n + p.share, 0)
  const own = slotOf(first.id)
  // What no words put in is there from the first.
  if (sum < 1 - 1e-9) {
    const known = bySlot.get(own)
    bySlot.set(own, { step: known?.step ?? first.id, share: (known?.share ?? 0) + 1 - sum })
  }
  const whole = Math.max(1, sum)
  return [...bySlot].map(([at, { step, share }]) => ({
    sitting: name(at),
    step,
    share: share / whole,
  }))
}

/** What goes in only when it is eaten: by how many eat, and what is left some other day. */
function forMeals(recipe: Recipe, session: Session, step: string): Part[] {
  const dish = session.dishes.find((d) => d.recipe === recipe.id)
  const meals = (session.evenings ?? []).filter((e) => dish?.on?.includes(e.day) && e.eaters > 0)
  const eaten = meals.reduce((n, e) => n + e.eaters, 0)
  const all = Math.max(eaten, recipe.serves * (dish?.batches ?? 1))
  const parts: Part[] = meals.map((e) => ({ sitting: e.day, step, share: e.eaters / all }))
  return eaten < all ? [...parts, { sitting: LATER, step, share: 1 - eaten / all }] : parts
}
