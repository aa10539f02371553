import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { readRecipe } from './read'
import { named, onlyWhen, whenOf, withInstead } from './routes'

const soup = demoRecipes.find((r) => r.id === 'squash-soup')!
const pork = demoRecipes.find((r) => r.id === 'braised-pork')!

describe('another way with steps of its own', () => {
  it('is a choice between the step and a new one, for all that waits for it', () => {
    const { recipe, id } = withInstead(soup, 'simmer')
    expect(readRecipe(recipe).ok).toBe(true)
    expect(recipe.routes).toHaveLength(1)
    expect(recipe.routes[0]!.options.map((o) => o.steps)).toEqual([['simmer'], [id]])
    const waits = recipe.steps.filter((s) => s.after.some((a) => a.step === 'simmer'))
    expect(waits.length).toBeGreaterThan(0)
    for (const s of waits) expect(s.after.map((a) => a.step)).toContain(id)
    expect(recipe.steps.find((s) => s.id === id)!.after).toEqual(
      soup.steps.find((s) => s.id === 'simmer')!.after,
    )
  })

  it('joins a choice that is there already', () => {
    const { recipe, id } = withInstead(pork, 'braise')
    expect(recipe.routes).toHaveLength(pork.routes.length)
    expect(recipe.routes[0]!.options).toHaveLength(pork.routes[0]!.options.length + 1)
    expect(whenOf(recipe, id)!.route.id).toBe(pork.routes[0]!.id)
  })

  it('takes a further step in, lets it go again, and ends with its last step', () => {
    const made = withInstead(soup, 'simmer')
    const { route, option } = whenOf(made.recipe, made.id)!
    const when = { route: route.id, option: option.id }
    const more = onlyWhen(made.recipe, 'blend', when)
    expect(whenOf(more, 'blend')!.option.steps).toEqual([made.id, 'blend'])
    expect(
      named(more, route.id, option.id, 'in the slow cooker').routes[0]!.options[1]!.label,
    ).toBe('in the slow cooker')
    const always = ['blend', made.id, 'simmer'].reduce((r, id) => onlyWhen(r, id), more)
    expect(always.routes).toEqual([])
    expect(whenOf(always, 'blend')).toBeUndefined()
  })

  it('changes nothing for a step that is not there', () => {
    expect(withInstead(soup, 'nowhere').recipe).toBe(soup)
  })
})
