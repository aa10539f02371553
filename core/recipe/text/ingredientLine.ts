import { convert } from 'convert'
import type { Unit } from '../../quantity'
import { isMeat } from './foods'
import { plain } from './plain'

/** One line of a list of ingredients, taken apart. */
export interface IngredientRead {
  id: string
  item: string
  /** In `unit`; 0 where the line states none. */
  amount: number
  unit: Unit
  /** What is counted of it: `cloves`, `sprigs`. */
  counted?: string
  /** What is done to it before it goes in: `finely chopped`. */
  preparation?: string
  /** The line as it stood there. */
  text: string
  doubts: string[]
  /** A word that stands where a unit would and is none that is known. */
  unknownUnit?: string
  /** What it is bought in, where the line says so. */
  pack?: { amount: number; unit: 'g' | 'kg' | 'ml' | 'l' }
  /** What could stand in for it. */
  instead?: string
  /** The line says that it can be left out. */
  optional?: true
  /** The heading that it stands under: `For the sauce`. */
  group?: string
}

/** A US cup in ml, and what fills it in grams, by usual kitchen tables. */
const CUP = 240
const CUP_GRAMS: [RegExp, number][] = [
  [/\b(?:plain|all-purpose|self-raising|wholemeal|bread|strong)?\s*flour\b/, 125],
  [/\bbrown sugar\b/, 200],
  [/\bicing sugar|powdered sugar\b/, 120],
  [/\bsugar\b/, 200],
  [/\bbutter\b/, 225],
  [/\boats\b/, 90],
  [/\b(?:rice|lentils|split peas|barley|bulgur|quinoa|couscous)\b/, 185],
  [/\b(?:breadcrumbs|crumbs)\b/, 110],
  [/\b(?:cheddar|cheese|parmesan)\b/, 100],
  [/\b(?:raisins|sultanas|currants|dates|dried fruit)\b/, 150],
  [/\b(?:nuts|almonds|walnuts|pecans|hazelnuts)\b/, 120],
  [/\b(?:peas|sweetcorn|corn|beans|chickpeas)\b/, 150],
  [/\bcocoa\b/, 85],
  [/\bhoney|syrup|molasses|treacle\b/, 330],
]

interface Measure {
  unit: Unit
  factor: number
  cup?: true
}
const mass = (unit: 'oz' | 'lb'): Measure => ({ unit: 'g', factor: convert(1, unit).to('g') })
const MEASURES: [RegExp, Measure][] = [
  [/^(?:kg|kgs|kilos?|kilogram(?:me)?s?)$/, { unit: 'kg', factor: 1 }],
  [/^(?:g|gr|gm|gms|grams?|grammes?)$/, { unit: 'g', factor: 1 }],
  [/^(?:mg)$/, { unit: 'g', factor: 0.001 }],
  [/^(?:ml|mls|millilit(?:er|re)s?)$/, { unit: 'ml', factor: 1 }],
  [/^(?:cl)$/, { unit: 'ml', factor: 10 }],
  [/^(?:dl)$/, { unit: 'ml', factor: 100 }],
  [/^(?:l|lit(?:er|re)s?|ltrs?)$/, { unit: 'l', factor: 1 }],
  [/^(?:tsps?|teaspoons?|teaspoonfuls?)$/, { unit: 'tsp', factor: 1 }],
  [/^(?:tbsps?|tbs|tablespoons?|tablespoonfuls?)$/, { unit: 'tbsp', factor: 1 }],
  [/^(?:dsp|dessertspoons?)$/, { unit: 'tsp', factor: 2 }],
  [/^(?:oz|ozs|ounces?)$/, mass('oz')],
  [/^(?:lb|lbs|pounds?)$/, mass('lb')],
  [/^(?:fl\.? ?oz|fluid ounces?)$/, { unit: 'ml', factor: 29.57 }],
  [/^(?:cups?|cupfuls?)$/, { unit: 'ml', factor: CUP, cup: true }],
  [/^(?:pints?|pts?)$/, { unit: 'ml', factor: 568 }],
  [/^(?:quarts?|qts?)$/, { unit: 'ml', factor: 946 }],
  [/^(?:sticks?)$/, { unit: 'g', factor: 113 }],
  [/^(?:pinch(?:es)?|dash(?:es)?)$/, { unit: 'pinch', factor: 1 }],
]

const NUMBER = String.raw`\d+(?:[.,]\d+)?`
/** Words for measures. */
export const UNIT_WORDS =
  'kilogram(?:me)?s?|kilos?|kgs?|gram(?:me)?s?|gms?|gr|mg|millilit(?:er|re)s?|mls?|cl|dl|lit(?:er|re)s?|ltrs?|teaspoon(?:ful)?s?|tsps?|tablespoon(?:ful)?s?|tbsps?|tbs|dessertspoons?|dsp|fl\\.? ?oz|fluid ounces?|ounces?|ozs?|pounds?|lbs?|cup(?:ful)?s?|pints?|pts?|quarts?|qts?|sticks?|pinch(?:es)?|dash(?:es)?|g|l'
const AMOUNT = new RegExp(
  `^(?:about |approx\\.? |around |roughly |a generous |a heaped |heaped |level |rounded |scant )?(${NUMBER})(?:\\s*(?:-|to|or)\\s*(${NUMBER}))?\\s*-?\\s*(?:(?:heaped|level|rounded|generous|scant)\\s+)?(?:(${UNIT_WORDS})\\b\\.?)?`,
)
/** `2 tins (400 g each) `: the size behind the tins. */
const SIZED = new RegExp(
  `^(${NUMBER})\\s+(?:tins?|cans?|packs?|packets?|jars?|bags?|cartons?|bottles?|tubs?|blocks?|boxes|box)\\s*\\(\\s*(${NUMBER})\\s*-?\\s*(${UNIT_WORDS})\\b\\.?(?: each)?\\s*\\)`,
)
/** `2 x 400 g tins`, `1 (14 oz) can`, `2 400g tins`. */
const PACKS = new RegExp(
  `^(${NUMBER})(?:\\s*(?:x|×|\\*)\\s*|\\s+)\\(?\\s*(${NUMBER})\\s*-?\\s*(${UNIT_WORDS})\\b\\.?\\s*\\)?\\s*(?:tins?|cans?|packs?|packets?|jars?|bags?|cartons?|bottles?|tubs?|blocks?|boxes|box|pieces?)?\\b`,
)
/** Words for what is counted, of whatever size. */
export const COUNTS =
  'cloves?|nests?|sprigs?|stalks?|sticks?|heads?|bulbs?|bunch(?:es)?|handfuls?|slices?|rashers?|leaves|leaf|tins?|cans?|jars?|packets?|packs?|cubes?|fillets?|knobs?|thumbs?|pieces?|ears?|drops?|sheets?|sachets?|glugs?|drizzles?|splash(?:es)?|spoonfuls?|bags?(?= of)|bottles?|glass(?:es)?|punnets?'
const COUNT_WORDS = new RegExp(String.raw`^(?:${COUNTS})\b\s*`)
/** Meat and fish out of a tin is cooked. */
const TINNED = /\b(?:tins?|cans?|canned)\b/i
/** Words for what is counted that say how much it is. */
const COUNTED =
  /^(?:cloves?|sprigs?|stalks?|sticks?|heads?|bulbs?|bunch(?:es)?|handfuls?|slices?|rashers?|knobs?|thumbs?|glugs?|splash(?:es)?|tins?|cans?|jars?|packets?|packs?|sachets?)\b/
/** `1 tin tomatoes (400 g)`: the size behind what is in it. */
const SIZE_BEHIND = new RegExp(`\\(\\s*(?:about )?(${NUMBER})\\s*(g|kg|ml|l)(?: each)?\\s*\\)`)
const PACKED = /^(?:tin|can|jar|packet|pack)/
const PREPARATION =
  /\b(?:(?:very |finely|roughly|thinly|thickly|coarsely|freshly|lightly|well|halved and|peeled and|cored and)\s+)*(?:chopped|sliced|diced|cubed|minced|grated|crushed|peeled|cored|deseeded|halved|quartered|shredded|melted|softened|beaten|sifted|drained|rinsed|washed|trimmed|torn|zested|juiced|cut|toasted|ground|mashed|flaked|bashed|picked|soaked|defrosted|thawed|separated|at room temperature|to taste|to serve|for frying|for greasing|for dusting|for brushing|plus extra|skin on|skinned|boned|in chunks|into .+)\b/

const PREPARED_LAST =
  /(?<=[a-z]{3}) (?:(?:very )?(?:finely|roughly|thinly|thickly|coarsely|well) )?(?:chopped|sliced|diced|cubed|grated|crushed|peeled|halved|quartered|shredded|torn|trimmed|deseeded)$/
/** `(½ of a 400 g pack)`, `(2 packs of 400 g)`: how we write it ourselves. */
const OF_PACKS =
  /\s*\((?:[\d¼½¾⅓⅔. ]+ )?(?:of an? |packs? of |pack of )(\d+(?:[.,]\d+)?) ?(kg|g|ml|l)(?: packs?)?\)/
const STAND_IN = /[;,]\s*or (?!to taste)(?:use |else )?(.{3,})$/i

const OPTIONAL =
  /\s*(?:\((?:optional|if you like|if liked)\)|,\s*(?:optional|if you like|if liked)\b|\s+if you have (?:one|some|any|it|them)$|\s-\s*optional\b)|^optional:\s*/i

/** The line taken apart; what cannot be told is marked. Amounts come out metric. */
export function readIngredientLine(text: string): Omit<IngredientRead, 'id'> {
  const optional = OPTIONAL.test(text)
  const line = optional ? text.replace(OPTIONAL, '') : text
  const instead = STAND_IN.exec(line)
  const rest = instead ? line.slice(0, instead.index) : line
  const written = OF_PACKS.exec(rest)
  const read = readWithout(written ? rest.replace(OF_PACKS, '') : rest)
  return {
    ...read,
    text: shownLine(text),
    ...(written
      ? { pack: { amount: num(written[1]!), unit: written[2] as 'g' | 'kg' | 'ml' | 'l' } }
      : {}),
    ...(instead ? { instead: instead[1]!.trim() } : {}),
    ...(optional ? { optional } : {}),
  }
}

const shownLine = (text: string) =>
  text
    .replace(/^[\s\-–—•*·▢☐□◦]+/, '')
    .replace(/\s+/g, ' ')
    .trim()

function readWithout(text: string): Omit<IngredientRead, 'id'> {
  const shown = shownLine(text)
  const doubts: string[] = []
  let line = plain(shown)
    // `2 x 145 g tins tuna in spring water`: what it lies in.
    .replace(
      /^(.*\b(?:tins?|cans?|jars?)\b.*[a-z]) (in (?:spring water|brine|(?:olive |sunflower )?oil|water|tomato sauce))\b/,
      '$1, $2',
    )
    // `2 tbsp instant coffee dissolved in 1 tbsp boiling water`: how it goes in.
    .replace(
      /(?<=[a-z]) (?:dissolved |mixed |stirred |made up )?(in (?:\d[\d.]* ?(?:tbsp|tsp|ml) )(?:of )?(?:[a-z]+ )?water)\b/,
      ', dissolved $1',
    )
    // `Rabbit jointed by the butcher`: bought so.
    .replace(
      /,? (?:jointed|boned|cut up|portioned|prepared|skinned)(?: and [a-z]+)? by (?:the|your|a) butcher\b/,
      '',
    )
    // `A 2.5 kg piece of brisket`, `plus 150 g berries`.
    .replace(/^(?:plus|and|also|an?) (?=\d)/, '')
    .replace(/^(?:an? )?few (sprigs|stalks|leaves|slices|cloves|rashers|pieces) (?:of )?/, '3 $1 ')
    .replace(/^(?:an? )?few (?=[a-z]+ (?:leaves|sprigs|stalks)\b)/, '3 ')
    // `Few shakes Worcestershire sauce`.
    .replace(
      /^(?:an? )?(?:few |good )?(?:shakes?|drops|dashes|grinds?|drizzle|slosh|glugs?|squeeze) (?:of )?(?=[a-z])/,
      '',
    )
    .replace(
      /^(\d+(?:\.\d+)? ?(?:kg|g|lbs?|oz)) (?:piece|slab|chunk|joint|block) (?:of )?(?=[a-z])/,
      '$1 ',
    )
    .replace(
      /^(\d+ ?(?:ml|g|l)) (?:tins?|cans?|cartons?|jars?|bottles?|packs?|packets?) (?:of )?(?=[a-z])/,
      '$1 ',
    )
    .replace(
      /^(?:a|an) (?=(?:good |large |small |big |generous )?(?:handful|bunch|knob|pinch|dash|splash|drizzle|tin|can|jar|sprig|thumb|few|little|bit|whole|tablespoon|teaspoon|cup|pint)\b)/,
      '1 ',
    )
    .replace(
      /^(?:good |large |small |big |generous )?(?=(?:pinch|handful|bunch|knob|thumb|nest|sprig|stick|head|bulb) )/,
      '1 ',
    )
    // `A nest of noodles per person`: multiplied where it is known for how many.
    .replace(/ (?:per|for each) (?:person|eater|head)\b/, '')
    .replace(
      /^(?:the )?(?:zest and juice|juice and zest|juice|zest|grated zest) of (?:an? |(\d+(?:\.\d+)?) )?/,
      (_, n: string | undefined) => `${n ?? 1} `,
    )
    .replace(
      /^(?:zest and juice|juice and zest|juice|(?:finely )?(?:grated )?zest) (?=\d|half|an? )(?:an? )?(\d+(?:\.\d+)? )?/,
      (_, n: string | undefined) => n ?? '1 ',
    )
    .replace(
      /^(?:the )?(bones?|carcass(?:es)?) (?:of|from) (?:an? |the |(\d+(?:\.\d+)?) )?([a-z]+)/,
      (_, part: string, n: string | undefined, of: string) => `${n ?? 1} ${singular(of)} ${part}`,
    )
    .replace(/^half (?:an? )?/, '0.5 ')
    .replace(/^(?:an?) (?=[a-z])/, '1 ')
  let amount = 0
  let unit: Unit = 'piece'
  let pack: IngredientRead['pack']
  const packs = SIZED.exec(line) ?? PACKS.exec(line)
  const simple = AMOUNT.exec(line)
  if (packs && !/^\d+(?:\.\d+)?\s*-/.test(line)) {
    const measure = measureOf(packs[3]!)!
    amount = num(packs[1]!) * num(packs[2]!) * measure.factor
    unit = measure.unit
    if (unit === 'g' || unit === 'kg' || unit === 'ml' || unit === 'l')
      pack = { amount: Math.round(num(packs[2]!) * measure.factor * 100) / 100, unit }
    line = line.slice(packs[0].length)
  } else if (simple) {
    const low = num(simple[1]!)
    const high = simple[2] === undefined ? low : num(simple[2])
    if (high > low) doubts.push(`${simple[1]} to ${simple[2]} is stated: the larger is taken`)
    amount = Math.max(low, high)
    const butter = /^\s*(?:of )?(?:unsalted |salted |cold |soft )?(?:butter|margarine)/.test(
      line.slice(simple[0].length),
    )
    const stick = simple[3] !== undefined && /^sticks?$/.test(simple[3]) && !butter
    const measure = simple[3] === undefined || stick ? undefined : measureOf(simple[3])
    // `2 sticks celery`: counted, and no butter.
    line = `${stick ? simple[3] : ''}${line.slice(simple[0].length)}`
    if (measure) {
      // 500 g / 1 lb 2 oz, 1 cup (190 g): one amount said twice, the metric one counts.
      const metric = new RegExp(
        `^\\s*(?:\\+\\s*)?[/(,]?\\s*(?:about |approx\\.? )?(${NUMBER})\\s*(kg|g|ml|l)\\b\\.?\\)?`,
      ).exec(line)
      const american = /^(?:oz|lb|pound|ounce|cup|stick|fl|quart|pint)/.test(simple[3]!)
      if (metric && american) {
        const m = measureOf(metric[2]!)!
        amount = num(metric[1]!) * m.factor
        unit = m.unit
        line = line.slice(metric[0].length)
      } else {
        const ounces = /^\s*(\d+(?:\.\d+)?)\s*(?:oz|ounces?)\b\.?/.exec(line)
        if (ounces && /^(?:lb|pound)/.test(simple[3]!)) {
          amount += num(ounces[1]!) / 16
          line = line.slice(ounces[0].length)
        }
        ;({ amount, unit } = inMetric(amount, measure, line, doubts))
        line = line.replace(
          new RegExp(
            `^\\s*[/(]\\s*(?:about |approx\\.? )?${NUMBER}(?:\\s*-\\s*${NUMBER})?\\s*(?:${UNIT_WORDS})\\b\\.?(?:\\s*${NUMBER}\\s*(?:${UNIT_WORDS})\\b\\.?)?\\s*\\)?`,
          ),
          '',
        )
      }
    }
    line = line.replace(/^\s*of\b/, '')
  } else doubts.push('no amount is stated')
  line = line.replace(/^[\s,.)]+/, '')
  // `7 g sachet dried yeast`: weighed, in what it comes in.
  if (unit !== 'piece') line = line.replace(/^(?:sachets?|packets?) (?:of )?/, '')
  // `4 cloves`: the spice, and not cloves of something.
  const counted = /^cloves?\s*(?:$|[,(])/.test(line) ? null : COUNT_WORDS.exec(line)
  if (counted && unit === 'piece') line = line.slice(counted[0].length).replace(/^of /, '')
  let counts = counted && unit === 'piece' ? COUNTED.exec(counted[0])?.[0] : undefined
  const behind = counts && PACKED.test(counts) ? SIZE_BEHIND.exec(line) : null
  if (behind) {
    const size = num(behind[1]!)
    unit = behind[2] as 'g' | 'kg' | 'ml' | 'l'
    pack = { amount: size, unit }
    amount *= size
    line = line.replace(behind[0], ' ')
    counts = undefined
  }
  const strange = unit === 'piece' && amount > 0 ? /^([a-z]+) of /.exec(line)?.[1] : undefined
  if (strange) doubts.push(`"${strange}" is not a unit that is known: counted as pieces`)
  let preparation: string | undefined
  const comma = /^(.*?)(?:,|;| - )\s*(.+)$/.exec(line.replace(/\s*\(([^)]*)\)/g, ', $1'))
  if (comma) {
    line = comma[1]!
    preparation = comma[2]!
  } else {
    const m = PREPARATION.exec(line)
    if (m && m.index > 0 && /^(?:to |for |at |plus|cut|in )/.test(m[0])) {
      preparation = line.slice(m.index)
      line = line.slice(0, m.index)
    } else if (m && m.index > 0 && PREPARED_LAST.test(line)) {
      // `100 g almonds roughly chopped`.
      const at = line.search(PREPARED_LAST)
      preparation = line.slice(at + 1)
      line = line.slice(0, at)
    } else if (m?.index === 0 && !/^(?:ground|soaked|minced|crushed|toasted)\b/.test(m[0])) {
      preparation = m[0]
      line = line.slice(m[0].length)
    }
  }
  const named = tidy(line) || tidy(shown.toLowerCase())
  // `2 cans tuna`: cooked in its can.
  const cooked = isMeat(named) || /\bkidney beans\b/.test(named)
  const item =
    TINNED.test(shown) && cooked && !TINNED.test(named) && !/\btinned\b/.test(named)
      ? `tinned ${named}`
      : named
  const prepared = preparation && tidy(preparation)
  return {
    item,
    amount: Math.round(amount * 100) / 100,
    unit,
    ...(counts ? { counted: counts } : {}),
    ...(prepared ? { preparation: prepared } : {}),
    text: shown,
    doubts,
    ...(strange ? { unknownUnit: strange } : {}),
    ...(pack ? { pack } : {}),
  }
}

function inMetric(
  amount: number,
  measure: Measure,
  rest: string,
  doubts: string[],
): { amount: number; unit: Unit } {
  if (!measure.cup)
    return { amount: Math.round(amount * measure.factor * 100) / 100, unit: measure.unit }
  const solid = CUP_GRAMS.find(([pattern]) => pattern.test(rest))
  if (!solid) return { amount: Math.round(amount * CUP), unit: 'ml' }
  doubts.push(`a cup of it is taken as ${solid[1]} g`)
  return { amount: Math.round(amount * solid[1]), unit: 'g' }
}

const measureOf = (word: string) =>
  MEASURES.find(([pattern]) => pattern.test(word.replace(/\.$/, '')))?.[1]
const num = (text: string) => Number(text.replace(',', '.'))
const tidy = (text: string) =>
  text
    .replace(/\([^)]*\)/g, ' ')
    .replace(/[()]/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,.;:-]+|[\s,.;:-]+$/g, '')
    .replace(/^(?:of|the) /, '')

/** The words by which a method may call an ingredient: its nouns, singular. */
export const namesOf = (item: string): string[] =>
  foodWords(item.toLowerCase().replace(/ (?:for|to) .*$/, ''))

/** Every word of a text that could name food, singular. */
export function foodWords(text: string): string[] {
  const words = text
    .toLowerCase()
    .replace(/[^a-zà-ÿ\s-]/g, ' ')
    .split(/[\s-]+/)
    .filter(Boolean)
  const own = words.filter((w) => w.length > 2 && !ADJECTIVES.has(w)).map(singular)
  // `The crumbs` are the breadcrumbs of the list.
  if (own.includes('breadcrumb')) own.unshift('crumb')
  if (own.includes('dijon') && !own.includes('mustard')) own.push('mustard')
  // What a list has in full is called short: `the bicarb`.
  return [...new Set(own.map(fullWord))]
}

const SHORT = [
  ['bicarb', 'bicarbonate'],
  ['mayo', 'mayonnaise'],
  ['parm', 'parmesan'],
  ['evoo', 'oil'],
  ['spud', 'potato'],
  ['tom', 'tomato'],
  ['piper', 'potato'],
  ['edward', 'potato'],
  ['gem', 'lettuce'],
  ['choc', 'chocolate'],
  ['corn', 'sweetcorn'],
] as const

/** A word in full: `choc`, `bicarb`. */
export const fullWord = (word: string) => SHORT.find(([short]) => short === word)?.[1] ?? word

export const singular = (word: string) =>
  word.endsWith('ies') && word.length > 4
    ? `${word.slice(0, -3)}y`
    : /(?:oes|ches|shes|sses|xes)$/.test(word)
      ? word.slice(0, -2)
      : word.endsWith('leaves')
        ? 'leaf'
        : word.endsWith('s') && !word.endsWith('ss') && word.length > 3
          ? word.slice(0, -1)
          : word

const ADJECTIVES = new Set(
  'cool lukewarm tepid boiling large small medium big fresh dried ground whole plain red green white black brown yellow sweet hot mild cold warm raw cooked lean boneless skinless smoked unsalted salted extra virgin light dark free range floury waxy ripe frozen tinned canned chopped sliced diced grated finely roughly thinly self raising strong wholemeal rolled caster soft good quality thick thin double single full fat low and the for with into from of or'.split(
    ' ',
  ),
)
