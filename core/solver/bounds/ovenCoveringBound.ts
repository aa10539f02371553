import { columnGeneration, type Column } from './columnGeneration'
import type { MActivity, Model } from '../model/model'
import { PARAMS } from '../params'

/** A stretch of an item: its heat, or what it needs the oven for besides (loading, resting). */
interface Part {
  item: number
  seconds: number
  /** Undefined: it goes with every temperature. */
  heat: { lo: number; hi: number; method: number } | undefined
}

/** What is surely baked on a group of ovens. */
interface Item {
  amount: number
  stations: number[]
  /** Not before, and so long goes on after it. */
  head: number
  tail: number
  parts: Omit<Part, 'item'>[]
}

const { WINDOWS, CAPACITY } = PARAMS.ovenCoveringBound

/**
 * A makespan, in seconds, that the loads of a group of ovens allow at the least. What bakes at
 * one time must fit in and agree on a temperature and a method; a least time in which sets of
 * such items cover all work is a linear program (the fractional colouring of Gilmore and Gomory,
 * 1961, with one column a set). Changes of temperature are work of their own that nothing but
 * loading goes along with. It is solved for what lies between each head and each tail.
 */
export function ovenCoveringBound(
  model: Model,
  group: readonly number[],
  /** Earliest start and longest path from the end on; undefined where it may be absent. */
  windowOf: (activity: MActivity) => { head: number; tail: number } | undefined,
): number {
  if (!group.some((s) => model.stations[s]!.oven)) return 0
  if (group.some((s) => model.stations[s]!.capacity > CAPACITY)) return 0
  const items = itemsOf(model, group, windowOf)
  if (items.length < 2) return 0
  const alone = group.length === 1 ? (model.stations[group[0]!]!.oven ?? undefined) : undefined
  const windows = windowsOf(model, items, alone, group.length)
  const size = group.reduce((sum, s) => sum + model.stations[s]!.capacity, 0)
  // Time on each oven counts alike, or as much as goes in.
  const weights = [group.map(() => 1 / group.length)]
  if (group.some((s) => model.stations[s]!.capacity !== size / group.length))
    weights.push(group.map((s) => model.stations[s]!.capacity / size))
  let best = 0
  for (const { head, tail, inside, ramp, most } of windows.slice(0, WINDOWS)) {
    if (most <= best) break
    for (const weight of weights) {
      const load = leastTime(model, group, weight, inside, ramp)
      best = Math.max(best, Math.ceil(head + load + tail - 1e-4))
    }
  }
  return best
}

function itemsOf(
  model: Model,
  group: readonly number[],
  windowOf: (activity: MActivity) => { head: number; tail: number } | undefined,
): Item[] {
  const inGroup = new Set(group)
  return model.activities.flatMap((a) => {
    const window = a.fact || a.modes.length !== 1 ? undefined : windowOf(a)
    if (!window) return []
    const mode = a.modes[0]!
    return mode.needs.flatMap((need, n) => {
      if (!need.stations.length || !need.stations.every((s) => inGroup.has(s))) return []
      const parts = mode.phases.flatMap((p) => {
        const heat = p.heat?.need === n ? p.heat : undefined
        return p.min > 0 ? [{ seconds: p.min, heat }] : []
      })
      return [{ ...window, amount: need.amount, stations: need.stations, parts }]
    })
  })
}

/** What lies between a head and a tail, with the changes of temperature that it wants. */
function windowsOf(
  model: Model,
  items: Item[],
  oven: { start: number; heat: number; cool: number } | undefined,
  ovens: number,
) {
  const heads = [...new Set(items.map((i) => i.head))]
  const tails = [...new Set(items.map((i) => i.tail))]
  // From the very beginning the oven must also become hot first.
  const starts = heads.map((head) => ({ head, first: false }))
  if (oven && !model.facts) starts.push({ head: 0, first: true })
  return starts
    .flatMap(({ head, first }) =>
      tails.map((tail) => {
        const inside = items.filter((i) => i.head >= head && i.tail >= tail)
        const ramp = oven ? leastRamp(inside, oven, first) : 0
        const seconds = inside.reduce(
          (sum, i) => sum + i.parts.reduce((s, p) => s + p.seconds, 0),
          0,
        )
        return { head, tail, inside, ramp, most: head + tail + (seconds + ramp) / ovens }
      }),
    )
    .filter((w) => w.inside.length > 0)
    .sort((a, b) => b.most - a.most)
}

/** Seconds of heating and cooling to visit every range, from the start temperature if `first`. */
function leastRamp(
  items: Item[],
  { start, heat, cool }: { start: number; heat: number; cool: number },
  first: boolean,
): number {
  const ranges = items.flatMap((i) => i.parts.flatMap((p) => (p.heat ? [p.heat] : [])))
  if (!ranges.length) return 0
  const low = Math.min(...ranges.map((r) => r.hi))
  const high = Math.max(...ranges.map((r) => r.lo))
  const span = Math.max(0, high - low)
  if (!first) return span * Math.min(heat, cool)
  const reach = (to: number) => Math.max(0, to - start) * heat + Math.max(0, start - to) * cool
  // One range alone is reached at its nearer end; several from the lowest up or the highest down.
  if (span === 0) return Math.max(0, high - start) * heat + Math.max(0, start - low) * cool
  return Math.min(reach(low) + span * heat, reach(high) + span * cool)
}

/** Least weighted time on the ovens of a group in which everything inside can run. */
function leastTime(
  model: Model,
  group: readonly number[],
  weight: number[],
  inside: Item[],
  ramp: number,
): number {
  const parts: Part[] = inside.flatMap((i, item) => [
    ...i.parts.filter((p) => p.heat).map((p) => ({ ...p, item })),
    {
      item,
      seconds: i.parts.reduce((sum, p) => sum + (p.heat ? 0 : p.seconds), 0),
      heat: undefined,
    },
  ])
  const changing = parts.length
  const demand = [...parts.map((p) => p.seconds), ramp]
  const heats = parts.flatMap((p) => (p.heat ? [p.heat] : []))
  const states = [...new Map(heats.map((h) => [`${h.lo} ${h.method}`, h])).values()]
  const worth = new Float64Array(inside.length)
  const chosen = new Int32Array(inside.length)

  /** The set worth most at one temperature on one oven. */
  const fill = (o: number, value: Float64Array, state: (typeof states)[number] | undefined) => {
    worth.fill(0)
    chosen.fill(-1)
    parts.forEach((p, k) => {
      if (!inside[p.item]!.stations.includes(group[o]!)) return
      const { heat } = p
      const goes =
        !heat ||
        (state && heat.method === state.method && heat.lo <= state.lo && state.lo <= heat.hi)
      if (!goes || value[k]! <= worth[p.item]!) return
      worth[p.item] = value[k]!
      chosen[p.item] = k
    })
    const { taken, sum } = knapsack(inside, worth, model.stations[group[o]!]!.capacity)
    const members = taken.map((i) => chosen[i]!)
    return state
      ? { members, sum }
      : { members: [...members, changing], sum: sum + value[changing]! }
  }
  const price = (value: Float64Array): { column: Column; excess: number } => {
    let best: { column: Column; excess: number } | undefined
    for (let o = 0; o < group.length; o++)
      for (const state of [undefined, ...states]) {
        const { members, sum } = fill(o, value, state)
        const excess = sum / weight[o]!
        if (!best || excess > best.excess) best = { column: { members, cost: weight[o]! }, excess }
      }
    return best!
  }
  const single = (k: number): Column => {
    const stations = k === changing ? group : inside[parts[k]!.item]!.stations
    return { members: [k], cost: weight[group.indexOf(stations[0]!)]! }
  }
  return columnGeneration(
    demand,
    demand.map((_, k) => single(k)),
    price,
  )
}

/** The items worth most together that fit; amounts that are not whole are rounded down. */
function knapsack(items: Item[], worth: Float64Array, size: number) {
  const whole = Number.isInteger(size) && items.every((i) => Number.isInteger(i.amount))
  const scale = whole ? 1 : CAPACITY / size
  const capacity = whole ? size : CAPACITY
  const best = new Float64Array(capacity + 1)
  const kept: number[][] = Array.from({ length: capacity + 1 }, () => [])
  items.forEach((item, i) => {
    if (worth[i]! <= 1e-12) return
    const amount = Math.floor(item.amount * scale + 1e-9)
    for (let room = capacity; room >= amount; room--) {
      const sum = best[room - amount]! + worth[i]!
      if (sum <= best[room]! + 1e-12) continue
      best[room] = sum
      kept[room] = [...kept[room - amount]!, i]
    }
  })
  return { taken: kept[capacity]!, sum: best[capacity]! }
}
