import { WITH_SPOONS } from '../quantity'
import { comesFrom, foodLinks, inOrder } from './flow'
import type { Recipe } from './schema'
import { beforeNames, REST } from './text/references'
import type { WorkKind } from './work'

type Ingredient = Recipe['ingredients'][number]

/** Work that gets an ingredient ready and does not put it into anything yet. */
const GETS_READY = new Set<WorkKind>(['cut', 'measure', 'drain', 'soak', 'rest', 'chill'])
const FRACTIONS: [RegExp, number][] = [
  [/(?:three|3) quarters(?: of)?(?: the)?$|0\.75(?: of)?(?: the)?$/, 0.75],
  [/(?:two|2) thirds(?: of)?(?: the)?$|0\.667(?: of)?(?: the)?$/, 2 / 3],
  [/(?:half|0\.5)(?: of)?(?: the| a| an)?$/, 0.5],
  [/(?:\b(?:a|one|1) third(?: of)?|\bthird of)(?: the)?$|0\.333(?: of)?(?: the)?$/, 1 / 3],
  // `Quarter the onion` cuts all of it.
  [/(?:\b(?:a|one|1) quarter(?: of)?|\bquarter of)(?: the)?$|0\.25(?: of)?(?: the)?$/, 0.25],
  // Estimates of ours: what the rest of is taken later.
  [/\ba (?:little|bit|splash) of(?: the)?$/, 0.25],
  [/\bsome of(?: the)?$/, 0.5],
  [/\bmost of(?: the)?$/, 0.75],
]
/** Whether such work gets what goes in ready, and puts it into nothing yet. */
export const getsReady = (work: WorkKind) => GETS_READY.has(work)

/** Which share of an ingredient the words of a step take: `200 g of the yoghurt`, `half the butter`. */
function shareIn(text: string, own: Ingredient): number | 'rest' | undefined {
  // `Half the meat, half the aubergines, then again`: in the end all of it.
  if (/\b(?:then again|(?:then |and )?repeat)\b/i.test(text)) return 'rest'
  for (const before of beforeNames(text, own.item)) {
    if (REST.test(before)) return 'rest'
    // With or without a word that only describes it: `half the unsalted butter`.
    for (const lead of [before.trim(), before.trim().replace(/\s[a-z-]+$/, '')]) {
      const share = FRACTIONS.find(([pattern]) => pattern.test(lead))?.[1] ?? statedIn(lead, own)
      if (share !== undefined) return share
    }
  }
  return undefined
}

/** `200 g of the`: as a share of all that there is. */
function statedIn(lead: string, own: Ingredient): number | undefined {
  // `The juice of one lemon`, of two.
  const pieces = own.unit === 'piece' ? /\b(\d+)(?: of the)?$/.exec(lead) : null
  if (pieces && Number(pieces[1]) <= own.amount) return Number(pieces[1]) / own.amount
  const m = /(\d+(?:\.\d+)?) ?(g|kg|ml|l|tbsp|tsp|tablespoons?|teaspoons?)(?: of)?(?: the)?$/.exec(
    lead,
  )
  const whole = own.amount * (WITH_SPOONS[own.unit] ?? 0)
  if (!m || whole === 0) return undefined
  const unit = m[2]!.replace(/^tablespoons?$/, 'tbsp').replace(/^teaspoons?$/, 'tsp')
  const share = (Number(m[1]) * WITH_SPOONS[unit as Ingredient['unit']]!) / whole
  return share <= 1 ? share : undefined
}

/**
 * Which share of each of its ingredients a step takes, 0 to 1: what it states, what is left, or all;
 * none of what an earlier step has put in already, though its words name it again.
 */
export function sharesOf(recipe: Recipe): Map<string, Map<string, number>> {
  const links = foodLinks(recipe)
  const out = new Map<string, Map<string, number>>()
  const left = new Map(recipe.ingredients.map((i) => [i.id, 1]))
  /** Steps that have put some of an ingredient in. */
  const inside = new Map<string, Set<string>>()
  const uses = (step: string, id: string) =>
    recipe.steps.some((s) => s.id === step && s.uses.includes(id))
  for (const step of inOrder(recipe)) {
    const shares = new Map<string, number>()
    const before = step.uses.length ? comesFrom(links, step.id) : new Set<string>()
    for (const id of step.uses) {
      const own = recipe.ingredients.find((i) => i.id === id)!
      const said = shareIn(step.do, own)
      // Put in before, or got ready before and taken up by what it is in by now without being named.
      const there =
        [...(inside.get(id) ?? [])].some((s) => before.has(s)) ||
        recipe.steps.some(
          (s) =>
            s !== step &&
            before.has(s.id) &&
            !GETS_READY.has(s.work) &&
            [...comesFrom(links, s.id)].some((x) => uses(x, id)),
        )
      const rest = left.get(id)!
      // `Half the spinach mixture`, of spinach that is all in: none of it comes to this.
      // `500 g of the cooked chickpeas`: weighed as they are by now.
      const made = there && /\bcooked\b/i.test(step.do)
      const share = said === 'rest' || rest <= 0 ? rest : made ? 0 : (said ?? (there ? 0 : rest))
      shares.set(id, share)
      if (GETS_READY.has(step.work)) continue
      left.set(id, Math.max(0, rest - share))
      if (share > 0) inside.set(id, new Set([...(inside.get(id) ?? []), step.id]))
    }
    out.set(step.id, shares)
  }
  return out
}
