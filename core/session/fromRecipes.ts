import type { Kitchen } from '../kitchen'
import { idFor, markFor, plannable, recipeSchema, type Found, type Recipe } from '../recipe'
import { fillEvenings } from './menu'
import { MOST_BATCHES } from './schema'
import { readSessionFile, type SessionFile } from './sessionFile'
import type { Reading } from '../reading'

/** Recipes as they were found, each with an id and a mark that none of the others has. */
export function recipesFrom(found: readonly Found[]): Recipe[] {
  const ids = new Set<string>()
  const marks = new Set<string>()
  return found.map((f) => {
    const name = 'exact' in f ? f.exact.name : f.read.name
    const own = 'exact' in f ? f.exact.id : undefined
    const id = own !== undefined && !ids.has(own) ? own : idFor(name, ids)
    ids.add(id)
    const given = 'exact' in f ? f.exact.mark : undefined
    const mark = given !== undefined && !marks.has(given) ? given : markFor(name, marks)
    marks.add(mark)
    return 'exact' in f ? { ...f.exact, id, mark } : recipeSchema.parse(plannable(f.read, id, mark))
  })
}

/**
 * A session that makes every recipe, by everybody of the kitchen; a base is made for the dishes that
 * take from it. Or what is wrong with it.
 */
export function sessionFrom(input: {
  kitchen: Kitchen
  recipes: Recipe[]
  batches?: number
  /** Local date and time. */
  start: string
  /** Other sittings that belong to it, and the days for whose evenings it cooks. */
  sittings?: { start: string; limit?: number }[]
  evenings?: string[]
  eaters?: number
}): Reading<SessionFile> {
  const { kitchen, recipes, batches = 1, start, sittings = [], evenings = [] } = input
  const eaters = input.eaters ?? kitchen.people.length
  if (!(batches >= 0.5 && batches <= MOST_BATCHES && Number.isInteger(batches * 2)))
    return {
      ok: false,
      issues: [
        {
          path: 'batches',
          message: `${batches} batches cannot be made`,
          allowed: `0.5 to ${MOST_BATCHES}, in halves`,
        },
      ],
    }
  const taken = new Set(recipes.flatMap((r) => r.steps.flatMap((s) => s.takes.map((t) => t.base))))
  const cooks = kitchen.people.map((p) => p.id)
  const read = readSessionFile({
    format: 'cadrum/session-file@1',
    session: {
      format: 'cadrum/session@1',
      id: 'session',
      name: 'Cooking session',
      kitchen: kitchen.id,
      cooks,
      start,
      ...(sittings.length
        ? { sittings: sittings.map((s, k) => ({ id: `sitting-${k + 1}`, cooks, ...s })) }
        : {}),
      ...(evenings.length
        ? { evenings: [...new Set(evenings)].sort().map((day) => ({ day, time: 'short', eaters })) }
        : {}),
      dishes: recipes.filter((r) => !taken.has(r.id)).map((r) => ({ recipe: r.id, batches })),
    },
    kitchen,
    recipes,
  })
  if (!read.ok || !evenings.length) return read
  return { ok: true, value: { ...read.value, session: fillEvenings(read.value.session, recipes) } }
}
