import { pairKey, type Model, type MStation } from './model'

/** Washing that no plan gets round: seconds of hands, by whom it may be done, and when at best. */
export interface WashWork {
  seconds: number
  cooks: number[]
  head: number
  tail: number
}

interface Use {
  contents: number
  stations: number[]
  /** Seconds that it takes at least. */
  least: number
  /** Longest path from its start to the end; undefined where it may be absent. */
  tail: number | undefined
}

/**
 * Between d different contents on m stations that are washed there are at least d - m washes,
 * each at least as long as the shortest before the contents that it makes room for. Groups of
 * stations are taken that have none in common, the most washing first.
 */
export function washWork(
  model: Model,
  groups: readonly (readonly number[])[],
  /** Longest path from the start of an activity that is surely there; undefined for others. */
  tailOf: (activity: number) => number | undefined,
): WashWork[] {
  const uses = usesOf(model, tailOf)
  const found = groups
    .flatMap((group) => {
      const work = inGroup(model, uses, new Set(group))
      return work ? [{ group, work }] : []
    })
    .sort((a, b) => b.work.seconds - a.work.seconds)
  const taken = new Set<number>()
  return found.flatMap(({ group, work }) => {
    if (group.some((s) => taken.has(s))) return []
    for (const s of group) taken.add(s)
    return [work]
  })
}

function inGroup(model: Model, uses: Use[], group: Set<number>): WashWork | undefined {
  const stations = [...group].map((s) => model.stations[s]!)
  if (!stations.every((s) => s.wash)) return undefined
  const own = uses.filter((u) => u.tail !== undefined && u.stations.every((s) => group.has(s)))
  // What may come in between need not be there: the shortest way into each contents counts.
  const others = uses.filter((u) => u.stations.some((s) => group.has(s)))
  const distinct = new Map<string, Use>()
  own.forEach((u, i) => distinct.set(u.contents < 0 ? `#${i}` : String(u.contents), u))
  const least = distinct.size - group.size
  if (least <= 0) return undefined
  const into = [...distinct.values()]
    .map((u) =>
      Math.min(
        ...others.flatMap((o) =>
          o === u || (o.contents >= 0 && o.contents === u.contents)
            ? []
            : stations.map((s) => washSeconds(s, o.contents, u.contents)),
        ),
      ),
    )
    .sort((a, b) => a - b)
  const seconds = into.slice(0, least).reduce((sum, s) => sum + s, 0)
  if (!(seconds > 0) || seconds === Infinity) return undefined
  return {
    seconds,
    cooks: [...new Set(stations.flatMap((s) => s.wash!.cooks))],
    head: model.facts ? model.facts.now : Math.min(...others.map((u) => u.least)),
    tail: Math.min(...own.map((u) => u.tail!)),
  }
}

function washSeconds({ wash }: MStation, was: number, next: number): number {
  return (
    (was >= 0 && next >= 0 ? wash!.between.get(pairKey(was, next)) : undefined) ?? wash!.seconds
  )
}

/** Everything that takes a station; without a tail where it may not be there, or not so. */
function usesOf(model: Model, tailOf: (activity: number) => number | undefined): Use[] {
  const uses: Use[] = []
  for (const a of model.activities) {
    if (a.fact) continue
    const sure = a.modes.length === 1 ? tailOf(a.index) : undefined
    for (const mode of a.modes)
      for (const need of mode.needs)
        uses.push({
          contents: need.contents,
          stations: need.stations,
          least: mode.min,
          tail: sure,
        })
  }
  for (const h of model.holds) {
    if (h.fact) continue
    const sure = h.to >= 0 && tailOf(h.to) !== undefined ? tailOf(h.from) : undefined
    uses.push({
      contents: h.need.contents,
      stations: h.need.stations,
      least: model.activities[h.from]!.min,
      tail: model.activities[h.from]!.fact ? undefined : sure,
    })
  }
  return uses
}
