import { isMeat, lawOf } from '../recipe'
import * as food from './foods'
import {
  any,
  at,
  cookedAt,
  first,
  GUIDANCE,
  isLongAndWet,
  lowerThan,
  minutesOf,
  raw,
  said,
  type Hazard,
} from './hazard'
import type { SeenStep } from './view'

const isShapedMince = (s: SeenStep) =>
  /\b(?:balls?|patt(?:y|ies)|burgers?|loaf|kofta|sausages?|merguez|kebabs?|skewers?)\b/.test(
    `${s.text} ${s.items.join(' ')}`,
  )

/** `Stab the lamb`, `lay the thighs in the tin`: by hand, and nobody has touched it so far. */
const firstInHand = (s: SeenStep) =>
  s.step.work === 'assemble' && s.fresh.some(isMeat) && !s.before.some((l) => l.raw)

/** Meat, fish and eggs: how hot inside, how they are handled raw, thawed and half cooked. */
export const COOKED_THROUGH: Hazard[] = [
  {
    id: 'poultry',
    source: `${GUIDANCE}: poultry 74 °C in the thickest part`,
    atEnd: true,
    find: (v) =>
      at(
        cookedAt(v, (s) => raw(s.items, food.POULTRY)),
        (s) =>
          `Poultry: 74 °C in the thickest part, by a thermometer, since germs can be anywhere in it.${lowerThan(74, v, s)}`,
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
          `Minced meat and sausages: 71 °C in the middle, not pink, since what was on the outside is all through it.${lowerThan(71, v, s)}`,
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
            raw(s.items, food.WHOLE_CUT) &&
            !raw(s.items, food.MINCED) &&
            !raw(s.items, food.POULTRY),
        ).filter((s) => !isLongAndWet(s) && minutesOf(s) < 90),
        (s) =>
          any(s.items, food.RED)
            ? `Whole cuts of meat: 63 °C in the middle, then a rest of three minutes.${lowerThan(63, v, s)}`
            : `Fish: 63 °C in the middle, when it flakes and is no longer glassy.${lowerThan(63, v, s)}`,
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
            (['shape', 'season', 'cut', 'mix'].includes(s.step.work) || firstInHand(s)) &&
            // Of egg in a dough it is said once.
            (s.items.some(isMeat) || any(s.fresh, food.EGG)),
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
        /\b(?:rinse|wash)(?: off)?(?: and [a-z ]{2,12}?)? (?:(?:the|your|each|all) )?(?:(?!hands|board|knife|after|rice)[a-z-]+ ){0,2}(?:chicken|turkey|duck|goose|bird|poultry|meat|beef|pork|lamb|thighs|breasts|wings|drumsticks)\b(?! (?:board|knife))|\brun\b[^.]*\bwater\b[^.]*\b(?:chicken|turkey|duck|goose|bird|poultry|meat|beef|pork|lamb|thighs|breasts|wings|drumsticks)\b/,
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
    grave: true,
    source: `${GUIDANCE}; cooks differ`,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            s.step.work === 'slow' &&
            (s.items.some((i) => /\bfrozen\b/.test(i) && isMeat(i)) ||
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
            s.items.some(isMeat),
        ),
        'Browned or part-cooked meat is not kept for later: the heat has woken germs and not killed them. Cook it through before it is chilled, or keep it raw.',
      ),
  },
  {
    id: 'marinade',
    source: GUIDANCE,
    find: (v) =>
      v.items.some(isMeat)
        ? said(
            v,
            /\b(?:left(?:over| over)?|remaining|reserved|rest of the|its) marinade\b|\b(?:serve|brush|baste|drizzle|boil|simmer|reduce|keep)\b[^.]*\bthe marinade\b|\bmarinade\b[^.]*\b(?:as a sauce|for (?:basting|serving)|to serve)\b/,
            'A marinade that raw meat lay in is boiled hard before it is eaten or brushed on, or some of it is kept apart from the start.',
          )
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
]
