import type { StepRead } from './method'

/** A step before it has a name and knows what it waits for. */
export interface Draft extends Omit<StepRead, 'id' | 'after'> {
  meanwhile: boolean
  separate: boolean
  verb: string
  within?: number
}

/** Names for the steps, and what each waits for. */
export function linked(drafts: Draft[]): StepRead[] {
  const ids: string[] = []
  const last = new Map<string, number>()
  const steps: StepRead[] = []
  let main = -1
  drafts.forEach((d, i) => {
    const id = idOf(d, ids)
    ids.push(id)
    const waits = new Set<number>()
    for (const u of d.uses) if (last.has(u)) waits.add(last.get(u)!)
    const fresh = d.uses.length > 0 && !d.uses.some((u) => last.has(u))
    const prep = d.work === 'cut' || d.work === 'measure' || d.work === 'heat'
    const starts =
      d.work === 'heat' ||
      (fresh && prep) ||
      (fresh && (d.separate || d.meanwhile)) ||
      (fresh &&
        (d.work === 'boil' || d.work === 'soak') &&
        !/^(?:add|stir|bring|return)/i.test(d.do)) ||
      (fresh && d.work === 'drain')
    if (!starts && main >= 0)
      waits.add(d.meanwhile ? Math.max(0, previousOf(steps, ids, main)) : main)
    // `Fry them` is about what was last spoken of; `fry gently`, first of all, about all of it.
    if (i > 0 && drafts[i - 1]!.work !== 'heat' && OF_BEFORE.test(d.do)) waits.add(i - 1)
    if (!starts && main < 0 && !d.uses.length && !waits.size)
      for (const k of leaves(steps, i)) if (steps[k]!.work !== 'heat') waits.add(k)
    if (d.meanwhile && !starts && previousOf(steps, ids, main) < 0) waits.clear()
    if (/^(?:serve|pack|portion)$/.test(d.verb) || i === drafts.length - 1)
      leaves(steps, i).forEach((k) => {
        if (steps[k]!.work !== 'heat') waits.add(k)
      })
    waits.delete(i)
    const after = [...waits]
      .sort((a, b) => a - b)
      .filter((k) => ![...waits].some((w) => w !== k && leadsTo(steps, ids, k, w)))
      .map((k) => ({ step: ids[k]!, ...(d.within === undefined ? {} : { most: d.within }) }))
    for (const u of d.uses) last.set(u, i)
    if (!(fresh && prep) && d.work !== 'heat') main = i
    const { meanwhile: _m, separate: _s, verb: _v, within: _w, ...step } = d
    steps.push({ id, ...step, after })
  })
  return steps
}

const OF_BEFORE =
  /^[a-z-]+ (?:(?:gently|both|all|of) )*(?:it|them|these|both)\b|^(?:toss|coat|dip|roll|dredge|dust) (?:in|with)\b/i

function idOf(d: Draft, taken: string[]): string {
  const base = d.verb.replace(/[^a-z]+/g, '-').replace(/^-|-$/g, '') || d.work
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`
    if (!taken.includes(id)) return id
  }
}

const previousOf = (steps: readonly StepRead[], ids: readonly string[], i: number) =>
  i < 0 ? -1 : ids.indexOf(steps[i]!.after[steps[i]!.after.length - 1]?.step ?? '')

function leadsTo(
  steps: readonly StepRead[],
  ids: readonly string[],
  from: number,
  to: number,
): boolean {
  return steps[to]!.after.some((a) => {
    const k = ids.indexOf(a.step)
    return k === from || (k > from && leadsTo(steps, ids, from, k))
  })
}

function leaves(steps: readonly StepRead[], before: number): number[] {
  const waited = new Set(steps.flatMap((s) => s.after.map((a) => a.step)))
  return steps.flatMap((s, k) => (k < before && !waited.has(s.id) ? [k] : []))
}
