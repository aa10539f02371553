import { describe, expect, it } from 'vitest'
import { plannable } from '../plannable'
import { keepingsIn } from './keeping'
import { readRecipeText } from './readText'

/** What is read from a dish of these things, made in this way. */
const read = (list: string, method: string) =>
  readRecipeText(`A dish\nServes 4\n\nIngredients\n${list}\n\nMethod\n${method}`)
type Read = ReturnType<typeof read>
const stepOf = ({ steps }: Read, words: string) => steps.find((s) => s.do.includes(words))!
/** Ids of the steps that a step waits for, and of what its words name. */
const after = (r: Read, words: string) =>
  stepOf(r, words).after.map((a) => r.steps.find((s) => s.id === a.step)!.do.split(' ')[0])
const uses = (r: Read, words: string) =>
  stepOf(r, words).uses.map((id) => {
    const { item, group } = r.ingredients.find((i) => i.id === id)!
    return group ? `${item} (${group})` : item
  })

describe('what goes into what', () => {
  const balls = read(
    'For the balls\n300 g dried green lentils\n150 g walnuts\n1 onion\n2 eggs\n1 tbsp soy sauce\nFor the sauce\n2 tbsp olive oil\n1 carrot\n1 onion\n800 g tinned plum tomatoes',
    'Simmer the lentils for 25 minutes, then drain.\nToast the walnuts in the oven at 180°C for 8 minutes. Blitz them in the food processor with the onion; add the lentils, eggs and soy sauce and pulse to a paste. Chill for 30 minutes.\nFor the sauce, dice the carrot and onion and sweat in the oil for 10 minutes. Stir in the tomatoes and simmer for 30 minutes.\nRoll the mixture into 32 balls. Bake on a tray at 200°C for 20 minutes. Add half the balls to half the sauce.',
  )

  it('tells the same thing under two headings apart', () => {
    expect(balls.ingredients.filter((i) => i.item === 'onion').map((i) => i.group)).toEqual([
      'For the balls',
      'For the sauce',
    ])
    expect(uses(balls, 'Blitz')).toEqual(['onion (For the balls)'])
    expect(uses(balls, 'dice')).toEqual(['carrot (For the sauce)', 'onion (For the sauce)'])
  })

  it('begins what is for something else beside what was made so far', () => {
    expect(after(balls, 'dice')).toEqual([])
    expect(after(balls, 'Roll the mixture')).toEqual(['Chill'])
    // The sauce is what was made, and no soy sauce.
    expect(uses(balls, 'half the sauce')).toEqual([])
    expect(after(balls, 'half the sauce').toSorted()).toEqual(['Bake', 'Stir'])
  })

  it('toasts nuts on a tray, and not in the pot that stands there', () => {
    expect(after(balls, 'Toast')).toEqual([])
    expect(stepOf(balls, 'Toast').equipment).toEqual(['oven', 'tray'])
  })

  it('layers the sauce that simmers in its pan, whatever was done meanwhile', () => {
    const r = read(
      '400 g spinach\n250 g ricotta\n9 lasagne sheets\n500 g tomato passata\n1 onion\n2 tbsp oil',
      'Chop the onion. Fry in the oil for 8 minutes in a pan. Add the passata and simmer for 15 minutes.\nWilt the spinach in a large pot for 3 minutes. Drain, squeeze and chop. Mix with the ricotta.\nLayer sauce, sheets and spinach in a baking dish. Bake at 190C for 40 minutes.',
    )
    expect(after(r, 'Layer').toSorted()).toEqual(['Add', 'Mix'])
    expect(after(r, 'Bake')).toEqual(['Layer'])
  })

  it('fries what was cut, whatever comes to it and is not said to be fried', () => {
    const r = read(
      '1 onion\n20 g ginger\n1 tbsp oil\n2 tsp cumin\n300 g red lentils\n1 litre water',
      'Chop the onion and ginger. Fry in the oil for 8 minutes with the cumin. Add the lentils and water and simmer for 25 minutes.',
    )
    expect(after(r, 'Fry')).toEqual(['Chop'])
  })

  it('begins what is boiled to serve with by itself', () => {
    const r = read(
      '6 sausages\n400 g tinned tomatoes\n350 g rigatoni',
      'Fry the sausages in a large pan for 8 minutes. Add the tomatoes and simmer for 15 minutes. The sauce keeps 3 days in the fridge.\nTo serve, boil the rigatoni for 11 minutes, drain and toss with the sauce.',
    )
    expect(after(r, 'boil the rigatoni')).toEqual([])
    expect(after(r, 'Drain')).toEqual(['To'])
    expect(after(r, 'Toss').toSorted()).toEqual(['Add', 'Drain'])
  })

  it('mixes in the zest and juice of what was grated and squeezed by itself', () => {
    const r = read(
      '8 chicken thighs\n2 lemons\n3 cloves garlic\n2 tbsp olive oil',
      'Grate the zest of the lemons and squeeze the juice. Crush the garlic.\nMix the zest, juice, garlic and oil in a large bowl.\nAdd the chicken thighs and marinate in the fridge overnight.',
    )
    expect(after(r, 'Mix').toSorted()).toEqual(['Crush', 'Squeeze'])
  })

  it('boils what was cut, with what comes to it at the end', () => {
    const r = read(
      '400 g new potatoes\n250 g frozen peas',
      'Halve the potatoes and boil for 12-15 min until tender, adding the peas for the last 2 minutes.',
    )
    expect(after(r, 'oil for 12')).toEqual(['Halve'])
  })

  it('takes no meat that was lifted out for the water that it cooked in', () => {
    const r = read(
      '1 kg chicken thighs\n1 tbsp oil\n1 onion\n400 g crushed tomatoes\n250 ml chicken stock\n1 lime',
      'Put the thighs in a saucepan, cover with cold water and bring to a boil. Simmer for 20 minutes. Lift out onto a plate and shred with two forks.\nWarm the oil in a frying pan and cook the onion for 8 minutes. Add the tomatoes and stock. Bubble for 10 minutes, then blend smooth with a stick blender. Return the sauce to the pan, stir in the shredded chicken and simmer for 10 minutes. Finish with the lime juice.',
    )
    expect(after(r, 'Add the tomatoes')).toEqual(['Warm'])
    expect(after(r, 'stir in the shredded').toSorted()).toEqual(['Blend', 'Lift'])
    expect(after(r, 'Finish with')).toEqual(['Return'])
  })

  it('takes garlic where it has a word of its own, and not with the vegetables', () => {
    const r = read(
      '2 aubergines\n3 courgettes\n4 tbsp olive oil\n700 g passata\n2 garlic cloves',
      'Toss the vegetables with the oil in two large roasting tins and roast for 35 minutes at 200°C, swapping the tins round half way. Meanwhile simmer the passata with the garlic for 15 minutes.',
    )
    expect(uses(r, 'Toss').toSorted()).toEqual(['aubergines', 'courgettes', 'olive oil'])
    expect(after(r, 'passata')).toEqual([])
    expect(stepOf(r, 'oast for 35').equipment).toContain('tray')
  })

  it('takes all that stands under the heading that a line begins with', () => {
    const r = read(
      'For the oats\n250 g rolled oats\n600 ml milk\n2 tbsp honey\nFor the squares\n300 g rolled oats\n2 bananas\n2 eggs',
      'Squares: mash the bananas, whisk in the eggs, then stir in the oats. Pour into a tin and bake at 190°C for 35 minutes. Freeze half, fridge half (4 days).\n\nOats: stir everything together in a large jug, divide between 5 jars, fridge overnight.',
    )
    expect(uses(r, 'everything').map((u) => u.replace(/ \(.*/, ''))).toEqual([
      'rolled oats',
      'milk',
      'honey',
    ])
    expect(after(r, 'everything')).toEqual([])
    expect(stepOf(r, 'Freeze half').work).toBe('pack')
  })
})

describe('what is told of time and place', () => {
  const chilli = read(
    '1.2 kg beef shin\n2 tins kidney beans\n20 g dark chocolate\nsmall bunch coriander, to serve',
    'Put the beef into the slow cooker. Cover and cook on low for 8 hours or on high for 5 hours. Half an hour before the end stir in the beans and the chocolate. Leave to cool, then divide between four freezer boxes. Scatter with coriander when serving.',
  )

  it('puts in half an hour before the end what goes in then, low or high', () => {
    expect(after(chilli, 'stir in the beans')).toEqual(['Cover,'])
    const steps = plannable(chilli, 'chilli', 'Ch').steps
    const slow = steps.filter((s) => s.work === 'slow')
    expect(slow.map((s) => s.ways.map((w) => w.minutes[1]))).toEqual([[450, 270], [30]])
    expect(slow[1]!.after!.map((a) => a.step)).toEqual([stepOf(chilli, 'stir in the beans').id])
  })

  it('leaves to the table what is done there, and says it where it is packed', () => {
    const last = chilli.steps.at(-1)!
    expect([last.work, last.do]).toEqual([
      'pack',
      'Divide between four freezer boxes. Scatter with coriander when serving',
    ])
    expect(chilli.doubts.filter((d) => d.includes('coriander'))).toEqual([])
    const tonight = read(
      '1 carrot\n1 bunch parsley',
      'Boil the carrot for 10 minutes. Scatter with parsley before serving.',
    )
    expect(uses(tonight, 'Scatter')).toEqual(['parsley'])
  })

  it('keeps in the freezer what is frozen, though nobody says for how long', () => {
    expect(plannable(chilli, 'chilli', 'Ch').store).toMatchObject({ place: 'freezer', days: 90 })
    expect(keepingsIn('Pack flat in freezer bags; keeps for 3 months.')).toEqual([
      { place: 'freezer', days: 90 },
    ])
    // Two sentences later nobody speaks of the freezer any more.
    expect(keepingsIn('Freeze on a tray. Serve with bread. Keeps for 3 days.')).toEqual([])
  })

  it('drops all that is done another day', () => {
    const r = read(
      '500 g mince\n8 tortillas, to serve',
      'Fry the mince for 15 minutes. Cool, then pack in freezer bags. To serve, thaw in the fridge, reheat in a pan and pile onto warm tortillas.',
    )
    expect(r.steps.at(-1)!.work).toBe('pack')
  })

  it('heats an oven that is put on, and takes butter for the tin for a thing', () => {
    const r = readRecipeText(
      'Traybake\nServes 6\n\nIngredients:\n10 eggs\n100ml milk\nbutter for the tin\n\nPut the oven on at 180C/fan 160C. Butter a 20x30cm baking tin. Beat the eggs with the milk. Pour over the tin and bake 25-30 mins.',
    )
    expect(r.ingredients.at(-1)!.item).toMatch(/^butter/)
    expect(stepOf(r, 'oven on').work).toBe('heat')
    expect(stepOf(r, 'baking tin').equipment).toEqual(['tin'])
    expect(stepOf(r, 'ake 25-30')).toMatchObject({ celsius: 180, doubts: [] })
  })
})

describe('what words mean beside others', () => {
  const burritos = readRecipeText(
    "Burritos\nYield: 10\n\n10 large flour tortillas\n12 eggs\n500 g potatoes\n450 g sausage meat\n1 red pepper\n1 onion\n2 tbsp olive oil\nsalt, pepper, 1 tsp smoked paprika\n\n1. Preheat oven to 220°C. Toss potatoes with 1 tbsp oil, paprika, salt and pepper on a baking sheet. Roast 25 min.\n2. Meanwhile, brown sausage in a large skillet, 8-10 min. Transfer to a plate.\n3. In the same skillet, sauté onion and pepper in remaining oil, 5 min.\n4. Let all fillings cool 15 min so the tortillas don't go soggy.\n5. Warm tortillas 20 sec in the microwave. Divide potatoes, sausage and veg among tortillas; fold in the sides and roll up tightly.\n6. Wrap each in foil, freeze on a tray until solid (2 h), then bag up. Up to 2 months. Reheat from frozen: unwrap, microwave 3 min.",
  )

  it('takes no red pepper with the salt, and a line of seasoning for things', () => {
    expect(burritos.ingredients.at(-1)!.item).toMatch(/^salt/)
    expect(uses(burritos, 'Toss')).not.toContain('red pepper')
    expect(uses(burritos, 'onion and pepper')).toContain('red pepper')
    expect(after(burritos, 'onion and pepper')).toEqual(['Brown'])
  })

  it('cools all fillings together, and warms the tortillas alone', () => {
    expect(after(burritos, 'all fillings').toSorted()).toEqual(['In', 'Roast', 'Transfer'])
    expect(uses(burritos, 'all fillings')).toEqual([])
    expect(after(burritos, 'Divide').toSorted()).toEqual(['Let', 'Warm'])
  })

  it('folds a wrap, and stirs nothing in', () => {
    expect(stepOf(burritos, 'old in the sides').work).toBe('shape')
  })

  it('warms nothing up that is eaten another day, and keeps it as long as is said', () => {
    expect(burritos.steps.at(-1)!.work).toBe('pack')
    expect(burritos.keeps).toEqual([{ place: 'freezer', days: 60 }])
  })

  it('presses the lemon, and pours what may be either of two', () => {
    const r = read(
      '2 racks pork ribs\n1 litre cola or apple juice\n2 carrots\n4 tbsp mayonnaise\njuice of 1/2 lemon',
      'Lay the ribs in a roasting tin, pour over the cola and braise at 150°C for 2 hours. Grate the carrots and toss with the mayo and lemon juice. Make the glaze. Keeps in a jar for 2 weeks.',
    )
    expect(uses(r, 'pour over')).toContain('cola or apple juice')
    expect(uses(r, 'lemon juice')).not.toContain('cola or apple juice')
    // What keeps in a jar is not the meat.
    expect(plannable(r, 'ribs', 'Ri').store).toBeUndefined()
  })

  it('fries on what is added for some minutes', () => {
    const r = read(
      '60 g butter\n2 onions\n1 thumb of ginger\n5 garlic cloves',
      'Melt the butter in a pan, fry the onions for 20 minutes, add ginger and garlic for 2 minutes.',
    )
    expect(stepOf(r, 'dd ginger')).toMatchObject({ work: 'fry', minutes: [2, 2] })
  })
})

describe('what is said in passing', () => {
  it('leaves out how to freeze and thaw it, and no more', () => {
    const r = read(
      '500 g turkey mince\n1 egg',
      'Mix the mince with the egg and bake at 190°C for 25 minutes. Cool for 5 mins.\nTo freeze: cool completely, wrap and freeze for up to 3 months. Defrost in the fridge and reheat until piping hot.\nServe with beans.',
    )
    expect(r.steps.map((s) => s.do.split(' ')[0])).toEqual(['Mix', 'Bake', 'Cool', 'Serve'])
  })

  it('cooks apart what is cooked separately, and leaves what is added another day', () => {
    const r = readRecipeText(
      'Minestrone\nServes 6\n\nWhat you need\n100 g bacon lardons\n1 onion\n1.2 litres vegetable stock\n150 g small pasta shapes\nparmesan rind if you have one\n\nWhat you do\n- Fry the lardons and onion in a big pot for 10 mins. Add the stock and simmer for 20 mins.\n- Cook the pasta separately, drain and keep it apart, add it to each bowl when you reheat.\n- Fish out the rind, cool, and into tubs in the fridge: 4 days.',
    )
    expect(r.ingredients.map((i) => i.item)).toEqual([
      'bacon lardons',
      'onion',
      'vegetable stock',
      'small pasta shapes',
      'parmesan rind',
    ])
    expect(r.ingredients.at(-1)!.optional).toBe(true)
    expect(after(r, 'pasta')).toEqual([])
    expect(r.steps.some((s) => s.do.includes('each bowl'))).toBe(false)
    expect(uses(r, 'Lift out')).toEqual(['parmesan rind'])
    expect(Math.max(...r.steps.map((s) => s.minutes[1]))).toBeLessThan(120)
  })

  it('takes no two days for the time in the freezer', () => {
    expect(keepingsIn("Cut in 12 and freeze what you won't eat in two days.")).toEqual([])
  })
})

describe('what stands apart', () => {
  const jars = readRecipeText(
    'Noodle jars (5 lunches)\n\nIngredients:\n600g chicken breast\n250g dried egg noodles\n2 carrots\nFor the peanut sauce:\n120g peanut butter\n3 tbsp soy sauce\n60ml hot water\n\nDirections:\n1. Bring a pan of water to a gentle simmer, add the chicken and poach for 15-18 minutes. Remove and rest 10 minutes.\n2. Cook the noodles according to the packet (about 5 minutes), rinse under cold water and drain.\n3. Whisk all the sauce ingredients together.\n4. Slice the carrots.\n5. Layer the jars: 2 tbsp sauce, then noodles, chicken, carrots. Refrigerate up to 4 days. Shake before eating.',
  )

  it('cooks noodles in water of their own, which is not in the list', () => {
    expect(jars.serves).toBe(5)
    expect(after(jars, 'noodles according')).toEqual([])
    expect([...uses(jars, 'Bring a pan'), ...uses(jars, 'Rinse')]).toEqual(['chicken breast'])
  })

  it('takes all that a sauce is made of, and shakes it when it is eaten', () => {
    expect(uses(jars, 'sauce ingredients').length).toBe(3)
    expect(after(jars, 'sauce ingredients')).toEqual([])
    expect(after(jars, 'Layer').toSorted()).toEqual(['Remove,', 'Rinse', 'Slice', 'Whisk'])
    expect(jars.steps.at(-1)!.do).toBe('Refrigerate up to 4 days. Shake before eating')
  })

  it('reads steps whose numbers have no point, and a lid that comes off at the end', () => {
    const r = readRecipeText(
      'Casserole\nServes 4\n\n8 pork sausages\n2 tins green lentils\n\n1 Preheat the oven to 180°C (gas 4).\n2 Brown the sausages in a casserole, about 8 minutes.\n3 Stir in the lentils, cover and bake for 35 minutes. Take off the lid for the final 10 minutes.',
    )
    expect(r.ingredients.length).toBe(2)
    expect(r.steps.at(-1)!.do).toContain('Take off the lid')
    expect(r.steps.at(-1)!.minutes).toEqual([35, 35])
    const brownies = read(
      '200 g dark chocolate\n150 g butter',
      'Melt chocolate and butter together in a bowl over a pan of water.',
    )
    expect(uses(brownies, 'Melt')).toEqual(['dark chocolate', 'butter'])
  })
})

it('counts in tins what comes in tins, and weighs it where the size stands behind it', () => {
  const r = read(
    '1 tin cannellini beans\n1 tin chopped tomatoes (400 g)\n2 tins green lentils (400g each), drained',
    'Simmer everything for 10 minutes.',
  )
  const lines = r.ingredients.map((i) => [i.amount, i.unit, i.counted, i.pack?.amount])
  expect(lines).toEqual([
    [1, 'piece', 'tin', undefined],
    [400, 'g', undefined, 400],
    [800, 'g', undefined, 400],
  ])
})
