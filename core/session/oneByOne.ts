import type { Problem } from '../problem'
import { solve } from '../solver'

/**
 * Seconds the session would take with one dish after another: each dish planned by itself with
 * the same engine, kitchen and cooks, and the lengths summed. Undefined where some dish alone
 * got no plan. `iterations` is spent on each dish.
 */
export function oneByOne(problem: Problem, iterations = 60): number | undefined {
  const dishes = [...new Set(problem.activities.map((a) => a.dish))]
  let total = 0
  for (const dish of dishes) {
    const plan = solve(onlyDish(problem, dish), { iterations })
    if (!plan.activities.length && plan.status !== 'optimal') return undefined
    total += plan.makespan
  }
  return total
}

function onlyDish(problem: Problem, dish: string | undefined): Problem {
  const own = new Set(problem.activities.filter((a) => a.dish === dish).map((a) => a.id))
  return {
    ...problem,
    activities: problem.activities.filter((a) => own.has(a.id)),
    choices: problem.choices.filter((c) =>
      c.options.some((o) => o.activities.some((a) => own.has(a))),
    ),
    relations: problem.relations.filter((r) => own.has(r.from) && own.has(r.to)),
    holds: problem.holds.filter((h) => own.has(h.from) && (h.to === null || own.has(h.to))),
    pins: [],
    deadline: undefined,
  }
}
