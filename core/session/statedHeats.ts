import type { Recipe, Step } from '../recipe'

type Heat = NonNullable<Step['ways'][number]['heat']>

/**
 * The recipes with each bake at the very heat that its text states, but for those that share an oven
 * with another at a heat near it, and for that go a few degrees up or down. Nobody sets an oven to 195
 * for a dish at 200 where nothing is won by it.
 */
export function withStatedHeats(recipes: readonly Recipe[]): Recipe[] {
  const all = recipes.flatMap((r) => r.steps.flatMap(heatsOf))
  const meets = (a: Heat, b: Heat) =>
    a.method === b.method &&
    middle(a) !== middle(b) &&
    a.celsius[0] <= b.celsius[1] &&
    b.celsius[0] <= a.celsius[1]
  const exact = <H extends Heat>(heat: H): H => {
    const { stated } = heat
    return stated === undefined || all.some((other) => meets(heat, other))
      ? heat
      : { ...heat, celsius: [stated, stated] }
  }
  return recipes.map((recipe) => ({
    ...recipe,
    steps: recipe.steps.map((step) => ({
      ...step,
      ways: step.ways.map((way) => ({
        ...way,
        ...(way.heat ? { heat: exact(way.heat) } : {}),
        ...(way.then ? { then: way.then.map((t) => ({ ...t, heat: exact(t.heat) })) } : {}),
      })),
    })),
  }))
}

const heatsOf = (step: Step): Heat[] =>
  step.ways.flatMap((w) => [...(w.heat ? [w.heat] : []), ...(w.then ?? []).map((t) => t.heat)])
const middle = ({ celsius: [low, high], stated }: Heat) => stated ?? (low + high) / 2
