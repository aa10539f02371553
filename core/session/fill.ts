import { IN_SMALL, type Unit } from '../quantity'
import type { Filled } from '../kitchen'
import { grainOf, mostLitres, type Recipe } from '../recipe'
import { upTo } from './ahead'

/** Large things that are counted in pieces, in litres: estimates of ours, by usual weights. */
const PIECES: [RegExp, number][] = [
  [/\b(?:thighs?|drumsticks?|breasts?|wings?|legs?|fillets?|livers?|stock|broth)\b(?! of)/, 0],
  [/\bturkeys?\b/, 5],
  [/\b(?:goose|geese)\b/, 4],
  [/\bducks?\b/, 2.2],
  [/\b(?:chickens?|hens?)\b/, 1.6],
  [/\b(?:leg|shoulder) of (?:lamb|pork)\b|\bham\b|\bgammon\b|\bjoint\b/, 2],
  [/\b(?:pumpkin|squash|cabbage|cauliflower)s?\b/, 1],
]
/** Litres of one piece: as its weight is stated, of each or of all, or by what it is. */
function pieceLitres({ item, note, amount }: Recipe['ingredients'][number]): number {
  const whole = `${item} ${note ?? ''}`.toLowerCase()
  const stated = /(\d+(?:\.\d+)?) ?(kg|g)\b/.exec(whole)
  if (stated) {
    const all = /\b(?:each|apiece)\b/.test(whole) ? 1 : Math.max(1, amount)
    return (Number(stated[1]) * (stated[2] === 'kg' ? 1 : 0.001)) / all
  }
  return PIECES.find(([words]) => words.test(whole))?.[1] ?? 0
}

/** Litres that a unit of an ingredient fills: a kilo about as much as a litre. Small pieces are not known. */
const litres = (unit: Unit) => (IN_SMALL[unit] ?? 0) / 1000
/** Litres of all that has gone in by a step, without spoons and small things that are counted. */
export const litresBy = (recipe: Recipe, step: string): number =>
  litresFilled(insideBy(recipe, step))

/** Litres of ingredients, without spoons and small things that are counted. */
export const litresFilled = (ingredients: Recipe['ingredients']): number =>
  ingredients.reduce(
    (sum, i) => sum + i.amount * (i.unit === 'piece' ? pieceLitres(i) : litres(i.unit)),
    0,
  )

function insideBy(recipe: Recipe, step: string): Recipe['ingredients'] {
  const steps = upTo(recipe, [step])
  const used = new Set(recipe.steps.flatMap((s) => (steps.has(s.id) ? s.uses : [])))
  return recipe.ingredients.filter((i) => used.has(i.id))
}

/**
 * Litres that a pot or cooker must hold for one batch: all that has gone in by a step, with the room
 * above it that such a vessel wants. Rather too little, since small things that are counted are left
 * out; undefined where next to nothing is known.
 */
export function litresIn(recipe: Recipe, to: string, kind: Filled): number | undefined {
  const inside = insideBy(recipe, to)
  const food = litresBy(recipe, to)
  if (food < 0.25) return undefined
  const foams = inside.some((i) => grainOf(i.item) !== undefined)
  const share = mostLitres(kind, 100, foams).most / 100
  return Math.round((food / share) * 10) / 10
}
