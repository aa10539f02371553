import type { Kitchen } from '../kitchen'
import type { Recipe } from '../recipe'

/** What does the same work where a kitchen lacks the one that a recipe names. */
const STANDS_IN: Readonly<Record<string, string>> = {
  blender: 'stick-blender',
  'stick-blender': 'blender',
}

/** The recipe with what the kitchen has in the place of what it lacks, where that does the same work. */
export function withStandIns(recipe: Recipe, kitchen: Kitchen): Recipe {
  const kinds = new Set(kitchen.stations.map((s) => s.kind))
  const instead = (kind: string) => {
    const other = STANDS_IN[kind]
    return !kinds.has(kind) && other !== undefined && kinds.has(other) ? other : kind
  }
  return {
    ...recipe,
    steps: recipe.steps.map((s) => ({
      ...s,
      ways: s.ways.map((w) => ({
        ...w,
        on: w.on.map((need) => ({ ...need, kind: instead(need.kind) })),
      })),
    })),
  }
}
