import { below, type Random } from '../../structures/random'
import type { Outcome } from '../engine/engine'
import { PARAMS } from '../../params'

const { FREE, LARGEST_FIRST, SMALLEST, LARGEST, LARGER, SMALLER, STEPS, CLOSE, DRY, LONGEST } =
  PARAMS.lnsAdaptation

/**
 * Adaptation of the large neighbourhood search: what the next neighbourhood is to be like: how much of the plan it leaves free, how much less than the best
 * it is asked for, and for how long; all of it from how those before it ended.
 */
export class LnsAdaptation {
  /** Share of the activities that it leaves free, 0 to 1. */
  share: number
  /** Whether the same is to be searched once more, as it has just given a solution. */
  again = false
  private step = 1
  /** Neighbourhoods searched since the best became better. */
  private dry = 0

  constructor(
    activities: number,
    private readonly random: Random,
    /** Whether the session is learned in part, and whether it is the makespan that is to become less. */
    private readonly of: { partial: boolean; makespan: boolean },
  ) {
    this.share = Math.min(LARGEST_FIRST, FREE / Math.max(1, activities))
  }

  /** How much less than the best the next one is asked for, at least 1. */
  less(best: number, bound: number): number {
    // One that pays is asked for twice as much each time: every step costs the same.
    if (this.again) return this.step
    const { partial, makespan } = this.of
    const gap = best - bound
    const most = makespan && !partial ? Math.min(gap, CLOSE * best) : gap
    return Math.max(1, most * STEPS[below(this.random, STEPS.length)]!)
  }

  /** How many times as long as at first it may be searched, 1 to 10. */
  get times(): number {
    return this.of.partial ? 1 : Math.min(LONGEST, 1 + Math.floor(this.dry / DRY))
  }

  /** How the one that was asked for so much ended, and how far the best is from the bound. */
  ended(outcome: Outcome, asked: number, gap: number): void {
    this.dry++
    const solved = outcome === 'solution'
    this.again = solved || (this.again && outcome === 'impossible' && asked > 2)
    this.step = Math.max(1, solved ? Math.min(2 * asked, gap / 2) : asked / 4)
    if (outcome === 'limit') this.share = Math.max(SMALLEST, this.share * SMALLER)
    if (outcome === 'impossible') this.share = Math.min(LARGEST, this.share * LARGER)
  }

  /** The best has become better. */
  better(): void {
    this.dry = 0
  }
}
