import { UndoLog } from '../../structures/undoLog'
import { OvenTime } from '../../sgs/ovenTime'
import { ALWAYS } from '../engine/literals'
import type { Literal } from '../engine/trail'
import type { LMode, SessionModel } from './sessionModel'
import { choreFacts, factRun, heatFacts, holdFacts, type PlanBody } from '../../model/planBody'

/** All of a plan but its oven temperatures. */
export type Standing = Omit<PlanBody, 'heats'>

/** The solution that stands in the engine as a plan; undefined where its heats do not fit. */
export function planFromSolution(session: SessionModel): PlanBody | undefined {
  const standing = standingIn(session)
  const heats = heatsOf(session, standing.activities)
  return heats && { ...standing, heats }
}

/** The solution that stands in the engine, whether it keeps all rules or not. */
export function standingIn(session: SessionModel): Standing {
  const { model, engine } = session
  const { problem } = model
  const yes = (literal: Literal) => literal === ALWAYS || (literal >= 0 && engine.isTrue(literal))
  const present = session.activities.flatMap((a) => (a && yes(a.literal) ? [a] : []))
  const station = seats(session, yes)
  const modeOf = (a: (typeof present)[number]): [LMode, number] => {
    const m = a.modes.findIndex((mode) => yes(mode.literal))
    return [a.modes[m]!, m]
  }
  const activities = present
    .map((a) => {
      const over = factRun(model.activities[a.index]!)
      if (over) return over
      const [mode, m] = modeOf(a)
      const spec = problem.activities[a.index]!
      const index = model.activities[a.index]!.modes[m]!.index
      return {
        id: spec.id,
        mode: spec.modes[index]!.id,
        start: engine.lo(a.start),
        end: engine.lo(a.end),
        stations: mode.places.map((_, k) => station(`${a.index}.${index}.${k}`)),
        phases: mode.phases.map((p, k) => {
          const done = model.activities[a.index]!.fact?.phases[k]
          if (done?.to != null) return { ...done, to: done.to }
          const cook = p.cooks.find((c) => yes(c.literal))
          const run = { from: engine.lo(p.from), to: engine.lo(p.to) }
          return cook ? { ...run, cook: problem.cooks[cook.cook]!.id } : run
        }),
      }
    })
    .sort((a, b) => a.start - b.start || a.end - b.end)
  const latest = activities.reduce((most, a) => Math.max(most, a.end), 0)
  const aside = new Set(problem.activities.filter((a) => a.aside).map((a) => a.id))
  return {
    makespan: activities.reduce((most, a) => (aside.has(a.id) ? most : Math.max(most, a.end)), 0),
    choices: choicesOf(session),
    activities,
    holds: [
      ...holdFacts(model),
      ...session.holds.flatMap((h) =>
        h && yes(h.literal)
          ? [
              {
                id: problem.holds[h.index]!.id,
                station: station(`h${h.index}`),
                from: engine.lo(h.start),
                to: h.end === session.forever ? latest : engine.lo(h.end),
              },
            ]
          : [],
      ),
    ],
    chores: [
      ...choreFacts(model),
      ...session.washes.flatMap((w) => {
        const use = w.uses.find((u) => yes(u.use.literal))
        const cook = w.cooks.find((c) => yes(c.literal))
        return use && cook && engine.isTrue(w.literal)
          ? [
              {
                kind: 'wash' as const,
                station: problem.stations[use.station]!.id,
                cook: problem.cooks[cook.cook]!.id,
                from: engine.lo(w.start),
                to: engine.lo(w.end),
              },
            ]
          : []
      }),
    ],
  }
}

function choicesOf(session: SessionModel): PlanBody['choices'] {
  const { engine, model } = session
  const yes = (literal: Literal) => literal === ALWAYS || (literal >= 0 && engine.isTrue(literal))
  return Object.fromEntries(
    model.problem.choices.map((choice, k) => {
      const literals = session.options[k]!
      return [choice.id, choice.options[literals.findIndex((literal) => yes(literal))]!.id]
    }),
  )
}

/** Which station of a place of several alike each use gets: the first that is free. */
function seats(
  session: SessionModel,
  yes: (literal: Literal) => boolean,
): (need: string) => string {
  const { engine, model, places } = session
  const seat = new Map<string, number>()
  for (const place of places) {
    const uses = place.uses
      .filter((u) => yes(u.literal))
      .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
    const free = place.stations.map(() => 0)
    for (const use of uses) {
      const k = place.stations.length === 1 ? 0 : free.findIndex((t) => t <= engine.lo(use.s))
      if (k < 0) continue
      free[k] = engine.lo(use.e)
      seat.set(use.need, place.stations[k]!)
    }
  }
  return (need) => model.problem.stations[seat.get(need) ?? 0]!.id
}

function heatsOf(
  session: SessionModel,
  runs: PlanBody['activities'],
): PlanBody['heats'] | undefined {
  const { model } = session
  const { problem } = model
  const out: PlanBody['heats'] = []
  for (const s of model.stations) {
    if (!s.oven) continue
    const range = problem.stations[s.index]!.oven!
    const oven = new OvenTime(s, range, new UndoLog())
    for (const run of runs) {
      const i = problem.activities.findIndex((a) => a.id === run.id)
      const mode = model.activities[i]!.modes.find(
        (m) => problem.activities[i]!.modes[m.index]!.id === run.mode,
      )!
      mode.phases.forEach((p, k) => {
        if (!p.heat || run.stations[p.heat.need] !== problem.stations[s.index]!.id) return
        const { from, to } = run.phases[k]!
        oven.take(from, to, p.heat.lo, p.heat.hi, p.heat.method)
      })
    }
    if (!oven.consistent()) return undefined
    out.push(...heatFacts(model, s.index))
    for (const h of oven.segments())
      out.push({
        station: problem.stations[s.index]!.id,
        celsius: h.celsius,
        method: model.methods[h.method]!,
        from: h.from,
        to: h.to,
      })
  }
  return out
}
