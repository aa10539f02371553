import { below, type Random } from '../../structures/random'
import type { Outcome } from '../engine/engine'

/** Activities that a neighbourhood leaves free at first, but at most such a share of all. */
const FREE = 17
const LARGEST_FIRST = 0.25
/** The least and the most that is left free, as shares, and how much more or less next time. */
const SMALLEST = 0.03
const LARGEST = 0.8
const LARGER = 1.06
const SMALLER = 0.93

/** How much shorter a plan a neighbourhood is asked for, as shares of the gap to the bound. */
const STEPS = [0, 0.02, 0.06, 0.15]
/**
 * The widest gap that counts for that, as a share of the plan, where a session is learned whole: of 533
 * neighbourhoods asked for 2 % of a gap of 2000 s or more eight gave a plan, and 217 took all their conflicts.
 */
const CLOSE = 0.03

/**
 * Each time so many neighbourhoods have given nothing shorter, the next ones may take as many conflicts again as
 * the first, up to so many times: about half a second, as nobody who calls is heard in between. (Six sessions
 * of 18 dishes, two seeds, after 10, 15 and 20 s: 4.7, 3.9 and 2.8 % above the best known where all take the same,
 * 4.3, 2.6 and 1.9 % so.) Not where a session is learned in part.
 */
const DRY = 10
const LONGEST = 10

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
