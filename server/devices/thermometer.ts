/** Seconds in which what is measured has come two thirds of the way to its surroundings: an estimate of ours. */
const SLUGGISH = 3600
/** A probe is never quite still: by so many degrees, over so many seconds. */
const RIPPLE = 0.4
const RIPPLE_SECONDS = 37

/**
 * What a probe in the middle of food reads, in degrees Celsius, after so many seconds in surroundings of
 * such a temperature (Newton's law of heating and cooling). A stand-in for a real one.
 */
export function simulatedProbe(start: number, surroundings: number, seconds: number): number {
  const came = 1 - Math.exp(-seconds / SLUGGISH)
  const reading = start + (surroundings - start) * came
  const ripple = RIPPLE * Math.sin((2 * Math.PI * seconds) / RIPPLE_SECONDS)
  return Math.round((reading + ripple) * 10) / 10
}
