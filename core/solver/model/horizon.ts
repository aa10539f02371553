import { NEVER, type Model } from './model'

/** Latest instant that anything may reach in a plan worth looking for. */
export function horizonOf(model: Model): number {
  let sum = 3600
  for (const a of model.activities)
    for (const m of a.modes) for (const p of m.phases) sum += p.max < NEVER ? p.max : p.min
  for (const e of model.edges) sum += Math.abs(e.weight)
  for (const s of model.stations) {
    sum += (s.wash?.seconds ?? 0) * model.activities.length
    for (const [, to] of s.away) sum += to
    if (s.oven) sum += 600 * (s.oven.heat + s.oven.cool) * (1 + model.activities.length)
  }
  for (const c of model.cooks) for (const [, to] of c.away) sum += to
  for (const a of model.activities) sum += a.release + model.longestClean
  return Math.min(Math.ceil(sum + (model.facts?.now ?? 0)), 500_000_000)
}

/** The latest instant by which the session has to have begun, as its own limits say; none: undefined. */
export function latestBeginning(model: Model): number | undefined {
  const latest = model.activities
    .filter((a) => a.choice < 0 && !a.aside)
    .map((a) => {
      const end = Math.min(a.due, model.deadline)
      return Math.min(a.latestStart, end < NEVER ? end - a.min : NEVER)
    })
    .reduce((least, start) => Math.min(least, start), NEVER)
  return latest < NEVER ? latest : undefined
}
