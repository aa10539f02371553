import type { Problem } from '../../problem'

/**
 * Whether the search goes through all that the contract allows, so that what it rules out is ruled
 * out. Three things it only builds in one way: a hold to the end is kept for ever, which a later
 * closing of the station forbids and the contract does not; a hold over a single activity beside
 * needs of its own; and who minds what is under way is settled before anything else is placed.
 */
export function searchesAll(problem: Problem): boolean {
  const closed = new Set(
    problem.stations
      .filter((s) => s.unavailable.some(([from, to]) => to > from))
      .map((s) => s.kind),
  )
  if (problem.holds.some((h) => h.to === null && closed.has(h.need.kind))) return false
  if (problem.holds.some((h) => h.from === h.to)) return false
  const underWay = problem.progress?.activities.filter((a) => a.end === null) ?? []
  return !(
    problem.cooks.length > 1 &&
    underWay.some((run) => {
      const spec = problem.activities.find((a) => a.id === run.id)
      const mode = spec?.modes.find((m) => m.id === run.mode)
      return mode?.phases.slice(run.phases.length).some((p) => p.hands ?? p.watch)
    })
  )
}
