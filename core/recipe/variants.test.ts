import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { withoutStep } from './edit'
import { readRecipe } from './read'
import { readKinds } from './variants'

describe('kinds', () => {
  it.each([
    ['smoky, lemon', [0.5, 0.5]],
    ['mild 1/4, smoky, lemon', [0.25, 0.375, 0.375]],
    ['for the children ⅓, hot', [0.3333, 0.6667]],
    ['plain 40 %, herbs 60%', [0.4, 0.6]],
  ])('are read from %j', (text, shares) => {
    const reading = readKinds(text)
    expect(reading.ok && reading.value.map((k) => k.share)).toEqual(shares)
    expect(reading.ok && reading.value.every((k) => !/\d/.test(k.name))).toBe(true)
  })

  it.each([
    'one',
    '',
    'a, b, c, d, e, f, g',
    'a 3/4, b 3/4',
    'a 50 %, b 20 %',
    'a 1/1, b',
    'a 0/4, b',
  ])('are refused as %j, with what is allowed', (text) => {
    const reading = readKinds(text)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.issues[0]!.allowed).not.toBe('')
  })

  it('belong to a step that is there, and go with it', () => {
    const soup = demoRecipes.find((r) => r.id === 'squash-soup')!
    const kinds = [
      { name: 'mild', share: 0.5 },
      { name: 'hot', share: 0.5 },
    ]
    const step = soup.steps.find((s) => s.work === 'pack')!.id
    const split = { ...soup, variants: { step, kinds } }
    expect(readRecipe(split).ok).toBe(true)
    expect(withoutStep(split, step).variants).toBeUndefined()
    expect(withoutStep(split, soup.steps[0]!.id).variants).toEqual(split.variants)
    expect(readRecipe({ ...soup, variants: { step: 'none', kinds } }).ok).toBe(false)
    const simmered = readRecipe({ ...soup, variants: { step: 'simmer', kinds } })
    expect(!simmered.ok && simmered.issues[0]!.allowed).toContain('a step that hands do')
    const odd = { step, kinds: [kinds[0]!, { name: 'hot', share: 0.1 }] }
    expect(readRecipe({ ...soup, variants: odd }).ok).toBe(false)
  })
})
