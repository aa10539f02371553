import { isOver, NEVER, type Edge, type Model } from './model'

/**
 * Earliest and latest instants of every start (node 2i) and end (2i + 1), kept consistent
 * with all lags between present activities. Undone like everything else, by marks.
 */
export class Windows {
  readonly lo: Int32Array
  readonly hi: Int32Array
  /** Activity whose placing set the latest instant of a node, -1 where the problem does. */
  readonly why: Int32Array
  /** Node at which the last propagation failed, and by how many seconds. */
  failed = -1
  failedBy = 0
  private readonly out: Edge[][]
  private readonly into: Edge[][]
  private readonly present: Uint8Array
  private readonly trail: number[] = []
  private readonly queue: number[] = []
  private readonly queued: Uint8Array

  constructor(private readonly model: Model) {
    const nodes = 2 * model.activities.length
    this.lo = new Int32Array(nodes)
    this.hi = new Int32Array(nodes)
    this.why = new Int32Array(nodes)
    this.queued = new Uint8Array(nodes)
    this.present = new Uint8Array(model.activities.length)
    this.out = Array.from({ length: nodes }, () => [])
    this.into = Array.from({ length: nodes }, () => [])
    const add = (e: Edge) => {
      this.out[e.from]!.push(e)
      this.into[e.to]!.push(e)
    }
    for (const a of model.activities) {
      if (!a.modes.length) continue
      add({ from: 2 * a.index, to: 2 * a.index + 1, weight: a.min, relation: -1 })
      if (a.max < NEVER)
        add({ from: 2 * a.index + 1, to: 2 * a.index, weight: -a.max, relation: -1 })
    }
    model.edges.forEach(add)
  }

  /**
   * Windows with nothing placed; false where the lags alone contradict each other. With
   * `hard`, due times and pinned starts bound them too; a search leaves those out and counts
   * lateness instead, so that it can improve towards them.
   */
  reset(present: Uint8Array, hard: boolean): boolean {
    this.present.set(present)
    this.trail.length = 0
    const { lo, hi, why, model } = this
    for (const a of model.activities) {
      lo[2 * a.index] = a.release
      lo[2 * a.index + 1] = Math.max(a.release, a.earliestEnd)
      const due = hard && !isOver(a) ? Math.min(a.due, model.deadline) : NEVER
      hi[2 * a.index] = hard ? Math.min(a.latestStart, due) : NEVER
      hi[2 * a.index + 1] = due
    }
    why.fill(-1)
    for (const a of model.activities)
      if (present[a.index]) {
        this.touch(2 * a.index)
        this.touch(2 * a.index + 1)
      }
    return this.propagate()
  }

  /** Windows as an earlier soft `reset` left them. */
  restore(present: Uint8Array, lo: Int32Array): void {
    this.present.set(present)
    this.trail.length = 0
    this.lo.set(lo)
    this.hi.fill(NEVER)
    this.why.fill(-1)
  }

  mark(): number {
    return this.trail.length
  }

  undo(mark: number): void {
    const { trail, lo, hi, why } = this
    while (trail.length > mark) {
      const w = trail.pop()!
      const h = trail.pop()!
      const l = trail.pop()!
      const node = trail.pop()!
      lo[node] = l
      hi[node] = h
      why[node] = w
    }
  }

  /** Fixes an activity where it was placed; false where another one can no longer follow. */
  fix(activity: number, start: number, end: number): boolean {
    const s = 2 * activity
    this.save(s)
    this.save(s + 1)
    this.lo[s] = this.hi[s] = start
    this.lo[s + 1] = this.hi[s + 1] = end
    this.why[s] = this.why[s + 1] = activity
    this.touch(s)
    this.touch(s + 1)
    return this.propagate()
  }

  /** A latest instant that comes from placing `activity` elsewhere. */
  limit(node: number, latest: number, activity: number): boolean {
    if (latest >= this.hi[node]!) return true
    this.save(node)
    this.hi[node] = latest
    this.why[node] = activity
    this.touch(node)
    return this.propagate()
  }

  /** An earliest instant beyond what the lags say; false where that cannot be met. */
  atLeast(node: number, earliest: number): boolean {
    if (earliest <= this.lo[node]!) return true
    this.save(node)
    this.lo[node] = earliest
    this.touch(node)
    return this.propagate()
  }

  /** Earliest starts and ends beyond what the lags say; false where they cannot be met. */
  raise(earliest: Int32Array): boolean {
    for (let v = 0; v < earliest.length; v++) {
      if (!this.present[v >> 1] || earliest[v]! <= this.lo[v]!) continue
      this.save(v)
      this.lo[v] = earliest[v]!
      this.touch(v)
    }
    return this.propagate()
  }

  private save(node: number): void {
    this.trail.push(node, this.lo[node]!, this.hi[node]!, this.why[node]!)
  }

  private touch(node: number): void {
    if (this.queued[node]) return
    this.queued[node] = 1
    this.queue.push(node)
  }

  private propagate(): boolean {
    const { queue, queued, lo, hi, why, present } = this
    let steps = 0
    const most = 64 * (lo.length + 8)
    let ok = true
    for (let head = 0; head < queue.length; head++) {
      const u = queue[head]!
      queued[u] = 0
      if (!ok) continue
      if (lo[u]! > hi[u]! || ++steps > most) {
        ok = false
        this.failed = u
        this.failedBy = Math.max(1, lo[u]! - hi[u]!)
        continue
      }
      for (const e of this.out[u]!) {
        const v = e.to
        if (!present[v >> 1]) continue
        const earliest = lo[u]! + e.weight
        if (earliest > lo[v]!) {
          this.save(v)
          lo[v] = Math.min(earliest, NEVER)
          this.touch(v)
        }
      }
      for (const e of this.into[u]!) {
        const v = e.from
        if (!present[v >> 1]) continue
        const latest = hi[u]! - e.weight
        if (latest < hi[v]! && hi[u]! < NEVER) {
          this.save(v)
          hi[v] = latest
          why[v] = why[u]!
          this.touch(v)
        }
      }
    }
    queue.length = 0
    return ok
  }
}
