import type { WorkKind } from '../work'
import type { IngredientRead } from './ingredientLine'
import { namesKind } from './references'
import type { Thread } from './threads'

// Words by which a step tells what it takes up: see sources.ts.

export const KNOWN_VESSEL =
  /\b(?:the|same|that|this|your) (?:[a-z-]+ ){0,2}?(pan|pot|skillet|saucepan|casserole|dish|bowl|tray|tin|hole|wok|slow cooker|pressure cooker|roasting tin|cooker)s?\b|\bin (?:the|that|its) (?:[a-z]+ )?(drippings|fat)\b/
export const ALL = /\b(?:everything|all (?:the )?ingredients|the lot|the ingredients)\b/
/** `All the sauce ingredients`. */
export const ALL_OF =
  /(?:\b(?:all (?:of )?|the )(?:the )?|^(?:whisk|mix|combine|stir|blend|beat|toss|blitz|whizz|simmer|process) (?:together )?(?!the |all |everything ))([a-z]+(?: [a-z]+)?) ingredients\b|\beverything (?:for|in|under) the ([a-z]+(?: [a-z]+)?)/
/** `Everything else for the paste`, `the remaining sauce ingredients`. */
export const ELSE =
  /\beverything else\b(?: (?:for|in|under) the ([a-z]+))?|\b(?:rest of|remaining|other)(?: the)?(?: ([a-z]+))? ingredients\b/
export const UNDER_SKIN =
  /\bunder (?:the|its) skin\b|\b(?:stuff|put|push|tuck)\b[^.;]*\binside\b|\b(?:the|its) cavity\b/
export const HALF_OVER =
  /^(?:brush|spoon|pour|spread|drizzle|tip|scatter) (?:half|some|most|a (?:third|little|bit)) (?:over|on|onto|into) (?!the top\b|it\b|them\b)/
/** `Except the cranberries`. */
export const SPARED = /\b(?:except|apart from|all but|but not) (?:for )?(?:the )?([^,;.]*)/
export const BONES = /\b(?:bones?|carcass(?:es)?|trimmings)\b/
export const JUICES =
  /(?<!\b(?:lemon|lime|orange|apple|citrus|tomato|fruit|pineapple) )\b(?:juices?(?! runs?\b)|drippings)\b/
export const FAT_LEFT = /\bfat (?:from|in|off|out of) the (?:roasting )?(?:tin|tray)\b/
export const LIQUID =
  /\b(?:reserved|saved|cooking|poaching) (?:cooking |pasta )?(?:liquid|liquor|water|milk)\b/
export const MAKES =
  /^(?:whisk|make|mix|combine|shake|blend|prepare|stir)(?: up| together)? (?:the|your|an?) ((?:[a-z-]+ ?){1,3})/
/** `Meat stock`, `chicken broth`: no meat. */
export const isMadeOf = (lower: string) =>
  /\b(?:meat|fish|vegetable) (?:stock|broth|juices|thermometer|mixture|sauce)\b/.test(lower)
export const BOILS_DOWN =
  /^(?:(?:turn|raise|increase) [^.;]*heat\b[^.;]*\b)?(?:boil|bubble|reduce|simmer|thicken)\b/
export const DISHES = new Set(
  'stew soup chowder chilli chili curry ragu ragù sauce gravy casserole base dal dahl'.split(' '),
)
/** What is shaped or cut into something is no food that goes in. */
export const inputOf = (lower: string, work: WorkKind) =>
  work === 'shape' || work === 'cut' || work === 'assemble'
    ? lower.replace(
        /\b(?:in)?to (?:\d+|an?|small|even|equal|large|thin|thick|\w+ (?=balls|rounds|cakes|patties))[^,;.]*/g,
        ' ',
      )
    : lower

/** `Assemble.` */
export const ALL_TOGETHER = /^(?:assemble|build)(?: (?:everything|them|it all))?[.\s]*$/
/** What comes of a lemon or an orange, and the work by which it does. */
export const OF_CITRUS = /\b(?:zest|rind|juices?)\b/
export const SQUEEZED = /^(?:finely )?(?:grate|zest|squeeze|juice|halve|pare)\b/
/** `Layer sauce, sheets and spinach`: a sauce goes between what has no name yet and is in its pan. */
export const LAYERS = /^(?:layer|build|assemble)\b[^.;]*\bsauce\b/
export const THE_LIQUOR =
  /\b(?:the|this|its|all the) (?:hot |warm |cooking |poaching |strained |remaining )*(stock|broth|liquor|liquid)\b/

/** What is wrapped in, and what has such leaves. */
export const LEAVES = /\b(?:each|every|a|the) (?:cabbage )?lea(?:f|ves)\b/
export const LEAFY = /\b(?:cabbage|lettuce|chard|vine leaves|greens)\b/i

export const into = (name: string) =>
  new RegExp(`\\b(?:into|to|with|over) (?:the |your )?${name}\\b`)

/** What is rolled out for a tin or a dish. */
export const LINES_TINS = new Set(['pastry', 'dough', 'crust', 'case', 'base'])
export const HOB_VESSELS = new Set(['pot', 'frying-pan', 'wok'])
export const isOnHob = ({ where: { vessel } }: Thread) => HOB_VESSELS.has(vessel ?? '')
/** `Put everything in a casserole`: all that has been got ready. */
export const PUT_ALL =
  /^(?:(?:put|tip|place|transfer|combine|layer|pour|pile|mix|get) )?(?:everything|it all|the lot)(?: else)? (?:together |back )?(?:in|on|into|onto)\b|^(?:put|return|tip) (?:everything|it all|the lot) back\b/

export const WET_AND_DRY =
  /\b(?:wet|dry|liquid) (?:ingredients|mixture|mix)\b|\b(?:into|with|to) the (?:dry|wet)\b(?! (?:pan|frying|skillet|bowl|rub))/

export const KINDS =
  /\b(?:vegetables?|veg|meat|birds?|fish|joints?|spices|herbs|fruit)\b|\bthe (?:drained |cooked )?(?:pasta|noodles)\b/
export const ICED = /\bice(?:d)?[ -](?:bath|water)\b/
export const COOKED_IN_WATER = /^(?:blanch|boil|cook|poach|parboil|drop|lower|add)\b/
export const IN_THE_DISH =
  /\bin the (?:[a-z]+ )?(?:curry|stew|soup|sauce|casserole|chilli|chili|dal|dahl|ragu|rag\u00f9|broth|stock|gravy)\b/
export const OTHER_PAN = /\b(?:an?|another|second|separate) (?:[a-z-]+ ){0,3}(?:pan|pot|saucepan)\b/

/** What is poured or tossed over something, and was stirred together before. */
export const POURED = new Set('dressing marinade glaze syrup sauce brine vinaigrette'.split(' '))
/** Stands in a bowl, whether the text says so or not: several things, and nothing has cooked them. */
export const isMixed = ({ cooked, items, where: { vessel } }: Thread) =>
  !cooked && (vessel === 'bowl' || (vessel === undefined && items.size > 1))

/** A handful of coriander is an herb, a teaspoon of it a spice, and without an amount it is none. */
export const listedAs = ({ amount, counted = '', item, preparation = '', text }: IngredientRead) =>
  `${counted || (amount > 0 ? '' : 'handful')} ${/\b(?:tins?|cans?|jars?)\b/i.exec(text)?.[0] ?? ''} ${item} ${preparation}`
    .replace(/\s+/g, ' ')
    .trim()
/** `The spices`: a tablespoon of oregano is one of them. */
export const isSpooned = (kinds: string, { unit, item }: IngredientRead) =>
  /\bspices\b/.test(kinds) &&
  (unit === 'tsp' || unit === 'tbsp') &&
  /\b(?:oregano|thyme|rosemary|sage|basil|mint|dill|marjoram|mixed herbs)\b/.test(item)

export const isStarch = (label: string, item: string) =>
  /^(?:pasta|rice|noodles)$/i.test(label) && namesKind(label.toLowerCase(), item)
export const MIXED_WITH =
  /^(?:mix|combine|toss|stir|mash|layer|whisk|blend) (?:it |them |everything )?(?:together )?with\b/
