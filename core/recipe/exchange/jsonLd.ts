import { ingredientLine } from '../ingredients'
import type { Recipe } from '../schema'
import { allergensIn } from '../allergens'

/** A step with its time, in a sentence. */
export function stepLine(step: Recipe['steps'][number]): string {
  const { minutes, heat } = step.ways[0]!
  const [least, , most] = minutes
  const time = least === most ? `${least}` : `${least}-${most}`
  const at = heat ? `, ${heat.celsius[0]}-${heat.celsius[1]} °C` : ''
  return `${step.do} (${time} min${at}).`
}

/**
 * A recipe as schema.org linked data: what other programs understand, and under `cadrum:recipe`
 * all of it, so that it comes back equal.
 */
export function jsonLdOf(recipe: Recipe): object {
  const allergens = allergensIn(recipe.ingredients.map((i) => i.item))
  return {
    '@context': ['https://schema.org', { cadrum: 'urn:cadrum:' }],
    '@type': 'Recipe',
    name: recipe.name,
    recipeYield: `${recipe.serves} servings`,
    recipeIngredient: recipe.ingredients.map(ingredientLine),
    recipeInstructions: recipe.steps.map((s) => ({ '@type': 'HowToStep', text: stepLine(s) })),
    ...(allergens.length ? { keywords: `contains ${allergens.join(', ')}` } : {}),
    'cadrum:recipe': recipe,
  }
}
