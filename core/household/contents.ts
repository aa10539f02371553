import { counted, plural } from '../quantity'
import type { Household } from './schema'

/** The lists of what a household owns: this one definition serves files, browser and wiping. */
export const OWNED = [
  'kitchens',
  'recipes',
  'sessions',
  'plans',
  'cooking',
  'menus',
  'records',
  'rhythms',
  'stock',
  'prices',
  'preparing',
  'packs',
  'meals',
] as const
export type Owned = (typeof OWNED)[number]

/** A household that owns nothing. */
export const emptyHousehold = (savedAt: string): Household => ({
  format: 'cadrum/household@1',
  savedAt,
  kitchens: [],
  recipes: [],
  sessions: [],
  plans: [],
  cooking: [],
  menus: [],
  records: [],
  rhythms: [],
  stock: [],
  prices: [],
  preparing: [],
  packs: [],
  meals: [],
})

/** Whether it owns anything at all. */
export const ownsAnything = (household: Household): boolean =>
  OWNED.some((list) => household[list].length > 0)

const WORDS: Record<Owned, [string, string]> = {
  recipes: ['recipe', 'recipes'],
  kitchens: ['kitchen', 'kitchens'],
  sessions: ['session', 'sessions'],
  menus: ['menu', 'menus'],
  plans: ['plan', 'plans'],
  cooking: ['session being cooked', 'sessions being cooked'],
  rhythms: ['rhythm', 'rhythms'],
  stock: ['thing in stock', 'things in stock'],
  prices: ['price', 'prices'],
  preparing: ['list being ticked', 'lists being ticked'],
  packs: ['pack of cooked food', 'packs of cooked food'],
  meals: ['evening arranged', 'evenings arranged'],
  records: ['session in the logbook', 'sessions in the logbook'],
}
const ORDER: readonly Owned[] = [
  'recipes',
  'kitchens',
  'sessions',
  'menus',
  'rhythms',
  'stock',
  'prices',
  'preparing',
  'packs',
  'meals',
  'plans',
  'cooking',
  'records',
]

/** What a household owns, counted in words: "12 recipes, 1 kitchen"; empty where it owns nothing. */
export const contentsOf = (household: Household): string[] =>
  ORDER.flatMap((list) => {
    const n = household[list].length
    return n ? [counted(n, ...WORDS[list])] : []
  })

/** The names of what a household owns, for whoever is asked to let it go. */
export const namesOwned = (household: Household): { what: string; names: string[] }[] =>
  (['recipes', 'kitchens', 'sessions', 'menus'] as const).flatMap((list) => {
    const names = household[list].map((x) => x.name)
    return names.length ? [{ what: plural(names.length, ...WORDS[list]), names }] : []
  })
