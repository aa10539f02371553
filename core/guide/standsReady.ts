import type { Kitchen } from '../kitchen'
import type { Plan } from '../plan'
import { isMeat, lowerFirst, type Recipe } from '../recipe'
import type { CompiledSession } from '../session'
import type { Instruction } from './instruction'
import { listed } from './words'

/** How long before its first use a thing need not stand out yet, in seconds. */
const SOON = 1200

/** What has to be so before the clock starts, each from the plan, in the order in which one looks. */
export function standsReady({
  plan,
  compiled,
  lines,
  kitchen,
  recipes,
  after,
}: {
  plan: Plan
  compiled: CompiledSession
  lines: readonly Instruction[]
  kitchen: Kitchen
  recipes: readonly Recipe[]
  /** A span of time in words. */
  after: (seconds: number) => string
}): string[] {
  const used = new Set([
    ...plan.activities.flatMap((a) => a.stations),
    ...plan.holds.map((h) => h.station),
  ])
  const own = kitchen.stations.filter((s) => used.has(s.id))
  const names = (zone: string) =>
    listed(own.filter((s) => s.zone === zone).map((s) => `the ${lowerFirst(s.name)}`))
  const out: string[] = []
  out.push('The sink and the drainer are empty, the bench is wiped')
  const ovens = own.filter((s) => s.oven)
  for (const oven of ovens) {
    const set = lines.find((l) => l.kind === 'oven' && l.places.includes(oven.id))
    // The clock starts when the cooks do, so nothing here has a time of the day.
    const when = set && (set.at < 60 ? 'at once' : `${after(set.at)} after the start`)
    out.push(`Nothing is left in the ${lowerFirst(oven.name)}${when ? `: it is set ${when}` : ''}`)
  }
  const machines = names('appliance')
  if (machines) out.push(`Clean and within reach: ${machines}`)
  const vessels = names('vessel')
  if (vessels) out.push(`Clean: ${vessels}`)
  const flesh = new Set(
    compiled.dishes.flatMap((d) =>
      (recipes.find((r) => r.id === d.id)?.ingredients ?? [])
        .filter((i) => isMeat(i.item))
        .map((i) => i.item.toLowerCase().replace(/\s*[,(].*$/, '')),
    ),
  )
  if (flesh.size)
    out.push(`Thawed all through, if it was frozen, and in the fridge: ${listed([...flesh])}`)
  const first = [...new Set(lines.filter((l) => l.at < SOON).flatMap((l) => l.amounts))]
  if (first.length) out.push(`Out for the first steps: ${listed(first)}`)
  return out
}
