import {
  ownValue,
  type Activity,
  type Mode,
  type Need,
  type Phase,
  type Problem,
  type Station,
} from '../../problem'
import { crowdedByHold, needText, serves, skilled, whyImpossible } from './eligibility'
import { factsOf, modeUnderWay, ovenFact, type FactRun } from './facts'
import {
  NEVER,
  pairKey,
  type Edge,
  type MActivity,
  type MCook,
  type MHold,
  type MMode,
  type MNeed,
  type Model,
  type MPhase,
  type MStation,
} from './model'

/** Turns ids into indices and works out who and what could serve each need and phase. */
export function buildModel(problem: Problem): Model {
  const index = (list: { id: string }[]) => new Map(list.map((x, i) => [x.id, i]))
  const activityIndex = index(problem.activities)
  const cookIndex = index(problem.cooks)
  const stationIndex = index(problem.stations)
  const classes = numbered()
  const contents = numbered()
  const methods = numbered()

  const cooks: MCook[] = problem.cooks.map((c) => ({
    attention: c.attention,
    away: merged(c.unavailable),
  }))
  const stations: MStation[] = problem.stations.map((s, i) => ({
    index: i,
    capacity: s.capacity,
    away: merged(s.unavailable),
    wash: s.wash
      ? {
          seconds: s.wash.seconds,
          cooks: skilled(problem, s.wash.skill),
          between: betweenTable(s, contents),
        }
      : null,
    oven: s.oven
      ? {
          ...ovenStart(problem, i, methods.of),
          heat: s.oven.heatSecondsPerDegree,
          cool: s.oven.coolSecondsPerDegree,
        }
      : null,
  }))

  const facts = factsOf(problem, { hygiene: classes.of, contents: contents.of })
  const runOf = new Map(problem.progress?.activities.map((r) => [r.id, r]))
  const needOf = (need: Need, heats: NonNullable<Phase['heat']>[], pinned?: string): MNeed => ({
    stations: problem.stations
      .map((s, i) => [s, i] as const)
      .filter(([s]) => serves(s, need, heats) && (pinned === undefined || pinned === s.id))
      .sort(([a], [b]) => (a.size ?? 0) - (b.size ?? 0) || a.tags.length - b.tags.length)
      .map(([, i]) => i),
    amount: need.amount,
    contents: need.contents === undefined ? -1 : contents.of(need.contents),
  })

  const impossible = new Map<number, string[]>()
  const choiceOf = new Map<string, number>()
  problem.choices.forEach((c, i) =>
    c.options.forEach((o) => o.activities.forEach((a) => choiceOf.set(a, i))),
  )
  const activities = problem.activities.map((activity, i): MActivity => {
    const run = runOf.get(activity.id)
    if (run) return begunActivity(activity, i, run)
    const pins = (problem.pins ?? []).filter((p) => p.activity === activity.id)
    const reasons: string[] = []
    const modes: MMode[] = []
    activity.modes.forEach((mode, k) => {
      const wrong = pins.find((p) => p.mode !== undefined && p.mode !== mode.id)
      if (wrong) return void reasons.push(`"${activity.id}" is pinned to "${wrong.mode}"`)
      const built = buildMode(mode, k, pins)
      const why =
        whyImpossible(activity, mode, built, problem) ?? crowdedByHold(activity, mode, problem)
      if (why) reasons.push(why)
      else modes.push(built)
    })
    if (!modes.length) impossible.set(i, reasons)
    return {
      index: i,
      hygiene: classes.of(activity.hygiene),
      aside: activity.aside,
      modes,
      min: Math.min(NEVER, ...modes.map((m) => m.min)),
      max: Math.max(0, ...modes.map((m) => m.max)),
      release: Math.max(
        activity.release ?? 0,
        facts?.now ?? 0,
        ...pins.map((p) => p.start?.[0] ?? 0),
      ),
      earliestEnd: Math.min(NEVER, ...modes.map((m) => heatedEnd(m, stations))) % NEVER,
      due: activity.due ?? NEVER,
      latestStart: Math.min(NEVER, ...pins.map((p) => p.start?.[1] ?? NEVER)),
      choice: choiceOf.get(activity.id) ?? -1,
      fact: undefined,
    }
  })

  /** What has begun keeps its mode, its stations and its cook; no rule asks whether they serve. */
  function begunActivity(activity: Activity, i: number, run: FactRun): MActivity {
    const k = activity.modes.findIndex((m) => m.id === run.mode)
    const mode = activity.modes[k]!
    const lasts = (run.end ?? run.start) - run.start
    const built: MMode =
      run.end !== null
        ? { index: k, needs: [], phases: [], min: lasts, max: lasts, heats: false }
        : buildMode(modeUnderWay(mode, run, problem), k, [])
    if (run.end === null) {
      built.needs.forEach((need, n) => {
        need.stations = [stationIndex.get(run.stations[n]!)!]
      })
      const running = built.phases[run.phases.length - 1]!
      const cook = run.phases[run.phases.length - 1]!.cook
      if (cook !== undefined) running.cooks = [cookIndex.get(cook)!]
      const why = whyImpossible(activity, mode, built, problem)
      if (why) impossible.set(i, [why])
    }
    return {
      index: i,
      hygiene: classes.of(activity.hygiene),
      aside: activity.aside,
      modes: [built],
      min: built.min,
      max: built.max,
      release: run.start,
      earliestEnd: 0,
      due: run.end !== null ? NEVER : (activity.due ?? NEVER),
      latestStart: run.start,
      choice: choiceOf.get(activity.id) ?? -1,
      fact: run,
    }
  }

  function buildMode(mode: Mode, k: number, pins: NonNullable<Problem['pins']>): MMode {
    const phases = mode.phases.map((phase): MPhase => {
      const attention = phase.hands?.attention ?? phase.watch ?? 0
      const able = phase.hands
        ? skilled(problem, phase.hands.skill).filter((c) =>
            pins.every((p) => p.cook === undefined || p.cook === problem.cooks[c]!.id),
          )
        : phase.watch !== undefined
          ? problem.cooks.map((_, c) => c)
          : []
      return {
        min: phase.seconds[0],
        max: phase.seconds[1] ?? NEVER,
        hands: phase.hands !== undefined,
        watch: phase.watch !== undefined,
        attention,
        cooks: able.filter((c) => attention <= cooks[c]!.attention),
        heat: phase.heat
          ? {
              need: phase.heat.need,
              lo: phase.heat.celsius[0],
              hi: phase.heat.celsius[1],
              method: methods.of(phase.heat.method),
            }
          : null,
      }
    })
    const needs = mode.needs.map((need, n) =>
      needOf(
        need,
        mode.phases.flatMap((p) => (p.heat?.need === n ? [p.heat] : [])),
        pins.find((p) => p.stations?.[n] !== undefined)?.stations?.[n],
      ),
    )
    return {
      index: k,
      needs,
      phases,
      min: phases.reduce((sum, p) => sum + p.min, 0),
      max: Math.min(
        NEVER,
        phases.reduce((sum, p) => sum + p.max, 0),
      ),
      heats: phases.some((p) => p.heat),
    }
  }

  const impossibleHolds = new Map<number, string>()
  const holds = problem.holds.map((hold, i): MHold => {
    const need = needOf(hold.need, [])
    const run = problem.progress?.holds.find((h) => h.id === hold.id)
    const fact = run && { station: stationIndex.get(run.station)!, from: run.from, to: run.to }
    if (fact) need.stations = [fact.station]
    if (!need.stations.length)
      impossibleHolds.set(i, `"${hold.id}" needs ${needText(hold.need)}, and the kitchen has none`)
    return {
      index: i,
      from: activityIndex.get(hold.from)!,
      to: hold.to === null ? -1 : activityIndex.get(hold.to)!,
      need,
      fact,
    }
  })

  const names = classes.names()
  const hygiene = names.flatMap((a) =>
    names.map((b) => ownValue(ownValue(problem.hygiene, a), b) ?? 0),
  )
  return {
    problem,
    indexOf: activityIndex,
    activities,
    cooks,
    stations,
    holds,
    edges: edgesOf(problem, activityIndex, holds, runOf),
    hygiene,
    classes: names.length,
    longestClean: Math.max(0, ...hygiene),
    methods: methods.names(),
    choices: problem.choices.map((c) => ({
      options: c.options.map((o) => ({
        members: new Set(o.activities.map((a) => activityIndex.get(a)!)),
        cost: o.cost,
        possible: undecidedOr(problem, c, o),
      })),
    })),
    deadline: problem.deadline ?? NEVER,
    impossible,
    impossibleHolds,
    facts,
  }
}

/** Whether what has happened leaves an option open. */
function undecidedOr(
  { progress }: Problem,
  choice: Problem['choices'][number],
  option: Problem['choices'][number]['options'][number],
): boolean {
  if (!progress) return true
  const decided = ownValue(progress.choices, choice.id)
  if (decided !== undefined) return decided === option.id
  const begun = progress.activities.filter((r) =>
    choice.options.some((o) => o.activities.includes(r.id)),
  )
  return begun.every((r) => option.activities.includes(r.id))
}

function ovenStart(problem: Problem, station: number, method: (name: string) => number) {
  const fact = ovenFact(problem, station)
  if (!fact) return { start: problem.stations[station]!.oven!.start, from: 0, running: null }
  const { now } = problem.progress!
  return {
    start: fact.celsius,
    from: fact.to ?? now,
    running: fact.to === null ? { from: fact.from, method: method(fact.method) } : null,
  }
}

function numbered() {
  const map = new Map<string, number>()
  return {
    of(name: string): number {
      const known = map.get(name)
      if (known !== undefined) return known
      map.set(name, map.size)
      return map.size - 1
    },
    names: () => [...map.keys()],
  }
}

/** Overlapping and touching absences become one. */
function merged(spans: readonly (readonly [number, number])[]): [number, number][] {
  const out: [number, number][] = []
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = out[out.length - 1]
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else if (to > from) out.push([from, to])
  }
  return out
}

function betweenTable(station: Station, contents: ReturnType<typeof numbered>) {
  const table = new Map<number, number>()
  for (const [was, row] of Object.entries(station.wash?.between ?? {}))
    for (const [next, seconds] of Object.entries(row))
      table.set(pairKey(contents.of(was), contents.of(next)), seconds)
  return table
}

function edgesOf(
  problem: Problem,
  index: Map<string, number>,
  holds: MHold[],
  runs: Map<string, FactRun>,
): Edge[] {
  const edges: Edge[] = []
  const known = (id: string, letter: string | undefined) =>
    letter === 'F' ? runs.get(id)?.end != null : runs.has(id)
  problem.relations.forEach((r, k) => {
    if (known(r.from, r.kind[0]) && known(r.to, r.kind[1])) return
    const from = 2 * index.get(r.from)! + (r.kind[0] === 'F' ? 1 : 0)
    const to = 2 * index.get(r.to)! + (r.kind[1] === 'F' ? 1 : 0)
    edges.push({ from, to, weight: r.min, relation: k })
    if (r.max !== undefined) edges.push({ from: to, to: from, weight: -r.max, relation: k })
  })
  // A hold ends where its last activity ends, which cannot be before it begins.
  for (const h of holds)
    if (h.to >= 0 && h.to !== h.from && !h.fact)
      edges.push({ from: 2 * h.from, to: 2 * h.to + 1, weight: 0, relation: -1 })
  return edges
}

/** The least instant at which a mode can end, given how long its oven takes to its first heat. */
function heatedEnd(mode: MMode, stations: MStation[]): number {
  let latest = 0
  mode.phases.forEach((phase, k) => {
    if (!phase.heat) return
    const { lo, hi } = phase.heat
    const ramps = mode.needs[phase.heat.need]!.stations.map((s) => {
      const { start, from, heat, cool } = stations[s]!.oven!
      return from + (lo > start ? (lo - start) * heat : Math.max(0, start - hi) * cool)
    })
    const rest = mode.phases.slice(k).reduce((sum, p) => sum + p.min, 0)
    latest = Math.max(latest, Math.ceil(Math.min(...ramps) - 1e-6) + rest)
  })
  return latest
}
