import { ownValue } from '../../problem'
import { NEVER, type Model } from '../model/model'
import { below, type Random } from '../structures/random'
import type { Chore } from './stationTime'
import type { PlanBody } from '../model/planBody'

/** Places kept for the phases, and for the needs, of one activity; further ones have no wish. */
export const WISHES = 8

/**
 * What a search decides; the schedule follows from it. Who does what on which station is only
 * a wish that counts where it costs no time: with the starts and ends of an earlier schedule as
 * earliest instants, the wishes of that schedule lead to it again.
 */
export interface Encoding {
  /** Less comes first. */
  priority: Float64Array
  /** Index into the activity's usable modes; -1: whichever ends first. */
  mode: Int32Array
  /** Option taken of each choice. */
  option: Int32Array
  /** Earliest start and end of each activity (nodes 2i and 2i + 1), beyond what the lags say. */
  floor: Int32Array
  /** Who would rather do a phase, `[WISHES * activity + phase]`; -1: no wish. */
  cook: Int32Array
  /** What would rather serve a need, `[WISHES * activity + need]`, then a hold; -1: no wish. */
  seat: Int32Array
  /** When and by whom each station would rather be washed, or `shift` seconds earlier. */
  washes: (readonly Chore[])[]
  shift: number
  /** A waiting activity whose window is at most this wide, in seconds, goes before all others. */
  urgency: number
  /** Where several cooks could begin at once: whoever can best be spared, or as listed. */
  spare: boolean
  /** Seconds that hands work may wait for whoever would rather do it. */
  patience: number
  /** Whether what keeps hands for long goes behind all such work that its cook has by then. */
  inOrder: boolean
  /** Starts and ends in the schedule they were taken from; -1: absent. */
  at: Int32Array
}

const NO_WASHES: readonly Chore[] = []

export function emptyEncoding(model: Model): Encoding {
  const n = model.activities.length
  return {
    priority: new Float64Array(n),
    mode: new Int32Array(n).fill(-1),
    option: new Int32Array(model.choices.length),
    floor: new Int32Array(2 * n),
    cook: new Int32Array(WISHES * n).fill(-1),
    seat: new Int32Array(WISHES * n + model.holds.length).fill(-1),
    washes: model.stations.map(() => NO_WASHES),
    shift: 0,
    urgency: NEVER,
    spare: false,
    patience: 0,
    inOrder: false,
    at: new Int32Array(2 * n).fill(-1),
  }
}

export function copyEncoding(from: Encoding, to: Encoding): void {
  to.priority.set(from.priority)
  to.mode.set(from.mode)
  to.option.set(from.option)
  to.floor.set(from.floor)
  to.cook.set(from.cook)
  to.seat.set(from.seat)
  for (let s = 0; s < from.washes.length; s++) to.washes[s] = from.washes[s]!
  to.shift = from.shift
  to.urgency = from.urgency
  to.spare = from.spare
  to.patience = from.patience
  to.inOrder = from.inOrder
  to.at.set(from.at)
}

/** No earliest instants and no wishes. */
export function forget(encoding: Encoding): void {
  encoding.floor.fill(0)
  encoding.cook.fill(-1)
  encoding.seat.fill(-1)
  encoding.washes.fill(NO_WASHES)
  encoding.shift = 0
  encoding.patience = 0
  encoding.inOrder = false
}

/** No wishes of one activity. */
export function forgetWishes(encoding: Encoding, activity: number): void {
  encoding.cook.fill(-1, WISHES * activity, WISHES * (activity + 1))
  encoding.seat.fill(-1, WISHES * activity, WISHES * (activity + 1))
}

/**
 * An encoding that leads to a plan again, or where it breaks a rule, to what is nearest to it. What the
 * plan does not know, or knows otherwise, is left open.
 */
export function encodePlan(encoding: Encoding, model: Model, body: Omit<PlanBody, 'heats'>): void {
  const { problem } = model
  const stationAt = (id: string) => problem.stations.findIndex((s) => s.id === id)
  const cookAt = (id: string | undefined) => problem.cooks.findIndex((c) => c.id === id)
  forget(encoding)
  encoding.urgency = 0
  problem.choices.forEach((choice, c) => {
    const option = choice.options.findIndex((o) => o.id === ownValue(body.choices, choice.id))
    if (option >= 0 && model.choices[c]!.options[option]!.possible) encoding.option[c] = option
  })
  for (const run of body.activities) {
    const i = model.indexOf.get(run.id)
    if (i === undefined) continue
    const { modes } = problem.activities[i]!
    encoding.priority[i] = run.start
    encoding.floor[2 * i] = run.start
    encoding.floor[2 * i + 1] = run.end
    encoding.mode[i] = model.activities[i]!.modes.findIndex((m) => modes[m.index]!.id === run.mode)
    run.phases.forEach(({ cook }, k) => wish(encoding.cook, i, k, cookAt(cook)))
    run.stations.forEach((station, k) => wish(encoding.seat, i, k, stationAt(station)))
  }
  for (const hold of body.holds) {
    const h = problem.holds.findIndex((x) => x.id === hold.id)
    if (h < 0) continue
    encoding.seat[WISHES * model.activities.length + h] = stationAt(hold.station)
  }
  for (const { station, cook, from, to } of body.chores) {
    const s = stationAt(station)
    if (s < 0) continue
    encoding.washes[s] = [...encoding.washes[s]!, { cook: cookAt(cook), from, to }]
  }
}

export function wish(wishes: Int32Array, activity: number, k: number, value: number): void {
  if (k < WISHES) wishes[WISHES * activity + k] = value
}

/** Another way to do a step, or whichever ends first. */
export function otherMode(model: Model, random: Random, encoding: Encoding, i: number): void {
  const { modes } = model.activities[i]!
  encoding.mode[i] = modes.length < 2 ? -1 : below(random, modes.length + 1) - 1
}
