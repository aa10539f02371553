import equal from 'fast-deep-equal'
import { freeId, markFor } from '../recipe'
import { sessionOf } from '../session'
import type { Household } from './schema'

/** What joining a file to what is there comes to. */
export interface Merged {
  household: Household
  /** How many things are new, were there already just so, or came under another name beside theirs. */
  added: number
  same: number
  beside: number
  /** What a session of the other's is called in the household. */
  sessionOf: (id: string) => string
}

/**
 * A household with another's beside it: nothing of what is there changes. What both have in the same
 * words is kept once; where two differ under one id the newcomer gets an id and a name of its own, and
 * whatever speaks of it follows. Plans and records of newcomers come along; those of sessions that are
 * there already stay as they are.
 */
export function mergeHouseholds(here: Household, other: Household): Merged {
  let [added, same, beside] = [0, 0, 0]
  const join = <T extends { id: string; name: string }>(
    mine: readonly T[],
    theirs: readonly T[],
  ) => {
    const taken = new Set([...mine, ...theirs].map((x) => x.id))
    const known = new Map(mine.map((x) => [x.id, x]))
    const ids = new Map<string, string>()
    const list = [...mine]
    for (const x of theirs) {
      const there = known.get(x.id)
      if (there && there.name === x.name && equal(nameless(there), nameless(x))) {
        same++
        continue
      }
      // One that came beside before is not to come a third time.
      const before = there && mine.find((m) => m !== there && equal(nameless(m), nameless(x)))
      if (before) {
        ids.set(x.id, before.id)
        same++
        continue
      }
      added++
      if (!there) {
        list.push(x)
        continue
      }
      beside++
      const id = freeId(x.id, taken)
      taken.add(id)
      ids.set(x.id, id)
      list.push({ ...x, id, name: freeName(x.name, list) })
    }
    return { list, of: (id: string) => ids.get(id) ?? id }
  }

  const recipes = join(here.recipes, other.recipes)
  const marks = new Set(here.recipes.map((r) => r.mark))
  const mine = new Set(here.recipes)
  const marked = recipes.list.map((r) => {
    if (mine.has(r)) return r
    const mark = marks.has(r.mark) ? markFor(r.name, marks) : r.mark
    marks.add(mark)
    const steps = r.steps.map((s) => ({
      ...s,
      takes: s.takes.map((t) => ({ ...t, base: recipes.of(t.base) })),
    }))
    return { ...r, mark, steps }
  })
  const kitchens = join(here.kitchens, other.kitchens)
  const dishes = <T extends { recipe: string }>(list: readonly T[]) =>
    list.map((d) => ({ ...d, recipe: recipes.of(d.recipe) }))
  const sessions = join(
    here.sessions,
    other.sessions.map((s) => ({
      ...s,
      kitchen: kitchens.of(s.kitchen),
      dishes: dishes(s.dishes),
    })),
  )
  const menus = join(
    here.menus,
    other.menus.map((m) => ({ ...m, dishes: dishes(m.dishes) })),
  )
  const rhythms = join(
    here.rhythms,
    other.rhythms.map((r) => ({ ...r, kitchen: kitchens.of(r.kitchen) })),
  )
  // What has no name of its own is the same where all of it is.
  const things = <T extends { id: string }>(mine: readonly T[], theirs: readonly T[]) => {
    const taken = new Set(mine.map((x) => x.id))
    const fresh = theirs.flatMap((x) => {
      if (mine.some((m) => equal({ ...m, id: '' }, { ...x, id: '' }))) return []
      const id = freeId(x.id, taken)
      taken.add(id)
      return [{ ...x, id }]
    })
    return [...mine, ...fresh]
  }
  const ticked = other.preparing
    .map((p) => ({ ...p, id: sessions.of(p.id) }))
    .filter((p) => !here.preparing.some((x) => x.id === p.id))
  // Portions are there once: a pack that is known stays as this household has told it.
  const packed = other.packs
    .filter((p) => !here.packs.some((x) => x.id === p.id))
    .map((p) => ({
      ...p,
      dish: recipes.of(p.dish),
      ...(p.session === undefined ? {} : { session: sessions.of(p.session) }),
    }))
  const arranged = other.meals.filter((m) => !here.meals.some((x) => x.id === m.id))
  const theirs = <T extends { session: string }>(list: readonly T[], before: readonly T[]) => {
    const there = new Set(before.map((x) => x.session))
    // What belongs to a sitting is kept under an id that begins with that of its session.
    const moved = list.map((x) => {
      const own = sessionOf(x.session)
      return { ...x, session: sessions.of(own) + x.session.slice(own.length) }
    })
    return [...before, ...moved.filter((x) => !there.has(x.session))]
  }
  return {
    household: {
      ...here,
      recipes: marked,
      kitchens: kitchens.list,
      sessions: sessions.list,
      menus: menus.list,
      rhythms: rhythms.list,
      stock: things(here.stock, other.stock),
      prices: things(here.prices, other.prices),
      preparing: [...here.preparing, ...ticked],
      packs: [...here.packs, ...packed],
      meals: [...here.meals, ...arranged],
      plans: theirs(other.plans, here.plans),
      cooking: theirs(other.cooking, here.cooking),
      records: [
        ...here.records,
        ...other.records.filter((r) => !here.records.some((x) => x.id === r.id)),
      ],
    },
    added,
    same,
    beside,
    sessionOf: sessions.of,
  }
}

/** What is left of a thing without what is given to a newcomer: its id, name and mark, and its bases' ids. */
function nameless<T extends { id: string; name: string }>(thing: T): unknown {
  const bare = { ...thing, id: '', name: '', mark: '' }
  return JSON.parse(JSON.stringify(bare), (key, value: unknown) =>
    key === 'base' && typeof value === 'string' ? value.replace(/-\d+$/, '') : value,
  )
}

/** "Soda bread", else "Soda bread 2" and so on, whichever none of the others is called. */
function freeName(name: string, others: readonly { name: string }[]): string {
  const taken = new Set(others.map((x) => x.name))
  for (let n = 1; ; n++) {
    const free = n === 1 ? name : `${name} ${n}`
    if (!taken.has(free)) return free
  }
}
