import {
  doneEarlier,
  doneOf,
  moreFor,
  ofKind,
  skippedOf,
  type Timer,
  type Turn,
  type Turning,
} from '~~/core/logbook'
import type { useRunning } from './useRunning'

/** All that a cook can say of what is in hand, written down as what happened. */
export function useActs(run: ReturnType<typeof useRunning>) {
  const { now, counted, handOf, tell } = run
  const added = (key: string | undefined) =>
    new Set(
      ofKind(counted.value, 'added')
        .filter((e) => e.key === key)
        .map((e) => e.amount),
    )

  const done = (cook: string, turn: Turn, minutesAgo: number) =>
    tell(doneEarlier(doneOf(turn, handOf(cook), cook, now.value), 60 * minutesAgo))
  async function more(cook: string, turn: Turn, minutes: number) {
    const until = now.value + Math.max(0, handOf(cook).left) + 60 * minutes
    const wanted = moreFor(turn, run.going.value!, until)
    if (wanted) await tell({ kind: 'more', cook, ...wanted })
  }
  const moreTime = (timer: Timer, minutes: number) =>
    tell({
      kind: 'more',
      activity: timer.activity,
      phase: timer.phase,
      until: Math.max(now.value, timer.due) + 60 * minutes,
    })
  const later = (cook: string, turn: Turn, seconds: number) =>
    tell({ kind: 'later', cook, activity: turn.line.activity!, until: now.value + seconds })
  async function skip(cook: string, turn: Turn) {
    const skipped = skippedOf(turn, run.going.value!, cook, now.value)
    if (skipped) await tell(skipped)
  }
  const handOver = (cook: string, turn: Turn, to: string) =>
    tell({ kind: 'handed', cook, activity: turn.line.activity!, to, from: now.value })
  /** The next one first: what is in hand waits for as long as that takes. */
  async function first(cook: string, next: Turn) {
    const { now: turn } = handOf(cook)
    if (turn?.line.activity) await later(cook, turn, Math.max(60, next.line.free - next.line.at))
  }
  async function add(cook: string, amount: number) {
    const key = handOf(cook).now?.line.key
    if (key === undefined) return
    const before = ofKind(counted.value, 'added').find((e) => e.key === key && e.amount === amount)
    await tell(
      before ? { kind: 'undone', event: before.id, cook } : { kind: 'added', key, amount, cook },
    )
  }

  const giveUp = (dish: string) => tell({ kind: 'given-up', dish, second: now.value })
  const turn = (turning: Turning) => tell({ kind: 'turned', second: now.value, ...turning })
  const missing = (cook: string, dish: string, item: string, instead: string) =>
    tell({ kind: 'missing', cook, dish, item, instead })

  return { giveUp, turn, missing, added, done, more, moreTime, later, skip, handOver, first, add }
}
