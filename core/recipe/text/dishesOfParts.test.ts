import { describe, expect, it } from 'vitest'
import { litresFilled } from '../../session/fill'
import { aboutSteps } from '../about'
import { vesselRuns } from '../flow'
import { recipeOf } from '../told.fixture'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts of dishes that are made of parts: a paste, a filling, a glaze, what is kept for another day.

describe('a soup with a paste of its own', () => {
  const read = readRecipeText(`Chicken laksa
Serves 4

For the paste
* 4 dried chillies, soaked in hot water 15 min
* 3 shallots, roughly chopped
* 30 g ginger, peeled

For the soup
* 2 tbsp vegetable oil
* 600 g chicken thighs
* 800 ml chicken stock
* 250 g rice noodles
* 4 eggs

1. Drain the chillies and blitz with everything else for the paste in a food processor until smooth.
2. Heat the oil in a large pot. Fry the paste for 5 minutes.
3. Add the chicken and stir to coat. Pour in the stock, bring to the boil, then reduce to a simmer and cook for 20 minutes.
4. Meanwhile, put the eggs into a pan of boiling water and cook for 7 minutes. Cool under cold water, peel and halve.
5. Soak the noodles in boiling water for 8 minutes. Drain and rinse.
6. Remove the chicken, shred with two forks and return to the pot.
7. Divide the noodles between bowls, ladle over the soup and top with the eggs.`)
  it('blends all that stands under its heading', () => {
    expect(stepOf(read.steps, 'blitz').uses).toEqual(['shallot', 'ginger'])
    expect(waits(read.steps)['blitz with']).toEqual(['drain the'])
  })
  it('puts the meat back into the pot that it came out of', () => {
    expect(waits(read.steps)['return to']).toEqual(['pour in', 'remove the'])
    expect(stepOf(read.steps, 'cool under').minutes).toEqual([3, 5])
    const returned = recipeOf(read).steps.find((s) => s.id === stepOf(read.steps, 'return').id)!
    const run = vesselRuns(recipeOf(read)).find((r) => r.steps.includes(returned.id))!
    expect(run.steps).toContain(stepOf(read.steps, 'fry the paste').id)
  })
  it('soaks what the list has soaked, and noodles no longer than they may', () => {
    const { steps } = recipeOf(read)
    const soaked = steps.find((s) => s.do === 'Soak the dried chillies in hot water 15 min')!
    expect(steps.find((s) => s.do.startsWith('Drain the chillies'))!.after).toEqual([
      { step: soaked.id },
    ])
    expect(steps.find((s) => s.do.startsWith('Soak the noodles'))!.ways[0]!.minutes[2]).toBe(10)
  })
})

describe('a pie told in few words', () => {
  const read = readRecipeText(`COTTAGE PIE WITH SWEET POTATO TOP
feeds 6

2 tbsp rapeseed oil
1 large onion - chopped
250g chestnut mushrooms - sliced
2 cloves of garlic - crushed
2 x 400g tins green lentils - drained
1 x 400g tin chopped tomatoes
1 tbsp tomato puree
1.2kg sweet potatoes
75g mature cheddar - grated

Get a large saucepan on a medium heat with the oil in it. Sweat the onion for 10 mins with the lid on. Take the lid off, turn up the heat and throw in the mushrooms; let them colour, about 5 mins. Garlic goes in for the last minute.
Now add lentils, tomatoes and puree. Let it blip away gently for 25 mins till thick.
While that's going on peel the sweet potatoes, cut into chunks & steam for 15 mins till soft. Mash them.
Filling into a big ovenproof dish, mash on top, rough it up with a fork, cheese over. Bake at 200C 25-30 mins.
Let it sit 10 mins before serving.`)
  const { steps } = read
  it('colours what is thrown in in its pot, and adds each thing', () => {
    expect(waits(steps)['take the']).toEqual(['heat the'])
    expect(stepOf(steps, 'let them').equipment).toEqual(['pot', 'burner'])
    expect(stepOf(steps, 'add the garlic')).toMatchObject({ work: 'fry', minutes: [1, 1] })
    expect(stepOf(steps, 'now add').uses).toEqual(['lentil', 'tomato', 'puree'])
  })
  it('spreads the mash over its filling, and calls it a pie only then', () => {
    const put = stepOf(steps, 'put the filling')
    expect(put.do).toContain('spread over the mash')
    expect(waits(steps)['put the']).toEqual(['let it', 'mash them'])
    const about = aboutSteps(recipeOf(read))
    expect(about.get(stepOf(steps, 'bake').id)).toBe('the pie')
    expect(about.get(stepOf(steps, 'blip').id)).not.toBe('the pie')
    expect(stepOf(steps, 'let it sit').minutes).toEqual([10, 10])
  })
})

it('of a ragù a third goes to the pasta, and the rest is cooled by itself', () => {
  const { steps } = readRecipeText(`Slow-cooker beef ragù
Serves 8

1 kg stewing beef, in chunks
3 tbsp olive oil
2 onions, chopped
2 tins (400 g each) plum tomatoes
500 g pappardelle

Heat half the oil in a frying pan and brown the beef in two batches, about 6 minutes each, moving it to the slow cooker as it is done.
Add the remaining oil to the pan and cook the onions for 8 minutes until soft. Scrape it all over the beef. Add the tomatoes. Cover and cook on low for 8 hours.
Cook the pappardelle in a large pan of boiling salted water for 9 minutes, drain, and toss with a third of the ragù. Cool the rest quickly and freeze in two tubs.`)
  expect(stepOf(steps, 'brown').equipment).toEqual(['frying-pan', 'burner'])
  expect(stepOf(steps, 'add the tomatoes').equipment).toEqual(['slow-cooker'])
  const slow = stepOf(steps, 'cook on low').id
  expect(stepOf(steps, 'toss with').after.map((a) => a.step)).toContain(slow)
  expect(stepOf(steps, 'cool the rest').after).toEqual([{ step: slow }])
})

it('of a tart the case is baked before the filling comes into it', () => {
  const { serves, steps } = readRecipeText(`Onion tart

Makes one 23 cm tart, 8 slices

Pastry: 200 g plain flour, 100 g cold butter (cubed), 3 tbsp cold water
Filling: 30 g butter, 4 large onions, thinly sliced, 3 eggs, 200 ml double cream, 80 g gruyere, grated

To make the pastry, rub the butter into the flour. Stir in the water and bring together into a ball.
For the filling, melt the butter in a wide frying pan and cook the onions for 35 minutes. Leave to cool a little.
Roll out the pastry, line the tin with it and chill for 20 minutes. Heat the oven to 190C. Line the case with baking paper and bake blind for 15 minutes.
Beat the eggs with the cream and stir in the onions and half the cheese. Pour into the case, scatter over the rest of the cheese and bake for 30 minutes.`)
  expect(serves).toBe(8)
  expect(stepOf(steps, 'rub').uses).toEqual(['flour', 'butter'])
  expect(stepOf(steps, 'line the case').equipment).toEqual(['tin'])
  expect(stepOf(steps, 'leave to cool').minutes).toEqual([5, 10])
  expect(stepOf(steps, 'beat').equipment).toEqual(['bowl'])
  expect(waits(steps)['pour into']).toEqual(['bake blind', 'beat the'])
  expect(stepOf(steps, 'bake for 30').equipment).toEqual(['oven', 'tin'])
})

it('of a frittata all stays in its pan, from the hob into the oven', () => {
  const { steps } = readRecipeText(`Leek frittata
5 portions

25g butter
2 leeks, sliced
150g frozen peas
8 eggs
150g feta

Oven on to 180C. Melt the butter in an ovenproof frying pan and soften leeks for 8 mins. Tip in the peas for 2 mins to thaw. Beat the eggs, pour over the veg. Crumble on the feta. Cook on the hob 3-4 mins until the edges set, then into the oven for 12-15 mins until puffed.`)
  expect(stepOf(steps, 'tip in').equipment).toEqual(['frying-pan', 'burner'])
  expect(waits(steps)['crumble on']).toEqual(['pour over'])
  expect(stepOf(steps, 'cook on')).toMatchObject({ work: 'fry', minutes: [3, 4] })
  expect(stepOf(steps, 'put into')).toMatchObject({ work: 'bake', minutes: [12, 15] })
  expect(stepOf(steps, 'put into').equipment).toEqual(['oven', 'frying-pan'])
})

it('of an adobo the other way in brackets takes no time, and a rice cooker no hands', () => {
  const { steps } = readRecipeText(`Pork adobo
Serves 6

1.5 kg pork belly, cut into cubes
120 ml soy sauce
1 tbsp oil
600 g jasmine rice
1 litre water

Combine pork and soy in the pressure cooker. Marinate 30 min (or overnight in the fridge).
Lock the lid and cook at high pressure for 25 min. Let the pressure release naturally for 10 min.
Put the rice and water in the rice cooker and start it (about 25 min).
Lift out the pork. Set the cooker to sauté and reduce the sauce for 10 min.
Heat the oil in a skillet and crisp the pork 4 min. Return to the sauce and toss to coat.`)
  expect(stepOf(steps, 'marinate')).toMatchObject({ minutes: [30, 30], equipment: [] })
  expect(stepOf(steps, 'put the rice')).toMatchObject({ work: 'simmer', minutes: [25, 25] })
  expect(stepOf(steps, 'return').equipment).toEqual(['pressure-cooker'])
})

it('of cookies each tray takes its time where one is baked at a time', () => {
  const { serves, steps } = readRecipeText(`OAT COOKIES   Makes 24
225g soft butter
175g light brown sugar
200g plain flour
200g rolled oats

1 Heat oven to 180C. Line three baking trays with parchment.
2 Cream the butter and sugar. Mix in the flour and oats.
3 Roll into 24 balls, space well apart on the trays.
4 Bake one tray at a time for 12-14 mins.`)
  expect(serves).toBe(24)
  expect(stepOf(steps, 'bake').minutes).toEqual([36, 42])
})

it('of a biryani the marinade takes its own heading, and a handful each is two things', () => {
  const { ingredients, steps } = readRecipeText(`Lamb biryani
Serves 8

Marinade:
1 kg diced lamb shoulder
200 g yoghurt
1 tsp chilli powder

Rest:
4 onions, finely sliced
600 g basmati rice
handful each mint and coriander, chopped

Mix the lamb with everything else for the marinade. Cover and leave in the fridge for 2 hours.
Fry the onions in a wide pan for 15 minutes. Boil the rice for 5 minutes and drain.
Add the lamb with its marinade to the pan and simmer for 1 hour. Spread the rice over the lamb, scatter over the herbs.`)
  expect(stepOf(steps, 'mix').uses).toEqual(['shoulder', 'yoghurt', 'powder'])
  expect(ingredients.slice(-2)).toMatchObject([
    { item: 'mint', preparation: 'chopped' },
    { item: 'coriander', preparation: 'chopped' },
  ])
})

it('of chicken and lentils the herbs are those of the salsa, and the oven is only where the chicken is', () => {
  const { steps } = readRecipeText(`Chicken thighs with lentils and salsa
Serves 4

8 chicken thighs
250g puy lentils
2 bay leaves
1 lemon
For the salsa verde:
large bunch parsley
2 anchovy fillets
1 tsp dijon
100ml olive oil

Preheat the oven to 200C. Lay the thighs in a roasting tin and roast for 40 minutes.
While they are in the oven, rinse the lentils and put them in a pan with the bay. Simmer for 25 minutes. Drain, and dress while warm with half of the lemon juice and a glug of oil.
For the salsa verde, whizz the herbs, anchovies and mustard with the remaining lemon juice.
Pile the lentils onto a platter, sit the chicken on top and spoon over the tin juices and the salsa.`)
  expect(stepOf(steps, 'rinse the lentils').equipment).toEqual(['colander'])
  expect(stepOf(steps, 'dress').uses).toEqual(['lemon', 'oil'])
  expect(stepOf(steps, 'for the salsa').after).toEqual([])
  expect(stepOf(steps, 'for the salsa').uses).toContain('mustard')
  // Anchovies come salted out of a jar.
  expect(stepOf(steps, 'for the salsa').hygiene).not.toBe('raw')
})

it('of burgers four are frozen and the other four are fried', () => {
  const { name, ingredients, steps } = readRecipeText(`Black bean burgers -- makes 8, freeze half

3 cans black beans
100 g breadcrumbs
1 egg
2 tbsp oil
8 buns
To serve: lettuce, tomato slices, mayo

- Drain + rinse beans.
- In a big bowl mash half the beans, leave the rest whole. Mix in the crumbs and egg.
- Form 8 patties. Chill 30 min.
- Freeze 4 between sheets of paper.
- Fry the other 4 in the oil, 4 min each side.
- Toast the buns. Assemble.`)
  expect(name).toBe('Black bean burgers')
  expect(ingredients.slice(-3).map((i) => i.item)).toEqual(['lettuce', 'tomato slices', 'mayo'])
  expect(stepOf(steps, 'mash half')).toMatchObject({ work: 'mix', equipment: ['bowl'] })
  const told = waits(steps)
  expect(told['freeze 4']).toEqual(['chill 30'])
  expect(told['fry the']).toEqual(['chill 30'])
  expect(told.assemble).toEqual(expect.arrayContaining(['fry the', 'toast the']))
})

it('of gnocchi they boil in water of their own, and the sauce comes over them', () => {
  const read = readRecipeText(`Baked gnocchi with squash, sage and blue cheese
Serves 6

900 g squash, diced
3 tbsp olive oil
800 g fresh gnocchi
40 g butter
40 g flour
600 ml milk
15 sage leaves
150 g blue cheese

1. Toss the squash with 2 tbsp of the oil on a baking tray; roast 25 minutes at 220°C. Leave the oven on.
2. Melt the butter in a saucepan, stir in the flour and cook for 2 minutes. Whisk in the milk and simmer for 5 minutes. Stir in two thirds of the cheese.
3. Drop the gnocchi into a large pan of boiling salted water. As soon as they float, lift them out into a gratin dish.
4. Add the squash to the dish, pour over the sauce. Toss the sage leaves in the remaining oil and lay on top.
5. Bake for 15 minutes.`)
  const { steps } = read
  expect(stepOf(steps, 'drop the')).toMatchObject({ work: 'boil', minutes: [2, 3], after: [] })
  expect(steps.some((s) => s.do.includes('oven on'))).toBe(false)
  expect(waits(steps)['add the']).toEqual(['roast 25', 'stir in', 'as soon'])
  expect(stepOf(steps, 'toss the sage').after).toEqual([])
  const runs = vesselRuns(recipeOf(read))
  const dish = runs.find((r) => r.vessel.kind === 'oven-dish')!
  expect(dish.steps).toContain(stepOf(steps, 'lay on').id)
  expect(aboutSteps(recipeOf(read)).get(stepOf(steps, 'bake').id)).toBe('the gnocchi')
})

it('of dumplings the other half is fried after the first, and the filling waits in the cold', () => {
  const { steps } = readRecipeText(`Pork dumplings
Serves 4

Dough
300 g plain flour
160 ml just-boiled water

Filling
250 g minced pork
3 spring onions, chopped

To cook
2 tbsp oil

Put the flour in a bowl, pour in the hot water and stir. Knead for 8 minutes. Rest 30 minutes.
Mix all the filling ingredients together. Keep in the fridge.
Roll the dough into a rope, cut into 40 pieces.
Put a teaspoon of filling in the middle of each and pleat shut (30 min).
Heat 1 tbsp of the oil in a lidded frying pan, put in half the dumplings and fry for 2 minutes. Pour in 80 ml water, cover and steam for 6 minutes. Repeat with the rest.`)
  expect(stepOf(steps, 'mix all').after).toEqual([])
  expect(stepOf(steps, 'keep in').minutes).toEqual([1, 2])
  expect(waits(steps)['put a']).toEqual(['keep in', 'cut into'])
  expect(stepOf(steps, 'repeat')).toMatchObject({ work: 'fry', minutes: [8, 8] })
  expect(waits(steps)['repeat with']).toEqual(['pour in'])
})

it('of ribs half of the glaze is kept for the second time', () => {
  const read = readRecipeText(`Marmalade ribs
Serves 4

2 racks pork ribs (about 1.6 kg)
200 g marmalade
3 tbsp soy sauce

1) Put the ribs in a big pot, cover with cold water. Simmer for 1 hour. Drain.
2) Melt the marmalade and soy in a small saucepan; bubble 5 min.
3) Oven 200. Line a tray with foil. Brush the ribs with half of the glaze and roast 15 min; turn, brush again with what is left and roast another 15.`)
  const told = waits(read.steps)
  expect(told['brush the']).toEqual(['drain', 'bubble 5'])
  expect(told['turn, brush']).toEqual(['bubble 5', 'roast 15'])
  expect(stepOf(read.steps, 'roast 15').equipment).toEqual(['oven', 'tray'])
  expect(told['line a']).toEqual([])
  // They lie on no pan of glaze: that is another vessel.
  const glaze = vesselRuns(recipeOf(read)).find((r) =>
    r.steps.includes(stepOf(read.steps, 'bubble').id),
  )!
  expect(glaze.steps).not.toContain(stepOf(read.steps, 'brush').id)
  expect(litresFilled(recipeOf(read).ingredients.slice(0, 1))).toBeCloseTo(1.6)
})

it('of a stock soup the broth stays in its pot while the bird is picked', () => {
  const read = readRecipeText(`Chicken soup
Serves 8

1 whole chicken (about 1.8kg)
4 litres water
3 leeks
300g rice

Put the chicken into your biggest stockpot and cover with the water. Poach for 1 hour 20 minutes. Remove the chicken and let it cool for 20 minutes. Slice the leeks and add to the broth with the rice; cook for 15 minutes. Strip the chicken from the bones, shred and return to the pot.`)
  expect(waits(read.steps)['return to']).toEqual(['cook for', 'shred'])
  const pots = vesselRuns(recipeOf(read)).filter((r) => r.vessel.kind === 'pot')
  expect(pots).toHaveLength(1)
})

it('of a casserole the crumbs come over what lies in its dish, and tinned fish is cooked', () => {
  const read = readRecipeText(`Tuna Noodle Casserole
Serves 6

12 oz egg noodles
4 tbsp butter, divided
8 oz mushrooms, sliced
2 cups milk
2 (5 oz) cans tuna, drained
1/2 cup panko

1. Preheat oven to 375°F. Grease a 9x13-inch baking dish.
2. Cook noodles in salted boiling water 5 min. Drain.
3. In the same pot, melt 3 tablespoons of the butter. Add mushrooms; cook 6 minutes.
4. Stir in milk and simmer 4 minutes. Fold in tuna and noodles. Transfer to prepared dish.
5. Melt remaining butter in microwave; toss with panko. Sprinkle panko over casserole.
6. Bake 25 minutes.`)
  expect(waits(read.steps)['sprinkle panko']).toEqual(['transfer to', 'melt remaining'])
  expect(stepOf(read.steps, 'melt remaining').minutes).toEqual([1, 2])
  expect(stepOf(read.steps, 'bake').equipment).toEqual(['oven', 'oven-dish'])
  expect(stepOf(read.steps, 'fold in').hygiene).not.toBe('raw')
  const dish = vesselRuns(recipeOf(read)).find((r) => r.vessel.kind === 'oven-dish')!
  expect(dish.steps).toContain(stepOf(read.steps, 'sprinkle').id)
})

it('of a noodle soup nothing is charred but what is named, and the steak is cold by itself', () => {
  const { steps } = readRecipeText(`Beef noodle soup
Serves 4

1.5 litres beef stock
1 onion, halved
300g flat rice noodles
350g sirloin steak

Char the onion in a dry frying pan for 5 minutes. Tip into a large saucepan with the stock and simmer for 30 minutes. Strain, return the broth to the pan.

Put the steak in the freezer for 20 minutes to firm up, then slice it as thinly as you can.

Cook the noodles (about 4 minutes), drain and divide between 4 bowls. Bring the broth back to a rolling boil. Lay the raw beef over the noodles, ladle over the boiling broth.`)
  expect(stepOf(steps, 'char').uses).toEqual(['onion'])
  expect(stepOf(steps, 'put the steak').after).toEqual([])
  expect(waits(steps)['bring the']).toEqual(['return the'])
  expect(waits(steps)['lay the']).toEqual(['slice it', 'divide between', 'bring the'])
})

it('of a shakshuka told step by step, what is gathered is no step, and bread is warmed by itself', () => {
  const { ingredients, steps } =
    readRecipeText(`Step 1: Get your stuff together: 1 tbsp olive oil, 1 onion (sliced), 3 garlic cloves (chopped), 1 tsp cumin, 2 x 400g tins tomatoes, 6 eggs, 100g feta, flatbreads to serve. Serves 3.
Step 2: Heat the oil in a wide lidded pan. Add onion, 10 minutes, medium heat.
Step 3: Garlic, cumin. 1 minute.
Step 4: In go the tomatoes. Half a tin of water too. Simmer 15 minutes.
Step 5: Make 6 hollows with the back of a spoon, crack an egg into each. Lid on, low heat, 6-8 minutes.
Step 6: Feta over the top. Warm the flatbreads in the oven at 150 for 5 minutes while the eggs cook.`)
  expect(steps.some((s) => /stuff/.test(s.do))).toBe(false)
  expect(ingredients.some((i) => /hollow|too/.test(i.item))).toBe(false)
  expect(stepOf(steps, 'add garlic')).toMatchObject({ minutes: [1, 1], uses: ['clove', 'cumin'] })
  expect(stepOf(steps, 'add the tomatoes').uses).toEqual(['tomato'])
  expect(waits(steps)['make 6']).toEqual(['simmer 15'])
  expect(stepOf(steps, 'feta').uses).toEqual(['feta'])
  expect(stepOf(steps, 'warm the').after).toEqual([])
})

it('of a shoulder of lamb its potatoes crisp on while it rests', () => {
  const { steps } = readRecipeText(`Lamb shoulder, boulangère potatoes
Six people

Lamb shoulder on the bone, 2.2kg
Garlic, 6 cloves, slivered
Floury potatoes, 1.5kg
Lamb or chicken stock, 600ml

Saturday night: stab the lamb all over and push slivers of garlic into the holes. Rub with oil and salt. Cover; fridge.

Sunday: at 11 heat the oven to 150C. Slice the potatoes thinly, layer in a big roasting tin and pour over the stock. Rack on top of the tin, lamb on the rack. In it goes for 4 1/2 hours.
When it's done, lift the lamb onto a board, rest half an hour. Turn the oven up to 200 and let the potatoes crisp for those 30 minutes.`)
  expect(stepOf(steps, 'stab').uses).toEqual(['bone', 'garlic'])
  expect(stepOf(steps, 'stab').equipment).toEqual([])
  expect(stepOf(steps, 'put in the fridge')).toMatchObject({ work: 'chill', minutes: [480, 720] })
  expect(waits(steps)['layer in']).toEqual(['slice the'])
  expect(waits(steps)['in it']).toEqual(['rack on'])
  expect(waits(steps)['rack on']).toEqual(['put in', 'layer in'])
  expect(waits(steps)['let the']).toEqual(['in it', "(when it's"])
  expect(stepOf(steps, 'let the potatoes')).toMatchObject({ work: 'bake', celsius: 200 })
})

it('of burritos each thing is cooked by itself, and all of it is rolled', () => {
  const { serves, steps } = readRecipeText(`Freezer burritos (x10)

8 large eggs
6 breakfast sausages (about 350 g)
2 medium potatoes, diced small
1 tbsp oil
150 g grated cheese
10 flour tortillas

Roast the potatoes with the oil on a sheet pan, 220°C, 25 min.
Squeeze the sausage meat out of its skins into a cold nonstick pan. Cook, breaking it up, 8-10 min. Tip onto paper towels.
Beat eggs, scramble softly in the same pan - 3 min.
Let EVERYTHING cool completely on trays, 30 min. Warm fillings = soggy burritos!
Warm tortillas 20 sec each in the microwave. Assembly line: a spoonful each of potato mix, sausage, egg, cheese. Fold in the sides and roll tight.
Wrap each in foil, label, freeze flat. 3 months.
To eat: unwrap, microwave 2-3 min until piping hot.`)
  expect(serves).toBe(10)
  expect(steps.some((s) => /soggy|unwrap|piping/.test(s.do))).toBe(false)
  expect(stepOf(steps, 'tip onto').equipment).toEqual([])
  expect(waits(steps)['scramble softly']).toEqual(['(cook, breaking', 'beat eggs'])
  expect(stepOf(steps, 'warm tortillas').minutes).toEqual([3.3, 3.3])
  expect(waits(steps)['fold in']).toEqual(['warm tortillas', 'assemble with'])
})
