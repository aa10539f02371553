import type { Activity, Mode, Problem, Progress } from '../../problem'

export type FactRun = Progress['activities'][number]

/** A stretch of hands work that lies behind one cook; class -1 for a wash. */
export interface PastTouch {
  from: number
  to: number
  hygiene: number
}

/** What stood on a station that is washed and stands there no more; contents -1: none named. */
export interface PastUse {
  from: number
  to: number
  contents: number
}

/**
 * The past of a session under way in numbers: all that still matters for what comes. Times are
 * seconds; everything that is over lies at or before `now`.
 */
export interface Facts {
  now: number
  /** Per cook, by end and without overlaps. */
  touches: PastTouch[][]
  /** Per station, by start. */
  uses: PastUse[][]
  /** Per station; a wash under way ends as soon as it may. */
  chores: { from: number; to: number; cook: number }[][]
}

interface Numbers {
  hygiene: (name: string) => number
  contents: (name: string) => number
}

/** Reads the progress of a problem; nothing where the session has not begun. */
export function factsOf(problem: Problem, numbers: Numbers): Facts | undefined {
  const { progress } = problem
  if (!progress) return undefined
  const { now } = progress
  const cookIndex = new Map(problem.cooks.map((c, i) => [c.id, i]))
  const stationIndex = new Map(problem.stations.map((s, i) => [s.id, i]))
  const touches: PastTouch[][] = problem.cooks.map(() => [])
  const uses: PastUse[][] = problem.stations.map(() => [])
  const chores: Facts['chores'] = problem.stations.map(() => [])
  const washed = (s: number) => problem.stations[s]!.wash !== undefined

  for (const run of progress.activities) {
    const activity = problem.activities.find((a) => a.id === run.id)!
    const mode = activity.modes.find((m) => m.id === run.mode)!
    run.phases.forEach((phase, k) => {
      if (phase.to === null || !mode.phases[k]!.hands) return
      touches[cookIndex.get(phase.cook!)!]!.push({
        from: phase.from,
        to: phase.to,
        hygiene: numbers.hygiene(activity.hygiene),
      })
    })
    if (run.end === null) continue
    run.stations.forEach((id, k) => {
      const { contents } = mode.needs[k]!
      const s = stationIndex.get(id)!
      if (washed(s))
        uses[s]!.push({
          from: run.start,
          to: run.end!,
          contents: contents === undefined ? -1 : numbers.contents(contents),
        })
    })
  }
  for (const run of progress.holds) {
    if (run.to === null) continue
    const { contents } = problem.holds.find((h) => h.id === run.id)!.need
    const s = stationIndex.get(run.station)!
    if (washed(s))
      uses[s]!.push({
        from: run.from,
        to: run.to,
        contents: contents === undefined ? -1 : numbers.contents(contents),
      })
  }
  for (const run of progress.chores) {
    const s = stationIndex.get(run.station)!
    const cook = cookIndex.get(run.cook)!
    const to = run.to ?? Math.max(now, run.from + (problem.stations[s]!.wash?.seconds ?? 0))
    chores[s]!.push({ from: run.from, to, cook })
    touches[cook]!.push({ from: run.from, to, hygiene: -1 })
  }
  for (const list of uses) list.sort((a, b) => a.from - b.from || a.to - b.to)
  return { now, touches: touches.map(inTurn), uses, chores }
}

/** Hands may have been in two places, as hands are; what is left of each counts once. */
function inTurn(list: PastTouch[]): PastTouch[] {
  let at = 0
  return list
    .sort((a, b) => a.to - b.to || a.from - b.from)
    .map((t) => {
      const from = Math.min(t.to, Math.max(t.from, at))
      at = t.to
      return { ...t, from }
    })
}

/** How an oven stands: its temperature at the latest fact, and since when it is free to change. */
export function ovenFact(problem: Problem, station: number) {
  const heats = problem.progress?.heats.filter((h) => h.station === problem.stations[station]!.id)
  if (!heats?.length) return undefined
  const last = heats.find((h) => h.to === null) ?? heats.reduce((a, b) => (b.to! > a.to! ? b : a))
  return { from: last.from, to: last.to, celsius: last.celsius, method: last.method }
}

/** The mode as what is left of it: phases that are over are plain time, the running one is begun. */
export function modeUnderWay(mode: Mode, run: FactRun, problem: Problem): Mode {
  const { now, heats } = problem.progress!
  const last = run.phases.length - 1
  return {
    ...mode,
    phases: mode.phases.map((phase, k) => {
      const done = run.phases[k]
      if (!done) return phase
      if (done.to !== null) return { seconds: [done.to - done.from, done.to - done.from] }
      const [least, most] = phase.seconds
      const so = now - done.from
      // Past its most it ends as soon as somebody can see to it, whenever that is.
      const seconds: [number, number | null] = [
        Math.max(least, so),
        most === null || so > most ? null : most,
      ]
      if (!phase.heat || k !== last) return { ...phase, seconds }
      const oven = heats.find((h) => h.to === null && h.station === run.stations[phase.heat!.need])!
      return {
        ...phase,
        seconds,
        heat: { ...phase.heat, celsius: [oven.celsius, oven.celsius], method: oven.method },
      }
    }),
  }
}

/** Whether the running phase has gone past its most. */
export function overdue(activity: Activity, run: FactRun, now: number): boolean {
  const k = run.phases.length - 1
  const most = activity.modes.find((m) => m.id === run.mode)?.phases[k]?.seconds[1]
  return run.end === null && most != null && now - run.phases[k]!.from > most
}
