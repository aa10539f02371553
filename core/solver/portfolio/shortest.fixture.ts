import { planFromSchedule } from '../sgs/planFromSchedule'
import type { Trial } from '../construct/firstTrials'
import { emptyEncoding } from '../sgs/encoding'
import type { Model } from '../model/model'
import { seeded } from '../structures/random'
import { priorityRules } from '../construct/priorityRules'
import { SerialSchedule } from '../sgs/serialScheduleGeneration'

/** Seconds of the shortest schedule that some ways lead to. */
export function shortest(model: Model, options: Int32Array, trials: Trial[]): number {
  const schedule = new SerialSchedule(model)
  const encoding = emptyEncoding(model)
  const rules = priorityRules(model, options)
  encoding.option.set(options)
  return trials.reduce((least, { rule, urgency, spare }) => {
    encoding.priority.set(rules.get(rule)!(seeded(1)))
    encoding.urgency = urgency
    encoding.spare = spare
    return schedule.decode(encoding)
      ? Math.min(least, planFromSchedule(model, schedule).makespan)
      : least
  }, Infinity)
}
