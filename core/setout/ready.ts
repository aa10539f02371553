import { parseISO, set, subDays, subHours, subMinutes } from 'date-fns'
import type { Kitchen } from '../kitchen'
import { packsInto, type Label } from '../labels'
import { idFor, isFish, isMeat, lowerFirst, thawHours, type Recipe } from '../recipe'
import {
  instantOf,
  listedEvening,
  MAIN,
  recipesById,
  recipesOf,
  type Assignment,
  type Session,
} from '../session'
import { amountSaid } from '../shopping'
import { foodOf, gramsIn, measured } from '../food'
import type { Stock } from '../stock'
import type { Portion } from './amounts'

/** One thing to see to before the cooking, when it is due and why. */
export interface Ready {
  id: string
  /** Local date and time by which it is to be begun. */
  at: string
  kind: 'thaw' | 'soak' | 'warm' | 'clear' | 'count'
  words: string
  caution?: string
  /** The sitting that wants it. */
  for: string
  dishes: string[]
}

/** Hours of the day between which people see to things. */
const AWAKE = { from: 7, until: 21 }
/** Hours that dried pulses soak, before the first step that takes them. */
const SOAKS = 12
/** Minutes for which raw meat, and butter and eggs, stand out before they are wanted. */
const STANDS = { raw: 30, other: 60 }
/** Hours that what thaws lies in the fridge at least. */
const A_NIGHT = { raw: 12, other: 8 }
/** Minutes before a sitting in which the kitchen is cleared. */
const CLEARS = 30
/** Below so many grams it thaws while it is cooked. */
const LEAST_THAWED = 150

const THAW_CAUTION =
  'Thaw in the fridge, in a dish that catches what drips: on the bench the outside is warm for hours while the middle is frozen.'
const RAW_CAUTION = 'Cook it within two days, and do not freeze it raw again.'
const WATER_CAUTION =
  'Sooner in cold water, well wrapped, changed every half hour; then it is cooked at once.'
const SOAK_CAUTION =
  'Soaked kidney beans are boiled hard for ten minutes before any slow cooking: raw they are poisonous.'

/** When everything begins: sittings by their ids, and the evenings. */
const startsOf = (session: Session, assignment: Assignment | undefined) =>
  new Map([
    ...(assignment?.slots ?? [{ id: MAIN, start: session.start }]).map(
      (s) => [s.id, s.start] as const,
    ),
    ...(session.evenings ?? []).map((e) => [e.day, listedEvening(session, e.day).start] as const),
  ])

/** No later than an instant, on the half hour, and when people are up. */
function whenUp(exact: Date): Date {
  const at = set(exact, { minutes: exact.getMinutes() < 30 ? 0 : 30, seconds: 0, milliseconds: 0 })
  const hour = at.getHours() + at.getMinutes() / 60
  if (hour >= AWAKE.from && hour <= AWAKE.until) return at
  const day = hour < AWAKE.from ? subDays(at, 1) : at
  return set(day, { hours: AWAKE.until, minutes: 0, seconds: 0, milliseconds: 0 })
}

/**
 * What is to be seen to before the cooking, the soonest first: what leaves the freezer, soaks, stands out,
 * is cleared and counted. Instants are rounded back to hours at which people are up.
 */
export function getReady(held: {
  session: Session
  kitchen: Kitchen
  recipes: readonly Recipe[]
  assignment: Assignment | undefined
  portions: readonly Portion[]
  stock: readonly Stock[]
  labels: readonly Label[]
  /** Sittings and evenings that are over. */
  over: ReadonlySet<string>
}): Ready[] {
  const { session, assignment, portions, recipes, over } = held
  const starts = startsOf(session, assignment)
  // What another dish leaves is got ready by nobody.
  const own = portions.filter((p) => starts.has(p.sitting) && p.made === undefined)
  const byId = recipesById(session, recipes)
  const names = (dishes: readonly string[]) =>
    new Intl.ListFormat('en').format(dishes.map((d) => lowerFirst(byId.get(d)?.name ?? d)))
  /** The portions whose ingredient is of a kind. */
  const of = (is: (ingredient: Recipe['ingredients'][number]) => boolean) =>
    bySitting(
      own.filter((p) => byId.get(p.dish)!.ingredients.some((i) => i.id === p.ingredient && is(i))),
    )
  return [
    ...thawing(held.stock, bySitting(own), starts, names),
    ...soaking(
      of((i) => foodOf(i.item).food?.bought !== undefined),
      starts,
      names,
    ),
    ...standing(of(losesItsCold), starts, names),
    ...clearing(held),
  ]
    .filter((r) => !over.has(r.for))
    .sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id))
}

type Starts = ReadonlyMap<string, string>
type Names = (dishes: readonly string[]) => string

/** What lies in the freezer and is wanted: by its weight, and no later than it takes at its slowest. */
function thawing(
  stock: readonly Stock[],
  wanted: readonly Wanted[],
  starts: Starts,
  names: Names,
): Ready[] {
  const frozen = stock
    .filter((s) => s.place === 'freezer')
    .map((s) => {
      const named = foodOf(s.item)
      return { stock: s, named, left: { ...measured(named, s.amount, s.unit) } }
    })
  const out: Ready[] = []
  for (const { sitting, key, unit, amount, dishes } of wanted)
    for (const there of frozen) {
      if (there.named.key !== key || there.left.unit !== unit || there.left.amount <= 0) continue
      const taken = Math.min(there.left.amount, amount)
      there.left.amount -= taken
      const grams = gramsIn(there.named, taken, unit)
      const section = there.named.food?.section
      // Vegetables and what is bought frozen go into the pot as they are.
      if (grams === undefined || grams < LEAST_THAWED) continue
      if (section === 'produce' || section === 'frozen') continue
      const hours = thawHours(grams / 1000, 'fridge').most
      const raw = isFlesh(there.stock.item)
      const whole = Math.max(hours, raw ? A_NIGHT.raw : A_NIGHT.other)
      out.push({
        id: `thaw-${there.stock.id}-${sitting}`,
        at: instantOf(whenUp(subHours(parseISO(starts.get(sitting)!), whole))),
        kind: 'thaw',
        words: `Out of the freezer into the fridge: ${amountSaid(taken, unit)} ${there.stock.item}, about ${Math.ceil(hours)} h, for ${names(dishes)}`,
        caution: raw ? `${THAW_CAUTION} ${RAW_CAUTION} ${WATER_CAUTION}` : THAW_CAUTION,
        for: sitting,
        dishes,
      })
    }
  return out
}

/** Pulses that a recipe takes soaked and does not soak itself. */
const soaking = (wanted: readonly Wanted[], starts: Starts, names: Names): Ready[] =>
  wanted.map(({ sitting, key, name, unit, amount, dishes }) => ({
    id: `soak-${idFor(key, new Set())}-${sitting}`,
    at: instantOf(whenUp(subHours(parseISO(starts.get(sitting)!), SOAKS))),
    kind: 'soak',
    words: `Soak ${amountSaid(amount, unit)} ${name} in three times as much cold water, for ${names(dishes)}`,
    ...(/beans/.test(name) ? { caution: SOAK_CAUTION } : {}),
    for: sitting,
    dishes,
  }))

const isFlesh = (item: string) => isMeat(item) || isFish(item)

/** What has to lose its cold first, as its recipe says: butter is softened in the warm, onions are in a pan. */
const losesItsCold = ({ item, note }: Recipe['ingredients'][number]): boolean => {
  const words = `${item} ${note ?? ''}`
  return (
    /\broom temperature\b/.test(words) ||
    (/\bsoftened\b/.test(words) && foodOf(item).food?.section === 'dairy')
  )
}

const standing = (wanted: readonly Wanted[], starts: Starts, names: Names): Ready[] =>
  wanted.map(({ sitting, key, name, unit, amount, dishes }) => {
    const raw = isFlesh(name)
    const minutes = raw ? STANDS.raw : STANDS.other
    return {
      id: `warm-${idFor(key, new Set())}-${sitting}`,
      at: instantOf(whenUp(subMinutes(parseISO(starts.get(sitting)!), minutes))),
      kind: 'warm',
      words: `Out of the fridge to lose its cold: ${amountSaid(amount, unit)} ${name}, for ${names(dishes)}`,
      ...(raw ? { caution: 'Raw meat and fish stand out for half an hour at most.' } : {}),
      for: sitting,
      dishes,
    }
  })

/** The kitchen before each sitting: what is to be empty, and what there must be enough of. */
function clearing({
  session,
  kitchen,
  recipes,
  assignment,
  labels,
}: Parameters<typeof getReady>[0]): Ready[] {
  const slots: { id: string; start: string }[] = assignment?.slots ?? [
    { id: MAIN, start: session.start },
  ]
  const last = slots.at(-1)!
  const made = recipesOf(session, recipes)
  const machines = kitchen.stations.filter((s) => s.zone === 'appliance' && !s.outOfUse)
  const out: Ready[] = slots.map((slot) => {
    const isHere = (dish: string, step: string) =>
      assignment ? slots[assignment.placed.get(dish)?.get(step) ?? slots.length - 1] === slot : true
    const kinds = new Set(
      made.flatMap((r) =>
        r.steps
          .filter((s) => isHere(r.id, s.id))
          .flatMap((s) => s.ways.flatMap((w) => w.on.map((n) => n.kind))),
      ),
    )
    const wanted = machines.filter((m) => kinds.has(m.kind)).map((m) => lowerFirst(m.name))
    const out = wanted.length ? `; out and clean: ${wanted.join(', ')}` : ''
    return {
      id: `clear-${slot.id}`,
      at: instantOf(subMinutes(parseISO(slot.start), CLEARS)),
      kind: 'clear',
      words: `Empty the sink, the rack and the counter${out}; bins and cloths ready`,
      for: slot.id,
      dishes: [],
    }
  })
  const packs = packsInto(labels)
  const boxes = packs.fridge + packs.freezer + packs.shelf
  if (boxes)
    out.push({
      id: 'count-boxes',
      at: instantOf(whenUp(subDays(parseISO(last.start), 1))),
      kind: 'count',
      words: `Count boxes and bags with a lid or a tie: ${boxes} in all, ${packs.fridge} for the fridge, ${packs.freezer} for the freezer${packs.shelf ? `, ${packs.shelf} for the shelf` : ''}; and write their labels`,
      for: last.id,
      dishes: [],
    })
  if (made.some((r) => r.ingredients.some((i) => isFlesh(i.item))))
    out.push({
      id: 'count-batteries',
      at: instantOf(whenUp(subDays(parseISO(last.start), 1))),
      kind: 'count',
      words: 'Try the thermometer and the scales: batteries in, a spare set there',
      for: last.id,
      dishes: [],
    })
  return out
}

interface Wanted {
  sitting: string
  key: string
  name: string
  unit: Portion['unit']
  amount: number
  dishes: string[]
}

function bySitting(portions: readonly Portion[]): Wanted[] {
  const out = new Map<string, Wanted>()
  for (const p of portions) {
    const mark = `${p.sitting}|${p.named.key}|${p.unit}`
    const known = out.get(mark)
    if (known) {
      known.amount += p.amount
      if (!known.dishes.includes(p.dish)) known.dishes.push(p.dish)
    } else
      out.set(mark, {
        sitting: p.sitting,
        key: p.named.key,
        name: p.named.name,
        unit: p.unit,
        amount: p.amount,
        dishes: [p.dish],
      })
  }
  return [...out.values()]
}
