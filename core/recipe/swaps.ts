import type { Recipe } from './schema'

/** What goes in for an ingredient, as the cook has chosen. */
export interface Swap {
  ingredient: string
  item: string
}

/** The recipe with other things in the place of some of its ingredients, also where its words name them. */
export function withSwaps(recipe: Recipe, swaps: readonly Swap[] = []): Recipe {
  const own = swaps.flatMap(({ ingredient, item }) => {
    const from = recipe.ingredients.find((i) => i.id === ingredient)
    return from && from.item !== item ? [{ from, item }] : []
  })
  if (!own.length) return recipe
  const told = (words: string) =>
    own.reduce((text, { from, item }) => text.replaceAll(from.item, item), words).slice(0, 300)
  return {
    ...recipe,
    ingredients: recipe.ingredients.map((i) => {
      const swap = own.find(({ from }) => from.id === i.id)
      if (!swap) return i
      const { instead: _, pack: __, ...rest } = i
      return { ...rest, item: swap.item }
    }),
    steps: recipe.steps.map((s) => ({ ...s, do: told(s.do) })),
  }
}
