import type { WorkKind } from '../work'
import { isDough, isFish, isMeat, isRaw } from './foods'

const HANDS = new Set<WorkKind>([
  'cut',
  'season',
  'shape',
  'mix',
  'assemble',
  'brown',
  'fry',
  'soak',
  'drain',
  'pack',
  'blend',
  'measure',
])
/** Laid there by hand. */
const OVER_FIRE = new Set<WorkKind>(['grill', 'bake'])
const PUTS =
  /^(?:add|put|lay|place|lift|arrange|return|tip|drop|lower|slide|nestle|press|dip|turn|sit|stand|spread)\b/i

/** What a step finds and takes: whether anything raw or cooked is in it, and what is new. */
export interface Handled {
  /** It lies in a pan, a dish or on a tray already. */
  inVessel: boolean
  raw: boolean
  cooked: boolean
  fresh: readonly string[]
  items: readonly string[]
}

/** Where hands have been after a step: on raw meat, fish or egg, on produce, or on ready food. */
export function hygieneOf(
  text: string,
  work: WorkKind,
  { raw, cooked, fresh, items, inVessel }: Handled,
): 'raw' | 'ready' | 'produce' | 'neutral' {
  if (raw) {
    const flesh = items.some((i) => isMeat(i) || isFish(i))
    // Eggs in their shells soil nothing.
    const inShell =
      !flesh &&
      (work === 'boil' || work === 'simmer' || work === 'cool') &&
      !/\bcrack|poach/i.test(text)
    const touched =
      HANDS.has(work) ||
      fresh.some(isRaw) ||
      PUTS.test(text) ||
      (flesh && !inVessel && OVER_FIRE.has(work))
    if (touched && !inShell) return 'raw'
  }
  switch (work) {
    case 'cut':
      return cooked && !fresh.length ? 'ready' : 'produce'
    case 'shape':
      return isDough(text) || !cooked ? 'neutral' : 'ready'
    case 'mix':
    case 'assemble':
      return cooked ? 'ready' : 'neutral'
    case 'pack':
    case 'blend':
      return 'ready'
    default:
      return 'neutral'
  }
}
