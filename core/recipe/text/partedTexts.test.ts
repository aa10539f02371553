import { describe, expect, it } from 'vitest'
import { plannable } from '../plannable'
import { sharesOf } from '../shares'
import { recipeSchema } from '../schema'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts in which one half goes another way than the other, and things stand ready for later.

describe('fish fingers for now and for the freezer', () => {
  const { serves, steps } = readRecipeText(`Fish fingers and smashed peas
Serves 4 kids + 2 grown ups

800g skinless pollock fillet
75g flour, seasoned
2 large eggs, beaten
200g dried breadcrumbs
sunflower oil spray
600g frozen peas
knob of butter

Pat the fish dry & cut into 24 fingers. Dip each finger in flour, then egg, then crumbs; lay on a lined tray.
Freeze half at this point - open freeze on the tray 2 hrs, then bag.
Spray the rest with oil. Oven 220/fan 200, 15 mins, turning after 8.
Meanwhile boil peas 4 mins, drain, crush with the butter.
From frozen: 20-22 mins.`)
  const order = waits(steps)
  it('is for young and old', () => {
    expect(serves).toBe(6)
  })
  it('bakes the one half without waiting for the other, and freezes that raw', () => {
    expect(order['spray the']).toEqual(['lay on'])
    expect(order['open freeze']).toEqual(['lay on'])
    expect(order['oven 220/fan']).toEqual(['spray the'])
    expect(steps.at(-1)!.do).toBe('Crush with the butter')
    expect(order['crush with']).toEqual(['drain'])
  })
})

describe('lamb in a parcel', () => {
  const { steps } = readRecipeText(`Lamb in a parcel

1 leg of lamb, about 2.2 kg
8 garlic cloves
2 lemons
150 ml olive oil
1.2 kg waxy potatoes, halved
2 red peppers, in thick strips
200 g feta

For 8.

The night before: blitz 6 of the garlic cloves with the zest and juice of one lemon and the oil. Stab the lamb all over and rub in two thirds of the marinade. Bag it and leave it in the fridge.

On the day: take the lamb out an hour ahead. Oven to 160C. Two big sheets of parchment, crossed, in a deep roasting tin; potatoes and peppers in the middle with the rest of the marinade and the other lemon in slices; lamb on top. Bring the paper up and tie it like a parcel. 4 hours. Open the parcel, oven up to 200C, another 30 minutes to colour.

Lamb onto a board under foil, 20 minutes. Crumble the feta over the potatoes and give them 10 more minutes in the oven while it rests. Pull the meat into chunks with two forks.`)
  const order = waits(steps)
  it('keeps a third of the marinade back for the vegetables, which need no lamb', () => {
    const put = stepOf(steps, 'put the potatoes')
    expect(put.equipment).toEqual(['tray'])
    expect(put.after.map((a) => a.step)).toEqual([
      stepOf(steps, 'blitz').id,
      stepOf(steps, 'line a').id,
    ])
  })
  it('stands for an hour, bakes in its tin, and rests on a board', () => {
    expect(stepOf(steps, 'take the lamb out')).toMatchObject({ work: 'rest', minutes: [60, 60] })
    expect(stepOf(steps, 'bake for 4')).toMatchObject({ work: 'bake', celsius: 160 })
    expect(stepOf(steps, 'lift the lamb')).toMatchObject({
      work: 'rest',
      minutes: [20, 20],
      equipment: ['board'],
    })
    expect(order['crumble the']).toContain('open the')
    expect(stepOf(steps, 'pull the meat').equipment).toEqual(['board'])
  })
})

describe('one pot of chickpeas for two dishes', () => {
  const read = readRecipeText(`CHICKPEAS + HUMMUS + CURRY

500 g dried chickpeas, 1 tsp bicarb
Hummus: 150 g tahini, 2 lemons, 2 cloves garlic, ice-cold water
Curry: 2 onions, 4 cloves garlic, 5 cm ginger, 2 tbsp curry powder, 2 tins tomatoes, 1 tin coconut milk, 200 g spinach

Soak chickpeas overnight in plenty of water with half the bicarb. Drain, rinse.
High pressure 20 min, natural release 15 min. Drain, keep a mugful of the cooking water.

HUMMUS (makes 2 tubs)
Put 500 g of the cooked chickpeas in the processor while still warm with the tahini, juice of the lemons and the garlic. Run 3 min, adding ice-cold water until pale and fluffy.

CURRY (4 portions)
Chop onions, fry in oil 10 min. Garlic, ginger (grated) and curry powder in, 2 min. Tomatoes, coconut milk, the remaining chickpeas and a splash of their water. Simmer 20 min. Spinach in, wilt.`)
  const { steps, ingredients } = read
  const order = waits(steps)
  it('gives each its own garlic', () => {
    const inHummus = stepOf(steps, 'put 500').uses
    const garlic = ingredients.find((i) => i.item === 'garlic' && inHummus.includes(i.id))
    expect(garlic?.amount).toBe(2)
  })
  it('takes the rest from where the part was taken, and not out of the hummus', () => {
    expect(order['add tomatoes,']!.sort()).toEqual(['drain, keep', 'garlic, ginger'])
    expect(order['process for']).toEqual(['put 500'])
    expect(stepOf(steps, 'process for').work).toBe('blend')
  })
  it('cooks under pressure, and a litre of curry in a pot', () => {
    expect(stepOf(steps, 'high pressure').work).toBe('pressure')
    expect(stepOf(steps, 'simmer 20').equipment).toContain('pot')
    expect(stepOf(steps, 'wilt').minutes[1]).toBeLessThan(5)
  })
  it('weighs no dried chickpeas where cooked ones are weighed', () => {
    const recipe = recipeSchema.parse(plannable(read, 'chickpeas', 'Ch'))
    const put = recipe.steps.find((s) => s.do.startsWith('Put 500'))!
    expect(sharesOf(recipe).get(put.id)!.get('chickpea')).toBe(0)
  })
})

describe('a cake in two tins', () => {
  const read = readRecipeText(`Coffee cake

For the cake
225g soft butter
225g caster sugar
4 eggs
225g self-raising flour
2 tbsp instant coffee dissolved in 1 tbsp boiling water

Butter and line two 20cm sandwich tins. Heat your oven to 180C.
Beat the butter and sugar with an electric whisk, 5 minutes. Add the eggs one by one. Fold in the flour and the coffee.
Divide between the tins, level, and bake for 25 minutes. Leave in the tins 5 minutes, then turn out onto a wire rack and cool completely, an hour or so.
Cuts into 10. Keeps four days in a tin, or freeze the sponges un-iced for 2 months.`)
  it('butters its tins with none of its butter, and fills them when they are lined', () => {
    expect(stepOf(read.steps, 'butter, line').uses).toEqual([])
    expect(stepOf(read.steps, 'beat the').uses).toContain('butter')
    expect(waits(read.steps)['divide between']).toEqual(['(butter, line', 'fold in'])
  })
  it('is of coffee and no water, eaten in ten, and kept in its tin', () => {
    expect(read.ingredients.at(-1)).toMatchObject({ item: 'instant coffee', amount: 2 })
    expect(read.serves).toBe(10)
    expect(plannable(read, 'cake', 'Ca').store).toMatchObject({ place: 'shelf', days: 4 })
  })
})

describe('chutney in hot jars', () => {
  const { steps } = readRecipeText(`Chutney

- 1.5 kg green tomatoes, chopped small
- 400 g light brown sugar
- 600 ml cider vinegar

1. Put everything except the sugar in your preserving pan. Bring up to the boil, then simmer for 45 minutes.
2. Add the sugar and stir until it dissolves.
3. Simmer, uncovered, for another hour or so.
4. Meanwhile wash the jars in hot soapy water and dry them in the oven at 140 °C for 15 minutes.
5. Ladle the hot chutney into the hot jars and seal at once.
6. Store in a dark cupboard for at least a month before eating. Refrigerate once opened.`)
  it('leaves the sugar for later, and heats the jars beside it, to be hot when they are filled', () => {
    expect(stepOf(steps, 'put everything').uses).not.toContain('sugar')
    const wash = stepOf(steps, 'wash the jars')
    expect(wash).toMatchObject({ after: [], work: 'bake', celsius: 140 })
    expect(stepOf(steps, 'ladle').after).toContainEqual({ step: wash.id, food: false, most: 15 })
    expect(steps.at(-1)!.do).toMatch(/^Ladle/)
  })
})

describe('a stew in a few words', () => {
  const read = readRecipeText(`Poulet basquaise

6 pers.

6 chicken legs
4 peppers (2 red, 2 green), in strips
3 onions, sliced
150 g cured ham, in pieces
800 g tomatoes
1 glass white wine
olive oil, thyme, bay

Salt the chicken. In a cocotte brown it in oil, skin first, 10 min in all. Reserve.
In the same fat the ham 2 min, then onions and peppers, 15 min, soft heat. Wine, let reduce. Tomatoes, thyme, bay; 15 min without lid.
Put back the chicken, cover, 40 min at small bubbles.`)
  const { ingredients, steps, serves } = read
  const order = waits(steps)
  it('reads a list with brackets and without amounts', () => {
    expect(serves).toBe(6)
    expect(ingredients.map((i) => i.item)).toEqual([
      'chicken legs',
      'peppers',
      'onions',
      'cured ham',
      'tomatoes',
      'white wine',
      'olive oil',
      'thyme',
      'bay',
    ])
  })
  it('has the chicken out of its pot while the ham fries there, and back at the end', () => {
    expect(order['brown it']).toEqual(['salt the'])
    expect(stepOf(steps, 'fry the ham').after).toMatchObject([{ food: false }])
    expect(order['put back']!.sort()).toEqual(['brown it', 'cook for'])
    expect(stepOf(steps, 'without lid').do).toBe('Cook for 15 min without lid')
  })
  it('cuts what the list has in strips, and takes a spoon of oil and no pinch', () => {
    const planned = plannable(read, 'stew', 'St')
    expect(planned.steps.map((s) => s.do)).toContain('Cut the peppers in strips')
    expect(planned.ingredients.find((i) => i.item === 'olive oil')!.unit).toBe('tbsp')
  })
})

describe('burritos', () => {
  const read = readRecipeText(`Breakfast burritos x 10 (freezer)

Ingredients
10 large flour tortillas
12 eggs
500 g breakfast sausage
600 g potatoes, 1 cm dice
200 g salsa, drained
oil, salt

Method
Roast potatoes, tossed in 2 Tbsp oil, at 220°C for 30 min; toss once.
Brown the sausage in a skillet, breaking it up, 8 min. Drain on paper towel. Wipe out the skillet.
Whisk eggs + salt. Scramble over medium-low heat until just set, about 5 min. Spread on a plate to cool.
Let all the fillings cool 20 min (warm filling = soggy burritos).
Warm tortillas 15 sec each in microwave. Fill: potatoes, sausage, egg, spoon of salsa. Roll, tucking in ends.`)
  const { steps } = read
  const order = waits(steps)
  it('warms the tortillas by themselves, and fills them with all that has cooled', () => {
    expect(read.serves).toBe(10)
    expect(order['warm tortillas']).toEqual([])
    expect(order['let all']).toHaveLength(3)
    expect(order['fill with']!.sort()).toEqual(['let all', 'warm tortillas'])
  })
  it('has sausage broken up and browned through, and oil as much as is said', () => {
    expect(stepOf(steps, 'fill with').hygiene).not.toBe('raw')
    const planned = plannable(read, 'burritos', 'Bu')
    expect(planned.ingredients.find((i) => i.item === 'oil')).toMatchObject({
      amount: 2,
      unit: 'tbsp',
    })
    expect(planned.steps.map((s) => s.do)).toContain('Cut the potatoes into 1 cm dice')
  })
})

describe('aubergines in layers', () => {
  const { steps } = readRecipeText(`Parmigiana

3 large aubergines, cut lengthways into 5mm slices
For the sauce: 1 onion, finely chopped; 3 x 400g tins of plum tomatoes; a few basil stalks
100g parmesan, finely grated
50g breadcrumbs
Olive oil

For the sauce, soften the onion in 2 tablespoons of oil for about 10 minutes. Add the tomatoes and basil stalks and simmer for 25-30 minutes. Fish out the stalks.
While the sauce ticks over, brush the aubergines with oil and griddle them in batches, 3 minutes a side.
Spread a little sauce over the base of a baking dish, then layer aubergine, sauce and parmesan. Mix the last of the parmesan with the breadcrumbs and scatter it over.
Bake for 35 minutes.`)
  it('fries on the griddle, over a burner', () => {
    expect(stepOf(steps, 'on the griddle')).toMatchObject({
      work: 'fry',
      equipment: ['griddle', 'burner'],
    })
    expect(stepOf(steps, 'simmer for').do).toContain('Lift out the stalks')
  })
  it('mixes the crumbs beside the layers, and scatters them over', () => {
    const order = waits(steps)
    expect(order['mix the']).toEqual([])
    expect(order['scatter it']!.sort()).toEqual(['mix the', 'spread a'])
  })
})
