import { type MActivity, type MNeed, type Model } from '../model/model'
import { washTime } from '../model/washTime'
import type { Work } from './energyBound'
import { presentIn, type OptionScenario } from '../model/optionScenario'

/**
 * What is washed for on a group of stations: for each contents that something is surely used with, given one
 * option or none, a wash at its shortest. As many of them as there are stations may need none.
 */
export interface WashedGroup {
  stations: number[]
  cooks: number[]
  /** Seconds of the longest so many. */
  spared: number
  surely: Work[]
  /** The same for each option of each choice. */
  options: Work[][][]
}

/** Something that takes a station: from when on, and for what (unnamed: nobody else's). */
interface Use {
  activity: number
  contents: number
  stations: number[]
  /** Seconds that it takes at least. */
  least: number
  /** What all that has the same contents shares. */
  key: string
  /** Whether it is there in some scenario, and not only in one of several ways to do it. */
  isIn: (s: OptionScenario) => boolean
}

/** The washing of groups of stations that are all washed, where choices decide what of it there is. */
export function washedContents(
  model: Model,
  groups: readonly (readonly number[])[],
  base: OptionScenario,
  branches: readonly (readonly OptionScenario[])[],
): WashedGroup[] {
  const uses = usesOf(model)
  return groups.flatMap(
    (stations) => washedIn(model, uses, new Set(stations), base, branches) ?? [],
  )
}

/** Groups that have no station in common, those that count most first. */
export function disjoint<T extends { stations: number[] }>(
  groups: readonly T[],
  weight: (group: T) => number,
): T[] {
  const taken = new Set<number>()
  return [...groups]
    .sort((a, b) => weight(b) - weight(a))
    .filter(({ stations }) => {
      if (stations.some((s) => taken.has(s))) return false
      for (const s of stations) taken.add(s)
      return true
    })
}

function washedIn(
  model: Model,
  uses: Use[],
  group: Set<number>,
  base: OptionScenario,
  branches: readonly (readonly OptionScenario[])[],
): WashedGroup | undefined {
  const stations = [...group].map((s) => model.stations[s]!)
  if (!stations.every((s) => s.wash)) return undefined
  const others = uses.filter((u) => u.stations.some((s) => group.has(s)))
  const byContents = new Map<string, Use[]>()
  for (const use of others) {
    if (!use.stations.every((s) => group.has(s))) continue
    byContents.set(use.key, [...(byContents.get(use.key) ?? []), use])
  }
  const head = model.facts ? model.facts.now : Math.min(...others.map((u) => u.least))
  const surely: Work[] = []
  const options = branches.map((scenarios) => scenarios.map((): Work[] => []))
  for (const [key, own] of byContents) {
    const seconds = shortestInto(model, group, others, key, own[0]!.contents)
    if (!(seconds > 0 && seconds < Infinity)) continue
    /** It is washed before the use that has most after it, and before all that go with it. */
    const into = (s: OptionScenario): Work[] => {
      const tails = own.flatMap((u) => (u.isIn(s) ? [s.tail[2 * u.activity]!] : []))
      return tails.length ? [{ seconds, head, tail: Math.max(0, ...tails) }] : []
    }
    const here = into(base)
    surely.push(...here)
    if (here.length) continue
    // What more than one choice may ask for is not counted for any of them.
    const askers = branches.flatMap((scenarios, k) =>
      scenarios.some((s) => own.some((u) => u.isIn(s))) ? [k] : [],
    )
    if (askers.length !== 1) continue
    branches[askers[0]!]!.forEach((s, j) => options[askers[0]!]![j]!.push(...into(s)))
  }
  const all = [surely, ...options.flat()].flat().map((w) => w.seconds)
  if (all.length <= group.size) return undefined
  const longest = all.sort((a, b) => b - a).slice(0, group.size)
  return {
    stations: [...group],
    cooks: [...new Set(stations.flatMap((s) => s.wash!.cooks))],
    spared: longest.reduce((sum, s) => sum + s, 0),
    surely,
    options,
  }
}

/** Seconds of the shortest wash on any of these stations after something else. */
function shortestInto(
  model: Model,
  group: Set<number>,
  others: Use[],
  key: string,
  next: number,
): number {
  let least = Infinity
  for (const { key: was, contents } of others) {
    if (was === key) continue
    for (const s of group) {
      least = Math.min(least, washTime(model.stations[s]!, contents, next))
    }
  }
  return least
}

function usesOf(model: Model): Use[] {
  const uses: Use[] = []
  const counted = new Map<OptionScenario, Set<number>>()
  const there = (s: OptionScenario, i: number) => {
    const known = counted.get(s) ?? new Set(presentIn(model, s).map((a) => a.index))
    counted.set(s, known)
    return known.has(i)
  }
  const add = (need: MNeed, activity: MActivity, name: string, isIn: Use['isIn']) =>
    uses.push({
      activity: activity.index,
      contents: need.contents,
      stations: need.stations,
      least: activity.min,
      key: need.contents < 0 ? name : String(need.contents),
      isIn,
    })
  for (const a of model.activities.filter((a) => !a.fact))
    for (const mode of a.modes)
      mode.needs.forEach((need, k) => {
        const always = a.modes.every((m) =>
          m.needs.some(
            (n) =>
              (n === need || (n.contents >= 0 && n.contents === need.contents)) &&
              n.stations.every((s) => need.stations.includes(s)),
          ),
        )
        add(need, a, `${a.index}.${mode.index}.${k}`, (s) => always && there(s, a.index))
      })
  for (const h of model.holds.filter((h) => !h.fact))
    add(
      h.need,
      model.activities[h.from]!,
      `h${h.index}`,
      (s) => h.to >= 0 && !model.activities[h.from]!.fact && there(s, h.from) && there(s, h.to),
    )
  return uses
}
