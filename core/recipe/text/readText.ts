import { idFor } from '../naming'
import { keepingsIn, type Keeping } from './keeping'
import { readIngredientLine, namesOf, type IngredientRead } from './ingredientLine'
import { layoutOf } from './layout'
import type { StepRead } from './drafts'
import { stepsOf } from './method'
import { isAtTable } from './notes'
import { usedIn } from './usedIn'

/** A recipe as it was read from a text: with everything doubtful marked for the cook. */
export interface RecipeRead {
  name: string
  serves: number
  ingredients: IngredientRead[]
  steps: StepRead[]
  doubts: string[]
  /** Where and how long the text says that it keeps. */
  keeps?: Keeping[]
}

/** Longest text that is taken for one recipe, in characters. */
export const LONGEST_TEXT = 60_000

/** Reads ordinary recipe text. Never fails: what it cannot tell stands among the doubts. */
export function readRecipeText(text: string): RecipeRead {
  const whole = text.slice(0, LONGEST_TEXT)
  const keeps = keepingsIn(whole)
  return { ...recipeFrom(layoutOf(whole)), ...(keeps.length ? { keeps } : {}) }
}

/** The same from parts that were told apart already. */
export function recipeFrom(parts: {
  name: string
  serves: number | undefined
  ingredients: string[]
  groups?: (string | undefined)[]
  method: string
  doubts: string[]
}): RecipeRead {
  const ids = new Set<string>()
  const eaters = parts.serves ?? 4
  const ingredients = parts.ingredients.map((line, k): IngredientRead => {
    const read = readIngredientLine(line)
    const id = idFor(namesOf(read.item).at(-1) ?? 'item', ids)
    ids.add(id)
    const group = parts.groups?.[k]
    // `A nest of noodles per person`.
    const each = /\b(?:per|for each) (?:person|eater|head)\b/i.test(line) ? eaters : 1
    const amount = read.amount * each
    return { id, ...read, amount, ...(group === undefined ? {} : { group }) }
  })
  const { steps, unused } = stepsOf(
    soakedBefore(parts.method, ingredients),
    ingredients,
    parts.name,
  )
  const doubts = [...parts.doubts]
  if (!steps.length) doubts.push('no steps were found in the text')
  const used = new Set(steps.flatMap((s) => s.uses))
  // What goes on when it is eaten is said where it is packed.
  const said = steps.flatMap((s) => s.do.split('. ').slice(1).filter(isAtTable))
  const atTable = usedIn(said.join('. '), ingredients)
  for (const { id, item } of steps.length ? ingredients : [])
    if (!used.has(id) && !atTable.includes(id)) doubts.push(`no step takes it: ${item}`)
  for (const sentence of unused) doubts.push(`nothing to do was read in: ${sentence}`)
  return { name: parts.name, serves: eaters, ingredients, steps, doubts }
}

const SOAKED =
  /\b(the ([a-z]+(?: [a-z]+)?)),? (?:which|that) (?:(?:i|you|we)(?:'ve| have)?|has been|have been|was|were) (?:already )?(soaked (?:for |in )[^,.;]*\d?[^,.;]*)/gi

/** `Add the barley, which I've soaked for an hour`: said of it in the list instead, where soaking is a step. */
function soakedBefore(method: string, ingredients: IngredientRead[]): string {
  return method.replace(SOAKED, (whole, what: string, name: string, how: string) => {
    const word = namesOf(name).at(-1)
    const i = ingredients.find((x) => word !== undefined && namesOf(x.item).includes(word))
    if (!i) return whole
    i.preparation = [i.preparation, how.trim()].filter(Boolean).join(', ')
    return what
  })
}
