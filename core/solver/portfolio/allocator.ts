import type { FirstSchedules } from './firstSchedules'
import type { Learning } from './learning'
import type { SearchState } from './searchState'
import { STRATEGIES, type Contribution, type Strategy, type StrategyName } from './strategy'
import { PARAMS } from '../params'

const {
  STUCK,
  SOON,
  WARM_UP,
  WARM_UP_WORK,
  LEARNED,
  CYCLE,
  EVERYWHERE,
  AT_BOUND,
  FRESH,
  COPIES_AT,
  REFINED,
  STALE,
} = PARAMS.allocator
const { SMALL } = PARAMS.sizes

/**
 * Who has the next step. An earlier plan is kept to in the first one and copies are looked at in the third.
 * Then learning has every second or third step, once plain schedules have had their time; the objectives after
 * the first have every second one where the first is settled, and few before that; and the first schedules
 * have all others, for as long as there are any, and annealing after them.
 */
export class Allocator {
  readonly contributions = new Map<StrategyName, Contribution>()
  /** Lessons so far in which any of the three kinds could be had. */
  private lessons = 0

  constructor(
    private readonly state: SearchState,
    private readonly strategies: Readonly<Record<StrategyName, Strategy>>,
    private readonly parts: { first: FirstSchedules; learning: Learning },
    private readonly without: ReadonlySet<StrategyName>,
  ) {
    for (const name of STRATEGIES)
      if (!without.has(name))
        this.contributions.set(name, { steps: 0, better: 0, gained: 0, raised: 0 })
  }

  /** One step of whose turn it is; whether the best plan became better. */
  step(): boolean {
    const { incumbent } = this.state
    for (const name of this.turns()) {
      if (this.without.has(name) || !this.strategies[name].ready()) continue
      const { shortest, bound } = incumbent
      const better = this.strategies[name].step()
      const own = this.contributions.get(name)!
      own.raised += incumbent.bound.value - bound.value
      if (better) own.better++
      if (better && shortest < Infinity) own.gained += shortest - incumbent.shortest
      if (better === undefined) continue
      own.steps++
      return better
    }
    return false
  }

  private *turns(): Generator<StrategyName> {
    const { iterations } = this.state
    if (iterations === 1) yield 'keep'
    if (iterations === COPIES_AT) yield 'copies'
    if (this.learns) yield this.lesson()
    if (this.refines) yield 'refine'
    yield 'construct'
    yield 'ovenOrders'
    yield 'anneal'
  }

  private get small(): boolean {
    return this.state.model.activities.length <= SMALL
  }

  /** Whether this step is for learning: once there has been time for plain construction. */
  private get learns(): boolean {
    const { state, small } = this
    const { decoder, incumbent, iterations, model } = state
    if (incumbent.allowances.turn > 0 || incumbent.provenOptimal) return false
    if (this.parts.learning.over) return false
    const stuck = model.facts !== undefined && decoder.annealing.energy === Infinity
    const { length } = this.parts.first
    const built = stuck ? Math.min(length, STUCK) : length
    const first = stuck ? built : small ? SOON : built + WARM_UP
    const warm = iterations > first || (iterations > built && decoder.schedule.work > WARM_UP_WORK)
    return warm && iterations % (small ? LEARNED.small : LEARNED.large) === 0
  }

  /** Mostly near the best plan, now and then everywhere, or at the bound. */
  private lesson(): StrategyName {
    const { best, sinceBest } = this.state.incumbent
    if (!best) return 'lcg'
    if (this.parts.learning.partial || (!this.small && sinceBest < FRESH)) return 'lns'
    const turn = this.lessons++ % CYCLE
    return turn === AT_BOUND ? 'raiseBound' : turn === EVERYWHERE ? 'lcg' : 'lns'
  }

  private get refines(): boolean {
    const { incumbent, iterations } = this.state
    return incumbent.provenOptimal || incumbent.allowances.turn > 0
      ? iterations % REFINED.settled === 0
      : incumbent.sinceBest > Math.max(STALE, iterations / 2) && iterations % REFINED.open === 1
  }
}
