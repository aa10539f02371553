import { isLcgObjective } from '../lcg/model/objectives'
import { LcgSolver } from '../lcg/search/lcgSolver'
import type { Model } from '../model/model'
import type { Random } from '../structures/random'
import type { PlanBody } from '../model/planBody'
import { PARAMS } from '../params'

const { EVERY_PAIR, CYCLE, EVERYWHERE, AT_BOUND, RAISE, SWITCHING } = PARAMS.refinement

/**
 * The objectives after the first, one after the other: each is made small by clause learning
 * among plans that are as good in all before it, until nothing less is possible.
 */
export class Refinement {
  /** Whether so many milliseconds from now are past the end of the search. */
  expired: (milliseconds: number) => boolean = () => false
  private lcg: LcgSolver | undefined
  private lessons = 0
  /** Whether it has left an objective before it was proven. */
  private skipped = false
  /** Lessons since the last that found something. */
  private fruitless = 0
  /** Which objective it is at, and the values of those before it. */
  private stage = 0
  private before: number[] = []
  private done = false

  constructor(
    private readonly model: Model,
    private readonly random: Random,
  ) {}

  /** Whether nothing is left to learn about a plan of these values. */
  doneWith(values: readonly number[]): boolean {
    return this.done && this.before.every((v, k) => v === values[k])
  }

  /** Whether nothing less than these values is possible in any objective. */
  provenWith(values: readonly number[]): boolean {
    const all = this.stage >= this.model.problem.objective.length
    return all && !this.skipped && this.doneWith(values)
  }

  /**
   * One lesson from the best plan known, of so many conflicts; a plan that may be better. After
   * more than `patience` lessons without one it goes on to the next objective.
   */
  learn(
    body: PlanBody,
    values: readonly number[],
    conflicts: number,
    patience: number,
  ): PlanBody | undefined {
    this.turnTo(values)
    if (this.done) return undefined
    const { length } = this.model.activities
    const switching = this.model.problem.objective[this.stage] === 'switches'
    if (!this.lcg && this.expired(LcgSolver.building(length))) return undefined
    this.lcg ??= new LcgSolver(this.model, this.random, {
      plan: body,
      ...(switching ? { scope: EVERY_PAIR } : {}),
      aim: { objective: this.stage, plan: body, most: this.before },
    })
    const { lcg } = this
    lcg.expired = this.expired
    lcg.tell(body)
    const turn = this.lessons++ % CYCLE
    const found =
      turn === EVERYWHERE
        ? lcg.explore(conflicts)
        : turn === AT_BOUND
          ? lcg.raiseBound(conflicts, RAISE)
          : lcg.improve(conflicts)
    this.fruitless = found ? 0 : this.fruitless + 1
    const last = this.stage + 1 >= this.model.problem.objective.length
    // Whether it could be less may be as hard to say as whether the session could be shorter.
    if (lcg.exhausted) this.begin(this.stage + 1, values)
    else if (!last && this.fruitless > patience * (switching ? SWITCHING : 1)) {
      this.skipped = true
      this.begin(this.stage + 1, values)
    }
    return found
  }

  /** Begins again at whatever has become better before what it is at. */
  private turnTo(values: readonly number[]): void {
    const changed = this.before.findIndex((v, k) => v !== values[k])
    if (this.stage > 0 && changed < 0) return
    this.skipped = false
    this.begin(Math.max(1, changed), values)
  }

  private begin(stage: number, values: readonly number[]): void {
    const { objective } = this.model.problem
    this.lcg = undefined
    this.stage = stage
    this.fruitless = 0
    this.before = values.slice(0, stage)
    this.done = stage >= objective.length || !isLcgObjective(objective[stage]!, this.model.problem)
  }
}
