import { pairKey, type MStation } from './model'

/**
 * Seconds of washing on a station between two contents that follow each other, by their numbers; a
 * number below 0 stands for no contents, which is always washed after and before.
 */
export function washTime({ wash }: Pick<MStation, 'wash'>, was: number, next: number): number {
  if (!wash || (was >= 0 && was === next)) return 0
  const named = was >= 0 && next >= 0 ? wash.between.get(pairKey(was, next)) : undefined
  return named ?? wash.seconds
}
