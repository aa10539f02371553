import type { MActivity, Model } from './model'

/** One step that wants heat: on which stations, how much of them, for how long, how hot. */
interface Bake {
  activity: number
  stations: number[]
  amount: number
  seconds: number
  lo: number
  hi: number
  method: number
}

/**
 * When each step would bake if ovens were all there is: what goes at one temperature together,
 * one temperature after another, upwards or downwards, as many at a time as fit. Undefined for
 * steps without heat.
 */
export function bakeTimes(
  model: Model,
  /** What is done at all. */
  taken: Uint8Array,
  /** What goes first within one temperature. */
  urgencyOf: (activity: number) => number,
  /** Less is earlier. */
  rankOf: (celsius: number, method: number) => number,
): (number | undefined)[] {
  const times: (number | undefined)[] = model.activities.map(() => undefined)
  const bakes = model.activities.flatMap((a) => (taken[a.index] ? bakeOf(a) : []))
  // Rooms of all ovens, each with the instant from which it is free.
  const rooms = model.stations.map((s) =>
    s.oven ? Array.from({ length: Math.max(1, Math.floor(s.capacity)) }, () => 0) : [],
  )
  const batches = together(bakes).sort(
    (a, b) => rankOf(a.celsius, a.method) - rankOf(b.celsius, b.method),
  )
  for (const { list } of batches) {
    // A temperature begins when the one before it is over.
    for (const room of rooms) room.fill(Math.max(0, ...room))
    for (const bake of list.sort((a, b) => urgencyOf(a.activity) - urgencyOf(b.activity))) {
      let best: { room: number[]; at: number; size: number } | undefined
      for (const s of bake.stations) {
        const room = rooms[s]!
        const size = Math.min(room.length, Math.ceil(bake.amount))
        if (!size) continue
        room.sort((a, b) => a - b)
        const at = room[size - 1]!
        if (!best || at < best.at) best = { room, at, size }
      }
      if (!best) continue
      best.room.fill(best.at + bake.seconds, 0, best.size)
      times[bake.activity] = best.at
    }
  }
  return times
}

function bakeOf(a: MActivity): Bake[] {
  const mode = a.modes.find((m) => m.heats)
  const heat = mode?.phases.find((p) => p.heat)?.heat
  if (!mode || !heat) return []
  const need = mode.needs[heat.need]!
  return [
    {
      activity: a.index,
      stations: need.stations,
      amount: need.amount,
      seconds: mode.min,
      lo: heat.lo,
      hi: heat.hi,
      method: heat.method,
    },
  ]
}

/** As few temperatures as every bake needs: each the lowest upper end of what is left. */
function together(bakes: Bake[]): { celsius: number; method: number; list: Bake[] }[] {
  const batches: { celsius: number; method: number; list: Bake[] }[] = []
  for (const bake of [...bakes].sort((a, b) => a.hi - b.hi)) {
    const batch = batches.find((b) => b.method === bake.method && b.celsius >= bake.lo)
    if (batch) batch.list.push(bake)
    else batches.push({ celsius: bake.hi, method: bake.method, list: [bake] })
  }
  return batches
}
