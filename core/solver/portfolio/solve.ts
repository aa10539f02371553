import type { Plan } from '../../plan'
import type { Problem } from '../../problem'
import { changesFrom } from './changes'
import { infeasibleSubset } from './infeasibleSubset'
import { boundWords } from '../bounds/rootProof'
import { NO_ORDER } from './learning'
import { Search } from './search'
import type { Contribution, StrategyName } from './strategy'
import { planOf } from '../model/planBody'
import { PARAMS } from '../params'

const { CLASH_MS } = PARAMS.solve

export interface SolveOptions {
  /** Wall time to spend; without `seconds` and `iterations` five seconds. */
  seconds?: number
  /** Decodes to spend: the same number and seed give the same plan on any machine. */
  iterations?: number
  seed?: number
  /**
   * A plan to keep to: among plans of the same makespan the one that changes fewest of its
   * steps is the better one. What does not fit the problem any more is left out of account.
   */
  previous?: Plan
  /** Strategies that are left out, to see what they are worth; first schedules go on until one comes out. */
  without?: readonly StrategyName[]
  /** Called with every better plan, whose status is still open. */
  onImprovement?: (plan: Plan) => void
  /** Stops the search early; the best plan so far comes back. */
  signal?: { readonly aborted: boolean }
  /** Milliseconds of any steady clock; a limit of seconds needs one. */
  clock?: () => number
}

/**
 * The best plan found for a problem, or the proof that there is none, or `unknown` where
 * neither came in time. Deterministic for a given seed and iteration limit.
 */
export function solve(problem: Problem, options: SolveOptions = {}): Plan {
  const run = startSolving(problem, options)
  while (run.advance(Infinity));
  return run.plan()
}

/** A search that can be carried on in slices, so that a worker can hear a stop in between. */
export interface Run {
  /** Works for about so many milliseconds; false when there is nothing left to do. */
  advance: (milliseconds: number) => boolean
  plan: () => Plan
  /**
   * Takes over a plan for the same problem that was found elsewhere; false where it breaks a rule
   * or is no better than the best here.
   */
  receive: (plan: Plan) => boolean
  /** The values of the best plan found without making use of an allowance, less being better. */
  strict: () => readonly number[] | undefined
  /** In words, what the proven bound rests on. */
  boundWords: () => string
  iterations: () => number
  /** What each strategy has done so far. */
  contributions: () => ReadonlyMap<StrategyName, Readonly<Contribution>>
  /**
   * With `previous`: the makespan of the plan that changes only what it must, and how many steps
   * the best plan so far changes; what the best is shorter by is the price of stability.
   */
  stability: () => { kept: number; changes: number } | undefined
}

export function startSolving(problem: Problem, options: SolveOptions = {}): Run {
  const clock = options.clock ?? (() => 0)
  const seed = options.seed ?? 1
  const began = clock()
  const search = new Search(problem, seed, options.previous, new Set(options.without))
  const iterations = options.iterations ?? Infinity
  const seconds = options.seconds ?? (options.iterations === undefined ? 5 : Infinity)
  if (seconds < Infinity && !options.clock) throw new Error('a limit of seconds needs a clock')
  const until = began + seconds * 1000
  if (seconds < Infinity) search.expired = (milliseconds) => clock() + milliseconds >= until

  const plan = (): Plan =>
    planOf(search.model, search.best?.body, {
      status: search.infeasible
        ? 'infeasible'
        : !search.best
          ? 'unknown'
          : search.incumbent.provenOptimal
            ? 'optimal'
            : 'feasible',
      shortest: search.incumbent.shortestInContract ?? 0,
      bound: search.incumbent.boundInContract,
      seed,
      elapsedMs: options.seconds === undefined && options.iterations ? 0 : clock() - began,
      reasons: search.infeasible ?? [],
    })

  const done = () =>
    search.infeasible !== undefined ||
    search.finished ||
    search.iterations >= iterations ||
    options.signal?.aborted === true

  const shareOf = (now: number) =>
    Math.max(search.iterations / iterations, (now - began) / (until - began))

  const end = () => {
    search.settleBound()
    if (search.infeasible?.length === 1 && search.infeasible[0] === NO_ORDER) {
      const last = Math.min(until, clock() + CLASH_MS)
      const expired = options.seconds === undefined ? () => false : () => clock() >= last
      search.infeasible = [NO_ORDER, ...infeasibleSubset(problem, expired)]
    }
    return false
  }

  return {
    advance(milliseconds) {
      const pause = Math.min(until, clock() + milliseconds)
      for (;;) {
        if (done()) return end()
        search.elapsed(shareOf(clock()))
        if (search.step()) options.onImprovement?.(plan())
        const now = clock()
        if (now >= until) return end()
        if (now >= pause) return !done()
      }
    },
    plan,
    receive: (found) => search.receive(found),
    strict: () => search.incumbent.strictValues,
    boundWords: () => boundWords(search.incumbent.bound),
    iterations: () => search.iterations,
    contributions: () => search.contributions,
    stability: () => {
      const { kept, best } = search
      if (!options.previous || !kept || !best) return undefined
      return { kept: kept.body.makespan, changes: changesFrom(options.previous, best.body) }
    },
  }
}
