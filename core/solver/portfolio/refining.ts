import type { Learning } from './learning'
import { Refinement } from './refinement'
import type { SearchState } from './searchState'
import type { Strategy } from './strategy'
import { PARAMS } from '../params'

const { PATIENCE, LESSON_STEPS } = PARAMS.refining
const { LESSON } = PARAMS.learning
const { LARGE } = PARAMS.sizes

/** The objectives after the first, of a session that can be learned whole and has not begun. */
export class Refining implements Strategy {
  private readonly refinement: Refinement

  constructor(
    private readonly state: SearchState,
    private readonly learning: Learning,
  ) {
    this.refinement = new Refinement(state.model, state.random)
  }

  /** Whether nothing less than the best plan has is possible in any objective. */
  get proven(): boolean {
    const { allowances, best } = this.state.incumbent
    return best !== undefined && this.refinement.provenWith(allowances.within(best.values))
  }

  ready(): boolean {
    const { incumbent, model } = this.state
    const { allowances, best, first, previous } = incumbent
    if (!first.learned || !best || model.activities.length > LARGE) return false
    if (this.refinement.doneWith(allowances.within(best.values))) return false
    return !model.facts && !previous
  }

  step(): boolean {
    const { state, refinement } = this
    const { decoder, incumbent } = state
    const { allowances, best, provenOptimal } = incumbent
    if (provenOptimal) {
      this.learning.forget()
      incumbent.sinceBest += LESSON_STEPS - 1
    }
    refinement.expired = state.expired
    const values = allowances.within(best!.values)
    const body = refinement.learn(best!.body, values, LESSON, PATIENCE[provenOptimal ? 1 : 0]!)
    return body !== undefined && decoder.takeUp(body, state.iterations)
  }
}
