import Papa from 'papaparse'
import { counting, ofKind } from './events'
import { piecesOf, type CookedRecord, type Piece } from './record'
import { pausesIn } from './standing'

/** Where one person's time went, in seconds: all parts add up to the whole. */
export interface PersonReport {
  id: string
  name: string
  whole: number
  /** By kind of work, washing among them. */
  works: { work: string; seconds: number }[]
  paused: number
  waiting: number
}

export interface Report {
  /** Seconds from beginning to end, by the first plan and in truth. */
  planned: number
  real: number
  dishes: { id: string; name: string; planned: number; real: number | undefined }[]
  people: PersonReport[]
  /** Hands work by kind: what it was planned to take and what it took. */
  works: { work: string; planned: number; real: number; pieces: number }[]
  pieces: Piece[]
  notes: { text: string; at: number }[]
  temperatures: { dish: string; celsius: number; at: number }[]
  skipped: string[]
  /** What came out otherwise than was planned: a dish more, a dish given up, something else that went in. */
  changes: {
    at: number
    kind: 'extra' | 'given-up' | 'missing'
    dish: string
    food?: string
    instead?: string
  }[]
  /** How often it was planned anew. */
  anew: number
}

/** What became of a session: planned against real, by dish, person and kind of work. */
export function reportOf(record: CookedRecord): Report {
  const { cooking } = record
  const events = counting(cooking.events)
  const pieces = piecesOf(record)
  const second = (at: number) => Math.max(0, Math.round((at - cooking.startedAt) / 1000))
  const real = pieces.reduce((most, p) => Math.max(most, p.to), 0)
  const pauses = pausesIn(cooking.events, cooking.startedAt).map(([from, to]): [number, number] => [
    Math.min(from, real),
    Math.min(to, real),
  ])
  const works = new Map<string, { work: string; planned: number; real: number; pieces: number }>()
  for (const p of pieces) {
    if (p.skipped || p.planned <= 0) continue
    const sum = works.get(p.work) ?? { work: p.work, planned: 0, real: 0, pieces: 0 }
    works.set(p.work, {
      work: p.work,
      planned: sum.planned + p.planned,
      real: sum.real + p.real,
      pieces: sum.pieces + 1,
    })
  }
  return {
    planned: cooking.plans[0]?.plan.makespan ?? 0,
    real,
    dishes: record.dishes.map(({ id, name }) => {
      const steps = record.steps.filter((s) => s.dish === id)
      const planned = Math.max(0, ...steps.map((s) => s.planned.at(-1)!))
      const own = pieces.filter((p) => p.dish === id)
      // It is done once something was told of what ends it.
      const last = new Set(steps.filter((s) => s.planned.at(-1) === planned).map((s) => s.activity))
      const done = own.some((p) => last.has(p.activity))
      return { id, name, planned, real: done ? Math.max(...own.map((p) => p.to)) : undefined }
    }),
    people: record.people.map((person) => whereTimeWent(person, pieces, pauses, real)),
    works: [...works.values()].sort((a, b) => b.real - a.real),
    pieces,
    notes: ofKind(events, 'note').map((e) => ({ text: e.text, at: second(e.at) })),
    temperatures: ofKind(events, 'temperature').map((e) => ({
      dish: e.dish,
      celsius: e.celsius,
      at: second(e.at),
    })),
    skipped: pieces.filter((p) => p.skipped).map((p) => p.text),
    changes: events.flatMap((e): Report['changes'] => {
      const dish = 'dish' in e ? record.dishes.find((d) => d.id === e.dish)?.name : undefined
      if (dish === undefined) return []
      const at = second(e.at)
      if (e.kind === 'missing')
        return [{ at, kind: e.kind, dish, food: e.item, instead: e.instead }]
      return e.kind === 'extra' || e.kind === 'given-up' ? [{ at, kind: e.kind, dish }] : []
    }),
    anew: ofKind(events, 'planned').length,
  }
}

/** Second by second what somebody was at: the later of two things told at once counts. */
function whereTimeWent(
  person: { id: string; name: string },
  pieces: readonly Piece[],
  pauses: readonly [number, number][],
  whole: number,
): PersonReport {
  const PAUSED = '(paused)'
  const stretches = [
    ...pieces
      .filter((p) => p.cook === person.id && p.to > p.from)
      .map((p) => ({ from: p.from, to: Math.min(p.to, whole), work: p.work })),
    // Whoever stands still is not at work, whatever was in hand.
    ...pauses.map(([from, to]) => ({ from, to, work: PAUSED })),
  ]
  const cuts = [...new Set([0, whole, ...stretches.flatMap((s) => [s.from, s.to])])].sort(
    (a, b) => a - b,
  )
  const sums = new Map<string, number>()
  let waiting = 0
  for (let i = 1; i < cuts.length; i++) {
    const [from, to] = [cuts[i - 1]!, cuts[i]!]
    const at = stretches.findLast((s) => s.from <= from && s.to >= to)
    if (at) sums.set(at.work, (sums.get(at.work) ?? 0) + to - from)
    else waiting += to - from
  }
  const paused = sums.get(PAUSED) ?? 0
  sums.delete(PAUSED)
  return {
    ...person,
    whole,
    works: [...sums]
      .map(([work, seconds]) => ({ work, seconds }))
      .sort((a, b) => b.seconds - a.seconds),
    paused,
    waiting,
  }
}

/** The report as a table for a spreadsheet: a line for each piece of work, seconds from the beginning. */
export function reportTable(record: CookedRecord): string {
  const name = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((x) => x.id === id)?.name ?? id
  const rows = piecesOf(record).map((p) => [
    p.from,
    p.to,
    name(record.people, p.cook),
    name(record.dishes, p.dish),
    p.work,
    p.text,
    p.planned,
    p.real,
    p.skipped ? 'left out' : '',
  ])
  const fields = [
    'from',
    'to',
    'person',
    'dish',
    'work',
    'step',
    'planned seconds',
    'real seconds',
    'note',
  ]
  // What begins like a formula is none, whoever opens the table.
  return Papa.unparse({ fields, data: rows }, { newline: '\n', escapeFormulae: true })
}
