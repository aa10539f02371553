import { describe, expect, it } from 'vitest'
import { KEEPING, keepingOf } from './keeping'

describe('how long a dish keeps', () => {
  const days = (name: string, items: string[]) => {
    const { fridge, freezer, shelf } = keepingOf(name, items)
    return { fridge, freezer, shelf }
  }

  it('goes by what in it keeps shortest', () => {
    expect(days('Kedgeree', ['smoked haddock', 'basmati rice', 'eggs']).fridge).toBe(1)
    expect(days('Fish pie', ['haddock', 'eggs', 'potatoes']).fridge).toBe(2)
    expect(days('Fish and rice salad', ['tuna', 'rice']).fridge).toBe(1)
    expect(days('Sausage rolls', ['sausagemeat', 'puff pastry'])).toMatchObject({
      fridge: 3,
      shelf: 0,
    })
    expect(days('Pickled herring', ['herrings', 'vinegar']).fridge).toBe(2)
    expect(days('Pickled eggs', ['eggs', 'vinegar']).fridge).toBe(7)
    expect(days('Currant buns', ['flour', 'eggs', 'milk']).shelf).toBe(3)
    expect(days('Cottage pie', ['minced beef', 'potatoes']).fridge).toBe(3)
    expect(days('Lentil soup', ['red lentils', 'carrots']).fridge).toBe(3)
  })

  it('knows what only sounds like it', () => {
    expect(keepingOf('Noodle salad', ['rice noodles', 'rice vinegar']).kind).not.toBe('cooked rice')
    expect(keepingOf('Bread pudding', ['eggs', 'milk']).kind).toBe('cooked egg dishes')
    expect(keepingOf('Ratatouille', ['eggplant', 'courgettes']).kind).toBe(
      'cooked vegetables, pulses and soups',
    )
  })

  it('leaves nothing with meat, fish, egg or rice out of the cold, nor longer than guidance says', () => {
    for (const k of KEEPING.filter((x) => x.holds)) {
      expect(k.shelf).toBe(0)
      expect(k.fridge).toBeLessThanOrEqual(3)
    }
    expect(keepingOf('Anything', []).sources.shelf).toMatch(/belongs into the cold/)
    for (const place of ['fridge', 'freezer', 'shelf'] as const)
      expect(keepingOf('Leek tart', ['leeks', 'eggs']).sources[place]).not.toBe('')
  })

  it('says what does not freeze well', () => {
    expect(keepingOf('Green salad', ['lettuce']).freezer).toBe(0)
    expect(keepingOf('Green salad', ['lettuce']).sources.freezer).toMatch(/does not freeze well/)
  })
})
