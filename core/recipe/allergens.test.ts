import { describe, expect, it } from 'vitest'
import { allergensIn, allergensOf } from './allergens'

const HOLDS: Record<string, string> = {
  gluten:
    'plain flour, bread flour, self-raising flour, wholemeal flour, breadcrumbs, panko, white bread, sourdough, naan, pitta, chapatis, wheat tortillas, filo pastry, puff pastry, shortcrust pastry, spaghetti, penne, macaroni, lasagne sheets, egg noodles, udon, ramen, couscous, bulgur, pearl barley, rye bread, rolled oats, granola, semolina, spelt, digestive biscuits, cream crackers, soy sauce, teriyaki sauce, hoisin sauce, beer, stout, lager, seitan, malt vinegar, brioche buns, burger buns, wonton wrappers, pizza dough, croutons, bagels, freekeh, orzo, gnocchi',
  milk: 'whole milk, butter, buttermilk, double cream, sour cream, cheddar, parmesan, mozzarella, feta, ricotta, greek yoghurt, ghee, mascarpone, halloumi, crème fraîche, paneer, labneh, kefir, quark, skyr, brie, gruyère, stilton, goat’s cheese, cottage cheese, custard, vanilla ice cream, milk chocolate, white chocolate, basil pesto, tzatziki, raita, condensed milk, dulce de leche, brioche, milk powder',
  egg: 'eggs, egg yolks, egg whites, mayonnaise, aioli, meringue, hollandaise, egg noodles, tartare sauce, brioche, lemon curd, quail eggs',
  fish: 'cod, haddock fillets, smoked salmon, trout, mackerel, tuna in oil, anchovies, sea bass, bream, halibut, plaice, monkfish, whitebait, kippers, fish sauce, worcestershire sauce, dashi, bonito flakes, taramasalata, fish stock, crab sticks, sardines',
  shellfish:
    'prawns, king prawns, shrimps, crab, lobster, crayfish, langoustines, scampi, shrimp paste, prawn crackers',
  molluscs:
    'mussels, clams, squid, calamari, scallops, oysters, oyster sauce, octopus, cockles, snails',
  nuts: 'ground almonds, walnuts, hazelnuts, pecans, cashews, pistachios, brazil nuts, macadamias, mixed nuts, marzipan, frangipane, praline, nougat, amaretti, almond milk, almond butter, nut butter, almond flour',
  peanut: 'peanuts, peanut butter, satay sauce, groundnut oil, monkey nuts',
  sesame: 'sesame seeds, sesame oil, tahini, hummus, halva, za’atar, dukkah',
  soya: 'soy sauce, soya milk, tofu, tempeh, white miso, edamame, tamari, teriyaki sauce, hoisin sauce',
  celery: 'celery, celeriac, celery salt',
  mustard: 'dijon mustard, mustard seeds, wholegrain mustard, piccalilli',
  sulphites:
    'red wine, white wine, cider, sherry, port, marsala, wine vinegar, balsamic vinegar, dried apricots, prosecco',
  lupin: 'lupin flour',
}
const list = (items: string) => items.split(', ')

describe('allergens by ingredient', () => {
  it.each(
    Object.entries(HOLDS).flatMap(([name, items]) =>
      list(items).map((item) => [item.replace('’', "'"), name] as const),
    ),
  )('%s holds %s', (item, name) => {
    expect(allergensIn([item])).toContain(name)
  })

  it.each(
    list(
      'carrots, onions, garlic, potatoes, rice, basmati rice, rice noodles, cornflour, rice flour, buckwheat flour, chickpeas, red lentils, butter beans, butternut squash, coconut milk, coconut cream, cream of tartar, olive oil, salt, black pepper, tomatoes, spinach, aubergine, eggplant, beef, chicken thighs, pork shoulder, lamb mince, apples, bananas, lemons, honey, sugar, cumin, paprika, nutmeg, pine nuts, chestnuts, water chestnuts, coconut, corn tortillas, polenta, quinoa, oyster mushrooms, sunflower oil, parsley, thyme, ginger, chillies, peas, green beans, courgettes, mushrooms, cabbage, kale, leeks, sweet potatoes, pumpkin, maple syrup, yeast, bay leaves, fennel, beetroot, crab apples, mustard greens, redcurrants, ginger beer, rice paper wrappers, lettuce wraps, gluten-free flour',
    ),
  )('%s holds none of them', (item) => {
    expect(allergensIn([item])).toEqual([])
  })

  it.each([
    ['peanut butter', 'milk'],
    ['almond butter', 'milk'],
    ['oat milk', 'milk'],
    ['vegan mayonnaise', 'egg'],
    ['coconut yoghurt', 'milk'],
    ['cashew cream', 'milk'],
    ['gluten-free bread', 'gluten'],
  ])('%s holds no %s', (item, name) => {
    expect(allergensIn([item])).not.toContain(name)
  })

  it('leaves to the pack what one make has and another has not', () => {
    const { contains, varies } = allergensOf(['pork sausages', 'dark chocolate', 'carrots'])
    expect(contains).toEqual([])
    expect(varies.find((v) => v.name === 'gluten')).toEqual({
      name: 'gluten',
      items: ['pork sausages', 'dark chocolate'],
    })
    expect(varies.map((v) => v.name)).toEqual(expect.arrayContaining(['milk', 'nuts', 'sulphites']))
  })
})
