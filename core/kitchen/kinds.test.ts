import { describe, expect, it } from 'vitest'
import { HOLDS_FOOD } from '../recipe'
import { isFilled, KINDS, oneOf } from './index'
import { kitchenSchema } from './schema'

describe('kinds of station', () => {
  it('are each a station that a kitchen may have, known by its kind', () => {
    for (const [name, { usual }] of Object.entries(KINDS)) {
      expect(usual.kind).toBe(name)
      const kitchen = {
        format: 'cadrum/kitchen@1',
        id: 'k',
        name: 'K',
        people: [{ id: 'me', name: 'Me', practice: 'practised', skills: ['knife'] }],
        stations: [usual],
        handWash: {},
      }
      expect(kitchenSchema.safeParse(kitchen).error?.issues ?? []).toEqual([])
    }
  })

  it('give a size exactly where they are measured by one, burners aside', () => {
    for (const [name, { size, counted, usual }] of Object.entries(KINDS)) {
      if (name !== 'burner') expect([name, usual.size !== undefined]).toEqual([name, !!size])
      if ((usual.capacity ?? 1) > 1) expect([name, !!counted]).toEqual([name, true])
    }
  })

  it('know of every vessel of a recipe that a kitchen can be given', () => {
    const vessels = Object.keys(KINDS).filter((k) => HOLDS_FOOD.has(k))
    expect(vessels).toEqual(
      expect.arrayContaining(['pot', 'frying-pan', 'tray', 'oven-dish', 'tin', 'bowl']),
    )
    expect(Object.keys(KINDS).filter(isFilled)).toEqual(['slow-cooker', 'pressure-cooker', 'pot'])
  })

  it('stand in only where there is another that does the same work', () => {
    for (const { instead } of Object.values(KINDS))
      for (const other of instead?.flatMap((s) => s.on) ?? []) expect(KINDS[other]).toBeDefined()
  })

  it('are said as one says them', () => {
    expect([oneOf('oven-dish'), oneOf('pot'), oneOf('waffle-iron')]).toEqual([
      'an oven dish',
      'a pot',
      'a waffle iron',
    ])
  })
})
