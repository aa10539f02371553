import type { Kitchen } from '../kitchen'
import { labelsOf, type Label, type Labelled } from '../labels'
import type { Plan } from '../plan'
import type { Recipe } from '../recipe'
import { cookingsOf, keyOf, type Assignment, type Session } from '../session'
import type { Section } from '../food'
import {
  dishCosts,
  type Asked,
  shopList,
  type DishCost,
  type Price,
  type ShopChoices,
  type ShopList,
} from '../shopping'
import type { Stock } from '../stock'
import { needsLeft, portionsBySitting, type Portion } from './amounts'
import { getReady, type Ready } from './ready'

/** All that lies between menu and first cut. */
export interface Preparation {
  list: ShopList
  costs: DishCost[]
  labels: Label[]
  portions: Portion[]
  ready: Ready[]
  assignment: Assignment | undefined
  /** What the list was made from, for whoever asks what would make it cheaper. */
  asked: Asked
}

/** What is bought, thawed, laid out and labelled for a session, all from one menu. */
export function prepare(held: {
  session: Session
  kitchen: Kitchen
  recipes: readonly Recipe[]
  stock?: readonly Stock[]
  prices?: readonly Price[]
  choices?: ShopChoices
  sections?: readonly Section[]
  /** The plan of a sitting, by the id under which it is kept. */
  planOf?: (key: string) => Plan | undefined
  /** How its dishes are parted between its sittings, where that is known already. */
  assignment?: Assignment | undefined
  /** Sittings and evenings that are over. */
  over?: ReadonlySet<string>
  /** What a dish was really packed in, once it was. */
  packed?: Labelled['packed']
}): Preparation {
  const { session, kitchen, recipes, stock = [], planOf, over = new Set() } = held
  const assignment = 'assignment' in held ? held.assignment : cookingsOf(held, planOf).assignment
  // What the menu says is to be used up is in the house too.
  const house = [...stock, ...(session.useUp ?? []).filter((u) => !known(stock, u.item))]
  const portions = portionsBySitting(session, recipes, assignment)
  const asked: Asked = {
    ...held,
    stock: house,
    // Of another menu, too, only what is still to be done is asked for.
    needsOf: (menu) => needsLeft(portionsBySitting(menu, recipes, assignment), over),
  }
  const list = shopList(asked)
  const labels = labelsOf({
    session,
    kitchen,
    recipes,
    ...(assignment ? { assignment } : {}),
    planOf: (sitting) => planOf?.(keyOf(session.id, sitting)),
    ...(held.packed ? { packed: held.packed } : {}),
  })
  return {
    list,
    costs: dishCosts(list.lines, session, recipes),
    labels,
    portions,
    ready: getReady({ session, kitchen, recipes, assignment, portions, stock, labels, over }),
    assignment,
    asked,
  }
}

const known = (stock: readonly Stock[], item: string) =>
  stock.some((s) => s.item.toLowerCase() === item.toLowerCase())

/** The sitting in which a dish is finished and packed; undefined where a session has no others. */
export const finishedSitting = (
  assignment: Assignment | undefined,
  dish: string,
): string | undefined => {
  const at = assignment?.placed.get(dish)
  return at && assignment!.slots[Math.max(...at.values())]?.id
}
