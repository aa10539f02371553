import { portionsBySitting } from '~~/core/setout'
import type { Used } from '~~/core/stock'
import type { useSession } from './useSession'

/** What the open sitting has used of what was in the house, by the menu. */
export function usedIn({
  whole,
  recipes,
  parting,
  sitting,
}: Pick<ReturnType<typeof useSession>, 'whole' | 'recipes' | 'parting' | 'sitting'>): Used[] {
  if (!whole.value) return []
  return portionsBySitting(whole.value, recipes.value, parting.value?.assignment)
    .filter((p) => p.sitting === sitting.value && p.made === undefined)
    .map(({ named, amount, unit }) => ({ item: named.name, amount, unit }))
}
