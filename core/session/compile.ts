import type { HouseRules, Kitchen, KitchenStation, Person } from '../kitchen'
import { readProblem, type Problem, type ProblemInput } from '../problem'
import type { Reading } from '../reading'
import type { Recipe, Step } from '../recipe'
import { activitiesOf, minute, type Card } from './activities'
import { dishesToMake, type DishToMake } from './dishes'
import { addRules, handWashOf, isPan, rulesOf, standingOf } from './houseRules'
import { ATTENTION, absences } from './people'
import type { Session } from './schema'
import { sessionIssues } from './sessionIssues'
import { asWanted } from './wanted'
import { withSharedPrep, type SharedPrep } from './sharedPrep'

export interface CompiledSession {
  problem: Problem
  cards: Record<string, Card>
  /** Ids of all recipes of the household, whose place gives each its colour and texture. */
  order: string[]
  dishes: { id: string; name: string; mark: string; batches: number; base: boolean }[]
  /** What is done once for several dishes, or could be. */
  shared: SharedPrep[]
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
  const recipes = new Map(all.map((r) => [r.id, r]))
  const dishes = dishesToMake(session, recipes)
  const issues = sessionIssues(session, kitchen, recipes, dishes)
  if (issues.length) return { ok: false, issues }

  const cooks = session.cooks.map((id) => kitchen.people.find((p) => p.id === id)!)
  const cards: Record<string, Card> = {}
  const turns = new Map<string, string[]>()
  const problem: ProblemInput = {
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
  for (const dish of dishes)
    for (const step of dish.recipe.steps) {
      const made = activitiesOf(dish, step, { kitchen, cooks, rules })
      turns.set(
        `${dish.recipe.id}.${step.id}`,
        made.map((m) => m.activity.id),
      )
      for (const { activity, card } of made) {
        problem.activities.push(activity)
        cards[activity.id] = card
      }
    }
  for (const dish of dishes) connect(problem, dish, turns, recipes, standingOf(rules))
  for (const dish of dishes) keep(problem, dish, turns, kitchen)
  addRules(problem, rules, dishes, (dish, step) => turns.get(`${dish}.${step}`)!)

  const reading = readProblem(problem)
  if (!reading.ok) return reading
  return {
    ok: true,
    value: {
      problem: reading.value,
      cards,
      order: all.map((r) => r.id),
      shared,
      dishes: dishes.map(({ recipe, batches }) => ({
        id: recipe.id,
        name: recipe.name,
        mark: recipe.mark,
        batches,
        base: recipe.base,
      })),
    },
  }
}

const round = (value: number) => Math.round(value * 10) / 10

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

/** Waits between steps, shared bases, routes. */
function connect(
  problem: ProblemInput,
  { recipe }: DishToMake,
  turns: Map<string, string[]>,
  recipes: Map<string, Recipe>,
  stands: number,
): void {
  const relations = problem.relations!
  const of = (step: string) => turns.get(`${recipe.id}.${step}`)!
  for (const step of recipe.steps) {
    const own = of(step.id)
    // Turns of one step are alike: begin them in their order.
    for (let i = 1; i < own.length; i++)
      relations.push({ from: own[i - 1]!, to: own[i]!, kind: 'SS' })
    for (const wait of step.after) {
      const min = minute(wait.least ?? 0)
      for (const from of of(wait.step))
        relations.push({
          from,
          to: own[0]!,
          kind: 'FS',
          min,
          ...(wait.most === undefined ? {} : { max: minute(wait.most) }),
        })
    }
    for (const take of step.takes)
      for (const from of lastSteps(recipes.get(take.base)!))
        for (const id of turns.get(`${take.base}.${from}`)!)
          relations.push({ from: id, to: own[0]!, kind: 'FS', ...standing(take, stands) })
  }
  for (const route of recipe.routes)
    problem.choices!.push({
      id: `${recipe.id}.${route.id}`,
      options: route.options.map((o) => ({
        id: o.id,
        label: o.label,
        activities: o.steps.flatMap(of),
      })),
    })
}

function standing(
  { least, most }: Step['takes'][number],
  stands: number,
): { min?: number; max?: number } {
  const max = most === null ? undefined : most === undefined ? stands : minute(most)
  return {
    ...(least === undefined ? {} : { min: minute(least) }),
    ...(max === undefined ? {} : { max: Math.max(max, minute(least ?? 0)) }),
  }
}

function lastSteps(recipe: Recipe): string[] {
  const waitedFor = new Set(recipe.steps.flatMap((s) => s.after.map((a) => a.step)))
  return recipe.steps.filter((s) => !waitedFor.has(s.id)).map((s) => s.id)
}

/** Vessels kept over several steps, and room in the cold from packing on. */
function keep(
  problem: ProblemInput,
  dish: DishToMake,
  turns: Map<string, string[]>,
  kitchen: Kitchen,
): void {
  const { recipe, batches } = dish
  const of = (step: string) => turns.get(`${recipe.id}.${step}`)!
  for (const k of recipe.keeps) {
    const minSize = k.litres === undefined ? k.vessel.minSize : round(k.litres * batches)
    problem.holds!.push({
      id: `${recipe.id}.${k.id}`,
      need: {
        kind: k.vessel.kind,
        tags: k.vessel.tags ?? [],
        contents: k.vessel.contents ?? recipe.id,
        ...(minSize === undefined ? {} : { minSize }),
      },
      from: of(k.from)[0]!,
      to: of(k.to)[of(k.to).length - 1]!,
    })
  }
  const { store } = recipe
  if (!store || !kitchen.stations.some((s) => s.kind === store.place)) return
  const pack = recipe.steps.filter((s) => s.work === 'pack').at(-1)
  if (pack)
    problem.holds!.push({
      id: `${recipe.id}.${store.place}`,
      need: { kind: store.place, amount: round(store.litres * batches) },
      from: of(pack.id)[0]!,
      to: null,
    })
}
