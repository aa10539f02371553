import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts of pies, tarts and loaves, and of what is cooked beside them.

describe('a fish pie told in titled paragraphs', () => {
  const read = readRecipeText(`Fish pie

Serves 6

1kg floury potatoes, peeled and cut into chunks
400g skinless white fish fillet
400g smoked haddock
600ml full-fat milk
1 small onion, quartered
4 cloves
2 bay leaves
4 eggs
small bunch parsley, leaves only, chopped
100g butter
50g plain flour
pinch of freshly grated nutmeg
50g cheddar, grated

Poach the fish. Put the fish in the frying pan and pour over 500ml of the milk. Stud each onion quarter with a clove, then add to the milk with the bay leaves. Bring the milk just to the boil – you will see a few small bubbles. Reduce the heat and simmer for 8 mins. Lift the fish onto a plate and strain the milk into a jug to cool. Flake the fish into large pieces in the baking dish.
Hard-boil the eggs. Bring a small pan of water to a gentle boil, then carefully lower the eggs in with a slotted spoon. Bring the water back to a gentle boil, with just a couple of bubbles rising to the surface. Set the timer for 8 mins, cook, then drain and cool in a bowl of cold water. Peel, slice into quarters and arrange on top of the fish, then scatter over the chopped parsley.
Make the sauce. Melt half the butter in a pan, stir in the flour and cook for 1 min over moderate heat. Take off the heat, pour in a little of the cold poaching milk, then stir until blended. Return to the heat, bring to the boil and cook for 5 mins, stirring continually, until it coats the back of a spoon. Remove from the heat, season with salt, pepper and nutmeg, then pour over the fish.
Assemble and bake. Heat oven to 200C/fan 180C/gas 6. Boil the potatoes for 20 mins. Drain, season and mash with the remaining butter and milk. Use to top the pie, starting at the edge of the dish. Fluff the top with a fork, sprinkle over the cheese, then bake for 30 mins. Make up to a day ahead, chill, then bake for 40 mins.`)
  const order = waits(read.steps)
  it('takes no title and no word about another day for a step', () => {
    const told = read.steps.map((s) => s.do).join('\n')
    expect(told).not.toMatch(/^Poach the fish$|^Hard-boil|^Assemble|day ahead/m)
    expect(read.steps.at(-1)!.minutes).toEqual([30, 30])
  })
  it('means both kinds of fish, and the spice by "4 cloves"', () => {
    expect(stepOf(read.steps, 'put the fish').uses).toEqual(
      expect.arrayContaining(['fillet', 'haddock']),
    )
    expect(read.ingredients.find((i) => i.id === 'clove')).toMatchObject({
      item: 'cloves',
      amount: 4,
    })
  })
  it('keeps fish, milk and onion in one pan until the fish is lifted out', () => {
    expect(order['stud each']).toEqual(['put the'])
    expect(order['bring the']).toBeDefined()
    expect(stepOf(read.steps, 'bring the milk').equipment).toContain('frying-pan')
    expect(order['lift the']).toEqual(['reduce the'])
  })
  it('brings the water back with the eggs in it, in a few minutes', () => {
    expect(stepOf(read.steps, 'water back')).toMatchObject({ minutes: [3, 5] })
    expect(stepOf(read.steps, 'water back').after).toHaveLength(1)
  })
  it('pours the sauce over the fish in its dish, and tops that with the mash', () => {
    expect(order['take off']).toEqual(['lift the', 'melt half'])
    expect(order['remove from']!.sort()).toEqual(['arrange on', 'return to'])
    expect(order['spread it']!.sort()).toEqual(['mash with', 'remove from'])
    expect(stepOf(read.steps, 'remove from').equipment).toEqual(['oven-dish'])
    expect(stepOf(read.steps, 'fluff the top').equipment).toEqual(['oven-dish'])
  })
})

describe('a quiche', () => {
  const read = readRecipeText(`Leek and bacon quiche

For the pastry
175 g plain flour
75 g cold butter, cubed
2-3 tbsp cold water

For the filling
2 leeks, sliced and washed
6 rashers smoked streaky bacon, chopped
3 eggs
200 ml double cream
75 g Gruyère, grated

1. Rub the butter into the flour until it looks like breadcrumbs. Stir in enough water to bring it together. Wrap and chill for 30 minutes.
2. Roll out on a floured surface and line a 23 cm loose-bottomed tart tin. Chill again for 20 minutes. Heat the oven to 190°C with a baking sheet inside.
3. Line the case with baking paper and baking beans and blind bake for 15 minutes. Remove the beans and paper and bake for 5 minutes more until dry.
4. While the pastry is in the oven fry the bacon until crisp, lift out, then soften the leeks in the fat for 10 minutes. Cool slightly.
5. Whisk the eggs with the cream, season.
6. Scatter the leeks, bacon and most of the cheese over the base. Pour in the custard, top with the rest of the cheese.
7. Turn the oven down to 170°C and bake for 30-35 minutes until just set with a slight wobble. Serves 6.`)
  const order = waits(read.steps)
  it('lines the tin with what has been rolled', () => {
    expect(order['line a']).toEqual(['roll out'])
    expect(order['chill again']).toEqual(['line a'])
  })
  it('bakes the case blind, at the heat of an oven with a sheet in it', () => {
    expect(stepOf(read.steps, 'blind bake')).toMatchObject({
      work: 'bake',
      minutes: [15, 15],
      celsius: 190,
    })
  })
  it('fries the bacon, crisp and no longer raw, before the leeks', () => {
    expect(stepOf(read.steps, 'fry the bacon')).toMatchObject({ work: 'fry', uses: ['bacon'] })
    expect(order['soften the']).toEqual(['(fry the'])
    expect(stepOf(read.steps, 'scatter the leeks').hygiene).not.toBe('raw')
  })
  it('fills the case in its tin, and bakes that', () => {
    expect(order['scatter the']).toContain('remove the')
    expect(order['pour in']!.sort()).toEqual(['scatter the', 'whisk the'])
    expect(stepOf(read.steps, 'pour in').equipment).toEqual(['tin'])
    expect(stepOf(read.steps, 'slight wobble')).toMatchObject({ celsius: 170 })
    expect(stepOf(read.steps, 'slight wobble').equipment).toContain('tin')
  })
})

describe('a loaf', () => {
  const read = readRecipeText(`Banana bread. Makes 2 loaves - one to eat, one to freeze

6 very ripe bananas
250g caster sugar
3 eggs
400g self raising flour
100g walnuts

Oven 170 fan. Line two loaf tins. Mash bananas in a big bowl. Beat in sugar and eggs. Sift over flour and fold in. Chop and stir in walnuts. Split between the tins. Bake 50-55 min till a skewer comes out clean. 10 min in the tin, then turn out onto a rack till cold. Wrap one in foil and freeze up to 3 months.`)
  const order = waits(read.steps)
  it('chops the nuts by themselves, and stirs them into the bowl', () => {
    expect(stepOf(read.steps, 'chop walnuts').after).toEqual([])
    expect(order['stir in']!.sort()).toEqual(['chop walnuts', 'sift over'])
    expect(stepOf(read.steps, 'stir in').equipment).toEqual(['bowl'])
  })
  it('puts the batter into its tins, and wraps what is cold', () => {
    expect(order['split between']!.sort()).toEqual(['(line two', 'stir in'])
    expect(stepOf(read.steps, 'bake 50').equipment).toContain('tin')
    expect(stepOf(read.steps, 'until cold').work).toBe('cool')
    expect(order['wrap one']).toEqual(['leave until'])
  })
})

describe('a curry with a paste of its own', () => {
  const read = readRecipeText(`Green chicken curry (4)

paste:
4 green chillies, 2 shallots, 4 cloves garlic, thumb ginger, zest 1 lime, 1 tsp cumin

600g chicken thighs, boned, cut into strips
400ml tin coconut milk
150ml chicken stock
200g green beans, topped and tailed
300g jasmine rice to serve

Blitz everything for the paste in the food processor with a splash of water.
Scoop the thick cream off the top of the coconut milk into a wok and fry it with the paste for 4-5 minutes until it splits.
Add the chicken and turn it in the paste, 3 minutes or so.
Pour in the rest of the coconut milk and the stock; simmer gently 12 minutes.
Meanwhile rinse the rice, put in a pan with 450ml water, bring to the boil, lid on, lowest heat 10 minutes, then off the heat 5 without lifting the lid.
Beans into the curry for the last 4 minutes.
Serve over the rice.`)
  const order = waits(read.steps)
  it('blitzes what stands under that heading, and nothing else', () => {
    expect(stepOf(read.steps, 'blitz').uses).toEqual([
      'chilly',
      'shallot',
      'garlic',
      'ginger',
      'lime',
      'cumin',
    ])
    expect(read.ingredients.find((i) => i.id === 'lime')).toMatchObject({ amount: 1 })
  })
  it('cooks the rice in a pot of its own, and the beans in the curry', () => {
    expect(order['rinse the']).toEqual([])
    expect(stepOf(read.steps, 'lowest heat').equipment).toContain('pot')
    expect(stepOf(read.steps, 'leave off the heat').minutes).toEqual([5, 5])
    expect(order['cook the']).toEqual(['simmer gently'])
    expect(stepOf(read.steps, 'simmer gently').minutes).toEqual([8, 8])
    expect(order['serve over']!.sort()).toEqual(['cook the', 'leave off'])
  })
})

describe('a soup written without capitals', () => {
  const read = readRecipeText(`MINESTRONE — big pot, 8 bowls

you need: 2 onions, 3 carrots, 3 sticks celery, 3 cloves garlic, 4 tbsp olive oil, 2 tins chopped tomatoes, 2 l veg stock, 1 tin borlotti beans, 200g small pasta, half a savoy cabbage, a parmesan rind, basil

chop onion carrot celery small, sweat in the oil with the lid on for 15 min till soft. garlic in, 1 min. tomatoes + stock + rind, bring to boil, simmer 25 min.
shred the cabbage. add it with the beans (drained), 10 more min.
pasta goes in for the last 8. season, tear in basil.
leftovers: keep the pasta separate if you're freezing it. fridge 3 days. freezer 3 months w/o pasta.`)
  const order = waits(read.steps)
  it('is for eight, and called what it is', () => {
    expect(read).toMatchObject({ name: 'Minestrone', serves: 8 })
  })
  it('takes each sentence by itself', () => {
    expect(stepOf(read.steps, 'garlic')).toMatchObject({ minutes: [1, 1], uses: ['garlic'] })
    expect(stepOf(read.steps, 'rind')).toMatchObject({ work: 'simmer', minutes: [25, 25] })
    expect(read.steps.some((s) => /left-?overs|freez/i.test(s.do))).toBe(false)
  })
  it('cooks the cabbage in the pot, after what is in it', () => {
    expect(order['add it']!.sort()).toEqual(['add tomatoes', 'shred the'])
    expect(stepOf(read.steps, 'add it')).toMatchObject({ work: 'simmer', minutes: [10, 10] })
  })
})

describe('stuffed peppers', () => {
  const read = readRecipeText(`Stuffed peppers
Serves 4

4 large red peppers
150g bulgur wheat
300ml hot vegetable stock
1 red onion - finely chopped
200g feta - crumbled
handful each mint and parsley - chopped

Preheat the oven to 180C.
Halve the peppers and scrape out the seeds. Sit them cut side up in a roasting tin and roast for 20 minutes.
Tip the bulgur into a bowl, pour over the hot stock, cover with a plate and leave to stand for 15 minutes.
Fry the onion until soft, about 8 minutes.
Fluff the bulgur with a fork. Stir through the onion mix, feta and herbs.
Pile into the peppers, cover with foil and return to the oven for 15 minutes. Uncover for a final 5 minutes.`)
  const order = waits(read.steps)
  it('chops both herbs', () => {
    expect(read.ingredients.slice(-2).map((i) => [i.item, i.preparation])).toEqual([
      ['mint', 'chopped'],
      ['parsley', 'chopped'],
    ])
  })
  it('fluffs the bulgur in its bowl, and stirs the onion into that', () => {
    expect(order['fluff the']).toEqual(['leave to'])
    expect(order['stir through']!.sort()).toEqual(['fluff the', 'fry the'])
    expect(stepOf(read.steps, 'stir through').equipment).toEqual(['bowl'])
  })
  it('fills the peppers on their tray, and goes on baking without the foil', () => {
    expect(stepOf(read.steps, 'pile into').equipment).toEqual(['tray'])
    expect(stepOf(read.steps, 'uncover')).toMatchObject({ work: 'bake', minutes: [5, 5] })
  })
})
