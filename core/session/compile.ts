import type { HouseRules, Kitchen, KitchenStation, Person } from '../kitchen'
import { readProblem, type Problem, type ProblemInput } from '../problem'
import type { Reading } from '../reading'
import { emptiedFirst, type Recipe } from '../recipe'
import { activitiesOf, type Card } from './activities'
import { goesTo } from './closing'
import { addKeeping, standsOnly } from './coldBase'
import { dishesToMake } from './dishes'
import { withBreaks } from './breaks'
import { CALM, withCalm } from './calm'
import { staysOut } from './eatenSoon'
import { addFoodFlow } from './foodFlow'
import { withHeatChanges } from './heatChanges'
import { addRules, handWashOf, isPan, rulesOf } from './houseRules'
import { addHolds } from './holds'
import { addLeftovers, sayingWhence } from './leftovers'
import { ATTENTION, absences } from './people'
import type { Session } from './schema'
import { sessionIssues } from './sessionIssues'
import { asWanted } from './wanted'
import { withSharedPrep, type SharedPrep } from './sharedPrep'
import { addTimes } from './times'
import { toldOf } from './told'
import { keptPlaces, type KeptPlace } from './vesselHolds'
import { withStandIns } from './standIns'
import { withStatedHeats } from './statedHeats'
import { withWishes, type Wish } from './wishes'
import { withRoomyWays, withWaysApart } from './waysApart'

export interface CompiledSession {
  problem: Problem
  /** What the cook wants of steps, people or places that are not in it. */
  idle: Wish[]
  cards: Record<string, Card>
  /** Ids of all recipes of the household, whose place gives each its colour and texture. */
  order: string[]
  dishes: {
    id: string
    name: string
    mark: string
    batches: number
    base: boolean
    to: string
    /** When the rest of it is done, and on which days it is eaten so soon that it is not frozen. */
    next?: string | undefined
    staysOut?: string | undefined
  }[]
  /** What is done once for several dishes, or could be. */
  shared: SharedPrep[]
  /** Vessels and burners that are kept, by the id of their hold. */
  kept: Record<string, { activities: string[]; takers: string[] }>
  /** Links of food between activities, with the seconds that it may wait and why. */
  links: FoodWait[]
}

/** Food that goes from one activity to another. */
export interface FoodWait {
  from: string
  to: string
  /** Seconds; without `most` it may wait as long as one likes. */
  best?: number
  most?: number
  /** Where the figure comes from, where the recipe does not state it. */
  source?: string
}

/**
 * The planning problem of a session, with a card for each activity; or what the cook has to
 * mend first, each with the place and what is allowed.
 */
export function compileSession(input: {
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
}): Reading<CompiledSession> {
  const wanted = asWanted(input.session, input.recipes)
  const { session } = wanted
  const rules = rulesOf(input.kitchen)
  const stations = input.kitchen.stations.filter((s) => !s.outOfUse)
  const kitchen = { ...input.kitchen, stations }
  const { recipes: all, shared } = withSharedPrep(session, wanted.recipes, kitchen)
  const recipes = new Map(
    all.map((r) => [
      r.id,
      withHeatChanges(withWaysApart(emptiedFirst(withStandIns(r, kitchen)), kitchen)),
    ]),
  )
  const made = sayingWhence(dishesToMake(session, recipes)).map(({ recipe, batches }) => ({
    recipe: withRoomyWays(recipe, batches, kitchen),
    batches,
  }))
  const exact = withStatedHeats(made.map((d) => d.recipe))
  const dishes = made.map(({ batches }, k) => ({ recipe: exact[k]!, batches }))
  for (const { recipe } of dishes) recipes.set(recipe.id, recipe)
  const issues = sessionIssues(session, kitchen, recipes, dishes)
  if (issues.length) return { ok: false, issues }

  const cooks = session.cooks.map((id) => kitchen.people.find((p) => p.id === id)!)
  const cards: Record<string, Card> = {}
  const turns: Turns = new Map()
  const problem: Required<Pick<ProblemInput, 'relations' | 'holds' | 'choices'>> & ProblemInput = {
    format: 'cadrum/problem@1',
    name: session.name,
    cooks: cooks.map((person) => cookOf(person, session.start)),
    stations: kitchen.stations.map((s) => stationOf(s, rules)),
    activities: [],
    choices: [],
    relations: [],
    holds: [],
    hygiene: handWashOf(kitchen),
  }
  const places = new Map(dishes.map((d) => [d.recipe.id, keptPlaces(d, dishes, kitchen)]))
  for (const dish of dishes) {
    const told = toldOf(dish.recipe)
    for (const step of dish.recipe.steps) {
      const kept = keptFor(places.get(dish.recipe.id)!, step.id)
      const made = activitiesOf(dish, step, { kitchen, cooks, rules }, kept, told)
      turns.set(
        `${dish.recipe.id}.${step.id}`,
        made.map((m) => m.activity.id),
      )
      for (const { activity, card } of made) {
        problem.activities.push(activity)
        cards[activity.id] = card
      }
    }
  }
  const keeping = new Map(
    dishes
      .filter((d) => standsOnly(d.recipe, dishes))
      .map((d) => [d.recipe.id, addKeeping(problem, d, turns, cards, kitchen)]),
  )
  const links = dishes.flatMap((dish) => addFoodFlow(problem, dish, turns, recipes, rules, keeping))
  const kept = dishes.map((dish) =>
    addHolds(problem, dish, turns, cards, places.get(dish.recipe.id)!, kitchen),
  )
  addRules(problem, rules, dishes, (dish, step) => turns.get(`${dish}.${step}`)!)

  addTimes(problem, session, dishes, turns)
  addLeftovers(problem, dishes, turns)

  const reading = readProblem(problem)
  if (!reading.ok) return reading
  const calm = withCalm(
    withBreaks(reading.value, rules, cards),
    session.calm ?? CALM.calm,
    session.aim,
  )
  const { problem: asked, idle } = withWishes(calm, session.wishes ?? [], session.start, cards)
  const wishes = new Map(session.dishes.map((d) => [d.recipe, d]))
  return {
    ok: true,
    value: {
      problem: asked,
      idle,
      cards,
      order: all.map((r) => r.id),
      shared,
      kept: Object.assign({}, ...kept) as CompiledSession['kept'],
      links,
      dishes: dishes.map(({ recipe, batches }) => ({
        id: recipe.id,
        name: recipe.name,
        mark: recipe.mark,
        batches,
        base: recipe.base,
        to: recipe.base ? 'tonight' : goesTo(recipe, wishes.get(recipe.id)?.to),
        next: wishes.get(recipe.id)?.next,
        staysOut: staysOut(session, wishes.get(recipe.id)),
      })),
    },
  }
}

/** Ids of the activities of each step, by `dish.step`. */
export type Turns = Map<string, string[]>

/** Kinds of place that are kept for a step. */
const keptFor = (places: readonly KeptPlace[], step: string): Set<string> =>
  new Set(places.filter((p) => p.steps.includes(step)).map((p) => p.need.kind))

const cookOf = (person: Person, start: string): ProblemInput['cooks'][number] => ({
  id: person.id,
  attention: ATTENTION[person.practice],
  skills: person.skills,
  unavailable: absences(person, start),
})

/** A skill that nobody has: what wants it is not washed before the end. */
const AT_THE_END = 'after the session'

function stationOf(s: KitchenStation, rules: HouseRules): ProblemInput['stations'][number] {
  const { id, kind, capacity, tags, size, wash, oven } = s
  return {
    id,
    kind,
    capacity,
    tags,
    ...(size === undefined ? {} : { size }),
    ...(wash
      ? { wash: rules.pans === 'next-clean' && isPan(s) ? { ...wash, skill: AT_THE_END } : wash }
      : {}),
    ...(oven ? { oven } : {}),
  }
}
