import { oneOf, USUAL_RULES, type HouseRules, type Kitchen } from '../kitchen'
import type { ProblemInput } from '../problem'
import type { Issue } from '../reading'
import { lawOf, type Step } from '../recipe'
import type { DishToMake } from './dishes'

/** Longest time between cutting something and using it where the house cuts just before, in seconds. */
const JUST_BEFORE = 15 * 60
/** Longest time cooked food of a shared base may stand before it is used, in seconds. */
const STANDING = 7200
/** The same above 32 °C in the kitchen, by the usual guidance. */
const STANDING_HOT = 3600

export const rulesOf = (kitchen: Kitchen): HouseRules => kitchen.rules ?? USUAL_RULES
/** The same where the house is strict: a margin of ours to the usual two hours. */
const STANDING_STRICT = 3600
/** Washing hands after raw food where the house is strict: a full minute, an estimate of ours. */
const STRICT_WASH = 60

/** Seconds that cooked food may stand out of the cold in this house. */
export const standingOf = (rules: HouseRules) =>
  Math.min(
    rules.hot ? STANDING_HOT : STANDING,
    rules.cautions === 'strict' ? STANDING_STRICT : STANDING,
  )

/** Seconds of hand washing between kinds of food, as the house wants it. */
export function handWashOf(kitchen: Kitchen): Kitchen['handWash'] {
  const { handWash } = kitchen
  if (rulesOf(kitchen).cautions === 'usual') return handWash
  const raw = handWash.raw ?? {}
  const others = ['produce', 'ready', 'neutral']
  return {
    ...handWash,
    raw: {
      ...raw,
      ...Object.fromEntries(others.map((o) => [o, Math.max(STRICT_WASH, raw[o] ?? 0)])),
    },
  }
}

const hygieneOf = (step: Step) => step.hygiene ?? lawOf(step.work).hygiene
const isRawHands = (step: Step) =>
  hygieneOf(step) === 'raw' && ['cut', 'season', 'shape', 'assemble', 'mix'].includes(step.work)

/** Adds what the house wants in its own way to a problem, as relations between activities. */
export function addRules(
  problem: ProblemInput,
  rules: HouseRules,
  dishes: readonly DishToMake[],
  turnsOf: (dish: string, step: string) => readonly string[],
): void {
  const all = dishes.flatMap(({ recipe }) =>
    recipe.steps.map((step) => ({ recipe, step, ids: turnsOf(recipe.id, step.id) })),
  )
  const free = ({ step }: (typeof all)[number]) =>
    step.work === 'cut' && !step.after.length && !step.takes.length
  const order = (before: typeof all, after: typeof all) => {
    for (const b of before)
      for (const a of after)
        if (a !== b) problem.relations!.push({ from: b.ids.at(-1)!, to: a.ids[0]!, kind: 'FS' })
  }
  const cuts = all.filter((x) => free(x) && !isRawHands(x.step))
  if (rules.cutting === 'first') {
    const cooking = all.filter((x) => !HANDS.has(x.step.work) && !x.step.aside)
    order(cuts, cooking)
  }
  if (rules.raw === 'last')
    order(
      cuts,
      all.filter((x) => isRawHands(x.step)),
    )
  if (rules.cutting === 'just-before')
    for (const cut of all.filter(free))
      for (const user of all)
        if (user.recipe === cut.recipe)
          for (const wait of user.step.after)
            if (wait.step === cut.step.id && wait.most === undefined)
              problem.relations!.push({
                from: cut.ids.at(-1)!,
                to: user.ids[0]!,
                kind: 'FS',
                max: Math.max(JUST_BEFORE, 60 * (wait.least ?? 0)),
              })
}

/** Work that is no cooking: nothing is on the heat, in the cold or left to stand. */
const HANDS = new Set(['cut', 'measure', 'mix', 'assemble', 'season', 'shape', 'drain', 'pack'])

/** Where pans are not washed before the end, kinds of which there are fewer than dishes that want one. */
export function panIssues(
  rules: HouseRules,
  dishes: readonly DishToMake[],
  kitchen: Kitchen,
): Issue[] {
  if (rules.pans === 'wash') return []
  const wanted = new Map<string, Set<string>>()
  for (const { recipe } of dishes) {
    const kinds = [
      ...recipe.steps.flatMap((s) => (s.ways.length === 1 ? s.ways[0]!.on.map((n) => n.kind) : [])),
      ...recipe.keeps.map((k) => k.vessel.kind),
    ]
    for (const kind of kinds) wanted.set(kind, (wanted.get(kind) ?? new Set()).add(recipe.name))
  }
  return [...wanted].flatMap(([kind, names]) => {
    const own = kitchen.stations.filter((s) => s.kind === kind && isPan(s))
    return own.length && names.size > own.length
      ? [
          {
            path: `rules.pans.${kind}`,
            message: `pans are left until the end, and ${names.size} dishes want ${oneOf(kind)}: ${[...names].join(', ')}`,
            allowed: `up to ${own.length}, or wash and use them again (the kitchen's rules)`,
          },
        ]
      : []
  })
}

/** Pots and pans, which are washed between dishes; boards and machines always are. */
export const isPan = (s: { zone: string; wash?: unknown }) =>
  s.zone === 'vessel' && s.wash !== undefined
