import { freeId } from './naming'
import { durationsIn } from './text/durations'
import { goesInLate } from './text/references'
import { cooks } from './work'
import type { StepRead } from './text/drafts'

/**
 * The steps with what goes in `for the last 15 minutes` put there: what cooks is cooked for that much
 * less before it, and goes on for as long afterwards.
 */
export function withLastMinutes(steps: readonly StepRead[]): StepRead[] {
  let out = [...steps]
  for (const { id } of steps) {
    const step = out.find((s) => s.id === id)!
    const minutes = lastIn(step.do)
    const before = out.filter(
      (s) => step.after.some((a) => a.step === s.id && a.food !== false) && cooks(s.work),
    )
    const [cooking] = before
    if (minutes === undefined || before.length !== 1 || cooks(step.work)) continue
    if (!cooking || cooking.minutes[0] <= minutes) continue
    const fresh = freeId(`${cooking.id}-on`, new Set(out.map((s) => s.id)))
    const [least, most] = cooking.minutes
    const on: StepRead = {
      ...cooking,
      id: fresh,
      do: `Go on for ${minutes} minutes more`,
      minutes: [minutes, minutes],
      stated: true,
      hygiene: cooking.hygiene === 'raw' ? 'neutral' : cooking.hygiene,
      after: [{ step: step.id }],
      uses: [],
      doubts: [],
    }
    out = out.flatMap((s) => {
      if (s === cooking)
        return [
          { ...s, minutes: [least - minutes, most - minutes] as [number, number], sooner: minutes },
        ]
      if (s === step) return [s, on]
      return [{ ...s, after: s.after.map((a) => (a.step === step.id ? { ...a, step: fresh } : a)) }]
    })
  }
  return out
}

function lastIn(text: string): number | undefined {
  if (!/\b(?:for|in) the last\b/i.test(text) && !goesInLate(text)) return undefined
  return durationsIn(text).find((d) => d.kind === 'moment')?.most
}
