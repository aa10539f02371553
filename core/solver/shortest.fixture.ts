import { planBody } from './emit'
import type { Trial } from './firstTrials'
import { emptyGenes } from './genes'
import type { Model } from './model'
import { seeded } from './random'
import { priorityRules } from './rules'
import { Schedule } from './schedule'

/** Seconds of the shortest schedule that some ways lead to. */
export function shortest(model: Model, options: Int32Array, trials: Trial[]): number {
  const schedule = new Schedule(model)
  const genes = emptyGenes(model)
  const rules = priorityRules(model, options)
  genes.option.set(options)
  return trials.reduce((least, { rule, urgency, spare }) => {
    genes.priority.set(rules.get(rule)!(seeded(1)))
    genes.urgency = urgency
    genes.spare = spare
    return schedule.decode(genes) ? Math.min(least, planBody(model, schedule).makespan) : least
  }, Infinity)
}
