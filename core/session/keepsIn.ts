import type { Recipe } from '../recipe'
import { keepingOf } from '../safety'

/** How many days a dish keeps in a place, and who says so. */
export interface Keeps {
  days: number
  source: string
}

/** The names of all that is in a dish, its bases among it. */
export function itemsIn(recipe: Recipe, byId: ReadonlyMap<string, Recipe>): string[] {
  const bases = recipe.steps.flatMap((s) => s.takes.map((t) => byId.get(t.base)))
  return [recipe, ...bases].flatMap((r) => r?.ingredients.map((i) => i.item) ?? [])
}

/**
 * Days that a dish keeps from the day on which it was cooked: as its recipe says, in the fridge no longer
 * than usual guidance for what is in it; without a word of the recipe as that guidance says.
 */
export function keepsIn(
  recipe: Recipe,
  place: 'tonight' | 'fridge' | 'freezer' | 'shelf',
  byId: ReadonlyMap<string, Recipe> = new Map(),
): Keeps {
  if (place === 'tonight') return { days: 0, source: 'eaten on the day' }
  const table = keepingOf(recipe.name, itemsIn(recipe, byId))
  const usual = { days: table[place], source: table.sources[place] }
  const days = recipe.store?.place === place ? recipe.store.days : undefined
  if (days === undefined) return usual
  const own = { days, source: 'the recipe says so' }
  return place === 'fridge' && days > usual.days
    ? { days: usual.days, source: `${usual.source}; the recipe says ${days}` }
    : own
}
