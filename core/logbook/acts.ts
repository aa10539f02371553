import equal from 'fast-deep-equal'
import type { Plan } from '../plan'
import type { Problem } from '../problem'
import type { EventOf } from './events'
import type { Turn } from './queue'

type Done = Omit<EventOf<'done'>, 'id' | 'at'>

/** What to write down where a step is left out: all of it that has not begun yet, over at once. */
export function skippedOf({ line }: Turn, plan: Plan, cook: string, now: number): Done | undefined {
  const run = plan.activities.find((a) => a.id === line.activity)
  const whole = run && line.points?.[0] === 0
  if (line.points && !whole) return undefined
  return {
    kind: 'done',
    cook,
    key: line.key,
    is: line.kind,
    text: line.text,
    from: now,
    to: now,
    skipped: true,
    ...(whole ? { activity: run.id, points: [0, run.phases.length] as [number, number] } : {}),
    ...(line.kind === 'wash' || line.kind === 'oven' ? { station: line.places[0]! } : {}),
  }
}

/** The same thing done so many seconds earlier than now; never before it was begun. */
export const doneEarlier = (done: Done, seconds: number): Done => {
  const to = Math.max(0, done.to - seconds)
  return { ...done, from: Math.min(done.from, to), to }
}

/**
 * What wants more time where a cook says so at a line: what hands are at; or, where it would be taken off
 * now, what goes on by itself. Nothing where the line is about neither.
 */
export function moreFor(
  { line }: Turn,
  plan: Plan,
  until: number,
): { activity: string; phase: number; until: number } | undefined {
  const run = plan.activities.find((a) => a.id === line.activity)
  if (!run) return undefined
  const closing = line.kind === 'end' || line.kind === 'out' || line.kind === 'check'
  const last = run.phases.length - 1
  const point = line.points?.[0] ?? last
  const phase = closing ? point - 1 : (line.points?.[1] ?? 1) - 1
  return { activity: run.id, phase: Math.min(last, Math.max(0, phase)), until }
}

/** Another way to go on with what is under way, and when it would be over. */
export interface Turning {
  activity: string
  phase: number
  mode: string
  until: number
}

/**
 * The other ways in which what is under way in a place can go on, such as a slow cooker's low and high:
 * those that want the same places and hands. How far it is counts as the share of its time that has
 * passed, an estimate of ours: what is left takes that much less the other way.
 */
export function turningsOf(
  { problem, plan }: { problem: Problem; plan: Plan },
  activity: string,
  now: number,
): Turning[] {
  const known = problem.activities.find((a) => a.id === activity)
  const run = plan.activities.find((a) => a.id === activity)
  const phase = run?.phases.findIndex((p) => p.from <= now && now < p.to) ?? -1
  const own = known?.modes.find((m) => m.id === run?.mode)
  if (!run || !own || phase < 0 || own.phases[phase]!.hands) return []
  const { from, to } = run.phases[phase]!
  const left = to > from ? (to - now) / (to - from) : 0
  return known!.modes.flatMap((mode): Turning[] => {
    if (mode === own || !equal(mode.needs, own.needs)) return []
    if (mode.phases.length !== own.phases.length) return []
    const same = mode.phases.every(
      (p, k) => equal(p.hands, own.phases[k]!.hands) && (k === phase || equal(p, own.phases[k])),
    )
    const other = mode.phases[phase]!
    if (!same || other.heat || other.seconds[0] === own.phases[phase]!.seconds[0]) return []
    return [{ activity, phase, mode: mode.id, until: Math.round(now + left * other.seconds[0]) }]
  })
}
