import type { Plan } from '../../plan'
import type { Problem } from '../../problem'
import type { Bound } from '../bounds/lowerBound'
import { searchesAll } from './proofScope'
import { overdue } from '../model/facts'
import { planFromSchedule } from '../sgs/planFromSchedule'
import type { Standing } from '../lcg/model/planFromSolution'
import { LcgSolver } from '../lcg/search/lcgSolver'
import { LARGE } from '../lcg/model/sessionModel'
import { buildModel } from '../model/buildModel'
import { Allowances } from './allowances'
import { changesFrom } from './changes'
import { withAskedWashes } from '../model/askedWashes'
import { Construction } from '../construct/construction'
import { earlyEnds } from './earlyEnds'
import { Annealing } from '../improve/annealing'
import { firstObjective, inContract, postponed, type FirstObjective } from './firstObjective'
import { encodePlan, type Encoding } from '../sgs/encoding'
import { isOver, NEVER, type Model } from '../model/model'
import { Moves } from '../improve/moves'
import { Refinement } from './refinement'
import { contradiction, proveBound } from '../bounds/rootProof'
import { seeded, type Random } from '../structures/random'
import { SerialSchedule } from '../sgs/serialScheduleGeneration'
import { breachesOf, type PlanBody } from '../model/planBody'
import { lateness, valuesOfSchedule } from '../sgs/scheduleObjective'
import { valuesOfBody } from '../model/objective'

/** What each step changed from an earlier plan counts for, in seconds of an objective. */
const CHANGE = 60
/** A second of lateness weighs as much as this many of the first objective. */
const LATE = 50
/** Decodes without improvement after which a proven optimum is thought as good as it gets. */
const POLISH = 2000
/** Decodes without improvement after which the other objectives have a share, if half of all too. */
const STALE = 600
/** Fruitless lessons about one of them before the next, while the plan may get shorter and after. */
const PATIENCE = [6, 24]
/** For how many of these a lesson about the other objectives counts, which takes that much longer. */
const POLISH_LESSON = 20
/** Decodes without a plan after which it is seen whether there can be one. */
const FIRST = 6
/** Schedules that are put together before learning helps to go on with what has begun. */
const STUCK = 8
/**
 * Up to so many steps learning begins after SOON decodes; otherwise after the priority rules and so
 * many more decodes, or attempts to place something. (Twelve sessions of 9 dishes at 1 s: 7.6 %
 * above the best known instead of 9.0 %.)
 */
const SMALL = 72
const SOON = 20
const WARM_UP = 150
const WARM_UP_WORK = 100_000
/**
 * A schedule that takes so many times the attempts of the first one that came out is given up: in
 * sessions of 40 dishes eight of the first orders took as long as a hundred others, and failed.
 */
const TANGLED = 4
/** When copies of the problem are looked at that the search reaches otherwise, and for how many decodes. */
const COPIES_AT = 3
const COPIED = 150
/** Conflicts of one lesson. */
const LESSON = 60
/** Of so many lessons one is everywhere and one at the bound. */
const CYCLE = 10
const EVERYWHERE = 8
const AT_BOUND = 9
/**
 * Not in larger sessions while it is fewer steps than these that the plan has become shorter: both
 * mostly end without a result there.
 */
const FRESH = 60
/** How far above the bound a proof is tried, as a share of the gap. */
const RAISE = 0.1
/** Proven by exhaustion: which requirements clash is then another question. */
export const NO_ORDER =
  'a search through every order of the steps found none that meets all requirements together'

export interface Found {
  body: PlanBody
  /** Values of the problem's objectives, in their order. */
  values: number[]
}

/**
 * The search, one decode at a time: first every priority rule, then annealing over
 * priorities, modes and options, where an accepted schedule's own starts become its
 * priorities. It holds no clock: who runs it decides how long.
 */
export class Search {
  readonly model: Model
  infeasible: string[] | undefined
  /** The best lower bound so far of the objective that comes first; learning raises it. */
  bound: Bound = { value: 0, kind: 'nothing', because: [] }
  best: Found | undefined
  /** Decodes so far. */
  iterations = 0
  /** Whether so many milliseconds from now are past the end; without it nothing ever is. */
  expired: (milliseconds: number) => boolean = () => false
  private readonly schedule: SerialSchedule
  private readonly random: Random
  private readonly construction: Construction
  private readonly moves: Moves
  private readonly annealing: Annealing
  private sinceBest = 0
  /** Schedules from priority rules so far. */
  private constructed = 0
  private lcg: LcgSolver | undefined
  /** The best plan of a large session, where learning near it has nothing better to offer. */
  private ruledOut: Found | undefined
  private readonly refinement: Refinement
  /** Steps since learning began. */
  private lessons = 0
  private bounded = false
  private readonly searchesAll: boolean
  private readonly first: FirstObjective
  private readonly allowances: Allowances
  /** The best value found of the first objective; with an allowance the best plan may have more. */
  private shortest = Infinity
  /** The values of the plan that has it: the best without any allowance. */
  strict: number[] | undefined
  /** Attempts to place something after which a schedule is given up. */
  private attempts = Infinity

  /** The plan that changes of an earlier one only what it must. */
  kept: Found | undefined

  constructor(
    problem: Problem,
    seed: number,
    /** A plan to keep to where that costs nothing. */
    private readonly previous?: Plan,
  ) {
    this.model = buildModel(problem)
    this.searchesAll = searchesAll(problem)
    this.infeasible = contradiction(this.model)
    this.first = firstObjective(this.model)
    this.allowances = new Allowances(problem, previous ? 1 : 0)
    this.bound.value = this.first.least
    this.random = seeded(seed)
    this.schedule = new SerialSchedule(this.model)
    this.construction = new Construction(this.model, this.random)
    this.moves = new Moves(this.model, this.random)
    this.refinement = new Refinement(this.model, this.random)
    this.annealing = new Annealing(this.model, this.random)
    this.settleOverdue()
  }

  /** What has gone past its most ends as soon as somebody can see to it: that is then its length. */
  private settleOverdue(): void {
    const { model, schedule } = this
    const { facts, problem } = model
    if (!facts || this.infeasible) return
    const late = model.activities.filter(
      (a) => a.fact && overdue(problem.activities[a.index]!, a.fact, facts.now),
    )
    if (!late.length) return
    const { candidate } = this.annealing
    this.firstOptions(candidate)
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

  private firstOptions(encoding: Encoding): void {
    this.model.choices.forEach((c, i) => {
      encoding.option[i] = Math.max(
        0,
        c.options.findIndex((o) => o.possible),
      )
    })
  }

  /**
   * Whether the best plan meets the bound, and is as good in all else as is possible or nothing
   * better has turned up for long.
   */
  get finished(): boolean {
    const { allowances, best, refinement, model } = this
    if (!best || !this.provenOptimal || !allowances.all) return false
    const idle = this.sinceBest > POLISH || model.activities.length === 0
    return idle || refinement.provenWith(allowances.within(best.values))
  }

  get provenOptimal(): boolean {
    return this.best !== undefined && this.shortest === this.bound.value
  }

  /** The best value found of the first objective, as the contract words it. */
  get shortestInContract(): number | undefined {
    return this.best && inContract(this.first.name, this.shortest)
  }

  /**
   * Says how much of the time is over, as a share, where that is known: allowances are made use of once
   * what they are measured by has been looked for long enough.
   */
  elapsed(share: number): void {
    const { allowances, best } = this
    if (!best || !allowances.turns) return
    const half = (allowances.turn + 0.5) / (allowances.turns + 1)
    const proven = this.refinement.provenWith(allowances.within(best.values))
    if (allowances.turn > 0 && (share >= half || this.sinceBest > STALE || proven))
      if (allowances.widen()) this.sinceBest = 0
    if (allowances.turn >= allowances.turns) return
    const due = share >= (allowances.turn + 1) / (allowances.turns + 1)
    const settled = allowances.turn === 0 ? this.provenOptimal : false
    if (!due && !settled && this.sinceBest <= POLISH) return
    allowances.next(best.values)
    this.lcg = undefined
    this.sinceBest = 0
    this.annealing.energy = Infinity
    this.follow(best.body)
    this.decode(true)
  }

  /** The bound as the contract words it: of the start, which is to be late, no plan has more. */
  get boundInContract(): number {
    return inContract(this.first.name, this.bound.value)
  }

  /** Looks for plans in copies of the problem that all plans of are plans of it; whether one is better. */
  private lookInCopies(): boolean {
    const before = this.best
    for (const problem of earlyEnds(this.model.problem)) {
      const copy = new Search(problem, 1)
      for (let i = 0; i < COPIED && !copy.infeasible && !copy.finished; i++) copy.step()
      if (copy.best) this.receive(copy.best.body)
    }
    return this.best !== before
  }

  /** One decode; true where it found a better plan than ever before. */
  step(): boolean {
    this.iterations++
    this.sinceBest++
    if (this.best || this.iterations > FIRST) this.settleBound()
    if (this.infeasible) return false
    if (this.iterations === 1 && this.previous) return this.keep(this.previous)
    if (this.iterations === COPIES_AT && this.lookInCopies()) return true
    if (this.learns) return this.learn()
    if (this.polishes) return this.polish()
    return this.decode()
  }

  /** The first plan goes before the bound: it is what is waited for. */
  settleBound(): void {
    if (this.bounded || this.infeasible) return
    this.bounded = true
    const proof = proveBound(this.model)
    if (!proof.feasible) this.infeasible = proof.reasons
    else if (this.first.name === 'makespan') this.bound = proof.bound
  }

  /** Whether this step learns: once there has been time for plain construction. */
  private get learns(): boolean {
    const { activities } = this.model
    if (!this.first.learned || !activities.length || this.allowances.turn > 0) return false
    if (this.provenOptimal || this.lcg?.exhausted) return false
    if (this.best && this.ruledOut === this.best) return false
    const stuck = this.model.facts !== undefined && this.annealing.energy === Infinity
    const { length } = this.construction
    const small = activities.length <= SMALL
    const built = stuck ? Math.min(length, STUCK) : length
    const first = stuck ? built : small ? SOON : built + WARM_UP
    const warm =
      this.iterations > first || (this.iterations > built && this.schedule.work > WARM_UP_WORK)
    const open = activities.filter((a) => !isOver(a)).length
    if (!this.lcg && this.expired(LcgSolver.building(open))) return false
    // Both in turn, as both pay; of small sessions learning soon knows more than any order tried.
    return warm && this.iterations % (small ? 2 : 3) === 0
  }

  /** Whether this step is for the other objectives: of a session that can be learned whole. */
  private get polishes(): boolean {
    const { activities, facts } = this.model
    if (!this.first.learned) return false
    if (!this.best || activities.length > LARGE) return false
    if (this.refinement.doneWith(this.allowances.within(this.best.values))) return false
    if (facts || this.previous) return false
    return this.provenOptimal || this.allowances.turn > 0
      ? this.iterations % 2 === 0
      : this.sinceBest > Math.max(STALE, this.iterations / 2) && this.iterations % 12 === 1
  }

  private polish(): boolean {
    const { refinement, best } = this
    const patience = PATIENCE[this.provenOptimal ? 1 : 0]!
    if (this.provenOptimal) {
      this.lcg = undefined
      this.sinceBest += POLISH_LESSON - 1
    }
    refinement.expired = this.expired
    const values = this.allowances.within(best!.values)
    const body = refinement.learn(best!.body, values, LESSON, patience)
    return body !== undefined && this.takeUp(body)
  }

  /** One lesson: mostly near the best plan, now and then everywhere, or at the bound. */
  private learn(): boolean {
    const { best } = this
    this.lcg ??= new LcgSolver(this.model, this.random, {
      plan: best?.body,
      ...(this.first.name === 'makespan' ? {} : { aim: { objective: 0, plan: best?.body } }),
      mend: (solution) => this.mend(solution),
    })
    const { lcg } = this
    lcg.expired = this.expired
    lcg.know(this.bound.value)
    if (best) lcg.tell(best.body)
    const { partial } = lcg.session
    const fresh = this.model.activities.length > SMALL && this.sinceBest < FRESH
    const turn = !best ? EVERYWHERE : partial || fresh ? 0 : this.lessons++ % CYCLE
    const body =
      turn === AT_BOUND
        ? lcg.raiseBound(LESSON, RAISE)
        : turn === EVERYWHERE
          ? lcg.explore(LESSON)
          : lcg.improve(LESSON)
    // What it rules out may then only be ruled out near the plan that it began with.
    if (partial && lcg.exhausted) {
      this.lcg = undefined
      // Built anew around the same plan it would rule out the same again.
      if (lcg.work === 0) this.ruledOut = best
    }
    const claims = !partial && this.searchesAll
    const proven = lcg.bound - this.first.slack
    if (claims && proven > this.bound.value)
      this.bound = { value: proven, kind: 'search', because: [] }
    // What was mended has been taken up already.
    if (body && body !== this.best?.body) this.takeUp(body)
    if (claims && lcg.exhausted && !this.best) this.infeasible = [NO_ORDER]
    return this.best !== best
  }

  private mend(solution: Standing): PlanBody | undefined {
    this.follow(solution)
    return this.decode(true) ? this.best!.body : undefined
  }

  /** The earlier plan as far as it still goes, before anything else is tried. */
  private keep(previous: Plan): boolean {
    // Where its times no longer go, its order may.
    for (const timed of [true, false])
      for (const urgency of [0, 300, NEVER]) {
        this.follow(previous)
        const { candidate } = this.annealing
        candidate.urgency = urgency
        if (!timed) candidate.floor.fill(0)
        if (!this.decode(true)) continue
        this.kept = this.best
        return true
      }
    return false
  }

  private valuesOf(body: PlanBody): number[] {
    const values = valuesOfBody(this.model, body)
    if (this.previous) values.splice(1, 0, CHANGE * changesFrom(this.previous, body))
    return values
  }

  /** Takes over a plan found elsewhere where it is better than the best here and keeps all rules. */
  receive(body: PlanBody): boolean {
    if (this.infeasible || !this.offer(body, this.valuesOf(body))) return false
    this.follow(body)
    this.decode(true)
    return true
  }

  private takeUp(body: PlanBody): boolean {
    const better = this.offer(body, this.valuesOf(body))
    // The same order, put together anew as early as it goes, is often shorter still.
    this.follow(body)
    return this.decode(true) || better
  }

  private offer(found: PlanBody, valued: number[]): boolean {
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

  /** Whether a plan of such values is better, or as good as none before in what comes first. */
  private isBetter(values: readonly number[]): boolean {
    const { best } = this
    return !best || values[0]! < this.shortest || this.allowances.compare(values, best.values) < 0
  }

  private follow(body: Standing): void {
    encodePlan(this.annealing.candidate, this.model, body)
  }

  /** One schedule from encoding: constructed, changed, or as `candidate` stands. */
  private decode(ready = false): boolean {
    const { annealing, construction, schedule } = this
    const { candidate, current } = annealing
    const constructing = !ready && this.construct()
    const leaving = !ready && !constructing && annealing.turn(this.iterations)
    if (leaving) this.moves.kick(candidate, current)
    else if (!ready && !constructing) this.moves.change(candidate, current, this.gathers)
    const before = schedule.work
    if (!schedule.decode(candidate, ready ? Infinity : this.attempts)) {
      if (leaving) annealing.giveUp()
      if (constructing) construction.foundered(schedule.late, candidate)
      return false
    }
    // One that follows a plan hardly tries anything: it says nothing about the others.
    if (!ready && this.attempts === Infinity) this.attempts = TANGLED * (schedule.work - before)
    const late = lateness(this.model, schedule)
    const plain = !this.model.facts && !this.previous
    const body = plain ? undefined : planFromSchedule(this.model, schedule)
    const values = body ? this.valuesOf(body) : valuesOfSchedule(this.model, schedule)
    const energy = LATE * late + this.allowances.weighted(values, this.best?.values)
    if (constructing) construction.tell(energy, candidate, energy < annealing.energy)
    if (leaving || annealing.accepts(energy, constructing, this.iterations))
      annealing.accept(energy, schedule)
    if (late > 0 || !this.isBetter(values)) return false
    return this.offer(body ?? planFromSchedule(this.model, schedule), values)
  }

  /** Whether fewer changes of dish are what is wanted now. */
  private get gathers(): boolean {
    const { allowances, model } = this
    return allowances.turn > 0 && model.problem.objective.includes('switches')
  }

  /** The next of the first schedules, while there are any. */
  private construct(): boolean {
    const { construction } = this
    const { candidate, current } = this.annealing
    while (this.constructed < construction.length || this.annealing.energy === Infinity)
      if (construction.next(this.constructed++, candidate, current)) return true
    return false
  }
}
