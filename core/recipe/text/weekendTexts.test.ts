import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts with two lists, with what is only done if it must be, and with a filling that is rolled in.

describe('granola and compote', () => {
  const { serves, steps } = readRecipeText(`GRANOLA + COMPOTE

For breakfasts all week (8)

GRANOLA
400g jumbo oats
150g mixed nuts
100ml rapeseed oil
120ml maple syrup
100g dried cranberries

COMPOTE
600g frozen berries
3 tbsp sugar
1 orange

Oven 150 fan. Oats, nuts in big bowl. Warm oil + syrup in small pan, pour over, stir well. Spread over 2 trays. 35 min, stir every 10. Out, press down, leave till stone cold. Then cranberries through. Jar. Keeps a month.

Compote: berries, sugar, zest and juice of the orange into a pan, medium heat, 12 min till syrupy. Cool, jar, fridge 1 week.`)
  const order = waits(steps)
  it('pours the syrup over the oats, and bakes them on their trays', () => {
    expect(serves).toBe(8)
    expect(order['pour over,']!.sort()).toEqual(['put the', 'warm oil'])
    expect(stepOf(steps, '35 min')).toMatchObject({ work: 'bake', celsius: 150 })
    expect(stepOf(steps, 'stone cold').work).toBe('cool')
    expect(stepOf(steps, 'stir in').uses).toEqual(['cranberry'])
  })
  it('cooks the compote beside it, of its own berries, and keeps it for no work of a week', () => {
    expect(stepOf(steps, 'berries, sugar')).toMatchObject({ after: [], work: 'simmer' })
    expect(stepOf(steps, 'berries, sugar').uses).not.toContain('cranberry')
    expect(Math.max(...steps.map((s) => s.minutes[1]))).toBeLessThan(120)
  })
})

describe('pork for two evenings', () => {
  const { serves, steps } = readRecipeText(`Carnitas, pickled onions

6 people, plus leftovers for 4 in the freezer

Pork
2.5kg boneless pork shoulder
1 tbsp salt
2 oranges
250 ml lard or oil

Onions
2 red onions
150 ml lime juice
1 tsp salt

24 corn tortillas

Season the pork with the salt and leave for 30 minutes. Oven 140°C.
Pack the pork snugly into a casserole with the juice of the oranges and the fat. Cover and bake 3½ hours. Lift out the meat and shred into big pieces; strain the juices, keep both.
Finely slice the red onions, pour boiling water over, drain after 10 seconds. Add lime juice and salt; an hour in the fridge at least.
Heat tortillas one by one in a dry pan, 30 seconds each side.
Freeze the other half in its juices.`)
  it('is for those at the table and at the freezer', () => {
    expect(serves).toBe(10)
  })
  it('packs the pork into its casserole, with the fat and no lime', () => {
    const pack = stepOf(steps, 'pack the')
    expect(pack).toMatchObject({ work: 'assemble', equipment: ['pot'] })
    expect(pack.uses).toEqual(expect.arrayContaining(['oil', 'orange']))
    expect(pack.uses).not.toContain('juice')
    expect(stepOf(steps, 'strain the').uses).toEqual([])
  })
  it('pickles the onions beside it, and heats each tortilla', () => {
    expect(waits(steps)['add lime']).toEqual(['pour boiling'])
    expect(stepOf(steps, 'heat tortillas').minutes).toEqual([24, 24])
  })
})

describe('a filling that is rolled in', () => {
  const { steps } = readRecipeText(`Mushroom wellington

Serves 8

500 g chestnut mushrooms
250 g cooked chestnuts
50 g butter
100 g breadcrumbs
100 ml red wine
500 g block puff pastry
1 egg, beaten

Melt the butter in a wide pan, add the mushrooms and cook for 12-15 minutes. Wine in, reduce to nothing. Tip onto a tray and chill until cold, at least an hour.
Crumble the chestnuts and mix them in along with the breadcrumbs.
Roll the pastry out on a floured surface. Pile the filling down the middle in a log, brush the edges with egg, fold over and seal. Bake at 200°C for 40 minutes.`)
  const order = waits(steps)
  it('has all that was mixed in it, inside the pastry', () => {
    expect(order['mix them']!.sort()).toEqual(['chill until', 'crumble the'])
    expect(order['pile the']!.sort()).toEqual(['mix them', 'roll the'])
    expect(stepOf(steps, 'fold over').work).toBe('shape')
  })
})

describe('a bake in few words', () => {
  const { ingredients, steps } = readRecipeText(`Tuna pasta bake
Serves 4

400g penne
2 x 145g tins tuna in spring water, drained
1 x 200g tin sweetcorn, drained
50g butter
50g flour
600ml milk
200g mature cheddar, grated

1. Put the oven on at 200C. Boil the penne for 10 minutes.
2. Melt the butter, add the flour, stir for a minute, then the milk bit by bit. Let it bubble till thick. Off the heat, in with three quarters of the cheese.
3. Drain the pasta, add to the sauce with the tuna and corn. If it's stiff, loosen with the water.
4. Into a dish, remaining cheese on top.
5. 20 minutes till crisp and bubbling.`)
  it('knows tuna by no water, and corn by its short name', () => {
    expect(ingredients[1]).toMatchObject({ item: 'tinned tuna', amount: 290 })
    expect(stepOf(steps, 'add to the sauce').uses).toEqual(['tuna', 'sweetcorn'])
  })
  it('does only if it must what it says so of, and bakes what is in its dish', () => {
    expect(steps.some((s) => /^If/.test(s.do))).toBe(false)
    expect(stepOf(steps, 'remaining cheese').uses).toEqual(['cheddar'])
    expect(steps.at(-1)).toMatchObject({ work: 'bake', celsius: 200, minutes: [20, 20] })
  })
})
