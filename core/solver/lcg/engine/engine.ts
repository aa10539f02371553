import { ActivityHeap } from './activityHeap'
import { ConflictAnalysis } from './conflictAnalysis'
import { ClauseDatabase } from './clauseDatabase'
import { ConditionalPrecedences } from './conditionalPrecedences'
import { Rows } from './rows'
import { PropagationQueue } from './propagationQueue'
import { ExplainedBounds } from './explainedBounds'
import { literalValue, negated, type Literal } from './trail'

/** Looks at bounds and raises some, with explanations; false: a conflict was left in the engine. */
export interface Propagator {
  propagate: (engine: Engine) => boolean
}

export type Outcome = 'solution' | 'impossible' | 'limit'

/**
 * Constraint propagation with clause learning over bounds (lazy clause generation after
 * Ohrimenko, Stuckey and Codish, 2009): every raised bound keeps the literals that forced it,
 * every conflict is cut at its first unique implication point and learned.
 */
export class Engine extends ExplainedBounds {
  size = 0
  readonly precedences = new ConditionalPrecedences()
  readonly clauses = new ClauseDatabase()
  readonly heap = new ActivityHeap()
  private readonly analysis = new ConflictAnalysis(this, this.heap)
  /** Conflicts so far: the machine-independent measure of work. */
  conflicts = 0
  impossible = false
  /** Bounds followed so far, and how many there may be: beyond that `propagate` stops where it is. */
  followed = 0
  most = Infinity
  private initial: number[] = []
  private head = 0
  /** Sides and the propagators that hear of them, in pairs; then per side. */
  private readonly heard: number[] = []
  private listeners = new Rows(0, 1)
  /** The booleans, then per side whether it is one of a boolean. */
  private readonly flags: number[] = []
  private isFlag = new Uint8Array(0)
  private readonly propagators: Propagator[] = []
  private dirty = new Uint8Array(0)
  private readonly queue: number[] = []
  /** Raised bounds of integers that are still to be followed. */
  private readonly sides = new PropagationQueue()
  newInt(lo: number, hi: number): number {
    this.initial.push(lo, -hi)
    this.size += 2
    return this.size / 2 - 1
  }

  /** The largest value a variable was made with. */
  horizonOf(x: number): number {
    return -this.initial[2 * x + 1]!
  }

  private newFlag(): number {
    const x = this.newInt(0, 1)
    this.flags.push(x)
    return x
  }

  newBool(): number {
    const x = this.newFlag()
    this.heap.register(x)
    return 2 * x
  }

  /** Sets booleans aside for constraints that are added after the sealing. */
  reserve(count: number): void {
    for (let i = 0; i < count; i++) this.spare.push(this.newFlag())
  }
  private readonly spare: number[] = []

  /** A boolean after the sealing, while some are left. */
  lateBool(): number | undefined {
    const x = this.spare.pop()
    if (x === undefined) return undefined
    this.heap.admit(x)
    return 2 * x
  }

  /** Runs `propagator` whenever one of the sides is raised. After the sealing only at level 0. */
  addPropagator(propagator: Propagator, sides: number[]): void {
    const id = this.propagators.push(propagator) - 1
    if (this.level < 0) for (const side of new Set(sides)) this.heard.push(side, id)
    else {
      for (const side of new Set(sides)) this.listeners.add(side, id)
      if (id >= this.dirty.length) {
        const dirty = new Uint8Array(2 * id + 16)
        dirty.set(this.dirty)
        this.dirty = dirty
      }
      this.dirty[id] = 1
      this.queue.push(id)
    }
  }

  /** At least one of the literals is true. To be called before `seal`. */
  addClause(literals: Literal[]): void {
    this.pendingClauses.push(literals)
  }
  private readonly pendingClauses: Literal[][] = []

  /** Ends the building; false where the root already fails. */
  seal(): boolean {
    this.bound = Int32Array.from(this.initial)
    this.latest = new Int32Array(this.size).fill(-1)
    this.analysis.seal(this.size)
    this.dirty = new Uint8Array(this.propagators.length).fill(1)
    this.propagators.forEach((_, i) => this.queue.push(i))
    this.heap.seal(this.size / 2)
    this.sides.seal(this.size)
    this.isFlag = new Uint8Array(this.size)
    for (const x of this.flags) this.isFlag[2 * x] = this.isFlag[2 * x + 1] = 1
    this.listeners = new Rows(this.size, 1)
    for (let i = 0; i < this.heard.length; i += 2)
      this.listeners.add(this.heard[i]!, this.heard[i + 1]!)
    this.heard.length = 0
    this.precedences.seal(this.size)
    this.clauses.seal(this.size)
    this.levels.push({ trail: 0, arena: 0 })
    for (const literals of this.pendingClauses) if (!this.postClause(literals)) return this.fail()
    for (let e = 0; e < this.precedences.count; e++)
      if (!this.precedences.evaluate(this, e)) return this.fail()
    return this.settle()
  }

  /** Whether a variable was made with room for 0 and 1 only. */
  isBool(x: number): boolean {
    return this.initial[2 * x] === 0 && this.initial[2 * x + 1] === -1
  }

  /** Opens a level with a decision; the literal must be neither true nor false. */
  decide(side: number, value: number): void {
    this.levels.push({ trail: this.trailSize, arena: this.arenaSize })
    this.push(side, value, -1)
  }

  /** The level of several assumptions, -1 where there is none. */
  private assumed = -1

  /**
   * One level on which all the literals are decided; false where they contradict each other or
   * what is known. A conflict on such a level has no single cause: it is not to be learned from.
   */
  assume(boundLiterals: readonly (readonly [side: number, value: number])[]): boolean {
    this.levels.push({ trail: this.trailSize, arena: this.arenaSize })
    if (boundLiterals.length > 1) this.assumed = this.level
    for (const [side, value] of boundLiterals) {
      if (value <= this.bound[side]!) continue
      if (value + this.bound[side ^ 1]! > 0) return false
      this.push(side, value, -1)
    }
    return true
  }

  /** The level of an attempt, -1 where there is none. */
  private attempted = -1

  /**
   * Decides all the literals at once, if that goes without a conflict; otherwise nothing has
   * changed. A later conflict that depends on it takes all of it back.
   */
  attempt(boundLiterals: readonly (readonly [side: number, value: number])[]): boolean {
    this.levels.push({ trail: this.trailSize, arena: this.arenaSize })
    for (const [side, value] of boundLiterals)
      if (value > this.bound[side]!) {
        if (value + this.bound[side ^ 1]! > 0 || this.attempted >= 0) {
          this.backtrack(this.level - 1)
          return false
        }
        this.push(side, value, -1)
      }
    this.attempted = this.level
    if (this.propagate()) return true
    this.backtrack(this.level - 1)
    return false
  }

  /** At least one of the literals, added after the sealing; only at level 0. */
  requireAny(literals: Literal[]): boolean {
    return this.postClause([...new Set(literals)]) || this.fail()
  }

  /** A lag where the literals are true, added after the sealing; only at level 0. */
  requireLag(from: number, to: number, weight: number, literals: Literal[]): boolean {
    // What is known for good is left out: it will not be followed a second time.
    if (literals.some((c) => this.isTrue(negated(c)))) return true
    const open = literals.filter((c) => !this.isTrue(c))
    return this.precedences.addLate(this, from, to, weight, open) || this.fail()
  }

  /** Raises a bound for good; only at level 0. False where that is impossible. */
  require(side: number, value: number): boolean {
    if (value <= this.bound[side]!) return true
    if (value + this.bound[side ^ 1]! > 0) return this.fail()
    this.push(side, value, -1)
    return this.settle()
  }

  /** Follows everything for good; only at level 0. False where that is impossible. */
  settle(): boolean {
    return this.propagate() || this.fail()
  }

  backtrack(level: number): void {
    if (level >= this.level) return
    if (level < this.assumed) this.assumed = -1
    if (level < this.attempted) this.attempted = -1
    const mark = this.levels[level + 1]!
    this.levels.length = level + 1
    while (this.trailSize > mark.trail) {
      const e = --this.trailSize
      const side = this.tSide[e]!
      this.bound[side] = this.tBefore[e]!
      this.latest[side] = this.tEarlier[e]!
      this.heap.offer(side >> 1)
      if (this.trailSize < this.head) this.precedences.reopen(side)
    }
    this.arenaSize = mark.arena
    this.head = this.trailSize
    for (const p of this.queue) this.dirty[p] = 0
    this.queue.length = 0
    this.sides.clear()
  }

  /** Whether no more bounds may be followed: then not everything that follows is known. */
  get spent(): boolean {
    return this.followed >= this.most
  }

  /**
   * Everything that follows, unless `spent`; false: there is a conflict, see `learn`. Booleans first,
   * then the lowest bounds, then what looks at many bounds at once.
   */
  propagate(): boolean {
    const { sides, bound, isFlag } = this
    sides.inOrder = this.level === this.assumed
    for (;;) {
      while (this.head < this.trailSize) {
        const side = this.tSide[this.head++]!
        if (isFlag[side] === 0) sides.offer(side, bound)
        else if (!this.followFlag(side)) return false
      }
      if (this.spent) return true
      const side = sides.take()
      if (side >= 0) {
        this.followed++
        if (!this.follow(side)) return false
        continue
      }
      const p = this.queue.shift()
      if (p === undefined) return true
      this.dirty[p] = 0
      if (!this.propagators[p]!.propagate(this)) return false
    }
  }

  private followFlag(side: number): boolean {
    this.precedences.settle(side)
    return this.follow(side)
  }

  /** Bounds are followed in the order of a plan: values of variables, -1 where it says nothing. */
  followPlan(values: Int32Array): void {
    this.sides.plan(values)
  }

  /** What follows at once from a raised bound; false: there is a conflict. */
  private follow(side: number): boolean {
    if (!this.clauses.propagate(this, side)) return false
    if (!this.precedences.propagate(this, side)) return false
    const { memory, at, sizes } = this.listeners
    const end = at[side]! + sizes[side]!
    for (let i = at[side]!; i < end; i++) {
      const p = memory[i]!
      if (this.dirty[p]) continue
      this.dirty[p] = 1
      this.queue.push(p)
    }
    return true
  }

  /**
   * Learns from the conflict and goes back to where the learned clause says something new;
   * false: the conflict holds without any decision (then `impossible` is set), or with nothing
   * but what was assumed.
   */
  learn(): boolean {
    this.conflicts++
    const top = this.analysis.levelOf(this.conflict)
    if (top === 0) return this.fail()
    if (top === this.assumed) return false
    if (top === this.attempted) {
      this.backtrack(top - 1)
      return true
    }
    this.backtrack(top)
    const boundLiterals = this.analysis.learn(this.conflict)
    this.heap.decay()
    return this.assertLearned(boundLiterals)
  }

  private assertLearned(boundLiterals: number[]): boolean {
    this.backtrack(this.analysis.back)
    const [side, value] = [boundLiterals[0]!, boundLiterals[1]!]
    if (boundLiterals.length === 2) {
      if (value + this.bound[side ^ 1]! > 0) return this.fail()
      if (value > this.bound[side]!) this.push(side, value, -1)
      return true
    }
    this.clauses.add(boundLiterals, true)
    this.explain()
    for (let i = 2; i < boundLiterals.length; i += 2)
      this.because(boundLiterals[i]! ^ 1, 1 - boundLiterals[i + 1]!)
    return this.raise(side, value) || this.learn()
  }

  /** Forgets some of what was learned where there is much of it; only at level 0. */
  tidy(): void {
    if (this.clauses.wantsClearing) this.clauses.clear(this)
  }

  private fail(): false {
    this.impossible = true
    return false
  }

  private postClause(literals: Literal[]): boolean {
    // One list and no closures: a large session has a hundred thousand of these.
    const open: number[] = []
    for (const c of literals) {
      if (this.isTrue(c)) return true
      if (!this.isTrue(negated(c))) open.push(c, literalValue(c))
    }
    if (open.length === 0) return false
    if (open.length === 2) this.push(open[0]!, open[1]!, -1)
    else this.clauses.add(open, false)
    return true
  }
}
