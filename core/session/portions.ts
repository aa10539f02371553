import type { Kitchen } from '../kitchen'
import { lawOf, type Recipe, type Step, type Way } from '../recipe'
import { upTo } from './ahead'
import type { DishToMake } from './dishes'

/** Longest stretch of cutting that is not interrupted, in seconds. */
const CUT_PIECE = 360
/** Size in cm of the frying pan that `per28` counts for. */
const REFERENCE_PAN = 28

/** How a step is cut up: into how many turns, and what each of them takes. */
export interface Portions {
  turns: number
  /** What a turn is called, where there are several. */
  called: 'panful' | 'load' | 'part'
  /** What each turn is, where they differ: the kinds into which the dish is split. */
  names?: string[]
  /** Factor on the stated minutes for each turn. */
  factorOf: (turn: number) => number
  /** Share of what the step uses that each turn takes. */
  shareOf: (turn: number) => number
  /** Least pan size for an even panful. */
  minPan?: number
  /** Shares of a place that holds several, for each need of a way. */
  amountOf: (need: Way['on'][number]) => number
}

/** By how much a step's minutes grow with the batches. */
export const scaleOf = (step: Step, batches: number): number =>
  ({ each: batches, pot: 0.5 + 0.5 * batches, once: 1 })[step.scale]

/**
 * Panfuls by the largest pan there is, oven loads by its shelves, long cutting in pieces of a
 * few minutes so that ovens and pans can be served in between.
 */
export function portionsOf(dish: DishToMake, step: Step, kitchen: Kitchen): Portions {
  const { batches } = dish
  const scale = scaleOf(step, batches)
  const kinds = splitInto(dish.recipe, step)
  const whole = (need: Way['on'][number]) => need.amount ?? 1
  if (kinds)
    return {
      turns: kinds.length,
      called: 'part',
      names: kinds.map((k, i) => `${k.name} (${percents(kinds.map((x) => x.share))[i]} %)`),
      // Only hands work is split, and it goes with the share.
      factorOf: (turn) => scale * kinds[turn]!.share,
      shareOf: (turn) => kinds[turn]!.share,
      amountOf: whole,
    }
  if (step.panfuls) {
    const pieces = Math.ceil(step.panfuls.pieces * batches)
    const sizes = kitchen.stations
      .filter((s) => s.kind === 'frying-pan' && s.size !== undefined)
      .map((s) => s.size!)
      .sort((a, b) => a - b)
    const largest = sizes[sizes.length - 1] ?? REFERENCE_PAN
    const turns = Math.ceil(pieces / panTakes(step.panfuls.per28, largest))
    const even = Math.ceil(pieces / turns)
    const minPan = sizes.find((s) => panTakes(step.panfuls!.per28, s) >= even) ?? largest
    return {
      turns,
      called: 'panful',
      factorOf: () => 1,
      shareOf: () => 1 / turns,
      minPan,
      amountOf: whole,
    }
  }
  const loads = Math.max(
    1,
    ...step.ways.flatMap((w) => w.on.map((n) => loadsOf(n, batches, kitchen))),
  )
  if (loads > 1 || step.ways.some((w) => w.on.some((n) => n.amount !== undefined)))
    return {
      turns: loads,
      called: 'load',
      factorOf: () => scale,
      shareOf: () => 1 / loads,
      amountOf: (n) => (n.amount === undefined ? 1 : Math.ceil(shares(n.amount * batches) / loads)),
    }
  const usual = step.ways[0]!.minutes[1] * 60 * scale
  // With a machine as another way it stays whole: half by knife and half by machine is no plan.
  if (step.work === 'cut' && step.ways.length === 1 && usual > CUT_PIECE * 1.3) {
    const turns = Math.ceil(usual / CUT_PIECE)
    return {
      turns,
      called: 'part',
      factorOf: () => scale / turns,
      shareOf: () => 1 / turns,
      amountOf: whole,
    }
  }
  return { turns: 1, called: 'part', factorOf: () => scale, shareOf: () => 1, amountOf: whole }
}

/** The kinds that a step is done for one by one: where the dish is split, and when it is packed. */
function splitInto(recipe: Recipe, step: Step) {
  const { variants } = recipe
  if (!variants) return undefined
  const after = step.work === 'pack' && upTo(recipe, [step.id]).has(variants.step)
  return step.id === variants.step || after ? variants.kinds : undefined
}

/** Shares in whole percent that make up 100 where the shares make up the whole: the largest rests round up. */
export function percents(shares: readonly number[]): number[] {
  const out = shares.map((s) => Math.floor(s * 100))
  const whole = Math.round(shares.reduce((a, b) => a + b, 0) * 100)
  const rest = shares
    .map((s, i) => ({ i, rest: s * 100 - Math.floor(s * 100) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
  const open = whole - out.reduce((a, b) => a + b, 0)
  for (const { i } of rest.slice(0, Math.max(0, open))) out[i]!++
  return out
}

/** A pan takes by its area; at least one piece. */
const panTakes = (per28: number, size: number) =>
  Math.max(1, Math.floor(per28 * (size / REFERENCE_PAN) ** 2))

const shares = (amount: number) => Math.ceil(amount - 1e-9)

function loadsOf(need: Way['on'][number], batches: number, kitchen: Kitchen): number {
  if (need.amount === undefined) return 1
  const room = Math.max(
    0,
    ...kitchen.stations.filter((s) => s.kind === need.kind).map((s) => s.capacity),
  )
  return room ? Math.ceil(shares(need.amount * batches) / room) : 1
}

/** Whether the step wants a clear place to work at. */
export const wantsBench = (step: Step) =>
  lawOf(step.work).attend === 'hands' && !step.ways.some((w) => w.on.length)
