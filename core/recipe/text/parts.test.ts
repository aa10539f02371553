import { describe, expect, it } from 'vitest'
import { clausesOf } from './clauses'
import { durationsIn } from './durations'
import { equipmentIn } from './equipment'
import { allergensIn } from '../allergens'
import { isRaw } from './foods'
import { readIngredientLine } from './ingredientLine'
import { plain } from './plain'
import { sentencesOf } from './sentences'
import { temperaturesIn } from './temperatures'

describe('durationsIn', () => {
  it.each([
    ['for 10 minutes', 10, 10],
    ['for 8–10 mins', 8, 10],
    ['1½ hours', 90, 90],
    ['1 1/2 to 2 hrs', 90, 120],
    ['1 hour 15 minutes', 75, 75],
    ['1h30', 90, 90],
    ['an hour and a half', 90, 90],
    ['an hour and twenty minutes', 80, 80],
    ['half an hour', 30, 30],
    ['three quarters of an hour', 45, 45],
    ['forty-five to fifty minutes', 45, 50],
    ['between 20 and 25 minutes', 20, 25],
    ['45 minutes to 1 hour', 45, 60],
    ['a couple of minutes', 2, 2],
    ['a minute or two', 1, 2],
    ['30 seconds', 0.5, 0.5],
    ['overnight', 480, 720],
    ['2 days', 2880, 2880],
    ['a 20-minute rest', 20, 20],
    ['3 minutes on each side', 6, 6],
  ])('%s', (text, least, most) => {
    expect(durationsIn(text).map((d) => [d.least, d.most])).toEqual([[least, most]])
  })

  it.each([
    ['stirring every 5 minutes', 'every'],
    ['after 10 minutes', 'moment'],
    ['keeps for up to 3 months', 'keeps'],
    ['20 minutes per 450g', 'perWeight'],
    ['chill for 30 minutes before serving', 'span'],
    ['15 minutes before the end', 'moment'],
    ['refrigerate for at least 2 days', 'span'],
  ])('%s is %s', (text, kind) => {
    expect(durationsIn(text).map((d) => d.kind)).toEqual([kind])
  })

  it('takes no weight, length or size for a time', () => {
    expect(durationsIn('500 g, 2 m of string, a 20cm tin, 3 medium onions')).toEqual([])
  })
})

describe('temperaturesIn', () => {
  it.each([
    ['180C/160C fan/gas 4', 180, 'oven'],
    ['160C fan', 160, 'oven'],
    ['350°F', 177, 'oven'],
    ['425 degrees F', 218, 'oven'],
    ['gas mark 6', 200, 'oven'],
    ['Gas ½', 130, 'oven'],
    ['a moderate oven', 180, 'oven'],
    ['heat the oil to 180°C', 180, 'fat'],
    ['until the middle reads 74 °C', 74, 'core'],
  ] as const)('%s', (text, celsius, of) => {
    expect(temperaturesIn(text).map((t) => [t.most, t.of])).toEqual([[celsius, of]])
  })

  it('says so where it cannot tell °C from °F', () => {
    expect(temperaturesIn('bake at 350°')[0]).toMatchObject({ most: 177 })
    expect(temperaturesIn('bake at 200 degrees')[0]!.doubt).toBeTruthy()
  })
})

describe('readIngredientLine', () => {
  it.each([
    ['500g minced beef', 500, 'g', 'minced beef', undefined],
    ['2 x 400 g tins chopped tomatoes', 800, 'g', 'tomatoes', 'chopped'],
    ['1 (14 oz) can kidney beans, drained', 396.89, 'g', 'tinned kidney beans', 'drained'],
    ['1½ cups flour', 188, 'g', 'flour', undefined],
    ['1 lb 2 oz carrots', 510.29, 'g', 'carrots', undefined],
    ['8 oz/225 g butter', 225, 'g', 'butter', undefined],
    ['2 sticks celery', 2, 'piece', 'celery', undefined],
    ['1 stick butter', 113, 'g', 'butter', undefined],
    ['• 2 tbsp olive oil', 2, 'tbsp', 'olive oil', undefined],
    ['3-4 cloves garlic, crushed', 4, 'piece', 'garlic', 'crushed'],
    ['juice of 1 lemon', 1, 'piece', 'lemon', undefined],
    ['a pinch of salt', 1, 'pinch', 'salt', undefined],
    ['1.5 litres stock', 1.5, 'l', 'stock', undefined],
  ] as const)('%s', (text, amount, unit, item, preparation) => {
    const read = readIngredientLine(text)
    expect([read.amount, read.unit, read.item, read.preparation]).toEqual([
      amount,
      unit,
      item,
      preparation,
    ])
  })

  it('marks a line without an amount', () => {
    expect(readIngredientLine('salt and pepper').doubts).toEqual(['no amount is stated'])
  })
})

describe('clausesOf', () => {
  const commands = (sentence: string) => clausesOf(sentence).map((c) => `${c.verb}:${c.work}`)

  it('begins a clause at each command, and at no thing that sounds like one', () => {
    expect(commands('Add the salt, butter and flour, then simmer gently for 10 minutes.')).toEqual([
      'add:assemble',
      'simmer:simmer',
    ])
    expect(commands('Cook until the onions soften and brown, then add the brown sugar.')).toEqual([
      'cook:simmer',
      'add:assemble',
    ])
    expect(commands('Peel, core and slice the apples.')).toEqual([
      'peel:cut',
      'core:cut',
      'slice:cut',
    ])
    expect(commands('Leave to cool completely.')).toEqual(['leave:cool'])
    expect(commands('Let them sweat for five minutes.')).toEqual(['sweat:soften'])
    expect(commands('12 minutes in the oven.')).toEqual(['bake:bake'])
  })
})

describe('smaller parts', () => {
  it('turns fractions and words for numbers into figures', () => {
    expect(plain('1½ and 1 1/2 and twenty-five and two hundred and twenty')).toBe(
      '1.5 and 1.5 and 25 and 220',
    )
  })

  it('splits sentences, but not at abbreviations or numbering', () => {
    expect(
      sentencesOf('1. Fry for 10 mins. until soft. Drain.\nFor the sauce:\nStep 2: Serve.'),
    ).toEqual(['Fry for 10 mins. until soft.', 'Drain.', 'Serve.'])
  })

  it('knows equipment by its many names', () => {
    expect(equipmentIn('Whisk in a bowl, pour into a large skillet, then a roasting tin')).toEqual([
      'bowl',
      'frying-pan',
      'tray',
    ])
    expect(equipmentIn('in the slow cooker')).toEqual(['slow-cooker'])
  })

  it('tells raw from cooked, and allergens by their words', () => {
    expect([isRaw('minced turkey'), isRaw('chicken stock'), isRaw('kidney beans')]).toEqual([
      true,
      false,
      false,
    ])
    expect(
      allergensIn(['coconut milk', 'peanut butter', 'plain flour', 'butternut squash']),
    ).toEqual(['gluten', 'peanut'])
  })
})
