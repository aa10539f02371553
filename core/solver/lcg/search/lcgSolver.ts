import type { Model } from '../../model/model'
import { below, type Random } from '../../structures/random'
import { addWashCuts, shortWashes, strangers, together } from '../cuts/sequenceCuts'
import { Decisions } from './decisions'
import { LnsAdaptation } from './lnsAdaptation'
import { RestartSearch } from './restartSearch'
import { addHeatCut, heatCuts } from '../cuts/heatCuts'
import type { Outcome } from '../engine/engine'
import { addDisjunctives } from '../model/disjunctive'
import { planFromSolution, standingIn, type Standing } from '../model/planFromSolution'
import { objectiveVariable, isLcgObjective, type LcgObjective } from '../model/objectives'
import { warmStart } from '../model/warmStart'
import { LargeNeighbourhood, type Around, type Held } from './largeNeighbourhood'
import { addPause, missingPauses, plannedPauses } from '../cuts/pauseCuts'
import { horizonOf, latestBeginning } from '../../model/horizon'
import { buildSessionModel, type Scope, type SessionModel } from '../model/sessionModel'
import { breachesOf, type PlanBody } from '../../model/planBody'
import { strictValue, valuesOfBody } from '../../model/objective'
import { PARAMS } from '../../params'

/** Objectives that whatever comes later makes less, rather than what comes earlier. */
const LATE: ReadonlySet<LcgObjective> = new Set(['handsSpread', 'lateStart'])

const MAKESPAN: readonly LcgObjective[] = ['makespan']

/** What it pays to search around, other than anything. */
const AROUND: Partial<Record<LcgObjective, Around>> = { handsSpread: 'ends', switches: 'changes' }

const { EXPLORE, FIRST, UNLIMITED, MENDS, CUTS, MEND, SPARE, BUILD_MS } = PARAMS.lcgSolver
const { FEW } = PARAMS.sizes

const spareFor = ({ touches }: SessionModel) =>
  Math.min(SPARE[1], Math.max(SPARE[0], touches.length ** 2 / 2))

/** What the solver may leave out from the beginning, and what it is to make small. */
export interface LcgOptions {
  /** The best plan so far: what lies close together in it has an order from the beginning. */
  plan?: PlanBody
  scope?: Scope
  /**
   * Which of the problem's objectives (`isGoal`, as all before it), of plans that are as good as
   * this one in all before it, or of the values of `most`; by default the makespan, whatever the objectives.
   */
  aim?: { objective: number; plan?: PlanBody | undefined; most?: readonly number[] }
  /** Puts a solution that breaks a rule together anew, in its order: a better plan, if it is one. */
  mend?: (solution: Standing) => PlanBody | undefined
}

/**
 * Lazy clause generation on one session: improves a plan in neighbourhoods, searches for a better one
 * everywhere, and raises the lower bound; all on one set of learned clauses.
 */
export class LcgSolver {
  readonly session: SessionModel
  /** Proven: no plan has less of what is to be made small. */
  bound = 0
  /** Proven: nothing better than the best plan it was told of. */
  exhausted = false
  /** Whether so many milliseconds from now are past the end of the search. */
  expired: (milliseconds: number) => boolean = () => false
  /** The least known of what is to be made small, and how long that plan is. */
  private best = Infinity
  private length = Infinity
  /** What is to be made small, and the variable of it. */
  private readonly name: LcgObjective
  private readonly goal: number
  /** The values of a solution that broke a rule. */
  private mended = new Int32Array(0)
  private readonly decisions: Decisions
  private readonly near: LargeNeighbourhood
  private readonly restartSearch: RestartSearch
  private readonly adaptation: LnsAdaptation
  private first = 0
  /** What the last neighbourhood left free. */
  private free = new Set<number>()
  /** Pauses that have been said before anything was refused for them. */
  private readonly said = new Set<string>()
  private readonly mend: LcgOptions['mend']
  /** Whether the time between work comes first: work may then be drawn out to fill it. */
  private readonly drawn: boolean

  constructor(
    private readonly model: Model,
    private readonly random: Random,
    { plan, scope, aim, mend }: LcgOptions = {},
  ) {
    this.mend = mend
    const { problem } = model
    const names = aim
      ? problem.objective
          .slice(0, aim.objective + 1)
          .filter((name) => isLcgObjective(name, problem))
      : MAKESPAN
    // Where the makespan is not what comes first, what has to be by a late hour may begin late.
    const room = names[0] === 'makespan' ? 0 : (latestBeginning(model) ?? 0)
    this.session = buildSessionModel(model, plan, scope, horizonOf(model) + Math.max(0, room))
    addDisjunctives(this.session)
    const { engine } = this.session
    this.drawn = names[0] === 'handsSpread'
    const goals = names.map((name) => objectiveVariable(this.session, name, this.drawn))
    this.name = names.at(-1)!
    this.goal = goals.at(-1)!
    engine.reserve(spareFor(this.session))
    const mostOf = (name: LcgObjective) =>
      Math.max(
        this.valueOf(aim!.plan!, name),
        aim!.most?.[problem.objective.indexOf(name)] ?? -Infinity,
      )
    if (!engine.seal()) this.exhausted = true
    for (const [k, goal] of goals.slice(0, -1).entries())
      if (!this.exhausted && !engine.require(2 * goal + 1, -mostOf(names[k]!)))
        this.exhausted = true
    this.decisions = new Decisions(this.session, model, LATE.has(this.name))
    this.near = new LargeNeighbourhood(this.session, model, random, this.decisions)
    this.restartSearch = new RestartSearch(engine, this.decisions, model.activities.length)
    this.bound = engine.lo(this.goal)
    this.adaptation = new LnsAdaptation(model.activities.length, random, {
      partial: this.session.partial,
      makespan: this.name === 'makespan',
    })
  }

  private valueOf(body: PlanBody, name: LcgObjective): number {
    const k = this.model.problem.objective.indexOf(name)
    // The first of the objectives is what the contract says it is; of others work is not drawn out.
    return this.drawn && k === 0
      ? valuesOfBody(this.model, body)[0]!
      : strictValue(this.model, body, name)
  }

  /** Milliseconds that making one takes, roughly: not begun shortly before the end. */
  static building(activities: number): number {
    return BUILD_MS * activities ** 2
  }

  /** The values that the plan to stay near gives to all variables: mostly the best one. */
  private get values(): Int32Array {
    return this.decisions.values
  }

  private set values(values: Int32Array) {
    this.decisions.values = values
    this.session.engine.followPlan(values)
  }

  /** Conflicts so far. */
  get work(): number {
    return this.session.engine.conflicts
  }

  /** Takes over a bound that was proven elsewhere. */
  know(bound: number): void {
    const { engine } = this.session
    if (this.exhausted || bound <= this.bound) return
    this.bound = bound
    engine.backtrack(0)
    if (!engine.require(2 * this.goal, bound)) this.close()
  }

  /** Takes over a plan: from now on only better ones are of interest. */
  tell(body: PlanBody): void {
    const value = this.valueOf(body, this.name)
    if (value >= this.best) return
    this.best = value
    this.adaptation.better()
    this.length = body.makespan
    const { engine } = this.session
    engine.backtrack(0)
    this.values = warmStart(this.session, body)
    if (this.orderNeighbours()) this.values = warmStart(this.session, body)
    if (!this.exhausted && !this.session.partial) this.sayPauses()
    if (engine.impossible) this.close()
    if (!this.exhausted && !engine.require(2 * this.goal + 1, -(value - 1))) this.close()
  }

  /**
   * Searches near the best plan, at first for so many conflicts and later for up to ten times as many; a better
   * plan, if one turned up.
   */
  improve(conflicts: number): PlanBody | undefined {
    if (this.exhausted) return undefined
    const { adaptation, near } = this
    if (!adaptation.again)
      this.free = near.pick(adaptation.share, this.length, AROUND[this.name] ?? 'anything')
    const less = adaptation.less(this.best, this.bound)
    const held = near.around(this.free)
    const outcome = this.search(this.below(less), held, conflicts, adaptation.times)
    if (!this.exhausted) this.bound = Math.max(this.bound, this.session.engine.rootLo(this.goal))
    adaptation.ended(outcome, less, this.best - this.bound)
    return outcome === 'solution' ? this.solution() : undefined
  }

  /** Searches everywhere for a better plan; a run that ends proves that there is none. */
  explore(conflicts: number): PlanBody | undefined {
    if (this.exhausted) return undefined
    const { engine } = this.session
    const share = EXPLORE[below(this.random, EXPLORE.length)]!
    const gap = Math.min(this.best, engine.horizonOf(this.goal)) - this.bound
    const target =
      this.best < Infinity
        ? share > 0
          ? this.below(1 + gap * share)
          : undefined
        : this.firstTarget()
    const outcome = this.search(target, [], conflicts)
    const better = outcome === 'solution' ? this.solution() : undefined
    engine.backtrack(0)
    if (!this.exhausted) this.bound = Math.max(this.bound, engine.lo(this.goal))
    return better
  }

  private firstTarget(): Held[number] | undefined {
    const often = UNLIMITED[this.model.activities.length > FEW ? 1 : 0]!
    const turn = this.first++
    return turn % often === often - 1 ? undefined : this.atMost(FIRST[turn % FIRST.length]!)
  }

  /** That it is no longer than so many times the bound. */
  private atMost(times: number): Held[number] | undefined {
    const limit = Math.ceil(times * Math.max(1, this.bound))
    const { goal } = this
    return limit < this.session.engine.horizonOf(goal) ? [2 * goal + 1, -limit] : undefined
  }

  /** Tries to prove that no plan is as short as somewhat above the bound. */
  raiseBound(conflicts: number, share: number): PlanBody | undefined {
    const { goal } = this
    const { engine } = this.session
    if (this.exhausted) return undefined
    const top = Math.min(this.best - 1, engine.horizonOf(goal))
    const target = Math.floor(this.bound + (top - this.bound) * share)
    const outcome = this.search([2 * goal + 1, -target], [], conflicts)
    const better = outcome === 'solution' ? this.solution() : undefined
    engine.backtrack(0)
    if (!this.exhausted) this.bound = Math.max(this.bound, engine.lo(goal))
    return better
  }

  /** Gives the neighbours in each cook's work an order; whether one had none yet. */
  private orderNeighbours(): boolean {
    const ordered = this.near.order()
    if (this.session.engine.impossible) this.close()
    return ordered
  }

  /** Says where hands are washed in the plan to stay near: plans near it want it there too. */
  private sayPauses(): void {
    const { session, near, model, said } = this
    for (let c = 0; c < model.cooks.length; c++)
      for (const pause of plannedPauses(model, near.inOrder(c), c)) {
        const key = [c, ...pause.chain.map((t) => session.touches.indexOf(t))].join()
        if (said.has(key)) continue
        said.add(key)
        if (!addPause(session, pause)) return
      }
  }

  private close(): void {
    this.exhausted = true
    if (this.best < Infinity && !this.session.partial) this.bound = this.best
  }

  /**
   * The solution in the engine as a plan, if the independent checker passes it. Where it breaks
   * a rule that the constraints so far leave out, they are told of it, and what is nearest to it is
   * tried: the same order with what was missing is mostly a little longer and still good.
   */
  private solution(): PlanBody | undefined {
    const before = this.values
    for (let round = 0; ; round++) {
      const found = this.standing()
      if ('body' in found) return found.body
      // One schedule costs a tenth of a search that goes through everything again.
      const mended = round === 0 ? this.mend?.(found.rejected) : undefined
      if (mended && !this.exhausted && this.valueOf(mended, this.name) < this.best) {
        this.tell(mended)
        return mended
      }
      if (round === MENDS || this.best === Infinity) return undefined
      this.values = this.mended
      this.orderNeighbours()
      const again = !this.exhausted && this.search(this.below(1), this.near.everything(), MEND)
      this.values = before
      if (again !== 'solution') return undefined
    }
  }

  /** That it is shorter than the best by at least so much. */
  private below(step: number): Held[number] {
    return [2 * this.goal + 1, -Math.floor(this.best - step)]
  }

  /** The solution in the engine as a plan; where it breaks a rule, that rule is said from now on. */
  private standing(): { body: PlanBody } | { rejected: Standing } {
    const { engine } = this.session
    const hands = missingPauses(this.session).slice(0, CUTS)
    const washes = shortWashes(this.session)
    const heats = heatCuts(this.session)
    const overlaps = together(this.session)
    const unknown = strangers(this.session)
    if (!unknown.length && !overlaps.length && !hands.length && !washes.length && !heats.length) {
      const body = planFromSolution(this.session)
      if (body && breachesOf(this.model, body) === 0) {
        const eased = this.decisions.late ? this.eased(body) : body
        this.tell(eased)
        return { body: eased }
      }
    }
    const rejected = standingIn(this.session)
    this.mended = this.values.map((_, x) =>
      !engine.isFixed(x) && engine.isBool(x) ? -1 : engine.lo(x),
    )
    engine.backtrack(0)
    for (const [a, b] of overlaps) if (!engine.impossible) this.session.lateTurn(a, b)
    for (const { place, pair } of unknown)
      if (!engine.impossible) this.session.lateUses(place, ...pair)
    for (const cut of hands) if (engine.impossible || !addPause(this.session, cut)) break
    for (const cut of heats) if (engine.impossible || !addHeatCut(this.session, cut)) break
    if (!engine.impossible) addWashCuts(this.session, washes)
    if (engine.impossible) this.close()
    return { rejected }
  }

  /**
   * A plan in the same order with everything as early as it goes but the first work of each cook:
   * what is put off to the last moment has no time to spare if something goes wrong.
   */
  private eased(body: PlanBody): PlanBody {
    const { decisions, goal, model, session } = this
    const before = this.values
    session.engine.backtrack(0)
    this.values = warmStart(session, body)
    this.orderNeighbours()
    const held = this.near.everything()
    session.firsts.forEach((x, c) => {
      const from = this.near.touchesOf(c).map((t) => this.values[t.s]!)
      if (from.length) held.push([2 * x, Math.min(...from)])
    })
    const value = strictValue(model, body, this.name)
    decisions.late = false
    const solved = !this.exhausted && this.search([2 * goal + 1, -value], held, MEND)
    const eased = solved === 'solution' ? planFromSolution(session) : undefined
    decisions.late = true
    this.values = before
    const good =
      eased && breachesOf(model, eased) === 0 && strictValue(model, eased, this.name) <= value
    return good ? eased : body
  }

  /** Searches for a solution that meets the target and all that is held, for so many times so many conflicts. */
  private search(
    target: Held[number] | undefined,
    held: Held,
    conflicts: number,
    times = 1,
  ): Outcome {
    const outcome = this.restartSearch.search(target, held, conflicts, times, () => this.expired(0))
    if (this.session.engine.impossible) this.close()
    return outcome
  }
}
