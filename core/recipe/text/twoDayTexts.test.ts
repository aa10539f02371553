import { describe, expect, it } from 'vitest'
import { plannable } from '../plannable'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts of two days, of elliptical sentences, and of lists that stand in sentences.

describe('oxtail over two days', () => {
  const read = readRecipeText(`Oxtail with barley

Takes all day but you do nothing. Serves 6 to 8.

2 oxtails, jointed
3 tbsp seasoned flour
2 tbsp dripping
2 onions, 3 carrots and 2 sticks of celery, all in big chunks
1 bottle stout
1 litre beef stock
100g pearl barley
bay, thyme

Toss the oxtail in the flour. Get the dripping smoking in your biggest casserole and brown it on all sides, three batches I'd say, 8 minutes a go. Put on a plate.
Turn the heat down, veg in, 10 minutes till catching a bit. Stout in, scrape the bottom, let it halve, about 10 minutes. Meat back in along with any juices, stock, herbs. Lid on and into the oven at 150 for three and a half hours.
Cool it, then fridge overnight. Next day the fat comes off in one piece.
Put it back on a low heat and once it's loosened add the barley, which I've soaked for an hour. 45 minutes with the lid ajar.`)
  const { steps, ingredients } = read
  it('takes the talk above the list for no step, and the whole list for a list', () => {
    expect(ingredients.map((i) => i.item)).toEqual(
      expect.arrayContaining(['stout', 'beef stock', 'pearl barley', 'bay', 'thyme']),
    )
    expect(steps[0]!.do).toBe('Toss the oxtail in the flour')
  })
  it('browns the meat in three goes, and has it back in the pot before the oven', () => {
    expect(stepOf(steps, 'get the dripping')).toMatchObject({ goes: 3, minutes: [24, 24] })
    const order = waits(steps)
    expect(order['turn the']).toEqual(['(get the'])
    expect(order['return the']).toEqual(['put on', 'let it'])
    expect(order['lid on']).toEqual(['return the'])
    expect(stepOf(steps, 'lid on')).toMatchObject({ celsius: 150, equipment: ['oven', 'pot'] })
  })
  it('soaks the barley before, and ends on the hob', () => {
    const planned = plannable(read, 'dish', 'Di').steps
    expect(planned.find((s) => s.work === 'soak')).toMatchObject({
      do: 'Soak the pearl barley for an hour',
    })
    expect(stepOf(steps, 'put it back')).toMatchObject({ work: 'simmer', minutes: [45, 45] })
    expect(stepOf(steps, 'put in the fridge').do).toContain('lift the fat off')
  })
})

describe('crumbles in small dishes', () => {
  const read = readRecipeText(`HADDOCK & LEEK CRUMBLES (makes 4 individual)

600g undyed smoked haddock
500ml whole milk
2 leeks, washed & sliced
50g butter
40g plain flour
100g frozen peas
2 eggs, hard boiled & quartered
Topping: 75g oats, 75g breadcrumbs, 60g cheddar (grated), 50g butter (melted)

1) Preheat oven 190C/170C fan/gas 5.
2) Haddock into a wide pan, milk over. Bring just to a simmer then off the heat, lid on, 10 mins. Lift fish out, reserve milk. Flake fish, discarding skin & bones.
3) Meanwhile sweat leeks in half the butter, 8 mins.
4) Rest of butter into saucepan, melt, add flour, cook 1 min. Gradually whisk in the reserved milk. Simmer 3 mins till thick.
5) Fold in fish, leeks, peas. Divide between 4 ovenproof dishes, tuck 2 egg quarters in each.
6) Combine topping ingredients. Scatter.
7) Bake 25 mins until bubbling. Rest 5.
To freeze: cool, wrap, freeze unbaked up to 1 month.`)
  const { steps } = read
  const order = waits(steps)
  it('keeps the milk in its pan until it is whisked in', () => {
    expect(stepOf(steps, 'lift fish').uses).toEqual(['haddock'])
    expect(order['gradually whisk']).toContain('bring just')
    expect(order['put the']).toEqual([])
  })
  it('scatters the topping over the dishes', () => {
    expect(order['scatter over']!.sort()).toEqual(['combine topping', 'divide between'])
    expect(stepOf(steps, 'bake 25').equipment).toEqual(['oven', 'oven-dish'])
  })
  it('boils the eggs first, which are not raw any more, and keeps the baked ones out of the freezer', () => {
    const planned = plannable(read, 'dish', 'Di')
    const boil = planned.steps.find((s) => /^Boil the eggs/.test(s.do))!
    const peel = planned.steps.find((s) => /^Peel the eggs/.test(s.do))!
    expect(boil.ways[0]!.minutes[1]).toBe(10)
    expect(peel.after).toEqual([{ step: boil.id }])
    expect(planned.steps.find((s) => /tuck/.test(s.do))).toMatchObject({ hygiene: 'ready' })
    expect(planned.store?.place).not.toBe('freezer')
  })
})

describe('meatballs that wait in the cold', () => {
  const { steps } = readRecipeText(`Turkey Meatball Soup
Yield: 8 servings

Meatballs
1 lb ground turkey
1/2 cup panko
1 egg

Soup
1 tbsp olive oil
1 cup diced onion
8 cups chicken broth
1 cup ditalini

Directions
Line a rimmed sheet pan with parchment. Mix all the meatball ingredients with your hands. Scoop into 1-inch balls and place on the pan. Refrigerate while you make the soup.
In a Dutch oven over medium heat, warm the oil. Add onion; cook until softened, 6 to 8 minutes. Pour in broth and bring to a boil.
Drop in meatballs one at a time. Reduce heat and simmer, about 12 minutes.
Stir in pasta. Cook until pasta is tender, 8 to 9 minutes.
Cool and refrigerate up to 3 days. Pasta will soak up broth; add more when reheating.`)
  const order = waits(steps)
  it('makes the soup meanwhile, and has the meatballs in it', () => {
    expect(order['in a']).toEqual([])
    expect(order['drop in']!.sort()).toEqual(['pour in', 'refrigerate while'])
    expect(stepOf(steps, 'stir in').uses).toContain('ditalini')
  })
  it('lays them on the sheet, and takes what is said of another day for no work', () => {
    expect(stepOf(steps, 'scoop').equipment).toEqual(['tray'])
    expect(steps.some((s) => s.work === 'soak' || /reheating/.test(s.do))).toBe(false)
  })
})

describe('a chilli in the slow cooker, and tortillas', () => {
  const read = readRecipeText(`Pork and hominy chilli, then tortillas

Dinner for 4, plus four portions for the freezer

For the chilli: 1.5 kg pork shoulder, cut in 3 cm cubes; 2 onions; 6 cloves garlic; 2 green peppers; 2 tins hominy; 500 ml chicken stock; juice of 2 limes.
For the tortillas: 300 g masa harina; 400 ml warm water; 1/2 tsp salt.

Sear the pork in a hot frying pan, in 3 batches, 5 minutes each, moving it to the slow cooker as it browns. Blacken the peppers under a hot grill, about 12 minutes. Soften the onions and garlic in the frying pan for 8 minutes and tip in with the pork along with the peppers and the stock. Cook on low for 8 hours. An hour before the end, stir in the drained hominy.
For the tortillas mix everything to a soft dough and leave to rest, covered, for 20 minutes. Divide into 16 balls. Press each one flat and cook in a dry pan, a minute a side.
Squeeze in the lime before serving. Cool the other half quickly, in shallow tubs, and freeze.`)
  const { steps } = read
  const order = waits(steps)
  it('serves those at the table and those who eat from the freezer', () => {
    expect(read.serves).toBe(8)
  })
  it('makes the dough of its own list, beside the chilli', () => {
    expect(stepOf(steps, 'for the tortillas')).toMatchObject({ after: [], work: 'mix' })
    expect(stepOf(steps, 'for the tortillas').uses).toHaveLength(3)
    expect(stepOf(steps, 'cook in a dry pan').minutes).toEqual([32, 32])
  })
  it('blackens under the grill, and squeezes the lime into the chilli', () => {
    expect(stepOf(steps, 'blacken')).toMatchObject({ work: 'grill', equipment: ['oven'] })
    expect(order['squeeze in']).toEqual(['an hour'])
  })
  it('tells to cut the onions and garlic that go into a pan', () => {
    const cuts = plannable(read, 'dish', 'Di')
      .steps.filter((s) => s.work === 'cut')
      .map((s) => s.do)
    expect(cuts).toEqual(
      expect.arrayContaining(['Peel and chop the onions', 'Peel and crush the garlic']),
    )
  })
})

describe('a pie in another’s English', () => {
  const { ingredients, steps } = readRecipeText(`Rabbit pie

For 6 people

You need one rabbit jointed by the butcher, 150 g bacon bits, 1 onion, 2 carrots, 1 spoon mustard, 300 ml cider, 200 ml cream, 2 spoons flour, 1 packet puff pastry (375 g), 1 egg.

First day: I fry bacon slowly until the fat comes, take it out. In the fat I brown the rabbit pieces on all sides, it takes 10 minutes. Then the onion and the carrot, cut small, 5 minutes. I put flour on, then cider, mustard and the bacon, and enough water to cover. It must cook with lid 1 hour 30, very quietly. The rabbit comes out, and when it is not hot any more I take the meat from the bones. Sauce boils down 10 minutes, cream in, meat in. All in the pie dish. Cold and in the refrigerator until tomorrow.
Second day: oven 200. Pastry on top, paint with the egg, a hole in the middle. 35 minutes.`)
  const order = waits(steps)
  it('takes a sentence of what is needed for the list only', () => {
    expect(ingredients[0]).toMatchObject({ item: 'rabbit', amount: 1 })
    expect(steps[0]!.do).toMatch(/^First day: I fry bacon/)
  })
  it('stews in one pot, takes the meat off its bones, and bakes at the end', () => {
    expect(steps.some((s) => s.equipment.includes('frying-pan'))).toBe(false)
    expect(order['i add']!.sort()).toEqual(['add then', 'first day:'])
    expect(stepOf(steps, 'take the rabbit')).toMatchObject({ work: 'cut', equipment: ['board'] })
    expect(order['put everything']).toEqual(['add the'])
    expect(stepOf(steps, 'put in the refrigerator').minutes[0]).toBeGreaterThan(400)
    expect(steps.at(-1)).toMatchObject({ do: 'Bake for 35 minutes', work: 'bake', celsius: 200 })
  })
})

describe('boxes for lunch', () => {
  const { ingredients, steps } = readRecipeText(`Halloumi grain boxes

Makes 5 boxes

Grains
300 g mixed quinoa and bulgur
Veg
2 courgettes
2 red peppers
1 tbsp oil
Halloumi
2 x 225 g blocks halloumi
Dressing
4 tbsp tahini
1 lemon

1. Oven on, 210°C.
2. Chop the courgettes and peppers into chunks, oil them, roast on two trays for 30 min. Swap the trays over halfway.
3. Grains: boil in plenty of water 12 min, drain, spread out on a tray to cool.
4. Whisk the tahini with the lemon juice. Pour into 5 small pots.
5. Slice each halloumi block into 10. Griddle in a hot dry pan, 2 min per side, in 3 goes.
6. When everything is cold: grains, veg, 4 slices of halloumi per box.`)
  it('reads headings in a list without gaps', () => {
    expect(ingredients.map((i) => i.item)).not.toContain('veg')
    expect(ingredients).toHaveLength(7)
  })
  it('boils the grains beside the roast, pours into no cooking pot, and packs what is cold', () => {
    const order = waits(steps)
    expect(stepOf(steps, 'boil in')).toMatchObject({ after: [], uses: ['bulgur'] })
    expect(stepOf(steps, 'pour into').equipment).toEqual([])
    expect(stepOf(steps, 'fry in').minutes).toEqual([12, 12])
    expect(order['spread everything']).toHaveLength(4)
    expect(stepOf(steps, 'pack into').work).toBe('pack')
  })
})

describe('dough that is folded, and duck with mash', () => {
  it('folds for as long as its sets take', () => {
    const { serves, steps } = readRecipeText(`Focaccia

- 100 g active starter
- 500 g bread flour
- 380 g water

Stir starter, water and flour together. Rest 30 min. Four sets of folds, one every 30 minutes. Prove 2 hours. Oven at 230. Bake for 25 min. Out of the tin onto a rack straight away. Makes 12 squares.`)
    expect(serves).toBe(12)
    expect(stepOf(steps, 'stretch and fold').minutes).toEqual([90, 90])
    expect(stepOf(steps, 'turn out').after).toMatchObject([{ step: stepOf(steps, 'bake').id }])
  })
  const { steps } = readRecipeText(`Duck legs with plums, and the mash

Gas 3. Feeds four

4 duck legs
1 star anise, 1 stick cinnamon
8 plums, halved & stoned
2 red onions in wedges
150ml red wine
MASH
1kg floury potatoes
100ml hot milk
50g butter
nutmeg

Prick the duck legs and season. Start them in a COLD dry frying pan, skin down, and let the fat run over a low heat for 15 mins. Turn, 2 mins, into a roasting tin. Pour off the fat (keep it for roasties) and soften the onions in what clings to the pan, 6 mins. Add wine, spices, bubble 2 mins, pour round the duck. Roast 1¼ hrs; plums go in for the last 25 mins.
When the plums go in, put the potatoes on: peeled, quartered, cold salted water, 20 mins from the boil. Drain, back in the pan over a low flame a minute to dry off, then mash with the milk, butter and a scrape of nutmeg.
Rest the duck 10 mins while you reduce the juices in the roasting tin on the hob - 5 mins or until sticky.`)
  const order = waits(steps)
  it('has its oven’s heat from the line above the list', () => {
    expect(stepOf(steps, 'roast 1').celsius).toBe(160)
  })
  it('softens the onions in the pan that the duck has left', () => {
    expect(stepOf(steps, 'fry them').minutes).toEqual([15, 15])
    expect(stepOf(steps, 'pour off').after).toMatchObject([{ food: false }])
    expect(stepOf(steps, 'pour round').equipment).toEqual(['tray'])
    expect(stepOf(steps, 'add wine').uses).not.toContain('nutmeg')
  })
  it('boils the potatoes beside it, and lifts the duck out of the tin that is boiled down', () => {
    expect(order['peel, quarter']).toEqual([])
    expect(order['put them']).toEqual(['peel, quarter'])
    expect(order['mash with']).toEqual(['drain, back'])
    expect(stepOf(steps, 'lift the duck').equipment).toEqual(['board'])
    expect(stepOf(steps, 'reduce').minutes).toEqual([5, 5])
  })
})
