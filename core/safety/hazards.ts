import { cooks, lawOf } from '../recipe'
import * as food from './foods'
import type { SeenStep, View } from './view'

/** Where a hazard was found. */
export interface Finding {
  /** The step at which the hand is about to do it; undefined for the dish as a whole. */
  step?: string
  text: string
}

/** One way in which food, heat or blades hurt, when it applies, and what is usual against it. */
export interface Hazard {
  id: string
  /** Where the limit comes from. */
  source: string
  /** Whether a machine's manual is what comes first, rather than local guidance. */
  manual?: true
  /** It is looked after when the step is over, and not when it begins. */
  atEnd?: true
  find: (view: View) => Finding[]
}

const GUIDANCE = 'usual food safety guidance'
const at = (steps: readonly SeenStep[], text: string | ((s: SeenStep) => string)): Finding[] =>
  steps.map((s) => ({ step: s.step.id, text: typeof text === 'string' ? text : text(s) }))
/** Only where it is first met: said once, it is heard. */
const first = (steps: readonly SeenStep[], text: string | ((s: SeenStep) => string)) =>
  at(steps.slice(0, 1), text)
/** Sentences of the recipe, each at the step that says it, or at the dish. */
const said = (view: View, pattern: RegExp, text: string): Finding[] => {
  if (!view.sentences.some((s) => pattern.test(s))) return []
  const step = view.steps.find((s) => pattern.test(s.text))
  return [{ ...(step ? { step: step.step.id } : {}), text }]
}
const any = (items: readonly string[], pattern: RegExp) => items.some((i) => pattern.test(i))
const raw = (items: readonly string[], pattern: RegExp) =>
  items.some((i) => pattern.test(i) && !food.NOT_RAW.test(i))
const minutesOf = (s: SeenStep) => s.step.ways[0]!.minutes[1]!
const heats = (s: SeenStep) => cooks(s.step.work) || s.step.work === 'heat'
/** Hours of gentle wet cooking take meat far beyond any limit. */
const isLongAndWet = (s: SeenStep) =>
  ['simmer', 'slow', 'pressure', 'boil'].includes(s.step.work) && minutesOf(s) >= 45
/** Cooked food on its way out of the kitchen's warmth. */
const putsAway = (s: SeenStep) =>
  ['cool', 'chill', 'pack'].includes(s.step.work) && s.before.some((l) => l.cooked)
/** Where flesh is cooked through: the longest heat that it gets. */
const cookedAt = (view: View, is: (s: SeenStep) => boolean): SeenStep[] => {
  const hot = view.steps.filter((s) => cooks(s.step.work) && is(s))
  const [longest] = [...hot].sort((a, b) => minutesOf(b) - minutesOf(a))
  return longest ? [longest] : []
}
const STATED = /\b(\d{2})\s?(?:°\s?c?|c|degrees)\b/
/** What the recipe itself says to cook it to, where that is less. */
const lowerThan = (limit: number, s: SeenStep) => {
  const stated = [...s.text.matchAll(new RegExp(STATED, 'g'))]
    .map((m) => Number(m[1]))
    .filter((c) => c >= 40 && c < limit)
  return stated.length ? ` The recipe says ${stated[0]} °C: that is too little.` : ''
}
const isShapedMince = (s: SeenStep) =>
  /\b(?:balls?|patt(?:y|ies)|burgers?|loaf|kofta|sausages?|merguez|kebabs?|skewers?)\b/.test(
    `${s.text} ${s.items.join(' ')}`,
  )

/** Every hazard that is looked for, in the order in which it is told. */
export const HAZARDS: Hazard[] = [
  {
    id: 'poultry',
    source: `${GUIDANCE}: poultry 74 °C in the thickest part`,
    atEnd: true,
    find: (v) =>
      at(
        cookedAt(v, (s) => raw(s.items, food.POULTRY)),
        (s) =>
          `Poultry: 74 °C in the thickest part, by a thermometer, since germs can be anywhere in it.${lowerThan(74, s)}`,
      ),
  },
  {
    id: 'mince',
    source: `${GUIDANCE}: minced meat 71 °C in the middle`,
    atEnd: true,
    find: (v) =>
      at(
        cookedAt(v, (s) => raw(s.items, food.MINCED) && !raw(s.items, food.POULTRY)).filter(
          (s) => isShapedMince(s) || !isLongAndWet(s),
        ),
        (s) =>
          `Minced meat and sausages: 71 °C in the middle, not pink, since what was on the outside is all through it.${lowerThan(71, s)}`,
      ),
  },
  {
    id: 'whole cut',
    source: `${GUIDANCE}: whole cuts of meat, and fish, 63 °C with a rest`,
    atEnd: true,
    find: (v) =>
      at(
        cookedAt(
          v,
          (s) =>
            raw(s.items, new RegExp(`${food.RED.source}|${food.FISH.source}`)) &&
            !raw(s.items, food.MINCED) &&
            !raw(s.items, food.POULTRY),
        ).filter((s) => !isLongAndWet(s) && minutesOf(s) < 90),
        (s) =>
          any(s.items, food.RED)
            ? `Whole cuts of meat: 63 °C in the middle, then a rest of three minutes.${lowerThan(63, s)}`
            : `Fish: 63 °C in the middle, when it flakes and is no longer glassy.${lowerThan(60, s)}`,
      ),
  },
  {
    id: 'stuffing',
    source: `${GUIDANCE}: stuffing 74 °C in its middle`,
    atEnd: true,
    find: (v) =>
      said(
        v,
        /\b(?:stuff|fill)\b[^.]*\b(?:bird|chicken|turkey|duck|goose|cavity|neck)\b|\bstuffing\b[^.]*\b(?:in|into|inside)\b[^.]*\b(?:bird|chicken|turkey|duck|goose|cavity|neck)\b/,
        'Stuffing in a bird heats last: fill it loosely just before roasting, and check 74 °C in the middle of the stuffing, or bake it beside the bird.',
      ),
  },
  {
    id: 'raw meat',
    source: GUIDANCE,
    find: (v) =>
      at(
        v.steps.filter(
          (s) =>
            (s.step.hygiene ?? lawOf(s.step.work).hygiene) === 'raw' &&
            ['shape', 'season', 'cut', 'mix'].includes(s.step.work) &&
            // Of egg in a dough it is said once.
            (s.items.some(isFlesh) || any(s.fresh, food.EGG)),
        ),
        'Raw meat, fish or egg: wash hands, board and knife before touching anything else.',
      ),
  },
  {
    id: 'rinsing meat',
    source: GUIDANCE,
    find: (v) =>
      said(
        v,
        /\b(?:rinse|wash|wash off|run)\b[^.,;]*\b(?:chicken|turkey|duck|goose|bird|poultry|meat|beef|pork|lamb|thighs|breasts|wings|drumsticks)\b(?!\s*(?:board|knife))/,
        'Do not rinse raw meat: the splashes carry germs over the sink and whatever stands beside it. Pat it dry with paper.',
      ),
  },
  {
    id: 'thawing out',
    source: `${GUIDANCE}: thaw below 5 °C`,
    find: (v) =>
      said(
        v,
        /\b(?:thaw|defrost)\w*\b[^.]*\b(?:counter|worktop|work surface|room temperature|kitchen table|on the side|sink|in the sun|warm place|out overnight|radiator)\b|\b(?:counter|room temperature|worktop)\b[^.]*\b(?:thaw|defrost)/,
        'Thaw in the fridge, in cold water changed every half hour, or in the microwave and cook at once: on the counter the outside grows germs while the middle is still frozen.',
      ),
  },
  {
    id: 'frozen in slow cooker',
    source: `${GUIDANCE}; cooks differ`,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            s.step.work === 'slow' &&
            (s.items.some((i) => /\bfrozen\b/.test(i) && isFlesh(i)) ||
              /\bfrozen\b[^.]*\b(?:chicken|beef|pork|lamb|meat|turkey|thighs|breasts)\b|\b(?:chicken|beef|pork|lamb|meat|turkey|thighs|breasts)\b[^.]*\b(?:frozen|from the freezer)\b/.test(
                v.text,
              )),
        ),
        'Frozen meat warms too slowly in a slow cooker, and is long in the range where germs grow: the usual guidance is to thaw it first. You decide.',
      ),
  },
  {
    id: 'half cooked',
    source: GUIDANCE,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            ['chill', 'cool', 'pack'].includes(s.step.work) &&
            s.before.some((l) => l.part && !l.cooked) &&
            s.items.some(isFlesh),
        ),
        'Browned or part-cooked meat is not kept for later: the heat has woken germs and not killed them. Cook it through before it is chilled, or keep it raw.',
      ),
  },
  {
    id: 'kidney beans',
    source: `${GUIDANCE}: boiled hard for ten minutes`,
    find: (v) => {
      const dried = v.recipe.ingredients.filter((i) => {
        const whole = `${i.item} ${i.note ?? ''}`.toLowerCase()
        return food.KIDNEY_BEANS.test(whole) && !food.TINNED.test(whole) && !i.pack
      })
      const named = dried.length > 0 || /\bdried (?:red )?kidney beans\b/.test(v.text)
      if (!named) return []
      const names = dried.map((i) => i.item.toLowerCase())
      const text =
        'Dried kidney beans are poisonous until they have boiled hard for ten minutes: a slow cooker alone makes them worse. Pour the soaking water away.'
      const own = v.steps.filter(
        (s) =>
          (any(s.items, food.KIDNEY_BEANS) || s.items.some((i) => names.includes(i))) &&
          (heats(s) || s.step.work === 'soak'),
      )
      return own.length ? first(own, text) : [{ text }]
    },
  },
  {
    id: 'rice',
    source: `${GUIDANCE}: cooled within an hour, a day in the fridge`,
    find: (v) => {
      const rice = (items: readonly string[]) =>
        any(items, /\brice\b|\bbasmati\b|\barborio\b/) &&
        !any(items, /\brice (?:noodles|vinegar|flour|paper)\b/)
      const cooked = v.steps.filter((s) => rice(s.items) && cooks(s.step.work))
      if (!cooked.length) return []
      const text =
        'Cooked rice: spread it thin, cold within an hour, eaten within a day from the fridge, or frozen. Its spores survive cooking.'
      const away = v.steps.filter((s) => rice(s.items) && putsAway(s))
      if (away.length) return first(away, text)
      return /\b(?:fridge|refrigerat\w*|freez\w*|leftovers?|keeps?|next day|days)\b/.test(v.text)
        ? [{ text }]
        : []
    },
  },
  {
    id: 'cooling',
    source: `${GUIDANCE}: from off the heat into the cold within two hours, one above 32 °C`,
    find: (v) =>
      first(
        v.steps.filter((s) => putsAway(s) && !v.later(s).some((l) => cooks(l.step.work))),
        'Into the fridge or freezer within two hours of leaving the heat, one in a hot kitchen, in shallow boxes: warm food keeps germs growing.',
      ),
  },
  {
    id: 'left on the stove',
    source: `${GUIDANCE}: from off the heat into the cold within two hours`,
    find: (v) =>
      said(
        v,
        /\b(?:leave|let|left|stand|cool|sit)\b[^.]*\b(?:on the (?:stove|hob|cooker|side|counter|worktop)|in the pan|in its pot|at room temperature|in the (?:turned-off|switched-off) oven)\b[^.]*\b(?:overnight|until morning|all night|all day|until (?:the )?next day|for (?:several|[3-9]|1\d) hours)\b|\b(?:overnight|all night)\b[^.]*\b(?:on the (?:stove|hob|cooker|counter|worktop)|at room temperature)\b|\bcool\b[^.,;]{0,30}\bovernight\b(?![^.]*\b(?:fridge|refrigerator)\b)/,
        'Cooked food is not left out for hours or overnight to cool: divide it into shallow boxes or stand the pot in ice water, and into the fridge within two hours.',
      ).filter((f) => !f.step || !isDoughOnly(v, f.step)),
  },
  {
    id: 'kept warm',
    source: `${GUIDANCE}: hot food above 60 °C`,
    find: (v) =>
      said(
        v,
        /\b(?:keep|kept|hold|leave)\b[^.,;]*\b(?:warm|hot)\b[^.]*\b(?:\d+ hours?|an hour|hours|until (?:needed|wanted|everyone|the guests|they come)|all (?:day|evening|afternoon)|buffet)\b|\bslow cooker on (?:warm|keep warm)\b[^.]*\b(?:hours|overnight|all day)\b/,
        'Food that is kept warm stays above 60 °C all the time, and no longer than two hours below: lukewarm is where germs grow.',
      ),
  },
  {
    id: 'reheating',
    source: `${GUIDANCE}: reheated to 74 °C, once`,
    find: (v) =>
      said(
        v,
        /\bre-?heat(?:ed|ing|s)?\b|\b(?:warm|heat) (?:it|them|the leftovers|leftovers|through) (?:up|through|again)\b[^.]*\b(?:next day|leftover|microwave|from the (?:fridge|freezer))\b|\bfrom frozen\b|\bleftover\b[^.]*\b(?:cooked|chicken|rice|meat|turkey)\b/,
        'Reheat to 74 °C, steaming hot all through, stirring once, and only once: what is left then is thrown away.',
      ),
  },
  {
    id: 'garlic in oil',
    source: `${GUIDANCE}: botulism, a week in the fridge at most`,
    find: (v) => {
      const both = any(v.items, food.HERBS) && any(v.items, food.OIL)
      const pattern =
        /\b(?:garlic|herbs?|chilli|basil|rosemary|pesto|confit)\b[^.]*\b(?:cover(?:ed)? with|in|under) (?:the |a layer of |more )?(?:olive )?oil\b|\bcover\b[^.]*\bwith (?:the |more |a layer of )?(?:olive )?oil\b|\b(?:garlic|herb|chilli|rosemary|basil) oil\b|\bgarlic confit\b|\bconfit\b[^.]*\bgarlic\b|\binfused? (?:the )?oil\b/
      if (!both && !/\bgarlic (?:oil|confit)\b|\bconfit garlic\b/.test(v.text)) return []
      const kept =
        /\b(?:keeps?|store|stored|jar|bottle|weeks?|months?|fridge|cupboard|refrigerat)\b/.test(
          v.text,
        )
      return kept
        ? said(
            v,
            pattern,
            'Garlic, herbs or vegetables under oil: into the fridge at once and eaten within a week, or frozen. Without air, a poison can grow in it that nobody sees or smells.',
          )
        : []
    },
  },
  {
    id: 'jars in the cupboard',
    source: `${GUIDANCE}: low-acid food is canned only by tested pressure processes`,
    find: (v) => {
      const low = any(
        v.items,
        /\b(?:beans?|meat|beef|chicken|pork|fish|soup|stock|carrots?|peas|corn|pumpkin|squash|mushrooms?|asparagus|peppers?|garlic|potato(?:es)?|beetroots?|pesto|tomato(?:es)?|onions?|aubergines?)\b/,
      )
      return low
        ? said(
            v,
            /\b(?:jars?|bottles?|canning|preserv)\b[^.]*\b(?:cupboard|pantry|larder|shelf|cool,? dark place|room temperature|for (?:\w+ )?(?:months|a year))\b|\b(?:seal|process|can|sterili[sz]e)\b[^.]*\bjars?\b[^.]*\b(?:months|year|pantry|shelf|cupboard|water bath|boiling water)\b|\bkeeps?\b[^.]*\b(?:cupboard|pantry|larder|shelf)\b[^.]*\b(?:weeks|months)\b|\bwater[- ]bath\b[^.]*\bjars?\b/,
            'Food that is not sour does not keep in jars in the cupboard: home canning of it is safe only by tested pressure processes, which this application does not plan. Keep it in the fridge or freezer.',
          )
        : []
    },
  },
  {
    id: 'raw egg',
    source: GUIDANCE,
    find: (v) => {
      const eggs = v.steps.filter(
        (s) => any(s.fresh, food.EGG) && !any(s.fresh, /\begg (?:noodles?|plant)\b|\beggplants?\b/),
      )
      const uncooked = eggs.filter((s) => !heats(s) && !v.later(s).some((l) => cooks(l.step.work)))
      return first(
        uncooked,
        'Egg that is eaten raw: use pasteurised egg for children, the pregnant, the old and the ill, and keep it in the fridge.',
      )
    },
  },
  {
    id: 'raw flour',
    source: GUIDANCE,
    find: (v) => {
      const steps = v.steps.filter(
        (s) => any(s.fresh, food.FLOUR) && !heats(s) && !v.later(s).some((l) => cooks(l.step.work)),
      )
      return first(
        steps,
        'Raw flour is not ready to eat: it can carry germs from the field. Bake it first, 74 °C all through, or leave it out of what is eaten uncooked.',
      )
    },
  },
  {
    id: 'marinade',
    source: GUIDANCE,
    find: (v) =>
      any(v.items, new RegExp(`${food.POULTRY.source}|${food.RED.source}|${food.FISH.source}`))
        ? said(
            v,
            /\b(?:use|pour|spoon|serve|reserve|brush|baste|drizzle|boil|keep|simmer)\b[^.]*\b(?:the |left(?:over)? |remaining |rest of the |its )marinade\b|\bmarinade\b[^.]*\b(?:as a sauce|over (?:the|it)|for (?:basting|serving)|to serve)\b/,
            'A marinade that raw meat lay in is boiled hard before it is eaten or brushed on, or some of it is kept apart from the start.',
          )
        : [],
  },
  {
    id: 'sprouts',
    source: GUIDANCE,
    find: (v) => {
      const steps = v.steps.filter((s) => any(s.fresh, food.SPROUTS))
      const eaten = steps.filter((s) => !heats(s) && !v.later(s).some((l) => cooks(l.step.work)))
      return first(
        eaten,
        'Raw sprouts are grown warm and wet, as germs are: cook them through, above all for children, the pregnant, the old and the ill.',
      )
    },
  },
  {
    id: 'smoked fish',
    source: GUIDANCE,
    find: (v) =>
      any(v.items, food.COLD_SMOKED)
        ? first(
            v.steps.filter((s) => any(s.fresh, food.COLD_SMOKED)),
            'Cold-smoked and cured fish is raw: not for the pregnant, the old or the ill unless it is heated through.',
          )
        : [],
  },
  {
    id: 'raw fish',
    source: `${GUIDANCE}: frozen first against parasites`,
    find: (v) =>
      said(
        v,
        /\b(?:ceviche|sashimi|sushi(?! rice)|tartare|carpaccio|poke bowl|crudo)\b/,
        'Fish or meat that is eaten raw: from a seller who says it is meant for that, fish frozen first; not for children, the pregnant, the old or the ill.',
      ),
  },
  {
    id: 'very young',
    source: `${GUIDANCE}: no honey in the first year`,
    find: (v) =>
      /\b(?:bab(?:y|ies)|infants?|weaning|toddlers?|first foods?|months old)\b/.test(v.text)
        ? [
            {
              text: `For the very young: no honey before the first birthday, no added salt, purées smooth and cooled, cold within an hour and eaten the next day or frozen.${any(v.items, /\bhoney\b/) ? ' This recipe has honey in it.' : ''}`,
            },
          ]
        : [],
  },
  {
    id: 'pets',
    source: GUIDANCE,
    find: (v) =>
      /\b(?:dogs?|cats?|pets?|puppy|kitten)\b(?!fish)/.test(v.text.replace(/\bhot dogs?\b/g, ''))
        ? [
            {
              text: `Pets get no onion, garlic, grapes, raisins, chocolate, sweetener or cooked bones: these are poison to them or splinter, and they stay away from the heat.${any(v.items, food.PET_POISONS) ? ' There is something of the kind in this recipe.' : ''}`,
            },
          ]
        : [],
  },
  {
    id: 'shellfish',
    source: GUIDANCE,
    find: (v) =>
      first(
        v.steps.filter((s) => any(s.fresh, food.SHELLFISH) && !any(s.fresh, food.NOT_RAW)),
        'Throw away shells that are broken or stay open when tapped, and after cooking those that stay shut.',
      ),
  },
  {
    id: 'deep frying',
    source: 'usual kitchen guidance',
    manual: true,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            /\bdeep[- ]?(?:fat )?(?:fry|fried|frying|fryer)\b/.test(s.text) ||
            (s.step.work === 'fry' &&
              (/\b1[5-9]\d ?°?\s?c?\b/.test(s.text) ||
                /\b(?:litre|inch|cm|deep|hot) (?:of )?(?:[a-z]+ )?oil\b[^.]*\b(?:fry|drop|lower)\b|\bfill\b[^.]*\boil\b/.test(
                  s.text,
                ))),
        ),
        'Hot oil is not left alone: it catches fire. No more than a third of the pan, dry food, a lid at hand, and no water on a flame.',
      ),
  },
  {
    id: 'pressure',
    source: 'usual kitchen guidance',
    manual: true,
    find: (v) =>
      first(
        v.steps.filter((s) => s.step.work === 'pressure'),
        (s) =>
          `Under pressure: at least the liquid that the maker asks for, filled no further than ${
            any(s.items, food.FOAMING)
              ? 'half, since grains and pulses foam and block the valve'
              : 'two thirds'
          }; never force the lid, and let steam out away from the face.`,
      ),
  },
  {
    id: 'hot in a blender',
    source: 'usual kitchen guidance',
    manual: true,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            s.step.work === 'blend' &&
            s.before.some((l) => l.hot) &&
            !/\b(?:stick|hand|immersion)\b/.test(s.text),
        ),
        'Hot liquid pushes the lid off a blender: fill it half, hold the lid with a cloth, start slowly.',
      ),
  },
  {
    id: 'slicer',
    source: 'usual kitchen guidance',
    manual: true,
    find: (v) =>
      said(
        v,
        /\b(?:mandoline?|slicer|spirali[sz]er)\b/,
        'A slicer only with its guard: it takes a fingertip before one feels it.',
      ),
  },
  {
    id: 'hot sugar',
    source: 'usual kitchen guidance',
    find: (v) =>
      said(
        v,
        /\bcaramel\b[^.]*\b(?:cream|butter|amber|swirl|boil)\b|\b(?:melt|boil)\b[^.]*\bsugar\b[^.]*\b(?:amber|caramel|1[1-8]\d)\b/,
        'Boiling sugar burns deeper than water: no children near, long sleeves, and it spits when cream goes in.',
      ),
  },
  {
    id: 'barbecue',
    source: 'usual kitchen guidance',
    manual: true,
    find: (v) =>
      first(
        v.steps.filter((s) =>
          s.step.ways.some((w) => w.on.some((o) => o.kind === 'outdoor-grill')),
        ),
        'A lit grill stays outdoors and is not left alone: it burns, and its fumes kill in closed rooms. Raw and cooked meat on plates of their own.',
      ),
  },
]

const isFlesh = (item: string) =>
  new RegExp(
    `${food.POULTRY.source}|${food.RED.source}|${food.FISH.source}|${food.MINCED.source}`,
  ).test(item) && !food.NOT_RAW.test(item)

/** Whether a step holds dough, which is left out to rise on purpose. */
const isDoughOnly = (view: View, id: string) => {
  const seen = view.steps.find((s) => s.step.id === id)!
  return !seen.before.some((l) => l.cooked) && !seen.after.cooked
}
