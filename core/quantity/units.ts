/** Units a recipe may use; metric inside, other measures are converted when they come in. */
export const UNITS = ['g', 'kg', 'ml', 'l', 'piece', 'tsp', 'tbsp', 'pinch'] as const
export type Unit = (typeof UNITS)[number]

/** How many grams or millilitres a unit of weight or volume is. */
export const IN_SMALL: Partial<Record<Unit, number>> = { g: 1, kg: 1000, ml: 1, l: 1000 }
/** The same with spoons, by their millilitres. */
export const WITH_SPOONS: Partial<Record<Unit, number>> = { ...IN_SMALL, tsp: 5, tbsp: 15 }

/** Below so many grams or millilitres a cook weighs each one: 7 g of yeast are not 5. */
const WEIGHED = 20

/** An amount as a cook can measure it: grams to 5, few of them to 1, pieces to a half, spoons to a quarter. */
export function measurable(amount: number, unit: Unit): number {
  const usual = { g: 5, ml: 5, kg: 0.05, l: 0.05, piece: 0.5, tsp: 0.25, tbsp: 0.5, pinch: 1 }[unit]
  const step =
    usual === 5 && amount < WEIGHED
      ? 1
      : unit === 'piece' && amount < 0.4
        ? // A quarter of a cabbage, and half of that.
          amount < 0.2
          ? 0.125
          : 0.25
        : usual
  return amount <= 0 ? 0 : Math.max(step, Math.round(amount / step) * step)
}

/** `1250 g` becomes `1.25 kg`, `0.5 piece` becomes `½`. */
export function amountText(amount: number, unit: Unit): string {
  if (unit === 'g' && amount >= 1000) return `${decimal(amount / 1000)} kg`
  if (unit === 'ml' && amount >= 1000) return `${decimal(amount / 1000)} l`
  if (unit === 'piece') return trim(amount)
  return `${trim(amount)} ${unit}`
}

const decimal = (value: number) => String(Math.round(value * 100) / 100)

const SIGNS = new Map([
  [13, '⅛'],
  [25, '¼'],
  [33, '⅓'],
  [50, '½'],
  [67, '⅔'],
  [75, '¾'],
])
/** A number as a cook writes it: quarters, thirds and halves by their signs, else to a hundredth. */
export function trim(value: number): string {
  const whole = Math.floor(value)
  const sign = SIGNS.get(Math.round((value - whole) * 100))
  if (sign) return whole ? `${whole}${sign}` : sign
  return decimal(value)
}
