import { lowerFirst, upperFirst } from '../casing'
import { isMeat } from './foods'
import { foodWords, singular } from './ingredientLine'
import { VERB_OF } from './lexicon'
import { PRODUCTS } from './references'

/** `Onions and peppers in, 10 min`: things, and for how long. */
const THINGS_IN =
  /^([a-z]+(?:(?:,| &| \+)? (?!in\b)[a-z]+){0,12}) in(?:[,:]? (?:for )?(?=((?:the (?:last|final) )?\d[\d-]{0,6} ?(?:minutes?|mins?|hours?|hrs?|h|m)\b))\2|(?=[.;,]|$))/i
const LAST_MINUTES = String.raw`for the (?:last|final) (\d{1,3})(?: ?(?:minutes?|mins?))?(?=[.,;]|$)`
const IN_CHUNKS = String.raw`(?:, (?:cut )?in(?:to)? [a-z]+,)?`
/** `They go in beside the chicken for the last 50 minutes`. */
const GO_IN = new RegExp(
  String.raw`^((?:the )?[a-z]+(?: [a-z]+)?)${IN_CHUNKS} (?:can )?go(?:es)? (?:in )?(?:beside|alongside|round|around|next to) [^.;]*\b${LAST_MINUTES}`,
  'i',
)
/** `Carrots, in chunks, join them for the last 30`. */
const JOINS = new RegExp(
  String.raw`^((?:the )?[a-z]+(?: [a-z]+)?)${IN_CHUNKS} joins? ((?:the )?[a-z]+) ${LAST_MINUTES}`,
  'i',
)
const ON_TOP = /(^|, )((?:the )?[a-z]+(?: [a-z]+){0,2}) (?:on top|over(?: the top)?)(?=[,.;]|$)/gi
const ON_RACK =
  /(^|, )((?:the )?[a-z]+(?: [a-z]+)?) ((?:on|onto|in) (?:the|a) (?:[a-z]+ )?(?:rack|tray|board))(?=[,.;]|$)/gi
/** `Filling into a big dish`. */
const INTO_DISH =
  /^([a-z]+(?: [a-z]+)?) (in(?:to)? (?:an?|the) (?:[a-z-]+ ){0,3}(?:dish|tin|tray|bowl|pot|pan|casserole))\b/i
/** Words that stand for no food, and those that begin a command or what belongs to one. */
const THEY = /^(?:it|they)$/i
const NO_FOOD =
  /^(?:edges?|sides?|ends?|sit|pop|perch|make|give|get|let|it|they|them|this|that|all|once|when|while|until|as|then|and|everything)\b/i
const namesFood = (words: string) => {
  const [first = ''] = words.toLowerCase().split(/[ ,]/)
  return (!VERB_OF.has(first) || FOOD_ALONE.test(words)) && !NO_FOOD.test(words)
}
/** Foods that are commands as well, where nothing else is said. */
const FOOD_ALONE =
  /^(?:the )?(?:butter|flour|oil|cream|salt|mince|rest of the [a-z]+(?: [a-z]+)?)$/i
const the = (words: string) => `the ${lowerFirst(words.replace(/^the /i, ''))}`

/** `Garlic goes in for the last minute`. */
const GOES_IN_FOR =
  /^((?:the )?[a-z]+(?:(?:,| and| &) (?:the )?[a-z]+)*) (?:go(?:es)? in|is added|are added) for (?:(?:the )?(?:last|final) (minute|(?:couple of|few|\d+) ?(?:min(?:ute)?s?)?)|(an?other|an?|\d+) (min(?:ute)?s?))(?=[.,;]|$)/i
/** `Sweat gently for 10`, `simmer for 20-25`: minutes go without saying. */
const SOME_MINUTES =
  /(\b(?:sweat|soften|simmer|fry|cook|boil|steam|bake|roast|grill|rest|bubble|poach)\b[^.;,\d]{0,30} for (?:about |another |a further )?\d{1,2}(?:-\d{1,2})?)(?=[.,;)]|$)/gi
/** `Get a large saucepan on a medium heat with the oil in it`. */
const PAN_WITH =
  /^(?:get|put|set) (an? (?:[a-z-]+ ){0,2}(?:pan|pot|saucepan|skillet|wok|casserole)) (?:on|over) (an? (?:[a-z-]+ )?heat) with (the [a-z ]{3,30}?)(?: in(?: it)?)?(?=[.,;]|$)/i

/** `Garlic, cumin, paprika. 1 minute.`: what goes in, and for how long, as one sentence. */
export function withTheirTimes<S extends { text: string }>(
  sentences: readonly S[],
  foods: ReadonlySet<string>,
): S[] {
  return sentences.reduce<S[]>((out, s) => {
    const last = out.at(-1)
    const words = last?.text.toLowerCase().match(/[a-z]+/g) ?? []
    const listed = words.length > 0 && words.every((w) => w === 'and' || foods.has(singular(w)))
    const time = /^(?:for )?\d+(?:-\d+)? ?(?:minutes?|mins?)[.\s]*$/i.test(s.text)
    if (!last || !listed || !time) return [...out, s]
    const text = `Add ${lowerFirst(last.text.replace(/[.\s]+$/, ''))}, cook ${s.text}`
    return [...out.slice(0, -1), { ...last, text }]
  }, [])
}

/** `Toms.`, `Parmesan.`: a sentence that is nothing but food. */
const isWhole = (text: string, foods: ReadonlySet<string>) =>
  /[.!]$/.test(text.trim()) &&
  foodWords(text).length > 0 &&
  foodWords(text).every((w) => foods.has(w) || w === 'salt' || w === 'pepper') &&
  foodWords(text).some((w) => foods.has(w))

/** `Tomatoes, puree, crumbled stock cubes, 500 ml water.`: things alone, that go in. */
export function addsThings(text: string, foods: ReadonlySet<string>): string {
  const items = text.replace(/[.\s]+$/, '').split(/,\s*|\s+and\s+/)
  const isThing = (item: string) => {
    const words = item.toLowerCase().match(/[a-z]+/g) ?? []
    const bare = words.filter(
      (w) =>
        !/^(?:a|the|ml|l|g|kg|tbsp|tsp|pinch|of|some|splash|glug|remaining|rest|their|its|mugful|ladleful)$/.test(
          w,
        ),
    )
    const named = bare.filter(
      (w) => foods.has(foodWords(w)[0] ?? singular(w)) || /^(?:water|salt|pepper)$/.test(w),
    )
    return named.length > 0 && bare.every((w) => named.includes(w) || /(?:ed|en|ly)$/.test(w))
  }
  const first = text.toLowerCase().match(/[a-z]+/)?.[0] ?? ''
  // `Tomatoes + stock + rind, bring to the boil`.
  const [head, next] = [
    /^[^,.;]+/.exec(text)?.[0] ?? '',
    /^[^,.;]+, (?:and )?([a-z]+)/i.exec(text)?.[1],
  ]
  const lead = head.split(/ (?:and|\+|&) /)
  const goIn = lead.length > 1 && lead.every(isThing) && VERB_OF.has(next?.toLowerCase() ?? '')
  if (goIn && !VERB_OF.has(first)) return `Add ${lowerFirst(text)}`
  // `Wine, let reduce`.
  const [, one, then] = /^([a-z]+(?: [a-z]+)?), (let|leave|bubble|reduce)\b/i.exec(text) ?? []
  if (one && then && isThing(one) && !VERB_OF.has(first)) return `Add the ${lowerFirst(text)}`
  const listed =
    items.length < 12 && items.every(isThing) && (items.length > 2 || isWhole(text, foods))
  return listed && !VERB_OF.has(first) ? `Add ${lowerFirst(text)}` : text
}

/** What a cook says in few words, who leaves out the verbs, as commands. */
export const inCommands = (text: string): string =>
  text
    // `While the pastry is in the oven fry the bacon`: a comma is missing.
    .replace(
      /^((?:while|as) (?:the [a-z]+(?: [a-z]+)?|it|they|that|this|those) (?:is|are) (?:in|on|under) the (?:oven|hob|grill|fridge|freezer)) (?=[a-z])/i,
      '$1, ',
    )
    // `While the chicken roasts: rinse the rice`.
    .replace(/^(?:while|as|when|once) [^,:;.]{3,40}: */i, 'Meanwhile, ')
    // `Off the heat beat in the yolks`: a comma is missing.
    .replace(/^(off the heat) (?=[a-z]+ (?:in|the|through|it)\b)/i, '$1, ')
    // `Layer up: potatoes, half the meat`.
    .replace(/^(layer|build|stack)(?: up)?: */i, '$1 ')
    .replace(/^fill: */i, 'Fill with ')
    .replace(/^fill[.\s]*$/i, 'Fill with the filling')
    // `Fish out the stalks`: no fish.
    .replace(/^fish out (?=the |any )/i, 'Lift out ')
    // `It needs half an hour to settle before you cut it`.
    .replace(
      /^it (?:needs|wants) (.{3,30}?) to (settle|rest|stand|cool)\b[^.;]*/i,
      'Leave to $2 for $1',
    )
    // `Brush again, 10 more`.
    .replace(/, (\d{1,2}) more(?: min(?:ute)?s?)?(?=[.;]|$)/i, ', cook for $1 more minutes')
    // `Into tin.`
    .replace(/^into (?:the |a )?(tin|dish|tray)(s?)(?=[.;,]|$)/i, 'Put into the $1$2')
    .replace(/(^|, |\band )snip over (?:the )?(?=[a-z])/i, (_, before: string) =>
      before === '' ? 'Scatter over the snipped ' : `${before}scatter over the snipped `,
    )
    // `30 minutes, or from frozen for 1 hour 20`: of another day.
    .replace(/,? or (?:cook |bake )?(?:straight )?from (?:frozen|the freezer)\b[^.;]*/i, '')
    // `Crush in the garlic`: into the pan, as it comes from the press.
    .replace(/^(?:crush|press) in (?:the )?(?=[a-z])/i, 'Add the crushed ')
    // `Skins off the sausages`.
    .replace(/^skins? off (?:the )?(?=sausages|chicken|fish|salmon)/i, 'Skin the ')
    // `In they go with the fennel seeds`.
    .replace(
      /^in (they|it) goe?s?(?= with\b)/i,
      (_, what: string) => `Add ${/it/i.test(what) ? 'it' : 'them'}`,
    )
    // `Use to top the pie`.
    .replace(
      /^use (?:it |this |them |these )?to (?:top|cover) the (?=[a-z])/i,
      'Spread it over the ',
    )
    .replace(/(?<=[a-z]) & (?=[a-z])/gi, ' and ')
    .replace(/\bfish (it|them)\b/gi, (whole, what: string) =>
      whole.startsWith('F') ? `Lift ${what}` : `lift ${what}`,
    )
    .replace(/\b((?:stir|mix|combine|blend) the rub) together/i, '$1 ingredients together')
    .replace(/^bowl up\b/i, 'Ladle into bowls')
    .replace(/\bskin (up|down)\b/gi, 'skin-side $1')
    // `Then the milk, and let that bubble down too`.
    .replace(/^then the (?=[a-z]+(?: [a-z]+)?(?:,|$| and (?:let|leave)\b))/i, 'Then add the ')
    // `Brown in batches, adding each lot to the veg as it's done`.
    .replace(
      /,? adding each (?:lot|batch|one|panful) to the ([a-z]+(?: [a-z]+)?)(?: as (?:it|they)[^,.;]{0,20})?(?=[,.;]|$)/i,
      ', then add it to the $1',
    )
    // `Orzo in round the chicken, stock over, back in for 15`.
    .replace(
      /^([a-z]+(?: [a-z]+)?) in (round|around|beside|under|among) the (?=[a-z])/i,
      (whole, what: string, where: string) =>
        namesFood(what) ? `Add ${the(what)} ${where} the ` : whole,
    )
    .replace(
      /(^|, |\band )(?:then )?back in(?:to the oven)? for (?:another |a further )?(\d{1,3}(?:-\d{1,3})?)(?: ?(?:minutes?|mins?))?(?=[,.;]| until| till|$)/i,
      (_, before: string, minutes: string) =>
        `${before}${before === '' ? 'Return' : 'return'} to the oven, bake for ${minutes} minutes`,
    )
    // `Take the buns out an hour before baking`.
    .replace(
      /^(take the [a-z]+(?: [a-z]+)? out) (an hour|half an hour|\d+ (?:minutes|mins|hours?)) before (?:baking|cooking|roasting|frying|serving|you [a-z]+)/i,
      '$1, leave to stand for $2',
    )
    // `…, followed by the pepper - 2 mins - then the garlic for another minute`.
    .replace(/,? followed by (?=the |some )/gi, ', then add ')
    .replace(/ - (\d{1,2} ?(?:minutes?|mins?)) - then (?=the )/gi, ', cook for $1, then add ')
    .replace(
      /\b(add the [a-z]+(?: and [a-z]+)?) for (another minute|another \d+ ?(?:minutes?|mins?))/gi,
      '$1, cook for $2',
    )
    .replace(/^(?:bin|chuck out) (?=the|it|them)/i, 'Discard ')
    // `Season, tear in the basil`: no cut on a board.
    .replace(/(?<=, |\band )tear in (?:the |some )?(?=[a-z])/i, 'add the torn ')
    // `Butter in with the leeks and celery`.
    .replace(/^([a-z]+(?: [a-z]+)?) in with (?=(?:the|an?|some) )/i, (whole, what: string) =>
      namesFood(what) ? `Add ${the(what)}, ` : whole,
    )
    // `Sweat gently for 10.`
    .replace(SOME_MINUTES, '$1 minutes')
    // `Beans, tomatoes, chipotle in.`, `Garlic and spices in, 1 min`.
    .replace(THINGS_IN, (whole, what: string, time: string | undefined) =>
      namesFood(what) &&
      !/\bgo(?:es)?$/i.test(what) &&
      !what.split(/[, &+]+/).some((w) => VERB_OF.has(w) && !FOOD_ALONE.test(w))
        ? `Add ${lowerFirst(what)}${time === undefined ? '' : `, cook for ${time.replace(/^the (?:last|final) /i, '')}`}`
        : whole,
    )
    .replace(GO_IN, (whole, what: string, minutes: string) =>
      THEY.test(what) || namesFood(what)
        ? `Cook ${THEY.test(what) ? 'them' : the(what)} alongside for ${minutes} minutes`
        : whole,
    )
    .replace(JOINS, (whole, what: string, others: string, minutes: string) =>
      namesFood(what)
        ? `Cook ${the(what)} with ${others.toLowerCase()} for the last ${minutes} minutes`
        : whole,
    )
    .replace(PAN_WITH, 'Heat $3 in $1 over $2')
    .replace(GOES_IN_FOR, (whole, what: string, last?: string, many?: string) => {
      if (!namesFood(what)) return whole
      const count =
        Number.parseInt(last ?? many ?? '') || (/^(?:couple|few)/i.test(last ?? '') ? 2 : 1)
      // `Plums go in for the last 25 minutes` of a roast: they cook along.
      if (last !== undefined && count > 4) return `Add ${the(what)} for the last ${count} minutes`
      return `Add ${the(what)}, cook for ${count} ${count === 1 ? 'minute' : 'minutes'}`
    })
    // `In go the tomatoes`, `half a tin of water too`.
    .replace(/^in go(?:es)? (?=the |some |all |\d)/i, 'Add ')
    .replace(/^((?:half |a |\d)[^,.;]{3,40}) too(?=[.;]|$)/i, (whole, what: string) =>
      namesFood(what) ? `Add ${lowerFirst(what)}` : whole,
    )
    .replace(/^(?:in(?:to)? the )?fridge(?=[.;]|$)/i, 'Put in the fridge')
    .replace(/^assembly line[:,-]? /i, 'Assemble with ')
    // `Into the big pot with 1 l water`, `ghee hot in a small pan`, `spices into dal`.
    .replace(
      /^((?:straight )?into) (?=(?:the|a) [a-z ]{0,20}(?:pot|pan|saucepan|casserole|bowl)\b)/i,
      (_, into: string) => `Put ${into.toLowerCase()} `,
    )
    .replace(/^([a-z]+(?: [a-z]+)?) hot in (?=(?:an?|the|small|large|big)\b)/i, 'Heat the $1 in ')
    // `Beans into the curry for the last 4 minutes`.
    .replace(
      /^((?:the )?[a-z]+(?: [a-z]+)?) (?:go )?into the ([a-z]+) for the (?:last|final) (?=\d)/i,
      (whole, what: string, where: string) =>
        namesFood(what) ? `Cook ${the(what)} in the ${where} for the last ` : whole,
    )
    .replace(
      /^([a-z]+(?: [a-z]+)?) into (?:the )?(?=[a-z]+(?: with\b|[.;,]|$))/i,
      (whole, what: string) => (namesFood(what) ? `Stir ${the(what)} into the ` : whole),
    )
    // `Rack on top of the tin, lamb on the rack`.
    .replace(ON_RACK, (whole, before: string, what: string, where: string) => {
      if (!namesFood(what)) return whole
      return `${before}${before === '' ? 'Put' : 'put'} ${the(what)} ${where}`
    })
    // `Filling into a big dish, mash on top, cheese over`.
    .replace(INTO_DISH, (whole, what: string, where: string) =>
      namesFood(what) ? `Put ${the(what)} ${where}` : whole,
    )
    .replace(ON_TOP, (whole, before: string, what: string) => {
      const made = PRODUCTS.has(what.toLowerCase())
      if (!made && !namesFood(what)) return whole
      const pours = /\b(?:stock|broth|sauce|cream|milk|gravy|water|wine|passata|dressing)$/i.test(
        what,
      )
      if (isMeat(what))
        return before === '' ? `Put ${the(what)} on top` : `${before}put ${the(what)} on top`
      const command = `${made ? 'spread' : pours ? 'pour' : 'scatter'} over ${the(what)}`
      return before === '' ? upperFirst(command) : `${before}${command}`
    })
    // `Off the heat: chocolate, chopped coriander.`
    .replace(/^(off the heat)\s*[:,-]\s*(?=([a-z]+))/i, (whole, off: string, first: string) =>
      VERB_OF.has(first.toLowerCase()) ? whole : `${off}, add `,
    )
    .replace(/(?<=[a-z]) \+ (?=[a-z])/gi, ' and ')
    // `Whisk dry in a large bowl`, `pour wet into dry`.
    .replace(
      /^(whisk|mix|stir|combine) (?:the )?(dry|wet)(?= in\b|[.;,]|$)/i,
      '$1 the $2 ingredients',
    )
    .replace(/^(?:pour|tip|stir|mix) (?:the )?(wet|dry) into (?:the )?(wet|dry)\b/i, '$1 into $2')
    // `Wet into dry`.
    .replace(
      /^(?:the )?(wet|dry) into (?:the )?(wet|dry)\b/i,
      (_, what: string, into: string) =>
        `Stir the ${what.toLowerCase()} into the ${into.toLowerCase()}`,
    )
    .replace(/\bthe (dry|wet) (?:stuff|things|bits)\b/gi, 'the $1 ingredients')
