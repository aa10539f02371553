import { grown } from '../structures/growingArray'
import { isOver, NEVER, type Edge, type Model } from './model'

/**
 * Earliest and latest instants of every start (node 2i) and end (2i + 1), kept consistent
 * with all lags between present activities. Undone like everything else, by marks.
 */
export class TimeWindows {
  readonly lo: Int32Array
  readonly hi: Int32Array
  /** Start or end whose placing set the latest instant of a node, -1 where the problem does. */
  readonly why: Int32Array
  /** Node at which the last propagation failed, and by how many seconds. */
  failed = -1
  failedBy = 0
  private readonly out: Arcs
  private readonly into: Arcs
  private readonly present: Uint8Array
  /** Four numbers for each change: node, and its `lo`, `hi` and `why` before. */
  private trail = new Int32Array(1024)
  private trailed = 0
  /** Nodes that have changed, each once, as a ring. */
  private readonly queue: Int32Array
  private waiting = 0
  private next = 0
  private readonly queued: Uint8Array

  constructor(private readonly model: Model) {
    const nodes = 2 * model.activities.length
    this.lo = new Int32Array(nodes)
    this.hi = new Int32Array(nodes)
    this.why = new Int32Array(nodes)
    this.queued = new Uint8Array(nodes)
    this.queue = new Int32Array(nodes)
    this.present = new Uint8Array(model.activities.length)
    const edges: Edge[] = []
    for (const a of model.activities) {
      if (!a.modes.length) continue
      edges.push({ from: 2 * a.index, to: 2 * a.index + 1, weight: a.min, relation: -1 })
      if (a.max < NEVER)
        edges.push({ from: 2 * a.index + 1, to: 2 * a.index, weight: -a.max, relation: -1 })
    }
    edges.push(...model.edges)
    this.out = arcsOf(nodes, edges, (e) => [e.from, e.to])
    this.into = arcsOf(nodes, edges, (e) => [e.to, e.from])
  }

  /**
   * Windows with nothing placed; false where the lags alone contradict each other. With
   * `hard`, due times and pinned starts bound them too; a search leaves those out and counts
   * lateness instead, so that it can improve towards them.
   */
  reset(present: Uint8Array, hard: boolean): boolean {
    this.present.set(present)
    this.trailed = 0
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
    this.trailed = 0
    this.lo.set(lo)
    this.hi.fill(NEVER)
    this.why.fill(-1)
  }

  mark(): number {
    return this.trailed
  }

  undo(mark: number): void {
    const { trail, lo, hi, why } = this
    let at = this.trailed
    while (at > mark) {
      at -= 4
      const node = trail[at]!
      lo[node] = trail[at + 1]!
      hi[node] = trail[at + 2]!
      why[node] = trail[at + 3]!
    }
    this.trailed = at
  }

  /** Fixes an activity where it was placed; false where another one can no longer follow. */
  fix(activity: number, start: number, end: number): boolean {
    const s = 2 * activity
    this.save(s)
    this.save(s + 1)
    this.lo[s] = this.hi[s] = start
    this.lo[s + 1] = this.hi[s + 1] = end
    this.why[s] = s
    this.why[s + 1] = s + 1
    this.touch(s)
    this.touch(s + 1)
    return this.propagate()
  }

  /**
   * Fixes only where an activity begins; it ends as soon as what follows it wants, from `least` to
   * `most`. False where something can no longer follow.
   */
  fixStart(activity: number, start: number, least: number, most: number): boolean {
    const s = 2 * activity
    this.save(s)
    this.save(s + 1)
    this.lo[s] = this.hi[s] = start
    this.why[s] = s
    this.lo[s + 1] = Math.max(this.lo[s + 1]!, least)
    if (most < this.hi[s + 1]!) {
      this.hi[s + 1] = most
      this.why[s + 1] = s
    }
    this.touch(s)
    this.touch(s + 1)
    return this.propagate()
  }

  /** A latest instant that comes from placing `activity` elsewhere. */
  limit(node: number, latest: number, activity: number): boolean {
    if (latest >= this.hi[node]!) return true
    this.save(node)
    this.hi[node] = latest
    this.why[node] = 2 * activity
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
    const at = this.trailed
    if (at + 4 > this.trail.length) this.trail = grown(this.trail)
    const { trail } = this
    trail[at] = node
    trail[at + 1] = this.lo[node]!
    trail[at + 2] = this.hi[node]!
    trail[at + 3] = this.why[node]!
    this.trailed = at + 4
  }

  private touch(node: number): void {
    if (this.queued[node]) return
    this.queued[node] = 1
    let at = this.next + this.waiting++
    if (at >= this.queue.length) at -= this.queue.length
    this.queue[at] = node
  }

  private propagate(): boolean {
    const { queue, queued, lo, hi, why, present, out, into } = this
    let steps = 0
    const most = 64 * (lo.length + 8)
    let ok = true
    while (this.waiting > 0) {
      const u = queue[this.next]!
      if (++this.next === queue.length) this.next = 0
      this.waiting--
      queued[u] = 0
      if (!ok) continue
      if (lo[u]! > hi[u]! || ++steps > most) {
        ok = false
        this.failed = u
        this.failedBy = Math.max(1, lo[u]! - hi[u]!)
        continue
      }
      const low = lo[u]!
      for (let i = out.at[u]!; i < out.at[u + 1]!; i++) {
        const v = out.node[i]!
        const earliest = low + out.weight[i]!
        if (earliest <= lo[v]! || !present[v >> 1]) continue
        this.save(v)
        lo[v] = Math.min(earliest, NEVER)
        this.touch(v)
      }
      const high = hi[u]!
      if (high >= NEVER) continue
      for (let i = into.at[u]!; i < into.at[u + 1]!; i++) {
        const v = into.node[i]!
        const latest = high - into.weight[i]!
        if (latest >= hi[v]! || !present[v >> 1]) continue
        this.save(v)
        hi[v] = latest
        why[v] = why[u]!
        this.touch(v)
      }
    }
    return ok
  }
}

/** The lags at each node, from `at` of it to `at` of the next one: the other node, and the weight. */
interface Arcs {
  at: Int32Array
  node: Int32Array
  weight: Int32Array
}

function arcsOf(nodes: number, edges: Edge[], ends: (e: Edge) => [number, number]): Arcs {
  const at = new Int32Array(nodes + 1)
  for (const e of edges) at[ends(e)[0] + 1]!++
  for (let v = 0; v < nodes; v++) at[v + 1]! += at[v]!
  const node = new Int32Array(edges.length)
  const weight = new Int32Array(edges.length)
  const next = at.slice()
  for (const e of edges) {
    const [here, there] = ends(e)
    const i = next[here]!++
    node[i] = there
    weight[i] = e.weight
  }
  return { at, node, weight }
}
