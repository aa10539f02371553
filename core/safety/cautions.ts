import type { Recipe } from '../recipe'
import type { Hazard } from './hazard'
import { HAZARDS } from './hazards'
import { viewOf } from './view'

/** What can hurt somebody in a recipe, and what is usual against it. */
export interface Caution {
  /** The hazard's name in the table. */
  hazard: string
  text: string
  /** The step at which the hand is about to do it; undefined: the dish as a whole. */
  step?: string
  source: string
  /** It can maim or kill. */
  grave?: true
  /** It is told when the step is over: how hot the middle is by then. */
  atEnd?: true
}

/** Said wherever cautions are shown. */
export const FIRST = 'Your local guidance and the maker’s manual come first.'

/**
 * Every caution that a recipe asks for, in the order of the table; `told` is the text that it was
 * read from, which says more than its steps do. The table overrules the text: what the text states
 * below a limit is said to be too little.
 */
export const cautionsOf = (recipe: Recipe, told?: string): Caution[] => {
  const view = viewOf(recipe, told)
  return HAZARDS.flatMap((hazard) =>
    hazard.find(view).map((found) => ({
      hazard: hazard.id,
      text: found.text,
      ...(found.step === undefined ? {} : { step: found.step }),
      source: sourceOf(hazard),
      ...(hazard.grave ? { grave: true as const } : {}),
      ...(hazard.atEnd ? { atEnd: true as const } : {}),
    })),
  )
}

const sourceOf = (hazard: Hazard) =>
  `${hazard.source}; ${hazard.manual ? 'the maker’s manual comes' : 'local guidance comes'} first`

/**
 * What can maim or kill in any of these recipes, each said once, with the dishes that it is about; of
 * steps only those that are made, where a dish can be made in several ways.
 */
export function graveCautions(
  recipes: readonly Recipe[],
  isMade: (recipe: string, step: string) => boolean = () => true,
): { text: string; dishes: string[] }[] {
  const found = new Map<string, { text: string; dishes: string[] }>()
  for (const recipe of recipes)
    for (const { hazard, text, grave, step } of cautionsOf(recipe)) {
      if (!grave || (step !== undefined && !isMade(recipe.id, step))) continue
      const known = found.get(hazard) ?? { text, dishes: [] }
      if (!known.dishes.includes(recipe.name)) known.dishes.push(recipe.name)
      found.set(hazard, known)
    }
  return [...found.values()]
}
