import type { WorkKind } from '../work'
import { durationsIn, type Duration } from './durations'
import { isMeat } from './foods'
import { plain } from './plain'
import type { IngredientRead } from './ingredientLine'

/** Work of a few minutes that takes about as long wherever it is done: no time stated is no doubt. */
const HAS_A_USUAL_TIME = new Set<WorkKind>([
  'cut',
  'measure',
  'mix',
  'assemble',
  'season',
  'shape',
  'drain',
  'blend',
  'pack',
  'heat',
  'boil',
  'rest',
  'cool',
])
export const GUESSED = 'no time is stated: this is a guess'
/** Minutes that a kind of work takes where a method does not say: guesses, marked as such. */
const GUESS: Record<WorkKind, [number, number]> = {
  cut: [3, 6],
  measure: [2, 3],
  mix: [2, 4],
  assemble: [2, 4],
  season: [2, 4],
  shape: [6, 10],
  brown: [6, 10],
  fry: [4, 6],
  drain: [1, 2],
  blend: [2, 4],
  pack: [3, 5],
  soften: [6, 10],
  boil: [8, 12],
  simmer: [10, 15],
  bake: [25, 35],
  grill: [4, 6],
  pressure: [15, 25],
  slow: [240, 480],
  heat: [10, 15],
  rest: [5, 10],
  cool: [15, 30],
  soak: [30, 60],
  prove: [45, 90],
  chill: [30, 60],
}

/** What takes another time than its kind of work usually does, by its words. */
const BY_WORDS: { work?: WorkKind; words: RegExp; minutes: [number, number] }[] = [
  {
    // `Pour in the coconut milk, bring to a simmer`: as long as a pan takes to come to it, and no longer.
    words:
      /\b(?:bring|return|come)(?: (?:it|them|everything|the milk|back|up|just|slowly|gently))* to (?:a|the) (?:[a-z]+ )?(?:simmer|boil)(?:$|[.,;]| -)/,
    minutes: [5, 8],
  },
  // `Bring the water back to the boil`: it is hot.
  { work: 'boil', words: /\bbring (?:the water|it|everything) back to\b/, minutes: [3, 5] },
  {
    // `Cool under cold water`: until it can be held.
    work: 'cool',
    words: /\b(?:cold|iced?)\b[^.;,]*\b(?:water|tap|bath)\b/,
    minutes: [3, 5],
  },
  { work: 'heat', words: /\bmicrowave\b/, minutes: [1, 2] },
  // `Keep in the fridge`: until it is wanted.
  { work: 'chill', words: /^keep\b/, minutes: [1, 2] },
  { work: 'boil', words: /\bgnocchi\b/, minutes: [2, 3] },
  // `Release the rest`: by the valve.
  { work: 'rest', words: /^(?:quick[- ])?release\b(?! naturally)/, minutes: [1, 2] },
  { work: 'cool', words: /\b(?:a little|a bit|slightly|briefly)\b/, minutes: [5, 10] },
  { work: 'simmer', words: /\bmelt\b[^.]*\bbutter\b[^.]*\bflour\b/, minutes: [4, 6] },
  // `Wine, let reduce`: of a glass.
  { work: 'simmer', words: /\blet (?:it )?reduce\b|, reduce\b/, minutes: [3, 5] },
  { work: 'soften', words: /^melt\b/, minutes: [2, 4] },
  // Spinach and other leaves.
  { work: 'soften', words: /\bwilt\b/, minutes: [2, 3] },
  // `Reheat the sauce`: as long as it takes to steam again.
  { work: 'simmer', words: /^re-?heat\b/, minutes: [4, 6] },
  // `Let it bubble away`: until the alcohol is off.
  { work: 'simmer', words: /\bbubbl(?:e|ing)\b/, minutes: [2, 4] },
  // `Warm the syrup and oil`: until it runs, and no longer.
  { work: 'simmer', words: /^(?:gently |just )?(?:warm|melt)\b/, minutes: [3, 5] },
]
const usualTime = (text: string, work: WorkKind): [number, number] =>
  BY_WORDS.find((b) => (b.work ?? work) === work && b.words.test(text))?.minutes ?? GUESS[work]

/** Least and most minutes of a step: as stated, by weight, or a guess; doubts are added to the list. */
export function timeOf(
  text: string,
  work: WorkKind,
  uses: string[],
  ingredients: readonly IngredientRead[],
  doubts: string[],
  pieces?: number,
  trays?: number,
): { minutes: [number, number]; stated: boolean; goes?: number } {
  const all = durationsIn(text)
  const weight = all.find((d) => d.kind === 'perWeight')
  if (weight) return { minutes: byWeight(weight, all, uses, ingredients, doubts), stated: true }
  const spans = all.filter((d) => d.kind === 'span')
  if (spans.length) {
    const [first, ...others] = spans as [Duration, ...Duration[]]
    let { least, most } = first
    const atLeast = spans.find((s) => s.open === 'least')
    if (others.length && atLeast && /\bovernight\b/i.test(text)) least = atLeast.least
    else if (others.length) {
      const between = plain(text).slice(first.end, others[0]!.at)
      if (/\((?:or|alternatively)\b/.test(between))
        doubts.push('another way stands in brackets: the first is taken')
      else if (/\bor\b/.test(between)) {
        least = Math.min(...spans.map((s) => s.least))
        most = Math.max(...spans.map((s) => s.most))
        doubts.push('two ways with times of their own: pick one')
      } else doubts.push('several times are stated: the first is taken')
    }
    if (first.open === 'least') doubts.push('only the least time is stated')
    if (first.open === 'most') doubts.push('only the most time is stated')
    const goes = goesIn(text, uses, ingredients, pieces, trays)
    return goes > 1
      ? { minutes: [round(goes * least), round(goes * most)], stated: true, goes }
      : { minutes: [least, most], stated: true }
  }
  const ahead = all.find((d) => d.kind === 'moment')
  if (ahead && work === 'rest' && /\bout of the (?:fridge|refrigerator|freezer)\b/i.test(text))
    return { minutes: [ahead.least, ahead.most], stated: true }
  // `Steam the beans over them for the last 5 minutes`: as long as they take.
  if (ahead && COOKS_ALONG.test(plain(text)))
    return { minutes: [ahead.least, ahead.most], stated: true }
  const [least, most] = usualTime(plain(text), work)
  const things = Math.max(1, uses.length)
  const factor = work === 'cut' ? Math.min(3, 0.5 + 0.5 * things) : 1
  if (!HAS_A_USUAL_TIME.has(work)) doubts.push(GUESSED)
  return { minutes: [Math.round(least * factor), Math.round(most * factor)], stated: false }
}

/** What is added for the last minutes, and not said to be cooked, is seen to where it is planned. */
export const COOKS_ALONG =
  /^(?:steam|boil|cook|fry|roast|bake|simmer)\b[^,;]*\bfor the (?:last|final) \d/

const round = (minutes: number) => Math.round(minutes * 10) / 10

/** `Bake one tray at a time`. */
const ONE_TRAY = /\b1 (?:tray|sheet|tin|batch) at a time\b/

/** In how many goes something is done, where the time is that of each: `in 3 batches, 9 minutes a batch`. */
function goesIn(
  text: string,
  uses: string[],
  ingredients: readonly IngredientRead[],
  divided: number | undefined,
  trays: number | undefined,
): number {
  const line = plain(text)
  // `Warm the tortillas 20 seconds each`: one after the other.
  const [piece] = ingredients.filter((i) => uses.includes(i.id) && i.unit === 'piece')
  if (/\bseconds? each\b|\bsecs? each\b/.test(line) && /\bmicrowave\b/.test(line) && piece)
    return Math.max(1, Math.round(piece.amount))
  if (trays !== undefined && ONE_TRAY.test(line)) return trays
  const each =
    /\b(?:minutes?|mins?|min|m|seconds?|secs?|hours?|hrs?)\.?\s*(?:each|apiece|(?:per|a|for each|for every|on each|each) (?:batch|panful|lot|load|go|round|tray|pan|side|one|portion|pancake|piece))\b/.test(
      line,
    ) || /\b(?:each|every|a|per) (?:batch|panful|lot|load|go|round)\b[^.;]*\d/.test(line)
  const batches =
    /\b(?:(?:in|into|as) (?:about )?)?(\d+|a couple of) (?:equal )?(?:batches|panfuls|lots|loads|goes|rounds|pans)\b/.exec(
      line,
    )?.[1]
  if (batches && each) return batches.startsWith('a') ? 2 : Number(batches)
  const atATime = /\b(?:(\d{1,2}|a few) at a time|1 by 1|singly)\b/.exec(line)
  if (!atATime || !each) return 1
  const many = /(?:^|, then )(?:[a-z]+ )+?(\d+) (?!at a time|by 1)/.exec(line)?.[1]
  const counted = ingredients.find((i) => uses.includes(i.id) && i.unit === 'piece' && i.amount > 1)
  const pieces = many === undefined ? (counted?.amount ?? divided ?? 1) : Number(many)
  return Math.max(1, Math.ceil(pieces / Number(atATime[1]?.replace('a few', '3') ?? 1)))
}

/** Grams of one piece: `2 chickens, 1.6 kg each`, `1 beef joint, 1 kg`. */
export function pieceGrams(i: IngredientRead): number {
  if (i.unit === 'kg') return 1000 * i.amount
  if (i.unit === 'g') return i.amount
  const m =
    /(\d+(?:\.\d+)?)\s*-?\s*(kg|kilos?|g|grams?|lbs?|pounds?|oz)\b(?: ?(each|apiece))?/.exec(
      plain(i.text),
    )
  if (!m) return 0
  const unit = m[2]!
  const grams =
    Number(m[1]) * (/^k/.test(unit) ? 1000 : /^g/.test(unit) ? 1 : /^oz/.test(unit) ? 28.35 : 453.6)
  return Math.round(m[3] || i.amount <= 1 ? grams : grams / i.amount)
}

/** So many minutes for each weight, and a constant: of the heaviest piece that is named. */
function byWeight(
  rule: Duration,
  all: readonly Duration[],
  uses: string[],
  ingredients: readonly IngredientRead[],
  doubts: string[],
): [number, number] {
  const grams = pieceGrams
  const named = ingredients.filter((i) => uses.includes(i.id) && isMeat(i.item))
  const heaviest = [...(named.length ? named : ingredients.filter((i) => isMeat(i.item)))].sort(
    (a, b) => grams(b) - grams(a),
  )[0]
  const constant = all.find((d) => d.kind === 'span')
  const extra: [number, number] = constant ? [constant.least, constant.most] : [0, 0]
  if (!heaviest || grams(heaviest) === 0) {
    doubts.push('the time goes by weight, and no weight is stated: it is counted for 1 kg')
    const factor = 1000 / rule.grams!
    return [Math.round(rule.least * factor + extra[0]), Math.round(rule.most * factor + extra[1])]
  }
  const factor = grams(heaviest) / rule.grams!
  doubts.push(`the time goes by weight: counted for ${grams(heaviest)} g of ${heaviest.item}`)
  return [Math.round(rule.least * factor + extra[0]), Math.round(rule.most * factor + extra[1])]
}
