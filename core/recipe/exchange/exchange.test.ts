import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../../demo'
import { CORPUS } from '../text/corpus.fixture'
import { MORE } from '../text/corpusMore.fixture'
import { readRecipeText } from '../text'
import { jsonLdOf, markdownOf, readRecipes } from '.'
import { idFor, markFor } from '../naming'
import { plannable } from '../plannable'
import { readRecipe } from '../read'

const one = (content: string) => {
  const reading = readRecipes(content)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  expect(reading.value).toHaveLength(1)
  return reading.value[0]!
}

describe('what goes out comes back equal', () => {
  it.each(demoRecipes.map((r) => [r.name, r] as const))('%s', (_, recipe) => {
    expect(one(JSON.stringify(recipe))).toEqual({ exact: recipe })
    expect(one(JSON.stringify(jsonLdOf(recipe)))).toEqual({ exact: recipe })
    expect(one(markdownOf(recipe))).toEqual({ exact: recipe })
    const page = `<!doctype html><html><script type="application/ld+json">${JSON.stringify(jsonLdOf(recipe))}</script></html>`
    expect(one(page)).toEqual({ exact: recipe })
  })
})

const LD = {
  '@context': 'https://schema.org',
  '@graph': [
    { '@type': 'WebPage', name: 'A page' },
    {
      '@type': ['Recipe'],
      name: 'Leek tart',
      recipeYield: ['6', '6 servings'],
      recipeIngredient: ['400g leeks', '3 eggs', '200ml cream'],
      recipeInstructions: [
        {
          '@type': 'HowToSection',
          itemListElement: [
            { '@type': 'HowToStep', text: '<p>Slice the leeks &amp; soften for 10 minutes.</p>' },
            { '@type': 'HowToStep', text: 'Bake at 180°C for 35 minutes.' },
          ],
        },
      ],
    },
  ],
}

describe('readRecipes', () => {
  it('reads linked data, alone and in a saved page with damaged data beside it', () => {
    for (const content of [
      JSON.stringify(LD),
      `<html><head><script type="application/ld+json">{broken</script><script type='application/ld+json'>${JSON.stringify(LD)}</script></head><body>words</body></html>`,
    ]) {
      const found = one(content)
      if (!('read' in found)) throw new Error('not read')
      expect([found.read.name, found.read.serves]).toEqual(['Leek tart', 6])
      expect(found.read.steps.map((s) => [s.work, s.minutes])).toEqual([
        ['cut', [3, 6]],
        ['soften', [10, 10]],
        ['bake', [35, 35]],
      ])
    }
  })

  it('reads the words of a page without data, and drops what is script', () => {
    const found = one(
      '<html><body><script>alert(1)</script><h1>Bean pot</h1><h2>Ingredients</h2><ul><li>200 g beans</li><li>1 onion</li></ul><h2>Method</h2><ol><li>Simmer the beans for 40 minutes.</li></ol></body></html>',
    )
    if (!('read' in found)) throw new Error('not read')
    expect(found.read.name).toBe('Bean pot')
    expect(found.read.ingredients).toHaveLength(2)
    expect(found.read.steps[0]!.minutes).toEqual([40, 40])
    expect(JSON.stringify(found)).not.toContain('alert')
  })

  it('reads a table, one recipe a row', () => {
    const reading = readRecipes(
      'Title,Servings,Ingredients,Directions\n"Dal",4,"200 g lentils; 1 onion","Chop the onion. Simmer for 25 minutes."\n"Rice",2,"150 g rice","Boil the rice for 12 minutes."\n',
    )
    if (!reading.ok) throw new Error('not read')
    expect(reading.value.map((f) => 'read' in f && [f.read.name, f.read.steps.length])).toEqual([
      ['Dal', 2],
      ['Rice', 1],
    ])
  })

  it.each([
    ['', 'nothing'],
    ['{"format":"cadrum/recipe@1"', 'cut off'],
    ['{"a":1}', 'no recipe'],
    ['{"format":"cadrum/recipe@1","id":"x"}', 'missing'],
    ['\u0000\u0001', 'not text'],
    ['hello there', 'no steps'],
  ])('refuses %j and says why', (content, why) => {
    const reading = readRecipes(content)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.issues[0]!.message).toContain(why)
  })

  it('refuses a page of tags without end, in words and at once', () => {
    const began = performance.now()
    const reading = readRecipes(`<html><body>${'<div>'.repeat(900_000)}x</body></html>`)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.issues[0]!.message).toContain('too many parts')
    expect(readRecipes(`<html><body>${'<div>'.repeat(40_000)}</body></html>`).ok).toBe(true)
    expect(performance.now() - began).toBeLessThan(8000)
  })
})

describe('plannable', () => {
  it('makes of every text that was read a recipe that the format allows', () => {
    for (const { text } of [...CORPUS, ...MORE]) {
      const read = readRecipeText(text)
      const recipe = plannable(read, idFor(read.name, new Set()), markFor(read.name, new Set()))
      const reading = readRecipe(recipe)
      expect(reading.ok ? [] : reading.issues).toEqual([])
    }
  })

  it('leaves heating the oven to the plan and gives the baking its heat', () => {
    const read = readRecipeText(
      'Pie\n\nMethod\nHeat the oven to 190C. Bake the pie for 30 minutes.',
    )
    const recipe = plannable(read, 'pie', 'Pi')
    expect(recipe.steps).toHaveLength(1)
    expect(recipe.steps[0]!.after).toEqual([])
    expect(recipe.steps[0]!.ways[0]!.heat).toEqual({
      celsius: [185, 195],
      method: 'bake',
      stated: 190,
    })
  })

  it('finds a mark and an id that nobody has', () => {
    expect(markFor('Fish pie', new Set(['Fp']))).toBe('Fi')
    expect(idFor('Crème brûlée!', new Set(['creme-brulee']))).toBe('creme-brulee-2')
  })
})
