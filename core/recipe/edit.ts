import { vesselRuns } from './flow'
import type { Recipe, Step } from './schema'
import { lawOf } from './work'

/** The recipe with one step changed; the same where there is no such step. */
export const withStep = (recipe: Recipe, id: string, change: (step: Step) => Step): Recipe => ({
  ...recipe,
  steps: recipe.steps.map((s) => (s.id === id ? change(s) : s)),
})

/**
 * The recipe without a step. What waited for it waits for what it waited for; a vessel kept from or
 * to it is kept from the step behind or to the one before; routes lose it. The last step stays.
 */
export function withoutStep(recipe: Recipe, id: string): Recipe {
  const gone = recipe.steps.find((s) => s.id === id)
  if (!gone || recipe.steps.length === 1) return recipe
  const { variants, ...rest } = recipe
  return {
    ...rest,
    ...(variants && variants.step !== id ? { variants } : {}),
    steps: recipe.steps
      .filter((s) => s.id !== id)
      .map((s) => {
        if (!s.after.some((a) => a.step === id)) return s
        const kept = s.after.filter((a) => a.step !== id)
        const taken = gone.after
          .filter((a) => !kept.some((k) => k.step === a.step))
          .map((a) => ({ step: a.step }))
        return { ...s, after: [...kept, ...taken] }
      }),
    keeps: recipe.keeps.flatMap((k) => {
      if (k.from === k.to && k.from === id) return []
      const next = recipe.steps.find((s) => s.after.some((a) => a.step === id))?.id
      const from = k.from === id ? next : k.from
      const to = k.to === id ? gone.after.at(-1)?.step : k.to
      return from !== undefined && to !== undefined ? [{ ...k, from, to }] : []
    }),
    routes: recipe.routes
      .map((r) => ({
        ...r,
        options: r.options.map((o) => ({ ...o, steps: o.steps.filter((s) => s !== id) })),
      }))
      .filter((r) => r.options.some((o) => o.steps.length)),
  }
}

/** The recipe with a new step behind another, or at the end; what waited for that one waits for it. */
export function withNewStep(recipe: Recipe, after?: string): { recipe: Recipe; id: string } {
  const taken = new Set(recipe.steps.map((s) => s.id))
  let n = recipe.steps.length + 1
  while (taken.has(`step-${n}`)) n++
  const id = `step-${n}`
  const at =
    after === undefined ? recipe.steps.length : recipe.steps.findIndex((s) => s.id === after) + 1
  const step: Step = {
    id,
    do: 'Something to do',
    work: 'mix',
    ways: [{ id: 'as-written', minutes: [2, 3, 5], on: [] }],
    after: after === undefined ? [] : [{ step: after }],
    takes: [],
    uses: [],
    scale: 'once',
    aside: false,
    doubts: ['a new step: say what is done, and for how long'],
  }
  const steps = recipe.steps.map((s) =>
    after !== undefined && s.after.some((a) => a.step === after)
      ? { ...s, after: s.after.map((a) => (a.step === after ? { ...a, step: id } : a)) }
      : s,
  )
  return { recipe: { ...recipe, steps: [...steps.slice(0, at), step, ...steps.slice(at)] }, id }
}

/** Ids of all steps that a step waits for, by way of others too. */
export function waitsFor(recipe: Recipe, id: string): Set<string> {
  const out = new Set<string>()
  const stack = [id]
  while (stack.length) {
    const next = stack.pop()!
    const step = recipe.steps.find((s) => s.id === next)
    for (const a of step?.after ?? [])
      if (!out.has(a.step)) {
        out.add(a.step)
        stack.push(a.step)
      }
  }
  return out
}

/** Kinds of the vessels that a step is done in because food is in them already, or is kept in them. */
export const keptFor = (recipe: Recipe, id: string): string[] => {
  const own = recipe.steps.find((s) => s.id === id)?.ways[0]!.on.map((o) => o.kind) ?? []
  return vesselRuns(recipe)
    .filter((r) => r.steps.includes(id) && !own.includes(r.vessel.kind))
    .map((r) => r.vessel.kind)
}

/** Kinds of all equipment that a step takes in its first way, vessels kept over it among them. */
export const equipmentFor = (recipe: Recipe, step: Step): string[] => [
  ...new Set([...step.ways[0]!.on.map((o) => o.kind), ...keptFor(recipe, step.id)]),
]

/** Steps that a step may wait for without a circle. */
export const mayWaitFor = (recipe: Recipe, id: string): Step[] =>
  recipe.steps.filter((s) => s.id !== id && !waitsFor(recipe, s.id).has(id))

/** Where each step stands in the strip: which lane, and the lanes and rows of what it waits for. */
export interface StripRow {
  id: string
  lane: number
  from: { row: number; lane: number; id: string }[]
}

/**
 * A recipe's steps as lanes that run side by side and join: a step goes on in the lane of what it
 * waits for where nobody else has yet, or opens the first lane that is free.
 */
export function stripOf(recipe: Pick<Recipe, 'steps'>): { rows: StripRow[]; lanes: number } {
  const { steps } = recipe
  const rowOf = new Map(steps.map((s, i) => [s.id, i]))
  const lastUse = new Map<string, number>()
  steps.forEach((s, i) =>
    s.after.forEach((a) => lastUse.set(a.step, Math.max(i, lastUse.get(a.step) ?? 0))),
  )
  const lanes: (string | undefined)[] = []
  const rows: StripRow[] = []
  steps.forEach((s, i) => {
    const from = s.after
      .filter((a) => (rowOf.get(a.step) ?? Infinity) < i)
      .map((a) => ({ row: rowOf.get(a.step)!, lane: rows[rowOf.get(a.step)!]!.lane, id: a.step }))
    const free = lanes.findIndex((l) => l === undefined)
    const own = from
      .map((f) => f.lane)
      .filter((l) => from.some((f) => f.lane === l && lanes[l] === f.id))
    const lane = own.length ? Math.min(...own) : free >= 0 ? free : lanes.length
    for (const f of from)
      if (lanes[f.lane] === f.id && lastUse.get(f.id) === i) lanes[f.lane] = undefined
    lanes[lane] = lastUse.has(s.id) ? s.id : undefined
    rows.push({ id: s.id, lane, from })
  })
  return { rows, lanes: Math.max(1, ...rows.map((r) => r.lane + 1)) }
}

/** Minutes of hands work and from first to last along the longest chain, for one batch. */
export function timesOf(recipe: Pick<Recipe, 'steps'>): { hands: number; whole: number } {
  const ends = new Map<string, number>()
  let hands = 0
  const left = [...recipe.steps]
  while (left.length) {
    const i = left.findIndex((s) =>
      s.after.every((a) => ends.has(a.step) || !left.some((l) => l.id === a.step)),
    )
    if (i < 0) break
    const [step] = left.splice(i, 1)
    const law = lawOf(step!.work)
    const [, usual] = step!.ways[0]!.minutes
    const around = law.attend === 'hands' ? 0 : 2 * law.handling
    const start = Math.max(0, ...step!.after.map((a) => (ends.get(a.step) ?? 0) + (a.least ?? 0)))
    ends.set(step!.id, start + usual + around)
    hands += law.attend === 'hands' ? usual : around
  }
  return { hands: Math.round(hands), whole: Math.round(Math.max(0, ...ends.values())) }
}
