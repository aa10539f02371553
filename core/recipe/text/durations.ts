import { plain } from './plain'

/** A stretch of time that a text speaks of. */
export interface Duration {
  /** Minutes; what a text leaves open (`at least`, `up to`) is 0 or the stated figure again. */
  least: number
  most: number
  /** Where it stands in the plain text. */
  at: number
  end: number
  /**
   * What it is: how long a step takes (`span`), how often something is done, when something
   * happens within a step (`moment`), how soon what follows must follow (`within`), how long food
   * keeps, or minutes for each so many grams.
   */
  kind: 'span' | 'every' | 'moment' | 'within' | 'keeps' | 'perWeight'
  /** For `perWeight`: grams for which the minutes count. */
  grams?: number
  open?: 'least' | 'most'
  /** `each side`: counted twice already. */
  sides?: boolean
}

const UNIT = '(hours?|hrs?\\.?|h|minutes?|mins?\\.?|m|seconds?|secs?\\.?|s|days?|weeks?|months?)'
const NUMBER = '(\\d+(?:[.,]\\d+)?)'
const PART = `${NUMBER}\\s*-?\\s*(?:(?:more|further|extra|additional) )?${UNIT}(?![a-z°])`
/** `1 hour 30 minutes`, `1h30`, `10 minutes`. */
const ONE = `${PART}(?:\\s*(?:and|,)?\\s*${NUMBER}\\s*(minutes?|mins?\\.?|m|seconds?|secs?\\.?|s)?(?![a-z0-9°%]|[.,]\\d|\\s*(?:-|to|g\\b|ml\\b|°)))?`
const RANGE = new RegExp(
  `(?:between\\s+)?(?:${NUMBER}\\s*(?:-|to|or|and)\\s*)?${ONE}(?:\\s*(?:-|to|or)\\s*${ONE})?`,
  'g',
)

const MINUTES: Record<string, number> = { h: 60, m: 1, s: 1 / 60, d: 1440, w: 10_080 }
const perUnit = (unit: string) => (unit.startsWith('month') ? 43_200 : MINUTES[unit[0]!]!)

/** Every stretch of time in a text, in order. */
export function durationsIn(text: string): Duration[] {
  const line = plain(text)
  const found: Duration[] = []
  for (const match of line.matchAll(RANGE)) {
    const [whole, first, n1, u1, n2, u2, n3, u3, n4, u4] = match
    // Single letters are units only straight behind their figure: 1h30, 20m.
    if (u1!.length === 1 && !new RegExp(`\\d\\s?${u1!}(?![a-z])`).test(whole)) continue
    if (u1 === 'm' && /^\s*(?:long|wide|deep|of)/.test(line.slice(match.index + whole.length)))
      continue
    const minutes = (n: string, unit: string, more?: string, smaller?: string) =>
      number(n) * perUnit(unit) +
      (more === undefined ? 0 : number(more) * (smaller?.startsWith('s') ? 1 / 60 : 1))
    const high = minutes(n1!, u1!, n2, u2)
    let least = first === undefined ? high : number(first) * perUnit(u1!)
    let most = high
    if (n3 !== undefined) {
      least = high
      most = minutes(n3, u3!, n4, u4)
    }
    if (least > most) [least, most] = [most, least]
    const at = match.index
    const end = at + whole.length
    found.push({ least: round(least), most: round(most), at, end, ...kindOf(line, at, end) })
  }
  const kept = found.map((d) => {
    if (d.sides) return { ...d, least: 2 * d.least, most: 2 * d.most }
    if (d.open === 'most' && d.kind === 'span') return { ...d, least: 0 }
    return d
  })
  return kept
}

const number = (text: string) => Number(text.replace(',', '.'))
const round = (value: number) => Math.round(value * 100) / 100

/** What the words around a duration say about it. */
function kindOf(
  line: string,
  at: number,
  end: number,
): Pick<Duration, 'kind' | 'grams' | 'open' | 'sides'> {
  const before = line.slice(Math.max(0, at - 44), at)
  const after = line.slice(end, end + 44)
  const weight =
    /^\s*(?:per|for (?:each|every)|(?:a|each))\s+(\d+(?:\.\d+)?)?\s*(kg|kilo(?:gram)?s?|g|grams?|lbs?|pounds?)\b/.exec(
      after,
    )
  if (weight) {
    const unit = weight[2]!
    const grams = /^k/.test(unit) ? 1000 : /^g/.test(unit) ? 1 : 453.6
    return { kind: 'perWeight', grams: Math.round(Number(weight[1] ?? 1) * grams) }
  }
  // `2 minutes less than the packet says`: how long that is stands elsewhere.
  // Nobody cooks for months.
  if (/\bmonth/.test(line.slice(at, end))) return { kind: 'keeps' }
  // `Fridge half (4 days)`, `into the fridge: 4 days`.
  if (
    ((/\(\s*(?:up to |for )?$/.test(before) && /^\s*\)/.test(after)) ||
      /\b(?:fridge|freezer)\s*[:(,]\s*(?:up to )?$/.test(before)) &&
    /\b(?:day|week)/.test(line.slice(at, end))
  )
    return { kind: 'keeps' }
  if (/^\s*(?:less|more|longer|shorter|fewer) than\b/.test(after)) return { kind: 'moment' }
  // `Packet minus 2 minutes`.
  if (/\b(?:minus|less)\s*$/.test(before)) return { kind: 'moment' }
  if (
    /\bthe (?:next|coming|whole)\s*$/.test(before) &&
    /\b(?:day|week|month)/.test(line.slice(at, end))
  )
    return { kind: 'keeps' }
  if (/\bevery\s*(?:other\s*)?(?:about\s*)?$/.test(before)) return { kind: 'every' }
  if (/\b(?:within|no more than|not more than)\s*$/.test(before) && /\bwithin\s*$/.test(before))
    return { kind: 'within' }
  if (
    (/\b(?:keeps?|stored?|freezes?|frozen|lasts?|good)\b[^.;]*\b(?:for )?(?:up to|about)?\s*$/.test(
      before,
    ) ||
      /\b(?:refrigerate|freeze|fridge|freezer|chill|chilled)\b[^.;]*\bup to\s*$/.test(before) ||
      /\b(?:eat|eaten|use|used|finish)\b[^.;]*\b(?:within|inside|in)\s*$/.test(before) ||
      /^\s*in the (?:fridge|freezer)/.test(after) ||
      // `Cool, jar, fridge 1 week`.
      /(?:^|[,;] ?)(?:fridge|freezer)\s*(?:for )?$/.test(before)) &&
    /\b(?:day|week|month)/.test(line.slice(at, end))
  )
    return { kind: 'keeps' }
  if (
    /^\s*(?:before|after the|ahead|in advance|from the end|earlier)\b/.test(after) &&
    !/\b(?:for|rest|stand|sit|settle|relax|leave it|at least|chill|cool)\s*(?:about |around |another |a further )?$/.test(
      before,
    )
  )
    return { kind: 'moment' }
  if (
    /\b(?:after(?: about| around| the first)?|halfway(?: through)?|(?:for|in|during) the (?:last|final|first)|the (?:last|final))\s*$/.test(
      before,
    ) &&
    !/\b(?:after|for) (?:a further|another)\s*$/.test(before)
  )
    return { kind: 'moment' }
  const sides =
    /^\s*(?:per side|(?:on|for) (?:each|both) sides?|each side|a side|on either side|on both sides)\b/.test(
      after,
    )
      ? { sides: true }
      : {}
  if (/\b(?:at least|minimum of|a minimum of|no less than)\s*$/.test(before))
    return { kind: 'span', open: 'least', ...sides }
  if (/\b(?:up to|at most|no more than|no longer than|not more than|maximum of)\s*$/.test(before))
    return { kind: 'span', open: 'most', ...sides }
  return { kind: 'span', ...sides }
}
