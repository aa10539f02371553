import { expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { homeSession } from '../../../bench/sessions'
import { buildModel } from '../model/buildModel'
import { Construction } from './construction'
import { firstTrials } from './firstTrials'
import { emptyEncoding } from '../sgs/encoding'
import { NEVER, type Model } from '../model/model'
import { seeded } from '../structures/random'
import { priorityRules } from './priorityRules'
import { shortest } from '../portfolio/shortest.fixture'

const SIZES = [20, 80, 81, 160, 161, 300]

it('tries no way twice, every kind of rule, and what nearly always comes out', () => {
  for (const underWay of [false, true])
    for (const steps of SIZES) {
      const trials = firstTrials(steps, underWay)
      expect(new Set(trials.map((t) => JSON.stringify(t))).size).toBe(trials.length)
      const rules = new Set(trials.map((t) => t.rule))
      for (const rule of ['tail', 'due', 'clean', 'dish', 'shaken', 'oneByOne'] as const)
        expect(rules).toContain(rule)
      if (!underWay) expect([...rules].filter((r) => /up|down/.test(r)).length).toBeGreaterThan(2)
    }
})

/** The usual options of a session. */
function usualOptions(model: Model): Int32Array {
  const encoding = emptyEncoding(model)
  new Construction(model, seeded(1)).next(0, encoding, encoding)
  return encoding.option
}

it('is better after four ways than every rule in the same way, on most sessions', () => {
  const models = [1, 2, 3, 4, 5].flatMap((seed) => [
    buildModel(homeSession(9, seed)),
    buildModel(everyFeature(9, seed)),
    buildModel(homeSession(18, seed)),
  ])
  let better = 0
  for (const model of models) {
    const options = usualOptions(model)
    const four = firstTrials(model.activities.length, false).slice(0, 4)
    const same = [...priorityRules(model, options).keys()].map((rule) => ({
      rule,
      urgency: NEVER,
      spare: false,
    }))
    if (shortest(model, options, four) < shortest(model, options, same)) better++
  }
  expect(better).toBeGreaterThan(models.length / 2)
})
