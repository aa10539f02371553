import { handsSpread, type Plan } from '../plan'
import type { CompiledSession } from '../session'

/** One stretch of a cook's hands: a phase of an activity, or washing something up. */
export interface Handwork {
  /** The same in every plan that holds it: `activity#phase`, or `wash station from`. */
  key: string
  cook: string
  from: number
  to: number
  activity?: string
  dish?: string
  text: string
  /** Ids of the stations it happens at. */
  where: string[]
}

/** All hands work of a plan, by time. Putting on and taking off say so. */
export function handworkOf(plan: Plan, compiled: CompiledSession): Handwork[] {
  const activities = new Map(compiled.problem.activities.map((a) => [a.id, a]))
  const out: Handwork[] = []
  for (const run of plan.activities) {
    const activity = activities.get(run.id)
    const mode = activity?.modes.find((m) => m.id === run.mode)
    const card = compiled.cards[run.id]
    if (!mode || !card || card.marker) continue
    const last = run.phases.length - 1
    run.phases.forEach((phase, k) => {
      if (!mode.phases[k]?.hands || phase.cook === undefined || phase.to === phase.from) return
      const way = card.ways[run.mode]
      const text = way === undefined ? card.text : `${card.text}, ${way}`
      out.push({
        key: `${run.id}#${k}`,
        cook: phase.cook,
        from: phase.from,
        to: phase.to,
        activity: run.id,
        ...(card.dish ? { dish: card.dish } : {}),
        text:
          last === 0 ? text : k === 0 ? `Start: ${text}` : k === last ? `Finish: ${text}` : text,
        where: run.stations,
      })
    })
  }
  for (const chore of plan.chores)
    out.push({
      key: `wash ${chore.station} ${chore.from}`,
      cook: chore.cook,
      from: chore.from,
      to: chore.to,
      text: 'Wash up',
      where: [chore.station],
    })
  return out.sort((a, b) => a.from - b.from || a.to - b.to)
}

/** Seconds that cooks wait, each between the first and the last work, summed over all of them. */
export function waitingTime(work: readonly Handwork[]): number {
  return handsSpread(work, ({ from, to }) => to - from)
}
