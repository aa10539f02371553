import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CORPUS } from './corpus.fixture'
import { MORE } from './corpusMore.fixture'
import { measure } from './measure.fixture'
import { readRecipeText } from './readText'

const steps = (method: string) => readRecipeText(`Dish\n\nMethod\n${method}`).steps

describe('readRecipeText, on texts of very different style', () => {
  const all = [...CORPUS, ...MORE]
  const result = measure(all, (text) => readRecipeText(text).steps)

  it('reads nearly all times and temperatures', () => {
    expect(all.length).toBeGreaterThanOrEqual(40)
    expect(result.times).toBeGreaterThanOrEqual(0.95)
    expect(result.heats).toBeGreaterThanOrEqual(0.95)
  })

  it('reads most kinds of work and equipment', () => {
    expect(result.works).toBeGreaterThanOrEqual(0.87)
    expect(result.equipment).toBeGreaterThanOrEqual(0.92)
  })

  it('counts a text that it cannot read as wrong', () => {
    const broken = measure(CORPUS.slice(0, 5), () => [])
    expect(broken.works).toBe(0)
    expect(broken.wrong).toHaveLength(5)
  })
})

describe('readRecipeText', () => {
  it('tells name, servings, ingredients and method apart with and without headings', () => {
    const plain = readRecipeText(
      'Leek pie - serves 6\n\n500g leeks, sliced\n2 eggs\nhalf a lemon\n\nSlice the leeks. Bake at 190C for 30 minutes.',
    )
    expect([plain.name, plain.serves]).toEqual(['Leek pie', 6])
    expect(plain.ingredients.map((i) => [i.amount, i.unit, i.item])).toEqual([
      [500, 'g', 'leeks'],
      [2, 'piece', 'eggs'],
      [0.5, 'piece', 'lemon'],
    ])
    expect(plain.steps.map((s) => s.work)).toEqual(['cut', 'bake'])
    const headed = readRecipeText(
      'Tea bread\nIngredients: 200g flour, 1 egg, 100g raisins, 1 tsp spice\nMethod: Mix everything. Bake for an hour at gas 3.',
    )
    expect(headed.ingredients).toHaveLength(4)
    expect(headed.steps.map((s) => [s.work, s.minutes, s.celsius])).toEqual([
      ['mix', [2, 4], null],
      ['bake', [60, 60], 160],
    ])
  })

  it('says what waits for what: cutting waits for nothing, what goes in waits for it', () => {
    const read = readRecipeText(
      'Soup\n\nIngredients\n2 carrots\n200 g lentils\n1 l stock\n\nMethod\nChop the carrots. Rinse the lentils. Put the carrots, lentils and stock in a pot and simmer for 30 minutes.',
    )
    expect(read.steps.map((s) => [s.id, s.after.map((a) => a.step)])).toEqual([
      ['chop', []],
      ['rinse', []],
      ['simmer', ['chop', 'rinse']],
    ])
  })

  it('lets what is done meanwhile begin without waiting', () => {
    const read = readRecipeText(
      'Bowl\n\nIngredients\n200 g rice\n1 cucumber\n\nMethod\nBoil the rice for 12 minutes in a pan of water. Meanwhile slice the cucumber. Drain the rice and toss with the cucumber.',
    )
    const slice = read.steps.find((s) => s.work === 'cut')!
    expect(slice.after).toEqual([])
    expect(read.steps.find((s) => s.work === 'mix')!.after.map((a) => a.step)).toContain('slice')
  })

  it('marks raw hands until the food is cooked', () => {
    const read = readRecipeText(
      'Burgers\n\nIngredients\n500 g minced beef\n1 onion\n\nMethod\nChop the onion. Mix the mince with the onion in a bowl. Shape into 4 burgers. Fry for 5 minutes per side. Serve at once.',
    )
    expect(read.steps.map((s) => s.hygiene)).toEqual(['produce', 'raw', 'raw', 'raw', 'ready'])
    expect(read.steps[3]!.minutes).toEqual([10, 10])
    expect(read.steps[4]!.after[0]!.most).toBe(2)
  })

  it('marks what it guessed, and says why', () => {
    const [step] = steps('Simmer the sauce until thick.')
    expect(step!.stated).toBe(false)
    expect(step!.doubts.join()).toContain('guess')
    expect(steps('Bake in a hot oven for 20 minutes.')[0]!.doubts.join()).toContain('210')
  })

  it('does not take it for a time how often something is stirred or how long it keeps', () => {
    expect(steps('Simmer for 40 minutes, stirring every 5 minutes.')[0]!.minutes).toEqual([40, 40])
    expect(
      steps('Bake at 180C for 1 hour, removing the foil for the last 10 minutes.')[0]!.minutes,
    ).toEqual([60, 60])
    expect(steps('Cool for 20 minutes. Keeps for 3 days in the fridge.')).toHaveLength(1)
  })

  it('counts time by weight for the heaviest piece', () => {
    const read = readRecipeText(
      'Joint\n\nIngredients\n1.5 kg beef joint\n\nMethod\nRoast the beef at 180C for 20 minutes per 500 g plus 20 minutes.',
    )
    expect(read.steps[0]!.minutes).toEqual([80, 80])
    expect(read.steps[0]!.doubts.join()).toContain('1500 g')
  })

  it('gives a change of heat to what is baked after it', () => {
    const list = steps('Bake at 220C for 10 minutes, then reduce to 180C and bake for 30 minutes.')
    expect(list.map((s) => [s.work, s.minutes[1], s.celsius])).toEqual([
      ['bake', 10, 220],
      ['bake', 30, 180],
    ])
  })

  it('keeps the heat of the middle apart from the heat of the oven', () => {
    const [, bake] = steps(
      'Heat the oven to 200C. Roast the chicken for 1 hour until it reaches 74°C inside.',
    )
    expect([bake!.celsius, bake!.core]).toEqual([200, 74])
  })

  it('takes any text without failing, and never shows figures that are no numbers', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 400 }), fc.lorem({ maxCount: 60 })), (text) => {
        const read = readRecipeText(text)
        for (const s of read.steps) {
          expect(s.minutes.every((m) => Number.isFinite(m) && m >= 0)).toBe(true)
          expect(s.minutes[0]).toBeLessThanOrEqual(s.minutes[1])
        }
        for (const i of read.ingredients) expect(Number.isFinite(i.amount)).toBe(true)
      }),
      { numRuns: 300, seed: 4 },
    )
  })
})

describe('a text of any kind', () => {
  it.each([
    ['a list without end', '2, '.repeat(16_000)],
    ['one sentence of commands', `Dish\n\n${'Chop the onion and '.repeat(3000)}`],
    ['1,800 sentences', `Dish\n\n500 g x\n\n${'Simmer the stock for 10 minutes. '.repeat(1800)}`],
    [
      '2,000 ingredients',
      `Dish\n\n${Array.from({ length: 2000 }, (_, i) => `${i + 1} g thing`).join('\n')}\n\nMix it all.`,
    ],
    ['open brackets', '((((('.repeat(12_000)],
    ['times one after the other', '1 hour 1 hour and 1-2 '.repeat(2600)],
    ['keeping in every clause', `Dish\n\n${'keeps 3 days in the fridge or '.repeat(1900)}`],
  ])('is read in moments: %s', (_, text) => {
    const began = performance.now()
    readRecipeText(text)
    // 60 kB take well under a second on a quiet machine; what went wrong took minutes.
    expect(performance.now() - began).toBeLessThan(5000)
  })

  it('takes a line of servings and times in italics for what it is', () => {
    const { name, serves, ingredients, steps } = readRecipeText(
      '# Beef stew\n\n*Serves 6 · prep 25 min · cook 2 h 45*\n\n- 1.2 kg braising steak, cut into chunks\n- 500 ml brown ale\n- 1 tbsp tomato purée\n\nBrown the beef in a pot for 8 minutes. Pour in the ale and the purée and simmer for 2 hours.',
    )
    expect([name, serves]).toEqual(['Beef stew', 6])
    expect(ingredients.map((x) => x.item)).toEqual(['braising steak', 'brown ale', 'tomato purée'])
    expect(steps.some((s) => /serves/i.test(s.do))).toBe(false)
  })

  it('takes chili powder for a spice, and says of what no step takes', () => {
    const read = readRecipeText(
      'Chili\n\nIngredients\n1 tablespoon chili powder\n1 tsp cumin\n2 cloves garlic\n500 g minced beef\n100 g walnuts\n\nMethod\nBrown the beef for 8 minutes. Add the garlic and spices and simmer for 1 hour.',
    )
    const used = new Set(read.steps.flatMap((s) => s.uses))
    const item = (of: string) => read.ingredients.find((i) => i.item.includes(of))!.id
    expect([used.has(item('chili')), used.has(item('cumin'))]).toEqual([true, true])
    expect(read.doubts).toContain('no step takes it: walnuts')
  })
})
