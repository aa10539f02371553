import { instructions, type Instruction } from '../guide'
import type { Kitchen } from '../kitchen'
import { breachText, checkPlan, relaxed, type Plan } from '../plan'
import { readProblem } from '../problem'
import { Luck, USUAL_TIMES } from '../rehearsal'
import type { CompiledSession } from '../session'
import { below, seeded } from '../solver'
import { startAnew, worthTelling } from './anew'
import { skippedOf, turningsOf } from './acts'
import { problemLeft } from './asked'
import { compiledNow, type Begun } from './compiled'
import { FORCED, ofKind, type Event } from './events'
import { doneOf, inHand, turnsOf, type Turn } from './queue'
import { notBegun } from './without'
import { pausesIn, standingAt, type Running, type Standing } from './standing'

/** How a session went that a made-up cook cooked from what was told. */
export interface Cooked {
  events: Event[]
  /** Seconds from the beginning at which everything was done. */
  finished: number
  /** Turns that were never over: none, or it went wrong. */
  left: Turn[]
  standing: Standing
  running: Running
  /** How often it was planned anew, and how long the first valid plan took at most, in milliseconds. */
  asked: number
  taken: number
  slowestMs: number
  /** What was wrong on the way: a plan that breaks a rule, facts that nobody can plan from. */
  faults: string[]
}

interface Options {
  seed: number
  /** How likely a mishap is at each thing done. */
  mishaps?: number
  noise?: number
  kitchen: Kitchen
  /** What the session began with: dishes may come to it on the way. */
  begun?: Begun
  clock?: () => number
}

const NOTICED = 120
const PAUSE = 180
/** More things than any session has to be done. */
const MOST_STEPS = 4000

/** Cooks a session to its end as a person does: each line when its turn has come, as long as it takes them. */
export function cookThrough(
  compiled: CompiledSession,
  plan: Plan,
  { seed, mishaps = 0, noise = 1, kitchen, begun, clock = () => performance.now() }: Options,
): Cooked {
  let made = compiled
  let { problem } = made
  const random = seeded(seed)
  const luck = new Luck(seeded(seed + 1), USUAL_TIMES, noise)
  const events: Event[] = []
  const faults: string[] = []
  const log = (event: object, at: number) =>
    events.push({ id: `e${events.length}`, at: at * 1000, ...event } as Event)
  let lines: Instruction[] = instructions(plan, compiled, kitchen)
  let current = plan
  let extrasIn = 0
  let running: Running = { problem, plan: current, lines, events, links: made.links }
  const tallied = { asked: 0, taken: 0, slowestMs: 0 }
  /** What each cook is at, and until when it takes them. */
  const at = new Map<string, { key: string; until: number }>()
  let now = 0
  let last = -PAUSE
  let standing = standingAt(running, now)
  let turns = turnsOf(running, standing)

  const see = () => {
    const extras = ofKind(events, 'extra').length
    if (begun && extras > extrasIn) {
      extrasIn = extras
      const reading = compiledNow(begun, events)
      if (reading.ok) made = reading.value
      else faults.push(`extra: ${JSON.stringify(reading.issues)}`)
      problem = made.problem
    }
    running = { problem, plan: current, lines, events, links: made.links }
    standing = standingAt(running, now, pausesIn(events, 0))
    turns = turnsOf(running, standing)
  }
  const tookFor = ({ line }: Turn): number => {
    const seconds = line.free - line.at
    if (seconds <= 0) return 0
    const [real] = luck.of({ key: `hands ${line.key}`, kind: 'hands', seconds, cook: line.cook })
    return real
  }
  const tick = (turn: Turn, cook: string) => {
    log(doneOf(turn, inHand(turns, running, cook, standing), cook, now), now)
  }
  const mishap = (cook: string) => {
    const hand = inHand(turns, running, cook, standing)
    const kind = below(random, begun ? 10 : 7)
    const turn = hand.now
    if (kind === 0 && events.at(-1)?.kind === 'done')
      log({ kind: 'undone', event: events.at(-1)!.id }, now)
    if (kind === 1 && turn?.line.activity && turn.from >= now)
      log({ kind: 'later', activity: turn.line.activity, until: now + 600 }, now)
    if (kind === 2) {
      log({ kind: 'paused' }, now)
      now += 300
      log({ kind: 'resumed' }, now)
    }
    if (kind === 3) {
      const alone = standing.net.runs.find(
        (r) =>
          r.mode.phases.some((p) => !p.hands && p.seconds[0] > 300) &&
          standing.course.at[r.start]! <= now &&
          standing.course.at[r.end]! > now,
      )
      const phase = alone?.mode.phases.findIndex((p) => !p.hands) ?? -1
      if (alone) log({ kind: 'more', activity: alone.activity.id, phase, until: now + 300 }, now)
    }
    if (kind === 5 && turn && turn.line.activity && turn.line.kind !== 'end') {
      const skipped = skippedOf(turn, running.plan, cook, now)
      if (skipped) log(skipped, now)
    }
    if (kind === 6 && turn?.line.kind === 'do' && problem.cooks.length > 1) {
      const other = problem.cooks.find((c) => c.id !== cook)!.id
      log({ kind: 'handed', activity: turn.line.activity!, to: other, from: now }, now)
    }
    if (kind === 7) {
      const [dish] = notBegun(running, standing)
      if (dish && !events.some((e) => e.kind === 'given-up'))
        log({ kind: 'given-up', dish, second: now }, now)
    }
    if (kind === 8 && begun && extrasIn < 2) {
      const { recipe } = begun.session.dishes[below(random, begun.session.dishes.length)]!
      log({ kind: 'extra', dish: `extra-${extrasIn + 1}`, recipe, batches: 1 }, now)
    }
    if (kind === 9) {
      const ways = running.plan.activities.flatMap((a) =>
        turningsOf({ problem, plan: standing.plan }, a.id, now),
      )
      if (ways[0]) log({ kind: 'turned', second: now, ...ways[0] }, now)
    }
    if (kind === 4) {
      const free = problem.stations.filter(
        (s) => problem.stations.filter((x) => x.kind === s.kind).length > 1,
      )
      const [one] = free.length ? [free[below(random, free.length)]!] : []
      if (one && !events.some((e) => e.kind === 'out')) log({ kind: 'out', station: one.id }, now)
    }
  }
  const planAnew = () => {
    const asked = problemLeft(running, standing)
    const reading = readProblem(JSON.parse(JSON.stringify(asked)))
    if (!reading.ok) {
      faults.push(`facts: ${JSON.stringify(reading.issues)}`)
      return
    }
    const began = clock()
    const anew = startAnew(reading.value, standing.plan, { seed, iterations: 12, clock })
    let first: number | undefined
    while (anew.advance(0)) if (first === undefined && anew.best()) first = clock() - began
    const best = anew.best()
    first ??= clock() - began
    tallied.asked++
    tallied.slowestMs = Math.max(tallied.slowestMs, first)
    if (!best) return
    const breaches = checkPlan(relaxed(asked, best.broken), best.plan)
    if (breaches.length) faults.push(`plan: ${breaches.map(breachText).join('; ')}`)
    if (!worthTelling(asked, standing.plan, best)) return
    tallied.taken++
    current = best.plan
    lines = instructions(current, made, kitchen)
    log({ kind: 'planned', plan: tallied.taken, words: '' }, now)
    // Whoever is in the middle of something goes on with it.
    see()
  }

  for (let step = 0; step < MOST_STEPS; step++) {
    see()
    if (turns.every((t) => t.over)) break
    for (const { id: cook } of problem.cooks) {
      const hand = inHand(turns, running, cook, standing)
      if (!hand.now) {
        at.delete(cook)
        continue
      }
      const { key } = hand.now.line
      if (at.get(cook)?.key === key) continue
      at.delete(cook)
      if (hand.now.from <= now)
        at.set(cook, {
          key,
          until: Math.max(now, Math.round(Math.max(hand.since, hand.now.from)) + tookFor(hand.now)),
        })
    }
    const soonest = Math.min(
      ...[...at.values()].map((x) => x.until),
      ...problem.cooks.flatMap(({ id }) => {
        const { now: turn } = inHand(turns, running, id, standing)
        return turn && !at.has(id) && turn.from > now ? [Math.ceil(turn.from)] : []
      }),
    )
    if (!Number.isFinite(soonest)) {
      faults.push(`nothing goes on at ${now}`)
      break
    }
    now = Math.max(now, soonest)
    see()
    for (const [cook, { key, until }] of [...at]) {
      if (until > now) continue
      at.delete(cook)
      const turn = turns.find((t) => t.line.key === key && !t.over)
      if (turn) tick(turn, cook)
      see()
      if (random() < mishaps) {
        mishap(cook)
        see()
      }
    }
    const off = turns.some((t) => !t.over && Math.abs(t.from - t.line.at) > NOTICED)
    const told = events.length > 0 && FORCED.has(events.at(-1)!.kind)
    if ((off || told) && now - last >= PAUSE) {
      last = now
      planAnew()
    }
  }
  see()
  return {
    events,
    finished: now,
    left: turns.filter((t) => !t.over),
    standing,
    running,
    ...tallied,
    faults,
  }
}
