import { COUNTS, UNIT_WORDS } from './ingredientLine'

/** `Black beans 3 tins (400 g), drained`, `onion 2`: the name, how much of it, and how it is prepared. */
const LAST = new RegExp(
  String.raw`^[-*•]?\s*([a-z][a-z' -]{1,38}[a-z]),?\s+(\d+(?:[.,/]\d+)?(?:\s*[-–]\s*\d+)?\s?(?:(?:small|large|big|medium)\b ?)?(?:(?:cm|inch) )?(?:${UNIT_WORDS}|${COUNTS})?(?:\s*\([^)]*\))?)\s*(,.*)?$`,
  'i',
)
/** `Coriander, small bunch`. */
const IN_WORDS =
  /^[-*•]?\s*([a-z][a-z' -]{1,38}[a-z]),\s+((?:an? )?(?:small |large |big )?(?:bunch|handful|pinch|sprig|knob|splash|squeeze))\s*$/i
/** What a text says of itself with a number behind it. */
const ABOUT =
  /^(?:serves|servings?|makes|feeds|yields?|portions|people|time|prep\w*|cook\w*|total|ready|oven|bake|rest|step|day|part|page|for|about|gas|fan|makes about)\b/i
/** So many lines are a list, and no accident. */
const LEAST = 3

/**
 * The lines of a text with those of a list that gives amounts behind the names, `onion 2`, turned round to
 * `2 onion`. A text that has no such list comes back as it is.
 */
export function amountsFirst(lines: readonly string[]): string[] {
  const turned = lines.map((line) => {
    const last = ABOUT.test(line) ? undefined : (LAST.exec(line) ?? undefined)
    if (last) return `${last[2]!.trim()} ${last[1]!.trim()}${last[3] ?? ''}`
    const words = IN_WORDS.exec(line)
    return words ? `1 ${words[2]!.replace(/^an? /i, '')} ${words[1]!}` : undefined
  })
  if (turned.filter((t) => t !== undefined).length < LEAST) return [...lines]
  // One that stands alone may be anything.
  const near = (k: number) => [k - 2, k - 1, k + 1, k + 2].some((i) => turned[i] !== undefined)
  return lines.map((line, k) => (near(k) ? (turned[k] ?? line) : line))
}
