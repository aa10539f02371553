import { issuesFrom, standTwice, type Issue, type Reading } from '../reading'
import { recipeSchema, type Recipe } from './schema'
import { canSplit } from './variants'

/** The recipe, or what is wrong with it: fields, names that lead nowhere, waits in a circle. */
export function readRecipe(input: unknown): Reading<Recipe> {
  const parsed = recipeSchema.safeParse(input)
  if (!parsed.success) return { ok: false, issues: issuesFrom(parsed.error) }
  const issues = referenceIssues(parsed.data)
  return issues.length ? { ok: false, issues } : { ok: true, value: parsed.data }
}

function referenceIssues(recipe: Recipe): Issue[] {
  const issues = [
    ...standTwice(recipe.steps, 'steps'),
    ...standTwice(recipe.ingredients, 'ingredients'),
  ]
  const steps = new Set(recipe.steps.map((s) => s.id))
  const ingredients = new Set(recipe.ingredients.map((i) => i.id))
  const known = (set: Set<string>, value: string, path: string, what: string) => {
    if (!set.has(value))
      issues.push({
        path,
        message: `there is no ${what} "${value}"`,
        allowed: `the id of one ${what}`,
      })
  }
  recipe.steps.forEach((step, i) => {
    step.after.forEach((a, j) => {
      known(steps, a.step, `steps[${i}].after[${j}].step`, 'step')
      if (a.most != null && a.most < (a.least ?? 0))
        issues.push({
          path: `steps[${i}].after[${j}].most`,
          message: 'the longest wait is shorter than the shortest',
          allowed: `at least ${a.least ?? 0}`,
        })
    })
    step.uses.forEach((u, j) => known(ingredients, u, `steps[${i}].uses[${j}]`, 'ingredient'))
    step.ways.forEach((way, j) => {
      if (way.heat && way.heat.celsius[0] > way.heat.celsius[1])
        issues.push({
          path: `steps[${i}].ways[${j}].heat.celsius`,
          message: 'the low end is above the high end',
          allowed: '[low, high]',
        })
    })
  })
  recipe.keeps.forEach((keep, i) => {
    known(steps, keep.from, `keeps[${i}].from`, 'step')
    known(steps, keep.to, `keeps[${i}].to`, 'step')
  })
  recipe.routes.forEach((route, i) =>
    route.options.forEach((option, j) =>
      option.steps.forEach((s, k) =>
        known(steps, s, `routes[${i}].options[${j}].steps[${k}]`, 'step'),
      ),
    ),
  )
  if (recipe.variants) {
    known(steps, recipe.variants.step, 'variants.step', 'step')
    const at = recipe.steps.find((s) => s.id === recipe.variants!.step)
    if (at && !canSplit(at))
      issues.push({
        path: 'variants.step',
        message: `"${at.do}" cooks, or goes by the panful: it cannot be split into kinds`,
        allowed: 'a step that hands do, like mixing, shaping or packing',
      })
    const sum = recipe.variants.kinds.reduce((n, k) => n + k.share, 0)
    if (Math.abs(sum - 1) > 0.005)
      issues.push({
        path: 'variants.kinds',
        message: `the shares come to ${Math.round(sum * 100)} %`,
        allowed: 'shares that make up the whole',
      })
  }
  const circle = circleOf(recipe)
  if (circle)
    issues.push({
      path: 'steps',
      message: `the steps ${circle.join(', ')} wait for each other in a circle`,
      allowed: 'waits that lead forward',
    })
  return issues
}

/** Steps that wait for each other in a circle, if any. */
function circleOf(recipe: Recipe): string[] | undefined {
  const left = new Map(recipe.steps.map((s) => [s.id, new Set(s.after.map((a) => a.step))]))
  for (;;) {
    const free = [...left].find(([, waits]) => ![...waits].some((w) => left.has(w)))
    if (!free) return left.size ? [...left.keys()] : undefined
    left.delete(free[0])
  }
}
