import { KINDS, oneOf, type Kitchen } from '../kitchen'
import type { Recipe, Step } from '../recipe'

/**
 * The recipe with what the kitchen has in the place of what it lacks, where that does the same work.
 * Where it is done otherwise than the step says, as in a pot for want of a microwave, the step's words
 * say so; what is done by hand for want of a machine takes longer.
 */
export function withStandIns(recipe: Recipe, kitchen: Kitchen): Recipe {
  const kinds = new Set(kitchen.stations.map((s) => s.kind))
  const insteadOf = (kind: string, { do: text }: Step) =>
    kinds.has(kind)
      ? undefined
      : KINDS[kind]?.instead?.find(
          ({ on, words }) => on.every((k) => kinds.has(k)) && (!words || words.test(text)),
        )
  const steps = recipe.steps.map((step): Step => {
    // A way that can be gone as it stands is better than one with something else.
    if (step.ways.some((w) => w.on.every((n) => kinds.has(n.kind)))) return step
    const said = new Set<string>()
    const ways = step.ways.map((way) => {
      let slower = 1
      const on = way.on.flatMap((need) => {
        const other = insteadOf(need.kind, step)
        if (!other) return [need]
        if (other.how) said.add(` (${other.how}, for want of ${oneOf(need.kind)})`)
        slower = Math.max(slower, other.slower ?? 1)
        return other.on.map((kind) => ({ ...need, kind }))
      })
      const [least, usual, most] = way.minutes
      return {
        ...way,
        minutes: [least * slower, usual * slower, most * slower] as typeof way.minutes,
        on: on.filter((n, i) => on.findIndex((o) => o.kind === n.kind) === i),
      }
    })
    return { ...step, ways, do: `${step.do}${[...said].join('')}`.slice(0, 300) }
  })
  return { ...recipe, steps }
}
