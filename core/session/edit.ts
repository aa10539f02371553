import { LEAST_BATCHES, MOST_BATCHES, type Session, type SessionDish } from './schema'

/** The session with one more dish at the end, unless it is in it already. */
export const withNewDish = (session: Session, recipe: string): Session =>
  session.dishes.some((d) => d.recipe === recipe)
    ? session
    : { ...session, dishes: [...session.dishes, { recipe, batches: 1 }] }

/** What is changed of a dish: as it is to be, or from what it is by then. */
export type DishEdit = Partial<SessionDish> | ((dish: SessionDish) => Partial<SessionDish>)

/** The session with one dish changed; the same where it is not in it. */
export const withDish = (session: Session, recipe: string, edit: DishEdit): Session => ({
  ...session,
  dishes: session.dishes.map((d) =>
    d.recipe === recipe ? { ...d, ...(typeof edit === 'function' ? edit(d) : edit) } : d,
  ),
})

/**
 * The session with so many batches more (or fewer) of a dish than it has by then, within what may be: two
 * quick taps are two, whatever the page shows of the first when the second comes.
 */
export const withMoreBatches = (session: Session, recipe: string, more: number): Session =>
  withDish(session, recipe, ({ batches }) => ({
    batches: Math.min(MOST_BATCHES, Math.max(LEAST_BATCHES, batches + more)),
  }))

export const withoutDish = (session: Session, recipe: string): Session => ({
  ...session,
  dishes: session.dishes.filter((d) => d.recipe !== recipe),
})

/** The session with a dish back at its place, whatever else was changed since it was taken out. */
export const withDishBack = (session: Session, dish: SessionDish, at: number): Session => {
  const { dishes } = withoutDish(session, dish.recipe)
  return { ...session, dishes: [...dishes.slice(0, at), dish, ...dishes.slice(at)] }
}
