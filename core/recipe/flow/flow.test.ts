import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../../demo'
import { recipeSchema, type Recipe, type RecipeInput } from '../schema'
import { dishTold } from '../told.fixture'
import { emptiedFirst, foodLinks, lotsOf, STANDING, staysIn, vesselRuns } from './index'

const told = (method: string, ingredients: string) => dishTold(ingredients, method)
const link = (recipe: Recipe, from: string, to: string) =>
  foodLinks(recipe).find((l) => l.from === from && l.to === to)!
const run = (recipe: Recipe, kind: string) =>
  vesselRuns(recipe).find((r) => r.vessel.kind === kind)!

const PASTA = told(
  'Bring a large pot of water to the boil. Boil the pasta for 10 minutes. Drain. Fry the bacon in a frying pan for 6 minutes. Stir the pasta into the bacon.',
  '300 g pasta\n100 g bacon',
)

describe('food in vessels', () => {
  it('has left its pan before the pan is used for something else', () => {
    const recipe = told(
      'Brown the beef in a skillet for 10 minutes. Transfer to the slow cooker. Add the onions to the skillet and cook for 8 minutes until soft. Tip them into the slow cooker. Cook on low for 8 hours.',
      '1 kg beef chuck\n3 onions',
    )
    const [transfer, onions] = ['Transfer', 'Add the onions'].map((words) =>
      recipe.steps.find((s) => s.do.startsWith(words))!,
    )
    const before = emptiedFirst(recipe).steps.find((s) => s.id === onions!.id)!.after
    expect(before).toContainEqual({ step: transfer!.id, food: false })
    expect(emptiedFirst(PASTA)).toBe(PASTA)
  })

  it('stays in its dish where something is spread over it, and leaves it for boxes', () => {
    const recipe = told(
      'Divide the beef between 2 ovenproof dishes. Boil the potatoes for 15 minutes and mash. Spread the mash over and grate the cheese on top. Bake at 200 °C for 30 minutes.',
      '1 kg cooked beef\n1 kg potatoes\n100 g cheese',
    )
    const dish = run(recipe, 'oven-dish')
    const works = dish.steps.map((id) => recipe.steps.find((s) => s.id === id)!.work)
    expect(works).toEqual(['assemble', 'assemble', 'assemble', 'bake'])
    const boxed = {
      ...recipe.steps.at(-1)!,
      do: 'Divide among 4 lunch boxes, cool',
      work: 'cool' as const,
    }
    expect(staysIn({ ...boxed, stays: undefined })).toBe(false)
  })

  it('stays in the pot until it is drained', () => {
    const pot = run(PASTA, 'pot')
    const drain = PASTA.steps.find((s) => s.work === 'drain')!
    expect(pot.steps.at(-1)).toBe('boil')
    expect(pot.takers).toEqual([drain.id])
  })

  it('is left in its one slow cooker until what was lifted out of it is back', () => {
    const recipe = told(
      'Put the onion in a slow cooker and lay the turkey on top. Add the beans and stock. Cook on low for 8 hours. Remove the turkey to a cutting board, shred with two forks, and stir back into the chili. Let it sit for 10 minutes.',
      '1 onion\n900 g turkey thighs\n400 g cooked beans\n500 ml stock\n2 tbsp chili powder',
    )
    const cookers = vesselRuns(recipe).filter((r) => r.vessel.kind === 'slow-cooker')
    expect(cookers).toHaveLength(1)
    expect(cookers[0]!.steps).toEqual(expect.arrayContaining(['cook', 'stir']))
  })

  it('stays in the tin of a cake while syrup is spooned over it', () => {
    const recipe = told(
      'Zest the lemons into a bowl with the sugar, eggs and oil and whisk until smooth. Fold in the flour. Pour into the tin and bake for 50 minutes at 170 °C. For the syrup, squeeze the lemons into a small pan with the granulated sugar and warm gently for 3 minutes. Prick the hot cake all over and spoon over the syrup. Leave to cool in the tin for 1 hour.',
      '2 lemons\n200 g caster sugar\n3 eggs\n150 ml oil\n225 g flour\n75 g granulated sugar',
    )
    const shape = vesselRuns(recipe).find((r) => ['tin', 'oven-dish'].includes(r.vessel.kind))!
    const over = recipe.steps.find((s) => /spoon over/.test(s.do))!
    expect(shape.steps).toContain(over.id)
  })

  it('goes on in the same vessel, and in another one where the words name another', () => {
    const recipe = told(
      'Soften the onion in a large pot for 8 minutes. Add the stock and simmer for 20 minutes. Pour the soup into a bowl and leave to cool for 30 minutes.',
      '1 onion\n1 l stock',
    )
    expect(run(recipe, 'pot').steps).toEqual(['soften', 'simmer'])
    expect(run(recipe, 'pot').takers).toHaveLength(1)
    expect(run(recipe, 'bowl').steps.length).toBeGreaterThan(0)
  })

  it('leaves the pan free for what follows where panfuls are lifted out', () => {
    const recipe = told(
      'Brown the beef in a frying pan for 6 minutes. Lift it out onto a plate. Soften the onions in the same pan for 8 minutes. Put the beef and the onions in a slow cooker and cook on low for 8 hours.',
      '1 kg stewing beef\n2 onions',
    )
    const pan = run(recipe, 'frying-pan')
    expect(pan.steps.filter((s) => ['brown', 'soften'].includes(s))).toEqual(['brown', 'soften'])
    // Only the onions are still in it.
    expect(pan.takers).toHaveLength(1)
  })

  it('is where an explicit keep says, over steps that bring no vessel of another kind', () => {
    const soup = demoRecipes.find((r) => r.id === 'squash-soup')!
    const [pot] = vesselRuns(soup)
    expect(pot).toMatchObject({ id: 'pot', litres: 2.6, takers: [] })
    expect(pot!.steps).toEqual(['simmer', 'blend', 'cool', 'pack'])
  })

  it('can be said to be out, or to stay, where the words mislead', () => {
    const rest = PASTA.steps.find((s) => s.work === 'drain')!
    expect(staysIn(rest)).toBe(false)
    expect(staysIn({ ...rest, stays: true })).toBe(true)
  })
})

describe('how long food may stand', () => {
  it('has a source for every figure, and a best that is no more than the most', () => {
    for (const rule of STANDING) {
      expect(rule.best).toBeLessThanOrEqual(rule.most)
      expect(rule.source).toMatch(/an estimate of ours|guidance/)
    }
  })

  it('drains what was boiled within two minutes', () => {
    const drain = PASTA.steps.find((s) => s.work === 'drain')!
    expect(link(PASTA, 'boil', drain.id).most).toBe(2)
  })

  it('keeps raw meat out of the cold no longer than half an hour, and browned meat less', () => {
    const recipe = told(
      'Mix the mince with the onion. Shape into 12 balls. Brown the meatballs in a frying pan for 6 minutes. Add the tomatoes and simmer for 20 minutes.',
      '500 g minced pork\n1 onion\n400 g chopped tomatoes',
    )
    expect(link(recipe, 'mix', 'shape').most).toBe(30)
    expect(link(recipe, 'shape', 'brown').most).toBe(30)
    expect(link(recipe, 'brown', 'simmer').most).toBe(20)
    expect(lotsOf(recipe).get('brown')).toMatchObject({ part: true, cooked: false })
    expect(lotsOf(recipe).get('simmer')).toMatchObject({ part: false, cooked: true, hot: true })
  })

  it('lies on a plate, out of a pan that something else is fried in', () => {
    const recipe = told(
      'Brown the lamb in a large pot for 10 minutes. Lift it out. Soften the onions in the same pot for 12 minutes. Return the lamb and simmer for 2 hours.',
      '4 lamb shanks\n2 onions',
    )
    const [first] = recipe.steps.filter((s) => s.work === 'brown')
    const last = recipe.steps.at(-1)!
    expect(last.after.map((a) => a.step)).toContain(first!.id)
    // It is browned meat that waits, not food in a pan on the heat.
    expect(link(recipe, first!.id, last.id).usual!.most).toBe(20)
    expect(run(recipe, 'pot').takers).toEqual([])
  })

  it('bakes one of two pies in the dish that it was put into', () => {
    const recipe = told(
      'Divide the filling between two pie dishes. Brush with the egg. Wrap one pie and freeze. Bake the other at 200 °C for 35 minutes.',
      '1 kg filling\n1 egg',
    )
    const dishes = vesselRuns(recipe).filter((r) => r.vessel.kind === 'oven-dish')
    expect(dishes).toHaveLength(1)
    expect(dishes[0]!.steps).toEqual(expect.arrayContaining(['divide', 'bake']))
  })

  it('lets cut vegetables and rested food stand as long as one likes', () => {
    const recipe = told('Chop the carrots. Boil the carrots for 8 minutes.', '3 carrots')
    expect(link(recipe, 'chop', 'boil').most).toBeUndefined()
  })

  it('goes by what the recipe states, and leaves room above its shortest wait', () => {
    const step = (
      id: string,
      work: 'boil' | 'drain' | 'mix',
      after: RecipeInput['steps'][number]['after'] = [],
    ) => ({
      id,
      do: work,
      work,
      after,
      ways: [{ id: 'usual', minutes: [5, 5, 8] as [number, number, number] }],
    })
    const recipe = recipeSchema.parse({
      format: 'cadrum/recipe@1',
      id: 'r',
      name: 'R',
      mark: 'Rr',
      serves: 2,
      ingredients: [],
      steps: [
        step('boil', 'boil'),
        step('stated', 'drain', [{ step: 'boil', most: 7 }]),
        step('any', 'drain', [{ step: 'boil', most: null }]),
        step('late', 'drain', [{ step: 'boil', least: 20 }]),
        step('order', 'mix', [{ step: 'boil', food: false }]),
      ],
    })
    expect(link(recipe, 'boil', 'stated')).toMatchObject({ most: 7, usual: undefined })
    expect(link(recipe, 'boil', 'any').most).toBeUndefined()
    expect(link(recipe, 'boil', 'late').most).toBe(30)
    expect(link(recipe, 'boil', 'order')).toBeUndefined()
  })

  it('keeps rice in the saucepan that it was tipped into, until it has stood', () => {
    const recipe = told(
      'Rinse the rice. Tip into a saucepan with 450 ml water, bring to the boil, cover and cook on the lowest heat for 10 minutes. Turn off the heat and leave, still covered, for another 10.',
      '300 g rice',
    )
    const [first, second] = recipe.steps.filter((s) => s.work !== 'measure').slice(-2)
    expect(run(recipe, 'pot').steps).toEqual([first!.id, second!.id])
  })
})

it('is hot still after five minutes, and no longer once it has cooled', () => {
  const after = (minutes: number) => {
    const recipe = told(
      `Bake the mince in a tin at 190°C for 25 minutes. Cool for ${minutes} minutes.`,
      '500 g turkey mince',
    )
    return lotsOf(recipe).get(recipe.steps.at(-1)!.id)!.hot
  }
  expect([after(5), after(30)]).toEqual([true, false])
})
