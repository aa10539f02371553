import { z } from 'zod'
import { trim } from './units'

/** How a household measures and tells the time; set once, and followed everywhere. */
export const measuresSchema = z.strictObject({
  amounts: z.enum(['metric', 'us']),
  degrees: z.enum(['C', 'F']),
  clock: z.enum(['24', '12']),
  /** The first day of the week. */
  week: z.enum(['monday', 'sunday', 'saturday']),
  /** The currency that it pays in, by its three letters; prices are figures without one until it is said. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, { message: 'is not a currency by its three letters, like EUR' })
    .optional(),
  /** The sections of its shop in the order in which it walks them. */
  sections: z.array(z.string().min(1).max(40)).max(40).optional(),
})
export type Measures = z.output<typeof measuresSchema>
export type Degrees = Measures['degrees']

/** Where nobody has said otherwise. */
export const USUAL_MEASURES: Measures = {
  amounts: 'metric',
  degrees: 'C',
  clock: '24',
  week: 'monday',
}

/** Degrees of a scale from degrees Celsius, not rounded. */
export const degreesOf = (celsius: number, degrees: Degrees): number =>
  degrees === 'C' ? celsius : (celsius * 9) / 5 + 32

/** Degrees Celsius from degrees of a scale, to a tenth. */
export const celsiusOf = (value: number, degrees: Degrees): number =>
  degrees === 'C' ? value : Math.round(((value - 32) * 50) / 9) / 10

/** `180 °C` or `356 °F`: whole degrees, for what is measured. */
export const degreesText = (celsius: number, degrees: Degrees): string =>
  `${Math.round(degreesOf(celsius, degrees))} °${degrees}`

/** `180–190 °C`; one number where both are the same. */
export const degreesRange = ([low, high]: readonly [number, number], degrees: Degrees): string => {
  const [a, b] = [low, high].map((c) => Math.round(degreesOf(c, degrees)))
  return `${a === b ? a : `${a}–${b}`} °${degrees}`
}

/** Oven marks, and the degrees Celsius that each stands for, as kitchen tables have them. */
export const OVEN_MARKS: readonly (readonly [mark: number, celsius: number])[] = [
  [0.25, 110],
  [0.5, 130],
  [1, 140],
  [2, 150],
  [3, 160],
  [4, 180],
  [5, 190],
  [6, 200],
  [7, 220],
  [8, 230],
  [9, 240],
]

/** A mark is as good as its setting where it is so many degrees Celsius away. */
const MARK_NEAR = 4

/** What an oven stands at, as its dial says it: `180 °C` or, to the nearest five, `355 °F`. */
export function dialText(celsius: number, degrees: Degrees): string {
  const step = degrees === 'C' ? 1 : 5
  return `${Math.round(degreesOf(celsius, degrees) / step) * step} °${degrees}`
}

/** The same for setting it, with the oven mark where one is near: `180 °C (mark 4)`. */
export function ovenText(celsius: number, degrees: Degrees): string {
  const mark = OVEN_MARKS.find(([, c]) => Math.abs(c - celsius) <= MARK_NEAR)?.[0]
  return `${dialText(celsius, degrees)}${mark ? ` (mark ${trim(mark)})` : ''}`
}

/** A text that gives degrees Celsius, in a household's degrees. */
const inDegrees = (text: string, degrees: Degrees): string =>
  degrees === 'C'
    ? text
    : text.replace(
        /(\d+(?:\.\d+)?)(?:(\s*(?:–|-|to)\s*)(\d+(?:\.\d+)?))? ?°C\b/g,
        (_, a, gap, b) => {
          const whole = (c: string) => Math.round(degreesOf(Number(c), degrees))
          return `${whole(a)}${b === undefined ? '' : `${gap}${whole(b)}`} °F`
        },
      )

/** Grams of an ounce and a pound, millilitres of a US spoon, cup and quart. */
const [OUNCE, POUND, TEASPOON, TABLESPOON, CUP, QUART] = [28.35, 453.6, 4.93, 14.79, 236.6, 946.4]

/** Grams or millilitres as a US kitchen measures them, as near as its spoons and cups go. */
function usText(amount: number, of: 'g' | 'ml'): string {
  if (of === 'ml') {
    if (amount < 2 * TABLESPOON) return `${near(amount / TEASPOON, [0, 0.25, 0.5, 0.75])} tsp`
    if (amount < CUP / 2) return `${near(amount / TABLESPOON, [0, 0.5])} tbsp`
    if (amount >= QUART) return `${near(amount / QUART, [0, 0.25, 0.5, 0.75])} qt`
    const cups = near(amount / CUP, [0, 0.25, 1 / 3, 0.5, 2 / 3, 0.75])
    return `${cups} ${/^[1¼⅓½⅔¾]$/.test(cups) ? 'cup' : 'cups'}`
  }
  if (amount < OUNCE) return `${amount} g`
  if (amount < POUND) return `${near(amount / OUNCE, [0, 0.25, 0.5, 0.75])} oz`
  const ounces = Math.round(amount / OUNCE)
  const [pounds, rest] = [Math.floor(ounces / 16), ounces % 16]
  return rest ? `${pounds} lb ${rest} oz` : `${pounds} lb`
}

/** The nearest to a value that has one of these parts, as one writes it; never nothing. */
function near(value: number, parts: readonly number[]): string {
  const floor = Math.floor(value)
  const all = [...parts.map((p) => floor + p), floor + 1].filter((v) => v > 0)
  return trim(all.reduce((a, b) => (Math.abs(b - value) < Math.abs(a - value) ? b : a)))
}

const PARTS: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75 }
const METRIC = /(\d+(?:\.\d+)?)?([¼½¾])? ?(kg|g|ml|l|litres?)\b(?! (?:an? |per )?hour)/g

/**
 * A text of the core, which speaks of degrees Celsius, grams and litres, as a household measures:
 * whole degrees, and amounts as its spoons, cups and scales have them.
 */
export function inMeasures(text: string, { degrees, amounts }: Measures): string {
  const told = inDegrees(text, degrees)
  if (amounts === 'metric') return told
  return told
    .replace(METRIC, (whole, number, part, unit) => {
      if (number === undefined && part === undefined) return whole
      const value = Number(number ?? 0) + (PARTS[part] ?? 0)
      const small = value * (unit === 'g' || unit === 'ml' ? 1 : 1000)
      return usText(small, unit === 'kg' || unit === 'g' ? 'g' : 'ml')
    })
    .replace(/\ba (?=8|1[18]\b)/g, 'an ')
}
