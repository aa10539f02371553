import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts in ordinary words, with a paste of their own, a machine in brackets, and a side dish at the end.

describe('a curry in its wok', () => {
  const { ingredients, steps } = readRecipeText(`Beef rendang

(feeds 6)

for the paste
6 shallots
5 cloves garlic
thumb ginger, thumb galangal
4 red chillies

1.2kg beef shin, cut in big cubes
2 tins coconut milk (400ml)
4 lime leaves
1 cinnamon stick
2 tbsp tamarind paste
1 tbsp palm sugar
60g desiccated coconut
3 tbsp oil

Toast the coconut in a dry wok till golden brown, 5 mins, then pound it. Blitz everything for the paste with a splash of water.
Heat oil in the wok. Fry paste 6-8 mins. Beef in, turn it about for 5 mins. Coconut milk, lime leaves, cinnamon, tamarind, sugar, 1 tsp salt. Bring to a bubble, then low low heat, no lid, 2½ hours, stirring now and then.
Stir in the coconut and go on for 10 mins.
Rice: rinse 450g jasmine, 675ml water, boil, lid on, 12 min lowest, 10 min off.`)
  it('has a paste of its own list, and no tamarind paste in it', () => {
    const { uses } = stepOf(steps, 'everything for the paste')
    expect(uses).toHaveLength(5)
    expect(uses.map((u) => ingredients.find((i) => i.id === u)!.item)).not.toContain(
      'tamarind paste',
    )
  })
  it('adds what is only listed, and simmers on in the wok', () => {
    expect(stepOf(steps, 'add coconut milk').uses).toHaveLength(5)
    expect(stepOf(steps, 'bring to a bubble')).toMatchObject({
      work: 'simmer',
      minutes: [150, 150],
    })
    expect(
      steps
        .filter((s) => s.equipment.includes('burner'))
        .slice(0, 5)
        .every((s) => s.equipment.includes('frying-pan')),
    ).toBe(true)
  })
  it('cooks the rice beside it, though no list has it', () => {
    expect(stepOf(steps, 'rinse 450').after).toEqual([])
    expect(stepOf(steps, 'boil, lid').minutes).toEqual([12, 12])
    expect(steps.at(-1)).toMatchObject({ work: 'rest', minutes: [10, 10] })
  })
})

describe('a dough kneaded by hand, and a tray with a dressing', () => {
  it('takes no mixer that stands in brackets', () => {
    const { steps } = readRecipeText(`Rolls

500g strong white flour
7g fast yeast
250ml warm milk

Mix the flour and yeast. Add the milk, bring together and knead by hand for 10 minutes (6 in a mixer). Let rise for 1 hour.`)
    expect(stepOf(steps, 'knead').equipment).toEqual(['bench'])
  })
  it('holds no oven while a tray is dressed straight from it', () => {
    const { steps } = readRecipeText(`Sausages and roots
Serves 4

8 pork sausages
3 carrots, cut into batons
2 tbsp oil

For the dressing:
1 tbsp grainy mustard
1 tbsp honey

Toss the carrots with the oil on a large baking sheet. Roast at 200C for 15 minutes.
Nestle the sausages among the vegetables and return to the oven for 30 minutes.
While the sausages cook, shake the dressing ingredients together in a jar. Drizzle over the tray straight from the oven and toss.`)
    expect(stepOf(steps, 'drizzle over').equipment).toEqual(['tray'])
    expect(waits(steps)['drizzle over']!.sort()).toEqual(['return to', 'shake the'])
  })
})
