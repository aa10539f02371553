import { isOver, NEVER, type MActivity } from '../model/model'
import type { PartialSchedule } from './partialSchedule'
import { PARAMS } from '../params'

const { FIRST, PASS_BY } = PARAMS.underWay

/**
 * How a schedule goes on: with the same again from the beginning (`anew`), with what is to go first now
 * (`first`), or not at all but the next one with what is under way seen to in another order (`otherwise`).
 */
export type WayOn = 'anew' | 'first' | 'otherwise'

/**
 * What is done where something comes too late in a session under way, and what set its limit has begun
 * and cannot be moved: others go before all else, what is under way goes on for longer, or what cannot be
 * put off is drawn out.
 */
export class UnderWay {
  /** How often something goes first because what leads to it could not be put off. */
  private readonly wentFirst: Uint8Array

  constructor(private readonly schedule: PartialSchedule) {
    this.wentFirst = new Uint8Array(schedule.model.activities.length)
  }

  begin(): void {
    this.wentFirst.fill(0)
  }

  /** For `next`, late by so many seconds for `culprit`, with so many steps placed that can be taken back. */
  wayOn(next: number, culprit: number, lateBy: number, placed: number): WayOn {
    const { eligible, model, putOffFor, minStart, minEnd, end } = this.schedule
    const { wentFirst } = this
    const cause = putOffFor[next]!
    // It does not go before all that has been placed, but could.
    const mayGoFirst = !eligible.urgent[next] && placed > 0
    if (cause >= 0) {
      // It was put off for the sake of something that was late: that has to go first, and it does not.
      putOffFor.fill(-1)
      minStart.fill(0)
      if (this.drawOut(next, culprit)) return 'anew'
      if (wentFirst[cause]!++ === FIRST) return 'otherwise'
    } else if (model.activities[culprit]?.fact?.end === null && !mayGoFirst) {
      // It has begun and cannot be moved, but it may go on a little longer.
      minEnd[culprit] = end[culprit]! + Math.max(1, lateBy)
      return 'anew'
    } else if (wentFirst[next]!++ === FIRST) return 'otherwise'
    else if (placed === 0 || wentFirst[next]! > PASS_BY) {
      // It goes first already, or that has been in vain.
      if (this.letPass(next)) return 'anew'
      if (placed === 0) return 'otherwise'
    }
    const first = cause >= 0 ? cause : next
    eligible.urgent[first] = 1
    eligible.want(first)
    return 'first'
  }

  /**
   * Has what is under way, and next wants hands that this needs by its latest start, go on for longer,
   * so that they are wanted after it; whatever has to go on least.
   */
  private letPass(next: number): boolean {
    const { model, windows, minEnd, present, end, phases: runs } = this.schedule
    const first = model.activities[next]!.modes[0]!.phases[0]!
    if (!first.hands) return false
    const earliest = windows.lo[2 * next]!
    const free = windows.hi[2 * next]! + first.min
    let who = -1
    let least = NEVER
    for (const a of model.activities) {
      if (!a.fact || isOver(a) || !present[a.index]) continue
      const last = end[a.index]!
      const { phases } = a.modes[0]!
      for (let k = a.fact.phases.length; k < phases.length; k++) {
        const { from, to, cook } = runs[a.index]![k]!
        if (!phases[k]!.hands || !first.cooks.includes(cook)) continue
        const by = free - from
        if (by <= 0 || to <= earliest || by >= least) continue
        if (!this.mayLast(a, last + by)) continue
        who = a.index
        least = by
      }
    }
    if (who < 0) return false
    minEnd[who] = end[who]! + least
    return true
  }

  /**
   * Has what cannot be put off for long enough last for longer, though hands are busy with it; and
   * where that is not enough, what is under way before it too.
   */
  private drawOut(next: number, culprit: number): boolean {
    const { windows, model, putOffTo, minEnd, end } = this.schedule
    const to = putOffTo[next]!
    if (minEnd[next]! >= to) return false
    const short = to - windows.hi[2 * next]! - model.activities[next]!.max
    if (short > 0) {
      const longer = end[culprit]! + short
      if (!this.mayLast(model.activities[culprit], longer)) return false
      minEnd[culprit] = longer
    }
    minEnd[next] = to
    return true
  }

  /** Whether something under way could end only then, and has not been asked to yet. */
  private mayLast(activity: MActivity | undefined, end: number): boolean {
    if (activity?.fact?.end !== null) return false
    return end - activity.fact.start <= activity.max && end > this.schedule.minEnd[activity.index]!
  }
}
