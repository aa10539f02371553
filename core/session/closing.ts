import { isFilled, KINDS } from '../kitchen'
import {
  freeId,
  goesIntoBoxes,
  isMeat,
  lotsOf,
  sharesOf,
  vesselRuns,
  type Recipe,
  type Step,
} from '../recipe'
import { ownStep } from './ownStep'
import type { SessionDish } from './schema'

/** Serving belongs to the meal: where a dish is kept, it is not done in the session. */
const SERVES =
  /^(?:to serve\b|serve\b|eat\b|dish up\b|plate up\b|bring (?:it )?to the table\b)|\b(?:just|right) before (?:eating|serving|you eat|you serve)\b/i
/** Baked goods keep dry, and stale in the fridge. */
const DRY =
  /\b(?:bread|loaf|loaves|focaccia|ciabatta|baguettes?|brioche|muffins?|rolls|buns|knots|twists|swirls|biscuits?|cookies?|crackers|scones?|granola|flapjacks?|shortbread|oatcakes|rusks)\b/i

/** Whether there is something of flour or oats in it, and no meat or fish. */
const isKeptDry = ({ ingredients }: Recipe) =>
  ingredients.some((i) => OF_GRAIN.test(i.item)) && !ingredients.some((i) => isMeat(i.item))
const OF_GRAIN = /\b(?:flours?|oats?|oatmeal|rye|wheat|dough|mix|cornmeal|polenta|semolina)\b/i

/** Where a dish goes when it is done, as far as the cook or the recipe says. */
export function goesTo(
  recipe: Recipe,
  to: SessionDish['to'],
): 'tonight' | 'fridge' | 'freezer' | 'shelf' {
  if (to) return to
  if (recipe.store) return recipe.store.place
  const ends = lastSteps(recipe)
  if (ends.some((s) => /\bfreez/i.test(s.do))) return 'freezer'
  const dry = ends.every((s) => DRY.test(`${recipe.name} ${s.do}`))
  // Rolls of cabbage and meat are none that keep dry.
  if (dry && isKeptDry(recipe)) return 'shelf'
  return ends.some((s) => SERVES.test(s.do)) ? 'tonight' : 'fridge'
}

/** Steps that nothing waits for. */
export function lastSteps(recipe: Pick<Recipe, 'steps'>): Step[] {
  const waitedFor = new Set(recipe.steps.flatMap((s) => s.after.map((a) => a.step)))
  return recipe.steps.filter((s) => !waitedFor.has(s.id))
}

/**
 * The recipe with what its words leave out at the end where it is kept: into shallow boxes, cool,
 * lids on, into the cold. Serving is left to the meal. A dish that says how it is packed stays as it
 * is, and so does what is eaten on the day.
 */
export function withEnd(recipe: Recipe, to: SessionDish['to']): Recipe {
  const place = goesTo(recipe, to)
  if (recipe.base || place === 'tonight') return recipe
  const kept = boxedFirst(cooledFirst(withoutServing(recipe)))
  const ends = lastSteps(kept)
  const lots = lotsOf(kept)
  const open = ends.filter(
    (s) => !s.beyond && (isTooHot(s, lots) || !['pack', 'chill', 'prove', 'soak'].includes(s.work)),
  )
  if (!open.length) return kept
  const runs = vesselRuns(kept)
  const ids = new Set(kept.steps.map((s) => s.id))
  const fresh = (base: string) => {
    const id = freeId(base, ids)
    ids.add(id)
    return id
  }
  const steps: Step[] = []
  const before: Step['after'] = []
  for (const s of open) {
    const lot = lots.get(s.id)!
    if (!lot.hot) {
      before.push({ step: s.id })
      continue
    }
    const vessel = runs.find((r) => r.steps.includes(s.id))?.vessel.kind
    let from = s.id
    // What is dry cools where it lies.
    if (
      place !== 'shelf' &&
      !goesIntoBoxes(s) &&
      (vessel === undefined || !KINDS[vessel]?.shallow)
    ) {
      const box = boxUp(fresh('box-up'), [{ step: from }])
      steps.push(box)
      from = box.id
    }
    const cool = coolDown(fresh('cool-down'), 'Leave it to cool, lids off', [{ step: from }])
    steps.push(cool)
    before.push({ step: cool.id })
  }
  const pack = ownStep(
    fresh('pack-up'),
    packing(place, open.every(goesIntoBoxes)),
    'pack',
    [2, 3, 5],
  )
  steps.push({ ...pack, hygiene: 'ready', scale: 'each', after: before })
  return { ...kept, steps: [...kept.steps, ...steps] }
}

const packing = (place: 'fridge' | 'freezer' | 'shelf', boxed: boolean) =>
  place === 'shelf'
    ? 'Pack it away dry, and label it'
    : `${boxed ? 'Lids' : 'Into boxes, lids'} on, label, into the ${place}`

const boxUp = (id: string, after: Step['after']): Step => ({
  ...ownStep(id, 'Divide it into shallow boxes, lids off', 'assemble', [2, 4, 6]),
  hygiene: 'ready',
  scale: 'each',
  after,
})

const coolDown = (id: string, words: string, after: Step['after']): Step => ({
  ...ownStep(id, words, 'cool', [20, 30, 90]),
  after,
})

/** Put away while it is hot; a jar of jam is closed so. */
const isTooHot = (s: Step, lots: ReturnType<typeof lotsOf>) =>
  s.work === 'pack' && lots.get(s.id)!.hot && !CLOSED_HOT.test(s.do)
const CLOSED_HOT = /\b(?:jars?|bottles?|seal|sterili[sz]ed)\b/i

/** With what is wrapped or frozen hot cooled in front of that; what is portioned hot cools in its boxes. */
function cooledFirst(recipe: Recipe): Recipe {
  const lots = lotsOf(recipe)
  const hot = lastSteps(recipe).filter((s) => isTooHot(s, lots) && !goesIntoBoxes(s))
  const ids = new Set(recipe.steps.map((s) => s.id))
  const steps = recipe.steps.flatMap((s) => {
    if (!hot.includes(s)) return [s]
    const id = freeId('cool-down', ids)
    ids.add(id)
    return [coolDown(id, 'Leave it to cool', s.after), { ...s, after: [{ step: id }] }]
  })
  return hot.length ? { ...recipe, steps } : recipe
}

/**
 * With what cools in a deep pot before it is put away divided into shallow boxes first: litres of soup
 * are warm for hours. What is said to cool for a time of its own stays as it is.
 */
function boxedFirst(recipe: Recipe): Recipe {
  const lots = lotsOf(recipe)
  const runs = vesselRuns(recipe)
  const ids = new Set(recipe.steps.map((s) => s.id))
  const isDeep = (s: Step) => {
    const kind = runs.find((r) => r.steps.includes(s.id))?.vessel.kind
    return kind !== undefined && isFilled(kind)
  }
  const thenPacked = (s: Step) => {
    const next = recipe.steps.filter((n) => n.after.some((a) => a.step === s.id))
    // `Portion into tubs` says itself how it is divided.
    return next.length > 0 && next.every((n) => n.work === 'pack' && !INTO.test(n.do))
  }
  const hotBefore = (s: Step) => s.after.some((a) => lots.get(a.step)?.hot)
  const steps = recipe.steps.flatMap((s) => {
    const isCool = s.work === 'cool' && !goesIntoBoxes(s) && !/\d|overnight|water|ice/i.test(s.do)
    if (!isCool || !isDeep(s) || !hotBefore(s) || !thenPacked(s)) return [s]
    const id = freeId('box-up', ids)
    ids.add(id)
    return [boxUp(id, s.after), { ...s, after: [{ step: id }] }]
  })
  return steps.length > recipe.steps.length ? { ...recipe, steps } : recipe
}
const INTO = /^(?:bag|box|lid|portion)\b|\b(?:boxes|tubs?|bags?|jars?|containers?|portions?)\b/i

/** What is done only when it is eaten: what says so, and all that comes after it, with what goes in only then. */
export function servingSteps(recipe: Recipe): Step[] {
  const serving = new Set(recipe.steps.filter((s) => SERVES.test(s.do)).map((s) => s.id))
  for (let before = -1; before < serving.size;) {
    before = serving.size
    for (const s of recipe.steps) if (s.after.some((a) => serving.has(a.step))) serving.add(s.id)
  }
  if (!serving.size) return []
  const shares = sharesOf(recipe)
  // What was cooked in it is named again when it is dished up, and goes in only once.
  return recipe.steps
    .filter((s) => serving.has(s.id))
    .map((s) => ({ ...s, uses: s.uses.filter((u) => (shares.get(s.id)?.get(u) ?? 0) > 0) }))
}

function withoutServing(recipe: Recipe): Recipe {
  const gone = new Set(servingSteps(recipe).map((s) => s.id))
  const steps = recipe.steps.filter((s) => !gone.has(s.id))
  if (!gone.size || !steps.length) return recipe
  return {
    ...recipe,
    steps,
    keeps: recipe.keeps.flatMap((k) => {
      if (gone.has(k.from)) return []
      if (!gone.has(k.to)) return [k]
      const last = recipe.steps.find((s) => s.id === k.to)!.after.at(-1)?.step
      return last && !gone.has(last) ? [{ ...k, to: last }] : []
    }),
  }
}
