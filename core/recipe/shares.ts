import { foodLinks, inOrder } from './flow'
import type { Recipe, Step } from './schema'
import { namesOf } from './text/ingredientLine'
import { plain } from './text/plain'
import type { WorkKind } from './work'

type Ingredient = Recipe['ingredients'][number]

/** Work that gets an ingredient ready and does not put it into anything yet. */
const GETS_READY = new Set<WorkKind>(['cut', 'measure', 'drain', 'soak', 'rest', 'chill'])
/** Grams and millilitres of a unit, so that `2 tbsp of the oil` can be told of 60 ml. */
const SIZE: Partial<Record<Ingredient['unit'], number>> = {
  g: 1,
  kg: 1000,
  ml: 1,
  l: 1000,
  tsp: 5,
  tbsp: 15,
  piece: 1,
}
const FRACTIONS: [RegExp, number][] = [
  [/(?:three|3) quarters(?: of)?(?: the)?$|0\.75(?: of)?(?: the)?$/, 0.75],
  [/(?:two|2) thirds(?: of)?(?: the)?$|0\.667(?: of)?(?: the)?$/, 2 / 3],
  [/(?:half|0\.5)(?: of)?(?: the| a| an)?$/, 0.5],
  [/(?:a |one |1 )?third(?: of)?(?: the)?$|0\.333(?: of)?(?: the)?$/, 1 / 3],
  [/(?:a |one |1 )?quarter(?: of)?(?: the)?$|0\.25(?: of)?(?: the)?$/, 0.25],
]
const REST =
  /\b(?:rest(?: of)?(?: the)?|remaining|remainder of(?: the)?|other half(?: of)?(?: the)?)$/

/** Which share of an ingredient the words of a step take: `200 g of the yoghurt`, `half the butter`. */
function shareIn(text: string, own: Ingredient): number | 'rest' | undefined {
  const lower = plain(text)
  for (const name of namesOf(own.item)) {
    const at = lower.search(new RegExp(`\\b${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`))
    if (at < 0) continue
    // Without what only describes it: `half the unsalted butter`.
    const before = lower.slice(0, at).trim()
    for (const lead of [before, before.replace(/\s[a-z-]+$/, '')]) {
      if (REST.test(lead)) return 'rest'
      const fraction = FRACTIONS.find(([pattern]) => pattern.test(lead))
      if (fraction) return fraction[1]
      const stated =
        /(\d+(?:\.\d+)?) ?(g|kg|ml|l|tbsp|tsp|tablespoons?|teaspoons?)(?: of)?(?: the)?$/.exec(lead)
      if (stated) {
        const unit = stated[2]!
          .replace(/^tablespoons?$/, 'tbsp')
          .replace(/^teaspoons?$/, 'tsp') as Ingredient['unit']
        const whole = own.amount * (SIZE[own.unit] ?? 0)
        const share = (Number(stated[1]) * (SIZE[unit] ?? 0)) / whole
        if (own.unit !== 'piece' && whole > 0 && share <= 1) return share
      }
    }
  }
  return undefined
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
  const comesFrom = (step: Step): Set<string> => {
    const all = new Set([step.id])
    for (const id of all) for (const l of links) if (l.to === id) all.add(l.from)
    return all
  }
  for (const step of inOrder(recipe)) {
    const shares = new Map<string, number>()
    const before = step.uses.length ? comesFrom(step) : new Set<string>()
    for (const id of step.uses) {
      const own = recipe.ingredients.find((i) => i.id === id)!
      const said = shareIn(step.do, own)
      const there = [...(inside.get(id) ?? [])].some((s) => before.has(s))
      const rest = left.get(id)!
      const share = said === 'rest' ? rest : (said ?? (there || rest <= 0 ? 0 : rest))
      shares.set(id, share)
      if (GETS_READY.has(step.work)) continue
      left.set(id, Math.max(0, rest - share))
      if (share > 0) inside.set(id, new Set([...(inside.get(id) ?? []), step.id]))
    }
    out.set(step.id, shares)
  }
  return out
}
