import { clausesOf } from './clauses'
import { durationsIn } from './durations'
import { readIngredientLine } from './ingredientLine'
import { plain } from './plain'
import { namesKind } from './references'

/** `One chicken, 2 carrots, 1 onion, bay leaf, salt.`: a list of ingredients in one line, with an amount in front. */
export function isListLine(line: string): boolean {
  const items = itemsIn(line)
  return (
    items.length > 3 &&
    items.every((p) => p.split(/\s+/).length < 8) &&
    !durationsIn(line).length &&
    !/[.!?]\s+[A-Z]/.test(line) &&
    items.filter((p) => AMOUNT_FIRST.test(plain(p))).length * 2 >= items.length
  )
}
export const LABELLED = /^(?:for|to) [a-z ]{3,40}:\s*(?=\d|half\b|an? )/i
const AMOUNT_FIRST = /^(?:about |an? |half |some |one )?\d|^(?:an?|half|one|some)\s/i
/** Most ingredients that are taken for those of one recipe. */
export const MOST_INGREDIENTS = 250
/** The things of a list in one line: by semicolons or, where there are none, by commas. */
const itemsIn = (line: string) =>
  line
    .replace(/\.$/, '')
    .split(line.includes(';') ? /\s*;\s*/ : /\s*,\s*/, MOST_INGREDIENTS)
    .filter(Boolean)

/** Longest line that is looked at as one, in characters. */
const LONGEST_LINE = 2000
/** A very long line in pieces, each up to the end of a sentence or of a thing in a list. */
export function piecesOf(line: string): string[] {
  const out: string[] = []
  let rest = line
  while (rest.length > LONGEST_LINE) {
    const head = rest.slice(0, LONGEST_LINE)
    const stop = Math.max(head.lastIndexOf('. '), head.lastIndexOf('; '))
    const end = (stop > 0 ? stop : Math.max(head.lastIndexOf(', '), LONGEST_LINE - 2)) + 1
    out.push(rest.slice(0, end).trim())
    rest = rest.slice(end).trim()
  }
  return [...out, rest]
}

/** Ingredients given in one line with commas or semicolons in between. */
export const splitLines = (lines: string[]) =>
  lines.length === 1 && itemsIn(lines[0]!).length > 3
    ? itemsIn(lines[0]!).flatMap(pairOf)
    : lines.flatMap(splitLine)
/** The things of one line among others. */
export const splitLine = (line: string) =>
  (isListLine(line) ? itemsIn(line) : severalIn(line)).flatMap(pairOf)

/** `1 tablespoon each of paprika, salt and mustard`, `3 garlic cloves & a thumb of ginger, grated`: each by itself. */
function pairOf(marked: string): string[] {
  const line = marked.replace(/^[-*•]\s+/, '')
  const slashed = line.split(/\s+\/\s+(?=\d)/)
  if (slashed.length > 1 && slashed.every((p) => /^\d/.test(p.trim()))) return slashed
  const each = /^((?:(?:\d[\d./ ]*|an?|half an?) ?)?[a-z]+) each(?: of)?:? ([a-z].*)$/i.exec(
    line.trim(),
  )
  // `A handful each mint and coriander, chopped`.
  const how = each && /(?:,| [-–—])\s*((?:[a-z]+ly )?(?:[a-z]+ed|torn))$/i.exec(each[2]!)?.[1]
  const names =
    each?.[2]!
      .slice(0, how ? -how.length : undefined)
      .replace(/[\s,–—-]+$/, '')
      .split(/,\s*|\s+(?:and|&)\s+/)
      .filter(Boolean) ?? []
  if (each && names.length > 1 && names.every((n) => n.split(' ').length < 5))
    return names.map((n) => `${each[1]!} ${n}${how ? `, ${how}` : ''}`)
  // `Bay, thyme`: two herbs, and nothing of how the one is cut.
  const herbs = line.split(/,\s*|\s+and\s+/)
  const isHerb = (w: string) =>
    /^(?:(?:olive|vegetable|sunflower|rapeseed) oil|oil|salt|pepper|butter|sugar)$/i.test(w) ||
    (/^[a-z]+(?: lea(?:f|ves))?$/i.test(w) && namesKind('the herbs', w))
  if (herbs.length > 1 && line.includes(',') && herbs.every(isHerb)) return herbs
  // `Handful mint, handful coriander`.
  const loose = line.split(/,\s*(?=(?:small )?(?:handful|bunch|pinch|sprig|knob|thumb)\b)/i)
  if (
    loose.length > 1 &&
    loose.every((p) => /^(?:small |large )?(?:handful|bunch|pinch|sprig|knob|thumb)\b/i.test(p))
  )
    return loose
  // `1 kg beef mince & 500 g pork mince`, `2 cloves garlic and a thumb of ginger`.
  const pair = PAIR.exec(line.trim())
  return pair ? [pair[1]!, pair[2]!].map((name) => `${name}${pair[3] ?? ''}`) : [marked]
}
const PAIR =
  /^(\d[^,&]*?) (?:&|and|\+) ((?:(?:an?|\d+(?:[.,]\d+)?) ?(?:small |large |good )?(?:g |cm |inch )?(?:bay lea(?:f|ve)|thumb|knob|piece|handful|pinch|bunch|sprig|stick|clove)s?\b|\d+(?:[.,]\d+)? ?(?:(?:k?g|ml|l|tbsp|tsp)\b|[a-z]{3}))[^,&]*)(,.*)?$/i

/** Stands where the things under a heading of one line end. */
export const END = ':'

/** `For the topping: 50 g butter, 50 g flour`, `3 onions / 250 g mushrooms / 500 ml ale`: under its heading, if any. */
export function severalIn(whole: string): string[] {
  // `Curry paste - 4 chillies, 3 shallots, 1 tsp cumin`.
  const line = whole.replace(/^([A-Z][a-z]+(?: [a-z]+){0,3}) [-–—] (?=\d[^,]*,\s*\d)/, '$1: ')
  const label = /^((?:for )?(?:the )?[a-z][a-z ]{1,39}):\s*(?=\d|half\b|an? )/i.exec(line)?.[1]
  // `2 tbsp paprika, 1 tbsp cumin, 2 tsp salt (the rub)`.
  const name = /\((?:for )?the ([a-z]{3,20}(?: [a-z]{3,20})?)\)\s*$/i.exec(line.slice(-60))
  const named = name && itemsOf(line.slice(0, line.lastIndexOf('(')).trim())
  if (named && named.length > 1) return [`For the ${name[1]!}:`, ...eachPrepared(named), END]
  const several = eachPrepared(itemsOf(line))
  return label && several.length > 1 ? [`${label}:`, ...several, END] : several
}

/** `1 onion, 1 carrot, 1 stick of celery (all finely diced)`: each of the vegetables in front. */
function eachPrepared(items: readonly string[]): string[] {
  return items.map((item, k) => {
    const later = items.slice(k).findIndex((i) => ALL_PREPARED.test(i))
    if (later < 0) return item
    const how = ALL_PREPARED.exec(items[k + later]!)![1]!
    const bare = item.replace(ALL_PREPARED, '')
    const own = later === 0 || (namesKind('the vegetables and herbs', bare) && !/[,(]/.test(bare))
    return own ? `${bare}, ${how}` : item
  })
}
const ALL_PREPARED =
  /\s*(?:[,(]| -)\s*(?:all|both) ((?:[a-z]+ )?(?:[a-z]+ed|ground|torn|cut[a-z ]*|in(?:to)? [a-z ]{0,12}?(?:chunks|dice|pieces|slices|rings|strips|wedges)))(?:\)| \([^)]*\))?$/i

/** `1 loaf, 10 slices`: what comes of it, and no ingredient. */
export const COMES_OF_IT =
  /^(?:makes )?(?:\d|an?|one|two) (?:large |small |big |good )?(?:\d+ ?(?:cm|inch) )?(?:loa(?:f|ves)|cakes?|tarts?|quiches?|traybakes?|tins?|trays?|pies?)(?:,| \(|:| cut into| of)? ?(?:about |cuts? into )?(\d+) (?:slices|squares|bars|pieces|wedges|portions)\)?\.?$/i

/** `To serve: lettuce, tomato slices, mayonnaise`. */
const AT_TABLE = /^(?:to (?:serve|garnish|finish)|for serving|garnish):\s*(?!\d)([a-z].*)$/i

/** `4 peppers (2 red, 2 green), in strips`: one thing, whatever stands in its brackets. */
const itemsOf = (line: string): string[] =>
  apartIn(line.replace(/\([^()]*\)/g, (said) => said.replaceAll(',', BRACKETED))).map((item) =>
    item.replaceAll(BRACKETED, ','),
  )
const BRACKETED = '\ue001'

function apartIn(line: string): string[] {
  if (
    COMES_OF_IT.test(line) ||
    /^(?:prep|cook|total|ready|time|rest|oven|serves|servings?|feeds|makes|yields?|portions|keeps)[a-z ]*:/i.test(
      line,
    )
  )
    return [line]
  const table = AT_TABLE.exec(line)?.[1]
  if (table !== undefined) return table.replace(/\.$/, '').split(/,\s*|\s+and\s+/, MOST_INGREDIENTS)
  const listed = /^(?:for )?(?:the )?[a-z ]{2,40}:\s*(?=\d|half\b|an? )(.+)$/i.exec(line)
  const own = listed ? listed[1]! : line
  if (!/^(?:[-*•]\s*)?(?:\d|half\b|an? )/i.test(own) || /^\d{1,2}\s*[.):]\s/.test(own))
    return [line]
  for (const mark of [/\s*;\s*/, /\s+\/\s+/, /\s+\|\s+/])
    if (own.split(mark).length > (listed ? 1 : 2))
      return own.split(mark, MOST_INGREDIENTS).filter(Boolean)
  const all = own.replace(/\.$/, '').split(/,\s*/, MOST_INGREDIENTS)
  if (listed && all.length > 2 && LABELLED.test(line) && !/\d/.test(all.slice(1).join(' ')))
    return all
  const parts = own.replace(/\.$/, '').split(/,\s*(?=\d)/, MOST_INGREDIENTS)
  // `To serve: 300 g sushi rice, shredded cabbage`.
  if (listed && parts.length === 1 && all.length > 1 && all.every((p) => p.split(' ').length < 6))
    return eachOf(own.replace(/\.$/, ''))
  // `2 chickens, 1.6 kg each` is one thing.
  if (
    parts.slice(1).some((p) =>
      // Nor is `600 g potatoes, 1 cm dice` two.
      /^\d+(?:[.,]\d+)?\s*(?:(?:kg|g|lbs?|oz|ml|l|cm|inch\w*)(?: each| apiece| in all)?(?:,|$)|(?:cm|mm|inch) (?:dice|cubes?|pieces|chunks|slices|rounds|lengths|strips|thick|wide|long)\b)/i.test(
        p.trim(),
      ),
    )
  )
    return [line]
  const several = parts.length > 1 && parts.every((c) => readIngredientLine(c).amount > 0)
  const told = (part: string) =>
    clausesOf(part).length > 0 && (part.split(/\s+/).length > 6 || durationsIn(part).length > 0)
  if (!several || parts.some(told)) return [line]
  // What has no amount stands at the end of the list: `…, 75 g suet, water`.
  if (listed) return parts.flatMap(eachOf)
  return parts.length > 2 ? parts.flatMap(withoutAmounts) : parts
}

/** `1 clove garlic, grated`, `75 g suet, water`: one thing with how it is prepared, or two. */
const eachOf = (part: string): string[] =>
  part.split(/,\s*/).reduce<string[]>((out, piece) => {
    const prepares = out.length > 0 && /^(?:[a-z]+ly )?[a-z]+(?:ed|en)$/.test(piece)
    return prepares ? [...out.slice(0, -1), `${out.at(-1)}, ${piece}`] : [...out, piece]
  }, [])

/** `100 g feta, spring onions`: two things, where the second is no way of preparing the first. */
function withoutAmounts(part: string): string[] {
  const [first, ...others] = part.split(/,\s*/)
  const own = others.every((o) => /^[a-z][a-z ]{2,24}$/.test(o) && !PREPARED.test(o))
  return own ? [first!, ...others] : [part]
}
const PREPARED =
  /(?:ed|en|ly|torn|cut|ground|shredded)\b|\b(?:to|for|in|into|at|plus|or|and|each|skin|bone|extra|if)\b/
