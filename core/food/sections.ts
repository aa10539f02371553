/** Where in a shop a thing stands, in the order in which most shops are walked. */
export const SECTIONS = [
  'produce',
  'bread',
  'meat',
  'fish',
  'dairy',
  'tins',
  'dry',
  'baking',
  'spices',
  'oils',
  'drinks',
  'frozen',
  'other',
] as const
export type Section = (typeof SECTIONS)[number]

/** What each is called on screen. */
export const SECTION_WORDS: Record<Section, string> = {
  produce: 'Fruit and vegetables',
  bread: 'Bread',
  meat: 'Meat',
  fish: 'Fish',
  dairy: 'Milk, cheese and eggs',
  tins: 'Tins and jars',
  dry: 'Grains, pulses and pasta',
  baking: 'Baking',
  spices: 'Herbs and spices',
  oils: 'Oil, vinegar and sauces',
  drinks: 'Drinks',
  frozen: 'Frozen',
  other: 'Everything else',
}

/** All sections in a household's order: those that it says, then the rest as most shops have them. */
export const inShopOrder = (own: readonly Section[] = []): Section[] => [
  ...own,
  ...SECTIONS.filter((s) => !own.includes(s)),
]
