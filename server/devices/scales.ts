/** Kitchen scales weigh to so many grams. */
const STEP = 1
/** How far a hand is off that pours, in parts of what it wants. */
const HAND = 0.015
/** One of so many things is measured wrongly at the first try: half as much again. */
const WRONG = 9

/**
 * What scales read on which somebody has put about so many grams of something, in grams: mostly near, now
 * and then wrong, the same for the same thing at the same try. A stand-in for real ones.
 */
export function simulatedScales(grams: number, what: string, time = 1): number {
  let mark = 0
  for (const c of what) mark = (mark * 31 + c.charCodeAt(0)) % 100_003
  const off = mark % WRONG === 0 && time === 1 ? 1.5 : 1 + HAND * Math.sin(mark)
  return Math.max(0, Math.round((grams * off) / STEP) * STEP)
}
