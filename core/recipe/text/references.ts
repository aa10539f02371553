import { namesOf, singular, type IngredientRead } from './ingredientLine'
import { isMeat, isFish } from './foods'
import { plain } from './plain'

/** Dry and wet staples that go into several things: naming one again is not naming what it went into. */
const STAPLE =
  /\b(?:salt|oil|water|sugar|flour|butter|vinegar|seasoning|ice|milk|stock|cornflour|cornstarch)\b/
const PEPPER = /^(?:freshly )?(?:ground )?(?:black |white )?pepper$|\bsalt and (?:black )?pepper\b/
export const isStaple = (item: string) => STAPLE.test(item) || PEPPER.test(item)

/** Things made on the way, by which a method goes on speaking of them. */
export const PRODUCTS = new Set(
  'tadka sauce dough batter mixture filling stew soup chowder gravy base marinade custard dressing topping crumble glaze syrup puree paste mash dip stuffing compote roux pastry caramel icing frosting meringue broth curry chilli ragu ragù pesto salsa relish chutney jam crust streusel dal dahl sponge cake meatloaf loaf bread patty patties meatball ball burger fishcake cake pancake cookie biscuit bun roll knot round cutlet brine coating crumb salad slaw dumpling muffin cupcake scone brownie chili finger wedge case shell'.split(
    ' ',
  ),
)

/** What a cook calls several things at once. */
const VEGETABLES = /\b(?:vegetables?|veg|veggies|aromatics)\b/
const CATEGORIES: [RegExp, RegExp][] = [
  [
    VEGETABLES,
    /\b(?:onions?|shallots?|carrots?|celery|peppers?|leeks?|fennel|courgettes?|zucchini|aubergines?|eggplants?|squash|pumpkin|potato(?:es)?|swedes?|parsnips?|turnips?|beans|peas|broccoli|cauliflower|cabbage|kale|spinach|mushrooms?|tomato(?:es)?|beetroots?|garlic|roots?)\b/,
  ],
  [
    /\b(?:fruits?)\b/,
    /\b(?:apples?|pears?|plums?|berries|cherries|peach(?:es)?|apricots?|rhubarb|oranges?)\b/,
  ],
  [
    /\b(?:spices)\b/,
    /\b(?:cumin|(?<!\b(?:handfuls?|bunch(?:es)?|sprigs?|fresh) )coriander(?! (?:leaf|leaves|stalks?|chopped|torn|picked)\b)|turmeric|paprika|cinnamon|cardamom|cloves|spice|masala|curry powder|chill?i|chile|cayenne|pepper flakes|fennel seeds?|caraway|fenugreek|saffron|sumac|mustard powder|star anise|garam|ras el hanout|za'?atar|berbere|baharat|five.spice|ginger|allspice|nutmeg)\b/,
  ],
  [
    /\b(?:herbs)\b/,
    /\b(?:parsley|(?<!ground )coriander(?! seeds?)|cilantro|thyme|rosemary|sage|basil|mint|dill|chives|oregano|tarragon|bay)\b/,
  ],
  [
    /\bcheeses?\b/,
    /\b(?:cheddar|parmesan|mozzarella|feta|gruy[eè]re|halloumi|gouda|emmental|pecorino|ricotta)\b/,
  ],
  [
    /\bpasta\b/,
    /\b(?:spaghetti|penne|macaroni|fusilli|rigatoni|linguine|tagliatelle|pappardelle|farfalle|ditalini|orecchiette|conchiglie|cavatappi|ziti|tortellini|ravioli|orzo)\b/,
  ],
  [/\brice\b(?! (?:cooker|vinegar|noodles|flour))/, /\b(?:basmati|arborio|jasmine|carnaroli)\b/],
  [/\bflorets?\b/, /\b(?:broccoli|cauliflower|romanesco)\b/],
  [
    /\b(?:and|with|add|melt|heat) the fat\b(?! (?:from|off|in|that|left|runs)\b)/,
    /\b(?:lard|dripping|oil|ghee|(?:goose|duck) fat)\b/,
  ],
  [/\bberries\b/, /\b[a-z]*berr(?:y|ies)\b/],
  [/\bnuts\b/, /\b(?:almonds|walnuts|hazelnuts|pecans|cashews|pistachios)\b/],
]
const MEATS = /\b(?:meat|birds?|joints?|the roast)\b/
const FISHES = /\b(?:fish|fillets?)\b/

/** How much of an ingredient a mention takes: all there is, a part, or what is left of it. */
export type Share = 'all' | 'part' | 'rest'

const PART =
  /(?:\b(?:half|some|a (?:little|third|quarter|few|bit)|(?:two|three|\d) (?:thirds|quarters)|(?:third|quarter)(?= of)|most|one|a few|\d+(?:\.\d+)? ?(?:tbsp|tsp|g|ml|cups?|tablespoons?|teaspoons?|spoons?|litres?|l|oz)?|(?:green )?tops?|greens?|(?:green|white) parts?|whites?|stalks|stems)(?: (?:of|the|of the|it))?)\s+(?:[a-z-]+ ){0,2}$/
/** `The rest of the `, in front of a name. */
export const REST =
  /\b(?:rest(?: of)?(?: the)?|remaining|remainder of(?: the)?|other(?: half)?(?: of)?(?: the)?|leftover|reserved|more|another|extra)\s+(?:[a-z-]+ ){0,2}$/

/** What stands in front of each name by which a text speaks of something: `half the ` of the butter. */
export function beforeNames(text: string, item: string): string[] {
  const lower = plain(text)
  return [...namesOf(item), ...kindsOf(item)].flatMap((name) => {
    const at = lower.search(new RegExp(`\\b${escape(name)}`))
    return at < 0 ? [] : [lower.slice(0, at)]
  })
}

/** How a text speaks of an ingredient. */
export function shareOf(text: string, ingredient: IngredientRead): Share {
  for (const before of beforeNames(text, ingredient.item)) {
    if (REST.test(before)) return 'rest'
    if (PART.test(before)) return 'part'
  }
  return 'all'
}

/** Whether a text says `reserved`: what was kept back of something, with nothing else of it. */
export const isReserved = (text: string) => /\breserved\b/i.test(text)

const escape = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** `A loaf tin`: a vessel, and nothing that was made. */
const SHAPED_FOR =
  /\b(?:loaf|cake|bread|bun|roll|muffin|pancake|biscuit|cookie|soup|salad|sauce) (?:tins?|pans?|moulds?|bowls?|trays?|sheets?|boards?|cases?)\b/g
const BASE_OF = /\bbase of (?:an?|the|each|your|both|two|\d)\b/g
/** Paper cases and shells of nuts: one case is of pastry. */
const CASES = /\b(?:cases|shells)\b/g
const unshaped = (text: string) =>
  plain(text).replace(SHAPED_FOR, ' ').replace(BASE_OF, ' ').replace(CASES, ' ')

/** Names of things made before that a text speaks of as known: `the sauce`, `this dough`. */
export function productsIn(text: string): string[] {
  const words = unshaped(text).match(/[a-zà-ÿ]+/g) ?? []
  return [...new Set(words.map(singular).filter((w) => PRODUCTS.has(w)))]
}

/** The same with the word in front: `white sauce`, where there are several sauces. */
export function fullProductsIn(text: string): string[] {
  const words = (unshaped(text).match(/[a-z]+/g) ?? []).map(singular)
  return words.flatMap((w, k) => {
    const before = words[k - 1]
    return PRODUCTS.has(w) && before && !PLAIN_WORDS.has(before) ? [`${before} ${w}`] : []
  })
}
const PLAIN_WORDS = new Set(
  'the a an your this that of to into in on over with and or some more rest half all each first other hot warm cold soft thick thin smooth'.split(
    ' ',
  ),
)

/** Names of what a text makes: `to a soft dough`, `make the sauce`, `for the filling`. */
export function madeIn(text: string): string[] {
  const lower = unshaped(text)
  const out = new Set<string>()
  for (const m of lower.matchAll(
    /\b(?:(?:in)?to (?:make |form )?an?|make (?:the|an?)|form an?|for (?:the|an?)|until (?:you have|it (?:is|forms|makes|becomes)) an?|gives? an?|be(?:come)?s? an?) ((?:[a-z-]+ ?){1,4})/g,
  )) {
    const noun = m[1]!
      .trim()
      .split(' ')
      .map(singular)
      .find((w) => PRODUCTS.has(w))
    if (noun) out.add(noun)
  }
  return [...out]
}

/** Whether a text speaks of an ingredient by the name of its kind: `the vegetables`, `the meat`. */
export function namesKind(text: string, item: string): boolean {
  const lower = plain(text)
  if (MEATS.test(lower) && isMeat(item) && !isFish(item)) return true
  if (FISHES.test(lower) && isFish(item)) return true
  if (/\bmince\b/.test(lower) && /\b(?:minced?|ground)\b/.test(item) && isMeat(item)) return true
  const listed = item.toLowerCase()
  return CATEGORIES.some(
    ([kind, members]) =>
      kind.test(lower) && members.test(listed) && !(kind === VEGETABLES && PRESERVED.test(listed)),
  )
}
/** Out of a tin, a tube or a jar: no vegetable that is cut or fried. */
const PRESERVED =
  /\b(?:tins?|tinned|cans?|canned|jars?|pur[eé]e|paste|passata|ketchup|sauce|stock|juice|powder|dried|sun-dried|frozen)\b/

/** Words for kinds of food, as a method may call what the list has by its name. */
export const KIND_WORDS = ['cheese', 'pasta', 'rice', 'fish', 'meat', 'vegetables', 'herbs', 'nuts']
const kindsOf = (item: string) => KIND_WORDS.filter((kind) => namesKind(kind, item))

/** `While that's sitting there you chop`: a comma is missing. */
export const WHILE_YOU =
  /^((?:while|as) (?:that|it|they|this)(?:['’]s| is|['’]re| are)? [a-z]+(?: [a-z]+)?(?= (?:you|we|i) )|(?:while|as) (?:that|it|they|this|the [a-z]+)(?:['’]s| is|['’]re| are) [a-z]+ing(?= [a-z])) ((?:you|we|i) )?/i
/** `About half an hour before the stew is done, `. */
const TIMED_LEAD =
  /^(?:about |around |roughly |some )?(?:\d+(?:[.,]\d+)?|an?|half|a quarter|one|two|three|four|five|ten|fifteen|twenty|thirty|forty|forty-five)\b[a-z0-9 -]*\b(?:minutes?|hours?|min)\b[^,;]*\b(?:before|after)\b(?:[^,;]*,\s*| (?:it|they|the [a-z]+)(?: is| are|['’]s|['’]re) (?:ready|done|up|finished) | (?:the end|serving)(?: of (?:the )?[a-z]+(?: time)?)? (?=[a-z]))/i
const LEAD =
  /^(?:(?:then|now|next|finally|lastly|first|gradually|gently|carefully|slowly|immediately|just|also|afterwards|quickly|lightly|generously|last thing|last of all|and|so|right|okay|i|you|we)\b[\s,]*)+/i

/** `For the sauce, `: what it is for, and not what is taken. */
export const FOR_THE =
  /^((?:for|to make) the (?!(?:last|first|final|next|rest|remaining|whole)\b)[a-z][a-z' -]{2,30})[,:]\s+(?=[a-z])/i
/** Clauses that only say when or how far, and whose foods are not what is worked on. */
export const bareOf = (text: string) =>
  text
    .replace(FOR_THE, '')
    // `Flake the fish, keep the milk`: nothing is done to that now.
    .replace(
      /,? (?:and )?\b(?:keep|reserve|save)(?:ing)? (?:back )?(?:the )?(?:poaching |cooking )?(?:milk|liquid|liquor|stock|water)\b(?! (?:warm|hot|in)\b)/gi,
      ' ',
    )
    // `Mix the dry things except the cranberries`.
    .replace(/,? (?:except|apart from|all but|but not) (?:for )?(?:the )?[^,;.]*/gi, ' ')
    .replace(
      /,? (?:and )?(?:tip|pour|drain|spoon) (?:away|off) (?:any |all |most of )?(?:the )?(?:excess )?fat\b/gi,
      ' ',
    )
    .replace(/(?<!\b(?:lift|take|scoop) )\bfish out\b/gi, 'lift out')
    .replace(/,? (?:throwing away|discarding|binning|leaving) (?:any |all )?the [^,;.]*/gi, ' ')
    .replace(/\bthe fat (?:off|from) the (juices|liquid|stock|broth|sauce|gravy)\b/gi, 'the $1')
    .replace(/^(?:meanwhile|in the meantime|at the same time)\b[\s,:]*/i, '')
    .replace(WHILE_YOU, '')
    .replace(/^(?:while|as|before)\b[^,;:]*[,;:]\s*/i, '')
    .replace(/^(?:when|once|after|as soon as) (?:it|they|that|this)\b[^,;]*[,;]\s*/i, '')
    .replace(TIMED_LEAD, '')
    .replace(/^(?:off|away from) the heat,\s*/i, '')
    .replace(LEAD, '')
    .replace(
      /\b(?:duck|goose|bacon|chicken|beef|pork|lamb|sausage|ham|turkey|meat) (fat|dripping)\b/gi,
      '$1',
    )
    .replace(
      /\b(sink|bowl|bath|basin) (?:full )?of ice[d]? (?:cold )?water\b/gi,
      '$1 of an ice bath',
    )
    .replace(/\baccording to\b[^,;.]*/gi, ' ')
    .replace(
      /\bso (?:the [a-z]+|it|they|you) (?:do(?:es)?n['’]t|will|won['’]t|can|stays?|keeps?|do not)\b[^,;.]*/gi,
      ' ',
    )
    .replace(/\b(?:until|till|so that|to serve with|making sure)\b[^,;.]*/gi, ' ')
    .replace(/\bwhile (?:it is |they are |still )*(?:warm|hot|cold|wet)\b/gi, ' ')
    .replace(/\bwhile\b[^,;.]*/gi, ' ')
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\brice cooker\b/gi, 'cooker')
    .replace(/\b(?:oil|flour|wet|butter)(?:ed)? (?:your |the )?(?:hands|fingers)\b/gi, ' ')

/** `Half an hour before the end, stir in the beans`: into what is cooking by then. */
export const goesInLate = (text: string) => {
  const lead = TIMED_LEAD.exec(text)?.[0]
  return (
    lead !== undefined &&
    /\bbefore (?:the end|it\b|they\b|the [a-z]+ (?:is|are)\b|serving)/i.test(lead) &&
    /^(?:then )?(?:add|(?:stir|tip|put|drop|mix|fold|throw|pop|pour) in)\b/i.test(
      text.slice(lead.length),
    )
  )
}

export const beginsAnew = (text: string) =>
  /^(?:meanwhile|in the meantime|at the same time|while\b|as (?:it|they|the|that|this)\b|during this time|separately)/i.test(
    text,
  ) ||
  (TIMED_LEAD.test(text) && !goesInLate(text)) ||
  /^[a-z]+ (?:the |your )?[a-z ]{2,30} separately\b/i.test(text) ||
  FOR_THE.test(text)

/** What shaped things are made of, where a method goes on speaking of the things. */
export const MADE_OF: Record<string, string[]> = {
  pancake: ['batter', 'mixture'],
  crepe: ['batter'],
  patty: ['mixture', 'mince'],
  burger: ['mixture', 'mince'],
  meatball: ['mixture', 'mince', 'ball', 'patty'],
  ball: ['mixture', 'dough', 'mince'],
  cake: ['mixture', 'batter'],
  fishcake: ['mixture'],
  roll: ['dough'],
  bun: ['dough'],
  knot: ['dough'],
  loaf: ['dough'],
  bread: ['dough'],
  round: ['dough', 'pastry'],
  biscuit: ['dough', 'mixture'],
  cookie: ['dough', 'mixture'],
  crumb: ['coating', 'crumble'],
  case: ['pastry', 'dough', 'crust'],
  base: ['pastry', 'dough', 'crust'],
  meatloaf: ['loaf', 'mixture', 'mince'],
  custard: ['egg', 'cream', 'milk'],
  shell: ['pastry', 'dough', 'crust'],
}

/** Boxes, jars and glasses that food was put into, as they are spoken of again. */
export const PUT_INTO =
  /\b(?:in|into|between|among)\b[^.;]*?\b(boxes|tubs|jars|glasses|ramekins|pots|bags)\b/
export const SPOKEN_OF = /\b(?:the|each|every) (box|tub|jar|glass|ramekin|bag)(?:es|s)?\b/
