import type { Model } from '../../model/model'
import { ALWAYS, not } from '../engine/literals'
import { holds } from './sequenceCuts'
import { cleanSeconds } from '../model/disjunctive'
import type { Literal } from '../engine/trail'
import type { SessionModel, Touch } from '../model/sessionModel'
import { PARAMS } from '../../params'

const { BACK } = PARAMS.pauseCuts

/** Stretches of one cook in their order: between some two of them hands must be free for so long. */
export interface Pause {
  chain: Touch[]
  cook: number
  seconds: number
}

/**
 * Hands that were not free long enough at a stretch between two classes, in the solution that
 * stands in the engine. Most sessions need few of these, and all of them would be far too many
 * constraints, so they are added as they turn out to be missing.
 */
export function missingPauses(session: SessionModel): Pause[] {
  const { engine, model, touches, absences } = session
  if (model.longestClean === 0) return []
  return model.cooks.flatMap((_, c) => {
    const own = [...touches, ...absences]
      .filter((t) => t.cooks.some((x) => x.cook === c && holds(engine, x.literal)))
      .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
    const longest = (from: number, to: number) => {
      let free = 0
      for (let k = from + 1; k <= to; k++)
        free = Math.max(free, engine.lo(own[k]!.s) - engine.lo(own[k - 1]!.e))
      return free
    }
    return pausesIn(model, own, own.length)
      .filter(({ from, to, seconds }) => longest(from, to) < seconds)
      .map(({ from, to, seconds }) => ({ chain: own.slice(from, to + 1), cook: c, seconds }))
  })
}

/**
 * Where hands are washed with something else in between, in what one cook does in a plan. Around that plan
 * they are mostly washed there too, and a solution without it would only be refused. (Of 99 solutions of a
 * session of 18 dishes 29 were plans, and 23 came to nothing; seven such sessions, three seeds,
 * after 10 s: 3.8 -> 3.2 % above the best known.)
 */
export function plannedPauses(model: Model, own: Touch[], cook: number): Pause[] {
  return pausesIn(model, own, BACK)
    .filter(({ from, to }) => to - from > 1)
    .map(({ from, to, seconds }) => ({ chain: own.slice(from, to + 1), cook, seconds }))
}

/**
 * Between which of some stretches in their order hands must have been free for how long: from the latest of
 * each class, at most so many before. What comes before something in between that wants them
 * free for as long says nothing more.
 */
function pausesIn(
  model: Model,
  own: Touch[],
  back: number,
): { from: number; to: number; seconds: number }[] {
  if (model.longestClean === 0) return []
  const found: { from: number; to: number; seconds: number }[] = []
  own.forEach((second, to) => {
    const seen = new Set<number>()
    for (let from = to - 1; from >= Math.max(0, to - back) && seen.size <= model.classes; from--) {
      const first = own[from]!
      if (seen.has(first.hygiene)) continue
      seen.add(first.hygiene)
      const secondsTo = (t: Touch) => (first.fact && t.fact ? 0 : cleanSeconds(model, first, t))
      const seconds = secondsTo(second)
      if (seconds > 0 && own.slice(from + 1, to).every((t) => secondsTo(t) < seconds))
        found.push({ from, to, seconds })
    }
  })
  return found
}

/**
 * Whenever one cook does these in this order, there is a pause between two neighbours of them.
 * True whatever comes in between: a pause is shorter than the time around it. Only at level 0;
 * false where it cannot be said (no booleans left, or no order between two of them).
 */
export function addPause(session: SessionModel, pause: Pause): boolean {
  const { engine } = session
  const literals: Literal[] = []
  for (const touch of pause.chain)
    literals.push(not(touch.cooks.find((x) => x.cook === pause.cook)!.literal))
  const neighbours: [Touch, Touch][] = []
  for (let k = 1; k < pause.chain.length; k++) {
    const [a, b] = [pause.chain[k - 1]!, pause.chain[k]!]
    const order = a.activity >= 0 && a.activity === b.activity ? ALWAYS : session.lateTurn(a, b)
    if (order === undefined) return false
    literals.push(not(order))
    neighbours.push([a, b])
  }
  for (const [a, b] of neighbours) {
    const free = engine.lateBool()
    if (free === undefined || !engine.requireLag(a.e, b.s, pause.seconds, [free])) return false
    literals.push(free)
  }
  // A literal that can never be false (not ALWAYS) says nothing in a clause.
  const open = literals.filter((c) => c >= 0)
  return engine.requireAny(open) && engine.settle()
}
