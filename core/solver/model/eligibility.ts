import type { Activity, Mode, Need, Phase, Problem, Station } from '../../problem'
import type { MMode } from './model'

/** The skills that a phase wants: none, one or several. */
const listed = (skill: string | readonly string[] | undefined): readonly string[] =>
  skill === undefined ? [] : typeof skill === 'string' ? [skill] : skill

/** Indices of the cooks who have a skill, or all of several. */
export const skilled = (problem: Problem, skill: string | readonly string[] | undefined) =>
  problem.cooks.flatMap((c, i) =>
    !c.skills || listed(skill).every((s) => c.skills!.includes(s)) ? [i] : [],
  )

/** Whether a station is of the kind, tags and size of a need, and reaches its heats. */
export function serves(station: Station, need: Need, heats: NonNullable<Phase['heat']>[]): boolean {
  return (
    station.kind === need.kind &&
    need.tags.every((t) => station.tags.includes(t)) &&
    (need.minSize === undefined || (station.size ?? -Infinity) >= need.minSize) &&
    station.capacity >= need.amount &&
    heats.every(
      (h) =>
        station.oven !== undefined &&
        station.oven.methods.includes(h.method) &&
        h.celsius[0] <= station.oven.max &&
        h.celsius[1] >= station.oven.min,
    )
  )
}

/** A need in words. */
export function needText(need: Need): string {
  const parts = [need.kind, ...need.tags]
  if (need.minSize !== undefined) parts.push(`of size ${need.minSize} or more`)
  if (need.amount !== 1) parts.push(`with room for ${need.amount}`)
  return parts.join(' ')
}

/** Why a mode cannot have what it needs beside what is held over it, or nothing if it can. */
export function crowdedByHold(
  activity: Activity,
  mode: Mode,
  problem: Problem,
): string | undefined {
  for (const hold of problem.holds) {
    if (hold.from !== activity.id && hold.to !== activity.id) continue
    const held = problem.stations.filter((s) => serves(s, hold.need, []))
    for (const need of mode.needs) {
      const free = problem.stations.filter((s) => serves(s, need, []))
      const fits = free.some((s) =>
        held.some((h) => h !== s || s.capacity >= need.amount + hold.need.amount),
      )
      if (free.length && held.length && !fits)
        return `"${activity.id}" (${mode.id}) needs a ${needText(need)} beside the one that "${hold.id}" holds, and there is no room`
    }
  }
  return undefined
}

/** Why nothing or nobody in the kitchen could do this mode, or nothing if they can. */
export function whyImpossible(
  activity: Activity,
  mode: Mode,
  built: MMode,
  problem: Problem,
): string | undefined {
  const short = built.needs.findIndex((n) => !n.stations.length)
  if (short >= 0) {
    const need = mode.needs[short]!
    const heat = mode.phases.find((p) => p.heat?.need === short)?.heat
    const at = heat ? ` that can ${heat.method} at ${heat.celsius.join(' to ')} °C` : ''
    return `"${activity.id}" (${mode.id}) needs a ${needText(need)}${at}, and nothing in the kitchen serves`
  }
  const phase = built.phases.findIndex((p) => (p.hands || p.watch) && !p.cooks.length)
  if (phase < 0) return undefined
  const spec = mode.phases[phase]!
  const skill = spec.hands?.skill
  if (!problem.cooks.length) return `"${activity.id}" (${mode.id}) needs a cook, and there is none`
  return skill !== undefined && !skilled(problem, skill).length
    ? `"${activity.id}" (${mode.id}) needs the skill ${listed(skill)
        .map((s) => `"${s}"`)
        .join(' and ')}, which no cook has`
    : `"${activity.id}" (${mode.id}) asks for more attention in phase ${phase + 1} than any cook who may do it has`
}
