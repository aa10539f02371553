import { standTwice } from '../reading'
import type { Activity, Problem } from './schema'

type Report = (path: string, message: string, allowed: string) => void
type Known = (set: Set<string>, value: string, path: string, what: string) => void

/**
 * What is wrong with the facts of a session under way. Facts may break the rules of a plan, as
 * cooks do, but they must lie in the past and say enough to go on from.
 */
export function progressIssues(
  problem: Problem,
  sets: { cooks: Set<string>; stations: Set<string>; activities: Set<string> },
  known: Known,
  report: Report,
): void {
  const { progress } = problem
  if (!progress) return
  const { now } = progress
  const past = (at: number | null, path: string) => {
    if (at !== null && at > now) report(path, `lies after \`now\` (${now})`, `0 to ${now}, or null`)
  }
  const once = (list: { id: string }[], where: string) => {
    for (const { path, message, allowed } of standTwice(list, where)) report(path, message, allowed)
  }
  for (const [id, option] of Object.entries(progress.choices)) {
    const path = `progress.choices.${id}`
    known(new Set(problem.choices.map((c) => c.id)), id, path, 'choice')
    const options = problem.choices.find((c) => c.id === id)?.options.map((o) => o.id)
    if (options) known(new Set(options), option, path, 'option')
  }
  once(progress.activities, 'progress.activities')
  progress.activities.forEach((run, i) => {
    const path = `progress.activities[${i}]`
    known(sets.activities, run.id, `${path}.id`, 'activity')
    run.stations.forEach((s, j) => known(sets.stations, s, `${path}.stations[${j}]`, 'station'))
    run.phases.forEach((p, j) => {
      if (p.cook !== undefined) known(sets.cooks, p.cook, `${path}.phases[${j}].cook`, 'cook')
      past(p.from, `${path}.phases[${j}].from`)
      past(p.to, `${path}.phases[${j}].to`)
    })
    past(run.start, `${path}.start`)
    past(run.end, `${path}.end`)
    const activity = problem.activities.find((a) => a.id === run.id)
    if (activity) runIssues(problem, activity, run, path, report)
  })
  once(progress.holds, 'progress.holds')
  progress.holds.forEach((run, i) => {
    const path = `progress.holds[${i}]`
    known(new Set(problem.holds.map((h) => h.id)), run.id, `${path}.id`, 'hold')
    known(sets.stations, run.station, `${path}.station`, 'station')
    past(run.from, `${path}.from`)
    past(run.to, `${path}.to`)
    const hold = problem.holds.find((h) => h.id === run.id)
    if (hold && !progress.activities.some((a) => a.id === hold.from))
      report(path, `"${hold.from}", with which it begins, has not begun`, 'a hold that has begun')
  })
  const optional = new Set(problem.choices.flatMap((c) => c.options.flatMap((o) => o.activities)))
  for (const hold of problem.holds)
    if (
      (hold.to === null || !optional.has(hold.to)) &&
      progress.activities.some((a) => a.id === hold.from) &&
      !progress.holds.some((h) => h.id === hold.id)
    )
      report(
        'progress.holds',
        `"${hold.from}" has begun, and nothing says what holds "${hold.id}"`,
        'an entry for every hold that has begun',
      )
  progress.chores.forEach((run, i) => {
    const path = `progress.chores[${i}]`
    known(sets.stations, run.station, `${path}.station`, 'station')
    known(sets.cooks, run.cook, `${path}.cook`, 'cook')
    past(run.from, `${path}.from`)
    past(run.to, `${path}.to`)
    const station = problem.stations.find((s) => s.id === run.station)
    if (station && !station.wash)
      report(`${path}.station`, `"${run.station}" is not washed`, 'a station with `wash`')
  })
  progress.heats.forEach((run, i) => {
    const path = `progress.heats[${i}]`
    known(sets.stations, run.station, `${path}.station`, 'station')
    past(run.from, `${path}.from`)
    past(run.to, `${path}.to`)
    const station = problem.stations.find((s) => s.id === run.station)
    if (station && !station.oven)
      report(`${path}.station`, `"${run.station}" is not an oven`, 'a station with `oven`')
    const open = progress.heats.filter((h) => h.station === run.station && h.to === null)
    if (run.to === null && open.length > 1)
      report(`${path}.to`, `"${run.station}" has two heats under way`, 'one')
  })
}

function runIssues(
  problem: Problem,
  activity: Activity,
  run: NonNullable<Problem['progress']>['activities'][number],
  path: string,
  report: Report,
): void {
  const mode = activity.modes.find((m) => m.id === run.mode)
  if (!mode) return report(`${path}.mode`, `there is no mode "${run.mode}"`, 'the id of one mode')
  if (run.stations.length !== mode.needs.length)
    report(
      `${path}.stations`,
      `${run.stations.length} stations for ${mode.needs.length} needs`,
      'one station for each need',
    )
  const { phases } = run
  if (run.end !== null ? phases.length !== mode.phases.length : phases.length > mode.phases.length)
    report(`${path}.phases`, `${phases.length} phases`, `the mode has ${mode.phases.length}`)
  if (!phases.length)
    report(`${path}.phases`, 'nothing of it has begun', 'the phases so far, at least one')
  phases.forEach((phase, k) => {
    const at = `${path}.phases[${k}]`
    const open = run.end === null && k === phases.length - 1
    if (open !== (phase.to === null))
      report(
        `${at}.to`,
        open ? 'the last phase of what is under way has no end yet' : 'has no end',
        open ? 'null' : 'an instant',
      )
    if (phase.from !== (k === 0 ? run.start : phases[k - 1]!.to))
      report(`${at}.from`, 'does not begin where the one before ends', 'phases without a gap')
    if (phase.to !== null && phase.to < phase.from)
      report(`${at}.to`, 'comes before `from`', `at least ${phase.from}`)
    const spec = mode.phases[k]
    const wanted = spec && (spec.hands !== undefined || spec.watch !== undefined)
    if (spec && wanted !== (phase.cook !== undefined))
      report(`${at}.cook`, wanted ? 'is missing' : 'is not wanted', 'as the phase of the mode says')
    if (
      open &&
      spec?.heat &&
      !problem.progress!.heats.some(
        (h) => h.to === null && h.station === run.stations[spec.heat!.need],
      )
    )
      report(`${at}`, 'bakes while its oven has no heat under way', 'a heat with `to` null')
  })
  if (run.end !== null && phases.length && run.end !== phases[phases.length - 1]!.to)
    report(`${path}.end`, 'is not the end of the last phase', `${phases[phases.length - 1]!.to}`)
}
