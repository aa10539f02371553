import type { Plan } from '../../plan'
import type { Problem } from '../../problem'
import { buildModel } from '../model/buildModel'
import type { Model } from '../model/model'
import { seeded, type Random } from '../structures/random'
import { Decoder } from './decoder'
import { Incumbent } from './incumbent'

/** What all strategies of one search share. */
export class SearchState {
  readonly model: Model
  readonly random: Random
  readonly incumbent: Incumbent
  readonly decoder: Decoder
  /** Steps so far, most of them one decode each. */
  iterations = 0
  /** Why there is no plan, where that is proven. */
  infeasible: string[] | undefined
  /** Whether so many milliseconds from now are past the end; without it nothing ever is. */
  expired: (milliseconds: number) => boolean = () => false

  constructor(
    readonly problem: Problem,
    seed: number,
    previous: Plan | undefined,
  ) {
    this.model = buildModel(problem)
    this.random = seeded(seed)
    this.incumbent = new Incumbent(this.model, problem, previous)
    this.decoder = new Decoder(this.model, this.random, this.incumbent)
  }
}
