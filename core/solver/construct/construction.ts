import { forget, WISHES, type Encoding, otherMode } from '../sgs/encoding'
import { isOver, NEVER, type Model, dishOf } from '../model/model'
import { OvenSequencingSearch } from './ovenSequencingSearch'
import { below, type Random } from '../structures/random'
import { balancedOptions } from './balancedOptions'
import { firstTrials, type Trial } from './firstTrials'
import { priorityRules, type PriorityRule, type RuleName } from './priorityRules'
import { PARAMS } from '../params'

const {
  KEEP_OPTIONS,
  SAMPLE,
  SHAKES,
  SHAKEN,
  BEFORE,
  BAKES,
  BAKED,
  ANY,
  OTHER_OPTIONS,
  OTHER_OPTION,
  LONGER,
  GOES_ON,
  URGENCIES,
} = PARAMS.construction
const { LARGE } = PARAMS.sizes
const SAMPLED = ['tail', 'early'] as const

/** What gave the best schedule so far. */
interface Best {
  spare: boolean
  priority: Float64Array
  urgency: number
  option: Int32Array
  mode: Int32Array
}

/** Some schedules of one kind: sets what the j-th is put together from, or false where there is none. */
interface Stage {
  count: number
  /** Around orders of the bakes, rather than by rules. */
  ovens?: boolean
  make: (j: number, candidate: Encoding, current: Encoding) => boolean
}

/**
 * The first schedules: priority rules in the ways that do best, with the load well spread, and around
 * orders of the bakes; then with the best of them every option of every choice, one choice after another,
 * orders of the bakes again, and any rule in any way; of a large session, many more from shaken priorities.
 */
export class Construction {
  /** How many schedules that makes. */
  readonly length: number
  private readonly stages: Stage[]
  private readonly rules: Map<RuleName, PriorityRule>
  private readonly names: RuleName[]
  private readonly possible: number[][]
  private readonly balanced: Int32Array
  /** Priorities of the latest schedule, and what gave the best one. */
  private readonly tried: Float64Array
  private best: Best | undefined
  private energy = Infinity
  private bakes: OvenSequencingSearch | undefined
  /** Whether the latest schedule is around an order of the bakes. */
  around = false
  /** What rules and options have been tried with, so that none is put together twice. */
  private readonly known = new Set<string>()
  private readonly span: number
  /** How often a schedule with each option of each choice foundered on a step of that option. */
  private readonly failures: Int32Array[]

  constructor(
    private readonly model: Model,
    private readonly random: Random,
    /** Whether by priority rules, once any schedule has come out, and around orders of the bakes. */
    private readonly kinds = { construct: true, ovenOrders: true },
  ) {
    this.possible = model.choices.map((c) => c.options.flatMap((o, j) => (o.possible ? [j] : [])))
    this.balanced = balancedOptions(model, this.possible)
    this.failures = model.choices.map((c) => new Int32Array(c.options.length))
    this.rules = priorityRules(model, this.balanced)
    this.names = [...this.rules.keys()]
    this.span = this.rules.get('tail')!(random).reduce((most, x) => Math.max(most, -x), 60)
    this.stages = this.stagesOf()
    this.length = this.stages.reduce((sum, { count }) => sum + count, 0)
    this.tried = new Float64Array(model.activities.length)
  }

  private stagesOf(): Stage[] {
    const { model } = this
    const steps = model.activities.length
    const trials = firstTrials(steps, model.facts !== undefined).filter(({ rule }) =>
      this.rules.has(rule),
    )
    const options = this.possible.flatMap((list, c) =>
      list.length > 1 ? list.map((o): [number, number] => [c, o]) : [],
    )
    const shaken = steps > LARGE ? SHAKEN : 0
    const [early, late] = model.facts || steps > LARGE ? [0, 0] : BAKES
    const byRule = (from: number, to: number): Stage => ({
      count: Math.max(0, to - from),
      make: (j, candidate) => this.byRule(trials[from + j]!, from + j, candidate),
    })
    const around = (count: number): Stage => ({
      count,
      ovens: true,
      make: (_, candidate) => this.aroundBakes(candidate),
    })
    return [
      // A plan is what is waited for first.
      byRule(0, Math.min(BEFORE, trials.length)),
      around(early),
      byRule(BEFORE, trials.length),
      {
        count: options.length,
        make: (j, candidate, current) => this.otherOption(options[j]!, candidate, current),
      },
      around(late),
      { count: ANY, make: (_, candidate, current) => this.anyRule(candidate, current) },
      {
        count: Math.ceil(shaken / 3),
        make: (j, candidate, current) => this.sample(j, candidate, current),
      },
      { count: Math.floor((2 * shaken) / 3), make: (_, candidate) => this.shake(candidate) },
    ]
  }

  /**
   * The k-th of them; `current` is the best so far. False where it would come out like an earlier
   * one: rules often agree on the order.
   */
  next(k: number, candidate: Encoding, current: Encoding): boolean {
    forget(candidate)
    candidate.mode.fill(-1)
    this.around = false
    let j = k
    const stage = this.stages.find(({ count }) => {
      if (j < count) return true
      j -= count
      return false
    })
    const wanted = stage?.ovens ? this.kinds.ovenOrders : this.kinds.construct || !this.best
    if (stage && (!wanted || !stage.make(j, candidate, current))) return false
    // While nothing has come out it goes on for ever, and some day all will have been tried.
    if (!stage) this.anyRule(candidate, current)
    if (k > 0 && !this.best && this.model.facts) this.otherFacts(candidate, this.model.facts.now)
    this.tried.set(candidate.priority)
    return true
  }

  private byRule({ rule, urgency, spare }: Trial, k: number, candidate: Encoding): boolean {
    candidate.priority.set(this.rules.get(rule)!(this.random))
    candidate.urgency = urgency
    candidate.spare = spare
    // Where these options do not come out, others may.
    if (this.best || k % 2 === 0) candidate.option.set(this.balanced)
    else this.anyOptions(candidate)
    if (!this.best) this.leaveFoundered(candidate)
    return this.isNew(candidate)
  }

  private otherOption(
    [choice, option]: [number, number],
    candidate: Encoding,
    current: Encoding,
  ): boolean {
    const { best } = this
    if (!best) return this.anyRule(candidate, current)
    candidate.priority.set(best.priority)
    candidate.urgency = best.urgency
    candidate.spare = best.spare
    candidate.option.set(current.option)
    candidate.option[choice] = option
    return this.isNew(candidate)
  }

  private anyRule(candidate: Encoding, current: Encoding): boolean {
    const { rules, names, random, best } = this
    candidate.priority.set(rules.get(names[below(random, names.length)]!)!(random))
    candidate.spare = random() < 0.5
    const stuck = !best && this.model.facts !== undefined
    candidate.urgency = stuck ? NEVER : URGENCIES[below(random, URGENCIES.length)]!
    if (best && random() < KEEP_OPTIONS) candidate.option.set(current.option)
    else this.anyOptions(candidate)
    return this.isNew(candidate)
  }

  /** With the options that have done best so far. */
  private aroundBakes(candidate: Encoding): boolean {
    const option = this.best?.option ?? this.balanced
    if (this.bakes?.option.join() !== option.join())
      this.bakes = new OvenSequencingSearch(this.model, this.random, option)
    // Where something else than the ovens holds the session up, other ways do better.
    const { energy, least } = this.bakes
    if (energy < Infinity && energy > this.energy && least < BAKED * this.energy) return false
    this.around = this.bakes.next(candidate)
    return this.around
  }

  private isNew(candidate: Encoding): boolean {
    if (this.model.facts) return true
    const key = keyOf(candidate)
    if (this.known.has(key)) return false
    this.known.add(key)
    return true
  }

  /**
   * While nothing comes out: what is under way, which goes before all else, a little longer or in
   * other hands, so that they are free for what cannot wait.
   */
  private otherFacts(candidate: Encoding, now: number): void {
    const { model, random } = this
    for (const a of model.activities) {
      if (!a.fact || isOver(a)) continue
      const { phases } = a.modes[0]!
      phases.forEach(({ cooks }, k) => {
        if (k < WISHES && cooks.length > 1)
          candidate.cook[WISHES * a.index + k] = cooks[below(random, cooks.length)]!
      })
      if (random() >= GOES_ON) continue
      const least = Math.max(now, a.fact.start + a.min)
      const most = Math.min(least + LONGER, a.fact.start + a.max)
      candidate.floor[2 * a.index + 1] = least + below(random, Math.max(1, most - least))
    }
  }

  /** A classic rule, every priority a little off, and perhaps other options. */
  private sample(j: number, candidate: Encoding, current: Encoding): boolean {
    const { rules, random } = this
    const keys = rules.get(SAMPLED[j % 2]!)!(random)
    candidate.urgency = NEVER
    candidate.spare = random() < 0.5
    for (let i = 0; i < keys.length; i++)
      candidate.priority[i] = keys[i]! * (SAMPLE.least + SAMPLE.more * random())
    candidate.option.set(random() < 0.5 ? this.balanced : current.option)
    if (random() < OTHER_OPTIONS)
      this.possible.forEach((options, c) => {
        if (random() < OTHER_OPTION)
          candidate.option[c] = options[below(random, options.length)] ?? 0
      })
    return true
  }

  /** The best so far with a few priorities moved, and perhaps an option or a mode. */
  private shake(candidate: Encoding): boolean {
    const { best, random, model, possible } = this
    if (!best) return false
    candidate.priority.set(best.priority)
    candidate.option.set(best.option)
    candidate.mode.set(best.mode)
    candidate.spare = best.spare
    candidate.urgency = best.urgency
    const n = best.priority.length
    const amp = this.span * (SHAKES.least + SHAKES.more * random() * random())
    const dice = random()
    if (dice < SHAKES.option && possible.length) {
      const c = below(random, possible.length)
      candidate.option[c] = possible[c]![below(random, possible[c]!.length)] ?? 0
    } else if (dice < SHAKES.mode) {
      otherMode(model, random, candidate, below(random, n))
    }
    if (dice < SHAKES.alone) return true
    for (let r = 1 + below(random, 3); r > 0; r--) {
      const by = (random() - 0.5) * amp
      const i = below(random, n)
      for (const j of random() < 0.5 ? dishOf(model, i) : [i]) candidate.priority[j]! += by
    }
    return true
  }

  private anyOptions(candidate: Encoding): void {
    this.possible.forEach((options, c) => {
      candidate.option[c] = options[below(this.random, options.length)] ?? 0
    })
  }

  /** Where a choice led to nothing, the option that did so least often, else as it is. */
  private leaveFoundered(candidate: Encoding): void {
    this.failures.forEach((failures, c) => {
      const taken = candidate.option[c]!
      candidate.option[c] = this.possible[c]!.reduce(
        (least, o) => (failures[o]! < failures[least]! ? o : least),
        taken,
      )
    })
  }

  /** A schedule did not come out, as one step (-1: none) came too late. */
  foundered(late: number, candidate: Encoding): void {
    const choice = this.model.activities[late]?.choice ?? -1
    if (choice >= 0) this.failures[choice]![candidate.option[choice]!]!++
  }

  /** How the latest of them came out, and whether that is the best so far. */
  tell(energy: number, candidate: Encoding, isBest: boolean): void {
    if (this.around) this.bakes?.tell(energy)
    if (!isBest) return
    this.energy = energy
    this.best = {
      priority: this.tried.slice(),
      urgency: candidate.urgency,
      spare: candidate.spare,
      option: candidate.option.slice(),
      mode: candidate.mode.slice(),
    }
  }
}

/** Everything that decides how a schedule without wishes comes out. */
function keyOf({ priority, urgency, spare, option, mode }: Encoding): string {
  const order = Array.from(priority.keys()).sort((a, b) => priority[a]! - priority[b]! || a - b)
  return [order, urgency, spare, option, mode].join(' ')
}
