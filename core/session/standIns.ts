import { KINDS, oneOf, type Kitchen } from '../kitchen'
import type { Recipe, Step } from '../recipe'

interface StandIn {
  /** What does the work together. */
  on: readonly string[]
  /** How, where that is otherwise than the step says. */
  how: string | undefined
  slower: number
}

/** Bread and the like is warmed in a dry pan, and not in a pot. */
const BREAD = /\b(?:tortillas?|flatbreads?|wraps?|naans?|pitt?as?|bread|rolls|buns)\b/i

/** What is blended to nothing wants a blender; crumbs and pastry are rubbed, and the rest is chopped. */
function insteadOfProcessor(text: string): StandIn {
  // How much longer hands take: estimates of ours.
  if (/\b(?:smooth|pur[eé]e|fluffy|paste|hummus|sauce|soup|dressing)\b/i.test(text))
    return { on: ['blender'], how: 'in a blender', slower: 1 }
  return /\b(?:flour|butter|dough|pastry)\b/i.test(text)
    ? { on: ['bowl'], how: 'by hand in a bowl', slower: 2 }
    : { on: ['board'], how: 'chopped finely by hand', slower: 3 }
}

/** What does the work of a kind of equipment for a step, where there is none of it. */
function standInFor(kind: string, { do: text }: Step): StandIn | undefined {
  if (kind === 'processor') return insteadOfProcessor(text)
  const own = KINDS[kind]
  if (!own?.insteadOf) return undefined
  if (kind === 'microwave' && BREAD.test(text))
    return { on: ['frying-pan', 'burner'], how: 'in a dry pan', slower: 1 }
  return { on: own.insteadOf, how: own.instead, slower: own.slower ?? 1 }
}

/**
 * The recipe with what the kitchen has in the place of what it lacks, where that does the same work.
 * Where it is done otherwise than the step says, as in a pot for want of a microwave, the step's words
 * say so; what is beaten by hand for want of a mixer takes longer.
 */
export function withStandIns(recipe: Recipe, kitchen: Kitchen): Recipe {
  const kinds = new Set(kitchen.stations.map((s) => s.kind))
  const insteadOf = (kind: string, step: Step) => {
    const other = kinds.has(kind) ? undefined : standInFor(kind, step)
    return other?.on.every((k) => kinds.has(k)) ? other : undefined
  }
  const steps = recipe.steps.map((step): Step => {
    // A way that can be gone as it stands is better than one with something else.
    if (step.ways.some((w) => w.on.every((n) => kinds.has(n.kind)))) return step
    const words = new Set<string>()
    const ways = step.ways.map((way) => {
      let slower = 1
      const on = way.on.flatMap((need) => {
        const other = insteadOf(need.kind, step)
        if (other?.how) words.add(` (${other.how}, for want of ${oneOf(need.kind)})`)
        if (other) slower = Math.max(slower, other.slower)
        return other ? other.on.map((kind) => ({ ...need, kind })) : [need]
      })
      const [least, usual, most] = way.minutes
      return {
        ...way,
        minutes: [least, usual * slower, most * slower] as typeof way.minutes,
        on: on.filter((n, i) => on.findIndex((o) => o.kind === n.kind) === i),
      }
    })
    return { ...step, ways, do: `${step.do}${[...words].join('')}`.slice(0, 300) }
  })
  return { ...recipe, steps }
}
