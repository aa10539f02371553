import { upperFirst } from '../recipe'

const CUTS: Record<string, string> = {
  chop: 'chop',
  cut: 'cut',
  slice: 'slice',
  dice: 'dice',
  cube: 'dice',
  grate: 'grate',
  shred: 'shred',
  mince: 'mince',
  crush: 'crush',
  halve: 'halve',
  quarter: 'quarter',
  peel: 'peel',
  core: 'core',
  julienne: 'julienne',
  crumble: 'crumble',
  zest: 'zest',
}
const MANNERS =
  /\b(?:finely|thinly|roughly|coarsely|thickly|small|large|chunks|wedges|rings|sticks)\b/g
/** What is said of a food that does not make it another one to cut. */
const QUALITY = /\b(?:large|small|medium|big|fresh|ripe|good|quality|organic|firm|the|of)\b/g

/** A food without what is said of its size and quality, in the singular: what is the same to cut. */
export const foodOf = (item: string) =>
  item
    .toLowerCase()
    .replace(/\(.*?\)|,.*$/g, ' ')
    .replace(QUALITY, ' ')
    .replace(/[^a-zà-ÿ ]/g, ' ')
    .trim()
    .split(/\s+/)
    .map((w) =>
      w
        .replace(/ies$/, 'y')
        .replace(/(o|ch|sh|ss|x)es$/, '$1')
        .replace(/([^s])s$/, '$1'),
    )
    .join(' ')

/** How it is cut: verbs, manner and measure, so that `finely chop` and `chop` differ. */
export function styleOf(text: string): string {
  const words = text.toLowerCase().match(/[a-z]+/g) ?? []
  const verbs = [...new Set(words.flatMap((w) => CUTS[w] ?? []))].sort()
  const manners = [...new Set(text.toLowerCase().match(MANNERS) ?? [])].sort()
  const measure = text.match(/\d+(?:[.,]\d+)?\s?(?:mm|cm)/g) ?? []
  return verbs.length ? [...verbs, ...manners, ...measure].join(' ') : ''
}

/** What has been done to it, to go before its name: `Diced`. */
export const cutName = (text: string) => {
  const verb =
    text
      .toLowerCase()
      .match(/[a-z]+/g)
      ?.filter((w) => CUTS[w])
      .at(-1) ?? 'cut'
  const past: Record<string, string> = { cut: 'Cut', chop: 'Chopped' }
  const done = past[verb] ?? upperFirst(verb) + (verb.endsWith('e') ? 'd' : 'ed')
  return done
}
