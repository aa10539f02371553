import { ownValue } from '../../problem'
import type { Model } from './model'
import type { PlanBody } from './planBody'

interface Use {
  from: number
  to: number
  contents: string | undefined
}

/**
 * The body with no wash but those that a gap between two uses asks for, one in each, and those that
 * are facts. A wash written while a schedule was put together may have lost its reason by the end:
 * something else came to stand in between. Leaving it out breaks no rule.
 */
export function withAskedWashes(model: Model, body: PlanBody): PlanBody {
  if (!body.chores.length) return body
  const { problem } = model
  const uses = usesOf(model, body)
  const facts = problem.progress?.chores ?? []
  const isFact = (c: PlanBody['chores'][number]) =>
    facts.some((f) => f.station === c.station && f.cook === c.cook && f.from === c.from)
  const kept = new Set(body.chores.filter(isFact))
  for (const { id, wash } of problem.stations) {
    const own = body.chores.filter((c) => c.station === id)
    if (!wash || !own.length) continue
    const list = (uses.get(id) ?? []).sort((a, b) => a.from - b.from || a.to - b.to)
    for (let i = 1; i < list.length; i++) {
      const [before, after] = [list[i - 1]!, list[i]!]
      const { contents: was } = before
      const { contents: next } = after
      if (was !== undefined && was === next) continue
      const seconds = ownValue(ownValue(wash.between, was), next) ?? wash.seconds
      const fits = own.filter(
        (c) => c.from >= before.to && c.to <= after.from && c.to - c.from >= seconds,
      )
      const asked = fits.find(isFact) ?? fits[0]
      if (seconds > 0 && asked) kept.add(asked)
    }
  }
  if (kept.size === body.chores.length) return body
  return { ...body, chores: body.chores.filter((c) => kept.has(c)) }
}

function usesOf({ problem, indexOf }: Model, body: PlanBody): Map<string, Use[]> {
  const uses = new Map<string, Use[]>()
  const add = (station: string, use: Use) => {
    const list = uses.get(station)
    if (list) list.push(use)
    else uses.set(station, [use])
  }
  for (const run of body.activities) {
    const activity = problem.activities[indexOf.get(run.id)!]!
    const { needs } = activity.modes.find((m) => m.id === run.mode)!
    needs.forEach(({ contents }, k) => {
      const station = run.stations[k]
      if (station !== undefined) add(station, { from: run.start, to: run.end, contents })
    })
  }
  const holds = new Map(problem.holds.map((h) => [h.id, h]))
  for (const { id, station, from, to } of body.holds)
    add(station, { from, to, contents: holds.get(id)?.need.contents })
  return uses
}
