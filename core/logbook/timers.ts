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
  const told = new Set(ofKind(events, 'done').map((e) => e.key))
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
      if (from > now || untold.has(begins) || net.fixed[ends] || told.has(`${run.id}#end`)) return
      const more = events.filter(
        (e) => e.kind === 'more' && e.activity === run.id && e.phase === k,
      ) as { until: number }[]
      const due = Math.max(from + phase.seconds[0], ...more.map((m) => m.until))
      // What comes after it has begun: nobody needs to be told of its end any more.
      const gone = running.problem.relations.some((r) => {
        const next =
          r.from === run.id && r.kind === 'FS'
            ? net.runs.find((x) => x.activity.id === r.to)
            : undefined
        return next !== undefined && net.fixed[next.start] === 1
      })
      if (gone) return
      const heard = ofKind(events, 'heard').some(
        (e) => e.activity === run.id && e.phase === k && e.second >= due,
      )
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
