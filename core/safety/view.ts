import { comesFrom, foodLinks, goesInto, lotsOf, type Lot, type Recipe, type Step } from '../recipe'

/** A step with what goes into it and what comes out of it. */
export interface SeenStep {
  step: Step
  /** Its words, in small letters. */
  text: string
  /** Names of what it uses itself, and of all that is in it by then, in small letters. */
  fresh: string[]
  items: string[]
  before: Lot[]
  after: Lot
}

/** A recipe as hazards are looked for in it. */
export interface View {
  recipe: Recipe
  /** All that the recipe says, in small letters: more than its steps, where the text is known. */
  text: string
  /** Its sentences. */
  sentences: string[]
  items: string[]
  steps: SeenStep[]
  /** Steps that take up what a step gives, near and far. */
  later: (step: SeenStep) => SeenStep[]
}

/** The view of a recipe; `told` is the text that it was read from, where there is one. */
export function viewOf(recipe: Recipe, told?: string): View {
  const lots = lotsOf(recipe)
  const links = foodLinks(recipe)
  const itemOf = new Map(recipe.ingredients.map((i) => [i.id, i.item.toLowerCase()]))
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  const steps = recipe.steps.map((step): SeenStep => {
    const fresh = step.uses.map((u) => itemOf.get(u)!)
    const all = [...comesFrom(links, step.id)].flatMap((s) => {
      const { uses, brings } = byId.get(s)!
      return [...uses, ...(brings?.uses ?? [])].map((u) => itemOf.get(u)!)
    })
    return {
      step,
      text: step.do.toLowerCase(),
      fresh,
      items: [...new Set(all)],
      before: links.filter((l) => l.to === step.id).map((l) => lots.get(l.from)!),
      after: lots.get(step.id)!,
    }
  })
  const text = (told ?? [recipe.name, ...recipe.steps.map((s) => s.do)].join('. ')).toLowerCase()
  return {
    recipe,
    text,
    sentences: text.split(/(?<=[.!?])\s+|\n/).filter(Boolean),
    items: [...itemOf.values()],
    steps,
    later: (seen) => {
      const all = goesInto(links, seen.step.id)
      return steps.filter((s) => s !== seen && all.has(s.step.id))
    },
  }
}
