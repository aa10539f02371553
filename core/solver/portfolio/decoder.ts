import { Annealing } from '../improve/annealing'
import type { Standing } from '../lcg/model/planFromSolution'
import type { Model } from '../model/model'
import type { PlanBody } from '../model/planBody'
import { encodePlan } from '../sgs/encoding'
import { planFromSchedule } from '../sgs/planFromSchedule'
import { lateness, valuesOfSchedule } from '../sgs/scheduleObjective'
import { SerialSchedule } from '../sgs/serialScheduleGeneration'
import type { Random } from '../structures/random'
import type { Incumbent } from './incumbent'
import { PARAMS } from '../params'

const { LATE, TANGLED } = PARAMS.decoder

/** A schedule that came out. */
interface Assembled {
  energy: number
  late: number
  values: number[]
  body: PlanBody | undefined
}

/** How the candidate came about: as it stands it follows a plan. */
export type Origin = 'plan' | 'construction' | 'change' | 'kick'

/** Puts the candidate of the annealing together as a schedule, and offers what comes of it. */
export class Decoder {
  readonly schedule: SerialSchedule
  readonly annealing: Annealing
  /** Attempts to place something after which a schedule is given up. */
  private attempts = Infinity

  constructor(
    private readonly model: Model,
    random: Random,
    private readonly incumbent: Incumbent,
  ) {
    this.schedule = new SerialSchedule(model)
    this.annealing = new Annealing(model, random)
  }

  /** The candidate's schedule; undefined where it does not come out. */
  assemble(origin: Origin): Assembled | undefined {
    const { incumbent, model, schedule } = this
    const plans = origin === 'plan'
    const before = schedule.work
    if (!schedule.decode(this.annealing.candidate, plans ? Infinity : this.attempts))
      return undefined
    // One that follows a plan hardly tries anything: it says nothing about the others.
    if (!plans && this.attempts === Infinity) this.attempts = TANGLED * (schedule.work - before)
    const late = lateness(model, schedule)
    const plain = !model.facts && !incumbent.previous
    const body = plain ? undefined : planFromSchedule(model, schedule)
    const values = body ? incumbent.valuesOf(body) : valuesOfSchedule(model, schedule)
    const energy = LATE * late + incumbent.allowances.weighted(values, incumbent.best?.values)
    return { energy, late, values, body }
  }

  /** Goes on from what was assembled where annealing does, and offers it; whether it is the best. */
  take({ energy, late, values, body }: Assembled, origin: Origin, iteration: number): boolean {
    const { annealing, incumbent, model, schedule } = this
    if (origin === 'kick' || annealing.accepts(energy, origin === 'construction', iteration))
      annealing.accept(energy, schedule)
    if (late > 0 || !incumbent.isBetter(values)) return false
    return incumbent.offer(body ?? planFromSchedule(model, schedule), values)
  }

  /** The candidate as it stands; whether that is the best plan so far. */
  decode(iteration: number): boolean {
    const found = this.assemble('plan')
    return found !== undefined && this.take(found, 'plan', iteration)
  }

  /** Has the candidate follow a plan. */
  follow(body: Standing): void {
    encodePlan(this.annealing.candidate, this.model, body)
  }

  /** Offers a plan, and the same order put together anew, which is often shorter still. */
  takeUp(body: PlanBody, iteration: number): boolean {
    const better = this.incumbent.offer(body, this.incumbent.valuesOf(body))
    this.follow(body)
    return this.decode(iteration) || better
  }
}
