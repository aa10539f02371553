import type { Activity, Mode, Need, Phase, Problem, Station } from '../problem'

/** Later than anything the formats can say, and small enough for exact sums. */
export const NEVER = 1_000_000_000

export interface MNeed {
  /** Stations that could serve, the tightest fit first. */
  stations: number[]
  amount: number
  /** -1: no contents named, which always washes. */
  contents: number
}

export interface MPhase {
  min: number
  max: number
  hands: boolean
  watch: boolean
  attention: number
  cooks: number[]
  heat: { need: number; lo: number; hi: number; method: number } | null
}

export interface MMode {
  index: number
  needs: MNeed[]
  phases: MPhase[]
  min: number
  max: number
  heats: boolean
}

export interface MActivity {
  index: number
  hygiene: number
  aside: boolean
  /** Modes that something and somebody can serve; why the others cannot is in `impossible`. */
  modes: MMode[]
  min: number
  max: number
  release: number
  /** Earliest end with the oven as cold as it starts. */
  earliestEnd: number
  due: number
  latestStart: number
  choice: number
}

export interface MHold {
  index: number
  from: number
  /** -1: until everything has ended. */
  to: number
  need: MNeed
}

export interface MStation {
  index: number
  capacity: number
  away: [number, number][]
  wash: { seconds: number; cooks: number[]; between: Map<number, number> } | null
  oven: { start: number; heat: number; cool: number } | null
}

export interface MCook {
  attention: number
  away: [number, number][]
}

/** `t[to] >= t[from] + weight`; node 2i is the start of activity i, 2i + 1 its end. */
export interface Edge {
  from: number
  to: number
  weight: number
  /** Index of the relation it comes from, -1 for a hold. */
  relation: number
}

/** The problem in numbers: ids are indices, eligibility is worked out, lags are edges. */
export interface Model {
  problem: Problem
  /** Index of each activity by its id. */
  indexOf: Map<string, number>
  activities: MActivity[]
  cooks: MCook[]
  stations: MStation[]
  holds: MHold[]
  edges: Edge[]
  /** Seconds of clean-up between hygiene classes, `[from * classes + to]`. */
  hygiene: number[]
  classes: number
  longestClean: number
  /** Names of oven methods, by number. */
  methods: string[]
  choices: { options: { members: Set<number>; cost: number; possible: boolean }[] }[]
  deadline: number
  impossible: Map<number, string[]>
  impossibleHolds: Map<number, string>
}

/** Turns ids into indices and works out who and what could serve each need and phase. */
export function buildModel(problem: Problem): Model {
  const index = (list: { id: string }[]) => new Map(list.map((x, i) => [x.id, i]))
  const activityIndex = index(problem.activities)
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
          start: s.oven.start,
          heat: s.oven.heatSecondsPerDegree,
          cool: s.oven.coolSecondsPerDegree,
        }
      : null,
  }))

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
    const pins = (problem.pins ?? []).filter((p) => p.activity === activity.id)
    const reasons: string[] = []
    const modes: MMode[] = []
    activity.modes.forEach((mode, k) => {
      const wrong = pins.find((p) => p.mode !== undefined && p.mode !== mode.id)
      if (wrong) return void reasons.push(`"${activity.id}" is pinned to "${wrong.mode}"`)
      const built = buildMode(mode, k, pins)
      const why = whyImpossible(activity, mode, built, problem)
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
      release: Math.max(activity.release ?? 0, ...pins.map((p) => p.start?.[0] ?? 0)),
      earliestEnd: Math.min(NEVER, ...modes.map((m) => heatedEnd(m, problem))) % NEVER,
      due: activity.due ?? NEVER,
      latestStart: Math.min(NEVER, ...pins.map((p) => p.start?.[1] ?? NEVER)),
      choice: choiceOf.get(activity.id) ?? -1,
    }
  })

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
    if (!need.stations.length)
      impossibleHolds.set(i, `"${hold.id}" needs ${needText(hold.need)}, and the kitchen has none`)
    return {
      index: i,
      from: activityIndex.get(hold.from)!,
      to: hold.to === null ? -1 : activityIndex.get(hold.to)!,
      need,
    }
  })

  const names = classes.names()
  const hygiene = names.flatMap((a) => names.map((b) => problem.hygiene[a]?.[b] ?? 0))
  return {
    problem,
    indexOf: activityIndex,
    activities,
    cooks,
    stations,
    holds,
    edges: edgesOf(problem, activityIndex, holds),
    hygiene,
    classes: names.length,
    longestClean: Math.max(0, ...hygiene),
    methods: methods.names(),
    choices: problem.choices.map((c) => ({
      options: c.options.map((o) => ({
        members: new Set(o.activities.map((a) => activityIndex.get(a)!)),
        cost: o.cost,
        possible: true,
      })),
    })),
    deadline: problem.deadline ?? NEVER,
    impossible,
    impossibleHolds,
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

const skilled = (problem: Problem, skill: string | undefined) =>
  problem.cooks.flatMap((c, i) =>
    skill === undefined || !c.skills || c.skills.includes(skill) ? [i] : [],
  )

/** Pairs of contents as one number, so that the table is one flat lookup. */
export const pairKey = (was: number, next: number) => was * 65536 + next

function betweenTable(station: Station, contents: ReturnType<typeof numbered>) {
  const table = new Map<number, number>()
  for (const [was, row] of Object.entries(station.wash?.between ?? {}))
    for (const [next, seconds] of Object.entries(row))
      table.set(pairKey(contents.of(was), contents.of(next)), seconds)
  return table
}

function serves(station: Station, need: Need, heats: NonNullable<Phase['heat']>[]): boolean {
  return (
    station.kind === need.kind &&
    need.tags.every((t) => station.tags.includes(t)) &&
    (need.minSize === undefined || (station.size ?? -Infinity) >= need.minSize) &&
    station.capacity >= need.amount &&
    heats.every(
      (h) =>
        station.oven !== undefined &&
        station.oven.methods.includes(h.method) &&
        h.celsius[0] <= station.oven.max &&
        h.celsius[1] >= station.oven.min,
    )
  )
}

function needText(need: Need): string {
  const parts = [need.kind, ...need.tags]
  if (need.minSize !== undefined) parts.push(`of size ${need.minSize} or more`)
  if (need.amount !== 1) parts.push(`with room for ${need.amount}`)
  return parts.join(' ')
}

function whyImpossible(
  activity: Activity,
  mode: Mode,
  built: MMode,
  problem: Problem,
): string | undefined {
  const short = built.needs.findIndex((n) => !n.stations.length)
  if (short >= 0) {
    const need = mode.needs[short]!
    const heat = mode.phases.find((p) => p.heat?.need === short)?.heat
    const at = heat ? ` that can ${heat.method} at ${heat.celsius.join(' to ')} °C` : ''
    return `"${activity.id}" (${mode.id}) needs a ${needText(need)}${at}, and nothing in the kitchen serves`
  }
  const phase = built.phases.findIndex((p) => (p.hands || p.watch) && !p.cooks.length)
  if (phase < 0) return undefined
  const spec = mode.phases[phase]!
  const skill = spec.hands?.skill
  if (!problem.cooks.length) return `"${activity.id}" (${mode.id}) needs a cook, and there is none`
  return skill !== undefined && !skilled(problem, skill).length
    ? `"${activity.id}" (${mode.id}) needs the skill "${skill}", which no cook has`
    : `"${activity.id}" (${mode.id}) asks for more attention in phase ${phase + 1} than any cook who may do it has`
}

function edgesOf(problem: Problem, index: Map<string, number>, holds: MHold[]): Edge[] {
  const edges: Edge[] = []
  problem.relations.forEach((r, k) => {
    const from = 2 * index.get(r.from)! + (r.kind[0] === 'F' ? 1 : 0)
    const to = 2 * index.get(r.to)! + (r.kind[1] === 'F' ? 1 : 0)
    edges.push({ from, to, weight: r.min, relation: k })
    if (r.max !== undefined) edges.push({ from: to, to: from, weight: -r.max, relation: k })
  })
  // A hold ends where its last activity ends, which cannot be before it begins.
  for (const h of holds)
    if (h.to >= 0 && h.to !== h.from)
      edges.push({ from: 2 * h.from, to: 2 * h.to + 1, weight: 0, relation: -1 })
  return edges
}

/** The least instant at which a mode can end, given how long its oven takes to its first heat. */
function heatedEnd(mode: MMode, problem: Problem): number {
  let latest = 0
  mode.phases.forEach((phase, k) => {
    if (!phase.heat) return
    const { lo, hi } = phase.heat
    const ramps = mode.needs[phase.heat.need]!.stations.map((s) => {
      const oven = problem.stations[s]!.oven!
      return lo > oven.start
        ? (lo - oven.start) * oven.heatSecondsPerDegree
        : Math.max(0, oven.start - hi) * oven.coolSecondsPerDegree
    })
    const rest = mode.phases.slice(k).reduce((sum, p) => sum + p.min, 0)
    latest = Math.max(latest, Math.ceil(Math.min(...ramps) - 1e-6) + rest)
  })
  return latest
}
