import type { CompiledSession } from '../session'
import { counting, ofKind } from './events'
import type { Running, Standing } from './standing'

/** Something that goes on by itself, and when it is to be seen to. */
export interface Timer {
  activity: string
  phase: number
  dish: string
  /** Ids of the places in which it is. */
  places: string[]
  /** Seconds from the beginning of the session. */
  from: number
  due: number
  /** Its time has come, and nobody has said yet that they have heard. */
  rings: boolean
}

/** So long nobody is called for what is over in a moment, in seconds. */
const BRIEF = 60

/** All that goes on by itself now, the soonest first. */
export function timersAt(
  running: Running,
  { net, course, now, plan, untold }: Standing,
  compiled: CompiledSession,
): Timer[] {
  const events = counting(running.events)
  const out: Timer[] = []
  plan.activities.forEach((run, i) => {
    const { start, mode } = net.runs[i]!
    const card = compiled.cards[run.id]
    if (!card || card.marker) return
    mode.phases.forEach((phase, k) => {
      if (phase.hands || phase.seconds[0] < BRIEF) return
      const [begins, ends] = [start + k, start + k + 1]
      const from = course.at[begins]!
      // What nobody has said to have put on is not timed.
      if (from > now || untold.has(begins) || net.fixed[ends]) return
      const own = (e: { activity: string; phase: number }) => e.activity === run.id && e.phase === k
      const more = ofKind(events, 'more').filter(own)
      const due = Math.max(from + phase.seconds[0], ...more.map((m) => m.until))
      const heard = ofKind(events, 'heard').some((e) => own(e) && e.second >= due)
      out.push({
        activity: run.id,
        phase: k,
        dish: card.dish,
        places: run.stations,
        from,
        due,
        rings: now >= due && !heard,
      })
    })
  })
  return out.sort((a, b) => a.due - b.due)
}
