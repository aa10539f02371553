import { isDough, isGrain, isMeat, isRaw } from '../text/foods'
import { cooks, cooksThrough, lawOf } from '../work'
import type { Recipe, Step } from '../schema'

/** What state food is in when a step has let go of it. */
export interface Lot {
  /** Raw meat, fish or egg is in it. */
  raw: boolean
  /** Of what is raw in it some is flesh. */
  flesh: boolean
  /** Browned, and not cooked through. */
  part: boolean
  cooked: boolean
  hot: boolean
  /** Straight from the fridge or freezer. */
  cold: boolean
  dough: boolean
  /** Pasta, rice or the like is in it. */
  grain: boolean
}

const NOTHING: Lot = {
  raw: false,
  flesh: false,
  part: false,
  cooked: false,
  hot: false,
  cold: false,
  dough: false,
  grain: false,
}

/** Minutes by which what stands to cool is no longer hot, in shallow boxes: an estimate of ours. */
const COOLS = 15

/** Ids of steps in an order in which each comes after all that it waits for. */
export function inOrder(recipe: Pick<Recipe, 'steps'>): Step[] {
  const out: Step[] = []
  const left = [...recipe.steps]
  const open = new Set(left.map((s) => s.id))
  while (left.length) {
    const k = Math.max(
      0,
      left.findIndex((s) => !s.after.some((a) => open.has(a.step))),
    )
    const [next] = left.splice(k, 1)
    open.delete(next!.id)
    out.push(next!)
  }
  return out
}

/** What each step gives, by its id. */
export function lotsOf(recipe: Pick<Recipe, 'steps' | 'ingredients'>): Map<string, Lot> {
  const lots = new Map<string, Lot>()
  for (const step of inOrder(recipe)) {
    const inputs = step.after.flatMap((a) => (a.food === false ? [] : (lots.get(a.step) ?? [])))
    if (step.brings)
      inputs.push({ ...NOTHING, ...Object.fromEntries(step.brings.is.map((k) => [k, true])) })
    lots.set(step.id, lotAfter(step, inputs, recipe))
  }
  return lots
}

/** Whether what waits in front of a step is still raw: nothing has cooked it so far. */
function lotAfter(step: Step, inputs: Lot[], recipe: Pick<Recipe, 'ingredients'>): Lot {
  const any = (key: keyof Lot) => inputs.some((l) => l[key])
  const hygiene = step.hygiene ?? lawOf(step.work).hygiene
  const named = recipe.ingredients.some((i) => step.uses.includes(i.id) && isRaw(i.item))
  const raw = any('raw') || hygiene === 'raw' || (named && hygiene !== 'ready')
  const dough = any('dough') || (isDough(step.do) && step.work !== 'pack')
  const grain =
    any('grain') || recipe.ingredients.some((i) => step.uses.includes(i.id) && isGrain(i.item))
  const now = { ...NOTHING, dough, grain }
  const meat = recipe.ingredients.some((i) => step.uses.includes(i.id) && isMeat(i.item))
  // What is raw and has no name is taken for flesh; an egg around what is cooked already is none.
  const unnamed = raw && !named && !any('raw')
  const flesh = any('flesh') || (meat && raw) || unnamed
  if (cooks(step.work))
    return cooksThrough(step.work, step.ways[0]!.minutes[1], flesh, step.do)
      ? { ...now, cooked: true, hot: true, dough: false }
      : { ...now, part: true, flesh, hot: true }
  const same = { ...now, raw, flesh, part: any('part'), cooked: any('cooked') }
  switch (step.work) {
    case 'cool':
      // `Cool for 5 minutes before turning out`: it is hot all the same.
      return { ...same, hot: any('hot') && step.ways[0]!.minutes[1]! < COOLS }
    case 'chill':
      return { ...same, cold: true }
    case 'drain':
      return { ...same, hot: any('hot') && !/\bcold\b/i.test(step.do) }
    case 'heat':
      return { ...same, hot: true }
    case 'soak':
      return { ...same, cold: raw }
    default:
      return { ...same, hot: any('hot') }
  }
}
