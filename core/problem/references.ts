import { standTwice, type Issue } from '../reading'
import { progressIssues } from './progressIssues'
import type { Activity, Problem } from './schema'

/** Seconds that all steps may take one after another: more overflows what a plan can be counted in. */
const LONGEST_IN_ALL = 200_000_000

/** What no schema can say about one field alone: names that must exist, orders that must hold. */
export function crossReferenceIssues(problem: Problem): Issue[] {
  const issues: Issue[] = []
  const report = (path: string, message: string, allowed: string) =>
    issues.push({ path, message, allowed })

  const names = (list: { id: string }[], where: string) => {
    issues.push(...standTwice(list, where))
    return new Set(list.map((item) => item.id))
  }
  const known = (set: Set<string>, value: string, path: string, what: string) => {
    if (!set.has(value)) report(path, `there is no ${what} "${value}"`, `the id of one ${what}`)
  }

  const least = problem.activities.reduce(
    (sum, a) =>
      sum + Math.max(...a.modes.map((m) => m.phases.reduce((time, p) => time + p.seconds[0], 0))),
    0,
  )
  if (least > LONGEST_IN_ALL)
    report('activities', `take ${least} s one after another`, `at most ${LONGEST_IN_ALL} s in all`)

  const cooks = names(problem.cooks, 'cooks')
  const stations = names(problem.stations, 'stations')
  const activities = names(problem.activities, 'activities')
  names(problem.choices, 'choices')
  names(problem.holds, 'holds')

  problem.stations.forEach((station, i) => {
    if (station.wash && station.capacity !== 1)
      report(
        `stations[${i}].wash`,
        'a station that is washed holds one thing at a time',
        'capacity 1',
      )
    if (station.oven && station.oven.min > station.oven.max)
      report(`stations[${i}].oven.max`, 'is below the least temperature', `at least oven.min`)
  })
  problem.activities.forEach((activity, i) => activityIssues(problem, activity, i, names, report))

  const chosenBy = new Map<string, number>()
  problem.choices.forEach((choice, i) => {
    names(choice.options, `choices[${i}].options`)
    choice.options.forEach((option, j) =>
      option.activities.forEach((activity, k) => {
        const path = `choices[${i}].options[${j}].activities[${k}]`
        known(activities, activity, path, 'activity')
        // Options of one choice may share an activity; two choices may not.
        const owner = chosenBy.get(activity) ?? i
        if (owner !== i)
          report(
            path,
            `"${activity}" belongs to choice "${problem.choices[owner]!.id}" already`,
            'at most one choice for an activity',
          )
        chosenBy.set(activity, owner)
      }),
    )
  })
  problem.relations.forEach((relation, i) => {
    known(activities, relation.from, `relations[${i}].from`, 'activity')
    known(activities, relation.to, `relations[${i}].to`, 'activity')
    if (relation.max !== undefined && relation.max < relation.min)
      report(`relations[${i}].max`, 'is below min', `at least ${relation.min}`)
  })
  problem.holds.forEach((hold, i) => {
    known(activities, hold.from, `holds[${i}].from`, 'activity')
    if (hold.to !== null) known(activities, hold.to, `holds[${i}].to`, 'activity')
  })
  problem.pins?.forEach((pin, i) => {
    known(activities, pin.activity, `pins[${i}].activity`, 'activity')
    if (pin.cook !== undefined) known(cooks, pin.cook, `pins[${i}].cook`, 'cook')
    pin.stations?.forEach((s, j) => known(stations, s, `pins[${i}].stations[${j}]`, 'station'))
    const activity = problem.activities.find((a) => a.id === pin.activity)
    if (activity && pin.mode !== undefined)
      known(new Set(activity.modes.map((m) => m.id)), pin.mode, `pins[${i}].mode`, 'mode')
  })
  progressIssues(problem, { cooks, stations, activities }, known, report)
  return issues
}

function activityIssues(
  problem: Problem,
  activity: Activity,
  i: number,
  names: (list: { id: string }[], where: string) => Set<string>,
  report: (path: string, message: string, allowed: string) => void,
) {
  names(activity.modes, `activities[${i}].modes`)
  activity.modes.forEach((mode, j) =>
    mode.phases.forEach((phase, k) => {
      const path = `activities[${i}].modes[${j}].phases[${k}]`
      const [min, max] = phase.seconds
      if (max !== null && max < min)
        report(`${path}.seconds`, 'the most is below the least', `[${min}, at least ${min}]`)
      if (phase.hands && phase.watch !== undefined)
        report(`${path}.watch`, 'a phase takes hands or a watch, not both', 'hands or watch')
      if (!phase.heat) return
      if (phase.heat.celsius[0] > phase.heat.celsius[1])
        report(`${path}.heat.celsius`, 'the low end is above the high end', '[low, high]')
      const need = mode.needs[phase.heat.need]
      if (!need) {
        report(`${path}.heat.need`, 'the mode has no such need', `0 to ${mode.needs.length - 1}`)
        return
      }
      const ofKind = problem.stations.filter((s) => s.kind === need.kind)
      if (ofKind.length && !ofKind.some((s) => s.oven))
        report(
          `${path}.heat.need`,
          `no "${need.kind}" has an oven's temperatures`,
          'a need that an oven serves',
        )
    }),
  )
}
