import { clausesOf } from './clauses'
import type { StepRead } from './drafts'
import { addsThings, withTheirTimes } from './fewWords'
import { grouped, withObjects } from './groups'
import { ANOTHER_DAY, HAD } from './methodWords'
import { isSaid } from './notes'
import { namesOf, singular, type IngredientRead } from './ingredientLine'
import { asCommand, inTurns } from './sentences'
import { KIND_WORDS } from './references'
import { sectionsOf } from './sections'
import { Reader } from './reader'

/**
 * The steps of a method, with what waits for what; ingredients are told apart by their names. What the
 * whole dish is called is what most has gone into: `top with the stroganoff`.
 */
export function stepsOf(
  method: string,
  ingredients: readonly IngredientRead[],
  name = '',
): { steps: StepRead[]; unused: string[] } {
  const reader = new Reader(ingredients, method, name)
  const foods = new Set(
    [...ingredients.flatMap((i) => namesOf(i.item)), ...KIND_WORDS].map(singular),
  )
  const unused: string[] = []
  let read = 0
  sectionsOf(method).forEach((section, k) => {
    // `To freeze: wrap. Defrost in the fridge`: the rest of the line is of another day too.
    let later = false
    for (const { text: said, label } of withTheirTimes(section.sentences, foods)) {
      const text = addsThings(said, foods)
      if (++read > MOST_SENTENCES || text.length > LONGEST_SENTENCE) {
        unused.push(text.slice(0, 80))
        continue
      }
      // How to warm it up another day is no part of the session.
      if (LATER.test(label ?? text) || LATER.test(text) || ANOTHER_DAY.test(label ?? '')) {
        later = true
        continue
      }
      if (/^to eat\b/i.test(label ?? text) && reader.packed) {
        later = true
        continue
      }
      if (later && ANOTHER_DAY.test(text)) continue
      later = false
      if (ANOTHER_DAY.test(text) && reader.packed) continue
      const place = { section: k, label: label ?? section.heading, goesOn: false }
      if (reader.repeats(text, place)) continue
      const had = HAD.exec(text)
      const elsewhere = OTHER_VESSEL.test(text)
      const left = had && !elsewhere ? reader.soFar(Number(had[1])) : undefined
      const told = had && (elsewhere || left !== undefined) ? text.slice(had[0].length) : text
      const groups = withObjects(grouped(clausesOf(inTurns(asCommand(told), foods), foods)), foods)
      if (!groups.length && !isSaid(text)) unused.push(text)
      groups.forEach((group, i) => reader.take(group, { ...place, goesOn: i > 0 }))
      if (left !== undefined)
        reader.take(
          { text: `Bake on for ${left} minutes`, work: 'bake', verb: 'bake', meanwhile: false },
          { ...place, goesOn: true },
        )
    }
  })
  return { steps: reader.end(), unused: unused.slice(0, MOST_UNUSED) }
}

/** How it is kept or warmed up, and no part of the session. */
const LATER =
  /^to (?:re-?heat|store|freeze)\b|^left-?overs?\b|^(?:(?:can|may) be )?(?:make|made|prepared?|assembled?) (?:it |this )?(?:up to )?(?:an?|\d+|one|two|three) (?:day|hour)s? (?:ahead|in advance|before)\b|^best (?:eaten )?(?:on )?(?:the )?(?:same |very )?day\b|^if (?:you(?:['’]re| are)? |you (?:want|wish|like|plan) to )?(?:freez(?:e|ing)|re-?heat(?:ing)?|mak(?:e|ing) (?:it )?ahead)\b/i

/** `After the chicken has been in 20 minutes, put the beans in a pan`: nothing that goes in with it. */
const OTHER_VESSEL = /\bin(?:to)? an? (?:[a-z]+ )?(?:pan|pot|saucepan|bowl)\b/i

/** Most sentences of a method that are read, and the longest: beyond is no recipe that anybody cooks. */
const MOST_SENTENCES = 250
const LONGEST_SENTENCE = 2000
/** As many sentences that became no step are named. */
const MOST_UNUSED = 50
