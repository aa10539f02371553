import { rampSeconds, type Problem } from '../problem'
import type { Plan } from './schema'

/** A heat of an oven with the moment at which the cook has to turn the knob for it. */
export interface OvenSetting {
  station: string
  celsius: number
  method: string
  from: number
  to: number
  setAt: number
}

/** When to set each oven to what: early enough to be at heat when the food goes in. */
export function ovenSettings(problem: Problem, plan: Plan): OvenSetting[] {
  const out: OvenSetting[] = []
  for (const station of problem.stations) {
    if (!station.oven) continue
    let celsius = station.oven.start
    let free = 0
    const heats = plan.heats.filter((h) => h.station === station.id)
    for (const heat of heats.sort((a, b) => a.from - b.from)) {
      const ramp = rampSeconds(station.oven, celsius, heat.celsius)
      out.push({ ...heat, setAt: Math.max(free, Math.floor(heat.from - ramp)) })
      celsius = heat.celsius
      free = heat.to
    }
  }
  return out
}
