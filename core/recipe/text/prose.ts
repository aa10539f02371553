import { singular } from './ingredientLine'
import { plain } from './plain'

const MEASURE =
  'kg|kilos?|g|grams?|ml|cl|dl|l|litres?|liters?|cups?|tbsp|tsp|tablespoons?|teaspoons?|spoons?|oz|ounces?|lbs?|pounds?|pints?|cans?|tins?|cloves?|bunch(?:es)?|handfuls?|sticks?|heads?|sprigs?|slices?|packs?|jars?|glass(?:es)?|sheets?'
const AMOUNT = new RegExp(
  `\\b(?:about |around |some )?(\\d+(?:\\.\\d+)?|(?:a couple of|a few|an?)\\b)\\s*(?:(${MEASURE})\\b\\s*)?(?:of )?((?:[a-z-]+ ?){1,5})`,
  'g',
)
/** Words at which the name of a food ends. */
const ENDS =
  /\b(?:and|or|in|into|with|go|goes|until|till|then|for|on|onto|to|from|that|which|per|at|over|under|is|are|so|while|when|each|you|i|we|it|them|together|through|every|as|if|but|like|by|of the|of it)\b.*$/
/** What is counted and is no food. */
const NO_FOOD =
  /^(?:deep|shallow|wide|heavy|plates?|bowls?|glasses|family|minutes?|mins?|hours?|hrs?|seconds?|days?|weeks?|months?|years?|degrees?|times?|batch(?:es)?|panfuls?|lots?|pan|pot|bowl|tray|tin|dish|oven|pieces?|parts?|portions?|servings?|layers?|good|big|large|small|little|bit|low|high|medium|hot|half|third|quarter|cm|mm|inch(?:es)?|people|persons|spoon|fork|plate|lid|food processor|processor|slow|pressure|second|moment|while|gentle|boil|simmer|rolling|day|night|morning|splash|pinch|knob|big pot|rest|side|last|first|cooker|sieve|wooden|clean|colander|baking|roasting|frying|saucepan|casserole|towel|wire|rack|paste|smooth|thick|thin|hollows?|wells?|dents?|holes?|balls?|circles?|rounds?|[a-z ]*\btoo$)\b/

/**
 * Ingredients that are told in sentences: `take about 800g of boneless chicken thighs and cut them`.
 * Lines with the amount in front, each food once.
 */
export function ingredientsInProse(text: string): string[] {
  const lines: string[] = []
  const seen = new Set<string>()
  for (const m of plain(text).matchAll(AMOUNT)) {
    const [, many, measure, words] = m
    const name = words!.replace(ENDS, '').trim()
    if (!name || NO_FOOD.test(name) || name.length < 3) continue
    if (many === 'a' && !measure && !/s$/.test(name) && name.split(' ').length > 2) continue
    const head = singular(name.split(' ').at(-1)!)
    if (seen.has(head)) continue
    seen.add(head)
    const amount =
      many === 'a couple of' ? '2' : many === 'a few' ? '3' : /^an?$/.test(many!) ? '1' : many!
    const unit = measure === undefined ? '' : ` ${measure.replace(/^spoons?$/, 'tbsp')}`
    lines.push(`${amount}${unit} ${name}`)
  }
  return lines
}
