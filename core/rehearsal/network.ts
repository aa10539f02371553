import type { Plan } from '../plan'
import { rampSeconds, type Activity, type Mode, type Problem } from '../problem'
import { flowArcs, type Stretch } from './flow'

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
interface Arc {
  from: number
  to: number
  lag: number
  /** Index of a draw that comes on top, -1 for none. */
  draw: number
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
  heats: { begins: number[]; ends: number[]; from: number }[]
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
  const planned: number[] = [0]
  const fixed: number[] = [1]
  const arcs: Arc[] = []
  const draws: Draw[] = []
  const limits: Limit[] = []
  const absences: Network['absences'] = new Map()
  const { progress } = problem
  const facts = new Map(progress?.activities.map((a) => [a.id, a]))
  const byId = new Map(problem.activities.map((a) => [a.id, a]))
  const cooks = new Map(problem.cooks.map((c) => [c.id, c]))
  const node = (at: number, fact: boolean) => {
    fixed.push(fact ? 1 : 0)
    return planned.push(at) - 1
  }
  const draw = (d: Draw) => draws.push(d) - 1

  const runs = plan.activities.map((run): RunNodes => {
    const activity = byId.get(run.id)!
    const mode = activity.modes.find((m) => m.id === run.mode)!
    const fact = facts.get(run.id)
    const start = node(run.start, fact !== undefined)
    const first = draws.length
    if (activity.release) arcs.push({ from: 0, to: start, lag: activity.release, draw: -1 })
    run.phases.forEach((phase, k) => {
      const { hands, watch, seconds } = mode.phases[k]!
      const to = node(phase.to, fact?.phases[k]?.to != null)
      const index = draw({
        key: `${run.id} ${run.mode} ${k}`,
        kind: hands ? 'hands' : seconds[1] === seconds[0] ? 'unattended' : 'checked',
        seconds: seconds[0],
        cook: phase.cook,
        work: [hands?.skill ?? ''].flat().join(' '),
        called: !hands && mode.phases[k + 1]?.hands !== undefined,
      })
      arcs.push({ from: to - 1, to, lag: 0, draw: index })
      if (!hands && seconds[1] !== null && seconds[0] > 0)
        limits.push({
          from: to - 1,
          to,
          most: seconds[1],
          draw: index,
          between: [run.id, run.id],
        })
      const away = phase.cook === undefined ? [] : (cooks.get(phase.cook)?.unavailable ?? [])
      if (away.length && (hands || watch !== undefined)) absences.set(to - 1, { away, draw: index })
    })
    return { activity, mode, start, end: start + run.phases.length, draw: first }
  })
  const nodes = new Map(runs.map((r) => [r.activity.id, r]))

  // Somebody who has to see to what has ended by itself hears of it first.
  const called = (before: RunNodes, after: RunNodes) => {
    const [last, next] = [before.mode.phases.at(-1)!, after.mode.phases[0]!]
    return !last.hands && next.hands
      ? draw({ key: `to ${after.activity.id}`, kind: 'reaction', seconds: 0 })
      : -1
  }
  for (const { from, to, kind, min, max } of problem.relations) {
    const [a, b] = [nodes.get(from), nodes.get(to)]
    if (!a || !b) continue
    const [p, q] = [kind[0] === 'F' ? a.end : a.start, kind[1] === 'F' ? b.end : b.start]
    if (planned[q]! >= planned[p]! || min >= 0)
      arcs.push({ from: p, to: q, lag: min, draw: kind === 'FS' ? called(a, b) : -1 })
    else limits.push({ from: q, to: p, most: -min, draw: -1, between: [to, from] })
    if (max !== undefined) limits.push({ from: p, to: q, most: max, draw: -1, between: [from, to] })
  }

  const chores = plan.chores.map((c) => {
    const fact = progress?.chores.find((x) => x.station === c.station && x.from === c.from)
    const from = node(c.from, fact !== undefined)
    const to = node(c.to, fact?.to != null)
    const index = draw({
      key: `wash ${c.station} ${c.from}`,
      kind: 'hands',
      seconds: c.to - c.from,
      cook: c.cook,
      work: 'wash',
    })
    arcs.push({ from, to, lag: 0, draw: index })
    const away = cooks.get(c.cook)?.unavailable ?? []
    if (away.length) absences.set(from, { away, draw: index })
    return { from, to }
  })

  for (const cook of problem.cooks) {
    const hands: (Stretch & { hygiene: string | undefined })[] = []
    const load: Stretch[] = []
    plan.activities.forEach((run, i) =>
      run.phases.forEach((p, k) => {
        const { hands: own, watch, seconds } = runs[i]!.mode.phases[k]!
        // What the plan gives no time may still have to last until something else is over.
        if (p.cook !== cook.id || (p.to === p.from && seconds[1] === 0)) return
        const begin = runs[i]!.start + k
        const stretch = { begin, end: begin + 1, from: p.from, to: p.to }
        const amount = own ? own.attention : (watch ?? 0)
        if (own) hands.push({ ...stretch, amount: 1, hygiene: runs[i]!.activity.hygiene })
        if (amount > 0) load.push({ ...stretch, amount })
      }),
    )
    plan.chores.forEach((c, i) => {
      const { from: begin, to: end } = chores[i]!
      if (c.cook === cook.id)
        hands.push({ begin, end, from: c.from, to: c.to, amount: 1, hygiene: undefined })
    })
    hands.sort((a, b) => a.from - b.from || a.to - b.to)
    const clean = pauses(problem, hands)
    hands.forEach((h, k) => {
      if (k > 0) arcs.push({ from: hands[k - 1]!.end, to: h.begin, lag: clean[k]!, draw: -1 })
    })
    for (const [from, to] of flowArcs(load, cook.attention))
      arcs.push({ from, to, lag: 0, draw: -1 })
  }

  for (const station of problem.stations) {
    const uses: Stretch[] = []
    plan.activities.forEach((run, i) =>
      run.stations.forEach((id, k) => {
        if (id !== station.id || run.end === run.start) return
        const { start: begin, end, mode: way } = runs[i]!
        uses.push({ begin, end, from: run.start, to: run.end, amount: way.needs[k]!.amount })
      }),
    )
    for (const hold of plan.holds) {
      if (hold.station !== station.id || hold.to === hold.from) continue
      const spec = problem.holds.find((h) => h.id === hold.id)!
      const [a, b] = [nodes.get(spec.from)!, spec.to === null ? undefined : nodes.get(spec.to)]
      uses.push({
        begin: a.start,
        end: b ? b.end : -1,
        from: hold.from,
        to: hold.to,
        amount: spec.need.amount,
      })
    }
    plan.chores.forEach((c, i) => {
      if (c.station !== station.id || c.to === c.from) return
      uses.push({
        begin: chores[i]!.from,
        end: chores[i]!.to,
        from: c.from,
        to: c.to,
        amount: station.capacity,
      })
    })
    for (const [from, to] of flowArcs(uses, station.capacity))
      arcs.push({ from, to, lag: 0, draw: -1 })
  }

  const heats = heatArcs(problem, plan, runs, arcs, draw)
  return finished({
    planned,
    fixed,
    arcs,
    draws,
    limits,
    absences,
    runs,
    chores,
    heats,
    now: progress?.now ?? 0,
  })
}

/** Before each stretch, how long its cook's hands must have been free: where the plan has most room for it. */
function pauses(
  problem: Problem,
  hands: readonly (Stretch & { hygiene: string | undefined })[],
): number[] {
  const out = hands.map(() => 0)
  const gap = (k: number) => hands[k]!.from - hands[k - 1]!.to
  hands.forEach((second, j) => {
    for (let i = j - 1; i >= 0; i--) {
      const [a, b] = [hands[i]!.hygiene, second.hygiene]
      const seconds = a === undefined || b === undefined ? 0 : (problem.hygiene[a]?.[b] ?? 0)
      if (seconds === 0) continue
      let widest = i + 1
      for (let k = i + 2; k <= j; k++) if (gap(k) > gap(widest)) widest = k
      if (gap(widest) >= seconds) out[widest] = Math.max(out[widest]!, seconds)
    }
  })
  return out
}

/** What bakes at one heat comes after all that bakes at the one before, and the time between. */
function heatArcs(
  problem: Problem,
  plan: Plan,
  runs: readonly RunNodes[],
  arcs: Arc[],
  draw: (d: Draw) => number,
): Network['heats'] {
  const places = plan.heats.map((heat) => {
    const begins: number[] = []
    const ends: number[] = []
    plan.activities.forEach((run, i) =>
      run.phases.forEach((p, k) => {
        const spec = runs[i]!.mode.phases[k]!.heat
        if (!spec || run.stations[spec.need] !== heat.station) return
        if (p.from < heat.from || p.to > heat.to) return
        if (heat.celsius < spec.celsius[0] || heat.celsius > spec.celsius[1]) return
        begins.push(runs[i]!.start + k)
        ends.push(runs[i]!.start + k + 1)
      }),
    )
    return { begins, ends, from: heat.from }
  })
  for (const station of problem.stations) {
    if (!station.oven) continue
    const order = plan.heats
      .map((heat, i) => ({ heat, ...places[i]! }))
      .filter(({ heat }) => heat.station === station.id)
      .sort((a, b) => a.heat.from - b.heat.from)
    order.forEach(({ heat, begins }, i) => {
      const before = order[i - 1]
      const seconds = Math.ceil(
        rampSeconds(station.oven!, before?.heat.celsius ?? station.oven!.start, heat.celsius),
      )
      const key = `ramp ${station.id} ${i} ${heat.celsius}`
      const index = seconds > 0 ? draw({ key, kind: 'ramp', seconds }) : -1
      for (const to of begins)
        for (const from of before ? before.ends : [0])
          if (from !== to) arcs.push({ from, to, lag: 0, draw: index })
    })
  }
  return places
}

/** Puts the arcs in order, and finds out how much later than it must the plan has each instant. */
function finished({
  planned,
  fixed,
  arcs,
  draws,
  ...rest
}: Pick<Network, 'draws' | 'limits' | 'absences' | 'runs' | 'chores' | 'heats' | 'now'> & {
  planned: number[]
  fixed: number[]
  arcs: Arc[]
}): Network {
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
    spare[i] = Math.max(0, planned[i]! - Math.max(least, rest.now))
  }
  return {
    planned: Float64Array.from(planned),
    order,
    first,
    arcFrom: Int32Array.from(kept, (a) => a.from),
    arcLag: Float64Array.from(kept, (a) => a.lag),
    arcDraw: Int32Array.from(kept, (a) => a.draw),
    back: open.filter((a) => !ahead(a) && planned[a.from] === planned[a.to]),
    spare,
    fixed: Uint8Array.from(fixed),
    draws,
    ...rest,
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
