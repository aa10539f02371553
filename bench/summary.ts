import type { Row } from './bench'

/** How the sessions of one kind and size, or of one size, come out on average. */
export interface Line {
  name: string
  sessions: number
  /** Per cent above the best known after so many seconds. */
  above: Record<string, number>
  /** Per cent that the plan after so many seconds is above what was proven by then. */
  gap: Record<string, number>
  proven: number
}

/** The shortest plans known: by name, of earlier runs and of these. */
export function bestOf(
  known: Readonly<Record<string, number>>,
  rows: readonly Row[],
): Record<string, number> {
  const best = { ...known }
  for (const { name, makespan } of rows) best[name] = Math.min(best[name] ?? Infinity, makespan)
  return best
}

/** Per cent of the plan after so many seconds by which it is above what was proven by then. */
export function gapOf({ at, boundAt }: Row, seconds: number | string): number {
  return (100 * (at[seconds]! - boundAt[seconds]!)) / Math.max(1, at[seconds]!)
}

/**
 * Means over the home sessions of each size, of both kinds together and of each alone; marks
 * that some of them have no figure for are left out.
 */
export function summary(rows: readonly Row[], best: Readonly<Record<string, number>>): Line[] {
  const groups = new Map<string, Row[]>()
  for (const row of rows) {
    const [, kind, size] = /^((\d+ dishes).*), \d+$/.exec(row.name) ?? []
    if (!kind) continue
    for (const name of [`${size}, both kinds`, kind])
      groups.set(name, [...(groups.get(name) ?? []), row])
  }
  return [...groups].map(([name, list]) => {
    const marks = Object.keys(list[0]!.at).filter((m) => list.every((r) => m in r.at))
    const means = (value: (row: Row, mark: string) => number) =>
      Object.fromEntries(marks.map((m) => [m, mean(list.map((r) => value(r, m)))]))
    return {
      name,
      sessions: list.length,
      above: means((r, m) => 100 * (r.at[m]! / best[r.name]! - 1)),
      gap: means(gapOf),
      proven: list.filter((r) => r.provenS !== null).length,
    }
  })
}

const mean = (list: number[]) => list.reduce((sum, x) => sum + x, 0) / list.length
