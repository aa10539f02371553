import { earliest, requirements, tails, type Requirement } from './lags'
import { presentWith, type MActivity, type Model } from './model'

/** What is surely there, given one option or none, with its earliest and tail times. */
export interface Scene {
  present: Uint8Array
  list: Requirement[]
  at: Float64Array
  tail: Float64Array
}

/**
 * Everything outside choices, plus one option of one choice (-1: none). Undefined where its lags
 * contradict each other.
 */
export function sceneOf(model: Model, choice: number, option: number): Scene | undefined {
  const there = presentWith(model, choice, option)
  const zero = 2 * model.activities.length
  // Upper limits are left out: a bound must hold for the lags alone.
  const list = requirements(model, there).filter((r) => r.to !== zero)
  const at = earliest(model, list)
  return at && { present: there, list, at, tail: tails(model, list, there) }
}

/** The activities of a scene that count. */
export const presentIn = (model: Model, s: Scene): MActivity[] =>
  model.activities.filter((a) => s.present[a.index] && !a.aside && a.modes.length)
