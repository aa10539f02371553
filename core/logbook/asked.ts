import type { Problem } from '../problem'
import { rampSeconds } from '../problem'
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

/** The problem of what is left, with all that has happened as facts, as the contract words it. */
export function problemLeft(running: Running, standing: Standing): Problem {
  const { problem } = running
  const { now } = standing
  const events = counting(running.events)
  const progress = progressOf(problem, standing)
  const begun = new Set(progress.activities.map((a) => a.id))
  const later = new Map(ofKind(events, 'later').map((e) => [e.activity, e.until]))
  const handed = new Map(ofKind(events, 'handed').map((e) => [e.activity, e.to]))
  const out = outOfUse(events)
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
    activities: problem.activities.map((a) => {
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
