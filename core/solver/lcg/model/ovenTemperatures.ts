import { ALWAYS, NEVER_SO } from '../engine/literals'
import { apart, type OrderLiterals } from './orderLiterals'
import type { SessionModel } from './sessionModel'
import { isBegun } from '../../model/model'

/** Heats of one oven that no one temperature and method serves follow each other with a ramp. */
export function addOvenTemperatures(session: SessionModel, order: OrderLiterals): void {
  const { engine, model } = session
  for (const [p, place] of session.places.entries()) {
    const station = model.stations[place.stations[0]!]!
    if (!station.oven) continue
    const range = model.problem.stations[station.index]!.oven!
    const heats = session.activities.flatMap((a) =>
      a
        ? a.modes.flatMap((mode, m) =>
            mode.phases.flatMap((phase, k) => {
              const spec = model.activities[a.index]!.modes[m]!.phases[k]!
              if (!spec.heat) return []
              const literal = mode.places[spec.heat.need]!.find((x) => x.place === p)?.literal
              if (literal === undefined || literal === NEVER_SO) return []
              const lo = Math.max(spec.heat.lo, range.min)
              const hi = Math.min(spec.heat.hi, range.max)
              return [
                {
                  s: phase.from,
                  e: phase.to,
                  activity: a.index,
                  until: a.index,
                  station: station.index,
                  lo,
                  hi,
                  least: isBegun(model, a.index, k) ? 0 : spec.min,
                  method: spec.heat.method,
                  literal,
                  fact: isBegun(model, a.index, k),
                },
              ]
            }),
          )
        : [],
    )
    session.heats.push(...heats)
    const { start, from, heat, cool } = station.oven
    const ramp = (lo: number, hi: number, to: { lo: number; hi: number }) =>
      Math.ceil((hi < to.lo ? (to.lo - hi) * heat : lo > to.hi ? (lo - to.hi) * cool : 0) - 1e-6)
    heats.forEach((a, i) => {
      const first = from + ramp(start, start, a)
      if (first > 0 && !a.fact)
        engine.precedences.add(session.zero, a.s, first, a.literal === ALWAYS ? [] : [a.literal])
      for (const b of heats.slice(i + 1)) {
        if (a.activity === b.activity) continue
        const apartBy: [number, number] = [ramp(a.lo, a.hi, b), ramp(b.lo, b.hi, a)]
        if (apartBy[0] + apartBy[1] > 0 || a.method !== b.method)
          apart(session, order, a, b, apartBy, [a.literal, b.literal])
        // Not excluded by themselves, but perhaps by a third: cuts will speak of their order.
        else
          for (const [x, y] of [
            [a, b],
            [b, a],
          ] as const)
            order.strict(x, y)
      }
    })
  }
}
