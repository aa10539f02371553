import {
  aboutSteps,
  freeId,
  lotsOf,
  lowerFirst,
  sharesOf,
  upperFirst,
  type Recipe,
  type Step,
} from '../../recipe'
import { upTo } from '../ahead'
import { litresBy } from '../fill'
import { fetchStep } from '../ownStep'
import { partingsOf, type Parting } from './parting'

/** In which of several sittings, by their place in time, each step of a recipe is done. */
export type Placed = ReadonlyMap<string, number>

/** How long lies between the sittings, and how an instant of one is said in words. */
export interface Between {
  /** Minutes from when a step of one sitting ended, or is thought to, to the beginning of another. */
  since: (step: string, from: number, to: number) => number
  /** `Saturday 9:00` */
  when: (sitting: number) => string
}

/** Room that the smallest box takes. */
const LEAST_LITRES = 0.2

/** What of a recipe is done in one of several sittings, or nothing. */
export function partOf(
  recipe: Recipe,
  placed: Placed,
  at: number,
  between: Between,
): { recipe: Recipe; goesOn: boolean } | undefined {
  const partings = partingsOf(recipe)
  const steps = recipe.steps.filter((s) => placed.get(s.id) === at)
  if (!steps.length) return undefined
  if (steps.length === recipe.steps.length) return { recipe, goesOn: false }
  const context = contextOf(recipe, placed, at, between)
  const fetched: Step[] = []
  const made = steps.map((step) => context.here(step, fetched))
  const kept = new Set([...fetched, ...made].map((s) => s.id))
  const amount = amountsLeft(recipe, steps)
  /** What waits for another sitting. */
  const waiting = recipe.steps.filter(
    (x) =>
      placed.get(x.id) === at &&
      recipe.steps.some((s) => placed.get(s.id)! > at && s.after.some((a) => a.step === x.id)),
  )
  const goesOn = waiting.length > 0
  const dry = waiting.every((s) => partings.get(s.id)?.how === 'dry')
  const litres = waiting.reduce((sum, s) => sum + litresBy(recipe, s.id), 0)
  return {
    goesOn,
    recipe: {
      ...recipe,
      ingredients: recipe.ingredients.map((i) => ({ ...i, amount: i.amount * amount(i.id) })),
      steps: [...fetched, ...made],
      keeps: recipe.keeps.filter((k) => kept.has(k.from) && kept.has(k.to)),
      routes: recipe.routes.filter((r) =>
        r.options.every((o) => o.steps.every((s) => kept.has(s))),
      ),
      ...(goesOn
        ? {
            store: {
              place: dry ? ('shelf' as const) : ('fridge' as const),
              litres: Math.max(LEAST_LITRES, Math.round(litres * 10) / 10),
              days: Math.max(1, recipe.store?.days ?? 1),
            },
          }
        : {}),
      ...(recipe.variants && kept.has(recipe.variants.step) ? {} : { variants: undefined }),
    },
  }
}

/** What has gone into it before is not taken again: how much of an ingredient these steps take. */
function amountsLeft(recipe: Recipe, steps: readonly Step[]): (ingredient: string) => number {
  const shares = sharesOf(recipe)
  return (id) => {
    const own = steps.filter((s) => s.uses.includes(id))
    const sum = own.reduce((n, s) => n + (shares.get(s.id)?.get(id) ?? 0), 0)
    return sum > 0 && sum < 1 && own.length === 1 ? sum : 1
  }
}

function contextOf(recipe: Recipe, placed: Placed, at: number, { since, when }: Between) {
  const lots = lotsOf(recipe)
  const about = aboutSteps(recipe)
  const partings = partingsOf(recipe)
  const shares = sharesOf(recipe)
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  const ids = new Set(byId.keys())
  const taken = new Map<string, string>()

  /** The step that takes up what an earlier sitting has left. */
  const fetch = (from: Step, fetched: Step[]): string => {
    const known = taken.get(from.id)
    if (known !== undefined) return known
    const id = freeId(`fetch-${from.id}`.slice(0, 50), ids)
    ids.add(id)
    taken.set(from.id, id)
    const lot = lots.get(from.id)!
    const food = lowerFirst(about.get(from.id) ?? recipe.name)
    const parting = partings.get(from.id)
    const is = (['raw', 'flesh', 'part', 'cooked', 'dough'] as const).filter((k) => lot[k])
    const on = parting?.how === 'on'
    const gone = since(from.id, placed.get(from.id)!, at)
    const [least, usual, most] = from.ways[0]!.minutes
    const wanted = on ? (parting.least * 60 === usual ? usual : least) : 0
    const after: Step['after'] = []
    if (on && (from.ways[0]!.on.length || wanted > gone)) {
      const goes = `${id}-on`.slice(0, 58)
      ids.add(goes)
      fetched.push({
        ...from,
        id: goes,
        do: `${upperFirst(food)} ${STILL[from.work] ?? 'still goes on'}, since ${when(placed.get(from.id)!)}`,
        after: [],
        takes: [],
        uses: [],
        aside: false,
        since: true,
        brings: { uses: [], is: [...is, ...(lot.cold ? (['cold'] as const) : [])] },
        ways: [
          {
            ...from.ways[0]!,
            load: 0,
            unload: 0,
            minutes: [
              Math.max(0, least - gone),
              Math.max(0, wanted - gone),
              Math.max(0, wanted - gone, most - gone),
            ],
          },
        ],
      })
      after.push({ step: goes })
    }
    const words =
      on && from.ways[0]!.on.length
        ? `Take up ${food}: ${DONE[from.work] ?? 'it has waited'}`
        : `Take ${food} out of ${placeOf(from, parting)}`
    fetched.push(
      fetchStep(id, words, {
        hygiene: lot.raw ? 'raw' : lot.cooked ? 'ready' : 'produce',
        after,
        brings: { uses: usedBy(recipe, from.id), is: on ? [...is] : [...is, 'cold'] },
      }),
    )
    return id
  }

  /** A step as it is done in this sitting. */
  const here = (step: Step, fetched: Step[]): Step => {
    const runsOn =
      partings.get(step.id)?.how === 'on' &&
      recipe.steps.some((s) => placed.get(s.id)! > at && s.after.some((a) => a.step === step.id))
    const until = Math.min(
      ...recipe.steps
        .filter((s) => s.after.some((a) => a.step === step.id))
        .map((s) => placed.get(s.id)!),
    )
    return {
      ...step,
      after: step.after.map((a) => {
        const from = byId.get(a.step)
        if (!from || placed.get(a.step) === at) return a
        return { step: fetch(from, fetched) }
      }),
      uses: step.uses.filter((u) => (shares.get(step.id)?.get(u) ?? 1) > 0),
      ...(runsOn
        ? {
            do: `${step.do}; it goes on by itself until ${when(until)}`.slice(0, 300),
            aside: true,
            beyond: true as const,
            ways: step.ways.map((w) => ({ ...w, unload: 0 })),
          }
        : {}),
    }
  }
  return { here }
}

/** Where it has lain since the other sitting. */
function placeOf(step: Step, parting: Parting | undefined): string {
  if (parting?.how === 'dry') return 'the jar'
  if (step.work === 'chill') return 'the fridge'
  const out = parting?.how === 'on' && !/\bfridge\b|\brefrigerat/i.test(step.do)
  return out ? 'the bowl' : 'the fridge'
}

const STILL: Partial<Record<Step['work'], string>> = {
  slow: 'is still cooking',
  soak: 'is still soaking',
  prove: 'is still rising',
  chill: 'is still in the cold',
  rest: 'is still resting',
}
const DONE: Partial<Record<Step['work'], string>> = {
  slow: 'it has cooked by itself',
  soak: 'it has soaked',
  prove: 'it has risen',
  chill: 'it has been in the cold',
}

/** What has gone into a step and all before it. */
function usedBy(recipe: Recipe, step: string): string[] {
  const before = upTo(recipe, [step])
  return [...new Set(recipe.steps.flatMap((s) => (before.has(s.id) ? s.uses : [])))]
}
