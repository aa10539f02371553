import { differenceInCalendarDays, differenceInMinutes, parseISO } from 'date-fns'
import type { Person } from '../../kitchen'
import { inOrder, lawOf, type Recipe, type Step } from '../../recipe'
import { upTo } from '../ahead'
import { paceFor } from '../people'
import { scaleOf } from '../portions'
import type { DishToMake } from '../dishes'
import { skillsOf } from '../activities'
import { BY_ITSELF, LONG, partingsOf, type Parting } from './parting'

/** One sitting as far as it matters for what is done in it. */
export interface Slot {
  id: string
  start: string
  /** Minutes, where they are given. */
  limit?: number
  cooks: readonly Person[]
}

/** A way to part a dish between the sittings, with the minutes that it takes of each at least. */
export interface Candidate {
  placed: Map<string, number>
  hands: number[]
  chain: number[]
  /** What every plan takes for it at least, in minutes of all sittings together. */
  least: { hands: number; chain: number }
  /** Parts that go from one sitting to another. */
  crossings: number
  /** What goes on by itself for hours and is waited for in one sitting all the same, in minutes. */
  waits: number
}

/** Ways to part a dish that are looked at, at most. */
const MOST_SETS = 24
/** Minutes to pack what waits for another sitting away, and to take it up again. */
const PACKING = 5
const FETCHING = 1
/** Minutes of hands, at most, to begin what goes on by itself. */
const BEGUN = 5
/** How long a sitting is thought to last where nobody has said. */
const USUAL_SITTING = 120

export const endOf = (slot: Slot) => slot.limit ?? USUAL_SITTING
const minutesBetween = (from: Slot, to: Slot) =>
  differenceInMinutes(parseISO(to.start), parseISO(from.start))
export const nightsBetween = (from: string, to: string) =>
  differenceInCalendarDays(parseISO(to), parseISO(from))

/**
 * Every way that is looked at to part a dish between two of the sittings, or to leave it whole: each step
 * no earlier than what it waits for, and only where what lies between may wait so long.
 */
export function candidatesOf(dish: DishToMake, slots: readonly Slot[], cold: boolean): Candidate[] {
  const own = KNOWN.get(dish.recipe) ?? new Map<string, Candidate[]>()
  KNOWN.set(dish.recipe, own)
  const key = JSON.stringify([dish.batches, cold, slots])
  const found = own.get(key) ?? allOf(dish, slots, cold)
  if (own.size >= MOST_KNOWN) own.clear()
  own.set(key, found)
  return found
}

/** What was found before: a session is parted anew at every change, and most of its dishes stay. */
const KNOWN = new WeakMap<Recipe, Map<string, Candidate[]>>()
const MOST_KNOWN = 40

function allOf(dish: DishToMake, slots: readonly Slot[], cold: boolean): Candidate[] {
  const { recipe } = dish
  const partings = partingsOf(recipe)
  const sets = downSets(recipe, partings, slots.length)
  const out: Candidate[] = []
  const add = (placed: Map<string, number>) => {
    if (mayPart(recipe, placed, partings, slots, cold))
      out.push(measured(dish, placed, partings, slots))
  }
  for (const to of slots.keys()) {
    add(new Map(recipe.steps.map((s) => [s.id, to])))
    for (let from = 0; from < to; from++)
      for (const set of sets)
        add(new Map(recipe.steps.map((s) => [s.id, set.has(s.id) ? from : to])))
  }
  // Nobody gets up at night for it, unless there is no other way.
  const awake = out.filter((c) =>
    c.chain.every((minutes, i) => minutes === 0 || endsAwake(slots[i]!, minutes)),
  )
  return awake.length ? awake : out
}

/** When people go to bed, in minutes of the day. */
const BED = 23.5 * 60
const endsAwake = ({ start }: Slot, minutes: number) => {
  const at = parseISO(start)
  return at.getHours() * 60 + at.getMinutes() + minutes <= BED
}

/** What could be done of a recipe before the rest of it. */
function downSets(
  recipe: Recipe,
  partings: ReadonlyMap<string, Parting>,
  sittings: number,
): ReadonlySet<string>[] {
  const all = new Set(recipe.steps.map((s) => s.id))
  if (sittings < 2) return []
  const inRoutes = new Set(recipe.routes.flatMap((r) => r.options.flatMap((o) => o.steps)))
  const ends = recipe.steps
    .filter((s) => partings.has(s.id) && !inRoutes.has(s.id))
    .map((s) => s.id)
  // What goes on by itself first: those are worth most.
  ends.sort((a, b) => rank(partings.get(a)!) - rank(partings.get(b)!))
  const found = new Map<string, ReadonlySet<string>>()
  const add = (set: ReadonlySet<string>) => {
    if (found.size >= MOST_SETS || set.size === 0 || set.size === all.size) return
    const cut = [...inRoutes].filter((id) => set.has(id)).length
    if (cut && cut < inRoutes.size) return
    found.set([...set].sort().join(' '), set)
  }
  for (const end of ends) add(upTo(recipe, [end]))
  add(upTo(recipe, ends))
  for (const [i, a] of ends.entries()) for (const b of ends.slice(i + 1)) add(upTo(recipe, [a, b]))
  return [...found.values()]
}

const rank = ({ how }: Parting) => ['on', 'cold', 'dry'].indexOf(how)

function mayPart(
  recipe: Recipe,
  placed: ReadonlyMap<string, number>,
  partings: ReadonlyMap<string, Parting>,
  slots: readonly Slot[],
  cold: boolean,
): boolean {
  return recipe.steps.every((to) =>
    to.after.every((a) => {
      const [i, j] = [placed.get(a.step), placed.get(to.id)!]
      if (i === undefined || i === j) return true
      if (i > j) return false
      const parting = partings.get(a.step)
      if (!parting || (parting.how === 'cold' && !cold)) return false
      const least = minutesBetween(slots[i]!, slots[j]!) - endOf(slots[i]!)
      return parting.how === 'cold'
        ? nightsBetween(slots[i]!.start, slots[j]!.start) * 24 <= parting.most
        : // It is not over before it is taken up: what may lie between does not begin.
          least <= parting.most * 60
    }),
  )
}

/**
 * What every plan takes for a step at least, in minutes: ways to do it otherwise, and what may be done once
 * for several dishes, count for nothing; what is cut, several may cut together.
 */
function leastOf(step: Step, { hands, long }: { hands: number; long: number }, cooks: number) {
  const shared = !step.after.length && !step.takes.length
  return {
    hands: shared ? 0 : hands,
    long: lawOf(step.work).attend !== 'hands' ? long : shared ? 0 : long / Math.max(1, cooks),
  }
}

/** Minutes of a step: of hands, and from its beginning to its end; by its quickest way. */
function minutesOf(step: Step, batches: number, cooks: readonly Person[]) {
  const law = lawOf(step.work)
  const pace = law.attend === 'hands' ? paceFor(cooks, skillsOf(step), step.work) : 1
  const usual = Math.min(...step.ways.map((w) => w.minutes[1])) * scaleOf(step, batches) * pace
  const handling =
    law.attend === 'hands'
      ? 0
      : Math.min(...step.ways.map((w) => (w.load ?? law.handling) + (w.unload ?? law.handling)))
  return { hands: law.attend === 'hands' ? usual : handling, long: usual + handling }
}

function measured(
  { recipe, batches }: DishToMake,
  placed: Map<string, number>,
  partings: ReadonlyMap<string, Parting>,
  slots: readonly Slot[],
): Candidate {
  const otherwise = recipe.routes.flatMap((r) => r.options.slice(1).flatMap((o) => o.steps))
  const inRoutes = recipe.routes.flatMap((r) => r.options.flatMap((o) => o.steps))
  const nothing = { hands: 0, long: 0 }
  const usual = (step: Step, at: number) => minutesOf(step, batches, slots[at]!.cooks)
  const way = { placed, partings, slots }
  const { hands, chain, crossed, waits } = gone(recipe, way, (step, at) =>
    otherwise.includes(step.id) ? nothing : usual(step, at),
  )
  const least = gone(recipe, way, (step, at) =>
    inRoutes.includes(step.id) ? nothing : leastOf(step, usual(step, at), slots[at]!.cooks.length),
  )
  for (const [id, end] of crossed) {
    const at = placed.get(id)!
    hands[at]! += PACKING
    chain[at] = Math.max(chain[at]!, end + PACKING)
  }
  const sum = (list: readonly number[]) => list.reduce((n, x) => n + x, 0)
  return {
    placed,
    hands,
    chain: chain.map((minutes, at) => minutes + (least.fetches[at] ? FETCHING : 0)),
    crossings: least.crossings,
    waits,
    least: { hands: sum(least.hands), chain: sum(least.chain) },
  }
}

/** Hands and longest chain of each sitting where a recipe is parted in one way, by what each step takes. */
function gone(
  recipe: Recipe,
  {
    placed,
    partings,
    slots,
  }: Pick<Candidate, 'placed'> & {
    partings: ReadonlyMap<string, Parting>
    slots: readonly Slot[]
  },
  takes: (step: Step, at: number) => { hands: number; long: number },
) {
  const hands = slots.map(() => 0)
  const chain = slots.map(() => 0)
  const fetches = slots.map(() => false)
  const ends = new Map<string, number>()
  const parted = new Set<string>()
  let waits = 0
  const isTaken = (step: Step, at: number) =>
    recipe.steps.some((s) => placed.get(s.id)! > at && s.after.some((a) => a.step === step.id))
  for (const step of inOrder(recipe)) {
    const at = placed.get(step.id)!
    const own = takes(step, at)
    const starts = step.after.flatMap((a) => {
      const from = placed.get(a.step)
      if (from === undefined) return []
      if (from === at) return [(ends.get(a.step) ?? 0) + (a.least ?? 0)]
      parted.add(a.step)
      fetches[at] = true
      const { how, least } = partings.get(a.step)!
      return [how === 'on' ? Math.max(0, least * 60 - minutesBetween(slots[from]!, slots[at]!)) : 0]
    })
    const goesOn = partings.get(step.id)?.how === 'on' && (step.aside || isTaken(step, at))
    const end = Math.max(0, ...starts) + (goesOn ? Math.min(own.hands, BEGUN) : own.long)
    ends.set(step.id, end)
    hands[at]! += own.hands
    if (!goesOn && BY_ITSELF.has(step.work) && own.long >= LONG) waits += own.long
    chain[at] = Math.max(chain[at]!, end)
  }
  const crossed = [...parted].flatMap((id): [string, number][] =>
    partings.get(id)!.how === 'on' ? [] : [[id, ends.get(id)!]],
  )
  return { hands, chain, fetches, crossed, crossings: parted.size, waits }
}
