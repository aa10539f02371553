import { WITH_SPOONS } from '../quantity'
import { comesFrom, foodLinks } from './flow'
import type { Recipe } from './schema'
import { isLiquid, isMeat } from './text/foods'
import { singular } from './text/ingredientLine'
import { isStaple, namesKind, PRODUCTS } from './text/references'

type Ingredient = Recipe['ingredients'][number]

/**
 * The food that each step is about, as one says it. What its own words or those of the only step before
 * it call it (`the loaf`, `the patties`); else what is in it, meat and fish first, then what there is
 * most of (`the onions and peppers`); none where nothing but oil, salt and water is in it.
 */
export function aboutSteps(recipe: Recipe): Map<string, string> {
  const links = foodLinks(recipe)
  const insideOf = (id: string) => {
    const inside = comesFrom(links, id)
    return recipe.steps.filter((s) => inside.has(s.id))
  }
  /** `Spread the mash over the filling`: what comes of it is the pie. */
  const isPart = (name: string, step: Recipe['steps'][number], within: Recipe['steps']) =>
    links.filter((l) => l.to === step.id).length > 1 &&
    PRODUCTS.has(singular(name.split(' ').at(-1)!)) &&
    dishIn(new Set(within.flatMap((s) => s.uses)), recipe, true) !== undefined
  const called = new Map(
    recipe.steps.map((step) => {
      const name = calledIn(step.do, recipe)
      const joins = step.uses.length > 1 || links.filter((l) => l.to === step.id).length > 1
      const within = insideOf(step.id)
      return [
        step.id,
        name && joins && (isMinor(name, within, recipe) || isPart(name, step, within))
          ? null
          : name,
      ]
    }),
  )
  const nameAt = (id: string, hops = 2): string | null | undefined => {
    const own = called.get(id)
    if (own !== undefined || !hops) return own
    const before = links.filter((l) => l.to === id)
    return before.length === 1 ? nameAt(before[0]!.from, hops - 1) : undefined
  }
  return new Map(
    recipe.steps.flatMap((step) => {
      const inside = insideOf(step.id)
      const name = nameAt(step.id)
      // The garlic is no name for the tomatoes that have come to it.
      const outgrown = name && step.uses.length > 0 && isMinor(name, inside, recipe)
      const about =
        (outgrown ? undefined : name) ??
        (step.work === 'prove' ? 'the dough' : undefined) ??
        inWords(
          new Set(inside.flatMap((s) => s.uses)),
          recipe,
          inside.some((s) => s.work === 'bake'),
        )
      return about === undefined ? [] : [[step.id, about] as const]
    }),
  )
}

/** Ends what `the` begins: one word more is of another thing. */
const ENDS_A_NAME =
  /^(?:and|or|with|in|into|on|onto|over|to|from|of|for|until|through|at|by|under|off|out|down|along|round|around|between)$/
const PLACE =
  /^(?:(?:slow|pressure|rice) cooker|cooker|air fryer|fridge|freezer|oven|hob|heat|pan|pot|tray|tin|dish|bowl|board|boil)\b/
const ADDED =
  /\b(?:add|with|(?:stir|pour|tip|fold) in|stir through|(?:scatter|sprinkle|spoon|pour|drizzle|brush)(?: over)?) $/
/** What comes on top at the end: "scatter with the mozzarella and the rest of the parmesan". */
const STREWN =
  /(?:^|,| and) *(?:(?:scatter|sprinkle|drizzle|dot|garnish) (?:over |with |on )[^.;]*|(?:stir|fold|pour|tip|squeeze) in (?!the [a-zà-ÿ-]+ to\b)[^.;,]*)/g
/** Something else stands beside it: its name alone would be half of what is meant. */
const AND_MORE = /^(?:,? and\b|, (?:the )?[a-z]+(?:,| and\b))/

/** What a step calls its food, `the bars`: the last that it names, and names alone; null: it names several. */
function calledIn(text: string, recipe: Recipe): string | null | undefined {
  // What shows that it is done is not what it is: "until the crumbs are brown".
  const lower = text
    .toLowerCase()
    .replace(/,? \b(?:until|when|while)\b.*/, '')
    .replace(STREWN, ' ')
    .replace(/\bthe (?:base|bottom|sides?|middle|top) of (?:the|a|your)\b/g, ' ')
  const own = new Set([
    ...wordsOf(recipe.name),
    ...recipe.ingredients.flatMap((i) => headOf(i.item)),
  ])
  const made = /^for (the [a-zà-ÿ-]+(?: [a-zà-ÿ-]+)?),/.exec(lower)?.[1]
  if (made && PRODUCTS.has(singular(made.split(' ').at(-1)!))) return made
  let found: string | null | undefined = wordsOf(lower).some(
    (w) => own.has(w) && !isStaple(w) && !isLiquid(w),
  )
    ? null
    : undefined
  for (const { index, 0: the } of lower.matchAll(/\bthe /g)) {
    const after = lower.slice(index + the.length)
    const words = /^[a-zà-ÿ-]+(?: [a-zà-ÿ-]+){0,2}/.exec(after)?.[0].split(' ') ?? []
    const end = words.findIndex((w) => ENDS_A_NAME.test(w))
    const name = (end < 0 ? words : words.slice(0, end)).map(singular)
    const noun = name.findLastIndex((w) => PRODUCTS.has(w) || own.has(w))
    if (noun < 0) continue
    const said = words.slice(0, noun + 1).join(' ')
    if (isStaple(said) || isLiquid(said) || PLACE.test(said)) continue
    // What is added is not what it is about: "add the thyme, bring to a simmer".
    if (ADDED.test(lower.slice(0, index))) continue
    const rest = after.slice(said.length)
    // "the carrots, onions and leeks", "the oil and the onions"
    const called = `the ${said.replace(/^(?:hot|warm|cold|cooled|cooked|remaining) /, '')}`
    // "Return the chicken to the pot, add the dill": two of them, and none for both; but "stir the
    // dough and shape the loaf" ends with what has been made.
    const several: boolean =
      found != null &&
      found !== called &&
      !PRODUCTS.has(name[noun]!) &&
      !/\b(?:over|into|onto|in|on|through) $/.test(lower.slice(0, index))
    found = AND_MORE.test(rest) || several ? null : called
  }
  return found
}
const wordsOf = (text: string) => (text.toLowerCase().match(/[a-zà-ÿ-]{3,}/g) ?? []).map(singular)
const headOf = (item: string) => wordsOf(item.replace(/\s*[,(].*$/, '')).slice(-1)

/** Whether a name is that of an ingredient with something that matters more beside it: onions under mince. */
function isMinor(name: string, inside: Recipe['steps'], recipe: Recipe): boolean {
  const nouns = new Set(wordsOf(name))
  const named = (i: { item: string }) => headOf(i.item).some((w) => nouns.has(w))
  if ([...nouns].some((w) => PRODUCTS.has(w)) || !recipe.ingredients.some(named)) return false
  const [most] = foodIn(new Set(inside.flatMap((s) => s.uses)), recipe)
  return most !== undefined && !named(most)
}

/** Tomatoes run, and are what a sauce is of. */
const isFood = (item: string) => !isLiquid(item) || /\btomato/i.test(item)

/** What is in it but oil, salt and water, meat and fish first, then what there is most of. */
const foodIn = (used: ReadonlySet<string>, recipe: Recipe) =>
  recipe.ingredients
    .filter((i) => used.has(i.id) && !isStaple(i.item) && isFood(i.item))
    .map((i) => ({ item: i.item, name: nameOf(i), rank: isMeat(i.item) ? Infinity : grams(i) }))
    .sort((a, b) => b.rank - a.rank || 0)

function inWords(used: ReadonlySet<string>, recipe: Recipe, baked: boolean): string | undefined {
  const food = foodIn(used, recipe)
  const names = [...new Set(food.map((f) => f.name))]
  if (!names.length) return undefined
  // Milk and flour with a little nutmeg are no nutmeg.
  if (food.every((f) => namesKind('the spices', f.item)))
    return recipe.ingredients.some((i) => used.has(i.id) && /\bflour\b/i.test(i.item))
      ? 'the sauce'
      : undefined
  // Bread is not called after its yeast.
  const minor = names.every((n) => RAISING.test(n))
  const dish = names.length > 1 || minor ? dishIn(used, recipe, baked) : undefined
  if (minor) return (baked && dish) || 'the dough'
  if (dish) return dish
  return names.length > 2
    ? `the ${names[0]}, ${names[1]} and the rest`
    : `the ${names.join(' and ')}`
}

const RAISING = /\b(?:yeast|baking powder|baking soda|bicarbonate|starter)\b/

/** Called so when it comes out of the oven, and not before. */
const BAKED =
  /^(?:pies?|tarts?|quiches?|lasagne|bake|crumble|loaf|loaves|bread|cake|gratin|cobbler|traybake)$/

/** `The cake`, where most of what is listed is in it by now and the dish is called so. */
function dishIn(
  used: ReadonlySet<string>,
  { name, ingredients }: Recipe,
  baked: boolean,
): string | undefined {
  if (used.size * 2 < ingredients.length) return undefined
  const [title = ''] = name
    .toLowerCase()
    .replace(/ [-–—] .*$/, '')
    .split(/ (?:with|for|in|on|from|of|to|the|my|our|your|a)\b|\(/)
  // "Leek, pea and feta frittata": its end.
  const [words = ''] = (/,.* (?:and|&) (.+)$/.exec(title)?.[1] ?? title).split(',')
  // "Jerk chicken, rice and peas": three things, and none of them the dish.
  if (/,.* (?:and|&) [a-zà-ÿ-]+\s*$/.test(title)) return undefined
  // "Spinach and ricotta cannelloni" is called by its end, "macaroni and cheese" by its beginning.
  const [first, second] = words.split(/ and | & /)
  const before = second && second.trim().includes(' ') ? second : first
  // `Pizza night`, `couscous boxes`: called by what is eaten.
  const noun = before
    ?.match(/[a-zà-ÿ-]{3,}/g)
    ?.findLast((w) => !/^(?:night|party|box(?:es)?)$/.test(w))
  if (
    !noun ||
    (!baked && BAKED.test(noun)) ||
    /^(?:dish|meal|dinner|supper|lunch|breakfast|recipe|bowl|without|name)$/.test(noun)
  )
    return undefined
  const own = ingredients.find((i) => headOf(i.item).includes(singular(noun)))
  return own && !used.has(own.id) ? undefined : `the ${noun}`
}

const nameOf = ({ item }: Ingredient) =>
  item
    .toLowerCase()
    .replace(/\s*[,(].*$/, '')
    .replace(/ (?:for|to) .*$/, '')

/** What a piece of something is counted as here, in grams: an estimate of ours. */
const PIECE = 100
const EGG = 55
const grams = ({ amount, unit, item }: Ingredient) =>
  amount *
  (unit === 'piece' ? (/\begg\b|\beggs\b/i.test(item) ? EGG : PIECE) : (WITH_SPOONS[unit] ?? 1))
