import { lowerFirst, upperFirst } from '../casing'
import { inCommands } from './fewWords'
import { inParts, withVerbs } from './leftOut'
import { singular } from './ingredientLine'

/** Stands for a full stop that ends no sentence. */
const GUARD = '\ue000'
const GUARDED = /\ue000/g

/** A method's sentences, without numbering, headings and empty lines. */
export function sentencesOf(method: string): string[] {
  const out: string[] = []
  for (const raw of method.split(/\r?\n|\s(?=[①-⑳❶-❿➀-➓])/)) {
    const line = raw
      .replace(/^[\s>#*•·▢☐□◦–—-]+/, '')
      .replace(/^[①-⑳❶-❿➀-➓]\s*/, '')
      .replace(/^\(?[a-h]\)\s+/i, '')
      .replace(
        /^(?:[Ss]tep\s*|STEP\s*)?\(?\d{1,2}(?:\s*[-.):|]\s+|\s*[.):]\s*(?=[A-Z])|\s+(?=[A-Z]))/,
        '',
      )
      .replace(/^step\s+(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten)\s*[:.-]?\s*/i, '')
      .replace(/^\*\*(.+?)\*\*:?\s*/, '$1 ')
      // `(Can be frozen at this stage. Defrost before baking.)`: of another day.
      .replace(/\((?:you )?(?:it )?can (?:be )?(?:frozen|freeze|made|make)[^()]*\)/gi, '')
      .trim()
    if (!line || isHeading(line)) continue
    // `Whisk the dry stuff in one bowl and the wet in another`: two things to do.
    const twoBowls = inParts(line).replace(
      /\b(\w+) (?:all )?the (dry|wet)(?: (?:stuff|things|bits|ingredients|mix))?( in (?:one|a) (?:[a-z]+ )?bowl),? (?:and )?the (dry|wet)(?: [a-z]+)? in (?:another|a second)(?: (?:bowl|jug))?/gi,
      (_, verb: string, one: string, where: string, other: string) =>
        `${verb} the ${one} ingredients${where}. ${upperFirst(verb)} the ${other} ingredients in another bowl`,
    )
    // A stop ends a sentence where a capital follows; abbreviations do not.
    const guarded = twoBowls.replace(
      /\b([Aa]pprox|[Mm]ins?|[Hh]rs?|[Ss]ecs?|tsps?|[Tt]bsps?|oz|lb|deg|e\.g|i\.e|no)\.(?=\s+[a-z0-9(])/g,
      `$1${GUARD}`,
    )
    for (const part of (isLowerCase(line) ? inLowerCase(twoBowls) : guarded).split(SENTENCE)) {
      const sentence = unlabelled(part)
        .replace(GUARDED, '.')
        .replace(/\s&\s/g, ' and ')
        .replace(/\bw\/o (?=[a-z])/gi, 'without ')
        .replace(/\bw\/ ?(?=[a-z\d])/gi, 'with ')
        .replace(/\bbp\b/g, 'baking powder')
        .replace(/^(?:with|using) (?:\w+ )?hands,? (?=[a-z])/i, '')
        .replace(/\s+/g, ' ')
        .trim()
      if (/[a-z]/i.test(sentence)) out.push(sentence)
    }
  }
  return out
}

const SENTENCE = /(?<=[.!?])["')]*\s+(?=["'(]?[A-Z0-9])|(?<=[!?;])\s+/
/** A line by somebody who writes no capitals. */
const isLowerCase = (line: string) => /^[a-z\d]/.test(line) && !/[.!?] +[A-Z]/.test(line)
/** Its sentences with capitals; `1 min. tomatoes` ends one, `5 min. until soft` does not. */
const inLowerCase = (line: string) =>
  line
    .replace(
      /\b(approx|tsps?|tbsps?|oz|lb|deg|e\.g|i\.e|no)\.(?=\s+[a-z0-9(])|\b(mins?|hrs?|secs?)\.(?=\s+(?:until|till?|or|more|each|per|on|over|at|in|then|with|and)\b)/gi,
      (whole) => `${whole.slice(0, -1)}${GUARD}`,
    )
    .replace(/(?<=[.!?] )[a-z]/g, (letter) => letter.toUpperCase())

/** `White sauce: melt the butter` without what stands before the colon. */
const unlabelled = (part: string) =>
  part.replace(
    /^(?!Off the heat|Layer|Build|Stack|Fill|While|As|When|Once|After)[A-Z][A-Za-z' -]{2,32}:\s+(?=[a-zA-Z]{3})/,
    '',
  )

/** `For the sauce:` and the like: names a part and says nothing to do. */
export const isHeading = (line: string) =>
  /^(?:for (?:the|a) [^.]{2,40}|(?:to )?(?:serve|finish|assemble|make(?: the)? [a-z ]{2,30})|(?:the )?(?:method|directions|instructions|preparation|steps|ingredients|notes?|topping|sauce|filling|base|dough|marinade|dressing|glaze))\s*:$/i.test(
    line.trim(),
  ) || /^(?:[A-Z][A-Za-z ]{2,30}(?: \([^)]{1,30}\))?|[a-z]{3,}(?: [a-z]+)?):$/.test(line.trim())

/** `Onions 10 mins, then cumin and garlic 2 mins, tomatoes 5`: each put in in its turn. */
export function inTurns(text: string, foods: ReadonlySet<string>): string {
  let last = 0
  return text.replace(
    /([,;:]) (?:then )?((?:[a-z]+(?:,? and |, | )){0,4}?[a-z]+),?(?: for)? (\d+(?:-\d+)?) ?(mins?|minutes)\b/gi,
    (whole, mark: string, names: string, many: string, unit: string, at: number) => {
      const words = names.split(/,? and |, | /).map(singular)
      if (!words.every((w) => foods.has(w))) return whole
      // `Soften the onion, carrots and celery for 10 minutes`: a list, and one time for all of it.
      if (mark === ',' && !/\d ?(?:mins?|minutes|hours?)\b|\bthen\b/i.test(text.slice(0, at + 8)))
        return whole
      const first = last === 0 && at >= 0 && mark === ':'
      last = at + 1
      return first
        ? `: cook ${names} for ${many} ${unit}`
        : `, then add ${names} and cook for ${many} ${unit}`
    },
  )
}

/** `In the same pan boil the eggs for 9 minutes`: the place stands before what is done. */
const PLACE_FIRST =
  /^(in (?:the same|that|a|an|another|the) (?:[a-z-]+ ){0,3}?(?:pan|pot|saucepan|skillet|bowl|wok|casserole|cocotte|jug)) ((?!with\b|and\b|of\b|over\b|on\b|until\b|for\b)[a-z]+) ((?:the|a|an|your|some|half|all|it|them|\d+)(?: [^,.;]*?)?)(?= for \d|,|;|\.| and |$)/i

/** `In a small bowl whisk soy sauce, sugar and lime juice`. */
const BOWL_FIRST =
  /^(in an? (?:[a-z-]+ ){0,3}(?:bowl|jug)),? (whisk|mix|combine|stir|beat|toss|soak) ([^.;]+)/i

/** `The meat goes in boxes in the fridge` as a command. */
export const asCommand = (text: string) =>
  inCommands(withVerbs(text))
    // `Prove for 45 minutes, heating the oven to 220C towards the end`.
    .replace(
      /,? (?:and |while )?(?:pre-?)?heating (the oven to \d[^,.;]*?)(?: (?:towards|at|near) the end| meanwhile| in the meantime)?(?=[.,;]|$)/i,
      ', then heat $1',
    )
    .replace(
      PLACE_FIRST,
      (_, place: string, verb: string, what: string) => `${verb} ${what} ${lowerFirst(place)}`,
    )
    .replace(
      BOWL_FIRST,
      (_, place: string, verb: string, what: string) =>
        `${upperFirst(verb)} ${what.trim()} ${lowerFirst(place)}`,
    )
    // `Bake at 180 °C for 30 minutes, then at 160 for another 30`.
    .replace(
      /\b(bake|roast|cook)\b([^.;]*?\d[^.;]*?),? (?:and )?then (?=(?:at )?\d{2,3}\s?(?:°\s?)?c?\b[^.;]*\bfor\b)/i,
      (_, verb: string, first: string) => `${verb}${first}, then ${verb.toLowerCase()} `,
    )
    // `Lowest heat 12 minutes, then off the heat 10 minutes`.
    .replace(
      /(,? (?:and )?then off the heat(?: for)? \d{1,2})(?= without| with |[,.;]|$)/i,
      '$1 minutes',
    )
    .replace(
      /,? (?:and )?then (off the heat)(?: for)? (?=(?:about |another )?\d+ ?(?:min|hour|m\b|h\b))/i,
      ', then leave $1 for ',
    )
    // `Mash half the beans, leave the rest whole`.
    .replace(
      /,? (?:and |but )?leav(?:e|ing) (?:the rest|some|the others?) (?:whole|as (?:it is|they are)|chunky)(?=[.,;]|$)/i,
      '',
    )
    // `Cook on the hob for 4 minutes, then into the oven for 12`.
    .replace(
      /,? (?:and )?then (?:straight )?(into|under) (the (?:hot |preheated )?(?:oven|grill)) for (?=(?:about |another )?\d)/i,
      ', then put $1 $2 for ',
    )
    // `10 minutes in the tin, then turn out onto a rack till cold`.
    .replace(
      /(,? (?:and )?then (?:turn|tip|lift) (?:it |them )?out[^.;,]*?) (?:till|until) (?:completely |quite )?(?:cold|cool)(?=[.,;]|$)/i,
      '$1, leave until cold',
    )
    .replace(/,? (?:and )?then (on|onto) (a (?:wire |cooling )?rack)\b/i, ', then move $1 $2')
    // `25 minutes at high pressure, natural release 15 minutes`.
    .replace(
      /,? (?:and |then |with )*(?:a )?natural(?:ly)?(?: pressure)? release(?: for| of)? (?=(?:about |another )?\d+ ?m)/i,
      ', then let the pressure fall for ',
    )
    // `Then straight into iced water`.
    .replace(
      /,? (?:and )?then (?:straight )?(?=into (?:a bowl of )?(?:iced?|ice-cold|cold) water)/i,
      ', then plunge ',
    )
    .replace(
      /^the ([a-z ]{3,30}?) (?:goes?|can go|should go) (?=(?:straight )?in(?:to)? (?:[a-z0-9]+ ){0,3}(?:box|tub|bag|jar|container|fridge|freezer))/i,
      'Pack the $1 ',
    )
