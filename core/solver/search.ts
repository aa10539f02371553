import type { Problem } from '../problem'
import type { Bound } from './bound'
import { overdue } from './facts'
import { breachesOf, planBody, type PlanBody } from './emit'
import type { Orders } from './learn/extract'
import { Learner } from './learn/learner'
import { buildModel } from './buildModel'
import { NEVER, type Model } from './model'
import { compareObjectives, lateness, objectives, valuesOfBody } from './objective'
import { prove } from './prove'
import { below, seeded, type Random } from './random'
import { priorityRules, type PriorityRule } from './rules'
import { Schedule, type Genes } from './schedule'

/** Weight of each further objective against the one before it, while searching. */
const STEP = 0.02
/** A second of lateness weighs as much as this many of the first objective. */
const LATE = 50
/** Decodes without improvement after which a proven optimum is thought as good as it gets. */
const POLISH = 400
/** Decodes, or attempts to place something, after the priority rules and before learning. */
const WARM_UP = 60
const WARM_UP_WORK = 15_000
/** Milliseconds that building takes, per activity squared: not begun shortly before the end. */
const BUILD_MS = 0.08
/** Conflicts of one lesson. */
const LESSON = 60
/** How far above the bound a proof is tried, as a share of the gap. */
const RAISE = 0.1
/** Decodes without a better plan after which learning is worth more of the time. */
const IDLE = 400
/** How likely it is that a delay is not taken over by the next schedule. */
const FORGET = 0.3
const NO_ORDER =
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
  /** The best lower bound so far; learning raises it. */
  bound: Bound
  best: Found | undefined
  /** Decodes so far. */
  iterations = 0
  /** Whether so many milliseconds from now are past the end; without it nothing ever is. */
  expired: (milliseconds: number) => boolean = () => false
  private readonly schedule: Schedule
  private readonly random: Random
  private readonly rules: PriorityRule[]
  private current: Genes
  private candidate: Genes
  private currentEnergy = Infinity
  private heat = 0
  private sinceBest = 0
  /** Decodes since one found a better plan by itself. */
  private idle = 0
  private readonly rounds: number
  private learner: Learner | undefined
  /** Steps since learning began. */
  private lessons = 0

  constructor(problem: Problem, seed: number) {
    this.model = buildModel(problem)
    const proof = prove(this.model)
    this.infeasible = proof.feasible ? undefined : proof.reasons
    this.bound = proof.feasible ? proof.bound : { value: 0, kind: 'nothing', because: [] }
    this.random = seeded(seed)
    this.schedule = new Schedule(this.model)
    this.rules = priorityRules(this.model)
    this.current = this.emptyGenes()
    this.candidate = this.emptyGenes()
    this.settleOverdue()
    this.rounds = 40 * this.model.activities.length + 200
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
    this.firstOptions(this.candidate)
    if (!schedule.begin(this.candidate)) return
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

  private firstOptions(genes: Genes): void {
    this.model.choices.forEach((c, i) => {
      genes.option[i] = Math.max(
        0,
        c.options.findIndex((o) => o.possible),
      )
    })
  }

  /** Whether the best plan meets the bound and nothing better has turned up for long. */
  get finished(): boolean {
    const idle = this.sinceBest > POLISH || this.model.activities.length === 0
    return this.provenOptimal && idle
  }

  get provenOptimal(): boolean {
    return this.best !== undefined && this.best.body.makespan === this.bound.value
  }

  /** One decode; true where it found a better plan than ever before. */
  step(): boolean {
    this.iterations++
    this.sinceBest++
    if (this.learns) return this.learn()
    const better = this.decode()
    this.idle = better ? 0 : this.idle + 1
    return better
  }

  /** Whether this step learns: once there has been time for plain construction. */
  private get learns(): boolean {
    const { activities, problem } = this.model
    if (problem.objective[0] !== 'makespan' || !activities.length) return false
    if (this.provenOptimal || this.learner?.exhausted) return false
    const decodes = this.iterations - this.constructions
    const stuck = this.model.facts !== undefined && this.currentEnergy === Infinity
    const warm =
      decodes > (stuck ? 5 : WARM_UP) || (decodes > 0 && this.schedule.work > WARM_UP_WORK)
    if (!this.learner && this.expired(BUILD_MS * activities.length ** 2)) return false
    // Both in turn while both pay: a lesson takes about as long as so many decodes.
    return warm && this.iterations % (this.idle > IDLE ? 2 : 8) === 0
  }

  /** One lesson: mostly near the best plan, now and then everywhere, or at the bound. */
  private learn(): boolean {
    this.learner ??= new Learner(this.model, this.random, this.best?.body)
    const { learner } = this
    learner.expired = this.expired
    if (this.best) learner.tell(this.best.body)
    const { partial } = learner.session
    const turn = !this.best ? 8 : partial ? 0 : this.lessons++ % 10
    const body =
      turn === 9
        ? learner.raiseBound(LESSON, RAISE)
        : turn === 8
          ? learner.explore(LESSON)
          : learner.improve(LESSON)
    // What it rules out may then only be ruled out near the plan that it began with.
    if (partial && learner.exhausted) this.learner = undefined
    if (!partial && learner.bound > this.bound.value)
      this.bound = { value: learner.bound, kind: 'search', because: [] }
    if (body) return this.takeUp(body)
    if (learner.rejected) return this.mend(learner)
    if (!partial && learner.exhausted && !this.best) this.infeasible = [NO_ORDER]
    return false
  }

  /** A solution that breaks a rule, put together anew in its order, may still be a better plan. */
  private mend(learner: Learner): boolean {
    this.follow(learner.rejected!)
    learner.rejected = undefined
    return this.decode(true)
  }

  /** Takes over a plan found elsewhere where it is better than the best here and keeps all rules. */
  receive(body: PlanBody): boolean {
    if (this.infeasible || !this.offer(body, valuesOfBody(this.model, body))) return false
    this.follow(body)
    this.decode(true)
    return true
  }

  private takeUp(body: PlanBody): boolean {
    const better = this.offer(body, valuesOfBody(this.model, body))
    // The same order, put together anew as early as it goes, is often shorter still.
    this.follow(body)
    return this.decode(true) || better
  }

  private offer(body: PlanBody, values: number[]): boolean {
    if (this.best && compareObjectives(values, this.best.values) >= 0) return false
    // Whatever a fault of construction may be: what breaks a rule is no plan.
    if (breachesOf(this.model, body) > 0) return false
    this.best = { body, values }
    this.sinceBest = 0
    return true
  }

  private follow(body: Orders): void {
    const { candidate, model } = this
    candidate.urgency = NEVER
    candidate.delay.fill(0)
    model.choices.forEach((_, c) => {
      const choice = model.problem.choices[c]!
      candidate.option[c] = choice.options.findIndex((o) => o.id === body.choices[choice.id])
    })
    for (const run of body.activities) {
      const i = model.indexOf.get(run.id)!
      const { modes } = model.problem.activities[i]!
      candidate.priority[i] = run.start
      candidate.mode[i] = model.activities[i]!.modes.findIndex(
        (m) => modes[m.index]!.id === run.mode,
      )
    }
  }

  /** One schedule from genes: by the next rule, by mutation, or as `candidate` stands. */
  private decode(ready = false): boolean {
    const constructing =
      !ready && (this.iterations <= this.constructions || this.currentEnergy === Infinity)
    if (constructing) this.construct()
    else if (!ready) this.mutate()
    if (!this.schedule.decode(this.candidate)) return false
    const late = lateness(this.model, this.schedule)
    const values = objectives(this.model, this.schedule)
    const energy = LATE * late + weighted(values)
    if (this.accepts(energy, constructing)) this.accept(energy)
    if (late > 0 || (this.best && compareObjectives(values, this.best.values) >= 0)) return false
    return this.offer(planBody(this.model, this.schedule), values)
  }

  private get constructions(): number {
    return 2 * this.rules.length
  }

  private emptyGenes(): Genes {
    return {
      priority: new Float64Array(this.model.activities.length),
      mode: new Int32Array(this.model.activities.length).fill(-1),
      option: new Int32Array(this.model.choices.length),
      delay: new Int32Array(this.model.activities.length),
      urgency: NEVER,
    }
  }

  private construct(): void {
    const k = this.iterations - 1
    const { candidate, random } = this
    const rule = this.rules[k % this.rules.length]!
    candidate.priority.set(rule(random))
    candidate.mode.fill(-1)
    candidate.delay.fill(0)
    candidate.urgency = [NEVER, 1200, 300, 0][Math.floor(k / this.rules.length) % 4]!
    this.model.choices.forEach((c, i) => {
      const possible = c.options.flatMap((o, j) => (o.possible ? [j] : []))
      candidate.option[i] =
        k < this.rules.length ? possible[0]! : possible[below(random, possible.length)]!
    })
  }

  private mutate(): void {
    const { candidate, current, random, model } = this
    candidate.priority.set(current.priority)
    candidate.mode.set(current.mode)
    candidate.option.set(current.option)
    candidate.urgency = current.urgency
    // What had to wait for others may begin earlier now that something else changes.
    for (let i = 0; i < candidate.delay.length; i++)
      candidate.delay[i] = random() < FORGET ? 0 : current.delay[i]!
    const moves = 1 + below(random, 3)
    for (let m = 0; m < moves; m++) {
      const dice = random()
      if (dice < 0.12 && model.choices.length) this.otherOption()
      else if (dice < 0.24) this.otherMode()
      else if (dice < 0.4) this.shiftDish()
      else if (dice < 0.43) candidate.urgency = [0, 120, 300, 1200, NEVER][below(random, 5)]!
      else this.shiftOne()
    }
  }

  private otherOption(): void {
    const c = below(this.random, this.model.choices.length)
    const possible = this.model.choices[c]!.options.flatMap((o, j) => (o.possible ? [j] : []))
    this.candidate.option[c] = possible[below(this.random, possible.length)]!
  }

  private otherMode(): void {
    const { model, random } = this
    const i = below(random, model.activities.length)
    const { modes } = model.activities[i]!
    this.candidate.mode[i] = modes.length < 2 ? -1 : below(random, modes.length + 1) - 1
  }

  private shiftOne(): void {
    const { candidate, random, model } = this
    const i = below(random, model.activities.length)
    // Half of the moves jump next to another activity, half drift a little.
    if (random() < 0.5) {
      const other = below(random, model.activities.length)
      candidate.priority[i] = candidate.priority[other]! + (random() < 0.5 ? -0.5 : 0.5)
    } else candidate.priority[i]! += (random() - 0.5) * this.spread()
  }

  private shiftDish(): void {
    const { candidate, random, model } = this
    const { dish } = model.problem.activities[below(random, model.activities.length)]!
    const by = (random() - 0.5) * this.spread()
    model.problem.activities.forEach((a, i) => {
      if (a.dish === dish) candidate.priority[i]! += by
    })
  }

  private spread(): number {
    return (0.05 + 0.5 * this.random()) * Math.max(60, this.best?.body.makespan ?? 3600)
  }

  private accepts(energy: number, constructing: boolean): boolean {
    if (energy <= this.currentEnergy) return true
    if (constructing) return false
    const progress = (this.iterations % this.rounds) / this.rounds
    const temperature = this.heat * (1 - progress) * (1 - progress)
    return this.random() < Math.exp((this.currentEnergy - energy) / Math.max(1e-9, temperature))
  }

  private accept(energy: number): void {
    const { candidate, current, schedule } = this
    this.candidate = current
    this.current = candidate
    this.currentEnergy = energy
    this.heat = Math.max(1, Math.abs(energy) * 0.01)
    schedule.start.forEach((start, i) => {
      if (schedule.present[i]) candidate.priority[i] = start
    })
    candidate.delay.set(schedule.minStart)
  }
}

const weighted = (values: number[]) => {
  let weight = 1
  let sum = 0
  for (const v of values) {
    sum += weight * v
    weight *= STEP
  }
  return sum
}
