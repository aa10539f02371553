/**
 * Sides whose raised bound is still to be followed, the lowest first: bounds of what lies
 * earlier push what lies later, so that most sides come up once, when nothing pushes them any more.
 */
export class SideQueue {
  private heap = new Int32Array(0)
  private size = 0
  /** Where in the heap a side is, -1: nowhere. */
  private place = new Int32Array(0)

  seal(sides: number): void {
    this.heap = new Int32Array(sides)
    this.place = new Int32Array(sides).fill(-1)
  }

  /** Puts a side in, or where it belongs now that its bound has risen. */
  offer(side: number, bound: Int32Array): void {
    const { heap, place } = this
    let at = place[side]!
    const key = bound[side]!
    if (at < 0) {
      at = this.size++
      while (at > 0) {
        const up = (at - 1) >> 1
        const other = heap[up]!
        if (bound[other]! <= key) break
        heap[at] = other
        place[other] = at
        at = up
      }
      heap[at] = side
      place[side] = at
      return
    }
    this.sink(at, side, key, bound)
  }

  /** Takes out the side with the lowest bound; -1 where there is none. */
  take(bound: Int32Array): number {
    if (this.size === 0) return -1
    const { heap, place } = this
    const first = heap[0]!
    place[first] = -1
    const last = heap[--this.size]!
    if (this.size > 0) this.sink(0, last, bound[last]!, bound)
    return first
  }

  clear(): void {
    const { heap, place } = this
    for (let i = 0; i < this.size; i++) place[heap[i]!] = -1
    this.size = 0
  }

  private sink(from: number, side: number, key: number, bound: Int32Array): void {
    const { heap, place, size } = this
    let at = from
    for (;;) {
      let down = 2 * at + 1
      if (down >= size) break
      if (down + 1 < size && bound[heap[down + 1]!]! < bound[heap[down]!]!) down++
      const other = heap[down]!
      if (bound[other]! >= key) break
      heap[at] = other
      place[other] = at
      at = down
    }
    heap[at] = side
    place[side] = at
  }
}
