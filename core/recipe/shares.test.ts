import { describe, expect, it } from 'vitest'
import { sharesOf } from './shares'
import { dishTold } from './told.fixture'

const shares = (ingredients: string, method: string) => {
  const recipe = dishTold(ingredients, method)
  const all = sharesOf(recipe)
  return (words: string) => {
    const step = recipe.steps.find((s) => s.do.toLowerCase().includes(words))!
    return Object.fromEntries([...all.get(step.id)!].map(([k, v]) => [k, Math.round(v * 100)]))
  }
}

describe('the share of an ingredient that a step takes', () => {
  it('is what it states, and then what is left', () => {
    const of = shares(
      '300 g flour\n300 g yoghurt\n1 cucumber',
      'Mix the flour and 200 g of the yoghurt to a dough. Grate the cucumber and stir into the rest of the yoghurt.',
    )
    expect(of('mix the flour')).toEqual({ flour: 100, yoghurt: 67 })
    expect(of('stir into')).toMatchObject({ yoghurt: 33 })
  })

  it('is all of what is quartered, and a quarter of what is shared out', () => {
    const of = shares(
      '1 onion\n200 g butter\n500 g flour',
      'Quarter the onion. Rub a quarter of the butter into the flour. Fry the onion in the rest of the butter for 10 minutes.',
    )
    expect(of('quarter the onion')).toEqual({ onion: 100 })
    expect(of('rub a quarter')).toMatchObject({ butter: 25 })
  })

  it('is half, and the remaining half', () => {
    const of = shares(
      '60 g butter\n3 leeks\n60 g flour',
      'Sweat the leeks in half the butter for 10 minutes. Melt the remaining butter in a saucepan, stir in the flour and cook for 2 minutes.',
    )
    expect(of('sweat')).toMatchObject({ butter: 50 })
    expect(of('remaining butter')).toMatchObject({ butter: 50, flour: 100 })
  })

  it('tells spoons of millilitres', () => {
    const of = shares(
      '400 ml coconut milk\n200 g rice',
      'Heat 4 tbsp of the coconut milk in a wok for 3 minutes. Pour in the remaining coconut milk and simmer for 5 minutes. Boil the rice for 12 minutes.',
    )
    expect(of('4 tbsp')).toMatchObject({ milk: 15 })
    expect(of('remaining coconut')).toMatchObject({ milk: 85 })
  })

  it('is one lemon of two, and the other', () => {
    const of = shares(
      '8 chicken thighs\n2 lemons\n300 g rice',
      'Mix the juice of one lemon with the chicken. Roast the chicken at 200 °C for 45 minutes. Rinse the rice, put it in a pan with water and cook for 12 minutes. Slice the other lemon. Serve the chicken on the rice with the lemon.',
    )
    expect(of('juice of one')).toMatchObject({ lemon: 50 })
    expect(of('other lemon')).toEqual({ lemon: 50 })
    expect(of('serve')).toEqual({ thigh: 0, lemon: 0, rice: 0 })
  })

  it('is nothing of what is in the food already, though it is named again', () => {
    const of = shares(
      '500 g minced lamb\n1 onion',
      'Grate the onion. Mix the lamb and onion in a bowl. Shape the lamb into balls. Bake the lamb at 200 °C for 20 minutes.',
    )
    expect(of('grate')).toEqual({ onion: 100 })
    expect(of('mix')).toEqual({ lamb: 100, onion: 100 })
    expect(of('shape')).toEqual({ lamb: 0 })
  })
})
