import type { Model } from '../model/model'
import { TimeWindows } from '../model/timeWindows'
import { PARAMS } from '../params'

const { POWER } = PARAMS.balancedOptions

/** All work that is in a session with some options, and how much it is held up by that. */
interface Load {
  /** Per station and then per cook, seconds of work. */
  work: Float64Array
  present: Uint8Array
  /** Of the longest chain of steps and the work of each station and cook, a mean near the largest. */
  strain: number
}

/**
 * An option for each choice such that the session could be short: one choice after another, the
 * option with which the longest chain of steps and the busiest stations and cooks take least. `possible`
 * has the options of each choice that can be taken at all.
 */
export function balancedOptions(model: Model, possible: number[][]): Int32Array {
  const always = model.activities.filter((a) => a.choice < 0).map((a) => a.index)
  const none = new Float64Array(model.stations.length + model.cooks.length)
  const windows = new TimeWindows(model)
  let load = loadWith(
    model,
    windows,
    { work: none, present: new Uint8Array(model.activities.length) },
    always,
  )
  const taken = new Int32Array(possible.length)
  possible.forEach((options, c) => {
    const { options: all } = model.choices[c]!
    let best: Load | undefined
    for (const option of options) {
      const then = loadWith(model, windows, load, all[option]!.members)
      if (best && then.strain >= best.strain) continue
      best = then
      taken[c] = option
    }
    if (best) load = best
  })
  return taken
}

function loadWith(
  model: Model,
  windows: TimeWindows,
  { work: before, present: there }: Pick<Load, 'work' | 'present'>,
  members: Iterable<number>,
): Load {
  const work = before.slice()
  const present = there.slice()
  for (const i of members) {
    present[i] = 1
    const mode = model.activities[i]!.modes[0]
    if (!mode) continue
    for (const need of mode.needs) {
      const room = need.stations.reduce((sum, s) => sum + model.stations[s]!.capacity, 0)
      for (const s of need.stations) work[s]! += (mode.min * need.amount) / room
    }
    for (const phase of mode.phases)
      if (phase.hands)
        for (const c of phase.cooks)
          work[model.stations.length + c]! += phase.min / phase.cooks.length
  }
  const chain = windows.reset(present, true)
    ? model.activities.reduce(
        (most, a) =>
          present[a.index] && !a.aside ? Math.max(most, windows.lo[2 * a.index + 1]!) : most,
        0,
      )
    : Infinity
  return {
    work,
    present,
    strain: work.reduce((sum, x) => sum + x ** POWER, chain ** POWER),
  }
}
