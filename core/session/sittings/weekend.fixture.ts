import { READY_KITCHENS, kitchenSchema, type Kitchen } from '../../kitchen'
import { readRecipes } from '../../recipe'
import { recipesFrom, sessionFrom } from '../fromRecipes'
import type { SessionFile } from '../sessionFile'

const TEXTS = [
  `Overnight lemon chicken thighs

Serves 4

8 chicken thighs
2 lemons
3 cloves garlic
2 tbsp olive oil
1 tsp salt

1. Grate the zest of the lemons. Crush the garlic.
2. Mix the zest, garlic, oil and salt in a large bowl.
3. Add the chicken thighs, turn to coat, cover and marinate in the fridge for at least 8 hours or overnight.
4. Heat the oven to 200C. Put the thighs on a baking tray and roast for 40 minutes until cooked through.

Keeps 3 days in the fridge.`,
  `Slow rye loaf

Makes 1 loaf, serves 8

500 g strong flour
100 g rye flour
10 g salt
2 g dried yeast
420 ml water

1. Mix the flours, salt, yeast and water in a large bowl to a rough dough, 5 minutes.
2. Cover and leave to prove for 10 to 14 hours.
3. Shape the dough into a round and leave to prove for 1 hour.
4. Heat the oven to 230C. Bake the loaf for 40 minutes. Leave to cool on a rack.`,
  `Bone stock

Makes 1.5 litres

800 g beef bones
2 onions
2 carrots
1.5 litres water

1. Roast the bones on a tray at 220C for 40 minutes.
2. Cut the onions and carrots into large pieces.
3. Put bones, onions, carrots and water into the slow cooker and cook on low for 12 hours or overnight.
4. Strain the stock into a bowl and cool it. Pour into boxes and freeze. Keeps 3 months in the freezer.`,
  `Bean chilli

Serves 6

2 onions
2 red peppers
1 tbsp oil
2 tsp cumin
2 tins kidney beans
2 tins chopped tomatoes

1. Chop the onions and peppers.
2. Fry the onions and peppers in the oil in a large pot for 10 minutes. Stir in the cumin.
3. Add the beans and tomatoes and simmer for 30 minutes.
4. Freeze in portions for up to 3 months.`,
  `Winter slaw

Serves 4

1/2 white cabbage
2 carrots
3 tbsp yoghurt
1 tbsp mustard

1. Shred the cabbage and grate the carrots.
2. Mix the yoghurt and mustard in a bowl.
3. Toss the vegetables with the dressing. Keeps 2 days in the fridge.`,
  `Lentil soup

Serves 6

300 g red lentils
1 onion
2 carrots
1.5 litres stock

1. Chop the onion and carrots.
2. Put everything in a large pot and simmer for 25 minutes.
3. Freeze. Keeps 3 months in the freezer.`,
]

export const kitchenCalled = (title: string): Kitchen =>
  kitchenSchema.parse(READY_KITCHENS.find((k) => k.title === title)!.kitchen)

/** Six dishes over a Friday evening and a Saturday morning, for four evenings: one marinade, one bread, one stock. */
export function weekend(): SessionFile {
  const found = TEXTS.flatMap((text) => {
    const reading = readRecipes(text)
    return reading.ok ? reading.value : []
  })
  const reading = sessionFrom({
    kitchen: kitchenCalled('Two ovens and many machines'),
    recipes: recipesFrom(found),
    start: '2027-05-01T09:00',
    sittings: [{ start: '2027-04-30T19:00', limit: 120 }],
    evenings: ['2027-05-01', '2027-05-02', '2027-05-04', '2027-05-05'],
    eaters: 4,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
