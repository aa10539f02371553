import * as food from './foods'
import { any, first, GUIDANCE, heats, said, uncooked, type Hazard } from './hazard'

/** What is poison or carries germs where nothing cooks it, and who must not eat it. */
export const EATEN_RAW: Hazard[] = [
  {
    id: 'kidney beans',
    grave: true,
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
    id: 'raw egg',
    source: GUIDANCE,
    find: (v) =>
      first(
        uncooked(v, food.EGG),
        'Egg that is eaten raw: use pasteurised egg for children, the pregnant, the old and the ill, and keep it in the fridge.',
      ),
  },
  {
    id: 'raw flour',
    source: GUIDANCE,
    find: (v) =>
      first(
        uncooked(v, food.FLOUR),
        'Raw flour is not ready to eat: it can carry germs from the field. Bake it first, 74 °C all through, or leave it out of what is eaten uncooked.',
      ),
  },
  {
    id: 'sprouts',
    source: GUIDANCE,
    find: (v) =>
      first(
        uncooked(v, food.SPROUTS),
        'Raw sprouts are grown warm and wet, as germs are: cook them through, above all for children, the pregnant, the old and the ill.',
      ),
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
    grave: true,
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
]
