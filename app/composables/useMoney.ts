import { measures } from './useMeasures'

/** Money of the smallest coin in words: with its currency once the household has said which. */
export function moneyText(coins: number): string {
  const { currency } = measures
  if (!currency) return (coins / 100).toFixed(2)
  // Without marks between thousands it can be typed again as it stands.
  const words = new Intl.NumberFormat('en', { style: 'currency', currency, useGrouping: false })
  return words.format(coins / 10 ** digits())
}

/** Digits behind the point in the household's currency. */
const digits = () =>
  measures.currency
    ? (new Intl.NumberFormat('en', {
        style: 'currency',
        currency: measures.currency,
      }).resolvedOptions().maximumFractionDigits ?? 2)
    : 2

/** The dearest that can be typed, in the smallest coin. */
const MOST = 1_000_000

/** A sum as somebody types it, in the smallest coin: `2.10`, `2,10`, `£2`; undefined where it is none. */
export function moneyTyped(typed: string, most = MOST): number | undefined {
  const m = /^\D{0,3}?(\d{1,7})(?:[.,](\d{1,2}))?\D{0,4}$/.exec(typed.trim())
  if (!m || /-/.test(typed)) return undefined
  const d = digits()
  const coins = Math.round(Number(`${m[1]}.${m[2] ?? '0'}`) * 10 ** d)
  return coins <= most ? coins : undefined
}
