import { Construction } from '../construct/construction'
import type { SearchState } from './searchState'
import type { Strategy } from './strategy'

/** The first schedules, by priority rules and around orders of the bakes: two strategies in turn. */
export class FirstSchedules {
  readonly construct: Strategy
  readonly ovenOrders: Strategy
  private readonly construction: Construction
  /** Schedules asked for so far. */
  private asked = 0
  /** The step for which one has been prepared, and of which kind; undefined: none is left. */
  private preparedFor = 0
  private prepared: 'construct' | 'ovenOrders' | undefined

  constructor(
    private readonly state: SearchState,
    kinds: { construct: boolean; ovenOrders: boolean },
  ) {
    this.construction = new Construction(state.model, state.random, kinds)
    const kind = (name: 'construct' | 'ovenOrders'): Strategy => ({
      ready: () => this.prepare() === name,
      step: () => this.step(),
    })
    this.construct = kind('construct')
    this.ovenOrders = kind('ovenOrders')
  }

  /** How many there are, while any schedule has come out. */
  get length(): number {
    return this.construction.length
  }

  /** Makes the next of them the candidate, once in a step. */
  private prepare(): 'construct' | 'ovenOrders' | undefined {
    const { construction, state } = this
    if (this.preparedFor === state.iterations) return this.prepared
    this.preparedFor = state.iterations
    this.prepared = undefined
    const { annealing } = state.decoder
    while (this.asked < construction.length || annealing.energy === Infinity)
      if (construction.next(this.asked++, annealing.candidate, annealing.current)) {
        this.prepared = construction.around ? 'ovenOrders' : 'construct'
        break
      }
    return this.prepared
  }

  private step(): boolean {
    const { construction, state } = this
    const { decoder } = state
    const { annealing, schedule } = decoder
    const { candidate } = annealing
    const found = decoder.assemble('construction')
    if (!found) {
      construction.foundered(schedule.late, candidate)
      return false
    }
    construction.tell(found.energy, candidate, found.energy < annealing.energy)
    return decoder.take(found, 'construction', state.iterations)
  }
}
