import type { Problem } from './schema'

type Oven = NonNullable<Problem['stations'][number]['oven']>
type Speeds = Pick<Oven, 'heatSecondsPerDegree' | 'coolSecondsPerDegree'>

/** Seconds that an oven takes from one temperature to another, in degrees Celsius. */
export const rampSeconds = (oven: Speeds, from: number, to: number): number =>
  to >= from ? (to - from) * oven.heatSecondsPerDegree : (from - to) * oven.coolSecondsPerDegree
