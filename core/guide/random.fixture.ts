import fc from 'fast-check'
import { kitchenSchema, READY_KITCHENS, type Kitchen } from '../kitchen'
import { recipeSchema, type Recipe, type WorkKind } from '../recipe'
import { sessionSchema, type Session } from '../session'

/** Work of a random recipe, with the places it may want. */
const WORKS: [WorkKind, string[][]][] = [
  ['cut', [['board']]],
  ['mix', [['bowl'], []]],
  ['season', [['board'], []]],
  ['brown', [['burner', 'frying-pan']]],
  [
    'soften',
    [
      ['burner', 'frying-pan'],
      ['burner', 'pot'],
    ],
  ],
  ['boil', [['burner', 'pot']]],
  ['simmer', [['burner', 'pot'], ['burner']]],
  [
    'bake',
    [
      ['oven', 'oven-dish'],
      ['oven', 'tray'],
    ],
  ],
  ['drain', [[]]],
  ['rest', [[]]],
  ['cool', [[]]],
  ['chill', [[]]],
  ['assemble', [[], ['oven-dish']]],
]

const stepArbitrary = fc.record({
  work: fc.nat(WORKS.length - 1),
  place: fc.nat(1),
  minutes: fc.integer({ min: 2, max: 25 }),
  before: fc.array(fc.nat(5), { maxLength: 2 }),
  orderOnly: fc.boolean(),
  panfuls: fc.boolean(),
  most: fc.option(fc.integer({ min: 5, max: 90 }), { nil: undefined }),
})

/** A recipe of a few steps in any order of work, each waiting for earlier ones. */
const recipeArbitrary = (k: number) =>
  fc.array(stepArbitrary, { minLength: 2, maxLength: 6 }).map((drafts): Recipe => {
    const id = `dish-${k}`
    return recipeSchema.parse({
      format: 'cadrum/recipe@1',
      id,
      name: `Dish ${k}`,
      mark: `D${'abcdef'[k]}`,
      serves: 4,
      ingredients: [{ id: 'meat', item: 'diced beef', amount: 600, unit: 'g' }],
      steps: drafts.map((d, i) => {
        const [work, places] = WORKS[d.work]!
        const on = places[d.place % places.length]!
        const before = [...new Set(d.before.filter((b) => b < i))]
        // What comes after the first step always waits for something.
        const waits = before.length || i === 0 ? before : [i - 1]
        return {
          id: `s${i}`,
          do: `${work} ${i}`,
          work,
          ways: [
            {
              id: 'way',
              minutes: [d.minutes, d.minutes, d.minutes + 10],
              on: on.map((kind) => ({ kind })),
              ...(work === 'bake' ? { heat: { celsius: [180, 190] } } : {}),
            },
          ],
          uses: i === 0 ? ['meat'] : [],
          ...(work === 'brown' && d.panfuls ? { panfuls: { pieces: 20, per28: 8 } } : {}),
          after: waits.map((b, n) => ({
            step: `s${b}`,
            ...(d.orderOnly && n > 0 ? { food: false as const } : {}),
            ...(d.most === undefined ? {} : { most: d.most }),
          })),
        }
      }),
    })
  })

export interface Cooking {
  kitchen: Kitchen
  recipes: Recipe[]
  session: Session
}

/** A kitchen with one cook or two, one of whom may lack the skill for raw food, and a few recipes. */
export const cookingArbitrary: fc.Arbitrary<Cooking> = fc
  .record({
    kitchen: fc.nat(READY_KITCHENS.length - 1),
    learner: fc.boolean(),
    recipes: fc.tuple(recipeArbitrary(0), recipeArbitrary(1), recipeArbitrary(2)),
    count: fc.integer({ min: 1, max: 3 }),
  })
  .map(({ kitchen, learner, recipes, count }): Cooking => {
    const base = READY_KITCHENS[kitchen]!.kitchen
    const people = [
      ...base.people,
      ...(learner
        ? [
            {
              id: 'li',
              name: 'Li',
              practice: 'learning' as const,
              skills: ['knife' as const, 'heat' as const, 'simple' as const],
            },
          ]
        : []),
    ]
    const made = kitchenSchema.parse({ ...base, people })
    const own = recipes.slice(0, count)
    return {
      kitchen: made,
      recipes: own,
      session: sessionSchema.parse({
        format: 'cadrum/session@1',
        id: 'random',
        name: 'Random',
        kitchen: made.id,
        cooks: made.people.map((p) => p.id),
        start: '2027-03-20T09:00',
        dishes: own.map((r) => ({ recipe: r.id, batches: 1 })),
      }),
    }
  })
