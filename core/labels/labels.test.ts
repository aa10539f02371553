import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { plannable, readRecipeText, recipeSchema } from '../recipe'
import { cookingsOf, keepsIn, type Session } from '../session'
import { labelLines, labelsOf, packsInto } from './labels'

const held = { kitchen: demoKitchen, recipes: demoRecipes }
const labels = (session: Session, recipes = demoRecipes) => {
  const { assignment } = cookingsOf({ session, kitchen: demoKitchen, recipes })
  return labelsOf({ session, ...held, recipes, ...(assignment ? { assignment } : {}) })
}
const alone = (dish: Session['dishes'][number], eaters = 3): Session => ({
  ...demoSession,
  sittings: undefined,
  evenings: ['2027-03-20', '2027-03-21', '2027-03-24'].map((day) => ({
    day,
    time: 'short' as const,
    eaters,
  })),
  dishes: [dish],
})

describe('labels before the cooking', () => {
  it('are one for each evening, and for the rest as many as usually eat', () => {
    const made = labels(alone({ recipe: 'braised-pork', batches: 1.5, on: ['2027-03-24'] }))
    expect(made.map((l) => [l.portions, l.on, l.place])).toEqual([
      [3, '2027-03-24', 'freezer'],
      [3, undefined, 'freezer'],
      [3, undefined, 'freezer'],
    ])
  })

  it('put what is eaten at once into the fridge, and what is eaten from the stove into nothing', () => {
    const soon = labels(alone({ recipe: 'braised-pork', batches: 1, on: ['2027-03-21'] }))
    expect(soon.map((l) => l.place)).toEqual(['fridge', 'freezer'])
    const tonight = labels({
      ...alone({ recipe: 'braised-pork', batches: 1, to: 'tonight', on: ['2027-03-20'] }),
      start: '2027-03-20T16:00',
    })
    expect(tonight.map((l) => [l.portions, l.place])).toEqual([[3, 'fridge']])
  })

  it('hold every portion that is made, whatever the menu', () => {
    const recipe = fc.constantFrom(...demoRecipes.filter((r) => !r.base))
    const dish = fc.record({
      recipe,
      halves: fc.integer({ min: 1, max: 8 }),
      on: fc.subarray(['2027-03-21', '2027-03-24']),
      to: fc.constantFrom('fridge' as const, 'freezer' as const, undefined),
    })
    fc.assert(
      fc.property(dish, fc.integer({ min: 1, max: 6 }), (d, eaters) => {
        const session = alone(
          {
            recipe: d.recipe.id,
            batches: d.halves / 2,
            on: d.on,
            ...(d.to ? { to: d.to } : {}),
          },
          eaters,
        )
        const made = labels(session)
        expect(made.reduce((n, l) => n + l.portions, 0)).toBe(
          Math.max(1, Math.round((d.recipe.serves * d.halves) / 2)),
        )
        const byId = new Map(demoRecipes.map((r) => [r.id, r]))
        for (const l of made) {
          expect(l.portions).toBeGreaterThan(0)
          const kept = (Date.parse(l.eatBy) - Date.parse(l.cooked)) / 86_400_000
          expect(kept).toBe(keepsIn(d.recipe, l.place, byId).days)
        }
        const { fridge, freezer, shelf } = packsInto(made)
        expect(fridge + freezer + shelf).toBe(made.length)
      }),
      { numRuns: 100 },
    )
  })

  it('count from the oldest part that was cooked, and not from toasted spices', () => {
    const made = labels(demoSession)
    const chickpeas = made.filter((l) => l.dish === 'spiced-chickpeas')
    expect(new Set(chickpeas.map((l) => l.cooked))).toEqual(new Set(['2027-03-20']))
    // What was boiled on Friday makes the dish as old.
    const friday: Session = {
      ...demoSession,
      dishes: [
        { recipe: 'beetroot-eggs', batches: 1, fixed: [{ step: 'brine', sitting: 'friday' }] },
      ],
    }
    expect(labels(friday)[0]!.cooked).toBe('2027-03-19')
  })

  it('say how it is made ready, hot all through, and what goes in only then', () => {
    const [bake] = labels(alone({ recipe: 'bean-bake', batches: 1 }))
    expect(bake!.finish).toEqual(['Oven 180 °C, covered, 25 min', '74 °C in the middle'])
    const recipes = demoRecipes.map((r) =>
      r.id === 'squash-soup'
        ? {
            ...r,
            ingredients: [
              ...r.ingredients,
              { id: 'pasta', item: 'small pasta', amount: 300, unit: 'g' as const },
            ],
            steps: [
              ...r.steps,
              {
                ...r.steps[0]!,
                id: 'serve',
                do: 'To serve, boil the pasta',
                work: 'boil' as const,
                ways: [
                  { ...r.steps[0]!.ways[0]!, minutes: [8, 10, 12] as [number, number, number] },
                ],
                uses: ['pasta'],
                after: [{ step: 'pack' }],
              },
            ],
          }
        : r,
    )
    const [soup] = labels(alone({ recipe: 'squash-soup', batches: 1 }), recipes)
    expect(soup!.add).toEqual([
      'To serve, boil the pasta (150 g small pasta), 10 min before the end',
    ])
    expect(soup!.contains).toContain('gluten')
  })

  it('let nothing go in twice that is dished up with what was cooked', () => {
    const lamb = recipeSchema.parse(
      plannable(
        readRecipeText(
          'Spiced lamb\n\nServes 3\n\n500 g lamb mince\n1 tin (400 g) tomatoes\n200 g yoghurt\n\nBrown the lamb mince for 8 minutes. Add the tomatoes and simmer for 25 minutes. Keeps 3 days in the fridge. To serve, spoon the lamb onto plates and top with the yoghurt.',
        ),
        'lamb',
        'Sl',
      ),
    )
    const [label] = labels(alone({ recipe: 'lamb', batches: 1 }), [lamb])
    expect(label!.add.join()).toContain('200 g yoghurt')
    expect(label!.add.join()).not.toContain('mince')
  })

  it('name what is in the bases of a dish', () => {
    const recipes = demoRecipes.map((r) =>
      r.id === 'soft-onions'
        ? {
            ...r,
            ingredients: [
              ...r.ingredients,
              { id: 'butter', item: 'butter', amount: 20, unit: 'g' as const },
            ],
          }
        : r,
    )
    const [pork] = labels(alone({ recipe: 'braised-pork', batches: 1 }), recipes)
    expect(pork!.contains).toContain('milk')
  })

  it('are short lines with all that must be on them', () => {
    const [pork] = labels(demoSession)
    const lines = labelLines(pork!, (iso) => iso)
    expect(lines[0]).toBe('Pk  Braised pork with apple and barley')
    expect(lines.join('\n')).toMatch(/3 portions · freezer\ncooked 2027-03-20 · eat by 2027-06-18/)
    for (const line of lines) expect(line.length).toBeLessThanOrEqual(60)
  })
})
