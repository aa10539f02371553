import type { IntervalList } from './intervalList'

export interface Timed {
  from: number
  to: number
}

/**
 * Sorted lists of intervals that can be taken back to an earlier mark. Everything a schedule
 * writes goes through here, so a failed attempt costs only what it wrote.
 */
export class UndoLog {
  private readonly lists: (Timed[] | IntervalList)[] = []
  private readonly items: Timed[] = []
  /** INSERTED: the item was; from PUT downward: where spans were put; otherwise the end it had before. */
  private readonly before: number[] = []

  mark(): number {
    return this.items.length
  }

  insert<T extends Timed>(list: T[], item: T): void {
    // By hand, not with splice, which allocates: this is the innermost write of the search.
    let at = list.length
    list.push(item)
    // An empty interval goes before the one that begins there, so that ends are sorted too.
    while (at > 0 && comesAfter(list[at - 1]!, item)) {
      list[at] = list[at - 1]!
      at--
    }
    list[at] = item
    this.lists.push(list)
    this.items.push(item)
    this.before.push(INSERTED)
  }

  put(spans: IntervalList, from: number, to: number, what: number): void {
    this.lists.push(spans)
    this.items.push(NO_ITEM)
    this.before.push(PUT - spans.insert(from, to, what))
  }

  setEnd(item: Timed, to: number): void {
    this.lists.push(NO_LIST)
    this.items.push(item)
    this.before.push(item.to)
    item.to = to
  }

  undo(mark: number): void {
    const { items, lists, before } = this
    while (items.length > mark) {
      const item = items.pop()!
      const undone = lists.pop()!
      const end = before.pop()!
      if (end >= 0) item.to = end
      // All that was put later is gone again: it stands where it was put.
      else if (end <= PUT) (undone as IntervalList).remove(PUT - end)
      else {
        const list = undone as Timed[]
        let at = list.length - 1
        let moved = list.pop()!
        while (moved !== item) {
          const next = list[--at]!
          list[at] = moved
          moved = next
        }
      }
    }
  }
}

const INSERTED = -1
const PUT = -2
const NO_LIST: Timed[] = []
const NO_ITEM: Timed = { from: 0, to: 0 }
const comesAfter = (a: Timed, b: Timed) => a.from > b.from || (a.from === b.from && a.to > b.to)
