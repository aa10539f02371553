import { ownValue, type Need, type Station } from '../../problem'
import type { ChoreRun } from '../schema'
import { absences, overlap, type Context } from './context'

interface Occupation {
  who: string
  from: number
  to: number
  amount: number
  contents: string | undefined
  /** Begun already: between two such no rule is judged. */
  fact: boolean
}

/** Rules 3 and 6: every need and hold served, capacities, absences, and washing in between. */
export function checkStations(context: Context): void {
  const { problem, plan, report } = context
  const occupations = occupationsByStation(context)
  for (const chore of plan.chores) {
    const station = context.stations.get(chore.station)
    const say = (rule: 3 | 6, message: string) =>
      report({ rule, subject: chore.station, from: chore.from, to: chore.to, message })
    if (!station) say(6, 'is washed but is not a station of the problem')
    else if (chore.from < (context.facts.progress?.now ?? 0)) continue
    else if (absences(station.unavailable).some(([a, b]) => overlap(a, b, chore.from, chore.to)))
      say(3, 'is washed while it is unavailable')
  }
  for (const station of problem.stations) {
    const list = occupations.get(station.id) ?? []
    for (const o of list)
      for (const [a, b] of absences(station.unavailable))
        if (!o.fact && overlap(a, b, o.from, o.to))
          report({
            rule: 3,
            subject: o.who,
            from: o.from,
            to: o.to,
            message: `takes "${station.id}" while it is unavailable (${a} to ${b})`,
          })
    checkCapacity(station, list, context)
    if (station.wash) checkWashing(station, list, context)
    else
      for (const c of plan.chores)
        if (c.station === station.id && !isFact(c, context))
          report({
            rule: 6,
            subject: station.id,
            from: c.from,
            to: c.to,
            message: 'is washed though it wants no washing',
          })
  }
}

function occupationsByStation(context: Context): Map<string, Occupation[]> {
  const { problem, plan, placed, report } = context
  const byStation = new Map<string, Occupation[]>()
  const take = (
    who: string,
    need: Need,
    stationId: string,
    [from, to]: [number, number],
    fact: boolean,
  ) => {
    const say = (message: string) => report({ rule: 3, subject: who, from, to, message })
    const station = context.stations.get(stationId)
    if (!station) return say(`names "${stationId}", which is not a station`)
    if (!fact && station.kind !== need.kind) say(`needs a ${need.kind}, "${stationId}" is none`)
    const missing = need.tags.filter((t) => !station.tags.includes(t))
    if (!fact && missing.length) say(`needs ${missing.join(', ')}, "${stationId}" is not`)
    if (!fact && need.minSize !== undefined && (station.size ?? -Infinity) < need.minSize)
      say(`needs size ${need.minSize}, "${stationId}" has ${station.size ?? 'none'}`)
    const list = byStation.get(stationId) ?? []
    list.push({ who, from, to, amount: need.amount, contents: need.contents, fact })
    byStation.set(stationId, list)
  }
  for (const { activity, mode, run } of placed.values()) {
    if (run.stations.length !== mode.needs.length)
      report({
        rule: 3,
        subject: activity.id,
        from: run.start,
        to: run.end,
        message: `has ${run.stations.length} stations for ${mode.needs.length} needs`,
      })
    mode.needs.forEach((need, k) => {
      const station = run.stations[k]
      if (station !== undefined)
        take(activity.id, need, station, [run.start, run.end], context.facts.begun(activity.id))
    })
  }
  const latest = Math.max(0, ...[...placed.values()].map((p) => p.run.end))
  const seen = new Set<string>()
  for (const run of plan.holds) {
    const hold = context.holds.get(run.id)
    const say = (message: string) =>
      report({ rule: 3, subject: run.id, from: run.from, to: run.to, message })
    if (!hold) {
      say('is not a hold of the problem')
      continue
    }
    if (seen.has(run.id)) say('is held twice')
    seen.add(run.id)
    const from = placed.get(hold.from)?.run
    const to = hold.to === null ? { end: latest } : placed.get(hold.to)?.run
    if (!from || !to) {
      say('is held though one of its ends is absent')
      continue
    }
    if (run.from !== from.start) say(`begins at ${run.from}, "${hold.from}" at ${from.start}`)
    const fact = context.facts.progress?.holds.find((h) => h.id === run.id)
    if (fact?.to == null && run.to !== to.end) say(`ends at ${run.to}, should at ${to.end}`)
    if (run.to < run.from) say('ends before it begins')
    take(run.id, hold.need, run.station, [run.from, run.to], fact !== undefined)
  }
  for (const hold of problem.holds) {
    const both = placed.has(hold.from) && (hold.to === null || placed.has(hold.to))
    if (both && !seen.has(hold.id))
      report({ rule: 3, subject: hold.id, message: 'is not held by any station' })
  }
  return byStation
}

function checkCapacity(station: Station, list: Occupation[], { report }: Context): void {
  for (const o of list) {
    if (o.to <= o.from) continue
    // The load can only peak where something begins.
    const at = list.filter((p) => p.from <= o.from && o.from < p.to)
    if (at.every((p) => p.fact)) continue
    const taken = at.reduce((sum, p) => sum + p.amount, 0)
    if (taken > station.capacity + 1e-9)
      report({
        rule: 3,
        subject: o.who,
        from: o.from,
        to: o.to,
        message: `"${station.id}" holds ${taken} of ${station.capacity} with ${at
          .filter((p) => p !== o)
          .map((p) => `"${p.who}"`)
          .join(', ')}`,
      })
  }
}

/** Rule 6: a wash in each gap that asks for one, and no other chores. */
function checkWashing(station: Station, list: Occupation[], context: Context): void {
  const { plan, facts, report } = context
  const order = [...list].sort((a, b) => a.from - b.from || a.to - b.to)
  const now = facts.progress?.now ?? 0
  /** Chores that are no facts, of which each gap may take one. */
  const spare = new Set(plan.chores.filter((c) => c.station === station.id && c.from >= now))
  for (let i = 1; i < order.length; i++) {
    const before = order[i - 1]!
    const after = order[i]!
    const seconds = washBetween(station, before, after)
    if (seconds === 0) continue
    const own = plan.chores.find(
      (c) =>
        c.station === station.id &&
        c.from >= before.to &&
        c.to <= after.from &&
        c.to - c.from >= seconds,
    )
    if (own) spare.delete(own)
    else if (!before.fact || !after.fact)
      report({
        rule: 6,
        subject: after.who,
        from: before.to,
        to: after.from,
        message: `takes "${station.id}" after "${before.who}" without ${seconds} s of washing`,
      })
  }
  for (const chore of spare) {
    if (isFact(chore, context)) continue
    const inUse = list.find((o) => o.from < chore.to && chore.from < o.to)
    report({
      rule: 6,
      subject: station.id,
      from: chore.from,
      to: chore.to,
      message: inUse
        ? `is washed while "${inUse.who}" has it`
        : 'is washed though nothing asks for it',
    })
  }
}

const isFact = (chore: ChoreRun, { facts }: Context) =>
  facts.progress?.chores.some(
    (c) => c.station === chore.station && c.cook === chore.cook && c.from === chore.from,
  ) === true

/** Seconds of washing that this order of contents asks for. */
function washBetween(
  station: Station,
  { contents: was }: Occupation,
  { contents: next }: Occupation,
) {
  const wash = station.wash!
  if (was !== undefined && was === next) return 0
  return ownValue(ownValue(wash.between, was), next) ?? wash.seconds
}
