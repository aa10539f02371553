import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { readHousehold, type Household } from './index'

const household = (): Household => ({
  format: 'cadrum/household@1',
  savedAt: '2027-03-20T08:00:00.000Z',
  kitchens: [demoKitchen],
  recipes: demoRecipes,
  sessions: [demoSession],
  plans: [],
  cooking: [],
  menus: [],
})
const refusal = (content: string) => {
  const reading = readHousehold(content)
  return reading.ok ? '' : reading.issues.map((i) => `${i.path}: ${i.message}`).join('\n')
}

describe('readHousehold', () => {
  it('gives back equal what went out', () => {
    expect(readHousehold(JSON.stringify(household()))).toEqual({ ok: true, value: household() })
  })

  it.each([
    ['a truncated file', JSON.stringify(household()).slice(0, 5000), /cut off or damaged/],
    ['a foreign file', '<html></html>', /no Cadrum file/],
    ['foreign JSON', '{"recipes": []}', /no Cadrum file/],
    ['null', 'null', /no Cadrum file/],
    ['another Cadrum file', '{"format":"cadrum/plan@1"}', /another kind \(cadrum\/plan@1\)/],
    ['an oversized file', ' '.repeat(50_000_001), /too large \(50 MB\)/],
    ['an unknown field', JSON.stringify({ ...household(), colour: 1 }), /^colour: unknown field/],
    [
      'a recipe twice',
      JSON.stringify({ ...household(), recipes: [demoRecipes[0], demoRecipes[0]] }),
      /recipes\[1\]\.id: "braised-pork" stands twice/,
    ],
  ])('refuses %s in words', (_, content, words) => {
    expect(refusal(content)).toMatch(words)
  })
})
