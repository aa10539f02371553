import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts in which things go in without a verb, one pan after another.

describe('a bolognese', () => {
  const read = readRecipeText(`Big-batch bolognese (Nan's)

Makes 12 portions - takes about 3 hours, mostly unattended

1kg beef mince & 500g pork mince
200g smoked pancetta cubes
3 onions, 3 carrots, 4 celery sticks - all finely chopped (use the processor)
6 garlic cloves, crushed
300ml red wine
500ml whole milk
4 x 400g tins chopped tomatoes
3 tbsp tomato puree
2 beef stock cubes
2 bay leaves

Pulse the veg in 3 lots.
Fry off the pancetta in your biggest pan till the fat runs, then add the chopped veg and cook slowly for 20 mins or so, stirring now and again. Garlic goes in for the last couple of minutes.
Meanwhile brown the mince in a separate frying pan in 3 batches - don't crowd it - about 6 mins a go, adding each lot to the veg as it's done.
Pour in the wine and let it bubble right down. Then the milk, and let that bubble down too, 10-15 mins.
Tomatoes, puree, crumbled stock cubes, bay, 500ml water. Bring up to a simmer, half cover and leave on the lowest heat for 2 hours.
Cool quickly (stand the pan in a sink of cold water) and divide between 6 tubs, 2 portions in each. Fridge for 3 days, freezer for 4 months.`)
  const order = waits(read.steps)
  it('has two minces of one line, and pancetta that is called so', () => {
    expect(read.ingredients.slice(0, 2).map((i) => [i.item, i.amount, i.unit])).toEqual([
      ['beef mince', 1, 'kg'],
      ['pork mince', 500, 'g'],
    ])
    expect(stepOf(read.steps, 'fry off').uses).toEqual(['cube'])
    expect(read.doubts.filter((d) => /no step takes|nothing to do/.test(d))).toEqual([])
  })
  it('has the mince come to the vegetables, and everything after it there', () => {
    expect(order['add it']!.sort()).toEqual(['add the', 'brown the'])
    expect(order['pour in']).toEqual(['add it'])
    expect(stepOf(read.steps, 'pour in').equipment).toContain('pot')
    expect(stepOf(read.steps, 'garlic').minutes).toEqual([2, 2])
  })
  it('leaves hands free while it cooks slowly, and is stirred while it simmers', () => {
    expect(stepOf(read.steps, 'cook slowly')).toMatchObject({ work: 'soften', minutes: [20, 20] })
    expect(stepOf(read.steps, 'lowest heat').work).toBe('simmer')
  })
  it('takes a sentence of things as what goes in', () => {
    expect(stepOf(read.steps, 'crumbled stock cubes').uses).toEqual([
      'tomato',
      'puree',
      'cube-2',
      'leaf',
    ])
  })
})

describe('a traybake', () => {
  const read = readRecipeText(`Lemony chicken & orzo traybake
for 4

8 bone-in chicken thighs
1 lemon
250g orzo
600ml hot chicken stock
200g frozen peas
1 tsp dried oregano
2 tbsp olive oil
100g feta

Oven to 200 fan.
Thighs in a deep roasting tin, skin up, with the oil, oregano, lemon zest and plenty of seasoning. 25 minutes.
Take the tin out, pour off most of the fat. Orzo in round the chicken, stock over, back in for 15.
Peas in, stir, 5 more minutes. The orzo should be tender and most of the stock gone.
Crumble over the feta, squeeze over the lemon.`)
  it('puts the chicken into its tin, and skins nothing', () => {
    expect(stepOf(read.steps, 'thighs')).toMatchObject({ work: 'assemble', equipment: ['tray'] })
  })
  it('goes back into the oven with what was added', () => {
    expect(stepOf(read.steps, 'orzo round').uses).toEqual(expect.arrayContaining(['orzo', 'stock']))
    expect(stepOf(read.steps, 'return to the oven')).toMatchObject({
      work: 'bake',
      minutes: [15, 15],
    })
    expect(waits(read.steps)['return to']).toEqual(['add the'])
  })
})

describe('a stir-fry', () => {
  const read = readRecipeText(`Ginger beef stir-fry

Enough for 3

350g rump steak, cut into thin strips
1 tbsp cornflour
2 tbsp soy sauce
1 red pepper, sliced
150g mangetout
thumb of ginger, cut into matchsticks
2 garlic cloves
nest of egg noodles per person
1 tbsp each honey and rice vinegar
2 tbsp groundnut oil
2 spring onions

Toss the steak with the cornflour and half the soy. Set aside while you get everything else ready.
Cook the noodles according to the packet (usually 4 mins), drain, rinse under the cold tap and shake dry.
Whisk the rest of the soy with the honey, vinegar and 3 tbsp water.
Get the wok smoking hot. Add half the oil and stir-fry the beef over a fierce heat for 2 mins; tip onto a plate.
Rest of the oil in, followed by the pepper and mangetout - 2 mins - then the ginger and garlic for another minute.
Return the beef with any juices, pour in the sauce and let it bubble till syrupy. Noodles in, toss to coat and heat through. Scatter with the spring onions and eat straight away.`)
  const order = waits(read.steps)
  it('reads its list to the end, with a nest of noodles for each', () => {
    expect(read.ingredients).toHaveLength(12)
    expect(read.ingredients.find((i) => i.item === 'egg noodles')!.amount).toBe(3)
    expect(read.ingredients.find((i) => i.item === 'ginger')!.amount).toBe(1)
  })
  it('fries what goes in without a verb, and in its turn', () => {
    expect(stepOf(read.steps, 'pepper and mangetout')).toMatchObject({
      work: 'fry',
      minutes: [2, 2],
    })
    expect(order['add the']).toEqual(['add rest'])
    expect(order['return the']).toEqual(expect.arrayContaining(['tip onto', 'add the']))
    expect(order['add noodles,']).toEqual(['drain, rinse', 'return the'])
  })
})

describe('buns that stand overnight', () => {
  it('stand for an hour out of the fridge before they are baked', () => {
    const read = readRecipeText(`Cinnamon buns
Makes 12

500g strong white flour
7g sachet fast yeast
250ml milk

Knead everything together for 8 minutes. Leave for an hour until doubled.
Roll out, cut into 12 and arrange in a greased tin. Cover and put in the fridge overnight (8-12 hours).
In the morning
Take the buns out an hour before baking. Heat the oven to 180C. Bake for 25 mins until golden.`)
    const stand = stepOf(read.steps, 'take the buns out')
    expect(stand).toMatchObject({ work: 'rest', minutes: [60, 60], equipment: [] })
    expect(waits(read.steps)['bake for']).toEqual(['take the'])
  })
})
