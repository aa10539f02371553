import { forget, WISHES, type Genes } from './genes'
import { isOver, NEVER, type Model } from './model'
import { dishOf, otherMode } from './moves'
import { below, type Random } from './random'
import { balancedOptions } from './balancedOptions'
import { firstTrials, type Trial } from './firstTrials'
import { priorityRules, type PriorityRule, type RuleName } from './rules'

/** How likely a further round keeps the options that have done best so far. */
const KEEP_OPTIONS = 0.7
/**
 * Of a session with more steps than this so many more schedules come from shaken priorities: a
 * third of them from the rules, the others from whatever did best; then learning begins. (Four
 * sessions of 40 dishes after 30 s: 4.0, 0.0 and 2.3 % above the best known with 150, 400 and 900.)
 */
const LARGE = 160
const SHAKEN = 400
/** Schedules from any rule in any way, after those that are known to do well. */
const ANY = 6
/** How likely a sample leaves the usual options, and then each of them. */
const OTHER_OPTIONS = 0.6
const OTHER_OPTION = 0.3
/** Seconds that something under way may go on longer so that something else can follow in time. */
const LONGER = 600
/** How likely it does: each of them may as well be what must end now. */
const GOES_ON = 0.2
const URGENCIES = [1200, NEVER, 300, 0]
const SAMPLED = ['tail', 'early'] as const

/** What gave the best schedule so far. */
interface Best {
  spare: boolean
  priority: Float64Array
  urgency: number
  option: Int32Array
  mode: Int32Array
}

/**
 * The first schedules: priority rules in the ways that do best, with the load well spread, then with
 * the best of them every option of every choice, one choice after another, then any rule in any way;
 * of a large session, many more from shaken priorities.
 */
export class Construction {
  /** How many schedules that makes. */
  readonly length: number
  private readonly rules: Map<RuleName, PriorityRule>
  private readonly names: RuleName[]
  private readonly first: Trial[]
  private readonly trials: [choice: number, option: number][]
  private readonly possible: number[][]
  private readonly balanced: Int32Array
  /** Priorities of the latest schedule, and what gave the best one. */
  private readonly tried: Float64Array
  private best: Best | undefined
  private readonly shaken: number
  /** What rules and options have been tried with, so that none is put together twice. */
  private readonly known = new Set<string>()
  private readonly span: number

  constructor(
    private readonly model: Model,
    private readonly random: Random,
  ) {
    this.possible = model.choices.map((c) => c.options.flatMap((o, j) => (o.possible ? [j] : [])))
    this.balanced = balancedOptions(model, this.possible)
    this.rules = priorityRules(model, this.balanced)
    this.names = [...this.rules.keys()]
    this.first = firstTrials(model.activities.length, model.facts !== undefined).filter(
      ({ rule }) => this.rules.has(rule),
    )
    this.span = this.rules.get('tail')!(random).reduce((most, x) => Math.max(most, -x), 60)
    this.trials = this.possible.flatMap((options, c) =>
      options.length > 1 ? options.map((o): [number, number] => [c, o]) : [],
    )
    this.shaken = model.activities.length > LARGE ? SHAKEN : 0
    this.length = this.first.length + this.trials.length + ANY + this.shaken
    this.tried = new Float64Array(model.activities.length)
  }

  /**
   * The k-th of them; `current` is the best so far. False where it would come out like an earlier
   * one: rules often agree on the order.
   */
  next(k: number, candidate: Genes, current: Genes): boolean {
    const { first, rules, names, trials, random, best } = this
    forget(candidate)
    candidate.mode.fill(-1)
    if (k < first.length) {
      const { rule, urgency, spare } = first[k]!
      candidate.priority.set(rules.get(rule)!(random))
      candidate.urgency = urgency
      candidate.spare = spare
      // Where these options do not come out, others may.
      if (best || k % 2 === 0) candidate.option.set(this.balanced)
      else this.anyOptions(candidate)
    } else if (k < first.length + trials.length && best) {
      const [c, o] = trials[k - first.length]!
      candidate.priority.set(best.priority)
      candidate.urgency = best.urgency
      candidate.spare = best.spare
      candidate.option.set(current.option)
      candidate.option[c] = o
    } else if (best && k >= this.length - this.shaken) {
      const j = k - this.length + this.shaken
      if (j < this.shaken / 3) this.sample(j, candidate, current)
      else this.shake(candidate, best)
    } else {
      candidate.priority.set(rules.get(names[below(random, names.length)]!)!(random))
      candidate.spare = random() < 0.5
      const stuck = !best && this.model.facts !== undefined
      candidate.urgency = stuck ? NEVER : URGENCIES[below(random, URGENCIES.length)]!
      if (best && random() < KEEP_OPTIONS) candidate.option.set(current.option)
      else this.anyOptions(candidate)
    }
    if (k > 0 && !best && this.model.facts) this.otherFacts(candidate, this.model.facts.now)
    this.tried.set(candidate.priority)
    if (this.model.facts || k >= this.length - this.shaken) return true
    const key = keyOf(candidate)
    if (this.known.has(key)) return false
    this.known.add(key)
    return true
  }

  /**
   * While nothing comes out: what is under way, which goes before all else, a little longer or in
   * other hands, so that they are free for what cannot wait.
   */
  private otherFacts(candidate: Genes, now: number): void {
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
  private sample(j: number, candidate: Genes, current: Genes): void {
    const { rules, random } = this
    const keys = rules.get(SAMPLED[j % 2]!)!(random)
    candidate.urgency = NEVER
    candidate.spare = random() < 0.5
    for (let i = 0; i < keys.length; i++) candidate.priority[i] = keys[i]! * (0.8 + 0.4 * random())
    candidate.option.set(random() < 0.5 ? this.balanced : current.option)
    if (random() < OTHER_OPTIONS)
      this.possible.forEach((options, c) => {
        if (random() < OTHER_OPTION)
          candidate.option[c] = options[below(random, options.length)] ?? 0
      })
  }

  /** The best so far with a few priorities moved, and perhaps an option or a mode. */
  private shake(candidate: Genes, best: Best): void {
    const { random, model, possible } = this
    candidate.priority.set(best.priority)
    candidate.option.set(best.option)
    candidate.mode.set(best.mode)
    candidate.spare = best.spare
    candidate.urgency = best.urgency
    const n = best.priority.length
    const amp = this.span * (0.02 + 0.3 * random() * random())
    const dice = random()
    if (dice < 0.15 && possible.length) {
      const c = below(random, possible.length)
      candidate.option[c] = possible[c]![below(random, possible[c]!.length)] ?? 0
    } else if (dice < 0.25) {
      otherMode(model, random, candidate, below(random, n))
    }
    if (dice < 0.1) return
    for (let r = 1 + below(random, 3); r > 0; r--) {
      const by = (random() - 0.5) * amp
      const i = below(random, n)
      for (const j of random() < 0.5 ? dishOf(model, i) : [i]) candidate.priority[j]! += by
    }
  }

  private anyOptions(candidate: Genes): void {
    this.possible.forEach((options, c) => {
      candidate.option[c] = options[below(this.random, options.length)] ?? 0
    })
  }

  /** The latest of them was the best so far. */
  succeeded(candidate: Genes): void {
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
function keyOf({ priority, urgency, spare, option, mode }: Genes): string {
  const order = Array.from(priority.keys()).sort((a, b) => priority[a]! - priority[b]! || a - b)
  return [order, urgency, spare, option, mode].join(' ')
}
