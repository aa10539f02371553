import { cooks, isMeat } from '../recipe'
import * as food from './foods'
import { any, first, GUIDANCE, putsAway, said, type Hazard } from './hazard'
import type { SeenStep, View } from './view'

/** Food that is cooled, kept, warmed again or put into jars. */
export const KEPT_FOOD: Hazard[] = [
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
        ? first(cooked.slice(-1), text)
        : []
    },
  },
  {
    id: 'cooling',
    source: `${GUIDANCE}: from off the heat into the cold within two hours, one above 32 °C`,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            putsAway(s) &&
            !isDryBake(v, s) &&
            !isPreserve(s) &&
            !v.later(s).some((l) => cooks(l.step.work)),
        ),
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
      ).filter((f) => !f.step || !isDoughOnly(v, f.step)),
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
    grave: true,
    source: `${GUIDANCE}: botulism, a week in the fridge at most`,
    find: (v) => {
      // Chilli oil out of a bottle is none that was made at home.
      const FLAVOURED = /\b(?:garlic|herb|chilli|rosemary|basil) oil\b/
      const bought = any(v.items, FLAVOURED)
      const herbs = v.items.filter((i) => !FLAVOURED.test(i))
      const both = any(herbs, food.HERBS) && any(v.items, food.OIL)
      const pattern = bought
        ? /\bgarlic confit\b|\bconfit\b[^.]*\bgarlic\b|\binfused? (?:the )?oil\b/
        : /\b(?:garlic|herbs?|chilli|basil|rosemary|pesto|confit)\b[^.]*\b(?:cover(?:ed)? with|in|under) (?:the |a layer of |more )?(?:olive )?oil\b|\bcover\b[^.]*\bwith (?:the |more |a layer of )?(?:olive )?oil\b|\b(?:garlic|herb|chilli|rosemary|basil) oil\b|\bgarlic confit\b|\bconfit\b[^.]*\bgarlic\b|\binfused? (?:the )?oil\b/
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
    grave: true,
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
]

/** Whether a step holds dough, which is left out to rise on purpose. */
const isDoughOnly = (view: View, id: string) => {
  const seen = view.steps.find((s) => s.step.id === id)!
  return !seen.before.some((l) => l.cooked) && !seen.after.cooked
}

/** Chutney and jam, closed hot in hot jars, are kept so; soup in a jar is not. */
const isPreserve = ({ step, items }: SeenStep) =>
  /\b(?:hot|sterili[sz]ed) (?:[a-z]+ )?(?:jars?|bottles?)\b/i.test(step.do) &&
  any(items, /\b(?:vinegar|sugar)\b/) &&
  !any(items, /\b(?:stock|cream|milk)\b/) &&
  !items.some(isMeat)

/** Cakes, bars and bread keep dry in a tin: nothing in them wants the cold. */
const isDryBake = (view: View, { items }: SeenStep) =>
  any(items, /\b(?:flour|oats)\b/) &&
  !items.some(isMeat) &&
  !any(items, /\b(?:cream|custard|cheese|cheddar|ricotta|feta|mozzarella|beans?|stock)\b/) &&
  view.steps.some((s) => s.step.work === 'bake' && s.items.some((i) => items.includes(i)))
