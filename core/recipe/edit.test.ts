import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { mayWaitFor, stripOf, timesOf, waitsFor, withNewStep, withoutStep, withStep } from './edit'
import { readRecipe } from './read'
import { indexOf, search } from './search'

const pie = demoRecipes.find((r) => r.id === 'fish-pie')!
const anyStep = fc
  .constantFrom(...demoRecipes)
  .chain((r) => fc.constantFrom(...r.steps.map((s) => [r, s.id] as const)))

describe('editing a recipe', () => {
  it('keeps it sound whichever step is taken out or put in', () => {
    fc.assert(
      fc.property(anyStep, ([recipe, id]) => {
        const less = withoutStep(recipe, id)
        expect(readRecipe(less).ok).toBe(true)
        expect(less.steps).toHaveLength(recipe.steps.length - 1)
        const more = withNewStep(recipe, id)
        expect(readRecipe(more.recipe).ok).toBe(true)
        expect(waitsFor(more.recipe, more.id)).toContain(id)
      }),
    )
  })

  it('passes waits on when a step goes', () => {
    const less = withoutStep(pie, 'mash')
    expect(less.steps.find((s) => s.id === 'build')!.after.map((a) => a.step)).toEqual([
      'flake',
      'sauce',
      'boil',
    ])
    expect(withoutStep(pie, 'nothing')).toBe(pie)
  })

  it('offers only waits that make no circle', () => {
    fc.assert(
      fc.property(anyStep, ([recipe, id]) => {
        for (const other of mayWaitFor(recipe, id)) {
          const changed = withStep(recipe, id, (s) => ({
            ...s,
            after: [...s.after, { step: other.id }],
          }))
          expect(readRecipe(changed).ok).toBe(true)
        }
      }),
    )
    expect(mayWaitFor(pie, 'peel').map((s) => s.id)).not.toContain('boil')
  })

  it('lays the steps out in lanes that never share a step', () => {
    for (const recipe of demoRecipes) {
      const { rows, lanes } = stripOf(recipe)
      expect(rows.map((r) => r.id)).toEqual(recipe.steps.map((s) => s.id))
      for (const r of rows) {
        expect(r.lane).toBeLessThan(lanes)
        for (const f of r.from) {
          expect(f.row).toBeLessThan(rows.indexOf(r))
          // A lane that is waited for is nobody else's until then.
          const between = rows.slice(f.row + 1, rows.indexOf(r)).filter((b) => b.lane === f.lane)
          expect(between.every((b) => b.from.some((x) => x.lane === f.lane))).toBe(true)
        }
      }
    }
    expect(stripOf(pie).lanes).toBeGreaterThan(1)
  })

  it('adds up the longest chain, and the hands', () => {
    const { hands, whole } = timesOf(pie)
    expect(whole).toBe(7 + 20 + 5 + 5 + 32 + 35 + 5)
    expect(hands).toBeGreaterThan(30)
  })
})

describe('search', () => {
  const index = indexOf(demoRecipes)
  const names = (wanted: Parameters<typeof search>[1]) => search(index, wanted).map((r) => r.id)

  it('finds by name, ingredient and step, accents and case aside, names first', () => {
    expect(names({ words: 'PIE' })[0]).toBe('fish-pie')
    expect(names({ words: 'leek potato' })).toEqual(['fish-pie'])
    expect(names({ words: 'xyz' })).toEqual([])
    expect(names({ words: '' })).toHaveLength(demoRecipes.length)
  })

  it('narrows by equipment and time', () => {
    for (const id of names({ words: '', equipment: 'oven' }))
      expect(JSON.stringify(demoRecipes.find((r) => r.id === id))).toContain('"oven"')
    const quick = names({ words: '', within: 70 })
    expect(quick.length).toBeGreaterThan(0)
    expect(quick.length).toBeLessThan(demoRecipes.length)
  })

  it('narrows by what it is mostly of, and by what must not be in it', () => {
    const pork = index.find((e) => e.recipe.id === 'braised-pork')!.main!
    expect(names({ words: '', main: pork })).toEqual(['braised-pork'])
    const without = names({ words: '', without: 'milk' })
    expect(without).not.toContain('fish-pie')
    expect(without).toContain('braised-pork')
  })
})
