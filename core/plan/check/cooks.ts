import { ownValue, type Cook } from '../../problem'
import { absences, overlap, type Context } from './context'

interface Touch {
  who: string
  from: number
  to: number
  hands: boolean
  attention: number
  /** Begun already: between two such no rule is judged. */
  fact: boolean
  /** Hygiene class, where the touch is a hands phase. */
  hygiene: string | undefined
}

/** Rules 4 and 5: hands in one place, skill, availability, attention, and clean hands. */
export function checkCooks(context: Context): void {
  const touches = touchesByCook(context)
  for (const cook of context.problem.cooks) {
    const list = touches.get(cook.id) ?? []
    checkAvailability(cook, list, context)
    checkHands(cook, list, context)
    checkAttention(cook, list, context)
    checkHygiene(cook, list, context)
  }
}

function touchesByCook({
  problem,
  plan,
  placed,
  stations,
  facts,
  report,
}: Context): Map<string, Touch[]> {
  const cooks = new Map(problem.cooks.map((c) => [c.id, c]))
  const byCook = new Map<string, Touch[]>()
  const add = (id: string, touch: Touch, skill: string | string[] | undefined) => {
    const cook = cooks.get(id)
    const say = (message: string) =>
      report({ rule: 4, subject: touch.who, from: touch.from, to: touch.to, message })
    if (!cook) return say(`names "${id}", who is not a cook`)
    for (const s of skill === undefined ? [] : [skill].flat())
      if (!touch.fact && cook.skills && !cook.skills.includes(s))
        say(`needs the skill "${s}", which "${id}" has not`)
    byCook.set(id, [...(byCook.get(id) ?? []), touch])
  }
  for (const { activity, mode, run } of placed.values())
    run.phases.forEach((phase, k) => {
      const spec = mode.phases[k]
      if (!spec) return
      const fact = facts.phase(activity.id, k) !== undefined
      const wanted = spec.hands !== undefined || spec.watch !== undefined
      if (!fact && wanted !== (phase.cook !== undefined)) {
        report({
          rule: 4,
          subject: activity.id,
          from: phase.from,
          to: phase.to,
          message: wanted ? `phase ${k + 1} has no cook` : `phase ${k + 1} needs no cook`,
        })
        return
      }
      if (phase.cook === undefined) return
      add(
        phase.cook,
        {
          who: activity.id,
          from: phase.from,
          to: phase.to,
          hands: spec.hands !== undefined,
          attention: spec.hands?.attention ?? spec.watch ?? 0,
          fact,
          hygiene: spec.hands ? activity.hygiene : undefined,
        },
        spec.hands?.skill,
      )
    })
  for (const chore of plan.chores)
    add(
      chore.cook,
      {
        who: `wash ${chore.station}`,
        from: chore.from,
        to: chore.to,
        hands: true,
        attention: 0,
        fact:
          facts.progress?.chores.some(
            (c) => c.station === chore.station && c.cook === chore.cook && c.from === chore.from,
          ) === true,
        hygiene: undefined,
      },
      stations.get(chore.station)?.wash?.skill,
    )
  return byCook
}

function checkAvailability(cook: Cook, list: Touch[], { report }: Context): void {
  for (const touch of list)
    for (const [a, b] of absences(cook.unavailable))
      if (!touch.fact && overlap(a, b, touch.from, touch.to))
        report({
          rule: 4,
          subject: touch.who,
          from: touch.from,
          to: touch.to,
          message: `wants "${cook.id}", who is away from ${a} to ${b}`,
        })
}

function checkHands(cook: Cook, list: Touch[], { report }: Context): void {
  const hands = list.filter((t) => t.hands).sort((a, b) => a.from - b.from || a.to - b.to)
  let latest = hands[0]
  for (const touch of hands.slice(1)) {
    if (
      latest &&
      !(latest.fact && touch.fact) &&
      overlap(latest.from, latest.to, touch.from, touch.to)
    )
      report({
        rule: 4,
        subject: touch.who,
        from: touch.from,
        to: touch.to,
        message: `wants the hands of "${cook.id}", which hold "${latest.who}" until ${latest.to}`,
      })
    if (!latest || touch.to > latest.to) latest = touch
  }
}

function checkAttention(cook: Cook, list: Touch[], { report }: Context): void {
  for (const touch of list) {
    if (touch.to <= touch.from) continue
    const at = list.filter((t) => t.from <= touch.from && touch.from < t.to)
    if (at.every((t) => t.fact)) continue
    const sum = at.reduce((total, t) => total + t.attention, 0)
    if (touch.attention > 0 && sum > cook.attention + 1e-9)
      report({
        rule: 4,
        subject: touch.who,
        from: touch.from,
        to: touch.to,
        message: `asks "${cook.id}" for ${sum} of ${cook.attention} attention together with ${at
          .filter((t) => t !== touch)
          .map((t) => `"${t.who}"`)
          .join(', ')}`,
      })
  }
}

function checkHygiene(cook: Cook, list: Touch[], { problem, report }: Context): void {
  const busy = [
    ...list.filter((t) => t.hands && t.to > t.from).map((t) => [t.from, t.to] as const),
    ...absences(cook.unavailable),
  ].sort((a, b) => a[0] - b[0])
  const phases = list.filter((t) => t.hygiene !== undefined)
  for (const first of phases) {
    const wanted = ownValue(problem.hygiene, first.hygiene)
    if (!wanted) continue
    // When hands could have been washed for each class, found once for all that comes after.
    const ready = new Map<number, number>()
    for (const second of phases) {
      const seconds = ownValue(wanted, second.hygiene) ?? 0
      if (seconds === 0 || second.from < first.to || first === second) continue
      let clean = ready.get(seconds)
      if (clean === undefined) ready.set(seconds, (clean = freeFor(busy, first.to, seconds)))
      if (second.from >= clean || (first.fact && second.fact)) continue
      const free = longestFree(busy, first.to, second.from)
      report({
        rule: 5,
        subject: second.who,
        from: first.to,
        to: second.from,
        message: `comes after "${first.who}" in the hands of "${cook.id}", who has ${free} s at a stretch to wash them, ${seconds} s needed`,
      })
    }
  }
}

/** The end of the first free stretch of so many seconds from an instant on. */
function freeFor(busy: (readonly [number, number])[], from: number, seconds: number): number {
  let at = from
  for (const [a, b] of busy) {
    if (a - at >= seconds) break
    if (b > at) at = b
  }
  return at + seconds
}

function longestFree(busy: (readonly [number, number])[], from: number, to: number): number {
  let longest = 0
  let at = from
  for (const [a, b] of busy) {
    if (b <= from || a >= to) continue
    longest = Math.max(longest, Math.min(a, to) - at)
    at = Math.max(at, b)
  }
  return Math.max(longest, to - at)
}
