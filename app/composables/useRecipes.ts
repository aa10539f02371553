import { issueText } from './issueText'
import { computed } from 'vue'
import type { Issue } from '~~/core/reading'
import {
  idFor,
  markFor,
  plannable,
  readRecipe,
  recipeSchema,
  type Found,
  type Recipe,
} from '~~/core/recipe'
import { plain } from './plain'
import { beingCooked } from '~/database/beingCooked'
import { database } from '~/database/database'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'
import { useLive } from './useLive'

/** The household's recipes, live, and everything that changes them. */
export function useRecipes() {
  const notices = useNotices()
  const saving = useSaving()
  const list = useLive(() => database.recipes.toArray())
  const recipes = computed(() => list.value ?? [])

  /**
   * Changes one recipe as it stands in the database by now, where the result is sound; otherwise
   * nothing is written and the issues come back. Another tab's change to something else stays.
   */
  async function change(id: string, edit: (recipe: Recipe) => Recipe): Promise<Issue[]> {
    const busy = await beingCooked(id)
    if (busy.length) return busy
    const name = recipes.value.find((r) => r.id === id)?.name ?? id
    return saving.write(name, () =>
      database.transaction('rw', database.recipes, async () => {
        const current = await database.recipes.get(id)
        if (!current) return []
        const edited = plain(edit(current))
        const reading = readRecipe(edited)
        if (!reading.ok) return reading.issues
        await database.recipes.put(reading.value)
        return []
      }),
    )
  }

  /** Takes recipes in, under ids and marks that are not taken yet; their new ids. */
  async function take(found: readonly Found[]): Promise<string[]> {
    return saving.write('the new recipes', () =>
      database.transaction('rw', database.recipes, async () => {
        const there = await database.recipes.toArray()
        const ids = new Set(there.map((r) => r.id))
        const marks = new Set(there.map((r) => r.mark))
        const taken: string[] = []
        for (const f of found) {
          const name = 'exact' in f ? f.exact.name : f.read.name
          const id = idFor('exact' in f ? f.exact.id : name, ids)
          const mark =
            'exact' in f && !marks.has(f.exact.mark) ? f.exact.mark : markFor(name, marks)
          const recipe = 'exact' in f ? { ...f.exact, id, mark } : plannable(f.read, id, mark)
          await database.recipes.add(recipeSchema.parse(recipe))
          ids.add(id)
          marks.add(mark)
          taken.push(id)
        }
        return taken
      }),
    )
  }

  /** Takes a recipe out, of the session too, with a way back. */
  async function remove(id: string): Promise<void> {
    const [busy] = await beingCooked(id)
    if (busy) {
      notices.show({ text: issueText(busy), bad: true })
      return
    }
    const gone = await saving.write('that a recipe is gone', () =>
      database.transaction('rw', [database.recipes, database.sessions], async () => {
        const recipe = await database.recipes.get(id)
        const sessions = await database.sessions.toArray()
        await database.recipes.delete(id)
        for (const s of sessions)
          await database.sessions.put({ ...s, dishes: s.dishes.filter((d) => d.recipe !== id) })
        return { recipe, sessions }
      }),
    )
    if (!gone.recipe) return
    notices.show({
      text: `${gone.recipe.name} is gone.`,
      undo: () =>
        saving.write(gone.recipe!.name, () =>
          database.transaction('rw', [database.recipes, database.sessions], async () => {
            await database.recipes.put(gone.recipe!)
            for (const s of gone.sessions) {
              const now = await database.sessions.get(s.id)
              const dish = s.dishes.find((d) => d.recipe === id)
              if (now && dish)
                await database.sessions.put({ ...now, dishes: [...now.dishes, dish] })
            }
          }),
        ),
    })
  }

  return { list, recipes, change, take, remove }
}
