import { changed, goodOrders } from './ovenSequencingHeuristics'
import { OvenSequencing } from './ovenSequencing'
import type { Encoding } from '../sgs/encoding'
import { markPresent, type Model, dishOf } from '../model/model'
import { below, type Random } from '../structures/random'
import { headsAndTails } from '../model/headsAndTails'
import { PARAMS } from '../params'

const { TWICE, BEST, FIRST_WAYS, SAME_ORDER, FURTHEST, ANY_WAY, PATIENCE } =
  PARAMS.ovenSequencingSearch

/** How a schedule is put together around an order, see `Encoding`; `timed`: no bake before its turn. */
interface Way {
  urgency: number
  spare: boolean
  timed: boolean
}
const way = (urgency: number, spare: boolean, timed: boolean): Way => ({ urgency, spare, timed })
const WAYS = [
  way(600, true, true),
  way(600, true, false),
  way(600, false, true),
  way(1200, true, true),
  way(600, false, false),
  way(1200, true, false),
  way(1200, false, true),
  way(1200, false, false),
  way(2400, true, true),
  way(2400, true, false),
  way(2400, false, true),
  way(2400, false, false),
  way(300, true, true),
  way(300, true, false),
  way(300, false, true),
  way(300, false, false),
]

/** An order of bakes, and what is added to the priorities that follow from it. */
interface Attempt {
  order: number[]
  extra: Float64Array
  way: number
}

/**
 * Schedules around orders of the bakes: first the orders that are best as if ovens were all there
 * is, then changes of whichever did best, as long as they could be better by that.
 */
export class OvenSequencingSearch {
  private readonly sequence: OvenSequencing
  private readonly first: Attempt[] = []
  private readonly success = WAYS.map(() => 0)
  private readonly none: Float64Array
  private tried: Attempt | undefined
  private best: Attempt | undefined
  /** How long the session is at least in the order that is best as if ovens were all. */
  readonly least: number = 0
  /** Of the best of these so far. */
  energy = Infinity

  constructor(
    private readonly model: Model,
    private readonly random: Random,
    /** Option taken of each choice. */
    readonly option: Int32Array,
  ) {
    const taken = new Uint8Array(model.activities.length)
    markPresent(model, option, taken)
    this.sequence = new OvenSequencing(
      model,
      (a) => taken[a.index] === 1,
      headsAndTails(model, taken),
    )
    this.none = new Float64Array(model.activities.length)
    if (this.sequence.bakes.length < 2) return
    const orders = goodOrders(this.sequence, random)
    this.least = this.sequence.lengthOf(orders[0]!)
    for (const order of orders.slice(0, BEST))
      for (let k = 0; k < FIRST_WAYS; k++) this.first.push({ order, extra: this.none, way: k })
    this.first.reverse()
  }

  /** Sets what the next schedule is put together from; false where nothing better can be expected. */
  next(encoding: Encoding): boolean {
    const attempt = this.first.pop() ?? this.change()
    if (!attempt) return false
    const { sequence } = this
    sequence.lengthOf(attempt.order)
    sequence.priorities(encoding.priority)
    for (let i = 0; i < encoding.priority.length; i++) encoding.priority[i]! += attempt.extra[i]!
    const { urgency, spare, timed } = WAYS[attempt.way]!
    encoding.urgency = urgency
    encoding.spare = spare
    encoding.option.set(this.option)
    if (timed)
      sequence.bakes.forEach(
        ({ activity }, b) => (encoding.floor[2 * activity] = sequence.times[b]!),
      )
    this.tried = attempt
    return true
  }

  /** How good the schedule became that was put together last, if it was one of these: less is better. */
  tell(energy: number): void {
    const { tried } = this
    this.tried = undefined
    if (!tried || energy > this.energy) return
    if (energy < this.energy && this.best) this.success[tried.way]!++
    this.best = tried
    this.energy = energy
  }

  /** What is at least as long as if ovens were all is no better, where it is about length. */
  private get limit(): number {
    return this.model.problem.objective[0] === 'makespan' ? this.energy : Infinity
  }

  private change(): Attempt | undefined {
    const { best, random, success } = this
    if (!best) return undefined
    const way =
      random() < ANY_WAY ? below(random, WAYS.length) : success.indexOf(Math.max(...success))
    if (random() < SAME_ORDER) return { order: best.order, extra: this.nudged(best.extra), way }
    for (let k = 0; k < PATIENCE; k++) {
      let order = changed(best.order, random)
      if (random() < TWICE) order = changed(order, random)
      if (this.sequence.lengthOf(order) < this.limit) return { order, extra: best.extra, way }
    }
    return { order: best.order, extra: this.nudged(best.extra), way }
  }

  /** Some steps or dishes earlier or later than the order says. */
  private nudged(extra: Float64Array): Float64Array {
    const { model, random } = this
    const out = extra.slice()
    const most = FURTHEST * random()
    for (let k = 1 + below(random, 3); k > 0; k--) {
      const by = (2 * random() - 1) * most
      const i = below(random, out.length)
      for (const j of random() < 0.5 ? dishOf(model, i) : [i]) out[j]! += by
    }
    return out
  }
}
