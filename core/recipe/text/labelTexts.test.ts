import { describe, expect, it } from 'vitest'
import { plannable } from '../plannable'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts in which labels, days and what is kept back say what belongs together.

describe('a stew with dumplings', () => {
  const { steps } = readRecipeText(`Beef and ale stew with dumplings

Serves 6

2 tbsp oil
1kg stewing beef, cut into chunks
2 onions, sliced
500ml brown ale

Dumplings
150g self-raising flour
75g suet
6 tbsp cold water

1 Heat half the oil in a flameproof casserole and brown the beef in three batches, about 5 minutes each, removing to a plate as you go.
2 Add the rest of the oil and cook the onions for 10 minutes. Pour in the ale and let it bubble for 2 minutes.
3 Return the beef and its juices. Bring to a simmer, cover and put in the oven at 150°C for 2 hours.
4 For the dumplings, mix the flour and suet and add enough water to make a soft dough. Shape into 12 balls.
5 Turn the oven up to 190°C. Sit the dumplings on top of the stew and cook uncovered for 25 minutes until golden.`)
  const order = waits(steps)
  it('has the beef on a plate while the onions cook', () => {
    expect(order['add the']).toEqual(['(heat half'])
    expect(stepOf(steps, 'cook the onions').work).toBe('fry')
    expect(order['return the']!.sort()).toEqual(['heat half', 'pour in'])
  })
})

describe('a stir-fry in another kitchen’s words', () => {
  const { steps } = readRecipeText(`Chicken Noodle Stir Fry
4 servings

8 oz rice noodles
1 lb boneless chicken breast, thinly sliced
3 Tbsp soy sauce
2 Tbsp brown sugar
2 Tbsp vegetable oil
1 bell pepper, sliced

Instructions:
Cook noodles according to package directions; drain and rinse with cold water.
In a small bowl whisk soy sauce and brown sugar. Set aside.
Heat 1 Tbsp oil in a large skillet over high heat. Add chicken; cook 5-6 minutes or until no longer pink. Remove from skillet.
Heat remaining oil. Add pepper; stir-fry 2 minutes.
Return chicken to skillet along with noodles and sauce. Toss 2 minutes until heated through.`)
  const order = waits(steps)
  it('whisks the sauce in a bowl of its own, away from the noodles', () => {
    expect(stepOf(steps, 'whisk soy sauce')).toMatchObject({ after: [], equipment: ['bowl'] })
  })
  it('has the chicken out of the skillet, and back with all the rest', () => {
    expect(stepOf(steps, 'stir-fry').after).toMatchObject([{ food: false }])
    expect(order['return chicken']).toHaveLength(4)
  })
})

describe('a risotto', () => {
  const { steps } = readRecipeText(`Squash & sage risotto
Serves 2

1 small butternut squash
1 litre vegetable stock
1 shallot, finely chopped
knob of butter
160g risotto rice
40g parmesan

Oven 200C. Peel the squash, cut into 1cm cubes and roast on a tray for 25-30 mins.
Keep the stock at a bare simmer in a small pan.
Sweat the shallot in the butter and a little oil for 5 mins. Add the rice and stir for 2 mins.
Add the stock a ladle at a time, stirring - 18 to 20 mins.
Mash half the squash and stir it in with the parmesan. Lid on, rest 3 mins.`)
  const order = waits(steps)
  it('keeps the stock hot in a pan of its own, and takes that', () => {
    expect(order['sweat the']).toEqual([])
    expect(stepOf(steps, 'a ladle at a time').after).toHaveLength(2)
  })
  it('stirs the mashed squash into the rice', () => {
    expect(stepOf(steps, 'mash half')).toMatchObject({ equipment: ['pot'] })
    expect(stepOf(steps, 'mash half').after).toHaveLength(2)
  })
})

describe('muffins of dry and wet', () => {
  const { steps } = readRecipeText(`Blueberry oat muffins
Makes 12

Dry: 200g plain flour; 80g oats; 2 tsp baking powder
Wet: 2 eggs; 200ml buttermilk; 90ml sunflower oil
200g blueberries

- Oven 200°C; 12-hole tin lined with cases.
- Whisk dry in a large bowl. Whisk wet in a jug.
- Pour wet into dry, fold together, then fold in 3/4 of the berries.
- Divide between the cases. 20-22 min. Cool 5 min in tin, then rack.
Freeze individually; microwave 40 sec from frozen.`)
  it('whisks each of its headings, and warms up nothing today', () => {
    expect(stepOf(steps, 'whisk the dry').uses).toEqual(['flour', 'oat', 'powder'])
    expect(stepOf(steps, 'whisk the wet')).toMatchObject({ after: [] })
    expect(stepOf(steps, 'whisk the wet').uses).toEqual(['egg', 'buttermilk', 'oil'])
    expect(waits(steps)['stir the']!.sort()).toHaveLength(2)
    expect(steps.some((s) => /microwave/i.test(s.do))).toBe(false)
  })
})

describe('pork from Friday to Saturday', () => {
  const read = readRecipeText(`Char siu pork and rice (for 4)

1.2kg pork shoulder
100ml hoisin
3 tbsp honey
3 garlic cloves, grated
300g jasmine rice

Friday night
Mix hoisin, honey and garlic. Keep back a third in the fridge. Put the pork in a freezer bag with the rest and refrigerate overnight.

Saturday
Heat oven to 160C. Sit the pork on a rack over a roasting tin. Roast for 1 hour 30.
Rest 10 minutes, then slice.
Cook the rice for 12 minutes.
Boil the reserved marinade for 2 mins and spoon over.`)
  const order = waits(read.steps)
  it('reads the days as days, and no bag as a freezer', () => {
    expect(read.ingredients.map((i) => i.item)).not.toContain('friday night')
    expect(stepOf(read.steps, 'freezer bag').equipment).toEqual(['fridge'])
    expect(plannable(read, 'pork', 'Po').store?.place).not.toBe('freezer')
  })
  it('keeps a part of the marinade that no raw meat lay in, for the meat', () => {
    expect(stepOf(read.steps, 'mix hoisin').do).toMatch(/Keep back a third/)
    expect(order['boil the']).toEqual(['mix hoisin,'])
    expect(order['spoon over']!.sort()).toEqual(['boil the', 'slice'])
  })
})

describe('potatoes with toppings under their names', () => {
  const { ingredients, steps } = readRecipeText(`Jacket potatoes, 3 toppings
Feeds 6

6 big baking potatoes

Tuna: 2 tins tuna, 4 tbsp mayo, 2 spring onions
Beans: 2 tins baked beans, 1 tsp smoked paprika
Slaw: quarter of a red cabbage, 2 carrots, 3 tbsp yoghurt

Prick the potatoes. Bake at 200C for 1 hr 15.
Tuna - drain, mix with the mayo and sliced spring onion.
Beans - heat in a pan with the paprika, 5 min.
Slaw - shred everything, mix with yoghurt.
Let everyone choose.`)
  const order = waits(steps)
  it('takes each topping by its name', () => {
    expect(stepOf(steps, 'drain').uses).toEqual(['tuna'])
    expect(order['drain the']).toEqual([])
    expect(stepOf(steps, 'heat in a pan').uses.sort()).toEqual(['bean', 'paprika'])
    expect(stepOf(steps, 'shred everything').uses).toEqual(['cabbage', 'carrot'])
    expect(ingredients.find((i) => i.id === 'cabbage')).toMatchObject({ amount: 0.25 })
  })
  it('lets them choose without a step', () => {
    expect(steps.at(-1)!.do).not.toMatch(/choose/)
  })
})
