import type { Recipe } from '~~/core/recipe'
import {
  withDish,
  withDishBack,
  withNewDish,
  withoutDish,
  type DishEdit,
  type Session,
} from '~~/core/session'
import { useNotices } from '~/stores/notices'

/** What can be done to the dishes of a session, wherever they are shown. */
export function useSessionDishes(
  props: { session: Session; recipes: Recipe[] },
  change: (edit: (session: Session) => Session) => void,
) {
  const notices = useNotices()
  const recipe = (id: string) => props.recipes.find((r) => r.id === id)
  const set = (id: string, edit: DishEdit) => change((s) => withDish(s, id, edit))
  const add = (id: string) => id && change((s) => withNewDish(s, id))
  function remove(id: string) {
    const at = props.session.dishes.findIndex((d) => d.recipe === id)
    const dish = props.session.dishes[at]
    if (!dish) return
    change((s) => withoutDish(s, id))
    notices.show({
      text: `${recipe(id)?.name ?? id} is out of the session.`,
      undo: async () => change((s) => withDishBack(s, dish, at)),
    })
  }
  return { recipe, set, add, remove }
}
