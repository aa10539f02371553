import { earliestTimes, timeLags, tails, type TimeLag } from './temporalNetwork'
import { presentWith, type MActivity, type Model } from './model'

/** What is surely there, given one option or none, with its earliest and tail times. */
export interface OptionScenario {
  present: Uint8Array
  list: TimeLag[]
  at: Float64Array
  tail: Float64Array
}

/**
 * Everything outside choices, plus one option of one choice (-1: none). Undefined where its lags
 * contradict each other.
 */
export function scenarioOf(
  model: Model,
  choice: number,
  option: number,
): OptionScenario | undefined {
  const there = presentWith(model, choice, option)
  const zero = 2 * model.activities.length
  // Upper limits are left out: a bound must hold for the lags alone.
  const list = timeLags(model, there).filter((r) => r.to !== zero)
  const at = earliestTimes(model, list)
  return at && { present: there, list, at, tail: tails(model, list, there) }
}

/** The activities of a scenario that count. */
export const presentIn = (model: Model, s: OptionScenario): MActivity[] =>
  model.activities.filter((a) => s.present[a.index] && !a.aside && a.modes.length)
