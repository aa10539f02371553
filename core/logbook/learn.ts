import type { Kitchen } from '../kitchen'
import { piecesOf, type CookedRecord } from './record'

/** How long a person takes for a kind of work, measured against what was planned. */
export interface Learned {
  cook: string
  work: string
  /** Factor on the time that is planned without having learned anything: 1.2 takes a fifth longer. */
  factor: number
  /** Two of three times it lies between `factor / spread` and `factor * spread`. */
  spread: number
  /** How many pieces of work it rests on. */
  pieces: number
}

/** What was planned is the mean of so much experience, in pieces of work: an estimate of ours. */
const PRIOR = 4
/** Less than so many seconds say nothing: a tap more or less is most of it. */
const SHORT = 45
/** A timer that was forgotten, or ticked off before it was begun: no more than so much is believed. */
const MOST = 2.5
/** Of fewer pieces nobody can say how far apart they lie. */
const ENOUGH = 5
/** Beyond so many deviations from the middle a piece counts no further. */
const OUTLIER = 2

/**
 * How each person's hands work compares with what was planned. What there is little of is drawn to how that
 * person works otherwise, and that to the plan (an empirical Bayes estimate with a fixed prior).
 */
export function learnFrom(records: readonly CookedRecord[]): Learned[] {
  const ratios = new Map<string, number[]>()
  for (const record of records)
    for (const p of piecesOf(record)) {
      if (p.skipped || p.planned < SHORT || p.real <= 0 || !p.cook) continue
      const ratio = (p.real / p.planned) * p.learned
      const key = `${p.cook} ${p.work}`
      const log = Math.log(Math.min(MOST, Math.max(1 / MOST, ratio)))
      ratios.set(key, [...(ratios.get(key) ?? []), log])
    }
  /** What a person does seldom is likely to go as the rest of what they do. */
  const usual = new Map<string, number>()
  for (const [key] of ratios) {
    const [cook] = key.split(' ') as [string]
    if (usual.has(cook)) continue
    const own = [...ratios].flatMap(([k, logs]) => (k.startsWith(`${cook} `) ? logs : []))
    usual.set(cook, drawn(robust(own).mean, own.length, 0))
  }
  return [...ratios].map(([key, logs]) => {
    const [cook, work] = key.split(' ') as [string, string]
    const { mean, deviation } = robust(logs)
    const pieces = logs.length
    return {
      cook,
      work,
      factor: Math.exp(drawn(mean, pieces, usual.get(cook)!)),
      spread: Math.exp(deviation),
      pieces,
    }
  })
}

/** A mean drawn to what was expected, the more the less it rests on. */
const drawn = (mean: number, pieces: number, expected: number) =>
  (mean * pieces + expected * PRIOR) / (pieces + PRIOR)

/** Mean and deviation with what lies far out drawn in (Huber, 1964, in its simplest form). */
function robust(values: readonly number[]): { mean: number; deviation: number } {
  const sorted = values.toSorted((a, b) => a - b)
  const median = sorted[Math.floor(sorted.length / 2)]!
  const away = values.map((v) => Math.abs(v - median)).toSorted((a, b) => a - b)
  const deviation = 1.4826 * (away[Math.floor(away.length / 2)] ?? 0)
  const most = Math.max(0.05, deviation) * OUTLIER
  const drawn = values.map((v) => Math.min(median + most, Math.max(median - most, v)))
  return { mean: drawn.reduce((a, b) => a + b, 0) / drawn.length, deviation }
}

const percentOf = (factor: number) => Math.round(Math.min(300, Math.max(30, 100 * factor)))

/** The kitchen with what its people's sessions have taught; what was refused stays refused. */
export function withLearned(kitchen: Kitchen, learned: readonly Learned[]): Kitchen {
  return {
    ...kitchen,
    people: kitchen.people.map((person) => {
      const own = learned.filter((l) => l.cook === person.id)
      const { learned: before, ...rest } = person
      if (!own.length) return rest
      return {
        ...rest,
        learned: own.map(({ work, factor, spread, pieces }) => ({
          work,
          percent: percentOf(factor),
          pieces,
          ...(pieces < ENOUGH
            ? {}
            : {
                between: [percentOf(factor / spread), percentOf(factor * spread)] as [
                  number,
                  number,
                ],
              }),
          ...(before?.some((l) => l.work === work && l.refused) ? { refused: true as const } : {}),
        })),
      }
    }),
  }
}
