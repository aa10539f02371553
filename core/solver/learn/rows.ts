/** The array with at least double the room. */
export function grown(array: Int32Array<ArrayBuffer>, least = 0): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(Math.max(least, array.length * 2))
  larger.set(array)
  return larger
}

const EMPTY = new Int32Array(0)

/**
 * For each of many keys a list of rows of so many numbers, one behind the other. The innermost
 * loops read `lists` and `sizes` (in numbers) themselves.
 */
export class Rows {
  readonly lists: Int32Array<ArrayBuffer>[]
  readonly sizes: Int32Array<ArrayBuffer>

  constructor(
    keys: number,
    private readonly width: number,
  ) {
    this.lists = Array.from({ length: keys }, () => EMPTY)
    this.sizes = new Int32Array(keys)
  }

  /** Makes room for another row in a key's list; where in the list it is to be written. */
  room(key: number): number {
    const size = this.sizes[key]!
    if (size + this.width > this.lists[key]!.length)
      this.lists[key] = grown(this.lists[key]!, 4 * this.width)
    this.sizes[key] = size + this.width
    return size
  }
}
