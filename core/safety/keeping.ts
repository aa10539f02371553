import { counted } from '../quantity'
import { isFish, isMeat } from '../recipe'
import { GUIDANCE } from './hazard'

/** How long a kind of dish keeps, and who says so. */
export interface Keeping {
  kind: string
  /** Days in the fridge at 5 °C or below, counted from the day it was cooked. */
  fridge: number
  /** Days in the freezer at −18 °C within which it is at its best; frozen food stays safe longer. */
  freezer: number
  /** Days outside the fridge, where it keeps there at all. */
  shelf: number
  /** Who says so, for each place. */
  sources: Record<Place, string>
}
type Place = 'fridge' | 'freezer' | 'shelf'

interface Kind extends Omit<Keeping, 'sources'> {
  /** By the dish's name. */
  named?: RegExp
  /** It keeps by what was done to it, whatever else is in it but meat and fish. */
  alone?: true
  /** By what is in it. */
  holds?: (item: string) => boolean
}

const word = (pattern: RegExp) => (item: string) => pattern.test(item.toLowerCase())

/**
 * Usual food safety guidance for home kitchens. Days in the freezer are of quality.
 */
export const KEEPING: readonly Kind[] = [
  {
    kind: 'pickled in vinegar',
    alone: true,
    named: /\bpickle[sd]?\b|\bchutney\b|\bsauerkraut\b/i,
    fridge: 7,
    freezer: 0,
    shelf: 0,
  },
  {
    kind: 'bread and rolls',
    alone: true,
    named:
      /\b(?:bread|loaf|loaves|rolls|buns|knots|twists|swirls|scones?|focaccia|flatbreads?|muffins?)\b(?! pudding)/i,
    fridge: 5,
    freezer: 90,
    shelf: 3,
  },
  {
    kind: 'dry bakes',
    alone: true,
    named: /\b(?:bars?|biscuits?|cookies?|flapjacks?|granola|shortbread|crackers|oatcakes)\b/i,
    fridge: 14,
    freezer: 90,
    shelf: 10,
  },
  {
    kind: 'cooked rice',
    holds: word(/\brice\b(?! (?:vinegar|noodles|flour|paper|wine))|\brisotto\b|\bbasmati\b/),
    fridge: 1,
    freezer: 30,
    shelf: 0,
  },
  {
    kind: 'dressed salads',
    named: /\b(?:salads?|slaw|coleslaw|tabbouleh)\b/i,
    fridge: 2,
    freezer: 0,
    shelf: 0,
  },
  { kind: 'cooked fish and shellfish', holds: isFish, fridge: 2, freezer: 60, shelf: 0 },
  {
    kind: 'cooked egg dishes',
    holds: word(/\beggs?\b/),
    fridge: 3,
    freezer: 60,
    shelf: 0,
  },
  { kind: 'cooked meat and poultry', holds: isMeat, fridge: 3, freezer: 90, shelf: 0 },
  {
    kind: 'dips and pastes with garlic or herbs in oil',
    named: /\b(?:pesto|hummus|houmous|dips?|confit)\b/i,
    fridge: 4,
    freezer: 60,
    shelf: 0,
  },
]

const REST: Kind = {
  kind: 'cooked vegetables, pulses and soups',
  fridge: 3,
  freezer: 90,
  shelf: 0,
}

/** Raw meat and fish that is put away as it is: whole, or minced and fish, which keep shorter. */
const RAW = {
  whole: { kind: 'raw meat', fridge: 2, freezer: 120, shelf: 0 },
  minced: { kind: 'raw mince and fish', fridge: 1, freezer: 90, shelf: 0 },
}

/** How long what is packed raw keeps, from the day it is packed. */
export function rawKeepingOf(items: readonly string[]): Keeping {
  const meat = items.filter(isMeat)
  const short = meat.some((i) => isFish(i) || /\b(?:minced?|ground)\b/i.test(i))
  const of = short ? RAW.minced : RAW.whole
  return { ...of, sources: sourcesOf(of, of, of) }
}

/** How long a dish keeps: in each place by what of it keeps shortest there. */
export function keepingOf(name: string, items: readonly string[]): Keeping {
  const alone = KEEPING.find((k) => k.alone && k.named!.test(name))
  const own =
    alone && !items.some((i) => isMeat(i))
      ? [alone]
      : KEEPING.filter(
          (k) => !k.alone && (k.named?.test(name) || (k.holds && items.some((i) => k.holds!(i)))),
        )
  const least = (place: Place): Kind =>
    own.reduce((a, b) => (b[place] < a[place] ? b : a), own[0] ?? REST)
  const [fridge, freezer, shelf] = [least('fridge'), least('freezer'), least('shelf')]
  return {
    kind: fridge.kind,
    fridge: fridge.fridge,
    freezer: freezer.freezer,
    shelf: shelf.shelf,
    sources: sourcesOf(fridge, freezer, shelf),
  }
}

/** Who says so, for each place, by the kind that keeps shortest there. */
function sourcesOf(fridge: Kind, freezer: Kind, shelf: Kind): Keeping['sources'] {
  return {
    fridge: `${GUIDANCE}: ${fridge.kind}, ${counted(fridge.fridge, 'day', 'days')} below 5 °C`,
    freezer: freezer.freezer
      ? `${GUIDANCE}: ${freezer.kind}, ${counted(freezer.freezer, 'day', 'days')} before it loses in taste; frozen, it stays safe`
      : `${freezer.kind}: it does not freeze well`,
    shelf: shelf.shelf
      ? `${shelf.kind}, ${counted(shelf.shelf, 'day', 'days')} in a dry tin, usually`
      : `${GUIDANCE}: ${shelf.kind} belongs into the cold`,
  }
}
