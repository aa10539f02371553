import type { Station } from '../../problem'
import type { HeatRun } from '../schema'
import type { Context } from './context'

const TOLERANCE = 1e-6

/** Rule 7: heat segments in range and in order, time to heat and cool, every heat inside one. */
export function checkOvens(context: Context): void {
  const { plan, stations, report } = context
  const byOven = new Map<string, HeatRun[]>()
  for (const heat of plan.heats) {
    if (isFact(context, heat)) {
      byOven.set(heat.station, [...(byOven.get(heat.station) ?? []), heat])
      continue
    }
    const station = stations.get(heat.station)
    const say = (message: string) =>
      report({ rule: 7, subject: heat.station, from: heat.from, to: heat.to, message })
    if (!station?.oven) {
      say('has a heat segment and is not an oven')
      continue
    }
    const { min, max, methods } = station.oven
    if (heat.celsius < min - TOLERANCE || heat.celsius > max + TOLERANCE)
      say(`is set to ${heat.celsius} °C, its range is ${min} to ${max}`)
    if (!methods.includes(heat.method)) say(`cannot ${heat.method}`)
    if (heat.to < heat.from) say('has a heat segment that ends before it begins')
    byOven.set(heat.station, [...(byOven.get(heat.station) ?? []), heat])
  }
  for (const [id, heats] of byOven) checkRamps(stations.get(id)!, heats, context)
  checkHeatPhases(context, byOven)
}

/** Whether a segment began before now: its beginning and its temperature are as they are. */
const isFact = ({ facts }: Context, heat: HeatRun) =>
  facts.progress?.heats.some(
    (h) => h.station === heat.station && h.from === heat.from && h.celsius === heat.celsius,
  ) === true

function rampSeconds(oven: NonNullable<Station['oven']>, from: number, to: number): number {
  return to >= from
    ? (to - from) * oven.heatSecondsPerDegree
    : (from - to) * oven.coolSecondsPerDegree
}

function checkRamps(station: Station, heats: HeatRun[], context: Context): void {
  const { report } = context
  const oven = station.oven!
  const order = [...heats].sort((a, b) => a.from - b.from || a.to - b.to)
  let at = 0
  let celsius = oven.start
  for (const heat of order) {
    const ramp = rampSeconds(oven, celsius, heat.celsius)
    if (heat.from - at < ramp - TOLERANCE && !isFact(context, heat))
      report({
        rule: 7,
        subject: station.id,
        from: at,
        to: heat.from,
        message: `has ${heat.from - at} s to go from ${celsius} to ${heat.celsius} °C, needs ${Math.ceil(ramp)} s`,
      })
    at = Math.max(at, heat.to)
    celsius = heat.celsius
  }
}

function checkHeatPhases({ placed, facts, report }: Context, byOven: Map<string, HeatRun[]>): void {
  for (const { activity, mode, run } of placed.values())
    run.phases.forEach((phase, k) => {
      const heat = mode.phases[k]?.heat
      if (!heat || facts.phase(activity.id, k) !== undefined) return
      const station = run.stations[heat.need] ?? ''
      const inside = (byOven.get(station) ?? []).some(
        (h) =>
          h.from <= phase.from &&
          phase.to <= h.to &&
          h.method === heat.method &&
          h.celsius >= heat.celsius[0] - TOLERANCE &&
          h.celsius <= heat.celsius[1] + TOLERANCE,
      )
      if (!inside)
        report({
          rule: 7,
          subject: activity.id,
          from: phase.from,
          to: phase.to,
          message: `phase ${k + 1} wants "${station}" at ${heat.celsius.join(' to ')} °C, ${heat.method}, for its whole length`,
        })
    })
}
