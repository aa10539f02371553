import type { MActivity, Model, MStation } from '../model/model'
import type { TimeLag } from '../model/temporalNetwork'
import type { HeadsAndTails } from '../model/headsAndTails'
import { PARAMS } from '../params'

/** One step that wants heat. It begins where a shared while before its first heat does. */
export interface Bake {
  activity: number
  /** How many rooms of an oven it takes, and for how long. */
  rooms: number
  seconds: number
  /** Seconds from its activity's start to its own, and how long its first heat lasts. */
  shift: number
  heat: number
  lo: number
  hi: number
  method: number
  /** Earliest start by all lags; from its start to the end of everything, at least. */
  head: number
  tail: number
  /** Where it may stand. */
  stations: number[]
  /** Longest path from each start and end to the start of its activity. */
  before: Float64Array
}

/** What stands in one oven, while bakes are put into it one after another. */
interface Oven {
  /** When each room is free, in order. */
  rooms: Float64Array
  /** From heat to heat of two bakes that do not go together, and before the first; else NONE. */
  apart: Float64Array
  ready: Float64Array
  /** Seconds for a degree, and what it stands at from when on. */
  readonly heat: NonNullable<MStation['oven']>
}

/** The heat that an oven is at: which temperatures it can be, since when, and until when at least. */
interface Heat {
  lo: number
  hi: number
  method: number
  from: number
  to: number
}

const NONE = -1
const { PARTS, MANY } = PARAMS.ovenSequencing
const CLOSE = 1e-6
const whole = (x: number) => Math.abs(x - Math.round(x)) < CLOSE

/**
 * A session as if ovens were all there is: bakes one after another by their first heat, each as early
 * as lags, room and temperatures of any two allow. Where ovens hold a session up, the order of its bakes
 * decides nearly everything. Put at `earliest` in the order of a plan, in its ovens, no bake begins later
 * than there.
 */
export class OvenSequencing {
  readonly bakes: Bake[]
  /** When the activity of each bake begins in the latest sequence. */
  readonly times: Float64Array
  /** The bakes and ovens that are put, in order, and the ends of the bakes. */
  private readonly put: Int32Array
  private readonly into: Int32Array
  private readonly ends: Float64Array
  private count = 0
  /** Rooms as they were before each was put. */
  private readonly saved: Float64Array[]
  private readonly ovens: (Oven | undefined)[]
  private readonly heats: Heat[]
  /** From the start of a bake until its first heat. */
  private readonly lead: number

  constructor(
    model: Model,
    isBaked: (activity: MActivity) => boolean,
    private readonly when: HeadsAndTails,
  ) {
    const found = model.activities.flatMap((a) => {
      const mode = isBaked(a) ? a.modes.find((m) => m.heats) : undefined
      if (!mode) return []
      const k = mode.phases.findIndex((p) => p.heat)
      const heat = mode.phases[k]!.heat!
      const stations = mode.needs[heat.need]!.stations.filter((s) => model.stations[s]!.oven)
      if (!stations.length) return []
      const lead = mode.phases.slice(0, k).reduce((sum, p) => sum + p.min, 0)
      return [{ a, mode, phase: mode.phases[k]!, heat, lead, stations }]
    })
    this.lead = found.reduce((least, { lead }) => Math.min(least, lead), Infinity)
    const amounts = found.flatMap(({ mode, heat, stations }) => [
      mode.needs[heat.need]!.amount,
      ...stations.map((s) => model.stations[s]!.capacity),
    ])
    const parts = PARTS.find((f) => amounts.every((x) => whole(x * f))) ?? PARTS.at(-1)!
    this.bakes = found.map(({ a, mode, phase, heat, lead, stations }): Bake => {
      const shift = lead - this.lead
      const seconds = mode.min - shift
      return {
        activity: a.index,
        // What may be over as it begins fits beside anything.
        rooms: mode.min > 0 ? Math.floor(mode.needs[heat.need]!.amount * parts + CLOSE) : 0,
        seconds,
        shift,
        heat: phase.min,
        lo: heat.lo,
        hi: heat.hi,
        method: heat.method,
        head: when.starts[a.index]! + shift,
        tail: seconds + when.afterOf[a.index]!,
        stations,
        before: pathsTo(2 * a.index, when.into),
      }
    })
    const n = this.bakes.length
    this.times = new Float64Array(n)
    this.put = new Int32Array(n)
    this.into = new Int32Array(n)
    this.ends = new Float64Array(n)
    this.ovens = model.stations.map(
      (s) => s.oven && this.ovenOf(s.oven, s.capacity * parts),
    ) as Oven[]
    this.heats = model.stations.map(() => ({ lo: 0, hi: 0, method: NONE, from: 0, to: 0 }))
    const most = this.ovens.reduce((size, o) => Math.max(size, o?.rooms.length ?? 0), 0)
    this.saved = this.bakes.map(() => new Float64Array(most))
  }

  private ovenOf(oven: NonNullable<MStation['oven']>, size: number): Oven {
    const { bakes } = this
    const n = bakes.length
    const apart = new Float64Array(n * n).fill(NONE)
    bakes.forEach((a, i) =>
      bakes.forEach((b, j) => {
        if (a.method === b.method && a.lo <= b.hi && b.lo <= a.hi) return
        apart[i * n + j] = changeTo(b, a, oven)
      }),
    )
    return {
      // In one with so many nothing ever waits for room.
      rooms: new Float64Array(size > MANY ? 0 : Math.floor(size + CLOSE)),
      heat: oven,
      apart,
      ready: Float64Array.from(
        bakes,
        (b) => oven.from + changeTo(b, { lo: oven.start, hi: oven.start }, oven) - this.lead,
      ),
    }
  }

  clear(): void {
    this.count = 0
    for (const oven of this.ovens) oven?.rooms.fill(0)
  }

  /** The earliest start of a bake in an oven after all that is put; infinite where there is no such oven. */
  earliest(b: number, station: number): number {
    const { bakes, count, ends, into, put } = this
    const bake = bakes[b]!
    const oven = this.ovens[station]
    if (!oven) return Infinity
    const size = Math.min(oven.rooms.length, bake.rooms)
    let at = Math.max(bake.head, oven.ready[b]!, size > 0 ? oven.rooms[size - 1]! : 0)
    for (let k = 0; k < count; k++) {
      const i = put[k]!
      const other = bakes[i]!
      const path = bake.before[2 * other.activity + 1]! + bake.shift
      if (ends[i]! + path > at) at = ends[i]! + path
      if (into[k] !== station) continue
      const gap = oven.apart[i * bakes.length + b]!
      if (gap === NONE) continue
      // From the end of its heat to the heat of this one.
      const then = ends[i]! - other.seconds + other.heat + gap
      if (then > at) at = then
    }
    return at
  }

  /** Puts a bake into an oven at an instant. */
  place(b: number, station: number, at: number): void {
    const bake = this.bakes[b]!
    const { rooms } = this.ovens[station]!
    this.saved[this.count]!.set(rooms)
    this.put[this.count] = b
    this.into[this.count++] = station
    this.times[b] = at - bake.shift
    this.ends[b] = at + bake.seconds
    rooms.fill(at + bake.seconds, 0, Math.min(rooms.length, bake.rooms))
    if (rooms.length > 1) rooms.sort()
  }

  /** Takes the latest one back. */
  takeBack(): void {
    const { rooms } = this.ovens[this.into[--this.count]!]!
    rooms.set(this.saved[this.count]!.subarray(0, rooms.length))
  }

  /** How many rooms some ovens have. */
  roomCount(stations: readonly number[]): number {
    return stations.reduce((sum, s) => sum + this.ovens[s]!.rooms.length, 0)
  }

  /** When each room of some ovens is free, from `k` on. */
  roomsInto(out: Float64Array, k: number, stations: readonly number[]): void {
    for (const s of stations) {
      const { rooms } = this.ovens[s]!
      out.set(rooms, k)
      k += rooms.length
    }
  }

  /**
   * How long the session is in this order, each bake in the oven where it can begin first, at the heat
   * there if it agrees with all that is at it. Another choice of heats may be shorter.
   */
  lengthOf(order: ArrayLike<number>): number {
    this.clear()
    this.ovens.forEach((oven, s) => {
      if (!oven) return
      const { start, from } = oven.heat
      Object.assign(this.heats[s]!, { lo: start, hi: start, method: NONE, from, to: from })
    })
    let length = 0
    for (let k = 0; k < order.length; k++) {
      const b = order[k]!
      const bake = this.bakes[b]!
      let at = Infinity
      let into = NONE
      for (const s of bake.stations) {
        const then = Math.max(this.earliest(b, s), this.afterHeat(bake, s))
        if (then >= at) continue
        at = then
        into = s
      }
      this.heatFor(bake, into, at)
      this.place(b, into, at)
      if (at + bake.tail > length) length = at + bake.tail
    }
    return length
  }

  /** The earliest start at the heat that an oven is at, or after it. */
  private afterHeat(bake: Bake, station: number): number {
    const heat = this.heats[station]!
    return joins(bake, heat)
      ? heat.from - this.lead
      : heat.to + changeTo(bake, heat, this.ovens[station]!.heat) - this.lead
  }

  private heatFor(bake: Bake, station: number, at: number): void {
    const heat = this.heats[station]!
    const oven = this.ovens[station]!.heat
    const from = at + this.lead
    if (joins(bake, heat)) {
      heat.lo = Math.max(heat.lo, bake.lo)
      heat.hi = Math.min(heat.hi, bake.hi)
      heat.to = Math.max(heat.to, from + bake.heat)
      return
    }
    // What can be reached by then.
    const time = from - heat.to
    heat.lo = oven.cool > 0 ? Math.max(bake.lo, heat.lo - time / oven.cool) : bake.lo
    heat.hi = oven.heat > 0 ? Math.min(bake.hi, heat.hi + time / oven.heat) : bake.hi
    heat.method = bake.method
    heat.from = from
    heat.to = from + bake.heat
  }

  /**
   * Each step's priority, set and returned: when it would begin for the bakes to be in time, as the latest
   * sequence has them; the rest as late as its tail allows.
   */
  priorities(keys: Float64Array): Float64Array {
    const { bakes, times } = this
    const { tailOf } = this.when
    const length = bakes.reduce((most, b, k) => Math.max(most, times[k]! + tailOf[b.activity]!), 0)
    for (let i = 0; i < keys.length; i++) keys[i] = length - tailOf[i]!
    bakes.forEach(({ before }, k) => {
      for (let i = 0; i < keys.length; i++) keys[i] = Math.min(keys[i]!, times[k]! - before[2 * i]!)
    })
    return keys
  }
}

/** Longest path from each node to this one, by which it comes at least so much later. */
function pathsTo(node: number, into: TimeLag[][]): Float64Array {
  const before = new Float64Array(into.length).fill(-Infinity)
  before[node] = 0
  const queue = [node]
  // Each node once for every longer path to it; lags that contradict would go round for ever.
  for (let head = 0; head < queue.length && head < 32 * into.length; head++) {
    const at = queue[head]!
    for (const r of into[at]!)
      if (before[at]! + r.weight > before[r.from]!) {
        before[r.from] = before[at]! + r.weight
        queue.push(r.from)
      }
  }
  return before
}

const joins = (bake: Bake, heat: Heat) =>
  heat.method === bake.method && heat.lo <= bake.hi && bake.lo <= heat.hi

/** Seconds from one range of temperatures to that of a bake. */
const changeTo = (
  bake: Bake,
  { lo, hi }: { lo: number; hi: number },
  oven: NonNullable<MStation['oven']>,
) => Math.max(0, (bake.lo - hi) * oven.heat, (lo - bake.hi) * oven.cool)
