import type { Bake, OvenSequencing } from './ovenSequencing'
import { below, type Random } from '../structures/random'
import { PARAMS } from '../params'

const { BEGINNINGS, CHANGES } = PARAMS.ovenSequencingHeuristics
/** By temperature, upwards (1) or downwards (-1), all that agrees on one together; in it what is urgent first. */
export function byTemperature(
  { bakes }: OvenSequencing,
  way: number,
  /** Of an activity; less is more so. */
  urgencyOf: (activity: number) => number,
): number[] {
  return together(bakes)
    .sort((a, b) => way * (a.celsius - b.celsius))
    .flatMap(({ list }) =>
      list.sort((a, b) => urgencyOf(bakes[a]!.activity) - urgencyOf(bakes[b]!.activity)),
    )
}

/** As few temperatures as every bake needs: each the lowest upper end of what is left. */
function together(bakes: readonly Bake[]): { celsius: number; method: number; list: number[] }[] {
  const batches: { celsius: number; method: number; list: number[] }[] = []
  for (const b of Array.from(bakes.keys()).sort((x, y) => bakes[x]!.hi - bakes[y]!.hi)) {
    const { hi, lo, method } = bakes[b]!
    const batch = batches.find((other) => other.method === method && other.celsius >= lo)
    if (batch) batch.list.push(b)
    else batches.push({ celsius: hi, method, list: [b] })
  }
  return batches
}

/** Two bakes change places, or one moves. */
export function changed(order: readonly number[], random: Random): number[] {
  const out = order.slice()
  const i = below(random, out.length)
  const j = below(random, out.length)
  if (random() < 0.5) {
    out[i] = order[j]!
    out[j] = order[i]!
  } else {
    out.splice(i, 1)
    out.splice(j, 0, order[i]!)
  }
  return out
}

/** Different orders, each about the best of its neighbourhood as if ovens were all, the best one first. */
export function goodOrders(sequence: OvenSequencing, random: Random): number[][] {
  const size = sequence.bakes.length
  const found = new Map<string, { order: number[]; length: number }>()
  for (let k = 0; k < BEGINNINGS; k++) {
    const keys = Float64Array.from({ length: size }, () => random())
    let order = Array.from(keys.keys()).sort((a, b) => keys[a]! - keys[b]!)
    let length = sequence.lengthOf(order)
    for (let c = 0; c < CHANGES * size; c++) {
      const other = changed(order, random)
      const then = sequence.lengthOf(other)
      if (then > length) continue
      order = other
      length = then
    }
    found.set(order.join(), { order, length })
  }
  return [...found.values()].sort((a, b) => a.length - b.length).map(({ order }) => order)
}
