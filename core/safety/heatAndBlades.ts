import * as food from './foods'
import { any, first, said, type Hazard } from './hazard'

/** Oil, steam, sugar, fire and blades. */
export const HEAT_AND_BLADES: Hazard[] = [
  {
    id: 'deep frying',
    grave: true,
    source: 'usual kitchen guidance',
    manual: true,
    find: (v) =>
      first(
        v.steps.filter(
          (s) =>
            /\bdeep[- ]?(?:fat )?(?:fry|fried|frying|fryer)\b/.test(s.text) ||
            (s.step.work === 'fry' &&
              (/\b1[5-9]\d ?(?:°|degrees|c\b)|\boil\b[^.]*\bto 1[5-9]\d\b/.test(s.text) ||
                /\b(?:litre|inch|cm|deep|hot) (?:of )?(?:[a-z]+ )?oil\b[^.]*\b(?:fry|drop|lower)\b|\bfill\b[^.]*\boil\b/.test(
                  s.text,
                ))),
        ),
        'Hot oil is not left alone: it catches fire. No more than a third of the pan, dry food, a lid at hand, and no water on a flame.',
      ),
  },
  {
    id: 'pressure',
    grave: true,
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
    grave: true,
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
    grave: true,
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
    grave: true,
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
