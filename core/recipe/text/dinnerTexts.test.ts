import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts of dinners with a sauce or a side that is cooked beside the rest.

describe('a lasagne', () => {
  const read = readRecipeText(`Spinach & ricotta lasagne
Serves 6-8

For the tomato sauce
2 tbsp olive oil
1 onion, finely chopped
2 x 400g cans plum tomatoes

For the filling
500g spinach
500g ricotta
grated zest 1 lemon

For the white sauce
50g butter
50g plain flour
700ml milk
100g parmesan, grated

12 lasagne sheets

1. Start with the tomato sauce. Heat the oil in a saucepan and cook the onion for 8-10 mins until soft. Tip in the tomatoes and simmer for 25 mins until thickened.
2. Meanwhile, wilt the spinach in a big pan for 2 minutes. Squeeze out as much water as you can. Mix with the ricotta and lemon zest.
3. For the white sauce, melt the butter in a pan, stir in the flour and cook for 2 mins. Gradually whisk in the milk, then bubble gently for 5 mins, stirring, until thick. Take off the heat and stir in half the parmesan.
4. Heat the oven to 190C/170C fan/gas 5. Spread a third of the tomato sauce over the base of a 20 x 30cm baking dish. Top with 4 lasagne sheets, then half the spinach mixture. Repeat the layers once more, then finish with the last of the tomato sauce, the last 4 sheets and the white sauce. Scatter over the remaining parmesan. (Can be frozen at this stage, well wrapped, for 3 months. Defrost in the fridge overnight before baking.)
5. Bake for 40-45 mins until golden and bubbling.`)
  const order = waits(read.steps)
  it('puts the white sauce on as the layers end', () => {
    const last = stepOf(read.steps, 'repeat the layers')
    expect(last.equipment).toEqual(['oven-dish'])
    // The rest of the tomato sauce stays in its pot until then.
    expect(order['repeat the']!.sort()).toEqual(['simmer for', 'take off', 'top with'])
  })
  it('bakes it the same day, and counts the lemon', () => {
    expect(read.steps.some((s) => /defrost/i.test(s.do))).toBe(false)
    expect(order['bake for']).toEqual(['scatter over'])
    expect(read.ingredients.find((i) => i.id === 'lemon')).toMatchObject({ amount: 1 })
  })
})

describe('chicken in red wine', () => {
  const read = readRecipeText(`Chicken in red wine (serves 4)

1 chicken, jointed into 8 (or 8 thighs)
150g smoked lardons
12 small shallots, peeled
250g button mushrooms
2 tbsp flour
1 bottle red wine
25g butter

Season the chicken. Fry the lardons in a large casserole until golden; remove with a slotted spoon. Brown the chicken in the fat, in two batches, 5 minutes a side. Set aside with the lardons.
Add the shallots and colour for 5 minutes. Sprinkle in the flour, stir, cook 1 minute. Pour in the wine. Return the chicken and lardons. Bring to a simmer, cover and cook on a low heat for 50 minutes.
While it's cooking, fry the mushrooms in the butter over a high heat until golden, 6-8 minutes.
Lift the chicken out to a warm dish. Turn up the heat and boil the sauce hard until it's syrupy, about 10 min. Put everything back, mushrooms too.`)
  const order = waits(read.steps)
  it('sets the browned chicken aside with the lardons', () => {
    expect(order['set aside']!.sort()).toEqual(['brown the', 'fry the'])
    expect(order['return the']!.sort()).toEqual(['pour in', 'set aside'])
  })
  it('boils the sauce in its pot when the chicken is out, and not the mushrooms', () => {
    expect(order['turn up']!.sort()).toEqual(['(lift the', 'bring to'])
    expect(stepOf(read.steps, 'boil the sauce').equipment).toEqual(['pot', 'burner'])
    expect(order['put everything']!.sort()).toEqual(['fry the', 'lift the', 'turn up'])
  })
})

describe('a dal with rice under labels in bold', () => {
  const read = readRecipeText(`# Weeknight dal

**Serves:** 4

## Dal
- 300 g red lentils
- 1.2 litres water

## Tarka
- 3 tbsp ghee
- 2 tsp cumin seeds
- 6 cloves garlic, thinly sliced

## Rice
- 300 g basmati rice

### Steps
1. **Dal:** rinse the lentils. Put in a pan with the water; bring to the boil and simmer for 25 minutes, until collapsed.
2. **Rice:** rinse, then soak for 15 minutes. Drain, cover with 450 ml water, bring to the boil and cook 10 minutes. Off the heat, rest 10 minutes with the lid on.
3. **Tarka:** heat the ghee in a small frying pan. Add the seeds; when they pop, add the garlic and fry until golden - 2 minutes. Pour straight into the dal. It will splutter.`)
  const order = waits(read.steps)
  it('rinses the rice of its own heading, and says so', () => {
    expect(stepOf(read.steps, 'rinse the basmati rice')).toMatchObject({ after: [] })
  })
  it('pours the tarka into the dal, and takes what it will do for no step', () => {
    expect(order['pour straight']).toHaveLength(2)
    expect(stepOf(read.steps, 'pour straight').do).toMatch(/It will splutter$/)
    expect(read.steps.at(-1)!.do).toMatch(/^Pour/)
  })
})

describe('a meatloaf with two sides', () => {
  const read = readRecipeText(`Turkey Meatloaf
Yield: 6 servings

Meatloaf
2 lb ground turkey
1 cup breadcrumbs
2 large eggs

Glaze
1/2 cup ketchup
2 tbsp brown sugar

Sides
3 lb sweet potatoes, peeled and cubed
1 lb green beans, trimmed

Directions
Preheat oven to 375°F. Line a rimmed baking sheet with foil.
Mix turkey, breadcrumbs and eggs in a large bowl. Form into a loaf on the baking sheet.
Whisk glaze ingredients. Brush half over meatloaf.
Bake 40 minutes. Brush with remaining glaze and bake 15-20 minutes more.
Meanwhile, place sweet potatoes in a large pot, cover with cold water, bring to boil and cook until tender, 15 minutes. Drain and mash.
Steam green beans 5 minutes.`)
  const order = waits(read.steps)
  it('takes half of the glaze before, and the rest after the first bake', () => {
    expect(stepOf(read.steps, 'whisk glaze').uses).toEqual(['ketchup', 'sugar'])
    expect(order['brush half']!.sort()).toEqual(['form into', 'whisk glaze'])
    expect(order['brush with']!.sort()).toEqual(['bake 40', 'whisk glaze'])
    expect(order['bake 15-20']).toEqual(['brush with'])
  })
  it('steams the beans by themselves', () => {
    expect(order['steam green']).toEqual([])
  })
})

describe('granola', () => {
  const read = readRecipeText(`Crunchy granola (a big jar, 12 breakfasts)
400g jumbo oats, 100g almonds roughly chopped, 100g mixed seeds, 2 tsp cinnamon, 100ml maple syrup, 80ml oil, 1 egg white, 120g dried cranberries.
Oven to 150C. Mix the dry things except the cranberries. Warm the syrup with the oil, whisk the egg white till frothy, stir both into the oats. Tip onto two lined trays and press down. Bake 20 mins. Let it go cold on the trays. Stir in cranberries.`)
  it('mixes what is dry, and spares what is stirred in at the end', () => {
    expect(stepOf(read.steps, 'mix the dry').uses).toEqual(['oat', 'almond', 'seed', 'cinnamon'])
    expect(stepOf(read.steps, 'stir in cranberries').uses).toEqual(['cranberry'])
    expect(stepOf(read.steps, 'whisk the egg white').after).toHaveLength(2)
  })
  it('makes twelve breakfasts of chopped almonds', () => {
    expect(read.serves).toBe(12)
    expect(read.ingredients[1]).toMatchObject({ item: 'almonds', preparation: 'roughly chopped' })
  })
})

describe('tacos from the slow cooker', () => {
  const read = readRecipeText(`Slow cooker beef tacos

Feeds 8

1.5kg beef shin
1 tbsp each cumin, oregano, smoked paprika
2 onions, sliced
3 tbsp chipotle paste
400g tin tomatoes
200ml beef stock
To serve: coriander, soured cream

Night before: mix spices and rub all over the beef, cover and refrigerate.
Morning: onions in the bottom of the slow cooker, beef on top. Whisk chipotle, tomatoes and stock, pour over. Low for 8 hours.
Evening: lift the beef out, shred with two forks.
Pile everything on the table.
Freeze half the beef, flat in bags.`)
  const order = waits(read.steps)
  it('takes a spoon of oregano for a spice, and coriander at the table for none', () => {
    expect(stepOf(read.steps, 'mix spices').uses.sort()).toEqual([
      'cumin',
      'oregano',
      'paprika',
      'shin',
    ])
  })
  it('pours what was whisked over the beef in the slow cooker, and freezes before it is eaten', () => {
    expect(order['pour over']!.sort()).toEqual(['onions in', 'whisk chipotle,'])
    expect(stepOf(read.steps, 'pour over').equipment).toEqual(['slow-cooker'])
    expect(order['lift the']).toEqual(['low for'])
    expect(order['freeze half']).toEqual(['lift the'])
  })
})
