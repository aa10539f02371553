import { durationsIn } from './durations'
import { plain } from './plain'

/** Where a text says that a dish is kept, and for how many days. */
export interface Keeping {
  place: 'fridge' | 'freezer' | 'shelf'
  days: number
}

const SPEAKS =
  /\b(?:keeps?|kept|stores?|stored|freezes?|frozen|freeze|refrigerate[ds]?|lasts?|good for|use within|eat within|fridge|freezer)\b|^up to \d/
const PLACES: [RegExp, Keeping['place']][] = [
  [/\bfreez|\bfrozen\b/, 'freezer'],
  [/\bfridge\b|\brefrigerat|\bchilled\b/, 'fridge'],
  [/\bairtight\b|\bjars?\b|\btins?\b|\bcupboard\b|\bshelf\b/, 'shelf'],
]

const placeIn = (text: string) => PLACES.find(([p]) => p.test(text))?.[1]

/** Every way of keeping that a text speaks of, each place once, with the days that it names. */
export function keepingsIn(text: string): Keeping[] {
  const found = new Map<Keeping['place'], number>()
  /** The place last spoken of: `it keeps for 3 days there`. */
  let there: Keeping['place'] | undefined
  for (const sentence of text.split(/(?<=[.!?;])\s+|\n/)) {
    const said = plain(sentence)
    if (!SPEAKS.test(said)) {
      there = placeIn(said)
      continue
    }
    const whole = placeIn(said)
    for (const part of sentence.split(/\bor\b|,/i)) {
      const own = placeIn(plain(part))
      // What is eaten within days lies in the fridge, where nothing else is said.
      const soon = /\b(?:eat|use)(?:n|d)? (?:up )?within\b/i.test(part) ? 'fridge' : undefined
      const place = own ?? (/\bthere\b/i.test(part) ? there : (whole ?? there ?? soon))
      // `Freeze what you won't eat in two days`: how long the rest lies there, and not this.
      const rest =
        /\b(?:won['’]t|do(?:es)?n['’]t|do not|will not) (?:be )?(?:eat|eaten|use|used|get through)\b/i
      if (rest.test(part)) continue
      // `Freeze unbaked`: another dish than what comes out of the oven.
      if (
        /\b(?:freeze|frozen|chill)\b[^,.;]*\bun-?(?:baked|cooked|iced|filled|dressed)\b/i.test(part)
      )
        continue
      const days = Math.max(0, ...durationsIn(part).map((d) => Math.floor(d.most / 1440)))
      if (place && days >= 1 && days <= 800 && !found.has(place)) found.set(place, days)
    }
    // What is said next is about the same place, and what is said later not.
    there = whole
  }
  return [...found].map(([place, days]) => ({ place, days }))
}
