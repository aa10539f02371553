import { ownValue } from '../../problem'
import type { Context } from './context'

/**
 * Facts stand in the plan as they are, and nothing else begins before now. They are reported as
 * rule 1; the other rules leave alone what lies between two facts.
 */
export function checkFacts({ plan, placed, facts, report }: Context): void {
  const { progress } = facts
  if (!progress) return
  const { now } = progress
  const say = (subject: string, message: string) => report({ rule: 1, subject, message })
  for (const [choice, option] of Object.entries(progress.choices))
    if (ownValue(plan.choices, choice) !== option) say(choice, `has been decided: "${option}"`)
  for (const fact of progress.activities) {
    const run = placed.get(fact.id)?.run
    if (!run) {
      say(fact.id, 'has begun and is not in the plan')
      continue
    }
    const same =
      run.mode === fact.mode &&
      run.start === fact.start &&
      (fact.end === null ? run.end >= now : run.end === fact.end) &&
      fact.stations.every((s, k) => run.stations[k] === s) &&
      fact.phases.every((p, k) => {
        const planned = run.phases[k]
        return (
          planned?.from === p.from &&
          planned.cook === p.cook &&
          (p.to === null ? planned.to >= now : planned.to === p.to)
        )
      })
    if (!same) say(fact.id, 'is not planned as it has happened')
  }
  for (const [id, { run }] of placed)
    if (!facts.begun(id) && run.start < now) say(id, `starts before now (${now})`)
  const ends = (fact: number | null, planned: number) =>
    fact === null ? planned >= now : planned === fact
  for (const fact of progress.holds)
    if (
      !plan.holds.some(
        (h) =>
          h.id === fact.id &&
          h.station === fact.station &&
          h.from === fact.from &&
          ends(fact.to, h.to),
      )
    )
      say(fact.id, 'is not held as it has happened')
  const chore = (a: { station: string; cook: string; from: number }, b: typeof a) =>
    a.station === b.station && a.cook === b.cook && a.from === b.from
  for (const fact of progress.chores)
    if (!plan.chores.some((c) => chore(c, fact) && ends(fact.to, c.to)))
      say(fact.station, 'is not washed as it has happened')
  for (const c of plan.chores)
    if (c.from < now && !progress.chores.some((fact) => chore(fact, c)))
      say(c.station, `is washed before now (${now})`)
  const heat = (
    a: { station: string; from: number; celsius: number; method: string },
    b: typeof a,
  ) =>
    a.station === b.station && a.from === b.from && a.celsius === b.celsius && a.method === b.method
  for (const fact of progress.heats)
    if (!plan.heats.some((h) => heat(h, fact) && ends(fact.to, h.to)))
      say(fact.station, 'is not heated as it has happened')
  for (const h of plan.heats)
    if (h.from < now && !progress.heats.some((fact) => heat(fact, h)))
      say(h.station, `is heated before now (${now})`)
}
