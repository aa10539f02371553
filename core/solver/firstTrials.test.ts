import { expect, it } from 'vitest'
import { everyFeature } from '../../bench/everyFeature'
import { homeSession } from '../../bench/sessions'
import { buildModel } from './buildModel'
import { Construction } from './construction'
import { planBody } from './emit'
import { firstTrials } from './firstTrials'
import { emptyGenes, forget, type Genes } from './genes'
import { NEVER, type Model } from './model'
import { seeded } from './random'
import { priorityRules } from './rules'
import { Schedule } from './schedule'

const SIZES = [20, 80, 81, 160, 161, 300]

it('tries no way twice, every kind of rule, and what nearly always comes out', () => {
  for (const underWay of [false, true])
    for (const steps of SIZES) {
      const trials = firstTrials(steps, underWay)
      expect(new Set(trials.map((t) => JSON.stringify(t))).size).toBe(trials.length)
      const rules = new Set(trials.map((t) => t.rule))
      for (const rule of ['tail', 'due', 'clean', 'dish', 'shaken', 'oneByOne', 'early'] as const)
        if (steps > 80 || underWay || rule !== 'early') expect(rules).toContain(rule)
      if (!underWay) expect([...rules].filter((r) => /up|down/.test(r)).length).toBeGreaterThan(2)
    }
})

/** Seconds of the shortest of some schedules; each way of them with the usual options. */
function shortest(model: Model, ways: ((genes: Genes) => void)[]): number {
  const schedule = new Schedule(model)
  const genes = emptyGenes(model)
  new Construction(model, seeded(1)).next(0, genes, genes)
  const option = genes.option.slice()
  return ways.reduce((least, way) => {
    forget(genes)
    genes.mode.fill(-1)
    genes.option.set(option)
    way(genes)
    return schedule.decode(genes) ? Math.min(least, planBody(model, schedule).makespan) : least
  }, Infinity)
}

it('is better after four ways than every rule in the same way, on most sessions', () => {
  const models = [1, 2, 3, 4, 5].flatMap((seed) => [
    buildModel(homeSession(9, seed)),
    buildModel(everyFeature(9, seed)),
    buildModel(homeSession(18, seed)),
  ])
  let better = 0
  for (const model of models) {
    const options = new Int32Array(model.choices.length)
    const { first, same } = {
      first: firstTrials(model.activities.length, false).slice(0, 4),
      same: [...priorityRules(model, options).values()],
    }
    const rules = priorityRules(model, options)
    const four = first.map((t) => (genes: Genes) => {
      genes.priority.set(rules.get(t.rule)!(seeded(1)))
      genes.urgency = t.urgency
      genes.spare = t.spare
    })
    const plain = same.map((rule) => (genes: Genes) => {
      genes.priority.set(rule(seeded(1)))
      genes.urgency = NEVER
      genes.spare = false
    })
    if (shortest(model, four) <= shortest(model, plain)) better++
  }
  expect(better).toBeGreaterThan(models.length / 2)
})
