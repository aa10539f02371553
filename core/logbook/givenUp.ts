import type { Plan } from '../plan'
import type { Problem } from '../problem'
import { counting, ofKind } from './events'
import type { Running } from './standing'

/** The dishes that take from each base. */
export function takersOf({ problem, links }: Pick<Running, 'problem' | 'links'>) {
  const dishOf = new Map(problem.activities.map((a) => [a.id, a.dish]))
  const takers = new Map<string, Set<string>>()
  for (const { from, to } of links) {
    const [base, dish] = [dishOf.get(from), dishOf.get(to)]
    if (!base || !dish || base === dish) continue
    takers.set(base, (takers.get(base) ?? new Set()).add(dish))
  }
  return takers
}

/**
 * The dishes that were given up, with the second from which on nothing is done for them; what was only
 * made for such dishes is given up with the last of them.
 */
export function givenUp(run: Pick<Running, 'problem' | 'links' | 'events'>): Map<string, number> {
  const out = new Map(ofKind(counting(run.events), 'given-up').map((e) => [e.dish, e.second]))
  if (!out.size) return out
  const takers = takersOf(run)
  // A base may take from another one: as often as there are any.
  for (let more = true; more;) {
    more = false
    for (const [base, dishes] of takers) {
      if (out.has(base) || ![...dishes].every((d) => out.has(d))) continue
      out.set(base, Math.max(...[...dishes].map((d) => out.get(d)!)))
      more = true
    }
  }
  return out
}

interface Kept {
  of: Problem
  key: string
  problem: Problem
  plan: Plan
}
const known = new WeakMap<Plan, Kept>()

/**
 * Problem and plan without what is not begun any more: the steps of dishes that were given up, but for
 * those that somebody has told to have begun.
 */
export function remaining(running: Running): { problem: Problem; plan: Plan } {
  const { problem, plan, events } = running
  const dishes = givenUp(running)
  if (!dishes.size) return { problem, plan }
  const begun = new Set(ofKind(counting(events), 'done').flatMap((e) => e.activity ?? []))
  const gone = new Set(
    problem.activities
      .filter((a) => a.dish !== undefined && dishes.has(a.dish) && !begun.has(a.id))
      .map((a) => a.id),
  )
  const key = [...gone].join(' ')
  const made = known.get(plan)
  if (made?.key === key && made.of === problem) return made
  const kept = { of: problem, key, ...without(problem, plan, gone) }
  known.set(plan, kept)
  return kept
}

function without(
  problem: Problem,
  plan: Plan,
  gone: ReadonlySet<string>,
): { problem: Problem; plan: Plan } {
  const stays = (id: string) => !gone.has(id)
  const ends = new Map(plan.activities.map((a) => [a.id, a.end]))
  /** What was the last to be done in a place that is kept for a dish which is not finished. */
  const lastIn = ({ from, to }: { from: string; to: string | null }) => {
    if (to === null || stays(to)) return to
    const dish = problem.activities.find((a) => a.id === from)?.dish
    const own = problem.activities.filter((a) => a.dish === dish && stays(a.id) && ends.has(a.id))
    return own.reduce((last, a) => (ends.get(a.id)! > ends.get(last)! ? a.id : last), from)
  }
  const holds = problem.holds.filter((h) => stays(h.from)).map((h) => ({ ...h, to: lastIn(h) }))
  const choices = problem.choices.flatMap((choice) => {
    const options = choice.options.map((o) => ({ ...o, activities: o.activities.filter(stays) }))
    return options.some((o) => o.activities.length) ? [{ ...choice, options }] : []
  })
  const chosen = new Set(choices.map((c) => c.id))
  const endOf = new Map(holds.map((h) => [h.id, h.to]))
  return {
    problem: {
      ...problem,
      activities: problem.activities.filter((a) => stays(a.id)),
      relations: problem.relations.filter((r) => stays(r.from) && stays(r.to)),
      holds,
      choices,
      ...(problem.pins ? { pins: problem.pins.filter((p) => stays(p.activity)) } : {}),
    },
    plan: {
      ...plan,
      activities: plan.activities.filter((a) => stays(a.id)),
      choices: Object.fromEntries(Object.entries(plan.choices).filter(([id]) => chosen.has(id))),
      holds: plan.holds.flatMap((hold) => {
        if (!endOf.has(hold.id)) return []
        const to = endOf.get(hold.id)
        return [{ ...hold, to: to == null ? hold.to : (ends.get(to) ?? hold.to) }]
      }),
    },
  }
}
