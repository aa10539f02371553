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

describe('a chilli for a crowd', () => {
  const { steps } = readRecipeText(`Chilli
Serves 12

1.5 kg beef mince
250 g smoked bacon, chopped
4 onions, finely chopped
4 tins chopped tomatoes
500 ml beef stock
50 g dark chocolate
2 limes

1. Fry the bacon in your largest casserole over a medium heat until crisp, about 8 minutes. Remove with a slotted spoon.
2. Turn up the heat and brown the mince in the bacon fat in three batches, 5 minutes each, transferring each batch to a bowl.
3. Turn the heat down, add the onions and cook for 12-15 minutes until soft.
4. Return the meat and bacon to the pot. Add the tomatoes and stock. Bring to a simmer, cover and cook gently for 1½ hours.
5. Break in the chocolate, squeeze in the lime juice and check the seasoning.`)
  const order = waits(steps)
  it('browns in the pot that the bacon has left, and has both back', () => {
    expect(stepOf(steps, 'brown the mince')).toMatchObject({
      minutes: [15, 15],
      equipment: ['pot', 'burner'],
    })
    expect(stepOf(steps, 'brown the mince').after).toMatchObject([{ food: false }])
    expect(order['return the']!.sort()).toEqual(['fry the', 'turn the', 'turn up'])
  })
  it('breaks the chocolate into what simmers', () => {
    expect(order['break in']).toEqual(['bring to'])
  })
})

describe('a pie of filo', () => {
  const { steps } = readRecipeText(`Filo pie

- 800g frozen spinach
- 200g feta
- 3 eggs
- 8 sheets filo
- 100g butter

- Defrost the spinach overnight in the fridge. Next day squeeze out ALL the water with your hands.
- Melt the butter.
- Mix spinach, crumbled feta, eggs.
- Brush a 23cm springform with butter. Line with 5 sheets of filo, edges hanging over. Fill. Fold the edges in, scrunch the other 3 sheets on top.
- 180 fan, 45 min, until deep gold.`)
  const order = waits(steps)
  it('melts its butter by itself, and brushes the tin with it', () => {
    expect(stepOf(steps, 'mix spinach').uses).not.toContain('butter')
    expect(order['brush a']).toEqual(['melt the'])
  })
  it('fills the lined tin with what was mixed, and bakes it', () => {
    expect(order['fill with']!.sort()).toEqual(['line with', 'mix spinach,'])
    expect(stepOf(steps, '180').celsius).toBe(180)
    expect(stepOf(steps, '180')).toMatchObject({
      work: 'bake',
      minutes: [45, 45],
      equipment: ['oven', 'tin'],
    })
  })
})

describe('a soup of ham', () => {
  const { steps } = readRecipeText(`Ham and pea soup

2 smoked ham hocks (about 2kg)
500g yellow split peas
2 onions, chopped
2 bay leaves

Soak the hocks in cold water overnight; drain.
Put them in the pot with the bay, cover with 3 litres fresh water, bring to the boil, then simmer 2 hours.
Lift out the hocks and leave till cool enough to handle. Strain the stock; measure 2 litres back into the pot.
Add the peas and onions to the stock. Simmer 50 mins. Blitz a third of it and stir back in.
Shred the ham. Stir most of it through the soup.`)
  const order = waits(steps)
  it('strains the pot without the hocks, and has the ham back in the soup', () => {
    expect(stepOf(steps, 'strain the').after.filter((a) => a.food !== false)).toHaveLength(1)
    expect(stepOf(steps, 'stir back').equipment).toEqual(['pot'])
    expect(order['shred the']).toEqual(['lift out'])
    expect(order['stir most']!.sort()).toEqual(['shred the', 'stir back'])
  })
})
