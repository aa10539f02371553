import { KINDS, oneOf, type Kitchen } from '../kitchen'
import type { Recipe, Step } from '../recipe'

/**
 * The recipe with what the kitchen has in the place of what it lacks, where that does the same work.
 * Where it is done otherwise than the step says, as in a pot for want of a microwave, the step's words
 * say so.
 */
export function withStandIns(recipe: Recipe, kitchen: Kitchen): Recipe {
  const kinds = new Set(kitchen.stations.map((s) => s.kind))
  const insteadOf = (kind: string) => {
    const others = kinds.has(kind) ? undefined : KINDS[kind]?.insteadOf
    return others?.every((k) => kinds.has(k)) ? others : undefined
  }
  const steps = recipe.steps.map((step): Step => {
    // A way that can be gone as it stands is better than one with something else.
    if (step.ways.some((w) => w.on.every((n) => kinds.has(n.kind)))) return step
    const wanting = new Set<string>()
    const ways = step.ways.map((way) => {
      const on = way.on.flatMap((need) => {
        const others = insteadOf(need.kind)
        if (others && others.length > 1) wanting.add(need.kind)
        return others ? others.map((kind) => ({ ...need, kind })) : [need]
      })
      return { ...way, on: on.filter((n, i) => on.findIndex((o) => o.kind === n.kind) === i) }
    })
    const words = [...wanting].map((kind) => ` (in a pot, for want of ${oneOf(kind)})`)
    return { ...step, ways, do: `${step.do}${words.join('')}`.slice(0, 300) }
  })
  return { ...recipe, steps }
}
