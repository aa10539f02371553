import type { Draft } from './drafts'
import { equipmentIn, namesPan } from './equipment'

/** From so many minutes on it is a stew that simmers, and no sauce. */
const STEWS = 45

/** Litres of what is wet that a pan does not hold beside all the rest: an estimate of ours. */
const FULL = 0.9

/** Litres of what is wet that has gone into a step by then. */
function wetBy(drafts: readonly Draft[], step: number, litres: (id: string) => number): number {
  const seen = new Set([step])
  for (const k of seen) for (const before of drafts[k]!.waits.keys()) seen.add(before)
  const ids = new Set([...seen].flatMap((k) => drafts[k]!.uses))
  return [...ids].reduce((sum, id) => sum + litres(id), 0)
}

/** What was fried for a stew, and stews for long, where no pan is spoken of: in a pot, and no frying pan. */
export function stewsInPots(drafts: Draft[], litres: (id: string) => number): void {
  const inPan = (d: Draft) => d.equipment.includes('frying-pan')
  const isNamed = (d: Draft) => equipmentIn(d.do).includes('frying-pan') || namesPan(d.do)
  const pans = new Set(drafts.flatMap((d, k) => (inPan(d) ? [k] : [])))
  const simmers = (d: Draft) => ['simmer', 'boil'].includes(d.work)
  const stews = [...pans].filter(
    (k) =>
      simmers(drafts[k]!) && (drafts[k]!.minutes[1] >= STEWS || wetBy(drafts, k, litres) >= FULL),
  )
  /** What goes in without a pan being spoken of is in the same one. */
  const goesIn = (d: Draft) => d.work === 'assemble' && !d.equipment.length
  const togetherWith = (stew: number): Set<number> => {
    // A set that grows while it is gone through.
    const all = new Set([stew])
    for (const k of all) {
      const near = [...drafts[k]!.waits.keys()].filter((b) => pans.has(b) || goesIn(drafts[b]!))
      const next = pans.has(k) ? [...pans].filter((n) => drafts[n]!.waits.has(k)) : []
      for (const n of [...near, ...next]) all.add(n)
    }
    return all
  }
  for (const stew of stews) {
    const all = togetherWith(stew)
    // In its wok from the beginning, it stays there.
    if ([...all].some((k) => pans.has(k) && isNamed(drafts[k]!))) continue
    for (const k of all)
      drafts[k]!.equipment = drafts[k]!.equipment.map((e) => (e === 'frying-pan' ? 'pot' : e))
  }
}
