/** Unordered pairs of things told apart by identity. */
export class PairSet<T extends object> {
  private readonly met = new Map<T, Set<T>>()

  has(a: T, b: T): boolean {
    return this.met.get(a)?.has(b) === true || this.met.get(b)?.has(a) === true
  }

  add(a: T, b: T): void {
    const known = this.met.get(a)
    if (known) known.add(b)
    else this.met.set(a, new Set([b]))
  }
}
