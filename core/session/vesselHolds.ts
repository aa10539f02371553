import { isLiquid, vesselOf, vesselRuns, type Recipe, type Step, type VesselRun } from '../recipe'
import { isFilled, type Kitchen } from '../kitchen'
import type { ProblemInput } from '../problem'
import { lastSteps } from './closing'
import type { DishToMake } from './dishes'
import { litresIn } from './fill'
import { portionsOf } from './portions'

type HoldInput = NonNullable<ProblemInput['holds']>[number]
type NeedInput = HoldInput['need']

/** A vessel, or the burner under it, that is kept over several steps of a dish. */
export interface KeptPlace {
  id: string
  need: NeedInput
  /** Steps of the dish that are done with it. */
  steps: string[]
  /** Steps that take out what is in it, `dish.step`; none: it is free after the last step. */
  takers: string[]
}

/** Steps during which a vessel stands by, or is stirred in, without leaving its burner. */
const BESIDE_HEAT = new Set(['mix', 'assemble', 'season', 'blend'])

/** What is kept for a dish: vessels until they are emptied, and burners while the heat goes on. */
export function keptPlaces(
  dish: DishToMake,
  dishes: readonly DishToMake[],
  kitchen: Kitchen,
): KeptPlace[] {
  const { recipe } = dish
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  return vesselRuns(recipe).flatMap((run) => {
    const steps = run.steps.map((id) => byId.get(id)!)
    const takers = [
      ...run.takers.map((id) => `${recipe.id}.${id}`),
      ...takenElsewhere(recipe, run, dishes),
    ]
    const inLoads = steps.some(
      (s) => portionsOf(dish, s, kitchen).called === 'load' && turns(dish, s, kitchen) > 1,
    )
    const kept: KeptPlace[] = []
    if (
      (steps.length > 1 || takers.length || recipe.keeps.some((k) => k.id === run.id)) &&
      !inLoads
    )
      kept.push({
        id: `${recipe.id}.${run.id}`,
        need: vesselNeed(dish, run, steps, kitchen),
        steps: run.steps,
        takers,
      })
    return [...kept, ...burnersUnder(recipe.id, run, steps)]
  })
}

const turns = (dish: DishToMake, s: Step, kitchen: Kitchen) => portionsOf(dish, s, kitchen).turns

/** Steps of other dishes that take from what lies in a vessel at the end of a shared base. */
function takenElsewhere(recipe: Recipe, run: VesselRun, dishes: readonly DishToMake[]): string[] {
  const last = lastSteps(recipe).some((s) => s.id === run.steps.at(-1))
  if (!recipe.base || !last) return []
  return dishes.flatMap((d) =>
    d.recipe.steps
      .filter((s) => s.takes.some((t) => t.base === recipe.id))
      .map((s) => `${d.recipe.id}.${s.id}`),
  )
}

function vesselNeed(dish: DishToMake, run: VesselRun, steps: Step[], kitchen: Kitchen): NeedInput {
  const { recipe, batches } = dish
  const { kind, tags, contents } = run.vessel
  const own = steps.find((s) => vesselOf(s)?.kind === kind)
  const portions = own && portionsOf(dish, own, kitchen)
  const stated = run.litres ?? filled(recipe, run)
  const sizes = [
    ...(run.vessel.minSize === undefined ? [] : [run.vessel.minSize]),
    ...(stated === undefined ? [] : [round(stated * batches)]),
    ...(kind === 'frying-pan' && portions?.minPan !== undefined ? [portions.minPan] : []),
  ]
  const amount = own ? portions!.amountOf(vesselOf(own)!) : 1
  return {
    kind,
    tags: tags ?? [],
    contents: contents ?? recipe.id,
    ...(sizes.length ? { minSize: Math.max(...sizes) } : {}),
    ...(amount === 1 ? {} : { amount }),
  }
}

/** Litres for one batch by what has gone in, where nothing says a size. */
export const filled = (recipe: Recipe, run: VesselRun): number | undefined => {
  const { kind, minSize } = run.vessel
  if (minSize !== undefined || !isFilled(kind)) return undefined
  const litres = litresIn(recipe, run.steps.at(-1)!, kind)
  return litres === undefined ? undefined : round(litres * (inWater(recipe, run) ? IN_WATER : 1))
}

/** How much more than the food itself a pot holds where it is covered with water: an estimate of ours. */
const IN_WATER = 2
/** Whether food is cooked in water that the list of ingredients does not count. */
const inWater = (recipe: Recipe, run: VesselRun) => {
  if (recipe.ingredients.some((i) => /\bwater\b/i.test(i.item))) return false
  const steps = recipe.steps.filter((s) => run.steps.includes(s.id))
  const item = (id: string) => recipe.ingredients.find((i) => i.id === id)?.item ?? ''
  const poured = steps.some((s) => s.uses.some((u) => isLiquid(item(u))))
  // `Boil the potatoes` goes without saying in what; juices that are boiled down are in none.
  const boils = (s: Step) => s.work === 'boil' && !poured && !/\bdown\b|\bjuices\b/i.test(s.do)
  return steps.some((s) => boils(s) || WATER.test(s.do))
}
const WATER = /\b(?:cover(?:ed)? with|plenty of|boiling|salted|pan of|pot of)\b[^.;]*\bwater\b/i

/** A burner is kept from one heat to the next in the same pot, unless it is taken off in between. */
function burnersUnder(dish: string, run: VesselRun, steps: Step[]): KeptPlace[] {
  const out: KeptPlace[] = []
  let now: Step[] = []
  const close = () => {
    if (now.length > 1) {
      const tags = [...new Set(now.flatMap((s) => burnerOf(s)!.tags ?? []))]
      out.push({
        id: `${dish}.${run.id}.burner${out.length ? `-${out.length + 1}` : ''}`,
        need: { kind: 'burner', tags },
        steps: now.map((s) => s.id),
        takers: [],
      })
    }
    now = []
  }
  for (const s of steps) {
    if (burnerOf(s)) now.push(s)
    else if (!BESIDE_HEAT.has(s.work)) close()
  }
  close()
  return out
}

const burnerOf = (s: Step) =>
  s.ways.every((w) => w.on.some((o) => o.kind === 'burner'))
    ? s.ways[0]!.on.find((o) => o.kind === 'burner')
    : undefined

const round = (value: number) => Math.round(value * 10) / 10
