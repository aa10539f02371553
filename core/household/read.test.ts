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
  records: [],
  rhythms: [],
  stock: [],
  prices: [],
  preparing: [],
  packs: [],
  meals: [],
})
const run = { session: demoSession.id, startedAt: 1, done: [] }
const refusal = (content: string) => {
  const reading = readHousehold(content)
  return reading.ok ? '' : reading.issues.map((i) => `${i.path}: ${i.message}`).join('\n')
}

describe('readHousehold', () => {
  it('gives back equal what went out', () => {
    expect(readHousehold(JSON.stringify(household()))).toEqual({ ok: true, value: household() })
  })

  it.each<[string, string, RegExp]>([
    ['a truncated file', JSON.stringify(household()).slice(0, 5000), /cut off or damaged/],
    ['a foreign file', '<html></html>', /no Cadrum file/],
    ['foreign JSON', '{"recipes": []}', /no Cadrum file/],
    ['null', 'null', /no Cadrum file/],
    ['another Cadrum file', '{"format":"cadrum/plan@1"}', /another kind \(cadrum\/plan@1\)/],
    ['an oversized file', ' '.repeat(50_000_001), /too large \(50 MB\)/],
    ['an unknown field', JSON.stringify({ ...household(), colour: 1 }), /^colour: unknown field/],
    [
      'a plan twice',
      JSON.stringify({ ...household(), cooking: [run, run] }),
      /cooking\[1\]\.session/,
    ],
    ...(
      [
        ['a day that is none', 'start', '2027-99-99T09:00', /start: is not a date and time/],
        ['the 30th of February', 'start', '2027-02-30T09:00', /start: is not a date and time/],
        ['an hour that is none', 'start', '2027-03-20T25:00', /start: is not a date and time/],
        [
          'an evening that is none',
          'evenings',
          [{ day: '2027-13-01', time: 'long', eaters: 2 }],
          /evenings\[0\]\.day: is not a day/,
        ],
      ] as const
    ).map(
      ([name, field, value, words]) =>
        [
          name,
          JSON.stringify({ ...household(), sessions: [{ ...demoSession, [field]: value }] }),
          words,
        ] as [string, string, RegExp],
    ),
    ...(
      [
        ['a dish for nobody', { serves: 0 }, /serves: is too small/],
        ['a dish for a town', { serves: 5000 }, /serves: is too large/],
        [
          'more than a kitchen holds',
          { ingredients: demoRecipes[0]!.ingredients.map((x) => ({ ...x, amount: 1e9 })) },
          /ingredients\[0\]\.amount: is too large/,
        ],
        [
          'an ingredient twice',
          { ingredients: [demoRecipes[0]!.ingredients[0], ...demoRecipes[0]!.ingredients] },
          /ingredients\[1\]\.id: ".*" stands twice/,
        ],
      ] as const
    ).map(
      ([name, change, words]) =>
        [
          name,
          JSON.stringify({ ...household(), recipes: [{ ...demoRecipes[0], ...change }] }),
          words,
        ] as [string, string, RegExp],
    ),
    [
      'a station twice',
      JSON.stringify({
        ...household(),
        kitchens: [
          { ...demoKitchen, stations: [...demoKitchen.stations, demoKitchen.stations[0]] },
        ],
      }),
      /kitchens\[0\]\.stations\[\d+\]\.id: .* stands twice/,
    ],
    [
      'a recipe twice',
      JSON.stringify({ ...household(), recipes: [demoRecipes[0], demoRecipes[0]] }),
      /recipes\[1\]\.id: "braised-pork" stands twice/,
    ],
  ])('refuses %s in words', (_, content, words) => {
    expect(refusal(content)).toMatch(words)
  })
})
