import type { Kitchen } from '../../kitchen'
import type { Recipe } from '../../recipe'
import { solve } from '../../solver'
import { compileSession } from '../compile'
import type { Session } from '../schema'
import { assign, slotsOf, TOO_OLD, weighed } from './assign'
import { withParted } from './edit'
import { cookingsOf } from './sittings'

/** How long the sittings take by plans of the engine, in seconds, by the sitting's id. */
export type SittingLengths = ReadonlyMap<string, number>

export interface PartedByEngine {
  session: Session
  before: SittingLengths
  after: SittingLengths
  /** Ways to part a dish that were tried, each with plans of its own. */
  tried: number
  /** One of them is better than what there was. */
  better: boolean
}

/** For each sitting that is tried, enough to tell them apart, not to polish them: decodes, or seconds. */
const ITERATIONS = 90
const SECONDS = 0.8
/** What is gained has to be more than chance between two short searches, in seconds. */
const WORTH = 120
/** Times that every dish is looked at. */
const ROUNDS = 2

/**
 * Parts the dishes of a session between its sittings by what the engine makes of each: one dish after
 * another is parted otherwise wherever the plans of all sittings together gain by it. What the cook has
 * fixed stays, and so does what nothing gains by. `onTry` hears how many of how many were tried and may
 * answer false to stop; the best so far comes back. With a clock each sitting is planned for a while, without
 * one by so many decodes, which comes out the same on any machine.
 */
export async function partByEngine(
  held: { session: Session; kitchen: Kitchen; recipes: readonly Recipe[] },
  onTry: (done: number, of: number) => Promise<boolean> | boolean = () => true,
  clock?: () => number,
): Promise<PartedByEngine> {
  const { kitchen, recipes } = held
  const known = new Map<string, number>()
  const measure = (session: Session): SittingLengths | undefined => {
    const out = new Map<string, number>()
    for (const s of cookingsOf({ session, kitchen, recipes }).sittings) {
      const compiled = compileSession({ ...s, kitchen })
      if (!compiled.ok) return undefined
      const key = JSON.stringify(compiled.value.problem)
      const length = known.get(key) ?? lengthOf(compiled.value.problem, clock)
      // A sitting without a plan is no way to part them.
      if (length === Infinity) return undefined
      known.set(key, length)
      out.set(s.id, length)
    }
    return out
  }
  const slots = new Map(slotsOf(held.session, kitchen).map((s) => [s.id, s]))
  const costOf = (lengths: SittingLengths) =>
    60 * [...lengths].reduce((sum, [id, s]) => sum + weighed(slots.get(id)!, s / 60), 0)

  let best = withParted(held.session, kitchen, recipes)
  const before = measure(best)
  if (!before)
    return { session: best, before: new Map(), after: new Map(), tried: 0, better: false }
  let lengths = before
  let cost = costOf(before)
  let tried = 0
  const done = (): PartedByEngine => ({
    session: best,
    before,
    after: lengths,
    tried,
    better: lengths !== before,
  })
  for (let round = 0; round < ROUNDS; round++) {
    const { parted, chosen, slots: inTime } = assign(best, kitchen, recipes)
    const sum = (list: readonly number[]) => list.reduce((n, x) => n + x, 0)
    const turns = parted
      .map((p, d) => ({ p, d, hands: sum(p.candidates[chosen[d]!]!.hands) }))
      .sort((a, b) => b.hands - a.hands)
      .flatMap(({ p, d }) =>
        p.candidates.flatMap((c, k) => (k === chosen[d] ? [] : [{ p, c, penalty: p.own[k]! }])),
      )
    let gained = false
    for (const [i, { p, c, penalty }] of turns.entries()) {
      // What is too old or too late is no way to part it.
      if (penalty >= TOO_OLD) continue
      if (!(await onTry(round * turns.length + i, ROUNDS * turns.length))) return done()
      const own = Object.fromEntries([...c.placed].map(([step, at]) => [step, inTime[at]!.id]))
      const next = { ...best, parted: { ...best.parted, [p.recipe.id]: own } }
      const found = measure(next)
      tried++
      if (!found || costOf(found) > cost - WORTH) continue
      best = next
      lengths = found
      cost = costOf(found)
      gained = true
    }
    if (!gained) break
  }
  return done()
}

function lengthOf(problem: Parameters<typeof solve>[0], clock: (() => number) | undefined): number {
  const plan = solve(problem, clock ? { clock, seconds: SECONDS } : { iterations: ITERATIONS })
  return plan.activities.length ? plan.makespan : Infinity
}
