import type { WorkKind } from '../work'
import { durationsIn, type Duration } from './durations'
import { isMeat } from './foods'
import type { IngredientRead } from './ingredientLine'

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

/** Least and most minutes of a step: as stated, by weight, or a guess; doubts are added to the list. */
export function timeOf(
  text: string,
  work: WorkKind,
  uses: string[],
  ingredients: readonly IngredientRead[],
  doubts: string[],
): { minutes: [number, number]; stated: boolean } {
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
      if (/\bor\b/.test(text.toLowerCase().slice(first.end, others[0]!.at))) {
        least = Math.min(...spans.map((s) => s.least))
        most = Math.max(...spans.map((s) => s.most))
        doubts.push('two ways with times of their own: pick one')
      } else doubts.push('several times are stated: the first is taken')
    }
    if (first.open === 'least') doubts.push('only the least time is stated')
    if (first.open === 'most') doubts.push('only the most time is stated')
    return { minutes: [least, most], stated: true }
  }
  const [least, most] = GUESS[work]
  const things = Math.max(1, uses.length)
  const factor = work === 'cut' ? Math.min(3, 0.5 + 0.5 * things) : 1
  doubts.push(GUESSED)
  return { minutes: [Math.round(least * factor), Math.round(most * factor)], stated: false }
}

/** So many minutes for each weight, and a constant: of the heaviest piece that is named. */
function byWeight(
  rule: Duration,
  all: readonly Duration[],
  uses: string[],
  ingredients: readonly IngredientRead[],
  doubts: string[],
): [number, number] {
  const grams = (i: IngredientRead) =>
    i.unit === 'kg' ? 1000 * i.amount : i.unit === 'g' ? i.amount : 0
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
