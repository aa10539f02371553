/**
 * Text as the patterns below expect it: one kind of dash, space and degree sign, fractions and
 * number words as decimals, spoken times (`half an hour`, `overnight`) as figures. For looking
 * at, never for showing.
 */
export function plain(text: string): string {
  let out = text
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/[\u2018\u2019]/g, "'")
    .replace(/[º˚]/g, '°')
    .replace(/⁄/g, '/')
    .toLowerCase()
  out = out.replace(/(?:(\d+)\s*)?([¼½¾⅓⅔⅛⅜⅝⅞])/g, (_, whole: string | undefined, sign: string) =>
    decimal(Number(whole ?? 0) + FRACTIONS[sign]!),
  )
  out = out.replace(
    /(?:\b(\d+)[ -])?\b(\d)\/(\d{1,2})\b(?!\/)/g,
    (all, whole: string | undefined, over: string, under: string) =>
      Number(over) < Number(under) && Number(under) > 0
        ? decimal(Number(whole ?? 0) + Number(over) / Number(under))
        : all,
  )
  // `5ish minutes`.
  out = out.replace(/(\d) ?-?ish\b/g, '$1')
  out = out.replace(WORD_NUMBER, (word) => String(wordNumber(word)))
  for (const [pattern, figure] of SPOKEN) out = out.replace(pattern, figure)
  // 20' is twenty minutes where nothing but a stop follows.
  out = out.replace(/(\d)'(?=[\s.,;:)]|$)/g, '$1 min')
  return out.replace(BARE, '$1 $2 minutes')
}

const FRACTIONS: Record<string, number> = {
  '¼': 0.25,
  '½': 0.5,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125,
  '⅜': 0.375,
  '⅝': 0.625,
  '⅞': 0.875,
}

const decimal = (value: number) => String(Math.round(value * 1000) / 1000)

const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  )
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')
const SMALL = `(?:(?:${TENS.join('|')})(?:[- ](?:${ONES.slice(1, 10).join('|')}))?|${ONES.slice(1).reverse().join('|')})`
const WORD_NUMBER = new RegExp(
  `\\b(?:(?:(?:${ONES.slice(1, 10).join('|')}|a) hundred(?:(?: and)? ${SMALL})?)|${SMALL})\\b(?!-pot|-pan)`,
  'g',
)

/** `two hundred and twenty` becomes 220. */
function wordNumber(words: string): number {
  let sum = 0
  for (const word of words.split(/[- ]/)) {
    if (word === 'hundred') sum = (sum || 1) * 100
    else if (TENS.includes(word)) sum += 20 + 10 * TENS.indexOf(word)
    else if (ONES.includes(word)) sum += ONES.indexOf(word)
  }
  return sum
}

/** `Rest 5.`, `for another 20`: minutes without saying so. */
const BARE =
  /\b(rest|stand|leave|bake|roast|simmer|another|a further|the last)(?: for)? (\d+(?:\s*(?:-|to)\s*\d+)?)(?=[\s.,;]*$|[,;.]\s|\s+(?:more|then|and|or so|until|till)\b)/g

/** What people say instead of figures, in the order in which it is looked for. */
const SPOKEN: [RegExp, string][] = [
  [/\b(?:an|1) hour and a half\b/g, '1.5 hours'],
  [/\b(?:an|1) hour and a quarter\b/g, '1.25 hours'],
  [/\b(\d+) and a half (hours?|minutes?)\b/g, '$1.5 $2'],
  [/\b(\d+) (hours?|minutes?) and a half\b/g, '$1.5 $2'],
  [/\bhalf an hour\b|\bhalf-hour\b|\b0\.5 an hour\b/g, '30 minutes'],
  [/\b(?:3|three)[- ]quarters of an hour\b|\b0\.75 of an hour\b/g, '45 minutes'],
  [/\b(?:a )?quarter of an hour\b/g, '15 minutes'],
  [/\bhalf a minute\b/g, '30 seconds'],
  [/\b(?:an|another) hour\b/g, '1 hour'],
  [/\b(?:a|another) (week|month)\b/g, '1 $1'],
  [/\b(?:a|another) (?:further )?minute\b/g, '1 minute'],
  [/\ba minute or 2\b|\b1 minute or 2\b/g, '1-2 minutes'],
  [/\b(?:an|1) hour or 2\b/g, '1-2 hours'],
  [/\ba couple of (more )?(hours|minutes|seconds)\b/g, '2 $2'],
  [/\ba few (more )?(hours|minutes|seconds)\b/g, '2-4 $2'],
  [/\bseveral (hours|minutes)\b/g, '4-6 $1'],
  [/\bovernight\b/g, '8-12 hours'],
  [/\ball day\b/g, '8-10 hours'],
  [/\bdozen\b/g, '12'],
]
