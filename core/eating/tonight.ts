import { instructions, type Instruction, type TellingOptions } from '../guide'
import type { Kitchen } from '../kitchen'
import { dayAfter, rounded, type Lying } from '../packing'
import { checkPlan, type Plan } from '../plan'
import type { Recipe } from '../recipe'
import {
  compileSession,
  mealToCook,
  startingLate,
  type CompiledSession,
  type Eaten,
  type Session,
} from '../session'
import { solve } from '../solver'
import type { Arrangement } from './arrange'

/** What an evening takes: dishes with where they lie, and what comes out for tomorrow. */
export interface Evening {
  eaten: (Eaten & { name: string; portions: number })[]
  thaw: { pack: Lying; portions: number }[]
}

/** What is on the table on a day, and what comes out of the freezer for the next. */
export function eveningFrom(
  day: string,
  { days, thaw }: Arrangement,
  lying: readonly Lying[],
  recipes: ReadonlyMap<string, Recipe>,
): Evening {
  const at = new Map(lying.map((l) => [l.pack.id, l]))
  const meal = days.find((d) => d.day === day && !d.over)
  const by = new Map<string, Evening['eaten'][number]>()
  for (const { pack, portions } of meal?.plate ?? []) {
    const l = at.get(pack)
    const recipe = l && recipes.get(l.pack.dish)
    if (!recipe) continue
    const known = by.get(recipe.id)
    const comesOut = thaw.find((t) => t.pack === pack)
    const still = l.place === 'freezer' && (comesOut === undefined || comesOut.day >= day)
    by.set(recipe.id, {
      recipe,
      name: recipe.name,
      place: l.place === 'freezer' && !still ? 'fridge' : l.place,
      frozen: l.thawed || (l.place === 'freezer' && !still),
      // As long as the coldest of it takes.
      ...(still || known?.still ? { still: true as const } : {}),
      ...(l.pack.is === 'raw' ? { raw: true as const } : {}),
      portions: rounded((known?.portions ?? 0) + portions),
    })
  }
  return {
    eaten: [...by.values()],
    thaw: thaw
      .filter((t) => t.day === day)
      .flatMap(({ pack }) => {
        const l = at.get(pack)
        const next = days.find((d) => d.day === dayAfter(day, 1))
        const portions = next?.plate.find((p) => p.pack === pack)?.portions
        return l && portions !== undefined ? [{ pack: l, portions }] : []
      }),
  }
}

/** An evening as a session that the engine plans, a few minutes long; nothing where no hand is wanted. */
export function eveningToPlan(
  day: string,
  evening: Evening,
  arrangement: Arrangement,
  recipes: ReadonlyMap<string, Recipe>,
  kitchen: Kitchen,
): { session: Session; recipes: Recipe[] } | undefined {
  const meal = arrangement.days.find((d) => d.day === day)
  const able = kitchen.people.filter((p) => p.skills.includes('heat'))
  return mealToCook(
    {
      day,
      time: meal?.time ?? 'short',
      eaters: meal?.eaters ?? 0,
      ...(meal?.at === undefined ? {} : { at: meal.at }),
      ...(meal?.cooks === undefined ? {} : { cooks: meal.cooks }),
      eaten: evening.eaten.map((e) => ({ ...e, portions: Math.max(1, Math.round(e.portions)) })),
      thawed: evening.thaw.flatMap(({ pack, portions }) => {
        const recipe = recipes.get(pack.pack.dish)
        return recipe ? [{ recipe, portions: Math.max(1, Math.round(portions)) }] : []
      }),
    },
    {
      format: 'cadrum/session@1',
      id: EVENINGS,
      kitchen: kitchen.id,
      cooks: able.map((p) => p.id),
    },
    kitchen,
  )
}

/** Under which id evenings out of what lies there are planned: they belong to no one session. */
export const EVENINGS = 'evenings'

/** An evening with its plan: when to begin, and every line that the cook is told. */
export interface PlannedEvening {
  session: Session
  compiled: CompiledSession
  plan: Plan
  lines: Instruction[]
}

/** Decodes by which an evening is planned: it is some ten minutes of work. */
const ITERATIONS = 60

/**
 * The evening planned by the engine, begun as late as it may so that it is ready when they sit down; nothing
 * where no hand is wanted or the kitchen cannot do it.
 */
export function planEvening(
  evening: { session: Session; recipes: Recipe[] },
  kitchen: Kitchen,
  telling: Omit<TellingOptions, 'clock'> & {
    clock?: (session: Session, seconds: number) => string
  } = {},
): PlannedEvening | undefined {
  const session = startingLate(evening, kitchen)
  const reading = compileSession({ session, recipes: evening.recipes, kitchen })
  if (!reading.ok) return undefined
  const compiled = reading.value
  const plan = solve(compiled.problem, { iterations: ITERATIONS })
  if (!plan.activities.length || checkPlan(compiled.problem, plan).length) return undefined
  const { clock, ...rest } = telling
  const lines = instructions(plan, compiled, kitchen, {
    ...rest,
    ...(clock ? { clock: (seconds: number) => clock(session, seconds) } : {}),
  })
  return { session, compiled, plan, lines }
}
