import type { Plan } from '../../plan'
import type { Problem } from '../../problem'
import type { Bound } from '../bounds/lowerBound'
import { withAskedWashes } from '../model/askedWashes'
import type { Model } from '../model/model'
import { valuesOfBody } from '../model/objective'
import { breachesOf, type PlanBody } from '../model/planBody'
import { Allowances } from './allowances'
import { changesFrom } from './changes'
import { firstObjective, inContract, postponed, type FirstObjective } from './firstObjective'
import { PARAMS } from '../params'

const { CHANGE } = PARAMS.incumbent

export interface Found {
  body: PlanBody
  /** Values of the problem's objectives, in their order. */
  values: number[]
}

/** The best plan so far, what is proven of it, and what is to be made small. */
export class Incumbent {
  best: Found | undefined
  /** The best lower bound so far of the objective that comes first; learning raises it. */
  bound: Bound = { value: 0, kind: 'nothing', because: [] }
  /** The best value found of the first objective; with an allowance the best plan may have more. */
  shortest = Infinity
  /** The values of the plan that has it: the best without any allowance. */
  private strict: number[] | undefined
  /** Steps since the best plan became better. */
  sinceBest = 0
  readonly first: FirstObjective
  readonly allowances: Allowances

  constructor(
    private readonly model: Model,
    problem: Problem,
    /** A plan to keep to where that costs nothing. */
    readonly previous: Plan | undefined,
  ) {
    this.first = firstObjective(model)
    this.allowances = new Allowances(problem, previous ? 1 : 0)
    this.bound.value = this.first.least
  }

  get provenOptimal(): boolean {
    return this.best !== undefined && this.shortest === this.bound.value
  }

  /** The values of the strictest plan in the order of the problem's objectives, and nothing between them. */
  get strictValues(): number[] | undefined {
    return this.strict?.filter((_, i) => !this.previous || i !== 1)
  }

  /** The best value found of the first objective, as the contract words it. */
  get shortestInContract(): number | undefined {
    return this.best && inContract(this.first.name, this.shortest)
  }

  /** The bound as the contract words it: of the start, which is to be late, no plan has more. */
  get boundInContract(): number {
    return inContract(this.first.name, this.bound.value)
  }

  /** Whether fewer changes of dish are what is wanted now. */
  get gathers(): boolean {
    const { allowances, model } = this
    return allowances.turn > 0 && model.problem.objective.includes('switches')
  }

  valuesOf(body: PlanBody): number[] {
    const values = valuesOfBody(this.model, body)
    if (this.previous) values.splice(1, 0, CHANGE * changesFrom(this.previous, body))
    return values
  }

  /** Whether a plan of such values is better, or as good as none before in what comes first. */
  isBetter(values: readonly number[]): boolean {
    const { best } = this
    return !best || values[0]! < this.shortest || this.allowances.compare(values, best.values) < 0
  }

  /** Takes a plan with its values where it is better than the best and keeps all rules; whether it does. */
  offer(found: PlanBody, valued: number[]): boolean {
    if (!this.isBetter(valued)) return false
    const body = withAskedWashes(this.model, found)
    const values = body === found ? valued : this.valuesOf(body)
    // Whatever a fault of construction may be: what breaks a rule is no plan.
    if (breachesOf(this.model, body) > 0) return false
    const stricter = this.allowances.turn === 0 || values[0]! < this.shortest
    if (stricter) this.strict = values
    this.shortest = Math.min(this.shortest, values[0]!)
    this.allowances.tell(values)
    if (this.best && this.allowances.compare(values, this.best.values) >= 0) return false
    this.best = { body, values }
    this.sinceBest = 0
    if (this.first.name === 'lateStart' && this.first.learned && !this.model.facts) {
      const late = postponed(body, 0 - this.bound.value, (b) => breachesOf(this.model, b) === 0)
      this.best = { body: late, values: this.valuesOf(late) }
      this.shortest = Math.min(this.shortest, this.best.values[0]!)
    }
    return true
  }
}
