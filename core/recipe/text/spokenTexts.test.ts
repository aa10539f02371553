import { expect, it, describe } from 'vitest'
import { readRecipeText } from './readText'
import { stepOf, waits } from './steps.fixture'

// Whole texts as they are spoken, with what is lifted out, poured back and thrown away in passing.

describe('a chowder', () => {
  const read = readRecipeText(`Smoky corn chowder

Serves 6 | freezes without the cream

For the soup
4 rashers smoked streaky bacon, snipped
30g butter
2 leeks (trimmed, washed and sliced)
2 sticks celery, finely chopped
500g floury potatoes, in 2cm cubes
1 litre chicken or veg stock
150ml double cream
To finish: chopped chives and hot sauce

1) Crisp up the bacon in a big pot over a medium heat, about 8 mins. Fish it out onto kitchen paper, leaving the fat behind.
2) Butter in with the leeks and celery and a pinch of salt. Lid on, sweat gently for 10.
3) Tip in the potatoes and stock. Bring to the boil, then simmer till the potatoes are soft - 12-15 mins.
4) Ladle a third of it into the blender, blitz smooth and pour back.
5) Kernels in for the last 5 minutes, then the cream. Don't let it boil again.
6) Bowl up, scatter with the bacon and chives. Keeps three days in the fridge.`)
  it('puts butter into the pot that the bacon came out of', () => {
    const add = stepOf(read.steps, 'add the butter')
    expect(add.uses).toEqual(['butter', 'leek', 'celery'])
    expect(add.equipment).toEqual(['pot'])
    expect(waits(read.steps)['lid on,']).toEqual(['add the'])
    expect(stepOf(read.steps, 'sweat').minutes).toEqual([10, 10])
  })
  it('cooks what goes in last, and serves the soup and not the bacon alone', () => {
    expect(stepOf(read.steps, 'kernels')).toMatchObject({ minutes: [5, 5], uses: ['cream'] })
    expect(waits(read.steps)['ladle into']).toEqual(
      expect.arrayContaining(['add kernels,', 'crisp up']),
    )
  })
})

describe('pulled pork', () => {
  const read = readRecipeText(`OVERNIGHT PULLED PORK WITH SLAW

What you need (feeds 8-10)
- 1 boned pork shoulder, 2.5kg, skin off
- 2 tbsp smoked paprika, 1 tbsp cumin, 1 tbsp brown sugar, 2 tsp salt (the rub)
- 2 onions, thickly sliced
- 200ml cider vinegar
- 100g ketchup
SLAW: half a white cabbage, 2 carrots, 1 red onion, 4 tbsp mayo, juice of a lemon
10 soft rolls

Night before: stir the rub together, massage it all over the pork. Put the onions in a large casserole, sit the pork on top, pour round 300ml water. Lid on and into the oven at 120C for 9-10 hours while you sleep.

In the morning the meat should fall apart. Lift it out onto a board, cover with foil and leave for half an hour. Meanwhile skim the fat off the juices, add vinegar and ketchup and boil hard on the hob until reduced by half, 15 minutes or so. Shred the pork with two forks, throwing away the fat. Stir through enough sauce to coat. Cool and chill - it'll keep 4 days.

For the slaw, shred the cabbage and onion, grate the carrots, toss with the mayo and lemon.

To serve, reheat the pork, covered, in a 180C oven for 25 mins until piping hot right through. Pile into rolls with slaw.`)
  const order = waits(read.steps)
  it('has what a line calls the rub, and no ingredient called off', () => {
    expect(read.ingredients.map((i) => i.item)).not.toContain('skin off')
    expect(stepOf(read.steps, 'massage').uses).toEqual(
      expect.arrayContaining(['shoulder', 'paprika', 'cumin', 'sugar', 'salt']),
    )
    expect(stepOf(read.steps, 'put the onions').do).toContain('sit the pork on top')
  })
  it('boils the juices down while the meat rests, and both meet', () => {
    expect(order['skim the']).toEqual(['lift it'])
    expect(order['shred the']).toEqual(['leave for'])
    expect(order['stir through']!.sort()).toEqual(['shred the', 'skim the'])
  })
  it('is piled into rolls once it is hot', () => {
    expect(order['pile into']).toEqual(expect.arrayContaining(['toss with', 'to serve,']))
  })
})

describe('dumplings in a sauce', () => {
  const read =
    readRecipeText(`Spinach and ricotta dumplings in tomato sauce (makes about 24, enough for 4)

600g fresh spinach
250g ricotta, drained
1 egg plus 1 yolk
80g parmesan, grated + extra
100g plain flour, plus plenty for rolling

Sauce:
2 tins plum tomatoes
3 garlic cloves
4 tbsp olive oil
handful basil

METHOD
Start with the sauce. Slice the garlic & warm it through in the oil until it just starts to colour, then tip in the tomatoes, crush with a spoon and let it blip away for 30 mins. Season, tear in the basil.
Wilt the spinach in a big pan with a splash of water, drain and leave till cool enough to handle. Squeeze out every last drop of water, then chop finely.
Beat the ricotta with the eggs, parmesan and flour, fold in the spinach. Chill for at least 30 minutes, up to a day.
With floury hands roll into walnut-sized balls.
Boil in salted water a dozen at a time until they float, 3-4 mins (6 from frozen). Scoop out with a slotted spoon into an oiled dish.
Spoon over the sauce, shower with more parmesan and grill for 5 mins until bubbling.`)
  const order = waits(read.steps)
  it('are for four, and two dozen', () => expect(read.serves).toBe(4))
  it('have a sauce that stays in its pot, and spinach in one of its own', () => {
    expect(stepOf(read.steps, 'warm it').equipment).toContain('pot')
    expect(stepOf(read.steps, 'crush').equipment).toEqual(['pot'])
    expect(order['wilt the']).toEqual([])
    expect(order['spoon over']).toEqual(expect.arrayContaining(['scoop out', 'season, add']))
  })
})
