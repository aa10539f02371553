import { kindWord, type Kitchen, type Person } from '../kitchen'
import type { Plan } from '../plan'
import { lowerFirst, type Recipe } from '../recipe'
import { withoutDish, type CompiledSession } from '../session'
import { moreCooks } from './moreCooks'
import { tried, type Asked, type Effort } from './trial'

/** Something that might have everybody finished sooner. */
export interface Change {
  id: string
  /** As one would propose it: `One more oven`. */
  words: string
  asked: Asked
  /** It can be taken at once, for this session; the rest would have to be got first. */
  takes?: { kind: 'without'; dish: string } | { kind: 'done'; dish: string; step: string }
}

/** What a change gains, by a plan of what would be then. */
export interface Gain {
  change: Change
  /** When everything would be finished, in seconds from the beginning. */
  makespan: number
  /** Seconds sooner than now. */
  gained: number
}

/** Cutting that is worth buying or doing the day before, in seconds. */
const WORTH_DOING_BEFORE = 240

/** Everything that might help in this kitchen with this plan; what nobody waits for is not among it. */
export function changesFor(asked: Asked, compiled: CompiledSession, plan: Plan): Change[] {
  return [
    ...morePlaces(asked, compiled, plan),
    ...moreHands(asked),
    ...lessToDo(asked, compiled),
    ...workBefore(asked, compiled, plan),
  ]
}

/** One more of each kind of which all are in use at some moment. */
function morePlaces(asked: Asked, { problem }: CompiledSession, plan: Plan): Change[] {
  const { kitchen } = asked
  const used = new Map<string, [number, number][]>()
  const add = (station: string, from: number, to: number) =>
    used.set(station, [...(used.get(station) ?? []), [from, to]])
  for (const run of plan.activities) for (const s of run.stations) add(s, run.start, run.end)
  for (const hold of plan.holds) add(hold.station, hold.from, hold.to)
  const kinds = [...new Set(problem.stations.map((s) => s.kind))]
  return kinds.flatMap((kind): Change[] => {
    const all = kitchen.stations.filter((s) => s.kind === kind && !s.outOfUse)
    const spans = all.map((s) => used.get(s.id) ?? [])
    const moments = spans.flat().map(([from]) => from)
    const busy = moments.some((t) => spans.every((own) => own.some(([a, b]) => a <= t && t < b)))
    if (!busy) return []
    const largest = all.reduce((a, b) => ((b.size ?? 0) > (a.size ?? 0) ? b : a))
    const ids = new Set(kitchen.stations.map((s) => s.id))
    let id = `one-more-${largest.id}`
    while (ids.has(id)) id += '-'
    const stations = [...kitchen.stations, { ...largest, id, name: `One more ${kindWord(kind)}` }]
    const words = `One more ${kindWord(kind)}`
    return [{ id: `more ${kind}`, words, asked: { ...asked, kitchen: { ...kitchen, stations } } }]
  })
}

/** Who is in the kitchen and does not cook; and somebody for an hour who cuts and stirs nothing hot. */
function moreHands(asked: Asked): Change[] {
  const { session, kitchen } = asked
  const others = moreCooks(asked).map(({ id, words, cooks }) => ({
    id,
    words,
    asked: { ...asked, session: { ...session, cooks } },
  }))
  const begins = session.start.slice(11)
  const ends = `${String(Math.min(23, Number(begins.slice(0, 2)) + 1)).padStart(2, '0')}${begins.slice(2)}`
  let id = 'helper'
  while (kitchen.people.some((p) => p.id === id)) id += '-more'
  const helper: Person = {
    id,
    name: 'A helper',
    practice: 'helper',
    skills: ['knife', 'simple'],
    from: begins,
    until: ends,
  }
  const withHelper: Kitchen = { ...kitchen, people: [...kitchen.people, helper] }
  return [
    ...others,
    ...(begins < ends
      ? [
          {
            id: 'helper',
            words: 'A helper for the first hour, who cuts and washes up',
            asked: {
              ...asked,
              kitchen: withHelper,
              session: { ...session, cooks: [...session.cooks, id] },
            },
          },
        ]
      : []),
  ]
}

/** The session without one of its dishes. */
function lessToDo(asked: Asked, compiled: CompiledSession): Change[] {
  const { session } = asked
  if (session.dishes.length < 2) return []
  return session.dishes
    .filter((d) => !d.must && compiled.dishes.some((c) => c.id === d.recipe && !c.base))
    .map((d) => ({
      id: `without ${d.recipe}`,
      words: `Without ${compiled.dishes.find((c) => c.id === d.recipe)!.name}`,
      asked: { ...asked, session: withoutDish(session, d.recipe) },
      takes: { kind: 'without', dish: d.recipe },
    }))
}

/** What is cut first thing, longest first, bought ready cut or done the day before. */
function workBefore({ session, kitchen, recipes }: Asked, compiled: CompiledSession, plan: Plan) {
  const took = new Map<string, number>()
  for (const run of plan.activities) {
    const card = compiled.cards[run.id]
    if (!card) continue
    const key = `${card.dish} ${card.step}`
    took.set(key, (took.get(key) ?? 0) + run.end - run.start)
  }
  return session.dishes.flatMap((d): Change[] => {
    const recipe = recipes.find((r: Recipe) => r.id === d.recipe)
    const step = recipe?.steps
      .filter((s) => !s.after?.length && s.work === 'cut' && !d.done?.includes(s.id))
      .map((s) => ({ s, seconds: took.get(`${d.recipe} ${s.id}`) ?? 0 }))
      .sort((a, b) => b.seconds - a.seconds)[0]
    if (!recipe || !step || step.seconds < WORTH_DOING_BEFORE) return []
    const dishes = session.dishes.map((o) =>
      o === d ? { ...o, done: [...(o.done ?? []), step.s.id] } : o,
    )
    return [
      {
        id: `done ${d.recipe} ${step.s.id}`,
        words: `Bought ready, or done the day before: ${lowerFirst(step.s.do.replace(/\.$/, ''))} (${recipe.name})`,
        asked: { session: { ...session, dishes }, kitchen, recipes },
        takes: { kind: 'done', dish: d.recipe, step: step.s.id },
      },
    ]
  })
}

/** What must be gained to be worth a word, in seconds: an estimate of ours. */
const WORTH = 30

/**
 * What each change would gain, most first; what gains nothing is left out. Every figure is the length of a
 * plan of what would be then, searched for as long as the others: more may be possible. `onTry` hears how
 * many of how many were tried, with what was found by then, and may answer false to stop.
 */
export async function gainsOf(
  changes: readonly Change[],
  plan: Plan,
  effort: Effort,
  onTry: (done: number, of: number, found: Gain[]) => Promise<boolean> | boolean = () => true,
): Promise<Gain[]> {
  const out: Gain[] = []
  const ranked = () => out.toSorted((a, b) => b.gained - a.gained)
  for (const [i, change] of changes.entries()) {
    if (!(await onTry(i, changes.length, ranked()))) break
    const trial = tried(change.asked, plan, effort)
    if (!trial.possible) continue
    const { makespan } = trial.plan
    const gained = plan.makespan - makespan
    if (gained >= WORTH) out.push({ change, makespan, gained })
  }
  return ranked()
}
