import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { readRecipeText } from '../recipe'
import { cautionsOf, graveCautions, HAZARDS } from './index'
import { withCautions } from './read'

/** What is told of a dish of these things, made in this way. */
const cautions = (list: string, method: string, name = 'A dish') => {
  const text = `${name}\nServes 4\n\nIngredients\n${list}\n\nMethod\n${method}`
  return withCautions({ read: readRecipeText(text) }, text).cautions
}
const hazards = (list: string, method: string, name?: string) =>
  cautions(list, method, name).map((c) => c.hazard)

describe('the table of hazards', () => {
  it.each<[string, string, string, string?]>([
    ['mince', '500 g beef mince', 'Shape into burgers. Fry for 10 minutes.'],
    ['mince', '500 g minced lamb', 'Shape into kofta. Grill for 10 minutes.'],
    ['mince', '8 merguez', 'Fry the merguez for 12 minutes.'],
    ['mince', '6 pork sausages', 'Bake the sausages at 200 °C for 25 minutes.'],
    [
      'mince',
      '800 g beef mince\n1 egg',
      'Mix the mince and egg. Bake the meat loaf at 180 °C for 1 hour.',
    ],
    ['mince', '500 g keema', 'Brown the keema for 10 minutes. Simmer for 15 minutes.'],
    ['poultry', '1 chicken', 'Roast the chicken at 200 °C for 90 minutes.'],
    ['poultry', '4 duck legs', 'Bake the duck legs at 180 °C for 1 hour.'],
    ['poultry', '500 g turkey mince', 'Shape into patties. Fry for 10 minutes.'],
    ['whole cut', '1 kg beef joint', 'Roast the beef at 180 °C for 1 hour.'],
    ['whole cut', '4 salmon fillets', 'Bake the salmon at 180 °C for 15 minutes.'],
    [
      'stuffing',
      '1 turkey\n200 g breadcrumbs',
      'Stuff the turkey with the breadcrumbs. Roast at 180 °C for 3 hours.',
    ],
    [
      'rinsing meat',
      '1 chicken',
      'Rinse the chicken under the tap. Roast at 200 °C for 90 minutes.',
    ],
    [
      'thawing out',
      '1 kg frozen chicken thighs',
      'Thaw the chicken on the counter overnight. Bake at 200 °C for 40 minutes.',
    ],
    [
      'frozen in slow cooker',
      '1 kg frozen chicken thighs\n500 ml stock',
      'Put the chicken and stock in the slow cooker. Cook on low for 8 hours.',
    ],
    [
      'half cooked',
      '1 kg beef steak',
      'Brown the beef for 5 minutes. Chill in the fridge overnight. Next day roast at 180 °C for 40 minutes.',
    ],
    [
      'kidney beans',
      '250 g dried red kidney beans',
      'Soak the beans overnight. Cook in the slow cooker on low for 8 hours.',
    ],
    [
      'kidney beans',
      '250 g rajma\n1 onion',
      'Soak the rajma overnight. Cook in the slow cooker on low for 8 hours.',
    ],
    ['rice', '300 g rice', 'Boil the rice for 12 minutes. Leave to cool. Pack into boxes.'],
    [
      'cooling',
      '1 kg beef\n1 l stock',
      'Simmer the beef in the stock for 2 hours. Leave to cool. Freeze.',
    ],
    [
      'left on the stove',
      '1 kg bones\n2 l water',
      'Simmer the bones in the water for 4 hours. Leave to cool on the stove overnight.',
    ],
    [
      'left on the stove',
      '1 kg beef\n2 l stock',
      'Simmer the beef in the stock for 2 hours. Let it stand at room temperature until the next day.',
    ],
    [
      'kept warm',
      '1 kg pork',
      'Roast the pork at 160 °C for 2 hours. Keep warm for 4 hours until needed.',
    ],
    [
      'reheating',
      '400 g rice',
      'Boil the rice for 12 minutes. Reheat in the microwave the next day.',
    ],
    [
      'garlic in oil',
      '2 heads garlic\n300 ml olive oil',
      'Simmer the garlic in the oil for 40 minutes. Put in a jar, cover with oil and store for a month.',
      'Garlic confit',
    ],
    [
      'jars in the cupboard',
      '1 kg beans\n500 g tomatoes',
      'Simmer the beans and tomatoes for 1 hour. Fill hot into jars, seal, and keep in the cupboard for a year.',
    ],
    [
      'raw egg',
      '3 egg yolks\n200 g chocolate',
      'Melt the chocolate for 5 minutes. Leave to cool. Whisk in the egg yolks. Chill for 4 hours.',
    ],
    [
      'raw flour',
      '200 g flour\n100 g butter\n100 g sugar',
      'Mix the flour, butter and sugar. Roll into balls. Chill for 1 hour.',
      'Edible cookie dough',
    ],
    [
      'marinade',
      '4 chicken thighs\n100 ml soy sauce',
      'Marinate the chicken in the soy sauce for 2 hours. Grill for 20 minutes. Pour the remaining marinade over the chicken to serve.',
    ],
    [
      'sprouts',
      '200 g bean sprouts\n1 carrot',
      'Grate the carrot. Toss the bean sprouts with the carrot.',
    ],
    [
      'smoked fish',
      '200 g smoked salmon\n200 g cream cheese',
      'Spread the cream cheese over the smoked salmon.',
    ],
    [
      'raw fish',
      '400 g sea bass\n3 limes',
      'Slice the fish. Marinate in the lime juice for 20 minutes.',
      'Ceviche with lime. Ceviche is eaten raw',
    ],
    [
      'very young',
      '2 carrots\n1 tsp honey',
      'Steam the carrots for 15 minutes. Blend with the honey until smooth for the baby.',
    ],
    [
      'pets',
      '1 kg bones\n1 onion',
      'Simmer the bones and onion for 3 hours. Give the scraps to the dog.',
    ],
    ['shellfish', '1 kg mussels', 'Steam the mussels for 5 minutes.'],
    [
      'deep frying',
      '1 l oil\n500 g potatoes',
      'Heat the oil to 180 °C. Fry the potatoes for 5 minutes.',
    ],
    ['pressure', '300 g chickpeas', 'Cook the chickpeas at high pressure for 40 minutes.'],
    [
      'hot in a blender',
      '1 kg pumpkin\n1 l stock',
      'Simmer the pumpkin in the stock for 20 minutes. Blend in a blender until smooth.',
    ],
    ['slicer', '1 kg potatoes', 'Slice the potatoes on a mandoline.'],
    [
      'hot sugar',
      '200 g sugar\n100 ml cream',
      'Melt the sugar for 8 minutes to an amber caramel. Whisk in the cream.',
    ],
  ])('tells of %s: %s', (hazard, list, method, name) => {
    expect(hazards(list, method, name)).toContain(hazard)
  })

  it.each<[string, string, string]>([
    [
      'a tin of kidney beans',
      '2 x 400 g tins kidney beans, drained\n1 onion',
      'Soften the onion for 8 minutes. Add the beans and simmer for 20 minutes.',
    ],
    [
      'a vegetable soup',
      '4 carrots\n1 onion\n1 l vegetable stock',
      'Chop the carrots and onion. Simmer in the stock for 20 minutes.',
    ],
    [
      'bread',
      '500 g flour\n7 g yeast\n350 ml water',
      'Mix the flour, yeast and water. Leave to rise at room temperature overnight. Bake at 220 °C for 40 minutes.',
    ],
    ['a salad', '1 lettuce\n2 tomatoes', 'Slice the tomatoes. Toss with the lettuce.'],
    [
      'garlic fried in oil',
      '2 cloves garlic\n2 tbsp oil\n300 g spaghetti',
      'Boil the spaghetti for 9 minutes. Fry the garlic in the oil for 1 minute. Toss together.',
    ],
    [
      'a cake with egg',
      '3 eggs\n200 g flour\n200 g sugar',
      'Whisk the eggs, flour and sugar. Bake at 180 °C for 40 minutes.',
    ],
    [
      'hands washed after chicken that was bought cooked',
      '400 g cooked chicken\n1 lettuce',
      'Toss the chicken with the lettuce. Wash your hands and the board after touching the chicken.',
    ],
    [
      'bacon by weight',
      '150 g cooked bacon\n2 leeks',
      'Fry 150 g of the bacon for 5 minutes. Add the leeks and soften for 8 minutes.',
    ],
    [
      'egg noodles',
      '200 g egg noodles\n1 carrot',
      'Boil the noodles for 4 minutes. Drain. Grate the carrot over.',
    ],
    [
      'flapjacks that keep in a tin',
      '250 g butter\n400 g oats\n150 g syrup',
      'Melt the butter for 5 minutes. Stir in the oats and syrup. Bake at 170 °C for 25 minutes. Cool in the tin for an hour.',
    ],
  ])('has nothing to say of %s', (_, list, method) => {
    expect(hazards(list, method).filter((h) => h !== 'raw meat')).toEqual([])
  })

  it('knows eggs that were cooked before they come on top, and a tin of fish', () => {
    const boiled =
      'Boil the eggs for 7 minutes. Peel and halve. Boil the rice for 12 minutes and drain. Top the rice with the eggs.'
    expect(hazards('4 eggs\n300 g rice', boiled)).not.toContain('raw egg')
    const salad = 'Mix the tuna with the mayonnaise.'
    expect(hazards('2 cans tuna\n200 g mayonnaise', salad)).not.toContain('raw meat')
    expect(hazards('400 g tuna\n200 g mayonnaise', salad)).toContain('raw meat')
  })

  it('is told where a hand first touches raw meat, though it only lays it down', () => {
    const told = cautions(
      '8 chicken thighs',
      'Lay the thighs in a roasting tin. Roast for 40 minutes at 200 °C.',
    )
    expect(told.find((c) => c.hazard === 'raw meat')!.step).toBe('lay')
  })

  it('says it of meat where it cooks longest, and of rice that is kept though no step says so', () => {
    const stew = cautions(
      '4 chicken thighs\n1 l stock',
      'Brown the chicken for 8 minutes. Add the stock, bring to the boil and simmer for 45 minutes.',
    )
    expect(stew.find((c) => c.hazard === 'poultry')!.step).toBe('simmer')
    // The bird is measured when it is roasted, and not when its bones have simmered for hours.
    const roast = cautions(
      '1 chicken\n1 onion',
      'Roast the chicken at 200 °C for 92 minutes. Carve. Strip the meat off the carcass. Put the bones in a pan with the onion and 2 litres of water and simmer for 2 hours. Strain.',
    )
    expect(roast.find((c) => c.hazard === 'poultry')!.step).toBe('roast')
    expect(
      hazards('300 g basmati rice', 'Boil the rice for 12 minutes. Keeps 3 days in the fridge.'),
    ).toContain('rice')
  })

  it('overrules what the text states too low, and says so at the step', () => {
    const [found] = cautions(
      '4 chicken thighs',
      'Fry the chicken for 12 minutes until it is 60 °C inside.',
    )
    expect(found).toMatchObject({ hazard: 'poultry', step: 'fry' })
    expect(found!.text).toContain('74 °C')
    expect(found!.text).toContain('The recipe says 60 °C: that is too little')
    expect(found!.source).toContain('local guidance comes first')
  })

  it('finds too low a figure where it is stated, if not where it cooks longest', () => {
    const found = cautions(
      '1 kg beef joint',
      'Roast the beef at 180 °C for 50 minutes. Grill the beef for 5 minutes until it is 50 °C inside.',
    ).find((c) => c.hazard === 'whole cut')!
    expect(found.step).toBe('roast')
    expect(found.text).toContain('The recipe says 50 °C')
  })

  it('takes a marinade that is poured over for what it is, and the rest of it for a sauce', () => {
    const marinade = (words: string) =>
      hazards('4 chicken thighs\n100 ml soy sauce', `Mix the soy sauce for the marinade. ${words}`)
    expect(
      marinade('Pour the marinade over the chicken and chill for 2 hours. Grill for 20 minutes.'),
    ).not.toContain('marinade')
    expect(
      marinade(
        'Chill the chicken in it for 2 hours. Grill for 20 minutes, baste with the marinade.',
      ),
    ).toContain('marinade')
  })

  it('asks of poultry mince what it asks of poultry, and no less', () => {
    const told = hazards('500 g turkey mince', 'Shape into patties. Fry for 10 minutes.')
    expect(told).not.toContain('mince')
  })

  it('fills a pressure cooker of beans no further than half', () => {
    const pressed = cautions(
      '300 g dried chickpeas\n1 l water',
      'Cook the chickpeas in the water at high pressure for 40 minutes.',
    )
    expect(pressed.find((c) => c.hazard === 'pressure')!.text).toContain('half')
  })

  it('leaves dough in a warm place alone', () => {
    const list = '500 g strong flour\n7 g dried yeast\n300 ml water'
    const method =
      'Mix the flour, yeast and water. Leave in a warm place until doubled, 1 to 1½ hours.'
    expect(hazards(list, method)).not.toContain('kept warm')
  })

  it('takes an egg around what is cooked for no raw flesh, and raw flesh among cooked things for raw', () => {
    const cakes = hazards(
      '400 g salmon fillet\n600 g potatoes\n1 egg\n100 g breadcrumbs\n2 tbsp oil',
      'Poach the salmon in simmering water for 10 minutes. Boil the potatoes for 15 minutes, drain and mash. Flake the salmon into the mash and shape into 8 cakes. Dip the cakes in the beaten egg, then the breadcrumbs. Fry in the oil for 4 minutes on each side. Cool and freeze for up to 2 months.',
      'Salmon fishcakes',
    )
    expect(cakes).not.toContain('half cooked')
    const chicken = hazards(
      '500 g chicken thighs\n2 onions\n2 tbsp oil\n1 lemon',
      'Marinate the chicken in the lemon juice for 1 hour. Slice the onions and soften in the oil for 15 minutes. Add the chicken to the onions and fry for 4 minutes. Cool and chill until the next day. Next day simmer for 30 minutes.',
      'Lemon chicken',
    )
    expect(chicken).toContain('half cooked')
  })

  it('finds nothing half cooked in the demo, whose patties are fried through', () => {
    expect(demoRecipes.flatMap((r) => cautionsOf(r)).map((c) => c.hazard)).not.toContain(
      'half cooked',
    )
  })

  it('names each hazard once, gives each its source, and every step that it names is there', () => {
    expect(new Set(HAZARDS.map((h) => h.id)).size).toBe(HAZARDS.length)
    for (const recipe of demoRecipes)
      for (const c of cautionsOf(recipe)) {
        expect(c.source.length).toBeGreaterThan(10)
        if (c.step !== undefined) expect(recipe.steps.map((s) => s.id)).toContain(c.step)
      }
  })
})

describe('what is said before the session begins', () => {
  it('is what can maim or kill, once, with its dishes, and only of steps that are made', () => {
    const all = graveCautions(demoRecipes)
    const pressure = all.find((c) => /pressure/i.test(c.text))!
    expect(pressure.dishes).toContain('Braised pork with apple and barley')
    expect(new Set(all.map((c) => c.text)).size).toBe(all.length)
    expect(all.length).toBeLessThan(demoRecipes.flatMap((r) => cautionsOf(r)).length)
    const other = graveCautions(demoRecipes, (recipe) => recipe !== 'braised-pork')
    const still = other.find((c) => /pressure/i.test(c.text))?.dishes ?? []
    expect(still).toEqual(pressure.dishes.filter((d) => d !== pressure.dishes[0]))
  })
})
