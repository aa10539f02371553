import {
  aboutSteps,
  comesFrom,
  foodLinks,
  isFish,
  lawOf,
  lotsOf,
  type Lot,
  type Recipe,
  type Step,
} from '../../recipe'

/** Why what a step gives can wait for another sitting, and for how long. */
export interface Parting {
  /** It goes on by itself meanwhile, or lies in the cold, or dry. */
  how: 'on' | 'cold' | 'dry'
  /** Hours that it must and may take from the one sitting to the other. */
  least: number
  most: number
  source: string
}

const DAY = 24
/** What keeps for so many days keeps dry, not in the cold. */
const KEEPS_DRY = 14
/** An unattended step of so many minutes is worth another sitting. */
export const LONG = 180
/** Work that goes on by itself while nobody is there; nothing on the hob, with nobody in the kitchen. */
export const BY_ITSELF = new Set<Step['work']>(['slow', 'soak', 'prove', 'chill', 'rest'])
/** Of these a longer time than the least is only waiting. */
const WAITS = new Set<Step['work']>(['soak', 'chill', 'rest'])
const MINCED = /\b(?:mince|minced|ground|liver|poultry|chicken|turkey|duck|sausages?)\b/i
/** What turns brown or limp, cut the day before. */
const NOT_AHEAD =
  /\b(?:apples?|pears?|avocados?|bananas?|potato(?:es)?|aubergines?|eggplants?|artichokes?|basil|lettuce|tomato(?:es)?)\b/i
const SPICE =
  /\b(?:salt|pepper|paprika|cumin|coriander seeds?|turmeric|cinnamon|cloves?|oregano|thyme|chil[il]i powder|curry powder|flour|oats?|sugar|baking powder)\b/i

/**
 * How what each step gives can wait for another sitting, by the recipe where it says so, else by what the
 * food is. What is half cooked never waits, nor what the table knows nothing about.
 */
export function partingsOf(recipe: Recipe): Map<string, Parting> {
  const lots = lotsOf(recipe)
  const links = foodLinks(recipe)
  const about = aboutSteps(recipe)
  const nameOf = new Map(recipe.ingredients.map((i) => [i.id, i.item]))
  return new Map(
    recipe.steps.flatMap((step) => {
      const inside = comesFrom(links, step.id)
      const items = recipe.steps
        .filter((s) => inside.has(s.id))
        .flatMap((s) => s.uses.map((u) => nameOf.get(u) ?? ''))
      const words = `${items.join(', ')} ${about.get(step.id) ?? ''}`
      const found = partingOf(step, lots.get(step.id)!, words, items)
      return found ? [[step.id, found] as const] : []
    }),
  )
}

function partingOf(step: Step, lot: Lot, words: string, items: string[]): Parting | undefined {
  const [least, usual, most] = step.ways[0]!.minutes
  if (step.aside || (BY_ITSELF.has(step.work) && usual >= LONG))
    return {
      how: 'on',
      least: (WAITS.has(step.work) ? least : usual) / 60,
      most: Math.max(usual, most) / 60,
      source: 'the recipe says so',
    }
  if (step.ahead)
    return {
      how: step.ahead.days >= KEEPS_DRY && !lot.raw ? 'dry' : 'cold',
      least: 0,
      most: step.ahead.days * DAY,
      source: 'the recipe says so',
    }
  if (lot.part || lot.cooked || lot.hot || lot.dough) return undefined
  if (lot.flesh) {
    const days = MINCED.test(words) || isFish(words) ? 1 : 2
    return {
      how: 'cold',
      least: 0,
      most: days * DAY,
      source: `usual guidance: raw, covered, at the bottom of the fridge, ${days === 1 ? 'a day' : 'two days'}`,
    }
  }
  if (lot.raw) return undefined
  if (step.work === 'cut' && lawOf(step.work).hygiene === 'produce' && !NOT_AHEAD.test(words))
    return {
      how: 'cold',
      least: 0,
      most: DAY,
      source: 'usual practice: cut the day before, covered in the fridge',
    }
  if (['measure', 'mix'].includes(step.work) && items.length && items.every((i) => SPICE.test(i)))
    return { how: 'dry', least: 0, most: 7 * DAY, source: 'dry, it keeps in a lidded jar' }
  return undefined
}
