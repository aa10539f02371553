import { HOLDS_FOOD } from '../flow/vessels'
import { freeId } from '../naming'
import type { WorkKind } from '../work'

/** One thing to do, as a method says it. */
export interface StepRead {
  id: string
  do: string
  work: WorkKind
  /** Least and most minutes. */
  minutes: [number, number]
  /** Minutes that are taken off what the text states: it goes on for so long as a step of its own. */
  sooner?: number
  /** Whether the text states them, or they are a guess by the kind of work. */
  stated: boolean
  /** In how many goes it is done, all of which the minutes are for. */
  goes?: number
  /** °C of oven or fat; a range as [low, high]; null where there is none. */
  celsius: number | [number, number] | null
  /** °C in the middle of the food at which it is done, where the text says so. */
  core?: number
  equipment: string[]
  hygiene: 'raw' | 'ready' | 'produce' | 'neutral'
  /** What it waits for; `food: false` where only the order counts, like a pan used again. */
  after: { step: string; least?: number; most?: number; food?: false }[]
  /** Ids of the ingredients that its words name. */
  uses: string[]
  /** What the cook has to look at. */
  doubts: string[]
}

/** A step before it has a name, with the drafts that it waits for. */
export type Draft = Omit<StepRead, 'id' | 'after'> & {
  verb: string
  /** The draft whose food stays where it is, and the others come to it. */
  main?: number | undefined
  waits: Map<number, { food: boolean; most?: number; kept?: boolean }>
}

/** The steps of drafts, each with a name and what it waits for; `real` is what an ingredient is listed as. */
export function stepsFrom(drafts: readonly Draft[], real: ReadonlyMap<string, string>): StepRead[] {
  tieUp(drafts)
  const ids: string[] = []
  const taken = new Set<string>()
  return drafts.map(({ verb, waits, main, ...step }) => {
    const id = freeId(verb.replace(/[^a-z]+/g, '-').replace(/^-|-$/g, '') || step.work, taken)
    taken.add(id)
    ids.push(id)
    // Of two pots the one of what is named last is gone on in.
    const kind = step.equipment.find((k) => HOLDS_FOOD.has(k))
    const alike = (k: number) => kind !== undefined && drafts[k]!.equipment.includes(kind)
    const doubtful =
      main !== undefined && alike(main) && [...waits.keys()].some((k) => k > main && alike(k))
    const last = (k: number) => (doubtful && k === main ? Infinity : k)
    const all = [...waits.keys()].sort((a, b) => last(a) - last(b))
    const implied = (k: number) => all.some((w) => w !== k && implies(drafts, k, w, waits))
    return {
      id,
      ...step,
      uses: [...new Set(step.uses.map((u) => real.get(u)!))],
      after: all
        .filter((k) => waits.get(k)!.kept || !implied(k))
        .map((k) => {
          const { food, most } = waits.get(k)!
          return {
            step: ids[k]!,
            ...(most === undefined ? {} : { most }),
            ...(food ? {} : { food: false as const }),
          }
        }),
    }
  })
}

/** Work that something is always made of afterwards. */
const LOOSE = new Set<WorkKind>(['cut', 'measure', 'mix', 'blend'])

/** What was cut or mixed and never spoken of again goes into what is made last. */
function tieUp(drafts: readonly Draft[]): void {
  const end = drafts.length - 1
  const waited = new Set(drafts.flatMap((d) => [...d.waits.keys()]))
  drafts.forEach((d, k) => {
    if (k < end && !waited.has(k) && LOOSE.has(d.work) && d.hygiene !== 'ready')
      drafts[end]!.waits.set(k, { food: true })
  })
}

/** Whether waiting for one step is waiting for another: where food is awaited, by way of food. */
function implies(
  drafts: readonly Draft[],
  from: number,
  to: number,
  waits: Draft['waits'],
): boolean {
  const { food } = waits.get(from)!
  return (!food || waits.get(to)!.food) && leadsTo(drafts, from, to, food)
}

const leadsTo = (drafts: readonly Draft[], from: number, to: number, food: boolean): boolean =>
  [...drafts[to]!.waits].some(
    ([k, wait]) =>
      (wait.food || !food) && (k === from || (k > from && leadsTo(drafts, from, k, food))),
  )
