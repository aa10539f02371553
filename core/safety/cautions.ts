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
      ...(hazard.atEnd ? { atEnd: true as const } : {}),
    })),
  )
}

const sourceOf = (hazard: Hazard) =>
  `${hazard.source}; ${hazard.manual ? 'the maker’s manual comes' : 'local guidance comes'} first`
