import { PARAMS } from '../params'
/** A set of rows that are served together, at a cost for each second of it. */
export interface Column {
  members: number[]
  cost: number
}

const { STEPS } = PARAMS.columnGeneration
const EPSILON = 1e-9

/**
 * A lower bound on the least cost of columns that cover every demand: the linear program solved by
 * column generation. `price` finds, for the worth of a second of each row, the column whose worth
 * is the greatest multiple (`excess`) of its cost. Whatever rounding did, and wherever it stops,
 * the worths are scaled until no column is worth more than it costs, so the result is a bound.
 */
export function columnGeneration(
  demand: readonly number[],
  /** One column for each row that serves only that row. */
  singles: readonly Column[],
  price: (worth: Float64Array) => { column: Column; excess: number },
): number {
  const n = demand.length
  // Columns of the inverse of the basis, and how much of each basic column there is.
  const inverse = Array.from({ length: n }, (_, i) => {
    const row = new Float64Array(n)
    row[i] = 1
    return row
  })
  const level = Float64Array.from(demand)
  const cost = Float64Array.from(singles, (c) => c.cost)
  const worth = new Float64Array(n)
  let best = 0
  for (let step = 0; ; step++) {
    for (let j = 0; j < n; j++) {
      let sum = 0
      for (let i = 0; i < n; i++) sum += cost[i]! * inverse[i]![j]!
      worth[j] = sum
    }
    // A row covered more than it asks for: the surplus enters, as a column that takes away.
    let surplus = -1
    for (let j = 0; j < n; j++)
      if (worth[j]! < -EPSILON && (surplus < 0 || worth[j]! < worth[surplus]!)) surplus = j
    const positive = worth.map((w) => Math.max(0, w))
    const { column, excess } = price(positive)
    const sum = positive.reduce((s, w, j) => s + w * demand[j]!, 0)
    best = Math.max(best, sum / Math.max(1, excess))
    if ((surplus < 0 && excess <= 1 + EPSILON) || step === STEPS) return best
    const entering = surplus < 0 ? column : { members: [], cost: 0 }
    const direction = new Float64Array(n)
    for (let i = 0; i < n; i++) {
      let d = surplus < 0 ? 0 : -inverse[i]![surplus]!
      for (const j of entering.members) d += inverse[i]![j]!
      direction[i] = d
    }
    const leaving = ratioTest(level, direction)
    if (leaving < 0) return best
    pivot(inverse, level, direction, leaving)
    cost[leaving] = entering.cost
  }
}

function ratioTest(level: Float64Array, direction: Float64Array): number {
  let leaving = -1
  let least = Infinity
  for (let i = 0; i < level.length; i++) {
    if (direction[i]! <= EPSILON) continue
    const ratio = level[i]! / direction[i]!
    if (
      ratio < least - EPSILON ||
      (ratio < least + EPSILON && direction[i]! > direction[leaving]!)
    ) {
      least = Math.min(least, ratio)
      leaving = i
    }
  }
  return leaving
}

function pivot(
  inverse: Float64Array[],
  level: Float64Array,
  direction: Float64Array,
  leaving: number,
): void {
  const n = level.length
  const row = inverse[leaving]!
  for (let j = 0; j < n; j++) row[j] = row[j]! / direction[leaving]!
  level[leaving] = level[leaving]! / direction[leaving]!
  for (let i = 0; i < n; i++) {
    const d = direction[i]!
    if (i === leaving || d === 0) continue
    for (let j = 0; j < n; j++) inverse[i]![j] = inverse[i]![j]! - d * row[j]!
    level[i] = Math.max(0, level[i]! - d * level[leaving]!)
  }
}
