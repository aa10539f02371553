import type { CompiledSession } from '../session'
import type { Standing } from './standing'

/** What is in or on a place now. */
export interface Occupied {
  station: string
  activity: string
  dish: string
  /** Seconds from the beginning: since when, and until when it is expected to go on. */
  since: number
  until: number
  /** The phase that is under way, and whether it goes on without hands. */
  phase: number
  alone: boolean
  celsius?: number
}

/** What is in each place of the kitchen now, by what was told and what goes on by itself. */
export function placesNow(
  compiled: CompiledSession,
  { plan, now, net }: Pick<Standing, 'plan' | 'now' | 'net'>,
): Occupied[] {
  const out: Occupied[] = []
  const modes = new Map(net.runs.map((r) => [r.activity.id, r.mode]))
  const isNow = (from: number, to: number) => from <= now && now < to
  for (const run of plan.activities) {
    const card = compiled.cards[run.id]
    if (!card || card.marker || !isNow(run.start, run.end)) continue
    const phase = Math.max(
      0,
      run.phases.findIndex((p) => isNow(p.from, p.to)),
    )
    const { from, to } = run.phases[phase]!
    const spec = modes.get(run.id)!.phases[phase]!
    for (const station of run.stations) {
      const heat = plan.heats.find((h) => h.station === station && isNow(h.from, h.to))
      out.push({
        station,
        activity: run.id,
        dish: card.dish,
        since: from,
        until: to,
        phase,
        alone: !spec.hands,
        ...(heat ? { celsius: heat.celsius } : {}),
      })
    }
  }
  for (const hold of plan.holds) {
    if (!isNow(hold.from, hold.to) || out.some((o) => o.station === hold.station)) continue
    const own = compiled.kept[hold.id]?.activities ?? []
    const runs = plan.activities.filter((a) => own.includes(a.id))
    const last = runs.findLast((a) => a.start <= now) ?? runs[0]
    const card = last && compiled.cards[last.id]
    if (!last || !card) continue
    const next = runs.find((a) => a.start > now)
    out.push({
      station: hold.station,
      activity: last.id,
      dish: card.dish,
      since: last.end <= now ? last.end : last.start,
      until: last.end > now ? last.end : (next?.start ?? hold.to),
      phase: Math.max(
        0,
        last.phases.findIndex((p) => isNow(p.from, p.to)),
      ),
      alone: true,
    })
  }
  return out
}
