import { describe, expect, it } from 'vitest'
import { recipeOf } from '../told.fixture'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

describe('cabbage rolls', () => {
  const { steps } = readRecipeText(`Cabbage rolls
For 5 people

Ingredients:
1 large white cabbage
500g minced pork
150g cooked rice
For the sauce:
2 tins (400g) chopped tomatoes
2 cloves garlic, crushed
1 tbsp oil

Method:
1. Bring a big pan of salted water to the boil. Core the cabbage and cook it whole for 8 minutes, peeling off the leaves as they soften. Drain and cool.
2. Mix the pork with the rice.
3. For the sauce, heat the oil in a saucepan, fry the garlic for 1 minute, add the tomatoes and simmer for 10 minutes.
4. Heat the oven to 180C. Put a spoonful of the filling on each leaf, fold in the sides and roll up. Pack the rolls tightly into a baking dish.
5. Pour over the sauce, cover with foil and bake for 1 hour.`)
  const after = waits(steps)

  it('boil the cabbage in the water, and put none of it into the sauce', () => {
    expect(after['cook it']).toEqual(['bring a', 'core the'])
    expect(after['add the']).toEqual(['for the'])
  })
  it('wrap the filling in the leaves, and pour the sauce over them later', () => {
    expect(after['put a']).toEqual(['cool', 'mix the'])
    expect(after['pour over']).toContain('add the')
  })
})

describe('a goulash for the slow cooker', () => {
  const { steps } = readRecipeText(`Goulash
Serves 8

3 lb beef chuck, cut into cubes
3 onions, sliced
2 cups beef stock
2 tbsp oil

Heat the oil in a large skillet and brown the beef in 3 batches, about 5 minutes per batch. Transfer to the slow cooker.
Add the onions to the skillet and cook until soft, 8 minutes.
Pour in the stock, then tip everything into the slow cooker. Cook on low for 8 hours.`)
  it('takes the pan again, and not what was browned in it', () => {
    expect(waits(steps)['add the']).toEqual(['(heat the'])
  })
})

describe('a lasagne told in lines', () => {
  const { serves, ingredients, steps } = readRecipeText(`Lasagne the way we do it

This makes one big dish for 8.

For the ragu: 2 tbsp olive oil, 1 onion, 1 carrot, 1 stick of celery (all finely diced), 400 g minced beef, 150 ml red wine, 1 can of tomatoes, 1 tbsp tomato puree
12 lasagne sheets

Sweat the diced vegetables in the oil for about 10 minutes. Add the mince and fry until browned, 6-8 minutes. Add the wine and let it bubble away, then the tomatoes and puree. Simmer for 1 1/2 hours.`)
  it('serves as many as its dish is for', () => expect(serves).toBe(8))
  it('dices each of the vegetables, and nothing else', () => {
    const diced = ingredients.filter((i) => i.preparation === 'finely diced').map((i) => i.item)
    expect(diced).toEqual(['onion', 'carrot', 'celery'])
    expect(stepOf(steps, 'sweat').uses).toEqual(['oil', 'onion', 'carrot', 'celery'])
  })
  it('takes a puree for what it is, and lets wine bubble for minutes', () => {
    expect(steps.map((s) => s.work)).not.toContain('blend')
    const wine = stepOf(steps, 'bubble')
    expect(wine.uses).toEqual(['wine', 'tomato', 'puree'])
    expect(wine.minutes[1]).toBeLessThanOrEqual(5)
  })
})

describe('a hummus', () => {
  const { serves, keeps, steps } = readRecipeText(`Hummus (makes about 900 g)

- 300 g dried chickpeas
- 1 tsp bicarbonate of soda
- 150 g tahini
- ice water

The night before, put the chickpeas in a bowl, cover with plenty of water and soak overnight.
Drain. Pressure cook with the bicarb and 1.5 l water for 25 min at high pressure, natural release 15 min.
Drain. Blend in the food processor with the tahini for 5 minutes, adding ice water until smooth.
Eat within 4 days.`)
  it('is not for as many as it weighs grams', () => expect(serves).toBe(4))
  it('cooks what was soaked under pressure, and lets the pressure fall by itself', () => {
    const pressed = stepOf(steps, 'pressure cook')
    expect([pressed.work, pressed.minutes, pressed.uses]).toEqual(['pressure', [25, 25], ['soda']])
    expect(waits(steps)['pressure cook']).toEqual(['drain'])
    expect(stepOf(steps, 'pressure fall')).toMatchObject({ work: 'rest', minutes: [15, 15] })
    expect(stepOf(steps, 'blend').after).not.toEqual([])
  })
  it('is eaten out of the fridge', () => expect(keeps).toEqual([{ place: 'fridge', days: 4 }]))
})

describe('a chilli in few words', () => {
  const { ingredients, steps } = readRecipeText(`Black bean chilli

onion 2
garlic 4 cloves
cumin 2 tsp
oil 2 tbsp
black beans 3 tins (400 g), drained
chipotle paste 1 tbsp
coriander, small bunch

Chop the onions; crush the garlic.
Heat the oil in a casserole. Cook the onions 10 min till soft.
Garlic + spices in, 1 min, stirring.
Beans, chipotle in. Simmer uncovered 30 min.
Off the heat: chopped coriander.
Cool + box (6).`)
  it('has its amounts behind the names', () => {
    expect(ingredients.slice(0, 5).map((i) => [i.item, i.amount, i.unit])).toEqual([
      ['onion', 2, 'piece'],
      ['garlic', 4, 'piece'],
      ['cumin', 2, 'tsp'],
      ['oil', 2, 'tbsp'],
      ['black beans', 1200, 'g'],
    ])
  })
  it('puts things in without a verb', () => {
    expect(waits(steps)).toMatchObject({
      'add garlic': ['crush the', 'heat the'],
      'add beans,': ['add garlic'],
      'off the': ['simmer uncovered'],
    })
    expect(stepOf(steps, 'add garlic')).toMatchObject({ work: 'fry', minutes: [1, 1] })
    expect(stepOf(steps, 'add beans').uses).toEqual(expect.arrayContaining(['bean', 'paste']))
    expect(steps.at(-1)!.work).toBe('pack')
  })
})

describe('a pie for now and one for later', () => {
  const { steps } = readRecipeText(`Pie
Serves 8

1 kg lamb mince
2 onions
600 ml lamb stock
1.5 kg sweet potatoes
100 g cheddar

Chop the onions. Brown the mince in a large pan without oil, in two lots, about 6 minutes each, and set aside in a bowl. In the fat left in the pan, cook the onions for 10 minutes. Put the mince back and stir for a minute. Pour in the stock and simmer for 40 minutes.
Boil the sweet potatoes for 15 minutes, drain well and mash.
Divide the meat between 2 ovenproof dishes. Spread the mash over and grate the cheese on top.
Bake one at 200C for 30 minutes. Wrap the other and freeze for up to 3 months.`)
  it('browns in the pan what is put into a bowl afterwards', () => {
    expect(stepOf(steps, 'brown').equipment).toEqual(expect.arrayContaining(['pot', 'burner']))
    expect(stepOf(steps, 'put the mince').equipment).toEqual(['pot'])
  })
  it('has mash and cheese on both', () => {
    expect(waits(steps)['wrap the']).toEqual(['grate the'])
    expect(stepOf(steps, 'grate').work).toBe('assemble')
  })
})

describe('a brisket in prose', () => {
  const { ingredients, steps } = readRecipeText(`Pulled brisket. Serves ten.

A 2.5 kg piece of brisket; 1 tablespoon each of smoked paprika, salt and mustard powder; 330 ml of stout.

Mix the paprika, salt and mustard and rub it all over the meat. Pour over the stout. Cover and roast at 150 C for 5 hours.
Lift the meat onto a board and let it rest for 30 minutes, then pull it to shreds. Skim the fat off the juices, boil them down on the hob for ten minutes and stir the meat back in.`)
  it('has each thing by itself, with its amount', () => {
    expect(ingredients.map((i) => [i.item, i.amount, i.unit])).toEqual([
      ['brisket', 2.5, 'kg'],
      ['smoked paprika', 1, 'tbsp'],
      ['salt', 1, 'tbsp'],
      ['mustard powder', 1, 'tbsp'],
      ['stout', 330, 'ml'],
    ])
  })
  it('boils the juices down while the meat rests', () => {
    expect(waits(steps)['skim the']).toEqual(['lift the'])
    expect(waits(steps)['stir the']).toEqual(['pull it', 'skim the'])
  })
})

describe('muffins in a few lines', () => {
  const { serves, steps } = readRecipeText(`Blueberry muffins | makes 12

Dry: 250g flour, 2 tsp baking powder, 100g sugar
Wet: 2 eggs, 200ml buttermilk, 90ml oil
plus 150g blueberries

Oven 200C. Line a 12-hole tin with cases.
Whisk the dry stuff in one bowl and the wet in another.
Wet into dry, 10 stirs max. Fold in berries.
Spoon into cases. 18-20 min till springy. 5 min in tin then onto a rack.`)
  it('are as many as the name says', () => expect(serves).toBe(12))
  it('are mixed in two bowls and baked in the oven', () => {
    expect(stepOf(steps, 'dry ingredients').uses).toEqual(['flour', 'powder', 'sugar'])
    expect(stepOf(steps, 'wet ingredients').uses).toEqual(['egg', 'buttermilk', 'oil'])
    expect(waits(steps)['stir the']).toEqual(['whisk the', 'whisk the'])
    expect(stepOf(steps, 'berries').uses).toEqual(['blueberry'])
    expect(stepOf(steps, 'springy')).toMatchObject({ work: 'bake', celsius: 200 })
    expect(stepOf(steps, 'rack').work).toBe('rest')
    expect(stepOf(steps, '12-hole').equipment).toEqual(['tin'])
  })
})

describe('a curry', () => {
  const { ingredients, steps } = readRecipeText(`Curry (feeds 4)

2 tbsp coconut oil
1 tsp cumin seeds
2 onions, sliced
3 garlic cloves & a thumb of ginger, grated
400ml tin coconut milk

1) Heat the oil; add the cumin seeds and let them sizzle for 30 secs.
2) Tip in the onions, cook over a low heat for 12 mins.
3) Stir through the garlic and ginger, pour in the coconut milk and bubble gently for 10 mins.
4) Serve. Any leftovers will keep for 3 days in the fridge.`)
  it('has garlic and ginger apart, and milk without its tin', () => {
    expect(ingredients.map((i) => i.item)).toEqual(
      expect.arrayContaining(['garlic cloves', 'ginger', 'coconut milk']),
    )
  })
  it('begins with the seeds in hot oil, and goes on in that pan', () => {
    expect(stepOf(steps, 'sizzle')).toMatchObject({ work: 'fry', uses: ['oil', 'seed'] })
    expect(stepOf(steps, 'tip in').equipment).toEqual(stepOf(steps, 'sizzle').equipment.slice(0, 1))
    expect(steps.map((s) => s.work)).not.toContain('chill')
  })
})

it('of a stir-fry everything comes back into the wok, and the boxes stay in the fridge', () => {
  const { steps } = readRecipeText(`Stir-fry
4 servings

Ingredients
500 g rump steak, sliced
3 tbsp soy sauce
2 tbsp oil
1 red pepper, sliced
300 g egg noodles

Instructions
Cook the noodles in boiling water for 4 minutes and drain.
Heat the oil in a wok. Stir-fry the beef in two batches for 2 minutes each, then scoop out onto a plate.
Stir-fry the pepper for 3 minutes, add the noodles, return the beef, pour over the soy sauce and toss over the heat for 1 minute.
Divide among 4 lunch boxes, cool quickly and refrigerate.`)
  expect(stepOf(steps, 'return the beef').equipment).toContain('frying-pan')
  expect(steps.at(-1)).toMatchObject({ do: 'Refrigerate', work: 'pack', doubts: [] })
})

it('of a granola the syrup goes into the oats, and not they into its pan', () => {
  const { keeps, steps } = readRecipeText(`Granola
400 g rolled oats, 150 g mixed seeds, 120 ml maple syrup, 80 ml oil
Warm the syrup and oil in a small pan. Stir into the oats and seeds. Spread over two trays and bake at 150 C for 25 min. Leave to cool and store in a jar for up to a month.`)
  expect(stepOf(steps, 'stir into').equipment).toEqual(['bowl'])
  expect(stepOf(steps, 'warm').minutes[1]).toBeLessThanOrEqual(5)
  expect(keeps).toEqual([{ place: 'shelf', days: 30 }])
})

describe('a tagine', () => {
  const { serves, steps } = readRecipeText(`LAMB TAGINE
(6 servings, about 2½ hours)

INGREDIENTS
1.2 kg lamb shoulder, diced
2 large onions, sliced
500 ml chicken stock
For the couscous
350 g couscous
400 ml boiling water
25 g butter

METHOD
1. Preheat oven to 325°F (160°C). Brown the lamb in a casserole for 12 minutes. Set aside.
2. Cook onions for 8 minutes. Return lamb to the casserole with the stock. Bring to a simmer.
3. Cover and transfer to the oven. Cook for 1½ hours.
4. Ten minutes before serving, put the couscous in a bowl, pour over the boiling water, cover and leave for 5 minutes. Fluff with a fork and stir in the butter.`)
  it('says how many it serves beside how long it takes', () => expect(serves).toBe(6))
  it('cooks on in the oven that it was put into', () => {
    expect(stepOf(steps, 'transfer to the oven')).toMatchObject({ work: 'bake', minutes: [90, 90] })
  })
  it('pours the water over the couscous, and the butter comes to that', () => {
    expect(stepOf(steps, 'pour over').uses).toEqual(['couscou', 'water'])
    expect(stepOf(steps, 'fluff').after).toEqual([{ step: stepOf(steps, 'pour over').id }])
  })
})

it('of a poached fish the fish is flaked, and not the milk that is kept', () => {
  const { steps } = readRecipeText(
    'fish pie - serves 8\n\npoach 600g smoked haddock in 800ml milk for 8 mins, lift out and flake, keep the milk. melt 75g butter, add 75g flour, cook 2 mins, whisk in the poaching milk, simmer till thick (5 mins).',
  )
  expect(stepOf(steps, 'flake').after).toEqual([{ step: stepOf(steps, 'poach').id }])
})

it('of a loaf an empty pot is heated with the oven, and what is cool is no water', () => {
  const { steps } = readRecipeText(`Loaf
- 450 g strong white flour
- 340 ml cool water

Mix everything in a large bowl. Leave for 12 to 18 hours. Shape into a ball.
Half an hour before it's ready, put a heavy lidded pot in the oven and heat to 240°C.
Turn the dough into the hot pot, cover and bake for 30 minutes. Cool on a rack for at least an hour.`)
  expect(steps.filter((s) => s.work === 'bake')).toHaveLength(1)
  expect(stepOf(steps, 'bake for')).toMatchObject({ celsius: 240 })
  expect(stepOf(steps, 'rack').after).toEqual([{ step: stepOf(steps, 'bake for').id }])
})

describe('meatballs', () => {
  const { ingredients, steps } = readRecipeText(`Turkey meatballs in tomato sauce

You'll need: 1 kg turkey mince, 1 egg, 2 tsp dried oregano / 2 x 400 g tins plum tomatoes, 1 onion, 2 tbsp olive oil, handful of basil

First get the sauce going: finely chop the onion, soften in 1 tbsp of the oil for 8 mins, tip in the tomatoes, crush them with a spoon, and let it putter for 25 mins.

While that's happening mix the mince, egg and oregano with your hands and roll into 40 balls. Fry them in the rest of the oil, 10 at a time, 6 mins a batch.

Drop the meatballs into the sauce and simmer 12 mins. Tear in the basil.

Portion into 5 tubs with sauce. Fridge 3 days or freezer 3 months.`)
  it('have two lists in one line', () => {
    expect(ingredients.map((i) => i.item)).toEqual(
      expect.arrayContaining(['dried oregano', 'plum tomatoes']),
    )
  })
  it('are fried in as many goes as there are panfuls', () => {
    expect(stepOf(steps, 'fry them')).toMatchObject({ goes: 4, minutes: [24, 24] })
  })
  it('meet the sauce that was made beside them, and are packed at the end', () => {
    const drop = stepOf(steps, 'drop the').after.map((a) => a.step)
    expect(drop).toEqual([stepOf(steps, 'putter').id, stepOf(steps, 'fry them').id])
    expect(stepOf(steps, 'while').after).toEqual([])
    expect(stepOf(steps, 'tear').after).toEqual([{ step: stepOf(steps, 'drop the').id }])
    expect(steps.at(-1)).toMatchObject({ do: 'Portion into 5 tubs with sauce', work: 'pack' })
  })
})

describe('enchiladas', () => {
  const { steps } = readRecipeText(`Enchiladas (serves 4)

For the sauce:
1 onion (chopped), 500 g passata
For the filling:
2 sweet potatoes, cubed
400 g tin kidney beans
150 g grated mozzarella
8 tortillas

Roast the sweet potato at 200C for 25 min.
Meanwhile, soften the onion for 5 min, add the passata and simmer 15 min.
Drain and rinse the beans and mix with the sweet potato and a third of the cheese.
Divide the filling between the tortillas and roll them up.
If freezing, cool completely before baking, wrap well and freeze up to 2 months.`)
  it('have both in their filling, and no freezing that is another way', () => {
    expect(waits(steps)['mix with']).toEqual(['roast the', 'drain, rinse'])
    expect(waits(steps)['divide the']).toEqual(['mix with'])
    expect(steps.map((s) => s.work)).not.toContain('pack')
  })
})

describe('a roast with what goes in beside it', () => {
  const { ingredients, steps } = readRecipeText(`Roast chicken
Serves 4

A 1.8kg chicken
1kg potatoes
3 carrots
2 tbsp oil
1 stick celery and a bay leaf (for the stock)

Oven to 200C. Roast the chicken for 92 minutes.
Peel the potatoes and parboil for 8 minutes. Drain, shake to roughen, and toss with the oil in a roasting tin. They go in beside the chicken for the last 50 minutes. Carrots, in chunks, join them for the last 30.
Check the juices run clear. Rest the bird for 20 minutes.`)
  it('is told to the end', () => {
    expect(stepOf(steps, 'shake').after).toEqual([{ step: stepOf(steps, 'drain').id }])
    // The carrots come into their tin when 30 of the 50 minutes are left.
    const alone = stepOf(steps, 'cook them alongside')
    expect(alone).toMatchObject({ work: 'bake', minutes: [20, 20] })
    expect(alone.after).toEqual([{ step: stepOf(steps, 'shake').id }])
    const joined = stepOf(steps, 'cook the carrots with them')
    expect(joined).toMatchObject({ work: 'bake', minutes: [30, 30], uses: ['carrot'] })
    expect(joined.after).toEqual([{ step: alone.id }])
    expect(stepOf(steps, 'rest the bird').after).toEqual([
      { step: stepOf(steps, 'roast the chicken').id },
    ])
  })
  it('buys its chicken by weight, and the bay beside the celery', () => {
    expect(ingredients[0]).toMatchObject({ item: 'chicken', amount: 1.8, unit: 'kg' })
    expect(ingredients.map((i) => i.item)).toEqual(expect.arrayContaining(['celery', 'bay leaf']))
  })
})

it('of oats in jars each jar serves one, and the berries lie on top', () => {
  const { serves, steps } = readRecipeText(`Overnight oats x 5 jars

250g rolled oats / 750ml milk / 400g frozen berries

stir oats and milk in big bowl
ladle into 5 jars
berries on top
lids on, fridge overnight`)
  expect(serves).toBe(5)
  expect(stepOf(steps, 'berries').after).toEqual([{ step: stepOf(steps, 'ladle').id }])
})

it('of a banana bread slices are no ingredient, and foil is for when it browns', () => {
  const { serves, ingredients, steps } = readRecipeText(`Banana bread
1 loaf, 10 slices

3 ripe bananas
2 eggs
200 g self-raising flour

1. Mash the bananas, then beat in the eggs.
2. Sift over the flour and fold in until just combined.
3. Scrape into a loaf tin and bake at 180 C for 50 minutes. Cover with foil if it browns too fast.
4. Cool on a rack.`)
  expect(serves).toBe(10)
  expect(ingredients).toHaveLength(3)
  expect(stepOf(steps, 'sift').after).toEqual([{ step: stepOf(steps, 'mash').id }])
  expect(stepOf(steps, 'foil')).toMatchObject({ work: 'bake', minutes: [50, 50] })
})

it('of a stew what was diced is softened in the fat that was left', () => {
  const { serves, steps } = readRecipeText(`Sausage stew. For 6. One pot, 1 hr.

12 pork sausages; 1 tbsp olive oil; 2 onions; 4 garlic cloves; 1.2 litres chicken stock

Brown the sausages in the oil in a large casserole, 8-10 minutes. Lift out and cut into thick slices. Dice the onions, and soften in the sausage fat for 10 minutes. Add the chopped garlic, and give it a minute. Return the sausages with the stock and simmer 25 minutes.`)
  expect(serves).toBe(6)
  expect(waits(steps)['soften in']).toEqual(['(brown the', 'dice the'])
  expect(stepOf(steps, 'give it')).toMatchObject({ work: 'fry', minutes: [1, 1] })
  expect(stepOf(steps, 'give it').equipment).toEqual(['pot', 'burner'])
})

it('of a pasta the peas cook in its pot for its last minutes', () => {
  const { steps } = readRecipeText(`Pasta and peas
Serves 4

400 g penne
200 g peas

Boil the penne for 11 minutes. Peas join the penne for the last 3 minutes. Drain.`)
  expect(stepOf(steps, 'boil')).toMatchObject({ work: 'boil', minutes: [8, 8] })
  const joined = stepOf(steps, 'cook the peas')
  expect(joined.equipment).toEqual(['pot', 'burner'])
  expect(joined.after).toEqual([{ step: stepOf(steps, 'boil').id }])
})

it('of a roast the apples go into its oven for its last half hour', () => {
  const read = readRecipeText(`Pork and apples
Serves 6

1.5 kg boneless pork loin
3 eating apples, cut into wedges

Put the pork in a roasting tin and roast at 170°C for 75 minutes. Add the apples for the last 30 minutes. Rest for 20 minutes.`)
  expect(stepOf(read.steps, 'roast')).toMatchObject({ work: 'bake', minutes: [75, 75] })
  const told = recipeOf(read).steps
  const roast = told.find((s) => /roast/.test(s.do))!
  expect(roast.ways[0]!.minutes.slice(0, 2)).toEqual([45, 45])
  const apples = told.find((s) => s.do.startsWith('Add the apples'))!
  expect(apples.after).toContainEqual({ step: roast.id })
  const on = told.find((s) => s.do === 'Go on for 30 minutes more')!
  expect(on).toMatchObject({ work: 'bake', after: [{ step: apples.id }] })
  expect(on.ways[0]!.minutes.slice(0, 2)).toEqual([30, 30])
  expect(on.ways[0]!.heat!.celsius).toEqual([165, 175])
})

describe('a dal with its own words', () => {
  const { ingredients, steps } = readRecipeText(`Everyday dal
makes 6 bowls

Stuff:
  - red lentils, 400 g
  - turmeric, 1 tsp
  - onion, 1 large
  - garlic, 6 cloves
  - cumin seeds, 2 tsp
  - ghee, 3 tbsp

How:
  a) Rinse lentils till water runs clear. Into the big pot with turmeric + 1.6 l water. Boil, skim, then turn right down, 25 mins.
  b) Tadka: ghee hot in small frying pan. Cumin seeds till they pop, then sliced onion till properly brown (8-10 mins). Garlic, finely chopped, 2 mins.
  c) Tadka into dal. 3 mins.`)
  it('has its amounts behind commas, and its steps behind letters', () => {
    expect(ingredients.every((i) => i.amount > 0)).toBe(true)
    expect(waits(steps)['put into']).toEqual(['rinse lentils'])
  })
  it('fries the spices in their own pan, and stirs them in', () => {
    expect(stepOf(steps, 'heat the ghee')).toMatchObject({ work: 'fry', minutes: [8, 10] })
    expect(waits(steps)['stir the']).toEqual(['turn right', 'garlic, finely'])
    expect(stepOf(steps, 'stir the').equipment).toEqual(['pot'])
  })
})

it('of chops in prose each thing takes the time that is told of it later', () => {
  const { serves, steps } = readRecipeText(`Pork chops with mash

For four. You will want four pork chops, a tablespoon of oil, two leeks, 300ml of dry cider and a kilo of potatoes.

Put the potatoes on to boil in salted water; they'll need 20 minutes.
Fry the chops in the oil for 8 minutes. Take them out and keep warm.
Soften the sliced leeks in the same pan for 6 minutes. Pour in the cider and let it reduce by half, about 5 minutes. Put the chops back for 3 minutes to heat through.`)
  expect(serves).toBe(4)
  expect(stepOf(steps, 'put the potatoes')).toMatchObject({ work: 'boil', minutes: [20, 20] })
  expect(stepOf(steps, 'chops back').equipment).toEqual(['frying-pan', 'burner'])
})

it('of pancakes the wet goes into the dry, and the batter into a greased pan', () => {
  const { steps } = readRecipeText(`Pancakes (makes 16)

300g plain flour
1 tbsp baking powder
3 eggs
400ml milk
50g butter

Whisk the flour and baking powder. Whisk the eggs and milk in a jug, then pour into the flour and whisk to a smooth batter.
Heat a large frying pan over a medium heat and grease with a little butter. Cook ladlefuls of batter, 2 minutes each side.
Bag up.`)
  const whisks = steps.filter((s) => s.do.startsWith('Whisk'))
  expect(whisks[1]!.after).toEqual([{ step: whisks[0]!.id }])
  expect(stepOf(steps, 'ladlefuls')).toMatchObject({ work: 'fry', uses: ['butter'] })
  expect(steps.at(-1)!.after).toEqual([{ step: stepOf(steps, 'ladlefuls').id }])
})

it('of chicken that is nestled back in, it lies in what was made in its pan', () => {
  const { steps } = readRecipeText(`Chicken and orzo
Serves 4

8 chicken thighs
1 onion, chopped
250g orzo
700ml chicken stock

Fry the chicken in a casserole for 10 mins. Transfer to a plate.
Add the onion to the pan and cook for 5 mins. Tip in the orzo and pour over the stock.
Nestle the chicken back in. Cook in the oven at 200C for 20 mins.`)
  expect(waits(steps)['nestle the']).toEqual(['transfer to', 'tip in'])
})
