import { describe, expect, it } from 'vitest'
import { plannable } from '../plannable'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts by people who leave out what goes without saying.

describe('a cottage pie', () => {
  const read = readRecipeText(`Cottage pie
Serves 6

splash of oil
2 onions, chopped
3 carrots, chopped
900g beef mince
2 tbsp plain flour
500ml beef stock
few shakes Worcestershire sauce
1.2kg potatoes
100ml milk
75g strong cheddar

Fry the mince in batches in a large casserole until browned, then tip into a colander to drain off the fat.
Put the oil and veg in the pan and soften for 15 minutes or so, then stir the mince back in with the flour and fry for a couple more minutes. Add the stock and Worcestershire sauce, cover and simmer for 45 mins.
While that's cooking, peel and chop the potatoes, boil for 15 mins until tender, drain well, then mash with the milk.
Spoon the meat into two ovenproof dishes (I do one for the freezer), top with the mash and grate over the cheese.
Oven at 200°C for 30 mins, or from frozen 160°C for 1 hour 20.`)
  const order = waits(read.steps)
  it('softens the onions and carrots, and leaves the potatoes for the mash', () => {
    expect(stepOf(read.steps, 'oil and veg').uses).toEqual(['oil', 'onion', 'carrot'])
    expect(stepOf(read.steps, 'chop the potatoes').after).toEqual([])
  })
  it('has the mince out of the pan meanwhile, and back in with the vegetables', () => {
    expect(order['put the']).toEqual(['(fry the'])
    expect(order['stir the']!.sort()).toEqual(['fry the', 'put the'])
    expect(order['spoon the']!.sort()).toEqual(['add the', 'mash with'])
  })
  it('says nothing of the freezer in brackets, nor of what is baked from frozen', () => {
    expect(stepOf(read.steps, 'spoon the meat').equipment).toEqual(['oven-dish'])
    expect(stepOf(read.steps, 'oven at 200')).toMatchObject({ minutes: [30, 30], celsius: 200 })
    expect(stepOf(read.steps, 'chop the potatoes').do).not.toMatch(/cooking/)
  })
  it('calls a few shakes of a sauce by the sauce', () => {
    expect(read.ingredients.map((i) => i.item)).toContain('worcestershire sauce')
  })
})

describe('a katsu curry', () => {
  const read = readRecipeText(`Chicken katsu curry for 4

Curry sauce
1 tbsp oil
1 onion, sliced
3 garlic cloves
1 tbsp curry powder
500ml chicken stock
1 tbsp honey
1 tbsp soy sauce

Chicken
4 chicken breasts
50g plain flour
2 eggs
150g panko

Heat the oil and gently cook the onion, lid on, for 10 minutes. Crush in the garlic, stir in the curry powder and cook for a minute. Gradually add stock, then the honey and soy. Simmer for 15 minutes.
Set up three plates: flour, beaten egg, panko. Dip the chicken in each in that order, pressing the crumbs on.
Heat 1cm of oil in a frying pan. Fry the chicken 4 minutes each side, two at a time, till golden and cooked through.`)
  const order = waits(read.steps)
  it('crushes the garlic into the pan, and takes soy for the sauce of that name', () => {
    expect(order['add the']).toEqual(['heat the'])
    expect(stepOf(read.steps, 'gradually add').uses).toEqual(['stock', 'honey', 'sauce'])
  })
  it('dips the chicken in what was set out for it', () => {
    expect(order['dip the']).toEqual(['flour, beaten'])
    expect(stepOf(read.steps, 'dip the chicken').uses).toEqual(['breast'])
  })
})

describe('a congee that cooks overnight', () => {
  const read = readRecipeText(`Overnight chicken congee

serves 3

150g jasmine rice
1.5l chicken stock
2 chicken legs, skin off
thumb of ginger, sliced
3 spring onions, sliced

Rinse the rice. Put the rice, stock, chicken and ginger in the slow cooker, cook on low for 7-8 hours overnight.
In the morning lift out the chicken and ginger. Shred the meat, throw the bones away and stir it back in.
Ladle into bowls, top each with spring onions.`)
  const order = waits(read.steps)
  it('lifts the meat out as a step of its own, and stirs it back into the cooker', () => {
    expect(order['lift out']).toEqual(['put the'])
    expect(order['shred the']).toEqual(['lift out'])
    expect(order['stir it']!.sort()).toEqual(['put the', 'shred the'])
    expect(stepOf(read.steps, 'stir it back').equipment).toEqual(['slow-cooker'])
  })
})

describe('a pizza night', () => {
  const read = readRecipeText(`Pizza night (dough makes 4, freeze 2)

For the dough
500g strong white bread flour
7g fast-action yeast
325ml warm water

For the tomato sauce
400g passata
1 tsp dried oregano

Topping for two
250g mozzarella
handful rocket

- Mix flour and yeast in a bowl. Add water and knead for 8 mins.
- Cover and leave to rise somewhere warm until doubled in size - about 1 hour.
- Meanwhile simmer the passata with the oregano for 10 mins and leave to cool.
- Knock back, divide into 4 balls. Put two of the balls in freezer bags and freeze.
- Heat the oven as hot as it will go (240C) with two baking sheets inside.
- Roll the other two into 30cm rounds on a floured surface. Spread with the sauce and tear over the mozzarella.
- Slide onto the hot sheets and bake for 10-12 mins until crisp. Top with the rocket.`)
  const order = waits(read.steps)
  it('knocks back the dough, and not the sauce that cools beside it', () => {
    expect(read.serves).toBe(4)
    expect(order['knock back']).toEqual(['cover, leave'])
  })
  it('rolls the other two, with the sauce on them', () => {
    expect(order['roll the']).toEqual(['divide into'])
    expect(order['spread with']!.sort()).toEqual(['leave to', 'roll the'])
    expect(stepOf(read.steps, 'slide onto').equipment).toEqual(['tray', 'oven'])
  })
  it('freezes dough, and not what is baked', () => {
    expect(plannable(read, 'pizza', 'Pi').store?.place).not.toBe('freezer')
  })
})

describe('a ragu in the shortest of words', () => {
  const read = readRecipeText(`Sausage ragu w/ rigatoni
feeds 4 + 2 lunches

8 good pork sausages / 1 red onion / 1 fennel bulb / 3 garlic / 1 tsp fennel seeds / 150ml white wine / 2 tins toms / 100ml double cream / 450g rigatoni / parmesan

Skins off the sausages, break into small bits. Brown them hard in a big shallow casserole, 8-10 min.
Meanwhile finely chop the onion and fennel.
In they go with the fennel seeds. Low heat, lid on, 15 min. Garlic, 2 min.
Wine - let it bubble away. Toms. 30 min blipping, lid half on.
Pasta: boil in lots of salted water till nearly done (packet minus 2 min), save a mugful of the water.
Cream into the ragu, then the drained pasta + a splash of the water. Toss over the heat 2 mins. Parmesan.`)
  const order = waits(read.steps)
  it('skins the sausages, and puts the vegetables to them', () => {
    expect(stepOf(read.steps, 'skin the sausages').work).toBe('cut')
    expect(order['add them']!.sort()).toEqual(['brown them', 'finely chop'])
    expect(stepOf(read.steps, 'low heat')).toMatchObject({ work: 'soften', minutes: [15, 15] })
  })
  it('adds what is a sentence by itself', () => {
    expect(stepOf(read.steps, 'toms').uses).toEqual(['tomato'])
    expect(stepOf(read.steps, '30 min')).toMatchObject({ work: 'simmer', minutes: [30, 30] })
    expect(stepOf(read.steps, 'parmesan').uses).toEqual(['parmesan'])
  })
  it('boils the pasta for longer than the two minutes that are spared', () => {
    const pasta = stepOf(read.steps, 'salted water')
    expect(pasta).toMatchObject({ uses: ['rigatoni'], after: [] })
    expect(pasta.minutes[0]).toBeGreaterThan(5)
  })
  it('puts the pasta into the ragu', () => {
    expect(order['stir the']).toHaveLength(2)
    expect(stepOf(read.steps, 'toss over')).toMatchObject({ equipment: ['pot', 'burner'] })
  })
})

describe('boxes for lunch', () => {
  const read = readRecipeText(`Roast vegetable couscous boxes
5 lunches

2 courgettes, 2 red peppers, 2 red onions
300g couscous
450g halloumi
bag of rocket

Oven to 220C.
Chop all the veg into chunks and spread over 2 large baking trays. Roast 20 mins.
Put couscous in a heatproof bowl, pour on 400ml boiling water, cover and leave 5 mins.
Slice the halloumi and dry fry 2 mins each side.
Divide the couscous, veg and halloumi between 5 boxes. Rocket in little pots - add on the day.`)
  it('is for five, and has no lunches on its list', () => {
    expect(read.serves).toBe(5)
    expect(read.ingredients[0]!.item).toBe('courgettes')
    expect(read.ingredients.find((i) => /rocket/.test(i.item))!.item).toBe('rocket')
  })
  it('fries the cheese, and cooks nothing in little pots', () => {
    expect(stepOf(read.steps, 'dry fry')).toMatchObject({ work: 'fry', minutes: [4, 4] })
    expect(read.steps.some((s) => s.equipment.includes('pot'))).toBe(false)
  })
})
