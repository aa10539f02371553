import type { CookTime } from './cookTime'
import type { MPhase, Model } from '../model/model'

/** Which cooks the others can best do without, for when several could begin at once. */
export class CookChoice {
  /** Seconds of hands that nobody but this cook may do. */
  private readonly needed: Float64Array
  /** Per cook and attention that is taken: seconds of hands that this leaves no attention for. */
  private readonly closed: Float64Array[]

  constructor(
    model: Model,
    private readonly cooks: readonly CookTime[],
  ) {
    this.needed = new Float64Array(model.cooks.length)
    this.closed = model.cooks.map((c) => new Float64Array(Math.ceil(c.attention) + 1))
    for (const { modes } of model.activities)
      for (const phase of modes[0]?.phases ?? []) if (phase.hands) this.count(model, phase)
  }

  /**
   * What a phase of so many seconds from `at` costs with this cook, in seconds of hands: those that
   * only this cook has, or for watching, those that there is then no attention left for. Long
   * watching by the one cook with enough attention for raw meat would hold that up for an hour.
   */
  cost(cook: number, phase: MPhase, at: number, seconds: number): number {
    if (phase.hands) return this.needed[cook]!
    const closed = this.closed[cook]!
    const load = this.cooks[cook]!.loadWithin(at, at + seconds)
    const level = (taken: number) => closed[Math.ceil(Math.min(taken, closed.length - 1))]!
    return level(load + phase.attention) - level(load)
  }

  private count(model: Model, { cooks, min, attention }: MPhase): void {
    if (cooks.length === 1) this.needed[cooks[0]!]! += min
    for (const c of cooks) {
      const closed = this.closed[c]!
      for (let taken = 0; taken < closed.length; taken++)
        if (taken + attention > model.cooks[c]!.attention) closed[taken]! += min / cooks.length
    }
  }
}
