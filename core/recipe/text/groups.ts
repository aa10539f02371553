import { lowerFirst } from '../casing'
import { ON_HEAT, type WorkKind } from '../work'
import type { Clause } from './clauses'
import { durationsIn } from './durations'
import { singular } from './ingredientLine'
import { bareOf } from './references'

/** What a cook does in one go: one clause or several. */
export interface Group {
  text: string
  work: WorkKind
  verb: string
  meanwhile: boolean
}

/** Goes on by itself once it is on or in. */
export const PASSIVE = new Set<WorkKind>([
  'bake',
  'grill',
  'slow',
  'pressure',
  'rest',
  'cool',
  'soak',
  'prove',
  'chill',
  'heat',
])

/** Commands for a single grip, done on the way to what follows. */
const TRIVIAL =
  /^(?:cover|uncover|take|reduce|lower|raise|increase|turn|flip|return|remove|switch|swap|keep|seal|close|lock|open|discard|set aside|swirl|lift|add|put|place|pour|tip|transfer|stir|bring|season|salt|slide|push|prick|baste|crack|sprinkle|drop|skim|divide|drizzle|scatter|dot|stand)$/
/** Done to what cooks while it cooks: no step of its own. */
const BESIDE =
  /^(?:cover|uncover|take|turn|flip|reduce|lower|raise|increase|skim|baste|seal|close|lock|swirl|set aside|remove|lift|discard|reserve|keep|season)$/

const HALFWAY =
  /^(?:stir|turn|toss|shake|baste|flip|rotate)(?:ring|ning)?\b[^.;]*\b(?:half ?-?way|once or twice|occasionally|now and then|from time to time|a few times|once|twice)\b/i
/** `Mix the crumbs, sprinkle on top`: what is mixed is one thing, what it goes onto another. */
const MIXES = /^(?:mix|combine|whisk|beat|stir together|rub|blend|warm|melt)$/
const GOES_OVER =
  /^(?:sprinkle|scatter|pour|spoon|spread|drizzle|brush|dot|crumble|ladle|tip)\b[^.;]*\b(?:on top|over|onto|all over)\b|^(?:stir|fold|pour|add|tip|whisk|beat) (?:it|this|them) (?:in|to|through)/i

const LETS_ON = /^let the (?:fat|skin|edges|bottom|underside)\b/i

/** Clauses of one sentence put together that belong to one step. */
export function grouped(clauses: readonly Clause[]): Group[] {
  const out: (Group & { light: boolean; timed: boolean; trivial: boolean })[] = []
  for (const c of clauses) {
    const timed = durationsIn(c.text).some((d) => d.kind === 'span' || d.kind === 'perWeight')
    const trivial = c.light && TRIVIAL.test(c.verb)
    const here = { ...c, timed, trivial }
    const last = out[out.length - 1]
    const text = last ? `${last.text}, ${lowerFirst(c.text)}` : c.text
    const join = () => {
      last!.text = text
      last!.timed ||= timed
    }
    const take = () => {
      out[out.length - 1] = { ...here, text, meanwhile: last!.meanwhile || c.meanwhile }
    }
    // `Fry in a cold pan, and let the fat run for 15 minutes`: one thing, and its time.
    if (last && ON_HEAT.has(last.work) && !last.timed && timed && LETS_ON.test(c.text)) {
      join()
      continue
    }
    // `Bake 25 min, stir halfway`: done to what cooks while it cooks.
    if (last?.timed && HALFWAY.test(c.text) && !timed) {
      last.text = text
      continue
    }
    if (!last || (last.timed && timed) || (MIXES.test(last.verb) && GOES_OVER.test(c.text)))
      out.push(here)
    else if (last.trivial && trivial && !last.timed && !timed) join()
    else if (last.trivial && !last.timed && !(PASSIVE.has(c.work) && carries(last.text))) take()
    else if (
      trivial &&
      !timed &&
      last.work !== 'heat' &&
      (last.light || ON_HEAT.has(last.work)) &&
      !last.timed
    )
      join()
    else if (!timed && isBeside(c) && last.work !== 'heat' && !leadsOn(c, clauses)) join()
    else if (last.work === c.work && last.light === c.light && !last.timed) join()
    else if (last.work === 'boil' && !last.timed && c.work === 'simmer') take()
    // `Bring up to pressure, cook for 8 minutes`: coming up is part of it.
    else if (last.work === 'pressure' && !last.timed && timed && c.work === 'simmer') {
      last.text = text
      last.timed = true
    } else out.push(here)
  }
  return out
}

/** `Wash and slice the leeks`: what the first is done to stands behind the second. */
export function withObjects(groups: readonly Group[], foods: ReadonlySet<string>): Group[] {
  const [first, second] = groups
  if (!first || !second) return [...groups]
  const bare = bareOf(first.text).trim().toLowerCase()
  // `Chop and stir in the walnuts`.
  const added = bare === first.verb && first.work === 'cut' && ADDED.exec(second.text)?.[1]
  if (added && foods.has(singular(added.split(' ').at(-1)!.toLowerCase())))
    return [{ ...first, text: `${first.text} ${added}` }, ...groups.slice(1)]
  if (bare !== first.verb || !HAS_OBJECT.test(first.verb)) return [...groups]
  const what = OBJECT.exec(second.text.slice(second.verb.length))?.[1]?.trim()
  if (!what || second.text.slice(0, second.verb.length).toLowerCase() !== second.verb)
    return [...groups]
  return [{ ...first, text: `${first.text} ${what}` }, ...groups.slice(1)]
}
const ADDED =
  /^(?:add|(?:stir|fold|mix|tip|scatter) (?:in|through|over)) ((?:the |your )?[a-z]+(?: [a-z]+)?)(?=[.,;]|$)/i
/** Never done to what is in the pan already without saying so. */
const HAS_OBJECT =
  /^(?:wash|rinse|dry|peel|clean|trim|core|toast|beat|crush|boil|blanch|melt|soak|weigh|measure|season|salt|brown|sear)$/
const OBJECT =
  /^ ((?:[a-z-]+ ){0,5}?[a-z-]+)(?=[,.;(]|$| (?:in|into|with|for|until|till|to|on|onto|over|at|and|then|from)\b)/i

/** `Reduce the heat and bake on`: a change of heat belongs to what follows it, if anything does. */
const leadsOn = (c: Clause, all: readonly Clause[]) =>
  /^(?:reduce|lower|raise|increase|turn)$/.test(c.verb) && c !== all[all.length - 1]

/** More than putting a lid on: something goes in or over. */
const carries = (text: string) =>
  /^(?:add|stir|pour|tip|sprinkle|season|crack|drop|drizzle|scatter|divide|share|split|put [^.;]* with)\b/i.test(
    text,
  )
/** Nothing to do but what goes with the step before. */
export const isBesideOnly = (g: Group) =>
  BESIDE.test(g.verb) && g.work === 'assemble' && !/^turn (?:it |them )?out\b/i.test(g.text)
const isBeside = (c: Clause) =>
  BESIDE.test(c.verb) || /\b(?:off the heat|from the heat|heat off)\b/i.test(c.text)

/** Hot fat or a hot pan is no step of its own: it belongs to what is fried in it. */
export const isHotFat = (g: Group) =>
  /^(?:wipe|grease|oil|brush) (?:a|the|your) (?:[a-z-]+ ){0,3}(?:pan|skillet|griddle|wok)\b/i.test(
    g.text,
  ) ||
  (/\b(?:heat|warm|melt|add|get)\b[^.;]*\b(?:oil|butter|ghee|fat|dripping|lard|pan|skillet|wok|griddle)\b/i.test(
    g.text,
  ) &&
    /^(?:heat|warm|melt|get(?: the| your)?)$/.test(g.verb) &&
    // `Warm the garlic in the oil`, too.
    !/^(?:gently )?(?:heat|warm) (?:it|them|the (?!oil|butter|ghee|fat))[^.;,]* in (?:the |a little |some |hot )*(?:oil|butter|ghee|fat)\b/i.test(
      g.text,
    ) &&
    // `Warm the milk and butter`: a thing of its own.
    !/(?<!\bdutch )\boven\b|\bgrill\b|\b(?:milk|cream|water|stock|sugar|syrup|honey|chocolate)\b/i.test(
      g.text,
    ))
