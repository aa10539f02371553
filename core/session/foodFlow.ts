import type { HouseRules } from '../kitchen'
import type { ProblemInput } from '../problem'
import { cooks, foodLinks, lawOf, lotsOf, type FoodLink, type Recipe, type Step } from '../recipe'
import { minute } from './activities'
import { lastSteps } from './closing'
import type { BaseKeeping } from './coldBase'
import type { FoodWait, Turns } from './compile'
import type { DishToMake } from './dishes'
import { standingOf } from './houseRules'

type Relation = NonNullable<ProblemInput['relations']>[number]

/** Seconds within which one panful or load follows the other: an estimate of ours. */
const NEXT_PANFUL = 600
const NEXT_LOAD = 1800
/** Seconds of room on top of what a recipe itself has food stand for. */
const ROOM = 300

/** Adds what waits for what in a dish, how long food must and may stand, and which ways there are. */
export function addFoodFlow(
  problem: ProblemInput,
  { recipe }: DishToMake,
  turns: Turns,
  recipes: Map<string, Recipe>,
  rules: HouseRules,
  keeping: ReadonlyMap<string, BaseKeeping | undefined>,
): FoodWait[] {
  const relations = problem.relations!
  const waits: FoodWait[] = []
  const of = (step: string) => turns.get(`${recipe.id}.${step}`)!
  const seconds = secondsIn(problem)
  const links = new Map(foodLinks(recipe).map((l) => [`${l.from} ${l.to}`, l]))
  for (const step of recipe.steps) {
    const own = of(step.id)
    relations.push(...inTurn(step, own))
    for (const wait of step.after) {
      const known = links.get(`${wait.step} ${step.id}`)
      const link = known?.usual ? withRoom(known, recipe, of, seconds) : known
      relations.push(...waitsOf(of(wait.step), own[0]!, wait, link, seconds))
      if (link)
        waits.push({
          from: of(wait.step).at(-1)!,
          to: own[0]!,
          ...(link.usual ? { best: minute(link.usual.best), source: link.usual.source } : {}),
          ...(link.most === undefined ? {} : { most: minute(link.most) }),
        })
    }
    for (const take of step.takes)
      for (const from of lastSteps(recipes.get(take.base)!))
        for (const id of turns.get(`${take.base}.${from.id}`)!) {
          const lag = standing(take, standingOf(rules))
          const kept = take.most === undefined ? keeping.get(take.base) : undefined
          if (!kept) {
            relations.push({ from: id, to: own[0]!, kind: 'FS', ...lag })
            waits.push({
              from: id,
              to: own[0]!,
              ...(lag.max === undefined ? {} : { most: lag.max }),
            })
            continue
          }
          // Kept out it may stand for so long; from the fridge it comes whenever it is wanted.
          relations.push(
            {
              from: id,
              to: own[0]!,
              kind: 'FS',
              ...(lag.min === undefined ? {} : { min: lag.min }),
            },
            { from: kept.warm, to: own[0]!, kind: 'FS', ...lag },
            { from: kept.cold, to: own[0]!, kind: 'FS' },
          )
          waits.push(
            { from: kept.warm, to: own[0]!, ...(lag.max === undefined ? {} : { most: lag.max }) },
            { from: kept.cold, to: own[0]! },
          )
        }
  }
  relations.push(...intoTheCold(recipe, of, standingOf(rules), seconds))
  for (const route of recipe.routes)
    problem.choices!.push({
      id: `${recipe.id}.${route.id}`,
      options: route.options.map((o) => ({
        id: o.id,
        label: o.label,
        activities: o.steps.flatMap(of),
      })),
    })
  return waits
}

/** A usual longest wait, stretched where the recipe itself has other work of its own in between. */
function withRoom(
  link: FoodLink,
  recipe: Recipe,
  of: (step: string) => string[],
  seconds: (id: string) => number,
): FoodLink {
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  const known = new Map<string, number>()
  /** Least seconds from the end of the link's first step to the start of another; -1: it waits for none of it. */
  const since = (id: string): number => {
    const found = known.get(id)
    if (found !== undefined) return found
    const sums = byId.get(id)!.after.flatMap((a) => {
      const lag = minute(a.least ?? 0)
      if (a.step === link.from) return id === link.to ? [] : [lag]
      if (!byId.has(a.step)) return []
      const before = since(a.step)
      return before < 0 ? [] : [before + lag + of(a.step).reduce((n, x) => n + seconds(x), 0)]
    })
    const least = Math.max(-1, ...sums)
    known.set(id, least)
    return least
  }
  const own = since(link.to)
  return link.most !== undefined && own > minute(link.most)
    ? { ...link, most: (own + ROOM) / 60 }
    : link
}

/** Turns of one step are alike: they begin in their order, and soon after each other where food waits. */
function inTurn(step: Step, own: readonly string[]): Relation[] {
  const most = step.panfuls
    ? NEXT_PANFUL
    : lawOf(step.work).attend === 'hands'
      ? undefined
      : NEXT_LOAD
  return own
    .slice(1)
    .flatMap((to, i): Relation[] => [
      { from: own[i]!, to, kind: 'SS' },
      ...(most === undefined
        ? []
        : [{ from: own[i]!, to, kind: 'FS', min: -1_000_000, max: most } as Relation]),
    ])
}

/** Of several panfuls the first waits for the others as well. */
function waitsOf(
  from: readonly string[],
  to: string,
  wait: Step['after'][number],
  link: FoodLink | undefined,
  seconds: (id: string) => number,
): Relation[] {
  const min = minute(wait.least ?? 0)
  const most = link ? link.most : (wait.most ?? undefined)
  let later = 0
  return [...from].reverse().map((id, k): Relation => {
    const max =
      most === undefined ? {} : { max: Math.max(min, minute(most)) + later + k * NEXT_PANFUL }
    later += seconds(id)
    return { from: id, to, kind: 'FS', min, ...max }
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

/**
 * From off the heat into the cold within two hours in all (usual guidance; one in a hot kitchen or a
 * strict house), whatever stands in between; longer only where the recipe itself asks for longer.
 */
function intoTheCold(
  recipe: Recipe,
  of: (step: string) => string[],
  limit: number,
  seconds: (id: string) => number,
): Relation[] {
  const lots = lotsOf(recipe)
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  const out: Relation[] = []
  for (const end of recipe.steps) {
    if (end.work !== 'pack' && end.work !== 'chill') continue
    const lasts = seconds(of(end.id).at(-1)!)
    /** Steps before it, with the least seconds from their end to the end of this one. */
    const least = new Map<string, number>()
    const open: [Step, number][] = [[end, lasts]]
    for (let next = open.pop(); next; next = open.pop()) {
      const [step, after] = next
      for (const a of step.after) {
        const before = byId.get(a.step)
        if (!before || a.food === false || lots.get(before.id)!.cold) continue
        const sum = after + minute(a.least ?? 0)
        if (cooks(before.work)) least.set(before.id, Math.max(sum, least.get(before.id) ?? 0))
        else if (before.work !== 'pack')
          open.push([before, sum + of(before.id).reduce((n, id) => n + seconds(id), 0)])
      }
    }
    for (const [id, sum] of least) {
      const lot = lots.get(id)!
      if (!lot.cooked || lot.raw) continue
      for (const from of of(id).slice(-1))
        out.push({
          from,
          to: of(end.id).at(-1)!,
          kind: 'FF',
          max: Math.max(limit, sum > limit ? sum + ROOM : limit),
        })
    }
  }
  return out
}

/** Least seconds of an activity, by its shortest way. */
function secondsIn(problem: ProblemInput): (id: string) => number {
  const known = new Map(
    problem.activities.map((a) => [
      a.id,
      Math.min(...a.modes.map((m) => m.phases.reduce((sum, p) => sum + p.seconds[0], 0))),
    ]),
  )
  return (id) => known.get(id) ?? 0
}
