import { lawOf } from '../work'
import type { Equipment, Recipe, Step } from '../schema'
import { inOrder } from './lots'

/** Kinds of vessel that food stays in after a step; a blender is held into another. */
export const HOLDS_FOOD = new Set([
  'pot',
  'frying-pan',
  'tray',
  'oven-dish',
  'tin',
  'bowl',
  'slow-cooker',
  'pressure-cooker',
  'rice-cooker',
  'air-fryer',
  'processor',
  'mixer',
])

/** Kinds that food lies in while it bakes. */
export const OVEN_SHAPES = new Set<string | undefined>(['tray', 'oven-dish', 'tin'])

/** One vessel, from the step that fills it to those that empty it. */
export interface VesselRun {
  id: string
  vessel: Equipment
  /** Litres it must hold for one batch, where a recipe says so. */
  litres?: number
  /** Steps done in it, in order; the first fills it. */
  steps: string[]
  /** Steps done elsewhere that take food out of it. */
  takers: string[]
  /** Steps that begin with it empty, and by which steps it has been emptied by then. */
  emptied: Map<string, string[]>
}

const TAKES_OUT =
  /^(?:lift|transfer|(?:tip|pour|spoon|ladle|spread)(?! over\b)|divide|turn out|carve|slide|layer|serve|plate|remove|scoop|stack|arrange|drain|strain|turn .* out|take .* (?:out|off)|put (?:.* )?(?:in|into|on|onto)|check .*, spread|check .*, turn)\b/i
const LIFTED =
  /\b(?:lift|take|remove|transfer|scoop|set|tip|turn)\b[^.;]*\b(?:out|aside|onto|on to|to a|into)\b/i
const SAME =
  /\b(?:the same|that|in what is left|back (?:in|into|to) the [a-z]+|return (?:(?:it|them|this|everything) )?to the [a-z]+|the (?:\w+ )?(?:fat|drippings|juices) (?:left )?(?:in|from)|in the (?:\w+ )?fat)\b/i

const OVER =
  /^(?:lay|put|place|set|scatter|arrange|spread) (?:(?:it|them|these|this) )?(?:on top|over)\b|\b(?:spoon|pour|drizzle|brush|spread|ladle|trickle|scatter|sprinkle) over\b|^(?:spread|spoon|lay|scatter|sprinkle|pour|put|grate|crumble|arrange) (?:the |some |half )?[a-z, ]{2,70} (?:over|on top)\b/i

/** Puts one thing on another, which lies where it lay: `turn, brush the ribs with the glaze`. */
export const COATS = /^(?:turn\b[^.;]*, )?(?:brush|glaze|baste|coat|paint)\b/i

/** The vessel that a step is done in, by its first way; undefined where it brings none of its own. */
export const vesselOf = (step: Step): Equipment | undefined =>
  // What is cut, in a processor too, is tipped into a bowl or onto a plate, of which there are plenty.
  step.work === 'cut'
    ? step.ways[0]!.on.find((o) => OVEN_SHAPES.has(o.kind))
    : step.ways[0]!.on.find((o) => HOLDS_FOOD.has(o.kind))

/** `Divide among 4 lunch boxes, cool quickly`: it has left what it was cooked in. */
const INTO_BOXES =
  /^(?:divide|portion|pack|spoon|ladle|share|split|box)\b[^.;]*\b(?:in|into|between|among) (?:[a-z0-9]+ ){0,4}(?:boxes|tubs|containers|jars)\b/i

/** Whether a step puts food into what it is kept in. */
export const goesIntoBoxes = (step: Pick<Step, 'do'>) => INTO_BOXES.test(step.do)

/** Whether food is still in the vessel it was in when a step without one of its own is done. */
export function staysIn(step: Step): boolean {
  if (step.stays !== undefined) return step.stays
  if (/^(?:mark|score)\b/i.test(step.do)) return true
  if (goesIntoBoxes(step)) return false
  if (['drain', 'pack', 'cut', 'shape', 'measure'].includes(step.work)) return false
  if (step.work === 'cool' || step.work === 'rest')
    return !/\b(?:rack|plate|spread|board)\b|\b(?:onto|on) (?:a|the) tray\b|\bin (?:[a-z0-9]+ ){0,2}(?:tubs|boxes|containers)\b|^(?:lift|take|remove)\b[^,.;]*\bout\b/i.test(
      step.do,
    )
  if (lawOf(step.work).attend !== 'hands') return true
  return OVER.test(step.do) || !TAKES_OUT.test(step.do)
}

/** `Lift them out into a gratin dish`: there they lie. */
const INTO_SHAPE = /\b(?:into|onto|in) (?:an?|the) (?:[a-z-]+ ){0,3}(?:dish|tin|tray|sheet)\b/i
const isShaped = (step: Step) => OVEN_SHAPES.has(vesselOf(step)?.kind)

/** Whether what a step made is lifted out of its vessel as part of it. */
const liftsOut = (step: Step) =>
  step.stays === false ||
  step.panfuls !== undefined ||
  (LIFTED.test(afterFilling(step)) && !(isShaped(step) && INTO_SHAPE.test(step.do)))

/** `Tip into a saucepan with the water, bring to the boil`: what it is tipped into is where it cooks. */
const FILLS =
  /^(?:tip|transfer|turn|take|remove|scoop)\b[^,.;]*?\b(?:into|to|in) (?:an?|the|your) (?:[a-z-]+ ){0,3}?(?:pan|saucepan|pot|casserole|wok|skillet|cooker)\b/i
const afterFilling = (step: Step) =>
  lawOf(step.work).attend === 'hands' ? step.do : step.do.replace(FILLS, ' ')

/** Where the food lies that a step has given; `inside` is false where it was lifted out. */
interface Lying {
  run: VesselRun
  inside: boolean
}

/**
 * The vessels of a recipe and how long each is in use: food stays in the vessel of the step that it
 * comes from until whatever takes it out has done so. A step in the same kind of vessel as what it
 * goes on from goes on in the same one. Vessels that are kept explicitly override.
 */
export function vesselRuns(recipe: Pick<Recipe, 'steps' | 'keeps' | 'routes'>): VesselRun[] {
  const runs: VesselRun[] = []
  const lying = new Map<string, Lying[]>()
  const takers = takersIn(recipe)
  const covering = keptOver(recipe)
  const kept = new Map<string, VesselRun>()
  const optionOf = optionsIn(recipe)
  const begin = (vessel: Equipment, id: string, litres?: number): VesselRun => {
    const run: VesselRun = { id, vessel, steps: [], takers: [], emptied: new Map() }
    if (litres !== undefined) run.litres = litres
    runs.push(run)
    return run
  }
  // `Remove the chicken, add the leeks to the broth`: the broth stays where it is.
  const onlyInOne = (from: string, kind: string) => {
    const all = [...takers.get(from)!]
    const alike = all.filter((id) => {
      const taker = recipe.steps.find((s) => s.id === id)
      return taker && vesselOf(taker)?.kind === kind
    })
    return all.length === 1 || alike.length === 1
  }
  for (const step of inOrder(recipe)) {
    const inputs = step.after.flatMap((a) =>
      (lying.get(a.step) ?? []).map((l) => ({ ...l, from: a.step, food: a.food !== false })),
    )
    const own = vesselOf(step)
    const keep = covering.get(step.id)
    let into: VesselRun[] = []
    if (keep) {
      const known = kept.get(keep.id) ?? begin(keep.vessel, keep.id, keep.litres)
      kept.set(keep.id, known)
      into = [known]
    } else if (own) {
      const same = SAME.test(step.do)
      const alike = inputs.filter(
        ({ run, from, food, inside }) =>
          run.vessel.kind === own.kind &&
          // A vessel that only one way of cooking has filled is there only where that way is taken.
          [undefined, optionOf.get(step.id)].includes(optionOf.get(run.steps[0]!)) &&
          // Of two pies in their dishes one is baked in its own, whatever becomes of the other.
          (same ||
            !food ||
            (inside && (onlyInOne(from, own.kind) || OVEN_SHAPES.has(run.vessel.kind)))),
      )
      const last = alike.at(-1)?.from
      into = [...new Set(alike.filter((i) => i.from === last).map((i) => i.run))]
      for (const run of into) run.vessel = narrower(run.vessel, own)
      if (!into.length) into = [begin(own, `${step.id}-${own.kind}`)]
    } else if (staysIn(step)) {
      // `Brush the ribs with the glaze`: they are not in its pan.
      const coats = COATS.test(step.do)
      const several =
        new Set(step.after.filter((a) => a.food !== false).map((a) => a.step)).size > 1
      const here = inputs.filter(
        (i) => i.food && i.inside && !(coats && several && !OVEN_SHAPES.has(i.run.vessel.kind)),
      )
      // `Prick the cake, spoon over the syrup`: it is the cake that stays where it is.
      const under = here.find((i) => OVEN_SHAPES.has(i.run.vessel.kind)) ?? here[0]
      const main = (OVER.test(step.do) ? under : here.at(-1))?.from
      into = [...new Set(inputs.filter((i) => i.from === main).map((i) => i.run))]
    }
    // A pan of which only the place is taken over was emptied for it: what it held lies on a plate.
    for (const { run, food } of inputs)
      if (!food && into.includes(run)) {
        run.emptied.set(step.id, [...run.takers])
        for (const places of lying.values())
          for (const place of places) if (place.run === run) place.inside = false
      }
    for (const run of into) run.steps.push(step.id)
    for (const { run, food, inside } of inputs)
      if (food && inside && !into.includes(run) && !run.takers.includes(step.id))
        run.takers.push(step.id)
    const inside = !liftsOut(step)
    lying.set(
      step.id,
      into.map((run) => ({ run, inside })),
    )
  }
  return runs
}

/**
 * The recipe with the order that its vessels bring: into a pan of which only the place is taken over nothing
 * goes before what was in it has been taken out.
 */
export function emptiedFirst<R extends Pick<Recipe, 'steps' | 'keeps' | 'routes'>>(recipe: R): R {
  const runs = vesselRuns(recipe)
  const before = (s: Step) => [
    ...new Set(
      runs
        .flatMap((r) => r.emptied.get(s.id) ?? [])
        .filter((id) => id !== s.id && !s.after.some((a) => a.step === id)),
    ),
  ]
  // In front: the pan is that of what comes last.
  const steps = recipe.steps.map((s) => {
    const more = before(s).map((step) => ({ step, food: false as const }))
    return more.length ? { ...s, after: [...more, ...s.after] } : s
  })
  return steps.some((s, k) => s !== recipe.steps[k]) ? { ...recipe, steps } : recipe
}

/** The same vessel, if both ask for it: all tags, the larger size. */
function narrower(a: Equipment, b: Equipment): Equipment {
  const tags = [...new Set([...(a.tags ?? []), ...(b.tags ?? [])])]
  const size = Math.max(a.minSize ?? 0, b.minSize ?? 0)
  return { ...b, ...a, ...(tags.length ? { tags } : {}), ...(size ? { minSize: size } : {}) }
}

/** The explicit keep that each step falls under, unless it brings a vessel of another kind. */
function keptOver({ steps, keeps }: Pick<Recipe, 'steps' | 'keeps'>) {
  const out = new Map<string, Recipe['keeps'][number]>()
  const before = (id: string): Set<string> => {
    const all = new Set<string>()
    const stack = [id]
    for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
      if (all.has(next)) continue
      all.add(next)
      stack.push(...(steps.find((s) => s.id === next)?.after.map((a) => a.step) ?? []))
    }
    return all
  }
  for (const keep of keeps) {
    const until = before(keep.to)
    for (const step of steps) {
      const own = vesselOf(step)
      if (own && own.kind !== keep.vessel.kind) continue
      if (until.has(step.id) && before(step.id).has(keep.from)) out.set(step.id, keep)
    }
  }
  return out
}

/** The option of a choice that a step belongs to, as one name; nothing where it is always done. */
const optionsIn = ({ routes }: Pick<Recipe, 'routes'>) =>
  new Map(
    routes.flatMap((r) =>
      r.options.flatMap((o) => o.steps.map((s) => [s, `${r.id}/${o.id}`] as const)),
    ),
  )

/** Which steps take food of each step. */
function takersIn({ steps }: Pick<Recipe, 'steps'>): Map<string, Set<string>> {
  const takers = new Map(steps.map((s) => [s.id, new Set<string>()]))
  for (const s of steps)
    for (const a of s.after) if (a.food !== false) takers.get(a.step)?.add(s.id)
  return takers
}
