import type { Plan } from '../plan'
import { rampSeconds, type Problem, type Progress } from '../problem'
import { serves, skilled } from '../solver'
import { counting, ofKind, type Event } from './events'
import { progressOf, type Running, type Standing } from './standing'

/** Longer than any session: until then a place that is out of use stays so, in seconds. */
export const FOR_GOOD = 10_000_000

/** Stations that are out of use now. */
export function outOfUse(events: readonly Event[]): Set<string> {
  const out = new Set<string>()
  for (const e of counting(events)) {
    if (e.kind === 'out') out.add(e.station)
    if (e.kind === 'back') out.delete(e.station)
  }
  return out
}

type Activity = Problem['activities'][number]

/** Whether an activity can be done without these stations, in one of its ways. */
const canWithout = (problem: Problem, { modes }: Activity, out: ReadonlySet<string>): boolean =>
  modes.some((mode) =>
    mode.needs.every((need, k) => {
      const heats = mode.phases.flatMap((p) => (p.heat?.need === k ? [p.heat] : []))
      return problem.stations.some((s) => !out.has(s.id) && serves(s, need, heats))
    }),
  )

/** Activities that have not begun, and that nothing can do that is still of use. */
export function stuckWithout(
  { problem, events }: Pick<Running, 'problem' | 'events'>,
  { plan, now }: { plan: Plan; now: number },
): string[] {
  const out = outOfUse(events)
  if (!out.size) return []
  const known = new Map(problem.activities.map((a) => [a.id, a]))
  return plan.activities
    .filter((a) => a.start >= now && !canWithout(problem, known.get(a.id)!, out))
    .map((a) => a.id)
}

/** The cooks who can do what an activity asks of hands. */
export function ableTo(problem: Problem, activity: string): string[] {
  const modes = problem.activities.find((a) => a.id === activity)?.modes ?? []
  return problem.cooks
    .filter((_, i) =>
      modes.some((m) =>
        m.phases.every((p) => !p.hands || skilled(problem, p.hands.skill).includes(i)),
      ),
    )
    .map((c) => c.id)
}

/** The problem of what is left, with all that has happened as facts, as the contract words it. */
export function problemLeft(running: Running, standing: Standing): Problem {
  const { now, problem } = standing
  const events = counting(running.events)
  const progress = turnedFacts(progressOf(standing), events)
  const begun = new Set(progress.activities.map((a) => a.id))
  const later = new Map(ofKind(events, 'later').map((e) => [e.activity, e.until]))
  const handed = new Map(ofKind(events, 'handed').map((e) => [e.activity, e.to]))
  // What nothing else can do is left where it was, and the cooks are told: the rest has to go on.
  const stuck = new Set(stuckWithout(running, standing))
  const needed = standing.plan.activities.filter((a) => stuck.has(a.id)).flatMap((a) => a.stations)
  const out = outOfUse(events)
  for (const station of needed) out.delete(station)
  const set = new Map(
    ofKind(events, 'done')
      .filter((e) => e.is === 'oven' && e.celsius !== undefined)
      .map((e) => [e.station, e.to]),
  )
  /** By when what is in a place now is out of it. */
  const until = (station: string) =>
    Math.max(
      now,
      ...standing.plan.activities
        .filter((a) => begun.has(a.id) && a.stations.includes(station))
        .map((a) => a.end),
      ...standing.plan.holds.filter((h) => h.station === station && h.from < now).map((h) => h.to),
    )
  return {
    ...problem,
    progress,
    activities: problem.activities.map((known) => {
      const a = lasting(known, progress, events)
      const held = later.get(a.id)
      return held === undefined || begun.has(a.id)
        ? a
        : { ...a, release: Math.max(a.release ?? 0, held) }
    }),
    stations: problem.stations.map((s) => {
      const closed: [number, number][] = []
      if (out.has(s.id)) closed.push([until(s.id), FOR_GOOD])
      // An oven that nobody has set yet is cold, however long ago the plan would have had it set.
      const hot = progress.heats.some((h) => h.station === s.id && h.to === null)
      if (s.oven && !hot) {
        const lowest = leastHeat(problem, s.kind)
        const from = Math.max(set.get(s.id) ?? now, lastHeat(progress.heats, s.id))
        const ready = from + Math.ceil(rampSeconds(s.oven, s.oven.start, lowest))
        if (Number.isFinite(lowest) && lowest > s.oven.start && ready > now)
          closed.push([now, ready])
      }
      return closed.length ? { ...s, unavailable: [...s.unavailable, ...closed] } : s
    }),
    ...(handed.size
      ? {
          pins: [
            ...(problem.pins ?? []).filter((p) => !handed.has(p.activity) || begun.has(p.activity)),
            ...[...handed].flatMap(([activity, cook]) =>
              begun.has(activity) ? [] : [{ activity, cook }],
            ),
          ],
        }
      : {}),
  }
}

/** What goes on another way than it began is a fact of that way. */
function turnedFacts(progress: Progress, events: readonly Event[]): Progress {
  const turned = new Map(ofKind(events, 'turned').map((e) => [e.activity, e.mode]))
  if (!turned.size) return progress
  return {
    ...progress,
    activities: progress.activities.map((a) => {
      const mode = turned.get(a.id)
      return mode === undefined ? a : { ...a, mode }
    }),
  }
}

/** An activity under way that wants longer than was planned, or is done another way: with what it takes now. */
function lasting(activity: Activity, progress: Progress, events: readonly Event[]): Activity {
  const fact = progress.activities.find((a) => a.id === activity.id)
  if (!fact || fact.end !== null) return activity
  const k = fact.phases.length - 1
  const { from, to } = fact.phases[k]!
  if (to !== null) return activity
  const until = ofKind(events, 'more').findLast((e) => e.activity === activity.id && e.phase === k)
  const turn = ofKind(events, 'turned').findLast((e) => e.activity === activity.id && e.phase === k)
  if (!until && !turn) return activity
  const seconds = Math.max(until?.until ?? 0, turn?.until ?? 0) - from
  return {
    ...activity,
    modes: activity.modes.map((mode) =>
      mode.id !== fact.mode
        ? mode
        : {
            ...mode,
            phases: mode.phases.map((phase, i): typeof phase => {
              if (i !== k) return phase
              const [least, most] = phase.seconds
              const now = Math.max(0, turn ? seconds : Math.max(least, seconds))
              return { ...phase, seconds: [now, most === null ? null : Math.max(most, now)] }
            }),
          },
    ),
  }
}

/** The least heat that anything in a kind of oven is baked at. */
const leastHeat = (problem: Problem, kind: string): number =>
  Math.min(
    Infinity,
    ...problem.activities.flatMap((a) =>
      a.modes.flatMap((m) =>
        m.phases.flatMap((p) =>
          p.heat && m.needs[p.heat.need]?.kind === kind ? [p.heat.celsius[0]] : [],
        ),
      ),
    ),
  )

const lastHeat = (heats: readonly { station: string; to: number | null }[], station: string) =>
  heats.reduce((last, h) => (h.station === station ? Math.max(last, h.to ?? 0) : last), 0)
