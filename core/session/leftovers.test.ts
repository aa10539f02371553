import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes } from '../../demo'
import { checkPlan } from '../plan'
import type { Recipe } from '../recipe'
import { recipeTold } from '../recipe/told.fixture'
import { solve } from '../solver'
import { compileSession } from './compile'
import { leftoversTaken } from './leftovers'
import type { Session } from './schema'

const roast = recipeTold(
  `Roast chicken

Serves 3

1 chicken (about 2 kg)
1 tsp salt

1. Rub the chicken with the salt.
2. Roast at 190°C for 1 hour 40 minutes.
3. Rest for 15 minutes, then carve off the breasts for tonight.
4. Strip the rest of the meat from the bones, about 400 g. Keep the bones for soup.`,
  'roast',
  'Ro',
)
const pie = recipeTold(
  `Chicken pie

Serves 3

400 g cooked chicken
320 g puff pastry

Put the cooked chicken in a pie dish, cover with the pastry and bake at 200°C for 30 minutes.`,
  'pie',
  'Pi',
)
const soup = recipeTold(
  `Bone soup

Serves 4

bones of 1 chicken
2 carrots, diced
1.5 litres water

Put the bones in a large pot with the water and simmer for 1 hour. Strain. Add the carrots and simmer for 15 minutes.`,
  'soup',
  'Bs',
)
const made = (...recipes: Recipe[]) => recipes.map((recipe) => ({ recipe, batches: 1 }))

describe('what one dish leaves for another', () => {
  it('is read from its method, with the step that leaves it', () => {
    expect(roast.leaves).toEqual([
      { item: 'cooked chicken', amount: 400, unit: 'g', days: 3, step: expect.any(String) },
      { item: 'chicken bones', amount: 1, unit: 'piece', days: 3, step: expect.any(String) },
    ])
    expect(soup.ingredients[0]).toMatchObject({ item: 'chicken bones', amount: 1 })
    expect(soup.steps.find((s) => /bones/.test(s.do))!.uses).toContain(soup.ingredients[0]!.id)
  })

  it('goes into the dishes that ask for it by name, as far as it goes round', () => {
    expect(leftoversTaken(made(pie, roast, soup)).map((t) => [t.from, t.to])).toEqual([
      ['roast', 'pie'],
      ['roast', 'soup'],
    ])
    const two = leftoversTaken([...made(roast), { recipe: pie, batches: 2 }])
    // 800 g are asked for, and 400 left: a part is only offered.
    expect(two).toEqual([])
    expect(leftoversTaken(made(roast, pie), () => false)).toEqual([])
  })

  it('never makes two dishes wait for each other, nor one for itself', () => {
    const stew = {
      ...pie,
      id: 'stew',
      leaves: [{ item: 'rind', amount: 1, unit: 'piece' as const, days: 2 }],
    }
    const rind: Recipe = {
      ...roast,
      ingredients: [...roast.ingredients, { id: 'rind', item: 'rind', amount: 1, unit: 'piece' }],
    }
    expect(leftoversTaken(made(rind, stew)).map((t) => [t.from, t.to])).toEqual([['stew', 'roast']])
    const pork = demoRecipes.find((r) => r.id === 'braised-pork')!
    expect(leftoversTaken(made(pork))).toEqual([])
  })

  it('is taken up after it was left, and the list says where it comes from', () => {
    const session: Session = {
      format: 'cadrum/session@1',
      id: 's',
      name: 'A roast that becomes three dishes',
      kitchen: demoKitchen.id,
      cooks: ['runa', 'teo'],
      start: '2027-05-01T10:00',
      dishes: [pie, soup, roast].map((r) => ({ recipe: r.id, batches: 1 })),
    }
    const compiled = compileSession({ session, kitchen: demoKitchen, recipes: [pie, soup, roast] })
    if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
    const { problem, cards } = compiled.value
    const plan = solve(problem, { iterations: 60 })
    expect(checkPlan(problem, plan)).toEqual([])
    const at = (dish: string, words: RegExp) =>
      plan.activities.find((a) => cards[a.id]!.dish === dish && words.test(cards[a.id]!.text))!
    const strip = at('roast', /^Strip/)
    const bones = at('soup', /bones/)
    const chicken = at('pie', /chicken/)
    expect(bones.start).toBeGreaterThanOrEqual(strip.end)
    expect(chicken.start).toBeGreaterThanOrEqual(strip.end)
    expect(cards[chicken.id]!.uses.join()).toContain('cooked chicken, from the roast chicken')
  })
})
