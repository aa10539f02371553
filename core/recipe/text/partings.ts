import { isMeat } from './foods'
import { POTS } from './lexicon'
import type { Mention, Thread } from './threads'

/** One of two or more of a kind, and what is left then. */
export const ONE_OF =
  /\b(?:two|three|four|\d) of (?:the|these) (?:balls|loaves|pieces|portions|pies)\b|\b(?:one|half)(?: half)?(?: of (?:them|the [a-z]+)| (?:pie|dish|loaf|cake|tin|tray|box|batch|lasagne|half))\b|^(?:(?:open )?freeze|wrap|keep|chill|bag) half (?=at this|now|at once|of them|for later|in\b)|^(?:bake|roast|fry|cook|eat|serve|freeze|wrap|keep|chill) (?:one|\d{1,2})\b(?! ?(?:g|kg|ml|cm|min|minutes?|hours?|days?)\b| (?:side|at a time|by|after|minute|hour|layer|more))/
export const OTHER_ONE =
  /^(?:[a-z-]+ (?:and [a-z-]+ )?)?the (?:other|second|remaining)(?: (?:\d{1,2}|one|two|three|four|half|pie|dish|loaf|cake|tin|batch|lasagne))?(?=[,.;:]| (?:in|into|at|for|on|out|until|with)\b|$)|^(?:spray|bake|fry|roast|cook|brush) the rest\b(?! of)/
export const ONE_LABEL =
  /^(?:one|for (?:now|tonight)|tonight(?:['’]s (?:dish|one|pie|half))?|to eat now|the first(?: one)?)$/i
export const OTHER_LABEL =
  /^(?:(?:the )?other(?: one)?|the second(?: one)?|for (?:later|the freezer))$/i
/** A part of what was made: `a third of the ragù`. */
export const PART_OF =
  /\b(?:half|a (?:third|quarter|fifth|little|ladle(?:ful)?|few (?:spoonfuls|tablespoons|spoons)|cupful|spoonful)|two thirds|three quarters|some|\d+ ?(?:g|ml|tbsp|tablespoons)) (?:of )?(?:the|this|that|your) ((?:[a-zà-ÿ]+ ?){1,3})|\ba ladle(?:ful)? of (sauce)\b/
/** `Cool the rest`. */
export const THE_REST =
  /^[a-z]+(?: [a-z]+)? the rest\b(?! of)|\bwith (?:what is left|the remainder)\b|\bthe (?:last|rest|remainder) of the (?:[a-z]+ )?(?:sauce|marinade|dressing|glaze|syrup|rub)\b/
/** `Lift out the chicken and ginger`, at the end of what cooked them: a step of its own. */
export const liftsMeat = (holder: Thread, { text, uses }: Mention): boolean =>
  holder.cooked &&
  holder.items.size > uses.length &&
  uses.length > 0 &&
  POTS.has(holder.where.vessel ?? '') &&
  /^(?:in the (?:morning|evening),? )?(?:lift|take|fish|scoop) (?:out )?(?:the )?[a-z]+/i.test(
    text,
  ) &&
  isMeat(text)

/** `Remove the turkey to a board`: the rest stays in the pot that it cooked in. */
export const takesOut = (holder: Thread, { text, uses }: Mention): boolean => {
  if (!holder.cooked || uses.length >= holder.items.size) return false
  const { vessel } = holder.where
  const stews = vessel === 'frying-pan' && holder.where.wet
  if (vessel !== 'tray' && !stews && !POTS.has(vessel ?? '')) return false
  const onto =
    /^(?:remove|lift|take|fish|scoop|transfer)\b[^.;]*\b(?:to|onto) (?:a|the) (?:[a-z]+ )?(?:board|plate|bowl|dish)\b/i
  // `Remove the chicken, shred it and return it to the pot`; but `fish out the bay and shred the beef`.
  const first =
    /^(?:remove|(?:lift|take|fish|scoop)(?: out)?) (?:the )?((?:[a-z-]+ ?){1,3}?)(?=,| and | from | out\b)/i
  // `When it's done, lift the lamb onto a board`.
  const said = text.replace(/^(?:when|once|after|as soon as)\b[^,;]*,\s*/i, '')
  if (liftsMeat(holder, { text: said, uses } as Mention)) return true
  return onto.test(said) || (vessel !== 'tray' && isMeat(first.exec(said)?.[1] ?? ''))
}
