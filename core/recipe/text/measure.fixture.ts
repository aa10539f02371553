import type { Sample } from './corpus.fixture'
import type { StepRead } from './drafts'

interface Line {
  work: string
  minutes: string
  celsius: string
  equipment: string[]
}

/** How much of what a person reads in the samples was read: shares of 1, and what went wrong. */
export function measure(samples: readonly Sample[], read: (text: string) => StepRead[]) {
  const count = { times: [0, 0], heats: [0, 0], works: [0, 0], equipment: [0, 0] }
  const wrong: string[] = []
  for (const sample of samples) {
    const want = sample.steps.split('\n').map(wanted)
    const got = read(sample.text).map(given)
    const stated = (lines: Line[], key: 'minutes' | 'celsius') =>
      lines.map((l) => l[key]).filter((x) => x !== '-')
    add(
      count.times,
      common(stated(want, 'minutes'), stated(got, 'minutes')).length,
      most(stated(want, 'minutes'), stated(got, 'minutes')),
    )
    add(
      count.heats,
      common(stated(want, 'celsius'), stated(got, 'celsius')).length,
      most(stated(want, 'celsius'), stated(got, 'celsius')),
    )
    const pairs = align(want, got)
    add(count.works, pairs.length, most(want, got))
    for (const [w, g] of pairs) {
      const all = new Set([...w.equipment, ...g.equipment])
      add(count.equipment, w.equipment.filter((k) => g.equipment.includes(k)).length, all.size)
    }
    const text = (l: Line) => `${l.work} | ${l.minutes} | ${l.celsius} | ${l.equipment.join(' ')}`
    const [a, b] = [want.map(text), got.map(text)]
    if (a.join('\n') !== b.join('\n'))
      wrong.push(
        `--- ${sample.text.split('\n')[0]!.slice(0, 50)}\n` +
          a
            .filter((l) => !b.includes(l))
            .map((l) => `  wanted ${l}`)
            .concat(b.filter((l) => !a.includes(l)).map((l) => `  read   ${l}`))
            .join('\n'),
      )
  }
  const share = ([right, all]: number[]) => right! / Math.max(1, all!)
  return {
    times: share(count.times),
    heats: share(count.heats),
    works: share(count.works),
    equipment: share(count.equipment),
    wrong,
  }
}

const add = (pair: number[], right: number, all: number) => {
  pair[0]! += right
  pair[1]! += all
}
const most = (a: unknown[], b: unknown[]) => Math.max(a.length, b.length)

function wanted(line: string): Line {
  const [work, minutes, celsius, equipment] = line.split('|').map((p) => p.trim())
  return {
    work: work!,
    minutes: minutes!,
    celsius: celsius!,
    equipment: equipment!.split(' ').filter(Boolean).sort(),
  }
}

function given(s: StepRead): Line {
  const [least, most] = s.minutes
  const heat = s.celsius
  return {
    work: s.work,
    minutes: !s.stated ? '-' : least === most ? String(least) : `${least}-${most}`,
    celsius: heat === null ? '-' : Array.isArray(heat) ? heat.join('-') : String(heat),
    equipment: [...s.equipment].sort(),
  }
}

/** A longest common subsequence. */
function common(a: string[], b: string[]): string[] {
  return align(
    a.map((work) => ({ work, minutes: '', celsius: '', equipment: [] })),
    b.map((work) => ({ work, minutes: '', celsius: '', equipment: [] })),
  ).map(([w]) => w.work)
}

/** Pairs of the same work in the same order, as many as there can be. */
function align(a: Line[], b: Line[]): [Line, Line][] {
  const best: [Line, Line][][][] = Array.from({ length: a.length + 1 }, () =>
    Array.from({ length: b.length + 1 }, () => []),
  )
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--) {
      const skip =
        best[i + 1]![j]!.length >= best[i]![j + 1]!.length ? best[i + 1]![j]! : best[i]![j + 1]!
      const both: [Line, Line][] =
        a[i]!.work === b[j]!.work ? [[a[i]!, b[j]!], ...best[i + 1]![j + 1]!] : []
      best[i]![j] = both.length > skip.length ? both : skip
    }
  return best[0]![0]!
}
