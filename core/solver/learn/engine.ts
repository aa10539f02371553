import { ActivityHeap } from './activityHeap'
import { ClauseStore } from './clauseStore'
import { EdgeStore } from './edgeStore'
import { grown, Rows } from './rows'
import { SideQueue } from './sideQueue'

/**
 * Bounds of an integer x live on two sides: side 2x holds the lower bound, side 2x + 1 the
 * negated upper bound, so that both only ever rise. A literal is (side, value): bound of that
 * side at least value. Its negation is (side ^ 1, 1 - value). A boolean is an integer in [0, 1]
 * and as a code just a side: 2x true, 2x + 1 false.
 */
export type Code = number
export const negated = (code: Code): Code => code ^ 1
/** The value that makes a boolean's side a literal. */
export const codeValue = (code: Code) => 1 - (code & 1)

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
export class Engine {
  bound = new Int32Array(0)
  size = 0
  readonly edges = new EdgeStore()
  readonly clauses = new ClauseStore()
  readonly heap = new ActivityHeap()
  /** Conflicts so far: the machine-independent measure of work. */
  conflicts = 0
  impossible = false
  private initial: number[] = []
  private latest = new Int32Array(0)
  // The trail: one entry for each raise of a bound.
  private tSide = new Int32Array(4096)
  private tBefore = new Int32Array(4096)
  private tEarlier = new Int32Array(4096)
  private tReason = new Int32Array(4096)
  private tLevel = new Int32Array(4096)
  private trailSize = 0
  private head = 0
  private readonly levels: { trail: number; arena: number }[] = []
  /** Explanations: a count, then (side, value) pairs. */
  private arena = new Int32Array(65536)
  private arenaSize = 0
  private building = 0
  private readonly conflict: number[] = []
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
  private readonly sides = new SideQueue()
  // Conflict analysis.
  private need = new Int32Array(0)
  private at = new Int32Array(0)
  private inSet = new Uint8Array(0)
  private readonly touched: number[] = []
  private current = 0

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

  /** Runs `propagator` whenever one of the sides is raised. */
  addPropagator(propagator: Propagator, sides: number[]): void {
    const id = this.propagators.push(propagator) - 1
    for (const side of new Set(sides)) this.heard.push(side, id)
  }

  /** At least one of the codes is true. To be called before `seal`. */
  addClause(codes: Code[]): void {
    this.pendingClauses.push(codes)
  }
  private readonly pendingClauses: Code[][] = []

  /** Ends the building; false where the root already fails. */
  seal(): boolean {
    this.bound = Int32Array.from(this.initial)
    this.latest = new Int32Array(this.size).fill(-1)
    this.need = new Int32Array(this.size)
    this.at = new Int32Array(this.size)
    this.inSet = new Uint8Array(this.size)
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
    this.edges.seal(this.size)
    this.clauses.seal(this.size)
    this.levels.push({ trail: 0, arena: 0 })
    for (const codes of this.pendingClauses) if (!this.postClause(codes)) return this.fail()
    for (let e = 0; e < this.edges.count; e++) if (!this.edges.evaluate(this, e)) return this.fail()
    return this.propagate() || this.fail()
  }

  get level(): number {
    return this.levels.length - 1
  }

  isTrue(code: Code): boolean {
    return this.bound[code]! >= 1 - (code & 1)
  }

  isFixed(x: number): boolean {
    return this.bound[2 * x]! === -this.bound[2 * x + 1]!
  }

  /** Whether a variable was made with room for 0 and 1 only. */
  isBool(x: number): boolean {
    return this.initial[2 * x] === 0 && this.initial[2 * x + 1] === -1
  }

  lo(x: number): number {
    return this.bound[2 * x]!
  }

  /** The lower bound without any decision. */
  rootLo(x: number): number {
    let e = this.latest[2 * x]!
    if (e < 0) return this.bound[2 * x]!
    let value = this.bound[2 * x]!
    for (; e >= 0 && this.tLevel[e]! > 0; e = this.tEarlier[e]!) value = this.tBefore[e]!
    return value
  }

  hi(x: number): number {
    return -this.bound[2 * x + 1]!
  }

  /** Begins an explanation; literals are added with `because`, then `raise` uses it. */
  explain(): void {
    this.building = this.arenaSize++
    if (this.arenaSize + 4096 > this.arena.length) this.arena = grown(this.arena)
  }

  because(side: number, value: number): void {
    if (this.arenaSize + 2 > this.arena.length) this.arena = grown(this.arena)
    this.arena[this.arenaSize++] = side
    this.arena[this.arenaSize++] = value
  }

  becauseTrue(code: Code): void {
    if (code >= 0) this.because(code, 1 - (code & 1))
  }

  /** Raises a bound for the explanation under construction; false on conflict. */
  raise(side: number, value: number): boolean {
    const reason = this.building
    if (value <= this.bound[side]!) {
      this.arenaSize = reason
      return true
    }
    this.arena[reason] = (this.arenaSize - reason - 1) / 2
    if (value + this.bound[side ^ 1]! > 0) {
      this.conflict.length = 0
      for (let i = reason + 1; i < this.arenaSize; i++) this.conflict.push(this.arena[i]!)
      this.conflict.push(side ^ 1, 1 - value)
      this.arenaSize = reason
      return false
    }
    this.push(side, value, reason)
    return true
  }

  /** The literals under construction cannot all be true. */
  clash(): false {
    this.conflict.length = 0
    for (let i = this.building + 1; i < this.arenaSize; i++) this.conflict.push(this.arena[i]!)
    this.arenaSize = this.building
    return false
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
  assume(literals: readonly (readonly [side: number, value: number])[]): boolean {
    this.levels.push({ trail: this.trailSize, arena: this.arenaSize })
    if (literals.length > 1) this.assumed = this.level
    for (const [side, value] of literals) {
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
  attempt(literals: readonly (readonly [side: number, value: number])[]): boolean {
    this.levels.push({ trail: this.trailSize, arena: this.arenaSize })
    for (const [side, value] of literals)
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

  /** At least one of the codes, added after the sealing; only at level 0. */
  requireAny(codes: Code[]): boolean {
    return this.postClause([...new Set(codes)]) || this.fail()
  }

  /** A lag where the codes are true, added after the sealing; only at level 0. */
  requireLag(from: number, to: number, weight: number, codes: Code[]): boolean {
    return this.edges.addLate(this, from, to, weight, codes) || this.fail()
  }

  /** Raises a bound for good; only at level 0. False where that is impossible. */
  require(side: number, value: number): boolean {
    if (value <= this.bound[side]!) return true
    if (value + this.bound[side ^ 1]! > 0) return this.fail()
    this.push(side, value, -1)
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
      if (this.trailSize < this.head) this.edges.revive(side)
    }
    this.arenaSize = mark.arena
    this.head = this.trailSize
    for (const p of this.queue) this.dirty[p] = 0
    this.queue.length = 0
    this.sides.clear()
  }

  /**
   * Everything that follows; false: there is a conflict, see `learn`. Booleans first, then the
   * lowest bounds, then what looks at many bounds at once.
   */
  propagate(): boolean {
    const { sides, bound, isFlag } = this
    for (;;) {
      while (this.head < this.trailSize) {
        const side = this.tSide[this.head++]!
        if (isFlag[side] === 0) sides.offer(side, bound)
        else if (!this.followFlag(side)) return false
      }
      const side = sides.take(bound)
      if (side >= 0) {
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
    this.edges.retire(side)
    return this.follow(side)
  }

  /** What follows at once from a raised bound; false: there is a conflict. */
  private follow(side: number): boolean {
    if (!this.clauses.propagate(this, side)) return false
    if (!this.edges.propagate(this, side)) return false
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
    const top = this.conflictLevel()
    if (top === 0) return this.fail()
    if (top === this.assumed) return false
    if (top === this.attempted) {
      this.backtrack(top - 1)
      return true
    }
    this.backtrack(top)
    this.current = 0
    this.touched.length = 0
    for (let i = 0; i < this.conflict.length; i += 2)
      this.require1(this.conflict[i]!, this.conflict[i + 1]!)
    let uip = -1
    for (let e = this.trailSize - 1; e >= 0; e--) {
      const side = this.tSide[e]!
      if (!this.inSet[side] || this.at[side] !== e) continue
      if (this.current === 1) {
        uip = side
        break
      }
      this.inSet[side] = 0
      this.current--
      const reason = this.tReason[e]!
      const count = this.arena[reason]!
      for (let i = reason + 1; i <= reason + 2 * count; i += 2)
        this.require1(this.arena[i]!, this.arena[i + 1]!)
    }
    const literals = this.cut(uip)
    for (const side of this.touched) this.inSet[side] = 0
    this.heap.decay()
    return this.assertLearned(literals)
  }

  /** The conflict under the first UIP, as a clause: the UIP's negation first. */
  private cut(uip: number): number[] {
    const literals = [uip ^ 1, 1 - this.need[uip]!]
    let back = 0
    for (const side of this.touched) {
      if (this.inSet[side] !== 1 || side === uip || this.redundant(side)) continue
      literals.push(side ^ 1, 1 - this.need[side]!)
      const level = this.tLevel[this.at[side]!]!
      if (level > back) {
        back = level
        const last = literals.length - 2
        swapPairs(literals, 2, last)
      }
      // A side may be touched twice after having been resolved once: take it once.
      this.inSet[side] = 2
    }
    this.backLevel = back
    return literals
  }
  private backLevel = 0

  private assertLearned(literals: number[]): boolean {
    this.backtrack(this.backLevel)
    const [side, value] = [literals[0]!, literals[1]!]
    if (literals.length === 2) {
      if (value + this.bound[side ^ 1]! > 0) return this.fail()
      if (value > this.bound[side]!) this.push(side, value, -1)
      return true
    }
    this.clauses.add(literals, true)
    this.explain()
    for (let i = 2; i < literals.length; i += 2)
      this.because(literals[i]! ^ 1, 1 - literals[i + 1]!)
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

  private postClause(codes: Code[]): boolean {
    // One list and no closures: a large session has a hundred thousand of these.
    const open: number[] = []
    for (const c of codes) {
      if (this.isTrue(c)) return true
      if (!this.isTrue(negated(c))) open.push(c, codeValue(c))
    }
    if (open.length === 0) return false
    if (open.length === 2) this.push(open[0]!, open[1]!, -1)
    else this.clauses.add(open, false)
    return true
  }

  private push(side: number, value: number, reason: number): void {
    const e = this.trailSize++
    if (e >= this.tSide.length) {
      this.tSide = grown(this.tSide)
      this.tBefore = grown(this.tBefore)
      this.tEarlier = grown(this.tEarlier)
      this.tReason = grown(this.tReason)
      this.tLevel = grown(this.tLevel)
    }
    this.tSide[e] = side
    this.tBefore[e] = this.bound[side]!
    this.tEarlier[e] = this.latest[side]!
    this.tReason[e] = reason
    this.tLevel[e] = this.level
    this.latest[side] = e
    this.bound[side] = value
  }

  /** The trail entry that first made the literal true, -1 where it always was. */
  private entryOf(side: number, value: number): number {
    let e = this.latest[side]!
    while (e >= 0 && this.tBefore[e]! >= value) e = this.tEarlier[e]!
    return e
  }

  private conflictLevel(): number {
    let top = 0
    for (let i = 0; i < this.conflict.length; i += 2) {
      const e = this.entryOf(this.conflict[i]!, this.conflict[i + 1]!)
      if (e >= 0 && this.tLevel[e]! > top) top = this.tLevel[e]!
    }
    return top
  }

  private require1(side: number, value: number): void {
    const e = this.entryOf(side, value)
    if (e < 0 || this.tLevel[e] === 0) return
    const here = this.tLevel[e] === this.level
    if (this.inSet[side]) {
      if (this.need[side]! >= value) return
      if (here && this.tLevel[this.at[side]!] !== this.level) this.current++
    } else {
      this.inSet[side] = 1
      this.touched.push(side)
      if (here) this.current++
    }
    this.need[side] = value
    this.at[side] = e
    this.heap.bump(side >> 1)
  }

  /** Whether a literal of the cut follows from the others: then it need not be said. */
  private redundant(side: number): boolean {
    const reason = this.tReason[this.at[side]!]!
    if (reason < 0) return false
    const count = this.arena[reason]!
    for (let i = reason + 1; i <= reason + 2 * count; i += 2) {
      const s = this.arena[i]!
      const v = this.arena[i + 1]!
      // Only what came earlier counts, or two literals could each be left out for the other.
      if (this.inSet[s] && this.at[s]! < this.at[side]! && this.need[s]! >= v) continue
      const e = this.entryOf(s, v)
      if (e >= 0 && this.tLevel[e]! > 0) return false
    }
    return true
  }
}

function swapPairs(list: number[], i: number, j: number): void {
  for (let k = 0; k < 2; k++) {
    const kept = list[i + k]!
    list[i + k] = list[j + k]!
    list[j + k] = kept
  }
}
