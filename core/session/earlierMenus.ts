import { z } from 'zod'
import { dishSchema, daySchema, idSchema, type Session } from './schema'

/** A menu that was cooked, to be cooked again. */
export const menuSchema = z.strictObject({
  format: z.literal('cadrum/menu@1'),
  id: idSchema,
  name: z.string().min(1).max(120),
  /** The last day on which it was cooked. */
  day: daySchema,
  dishes: z.array(dishSchema).min(1),
})
export type Menu = z.output<typeof menuSchema>

/** The session's dishes as a menu to keep; evenings are of their week and stay out. */
export const menuFrom = (session: Session, id: string): Menu => ({
  format: 'cadrum/menu@1',
  id,
  name: session.name,
  day: session.start.slice(0, 10),
  dishes: session.dishes.map(
    ({ on: _, done: __, fixed: ___, ready: ____, notBefore: _____, ...dish }) => dish,
  ),
})

/** The session with the dishes of an earlier menu, as far as their recipes are still there. */
export const withMenu = (
  session: Session,
  menu: Menu,
  recipes: readonly { id: string }[],
): Session => ({
  ...session,
  dishes: menu.dishes.filter((d) => recipes.some((r) => r.id === d.recipe)),
})

/** Menus in the order of their turn: what was cooked longest ago comes first. */
export const inTurn = (menus: readonly Menu[]): Menu[] =>
  [...menus].sort((a, b) => a.day.localeCompare(b.day) || a.name.localeCompare(b.name))
