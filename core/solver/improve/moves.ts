import { copyEncoding, forgetWishes, otherMode, WISHES, type Encoding } from '../sgs/encoding'
import { BRIEF } from '../../plan'
import { dishOf, NEVER, type Model } from '../model/model'
import { below, type Random } from '../structures/random'
import { PARAMS } from '../params'

const {
  ANEW,
  WIDEST,
  FURTHEST,
  LEAST_SHIFT,
  ANEW_GATHERING,
  STILL,
  LONELY,
  GATHER,
  MOVES,
  KICKS,
  MOVED_TOO,
  FORGOTTEN,
  GATHERED,
  SAME_HANDS,
  JUMPS,
  DRIFT,
  URGENCIES,
  PATIENCES,
} = PARAMS.moves

/** Changes of an encoding: small ones to improve a schedule, and large ones to get away from it. */
export class Moves {
  /** What a move has wait, and from when on it may begin. */
  private readonly waiting = new Map<number, number>()

  constructor(
    private readonly model: Model,
    private readonly random: Random,
  ) {}

  /**
   * One to three small changes. Mostly all that lies before some instant then stays where it
   * is, and all that lies behind it comes earlier, if it can, as it is.
   */
  change(candidate: Encoding, current: Encoding, gathers = false): void {
    const { model, random } = this
    copyEncoding(current, candidate)
    const length = lengthOf(model, current)
    const moves = 1 + below(random, 3)
    for (let m = 0; m < moves; m++) {
      const dice = random()
      if (gathers && random() < GATHER) this.gather(candidate, current)
      else if (dice < MOVES.option && model.choices.length) this.otherOption(candidate, current)
      else if (dice < MOVES.mode)
        otherMode(model, random, candidate, below(random, model.activities.length))
      else if (dice < MOVES.dish) this.shiftDish(candidate, length)
      else if (dice < MOVES.spare) candidate.spare = !candidate.spare
      else if (dice < MOVES.urgency) candidate.urgency = URGENCIES[below(random, URGENCIES.length)]!
      else if (dice < MOVES.station) this.otherStation(candidate)
      else this.shiftOne(candidate, length)
    }
    if (random() < (gathers ? ANEW_GATHERING : ANEW)) {
      candidate.floor.fill(0)
      candidate.shift = 0
    } else this.squeeze(candidate, current, length, gathers && random() < STILL)
    // What waits for the rest of its dish would otherwise go back to where it was.
    for (const [i, from] of this.waiting) candidate.floor[2 * i] = from
    this.waiting.clear()
  }

  /** One or two large changes: other ways of doing things, dishes at another time. */
  kick(candidate: Encoding, current: Encoding): void {
    const { model, random } = this
    copyEncoding(current, candidate)
    candidate.floor.fill(0)
    candidate.shift = 0
    const length = lengthOf(model, current)
    for (let kicks = 1 + below(random, 2); kicks > 0; kicks--) {
      const dice = random()
      if (dice < KICKS.option && model.choices.length) {
        const i = this.otherOption(candidate, current)
        if (i >= 0 && random() < MOVED_TOO) this.placeDish(candidate, i, length)
      } else {
        const i = below(random, model.activities.length)
        if (dice < KICKS.mode) otherMode(model, random, candidate, i)
        this.placeDish(candidate, i, length)
      }
    }
  }

  /** Another station that would rather serve one of a step's needs. */
  private otherStation(candidate: Encoding): void {
    const { model, random } = this
    const i = below(random, model.activities.length)
    const mode = model.activities[i]!.modes[Math.max(0, candidate.mode[i]!)]
    if (!mode || !mode.needs.length) return
    const k = below(random, mode.needs.length)
    const { stations } = mode.needs[k]!
    if (k < WISHES && stations.length > 1)
      candidate.seat[WISHES * i + k] = stations[below(random, stations.length)]!
  }

  private squeeze(candidate: Encoding, current: Encoding, length: number, still: boolean): void {
    const { random } = this
    const centre = random() * length
    const width = random() * random() * WIDEST * length
    const shift = still ? 0 : Math.round(LEAST_SHIFT + FURTHEST * length * random() ** 3)
    candidate.shift = shift
    for (let i = 0; i < candidate.priority.length; i++) {
      const start = current.at[2 * i]!
      const end = current.at[2 * i + 1]!
      const free = start < 0 || candidate.priority[i] !== start || Math.abs(start - centre) <= width
      candidate.floor[2 * i] = free ? 0 : start < centre ? start : Math.max(0, start - shift)
      candidate.floor[2 * i + 1] = free ? 0 : end < centre ? end : Math.max(0, end - shift)
      if (free && random() < FORGOTTEN) forgetWishes(candidate, i)
    }
  }

  /** Another option of some choice; an activity of the one that was left, or -1. */
  private otherOption(candidate: Encoding, current: Encoding): number {
    const { model, random } = this
    const c = below(random, model.choices.length)
    const { options } = model.choices[c]!
    const possible = options.flatMap((o, j) => (o.possible ? [j] : []))
    const was = candidate.option[c]!
    const next = possible[below(random, possible.length)]!
    candidate.option[c] = next
    if (next === was) return -1
    // What comes instead begins at about the time of what it stands in for.
    let at = NEVER
    let left = -1
    for (const i of options[was]!.members) {
      if (current.at[2 * i]! < 0 || current.at[2 * i]! >= at) continue
      at = current.at[2 * i]!
      left = i
    }
    if (left >= 0)
      for (const i of options[next]!.members)
        if (current.at[2 * i]! < 0) candidate.priority[i] = at + random()
    return left
  }

  /** Hands work next to other work on the same dish, by the same cook. */
  private gather(candidate: Encoding, current: Encoding): void {
    const { model, random } = this
    const dice = random()
    if (dice < GATHERED.patience) candidate.patience = PATIENCES[below(random, PATIENCES.length)]!
    else if (dice < GATHERED.inOrder) candidate.inOrder = !candidate.inOrder
    const i = random() < LONELY ? this.lonely(current) : below(random, model.activities.length)
    const at = i < 0 ? -1 : current.at[2 * i]!
    if (at < 0 || !this.takesHands(i)) return
    const others = dishOf(model, i)
      .filter((j) => j !== i && current.at[2 * j]! >= 0 && this.takesHands(j))
      .sort((a, b) => Math.abs(current.at[2 * a]! - at) - Math.abs(current.at[2 * b]! - at))
    const j = others[Math.min(below(random, 3), others.length - 1)]
    if (j === undefined) return
    const before = current.at[2 * j]! < at
    candidate.priority[i] = candidate.priority[j]! + (before ? 0.5 : -0.5)
    const who = candidate.cook[WISHES * j + this.handsPhase(j)]!
    if (random() < SAME_HANDS) candidate.cook.fill(who, WISHES * i, WISHES * (i + 1))
    if (!before) this.waiting.set(i, Math.max(0, current.at[2 * j]! - model.activities[i]!.min))
  }

  /** Work that has other dishes before and after it in its cook's order; -1 where there is none. */
  private lonely(current: Encoding): number {
    const { model, random } = this
    const { activities } = model.problem
    const stays = model.activities
      .map((a) => a.index)
      .filter((i) => current.at[2 * i]! >= 0 && this.takesHands(i))
      .sort((a, b) => current.at[2 * a]! - current.at[2 * b]!)
    const found: number[] = []
    for (let c = 0; c < model.cooks.length; c++) {
      const own = stays.filter((i) => current.cook[WISHES * i + this.handsPhase(i)] === c)
      own.forEach((i, k) => {
        const { dish } = activities[i]!
        const apart = (j: number | undefined) => j === undefined || activities[j]!.dish !== dish
        if (apart(own[k - 1]) && apart(own[k + 1])) found.push(i)
      })
    }
    return found.length ? found[below(random, found.length)]! : -1
  }

  private takesHands(i: number): boolean {
    return this.model.activities[i]!.modes.some((m) =>
      m.phases.some((p) => p.hands && p.min > BRIEF),
    )
  }

  private handsPhase(i: number): number {
    const k = this.model.activities[i]!.modes[0]!.phases.findIndex((p) => p.hands)
    return Math.min(WISHES - 1, Math.max(0, k))
  }

  private shiftOne(candidate: Encoding, length: number): void {
    const { model, random } = this
    const i = below(random, model.activities.length)
    // Half of the moves jump next to another activity, half drift a little.
    if (random() < JUMPS) {
      const other = below(random, model.activities.length)
      candidate.priority[i] = candidate.priority[other]! + (random() < 0.5 ? -0.5 : 0.5)
    } else candidate.priority[i]! += this.drift(length)
  }

  private shiftDish(candidate: Encoding, length: number): void {
    const by = this.drift(length)
    for (const i of dishOf(this.model, below(this.random, this.model.activities.length)))
      candidate.priority[i]! += by
  }

  /** Moves a whole dish to any time, rather an early one. */
  private placeDish(candidate: Encoding, i: number, length: number): void {
    const { random } = this
    const dish = dishOf(this.model, i)
    const first = Math.min(...dish.map((j) => candidate.priority[j]!))
    const by = random() * random() * length - first
    for (const j of dish) {
      candidate.priority[j]! += by
      forgetWishes(candidate, j)
    }
  }

  private drift(length: number): number {
    return (this.random() - 0.5) * (DRIFT.least + DRIFT.more * this.random()) * length
  }
}

/** Seconds to the latest end that counts, at least a minute. */
function lengthOf(model: Model, encoding: Encoding): number {
  let most = 60
  for (const a of model.activities)
    if (!a.aside && encoding.at[2 * a.index + 1]! > most) most = encoding.at[2 * a.index + 1]!
  return most
}
