/** A seeded stream of numbers in [0, 1); the same seed gives the same stream on any machine. */
export type Random = () => number

/** Mulberry32: 32 bits of state, long enough for a search, integer arithmetic only. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A whole number in [0, n). */
export const below = (random: Random, n: number) => Math.floor(random() * n)
