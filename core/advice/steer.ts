import type { Plan } from '../plan'
import { objectiveValue } from '../plan'
import { sameWish, type Wish } from '../session'
import { tried, type Asked, type Effort } from './trial'

/** What granting a wish comes to. */
export interface Cost {
  /** Seconds later finished than now; below 0 sooner. */
  later: number
  /** Changes of dish more than now. */
  switches: number
  /** Steps that are done by somebody else, elsewhere, in another way, or more than a few minutes off. */
  moved: number
  plan: Plan
}

/** A wish or a need of the session that stands in another's way, with what there is without it. */
export interface Clash {
  wish: Wish
  /** When all would be finished without it. */
  makespan: number
}

export type Granted =
  { possible: true; cost: Cost } | { possible: false; proven: boolean; instead: Clash[] }

/** The session with one wish more, once. */
export const withWish = <S extends { wishes?: Wish[] | undefined }>(session: S, wish: Wish): S => ({
  ...session,
  wishes: [...(session.wishes ?? []).filter((w) => !sameWish(w, wish)), wish],
})

/** The session without a wish. */
export function withoutWish<S extends { wishes?: Wish[] | undefined }>(session: S, wish: Wish): S {
  const { wishes, ...rest } = session
  const left = (wishes ?? []).filter((w) => !sameWish(w, wish))
  return { ...rest, ...(left.length ? { wishes: left } : {}) } as S
}

/**
 * What a wish would cost, by a plan that keeps it and every wish before; where there is none, which of the
 * earlier wishes, taken back by itself, would make room for it.
 *
 * @param plan the plan that there is, without the wish
 */
export function costOf(asked: Asked, plan: Plan, wish: Wish, effort: Effort = {}): Granted {
  const session = withWish(asked.session, wish)
  const trial = tried({ ...asked, session }, plan, effort)
  if (trial.possible) {
    const { problem } = trial.compiled
    const switches = (p: Plan) => objectiveValue(problem, p, 'switches')
    return {
      possible: true,
      cost: {
        later: trial.plan.makespan - plan.makespan,
        switches: switches(trial.plan) - switches(plan),
        moved: movedIn(plan, trial.plan),
        plan: trial.plan,
      },
    }
  }
  return {
    possible: false,
    proven: trial.proven,
    instead: roomFor({ ...asked, session }, wish, effort),
  }
}

/** Which wishes, each taken back by itself, leave something that can be planned; the soonest finished first. */
export function roomFor(asked: Asked, kept: Wish | undefined, effort: Effort = {}): Clash[] {
  return (asked.session.wishes ?? [])
    .filter((w) => !kept || !sameWish(w, kept))
    .flatMap((wish): Clash[] => {
      const trial = tried(
        { ...asked, session: withoutWish(asked.session, wish) },
        undefined,
        effort,
      )
      return trial.possible ? [{ wish, makespan: trial.plan.makespan }] : []
    })
    .sort((a, b) => a.makespan - b.makespan)
}

/** By how many seconds a step may be off before anybody has to think again: an estimate of ours. */
const NOTICED = 600

/** Steps of both plans that are otherwise in the second, in more than a few minutes. */
export function movedIn(before: Plan, now: Plan): number {
  const known = new Map(before.activities.map((r) => [r.id, r]))
  return now.activities.filter((r) => {
    const was = known.get(r.id)
    return (
      was !== undefined &&
      (Math.abs(was.start - r.start) > NOTICED ||
        was.mode !== r.mode ||
        was.stations.join() !== r.stations.join() ||
        was.phases.some((p, k) => p.cook !== r.phases[k]?.cook))
    )
  }).length
}
