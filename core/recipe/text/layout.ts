import { amountsFirst } from './amountLast'
import { durationsIn } from './durations'
import { temperaturesIn } from './temperatures'
import { isHeading, sentencesOf } from './sentences'
import { plain } from './plain'
import { COUNTS, readIngredientLine } from './ingredientLine'
import {
  END,
  LABELLED,
  MOST_INGREDIENTS,
  isListLine,
  piecesOf,
  severalIn,
  splitLine,
  splitLines,
  COMES_OF_IT,
} from './lists'
import { ingredientsInProse } from './prose'
import { clausesOf } from './clauses'
import { andMore, cutInto, eachFor, EATEN, inNameOf, JUST_SERVES, servingsIn } from './servings'

/** A pasted recipe, told apart into its parts. */
export interface Layout {
  name: string
  serves: number | undefined
  ingredients: string[]
  /** The heading that each ingredient stands under. */
  groups?: (string | undefined)[]
  method: string
  doubts: string[]
}

const INGREDIENTS =
  /^(?:#+\s*)?(?:\*\*)?(?:the )?(?:ingredients|you(?:'ll| will)? need|what you need|shopping list)(?: \([^)]*\))?(?:\*\*)?\s*:?(?:\*\*)?$/i
const METHOD =
  /^(?:#+\s*)?(?:\*\*)?(?:the )?(?:method|directions|instructions|preparation|steps|step (?:1|one)|what (?:to|you) do|how(?: to(?: make it)?)?|procedure|to make)(?:\*\*)?\s*:?(?:\*\*)?$/i
const OTHER =
  /^(?:#+\s*)?(?:\*\*)?(?:notes?|tips?|storage|nutrition|to store)(?:\*\*)?\s*:?(?:\*\*)?$/i
const SERVES =
  /\b(?:serves|feeds|servings?|yields?|makes|enough for|for|portions?)\s*:?\s*(?:about |approx\.? |around )?(\d+)(?!\d|[.,]\d|\s*(?:k?g|grams?|m?l|litres?|cm|oz|lbs?|pints?|minutes?|mins?|hours?)\b)(?:\s*(?:-|to)\s*(\d+))?(?:\s*(?:people|servings|portions|persons))?|\b(\d+)(?:\s*(?:-|to)\s*(\d+))?\s*(?:servings|portions|people)\b/i

/** Title, servings, ingredient lines and method of a text, by its headings or by what lines look like. */
export function layoutOf(text: string): Layout {
  const lines = unfolded(text)
  const doubts: string[] = []
  let serves: number | undefined
  const at = (pattern: RegExp) => lines.findIndex((l) => pattern.test(l))
  let name = ''
  const kind: ('other' | 'ingredient' | 'method')[] = lines.map(() => 'other')
  const start = at(INGREDIENTS)
  const method = lines.findIndex((l, i) => METHOD.test(l) && i > start)
  lines.forEach((line, i) => {
    if (!line) return
    if (serves === undefined && line.length < 90 && (start < 0 || i <= start || i < 6)) {
      const bare = line.replace(/[*_#]/g, '').replace(/^[\s>-]+/, '')
      const m = SERVES.exec(plain(bare))
      const inName =
        /\((?:[a-z]+ )?(?:makes|serves|feeds)\s[^)]*\)|[-–,|]\s*(?:makes|serves|feeds)\s\d+|\s(?:makes|serves|feeds)\s\d+$|\bfor \d+$/i.test(
          plain(bare),
        )
      if (
        m &&
        !/^\d+\s*(?:g|kg|ml)/.test(plain(bare)) &&
        (inName || looksLikeMeta(bare) || INGREDIENTS.test(bare) || /\|.*\bserves\b/i.test(bare))
      )
        serves = Number(m[2] ?? m[1] ?? m[4] ?? m[3])
    }
  })
  if (start >= 0 || method >= 0) {
    let now: 'other' | 'ingredient' | 'method' = 'other'
    lines.forEach((line, i) => {
      if (INGREDIENTS.test(line)) now = 'ingredient'
      else if (METHOD.test(line)) now = 'method'
      else if (OTHER.test(line)) now = 'other'
      else kind[i] = now
    })
    if (method < 0) splitByLook(lines, kind, start + 1, doubts)
    else if (start < 0) splitByLook(lines, kind, 0, doubts, method)
  } else splitByLook(lines, kind, 0, doubts)
  const first = lines.findIndex(
    (l, i) => l && l !== END && kind[i] === 'other' && !INGREDIENTS.test(l) && !METHOD.test(l),
  )
  if (first >= 0 && !looksLikeMeta(lines[first]!))
    name = lines[first]!.replace(/^#+\s*/, '')
      .replace(/\s*\|.*$/, '')
      .replace(/\*\*/g, '')
      // `Bean burgers -- makes 8, freeze half`: a note behind the name.
      .replace(/\s+(?:--|—|–|-)\s+(?:makes|serves|feeds|enough|freez|for)\b.*$|\s+--\s+.*$/i, '')
      .replace(
        /\s*[(\-–—,]?\s*\b(?:makes|serves|feeds)\s+(?:\d+|[a-z]+)(?: [a-z]+)?(?: (?:to|or) \w+)?\)?\s*$/i,
        '',
      )
      .replace(/\s*\((?:makes|serves|feeds)\b[^)]*\)\s*$/i, '')
      .replace(/,? (?:an? )?(?:tray|tin|batch|box) of \d{1,2}$/i, '')
      // `Minestrone - big pot, 8 bowls`.
      .replace(new RegExp(`\\s+[-–—]\\s[^-–—]*\\b\\d{1,2} ${EATEN}\\b[^-–—]*$`, 'i'), '')
      .replace(/\s*\(\d{1,2}\)$/, '')
  if (!name) {
    name = 'A recipe without a name'
    doubts.push('no name was found')
  }
  const [pieces] = lines.slice(0, 6).flatMap((l) => COMES_OF_IT.exec(l)?.[1] ?? [])
  // `Overnight oats x 5 jars`.
  const times = /(?: |\()x ?(\d{1,2})(?: [a-z]+)?\)?(?: \([^)]*\))?$/i.exec(name)?.[1]
  // `One tart, 8 slices`: eaten by the slice.
  serves =
    eachFor(lines) ??
    andMore(lines) ??
    servingsIn(lines) ??
    ([pieces].map(Number).find((n) => n > 0) || undefined) ??
    serves ??
    inNameOf(lines) ??
    (Number(times) || undefined) ??
    cutInto(lines)
  if (serves === undefined) doubts.push('how many it serves is not stated: 4 is a guess')
  const listed: { line: string; group: string | undefined }[] = []
  let group: string | undefined
  // An empty line ends what stands under a heading, unless there is one behind every line.
  const own = lines.map((l, i) => kind[i] === 'ingredient' && l !== '' && l !== END)
  const spaced = own.filter((is, i) => is && !lines[i + 1]).length * 2 > own.filter(Boolean).length
  let under = 0
  lines.forEach((l, i) => {
    if (l === END || (!l && !spaced && under > 0)) group = undefined
    if (kind[i] !== 'ingredient' || !l || l === END) return
    if (
      isMarked(l) ||
      isCapitals(l) ||
      isHeading(l) ||
      isTitled(lines, i) ||
      GROUP.test(l.replace(/:$/, ''))
    ) {
      group = l.replace(/^#+\s*|:$/g, '')
      under = 0
    } else {
      listed.push({ line: l, group })
      under++
    }
  })
  const steps = lines.filter((l, i) => kind[i] === 'method' && l && l !== END)
  const split =
    listed.length === 1
      ? splitLines([listed[0]!.line]).map((line) => ({ line, group: listed[0]!.group }))
      : listed
          .slice(0, MOST_INGREDIENTS)
          .flatMap(({ line, group: over }) =>
            splitLine(line).map((l) => ({ line: l, group: over })),
          )
  if (split.length > MOST_INGREDIENTS || listed.length > MOST_INGREDIENTS)
    doubts.push(`only the first ${MOST_INGREDIENTS} ingredients were read`)
  const ingredients = split.slice(0, MOST_INGREDIENTS)
  if (!ingredients.length) {
    const { items, sentence } = toldIn(lines.slice(lines.findIndex(Boolean) + 1))
    for (const line of items.length ? items : ingredientsInProse(steps.join(' ')))
      ingredients.push({ line, group: undefined })
    // What only says what is needed is nothing to do.
    if (sentence) steps.splice(0, steps.length, ...steps.map((l) => l.replace(sentence, '').trim()))
  }
  if (!ingredients.length) doubts.push('no list of ingredients was found')
  return {
    name: spoken(name.replace(/\s*\([^)]*$/, '').replace(/[:.,\s]+$/, '')),
    serves,
    ingredients: ingredients.map((i) => i.line),
    groups: ingredients.map((i) => i.group),
    method: [...(ovenAbove(lines, kind) ?? []), ...steps].filter(Boolean).join('\n'),
    doubts,
  }
}

/** `Gas 3. Feeds four`: the oven's heat, said above the list and nowhere else. */
function ovenAbove(lines: readonly string[], kind: readonly string[]): string[] | undefined {
  const isOven = (line: string) => temperaturesIn(line).some((t) => t.of !== 'core')
  if (lines.some((l, i) => kind[i] === 'method' && isOven(l))) return undefined
  const above = lines.slice(0, kind.indexOf('method')).filter((l, i) => kind[i] === 'other' && l)
  const heat = above.flatMap(
    (l) => /\b(?:gas(?: mark)? \d|\d{3} ?(?:°|º|degrees)? ?[CF]\b(?: fan)?)/i.exec(l)?.[0] ?? [],
  )[0]
  return heat === undefined ? undefined : [`Heat the oven to ${heat}.`]
}

/** A name in capitals as one writes it in a sentence. */
const spoken = (name: string) =>
  /[a-z]/.test(name) ? name : name.charAt(0) + name.slice(1).toLowerCase()

/** `## Sauce`: a heading by its mark. */
const isMarked = (line: string) => /^#+\s/.test(line)

/** `White sauce`: a heading by standing over amounts, behind an empty line. */
const isTitled = (lines: readonly string[], i: number): boolean =>
  i > 0 &&
  (!lines[i - 1] || looksLikeMeta(lines[i - 1]!) || followsTitled(lines, i)) &&
  /^[A-Z][A-Za-z&' -]{2,30}$/.test(lines[i]!) &&
  !OF_WHICH.test(lines[i]!) &&
  /^[-*•]?\s*\d/.test(plain(lines[i + 1] ?? '')) &&
  !/^(?:method|directions|instructions|preparation|steps|ingredients)\b/i.test(lines[i]!)
/** `Veg`, in a list without gaps that began with `Grains`: a heading as well. */
function followsTitled(lines: readonly string[], i: number): boolean {
  if (!/^[A-Z][a-z]+(?: [a-z]+)?$/.test(lines[i]!) || SEASONING.test(lines[i]!)) return false
  let top = i - 1
  while (top > 0 && lines[top - 1] && !looksLikeMeta(lines[top - 1]!)) top--
  return top < i && isTitled(lines, top)
}
const SEASONING =
  /\b(?:salt|pepper|oil|butter|water|sugar|vinegar|flour|seasoning|thyme|parsley|coriander|mint|basil|bay)\b/i

/** `Bones of 1 chicken`, `juice of a lemon`: a part of something, and a thing on the list by itself. */
const OF_WHICH =
  /^(?:the )?(?:bones?|carcass(?:es)?|juice|zest|rind|whites?|yolks?) (?:and [a-z]+ )?(?:of|from) /i
/** `OATS`: a heading by its letters. */
const isCapitals = (line: string) => /^[A-Z][A-Z &'’-]{2,30}:?$/.test(line)
const GROUP =
  /^(?:(?:for )?the .{2,40}|for .{2,40}|to (?:serve|finish|garnish|assemble|decorate|glaze|cook)|on the day|topping|filling|sauce|dressing|dough|marinade|base|crust|glaze|icing|salad|slaw|rub|stuffing|gravy)$/i

/** Lines of a text; headings with something behind them and a name in front of it all on their own. */
function unfolded(text: string): string[] {
  const lines = amountsFirst(
    withoutTables(
      text
        .replace(/\t/g, ' ')
        .split(/\r?\n/)
        .map((l) => l.replace(/(^|[:,;] )(?:a )?quarter of an? (?=[a-z])/gi, '$11/4 '))
        .flatMap((l) => piecesOf(l.trim())),
    ),
  ).flatMap((l) => {
    const m =
      /^((?:the )?(?:ingredients|you(?:'ll)? need|method|directions|instructions|preparation|steps))\s*:\s*(\S.*)$/i.exec(
        l,
      )
    const parts = (m ? m[2]! : l)
      .split(/[;.]\s+(?=(?:and )?for the [a-z ]{3,25}? \d)/i)
      .map((p, i) => (i ? p.replace(/^(?:and )?(for the [a-z ]{3,25}?) (?=\d)/i, '$1: ') : p))
    if (parts.length > 1) return [...(m ? [`${m[1]}:`] : []), ...parts.flatMap(severalIn)]
    return m ? [`${m[1]}:`, m[2]!] : severalIn(l)
  })
  const first = lines.findIndex(Boolean)
  const named = /^([^.!?]{3,60})\.\s+((?:makes|serves|feeds|for \d)\b.{0,40})$/i.exec(
    lines[first] ?? '',
  )
  if (named) lines.splice(first, 1, named[1]!, named[2]!)
  // `6 portions. 1 kg carrots, 1 onion`.
  lines.splice(
    0,
    lines.length,
    ...lines.flatMap((l) => {
      const m = /^((?:serves |makes )?\d+(?: (?:portions|servings|people))?)\.\s+(\d.*)$/i.exec(l)
      return m && /[a-z]/i.test(m[1]!) ? [m[1]!, m[2]!] : [l]
    }),
  )
  const opening = /^([^.:!?]{3,60})[.:]\s+(?=\S)(.{30,})$/s.exec(lines[first] ?? '')
  if (
    opening &&
    /[.!?;]|\d/.test(opening[2]!.replace(/\s*\([^)]*\)$/, '')) &&
    !/^\d/.test(opening[1]!) &&
    !clausesOf(opening[1]!).length
  )
    lines.splice(first, 1, opening[1]!, opening[2]!)
  return lines
}

const AMOUNT_HEAD = /^(?:amounts?|how much|quantit(?:y|ies)|qty|weight)$/i

/** `| flour | 250 g |`: the rows of a table as lines with the amount in front. */
function withoutTables(lines: string[]): string[] {
  const out: string[] = []
  let column = -1
  for (const line of lines) {
    if (!/^\|.*\|$/.test(line)) {
      column = -1
      out.push(line)
      continue
    }
    const cells = line
      .slice(1, -1)
      .split('|')
      .map((c) => c.trim())
    if (cells.every((c) => /^:?-*:?$/.test(c))) continue
    const head = cells.findIndex((c) => AMOUNT_HEAD.test(c))
    if (head >= 0) {
      column = head
      continue
    }
    const first = column >= 0 ? column : cells.findIndex((c) => /^\d/.test(plain(c)))
    if (first < 0) out.push(cells.filter(Boolean).join(' '))
    else out.push([cells[first]!, ...cells.filter((c, i) => c && i !== first)].join(' '))
  }
  return out
}

const looksLikeMeta = (line: string) =>
  JUST_SERVES.test(line) ||
  (/^[^|]{0,40}\|/.test(line) && /\b(?:serves|makes|feeds)\b/i.test(line) && line.length < 90) ||
  COMES_OF_IT.test(line) ||
  /^(?:#+\s*)?[*_]{0,3}(?:serves|feeds|servings?|yields?|makes|enough for|for \d|portions?|prep|cook(?:ing)? time|total|ready in|time|\d+ (?:servings|portions|people)|by )/i.test(
    line,
  ) ||
  /^[*_]{0,3}(?:\(?(?:serves|makes|for (?=about |\d|one|two|three|four|five|six|eight|ten|twelve)) ?)/i.test(
    line,
  )

/** `You want a chicken, two leeks and a glass of wine`: ingredients told in a sentence. */
function toldIn(steps: string[]): { items: string[]; sentence?: string } {
  for (const sentence of steps.flatMap(sentencesOf)) {
    const amounts = sentence.split(
      /,\s*(?=\d|half an? |an? [a-z]+ of |the juice|juice of|zest of|some )/,
    )
    if (/^\d/.test(sentence) && amounts.length > 2)
      return { items: amounts.map((a) => a.replace(/\.$/, '')) }
    const m = /^(?:you(?:'ll| will)? (?:want|need)|get hold of|buy)\s+(.+?)\.?$/i.exec(sentence)
    const items = m?.[1]!
      .split(/,\s*(?:and\s+)?|\s+and\s+(?=\d|an?\s|half|some|the\s)/)
      .filter(Boolean)
    if (items) return { items, sentence }
  }
  return { items: [] }
}

/** Without headings: short lines that begin with an amount, then sentences with commands. */
/** `1 Preheat the oven`, with a 2 and a 3 behind it: numbers of steps, without a point. */
const isFirst = (lines: readonly string[], i: number) => {
  const next = lines.slice(i + 1).filter((l) => l && l !== END)
  const is = (line: string | undefined, n: number) =>
    new RegExp(`^${n} [A-Z][a-z]`).test(line ?? '')
  return is(lines[i], 1) && is(next[0], 2) && (next.length < 2 || is(next[1], 3))
}
/** `Oil for frying`, `butter, for the tin`. */
const FOR_USE =
  /^[a-zA-Z ]{3,30},? (?:for|to) (?:the |your )?(?:tins?|trays?|pan|dish|greas(?:e|ing)|frying|dust(?:ing)?|rolling|brushing|serv(?:e|ing))$/i
/** `salt, pepper, 1 tsp smoked paprika`. */
const SEASONINGS = /^(?:sea |flaky )?salt(?:,| and| &) (?:[a-z]+ )?pepper\b[^.;:]{0,60}$/i
/** Two or three small words without a full stop, at the end of a list. */
const isLoose = (lines: readonly string[], i: number) =>
  /^[a-z][a-z' -]{2,40}$/.test(lines[i]!) && lines[i]!.split(' ').length <= 4 && !lines[i + 1]

const isNumbered = (line: string) => /^(?:step\s*)?\d{1,2}\s*[.):]\s/i.test(line)
/** A sentence with a list behind it: three lines that begin with a figure, of the next four. */
function isAboveList(lines: readonly string[], i: number): boolean {
  if (/^\W*\d/.test(plain(lines[i]!)) || !/[.!?]$|^.{40,}$/.test(lines[i]!)) return false
  const next = lines.slice(i + 1).filter((l) => l && l !== END && !looksLikeMeta(l))
  const counted = (l: string) =>
    /^(?:[-*•·–▢☐□]\s*)?(?:\d|½|¼|¾)/.test(l) && !isNumbered(l) && l.length < 70
  return next.slice(0, 4).filter(counted).length > 2
}

const DAY_LINE =
  /^(?:mon|tues|wednes|thurs|fri|satur|sun)day(?: (?:night|evening|morning|afternoon))?:?$|^(?:the (?:night|day|evening) before|on the day|the next (?:day|morning)):?$/i
/** `Thumb of ginger, cut into matchsticks`, `nest of egg noodles per person`. */
const PORTION_OF = new RegExp(
  String.raw`^(?:[-*•·–▢☐□]\s*)?(?:${COUNTS})(?:-sized [a-z]+)? of\b`,
  'i',
)

function splitByLook(
  lines: string[],
  kind: ('other' | 'ingredient' | 'method')[],
  from: number,
  doubts: string[],
  to = lines.length,
): void {
  let inMethod = false
  let seen = false
  for (let i = from; i < to; i++) {
    const line = lines[i]!
    if (!line || line === END) continue
    if (looksLikeMeta(line)) {
      // `Portion into 5 tubs with sauce`, at the end of what is told.
      if (inMethod) kind[i] = clausesOf(line).length ? 'method' : 'other'
      continue
    }
    // `For the sauce: 4 tbsp tahini, juice of half a lemon, water`.
    if (!inMethod && LABELLED.test(line)) {
      kind[i] = 'ingredient'
      seen = true
      continue
    }
    // A list in one line, under its heading or before anything is told.
    if (
      !inMethod &&
      isListLine(line) &&
      (INGREDIENTS.test(lines[i - 1] ?? '') || !clausesOf(line).length || !seen)
    ) {
      kind[i] = 'ingredient'
      seen = true
      continue
    }
    // `Friday night`: when what follows is done.
    if (seen && DAY_LINE.test(line)) {
      kind[i] = 'method'
      inMethod = true
      continue
    }
    // `butter for the tin`, at the end of a list: a thing, though it could be a command.
    if (
      !inMethod &&
      kind[i - 1] === 'ingredient' &&
      (FOR_USE.test(line) || SEASONINGS.test(line) || isLoose(lines, i))
    ) {
      kind[i] = 'ingredient'
      continue
    }
    if (!inMethod && OF_WHICH.test(line) && line.length < 60) {
      kind[i] = 'ingredient'
      seen = true
      continue
    }
    // `Dal:`, `White sauce` over amounts.
    if (
      !inMethod &&
      (isHeading(line) || isTitled(lines, i)) &&
      /^[-*•]?\s*\d/.test(plain(lines[i + 1] ?? ''))
    ) {
      kind[i] = 'ingredient'
      continue
    }
    // A heading by its mark belongs to what comes under it.
    if (isMarked(line) && i !== lines.findIndex(Boolean)) {
      const next = lines.slice(i + 1).find(Boolean) ?? ''
      const told = inMethod || /^(?:step\s*)?\d{1,2}\s*[.):]\s/i.test(next)
      kind[i] = told ? 'method' : seen ? 'ingredient' : 'other'
      continue
    }
    if (!inMethod && line.length < 45 && GROUP.test(line.replace(/:$/, ''))) {
      kind[i] = 'ingredient'
      continue
    }
    // A name may begin with a number in words: `Three-bean chilli`.
    if (i === lines.findIndex(Boolean) && /^[A-Z][^.:;!?]{2,60}$/.test(line)) {
      const named = !lines[i + 1] || looksLikeMeta(lines[i + 1]!)
      if (named) continue
    }
    // So is a first line that stands above a list or a heading, whatever its words.
    if (i === lines.findIndex(Boolean) && !/^\d/.test(line) && line.length < 90) {
      const next = lines.slice(i + 1).find(Boolean) ?? ''
      if (isCapitals(next) || isListLine(next) || /^[-*•]?\s*\d/.test(plain(next))) continue
    }
    if (!inMethod && isCapitals(line)) {
      kind[i] = 'ingredient'
      continue
    }
    // `Takes all day but you do nothing.`, above a list: talk.
    if (!inMethod && !seen && !isNumbered(line) && isAboveList(lines, i)) continue
    const bullet = /^[-*•·–▢☐□]\s*/.test(line)
    // `overnight rolls` is no number of hours of rolls.
    const amount =
      !/^overnight\b/i.test(line) &&
      /^(?:[-*•·–▢☐□]\s*)?(?:about |a |an |half )?\d|^(?:[-*•·–▢☐□]\s*)?(?:a|an|half|salt|pepper|oil|some|pinch|handful|juice|zest|small|large|good|bunch|knob|sprig|few|dash|splash)\b/i.test(
        plain(line),
      )
    const numbered = isNumbered(line) || isFirst(lines, i)
    const told = sentencesOf(line)
    // `Chop the onions; crush the garlic.`: one short command may be a thing, two are none.
    const least = told.length > 1 && /\.$/.test(line) ? 3 : 4
    const commands = told.some((s) => clausesOf(s).length > 0 && s.split(' ').length >= least)
    const isIngredient =
      !inMethod &&
      !numbered &&
      line.length < 90 &&
      (amount || bullet || PORTION_OF.test(line)) &&
      !(/[.!]$/.test(line) && commands && line.length > 40) &&
      (readIngredientLine(line).amount > 0 || PORTION_OF.test(line) || !commands)
    if (isIngredient) {
      kind[i] = 'ingredient'
      seen = true
    } else if (
      numbered ||
      (commands && (seen || line.length > 60 || durationsIn(line).length > 0))
    ) {
      kind[i] = 'method'
      inMethod = true
    } else if (inMethod) kind[i] = 'method'
    else if (seen && line.length < 60) kind[i] = 'ingredient'
  }
  if (!seen) doubts.push('which lines are ingredients was guessed')
}
