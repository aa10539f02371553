import { ownValue } from '../../../problem'
import type { Literal } from '../engine/trail'
import type { LMode, SessionModel } from './sessionModel'
import type { PlanBody } from '../../model/planBody'

const UNKNOWN = -1

/** A warm start: the value that a plan gives to every variable, -1 where it says nothing. */
export function warmStart(session: SessionModel, body: PlanBody): Int32Array {
  const { model, engine } = session
  const { problem } = model
  const value = new Int32Array(engine.size / 2).fill(UNKNOWN)
  const say = (literal: Literal, truth: boolean) => {
    if (literal >= 0) value[literal >> 1] = truth === ((literal & 1) === 0) ? 1 : 0
  }
  const runs = new Map(body.activities.map((r) => [r.id, r]))
  const stationIndex = new Map(problem.stations.map((s, i) => [s.id, i]))
  const cookIndex = new Map(problem.cooks.map((c, i) => [c.id, i]))
  const serves = (place: number, station: string) =>
    session.places[place]!.stations.includes(stationIndex.get(station)!)

  session.options.forEach((literals, c) => {
    const choice = problem.choices[c]!
    literals.forEach((literal, j) =>
      say(literal, choice.options[j]!.id === ownValue(body.choices, choice.id)),
    )
  })
  for (const a of session.activities) {
    if (!a) continue
    const run = runs.get(problem.activities[a.index]!.id)
    say(a.literal, run !== undefined)
    a.modes.forEach((mode, m) => {
      const taken =
        run !== undefined &&
        run.mode ===
          problem.activities[a.index]!.modes[model.activities[a.index]!.modes[m]!.index]!.id
      say(mode.literal, taken)
      modeValues(mode, taken ? run : undefined)
    })
    if (!run) continue
    value[a.start] = run.start
    value[a.end] = run.end
  }

  function modeValues(mode: LMode, run: PlanBody['activities'][number] | undefined) {
    mode.phases.forEach((phase, k) => {
      const done = run?.phases[k]
      if (done && k + 1 < mode.phases.length) value[phase.to] = done.to
      for (const c of phase.cooks)
        say(c.literal, done?.cook !== undefined && cookIndex.get(done.cook) === c.cook)
    })
    mode.places.forEach((able, k) => {
      for (const p of able) say(p.literal, run !== undefined && serves(p.place, run.stations[k]!))
    })
  }

  for (const h of session.holds) {
    const run = h && body.holds.find((r) => r.id === problem.holds[h.index]!.id)
    for (const p of h?.places ?? [])
      say(p.literal, run !== undefined && serves(p.place, run.station))
  }
  for (const w of session.washes) {
    const place = w.uses.find(
      (u) => u.use.literal < 0 || value[u.use.literal >> 1] === 1 - (u.use.literal & 1),
    )
    const begin = place ? value[place.use.s]! : UNKNOWN
    const chore = body.chores
      .filter((c) => place && stationIndex.get(c.station) === place.station && c.to <= begin)
      .sort((a, b) => b.to - a.to)[0]
    const used =
      chore &&
      session.places.some(
        (p) =>
          p.stations[0] === place!.station &&
          p.uses.some((u) => value[u.s]! >= chore.to && value[u.s]! < begin),
      )
    const done = chore && !used ? chore : undefined
    say(w.literal, done !== undefined)
    for (const c of w.cooks)
      say(c.literal, done !== undefined && cookIndex.get(done.cook) === c.cook)
    if (!done) continue
    value[w.start] = done.from
    value[w.end] = done.to
  }
  for (const { literal, first, second } of session.orders) {
    const [end, start] = [at(first.e), at(second.s)]
    if (end >= 0 && start >= 0) say(literal, end <= start)
  }
  function at(x: number): number {
    if (x === session.forever) return engine.horizonOf(x)
    const fixed = engine.horizonOf(x)
    return value[x]! >= 0 ? value[x]! : engine.isFixed(x) ? fixed : UNKNOWN
  }
  return value
}
