import { GUIDANCE } from './hazard'

/** Something in a dish that the freezer spoils, and what to do instead. */
export interface FreezesBadly {
  what: string
  /** What becomes of it. */
  because: string
  instead: string
}

/** By name of the dish, or by what is in it: what water crystals and thawing do to it. */
const BADLY: readonly (FreezesBadly & { item?: RegExp; dish?: RegExp; not?: RegExp })[] = [
  {
    what: 'boiled pasta or noodles',
    item: /\b(?:pasta|noodles|macaroni|spaghetti|penne|fusilli|orzo|vermicelli|tagliatelle|ravioli)\b/i,
    not: /\bbake|lasagn|cannelloni/i,
    because: 'goes soft and drinks up the soup or sauce',
    instead: 'freeze the rest without it, and boil it fresh when you warm the dish',
  },
  {
    what: 'a dressed salad',
    dish: /\b(?:salads?|slaw|coleslaw|tabbouleh)\b/i,
    because: 'comes out limp and watery',
    instead: 'keep it in the fridge undressed, and dress it on the day',
  },
  {
    what: 'raw salad leaves, cucumber or radish',
    item: /\b(?:lettuce|cucumbers?|radish(?:es)?|rocket|watercress|salad leaves)\b/i,
    because: 'comes out limp and watery',
    instead: 'leave it out and add it on the day',
  },
  {
    what: 'boiled egg',
    item: /\b(?:hard[- ]boiled|boiled) eggs?\b/i,
    dish: /\b(?:egg salad|pickled eggs|scotch eggs|beetroot eggs|boiled eggs)\b/i,
    because: 'turns rubbery',
    instead: 'keep it in the fridge, or boil it on the day',
  },
  {
    what: 'cream, yoghurt or soured cream',
    item: /\b(?:(?:soured|sour|single|double|whipping) cream|cr[eè]me fra[iî]che|yog(?:h)?urt|buttermilk)\b/i,
    // Baked into a dough, nothing of it can curdle.
    not: /\b(?:bread|scones?|cakes?|muffins?|loaf|pancakes?|ice cream)\b/i,
    because: 'splits when it thaws',
    instead: 'stir it in when you warm the dish',
  },
  {
    what: 'potato in pieces',
    item: /\b(?:potato(?:es)?)\b/i,
    not: /\b(?:pie|mash|gratin|cakes?|sweet potato(?:es)?|roast)\b/i,
    because: 'turns grainy and wet',
    instead: 'mash it into the dish, or cook it fresh when you warm the dish',
  },
]

/** What of a dish does not freeze well, and what to do instead; nothing where all of it does. */
export function freezesBadly(name: string, items: readonly string[]): FreezesBadly[] {
  return BADLY.filter(
    (b) =>
      !b.not?.test(name) &&
      (b.dish?.test(name) ||
        (b.item && items.some((i) => b.item!.test(i) && !/\bflour\b/.test(i)))),
  ).map(({ what, because, instead }) => ({ what, because, instead }))
}

/** Where all that is said of it comes from. */
export const FREEZING_SOURCE = `${GUIDANCE}: food that is frozen stays safe; what is said here is of its taste`
