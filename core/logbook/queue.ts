import { isTickedOff, type Instruction } from '../guide'
import { counting, ofKind, type EventOf } from './events'
import { givenUp } from './givenUp'
import { stoodStill, type Running, type Standing } from './standing'

/** A line of the plan as things stand: when it comes or came, and whether it is behind the cooks. */
export interface Turn {
  line: Instruction
  /** Seconds from the beginning of the session: when it is expected to begin, and to be done. */
  from: number
  to: number
  /** Told as done, or passed over by what was done after it. */
  over: boolean
  /** It could begin now, but for something that nobody has said to be done yet. */
  waits: boolean
}

/** All that is told to anybody, in the order in which it is expected. */
export function turnsOf(running: Running, standing: Standing): Turn[] {
  const { lines, events: all, plan } = running
  const { net, course, now } = standing
  const events = counting(all)
  const done = ofKind(events, 'done')
  const ticked = new Set(done.map((e) => e.key))
  const gone = givenUp(running)
  const nodes = new Map(net.runs.map((r) => [r.activity.id, r]))
  const waitsAt = (instant: number): boolean => {
    const at = course.at[instant]!
    if (net.fixed[instant] || at > now + 1) return false
    for (let j = net.first[instant]!; j < net.first[instant + 1]!; j++) {
      const before = net.arcFrom[j]!
      if (standing.untold.has(before) && course.at[before]! + net.arcLag[j]! >= at - 1) return true
    }
    return false
  }
  const plannedEnd = new Map(plan.activities.map((a) => [a.id, a.end]))
  const turns = lines.filter(isTickedOff).map((line): Turn => {
    const run = line.activity === undefined ? undefined : nodes.get(line.activity)
    if (run && line.points) {
      const [first, last] = [run.start + line.points[0], run.start + line.points[1]]
      // What came by itself is behind whoever has said anything that comes after it.
      const passed = first === last && net.fixed.subarray(last, run.end + 1).some((x) => x === 1)
      return {
        line,
        from: course.at[first]!,
        to: course.at[last]!,
        over: net.fixed[last] === 1 || passed,
        waits: waitsAt(first),
      }
    }
    if (line.kind === 'wash') {
      const k = plan.chores.findIndex((c) => c.station === line.places[0] && c.from === line.at)
      const chore = net.chores[k]
      if (chore)
        return {
          line,
          from: course.at[chore.from]!,
          to: course.at[chore.to]!,
          over: net.fixed[chore.to] === 1,
          waits: waitsAt(chore.from),
        }
    }
    // A look comes with what it is about; the rest goes with what its cook does next.
    const shift = run ? course.at[run.end]! - plannedEnd.get(run.activity.id)! : Number.NaN
    return {
      line,
      from: line.at + shift,
      to: line.free + shift,
      over: ticked.has(line.key) || gone.has(line.dish ?? ''),
      waits: false,
    }
  })
  shiftRest(turns)
  passOver(turns, done)
  // What has come to its end is seen to when it has, whenever the plan would have had it.
  return turns
    .map((turn, k) => ({ turn, k }))
    .sort((a, b) => a.turn.from - b.turn.from || a.k - b.k)
    .map(({ turn }) => turn)
}

/** What has no time of its own moves with what the same cook does next, else did last. */
function shiftRest(turns: Turn[]): void {
  const known = (cook: string, list: readonly Turn[]) =>
    list.find((t) => t.line.cook === cook && !Number.isNaN(t.from))
  turns.forEach((turn, k) => {
    if (!Number.isNaN(turn.from)) return
    const near =
      known(turn.line.cook, turns.slice(k + 1)) ??
      known(turn.line.cook, turns.slice(0, k).reverse())
    const shift = near ? near.from - near.line.at : 0
    turn.from = turn.line.at + shift
    turn.to = turn.line.free + shift
  })
}

/** What stands before something that its cook has done already, and is nothing that takes its time. */
function passOver(turns: Turn[], done: readonly EventOf<'done'>[]): void {
  const last = new Map<string, number>()
  const told = new Set(done.map((e) => e.key))
  for (const { line, over } of turns)
    if (over && told.has(line.key)) last.set(line.cook, Math.max(last.get(line.cook) ?? 0, line.at))
  for (const turn of turns) {
    const { line } = turn
    if (!line.points && line.kind !== 'wash' && line.at < (last.get(line.cook) ?? -1))
      turn.over = true
  }
}

/** What one cook has in hand, and what comes after it. */
export interface InHand {
  now: Turn | undefined
  next: Turn[]
  /** From when on the cook has had nothing else in hand, in seconds from the beginning. */
  since: number
  /** Seconds until it is due to begin; 0 once it is. */
  startsIn: number
  /** Seconds that are left of it; negative where it runs over. */
  left: number
}

/** What one cook is told now, next and soon. */
export function inHand(
  turns: readonly Turn[],
  { events }: Pick<Running, 'events'>,
  cook: string,
  { now, pauses }: Pick<Standing, 'now' | 'pauses'>,
): InHand {
  const own = turns.filter((t) => t.line.cook === cook && !t.over)
  // Where one thing waits for somebody else, another may be done meanwhile.
  const due = own.findIndex((t) => !t.waits && t.from <= now + 1)
  if (due > 0) own.unshift(...own.splice(due, 1))
  const [first] = own
  const done = ofKind(counting(events), 'done').filter((e) => e.cook === cook)
  const since = done.reduce((most, e) => Math.max(most, e.to), 0)
  const length = first ? first.line.free - first.line.at : 0
  const begun = first ? Math.max(since, first.from) : now
  return {
    now: first,
    next: own.slice(1, 3),
    since,
    startsIn: first ? Math.max(0, Math.ceil(first.from - now)) : 0,
    left: first
      ? Math.round(length - Math.max(0, now - begun - stoodStill(pauses, begun, now)))
      : 0,
  }
}

/**
 * What to write down of a line that is ticked off now: it was begun when it was due, or since its cook was
 * free where it was taken up earlier, at most as long ago as it takes. What takes no hands and came by
 * itself came when it was due, however late somebody says so.
 */
export function doneOf(
  turn: Turn,
  hand: Pick<InHand, 'now' | 'since'>,
  cook: string,
  now: number,
): Omit<EventOf<'done'>, 'id' | 'at'> {
  const { line } = turn
  const length = line.free - line.at
  const itself = line.points !== undefined && line.points[0] === line.points[1]
  const to = itself ? Math.min(now, Math.round(turn.from)) : now
  const soonest = turn.from <= now ? Math.round(turn.from) : Math.max(0, now - length)
  const free = hand.now === turn ? hand.since : 0
  const setting = line.kind === 'oven' || line.kind === 'wash'
  return {
    kind: 'done',
    cook,
    key: line.key,
    is: line.kind,
    text: line.text,
    from: itself ? to : Math.min(now, Math.max(free, soonest)),
    to,
    ...(line.activity === undefined ? {} : { activity: line.activity }),
    ...(line.points ? { points: line.points } : {}),
    ...(setting ? { station: line.places[0]! } : {}),
    ...(line.kind === 'oven' && line.celsius !== undefined ? { celsius: line.celsius } : {}),
  }
}
