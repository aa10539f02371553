import { forget, type Genes } from './genes'
import { NEVER, type Model } from './model'
import { below, type Random } from './random'
import { priorityRules, type PriorityRule } from './rules'

/** How likely a further round keeps the options that have done best so far. */
const KEEP_OPTIONS = 0.7
const URGENCIES = [1200, NEVER, 300, 0]

/**
 * The first schedules: every priority rule once, then with the best of them every option of
 * every choice, one choice after another, then the rules again with other urgencies.
 */
export class Construction {
  /** How many schedules that makes. */
  readonly length: number
  private readonly rules: PriorityRule[]
  private readonly trials: [choice: number, option: number][]
  private readonly possible: number[][]
  /** Priorities of the latest schedule, and what gave the best one. */
  private readonly tried: Float64Array
  private best: { priority: Float64Array; urgency: number } | undefined

  constructor(
    model: Model,
    private readonly random: Random,
  ) {
    this.rules = priorityRules(model)
    this.possible = model.choices.map((c) => c.options.flatMap((o, j) => (o.possible ? [j] : [])))
    this.trials = this.possible.flatMap((options, c) =>
      options.length > 1 ? options.map((o): [number, number] => [c, o]) : [],
    )
    this.length = 2 * this.rules.length + this.trials.length
    this.tried = new Float64Array(model.activities.length)
  }

  /** The k-th of them; `current` is the best so far. */
  next(k: number, candidate: Genes, current: Genes): void {
    const { rules, trials, random, best, possible } = this
    forget(candidate)
    candidate.mode.fill(-1)
    if (k < rules.length) {
      candidate.priority.set(rules[k]!(random))
      candidate.urgency = NEVER
      possible.forEach((options, c) => (candidate.option[c] = options[0] ?? 0))
    } else if (k < rules.length + trials.length && best) {
      const [c, o] = trials[k - rules.length]!
      candidate.priority.set(best.priority)
      candidate.urgency = best.urgency
      candidate.option.set(current.option)
      candidate.option[c] = o
    } else {
      candidate.priority.set(rules[k % rules.length]!(random))
      candidate.urgency = URGENCIES[Math.floor(k / rules.length) % URGENCIES.length]!
      if (best && random() < KEEP_OPTIONS) candidate.option.set(current.option)
      else
        possible.forEach((options, c) => {
          candidate.option[c] = options[below(random, options.length)] ?? 0
        })
    }
    this.tried.set(candidate.priority)
  }

  /** The latest of them was the best so far. */
  succeeded(candidate: Genes): void {
    this.best = { priority: this.tried.slice(), urgency: candidate.urgency }
  }
}
