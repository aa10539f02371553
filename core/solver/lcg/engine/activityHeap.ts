/** Booleans by how often they took part in recent conflicts; a binary heap. */
export class ActivityHeap {
  private readonly registered: number[] = []
  private activity = new Float64Array(0)
  private place = new Int32Array(0)
  private readonly heap: number[] = []
  private step = 1

  register(x: number): void {
    this.registered.push(x)
  }

  seal(variables: number): void {
    this.activity = new Float64Array(variables)
    // -2: not one of ours; -1: not in the heap at present.
    this.place = new Int32Array(variables).fill(-2)
    for (const x of this.registered) this.place[x] = -1
    for (const x of this.registered) this.offer(x)
  }

  /** Takes in one more after the sealing. */
  admit(x: number): void {
    this.registered.push(x)
    this.place[x] = -1
    this.offer(x)
  }

  bump(x: number): void {
    if (this.place[x] === -2) return
    this.activity[x]! += this.step
    if (this.activity[x]! > 1e100) this.rescale()
    if (this.place[x]! >= 0) this.up(this.place[x]!)
  }

  decay(): void {
    this.step *= 1.05
  }

  activityOf(x: number): number {
    return this.activity[x]!
  }

  offer(x: number): void {
    if (this.place[x] !== -1) return
    this.place[x] = this.heap.length
    this.heap.push(x)
    this.up(this.heap.length - 1)
  }

  /** Takes the most active one out; -1 where none is left. */
  take(): number {
    const top = this.heap[0]
    if (top === undefined) return -1
    const last = this.heap.pop()!
    this.place[top] = -1
    if (top !== last) {
      this.heap[0] = last
      this.place[last] = 0
      this.down(0)
    }
    return top
  }

  private rescale(): void {
    for (const x of this.registered) this.activity[x]! *= 1e-100
    this.step *= 1e-100
  }

  private up(i: number): void {
    const { heap, place, activity } = this
    const x = heap[i]!
    while (i > 0) {
      const parent = (i - 1) >> 1
      if (activity[heap[parent]!]! >= activity[x]!) break
      heap[i] = heap[parent]!
      place[heap[i]!] = i
      i = parent
    }
    heap[i] = x
    place[x] = i
  }

  private down(i: number): void {
    const { heap, place, activity } = this
    const x = heap[i]!
    for (;;) {
      let child = 2 * i + 1
      if (child >= heap.length) break
      if (child + 1 < heap.length && activity[heap[child + 1]!]! > activity[heap[child]!]!) child++
      if (activity[heap[child]!]! <= activity[x]!) break
      heap[i] = heap[child]!
      place[heap[i]!] = i
      i = child
    }
    heap[i] = x
    place[x] = i
  }
}
