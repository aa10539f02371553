import type { Kitchen } from '../kitchen'
import type { ProblemInput } from '../problem'
import type { Step } from '../recipe'
import type { Card } from './activities'
import { upTo } from './ahead'
import type { CompiledSession, Turns } from './compile'
import type { DishToMake } from './dishes'
import type { KeptPlace } from './vesselHolds'

type ActivityInput = ProblemInput['activities'][number]

/** Hands work that is over this soon takes the food out as a whole; longer work as it begins. */
const BRIEF = 900

/**
 * Adds what is kept for a dish: each vessel from the step that fills it until the food is out of it,
 * each burner over the heats it serves, and room in the cold from packing on.
 */
export function addHolds(
  problem: ProblemInput,
  dish: DishToMake,
  turns: Turns,
  cards: Record<string, Card>,
  places: readonly KeptPlace[],
  kitchen: Kitchen,
): CompiledSession['kept'] {
  const { recipe, batches } = dish
  const kept: CompiledSession['kept'] = {}
  for (const place of places) {
    const own = place.steps.flatMap((s) => turns.get(`${recipe.id}.${s}`)!)
    const takers = place.takers.flatMap((t) => turns.get(t)!.slice(-1))
    const to = endOf(problem, dish, turns, cards, place, takers)
    problem.holds!.push({ id: place.id, need: place.need, from: own[0]!, to })
    kept[place.id] = { activities: own, takers: place.takers.flatMap((t) => turns.get(t)!) }
  }
  const { store } = recipe
  if (!store || !kitchen.stations.some((s) => s.kind === store.place)) return kept
  const pack = recipe.steps.filter((s) => s.work === 'pack').at(-1)
  if (pack)
    problem.holds!.push({
      id: `${recipe.id}.${store.place}`,
      need: { kind: store.place, amount: Math.round(store.litres * batches * 10) / 10 },
      from: turns.get(`${recipe.id}.${pack.id}`)![0]!,
      to: null,
    })
  return kept
}

/** The activity with whose end a vessel is free: its last step, what empties it, or a mark of that. */
function endOf(
  problem: ProblemInput,
  { recipe }: DishToMake,
  turns: Turns,
  cards: Record<string, Card>,
  place: KeptPlace,
  takers: readonly string[],
): string {
  const last = (step: string) => turns.get(`${recipe.id}.${step}`)!.at(-1)!
  const option = (id: string) =>
    problem.choices!.find((c) => c.options.some((o) => o.activities.includes(id)))
  const optional = (step: Step) =>
    recipe.routes.some((r) => r.options.some((o) => o.steps.includes(step.id)))
  const byId = new Map(problem.activities.map((a) => [a.id, a]))
  const first = place.steps[0]!
  const ends = sinksOf(recipe, place)
  const [sink] = ends
  if (!takers.length && ends.length === 1 && (sink!.id === first || !optional(sink!)))
    return last(sink!.id)
  const only = takers.length === 1 && !ends.length ? byId.get(takers[0]!)! : undefined
  if (only && !option(only.id) && isBrief(only)) return only.id
  const from = byId.get(turns.get(`${recipe.id}.${first}`)![0]!)!
  const id = `${place.id}.empty`
  problem.activities.push({
    id,
    dish: recipe.id,
    label: 'Empty',
    aside: from.aside ?? false,
    hygiene: 'neutral',
    modes: [{ id: 'empty', needs: [], phases: [{ seconds: [0, 0] }] }],
  })
  cards[id] = {
    dish: recipe.id,
    step: first,
    text: 'Empty',
    work: 'rest',
    turns: 1,
    uses: [],
    ways: {},
    hygiene: 'neutral',
    later: [],
    marker: true,
  }
  const single = only !== undefined
  for (const taker of takers) {
    const t = byId.get(taker)!
    const max = single ? { max: loadOf(t) } : {}
    if (isBrief(t))
      problem.relations!.push({
        from: taker,
        to: id,
        kind: 'FS',
        min: 0,
        ...(single ? { max: 0 } : {}),
      })
    else problem.relations!.push({ from: taker, to: id, kind: 'SS', min: loadOf(t), ...max })
  }
  for (const step of ends)
    problem.relations!.push({ from: last(step.id), to: id, kind: 'FS', min: 0 })
  return id
}

/** Steps in a place after which neither another in it nor whatever takes food out of it comes. */
function sinksOf(recipe: DishToMake['recipe'], place: KeptPlace): Step[] {
  const own = recipe.steps.filter((s) => place.steps.includes(s.id))
  const later = recipe.steps.filter(
    (s) => place.steps.includes(s.id) || place.takers.includes(`${recipe.id}.${s.id}`),
  )
  return own.filter(
    (s) =>
      !later.some((l) => l !== s && upTo(recipe, [l.id]).has(s.id)) &&
      // What another dish takes comes after the last step.
      !(place.takers.some((t) => !t.startsWith(`${recipe.id}.`)) && s.id === place.steps.at(-1)),
  )
}

const lengthOf = (a: ActivityInput) =>
  Math.max(...a.modes.map((m) => m.phases.reduce((sum, p) => sum + p.seconds[0], 0)))
const isBrief = (a: ActivityInput) =>
  a.modes.every((m) => m.phases.every((p) => p.hands)) && lengthOf(a) <= BRIEF

/** Seconds of hands with which something begins: by then the food is in. */
const loadOf = (a: ActivityInput) =>
  Math.max(...a.modes.map((m) => (m.phases[0]!.hands ? m.phases[0]!.seconds[0] : 0)))
