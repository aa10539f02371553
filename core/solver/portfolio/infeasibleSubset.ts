import type { Problem } from '../../problem'
import { Search } from './search'
import { PARAMS } from '../params'

const { STEPS, MOST } = PARAMS.infeasibleSubset

interface Limit {
  words: string
  without: Problem
}

/**
 * Where a search has proven that there is no plan: the limits that are part of every clash, in
 * words. Each is left out alone; where a plan turns up then, it cannot be done without. Limits that
 * clash in several ways at once are not found so, and the list may be empty.
 */
export function infeasibleSubset(problem: Problem, expired: () => boolean): string[] {
  const found: string[] = []
  for (const { words, without } of limitsOf(problem).slice(0, MOST)) {
    if (expired()) break
    const search = new Search(without, 1)
    search.expired = expired
    for (let k = 0; k < STEPS && !search.best && !search.infeasible && !expired(); k++)
      search.step()
    if (search.best) found.push(`without this there would be a plan: ${words}`)
  }
  return found
}

/** Everything in a problem that only forbids: with any of it left out it is the same, but freer. */
function limitsOf(problem: Problem): Limit[] {
  const limits: Limit[] = []
  const add = (words: string, change: Partial<Problem>) =>
    limits.push({ words, without: { ...problem, ...change } })
  if (problem.deadline !== undefined)
    add(`the deadline at ${problem.deadline} s`, { deadline: undefined })
  problem.activities.forEach((a, i) => {
    if (a.due === undefined) return
    const activities = problem.activities.with(i, { ...a, due: undefined })
    add(`"${a.id}" is due at ${a.due} s`, { activities })
  })
  problem.pins?.forEach((pin, i) =>
    add(`the pin of "${pin.activity}"`, { pins: problem.pins!.toSpliced(i, 1) }),
  )
  problem.cooks.forEach((c, i) =>
    c.unavailable.forEach(([from, to], k) => {
      const cooks = problem.cooks.with(i, { ...c, unavailable: c.unavailable.toSpliced(k, 1) })
      add(`"${c.id}" is away from ${from} s to ${to} s`, { cooks })
    }),
  )
  problem.stations.forEach((s, i) =>
    s.unavailable.forEach(([from, to], k) => {
      const stations = problem.stations.with(i, {
        ...s,
        unavailable: s.unavailable.toSpliced(k, 1),
      })
      add(`"${s.id}" cannot be used from ${from} s to ${to} s`, { stations })
    }),
  )
  problem.relations.forEach((r, i) => {
    if (r.max === undefined) return
    const relations = problem.relations.with(i, { ...r, max: undefined })
    add(`at most ${r.max} s from "${r.from}" to "${r.to}" (${r.kind})`, { relations })
  })
  return limits
}
