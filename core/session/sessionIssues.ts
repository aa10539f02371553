import { oneOf, type Kitchen } from '../kitchen'
import type { Issue } from '../reading'
import { vesselRuns, type Recipe } from '../recipe'
import type { DishToMake } from './dishes'
import { panIssues, rulesOf } from './houseRules'
import type { Session } from './schema'
import { filled } from './vesselHolds'

/** What the cook has to mend before a session can be planned, each with its place. */
export function sessionIssues(
  session: Session,
  kitchen: Kitchen,
  recipes: Map<string, Recipe>,
  dishes: DishToMake[],
): Issue[] {
  return [
    ...choiceIssues(session, kitchen, recipes),
    ...timeIssues(session, recipes),
    ...missing(dishes, kitchen),
    ...roomIssues(dishes, kitchen),
    ...panIssues(rulesOf(kitchen), dishes, kitchen),
  ]
}

/** What is to be ready before anybody begins with it. */
function timeIssues({ start, ready, dishes }: Session, recipes: Map<string, Recipe>): Issue[] {
  const allowed = `a time after ${start.replace('T', ' ')}`
  const too = (path: string, who: string): Issue => ({
    path,
    message: `${who} is to be ready before it is begun`,
    allowed,
  })
  return [
    ...(ready !== undefined && ready <= start ? [too('ready', 'everything')] : []),
    ...dishes.flatMap((d, i) =>
      d.ready !== undefined && (d.ready <= start || d.ready <= (d.notBefore ?? ''))
        ? [too(`dishes[${i}].ready`, recipes.get(d.recipe)?.name ?? d.recipe)]
        : [],
    ),
  ]
}

function choiceIssues(session: Session, kitchen: Kitchen, recipes: Map<string, Recipe>): Issue[] {
  const issues: Issue[] = []
  if (!session.dishes.length)
    issues.push({ path: 'dishes', message: 'no dish is chosen', allowed: 'one dish or more' })
  if (!session.cooks.length)
    issues.push({ path: 'cooks', message: 'nobody cooks', allowed: 'one cook or more' })
  session.cooks.forEach((id, i) => {
    if (!kitchen.people.some((p) => p.id === id))
      issues.push({
        path: `cooks[${i}]`,
        message: `"${id}" is nobody of this kitchen`,
        allowed: kitchen.people.map((p) => p.id).join(' | '),
      })
  })
  const wanted = session.dishes.flatMap((d, i) => [
    { id: d.recipe, path: `dishes[${i}].recipe` },
    ...(recipes.get(d.recipe)?.steps ?? []).flatMap((s) =>
      s.takes.map((t) => ({ id: t.base, path: `dishes[${i}].recipe` })),
    ),
  ])
  for (const { id, path } of wanted)
    if (!recipes.has(id))
      issues.push({ path, message: `there is no recipe "${id}"`, allowed: 'the id of one recipe' })
  return issues
}

/** Steps and kept vessels for which the kitchen has nothing, in none of their ways. */
function missing(dishes: DishToMake[], kitchen: Kitchen): Issue[] {
  const kinds = new Set(kitchen.stations.map((s) => s.kind))
  const lacks = (path: string, who: string, lacking: string[]): Issue => {
    const words = [...new Set(lacking)].map(oneOf).join(' or ')
    return {
      path,
      message: `${who} wants ${words}, and this kitchen has none in use`,
      allowed: 'what the kitchen has: change the step, or add it to the kitchen',
    }
  }
  return dishes.flatMap(({ recipe }) => [
    ...recipe.steps.flatMap((step) => {
      const lacking = step.ways.map((w) => w.on.find((n) => !kinds.has(n.kind))?.kind)
      return lacking.some((k) => k === undefined)
        ? []
        : [
            lacks(
              `dishes.${recipe.id}.steps.${step.id}`,
              `${recipe.name}: "${step.do}"`,
              lacking as string[],
            ),
          ]
    }),
    ...recipe.keeps
      .filter((k) => !kinds.has(k.vessel.kind))
      .map((k) => lacks(`dishes.${recipe.id}.keeps.${k.id}`, recipe.name, [k.vessel.kind])),
  ])
}

/** Vessels and cold places too small for what is to go in, before anybody starts. */
function roomIssues(dishes: DishToMake[], kitchen: Kitchen): Issue[] {
  const issues: Issue[] = []
  for (const { recipe, batches } of dishes)
    for (const run of vesselRuns(recipe)) {
      const litres = run.litres ?? filled(recipe, run)
      if (litres === undefined) continue
      const largest = Math.max(
        0,
        ...kitchen.stations.filter((s) => s.kind === run.vessel.kind).map((s) => s.size ?? 0),
      )
      if (largest > 0 && litres * batches > largest)
        issues.push({
          path: `dishes.${recipe.id}.batches`,
          message: `${recipe.name} wants ${oneOf(run.vessel.kind)} of ${round(litres * batches)} litres, the largest holds ${largest}`,
          allowed: `up to ${Math.floor((largest / litres) * 2) / 2} batches at once`,
        })
    }
  for (const place of ['fridge', 'freezer'] as const) {
    const litres = dishes.reduce(
      (sum, d) => sum + (d.recipe.store?.place === place ? d.recipe.store.litres * d.batches : 0),
      0,
    )
    const room = kitchen.stations
      .filter((s) => s.kind === place)
      .reduce((sum, s) => sum + s.capacity, 0)
    if (litres > room)
      issues.push({
        path: 'dishes',
        message: `the ${place} has ${room} litres free, this session fills ${round(litres)}`,
        allowed: `at most ${room} litres: fewer batches, or make room`,
      })
  }
  return issues
}

const round = (value: number) => Math.round(value * 10) / 10
