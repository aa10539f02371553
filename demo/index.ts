import { emptyHousehold, type Household } from '../core/household'
import { kitchenSchema } from '../core/kitchen'
import { recipeSchema, type Recipe } from '../core/recipe'
import {
  eveningsFrom,
  fillEvenings,
  menuSchema,
  sessionSchema,
  type Menu,
  type Session,
} from '../core/session'
import { stockOf, type Stock } from '../core/stock'
import { highfell } from './kitchen'
import * as bakes from './recipes/bakes'
import * as bases from './recipes/bases'
import * as pots from './recipes/pots'

/** The demo household: a kitchen, its recipes, and the Saturday before lambing. */
export const demoKitchen = kitchenSchema.parse(highfell)

export const demoRecipes: Recipe[] = [
  pots.braisedPork,
  pots.squashSoup,
  bakes.fishPie,
  bakes.turkeyPatties,
  bakes.beanBake,
  pots.spicedChickpeas,
  pots.brownRice,
  bakes.oatBars,
  bakes.sodaBread,
  pots.beetrootEggs,
  bases.softOnions,
  bases.roastRoots,
].map((r) => recipeSchema.parse(r))

const saturday: Session = sessionSchema.parse({
  format: 'cadrum/session@1',
  id: 'before-lambing',
  name: 'The Saturday before lambing',
  kitchen: 'highfell',
  cooks: ['runa', 'teo'],
  start: '2027-03-20T09:00',
  sittings: [
    {
      id: 'friday',
      name: 'Friday evening',
      start: '2027-03-19T19:30',
      limit: 60,
      cooks: ['runa', 'teo'],
    },
  ],
  useUp: [
    { item: 'parsnips', amount: 700, unit: 'g', by: '2027-03-22' },
    { item: 'celery', amount: 300, unit: 'g', by: '2027-03-24' },
  ],
  dishes: [
    { recipe: 'braised-pork', batches: 2, fixed: [{ step: 'season', sitting: 'friday' }] },
    { recipe: 'squash-soup', batches: 2, fixed: [{ step: 'cut', sitting: 'friday' }] },
    { recipe: 'fish-pie', batches: 1 },
    { recipe: 'turkey-patties', batches: 2 },
    { recipe: 'bean-bake', batches: 1 },
    { recipe: 'spiced-chickpeas', batches: 2, fixed: [{ step: 'toast', sitting: 'friday' }] },
    { recipe: 'brown-rice', batches: 1.5 },
    { recipe: 'oat-bars', batches: 1 },
    { recipe: 'soda-bread', batches: 2 },
    { recipe: 'beetroot-eggs', batches: 1 },
  ],
})

/** Menus of the winter before, to come round again. */
export const demoMenus: Menu[] = [
  {
    id: 'new-year',
    name: 'The week after New Year',
    day: '2027-01-09',
    dishes: [
      { recipe: 'braised-pork', batches: 2 },
      { recipe: 'squash-soup', batches: 1.5 },
      { recipe: 'oat-bars', batches: 1 },
      { recipe: 'soda-bread', batches: 1 },
    ],
  },
  {
    id: 'half-term',
    name: 'Half term',
    day: '2027-02-13',
    dishes: [
      { recipe: 'turkey-patties', batches: 2 },
      { recipe: 'bean-bake', batches: 1 },
      { recipe: 'brown-rice', batches: 1 },
      { recipe: 'beetroot-eggs', batches: 1 },
    ],
  },
].map((m) => menuSchema.parse({ format: 'cadrum/menu@1', ...m }))

/** Three of them eat for the twelve days in which nobody has time. */
export const demoSession = fillEvenings(
  { ...saturday, evenings: eveningsFrom(saturday.start, 12, 3) },
  demoRecipes,
)

/** What is in the house on the Thursday before. */
export const demoStock: Stock[] = stockOf([
  { item: 'parsnips', amount: 700, unit: 'g', by: '2027-03-22' },
  { item: 'celery', amount: 300, unit: 'g', by: '2027-03-24' },
  { item: 'butter', amount: 250, unit: 'g', by: '2027-04-20' },
  { item: 'eggs', amount: 8, unit: 'piece', by: '2027-03-30' },
  { item: 'minced turkey', amount: 500, unit: 'g', place: 'freezer', where: 'top basket' },
  { item: 'smoked white fish', amount: 600, unit: 'g', place: 'freezer', where: 'top basket' },
  { item: 'red lentils', amount: 350, unit: 'g' },
  { item: 'brown rice', amount: 1, unit: 'kg' },
  { item: 'rapeseed oil', amount: 700, unit: 'ml' },
  { item: 'plain flour', amount: 900, unit: 'g' },
])

/** All that the demo household owns, as one file would hold it. */
export const demoHousehold = (): Household => ({
  ...emptyHousehold(new Date(0).toISOString()),
  kitchens: [demoKitchen],
  recipes: demoRecipes,
  sessions: [demoSession],
  menus: demoMenus,
  stock: demoStock,
})
