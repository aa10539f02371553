import type { Problem } from '../core/problem'
import { recipeSchema, type Recipe } from '../core/recipe'
import { compileSession, type Session } from '../core/session'
import { seeded, below } from '../core/solver'
import { demoKitchen, demoRecipes, demoSession } from '../demo'

/**
 * A home session of about so many dishes (shared bases come on top): dishes of the demo
 * household under other names, with times and batches of their own, in a kitchen that grows
 * with them. The same for the same seed.
 */
export function homeSession(dishes: number, seed: number): Problem {
  const random = seeded(seed * 7919 + dishes)
  // Every ten dishes share bases of their own: a base may not stand about for ever.
  const groups = Array.from({ length: Math.ceil(dishes / 10) }, (_, g) => g)
  const bases = demoRecipes
    .filter((r) => r.base)
    .flatMap((r) => groups.map((g) => ({ ...r, id: `${r.id}-${g}` })))
  const plain = demoRecipes.filter((r) => !r.base)
  const made: Recipe[] = []
  const order = plain.map((r) => [random(), r] as const).sort((a, b) => a[0] - b[0])
  for (let i = 0; i < dishes; i++) {
    const model = order[i % order.length]![1]
    made.push(varied(model, i, random))
  }
  const times = Math.max(1, Math.round(dishes / 10))
  const session: Session = {
    ...demoSession,
    dishes: made.map((r) => ({
      recipe: r.id,
      batches: 0.5 * (1 + below(random, dishes > 20 ? 2 : 4)),
    })),
  }
  const input = {
    session,
    kitchen: {
      ...demoKitchen,
      stations: demoKitchen.stations.flatMap((s) => {
        if (s.zone === 'cold') return [{ ...s, capacity: 1000 }]
        const copies = s.zone === 'vessel' || s.zone === 'bench' ? times : 1
        return Array.from({ length: copies }, (_, k) => ({ ...s, id: k ? `${s.id}-${k}` : s.id }))
      }),
    },
    recipes: [...made, ...bases],
  }
  const first = compileSession(input)
  // Every dish cuts its own, as it did before shared prep was found: the problems stay the same.
  const apart = first.ok ? first.value.shared.map((s) => s.id) : []
  const reading = compileSession({ ...input, session: { ...session, apart } })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  // What the engine is measured by stays what it was: the shortest plan, whatever else is wanted.
  const { allowance: _, ...problem } = reading.value.problem
  return { ...problem, objective: ['makespan', 'handsFree', 'handsSpread'] }
}

/** The recipe under another id, with times of its own and the bases of its group. */
function varied(model: Recipe, i: number, random: () => number): Recipe {
  const factor = () => 0.75 + 0.5 * random()
  return recipeSchema.parse({
    ...model,
    id: `${model.id}-${i}`,
    steps: model.steps.map((s) => {
      const f = factor()
      return {
        ...s,
        takes: s.takes.map((t) => ({ ...t, base: `${t.base}-${Math.floor(i / 10)}` })),
        ways: s.ways.map((w) => ({
          ...w,
          minutes: w.minutes.map((m) => Math.round(m * f * 4) / 4),
        })),
      }
    }),
  })
}
