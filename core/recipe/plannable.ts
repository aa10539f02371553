import type { RecipeRead } from './text/readText'
import type { StepRead } from './text/drafts'
import type { RecipeInput } from './schema'
import { ingredientOf } from './ingredients'
import { withLastMinutes } from './lastMinutes'
import { withPrep } from './prep'
import { durationsIn } from './text/durations'
import { isMeat } from './text/foods'
import { namesOf, type IngredientRead } from './text/ingredientLine'
import { plain } from './text/plain'
import { leavesIn } from './text/leaves'
import { softens } from './flow'
import { lawOf } from './work'

type StepInput = RecipeInput['steps'][number]
type EquipmentInput = NonNullable<StepInput['ways'][number]['on']>[number]

/** Longest that a step may take on top of what a text states, as a share of it. */
const SLACK = 0.25
/**
 * Minutes on top that something may go on which only waits: what lies in the cold for half a day, what
 * rises or rests not for long. Estimates of ours.
 */
const MAY_WAIT: Partial<Record<StepRead['work'], number>> = {
  chill: 720,
  soak: 480,
  cool: 60,
  rest: 15,
  prove: 10,
}
const GROWS = new Set(['cut', 'shape', 'pack'])
/** Things that are in every kitchen in plenty, so that nobody plans for them. */
const UNPLANNED = new Set(['colander', 'rack', 'kettle', 'fridge', 'freezer', 'grill', 'steamer'])
/** What stands in for equipment that the plan knows under another name. */
const STANDS_FOR: Record<string, string> = { griddle: 'frying-pan', tin: 'oven-dish' }

/**
 * A recipe as it was read, as one that a session can plan with. Heating the oven is left to the
 * plan, and so is which vessel is kept until when. Ids stay as they were read.
 */
export function plannable(read: RecipeRead, id: string, mark: string): RecipeInput {
  const dropped = new Set(read.steps.filter((s) => isPreheating(s)).map((s) => s.id))
  const steps = withLastMinutes(
    withPrep(
      read.steps.filter((s) => !dropped.has(s.id)),
      read.ingredients,
    ),
  )
  const store = storeOf(read)
  const leaves = leavesIn(steps, read.ingredients)
  return {
    format: 'cadrum/recipe@1',
    id,
    name: read.name.slice(0, 300),
    mark,
    serves: read.serves,
    ingredients: read.ingredients.map((i) => ({ id: i.id, ...ingredientOf(asStated(i, steps)) })),
    steps: steps.map((s) => stepOf(s, dropped)),
    ...(store ? { store } : {}),
    ...(leaves.length ? { leaves } : {}),
  }
}

/** `Olive oil`, of which the steps take two tablespoons and then one: as much as they say. */
function asStated(i: IngredientRead, steps: readonly StepRead[]): IngredientRead {
  const name = namesOf(i.item).at(-1)
  if (i.amount > 0 || name === undefined) return i
  const stated = new RegExp(
    String.raw`(\d+(?:\.\d+)?) ?(tbsp|tablespoons?|tsp|teaspoons?|ml|g) (?:of )?(?:the )?(?:[a-z]+ )?${name}\b`,
    'g',
  )
  const all = steps
    .filter((s) => s.uses.includes(i.id))
    .flatMap((s) => [...plain(s.do).matchAll(stated)])
    .map((m) => [Number(m[1]), m[2]!.replace(/^table.*/, 'tbsp').replace(/^tea.*/, 'tsp')] as const)
  const [first] = all
  if (!first || all.some(([, unit]) => unit !== first[1])) return i
  const amount = all.reduce((sum, [many]) => sum + many, 0)
  return { ...i, amount, unit: first[1] as IngredientRead['unit'] }
}

/** Litres that a serving takes in the cold, where nothing says: an estimate of ours. */
const SERVING_LITRES = 0.35

const FREEZES_PART =
  /\b(?:one|two|three|\d|half) of (?:the|these|them)\b|\bfreeze (?:one|two|half|the (?:other|rest))\b/i
/** What is frozen, where the text does not say for how long: three months, as is usual for cooked dishes. */
const FROZEN = { place: 'freezer', days: 90 } as const

/** Where it is kept, by what the text says of it and of freezing. */
function storeOf(read: RecipeRead): RecipeInput['store'] {
  // `Put two of the balls in bags and freeze`: the rest is eaten, or goes into the fridge.
  const freezing = read.steps.filter((s) =>
    // Meat that lies in a freezer bag with its marinade is in the fridge.
    (s.work === 'pack' ? /\bfreez/i : /\bfreez(?!er (?:bag|box|tub))/i).test(s.do),
  )
  const freezes = freezing.some((s) => s.work !== 'pack' || !FREEZES_PART.test(s.do))
  // The glaze that keeps in its jar is not the meat that it goes on.
  const perishes = read.ingredients.some((i) => isMeat(i.item))
  const own = (read.keeps ?? []).filter((k) => k.place !== 'shelf' || !perishes)
  const keeps = own.length ? own : freezes ? [FROZEN] : []
  const kept = keeps.find((k) => k.place === (freezes ? 'freezer' : 'fridge')) ?? keeps[0]
  if (!kept) return undefined
  const litres = Math.max(0.3, Math.round(Math.min(read.serves, 20) * SERVING_LITRES * 10) / 10)
  return { place: kept.place, litres, days: Math.max(1, kept.days) }
}

const isPreheating = (s: StepRead) => s.work === 'heat' && s.equipment.includes('oven')

function stepOf(s: StepRead, dropped: Set<string>): StepInput {
  const law = lawOf(s.work)
  const [least, stated] = s.minutes
  const usual =
    law.attend === 'hands'
      ? Math.max(1, Math.round((least + stated) / 2))
      : // In the cold the least is enough, and more is no harm.
        Math.max(0.5, s.work === 'chill' || s.work === 'soak' ? least : stated)
  const heat = s.work === 'bake' || s.work === 'grill' ? heatOf(s) : undefined
  return {
    id: s.id,
    do: s.do.slice(0, 300),
    work: s.work,
    hygiene: s.hygiene,
    scale: GROWS.has(s.work) || (s.goes ?? 1) > 1 ? 'each' : 'once',
    after: s.after
      .filter((a) => !dropped.has(a.step))
      .map(({ step, least: from, most, food }) => ({
        step,
        ...(from === undefined ? {} : { least: from }),
        ...(most === undefined ? {} : { most }),
        ...(food === undefined ? {} : { food }),
      })),
    uses: s.uses,
    ways: waysOf(s, [Math.min(least, usual), usual], heat),
    doubts: s.doubts.map((d) => d.slice(0, 300)),
  }
}

function waysOf(
  s: StepRead,
  [least, usual]: [number, number],
  heat: ReturnType<typeof heatOf>,
): StepInput['ways'] {
  const way = (id: string, [low, high]: [number, number], label?: string) => ({
    id,
    ...(label === undefined ? {} : { label }),
    minutes: [
      low,
      high,
      // What only waits may wait longer; what cooks is done when it is done.
      Math.ceil(high * (1 + SLACK)) + (softens(s) ? 0 : (MAY_WAIT[s.work] ?? 0)),
    ] as [number, number, number],
    on: equipmentOf(s),
    ...(heat ? { heat } : {}),
  })
  const dial = s.work === 'slow' ? dialIn(s.do) : undefined
  return dial
    ? (['low', 'high'] as const).map((id) => {
        const minutes = Math.max(1, dial[id] - (s.sooner ?? 0))
        return way(id, [minutes, minutes], `on ${id}`)
      })
    : [way('as-written', [least, usual])]
}

/** `Low for 8 hours or high for 5`: two ways with times of their own. */
function dialIn(text: string): { low: number; high: number } | undefined {
  const spans = durationsIn(text).filter((d) => d.kind === 'span')
  const lower = text.toLowerCase()
  const [low, high] = [lower.search(/\blow\b/), lower.search(/\bhigh\b/)]
  if (low < 0 || high < 0 || spans.length < 2) return undefined
  const [first, second] = spans as [(typeof spans)[number], (typeof spans)[number]]
  return low < high
    ? { low: first.most, high: second.most }
    : { low: second.most, high: first.most }
}

function equipmentOf(s: StepRead): EquipmentInput[] {
  const kinds = [...new Set(s.equipment.map((k) => STANDS_FOR[k] ?? k))]
  return kinds
    .filter((k) => !UNPLANNED.has(k))
    .map((kind): EquipmentInput => (kind === 'oven' ? { kind, amount: 1 } : { kind }))
}

/** How far from what is stated an oven may be, in °C. */
const OVEN_ROOM = 5
/** A grill at full heat. */
const GRILL: [number, number] = [220, 240]

function heatOf(
  s: StepRead,
): { celsius: [number, number]; method: 'bake' | 'grill'; stated?: number } | undefined {
  if (!s.equipment.includes('oven')) return undefined
  if (s.work === 'grill') return { celsius: GRILL, method: 'grill' }
  const [low, high] = Array.isArray(s.celsius) ? s.celsius : [s.celsius ?? 180, s.celsius ?? 180]
  const room = low === high ? OVEN_ROOM : 0
  return {
    celsius: [Math.max(0, low - room), Math.min(350, high + room)],
    method: 'bake',
    ...(room && s.celsius !== null ? { stated: low } : {}),
  }
}
