import type { Recipe } from '../schema'
import type { RecipeRead } from '../text/readText'
import { equipmentFor } from '../edit'
import { lawOf } from '../work'

/** A recipe of our own in the shape of one that was read from a text: nothing in it is in doubt. */
export function asRead(recipe: Recipe): RecipeRead {
  return {
    name: recipe.name,
    serves: recipe.serves,
    ingredients: recipe.ingredients.map((i) => ({
      id: i.id,
      item: i.item,
      amount: i.amount,
      unit: i.unit,
      ...(i.note === undefined ? {} : { preparation: i.note }),
      ...(i.optional ? { optional: true as const } : {}),
      text: i.item,
      doubts: [],
    })),
    steps: recipe.steps.map((s) => {
      const { minutes, heat } = s.ways[0]!
      const [low, high] = heat?.celsius ?? [0, 0]
      return {
        id: s.id,
        do: s.do,
        work: s.work,
        minutes: [minutes[0], minutes[2]],
        stated: true,
        celsius: heat ? (low === high ? low : [low, high]) : null,
        equipment: equipmentFor(recipe, s),
        hygiene: s.hygiene ?? lawOf(s.work).hygiene,
        after: s.after.map(({ step, least, most, food }) => ({
          step,
          ...(least === undefined ? {} : { least }),
          ...(most == null ? {} : { most }),
          ...(food === undefined ? {} : { food }),
        })),
        uses: s.uses,
        doubts: s.doubts,
      }
    }),
    doubts: [],
  }
}
