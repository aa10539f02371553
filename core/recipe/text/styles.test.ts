import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf as find } from './steps.fixture'
import type { StepRead } from './drafts'

const read = (method: string, list = '') =>
  readRecipeText(`A dish\nServes 4\n\nIngredients\n${list}\n\nMethod\n${method}`)
const after = (steps: readonly StepRead[], words: string) =>
  find(steps, words).after.map((a) => steps.find((s) => s.id === a.step)!.do.toLowerCase())
const waitsFor = (steps: readonly StepRead[], words: string, other: string) =>
  after(steps, words).some((d) => d.includes(other))

describe('a list of ingredients', () => {
  const listOf = (text: string) => readRecipeText(text)

  it('keeps its headings where each stands in front of a line of its own', () => {
    const { ingredients } = listOf(
      'Buns\n\nFor the dough: 500 g bread flour, 250 ml warm milk, 75 g soft butter.\nFor the icing: 100 g icing sugar, 1 tbsp milk.\n\nMix the flour, milk and butter. Bake for 20 minutes at 200 °C. Mix the icing sugar and milk.',
    )
    expect(ingredients.map((i) => [i.item, i.amount, i.group])).toEqual([
      ['bread flour', 500, 'For the dough'],
      ['warm milk', 250, 'For the dough'],
      ['soft butter', 75, 'For the dough'],
      ['icing sugar', 100, 'For the icing'],
      ['milk', 1, 'For the icing'],
    ])
  })

  it('has no heading left for what stands below a line with its own heading', () => {
    const { ingredients } = listOf(
      'Curry\n\nCurry paste - 4 green chillies, 3 shallots, 1 tsp cumin\n400 ml coconut milk\n300 g rice\n\nBlitz the chillies, shallots and cumin to a paste. Simmer in the coconut milk for 10 minutes. Boil the rice.',
    )
    expect(ingredients.map((i) => i.group)).toEqual([
      'Curry paste',
      'Curry paste',
      'Curry paste',
      undefined,
      undefined,
    ])
  })

  it('ends what stands under a heading at an empty line', () => {
    const { ingredients } = listOf(
      'Cannelloni\n\nFor the white sauce\n50 g butter\n50 g flour\n\n250 g cannelloni\n\nMelt the butter, stir in the flour and cook for 2 minutes. Fill the cannelloni and bake for 35 minutes.',
    )
    expect(ingredients.map((i) => i.group)).toEqual([
      'For the white sauce',
      'For the white sauce',
      undefined,
    ])
  })

  it.each([
    ['1 bottle (750 ml) red wine', 'red wine', 750, 'ml'],
    ['small bunch parsley, chopped', 'parsley', 1, 'piece'],
    ['2 tins (400 g each) black beans, drained', 'black beans', 800, 'g'],
  ])('counts %s', (line, item, amount, unit) => {
    const [only] = listOf(`Dish\n\n${line}\n2 onions\n\nSlice the onions.`).ingredients
    expect([only!.item, only!.amount, only!.unit]).toEqual([item, amount, unit])
  })

  it.each([
    ['Pasta bake for the freezer (8)', 8],
    ['Leek pie (makes 2 pies, each for 4)', 8],
    ['Chilli\nServings: 6 | Prep time: 20 minutes | Cook time: 1 hour', 6],
  ])('says how many eat in: %s', (head, serves) => {
    expect(listOf(`${head}\n\n500 g penne\n\nBoil the penne for 10 minutes.`).serves).toBe(serves)
  })
})

it('takes for how many it is out of the name, and writes it as one does', () => {
  const text =
    'CHICKEN AND LEEK PIE (makes 2 pies, each for 4)\n\n3 leeks\n500 g pastry\n\nSlice the leeks.'
  expect(readRecipeText(text)).toMatchObject({ name: 'Chicken and leek pie', serves: 8 })
})

describe('what a sentence means', () => {
  it('washes what it slices, and waits for nothing else', () => {
    const { steps } = read(
      'Simmer the chicken in water for 1 hour. While the chicken cooks, wash and slice the leeks.',
      '1 chicken\n3 leeks',
    )
    expect(find(steps, 'wash').uses).toEqual(['leek'])
    expect(find(steps, 'wash').after).toEqual([])
  })

  it('uses all that is named behind "to the pot"', () => {
    const { steps } = read(
      'Return the turkey to the pot with the tomatoes, beans and stock.',
      '1 kg turkey mince\n800 g tomatoes\n800 g black beans\n250 ml chicken stock',
    )
    expect(steps[0]!.uses).toEqual(['mince', 'tomato', 'bean', 'stock'])
  })

  it('takes a thing for a command before food of the list', () => {
    const { steps } = read('Meanwhile slice onions, chop garlic.', '2 onions\n2 garlic cloves')
    expect(steps.map((s) => s.work)).toEqual(['cut'])
    expect(steps[0]!.uses).toEqual(['onion', 'clove'])
  })

  it('beats brown sugar, and browns none', () => {
    const { steps } = read(
      'Beat the butter, brown sugar and cinnamon to a paste.',
      '100 g butter\n120 g brown sugar\n1 tbsp cinnamon',
    )
    expect(steps.map((s) => s.work)).toEqual(['mix'])
  })

  it('puts one after the other into the pan what has a time each', () => {
    const { steps } = read(
      'Ghee in frying pan, medium-high: onions 10 mins till brown, then cumin, garlic 2 mins, tomatoes 5 mins.',
      '3 tbsp ghee\n2 onions\n2 tsp cumin\n4 garlic cloves\n400 g tomatoes',
    )
    expect(steps.map((s) => s.minutes)).toEqual([
      [10, 10],
      [2, 2],
      [5, 5],
    ])
  })

  it('warms milk and butter as a thing of its own', () => {
    const { steps } = read(
      'Warm the milk and butter until the butter has melted; let it cool until lukewarm. Mix with the flour.',
      '250 ml milk\n75 g butter\n500 g flour',
    )
    expect(steps.map((s) => s.work)).toEqual(['simmer', 'cool', 'mix'])
    expect(waitsFor(steps, 'mix with', 'cool')).toBe(true)
  })

  it('counts the flatbreads that are cooked one at a time', () => {
    const { steps } = read(
      'Divide the dough into 8 and roll out each piece. Cook one at a time in a hot dry frying pan for 2 minutes on each side.',
      '300 g flour',
    )
    expect(find(steps, 'one at a time').minutes).toEqual([32, 32])
  })

  it.each([
    ['Simmer for 1 hr 15.', [75, 75]],
    ['Simmer 5 more.', [5, 5]],
    ['Boil the penne 2 minutes less than the packet says.', [8, 12]],
    ['Steam the beans for the last 5.', [5, 5]],
  ])('reads the time in: %s', (method, minutes) => {
    expect(read(method, '500 g penne\n300 g beans').steps[0]!.minutes).toEqual(minutes)
  })

  it('boils for the first five minutes what something is steamed over for the last five', () => {
    const { steps } = read(
      'Meanwhile boil the carrots for 10 minutes and steam the beans over them for the last 5.',
      '500 g carrots\n300 g beans',
    )
    expect(steps.map((s) => [s.do, s.minutes])).toEqual([
      ['Boil the carrots for 10 minutes', [5, 5]],
      ['Steam the beans over them for the last 5', [5, 5]],
    ])
  })

  it.each([
    'Rice 1 day fridge or freeze, dal 3 days.',
    'Cook from frozen at 160 °C for 1 hr 15.',
    'Any leftover pork can be frozen in its juices for 2 months.',
  ])('has nothing to do in: %s', (method) => {
    expect(read(`Boil the rice for 12 minutes. ${method}`, '300 g rice').steps).toHaveLength(1)
  })

  it('packs once where it says refrigerate or freeze', () => {
    const { steps } = read(
      'Simmer the beans for 45 minutes. Refrigerate for up to 4 days or freeze for up to 3 months.',
      '500 g beans',
    )
    expect(steps.map((s) => s.work)).toEqual(['simmer', 'pack'])
  })
})

describe('what is said without its unit or its verb', () => {
  it.each([
    ['Roast the bones in a tin at 220 for 40 min till well browned.', 220],
    ['Get the oven going at 220. Roast the bones for 40 minutes.', 220],
  ])('has the heat of: %s', (method, celsius) => {
    const { steps } = read(method, '1.5 kg beef bones')
    expect(steps.at(-1)!.celsius).toBe(celsius)
  })

  it('chills, freezes, and thaws on another day', () => {
    const { steps } = read(
      'Simmer the beans for 1 hour. Fridge overnight. Freeze in 500 ml tubs, leaving plenty of room at the top, for up to 4 months. Thaw overnight in the refrigerator and reheat on the stove until it reaches 165°F.',
      '500 g beans',
    )
    expect(steps.map((s) => s.work)).toEqual(['simmer', 'chill', 'pack'])
  })

  it('cools the broth in the pot that it was strained into', () => {
    const { steps } = read(
      'Simmer the bones in the water in a large pot for 4 hours. Strain through a sieve into a clean pot. Cool the pot in a sink of iced water for 20 minutes.',
      '1.5 kg beef bones\n2.5 l cold water',
    )
    expect(find(steps, 'cool the pot').after).toEqual([{ step: find(steps, 'strain').id }])
    expect(find(steps, 'cool the pot').uses).toEqual([])
  })

  it('leaves till the morning what is said with the night before, and marks bars in their tin', () => {
    const night = read(
      'The night before, mix the oil with the garlic, pour over the chicken in a dish, cover and chill. Roast the chicken for 45 minutes at 200 °C.',
      '8 chicken thighs\n4 tbsp oil\n4 cloves garlic',
    ).steps
    expect(find(night, 'chill').minutes).toEqual([480, 720])
    const bars = read(
      'Press the oats into a tin. Bake for 25 minutes at 170 °C. Mark into bars while warm; leave to cool in the tin for an hour. Off the heat, leave for 10.',
      '400 g oats',
    ).steps
    expect(find(bars, 'mark').equipment).toEqual([])
    expect(find(bars, 'leave for 10').minutes).toEqual([10, 10])
  })

  it('pours the wet ingredients into the dry, and cools muffins in their tin', () => {
    const { steps } = read(
      'In a bowl whisk together flour and sugar. In another bowl beat the eggs with the milk. Pour the wet ingredients into the dry and stir. Spoon into a muffin tin and bake for 20 minutes at 200 °C. Let cool 5 minutes in the pan.',
      '250 g flour\n100 g sugar\n2 eggs\n200 ml milk',
    )
    expect(after(steps, 'wet ingredients')).toHaveLength(2)
    expect(find(steps, 'let cool').equipment).toEqual(['tin'])
  })
})

describe('where the food goes on', () => {
  it('is in its tin in the oven when only the heat is turned down', () => {
    const { steps } = read(
      'Roast the pork in a roasting tin at 220 °C for 40 minutes. Turn the oven down to 130 °C, pour the apple juice round the pork, cover and cook for 6 hours.',
      '3 kg pork shoulder\n300 ml apple juice',
    )
    const long = find(steps, '6 hours')
    expect([long.work, long.celsius, long.equipment]).toEqual(['bake', 130, ['oven', 'tray']])
  })

  it('makes the sauce of the stock that the bird was cooked in', () => {
    const { steps } = read(
      'Put the chicken in a pot, cover with water and simmer for 1 hour. Lift out the chicken and strip the meat from the bones. Melt the butter in a saucepan, stir in the flour and cook for 2 minutes. Add the stock and simmer for 5 minutes until thick.',
      '1 chicken\n60 g butter\n60 g flour',
    )
    expect(waitsFor(steps, 'add the stock', 'lift out')).toBe(true)
    expect(waitsFor(steps, 'add the stock', 'melt the butter')).toBe(true)
  })

  it('lays a lid over what lies in the dish', () => {
    const { steps } = read(
      'Spoon the stew into a pie dish. Roll out the pastry, cut a lid and lay it over. Bake for 35 minutes at 200 °C.',
      '1 kg beef stew\n500 g pastry',
    )
    expect(waitsFor(steps, 'lay it over', 'spoon the stew')).toBe(true)
    expect(find(steps, 'bake').equipment).toContain('oven-dish')
  })

  it('wraps one pie, and bakes the other without waiting for that', () => {
    const { steps } = read(
      'Divide the filling between two pie dishes. Brush with beaten egg. Wrap one pie and freeze for 3 months. Bake the other at 200 °C for 35 minutes.',
      '1 egg\n1 kg mince',
    )
    expect(after(steps, 'bake the other')).toEqual(['brush with beaten egg'])
  })

  it('goes two ways behind "One:" and "Other:"', () => {
    const { steps } = read(
      'Spoon the pasta into 2 baking dishes. One: bake for 25 minutes at 180 °C. Other: cool, cover with foil, freeze.',
      '500 g pasta',
    )
    expect(after(steps, 'bake for 25')).toEqual(after(steps, 'cool'))
  })

  it('shreds the meat that was lifted out while its liquor is boiled down', () => {
    const { steps } = read(
      'Simmer the beef and the onions in the stock in a large pot for 3 hours. Take the beef out and keep warm. Pour the liquid into a saucepan and boil hard for 15 minutes. Shred the meat.',
      '1 kg beef\n2 onions\n500 ml stock',
    )
    expect(waitsFor(steps, 'shred', 'liquid')).toBe(false)
    expect(waitsFor(steps, 'shred', 'take the beef out')).toBe(true)
  })

  it('fries in the pan whose meat lies on a plate, clean of the raw', () => {
    const { steps } = read(
      'Brown the mince in a large pot for 8 minutes. Transfer to a plate. Add the onions and cook for 7 minutes.',
      '1 kg beef mince\n2 onions',
    )
    const onions = find(steps, 'add the onions')
    expect(onions.hygiene).toBe('neutral')
    expect(onions.after).toEqual([{ step: find(steps, 'brown').id, food: false }])
  })

  it('makes the gravy in the roasting tin, and not in the other one', () => {
    const { steps } = read(
      'Roast the chicken in a roasting tin for 90 minutes at 200 °C. Heat the oil in another tin in the oven for 5 minutes, tip in the potatoes and roast for 50 minutes. Pour off most of the fat from the tin, put it on the hob, stir in the flour and cook for 1 minute.',
      '1 chicken\n4 tbsp oil\n1 kg potatoes\n1 tbsp flour',
    )
    expect(after(steps, 'pour off')).toEqual([expect.stringContaining('roast the chicken')])
    expect(find(steps, 'tip in').equipment).toEqual(['tin'])
    expect(find(steps, 'pour off').equipment).toEqual(['tray', 'burner'])
  })

  it('goes into the tin that was lined for it', () => {
    const { steps } = read(
      'Line a 20 cm square tin with paper. Mix the oats and honey. Press into the tin. Bake for 25 minutes at 160 °C.',
      '300 g oats\n150 g honey',
    )
    const press = find(steps, 'press')
    expect(press.equipment).toEqual(['tin'])
    expect(press.after).toContainEqual({ step: find(steps, 'line').id, food: false })
    expect(waitsFor(steps, 'press', 'mix the oats')).toBe(true)
  })

  it('takes of two oats those under the heading of its own part', () => {
    const text =
      'Bars and jars\n\nBars (makes 16):\n300 g oats\n150 g honey\n\nJars:\n250 g oats\n600 ml milk\n\nBARS\nMix the oats and honey. Bake for 25 minutes at 160 °C.\n\nJARS\nStir together oats and milk. Chill overnight.'
    const { steps, ingredients } = readRecipeText(text)
    const grams = (words: string) =>
      find(steps, words)
        .uses.map((u) => ingredients.find((i) => i.id === u)!)
        .filter((i) => i.item === 'oats')
        .map((i) => i.amount)
    expect(grams('mix the oats')).toEqual([300])
    expect(grams('stir together')).toEqual([250])
    expect(find(steps, 'stir together').after).toEqual([])
  })

  it('tosses both of what was shredded last, and not the roast', () => {
    const { steps } = read(
      'Roast the pork at 200 °C for 2 hours. Rest the pork for 30 minutes. While the pork rests, shred the cabbage, grate the carrots and toss both with the mayonnaise.',
      '2 kg pork\n1 cabbage\n3 carrots\n150 g mayonnaise',
    )
    expect(after(steps, 'toss both')).toEqual([expect.stringContaining('shred the cabbage')])
  })

  it('lays raw kofta under the grill by hand, and the hands are raw then', () => {
    const { steps } = read(
      'Shape the lamb into 12 sausages. Grill the kofta for 10 minutes until cooked through.',
      '500 g minced lamb',
    )
    expect(find(steps, 'grill').hygiene).toBe('raw')
  })

  it('puts everything into the casserole, the browned legs on their plate too', () => {
    const { steps } = read(
      'Put the duck skin side down in a cold frying pan and brown for 15 minutes; lift out. Brown the sausages in the duck fat for 10 minutes. Boil the beans for 45 minutes. Put everything in a large casserole and pour over the stock. Bake at 150 °C for 2 hours.',
      '6 duck legs\n6 pork sausages\n500 g beans\n1.5 l chicken stock',
    )
    const all = after(steps, 'put everything')
    expect(all).toHaveLength(3)
    for (const words of ['duck skin side', 'sausages', 'beans'])
      expect(all.some((d) => d.includes(words))).toBe(true)
  })

  it('layers both sauces where each is named in full', () => {
    const text =
      'Lasagne\n\nMeat sauce\n500 g beef mince\n800 g tomatoes\n\nWhite sauce\n80 g butter\n80 g flour\n1 l milk\n\n1. Brown the mince for 10 minutes. Add the tomatoes and simmer for 2 hours.\n2. Melt the butter, stir in the flour and cook for 1 minute. Whisk in the milk. Simmer for 5 minutes.\n3. Layer a third of the meat sauce and a third of the white sauce in a dish.'
    const { steps, ingredients } = readRecipeText(text)
    expect(ingredients.map((i) => i.group)).toContain('White sauce')
    expect(after(steps, 'layer')).toEqual([
      expect.stringContaining('2 hours'),
      expect.stringContaining('5 minutes'),
    ])
  })

  it('fries in batches what was tossed before, though it is not named again', () => {
    const { steps } = read(
      'Toss the beef in the flour. Fry in batches in hot oil in a casserole for 15 minutes; set aside. Fry the onion in the same pot for 5 minutes. Put the beef back.',
      '1 kg stewing beef\n3 tbsp flour\n3 tbsp oil\n1 onion',
    )
    expect(after(steps, 'in batches')).toEqual([expect.stringContaining('toss')])
    expect(after(steps, 'put the beef back')).toHaveLength(2)
  })

  it('brings to the boil with its water what was drained, without naming it again', () => {
    const { steps } = read(
      'Rice: rinse, soak 30 mins, drain. Bring to boil with the water, lid on, lowest heat 12 mins, then off the heat 10 mins.',
      '450 g basmati\n700 ml water',
    )
    expect(after(steps, 'bring to boil')).toEqual(['drain'])
    expect(find(steps, 'off the heat').minutes).toEqual([10, 10])
  })

  it('takes what is added to the pan to be in the pan then', () => {
    const { steps } = read(
      'Brown the sausages in a frying pan for 10 minutes. Chop the onions, add them to the pan and soften for 10 minutes.',
      '6 pork sausages\n2 onions',
    )
    expect(find(steps, 'add them').equipment).toContain('frying-pan')
  })

  it('bakes on the tray in the hot oven where it only says how long', () => {
    const { steps } = read(
      'Get the oven to 200. Chop the potatoes. Everything onto a big tray with the oil, toss. 25 mins. Give it a shake, scatter over the kale, 8 mins more.',
      '600 g potatoes\n3 tbsp oil\n100 g kale',
    )
    expect(steps.map((s) => s.work)).toEqual(['heat', 'cut', 'mix', 'bake', 'bake'])
    expect(find(steps, '8 mins').minutes).toEqual([8, 8])
  })

  it('leaves all that is done the night before till the morning', () => {
    const { steps } = read(
      'Two nights before: cover the beans with cold water and leave to soak. Rub the duck with salt and put it in the fridge.',
      '500 g dried beans\n6 duck legs',
    )
    expect(steps.filter((s) => s.minutes[0] === 480).map((s) => s.work)).toEqual(['soak', 'chill'])
  })

  it('whisks the dressing while the rest is roasting, comma or none', () => {
    const { steps } = read(
      'Roast the potatoes at 200 °C for 40 minutes. While it is roasting whisk the tahini and lemon juice.',
      '600 g potatoes\n4 tbsp tahini\n1 lemon',
    )
    expect(find(steps, 'whisk').uses).toEqual(['tahini', 'lemon'])
    expect(find(steps, 'whisk').after).toEqual([])
  })
})
