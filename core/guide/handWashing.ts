import { ownValue } from '../problem'
import type { Plan } from '../plan'
import type { CompiledSession } from '../session'

/** A cook's hands to wash between two kinds of food. */
export interface HandWash {
  cook: string
  from: number
  to: number
  after: string
}

/** What is never left on hands that have nothing to do. */
const RAW = 'raw'
/** Seconds after which hands that were on raw food are washed though more of it follows: an estimate of ours. */
const PAUSE = 300

/**
 * When each cook washes their hands: as soon as they are free for it after the work that soiled them,
 * before the work that wants them clean. A valid plan has the time for it. Raw food is washed off, too,
 * where there is time for it and nothing that follows would ask.
 */
export function handWashes(plan: Plan, { problem }: CompiledSession): HandWash[] {
  const activities = new Map(problem.activities.map((a) => [a.id, a]))
  return problem.cooks.flatMap(({ id: cook, unavailable }) => {
    const touches = plan.activities.flatMap((run) => {
      const activity = activities.get(run.id)!
      const mode = activity.modes.find((m) => m.id === run.mode)!
      return run.phases.flatMap((p, k) =>
        mode.phases[k]?.hands && p.cook === cook && p.to > p.from
          ? [{ from: p.from, to: p.to, hygiene: activity.hygiene, id: run.id }]
          : [],
      )
    })
    touches.sort((a, b) => a.from - b.from)
    const busy = [
      ...touches,
      ...plan.chores.filter((c) => c.cook === cook),
      ...unavailable.map(([from, to]) => ({ from, to })),
    ].sort((a, b) => a.from - b.from)
    const washes: HandWash[] = []
    const longest = Math.max(0, ...Object.values(ownValue(problem.hygiene, RAW) ?? {}))
    /** What is on the hands: each kind that has not been washed off, with when it came there. */
    let soiled = new Map<string, { at: number; id: string }>()
    /** Washes off what came at some time, where there are so many seconds for it before an instant. */
    const wash = ({ at, id }: { at: number; id: string }, before: number, seconds: number) => {
      const from = seconds > 0 ? freeFrom(busy, at, before, seconds) : undefined
      if (from === undefined) return
      washes.push({ cook, from, to: from + seconds, after: id })
      // What was touched after the wash is on the hands again.
      soiled = new Map([...soiled].filter(([, s]) => s.at > from))
    }
    for (const touch of touches) {
      const wants = [...soiled].map(([was, soil]) => ({
        seconds: ownValue(ownValue(problem.hygiene, was), touch.hygiene) ?? 0,
        soil,
      }))
      const [worst] = wants.sort((a, b) => b.seconds - a.seconds)
      if (worst) wash(worst.soil, touch.from, worst.seconds)
      const raw = soiled.get(RAW)
      if (raw && (touch.hygiene !== RAW || touch.from - raw.at >= PAUSE))
        wash(raw, touch.from, longest)
      soiled.set(touch.hygiene, { at: touch.to, id: touch.id })
    }
    const raw = soiled.get(RAW)
    if (raw) wash(raw, Infinity, longest)
    return washes
  })
}

/** The first stretch of so many seconds in [from, to] in which nothing is in the hands. */
function freeFrom(
  busy: readonly { from: number; to: number }[],
  from: number,
  to: number,
  seconds: number,
): number | undefined {
  let at = from
  for (const b of busy) {
    if (b.to <= at) continue
    if (b.from >= at + seconds) break
    at = b.to
  }
  return at + seconds <= to ? at : undefined
}
