import { foodLinks, vesselOf, type Recipe, type Step } from '../recipe'

/**
 * The recipe with a bake that goes on at another heat as one step, so that it stays in its oven in
 * between: what follows straight from a bake, waits for nothing else and is no work of hands.
 */
export function withHeatChanges(recipe: Recipe): Recipe {
  let out = recipe
  for (const { id } of recipe.steps) {
    const step = out.steps.find((s) => s.id === id)
    const before = step && onlyBefore(out, step)
    if (step && before) out = joined(out, before, step)
  }
  return out
}

function onlyBefore(recipe: Recipe, step: Step): Step | undefined {
  if (step.after.length !== 1 || step.takes.length || step.uses.length) return undefined
  const before = recipe.steps.find((s) => s.id === step.after[0]!.step)
  if (!before || !bakes(before) || !bakes(step) || (step.after[0]!.least ?? 0) > 0) return undefined
  const others = foodLinks(recipe).some((l) => l.from === before.id && l.to !== step.id)
  const vessel = vesselOf(step)?.kind
  const same = vessel === undefined || vessel === vesselOf(before)?.kind
  const routed = recipe.routes.some((r) =>
    r.options.some((o) => o.steps.includes(step.id) !== o.steps.includes(before.id)),
  )
  const turned = recipe.keeps.some((k) => k.from === step.id)
  return others || !same || routed || turned ? undefined : before
}

const bakes = (s: Step) =>
  s.ways.length === 1 && s.ways[0]!.heat !== undefined && (s.work === 'bake' || s.work === 'grill')

function joined(recipe: Recipe, before: Step, step: Step): Recipe {
  const way = before.ways[0]!
  const next = step.ways[0]!
  const whole: Step = {
    ...before,
    ...(step.caution !== undefined && before.caution === undefined
      ? { caution: step.caution }
      : {}),
    ways: [
      {
        ...way,
        then: [
          ...(way.then ?? []),
          { step: step.id, do: step.do, minutes: next.minutes, heat: next.heat! },
          ...(next.then ?? []),
        ],
      },
    ],
  }
  const inTurn = (id: string) => (id === step.id ? before.id : id)
  return {
    ...recipe,
    steps: recipe.steps
      .filter((s) => s !== step)
      .map((s) =>
        s === before
          ? whole
          : { ...s, after: s.after.map((a) => ({ ...a, step: inTurn(a.step) })) },
      ),
    keeps: recipe.keeps.map((k) => ({ ...k, from: inTurn(k.from), to: inTurn(k.to) })),
    routes: recipe.routes.map((r) => ({
      ...r,
      options: r.options.map((o) => ({ ...o, steps: o.steps.filter((s) => s !== step.id) })),
    })),
  }
}
