import type { Plan } from '../plan'
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
