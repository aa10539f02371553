import { addMinutes, parseISO } from 'date-fns'
import type { Kitchen } from '../../kitchen'
import type { Issue } from '../../reading'
import type { Recipe } from '../../recipe'
import { dishesToMake, type DishToMake } from '../dishes'
import { menuOf } from '../menu'
import { byStart, MAIN, type Session } from '../schema'
import { candidatesOf, endOf, nightsBetween, type Candidate, type Slot } from './candidates'

/** Which step of each dish is done in which sitting, by the sitting's place in time. */
export interface Assignment {
  slots: Slot[]
  placed: Map<string, ReadonlyMap<string, number>>
  /** Minutes that each sitting takes at least, as far as hands and the longest dish tell. */
  lengths: number[]
  /** Minutes that all sittings together take at least, however the dishes are parted. */
  bound: number
  /** What the cook wants and cannot be had. */
  issues: Issue[]
}

/** What one minute over a sitting's time, a day too old, or a needless box weighs, in minutes. */
const OVER = 8
export const TOO_OLD = 600
const CROSSING = 2
/** What a minute weighs that a sitting waits for what could go on overnight, beside its own length. */
const WAITING = 0.25
/** Who gives time before or after the day itself wants that day shorter: their minutes weigh less. */
const OTHERS = 0.5
/** Hands and the longest dish never fit beside each other quite: how near they come, an estimate of ours. */
const BESIDE = 3
/** A sitting is full when the longest dish or the hands fill so much of it: the rest is waiting for each other. */
const FULL = 0.85
/** Times that every dish is looked at again. */
const MOST_ROUNDS = 8

/** When the sitting begins in which a dish is finished; without others that is the session itself. */
export const finishedIn =
  (assignment: Assignment | undefined) =>
  (recipe: string): string | undefined => {
    const steps = assignment?.placed.get(recipe)
    return steps && assignment!.slots[Math.max(...steps.values())]?.start
  }

/** The sittings of a session in their order, with who cooks then; the session's own is called `main`. */
export function slotsOf(session: Session, kitchen: Kitchen): Slot[] {
  const people = (ids: readonly string[]) => kitchen.people.filter((p) => ids.includes(p.id))
  const all: Slot[] = [
    { id: MAIN, start: session.start, cooks: people(session.cooks), ...within(session.limit) },
    ...(session.sittings ?? []).map((s) => ({
      id: s.id,
      start: s.start,
      cooks: people(s.cooks),
      ...within(s.limit),
    })),
  ]
  return all.sort(byStart)
}
const within = (limit: number | undefined) => (limit === undefined ? {} : { limit })

interface Parted extends DishToMake {
  candidates: Candidate[]
  /** What a candidate costs whatever the others do. */
  own: number[]
}

/**
 * Parts the dishes of a session between its sittings so that these together are as short as can be
 * reckoned from hands and longest dishes, nobody sits longer than there is time, and nothing is too old
 * when it is eaten. What the cook has fixed stays; what was worked out with the engine is taken up.
 */
export function assign(
  session: Session,
  kitchen: Kitchen,
  recipes: readonly Recipe[],
): Assignment & { parted: Parted[]; chosen: number[] } {
  const slots = slotsOf(session, kitchen)
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const cold = kitchen.stations.some((s) => s.kind === 'fridge' && !s.outOfUse)
  const { dishes: kept } = menuOf(session, recipes)
  const issues: Issue[] = []
  const parted = dishesToMake(session, byId).map((dish): Parted => {
    // What others take from is made in one go, whole.
    const all = candidatesOf(dish, slots, cold).filter((c) => !dish.recipe.base || !c.crossings)
    const wish = session.dishes.find((d) => d.recipe === dish.recipe.id)
    const fixed = (wish?.fixed ?? []).filter((f) => dish.recipe.steps.some((s) => s.id === f.step))
    const fits = all.filter((c) =>
      fixed.every((f) => slots[c.placed.get(f.step)!]?.id === f.sitting),
    )
    if (!fits.length)
      issues.push({
        path: `dishes.${dish.recipe.id}.fixed`,
        message: `${dish.recipe.name}: ${fixed.map((f) => `"${dish.recipe.steps.find((s) => s.id === f.step)!.do}"`).join(' and ')} cannot be done then, because what comes before or after it cannot wait so long`,
        allowed: 'another sitting, or leave it to the plan',
      })
    const candidates = fits.length ? fits : all
    const stays = kept.find((k) => k.recipe === dish.recipe.id)
    const days = [...(wish?.on ?? [])].sort()
    const ready = wish?.ready ?? session.ready
    return {
      ...dish,
      candidates,
      own: candidates.map((c) => {
        const last = slots[Math.max(...c.placed.values())]!
        const first = days[0]
        const late =
          (first !== undefined && last.start.slice(0, 10) > first) ||
          (ready !== undefined && last.start >= ready)
        const soon =
          wish?.notBefore !== undefined &&
          [...c.placed.values()].some((at) => isOver(slots[at]!, wish.notBefore!))
        const old = days.filter((d) => nightsBetween(last.start, d) > (stays?.days ?? 0)).length
        // Of equals what is made later is fresher.
        const early = (slots.length - 1 - Math.max(...c.placed.values())) * 0.5
        const needless = c.crossings * CROSSING + early + c.waits * WAITING
        return (late || soon ? 10 * TOO_OLD : 0) + old * TOO_OLD + needless
      }),
    }
  })
  const chosen = parted.map((p) => {
    // Whole in the last sitting that is early enough, to begin with.
    const least = Math.min(...p.own)
    return Math.max(0, p.own.indexOf(least))
  })
  const known = session.parted ?? {}
  const held = parted.map((p, d) => {
    const own = known[p.recipe.id]
    const k = own
      ? p.candidates.findIndex((c) =>
          [...c.placed].every(([step, at]) => own[step] === slots[at]!.id),
        )
      : -1
    // What would be too old or too late by now is parted anew.
    const stays = k >= 0 && p.own[k]! < TOO_OLD
    if (stays) chosen[d] = k
    return stays
  })
  descend(parted, chosen, held, slots)
  return {
    slots,
    parted,
    chosen,
    placed: new Map(parted.map((p, d) => [p.recipe.id, p.candidates[chosen[d]!]!.placed])),
    lengths: lengthsOf(parted, chosen, slots),
    bound: boundOf(parted, slots),
    issues,
  }
}

/** One dish after another is parted otherwise as long as that helps; those that are held stay. */
function descend(parted: Parted[], chosen: number[], held: boolean[], slots: readonly Slot[]) {
  let best = costOf(parted, chosen, slots)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const before = best
    for (const [d, dish] of parted.entries()) {
      if (held[d]) continue
      for (let k = 0; k < dish.candidates.length; k++) {
        const was = chosen[d]!
        if (k === was) continue
        chosen[d] = k
        const cost = costOf(parted, chosen, slots)
        if (cost < best - 1e-9) best = cost
        else chosen[d] = was
      }
    }
    if (best >= before - 1e-9) return
  }
}

const lengthsOf = (...given: Parameters<typeof loadsOf>) =>
  loadsOf(...given).map(({ hands, longest }) => Math.max(hands, longest))

function loadsOf(parted: readonly Parted[], chosen: readonly number[], slots: readonly Slot[]) {
  return slots.map((slot, i) => {
    let hands = 0
    let longest = 0
    for (const [d, p] of parted.entries()) {
      const c = p.candidates[chosen[d]!]!
      hands += c.hands[i]!
      longest = Math.max(longest, c.chain[i]!)
    }
    return { longest, hands: hands / Math.max(1, slot.cooks.length) }
  })
}

/** What so many minutes of a sitting cost, of whose time so large a share is to be had. */
export function weighed({ id, limit = Infinity }: Slot, minutes: number, share = 1): number {
  const over = Math.max(0, minutes - limit * share)
  return minutes * (id === MAIN ? 1 : OTHERS) + over * OVER
}

function costOf(parted: readonly Parted[], chosen: readonly number[], slots: readonly Slot[]) {
  let cost = 0
  for (const [i, { hands, longest }] of loadsOf(parted, chosen, slots).entries()) {
    const length = (hands ** BESIDE + longest ** BESIDE) ** (1 / BESIDE)
    cost += weighed(slots[i]!, length, FULL)
  }
  for (const [d, p] of parted.entries()) {
    cost += p.own[chosen[d]!]!
    // What others take of a base was made up to two nights before, or is made again.
    for (const step of p.recipe.steps)
      for (const take of step.takes) {
        const b = parted.findIndex((x) => x.recipe.id === take.base)
        if (b < 0) continue
        const base = parted[b]!.candidates[chosen[b]!]!
        const made = Math.max(...base.placed.values())
        const taken = p.candidates[chosen[d]!]!.placed.get(step.id)!
        if (made === taken) continue
        cost += lastsTill(slots[made]!, slots[taken]!)
          ? CROSSING
          : base.hands.reduce((n, x) => n + x, 0) + CROSSING
      }
  }
  return cost
}

/** Nights that a base keeps in the fridge before something is made of it. */
const BASE_NIGHTS = 2
/** Whether what was made of a base in one sitting is still good in another after it. */
export function lastsTill(made: Slot, taken: Slot): boolean {
  const nights = nightsBetween(made.start, taken.start)
  return made.start < taken.start && nights <= BASE_NIGHTS
}

/** Whether a sitting is over, or nearly, before something may be begun. */
const isOver = (slot: Slot, notBefore: string) =>
  addMinutes(parseISO(slot.start), endOf(slot)) <= parseISO(notBefore)

/**
 * What no way to part the dishes is shorter than: all hands work that every plan has to do, by all who could
 * do it, and the longest dish in the way in which it is shortest.
 */
function boundOf(parted: readonly Parted[], slots: readonly Slot[]): number {
  const cooks = Math.max(1, ...slots.map((s) => s.cooks.length))
  const least = (p: Parted, of: (c: Candidate) => number) => Math.min(...p.candidates.map(of))
  const hands = parted.reduce((n, p) => n + least(p, (c) => c.least.hands), 0)
  return Math.max(hands / cooks, ...parted.map((p) => least(p, (c) => c.least.chain)))
}

/** Minutes from when a step of a sitting is thought to have ended to the beginning of another. */
export function minutesSince(from: Slot, to: Slot): number {
  const between = (parseISO(to.start).getTime() - parseISO(from.start).getTime()) / 60_000
  return Math.max(0, between - endOf(from))
}
