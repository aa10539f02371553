import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts of dinners and bakes in which something is made ready for what comes to it.

describe('enchiladas', () => {
  const read = readRecipeText(`Chicken enchiladas
Serves 6

500g cooked chicken, shredded
1 onion, diced
1 red pepper, diced
200g cheddar, grated
12 flour tortillas
For the sauce
2 tbsp oil
2 tbsp flour
700g passata
250ml chicken stock

1. Sauce: warm the oil in a saucepan, whisk in the flour and cook 1 minute. Slowly whisk in passata and stock. Simmer 10 minutes, stirring, until thick.
2. Fry the onion and pepper in a splash of oil until soft, 8 minutes. Tip into a bowl with the chicken, half the cheese and 4 tbsp of the sauce. Mix.
3. Spread a ladle of sauce over the base of two baking dishes. Fill each tortilla with 2 heaped tbsp of filling, roll up and tuck in seam-side down, six to a dish. Pour over the rest of the sauce, scatter over the remaining cheese.
4. Tonight's dish: bake at 190C for 25 minutes until bubbling. The other: cool, cover with foil and freeze for up to 3 months.`)
  const order = waits(read.steps)
  it('puts flour into the sauce, and no tortillas', () => {
    expect(stepOf(read.steps, 'warm the oil').uses).toEqual(['oil', 'flour'])
  })
  it('fries the filling apart, with a part of the sauce', () => {
    expect(order['fry the']).toEqual([])
    expect(order['tip into']!.sort()).toEqual(['fry the', 'simmer 10'])
    expect(order['fill each']!.sort()).toEqual(['mix', 'spread a'])
  })
  it('has the rest of the sauce in its dishes, one baked and one frozen unbaked', () => {
    expect(order['spread a']).toEqual(['simmer 10'])
    expect(order['pour over']!.sort()).toEqual(['fill each', 'simmer 10'])
    expect(order['bake at']).toEqual(['pour over'])
    expect(order['cool']).toEqual(['pour over'])
  })
})

describe('a biryani', () => {
  const { ingredients, steps } = readRecipeText(`Vegetable biryani
Serves 4

300g basmati rice
2 onions, finely sliced
3 tbsp ghee
1 small cauliflower, in florets
150g natural yoghurt
pinch saffron
3 tbsp warm milk
handful mint, handful coriander

Soak the rice in cold water for 30 minutes. Put the saffron in the warm milk.
Fry the onions in the ghee for 15 minutes. Add the cauliflower and fry for 5 minutes. Stir in the yoghurt. Cover and cook 8 minutes.
Drain the rice. Bring a large pan of salted water to the boil, add the rice and boil for exactly 5 minutes. Drain.
Butter a casserole. Put in half the rice, then the vegetables, then the rest of the rice. Drizzle over the saffron milk, top with the herbs.
Cover tightly with foil and a lid and bake at 170C for 30 minutes.`)
  const order = waits(steps)
  it('soaks the rice and the saffron each by itself', () => {
    expect(order['put the']).toEqual([])
    expect(order['drain the']).toEqual(['soak the'])
  })
  it('has two herbs of one line', () => {
    expect(ingredients.slice(-2).map((i) => i.item)).toEqual(['mint', 'coriander'])
  })
  it('puts rice and vegetables into the casserole that stands ready', () => {
    expect(order['butter a']).toEqual([])
    expect(stepOf(steps, 'put in half').equipment).toEqual(['pot'])
    expect(order['put in']).toContain('(butter a')
    expect(stepOf(steps, 'bake at 170').equipment).toEqual(['oven', 'pot'])
  })
})

describe('scones in small letters', () => {
  const read = readRecipeText(`Cheese scones -- 8 big ones

350g self-raising flour
1 tsp baking powder
85g cold butter, diced
150g mature cheddar, grated
175ml milk
1 egg

get the oven hot: 220c (200 fan)
rub flour, bp and butter together till it's like breadcrumbs. stir in 2/3 of the cheese
beat egg w/ milk. make a well, pour in, mix quickly w/ a knife to a soft dough
tip onto a floured worktop, knead twice, pat out to 3cm thick
onto the hot sheet, brush w/ milk, rest of the cheese on top
12-15 mins till well risen and golden. cool on a rack. best same day, or freeze`)
  const order = waits(read.steps)
  it('knows what is said in short', () => {
    expect(read.serves).toBe(8)
    expect(stepOf(read.steps, 'rub').uses).toContain('powder')
  })
  it('pours egg and milk into the flour', () => {
    expect(order['make a']!.sort()).toEqual(['beat egg', 'stir in'])
  })
  it('bakes before they cool, and freezes nothing', () => {
    expect(stepOf(read.steps, '12-15')).toMatchObject({ work: 'bake', minutes: [12, 15] })
    expect(order['cool on']).toEqual(['12-15 mins'])
    expect(read.steps.at(-1)!.do).toMatch(/^Cool/)
  })
})

describe('a roast dinner', () => {
  const { steps } = readRecipeText(`Roast chicken dinner, Sunday, 4 people

For the chicken: 1 chicken (1.6kg), 1 lemon, 50g soft butter, few sprigs thyme
For the potatoes: 1.2kg maris pipers, 4 tbsp goose fat
For the gravy: 1 tbsp flour, 400ml chicken stock

Take the chicken out of the fridge an hour before cooking. Heat the oven to 200C/180 fan.
Mash the butter with the thyme leaves and smear it under the skin. Stuff the lemon, halved, inside. Season and roast for 1 hr 20 min.
Peel potatoes, cut into large chunks, parboil for 8 minutes, drain and shake to rough up the edges. Put the goose fat in a roasting tin in the oven for 5 minutes, then add the potatoes, turn to coat and roast for 50 minutes, turning half way.
When chicken is done (juices clear), lift onto a board and rest for 20 minutes.
Gravy: put the tin on the hob, stir in the flour, cook a minute, whisk in the stock gradually, bubble for 5 minutes.
Carve and serve.`)
  const order = waits(steps)
  it('has butter and lemon in the bird that is roasted', () => {
    expect(order['mash the']).toEqual(['take the'])
    expect(order['stuff the']).toEqual(['mash the'])
    expect(order['when chicken']).toEqual(['roast for'])
    expect(stepOf(steps, 'smear it').hygiene).toBe('raw')
  })
  it('roasts the potatoes in their hot fat, beside the bird', () => {
    expect(order['peel potatoes,']).toEqual([])
    expect(stepOf(steps, 'goose fat')).toMatchObject({ uses: ['goose'], after: [] })
    expect(stepOf(steps, 'goose fat').hygiene).not.toBe('raw')
    expect(order['add the']!.sort()).toEqual(['drain and', 'put the'])
  })
  it('makes the gravy in the tin of the bird, once that is out', () => {
    expect(order['put the']).toBeDefined()
    const from = stepOf(steps, 'on the hob').after.map((a) => [
      steps.find((s) => s.id === a.step)!.do.slice(0, 12),
      a.food !== false,
    ])
    expect(from).toEqual([
      ['Roast for 1 ', true],
      ['When chicken', false],
    ])
  })
})

describe('a tart and a salad', () => {
  const read = readRecipeText(`Tomato tart & green salad

Serves 4

1 sheet ready-rolled puff pastry (320g)
2 tbsp dijon mustard
6 ripe tomatoes, sliced
1 egg, beaten
Salad
2 little gems
half a cucumber
Dressing: 3 tbsp olive oil, 1 tbsp lemon juice

Lay the tomatoes on kitchen paper, sprinkle with salt and leave 20 mins; pat dry.
Oven on to 200°C fan. Unroll the pastry onto a lined tray, prick the middle with a fork and bake 10 mins.
Push the middle down, spread with the mustard, overlap the tomatoes on top. Brush the border with egg. Back in for 20-25 mins until the edges are puffed.
Pull the lettuces apart, slice the cucumber and toss with the dressing.`)
  const order = waits(read.steps)
  it('has a heading that is no food, and gems that are lettuces', () => {
    expect(read.ingredients.map((i) => i.item)).not.toContain('salad')
    expect(stepOf(read.steps, 'pull the').uses).toEqual(['lettuce', 'cucumber'])
  })
  it('tops the pastry that was baked, and bakes it again', () => {
    expect(order['push the']).toHaveLength(2)
    expect(stepOf(read.steps, 'push the').do).not.toMatch(/scatter/)
    expect(stepOf(read.steps, 'return to the oven')).toMatchObject({
      work: 'bake',
      minutes: [20, 25],
    })
  })
})
