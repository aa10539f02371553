import type { Plan } from '../../plan'
import { NEVER } from '../model/model'
import type { Found } from './incumbent'
import type { SearchState } from './searchState'
import type { Strategy } from './strategy'

/** Keeps to an earlier plan as far as it still goes, before anything else is tried. */
export class Keeping implements Strategy {
  /** The plan that changes of the earlier one only what it must. */
  kept: Found | undefined

  constructor(
    private readonly state: SearchState,
    private readonly previous: Plan | undefined,
  ) {}

  ready(): boolean {
    return this.previous !== undefined
  }

  step(): boolean {
    const { decoder, incumbent, iterations } = this.state
    // Where its times no longer go, its order may.
    for (const timed of [true, false])
      for (const urgency of [0, 300, NEVER]) {
        decoder.follow(this.previous!)
        const { candidate } = decoder.annealing
        candidate.urgency = urgency
        if (!timed) candidate.floor.fill(0)
        if (!decoder.decode(iterations)) continue
        this.kept = incumbent.best
        return true
      }
    return false
  }
}
