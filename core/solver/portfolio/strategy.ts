/**
 * The ways to come by a better plan or a better bound: keep to an earlier plan, copies of the problem with
 * something fixed, first schedules from priority rules (`construct`) and around orders of the bakes
 * (`ovenOrders`), simulated annealing, large neighbourhood search (`lns`), lazy clause generation everywhere
 * (`lcg`), the same below a value to raise the bound, and the objectives after the first (`refine`).
 */
export const STRATEGIES = [
  'keep',
  'copies',
  'construct',
  'ovenOrders',
  'anneal',
  'lns',
  'lcg',
  'raiseBound',
  'refine',
] as const

export type StrategyName = (typeof STRATEGIES)[number]

export interface Strategy {
  /** Whether there is anything for it to do as things stand. */
  ready: () => boolean
  /**
   * One step, of a size of its own: whether the best plan became better. Undefined where there was nothing
   * to do after all, and the step is another's.
   */
  step: () => boolean | undefined
}

/** What one strategy has contributed to a search. */
export interface Contribution {
  steps: number
  /** Plans that were better than all before. */
  better: number
  /** By how much the value of the first objective became less by them, after the first plan. */
  gained: number
  /** By how much the bound of the first objective rose. */
  raised: number
}
