import { lowerBound, type Bound } from './lowerBound'
import { CookTime } from '../sgs/cookTime'
import { UndoLog } from '../structures/undoLog'
import { earliestTimes, positiveCycle, timeLags } from '../model/temporalNetwork'
import { NEVER, presentWith, type MActivity, type Model } from '../model/model'
import { TimeWindows } from '../model/timeWindows'

export type Proof = { feasible: false; reasons: string[] } | { feasible: true; bound: Bound }

/**
 * Either a proof that no plan exists, with what clashes in words, or a lower bound. Finding no
 * proof does not mean that there is a plan.
 */
export function prove(model: Model): Proof {
  const reasons = contradiction(model)
  return reasons ? { feasible: false, reasons } : proveBound(model)
}

/**
 * What contradicts itself without any order of the steps, in words: the quick part of a proof.
 * Marks the options that can never be taken.
 */
export function contradiction(model: Model): string[] | undefined {
  const { problem } = model
  for (const [i, reasons] of model.impossible) if (model.activities[i]!.choice < 0) return reasons
  for (const h of model.holds)
    if (model.impossibleHolds.has(h.index) && [h.from, h.to].every((i) => always(model, i)))
      return [model.impossibleHolds.get(h.index)!]

  const windows = new TimeWindows(model)
  const whyNot = model.choices.map(() => [] as string[])
  model.choices.forEach((choice, k) =>
    choice.options.forEach((option, j) => {
      if (!option.possible) return
      const reasons = optionConflict(model, windows, k, j)
      if (!reasons) return
      option.possible = false
      whyNot[k]!.push(`option "${problem.choices[k]!.options[j]!.id}": ${reasons.join('; ')}`)
    }),
  )
  const lags = clash(model, windows, -1, -1)
  if (lags) return lags
  for (const [k, choice] of model.choices.entries())
    if (choice.options.every((o) => !o.possible))
      return [`no option of "${problem.choices[k]!.id}" can be taken`, ...whyNot[k]!]
  return undefined
}

/** The slower part of a proof, where nothing contradicts itself: a lower bound. */
export function proveBound(model: Model): Proof {
  const no = (...reasons: string[]): Proof => ({ feasible: false, reasons })
  const bound = lowerBound(model)
  if (!bound) return no('the waits of the session contradict each other')
  if (bound.value > model.deadline)
    return no(
      `the deadline is at ${model.deadline} s`,
      `${boundWords(bound)} needs ${bound.value} s at least`,
    )
  return { feasible: true, bound }
}

/** In words, what a bound rests on. */
export function boundWords(bound: Bound): string {
  const who = bound.because.map((b) => `"${b}"`)
  switch (bound.kind) {
    case 'chain':
      return `the chain ${who.join(', ')}`
    case 'hands':
      return `the hands work of ${who.join(' and ')}`
    case 'station':
      return `the work on ${who.join(' and ')}`
    case 'oven':
      return `the room and the temperatures of ${who.join(' and ')}`
    case 'bakes':
      return `the order of the bakes in ${who.join(' and ')}`
    case 'search':
      return 'a search through every order of the steps'
    case 'nothing':
      return 'nothing'
  }
}

const always = (model: Model, i: number) => i < 0 || model.activities[i]!.choice < 0

function optionConflict(
  model: Model,
  windows: TimeWindows,
  choice: number,
  option: number,
): string[] | undefined {
  const { members } = model.choices[choice]!.options[option]!
  for (const i of members) {
    const reasons = model.impossible.get(i)
    if (reasons) return reasons
  }
  const there = (i: number) => always(model, i) || members.has(i)
  for (const h of model.holds) {
    const why = model.impossibleHolds.get(h.index)
    if (why && there(h.from) && there(h.to)) return [why]
  }
  return clash(model, windows, choice, option)
}

/** Lags, limits and absences that cannot all be met by what is surely there. */
function clash(
  model: Model,
  windows: TimeWindows,
  choice: number,
  option: number,
): string[] | undefined {
  const present = presentWith(model, choice, option)
  if (!windows.reset(present, true)) {
    const list = timeLags(model, present)
    if (!earliestTimes(model, list)) return positiveCycle(model, list)
  }
  const { lo, hi } = windows
  for (const a of model.activities) {
    if (!present[a.index] || a.fact) continue
    const reason = absence(model, a, lo[2 * a.index]!, hi[2 * a.index]!)
    if (reason) return [reason]
  }
  return undefined
}

/** Why nobody who could do the activity, or nothing that could serve it, is there in time. */
function absence(model: Model, a: MActivity, earliestStart: number, latestStart: number) {
  const { problem } = model
  const id = problem.activities[a.index]!.id
  let reason: string | undefined
  for (const mode of a.modes) {
    let head = 0
    let slack = 0
    reason = undefined
    for (const phase of mode.phases) {
      const cooks = phase.hands || phase.watch ? phase.cooks : []
      const from = earliestStart + head
      const until = Math.min(NEVER - 1, latestStart + head + slack)
      const free = cooks.some((c) => {
        if (!model.cooks[c]!.away.length) return from <= until
        const alone = new CookTime(model, model.cooks[c]!, new UndoLog())
        return alone.slot(from, until, phase.min, 0, phase.hands, -1) <= until
      })
      if (cooks.length && !free) {
        const who = cooks.map((c) => `"${problem.cooks[c]!.id}"`).join(' and ')
        reason = `"${id}" needs ${phase.min} s of ${who}, to begin from ${from} s to ${until} s, and is blocked by their absence`
      }
      head += phase.min
      slack = Math.min(NEVER, slack + phase.max - phase.min)
    }
    if (!reason) return undefined
  }
  return reason
}
