import { durationsIn } from './durations'
import { plain } from './plain'

/** Where a text says that a dish is kept, and for how many days. */
export interface Keeping {
  place: 'fridge' | 'freezer' | 'shelf'
  days: number
}

const SPEAKS =
  /\b(?:keeps?|kept|stores?|stored|freezes?|frozen|freeze|refrigerate[ds]?|lasts?|good for|use within|eat within|fridge|freezer)\b/
const PLACES: [RegExp, Keeping['place']][] = [
  [/\bfreez|\bfrozen\b/, 'freezer'],
  [/\bfridge\b|\brefrigerat|\bchilled\b/, 'fridge'],
  [/\bairtight\b|\bjars?\b|\btins?\b|\bcupboard\b|\bshelf\b/, 'shelf'],
]

/** Every way of keeping that a text speaks of, each place once, with the days that it names. */
export function keepingsIn(text: string): Keeping[] {
  const found = new Map<Keeping['place'], number>()
  for (const sentence of text.split(/(?<=[.!?;])\s+|\n/)) {
    const line = plain(sentence)
    if (!SPEAKS.test(line)) continue
    for (const d of durationsIn(sentence)) {
      const days = Math.floor(d.most / 1440)
      if (days < 1 || days > 800) continue
      // The place that stands next to the time, in the same part of the sentence.
      const part = line.slice(line.lastIndexOf(' or ', d.at) + 1, line.length)
      const near = part
        .slice(0, Math.max(0, d.end - (line.length - part.length)) + 40)
        .split(/ or /)[0]!
      const place = (PLACES.find(([p]) => p.test(near)) ?? PLACES.find(([p]) => p.test(line)))?.[1]
      if (place && !found.has(place)) found.set(place, days)
    }
  }
  return [...found].map(([place, days]) => ({ place, days }))
}
