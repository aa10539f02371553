import { equipmentFor, timesOf } from './edit'
import { mainOf } from './mainOf'
import type { Recipe } from './schema'
import { allergensIn } from './allergens'

/** What is looked for in a recipe box. */
export interface Wanted {
  /** Words that must all turn up in the name, the ingredients or the steps. */
  words: string
  /** Equipment that the recipe must use. */
  equipment?: string
  /** Most minutes from first to last. */
  within?: number
  /** What it must be mostly of. */
  main?: string
  /** An allergen that must not be in it. */
  without?: string
}

export interface Entry {
  recipe: Recipe
  text: string
  name: string
  equipment: Set<string>
  whole: number
  main: string | undefined
  allergens: string[]
}

const folded = (text: string) =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()

/** Recipes ready to be searched; to be made once for a box, not once a keystroke. */
export const indexOf = (recipes: readonly Recipe[]): Entry[] =>
  recipes.map((recipe) => ({
    recipe,
    name: folded(recipe.name),
    text: folded(
      [
        recipe.name,
        ...recipe.ingredients.map((i) => `${i.item} ${i.note ?? ''}`),
        ...recipe.steps.map((s) => s.do),
      ].join(' '),
    ),
    equipment: new Set(recipe.steps.flatMap((s) => equipmentFor(recipe, s))),
    whole: timesOf(recipe).whole,
    main: mainOf(recipe),
    allergens: allergensIn(recipe.ingredients.map((i) => i.item)),
  }))

/** The recipes that fit, those whose name fits first, then by name. */
export function search(index: readonly Entry[], wanted: Wanted): Recipe[] {
  const words = folded(wanted.words).split(/\s+/).filter(Boolean)
  const named = (e: Entry) => (words.every((w) => e.name.includes(w)) ? 0 : 1)
  return index
    .filter(
      (e) =>
        words.every((w) => e.text.includes(w)) &&
        (!wanted.equipment || e.equipment.has(wanted.equipment)) &&
        (wanted.within === undefined || e.whole <= wanted.within) &&
        (!wanted.main || e.main === wanted.main) &&
        (!wanted.without || !e.allergens.includes(wanted.without)),
    )
    .sort((a, b) => named(a) - named(b) || (a.name < b.name ? -1 : a.name > b.name ? 1 : 0))
    .map((e) => e.recipe)
}
