import { cooks, isMeat } from '../recipe'
import * as food from './foods'
import type { SeenStep, View } from './view'

/** Where a hazard was found. */
export interface Finding {
  /** The step at which the hand is about to do it; undefined for the dish as a whole. */
  step?: string
  text: string
}

/** One way in which food, heat or blades hurt, when it applies, and what is usual against it. */
export interface Hazard {
  id: string
  /** Where the limit comes from. */
  source: string
  /** Whether a machine's manual is what comes first, rather than local guidance. */
  manual?: true
  /** It can maim or kill: said before the session begins too. */
  grave?: true
  /** It is looked after when the step is over, and not when it begins. */
  atEnd?: true
  find: (view: View) => Finding[]
}

export const GUIDANCE = 'usual food safety guidance'
/** The same words, or words of its own, at each of the steps. */
export const at = (
  steps: readonly SeenStep[],
  text: string | ((s: SeenStep) => string),
): Finding[] =>
  steps.map((s) => ({ step: s.step.id, text: typeof text === 'string' ? text : text(s) }))
/** Only where it is first met: said once, it is heard. */
export const first = (steps: readonly SeenStep[], text: string | ((s: SeenStep) => string)) =>
  at(steps.slice(0, 1), text)
/** Sentences of the recipe, each at the step that says it, or at the dish. */
export const said = (view: View, pattern: RegExp, text: string): Finding[] => {
  if (!view.sentences.some((s) => pattern.test(s))) return []
  const step = view.steps.find((s) => pattern.test(s.text))
  return [{ ...(step ? { step: step.step.id } : {}), text }]
}
export const any = (items: readonly string[], pattern: RegExp) => items.some((i) => pattern.test(i))
export const raw = (items: readonly string[], pattern: RegExp) =>
  items.some((i) => pattern.test(i) && !food.NOT_RAW.test(i))
export const minutesOf = (s: SeenStep) => s.step.ways[0]!.minutes[1]!
export const heats = (s: SeenStep) => cooks(s.step.work) || s.step.work === 'heat'
/** Hours of gentle wet cooking take meat far beyond any limit. */
export const isLongAndWet = (s: SeenStep) =>
  ['simmer', 'slow', 'pressure', 'boil'].includes(s.step.work) && minutesOf(s) >= 45
/** Cooked food on its way out of the kitchen's warmth. */
export const putsAway = (s: SeenStep) =>
  ['cool', 'chill', 'pack'].includes(s.step.work) && s.before.some((l) => l.cooked)
/** Where flesh is cooked through: the longest heat that it gets raw or half cooked, and not what its bones get later. */
export const cookedAt = (view: View, is: (s: SeenStep) => boolean): SeenStep[] => {
  const hot = view.steps.filter((s) => cooks(s.step.work) && is(s))
  const comesRaw = (s: SeenStep) =>
    s.before.some((l) => l.raw || l.part) ||
    (s.fresh.some(isMeat) && !hot.some((o) => o !== s && view.later(o).includes(s)))
  const rawly = hot.filter(comesRaw)
  const [longest] = [...(rawly.length ? rawly : hot)].sort((a, b) => minutesOf(b) - minutesOf(a))
  return longest ? [longest] : []
}
/** Two-digit temperatures: no oven is meant. */
const STATED = /\b(\d{2})\s?(?:°\s?c?|c|degrees)\b/g
/** What the recipe itself says to cook it to, at this step or where else it is heated, if that is less. */
export const lowerThan = (limit: number, v: View, s: SeenStep) => {
  const own = v.steps.filter(
    (o) => heats(o) && (o === s || o.items.some((i) => s.items.includes(i))),
  )
  const stated = own
    .flatMap((o) => [...o.text.matchAll(STATED)].map((m) => Number(m[1])))
    .filter((c) => c >= 40 && c < limit)
  return stated.length ? ` The recipe says ${stated[0]} °C: that is too little.` : ''
}
/** Steps that put something in which nothing cooks, then or later, nor has cooked before: boiled eggs on top. */
export const uncooked = (v: View, food: RegExp) =>
  v.steps.filter(
    (s) =>
      any(s.fresh, food) &&
      !heats(s) &&
      !v.later(s).some((l) => cooks(l.step.work)) &&
      !v.steps.some((e) => e !== s && any(e.fresh, food) && cookedOnTheWay(v, e, s)),
  )

/** Whether something that goes in at one step has been cooked by the time that it is in another. */
const cookedOnTheWay = (v: View, from: SeenStep, to: SeenStep) =>
  [from, ...v.later(from)].some((x) => cooks(x.step.work) && v.later(x).includes(to))
