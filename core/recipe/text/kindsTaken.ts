import { isDry, isLiquid } from './foods'
import { IT } from './goingOn'
import { type IngredientRead, namesOf } from './ingredientLine'
import { isUnder } from './meant'
import { KIND_WORDS, namesKind } from './references'
import { ALL, ALL_OF, ELSE, isMadeOf, isSpooned, isStarch, listedAs, SPARED } from './sourceWords'
import { type Mention, type Sources, type Thread, type Threads } from './threads'
import { usedIn } from './usedIn'

/** A step while it is looked for what it takes up. */
export interface Taking extends Pick<Sources, 'order' | 'after' | 'fresh'> {
  mention: Mention
  /** Its words without what only says when or how far, in small letters. */
  lower: string
  /** It begins something beside what was done last. */
  anew: boolean
  found: Set<Thread>
  /** The heading whose ingredients it takes: no name of anything made before. */
  heading?: string
}

/** `Everything`, `the spices`: what nothing has been said of yet. */
export function takeKinds(kept: Threads, taking: Taking): void {
  const { mention, lower, fresh } = taking
  const begun = kept.open.some((t) => t.section === mention.section && t.items.size > 0)
  const rest = ELSE.exec(lower)
  if (rest) fresh.push(...restOf(kept, taking, rest[1] ?? rest[2]).map((i) => i.id))
  // `Oats: stir everything together`: all that stands under that heading.
  const allOf = rest ? null : ALL_OF.exec(lower)
  const named = allOf?.[1] ?? allOf?.[2]
  const isListed = named !== undefined && kept.ingredients.some((i) => isUnder(i, named))
  // `Mix the dry ingredients`, of a list without such a heading.
  const spared = SPARED.exec(mention.text.toLowerCase())?.[1] ?? ''
  if (named === 'dry' && !isListed && !fresh.length) {
    const dry = kept.unnamed(fresh).filter((i) => isDry(i.item))
    fresh.push(
      ...dry.map((i) => i.id).filter((id) => !usedIn(spared, kept.ingredients).includes(id)),
    )
    taking.anew = true
  }
  if (ALL.test(lower) && !begun && !rest && !isListed) {
    const not = usedIn(spared, kept.ingredients)
    fresh.push(...kept.unnamed(fresh).flatMap((i) => (not.includes(i.id) ? [] : [i.id])))
  }
  if (named !== undefined || (ALL.test(lower) && begun && !mention.goesOn && mention.label)) {
    const own = kept.ingredients.filter((i) => isUnder(i, named ?? mention.label))
    if (own.length && own.every((i) => !kept.isNamed(i.id))) {
      // `Shred everything, mix with the yoghurt`: but what has a word of its own.
      const all = mention.work === 'cut' ? own.filter((i) => !kept.spokenOf.has(i.id)) : own
      fresh.push(...all.map((i) => i.id).filter((id) => !fresh.includes(id)))
      taking.anew = true
      if (named !== undefined) taking.heading = named
    }
  }
  // `Remaining cheese on top`: of the cheddar that most of went in before.
  if (/\b(?:remaining|rest of the|last of the) cheese\b/.test(lower))
    fresh.push(
      ...[...kept.parted].filter(
        (id) => !fresh.includes(id) && namesKind('the cheese', kept.item(id)),
      ),
    )
  if (isMadeOf(lower)) return
  // `Rice: rinse, soak`: what stands under that heading in the list.
  const label = mention.goesOn || mention.uses.length ? undefined : mention.label
  if (label && !IT.test(lower)) {
    const words = namesOf(label).join(' ')
    const own = kept
      .unnamed(fresh)
      .filter((i) => i.group && namesOf(i.group).join(' ') === words && !isLiquid(i.item))
    if (own.length === 1 && !fresh.length) fresh.push(own[0]!.id)
    // `Pasta: boil until nearly done`: the rigatoni.
    const ofKind = own.length ? [] : kept.unnamed(fresh).filter((i) => isStarch(label, i.item))
    if (ofKind.length === 1) fresh.push(ofKind[0]!.id)
  }
  // `Tuna: drain, mix with the mayo`: by the name that stands in front of it and over its list.
  const front = mention.goesOn || IT.test(lower) ? undefined : mention.label
  if (front) {
    const under = kept.unnamed([...fresh, ...mention.uses]).filter((i) => isUnder(i, front))
    const several = kept.ingredients.filter((i) => isUnder(i, front)).length > 1
    const called = several ? usedIn(front, under) : []
    fresh.push(...called)
    if (called.length) taking.anew = true
  }
  const kinds = kindsIn(kept, taking)
  // `Roast the vegetables`: garlic and potatoes that have a word of their own go in where that says so.
  const apart = (i: IngredientRead) =>
    /\b(?:garlic|potato(?:es)?|spinach|kale|peas|mushrooms?)\b/i.test(i.item) &&
    kept.spokenOf.has(i.id)
  const ofKind = kept
    .unnamed(fresh)
    .filter((i) => (namesKind(kinds, listedAs(i)) || isSpooned(kinds, i)) && !apart(i))
  // `The garlic and spices` of the chicken, and not of the rice.
  const groupsOf = (ids: Iterable<string>) =>
    new Set([...ids].map((id) => kept.ingredients.find((i) => i.id === id)!.group))
  const groups = groupsOf(mention.uses)
  // `Add the spices` to the duck: not the nutmeg of the mash.
  const from = groups.size || taking.anew ? groups : groupsOf(kept.current?.items ?? [])
  const own = from.size === 1 ? ofKind.filter((i) => from.has(i.group)) : []
  // `Berries` that are named are no cranberries of another list.
  const isNamed = from.size === 1 && mention.uses.some((id) => namesKind(kinds, kept.item(id)))
  fresh.push(...(own.length ? own : isNamed ? [] : ofKind).map((i) => i.id))
}

/** What nothing has been said of yet under a heading, or under that of what is worked on. */
function restOf(
  kept: Threads,
  { mention, found, fresh }: Taking,
  heading: string | undefined,
): IngredientRead[] {
  const left = kept.unnamed(fresh)
  const own = left.filter((i) => isUnder(i, heading ?? mention.label))
  if (own.length) return own
  const here = [...mention.uses, ...[...found, kept.current].flatMap((t) => [...(t?.items ?? [])])]
  const group = kept.ingredients.find((i) => i.id === here[0])?.group
  return left.filter((i) => i.group === group && !kept.spokenOf.has(i.id))
}

/** The words of a step without those by which it names an ingredient: `the 2 tbsp rice` is no kind. */
export function kindsIn(kept: Threads, { mention, lower }: Taking): string {
  const named = mention.uses.flatMap((id) => namesOf(kept.item(id)))
  // `The fish`, of a list with white fish and haddock: both.
  const isAll = (k: string) => k === 'fish' && /\bthe fish\b/.test(lower)
  return KIND_WORDS.filter((k) => named.includes(k) && !isAll(k)).reduce(
    (out, k) => out.replaceAll(k, ' '),
    lower,
  )
}
