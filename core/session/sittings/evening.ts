import { addDays, addMinutes, format, parseISO, subDays } from 'date-fns'
import type { Kitchen } from '../../kitchen'
import { lotsOf, lowerFirst, withSwaps, type Recipe, type Step, type Way } from '../../recipe'
import { ownStep } from '../ownStep'
import { goesTo, lastSteps, servingSteps } from '../closing'
import { keptTill, neverFrozen } from '../eatenSoon'
import { keepsIn } from '../keepsIn'
import type { KeptIn } from '../menu'
import { instantOf, keyOf, USUAL_HOUR, type Evening, type Session } from '../schema'

/** Minutes from the freezer, or of what is raw, are about so many times those from the fridge: an estimate of ours. */
export const STILL_FROZEN = 2
/** Minutes by which an evening's work begins at the earliest before it is eaten. */
const WINDOW = 150
const COLD =
  /\b(?:salads?|slaw|pickled?|cold|dips?|hummus|houmous|pesto|overnight oats|granola|muesli|bars?|mousse)\b/i

/** How what has been kept is made ready to eat. */
type Finish = 'pot' | 'oven' | 'pan' | 'as it is'

/** When the sitting begins in which a dish is finished; without one that is the session itself. */
export type MadeAt = (recipe: string) => string | undefined

/** What is eaten on a day, with where it lies till then. */
function eatenOn(
  session: Session,
  recipes: readonly Recipe[],
  day: string,
  madeAt: MadeAt,
): Eaten[] {
  return session.dishes.flatMap((wish): Eaten[] => {
    const known = recipes.find((r) => r.id === wish.recipe)
    if (!known || !wish.on?.includes(day)) return []
    const recipe = withSwaps(known, wish.swaps)
    const made = madeAt(wish.recipe) ?? session.start
    const dish = keptTill({ ...session, start: made }, wish, recipe)
    const place = goesTo(recipe, dish.to)
    const frozen = place === 'freezer' && !neverFrozen(made, day)
    return [{ recipe, place, frozen }]
  })
}
const dayAfter = (day: string) => format(addDays(parseISO(day), 1), 'yyyy-MM-dd')
const dayBefore = (day: string) => format(subDays(parseISO(day), 1), 'yyyy-MM-dd')

/**
 * The evenings on which there is something to do for the dishes of a session: on which something of it is
 * eaten, and the nights before, where something is to come out of the freezer.
 */
export function daysWithWork(
  session: Session,
  recipes: readonly Recipe[],
  madeAt: MadeAt,
): string[] {
  const eaten = (session.evenings ?? []).filter((e) => e.eaters > 0).map((e) => e.day)
  const on = (day: string) => eatenOn(session, recipes, day, madeAt)
  const thawed = eaten.filter((day) => on(day).some((d) => d.frozen)).map(dayBefore)
  return [...new Set([...eaten.filter((day) => on(day).length), ...thawed])].sort()
}

/** What is done on an evening, as a session of its own; nothing where it needs no hand. */
export function eveningOf(
  session: Session,
  kitchen: Kitchen,
  recipes: readonly Recipe[],
  day: string,
  madeAt: MadeAt,
): { session: Session; recipes: Recipe[] } | undefined {
  const evening = session.evenings?.find((e) => e.day === day)
  const next = session.evenings?.find((e) => e.day === dayAfter(day))
  const eaten = evening && evening.eaters > 0 ? eatenOn(session, recipes, day, madeAt) : []
  const thawed =
    next && next.eaters > 0
      ? eatenOn(session, recipes, next.day, madeAt)
          .filter((d) => d.frozen)
          .map(({ recipe }) => ({ recipe, portions: next.eaters }))
      : []
  return mealToCook(
    { ...(evening ?? { day, time: 'short', eaters: 0 }), eaten, thawed },
    session,
    kitchen,
  )
}

/** What is eaten one evening and comes out for the next, whatever session made it. */
export interface MealToCook extends Evening {
  eaten: readonly Eaten[]
  thawed: readonly { recipe: Recipe; portions: number }[]
}

/** A dish that is eaten, and where it lies till then. */
export interface Eaten {
  recipe: Recipe
  place: KeptIn
  /** It was frozen, and has thawed in the fridge. */
  frozen: boolean
  /** It is still frozen when it is warmed. */
  still?: true
  /** Raw as it was packed: it is cooked through first. */
  raw?: true
  /** For so many, where that is not for all. */
  portions?: number
}

/** The evening's work as a session of its own; nothing where it needs no hand. */
export function mealToCook(
  { eaten, thawed, ...evening }: MealToCook,
  whose: Pick<Session, 'id' | 'cooks' | 'calm' | 'aim' | 'kitchen' | 'format'>,
  kitchen: Kitchen,
): { session: Session; recipes: Recipe[] } | undefined {
  const { day } = evening
  const made = eaten.map((d) =>
    finishing(d, { ...evening, eaters: d.portions ?? evening.eaters }, kitchen),
  )
  const all = joined([...made, ...thawed.map((t) => thawing(t.recipe, t.portions))])
  if (!all.length) return undefined
  const able = kitchen.people.filter((p) => p.skills.includes('heat'))
  const who = evening.cooks ?? [
    (able.find((p) => whose.cooks.includes(p.id)) ?? able[0] ?? kitchen.people[0]!).id,
  ]
  const at = `${day}T${evening.at ?? USUAL_HOUR}`
  const eatenToday = new Set(made.map((r) => r.id))
  return {
    recipes: all,
    session: {
      format: whose.format,
      id: keyOf(whose.id, day),
      name: format(parseISO(day), 'EEEE d MMMM'),
      kitchen: whose.kitchen,
      cooks: who,
      start: made.length ? instantOf(addMinutes(parseISO(at), -WINDOW)) : at,
      ...(made.length ? { ready: at } : {}),
      ...(whose.calm === undefined ? {} : { calm: whose.calm }),
      ...(whose.aim === undefined ? {} : { aim: whose.aim }),
      dishes: all.map((r) => ({
        recipe: r.id,
        batches: 1,
        to: 'tonight' as const,
        ...(eatenToday.has(r.id) ? {} : { next: 'tomorrow' }),
      })),
    },
  }
}

/** A dish that is both eaten and thawed for tomorrow is one. */
function joined(recipes: readonly Recipe[]): Recipe[] {
  const out = new Map<string, Recipe>()
  for (const r of recipes) {
    const known = out.get(r.id)
    out.set(r.id, known ? { ...known, steps: [...known.steps, ...r.steps] } : r)
  }
  return [...out.values()]
}

function finishing(
  { recipe, place, frozen, still, raw }: Eaten,
  evening: Evening,
  kitchen: Kitchen,
): Recipe {
  const how = finishOf(recipe, place, kitchen)
  const name = lowerFirst(recipe.name)
  const from = still
    ? 'the freezer, frozen as it is'
    : frozen
      ? 'the fridge, where it has thawed'
      : `the ${place === 'freezer' ? 'fridge' : place}`
  const fresh = servingSteps(recipe)
  if (how === 'as it is') {
    const out =
      place === 'fridge' || place === 'freezer'
        ? `Take the ${name} out of ${from}, onto the table`
        : `Put the ${name} on the table`
    const first = step('take-out', `${out}, for ${evening.eaters}`, 'assemble', [1, 2, 3])
    return only(recipe, evening, [first, ...atTheTable(fresh, first.id)])
  }
  const way = WAYS[how]
  const [least, usual, most] = way.minutes
  const times = still || raw ? STILL_FROZEN : 1
  const minutes: typeof way.minutes = [least * times, usual * times, most * times]
  const what = raw
    ? `Cook the ${name} from ${from} through: ${way.how}`
    : `Reheat the ${name} from ${from}: ${way.how}`
  const reheat: Step = {
    ...step('reheat', what, way.work, minutes),
    ways: [{ id: 'usual', minutes, ...way.where }],
    ...(raw ? { hygiene: 'raw' as const } : {}),
    brings: { uses: [], is: raw ? ['raw', 'flesh', 'cold'] : ['cooked', 'cold'] },
  }
  const after = [{ step: reheat.id, most: 15 }]
  return only(recipe, evening, [
    reheat,
    // How it comes to the table is said by the recipe, where it says so.
    ...(fresh.length
      ? atTheTable(fresh, reheat.id)
      : [
          {
            ...step(
              'dish-up',
              `Dish up the ${name}, for ${evening.eaters}`,
              'assemble' as const,
              [2, 2, 4] as [number, number, number],
            ),
            after,
          },
        ]),
  ])
}

/** What is done then anyway: what took up the dish itself takes it up when it is ready. */
function atTheTable(fresh: readonly Step[], ready: string): Step[] {
  const own = new Set(fresh.map((s) => s.id))
  return fresh.map((s) => {
    const within = s.after.filter((a) => own.has(a.step))
    const takesUp = s.after.length > within.length
    return { ...s, takes: [], after: [...within, ...(takesUp ? [{ step: ready }] : [])] }
  })
}

/** A recipe of which only these steps are left, for so many. */
function only(recipe: Recipe, { eaters }: Evening, steps: Step[]): Recipe {
  const used = new Set(steps.flatMap((s) => s.uses))
  const { variants: _, store: __, ...rest } = recipe
  return {
    ...rest,
    base: false,
    serves: Math.max(1, eaters),
    ingredients: recipe.ingredients
      .filter((i) => used.has(i.id))
      .map((i) => ({ ...i, amount: (i.amount * Math.max(1, eaters)) / recipe.serves })),
    steps,
    keeps: [],
    routes: [],
  }
}

/** From the freezer to the fridge, a night before it is wanted. */
function thawing(recipe: Recipe, eaters: number): Recipe {
  const out = step(
    'thaw',
    `Out of the freezer into the fridge for tomorrow: ${recipe.name}, for ${eaters}, in a dish that catches what drips`,
    'assemble',
    [1, 1, 2],
  )
  const caution =
    'Thaw in the fridge, not on the bench: outside gets warm long before the middle does.'
  return only(recipe, { day: '', time: 'short', eaters: recipe.serves }, [{ ...out, caution }])
}

/** A step at the table: what it touches is ready to eat. */
const step = (...given: Parameters<typeof ownStep>) =>
  ownStep(given[0], given[1], given[2], given[3], { hygiene: 'ready', ...given[4] })

/** Times of ours for a box for a family, from the fridge. */
const WAYS: Record<
  Exclude<Finish, 'as it is'>,
  {
    how: string
    work: Step['work']
    minutes: [number, number, number]
    where: Pick<Way, 'on' | 'heat'>
  }
> = {
  pot: {
    how: 'in a pot, stirring now and then, until it steams all through',
    work: 'soften',
    minutes: [8, 12, 20],
    where: { on: [{ kind: 'burner' }, { kind: 'pot' }] },
  },
  oven: {
    how: 'in the oven, covered, until it is hot all through',
    work: 'bake',
    minutes: [20, 25, 40],
    where: { on: [{ kind: 'oven' }], heat: { celsius: [170, 190], method: 'bake' } },
  },
  pan: {
    how: 'in a frying pan, turning it over',
    work: 'fry',
    minutes: [6, 8, 12],
    where: { on: [{ kind: 'burner' }, { kind: 'frying-pan' }] },
  },
}

/** How a dish that has been kept is made ready to eat: where, for how long and at what heat. */
export interface Finishing {
  how: Finish
  /** Least, usual and most minutes from the fridge; nothing where it is eaten as it is. */
  minutes?: readonly [number, number, number]
  celsius?: number
  /** What the recipe leaves to the meal. */
  add: Step[]
}

/** How a dish of a place is made ready in a kitchen: what evenings and labels both go by. */
export function finishingOf(recipe: Recipe, place: string, kitchen: Kitchen): Finishing {
  const how = finishOf(recipe, place, kitchen)
  const add = servingSteps(recipe)
  if (how === 'as it is') return { how, add }
  const { minutes, where } = WAYS[how]
  const heat = where.heat?.celsius
  return { how, minutes, ...(heat ? { celsius: (heat[0] + heat[1]) / 2 } : {}), add }
}

function finishOf(recipe: Recipe, place: string, kitchen: Kitchen): Finish {
  const lots = lotsOf(recipe)
  const hot = recipe.steps.some((s) => lots.get(s.id)!.cooked)
  const dry = keepsIn({ ...recipe, store: undefined }, 'shelf').days > 0
  if (!hot || dry || place === 'shelf' || place === 'tonight' || COLD.test(recipe.name))
    return 'as it is'
  const kinds = new Set(kitchen.stations.filter((s) => !s.outOfUse).map((s) => s.kind))
  const cooked = recipe.steps.filter((s) =>
    ['bake', 'grill', 'fry', 'brown', 'boil', 'simmer', 'slow', 'pressure', 'soften'].includes(
      s.work,
    ),
  )
  const last = cooked
    .filter((s) => !cooked.some((c) => c.after.some((a) => a.step === s.id)))
    .at(-1)
  const wish: Finish =
    last && ['bake', 'grill'].includes(last.work)
      ? 'oven'
      : last && ['fry', 'brown'].includes(last.work) && lastSteps(recipe).length === 1
        ? 'pan'
        : 'pot'
  const there: Record<Finish, boolean> = {
    oven: kinds.has('oven'),
    pan: kinds.has('burner') && kinds.has('frying-pan'),
    pot: kinds.has('burner') && kinds.has('pot'),
    'as it is': true,
  }
  return [wish, 'pot' as const, 'oven' as const, 'pan' as const].find((f) => there[f]) ?? 'as it is'
}
