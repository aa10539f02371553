import type { Person } from '../kitchen'

/** Days from its start that a session is looked at: what runs on aside may take two more. */
const DAYS = 3
const DAY = 24 * 60

/**
 * Seconds from the start of the session in which somebody is away, by the clock of each day;
 * ranges in order and apart from each other.
 */
export function absences(person: Person, start: string): [number, number][] {
  const began = minutesOf(start.slice(11))
  const daily: [number, number][] = (person.away ?? []).map((a) => [
    minutesOf(a.from),
    minutesOf(a.to),
  ])
  if (person.from !== undefined) daily.push([0, minutesOf(person.from)])
  if (person.until !== undefined) daily.push([minutesOf(person.until), DAY])
  const ranges = Array.from({ length: DAYS }, (_, day) =>
    daily.map(([from, to]): [number, number] => [
      Math.max(0, (day * DAY + from - began) * 60),
      (day * DAY + to - began) * 60,
    ]),
  )
    .flat()
    .filter(([from, to]) => to > from)
    .sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const joined: [number, number][] = []
  for (const [from, to] of ranges) {
    const last = joined[joined.length - 1]
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else joined.push([from, to])
  }
  return joined
}

const minutesOf = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5))

/**
 * Factor on the stated minutes of hands work that wants these skills: the mean pace of those who
 * have them, since anybody of them may do it; with what their sessions have taught of such `work`.
 */
export function paceFor(cooks: readonly Person[], skills: readonly string[], work?: string) {
  const able = cooks.filter((c) => skills.every((s) => (c.skills as string[]).includes(s)))
  if (!able.length) return 1
  return mean(able.map((c) => ((c.pace ?? 100) / 100) * taughtOf(c, work)))
}

/** How much of such a factor is what was learned: 1 where nothing was. */
export const learnedIn = (cooks: readonly Person[], skills: readonly string[], work: string) =>
  paceFor(cooks, skills, work) / paceFor(cooks, skills)

function taughtOf({ learned }: Person, work: string | undefined): number {
  const own = learned?.find((l) => l.work === work && !l.refused)
  return own ? own.percent / 100 : 1
}

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length

/** How much a cook can keep an eye on at once. */
export const ATTENTION = { practised: 100, learning: 80, helper: 60 }
