import { placesOf } from '../guide'
import type { Kitchen, Zone } from '../kitchen'
import type { CompiledSession } from '../session'
import type { ActivityRun, Plan } from '../plan'

/** A place of the kitchen as a strand of the weave; one that holds several has lanes. */
export interface Strand {
  id: string
  name: string
  zone: Zone | 'standing'
  lanes: number
}

/** One activity where it stands: the stretch of its thread on a strand. */
export interface Stretch {
  activity: string
  strand: string
  lane: number
  from: number
  to: number
}

const ORDER: (Zone | 'standing')[] = ['bench', 'hob', 'oven', 'appliance', 'standing']
/** Which of an activity's places shows where it is: the warmer one. Vessels go along unseen. */
const TELLING: Zone[] = ['oven', 'appliance', 'hob', 'bench']

/**
 * Strands that the plan uses, in the order of the kitchen, and the stretch of every activity
 * on one of them. What waits without any place is `standing`.
 */
export function strandsOf(
  plan: Plan,
  compiled: CompiledSession,
  kitchen: Kitchen,
): { strands: Strand[]; stretches: Stretch[] } {
  const stations = new Map(kitchen.stations.map((s) => [s.id, s]))
  const places = placesOf(plan, compiled)
  // A vessel that closes is nothing that happens, and somebody who sits down is at no place.
  const runs = plan.activities.filter((r) => {
    const card = compiled.cards[r.id]
    return !card?.marker && card?.dish !== ''
  })
  const placeOf = (run: ActivityRun): string => {
    for (const zone of TELLING) {
      const id = places.get(run.id)!.find((s) => stations.get(s)?.zone === zone)
      if (id !== undefined) return id
    }
    return 'standing'
  }
  const byStrand = new Map<string, ActivityRun[]>()
  for (const run of runs) byStrand.set(placeOf(run), [...(byStrand.get(placeOf(run)) ?? []), run])

  const stretches: Stretch[] = []
  const strands: Strand[] = []
  for (const [strand, runs] of byStrand) {
    const free: number[] = []
    for (const run of [...runs].sort((a, b) => a.start - b.start || a.end - b.end)) {
      let lane = free.findIndex((end) => end <= run.start)
      if (lane < 0) lane = free.length
      free[lane] = run.end
      stretches.push({ activity: run.id, strand, lane, from: run.start, to: run.end })
    }
    const station = stations.get(strand)
    strands.push({
      id: strand,
      name: station?.name ?? 'Standing',
      zone: station?.zone ?? 'standing',
      lanes: free.length,
    })
  }
  const place = (s: Strand) => kitchen.stations.findIndex((k) => k.id === s.id)
  strands.sort((a, b) => ORDER.indexOf(a.zone) - ORDER.indexOf(b.zone) || place(a) - place(b))
  return { strands, stretches }
}
