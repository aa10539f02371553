/**
 * Sides whose raised bound is still to be followed, in the order of a plan: what lies earlier in it
 * pushes what lies later, so that most sides come up once, when nothing pushes them any more. Where
 * the plan says nothing, the lowest bound comes first.
 */
export class PropagationQueue {
  private heap = new Int32Array(0)
  private size = 0
  /** Where in the heap a side is, -1: nowhere. */
  private place = new Int32Array(0)
  /** Per side where the plan has it, or UNKNOWN; and what a side in the heap goes by. */
  private planned = new Int32Array(0)
  private keys = new Int32Array(0)
  /** Whether the plan is gone by; to be changed only while nothing is in the queue. */
  inOrder = false

  seal(sides: number): void {
    this.heap = new Int32Array(sides)
    this.place = new Int32Array(sides).fill(-1)
    this.planned = new Int32Array(sides).fill(UNKNOWN)
    this.keys = new Int32Array(sides)
  }

  /** Values of variables in a plan, -1 where it says nothing. Only while nothing is in the queue. */
  plan(values: Int32Array): void {
    const { planned } = this
    for (let x = 0; x < values.length; x++) {
      const value = values[x]!
      planned[2 * x] = value < 0 ? UNKNOWN : value
      planned[2 * x + 1] = value < 0 ? UNKNOWN : -value
    }
  }

  /** Puts a side in, or where it belongs now that its bound has risen. */
  offer(side: number, bound: Int32Array): void {
    const { heap, place, keys } = this
    const planned = this.inOrder ? this.planned[side]! : UNKNOWN
    let at = place[side]!
    if (at >= 0) {
      if (planned !== UNKNOWN) return
      keys[side] = bound[side]!
      this.sink(at, side)
      return
    }
    const key = planned !== UNKNOWN ? planned : bound[side]!
    keys[side] = key
    at = this.size++
    while (at > 0) {
      const up = (at - 1) >> 1
      const other = heap[up]!
      if (keys[other]! <= key) break
      heap[at] = other
      place[other] = at
      at = up
    }
    heap[at] = side
    place[side] = at
  }

  /** Takes out the first side; -1 where there is none. */
  take(): number {
    if (this.size === 0) return -1
    const { heap, place } = this
    const first = heap[0]!
    place[first] = -1
    const last = heap[--this.size]!
    if (this.size > 0) this.sink(0, last)
    return first
  }

  clear(): void {
    const { heap, place } = this
    for (let i = 0; i < this.size; i++) place[heap[i]!] = -1
    this.size = 0
  }

  private sink(from: number, side: number): void {
    const { heap, place, size, keys } = this
    const key = keys[side]!
    let at = from
    for (;;) {
      let down = 2 * at + 1
      if (down >= size) break
      if (down + 1 < size && keys[heap[down + 1]!]! < keys[heap[down]!]!) down++
      const other = heap[down]!
      if (keys[other]! >= key) break
      heap[at] = other
      place[other] = at
      at = down
    }
    heap[at] = side
    place[side] = at
  }
}

const UNKNOWN = -0x80000000
