import { describe, expect, it } from 'vitest'
import { equipmentOf, type Whereabouts } from './equipment'
import { clausesOf } from './clauses'
import { grouped } from './groups'
import { layoutOf } from './layout'
import { readRecipeText } from './readText'
import { workOf } from './workOf'

const NOWHERE: Whereabouts = {
  vessel: undefined,
  dish: undefined,
  oven: undefined,
  fryer: undefined,
  wet: false,
  opened: false,
  pan: 'frying-pan',
  heated: undefined,
}
const steps = (method: string, ingredients = '') =>
  readRecipeText(`Dish\n\nIngredients\n${ingredients || '1 onion'}\n\nMethod\n${method}`).steps
const groups = (sentence: string) =>
  grouped(clausesOf(sentence)).map((g) => `${g.work}: ${g.text.replace(/\.$/, '')}`)

describe('grouped: what a cook does in one go', () => {
  it.each([
    ['Add the garlic and cook for a minute.', ['simmer: Add the garlic, cook for a minute']],
    [
      'Bring to the boil, cover and simmer for 20 minutes.',
      ['simmer: Bring to the boil, cover, simmer for 20 minutes'],
    ],
    [
      'Chop the onion and fry in oil for 10 minutes.',
      ['cut: Chop the onion', 'fry: fry in oil for 10 minutes'],
    ],
    [
      'Bake for 20 minutes, then reduce the heat and bake for 30 minutes more.',
      ['bake: Bake for 20 minutes', 'bake: reduce the heat, bake for 30 minutes more'],
    ],
    [
      'Fry for 5 minutes, turning once, then set aside on a plate.',
      ['fry: Fry for 5 minutes, turning once, set aside on a plate'],
    ],
    [
      'Sprinkle over the cheese and bake for 30 minutes.',
      ['assemble: Sprinkle over the cheese', 'bake: bake for 30 minutes'],
    ],
  ])('%s', (sentence, expected) => {
    expect(groups(sentence)).toEqual(expected)
  })
})

describe('workOf: what `cook` means', () => {
  const cook = (text: string, where: Partial<Whereabouts> = {}, named: string[] = []) =>
    workOf(
      { text, work: 'simmer', verb: 'cook', meanwhile: false },
      { ...NOWHERE, ...where },
      named,
      [],
    )

  it.each([
    ['cook on low for 8 hours', { vessel: 'slow-cooker' }, [], 'slow'],
    ['cook for 20 minutes', { vessel: 'pressure-cooker' }, [], 'pressure'],
    ['cook for 5 minutes', { vessel: 'pressure-cooker', opened: true }, [], 'simmer'],
    ['cook for 15 minutes', { vessel: 'air-fryer' }, [], 'bake'],
    ['cook in the oven for 40 minutes', {}, ['oven'], 'bake'],
    ['cook the pasta for 9 minutes', {}, [], 'boil'],
    ['cook the onions until soft', { vessel: 'pot' }, [], 'soften'],
    ['cook for 2 minutes', { vessel: 'frying-pan' }, [], 'fry'],
    ['cook for 10 minutes', { vessel: 'frying-pan', wet: true }, [], 'simmer'],
    ['cook for 90 minutes', { vessel: 'frying-pan' }, [], 'simmer'],
    ['cook the mince until browned', { vessel: 'pot' }, [], 'brown'],
  ] as const)('%s in %j', (text, where, named, work) => {
    expect(cook(text, where, [...named])).toBe(work)
  })
})

describe('equipmentOf: what such work always takes', () => {
  it('puts what is heated on a burner, and what is baked into the oven in what was spoken of', () => {
    expect(equipmentOf('Simmer for 10 minutes', 'simmer', NOWHERE)).toEqual(['pot', 'burner'])
    expect(equipmentOf('Simmer gently', 'simmer', { ...NOWHERE, vessel: 'frying-pan' })).toEqual([
      'frying-pan',
      'burner',
    ])
    expect(equipmentOf('Bake for an hour', 'bake', { ...NOWHERE, dish: 'tin' })).toEqual([
      'oven',
      'tin',
    ])
    expect(equipmentOf('Transfer to the oven', 'bake', { ...NOWHERE, vessel: 'pot' })).toEqual([
      'oven',
      'pot',
    ])
    expect(equipmentOf('Chop in a food processor', 'cut', NOWHERE)).toEqual(['processor'])
    expect(equipmentOf('Freeze for 2 hours', 'chill', NOWHERE)).toEqual(['freezer'])
  })

  it('fries in a pan of its own while something else simmers', () => {
    const busy = { ...NOWHERE, vessel: 'pot', wet: true, heated: 'simmer' as const }
    expect(equipmentOf('Fry the onion in a little oil', 'fry', busy)).toEqual([
      'frying-pan',
      'burner',
    ])
    expect(equipmentOf('Add the onion and fry', 'fry', busy)).toEqual(['pot', 'burner'])
  })
})

describe('layoutOf', () => {
  it.each([
    [
      '**Bean pot**\n\n**Serves:** 6\n\n### Ingredients\n- 200 g beans\n\n### Method\n1. Simmer.',
      'Bean pot',
      6,
    ],
    [
      'Scones (makes 12)\n\n450g flour\n100g butter\n\nRub the butter into the flour.',
      'Scones',
      12,
    ],
    ['Dal: wash 200 g lentils. Simmer them for 25 minutes in plenty of water.', 'Dal', undefined],
  ])('%j', (text, name, serves) => {
    const layout = layoutOf(text)
    expect([layout.name, layout.serves]).toEqual([name, serves])
    expect(layout.method).not.toBe('')
  })

  it('finds ingredients that are told in a sentence', () => {
    const layout = layoutOf(
      'Pot roast. You want a chicken, two leeks and half a litre of stock. Roast for 1 hour at 180C.',
    )
    expect(layout.ingredients).toEqual(['a chicken', 'two leeks', 'half a litre of stock'])
  })

  it('leaves notes and storage out of the method', () => {
    const layout = layoutOf(
      'Soup\n\nIngredients\n1 onion\n\nMethod\nSimmer for 10 minutes.\n\nNotes\nBlend it if you like.',
    )
    expect(layout.method).toBe('Simmer for 10 minutes.')
  })
})

describe('the whereabouts of the food', () => {
  it('carries the pan, the oven heat and the rawness from step to step', () => {
    const [brown, , bake] = steps(
      'Brown the beef in a casserole for 8 minutes. Add the stock. Transfer to the oven at 160C for 2 hours.',
      '500 g stewing beef\n400 ml stock',
    )
    expect([brown!.hygiene, bake!.hygiene]).toEqual(['raw', 'neutral'])
    expect(bake!.equipment).toEqual(['oven', 'pot'])
    expect(bake!.celsius).toBe(160)
  })

  it('joins hot fat to what is fried in it, and a lonely grip to what came before', () => {
    const list = steps(
      'Heat the oil in a frying pan. Fry the onion for 5 minutes. Remove and set aside.',
    )
    expect(list).toHaveLength(1)
    expect(list[0]!.do).toBe(
      'Heat the oil in a frying pan, then fry the onion for 5 minutes. Remove, set aside',
    )
  })

  it('lets `fry them` wait for what was last spoken of', () => {
    const list = steps(
      'Dice the carrots. Fry them gently in a pot for 8 minutes. Add the beans and simmer for 25 minutes.',
      '2 carrots\n400 g cooked beans',
    )
    expect(list.map((s) => s.after.map((a) => a.step))).toEqual([[], ['dice'], ['fry']])
  })

  it('does not think meat cooked that nobody has spoken of yet', () => {
    const list = steps(
      'Halve the potatoes and roast them in a roasting tin at 220C for 15 minutes. Rub the thighs with thyme. Nestle the chicken among the potatoes. Roast for 40 minutes. Shred the chicken.',
      '1 kg chicken thighs\n700 g potatoes\nthyme',
    )
    expect(list.map((s) => s.hygiene)).toEqual([
      'produce',
      'neutral',
      'raw',
      'raw',
      'neutral',
      'ready',
    ])
    expect(list[2]!.work).toBe('season')
  })

  it('keeps the heat of the air fryer apart from that of the oven', () => {
    const list = steps(
      'Heat the oven to 160C. Heat the air fryer to 190C. Air fry the salmon for 8 minutes. Bake the tart in the oven for 20 minutes.',
      '2 salmon fillets\n1 tart',
    )
    expect(list.map((s) => [s.work, s.celsius])).toEqual([
      ['heat', 160],
      ['heat', 190],
      ['bake', 190],
      ['bake', 160],
    ])
    expect(list[1]!.equipment).toEqual(['air-fryer'])
  })

  it('takes salt for a command only where something is salted', () => {
    const works = (method: string) =>
      steps(method, 'vinegar\nsalt\nsugar\nwater').map((s) => s.work)
    expect(works('Heat the vinegar, sugar and salt in a small pan for 3 minutes.')).toEqual([
      'simmer',
    ])
    expect(works('Boil the water for 5 minutes and salt it.')).toContain('season')
    expect(works('Reduce over a medium heat for 5 minutes.')).toEqual(['simmer'])
    expect(works('Reduce the heat.')).not.toContain('simmer')
    expect(steps('Pat the beef dry.', '500 g beef')[0]).toMatchObject({
      work: 'drain',
      hygiene: 'raw',
      equipment: [],
    })
    expect(steps('Drain on kitchen paper.')[0]!.equipment).toEqual([])
  })
})

describe('a text in two lines', () => {
  it('has its name, its number and every ingredient', () => {
    const layout = layoutOf(
      'Overnight rolls. Makes 12.\n500g strong flour; 7g yeast; 10g salt; 320ml water\n\nKnead the dough for 10 minutes. Bake for 18 minutes.',
    )
    expect(layout).toMatchObject({
      name: 'Overnight rolls',
      serves: 12,
      ingredients: ['500g strong flour', '7g yeast', '10g salt', '320ml water'],
    })
  })

  it.each([
    [
      'Mince\n\nFor the mince: 500 g beef mince, 1 onion, salt\nFor the top: 150 g flour, 75 g suet\n\nBrown the mince with the onion for 8 minutes.',
      ['500 g beef mince', '1 onion', 'salt', '150 g flour', '75 g suet'],
    ],
    [
      'Pie\n1.5kg shin of beef / 3 onions / 250g mushrooms\n\nCut the beef into cubes. Brown it well for 8 minutes.',
      ['1.5kg shin of beef', '3 onions', '250g mushrooms'],
    ],
    [
      'Pork. 2 kg pork shoulder, 2 tbsp paprika, 250 ml cider. Rub the paprika over the pork. Braise for 3 hours.',
      ['2 kg pork shoulder', '2 tbsp paprika', '250 ml cider'],
    ],
    [
      'Sauce\n\nIngredients\n50g butter, 50g flour, 600ml milk\n1 bay leaf\n\nMethod\n1. Melt the butter, 20 g at a time.',
      ['50g butter', '50g flour', '600ml milk', '1 bay leaf'],
    ],
  ])('has each ingredient where several stand in a line', (text, ingredients) => {
    expect(layoutOf(text).ingredients).toEqual(ingredients)
  })

  it('keeps a number that begins a sentence and counts nothing off', () => {
    expect(steps('10 minutes before serving stir in the cream.')[0]!.do).toMatch(/^10 minutes/)
    expect(steps('Oven 190. Roast the onion for 25 min.').map((s) => s.celsius)).toEqual([190, 190])
    const done = steps('Grill for 12 minutes, until cooked through (75°C).')[0]!
    expect([done.celsius, done.core]).toEqual([null, 75])
    expect(steps('LOW 10 hrs.')[0]).toMatchObject({ work: 'slow', minutes: [600, 600] })
  })

  it('finds the command behind where and with what it is done', () => {
    const list = steps(
      'In a large bowl, mix turkey, crumbs and egg until combined. Roll into balls.',
      '500 g minced turkey\n1 egg\ncrumbs',
    )
    expect(list.map((s) => [s.work, s.hygiene])).toEqual([
      ['mix', 'raw'],
      ['shape', 'raw'],
    ])
    expect(steps('Use a stick blender to part-blend the soup.').map((s) => s.work)).toEqual([
      'blend',
    ])
    expect(steps('Air fryer 200 C: chicken 18 min, flip at 9 min.')[0]).toMatchObject({
      work: 'bake',
      celsius: 200,
      equipment: ['air-fryer'],
    })
    const cakes = steps('Heat a griddle. Cook for 2 minutes, then flip, 1 minute more.')
    expect(cakes.every((s) => s.work === 'fry' || s.work === 'grill')).toBe(true)
  })
})

describe('words of other kitchens', () => {
  const read = (method: string) =>
    steps(method).map((s) => `${s.work} ${s.stated ? s.minutes.join('-') : '?'}`)

  it.each([
    [
      '① Fry the onion for 5 minutes. ② Garlic, 1 more minute. Do not let it catch.',
      'fry 5-5, fry 1-1',
    ],
    ['Bring up to a boil, lid on, lowest heat. Leave it be for an hour.', 'boil ?, simmer 60-60'],
    [
      'Boil the barley for 5 minutes. Turn right down: 15 mins. Off the heat, 5 mins.',
      'boil 5-5, simmer 15-15, rest 5-5',
    ],
    ['Bake for 20 minutes (skewer test).', 'bake 20-20'],
    [
      'Bake 15 min then turn down to 200C for another 20. Rest 5.',
      'bake 15-15, bake 20-20, rest 5-5',
    ],
    ['Lid on and transfer to the oven. 2 hours, then take the lid off.', 'bake 120-120'],
    ['Hard-boil the eggs (9 minutes), plunge into cold water, peel.', 'boil 9-9, cool ?, cut ?'],
    ['Bake for 20 minutes. Stir, and give it 15 minutes longer.', 'bake 20-20, bake 15-15'],
    ['With damp hands roll into 16 balls.', 'shape ?'],
    ["Sweat the onion, lid on, 20'.", 'soften 20-20'],
    ['Brown the beef, a third at a time: allow 5 minutes per batch.', 'brown 5-5'],
    ['Refrigerate within an hour and eat inside 3 days.', 'chill ?'],
  ])('%s', (method, expected) => {
    expect(read(method).join(', ')).toBe(expected)
  })

  it('takes a pressure cooker for a pot until its lid is locked', () => {
    expect(
      read(
        'Heat the oil in the pressure cooker, add the onion and cook 6 minutes. Lock the lid. Cook 15 minutes.',
      ),
    ).toEqual(['fry 6-6', 'pressure 15-15'])
  })

  it('has the air fryer go on where a basket is spoken of', () => {
    const list = steps(
      'Preheat the air fryer to 190C. Mix in a bowl. Cook for 12 min, shaking the basket.',
    )
    expect(list.at(-1)).toMatchObject({ work: 'bake', celsius: 190, equipment: ['air-fryer'] })
  })
})

describe('lists of other kitchens', () => {
  const items = (text: string) =>
    readRecipeText(text).ingredients.map((i) => `${i.amount} ${i.unit} ${i.item}`)

  it('reads a table, and the size of a tin behind it', () => {
    const table =
      '# Bread\n\n| what | how much |\n| --- | --- |\n| flour | 250 g |\n| eggs | 2 |\n\n## How\n\n- Mix.'
    expect(items(table)).toEqual(['250 g flour', '2 piece eggs'])
    expect(items('Chilli\n\nIngredients\n4 cans (400g each) beans\n\nMethod\nSimmer.')).toEqual([
      '1600 g beans',
    ])
  })

  it('keeps names that begin with a number, and what is said of times, out of it', () => {
    const text =
      'THREE-BEAN CHILLI\nServes: 6 | Prep: 25m | Cook: 2h 30m\n\n3 onions\n1 tbsp oil\n\n1. Fry the onions.'
    expect(readRecipeText(text)).toMatchObject({ name: 'Three-bean chilli', serves: 6 })
    expect(items(text)).toEqual(['3 piece onions', '1 tbsp oil'])
  })
})
