import type { Plan } from '../plan'
import type { CompiledSession } from '../session'
import { handworkOf, type Handwork } from './hands'

/** A line of the cook's list, with what runs by itself meanwhile. */
export interface ListLine extends Handwork {
  uses: string[]
  caution?: string
  meanwhile: { activity: string; dish: string; text: string; until: number }[]
}

/**
 * What the cooks do, by time, and beside each line the unattended things that are on when it
 * begins. Amounts, for all turns of a step together, stand where it is first touched.
 */
export function runningList(plan: Plan, compiled: CompiledSession): ListLine[] {
  const alone = unattended(plan, compiled)
  const touched = new Set<string>()
  return handworkOf(plan, compiled).map((work) => {
    const card = work.activity === undefined ? undefined : compiled.cards[work.activity]
    const step = card === undefined ? '' : `${card.dish} ${card.step}`
    const first = card !== undefined && !touched.has(step)
    touched.add(step)
    return {
      ...work,
      uses: first ? card.uses : [],
      ...(first && card.caution !== undefined ? { caution: card.caution } : {}),
      meanwhile: alone
        .filter((a) => a.from <= work.from && work.from < a.until && a.activity !== work.activity)
        .map(({ activity, dish, text, until }) => ({ activity, dish, text, until })),
    }
  })
}

/** Everything that goes on without hands, and from when to when. */
export function unattended(plan: Plan, compiled: CompiledSession) {
  const activities = new Map(compiled.problem.activities.map((a) => [a.id, a]))
  return plan.activities.flatMap((run) => {
    const mode = activities.get(run.id)?.modes.find((m) => m.id === run.mode)
    const card = compiled.cards[run.id]
    if (!mode || !card) return []
    return run.phases.flatMap((phase, k) =>
      mode.phases[k]?.hands || phase.to === phase.from
        ? []
        : [
            {
              activity: run.id,
              dish: card.dish,
              text: card.text,
              from: phase.from,
              until: phase.to,
              stations: run.stations,
            },
          ],
    )
  })
}
