import { ownValue } from '../../problem'
import type { Context } from './context'

/** Rule 1: modes, phase lengths, releases, due times, the deadline, pins; nothing absent appears. */
export function checkTiming(context: Context): void {
  const { problem, plan, placed, present, facts, report } = context
  for (const choice of problem.choices) {
    const taken = ownValue(plan.choices, choice.id)
    if (!choice.options.some((o) => o.id === taken))
      report({ rule: 1, subject: choice.id, message: `takes no option of the choice` })
  }
  for (const id of Object.keys(plan.choices))
    if (!problem.choices.some((c) => c.id === id))
      report({ rule: 1, subject: id, message: 'is not a choice of the problem' })

  for (const id of present)
    if (!placed.has(id)) report({ rule: 1, subject: id, message: 'is present but not planned' })
  for (const { activity, mode, run } of placed.values()) {
    const say = (message: string, from = run.start, to = run.end) =>
      report({ rule: 1, subject: activity.id, from, to, message })
    if (!present.has(activity.id)) say('is planned though its option is not taken')
    if (run.phases.length !== mode.phases.length) {
      say(`has ${run.phases.length} phases, its mode ${mode.phases.length}`)
      continue
    }
    // What is over is as it is, whatever it should have been.
    if (facts.ended(activity.id)) continue
    const now = facts.progress?.now ?? 0
    let at = run.start
    run.phases.forEach((phase, k) => {
      const known = facts.phase(activity.id, k)
      const [least, most] = mode.phases[k]!.seconds
      const lasts = phase.to - phase.from
      if (phase.from !== at) say(`phase ${k + 1} does not begin where the one before ends`)
      at = phase.to
      if (known === 'done') return
      if (lasts < least)
        say(`phase ${k + 1} lasts ${lasts} s, least ${least} s`, phase.from, phase.to)
      const overdue = known === 'running' && most !== null && now - phase.from > most
      if (most !== null && lasts > most && !overdue)
        say(`phase ${k + 1} lasts ${lasts} s, most ${most} s`, phase.from, phase.to)
    })
    if (at !== run.end) say('does not end with its last phase')
    const begun = facts.begun(activity.id)
    if (!begun && activity.release !== undefined && run.start < activity.release)
      say(`starts before its release at ${activity.release}`)
    if (activity.due !== undefined && run.end > activity.due)
      say(`ends after it is due at ${activity.due}`)
    if (problem.deadline !== undefined && run.end > problem.deadline)
      say(`ends after the deadline at ${problem.deadline}`)
  }
  for (const chore of plan.chores)
    if (
      problem.deadline !== undefined &&
      chore.to > problem.deadline &&
      !facts.progress?.chores.some((c) => c.station === chore.station && c.from === chore.from)
    )
      report({
        rule: 1,
        subject: chore.station,
        from: chore.from,
        to: chore.to,
        message: `is washed after the deadline at ${problem.deadline}`,
      })
  checkPins(context)
}

function checkPins({ problem, placed, facts, report }: Context): void {
  for (const pin of problem.pins ?? []) {
    const found = placed.get(pin.activity)
    if (!found || facts.begun(pin.activity)) continue
    const { run, mode } = found
    const say = (message: string) =>
      report({ rule: 1, subject: pin.activity, from: run.start, to: run.end, message })
    if (pin.start && (run.start < pin.start[0] || run.start > pin.start[1]))
      say(`is pinned to start in [${pin.start.join(', ')}]`)
    if (pin.mode !== undefined && run.mode !== pin.mode) say(`is pinned to mode "${pin.mode}"`)
    if (pin.stations && pin.stations.some((id, k) => run.stations[k] !== id))
      say(`is pinned to stations ${pin.stations.join(', ')}`)
    if (pin.cook !== undefined)
      run.phases.forEach((phase, k) => {
        if (mode.phases[k]?.hands && phase.cook !== pin.cook) say(`is pinned to cook "${pin.cook}"`)
      })
  }
}
