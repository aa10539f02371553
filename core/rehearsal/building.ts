import type { Plan } from '../plan'
import { rampSeconds, type Problem } from '../problem'
import { flowArcs, type Stretch } from './flow'
import type { Arc, Draw, Limit, Network, RunNodes } from './network'

/** Hands work of one cook, with how clean it wants them. */
type Hands = Stretch & { hygiene: string | undefined }

/** What a network is made of, found out from a plan step by step. */
export class Building {
  readonly planned: number[] = [0]
  readonly fixed: number[] = [1]
  readonly arcs: Arc[] = []
  readonly draws: Draw[] = []
  readonly limits: Limit[] = []
  readonly absences: Network['absences'] = new Map()
  readonly runs: RunNodes[]
  readonly chores: Network['chores']
  readonly heats: Network['heats']
  private readonly nodes: Map<string, RunNodes>

  constructor(
    private readonly problem: Problem,
    private readonly plan: Plan,
  ) {
    this.runs = plan.activities.map((_, i) => this.run(i))
    this.nodes = new Map(this.runs.map((r) => [r.activity.id, r]))
    for (const relation of problem.relations) this.relation(relation)
    this.chores = plan.chores.map((c) => this.chore(c))
    for (const cook of problem.cooks) this.cook(cook)
    for (const station of problem.stations) this.station(station)
    this.heats = plan.heats.map((heat) => this.bakesAt(heat))
    for (const station of problem.stations) if (station.oven) this.oven(station)
  }

  private node(at: number, fact: boolean): number {
    this.fixed.push(fact ? 1 : 0)
    return this.planned.push(at) - 1
  }

  private draw(draw: Draw): number {
    return this.draws.push(draw) - 1
  }

  private arc(from: number, to: number, { lag = 0, draw = -1, inTurn = false } = {}): void {
    this.arcs.push({ from, to, lag, draw, inTurn })
  }

  /** One activity, phase by phase. */
  private run(i: number): RunNodes {
    const run = this.plan.activities[i]!
    const activity = this.problem.activities.find((a) => a.id === run.id)!
    const mode = activity.modes.find((m) => m.id === run.mode)!
    const fact = this.problem.progress?.activities.find((a) => a.id === run.id)
    const start = this.node(run.start, fact !== undefined)
    const first = this.draws.length
    if (activity.release) this.arc(0, start, { lag: activity.release })
    run.phases.forEach((phase, k) => {
      const { hands, watch, seconds } = mode.phases[k]!
      const to = this.node(phase.to, fact?.phases[k]?.to != null)
      const draw = this.draw({
        key: `${run.id} ${run.mode} ${k}`,
        kind: hands ? 'hands' : seconds[1] === seconds[0] ? 'unattended' : 'checked',
        seconds: seconds[0],
        cook: phase.cook,
        work: [hands?.skill ?? ''].flat().join(' '),
        called: !hands && mode.phases[k + 1]?.hands !== undefined,
      })
      this.arc(to - 1, to, { draw })
      if (!hands && seconds[1] !== null && seconds[0] > 0)
        this.limits.push({ from: to - 1, to, most: seconds[1], draw, between: [run.id, run.id] })
      if (hands || watch !== undefined) this.absence(to - 1, phase.cook, draw)
    })
    return { activity, mode, start, end: start + run.phases.length, draw: first }
  }

  private absence(at: number, cook: string | undefined, draw: number): void {
    const away = this.problem.cooks.find((c) => c.id === cook)?.unavailable ?? []
    if (away.length) this.absences.set(at, { away, draw })
  }

  private relation({ from, to, kind, min, max }: Problem['relations'][number]): void {
    const { nodes, limits, planned } = this
    const [a, b] = [nodes.get(from), nodes.get(to)]
    if (!a || !b) return
    const [p, q] = [kind[0] === 'F' ? a.end : a.start, kind[1] === 'F' ? b.end : b.start]
    if (planned[q]! >= planned[p]! || min >= 0)
      this.arc(p, q, { lag: min, draw: kind === 'FS' ? this.called(a, b) : -1 })
    else limits.push({ from: q, to: p, most: -min, draw: -1, between: [to, from] })
    if (max !== undefined) limits.push({ from: p, to: q, most: max, draw: -1, between: [from, to] })
  }

  /** Somebody who has to see to what has ended by itself hears of it first. */
  private called(before: RunNodes, after: RunNodes): number {
    const [last, next] = [before.mode.phases.at(-1)!, after.mode.phases[0]!]
    if (last.hands || !next.hands) return -1
    return this.draw({ key: `to ${after.activity.id}`, kind: 'reaction', seconds: 0 })
  }

  private chore({ station, cook, ...chore }: Plan['chores'][number]) {
    const { progress } = this.problem
    const fact = progress?.chores.find((x) => x.station === station && x.from === chore.from)
    const from = this.node(chore.from, fact !== undefined)
    const to = this.node(chore.to, fact?.to != null)
    const draw = this.draw({
      key: `wash ${station} ${chore.from}`,
      kind: 'hands',
      seconds: chore.to - chore.from,
      cook,
      work: 'wash',
    })
    this.arc(from, to, { draw })
    this.absence(from, cook, draw)
    return { from, to }
  }

  /** A cook's hands have one thing at a time, in the plan's order, and attention for so much. */
  private cook({ id, attention }: Problem['cooks'][number]): void {
    const hands: Hands[] = []
    const load: Stretch[] = []
    this.plan.activities.forEach((run, i) =>
      run.phases.forEach((p, k) => {
        const { start, mode, activity } = this.runs[i]!
        const { hands: own, watch, seconds } = mode.phases[k]!
        // What the plan gives no time may still have to last until something else is over.
        if (p.cook !== id || (p.to === p.from && seconds[1] === 0)) return
        const stretch = { begin: start + k, end: start + k + 1, from: p.from, to: p.to }
        const amount = own ? own.attention : (watch ?? 0)
        if (own) hands.push({ ...stretch, amount: 1, hygiene: activity.hygiene })
        if (amount > 0) load.push({ ...stretch, amount })
      }),
    )
    this.plan.chores.forEach(({ cook, from, to }, i) => {
      const { from: begin, to: end } = this.chores[i]!
      if (cook === id) hands.push({ begin, end, from, to, amount: 1, hygiene: undefined })
    })
    hands.sort((a, b) => a.from - b.from || a.to - b.to)
    const clean = pauses(this.problem, hands)
    hands.forEach((h, k) => {
      if (k > 0) this.arc(hands[k - 1]!.end, h.begin, { lag: clean[k]!, inTurn: true })
    })
    for (const [from, to] of flowArcs(load, attention)) this.arc(from, to, { inTurn: true })
  }

  /** A place goes from one to the next as it does in the plan, washes included. */
  private station({ id, capacity }: Problem['stations'][number]): void {
    const uses: Stretch[] = []
    this.plan.activities.forEach((run, i) =>
      run.stations.forEach((station, k) => {
        if (station !== id || run.end === run.start) return
        const { start: begin, end, mode } = this.runs[i]!
        uses.push({ begin, end, from: run.start, to: run.end, amount: mode.needs[k]!.amount })
      }),
    )
    for (const { id: hold, station, from, to } of this.plan.holds) {
      if (station !== id || to === from) continue
      const spec = this.problem.holds.find((h) => h.id === hold)!
      const begin = this.nodes.get(spec.from)!.start
      const end = spec.to === null ? -1 : this.nodes.get(spec.to)!.end
      uses.push({ begin, end, from, to, amount: spec.need.amount })
    }
    this.plan.chores.forEach(({ station, from, to }, i) => {
      const { from: begin, to: end } = this.chores[i]!
      if (station === id && to > from) uses.push({ begin, end, from, to, amount: capacity })
    })
    for (const [from, to] of flowArcs(uses, capacity)) this.arc(from, to)
  }

  /** What bakes in one heat segment: where it begins and where it ends. */
  private bakesAt(heat: Plan['heats'][number]): Network['heats'][number] {
    const begins: number[] = []
    const ends: number[] = []
    this.plan.activities.forEach((run, i) =>
      run.phases.forEach((p, k) => {
        const { start, mode } = this.runs[i]!
        const spec = mode.phases[k]!.heat
        if (!spec || run.stations[spec.need] !== heat.station) return
        if (p.from < heat.from || p.to > heat.to) return
        if (heat.celsius < spec.celsius[0] || heat.celsius > spec.celsius[1]) return
        begins.push(start + k)
        ends.push(start + k + 1)
      }),
    )
    return { begins, ends }
  }

  /** What bakes at one heat comes after all that bakes at the one before, and the time between. */
  private oven({ id, oven }: Problem['stations'][number]): void {
    const order = this.plan.heats
      .map((heat, i) => ({ ...heat, ...this.heats[i]! }))
      .filter(({ station }) => station === id)
      .sort((a, b) => a.from - b.from)
    order.forEach(({ celsius, begins }, i) => {
      const before = order[i - 1]
      const seconds = Math.ceil(rampSeconds(oven!, before?.celsius ?? oven!.start, celsius))
      const key = `ramp ${id} ${i} ${celsius}`
      const draw = seconds > 0 ? this.draw({ key, kind: 'ramp', seconds }) : -1
      for (const to of begins) for (const from of before?.ends ?? [0]) this.arc(from, to, { draw })
    })
  }
}

/** Before each stretch, how long its cook's hands must have been free: where the plan has most room for it. */
function pauses(problem: Problem, hands: readonly Hands[]): number[] {
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
