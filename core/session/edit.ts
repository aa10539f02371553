import type { Session, SessionDish } from './schema'

/** The session with one more dish at the end, unless it is in it already. */
export const withNewDish = (session: Session, recipe: string): Session =>
  session.dishes.some((d) => d.recipe === recipe)
    ? session
    : { ...session, dishes: [...session.dishes, { recipe, batches: 1 }] }

/** The session with one dish changed; the same where it is not in it. */
export const withDish = (
  session: Session,
  recipe: string,
  patch: Partial<SessionDish>,
): Session => ({
  ...session,
  dishes: session.dishes.map((d) => (d.recipe === recipe ? { ...d, ...patch } : d)),
})

export const withoutDish = (session: Session, recipe: string): Session => ({
  ...session,
  dishes: session.dishes.filter((d) => d.recipe !== recipe),
})

/** The session with a dish back at its place, whatever else was changed since it was taken out. */
export const withDishBack = (session: Session, dish: SessionDish, at: number): Session => {
  const { dishes } = withoutDish(session, dish.recipe)
  return { ...session, dishes: [...dishes.slice(0, at), dish, ...dishes.slice(at)] }
}
