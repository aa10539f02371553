/**
 * How much kitchen times vary. Nobody has measured home kitchens for this: every figure is an estimate of
 * ours, to be replaced by what a household's own record says.
 */
export interface Times {
  /** Spread of the natural logarithm: of a person that day, of a kind of work of theirs, of a step. */
  person: number
  work: number
  step: number
  /** The same of what goes by itself: for a set time, and until it is done. */
  unattended: number
  checked: number
  /** Of the time that an oven takes to change its heat. */
  ramp: number
  /** Seconds, on average, until somebody sees to what has ended by itself. */
  reaction: number
  /** How likely something goes wrong in a piece of hands work, and what it costs on average, in seconds. */
  mishap: number
  mishapSeconds: number
}

/** An estimate of ours: two of three cooks are within a fifth of the time that they are planned with. */
export const USUAL_TIMES: Times = {
  person: 0.1,
  work: 0.1,
  step: 0.15,
  unattended: 0.02,
  checked: 0.1,
  ramp: 0.08,
  reaction: 45,
  mishap: 0.02,
  mishapSeconds: 150,
}

/** A cook with one ear on something else answers four times as late and has three times the mishaps. */
export const DISTRACTED: Times = {
  ...USUAL_TIMES,
  reaction: 4 * USUAL_TIMES.reaction,
  mishap: 3 * USUAL_TIMES.mishap,
}
