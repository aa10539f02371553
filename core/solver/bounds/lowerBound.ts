import type { Problem } from '../../problem'
import { buildModel } from '../model/buildModel'
import { ovenSequencingBound } from './ovenSequencingBound'
import { goodOrders } from '../construct/ovenSequencingHeuristics'
import { OvenSequencing } from '../construct/ovenSequencing'
import { seeded } from '../structures/random'
import { headsAndTailsIn } from '../model/headsAndTails'
import { CookBound } from './cookBound'
import { NEVER, type MActivity, type Model } from '../model/model'
import { ovenCoveringBound } from './ovenCoveringBound'
import { leastOf, energyBound, type Work } from './energyBound'
import { presentIn, scenarioOf, type OptionScenario } from '../model/optionScenario'

/** A makespan that no plan can beat, and what holds it up. */
export interface Bound {
  value: number
  kind: 'nothing' | 'chain' | 'hands' | 'station' | 'oven' | 'bakes' | 'search'
  /** Ids of the cooks, stations or, for a chain, activities in order that decide it. */
  because: string[]
}

/**
 * The best of: the longest chain of lags and least durations; the hands work of every group of
 * cooks between heads and tails; the time every group of stations is taken; what can bake together
 * in every group of ovens, and the changes of temperature between. Undefined where the lags contradict each other.
 */
export function lowerBound(model: Model): Bound | undefined {
  const base = scenarioOf(model, -1, -1)
  if (!base) return undefined
  const branches = model.choices.map((c, k) =>
    c.options.flatMap((o, j) => (o.possible ? [scenarioOf(model, k, j)] : [])).filter((s) => !!s),
  )
  if (branches.some((b) => !b.length)) return undefined
  let best: Bound = { value: 0, kind: 'nothing', because: [] }
  const offer = (bound: Bound | undefined) => {
    if (bound && bound.value > best.value) best = bound
  }
  offer(chain(model, base))
  for (const options of branches) {
    const chains = options.map((s) => chain(model, s))
    offer(chains.reduce((least, c) => (c.value < least.value ? c : least)))
  }
  const workOf = (measure: (activity: MActivity, s: OptionScenario) => Work[]): Work[] => [
    ...presentIn(model, base).flatMap((a) => measure(a, base)),
    ...branches.flatMap((options, k) => {
      const members = (s: OptionScenario) => presentIn(model, s).filter((a) => a.choice === k)
      return leastOf(options.map((s) => members(s).flatMap((a) => measure(a, s))))
    }),
  ]
  const groups = stationGroups(model)
  const hands = new CookBound(model, base, branches, groups)
  for (const group of cookGroups(model)) {
    const because = group.map((c) => model.problem.cooks[c]!.id)
    offer({ value: hands.of(group), kind: 'hands', because })
  }
  for (const group of groups) {
    const size = group.reduce((sum, s) => sum + model.stations[s]!.capacity, 0)
    const inGroup = new Set(group)
    const work = [
      ...workOf((a, s) => stationWork(a, s, inGroup)),
      ...holdWork(model, base, inGroup),
    ]
    const value = energyBound(work, (from, to) => Math.max(0, to - from) * size)
    offer({ value, kind: 'station', because: group.map((s) => model.problem.stations[s]!.id) })
  }
  for (const group of groups) {
    const value = ovenCoveringBound(model, group, (a) =>
      base.present[a.index] && !a.aside
        ? { head: base.at[2 * a.index]!, tail: base.tail[2 * a.index + 1]! }
        : undefined,
    )
    offer({ value, kind: 'oven', because: group.map((s) => model.problem.stations[s]!.id) })
  }
  offer(bakeOrder(model, base, best.value))
  return best
}

/**
 * Seconds that no plan can be shorter than, quickly and roughly: the longest chain, or the hands work
 * that is surely there shared by all cooks.
 */
export function roughBound(problem: Problem): number {
  const model = buildModel(problem)
  const base = scenarioOf(model, -1, -1)
  if (!base) return 0
  const hands = presentIn(model, base).reduce((sum, a) => {
    const ways = a.modes.map((m) => m.phases.reduce((s, p) => s + (p.hands ? p.min : 0), 0))
    return sum + (a.aside || !ways.length ? 0 : Math.min(...ways))
  }, 0)
  return Math.max(chain(model, base).value, Math.ceil(hands / Math.max(1, model.cooks.length)))
}

/** The least length of all that surely bakes, in any order, where that may be more than is known. */
function bakeOrder(model: Model, s: OptionScenario, known: number): Bound | undefined {
  // What has begun stands where an order of its own might not put it.
  if (model.facts) return undefined
  const certain = new Set(presentIn(model, s).filter((a) => a.modes.length === 1))
  const sequence = new OvenSequencing(
    model,
    (a) => certain.has(a),
    headsAndTailsIn(s.list, s.at, s.tail),
  )
  if (sequence.bakes.length < 2) return undefined
  const upper = Math.ceil(sequence.lengthOf(goodOrders(sequence, seeded(1))[0]!))
  if (upper <= known) return undefined
  const ovens = [...new Set(sequence.bakes.flatMap((b) => b.stations))]
  return {
    value: ovenSequencingBound(sequence, known, upper),
    kind: 'bakes',
    because: ovens.map((o) => model.problem.stations[o]!.id),
  }
}

function chain(model: Model, s: OptionScenario): Bound {
  let node = -1
  for (const a of presentIn(model, s)) {
    const end = 2 * a.index + 1
    if (node < 0 || s.at[end]! > s.at[node]!) node = end
  }
  if (node < 0) return { value: 0, kind: 'chain', because: [] }
  const value = s.at[node]!
  const because: string[] = []
  const seen = new Set<number>()
  while (!seen.has(node)) {
    seen.add(node)
    const id = model.problem.activities[node >> 1]?.id
    if (id !== undefined && because[0] !== id) because.unshift(id)
    // Not back where it came from: a fixed length binds both ways.
    const before = s.list.find(
      (r) => r.to === node && !seen.has(r.from) && s.at[r.from]! + r.weight === s.at[node]!,
    )
    if (!before || s.at[node] === 0 || before.from === 2 * model.activities.length) break
    node = before.from
  }
  return { value, kind: 'chain', because }
}

function stationWork(activity: MActivity, s: OptionScenario, group: Set<number>): Work[] {
  if (activity.fact) return []
  const node = 2 * activity.index
  return leastOf(
    activity.modes.map((mode) =>
      mode.needs
        .filter((n) => n.stations.every((st) => group.has(st)))
        .map((n) => ({
          seconds: mode.min * n.amount,
          head: s.at[node]!,
          tail: s.tail[node + 1]!,
        })),
    ),
  )
}

function holdWork(model: Model, s: OptionScenario, group: Set<number>): Work[] {
  return model.holds.flatMap((h) => {
    if (h.fact || h.to < 0 || !h.need.stations.every((st) => group.has(st))) return []
    if (!s.present[h.from] || !s.present[h.to]) return []
    if (model.activities[h.to]!.aside) return []
    const seconds = spanOf(s, h.from, h.to)
    return [
      { seconds: seconds * h.need.amount, head: s.at[2 * h.from]!, tail: s.tail[2 * h.to + 1]! },
    ]
  })
}

/** Least time from the start of one activity to the end of another: longest path between them. */
function spanOf(s: OptionScenario, from: number, to: number): number {
  const at = new Float64Array(s.at.length).fill(-NEVER)
  at[2 * from] = 0
  for (let round = 0; round < at.length; round++) {
    let moved = false
    for (const r of s.list)
      if (at[r.from]! > -NEVER && r.from !== at.length - 1 && at[r.from]! + r.weight > at[r.to]!) {
        at[r.to] = at[r.from]! + r.weight
        moved = true
      }
    if (!moved) break
  }
  return Math.max(0, at[2 * to + 1]!)
}

/** All groups of up to five cooks; of more, only each alone and all together. */
function cookGroups(model: Model): number[][] {
  const cooks = model.cooks.map((_, c) => c)
  if (cooks.length > 5) return [...cooks.map((c) => [c]), cooks]
  const groups: number[][] = []
  for (let bits = 1; bits < 1 << cooks.length; bits++)
    groups.push(cooks.filter((c) => bits & (1 << c)))
  return groups
}

/** Sets of stations that some need is confined to. */
function stationGroups(model: Model): number[][] {
  const groups = new Map<string, number[]>()
  const add = (stations: number[]) => {
    const sorted = [...stations].sort((a, b) => a - b)
    groups.set(sorted.join(','), sorted)
  }
  for (const a of model.activities) for (const m of a.modes) m.needs.forEach((n) => add(n.stations))
  for (const h of model.holds) add(h.need.stations)
  return [...groups.values()]
}
