import { describe, expect, it } from 'vitest'
import { aboutSteps } from '../about'
import { sharesOf } from '../shares'
import { recipeOf } from '../told.fixture'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts in which several things of one name, or of one heading, must be told apart.

describe('a moussaka', () => {
  const read = readRecipeText(`Moussaka

For 6 people.

3 large aubergines
Olive oil
500g lamb mince
400g tin chopped tomatoes
500g potatoes

For the topping:
40g butter
40g flour
450ml milk
2 egg yolks
60g feta

Slice the aubergines into 1cm rounds. Brush the slices with oil, lay on two baking sheets and roast at 200C for 25 minutes.
Brown the lamb in a casserole for 10 minutes. Stir in the tomatoes and simmer, uncovered, for 30 minutes until thick.
Boil the potatoes whole for 15 minutes, then slice.
For the topping, melt the butter, stir in the flour, then whisk in the milk a little at a time. Simmer for 5 minutes. Off the heat beat in the yolks and crumble in the feta.
Layer up: potatoes, half the meat, half the aubergines, then again. Pour over the topping.
Bake at 180°C for 45 minutes until golden. It needs half an hour to settle before you cut it.`)
  const order = waits(read.steps)
  it('makes the topping in a pot, off the heat with yolks', () => {
    expect(stepOf(read.steps, 'melt the butter')).toMatchObject({
      work: 'simmer',
      equipment: ['pot', 'burner'],
    })
    expect(order['off the']).toEqual(['simmer for'])
    expect(order['crumble in']).toEqual(['off the'])
  })
  it('layers all of it in a dish for the oven, and the topping over that', () => {
    const layered = stepOf(read.steps, 'layer potatoes')
    expect(layered.equipment).toEqual(['oven-dish'])
    expect(layered.after).toHaveLength(3)
    expect(order['pour over']!.sort()).toEqual(['crumble in', 'layer potatoes,'])
    expect(stepOf(read.steps, 'until golden').equipment).toEqual(['oven', 'oven-dish'])
    const shares = sharesOf(recipeOf(read))
    expect(shares.get(layered.id)!.get('aubergine')).toBe(1)
  })
  it('settles, and bakes no longer', () => {
    expect(stepOf(read.steps, 'settle')).toMatchObject({ work: 'rest', minutes: [30, 30] })
  })
})

describe('ribs with a glaze', () => {
  const read = readRecipeText(`Sticky oven ribs with slaw and corn

SERVES 4-5

2 racks pork ribs (about 1.4kg)
1 tbsp smoked paprika

BBQ sauce: 200ml ketchup, 3 tbsp treacle

Slaw: 1/4 white cabbage, 4 tbsp mayo

4 corn cobs
50g butter

METHOD

Rub the paprika over the ribs. Put on a baking tray and bake at 150C for 2 1/2 hours.
Meanwhile put all the BBQ sauce ingredients in a small pan and simmer for 10 minutes until glossy.
Unwrap the ribs (careful, steam), tip away the fat, turn the oven up to 220C. Brush generously with half the sauce and bake 10 minutes; brush again, 10 more.
Boil the corn for 6 minutes, drain, roll in the butter.`)
  const order = waits(read.steps)
  it('turns the oven up beside the work of hands, and bakes at that', () => {
    expect(stepOf(read.steps, 'unwrap')).toMatchObject({ celsius: null, after: [{}] })
    expect(stepOf(read.steps, 'unwrap').equipment).not.toContain('oven')
    expect(stepOf(read.steps, 'bake 10')).toMatchObject({ celsius: 220 })
  })
  it('brushes the ribs with the sauce, and bakes on for what is left', () => {
    expect(order['brush generously']!.sort()).toEqual(['put all', 'unwrap the'])
    expect(stepOf(read.steps, '10 more minutes')).toMatchObject({
      work: 'bake',
      minutes: [10, 10],
      equipment: ['oven', 'tray'],
    })
    expect(stepOf(read.steps, 'roll in the butter').work).toBe('mix')
  })
})

describe('bowls of parts under headings', () => {
  const read = readRecipeText(`Sunday meal prep: chicken shawarma bowls (makes 5)

CHICKEN
900 g boneless skinless chicken thighs
juice of 1 lemon
3 cloves garlic, minced
2 tsp cumin
1 tsp turmeric

RICE
2 cups basmati rice
3 cups water
1/2 tsp turmeric

SALAD
1 cucumber, diced
300 g cherry tomatoes, halved

SAUCE
1 cup Greek yogurt
1 clove garlic, grated
1 tbsp lemon juice

DIRECTIONS
1. Combine chicken with lemon juice, garlic and spices. Marinate at least 1 hour, or up to 24.
2. Heat oven to 425 F. Spread chicken on a sheet pan and roast 25 to 30 min.
3. While chicken roasts: rinse rice, add to a pot with water, turmeric and a pinch of salt. Bring to a boil, cover, reduce to low, cook 15 min.
4. Toss salad ingredients together.
5. Whisk sauce ingredients; thin with water if needed.
6. Divide rice among 5 containers, top with chicken and salad.`)
  const order = waits(read.steps)
  it('takes lemon, garlic and spices of the chicken for the chicken', () => {
    expect(stepOf(read.steps, 'combine chicken').uses.sort()).toEqual([
      'cumin',
      'garlic',
      'lemon',
      'thigh',
      'turmeric',
    ])
  })
  it('takes the turmeric of the rice for the rice, beside the roast', () => {
    expect(stepOf(read.steps, 'add to a pot').uses).toContain('turmeric-2')
    expect(order['add to']).toEqual(['rinse rice'])
    expect(order['rinse rice']).toEqual([])
  })
  it('tosses and whisks what stands under their headings', () => {
    expect(stepOf(read.steps, 'toss salad').uses).toEqual(['cucumber', 'tomato'])
    expect(stepOf(read.steps, 'whisk sauce').uses).toEqual(['yogurt', 'garlic-2', 'juice'])
    expect(stepOf(read.steps, 'whisk sauce').do).toMatch(/Thin with water if needed$/)
    expect(order['divide rice']).toEqual(
      expect.arrayContaining(['bring to', 'roast 25', 'toss salad']),
    )
  })
})

describe('a dinner of three things', () => {
  const read = readRecipeText(`Jerk chicken, rice and peas

6 hungry people

Marinade
3 cloves garlic
1 tbsp allspice
1 tbsp thyme leaves
2 tbsp brown sugar

12 chicken pieces, bone in

Rice and peas
400g tin kidney beans
400g tin coconut milk
300g long grain rice
2 sprigs thyme

Blitz marinade ingredients to a paste. Rub the paste all over the chicken. Heat the oven to 190. Roast for 45-50 minutes until cooked right through.
After the chicken has been in 20 minutes, put the beans with their liquid, coconut milk and thyme in a pan with 200ml water and bring to a boil. Stir in the washed rice, cover tightly, turn down very low and cook 20 minutes.`)
  it('is for six, of beans out of a tin', () => {
    expect(read.serves).toBe(6)
    expect(read.ingredients.map((i) => i.item)).toContain('tinned kidney beans')
  })
  it('cooks the beans in a pan of their own, with their own thyme', () => {
    const beans = stepOf(read.steps, 'put the beans')
    expect(beans).toMatchObject({ after: [], uses: ['bean', 'milk', 'thyme'] })
    expect(stepOf(read.steps, 'roast').minutes).toEqual([45, 50])
  })
  it('calls the roast no peas', () => {
    const about = [...aboutSteps(recipeOf(read)).values()]
    expect(about.join('; ')).not.toMatch(/peas/)
  })
})

describe('brownies', () => {
  const read = readRecipeText(`brownies, tray of 16

200g dark chocolate
200g butter
3 eggs
275g golden caster sugar
90g plain flour
100g white chocolate, in chunks

1) melt dark choc and butter in a bowl over a pan of barely simmering water. leave to cool to room temp
2) oven 180/160 fan. line a 20cm square tin
3) whisk eggs + sugar for 5ish mins until thick and pale
4) pour choc over eggs, fold gently
5) sift in flour, fold. add white choc
6) into tin. 25 mins. should still wobble a bit in the middle
7) leave in tin till completely cold then cut into 16`)
  const order = waits(read.steps)
  it('tells the chocolates apart', () => {
    expect(read).toMatchObject({ name: 'brownies', serves: 16 })
    expect(stepOf(read.steps, 'melt').uses).toEqual(['chocolate', 'butter'])
    expect(stepOf(read.steps, 'pour choc').uses).toEqual(['chocolate', 'egg'])
    expect(stepOf(read.steps, 'white choc').uses).toEqual(['chocolate-2'])
    expect(stepOf(read.steps, 'melt').equipment).toEqual(['bowl', 'pot', 'burner'])
  })
  it('bakes them in their tin, until they are cold', () => {
    expect(stepOf(read.steps, 'whisk eggs').minutes).toEqual([5, 5])
    expect(stepOf(read.steps, '25 mins')).toMatchObject({ work: 'bake', celsius: 180 })
    expect(stepOf(read.steps, 'completely cold').work).toBe('cool')
    expect(order['cut into']).toEqual(['leave in'])
  })
})

describe('a stroganoff in numbered steps', () => {
  const read = readRecipeText(`Mushroom stroganoff with mash

Hands-on 30 min | Serves 4 | easy

800g potatoes, peeled, quartered
600g mixed mushrooms, sliced
2 onions, thinly sliced
2 tbsp butter
1 tbsp plain flour
250ml vegetable stock
100ml hot milk
chives

Step 1
Put the potatoes in a pan of cold salted water, bring to the boil and cook for 15-18 minutes until a knife slips in.
Step 2
Meanwhile, melt half the butter in a large frying pan, add the onions and cook over a medium heat for 12 minutes, until soft. Scoop onto a plate.
Step 3
Add the rest of the butter to the pan and fry the mushrooms in two batches, about 5 minutes per batch. Return everything to the pan.
Step 4
Stir in the flour and cook for 1 minute. Pour in the stock and simmer for 5 minutes.
Step 5
Drain the potatoes, mash with the hot milk. Divide between bowls, top with the stroganoff and snip over the chives.`)
  const order = waits(read.steps)
  it('has no line about the recipe among its steps or its food', () => {
    expect(read.steps[0]!.do).toMatch(/^Put the potatoes/)
    expect(read.ingredients).toHaveLength(8)
  })
  it('returns the onions to the mushrooms, and no potatoes', () => {
    expect(order['return everything']!.sort()).toEqual(['add the', 'scoop onto'])
  })
  it('is called by its name where it goes onto the mash', () => {
    expect(order['divide between']!.sort()).toEqual(['mash with', 'pour in'])
    expect(stepOf(read.steps, 'chives').work).not.toBe('cut')
  })
})
