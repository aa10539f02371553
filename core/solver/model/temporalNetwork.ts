import { isOver, NEVER, type Model } from './model'

/** One arc of the temporal network, `t[to] >= t[from] + weight`, and how to say it. */
export interface TimeLag {
  from: number
  to: number
  weight: number
  /** Only asked for where something clashes: there are thousands of requirements. */
  words: () => string
}

/** Node of instant 0, after the starts and ends of all activities. */
const origin = (model: Model) => 2 * model.activities.length

/** Every requirement on the instants of the activities that are `present`, in words. */
export function timeLags(model: Model, present: Uint8Array): TimeLag[] {
  const { problem } = model
  const zero = origin(model)
  const out: TimeLag[] = []
  for (const a of model.activities) {
    if (!present[a.index] || !a.modes.length) continue
    const id = problem.activities[a.index]!.id
    const s = 2 * a.index
    const add = (from: number, to: number, weight: number, words: () => string) =>
      out.push({ from, to, weight, words })
    add(s, s + 1, a.min, () => `"${id}" takes at least ${a.min} s`)
    if (a.max < NEVER) add(s + 1, s, -a.max, () => `"${id}" takes at most ${a.max} s`)
    add(zero, s, a.release, () =>
      a.fact ? `"${id}" began at ${a.release} s` : `"${id}" starts at ${a.release} s or later`,
    )
    add(
      zero,
      s + 1,
      a.earliestEnd,
      () => `"${id}" waits for the oven, and ends at ${a.earliestEnd} s or later`,
    )
    if (a.latestStart < NEVER)
      add(s, zero, -a.latestStart, () =>
        a.fact
          ? `"${id}" began at ${a.release} s`
          : `"${id}" starts at ${a.latestStart} s or earlier`,
      )
    if (a.due < NEVER) add(s + 1, zero, -a.due, () => `"${id}" is due at ${a.due} s`)
    if (model.deadline < NEVER && !isOver(a))
      add(
        s + 1,
        zero,
        -model.deadline,
        () => `everything ends by the deadline at ${model.deadline} s`,
      )
  }
  for (const e of model.edges) {
    if (!present[e.from >> 1] || !present[e.to >> 1]) continue
    const { from, to, weight, relation } = e
    out.push({ from, to, weight, words: () => edgeWords(model, relation, weight) })
  }
  return out
}

/** Those of some requirements that are on what is present, when many such sets are looked at. */
export function lagsAmong(model: Model, list: TimeLag[], present: Uint8Array): TimeLag[] {
  const zero = origin(model)
  const there = (node: number) => node === zero || present[node >> 1] === 1
  return list.filter((r) => there(r.from) && there(r.to))
}

function edgeWords(model: Model, relation: number, weight: number): string {
  const r = model.problem.relations[relation]
  if (!r) return 'a hold ends after it begins'
  const end = (letter: string | undefined) => (letter === 'F' ? 'end' : 'start')
  if (r.kind === 'FS' && weight === 0) return `"${r.to}" starts once "${r.from}" has ended`
  const points = `from the ${end(r.kind[0])} of "${r.from}" to the ${end(r.kind[1])} of "${r.to}"`
  return r.max !== undefined && weight === -r.max
    ? `at most ${r.max} s ${points}`
    : `at least ${r.min} s ${points}`
}

/**
 * Earliest instants of all nodes that meet the requirements, or undefined where they
 * contradict each other (longest paths from instant 0; a circle of positive length).
 */
export function earliestTimes(model: Model, list: TimeLag[]): Float64Array | undefined {
  const nodes = origin(model) + 1
  const at = new Float64Array(nodes)
  for (let round = 0; round <= nodes; round++) {
    let moved = false
    for (const r of list)
      if (at[r.from]! + r.weight > at[r.to]!) {
        at[r.to] = at[r.from]! + r.weight
        moved = true
      }
    if (at[nodes - 1]! > 0) return undefined
    if (!moved) return at
  }
  return undefined
}

/** Longest path from each node to the end of the session; ends of what runs on aside are free. */
export function tails(model: Model, list: TimeLag[], present: Uint8Array): Float64Array {
  const nodes = origin(model) + 1
  const tail = new Float64Array(nodes).fill(-NEVER)
  for (const a of model.activities) if (present[a.index] && !a.aside) tail[2 * a.index + 1] = 0
  for (let round = 0; round <= nodes; round++) {
    let moved = false
    // Backwards, as what follows is mostly listed later.
    for (let k = list.length; k-- > 0;) {
      const r = list[k]!
      if (r.to === nodes - 1 || tail[r.to]! + r.weight <= tail[r.from]!) continue
      if (tail[r.to]! === -NEVER) continue
      tail[r.from] = tail[r.to]! + r.weight
      moved = true
    }
    if (!moved) break
  }
  return tail
}

/**
 * A smallest set of requirements that cannot all hold, in words: each is dropped in turn and
 * stays out if the rest still contradicts itself.
 */
export function positiveCycle(model: Model, list: TimeLag[]): string[] {
  let core = list
  for (
    let size = Math.ceil(list.length / 8);
    size >= 1;
    size = size === 1 ? 0 : Math.ceil(size / 4)
  )
    for (let i = 0; i < core.length;) {
      const without = [...core.slice(0, i), ...core.slice(i + size)]
      if (earliestTimes(model, without) === undefined) core = without
      else i += size
    }
  return [...new Set(core.map((r) => r.words()))]
}
