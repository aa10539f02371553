import { grown } from '../../structures/growingArray'

/**
 * For each of many keys a list of rows of so many numbers. All stand in one memory, as an array
 * for each would cost the innermost loops several far reads a list: those read `memory` from `at`
 * for `sizes` numbers themselves.
 */
export class Rows {
  memory = new Int32Array(64)
  /** Per key, where its list begins, and how many numbers it has. */
  readonly at: Int32Array<ArrayBuffer>
  readonly sizes: Int32Array<ArrayBuffer>
  private readonly rooms: Int32Array<ArrayBuffer>
  private used = 0

  constructor(
    keys: number,
    private readonly width: number,
    /** How many rows a key will have, as far as that is known. */
    private readonly counts = new Int32Array(keys),
  ) {
    this.at = new Int32Array(keys)
    this.sizes = new Int32Array(keys)
    this.rooms = new Int32Array(keys)
  }

  /** Makes room for another row in a key's list; where in the memory it is to be written. */
  room(key: number): number {
    const size = this.sizes[key]!
    if (size + this.width > this.rooms[key]!) this.move(key)
    this.sizes[key] = size + this.width
    return this.at[key]! + size
  }

  /** Another row of one number. */
  add(key: number, value: number): void {
    const at = this.room(key)
    this.memory[at] = value
  }

  /** A list that is full goes to the end of the memory, with twice the room. */
  private move(key: number): void {
    const known = this.rooms[key] === 0 ? this.counts[key]! : 0
    const room = known > 0 ? known * this.width : Math.max(4 * this.width, 2 * this.rooms[key]!)
    if (this.used + room > this.memory.length) this.memory = grown(this.memory, this.used + room)
    const from = this.at[key]!
    this.memory.copyWithin(this.used, from, from + this.sizes[key]!)
    this.at[key] = this.used
    this.rooms[key] = room
    this.used += room
  }
}
