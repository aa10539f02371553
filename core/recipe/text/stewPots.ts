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
  const inPan = (d: Draft) =>
    d.equipment.includes('frying-pan') &&
    !equipmentIn(d.do).includes('frying-pan') &&
    !namesPan(d.do)
  const pans = new Set(drafts.flatMap((d, k) => (inPan(d) ? [k] : [])))
  const simmers = (d: Draft) => ['simmer', 'boil'].includes(d.work)
  const stews = [...pans].filter(
    (k) =>
      simmers(drafts[k]!) && (drafts[k]!.minutes[1] >= STEWS || wetBy(drafts, k, litres) >= FULL),
  )
  const together = new Set<number>()
  /** What goes in without a pan being spoken of is in the same one. */
  const goesIn = (d: Draft) => d.work === 'assemble' && !d.equipment.length
  const reach = (k: number): void => {
    const d = drafts[k]!
    if (together.has(k) || !(pans.has(k) || goesIn(d))) return
    together.add(k)
    for (const before of d.waits.keys()) reach(before)
    if (pans.has(k)) drafts.forEach((next, i) => next.waits.has(k) && pans.has(i) && reach(i))
  }
  stews.forEach(reach)
  for (const k of together)
    drafts[k]!.equipment = drafts[k]!.equipment.map((e) => (e === 'frying-pan' ? 'pot' : e))
}
