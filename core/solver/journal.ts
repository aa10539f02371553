export interface Timed {
  from: number
  to: number
}

/**
 * Sorted lists of intervals that can be taken back to an earlier mark. Everything a schedule
 * writes goes through here, so a failed attempt costs only what it wrote.
 */
export class Journal {
  private readonly lists: Timed[][] = []
  private readonly items: Timed[] = []
  /** -1: the item was inserted; otherwise the end it had before. */
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
    this.before.push(-1)
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
      const list = lists.pop()!
      const end = before.pop()!
      if (end >= 0) item.to = end
      else {
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

const NO_LIST: Timed[] = []
const comesAfter = (a: Timed, b: Timed) => a.from > b.from || (a.from === b.from && a.to > b.to)
