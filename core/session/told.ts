import { aboutSteps, sharesOf, type Recipe, type Step } from '../recipe'
import { cautionsOf } from '../safety'

/** What is said of the steps of a dish beside their own words. */
export interface Told {
  /** The food that a step is about: `the potatoes`. */
  about: (step: Step) => string | undefined
  /** Which share of its ingredients it takes, by their ids. */
  shares: (step: Step) => ReadonlyMap<string, number>
  /** What can hurt somebody there: the recipe's own words, then what the table of hazards adds. */
  caution: (step: Step) => string | undefined
  /** The same for when it is over. */
  atEnd: (step: Step) => string | undefined
}

export function toldOf(recipe: Recipe): Told {
  const cautions = cautionsOf(recipe)
  const first = recipe.steps[0]!.id
  // What concerns the dish as a whole is said when it is begun.
  const of = (step: Step, atEnd: boolean) =>
    cautions
      .filter((c) => (c.step ?? first) === step.id && (c.atEnd === true) === atEnd)
      .map((c) => c.text)
      .filter((text) => step.caution === undefined || !isAlike(text, step.caution))
  const inWords = (texts: readonly string[]) => (texts.length ? texts.join(' ') : undefined)
  const shares = sharesOf(recipe)
  const about = aboutSteps(recipe)
  return {
    shares: (step) => shares.get(step.id)!,
    about: (step) => about.get(step.id),
    caution: (step) =>
      inWords([...(step.caution === undefined ? [] : [step.caution]), ...of(step, false)]),
    atEnd: (step) => inWords(of(step, true)),
  }
}

/** Whether two cautions say the same: the same limit, or mostly the same words. */
function isAlike(a: string, b: string): boolean {
  const limits = (text: string): string[] => text.match(/\d+ °C/g) ?? []
  if (limits(a).some((l) => limits(b).includes(l))) return true
  const words = (text: string) => new Set(text.toLowerCase().match(/[a-z]{5,}/g) ?? [])
  const other = words(b)
  return [...words(a)].filter((w) => other.has(w)).length >= 3
}
