import { addDays, addSeconds, format, parseISO } from 'date-fns'
import type { Kitchen } from '../kitchen'
import type { Plan } from '../plan'
import { counted, measurable } from '../quantity'
import { allergensOf, ingredientLine, lotsOf, lowerFirst, type Recipe } from '../recipe'
import {
  finishingOf,
  goesTo,
  itemsIn,
  keepsIn,
  keptTill,
  MAIN,
  neverFrozen,
  recipesById,
  roleIn,
  STILL_FROZEN,
  withoutDone,
  type Assignment,
  type Session,
  type SessionDish,
} from '../session'

export type LabelPlace = 'fridge' | 'freezer' | 'shelf'

/** What is written on one box, bag or tray. */
export interface Label {
  /** The same as long as the dish has a box for that evening, or that place. */
  id: string
  dish: string
  name: string
  mark: string
  /** The kind, where the dish is split into several. */
  kind?: string
  portions: number
  /** The day on which it was cooked: of the oldest of its parts that was. */
  cooked: string
  place: LabelPlace
  eatBy: string
  /** Why so long, and who says so. */
  because: string
  /** The day on which it is to be eaten, where that is known. */
  on?: string
  /** How it is made ready, in few words, one thing a line. */
  finish: string[]
  /** What goes in only then, with amounts for this pack. */
  add: string[]
  /** What it holds, and what depends on what was bought. */
  contains: string[]
  mayContain: string[]
}

export interface Labelled {
  session: Session
  kitchen: Kitchen
  recipes: readonly Recipe[]
  assignment?: Assignment
  /** The plans of its sittings, by the id of the sitting in the assignment; a plan says on which day it is done. */
  planOf?: (sitting: string) => Plan | undefined
  /** What a dish was really packed in, once it was: then its labels say that. */
  packed?: (dish: string) => readonly Filled[]
}

/** One box as it was filled. */
export interface Filled {
  portions: number
  place: LabelPlace
  on?: string | undefined
  variant?: string | undefined
  cooked: string
}

/** What keeps for so many days by itself, like toasted spices, makes no dish older. */
const LASTS = 14
/** How hot what was cooked before has to be all through. */
const HOT = '74 °C in the middle'

/** A label for every box, bag and tray that a session fills, in the order of its dishes. */
export function labelsOf(held: Labelled): Label[] {
  const byId = recipesById(held.session, held.recipes)
  return held.session.dishes.flatMap((wish) => {
    const recipe = byId.get(wish.recipe)
    if (!recipe || recipe.base) return []
    return labelsOfDish(held, wish, recipe, byId)
  })
}

function labelsOfDish(
  held: Labelled,
  wish: SessionDish,
  recipe: Recipe,
  byId: ReadonlyMap<string, Recipe>,
): Label[] {
  const made = madeOn(held, recipe)
  const dish = keptTill({ ...held.session, start: made.start }, wish, recipe)
  const place = goesTo(recipe, dish.to)
  const filled = held.packed?.(recipe.id) ?? []
  const cooked = filled[0]?.cooked ?? oldestPart(held, recipe, byId)
  const packs = filled.length
    ? filled.map((f): Pack => ({
        portions: f.portions,
        place: f.place,
        ...(f.on === undefined ? {} : { on: f.on }),
        ...(f.variant === undefined ? {} : { kind: f.variant }),
      }))
    : packsOf(held, dish, recipe, place, made.day)
  const { contains, varies } = allergensOf(itemsIn(recipe, byId))
  const dry = keepsIn({ ...recipe, store: undefined }, 'shelf', byId).days > 0
  const times = new Map<string, number>()
  return packs.map((pack): Label => {
    // What is written by hand stays with the box for an evening, whatever other boxes there are.
    const what = `${recipe.id}:${pack.kind ? `${pack.kind}:` : ''}${pack.on ?? pack.place}`
    const n = (times.get(what) ?? 0) + 1
    times.set(what, n)
    const { days, source } = keepsIn(recipe, pack.place, byId)
    const finishing = finishFor(recipe, pack, held.kitchen, dry)
    return {
      id: n === 1 ? what : `${what}:${n}`,
      dish: recipe.id,
      name: recipe.name,
      mark: recipe.mark,
      portions: pack.portions,
      ...(pack.kind === undefined ? {} : { kind: pack.kind }),
      cooked,
      place: pack.place,
      eatBy: format(addDays(parseISO(cooked), days), 'yyyy-MM-dd'),
      because: source,
      ...(pack.on === undefined ? {} : { on: pack.on }),
      ...finishing,
      contains,
      mayContain: varies.map((v) => v.name),
    }
  })
}

interface Pack {
  portions: number
  place: LabelPlace
  on?: string
  kind?: string
}

/**
 * Into which packs a dish goes: one for each evening that it is eaten on, and what is left in packs for as
 * many as usually eat; what is baked or put up whole in one for each batch.
 */
function packsOf(
  { session, kitchen }: Labelled,
  dish: SessionDish,
  recipe: Recipe,
  place: ReturnType<typeof goesTo>,
  made: string,
): Pack[] {
  const all = Math.max(1, Math.round(recipe.serves * dish.batches))
  const lies = (day: string | undefined): LabelPlace =>
    place === 'tonight' || (place === 'freezer' && day !== undefined && neverFrozen(made, day))
      ? 'fridge'
      : (place as LabelPlace)
  if (roleIn(recipe) === 'extra') {
    const wholes = Math.max(1, Math.ceil(dish.batches))
    return shared(all, wholes).map((portions) => ({ portions, place: lies(undefined) }))
  }
  const out: Pack[] = []
  let left = all
  for (const day of [...(dish.on ?? [])].sort()) {
    const eaters = session.evenings?.find((e) => e.day === day)?.eaters ?? 0
    const portions = Math.min(left, eaters)
    if (portions <= 0) continue
    left -= portions
    // What is eaten as it comes from the stove wants no box.
    if (place === 'tonight' && day === made) continue
    out.push({ portions, place: lies(day), on: day })
  }
  const usual = usualEaters(session) ?? kitchen.people.length
  for (; left > 0; left -= usual)
    out.push({ portions: Math.min(usual, left), place: lies(undefined) })
  return recipe.variants ? out.flatMap((p) => byKind(p, recipe)) : out
}

/** A pack of a dish of several kinds is one pack of each. */
function byKind(pack: Pack, recipe: Recipe): Pack[] {
  const { kinds } = recipe.variants!
  const whole = kinds.reduce((n, k) => n + k.share, 0)
  let [sum, given] = [0, 0]
  // Each gets its share of the portions, and together they get all of them.
  return kinds.flatMap(({ name, share }) => {
    sum += share
    const portions = Math.round((pack.portions * sum) / whole) - given
    given += portions
    return portions ? [{ ...pack, portions, kind: name }] : []
  })
}

/** So many in so many packs, as even as can be. */
const shared = (all: number, packs: number): number[] =>
  Array.from({ length: packs }, (_, k) => Math.floor((all + k) / packs)).filter((n) => n > 0)

/** How many eat on most evenings. */
function usualEaters({ evenings = [] }: Session): number | undefined {
  const count = new Map<number, number>()
  for (const { eaters } of evenings) if (eaters > 0) count.set(eaters, (count.get(eaters) ?? 0) + 1)
  return [...count].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0]?.[0]
}

/** When the sitting begins in which a dish is finished, and the day on which it is: by its plan, if there is one. */
function madeOn(
  { session, assignment, planOf }: Labelled,
  recipe: Recipe,
): { start: string; day: string } {
  const at = assignment?.placed.get(recipe.id)
  const slot = at && assignment!.slots[Math.max(...at.values())]
  const start = slot?.start ?? session.start
  const plan = planOf?.(slot?.id ?? MAIN)
  const ends = (plan?.activities ?? [])
    .filter((a) => a.id.startsWith(`${recipe.id}.`))
    .map((a) => a.end)
  const end = addSeconds(parseISO(start), Math.max(0, ...ends))
  return { start, day: format(end, 'yyyy-MM-dd') }
}

/** The day on which the oldest cooked part of a dish was cooked, bases among them. */
function oldestPart(held: Labelled, recipe: Recipe, byId: ReadonlyMap<string, Recipe>): string {
  const { session, assignment } = held
  const last = madeOn(held, recipe).day
  if (!assignment) return last
  const days = [last]
  const of = (r: Recipe) => {
    const at = assignment.placed.get(r.id)
    const lots = lotsOf(r)
    for (const s of r.steps)
      if (at?.has(s.id) && lots.get(s.id)?.cooked && (s.ahead?.days ?? 0) < LASTS)
        days.push(assignment.slots[at.get(s.id)!]!.start.slice(0, 10))
    for (const s of r.steps)
      for (const t of s.takes) {
        const base = byId.get(t.base)
        if (base) of(base)
      }
  }
  const done = session.dishes.find((d) => d.recipe === recipe.id)?.done ?? []
  of(withoutDone(recipe, done))
  return days.sort()[0]!
}

/** What is done with a pack before it is eaten, short enough for a label. */
function finishFor(
  recipe: Recipe,
  { place, portions }: Pack,
  kitchen: Kitchen,
  dry: boolean,
): Pick<Label, 'finish' | 'add'> {
  const { how, minutes, celsius, add } = finishingOf(recipe, place, kitchen)
  const frozen = place === 'freezer'
  const usual = minutes?.[1] ?? 0
  const finish: string[] = []
  if (frozen && how !== 'pot')
    finish.push(dry ? 'Thaw for 3 hours, wrapped' : 'Thaw in the fridge overnight')
  if (how === 'oven') finish.push(`Oven ${celsius} °C, covered, ${usual} min`)
  if (how === 'pan') finish.push(`Frying pan, ${usual} min, turn once`)
  if (how === 'pot') {
    finish.push(`Pot, lid on, ${usual} min, stir`)
    if (frozen) finish.push(`From frozen: low heat, ${usual * STILL_FROZEN} min`)
  }
  if (how === 'oven' && frozen) finish.push(`From frozen: covered, ${usual * STILL_FROZEN} min`)
  finish.push(how !== 'as it is' ? HOT : dry || place === 'shelf' ? 'Ready to eat' : 'Eat cold')
  const uses = new Map(recipe.ingredients.map((i) => [i.id, i]))
  return {
    finish,
    add: add.map((step) => {
      const amounts = step.uses.flatMap((id) => {
        const i = uses.get(id)
        if (!i) return []
        const { note: _, pack: __, instead: ___, ...bare } = i
        const amount = measurable((i.amount * portions) / recipe.serves, i.unit)
        return [ingredientLine({ ...bare, amount })]
      })
      const before = step.ways[0]!.minutes[1]
      const when = before >= 5 ? `, ${Math.round(before)} min before the end` : ''
      return `${step.do}${amounts.length ? ` (${amounts.join(', ')})` : ''}${when}`
    }),
  }
}

/** What the household is to have ready: how many packs go where. */
export function packsInto(labels: readonly Label[]): Record<LabelPlace, number> {
  const of = (place: LabelPlace) => labels.filter((l) => l.place === place).length
  return { fridge: of('fridge'), freezer: of('freezer'), shelf: of('shelf') }
}

/** The words of a label, line by line, in the order in which they are read. */
export function labelLines(label: Label, day: (iso: string) => string): string[] {
  const held = label.place === 'shelf' ? 'keep dry' : label.place
  return [
    `${label.mark}  ${label.name}${label.kind ? ` (${label.kind})` : ''}`,
    `${counted(label.portions, 'portion', 'portions')} · ${held}`,
    `cooked ${day(label.cooked)} · eat by ${day(label.eatBy)}`,
    ...(label.on ? [`for ${day(label.on)}`] : []),
    ...label.finish,
    ...label.add.map((a) => `Then: ${lowerFirst(a)}`),
    ...(label.contains.length ? [`Contains: ${label.contains.join(', ')}`] : []),
    ...(label.mayContain.length ? [`May contain: ${label.mayContain.join(', ')}`] : []),
  ]
}
