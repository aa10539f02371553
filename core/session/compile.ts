import type { Kitchen, KitchenStation, Person } from '../kitchen'
import { readProblem, type Problem, type ProblemInput } from '../problem'
import type { Reading } from '../reading'
import { measurable } from '../quantity'
import {
  HANDLING_ATTENTION,
  ingredientLine,
  lawOf,
  type Equipment,
  type Recipe,
  type Step,
  type Way,
} from '../recipe'
import { dishesToMake, type DishToMake } from './dishes'
import { portionsOf, wantsBench, type Portions } from './portions'
import type { Session } from './schema'
import { sessionIssues } from './sessionIssues'

type ActivityInput = ProblemInput['activities'][number]
type ModeInput = ActivityInput['modes'][number]
type PhaseInput = ModeInput['phases'][number]
type NeedInput = NonNullable<ModeInput['needs']>[number]

/** What a cook has to know about one activity of the plan. */
export interface Card {
  dish: string
  step: string
  /** What to do, with its turn where there are several. */
  text: string
  work: Step['work']
  /** Into how many panfuls, loads or parts the step is cut; the amounts are for all of them. */
  turns: number
  /** What goes in, with amounts for the batches of this session. */
  uses: string[]
  caution?: string
  /** Words for each way, by mode id, where the step has several. */
  ways: Record<string, string>
}

export interface CompiledSession {
  problem: Problem
  cards: Record<string, Card>
  /** Ids of all recipes of the household, whose place gives each its colour and texture. */
  order: string[]
  dishes: { id: string; name: string; mark: string; batches: number; base: boolean }[]
}

/** How much a cook can keep an eye on at once. */
const ATTENTION = { practised: 100, learning: 80, helper: 60 }
/** Longest time cooked food of a shared base may stand before it is used, in seconds. */
const STANDING = 7200
const minute = (minutes: number) => Math.round(minutes * 60)

/**
 * The planning problem of a session, with a card for each activity; or what the cook has to
 * mend first, each with the place and what is allowed.
 */
export function compileSession(input: {
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
}): Reading<CompiledSession> {
  const { session } = input
  const stations = input.kitchen.stations.filter((s) => !s.outOfUse)
  const kitchen = { ...input.kitchen, stations }
  const recipes = new Map(input.recipes.map((r) => [r.id, r]))
  const dishes = dishesToMake(session, recipes)
  const issues = sessionIssues(session, kitchen, recipes, dishes)
  if (issues.length) return { ok: false, issues }

  const cards: Record<string, Card> = {}
  const turns = new Map<string, string[]>()
  const problem: ProblemInput = {
    format: 'cadrum/problem@1',
    name: session.name,
    cooks: session.cooks.map((id) => cookOf(kitchen.people.find((p) => p.id === id)!)),
    stations: kitchen.stations.map(stationOf),
    activities: [],
    choices: [],
    relations: [],
    holds: [],
    hygiene: kitchen.handWash,
  }
  for (const dish of dishes)
    for (const step of dish.recipe.steps) {
      const made = activitiesOf(dish, step, kitchen)
      turns.set(
        `${dish.recipe.id}.${step.id}`,
        made.map((m) => m.activity.id),
      )
      for (const { activity, card } of made) {
        problem.activities.push(activity)
        cards[activity.id] = card
      }
    }
  for (const dish of dishes) connect(problem, dish, turns, recipes)
  for (const dish of dishes) keep(problem, dish, turns, kitchen)

  const reading = readProblem(problem)
  if (!reading.ok) return reading
  return {
    ok: true,
    value: {
      problem: reading.value,
      cards,
      order: input.recipes.map((r) => r.id),
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

const cookOf = (person: Person): ProblemInput['cooks'][number] => ({
  id: person.id,
  attention: ATTENTION[person.practice],
  skills: person.skills,
})

function stationOf(s: KitchenStation): ProblemInput['stations'][number] {
  const { id, kind, capacity, tags, size, wash, oven } = s
  return {
    id,
    kind,
    capacity,
    tags,
    ...(size === undefined ? {} : { size }),
    ...(wash ? { wash } : {}),
    ...(oven ? { oven } : {}),
  }
}

function activitiesOf(
  dish: DishToMake,
  step: Step,
  kitchen: Kitchen,
): { activity: ActivityInput; card: Card }[] {
  const { recipe } = dish
  const portions = portionsOf(dish, step, kitchen)
  const hygiene = step.hygiene ?? lawOf(step.work).hygiene
  return Array.from({ length: portions.turns }, (_, turn) => {
    const id = `${recipe.id}.${step.id}${portions.turns > 1 ? `.${turn + 1}` : ''}`
    const text =
      portions.turns > 1
        ? `${step.do}, ${portions.called} ${turn + 1} of ${portions.turns}`
        : step.do
    return {
      activity: {
        id,
        dish: recipe.id,
        label: text,
        aside: step.aside,
        hygiene,
        modes: step.ways.map((way) => modeOf(dish, step, way, portions, hygiene, kitchen)),
      },
      card: {
        dish: recipe.id,
        step: step.id,
        text,
        work: step.work,
        turns: portions.turns,
        uses: usesOf(dish, step),
        ...(step.caution === undefined ? {} : { caution: step.caution }),
        ways:
          step.ways.length > 1
            ? Object.fromEntries(step.ways.map((w) => [w.id, w.label ?? w.id]))
            : {},
      },
    }
  })
}

function usesOf({ recipe, batches }: DishToMake, step: Step): string[] {
  return step.uses.map((id) => {
    const own = recipe.ingredients.find((i) => i.id === id)!
    return ingredientLine({ ...own, amount: measurable(own.amount * batches, own.unit) })
  })
}

function modeOf(
  dish: DishToMake,
  step: Step,
  way: Way,
  portions: Portions,
  hygiene: string,
  kitchen: Kitchen,
): ModeInput {
  const needs = way.on.map((need): NeedInput => needOf(need, dish, hygiene, portions))
  if (wantsBench(step) && kitchen.stations.some((s) => s.kind === 'bench'))
    needs.push({ kind: 'bench' })
  return { id: way.id, needs, phases: phasesOf(step, way, portions.factor) }
}

function needOf(need: Equipment, dish: DishToMake, hygiene: string, portions: Portions): NeedInput {
  const minSize = need.kind === 'frying-pan' ? (portions.minPan ?? need.minSize) : need.minSize
  return {
    kind: need.kind,
    tags: need.tags ?? [],
    amount: portions.amountOf(need),
    // A board is as clean as what was last cut on it; a vessel belongs to its dish.
    contents: need.contents ?? (need.kind === 'board' ? hygiene : dish.recipe.id),
    ...(minSize === undefined ? {} : { minSize }),
  }
}

function phasesOf(step: Step, way: Way, factor: number): PhaseInput[] {
  const law = lawOf(step.work)
  const seconds: [number, number] = [
    minute(way.minutes[1] * factor),
    minute(way.minutes[2] * factor),
  ]
  if (law.attend === 'hands')
    return [{ seconds, hands: { skill: law.skill, attention: law.attention } }]
  const handling = (minutes: number): PhaseInput[] =>
    minutes > 0
      ? [
          {
            seconds: [minute(minutes), minute(minutes)],
            hands: { skill: law.skill, attention: HANDLING_ATTENTION },
          },
        ]
      : []
  const heat = way.heat && {
    need: way.on.findIndex((n) => n.kind === 'oven'),
    celsius: way.heat.celsius,
    method: way.heat.method,
  }
  return [
    ...handling(way.load ?? law.handling),
    {
      seconds,
      ...(law.attend === 'watch' ? { watch: law.attention } : {}),
      ...(heat ? { heat } : {}),
    },
    ...handling(way.unload ?? law.handling),
  ]
}

/** Waits between steps, shared bases, routes. */
function connect(
  problem: ProblemInput,
  { recipe }: DishToMake,
  turns: Map<string, string[]>,
  recipes: Map<string, Recipe>,
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
          relations.push({ from: id, to: own[0]!, kind: 'FS', max: STANDING })
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
