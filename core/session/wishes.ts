import { differenceInMinutes, parseISO } from 'date-fns'
import { z } from 'zod'
import type { Activity, Pin, Problem } from '../problem'
import { cooks, lawOf, type WorkKind } from '../recipe'
import type { Card } from './activities'

const step = z.string().min(1).max(200)
const place = z.string().min(1).max(200)

/** Local date and time, `2027-03-20T09:00`. */
const instant = z.string().regex(/^\d{4}-\d\d-\d\dT([01]\d|2[0-3]):[0-5]\d$/, {
  message: 'is not a date and time like 2027-03-20T09:00',
})

/**
 * What the cook wants otherwise than it was planned. A step is named as the compiled session names it; a
 * wish about what is not in the session any more waits until it is there again.
 */
export const wishSchema = z.discriminatedUnion('kind', [
  /** Begins no sooner, no later, or just then. */
  z.strictObject({
    kind: z.literal('at'),
    step,
    from: instant.optional(),
    until: instant.optional(),
  }),
  /** Is over before another begins. */
  z.strictObject({ kind: z.literal('before'), step, other: step }),
  /** Begins at the same moment as another. */
  z.strictObject({ kind: z.literal('together'), step, other: step }),
  /** Is done by this cook. */
  z.strictObject({ kind: z.literal('by'), step, cook: place }),
  /** Is done in this of its ways. */
  z.strictObject({ kind: z.literal('way'), step, way: place }),
  /** Is done anywhere but here. */
  z.strictObject({ kind: z.literal('elsewhere'), step, place }),
  /** Takes so many minutes here and now: longer than its recipe says, never shorter. */
  z.strictObject({ kind: z.literal('takes'), step, minutes: z.number().min(0.5).max(2880) }),
  /** A cook has nothing to do then. */
  z.strictObject({ kind: z.literal('free'), cook: place, from: instant, until: instant }),
  /** A place cannot be used then. */
  z.strictObject({ kind: z.literal('closed'), place, from: instant, until: instant }),
  /** This dish is ready before any other. */
  z.strictObject({ kind: z.literal('first'), dish: place }),
])
export type Wish = z.output<typeof wishSchema>

/** The same wish, whoever wrote it down. */
export const sameWish = (a: Wish, b: Wish): boolean => JSON.stringify(a) === JSON.stringify(b)

/** The problem with a cook's wishes as requirements like any other, and those that are about nothing in it. */
export interface Wished {
  problem: Problem
  idle: Wish[]
}

/**
 * What a cook wants, in the terms of the contract: pins, relations, times away. Steps that exclude each
 * other are never tied together, and no wish makes anything possible that was not.
 *
 * @param start when the session begins, as it is written there
 * @param cards what kind of work each step is
 */
export function withWishes(
  problem: Problem,
  wishes: readonly Wish[],
  start: string,
  cards: Record<string, Pick<Card, 'work'>>,
): Wished {
  let now = problem
  const idle: Wish[] = []
  for (const wish of wishes) {
    // Cooked food that cools is not left about for longer because somebody says so.
    const stands = wish.kind === 'takes' && isWaiting(cards[wish.step]?.work)
    const next = stands ? undefined : granted(now, wish, start)
    if (next) now = next
    else idle.push(wish)
  }
  return { problem: now, idle }
}

function granted(problem: Problem, wish: Wish, start: string): Problem | undefined {
  const at = (iso: string) => differenceInMinutes(parseISO(iso), parseISO(start)) * 60
  const has = (id: string) => problem.activities.some((a) => a.id === id)
  if ('step' in wish && !has(wish.step)) return undefined
  if ('other' in wish && (!has(wish.other) || wish.other === wish.step)) return undefined
  switch (wish.kind) {
    case 'at': {
      // Two hours that contradict each other are kept both: then there is no plan, and it is said.
      const later = wish.from === undefined ? problem : released(problem, wish.step, at(wish.from))
      if (wish.until === undefined) return later
      const until = at(wish.until)
      return until < 0 ? undefined : pinned(later, wish.step, { start: [0, until] })
    }
    case 'by':
      if (!problem.cooks.some((c) => c.id === wish.cook)) return undefined
      return pinned(problem, wish.step, { cook: wish.cook })
    case 'way': {
      const known = activityOf(problem, wish.step).modes.some((m) => m.id === wish.way)
      return known ? pinned(problem, wish.step, { mode: wish.way }) : undefined
    }
    case 'before':
      return related(problem, { from: wish.step, to: wish.other, kind: 'FS', min: 0 })
    case 'together':
      return related(problem, { from: wish.step, to: wish.other, kind: 'SS', min: 0, max: 0 })
    case 'elsewhere':
      return elsewhere(problem, wish.step, wish.place)
    case 'takes':
      return taking(problem, wish.step, wish.minutes * 60)
    case 'free': {
      const cooks = problem.cooks.map((c) =>
        c.id === wish.cook ? { ...c, unavailable: joined(c.unavailable, span(wish, at)) } : c,
      )
      return cooks.some((c, i) => c !== problem.cooks[i]) ? { ...problem, cooks } : undefined
    }
    case 'closed': {
      const stations = problem.stations.map((s) =>
        s.id === wish.place ? { ...s, unavailable: joined(s.unavailable, span(wish, at)) } : s,
      )
      return stations.some((s, i) => s !== problem.stations[i])
        ? { ...problem, stations }
        : undefined
    }
    case 'first':
      return firstReady(problem, wish.dish)
  }
}

const activityOf = (problem: Problem, id: string): Activity =>
  problem.activities.find((a) => a.id === id)!

/** One pin for each step: what is wanted of it in several wishes comes together. */
function pinned(problem: Problem, activity: string, change: Omit<Pin, 'activity'>): Problem {
  const pins = problem.pins ?? []
  const known = pins.find((p) => p.activity === activity)
  const start =
    known?.start && change.start
      ? ([0, Math.min(known.start[1], change.start[1])] as [number, number])
      : (change.start ?? known?.start)
  const next = { activity, ...known, ...change, ...(start ? { start } : {}) }
  return { ...problem, pins: [...pins.filter((p) => p !== known), next] }
}

const released = (problem: Problem, step: string, from: number): Problem => ({
  ...problem,
  activities: problem.activities.map((a) =>
    a.id === step ? { ...a, release: Math.max(a.release ?? 0, from) } : a,
  ),
})

const related = (problem: Problem, relation: Problem['relations'][number]): Problem => ({
  ...problem,
  relations: [...problem.relations, relation],
})

/** The step asks for a mark that every such place has but the one. */
function elsewhere(problem: Problem, step: string, place: string): Problem | undefined {
  const station = problem.stations.find((s) => s.id === place)
  const activity = activityOf(problem, step)
  if (!station || !activity.modes.some((m) => m.needs.some((n) => n.kind === station.kind)))
    return undefined
  const mark = `not the ${place}`
  return {
    ...problem,
    stations: problem.stations.map((s) =>
      s.kind === station.kind && s.id !== place && !s.tags.includes(mark)
        ? { ...s, tags: [...s.tags, mark] }
        : s,
    ),
    activities: problem.activities.map((a) =>
      a.id === step
        ? {
            ...a,
            modes: a.modes.map((m) => ({
              ...m,
              needs: m.needs.map((n) =>
                n.kind === station.kind && !n.tags.includes(mark)
                  ? { ...n, tags: [...n.tags, mark] }
                  : n,
              ),
            })),
          }
        : a,
    ),
  }
}

/** Whether nothing is done to the food but wait: it cools, rests, soaks or rises. */
export const isWaiting = (work: WorkKind | undefined): boolean =>
  work !== undefined && lawOf(work).attend === 'none' && !cooks(work)

/**
 * Each of its ways takes so many seconds, its parts in their measure; what may stand may still. Nothing is
 * made shorter: what the recipe says is what cooks it through.
 */
function taking(problem: Problem, step: string, seconds: number): Problem {
  const activities = problem.activities.map((a) => {
    if (a.id !== step) return a
    const modes = a.modes.map((m) => {
      const before = m.phases.reduce((n, p) => n + p.seconds[0], 0)
      if (before >= seconds) return m
      let [was, is] = [0, 0]
      const phases = m.phases.map(({ seconds: [least, most], ...p }) => {
        was += least
        const until = before ? Math.round((seconds * was) / before) : Math.round(seconds)
        const now = until - is
        is = until
        return {
          ...p,
          seconds: [now, most === null ? null : most - least + now] as [number, number | null],
        }
      })
      return { ...m, phases }
    })
    return { ...a, modes }
  })
  return { ...problem, activities }
}

/** Everything else of the session ends after the last of this dish, but for what the dish itself is made of. */
function firstReady(problem: Problem, dish: string): Problem | undefined {
  const own = problem.activities.filter((a) => a.dish === dish && !a.aside)
  if (!own.length) return undefined
  const after = new Map<string, string[]>()
  const before = new Map<string, string[]>()
  for (const r of problem.relations) {
    after.set(r.from, [...(after.get(r.from) ?? []), r.to])
    before.set(r.to, [...(before.get(r.to) ?? []), r.from])
  }
  const dishOf = new Map(problem.activities.map((a) => [a.id, a.dish]))
  const lastOf = (of: readonly Activity[]) =>
    of.filter((a) => !(after.get(a.id) ?? []).some((id) => dishOf.get(id) === a.dish))
  // What it waits for cannot be ready after it.
  const needed = new Set<string | undefined>([dish])
  const open = own.map((a) => a.id)
  const seen = new Set(open)
  for (let id = open.pop(); id !== undefined; id = open.pop())
    for (const earlier of before.get(id) ?? [])
      if (!seen.has(earlier)) {
        seen.add(earlier)
        open.push(earlier)
        needed.add(dishOf.get(earlier))
      }
  const others = problem.activities.filter((a) => !needed.has(a.dish) && !a.aside && a.dish)
  const relations = lastOf(own).flatMap((a) =>
    lastOf(others).map((b) => ({ from: a.id, to: b.id, kind: 'FF' as const, min: 0 })),
  )
  return { ...problem, relations: [...problem.relations, ...relations] }
}

type Span = [number, number]

const span = (wish: { from: string; until: string }, at: (iso: string) => number): Span => [
  Math.max(0, at(wish.from)),
  Math.max(0, at(wish.until)),
]

/** Times away with one more, in their order, none over another; of no length it is none. */
function joined(spans: readonly Span[], more: Span): Span[] {
  if (more[1] <= more[0]) return [...spans]
  const all = [...spans, more].sort((a, b) => a[0] - b[0])
  const out: Span[] = []
  for (const [from, to] of all) {
    const last = out.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else out.push([from, to])
  }
  return out
}

/** The wishes of a session so many days later: what was wanted at an hour is wanted at that hour. */
export const wishesLater = (wishes: readonly Wish[], later: (instant: string) => string): Wish[] =>
  wishes.map((w) => ({
    ...w,
    ...('from' in w && w.from !== undefined ? { from: later(w.from) } : {}),
    ...('until' in w && w.until !== undefined ? { until: later(w.until) } : {}),
  }))
