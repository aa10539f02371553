import { isLiquid } from './foods'
import { namesOf } from './ingredientLine'
import { POTS } from './lexicon'
import { PART_OF } from './partings'
import { isStaple, MADE_OF } from './references'
import { BOILS_DOWN, DISHES, HOB_VESSELS, isOnHob, LAYERS, POURED } from './sourceWords'
import { type Mention, type Thread, type Threads } from './threads'

/** The one that most has gone into, which is called so from now on. */
export function fullest(threads: readonly Thread[], name: string): Thread | undefined {
  const most = threads.reduce<Thread | undefined>(
    (a, b) => (a && a.items.size > b.items.size ? a : b),
    undefined,
  )
  most?.names.add(name)
  return most
}

/** The food that is called so: as it was named, by what it is made of, or what else it could be. */
export function madeAs(
  kept: Threads,
  name: string,
  mention: Mention,
  found: ReadonlySet<Thread>,
): Thread | undefined {
  const lower = ` ${mention.text.toLowerCase()}`
  const named = kept.latest((t) => t.names.has(name))
  if (named) return named
  const made = kept.latest((t) =>
    (MADE_OF[name] ?? []).some(
      (n) => t.names.has(n) || [...t.items].some((id) => namesOf(kept.item(id)).includes(n)),
    ),
  )
  if (made) {
    made.names.add(name)
    return made
  }
  if (name === 'sauce' && LAYERS.test(lower.trim()))
    return kept.open.findLast(
      (t) => t.cooked && !found.has(t) && HOB_VESSELS.has(t.where.vessel ?? ''),
    )
  // `Fill each tortilla with 2 tbsp of filling`: what was mixed in its bowl.
  if (
    name === 'filling' &&
    / (?:with|of) (?:the )?(?:[a-z]+ )?filling|^ (?:pile|spoon|spread|put|lay|heap) (?:half )?the (?:[a-z]+ )?filling/.test(
      lower,
    )
  ) {
    const bowl =
      kept.open.findLast((t) => t.where.vessel === 'bowl') ??
      kept.open.findLast((t) => t !== kept.current && t.items.size > 2)
    bowl?.names.add(name)
    if (bowl) return bowl
  }
  // `Lift the chicken out, boil the sauce hard`: what stays in its pot.
  const stays = BOILS_DOWN.test(lower.trim()) && kept.open.findLast((t) => t.left)
  if (stays && !found.size && (DISHES.has(name) || POURED.has(name))) {
    stays.names.add(name)
    return stays
  }
  // `Shred it, and stir back into the chili`.
  const back = mention.goesOn && DISHES.has(name)
  if (found.size || back) {
    const apart = kept.open.filter(
      (t) => !found.has(t) && t.items.size > 0 && !(back && t === kept.current),
    )
    const into = new RegExp(
      `\\b(?:in|into|with|over|through|to|on|onto|on top of) (?:[a-z ]{3,20} of )?(?:the|this) (?:[a-z-]+ )?${name}`,
    )
    if (!into.test(mention.text.toLowerCase())) return undefined
    // A stew or a sauce is what most has gone into.
    if (DISHES.has(name)) {
      return fullest(apart, name)
    }
    const unnamed = apart.findLast((t) => t.names.size === 0)
    if (PART_OF.test(mention.text.toLowerCase())) unnamed?.names.add(name)
    return unnamed
  }
  // `Squeeze out the cucumbers, toss with the dressing`: what was stirred together beside them.
  if (mention.goesOn && POURED.has(name) && / with the /.test(lower))
    return kept.open.findLast(
      (t) =>
        t !== kept.current &&
        !t.names.size &&
        !t.cooked &&
        [...t.items].some((id) => isLiquid(kept.item(id)) || isStaple(kept.item(id))),
    )
  if (
    mention.goesOn ||
    !new RegExp(`\\b(?:the|this|that|each|your|\\d+) (?:[a-z-]+ ){0,2}${name}`).test(
      mention.text.toLowerCase(),
    )
  )
    return undefined
  const others = kept.open.filter((t) => t !== kept.current && !t.names.has('boiling water'))
  return (
    others.findLast((t) => t.names.size === 0) ??
    // `In the curry`: what most has gone into on the hob.
    (DISHES.has(name) ? fullest(others.filter(isOnHob), name) : undefined) ??
    // `Roll the mixture`: what was stirred together in no pot, whatever else it was called.
    (name === 'mixture' && POTS.has(kept.current?.where.vessel ?? '')
      ? others.findLast((t) => t.items.size > 1 && !POTS.has(t.where.vessel ?? ''))
      : undefined) ??
    (others.length ? undefined : kept.current)
  )
}
