import { plain } from './plain'

// For how many a text says it is, in whatever words.

/** How many eat of it, by what a text says anywhere: rather that than how many pieces it makes. */
export function servingsIn(lines: readonly string[]): number | undefined {
  const told = lines.flatMap((l) => l.split(/(?<=[.!?])\s+/))
  for (const pattern of SERVINGS)
    for (const line of told) {
      const m = pattern.exec(plain(line))
      const n = m && Number(m[2] ?? m[1])
      if (n && n <= 200) return n
    }
  return undefined
}
/** What a dish is counted in by those who eat it. */
export const EATEN =
  '(?:bowls|breakfasts|lunch(?:es|boxes)|dinners|suppers|portions|meals|servings|jars|plates|people|pers)'
/** `Pasta bake for the freezer (8)`, `tray of 16`, `Scones -- 8 big ones`: at the end of a name. */
const IN_NAME = [
  new RegExp(`\\((?:[^()]*, )?(\\d{1,2})(?: ${EATEN})?\\)\\s*$`, 'i'),
  /\b(?:tray|tin|batch|box) of (\d{1,2})$/i,
  new RegExp(
    `[-–—,] (?:about )?(\\d{1,2}) (?:(?:big |small |large |good )?(?:ones|pieces)|${EATEN})\\s*$`,
    'i',
  ),
]
/** `5 lunches`, `6 hungry people`: a line of its own. */
export const JUST_SERVES = new RegExp(
  `^(?:about )?(\\d{1,2}) (?:hungry |big |small |good |generous )?${EATEN}\\.?$`,
  'i',
)
/** `(6 bowls)`. */
const UNDER_NAME = [
  /^for [^\d]{3,40}\((\d{1,2})\)\.?$/i,
  new RegExp(`^\\((\\d{1,2}) ${EATEN}\\)$`, 'i'),
  JUST_SERVES,
]
/** How many a name or the line under it says it is for. */
export function inNameOf(lines: readonly string[]): number | undefined {
  const [first = '', second = ''] = lines.filter(Boolean)
  const told = (line: string, ways: readonly RegExp[]) =>
    ways.flatMap((way) => way.exec(line)?.[1] ?? [])[0]
  const many = told(first, [...IN_NAME, JUST_SERVES]) ?? told(second, UNDER_NAME)
  return many === undefined ? undefined : Number(many)
}

/** `Makes 2 pies, each for 4`. */
export function eachFor(lines: readonly string[]): number | undefined {
  for (const line of lines) {
    const m =
      /\b(?:makes|yields?)\s*:?\s*(\d+)\b[^.]{0,25}?\b(?:each|apiece)(?: (?:one )?(?:for|serves|serving|feeds|feeding))?\s+(\d+)\b(?!\s*(?:g|kg|ml|cm)\b)/.exec(
        plain(line),
      )
    if (m) return Number(m[1]) * Number(m[2])
  }
  return undefined
}
/** `Dinner for 4, plus four portions for the freezer`: both. */
export function andMore(lines: readonly string[]): number | undefined {
  for (const line of lines) {
    const m =
      /\b(?:for|serves|feeds) (\d{1,2})(?: people| tonight| now)?,? (?:plus|and|with|\+) (?:another |a further )?(\d{1,2}) (?:more |extra )?(?:portions? |servings? |meals? |boxes )?(?:for|in|to go in) the freezer/.exec(
        plain(line),
      )
    if (m) return Number(m[1]) + Number(m[2])
    const left = /\b(\d{1,2}) people,? (?:plus|and|with) leftovers for (\d{1,2})\b/.exec(
      plain(line),
    )
    if (left) return Number(left[1]) + Number(left[2])
    const all = oldAndYoung(line)
    if (all !== undefined) return all
  }
  return undefined
}

/** `Serves 4 kids + 2 grown ups`. */
function oldAndYoung(line: string): number | undefined {
  const m =
    /\b(?:serves|feeds|for) (\d{1,2}) (?:kids|children|little ones|adults|grown-? ?ups) ?(?:\+|and|&|plus) ?(\d{1,2}) (?:kids|children|little ones|adults|grown-? ?ups)\b/.exec(
      plain(line),
    )
  return m ? Number(m[1]) + Number(m[2]) : undefined
}

/** `Makes 12 squares`, in the last words of a method: by the piece, where nothing else is said. */
export function cutInto(lines: readonly string[]): number | undefined {
  for (const line of lines) {
    const m =
      /(?:^|[.!;] ?)(?:makes|gives|fills|cuts? into|cut into) (?:about |around )?(\d{1,2})(?: (?:good |big |small |large |generous )?(?:squares|slices|pieces|bars|wedges|buns|rolls|muffins|scones|burritos|wraps|jars)\b|(?=[.!]|$))/.exec(
        plain(line),
      )
    if (m) return Number(m[1])
  }
  return undefined
}
const COUNT = String.raw`(?:about |around |up to |approx\.? )?(\d+)(?:\s*(?:-|to|or)\s*(\d+))?`
const SERVINGS = [
  new RegExp(String.raw`\b(?:makes|gives) [^.!?]{0,40}\benough for ${COUNT}`),
  new RegExp(
    String.raw`\b(?:serves|feeds?|serving)\s*:?\s*(?:a family of )?${COUNT}(?!\s*(?:g|kg|ml|minutes|hours|min)\b)`,
  ),
  new RegExp(String.raw`\b(?:servings|portions|persons|people|eaters)\s*:\s*${COUNT}`),
  new RegExp(String.raw`\b(?:makes|gives|is) [^.!?]{0,40}\bfor ${COUNT}[.!]?$`),
  new RegExp(String.raw`^for ${COUNT}[.!]?$`),
  new RegExp(String.raw`\bfor ${COUNT} (?:people|persons|eaters|of us|hungry)\b`),
  new RegExp(String.raw`\b${COUNT} (?:people|persons|eaters)\b`),
  new RegExp(
    String.raw`^[^.!?]{0,50}\b${COUNT}\s*(?:generous |good |large |small )?(?:servings|portions)\b(?:[^.!?]|\.\d){0,24}[.)]?$`,
  ),
]
