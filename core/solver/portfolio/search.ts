import type { Plan } from '../../plan'
import type { Problem } from '../../problem'
import { contradiction, proveBound } from '../bounds/rootProof'
import { overdue } from '../model/facts'
import { NEVER, type Model } from '../model/model'
import type { PlanBody } from '../model/planBody'
import { Allocator } from './allocator'
import { annealingStrategy } from './annealingStrategy'
import { earlyEnds } from './earlyEnds'
import { FirstSchedules } from './firstSchedules'
import type { Found, Incumbent } from './incumbent'
import { Keeping } from './keeping'
import { Learning } from './learning'
import { searchesAll } from './proofScope'
import { Refining } from './refining'
import { SearchState } from './searchState'
import type { Contribution, Strategy, StrategyName } from './strategy'
import { PARAMS } from '../params'

const { SETTLED, FIRST, COPIED } = PARAMS.search
const { STALE } = PARAMS.allocator

/**
 * A search, one step of one strategy at a time. It holds no clock: who runs it decides how long.
 */
export class Search {
  /** The plan that changes of an earlier one only what it must. */
  private readonly keeping: Keeping
  private readonly state: SearchState
  private readonly allocator: Allocator
  private readonly learning: Learning
  private readonly refining: Refining
  private bounded = false

  constructor(
    problem: Problem,
    seed: number,
    /** A plan to keep to where that costs nothing. */
    previous?: Plan,
    /** Strategies that are left out; first schedules go on until one has come out. */
    without: ReadonlySet<StrategyName> = new Set(),
  ) {
    this.state = new SearchState(problem, seed, previous)
    const { state } = this
    state.infeasible = contradiction(state.model)
    const first = new FirstSchedules(state, {
      construct: !without.has('construct'),
      ovenOrders: !without.has('ovenOrders'),
    })
    this.keeping = new Keeping(state, previous)
    this.learning = new Learning(state, searchesAll(problem))
    this.refining = new Refining(state, this.learning)
    const copies: Strategy = { ready: () => true, step: () => this.lookInCopies() }
    const strategies: Record<StrategyName, Strategy> = {
      keep: this.keeping,
      copies,
      construct: first.construct,
      ovenOrders: first.ovenOrders,
      anneal: annealingStrategy(state),
      lns: this.learning.lns,
      lcg: this.learning.lcg,
      raiseBound: this.learning.raiseBound,
      refine: this.refining,
    }
    const parts = { first, learning: this.learning }
    this.allocator = new Allocator(state, strategies, parts, without)
    this.settleOverdue()
  }

  get model(): Model {
    return this.state.model
  }

  get incumbent(): Incumbent {
    return this.state.incumbent
  }

  get best(): Found | undefined {
    return this.incumbent.best
  }

  get iterations(): number {
    return this.state.iterations
  }

  get infeasible(): string[] | undefined {
    return this.state.infeasible
  }

  set infeasible(reasons: string[] | undefined) {
    this.state.infeasible = reasons
  }

  set expired(expired: (milliseconds: number) => boolean) {
    this.state.expired = expired
  }

  get kept(): Found | undefined {
    return this.keeping.kept
  }

  /** What each strategy has done so far, in their order, without those left out. */
  get contributions(): ReadonlyMap<StrategyName, Readonly<Contribution>> {
    return this.allocator.contributions
  }

  /** What has gone past its most ends as soon as somebody can see to it: that is then its length. */
  private settleOverdue(): void {
    const { model, decoder, infeasible } = this.state
    const { facts, problem } = model
    if (!facts || infeasible) return
    const late = model.activities.filter(
      (a) => a.fact && overdue(problem.activities[a.index]!, a.fact, facts.now),
    )
    if (!late.length) return
    const { schedule, annealing } = decoder
    const { candidate } = annealing
    model.choices.forEach((c, i) => {
      candidate.option[i] = Math.max(
        0,
        c.options.findIndex((o) => o.possible),
      )
    })
    if (!schedule.begin(candidate)) return
    for (const a of late) {
      if (!schedule.present[a.index]) continue
      const k = a.fact!.phases.length - 1
      const { from, to } = schedule.phases[a.index]![k]!
      const mode = a.modes[0]!
      const phase = mode.phases[k]!
      mode.min += to - from - phase.min
      phase.min = phase.max = to - from
      mode.max = Math.min(
        NEVER,
        mode.phases.reduce((sum, p) => sum + p.max, 0),
      )
      a.min = mode.min
      a.max = mode.max
    }
  }

  /**
   * Whether the best plan meets the bound, and is as good in all else as is possible or nothing
   * better has turned up for long.
   */
  get finished(): boolean {
    const { allowances, provenOptimal, sinceBest } = this.incumbent
    if (!provenOptimal || !allowances.all) return false
    const idle = sinceBest > SETTLED || this.model.activities.length === 0
    return idle || this.refining.proven
  }

  /**
   * Says how much of the time is over, as a share, where that is known: allowances are made use of once
   * what they are measured by has been looked for long enough.
   */
  elapsed(share: number): void {
    const { incumbent } = this
    const { allowances, best } = incumbent
    if (!best || !allowances.turns) return
    const half = (allowances.turn + 0.5) / (allowances.turns + 1)
    const stale = incumbent.sinceBest > STALE || this.refining.proven
    if (allowances.turn > 0 && (share >= half || stale))
      if (allowances.widen()) incumbent.sinceBest = 0
    if (allowances.turn >= allowances.turns) return
    const due = share >= (allowances.turn + 1) / (allowances.turns + 1)
    const settled = allowances.turn === 0 ? incumbent.provenOptimal : false
    if (!due && !settled && incumbent.sinceBest <= SETTLED) return
    allowances.next(best.values)
    this.learning.forget()
    incumbent.sinceBest = 0
    const { decoder } = this.state
    decoder.annealing.energy = Infinity
    decoder.follow(best.body)
    decoder.decode(this.iterations)
  }

  /** Plans in copies of the problem that all plans of are plans of it; undefined where none is better. */
  private lookInCopies(): true | undefined {
    const before = this.best
    for (const problem of earlyEnds(this.model.problem)) {
      const copy = new Search(problem, 1)
      for (let i = 0; i < COPIED && !copy.infeasible && !copy.finished; i++) copy.step()
      if (copy.best) this.receive(copy.best.body)
    }
    return this.best === before ? undefined : true
  }

  /** One step; true where it found a better plan than ever before. */
  step(): boolean {
    this.state.iterations++
    this.incumbent.sinceBest++
    if (this.best || this.iterations > FIRST) this.settleBound()
    return this.infeasible ? false : this.allocator.step()
  }

  /** The first plan goes before the bound: it is what is waited for. */
  settleBound(): void {
    if (this.bounded || this.infeasible) return
    this.bounded = true
    const proof = proveBound(this.model)
    if (!proof.feasible) this.infeasible = proof.reasons
    else if (this.incumbent.first.name === 'makespan') this.incumbent.bound = proof.bound
  }

  /** Takes over a plan found elsewhere where it is better than the best here and keeps all rules. */
  receive(body: PlanBody): boolean {
    const { incumbent, state } = this
    if (state.infeasible || !incumbent.offer(body, incumbent.valuesOf(body))) return false
    state.decoder.follow(body)
    state.decoder.decode(state.iterations)
    return true
  }
}
