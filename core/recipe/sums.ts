/** A figure with where it comes from, to be shown beside it. */
export interface Sum {
  /** Least and most, in the unit that the sum is in. */
  least: number
  most: number
  source: string
}

/** Minutes in the oven for each kg, and on top: usual kitchen tables for ovens at 160 to 190 °C. */
export const ROASTS = {
  beef: { perKg: [35, 45], extra: 20, core: 63 },
  lamb: { perKg: [45, 55], extra: 20, core: 63 },
  pork: { perKg: [55, 65], extra: 25, core: 63 },
  chicken: { perKg: [40, 45], extra: 20, core: 74 },
  turkey: { perKg: [35, 40], extra: 30, core: 74 },
} as const
export type Roast = keyof typeof ROASTS

/** Which roast the words of an ingredient name, if any. */
export const roastOf = (item: string): Roast | undefined =>
  (Object.keys(ROASTS) as Roast[]).find((r) => new RegExp(`\\b${r}\\b`, 'i').test(item))

/**
 * Minutes to roast pieces of these weights (kg) side by side: what the heaviest takes, since each
 * heats through by itself. Whatever the sum says, the thermometer decides.
 */
export function roastMinutes(kind: Roast, kilos: readonly number[]): Sum {
  const heaviest = Math.max(0, ...kilos)
  const { perKg, extra, core } = ROASTS[kind]
  return {
    least: Math.round(heaviest * perKg[0] + extra),
    most: Math.round(heaviest * perKg[1] + extra),
    source: `usual tables: ${perKg[0]} to ${perKg[1]} min for each kg and ${extra} more, for the heaviest piece; done at ${core} °C in the middle`,
  }
}

/**
 * Hours to thaw a piece of so many kg: about 10 to 12 for each kg in the fridge, one in cold water
 * that is changed every half hour (usual food safety guidance). Never on the counter: the outside
 * would be warm for hours while the middle is still frozen.
 */
export function thawHours(kilos: number, how: 'fridge' | 'cold-water'): Sum {
  const [low, high] = how === 'fridge' ? [10, 12] : [1, 1.2]
  return {
    least: Math.round(kilos * low * 10) / 10,
    most: Math.round(kilos * high * 10) / 10,
    source:
      how === 'fridge'
        ? 'usual guidance: 10 to 12 hours for each kg in the fridge'
        : 'usual guidance: about an hour for each kg in cold water changed every half hour; cook at once',
  }
}

interface Grain {
  words: RegExp
  /** ml of water for 100 g on the hob, minutes, and how much heavier it becomes. */
  water: number
  minutes: [number, number]
  grows: number
}
/** By usual packet directions. */
export const GRAINS: Record<string, Grain> = {
  'brown rice': { words: /\bbrown rice\b/i, water: 250, minutes: [28, 35], grows: 2.5 },
  rice: { words: /\brice\b/i, water: 190, minutes: [12, 15], grows: 2.8 },
  barley: { words: /\bbarley\b/i, water: 300, minutes: [30, 40], grows: 3 },
  quinoa: { words: /\bquinoa\b/i, water: 200, minutes: [14, 16], grows: 2.8 },
  bulgur: { words: /\bbulgur\b/i, water: 160, minutes: [10, 12], grows: 2.5 },
  couscous: { words: /\bcouscous\b/i, water: 125, minutes: [5, 6], grows: 2.3 },
  'red lentils': { words: /\b(?:red|split) lentils\b/i, water: 250, minutes: [14, 18], grows: 2.6 },
  oats: { words: /\boats\b/i, water: 400, minutes: [5, 8], grows: 4.5 },
}
export const grainOf = (item: string): string | undefined =>
  Object.keys(GRAINS).find((g) => GRAINS[g]!.words.test(item))

/** What a grain takes in an appliance: ml of water, minutes, and grams when it is cooked. */
export function grainSum(
  grain: string,
  grams: number,
  how: 'hob' | 'rice-cooker' | 'pressure-cooker',
): { water: number; minutes: Sum; cooked: number } {
  const g = GRAINS[grain]!
  // Closed cookers lose less steam; under pressure it goes in about half the time.
  const water = { hob: 1, 'rice-cooker': 0.9, 'pressure-cooker': 0.75 }[how]
  const time = { hob: 1, 'rice-cooker': 1.3, 'pressure-cooker': 0.5 }[how]
  return {
    water: Math.round((grams / 100) * g.water * water * 0.1) * 10,
    minutes: {
      least: Math.round(g.minutes[0] * time),
      most: Math.round(g.minutes[1] * time),
      source: `usual packet directions: ${g.water} ml for 100 g, ${g.minutes[0]} to ${g.minutes[1]} min on the hob${how === 'hob' ? '' : `, ${Math.round(100 * water)} % of the water in a ${how.replace('-', ' ')}`}`,
    },
    cooked: Math.round((grams * g.grows) / 10) * 10,
  }
}

/**
 * Minutes until a pressure cooker with so many litres in it is up to pressure, and those to let it
 * down by itself: about 3 and 4 for each litre, as home cookers on a strong burner take.
 */
export function pressureMinutes(litres: number): { up: Sum; down: Sum } {
  return {
    up: {
      least: Math.round(4 + 2 * litres),
      most: Math.round(6 + 3 * litres),
      source: 'usual for home cookers: 4 to 6 min and 2 to 3 for each litre on a strong burner',
    },
    down: {
      least: Math.round(6 + 2 * litres),
      most: Math.round(10 + 3 * litres),
      source: 'usual for home cookers by themselves; never force the lid, see the maker’s manual',
    },
  }
}

/** Litres that may go into a vessel of a size: pots to three quarters, pressure cookers to two thirds, half for what foams. */
export function mostLitres(
  kind: 'pot' | 'slow-cooker' | 'pressure-cooker',
  size: number,
  foams = false,
): Sum {
  const share = kind === 'pressure-cooker' ? (foams ? 1 / 2 : 2 / 3) : 3 / 4
  const litres = Math.round(size * share * 10) / 10
  return {
    least: litres,
    most: litres,
    source:
      kind === 'pressure-cooker'
        ? `no further than ${foams ? 'half full with grains and pulses, which foam and block the valve' : 'two thirds full'}; the maker’s manual comes first`
        : 'three quarters full, so that it can be stirred and does not boil over',
  }
}

/** Servings from a kg of raw meat, by whether the bone is in: usual tables. */
export const servingsPerKilo = (bone: boolean): Sum =>
  bone
    ? { least: 3, most: 4, source: 'usual tables: 250 to 330 g a head with the bone' }
    : { least: 5, most: 6, source: 'usual tables: 170 to 200 g a head without bone' }

/** Grams that raw meat or fish weighs when it is cooked, of so many raw: usual tables. */
export const cookedGrams = (grams: number, fish: boolean): Sum => {
  const [low, high] = fish ? [0.8, 0.85] : [0.7, 0.75]
  return {
    least: Math.round((grams * low) / 10) * 10,
    most: Math.round((grams * high) / 10) * 10,
    source: `usual tables: ${fish ? 'fish keeps 80 to 85 %' : 'meat keeps 70 to 75 %'} of its weight`,
  }
}

/** Servings in so many litres of soup or stew: usual tables. */
export const servingsPerPot = (litres: number): Sum => ({
  least: Math.max(1, Math.round(litres / 0.4)),
  most: Math.max(1, Math.round(litres / 0.3)),
  source: 'usual tables: 300 to 400 ml a head of soup or stew',
})
