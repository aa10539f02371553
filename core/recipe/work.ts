/** What a kind of work asks of a cook. Attention figures: share of one cook, in percent. */
export interface WorkLaw {
  attend: 'hands' | 'watch' | 'none'
  attention: number
  skill?: 'knife' | 'heat' | 'raw' | 'simple'
  /** Where the hands have been afterwards. */
  hygiene: 'raw' | 'ready' | 'produce' | 'neutral'
  /** Minutes of hands to put it on and take it off, where the recipe says nothing. */
  handling: number
}

const handled = (attend: 'watch' | 'none', attention: number): WorkLaw => ({
  attend,
  attention,
  skill: 'heat',
  hygiene: 'neutral',
  handling: 1,
})
const waiting: WorkLaw = { attend: 'none', attention: 0, hygiene: 'neutral', handling: 0 }

/**
 * Cutting takes about 60 of a cook's attention, raw handling 90 (no stirring beside it: that is
 * the point), searing 70, loading 40, stirring often 30, a simmer 10. The figures are the
 * planning model's.
 */
export const WORK = {
  cut: { attend: 'hands', attention: 60, skill: 'knife', hygiene: 'produce', handling: 0 },
  measure: { attend: 'hands', attention: 60, skill: 'simple', hygiene: 'neutral', handling: 0 },
  mix: { attend: 'hands', attention: 60, skill: 'simple', hygiene: 'neutral', handling: 0 },
  assemble: { attend: 'hands', attention: 60, skill: 'simple', hygiene: 'neutral', handling: 0 },
  season: { attend: 'hands', attention: 90, skill: 'raw', hygiene: 'raw', handling: 0 },
  shape: { attend: 'hands', attention: 90, skill: 'raw', hygiene: 'raw', handling: 0 },
  brown: { attend: 'hands', attention: 70, skill: 'heat', hygiene: 'raw', handling: 0 },
  fry: { attend: 'hands', attention: 70, skill: 'heat', hygiene: 'neutral', handling: 0 },
  drain: { attend: 'hands', attention: 70, skill: 'heat', hygiene: 'neutral', handling: 0 },
  blend: { attend: 'hands', attention: 70, skill: 'heat', hygiene: 'ready', handling: 0 },
  pack: { attend: 'hands', attention: 60, skill: 'simple', hygiene: 'ready', handling: 0 },
  soften: handled('watch', 30),
  boil: handled('watch', 10),
  simmer: handled('watch', 10),
  bake: handled('none', 0),
  grill: handled('watch', 50),
  pressure: handled('watch', 5),
  slow: handled('none', 0),
  heat: waiting,
  rest: waiting,
  // What is set down to cool is hot when it is lifted.
  cool: { ...waiting, skill: 'heat' },
  soak: waiting,
  prove: waiting,
  chill: waiting,
} satisfies Record<string, WorkLaw>

/** A simmer of less than so many seconds is stood beside and stirred: it wants an eye like what softens. */
const STOOD_BESIDE = 600
export const isStoodBeside = (kind: WorkKind, seconds: number) =>
  kind === 'simmer' && seconds < STOOD_BESIDE
/** Attention that work of so many seconds wants while it goes on, in percent of a cook. */
export const attentionFor = (kind: WorkKind, seconds: number) =>
  isStoodBeside(kind, seconds) ? WORK.soften.attention : lawOf(kind).attention

export type WorkKind = keyof typeof WORK
export const WORK_KINDS = Object.keys(WORK) as [WorkKind, ...WorkKind[]]
export const lawOf = (kind: WorkKind): WorkLaw => WORK[kind]
/** Attention taken by putting something on or lifting it off, in percent of a cook. */
export const HANDLING_ATTENTION = 40

/** Work on the hob. */
export const ON_HEAT = new Set<WorkKind>(['brown', 'fry', 'soften', 'boil', 'simmer'])
const COOKING = new Set<WorkKind>([...ON_HEAT, 'bake', 'grill', 'slow', 'pressure'])
/** Whether a kind of work cooks what it is done to, if only outside. */
export const cooks = (kind: WorkKind) => COOKING.has(kind)
/** Minutes of frying by which raw meat or fish is done rather than browned: an estimate of ours. */
const FRIED_THROUGH = 9
/** Whether raw food is done after so many minutes of it: browning leaves it raw inside, and brief frying meat. */
export const cooksThrough = (kind: WorkKind, minutes: number, flesh: boolean, words = '') =>
  cooks(kind) &&
  ((kind !== 'brown' && !(kind === 'fry' && flesh && minutes < FRIED_THROUGH)) ||
    (minutes >= BROKEN_THROUGH && BROKEN_UP.test(words)))
/** Mince that is broken up as it fries: the heat gets to all of it in so many minutes, an estimate of ours. */
const BROKEN_UP =
  /\bbreak(?:ing)? (?:(?:it|them) up|up (?:the|any|all|with))\b|\bbreaking up\b|\bcrumbling (?:it|them)\b|\bno longer pink\b|\bcooked through\b/i
const BROKEN_THROUGH = 6
