import { breachesOf, type PlanBody } from '../emit'
import type { Model } from '../model'
import { below, type Random } from '../random'
import { ALWAYS } from './codes'
import { addCut, addWashCuts, handWashCuts, shortWashes, strangers, together } from './cuts'
import { Decisions } from './decisions'
import { addHeatCut, heatCuts } from './heatCuts'
import type { Code, Outcome } from './engine'
import { addExclusions } from './exclusion'
import { bodyOf, standingIn, type Standing } from './extract'
import { valuesOf } from './hints'
import {
  buildSessionModel,
  type OrderEnd,
  type Scope,
  type SessionModel,
  type Touch,
} from './sessionModel'

/** Activities that a neighbourhood leaves free at first. */
const FREE = 17

/** How much shorter a plan a neighbourhood is asked for, as shares of the gap to the bound. */
const STEPS = [0, 0.02, 0.06, 0.15]

/** How much shorter a plan a search everywhere is asked for, as shares of the gap to the bound. */
const EXPLORE = [0, 0.05, 0.2, 0.4]

/**
 * While there is no plan, how long a first one may be, in bounds, in turn: without any limit an order
 * that cannot be pushes everything later by seconds until the end of time.
 */
const FIRST = [1.5, 2.5, 6, 12]
/** How often none is set, which alone can prove that there is no plan: in small sessions and large. */
const UNLIMITED = [4, 32]
const SMALL = 60

/** How often a solution that breaks a rule is mended, and conflicts for each time. */
const MENDS = 6
/** Missing pauses for hand washing that are said at once. */
const CUTS = 40
const MEND = 12

/** Decisions between two attempts to have everything else as early as it goes. */
const TRY_AFTER = 40

/** Literals to be held as far as they can be: (side, value). */
type Held = [number, number][]

/**
 * Clause learning on one session: improves a plan in neighbourhoods, searches for a better one
 * everywhere, and raises the lower bound; all on one set of learned clauses.
 */
export class Learner {
  readonly session: SessionModel
  /** Proven: no plan is shorter. */
  bound = 0
  /** The last solution that broke a rule: what is nearest to it may still be worth having. */
  rejected: Standing | undefined
  /** Proven: nothing better than the best plan it was told of. */
  exhausted = false
  /** Whether so many milliseconds from now are past the end of the search. */
  expired: (milliseconds: number) => boolean = () => false
  /** The best makespan known. */
  private best = Infinity
  /** The values of a solution that broke a rule. */
  private mended = new Int32Array(0)
  private readonly decisions: Decisions
  private freed: number
  private restarts = 0
  private first = 0
  /** What the last neighbourhood left free, and whether it gave a solution. */
  private free = new Set<number>()
  private paying = false
  private step = 1

  constructor(
    private readonly model: Model,
    private readonly random: Random,
    /** The best plan so far: what lies close together in it has an order from the beginning. */
    plan?: PlanBody,
    scope?: Scope,
  ) {
    this.session = buildSessionModel(model, plan, scope)
    addExclusions(this.session)
    const { engine } = this.session
    engine.reserve(8000)
    if (!engine.seal()) this.exhausted = true
    this.decisions = new Decisions(this.session, model)
    this.bound = engine.lo(this.session.makespan)
    this.freed = Math.min(0.25, FREE / Math.max(1, model.activities.length))
  }

  /** The values that the plan to stay near gives to all variables: mostly the best one. */
  private get values(): Int32Array {
    return this.decisions.values
  }

  private set values(values: Int32Array) {
    this.decisions.values = values
  }

  /** Conflicts so far. */
  get work(): number {
    return this.session.engine.conflicts
  }

  /** Takes over a bound that was proven elsewhere. */
  know(bound: number): void {
    const { engine, makespan } = this.session
    if (this.exhausted || bound <= this.bound) return
    this.bound = bound
    engine.backtrack(0)
    if (!engine.require(2 * makespan, bound)) this.close()
  }

  /** Takes over a plan: from now on only shorter ones are of interest. */
  tell(body: PlanBody): void {
    if (body.makespan >= this.best) return
    this.best = body.makespan
    const { engine, makespan } = this.session
    engine.backtrack(0)
    this.values = valuesOf(this.session, body)
    if (this.orderNeighbours()) this.values = valuesOf(this.session, body)
    if (!this.exhausted && !engine.require(2 * makespan + 1, -(body.makespan - 1))) this.close()
  }

  /** Searches near the best plan for so many conflicts; a better plan, if one turned up. */
  improve(conflicts: number): PlanBody | undefined {
    if (this.exhausted) return undefined
    this.free = this.paying ? this.free : this.freeActivities()
    const { makespan } = this.session
    // A neighbourhood that pays is asked for twice as much each time: every step costs the same.
    const step = this.paying
      ? this.step
      : Math.max(1, (this.best - this.bound) * STEPS[below(this.random, STEPS.length)]!)
    const held = this.neighbourhood(this.free)
    const outcome = this.search(this.below(step), held, conflicts)
    if (!this.exhausted) this.bound = Math.max(this.bound, this.session.engine.rootLo(makespan))
    const paid = this.paying
    this.paying = outcome === 'solution' || (paid && outcome === 'impossible' && step > 2)
    this.step =
      outcome === 'solution'
        ? Math.max(1, Math.min(2 * step, (this.best - this.bound) / 2))
        : Math.max(1, step / 4)
    if (outcome === 'limit') this.freed = Math.max(0.03, this.freed * 0.93)
    if (outcome === 'impossible') this.freed = Math.min(0.8, this.freed * 1.06)
    return outcome === 'solution' ? this.solution() : undefined
  }

  /** Searches everywhere for a better plan; a run that ends proves that there is none. */
  explore(conflicts: number): PlanBody | undefined {
    if (this.exhausted) return undefined
    const { makespan } = this.session
    const share = EXPLORE[below(this.random, EXPLORE.length)]!
    const gap = Math.min(this.best, this.session.engine.horizonOf(makespan)) - this.bound
    const target =
      this.best < Infinity
        ? share > 0
          ? this.below(1 + gap * share)
          : undefined
        : this.firstTarget()
    const outcome = this.search(target, [], conflicts)
    const better = outcome === 'solution' ? this.solution() : undefined
    this.session.engine.backtrack(0)
    if (!this.exhausted) this.bound = Math.max(this.bound, this.session.engine.lo(makespan))
    return better
  }

  private firstTarget(): Held[number] | undefined {
    const often = UNLIMITED[this.model.activities.length > SMALL ? 1 : 0]!
    const turn = this.first++
    return turn % often === often - 1 ? undefined : this.within(FIRST[turn % FIRST.length]!)
  }

  /** That it is no longer than so many times the bound. */
  private within(times: number): Held[number] | undefined {
    const limit = Math.ceil(times * Math.max(1, this.bound))
    const { engine, makespan } = this.session
    return limit < engine.horizonOf(makespan) ? [2 * makespan + 1, -limit] : undefined
  }

  /** Tries to prove that no plan is as short as somewhat above the bound. */
  raiseBound(conflicts: number, share: number): PlanBody | undefined {
    const { engine, makespan } = this.session
    if (this.exhausted) return undefined
    const top = Math.min(this.best - 1, engine.horizonOf(makespan))
    const target = Math.floor(this.bound + (top - this.bound) * share)
    const outcome = this.search([2 * makespan + 1, -target], [], conflicts)
    const better = outcome === 'solution' ? this.solution() : undefined
    engine.backtrack(0)
    if (!this.exhausted) this.bound = Math.max(this.bound, engine.lo(makespan))
    return better
  }

  private close(): void {
    this.exhausted = true
    if (this.best < Infinity && !this.session.partial) this.bound = this.best
  }

  /**
   * The solution in the engine as a plan, if the independent checker passes it. Where it breaks
   * a rule that the constraints so far leave out, they are told of it.
   */
  private solution(): PlanBody | undefined {
    const near = this.values
    for (let round = 0; ; round++) {
      const body = this.standing()
      if (body) return body
      if (round === MENDS || this.best === Infinity) return undefined
      // The same order with what was missing is mostly a little longer and still good.
      this.values = this.mended
      this.orderNeighbours()
      const again = !this.exhausted && this.search(this.below(1), this.everything(), MEND)
      this.values = near
      if (again !== 'solution') return undefined
    }
  }

  /** Everything that the plan to stay near says: who, where, how, and the order of neighbours. */
  private everything(): Held {
    const held = this.neighbourhood(new Set())
    for (const codes of this.decisions.washCodes) for (const code of codes) this.hold(held, code)
    return held
  }

  /** That it is shorter than the best by at least so much. */
  private below(step: number): Held[number] {
    return [2 * this.session.makespan + 1, -Math.floor(this.best - step)]
  }

  /** The solution in the engine as a plan; where it breaks a rule, that rule is said from now on. */
  private standing(): PlanBody | undefined {
    const { engine } = this.session
    const hands = handWashCuts(this.session).slice(0, CUTS)
    const washes = shortWashes(this.session)
    const heats = heatCuts(this.session)
    const overlaps = together(this.session)
    const unknown = strangers(this.session)
    if (!unknown.length && !overlaps.length && !hands.length && !washes.length && !heats.length) {
      const body = bodyOf(this.session)
      if (body && breachesOf(this.model, body) === 0) {
        this.tell(body)
        return body
      }
    }
    this.rejected = standingIn(this.session)
    this.mended = this.values.map((_, x) =>
      !engine.isFixed(x) && engine.isBool(x) ? -1 : engine.lo(x),
    )
    engine.backtrack(0)
    for (const [a, b] of overlaps) if (!engine.impossible) this.session.lateTurn(a, b)
    for (const { place, pair } of unknown)
      if (!engine.impossible) this.session.lateUses(place, ...pair)
    for (const cut of hands) if (engine.impossible || !addCut(this.session, cut)) break
    for (const cut of heats) if (engine.impossible || !addHeatCut(this.session, cut)) break
    if (!engine.impossible) addWashCuts(this.session, washes)
    if (engine.impossible) this.close()
    return undefined
  }

  /**
   * Searches for a solution that meets the target and all that is held, for so many conflicts.
   * Restarts where nothing is held.
   */
  private search(target: Held[number] | undefined, held: Held, conflicts: number): Outcome {
    const { engine } = this.session
    engine.backtrack(0)
    engine.tidy()
    const limit = engine.conflicts + conflicts
    let restart = engine.conflicts + 60 * luby(++this.restarts)
    let sinceTry = TRY_AFTER
    for (let turn = 0; ; turn++) {
      if ((turn & 31) === 31 && this.expired(0)) return 'limit'
      if (!engine.propagate()) {
        if (!engine.learn()) {
          if (engine.impossible) this.close()
          return 'impossible'
        }
        if (engine.conflicts >= limit || this.expired(0)) return 'limit'
        if (!held.length && engine.conflicts >= restart) {
          engine.backtrack(0)
          restart = engine.conflicts + 60 * luby(++this.restarts)
        }
        continue
      }
      // First the length that is asked for, alone, so that a refusal of it is learned; then
      // everything that the neighbourhood holds, at once.
      if (engine.level === 0) {
        if (!engine.assume(target === undefined ? [] : [target])) return 'impossible'
        continue
      }
      if (engine.level === 1 && held.length) {
        if (!engine.assume(held)) return 'impossible'
        continue
      }
      if (++sinceTry >= TRY_AFTER) {
        sinceTry = 0
        if (this.decisions.finish()) continue
      }
      if (!this.decisions.next()) return 'solution'
    }
  }

  /** Holds everything of the best plan but what belongs to some of its activities. */
  private neighbourhood(free: Set<number>): Held {
    const { session, values } = this
    const held: Held = []
    const hold = (code: Code | undefined) => this.hold(held, code)
    this.decisions.perActivity.forEach((codes, i) => {
      if (!free.has(i)) codes.forEach(hold)
    })
    // Neighbours in time keep their order; all others follow from that.
    const holdOrder = (list: OrderEnd[]) => {
      const order = list
        .filter((t) => !free.has(t.activity) && !free.has(t.until) && values[t.s]! >= 0)
        .sort((a, b) => values[a.s]! - values[b.s]! || values[a.e]! - values[b.e]!)
      for (let i = 1; i < order.length; i++) hold(session.turnOf(order[i - 1]!, order[i]!))
    }
    for (let c = 0; c < this.model.cooks.length; c++) holdOrder(this.touchesOf(c))
    for (const place of session.places)
      if (place.stations.length === 1) holdOrder(place.uses.filter((u) => this.taken(u.code)))
    return held
  }

  private hold(held: Held, code: Code | undefined): void {
    const value = code !== undefined && code >= 0 ? this.values[code >> 1]! : -1
    if (value < 0) return
    const x = code! >> 1
    held.push(value === 1 ? [2 * x, 1] : [2 * x + 1, 0])
  }

  /** Gives the neighbours in each cook's work an order; whether one had none yet. */
  private orderNeighbours(): boolean {
    const { session, values } = this
    const before = session.orders.length
    for (let c = 0; c < this.model.cooks.length; c++) {
      const list = this.touchesOf(c)
        .filter((t) => !t.fact)
        .sort((a, b) => values[a.s]! - values[b.s]! || values[a.e]! - values[b.e]!)
      for (let i = 1; i < list.length; i++) session.lateTurn(list[i - 1]!, list[i]!)
    }
    if (session.engine.impossible) this.close()
    return session.orders.length > before
  }

  /** What a cook has in hand in the best plan. */
  private touchesOf(cook: number): Touch[] {
    return this.session.touches.filter(
      (t) => this.values[t.s]! >= 0 && t.cooks.some((x) => x.cook === cook && this.taken(x.code)),
    )
  }

  private taken(code: Code): boolean {
    return code === ALWAYS || (code >= 0 && this.values[code >> 1] === 1 - (code & 1))
  }

  private freeActivities(): Set<number> {
    const { model, random, session } = this
    const n = model.activities.length
    const wanted = Math.min(n, Math.max(3, Math.round(n * this.freed)))
    const free = new Set<number>()
    // Of a large session only what lies together: the order of the rest was never asked for.
    const kind = session.partial ? 0 : random()
    const startOf = (i: number) => this.values[session.activities[i]?.start ?? 0]!
    if (kind < 0.4) {
      const centre = random() * this.best
      const order = model.activities
        .map((a) => a.index)
        .sort((a, b) => Math.abs(startOf(a) - centre) - Math.abs(startOf(b) - centre))
      for (const i of order.slice(0, wanted)) free.add(i)
    } else if (kind < 0.8 || !session.places.length) {
      const dishes = [...new Set(model.problem.activities.map((a) => a.dish ?? a.id))]
      while (free.size < wanted && dishes.length) {
        const [dish] = dishes.splice(below(random, dishes.length), 1)
        model.problem.activities.forEach((a, i) => {
          if ((a.dish ?? a.id) === dish) free.add(i)
        })
      }
    } else {
      const place = session.places[below(random, session.places.length)]!
      for (const use of place.uses) free.add(use.activity)
      while (free.size < wanted) free.add(below(random, n))
    }
    return free
  }
}

/** 1 1 2 1 1 2 4 …: the restart sequence of Luby, Sinclair and Zuckerman (1993). */
function luby(i: number): number {
  for (let k = 1; ; k++) {
    if (i === (1 << k) - 1) return 1 << (k - 1)
    if (i < (1 << k) - 1) return luby(i - (1 << (k - 1)) + 1)
  }
}
