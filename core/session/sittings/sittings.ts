import { addMinutes, addSeconds, differenceInMinutes, format, parseISO } from 'date-fns'
import type { Kitchen } from '../../kitchen'
import type { Plan } from '../../plan'
import type { Issue } from '../../reading'
import { freeId, type Recipe, type Step } from '../../recipe'
import { solve } from '../../solver'
import { withoutDone } from '../ahead'
import { compileSession } from '../compile'
import { fetchStep } from '../ownStep'
import {
  byStart,
  instantOf,
  keyOf,
  MAIN,
  USUAL_HOUR,
  type Session,
  type SessionDish,
} from '../schema'
import { assign, finishedIn, lastsTill, minutesSince, type Assignment } from './assign'
import { daysWithWork, eveningOf } from './evening'
import { partOf } from './part'

/** One sitting of a session, or an evening that it feeds, as a session that can be planned by itself. */
export interface SittingToCook {
  /** `main`, the id of a further sitting, or the day of an evening. */
  id: string
  kind: 'cooking' | 'evening'
  /** What is kept of it is kept under the id of this. */
  session: Session
  recipes: Recipe[]
}

interface Held {
  session: Session
  kitchen: Kitchen
  recipes: readonly Recipe[]
}

/** Where the plan of an earlier sitting is known, it says when what goes on was begun. */
export type PlanOf = (session: string) => Plan | undefined

/** When something was begun that an earlier sitting has told, in milliseconds since the epoch. */
export type Told = (session: string, activity: string) => number | undefined

/** Hours around the beginning of a sitting in which it is cooked; else it was another time that it was. */
const OF_SITTING = 12
const isOfSitting = (ms: number, start: string) =>
  Math.abs(ms - parseISO(start).getTime()) <= OF_SITTING * 3_600_000

/** By how much what was told may differ from the plan for the plan to be gone by, in milliseconds. */
const NEAR_MS = 15 * 60_000

/** Decodes by which the length of an evening is found: it is some ten minutes of work. */
const EVENING_ITERATIONS = 60

/** How a day and time are said between sittings. */
const whenText = (instant: string) => format(parseISO(instant), 'EEEE H:mm')

/**
 * The sittings of a session in their order of time, each with what of its dishes is done in it, and how the
 * dishes are parted; a session with no others is its own and only one. What the cook has fixed and cannot
 * be had is an issue.
 */
export function cookingsOf(
  { session, kitchen, recipes: all }: Held,
  planOf: PlanOf = () => undefined,
  told: Told = () => undefined,
): { sittings: SittingToCook[]; assignment: Assignment | undefined; issues: Issue[] } {
  if (!session.sittings?.length)
    return {
      sittings: [{ id: MAIN, kind: 'cooking', session, recipes: [...all] }],
      assignment: undefined,
      issues: [],
    }
  const done = new Map(session.dishes.map((d) => [d.recipe, d.done ?? []]))
  const recipes = all.map((r) => withoutDone(r, done.get(r.id) ?? []))
  const assignment = assign(session, kitchen, recipes)
  const { slots, placed } = assignment
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const sittings = slots.flatMap((slot, at): SittingToCook[] => {
    const id = keyOf(session.id, slot.id)
    const own = session.sittings!.find((s) => s.id === slot.id)
    const since = (dish: string) => (step: string, from: number, to: number) => {
      const begun = slots[from]!
      const key = keyOf(session.id, begun.id)
      const activity = `${dish}.${step}`
      // What really happened goes before what was planned.
      const said = told(key, activity)
      const really = said !== undefined && isOfSitting(said, begun.start) ? said : undefined
      const run = planOf(key)?.activities.find((a) => a.id === activity)
      if (really === undefined && !run) return minutesSince(begun, slots[to]!)
      const planned = run && addSeconds(parseISO(begun.start), run.start)
      // A few minutes are no reason to plan the next sitting anew.
      const near = planned && Math.abs(planned.getTime() - (really ?? 0)) <= NEAR_MS
      const at = (near ? planned : really) ?? planned!
      return Math.max(0, differenceInMinutes(parseISO(slots[to]!.start), at))
    }
    const parts = new Map<string, Recipe>()
    const dishes = session.dishes.flatMap((dish): SessionDish[] => {
      const recipe = byId.get(dish.recipe)
      const where = placed.get(dish.recipe)
      if (!recipe || !where) return [dish]
      const part = partOf(recipe, where, at, {
        since: since(recipe.id),
        when: (k) => whenText(slots[k]!.start),
      })
      if (!part) return []
      parts.set(
        recipe.id,
        withBasesMade(part.recipe, recipe, (base) => madeBefore(base, at), byId),
      )
      const { fixed: _, done: __, to, ready, notBefore, ...rest } = dish
      // Where a part goes that waits for another sitting, it says itself.
      const own = part.goesOn
        ? { next: nextOf(where, at, slots) }
        : { ...(to ? { to } : {}), ...(ready ? { ready } : {}) }
      return [{ ...rest, ...own, ...(notBefore ? { notBefore } : {}) }]
    })
    const later = basesForLater(session, byId, assignment, at)
    for (const { recipe } of later) parts.set(recipe.id, recipe)
    if (!dishes.length && !later.length) return []
    const { sittings: _, parted: __, ready, limit: ___, ...rest } = session
    const limit = own ? own.limit : session.limit
    return [
      {
        id: slot.id,
        kind: 'cooking',
        recipes: [
          ...recipes.map((r) => parts.get(r.id) ?? r),
          ...later.flatMap(({ recipe }) => (byId.has(recipe.id) ? [] : [recipe])),
        ],
        session: {
          ...rest,
          id,
          name: own?.name ?? (own ? whenText(own.start) : session.name),
          start: slot.start,
          cooks: slot.cooks.map((c) => c.id),
          ...(limit === undefined ? {} : { limit }),
          ...(ready !== undefined && at === slots.length - 1 ? { ready } : {}),
          dishes: [
            ...dishes,
            ...later.map(({ recipe, batches }) => ({
              recipe: recipe.id,
              batches,
              to: 'fridge' as const,
            })),
          ],
        },
      },
    ]
  })
  return { sittings, assignment, issues: assignment.issues }

  function nextOf(where: ReadonlyMap<string, number>, at: number, slots: Assignment['slots']) {
    const then = Math.min(...[...where.values()].filter((k) => k > at))
    return `on ${whenText(slots[then]!.start)}`
  }

  function madeBefore(base: string, at: number) {
    const where = placed.get(base)
    return where !== undefined && lastsTill(slots[Math.max(...where.values())]!, slots[at]!)
  }
}

/** Bases that are made in a sitting for takers of later ones: each a dish by itself. */
function basesForLater(
  session: Session,
  byId: ReadonlyMap<string, Recipe>,
  { placed, slots }: Assignment,
  at: number,
): { recipe: Recipe; batches: number }[] {
  const wanted = new Map<string, number>()
  for (const dish of session.dishes)
    for (const step of byId.get(dish.recipe)?.steps ?? [])
      for (const take of step.takes) {
        const made = Math.max(...(placed.get(take.base)?.values() ?? [-1]))
        const taken = placed.get(dish.recipe)!.get(step.id)!
        if (made === at && lastsTill(slots[made]!, slots[taken]!))
          wanted.set(take.base, (wanted.get(take.base) ?? 0) + take.batches * dish.batches)
      }
  return [...wanted].map(([id, amount]) => {
    const recipe = byId.get(id)!
    return {
      recipe: { ...recipe, id: `${id}-for-later`, name: `${recipe.name}, for later`, base: false },
      batches: Math.max(0.5, Math.ceil(amount * 2 - 1e-9) / 2),
    }
  })
}

/** The recipe with what it takes of bases from an earlier sitting fetched from the cold. */
function withBasesMade(
  part: Recipe,
  whole: Recipe,
  before: (base: string) => boolean,
  byId: ReadonlyMap<string, Recipe>,
): Recipe {
  const ids = new Set([...part.steps, ...whole.steps].map((s) => s.id))
  const fetched: Step[] = []
  const steps = part.steps.map((step) => {
    const made = step.takes.filter((t) => before(t.base))
    if (!made.length) return step
    const after = made.map(({ base }) => {
      const id = freeId(`fetch-${base}`.slice(0, 50), ids)
      ids.add(id)
      const words = `Take the ${byId.get(base)!.name.toLowerCase()} for it out of the fridge`
      const brings = { uses: [], is: ['cooked', 'cold'] as ('cooked' | 'cold')[] }
      fetched.push(fetchStep(id, words, { hygiene: 'ready', brings }))
      return { step: id }
    })
    return {
      ...step,
      takes: step.takes.filter((t) => !before(t.base)),
      after: [...step.after, ...after],
    }
  })
  return fetched.length ? { ...part, steps: [...fetched, ...steps] } : part
}

/** How the dishes of a session are parted; nothing where it has no other sittings. */
const partedOf = ({ session, kitchen, recipes }: Held): Assignment | undefined =>
  session.sittings?.length ? assign(session, kitchen, recipes) : undefined

/**
 * What is left to do on an evening that a session feeds, begun so that it is on the table when they sit
 * down: as late as its own plan allows, to five minutes. Nothing where nothing is to be done.
 */
export function eveningToCook(
  held: Held,
  day: string,
  assignment: Assignment | undefined = partedOf(held),
): SittingToCook | undefined {
  const { session, kitchen, recipes } = held
  const found = eveningOf(session, kitchen, recipes, day, finishedIn(assignment))
  if (!found) return undefined
  const late = startingLate(found, kitchen)
  return { id: day, kind: 'evening', recipes: found.recipes, session: late }
}

/** The same of every evening. */
export function eveningsToCook(held: Held, assignment = partedOf(held)): SittingToCook[] {
  const days = daysWithWork(held.session, held.recipes, finishedIn(assignment))
  return days.flatMap((day) => eveningToCook(held, day, assignment) ?? [])
}

/** A sitting or an evening as it stands in a list: with the hour at which it begins, or they eat. */
export interface ListedSitting {
  id: string
  kind: SittingToCook['kind']
  name: string
  start: string
}

/** Sittings of a session, and evenings with something to do, in their order. */
export function listSittings(
  { session, recipes }: Pick<Held, 'session' | 'recipes'>,
  assignment: Assignment | undefined,
): ListedSitting[] {
  const days = daysWithWork(session, recipes, finishedIn(assignment))
  const sittings = [
    { id: MAIN, start: session.start, name: session.name },
    ...(session.sittings ?? []).map((s) => ({ ...s, name: s.name ?? whenText(s.start) })),
  ].map(({ id, start, name }): ListedSitting => ({ id, kind: 'cooking', name, start }))
  return [...sittings, ...days.map((day) => listedEvening(session, day))].sort(byStart)
}

/** An evening as it stands in a list. */
export function listedEvening(session: Session, day: string): ListedSitting {
  const at = session.evenings?.find((e) => e.day === day)?.at ?? USUAL_HOUR
  return {
    id: day,
    kind: 'evening',
    name: format(parseISO(day), 'EEE d MMM'),
    start: `${day}T${at}`,
  }
}

/** The session begun as late as its plan lets it, where it is to be ready at a time. */
export function startingLate(
  { session, recipes }: { session: Session; recipes: Recipe[] },
  kitchen: Kitchen,
): Session {
  if (session.ready === undefined) return session
  const compiled = compileSession({ session, kitchen, recipes })
  if (!compiled.ok) return session
  const plan = solve(compiled.value.problem, { iterations: EVENING_ITERATIONS })
  if (!plan.activities.length) return session
  const minutes = Math.ceil(plan.makespan / 300) * 5
  return {
    ...session,
    start: instantOf(addMinutes(parseISO(session.ready), -minutes)),
  }
}

/** Everything that a session asks of its cooks, in the order of time: sittings and evenings. */
export function sittingsOf(held: Held, planOf?: PlanOf, told?: Told) {
  const { sittings, assignment, issues } = cookingsOf(held, planOf, told)
  const all = [...sittings, ...eveningsToCook(held, assignment)]
  all.sort((a, b) => byStart(a.session, b.session))
  return { sittings: all, assignment, issues }
}
