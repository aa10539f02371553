import type { Section } from './sections'

/** In what a food is bought and reckoned: grams, millilitres, or pieces. */
export type Base = 'g' | 'ml' | 'piece'

/** What is known of a kind of food as it is bought. */
export interface Food {
  /** The name under which it is bought, if all that the words fit is one and the same thing. */
  name?: string
  words: RegExp
  section: Section
  by: Base
  /** Grams of one piece, and of what else is counted of it. */
  each?: number
  counted?: Record<string, number>
  /** Grams of a millilitre. */
  density?: number
  /** Sizes that shops usually have it in, in `by`. */
  packs?: number[]
  /** It is kept in the house: up to so much of it (in `by`) is looked for rather than bought. */
  pantry?: number
  /** It comes from the tap. */
  free?: true
  /** Grams of what is bought for one gram of what the recipe asks for, where that is soaked or cooked. */
  bought?: number
}
