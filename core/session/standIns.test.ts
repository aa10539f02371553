import { describe, expect, it } from 'vitest'
import { kitchenSchema, READY_KITCHENS } from '../kitchen'
import { recipeTold } from '../recipe/told.fixture'
import { withStandIns } from './standIns'

/** One oven, four burners, and no machines. */
const plain = kitchenSchema.parse(READY_KITCHENS[0]!.kitchen)
const told = (method: string) =>
  recipeTold(`Dish\nServes 4\n\n500 g flour\n250 g mushrooms\n\n${method}`, 'dish', 'Di')
const stepIn = (method: string, words: RegExp) => {
  const recipe = told(method)
  const find = (r: typeof recipe) => r.steps.find((s) => words.test(s.do))!
  return { asked: find(recipe), done: find(withStandIns(recipe, plain)) }
}
const kindsOf = (step: { ways: { on: { kind: string }[] }[] }) =>
  step.ways[0]!.on.map((o) => o.kind)

describe('a kitchen without machines', () => {
  it('beats by hand, and takes longer', () => {
    const { asked, done } = stepIn('Beat the flour in a mixer for 10 minutes.', /^Beat/)
    expect(kindsOf(asked)).toContain('mixer')
    expect(kindsOf(done)).toEqual(['bowl'])
    expect(done.do).toContain('by hand in a bowl, for want of a mixer')
    expect(done.ways[0]!.minutes[1]).toBe(1.5 * asked.ways[0]!.minutes[1])
  })
  it('chops with a knife what a processor would', () => {
    const { done } = stepIn('Pulse the mushrooms in a food processor till fine.', /^Pulse/)
    expect(kindsOf(done)).toEqual(['board'])
    expect(done.do).toContain('chopped finely by hand')
  })
  it('warms bread in a dry pan, and other things in a pot, for want of a microwave', () => {
    const bread = stepIn('Warm the flatbreads for 1 minute in the microwave.', /^Warm/).done
    const other = stepIn('Warm the mushrooms for 1 minute in the microwave.', /^Warm/).done
    expect(kindsOf(bread)).toEqual(['frying-pan', 'burner'])
    expect(kindsOf(other)).toEqual(['pot', 'burner'])
    expect(bread.do).toContain('in a dry pan')
  })
  it('leaves a step that it can do as it stands', () => {
    const { asked, done } = stepIn('Chop the mushrooms finely with a sharp knife.', /^Chop/)
    expect(done).toEqual(asked)
  })
})
