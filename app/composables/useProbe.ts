import { leastInside } from '~~/core/guide'
import type { Turn } from '~~/core/logbook'
import type { Where } from '~/devices/thermometer'
import type { useRunning } from './useRunning'

/** Where food was before, what a pot simmers at and what a kitchen has, in degrees Celsius: for the stand-in. */
const COLD = 8
const SIMMER = 98
const ROOM = 20

/** What a probe has to know of the food that a line is about, and how hot it has to be inside. */
export function useProbe({ compiled, standing, now }: ReturnType<typeof useRunning>) {
  const leastFor = ({ line }: Turn): number | undefined => {
    const card = line.activity === undefined ? undefined : compiled.value?.cards[line.activity]
    return leastInside(line.caution ?? card?.atEnd ?? card?.caution)
  }
  /** In its oven or pot since then; out of it, on its way to the warmth of the room. */
  const whereIs = ({ line }: Turn): Where => {
    const run = standing.value?.plan.activities.find((a) => a.id === line.activity)
    if (!run) return { start: SIMMER, surroundings: ROOM, seconds: 0 }
    const work = compiled.value?.cards[run.id]?.work
    if (work === 'cool')
      return { start: SIMMER, surroundings: ROOM, seconds: Math.max(0, now.value - run.start) }
    const heat = standing.value!.plan.heats.find(
      (h) => run.stations.includes(h.station) && h.from < run.end && run.start < h.to,
    )
    return {
      start: COLD,
      surroundings: heat?.celsius ?? SIMMER,
      seconds: Math.max(0, now.value - run.start),
    }
  }
  return { leastFor, whereIs }
}
