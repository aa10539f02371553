import type { Plan } from '../plan'
import type { Activity, Mode, Problem } from '../problem'
import { Building } from './building'

/** What takes time and varies: a phase, a wash, an oven that changes its heat, somebody who is called. */
export interface Draw {
  /** The same draw after planning anew. */
  key: string
  kind: 'hands' | 'unattended' | 'checked' | 'ramp' | 'reaction'
  /** Seconds where nothing varies. */
  seconds: number
  cook?: string | undefined
  /** What kind of work it is: what one must be able to do for it. */
  work?: string
  /** Whether somebody has to hear of its end and come. */
  called?: boolean
}

/** One instant comes at least so long after another. */
export interface Arc {
  from: number
  to: number
  lag: number
  /** Index of a draw that comes on top, -1 for none. */
  draw: number
  /** Only because the plan has one cook do one thing after the other. */
  inTurn: boolean
}

/** One instant may come at most so long after another. */
export interface Limit {
  from: number
  to: number
  most: number
  /** Index of a draw that it may last as long as, if that is more; -1 for none. */
  draw: number
  /** Activities between which food waits; of a step that is to end in time both are that one. */
  between: [string, string]
}

/**
 * A plan as people follow it: every beginning and end is an instant that comes after others, by what the
 * problem says and by the order in which the plan has each cook, place and oven do things.
 */
export interface Network {
  /** When each instant is by the plan. */
  planned: Float64Array
  /** Instants in an order in which each comes after all it waits for. */
  order: Int32Array
  /** Arcs into each instant: those of instant i are `first[i]` up to `first[i + 1]`. */
  first: Int32Array
  arcFrom: Int32Array
  arcLag: Float64Array
  arcDraw: Int32Array
  /** Arcs that are there only because the plan has one cook do one thing after the other. */
  arcInTurn: Uint8Array
  /** Arcs among instants that wait for each other in a circle, all at once: back against the order. */
  back: readonly Arc[]
  /** How much later than it must the plan has each instant. */
  spare: Float64Array
  /** Instants that are facts. */
  fixed: Uint8Array
  draws: Draw[]
  limits: Limit[]
  /** Instants at which work of somebody begins who is away at times: with the draw of how long it takes. */
  absences: Map<number, { away: readonly (readonly [number, number])[]; draw: number }>
  runs: RunNodes[]
  chores: { from: number; to: number }[]
  heats: { begins: number[]; ends: number[] }[]
  /** Nothing else comes before this. */
  now: number
}

/** Where an activity of the plan stands among the instants. */
export interface RunNodes {
  activity: Activity
  mode: Mode
  /** Its beginning; the end of its k-th phase is `start + k + 1`. */
  start: number
  end: number
  /** Index of the draw of its first phase. */
  draw: number
}

/** The instants of a plan, and what each of them waits for. */
export function networkOf(problem: Problem, plan: Plan): Network {
  const building = new Building(problem, plan)
  return finished(building, problem.progress?.now ?? 0)
}

/** Puts the arcs in order, and finds out how much later than it must the plan has each instant. */
function finished(
  { planned, fixed, arcs, draws, limits, absences, runs, chores, heats }: Building,
  now: number,
): Network {
  const n = planned.length
  // Between facts nothing waits for anything any more.
  const open = arcs.filter((a) => !fixed[a.to] && a.from !== a.to)
  const order = inOrder(planned, open)
  const position = new Int32Array(n)
  order.forEach((x, i) => (position[x] = i))
  const ahead = (a: Arc) => position[a.from]! < position[a.to]!
  const kept = open.filter(ahead)
  kept.sort((a, b) => a.to - b.to)
  const first = new Int32Array(n + 1)
  for (const a of kept) first[a.to + 1]!++
  for (let i = 0; i < n; i++) first[i + 1]! += first[i]!
  const spare = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    if (fixed[i]) continue
    let least = 0
    for (let j = first[i]!; j < first[i + 1]!; j++) {
      const { from, lag, draw } = kept[j]!
      least = Math.max(least, planned[from]! + lag + (draw < 0 ? 0 : draws[draw]!.seconds))
    }
    spare[i] = Math.max(0, planned[i]! - Math.max(least, now))
  }
  return {
    planned: Float64Array.from(planned),
    order,
    first,
    arcFrom: Int32Array.from(kept, (a) => a.from),
    arcLag: Float64Array.from(kept, (a) => a.lag),
    arcDraw: Int32Array.from(kept, (a) => a.draw),
    arcInTurn: Uint8Array.from(kept, (a) => (a.inTurn ? 1 : 0)),
    back: open.filter((a) => !ahead(a) && planned[a.from] === planned[a.to]),
    spare,
    fixed: Uint8Array.from(fixed),
    draws,
    limits,
    absences,
    runs,
    chores,
    heats,
    now,
  }
}

/** By when they are planned; of those at one instant what is waited for comes first. */
function inOrder(planned: readonly number[], arcs: readonly Arc[]): Int32Array {
  const after: number[][] = planned.map(() => [])
  const waits = new Int32Array(planned.length)
  for (const { from, to } of arcs)
    if (planned[from] === planned[to]) {
      after[from]!.push(to)
      waits[to]!++
    }
  const sorted = planned.map((_, i) => i).sort((a, b) => planned[a]! - planned[b]! || a - b)
  const out: number[] = []
  const seen = new Uint8Array(planned.length)
  const put = (x: number) => {
    if (seen[x]) return
    seen[x] = 1
    out.push(x)
    for (const y of after[x]!) if (--waits[y]! === 0) put(y)
  }
  for (let i = 0; i < sorted.length;) {
    let j = i
    while (j < sorted.length && planned[sorted[j]!] === planned[sorted[i]!]) j++
    for (const x of sorted.slice(i, j)) if (waits[x] === 0) put(x)
    // Two that wait for each other at one instant: as they come.
    for (const x of sorted.slice(i, j)) put(x)
    i = j
  }
  return Int32Array.from(out)
}
