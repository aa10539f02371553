import type { Problem } from '../../problem'
import { PARAMS } from '../params'

const { MOST } = PARAMS.earlyEnds

/**
 * Copies of a problem in which all is over before a station closes that is held to the end: the search
 * keeps such a hold for ever, and would wait until the station opens again. A plan of a copy is one of the
 * problem.
 */
export function earlyEnds(problem: Problem): Problem[] {
  const held = new Set(problem.holds.filter((h) => h.to === null).map((h) => h.need.kind))
  const closings = problem.stations
    .filter((s) => held.has(s.kind))
    .flatMap((s) => s.unavailable.filter(([from, to]) => to > from).map(([from]) => from))
    .filter((from) => from > 0 && from <= (problem.deadline ?? Infinity))
  const ends = [...new Set(closings)].sort((a, b) => a - b).slice(0, MOST)
  return ends.map((end) => ({
    ...problem,
    deadline: end,
    stations: problem.stations.map((s) =>
      held.has(s.kind) ? { ...s, unavailable: s.unavailable.filter(([from]) => from < end) } : s,
    ),
  }))
}
