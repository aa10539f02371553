import { describe, expect, it } from 'vitest'
import { readRecipeText } from './readText'

const read = (method: string, ingredients: string) =>
  readRecipeText(`Dish\n\nIngredients\n${ingredients}\n\nMethod\n${method}`).steps
type Steps = ReturnType<typeof read>

function find(steps: Steps, words: string) {
  const found = steps.find((s) => s.do.toLowerCase().includes(words))
  if (!found) throw new Error(`nothing says ${words}: ${steps.map((s) => s.do).join(' | ')}`)
  return found
}

/** Whether a step waits for another, by way of others too. */
function waits(steps: Steps, later: string, earlier: string): boolean {
  const seen = new Set<string>()
  const stack = [find(steps, later).id]
  for (let id = stack.pop(); id !== undefined; id = stack.pop())
    for (const { step } of steps.find((s) => s.id === id)!.after)
      if (!seen.has(step)) {
        seen.add(step)
        stack.push(step)
      }
  return seen.has(find(steps, earlier).id)
}

describe('threads of food', () => {
  it('wait for the food, not for the sentence before', () => {
    const steps = read(
      'Rub the lamb with the salt and chill it overnight. Peel the potatoes and boil them for 10 minutes. Roast the lamb for 2 hours.',
      '1 leg of lamb\n1 kg potatoes\n2 tbsp salt',
    )
    expect(waits(steps, 'roast the lamb', 'chill')).toBe(true)
    expect(waits(steps, 'peel', 'chill')).toBe(false)
    expect(waits(steps, 'boil them', 'peel')).toBe(true)
    expect(waits(steps, 'roast the lamb', 'boil')).toBe(false)
  })

  it('meet where one goes into the other, and go on together', () => {
    const steps = read(
      'Soften the onion in a pan for 8 minutes. Add the stock and simmer for 20 minutes. Meanwhile cook the lentils in a pan of boiling water for 15 minutes. Drain. Stir the lentils into the soup and simmer for 5 minutes more.',
      '1 onion\n1 l stock\n200 g lentils',
    )
    expect(waits(steps, 'cook the lentils', 'simmer for 20')).toBe(false)
    expect(waits(steps, '5 minutes more', 'drain')).toBe(true)
    expect(waits(steps, '5 minutes more', 'simmer for 20')).toBe(true)
  })

  it('are spoken of again by what was made of them', () => {
    const steps = read(
      'For the sauce, melt the butter in a saucepan and whisk in the milk. Boil the macaroni for 9 minutes and drain. Stir the sauce through the macaroni.',
      '50 g butter\n500 ml milk\n300 g macaroni',
    )
    expect(waits(steps, 'boil the macaroni', 'milk')).toBe(false)
    expect(waits(steps, 'stir the sauce', 'milk')).toBe(true)
    expect(waits(steps, 'stir the sauce', 'drain')).toBe(true)
  })

  it('go on with what is left of an ingredient as something new', () => {
    const steps = read(
      'Stir half of the cheese into the cream and simmer for 5 minutes. Mix the rest of the cheese with the crumbs.',
      '100 g cheese\n300 ml cream\n50 g crumbs',
    )
    expect(waits(steps, 'rest of the cheese', 'half of the cheese')).toBe(false)
  })

  it('use a pan again without the food that was lifted out of it', () => {
    const steps = read(
      'Brown the beef in a casserole for 6 minutes and lift it out. Soften the onions in the same pan for 8 minutes.',
      '1 kg stewing beef\n2 onions',
    )
    expect(find(steps, 'soften').after).toEqual([{ step: find(steps, 'brown').id, food: false }])
    expect(find(steps, 'soften').hygiene).toBe('neutral')
  })

  it('divide, and go on apart under their headings', () => {
    const steps = read(
      'Simmer the tomatoes for 40 minutes. Divide the base into two.\n\nFIRST HALF: SOUP\nAdd the stock and blend.\n\nSECOND HALF: BEANS\nStir in the beans and bake for 30 minutes.',
      '800 g tomatoes\n500 ml stock\n400 g beans',
    )
    expect(waits(steps, 'stir in the beans', 'divide')).toBe(true)
    expect(waits(steps, 'stir in the beans', 'add the stock')).toBe(false)
  })

  it('come apart where what cooked in it is kept', () => {
    const steps = read(
      'Bring the stock to the boil in a pan. Add the chicken and poach for 18 minutes. Transfer the chicken to a board and reserve the stock. Fry the leeks in a frying pan for 6 minutes. Pour in the reserved stock and simmer for 4 minutes. Shred the chicken.',
      '1 l stock\n4 chicken breasts\n2 leeks',
    )
    expect(waits(steps, 'reserved stock', 'poach')).toBe(true)
    expect(waits(steps, 'shred', 'poach')).toBe(true)
    expect(waits(steps, 'shred', 'fry the leeks')).toBe(false)
  })
})

describe('raw food', () => {
  it('makes hands raw until it is cooked through, by whatever name', () => {
    const steps = read(
      'Mix the merguez with the egg. Shape into 8 patties. Fry for 12 minutes. Slice the patties.',
      '400 g merguez\n1 egg',
    )
    expect(steps.map((s) => s.hygiene)).toEqual(['raw', 'raw', 'raw', 'ready'])
  })

  it('is no stock of it, and no egg boiled in its shell', () => {
    const steps = read(
      'Bring the chicken stock to the boil. Boil the eggs in a small pan for 8 minutes.',
      '1 l chicken stock\n4 eggs',
    )
    expect(steps.map((s) => s.hygiene)).toEqual(['neutral', 'neutral'])
  })

  it('is meant by its kind where only one thing can be', () => {
    const steps = read('Season the beef. Fry the beef for 3 minutes.', '800 g rump steak')
    expect(steps.map((s) => s.hygiene)).toEqual(['raw', 'raw'])
  })
})

describe('food that is spoken of by other names', () => {
  it('goes over what was baking, in its own dish', () => {
    const steps = read(
      'Fry the onion in a casserole for 8 minutes. Stir through the garlic. Tip in the beans, cover and bake for 40 minutes at 190 C. Meanwhile, mix the breadcrumbs and cheese. Uncover, scatter with the crumbs and bake for a further 20 minutes.',
      '1 onion\n2 cloves garlic\n400 g beans\n75 g breadcrumbs\n40 g cheese',
    )
    expect(waits(steps, 'tip in', 'stir through')).toBe(true)
    expect(waits(steps, 'uncover', 'mix the breadcrumbs')).toBe(true)
    expect(waits(steps, 'uncover', '40 minutes')).toBe(true)
    expect(find(steps, 'uncover').equipment).toContain('pot')
  })

  it('is folded through what was made before it was cut', () => {
    const steps = read(
      'Whisk the lime juice and sugar in a bowl. Toss the tofu with the dressing. Chop the herbs. Fold the herbs through just before serving.',
      '2 limes\n1 tbsp sugar\n400 g tofu\n1 bunch mint',
    )
    expect(waits(steps, 'fold', 'chop the herbs')).toBe(true)
    expect(waits(steps, 'fold', 'toss')).toBe(true)
  })

  it('is that of which the list has so much', () => {
    const steps = read(
      'Cook the jasmine rice for 12 minutes. Toast the 2 tbsp rice in a dry pan for 4 minutes.',
      '200 g jasmine rice\n2 tbsp uncooked rice',
    )
    expect(waits(steps, 'toast', 'cook')).toBe(false)
  })

  it('stays over night where that is all that is said', () => {
    const [chill] = read(
      'The evening before: salt the chicken and leave it uncovered in the fridge. On the day, take the chicken out of the fridge 30 minutes before you start.',
      '1 chicken',
    )
    expect(chill!.minutes).toEqual([480, 720])
  })

  it('waits in its pot for the bones that go back into it', () => {
    const steps = read(
      'Put the chicken in a big pot, cover with water and poach for 50 minutes. Lift the chicken out and cool until you can handle it. Strip the meat off. Put the bones back in the pot and simmer for another hour. The meat goes in boxes in the fridge: use within 3 days.',
      '1 chicken',
    )
    const poach = find(steps, 'poach')
    expect(find(steps, 'bones').after.map((a) => a.step)).toContain(poach.id)
    expect(find(steps, 'pack the meat')).toMatchObject({ work: 'pack' })
    expect(waits(steps, 'pack the meat', 'strip')).toBe(true)
  })

  it('is dressed with what was whisked for it', () => {
    const steps = read(
      'Fry the tofu in oil for 8 minutes. Whisk the lime juice and fish sauce. Off the heat, toss the tofu with the dressing.',
      '400 g tofu\n1 lime\n2 tbsp fish sauce',
    )
    expect(waits(steps, 'toss', 'whisk')).toBe(true)
    expect(find(steps, 'toss').equipment).toEqual(['frying-pan'])
  })

  it('is worked on again as often as a method says', () => {
    const steps = read(
      'Mix the flour and water to a dough. Leave for 30 minutes, then fold it in the bowl. Do this three times, 30 minutes apart.',
      '500 g flour\n400 ml water',
    )
    expect(steps.at(-1)).toMatchObject({ work: 'rest', minutes: [60, 60] })
  })
})

describe('heat that changes', () => {
  it('makes two bakes of one sentence', () => {
    const steps = read(
      'Bake at 180C for 30 minutes, then at 160C for another 20 minutes.',
      '8 pies',
    )
    expect(steps.map((s) => [s.work, s.minutes[0], s.celsius])).toEqual([
      ['bake', 30, 180],
      ['bake', 20, 160],
    ])
  })
})

describe('lists of ingredients', () => {
  it.each([
    ['One whole chicken (1.5kg), 2 carrots, 1 onion, bay leaf, salt.', 5],
    ['Ingredients: 10 eggs; 80 g cheddar, grated; 6 rashers bacon; salt & pepper', 4],
  ])('in one line: %s', (line, many) => {
    const { ingredients, steps } = readRecipeText(
      `Dish\n\n${line}\n\nHeat the oven to 160 C. Bake everything for 30 minutes.`,
    )
    expect(ingredients).toHaveLength(many)
    expect(steps.map((s) => s.work)).toEqual(['heat', 'bake'])
  })

  it('have headings in capitals under a name with a colon', () => {
    const { name, ingredients, steps } = readRecipeText(
      'Breakfast: oats + eggs + fruit\n\nOATS\n200 g oats\n500 ml milk\n\nEGGS\n8 eggs\n\nStir the oats and milk together. Boil the eggs for 9 minutes, then straight into iced water for 10 minutes.',
    )
    expect(name).toBe('Breakfast: oats + eggs + fruit')
    expect(ingredients.map((i) => [i.item, i.group])).toEqual([
      ['oats', 'OATS'],
      ['milk', 'OATS'],
      ['eggs', 'EGGS'],
    ])
    expect(steps.map((s) => [s.work, s.minutes[0]])).toEqual([
      ['mix', 2],
      ['boil', 9],
      ['cool', 10],
    ])
  })

  it.each([
    ['6 portions. 1kg carrots, 1 onion, 1.2l stock.', ['carrots', 'onion', 'stock']],
    [
      'For the sauce: 4 tbsp tahini, juice of half a lemon, water',
      ['tahini', 'half a lemon', 'water'],
    ],
  ])('stand behind what they are for: %s', (line, items) => {
    const { ingredients } = readRecipeText(
      `CARROT SOUP\n${line}\nStir everything together for 5 minutes.`,
    )
    expect(ingredients.map((i) => i.item)).toEqual(items)
  })

  it('end where headings of the method begin', () => {
    const { ingredients, name } = readRecipeText(
      '# Rice bowls (4)\n\n- 200 g rice\n- 1 lime\n\n## Rice\n1. Boil the rice for 12 minutes.\n\n## Bowls\n1. Slice the lime.',
    )
    expect(name).toBe('Rice bowls')
    expect(ingredients.map((i) => i.item)).toEqual(['rice', 'lime'])
  })
})

describe('times and servings', () => {
  it.each([
    ['Fry the slices in 3 batches, 4 minutes per batch.', 12],
    ['Brown the slices in two lots, 6 minutes a lot.', 12],
    ['Fry 10 slices one at a time, 2 minutes each.', 20],
    ['Wipe a pan with butter. Fry 6 slices one at a time, 2 minutes each.', 12],
    ['Fry the slices for 5 minutes.', 5],
  ])('count every go: %s', (method, minutes) => {
    expect(read(method, '500 g slices')[0]!.minutes).toEqual([minutes, minutes])
  })

  it('make no step of what is only said', () => {
    const steps = read(
      'Boil the rice for 12 minutes. Enough for the next two months if you freeze it. Keeps three days in the fridge.',
      '500 g rice',
    )
    expect(steps.map((s) => s.do)).toEqual(['Boil the rice for 12 minutes'])
  })

  it.each([
    ['Keeps 3 days in the fridge or 2 months in the freezer.', [3, 60]],
    ['Frozen it is good for six weeks.', [42]],
  ])('keep how long it is good for: %s', (line, days) => {
    const { keeps } = readRecipeText(`Dish\n\n500 g rice\n\nBoil the rice for 12 minutes. ${line}`)
    expect(keeps?.map((k) => k.days)).toEqual(days)
  })

  it('say which sentence was not understood as work', () => {
    const { doubts } = readRecipeText(
      'Dish\n\nIngredients\n500 g rice\n\nMethod\nBoil the rice for 12 minutes. Gronk the flummery thoroughly.',
    )
    expect(doubts.join('\n')).toContain('Gronk the flummery')
  })

  it('go by the weight of one piece', () => {
    const steps = read('Roast for 20 minutes per 500 g plus 20 minutes.', '2 chickens, 1.5 kg each')
    expect(steps[0]!.minutes).toEqual([80, 80])
  })

  it.each([
    ['This is for 8 persons.', 8],
    ['Serves five.', 5],
    ['makes about 30, 6 servings', 6],
    ['Feeds a family of 5', 5],
  ])('find how many eat of it: %s', (line, serves) => {
    const text = `Dish\n\n500 g rice\n\nBoil the rice for 12 minutes. ${line}`
    expect(readRecipeText(text).serves).toBe(serves)
  })

  it('find ingredients that are told in a sentence', () => {
    const { ingredients } = readRecipeText(
      'Lemon chicken\n\nYou take about 800g of chicken thighs and cut them in strips. Chop a couple of onions and three cloves of garlic and fry them for ten minutes.',
    )
    expect(ingredients.map((i) => [i.amount, i.unit, i.item])).toEqual([
      [800, 'g', 'chicken thighs'],
      [2, 'piece', 'onions'],
      [3, 'piece', 'garlic'],
    ])
  })

  it('hold what is covered with water, until it is lifted out', () => {
    const steps = read(
      'Put the chicken in your biggest pot with the onion and the green tops of the leeks. Cover with the water and bring slowly to the boil. Turn down and simmer for 75 minutes. Lift out the chicken and leave it until cool enough to handle, about 20 minutes. Strain the stock into a clean pot. Slice the white of the leeks, add to the stock and simmer for 8 minutes. Cook the noodles fresh on the day you eat it.',
      '1 whole chicken\n1 onion\n2 leeks\n3 litres water\n200 g egg noodles',
    )
    expect(waits(steps, 'cover with', 'put the chicken')).toBe(true)
    expect(waits(steps, 'lift out', 'simmer for 75')).toBe(true)
    expect(find(steps, 'lift out').hygiene).not.toBe('raw')
    // What is still in the list is as it was bought: it waits for nothing, and nothing is raw.
    expect(find(steps, 'white of the leeks').after).toEqual([])
    expect(find(steps, 'white of the leeks').hygiene).toBe('produce')
    expect(steps.some((s) => /noodles/.test(s.do))).toBe(false)
  })

  it('meet where one is folded through what is not named again', () => {
    const steps = read(
      'Roast the sausages for 30 minutes. Soften the onion, carrots and celery in a pot for 10 minutes. Add the lentils and the stock and simmer for 25 minutes. Slice the sausages and fold them through.',
      '8 sausages\n1 onion\n2 carrots\n2 sticks celery\n250 g lentils\n600 ml stock',
    )
    expect(waits(steps, 'fold them', 'simmer')).toBe(true)
    expect(waits(steps, 'fold them', 'slice the sausages')).toBe(true)
    // A list with one time, and no turns of it.
    expect(find(steps, 'soften').minutes).toEqual([10, 10])
    expect(steps.filter((s) => /10 min/.test(s.do))).toHaveLength(1)
  })

  it('keep the fruit apart whose rind went in, and pour the syrup over the cake', () => {
    const steps = read(
      'Grease and line a loaf tin. Zest the lemons into a bowl with the sugar, eggs and oil and whisk until smooth. Fold in the flour. Pour into the tin and bake for 50 minutes at 170 °C. For the syrup, squeeze the lemons into a small pan with the granulated sugar and warm gently for 3 minutes. Prick the hot cake all over and spoon over the syrup. Leave to cool in the tin for 1 hour.',
      '2 lemons\n200 g caster sugar\n3 eggs\n150 ml oil\n225 g flour\n75 g granulated sugar',
    )
    expect(find(steps, 'zest').after).toEqual([])
    expect(find(steps, 'zest').work).toBe('mix')
    expect(waits(steps, 'squeeze', 'bake')).toBe(false)
    expect(waits(steps, 'prick', 'bake')).toBe(true)
    expect(waits(steps, 'prick', 'warm gently')).toBe(true)
    expect(waits(steps, 'leave to cool', 'prick')).toBe(true)
    // The tin is got ready for what is poured into it.
    expect(find(steps, 'pour').after).toContainEqual({
      step: find(steps, 'grease').id,
      food: false,
    })
  })

  it('stay in the oven that they are in while something is laid on top of them', () => {
    const steps = read(
      'Brown the beef in a casserole for 8 minutes. Add the stock, cover and cook in the oven at 160 °C for 2 hours. Meanwhile, make the dumplings: mix the flour and suet to a soft dough. Shape into 12 small balls. Turn the oven up to 180 °C. Sit the dumplings on top of the stew and cook, uncovered, for 25 minutes until puffed and golden.',
      '1.2 kg braising steak\n800 ml stock\n150 g flour\n75 g suet',
    )
    expect(waits(steps, 'sit the dumplings', 'for 2 hours')).toBe(true)
    expect(waits(steps, 'sit the dumplings', 'shape')).toBe(true)
    expect(find(steps, 'uncovered')).toMatchObject({ work: 'bake', celsius: 180 })
  })

  it('are joined on their tray by what goes in later, and bake on', () => {
    const steps = read(
      "Toss the tofu with the cornflour and spread over a tray. Bake 25 min at 220 °C. Cut the broccoli into florets. After the tofu's had 10 minutes, toss the florets with the oil and add them to the tray. Cook the noodles for 4 min in boiling water. Drain.",
      '350 g tofu\n2 tbsp cornflour\n1 head broccoli\n1 tbsp oil\n250 g noodles',
    )
    expect(find(steps, 'so far').minutes).toEqual([10, 10])
    expect(waits(steps, 'florets with the oil', 'so far')).toBe(true)
    expect(waits(steps, 'florets with the oil', 'cut the broccoli')).toBe(true)
    expect(find(steps, 'bake on')).toMatchObject({ work: 'bake', minutes: [15, 15] })
    expect(find(steps, 'noodles').after).toEqual([])
  })

  it('are boiled where the place is said first, and are no longer raw', () => {
    const steps = read(
      'Boil the potatoes for 18 minutes. In the same pan boil the eggs for 9 minutes, cool them in cold water and peel.',
      '1 kg potatoes\n4 eggs',
    )
    expect(find(steps, 'eggs')).toMatchObject({ work: 'boil', minutes: [9, 9] })
    expect(find(steps, 'peel').hygiene).not.toBe('raw')
  })

  it('go back to what stayed in the slow cooker while the meat was shredded', () => {
    const steps = read(
      'Put the onion in a slow cooker and lay the turkey on top. Add the beans and stock. Cook on low for 8 hours. Remove the turkey to a cutting board, shred with two forks, and stir back into the chili.',
      '1 onion\n900 g turkey thighs\n400 g cooked beans\n500 ml stock\n2 tbsp chili powder',
    )
    expect(find(steps, 'stir back').after.map((a) => a.step)).toEqual(
      expect.arrayContaining([find(steps, 'for 8 hours').id, find(steps, 'shred').id]),
    )
  })

  it('are dimpled where they lie, and prove in no oven that is only heated meanwhile', () => {
    const steps = read(
      'Stir flour, salt and water to a dough. Tip the dough into a baking tray. Prove for 45 minutes more, heating the oven to 220C (fan 200C) towards the end. Dimple with oiled fingers, scatter over the flaky salt, drizzle with the rest of the oil and bake 20-25 min until golden.',
      '500 g flour\n10 g salt\n400 ml water\n5 tbsp olive oil\nflaky salt',
    )
    expect(find(steps, 'prove')).toMatchObject({ work: 'prove', celsius: null })
    expect(find(steps, 'prove').equipment).not.toContain('oven')
    expect(find(steps, 'bake').celsius).toBe(220)
    expect(waits(steps, 'dimple', 'prove')).toBe(true)
    expect(find(steps, 'stir flour').uses).toEqual(['flour', 'salt', 'water'])
  })

  it('are each thick finger that was cut of it', () => {
    const steps = read(
      'Cut the fish into thick fingers. Coat each finger in flour, then egg, then crumbs, and lay on an oiled baking tray. Bake at 210°C for 15 minutes. Fill the tortillas with the fish.',
      '600 g white fish fillets\n50 g flour\n1 egg\n80 g breadcrumbs\n8 tortillas',
    )
    expect(waits(steps, 'coat each', 'cut the fish')).toBe(true)
    expect(waits(steps, 'fill the tortillas', 'bake')).toBe(true)
  })

  it('are no loaf for the tin they are poured into, and are the cake that is spoken of', () => {
    const steps = read(
      'Mix the eggs and flour. Pour into a loaf tin and bake for 50 minutes at 170 °C. For the syrup, warm the sugar and juice in a small pan for 3 minutes. Prick the hot cake all over and spoon over the syrup. Leave to cool in the tin for 1 hour.',
      '3 eggs\n225 g flour\n75 g sugar\n50 ml lemon juice',
    )
    expect(waits(steps, 'prick', 'bake')).toBe(true)
    expect(waits(steps, 'prick', 'warm')).toBe(true)
    expect(waits(steps, 'leave to cool', 'prick')).toBe(true)
  })

  it('are what is filled, and oiled hands take no oil of the dish', () => {
    const steps = read(
      'Bake the fish for 15 minutes at 210 °C. Oil your hands and shape the dough. Warm the tortillas in a frying pan for 1 minute. Fill with the fish.',
      '600 g fish\n8 tortillas\n500 g bread dough\n5 tbsp olive oil',
    )
    expect(waits(steps, 'fill with', 'warm the tortillas')).toBe(true)
    expect(waits(steps, 'fill with', 'bake the fish')).toBe(true)
    expect(steps.filter((s) => s.uses.some((u) => u.includes('oil')))).toEqual([])
  })

  it('are the wet and the dry, and go into the cases that were lined', () => {
    const steps = read(
      'Line a 12-hole muffin tin with paper cases. Mash the bananas in a large bowl, beat in the eggs and oil. In another bowl mix the flour and sugar. Fold the dry into the wet. Spoon into the cases. Bake for 25 minutes at 180 °C. Cool in the tin for 5 minutes.',
      '3 bananas\n2 eggs\n80 ml sunflower oil\n200 g flour\n100 g sugar',
    )
    expect(waits(steps, 'fold the dry', 'mash')).toBe(true)
    expect(waits(steps, 'fold the dry', 'flour')).toBe(true)
    expect(waits(steps, 'spoon into', 'line')).toBe(true)
    expect(find(steps, 'bake').equipment).toContain('tin')
  })

  it('are the dry ones too where no bowl is named, and take what is spread over them at the end', () => {
    const steps = read(
      'Line a 12-hole muffin tin with cases. Mix the flour, sugar and cinnamon. Beat the eggs with the oil and stir into the dry ingredients with the carrots. Divide between the cases and bake for 20 minutes at 180 °C. Cool on a rack. Beat the cream cheese with the icing sugar and spread over the muffins.',
      '200 g self-raising flour\n150 g light brown sugar\n1 tsp cinnamon\n2 eggs\n120 ml sunflower oil\n200 g carrots, grated\n200 g cream cheese\n50 g icing sugar',
    )
    expect(waits(steps, 'beat the eggs', 'mix the flour')).toBe(true)
    expect(waits(steps, 'bake', 'mix the flour')).toBe(true)
    expect(waits(steps, 'spread over', 'cool on a rack')).toBe(true)
    expect(waits(steps, 'spread over', 'beat the cream cheese')).toBe(true)
    expect(waits(steps, 'bake', 'beat the cream cheese')).toBe(false)
    // Sugar is not the icing sugar that is called so elsewhere.
    expect(find(steps, 'mix the flour').uses).toHaveLength(3)
    expect(find(steps, 'beat the cream cheese').uses).toHaveLength(2)
  })

  it('are what was shaped, where it is dipped in one thing after the other', () => {
    const steps = read(
      'Mix the mash and the salmon. Shape into 8 cakes and chill for 30 minutes. Dip in the flour, then the egg, then the breadcrumbs. Fry in the oil for 4 minutes a side. Cool, then freeze.',
      '600 g mash\n400 g cooked salmon\n50 g flour\n2 eggs\n120 g breadcrumbs\n3 tbsp oil',
    )
    expect(waits(steps, 'dip in', 'chill')).toBe(true)
    expect(waits(steps, 'fry', 'dip in')).toBe(true)
    expect(waits(steps, 'cool', 'fry')).toBe(true)
  })

  it('are no herbs where spices are meant', () => {
    const steps = read(
      'Stir in the garlic and spices and cook for 1 minute. Scatter over the coriander to serve.',
      '3 cloves garlic, crushed\n1 tbsp ras el hanout\n1 tsp ground ginger\nhandful of coriander, chopped',
    )
    const spiced = find(steps, 'spices').uses
    expect(spiced.some((u) => u.includes('coriander'))).toBe(false)
    expect(spiced).toHaveLength(3)
  })

  it('are tossed with the dressing that was stirred together beside them', () => {
    const steps = read(
      'Toss the cucumbers with the salt and leave to drain for 30 minutes. Whisk the vinegar and sugar until dissolved. Squeeze out the cucumbers, toss with the dressing and chill for an hour.',
      '2 cucumbers\n1 tsp salt\n4 tbsp rice vinegar\n1 tbsp sugar',
    )
    expect(waits(steps, 'toss with the dressing', 'whisk')).toBe(true)
    expect(waits(steps, 'whisk', 'drain')).toBe(false)
  })

  it('begin a dish with the sauce alone, and end before what is said of freezing', () => {
    const steps = read(
      'For the sauce, simmer the passata for 15 minutes. Mix the spinach with the ricotta. Spread a third of the sauce over the base of a large baking dish. Spoon the filling into the tubes and lay them in the dish. Pour over the remaining sauce. Bake for 35 minutes at 190 °C. To freeze, cool completely before baking, wrap well and freeze for up to 2 months.',
      '700 g passata\n500 g spinach\n500 g ricotta\n250 g cannelloni tubes',
    )
    expect(waits(steps, 'spread a third', 'simmer')).toBe(true)
    expect(waits(steps, 'spread a third', 'mix')).toBe(false)
    expect(waits(steps, 'spoon the filling', 'mix')).toBe(true)
    expect(steps.at(-1)!.do).toMatch(/^Bake/)
  })

  it('come to a simmer in as long as a pan takes, and no longer', () => {
    const steps = read(
      'Fry the paste in the oil for 2 minutes. Pour in the coconut milk and bring to a simmer. Add the beans and cook for 5 minutes.',
      '2 tbsp curry paste\n1 tbsp oil\n400 ml coconut milk\n200 g green beans',
    )
    expect(find(steps, 'coconut').minutes).toEqual([5, 8])
  })

  it('are all ingredients where a greased pot has nothing in it yet, and leftovers are no step', () => {
    const steps = read(
      'Grease the slow cooker crock with butter. Add all the ingredients and stir. Cover and cook on low for 7 hours. Refrigerate leftovers in an airtight container for up to 5 days.',
      '2 apples, peeled and diced\n200 g oats\n1.4 l water\n1/4 tsp salt',
    )
    expect(find(steps, 'add all').uses).toHaveLength(4)
    expect(waits(steps, 'cook on low', 'add all')).toBe(true)
    expect(steps.at(-1)!.do).toMatch(/cook on low/)
  })

  it('are one with how they are prepared in a list of one line', () => {
    const { ingredients } = readRecipeText(
      'Bowls\n\nServes 2\n280 g tofu\nFor the dressing: 2 tbsp soy sauce, 1 tbsp honey, juice of 1 lime, 1 clove garlic, grated\n\nShake the dressing ingredients together in a jar. Toss the tofu with the dressing.',
    )
    expect(ingredients.map((i) => i.item)).not.toContain('grated')
    expect(ingredients.find((i) => i.item.includes('garlic'))!.preparation).toBe('grated')
  })
})
