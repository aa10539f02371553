import { isFilled, type Filled, type Kitchen } from '../kitchen'
import {
  grainOf,
  grainSum,
  idFor,
  mostLitres,
  ingredientLine,
  lawOf,
  markFor,
  type Recipe,
  type Step,
} from '../recipe'
import { measurable } from '../quantity'
import { scaleOf } from './portions'
import { cutName, foodOf, styleOf } from './sameCut'
import { marksIn } from './dishes'
import type { Session } from './schema'

/** One dish's share of something done once for several. */
export interface Part {
  dish: string
  name: string
  /** What of it goes into this dish, with its amount. */
  line: string
}

/** Work that several dishes have in common and that is done in one go, then divided. */
export interface SharedPrep {
  /** The same for the same food and cut, whatever else the session holds. */
  id: string
  name: string
  parts: Part[]
  /** Whether the cook wants it done for each dish by itself. */
  apart: boolean
}

/** A step that may be done together with others, and what must be the same for that. */
interface Candidate {
  key: string
  food: string
  recipe: Recipe
  batches: number
  step: Step
}

/**
 * Minutes saved by each further part that is cut in one go: board, knife and bowls are set out and
 * wiped once. An estimate of ours, kept low.
 */
const SET_OUT = 0.5
/** Share by which cooking times may differ and still be one pot. */
const ALIKE = 0.1

/**
 * What the session's dishes have in common: the same cut of the same food, and the same grain or
 * pulse cooked in the same way for the same time, found where nothing goes before the step and a
 * vessel of the kitchen takes it all. The recipes come back with that taken out of the dishes and
 * made once, as a base that each of them takes its part from; what the cook wants apart stays.
 */
export function withSharedPrep(
  session: Session,
  recipes: readonly Recipe[],
  kitchen: Kitchen,
): { recipes: Recipe[]; shared: SharedPrep[] } {
  const groups = groupsOf(session, recipes, kitchen)
  const out = new Map(recipes.map((r) => [r.id, r]))
  const marks = marksIn(session, recipes)
  for (const { shared, list } of groups) {
    if (shared.apart) continue
    const { id } = shared
    if (out.has(id)) continue
    const mark = markFor(shared.name, marks)
    marks.add(mark)
    for (const c of list) out.set(c.recipe.id, withoutPart(out.get(c.recipe.id)!, c, id, list))
    out.set(id, baseOf(id, mark, shared, list))
  }
  return { recipes: [...out.values()], shared: groups.map((g) => g.shared) }
}

function groupsOf(session: Session, recipes: readonly Recipe[], kitchen: Kitchen) {
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const groups = new Map<string, Candidate[]>()
  for (const dish of session.dishes) {
    const recipe = byId.get(dish.recipe)
    // A base is shared already, and how much of it is made follows from the dishes.
    if (!recipe || recipe.base || dish.alone) continue
    for (const step of recipe.steps) {
      const found = candidate(recipe, dish.batches, step)
      if (found) groups.set(found.key, [...(groups.get(found.key) ?? []), found])
    }
  }
  return [...groups].flatMap(([key, all]) => {
    const list = all.filter(
      (c, i) => all.findIndex((o) => o.recipe === c.recipe) === i && fits(c, all[0]!),
    )
    if (list.length < 2 || !hasRoom(list, kitchen)) return []
    const first = list[0]!
    const id = idFor(`shared ${key}`, new Set())
    const shared: SharedPrep = {
      id,
      name: `${first.step.work === 'cut' ? cutName(first.step.do) : 'Cooked'} ${first.food}`,
      parts: list.map((c) => ({
        dish: c.recipe.id,
        name: c.recipe.name,
        line: ingredientLine(amountOf(c)),
      })),
      apart: session.apart?.includes(id) ?? false,
    }
    return [{ shared, list }]
  })
}

function candidate(recipe: Recipe, batches: number, step: Step): Candidate | undefined {
  if (step.after.length || step.takes.length || step.panfuls || step.aside) return undefined
  const own = partOf(recipe, step)
  if (!own) return undefined
  const inRoute = recipe.routes.some((r) => r.options.some((o) => o.steps.includes(step.id)))
  const kept = recipe.keeps.some((k) => k.from === step.id || k.to === step.id)
  // Without something that waits for it there is nothing to divide it between.
  const wanted = recipe.steps.some((s) => s.after.some((a) => a.step === step.id))
  if (inRoute || kept || !wanted) return undefined
  const food = foodOf(own.item)
  const ways = step.ways.map((w) => w.id + w.on.map((n) => n.kind).join()).join(';')
  const hygiene = step.hygiene ?? lawOf(step.work).hygiene
  if (step.work === 'cut') {
    const style = styleOf(step.do)
    if (!style || !food) return undefined
    return { key: `${food} ${style} ${hygiene} ${ways}`, food: own.item, recipe, batches, step }
  }
  const pot = ['boil', 'simmer', 'pressure', 'slow'].includes(step.work)
  if (!pot || !grainOf(own.item)) return undefined
  return { key: `${food} ${step.work} ${hygiene} ${ways}`, food: own.item, recipe, batches, step }
}

/** Whether two are cooked for about the same time; cutting takes what it takes. */
const fits = (a: Candidate, b: Candidate) =>
  a.step.work === 'cut' ||
  Math.abs(a.step.ways[0]!.minutes[1] - b.step.ways[0]!.minutes[1]) <=
    ALIKE * b.step.ways[0]!.minutes[1]

/** Whether the kitchen has a vessel for all of it together. */
const hasRoom = (list: Candidate[], kitchen: Kitchen) =>
  list[0]!.step.ways.every((w, way) =>
    w.on.every((need, n) => {
      const least = togetherSize(list, way, n)
      return (
        least === undefined ||
        kitchen.stations.some((s) => s.kind === need.kind && (s.size ?? 0) >= least)
      )
    }),
  )

/** Litres a vessel needs for the parts together; undefined where nothing says. */
function togetherSize(list: Candidate[], way: number, n: number): number | undefined {
  const needs = list.map((c) => c.step.ways[way]!.on[n]!)
  const { kind } = needs[0]!
  if (list[0]!.step.work === 'cut' || !isFilled(kind)) return needs[0]!.minSize
  const stated = needs.reduce((sum, need) => sum + (need.minSize ?? 0), 0)
  const litres = list.reduce((sum, c) => sum + grainLitres(c, kind), 0)
  return Math.round(Math.max(stated, litres) * 10) / 10 || undefined
}

/** Litres of pot that a part of grain takes with its water, the pot filled to its usual most. */
function grainLitres(c: Candidate, kind: Filled): number {
  const { amount, unit, item } = amountOf(c)
  const grams = unit === 'g' ? amount : unit === 'kg' ? amount * 1000 : 0
  const grain = grainOf(item)
  if (!grain || !grams) return 0
  const how = kind === 'pressure-cooker' ? 'pressure-cooker' : 'hob'
  const { water } = grainSum(grain, grams, how)
  // A kilo of grain and a litre of water fill about as much; mostLitres says how far one may go.
  return (grams + water) / 1000 / (mostLitres(kind, 10, true).least / 10)
}

/** The one thing that a step uses, water aside. */
function partOf(recipe: Recipe, step: Step): Recipe['ingredients'][number] | undefined {
  const used = recipe.ingredients.filter((i) => step.uses.includes(i.id))
  const own = used.filter((i) => !/^(?:cold |hot |boiling )?water$/i.test(i.item.trim()))
  return own.length === 1 ? own[0] : undefined
}

function amountOf({ recipe, step, batches }: Candidate): Recipe['ingredients'][number] {
  const own = partOf(recipe, step)!
  return { ...own, amount: measurable(own.amount * batches, own.unit) }
}

/** The dish without its own step: what waited for it takes its part of the shared one. */
function withoutPart(recipe: Recipe, c: Candidate, base: string, list: Candidate[]): Recipe {
  // All shares together are one batch, however many steps wait for each part.
  const waiting = recipe.steps.filter((s) => s.after.some((a) => a.step === c.step.id)).length
  const share = 1 / (list.length * waiting)
  return {
    ...recipe,
    steps: recipe.steps
      .filter((s) => s.id !== c.step.id)
      .map((s) => {
        const wait = s.after.find((a) => a.step === c.step.id)
        if (!wait) return s
        // Cut food keeps in the cold; what is cooked may stand no longer than any base.
        const most = wait.most ?? (c.step.work === 'cut' ? null : undefined)
        return {
          ...s,
          after: s.after.filter((a) => a !== wait),
          takes: [
            ...s.takes,
            {
              base,
              batches: share / c.batches,
              ...(wait.least === undefined ? {} : { least: wait.least }),
              ...(most === undefined ? {} : { most }),
            },
          ],
        }
      }),
  }
}

/** The shared work as a recipe of one step, for exactly what this session needs of it. */
function baseOf(id: string, mark: string, shared: SharedPrep, list: Candidate[]): Recipe {
  const first = list[0]!
  const names = list.map((c) => c.recipe.name)
  const minutes = (way: number): [number, number, number] => {
    const of = (k: number) => {
      const each = list.map((c) => c.step.ways[way]!.minutes[k]! * scaleOf(c.step, c.batches))
      if (first.step.work !== 'cut') return potMinutes(list, way, k)
      const sum = each.reduce((a, b) => a + b, 0) - SET_OUT * (list.length - 1)
      return Math.round(Math.max(sum, ...each) * 10) / 10
    }
    return [of(0), of(1), of(2)]
  }
  return {
    format: 'cadrum/recipe@1',
    id,
    name: shared.name,
    mark,
    base: true,
    serves: Math.max(
      1,
      list.reduce((n, c) => n + c.recipe.serves * c.batches, 0),
    ),
    ingredients: list.map((c, i) => ({
      ...amountOf(c),
      id: `part-${i + 1}`,
      note: `for ${c.recipe.name}`,
    })),
    steps: [
      {
        ...first.step,
        id: 'once',
        do: `${first.step.do}, for ${names.slice(0, -1).join(', ')} and ${names.at(-1)}`.slice(
          0,
          300,
        ),
        scale: 'once',
        after: [],
        takes: [],
        uses: list.map((_, i) => `part-${i + 1}`),
        ways: first.step.ways.map((w, k) => ({
          ...w,
          minutes: minutes(k),
          on: w.on.map((need, n) => {
            const minSize = togetherSize(list, k, n)
            return minSize === undefined ? need : { ...need, minSize }
          }),
        })),
        doubts: [],
      },
    ],
    keeps: [],
    routes: [],
  }
}

/** One pot for all: the longest of their times, and longer where a fuller pot takes longer. */
function potMinutes(list: Candidate[], way: number, k: number): number {
  const longest = Math.max(...list.map((c) => c.step.ways[way]!.minutes[k]!))
  const batches = list.reduce((sum, c) => sum + c.batches, 0)
  return Math.round(longest * scaleOf(list[0]!.step, batches) * 10) / 10
}
