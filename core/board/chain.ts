import type { ActivityRun, Plan } from '../plan'
import type { Problem } from '../problem'

/** A link of the chain that decides the finishing time, and why it could not be earlier. */
export interface ChainLink {
  activity: string
  from: number
  to: number
  /** What it waited for: its own recipe, a cook's hands, a place, or nothing (it began the day). */
  waitedFor: 'step' | 'hands' | 'place' | 'oven' | 'nothing'
  /** Id of the cook or station, where it waited for one. */
  by?: string
}

/** Longest stretch without cause that still counts as waiting for the oven to change heat. */
const RAMP = 3600

/**
 * From the last thing to finish back to the start: each link begins when the one before it
 * lets it, through a wait of the recipe, the same hands, or the same place.
 */
export function decidingChain(problem: Problem, plan: Plan): ChainLink[] {
  const aside = new Set(problem.activities.filter((a) => a.aside).map((a) => a.id))
  const runs = plan.activities.filter((r) => !aside.has(r.id))
  let run = runs.reduce<ActivityRun | undefined>((l, r) => (!l || r.end > l.end ? r : l), undefined)
  const chain: ChainLink[] = []
  const seen = new Set<string>()
  while (run && !seen.has(run.id)) {
    seen.add(run.id)
    const before = causeOf(run, problem, plan)
    chain.unshift({
      activity: run.id,
      from: run.start,
      to: run.end,
      waitedFor: before?.waitedFor ?? 'nothing',
      ...(before?.by === undefined ? {} : { by: before.by }),
    })
    run = before?.run
  }
  return chain
}

interface Cause {
  run: ActivityRun
  waitedFor: ChainLink['waitedFor']
  by?: string
}

function causeOf(run: ActivityRun, problem: Problem, plan: Plan): Cause | undefined {
  if (run.start === 0) return undefined
  const byId = new Map(plan.activities.map((r) => [r.id, r]))
  for (const r of problem.relations) {
    if (r.to !== run.id) continue
    const from = byId.get(r.from)
    if (!from || from.id === run.id) continue
    const first = r.kind[0] === 'F' ? from.end : from.start
    const second = r.kind[1] === 'F' ? run.end : run.start
    if (second - first === r.min && from.start < run.start) return { run: from, waitedFor: 'step' }
  }
  return handsCause(run, plan) ?? placeCause(run, plan) ?? ovenCause(run, plan)
}

/** The activity that a cook's hands came from, washing and hand washing in between allowed. */
function handsCause(run: ActivityRun, plan: Plan): Cause | undefined {
  const own = run.phases.find((p) => p.cook !== undefined)
  if (!own) return undefined
  let best: Cause | undefined
  let latest = -1
  for (const other of plan.activities)
    for (const phase of other.phases)
      if (
        other.id !== run.id &&
        phase.cook === own.cook &&
        phase.to <= own.from &&
        phase.to > latest
      ) {
        latest = phase.to
        best = { run: other, waitedFor: 'hands', by: own.cook! }
      }
  return best && own.from - latest <= 300 && best.run.start < run.start ? best : undefined
}

function placeCause(run: ActivityRun, plan: Plan): Cause | undefined {
  let best: Cause | undefined
  for (const other of plan.activities) {
    const shared = other.stations.find((s) => run.stations.includes(s))
    if (shared === undefined || other.id === run.id || other.end > run.start) continue
    if (run.start - other.end > 300 || other.start >= run.start) continue
    if (!best || other.end > best.run.end) best = { run: other, waitedFor: 'place', by: shared }
  }
  return best
}

function ovenCause(run: ActivityRun, plan: Plan): Cause | undefined {
  const heats = new Set(plan.heats.map((h) => h.station))
  const oven = run.stations.find((s) => heats.has(s))
  if (oven === undefined) return undefined
  let best: Cause | undefined
  for (const other of plan.activities)
    if (other.stations.includes(oven) && other.end <= run.start && run.start - other.end <= RAMP)
      if (!best || other.end > best.run.end) best = { run: other, waitedFor: 'oven', by: oven }
  return best
}
