import type { Sample } from './corpus.fixture'

/** More made-up texts, written after the rules were, to see how these do on what is new to them. */
export const MORE: Sample[] = [
  {
    text: `Mushroom barley risotto
Serves 3

20 g dried mushrooms
1 shallot
200 g pearl barley
800 ml hot stock
30 g butter

Soak the dried mushrooms in boiling water for 20 minutes. Finely chop the shallot and sweat it in half the butter in a wide saucepan for 5 minutes. Stir in the barley and toast for 2 minutes. Add the stock and simmer, stirring from time to time, for 35 to 40 minutes. Drain and chop the mushrooms, stir them in and cook for 5 minutes more.`,
    steps: `soak | 20 | - |
cut | - | - | board
soften | 5 | - | burner pot
fry | 2 | - | burner pot
simmer | 35-40 | - | burner pot
drain | - | - | colander
cut | - | - | board
simmer | 5 | - | burner pot`,
  },
  {
    text: `Banana loaf

Ingredients
3 ripe bananas
2 eggs
100ml oil
150g brown sugar
225g self-raising flour

Method
Preheat your oven to 180C (160C fan).
Mash the bananas in a large bowl. Beat in the eggs, oil and sugar, then fold in the flour.
Scrape into a lined loaf tin and bake for 55 minutes - 1 hour.
Leave in the tin for 15 minutes, then turn out and cool on a rack.`,
    steps: `heat | - | 180 | oven
mix | - | - | bowl
mix | - | - | bowl
assemble | - | - | tin
bake | 55-60 | 180 | oven tin
rest | 15 | - | tin
cool | - | - | rack`,
  },
  {
    text: `Lamb shanks, long and slow

4 lamb shanks
2 onions, sliced
500ml red wine
500ml stock

Season the shanks. Sear them in a heavy casserole over a high heat for 10 minutes, turning, until dark. Lift them out. Lower the heat, add the onions and cook for 12 minutes until soft. Pour in the wine and reduce by half. Add the stock, return the shanks, cover with a lid and braise in the oven at 150°C for 3 hours or until the meat falls from the bone.`,
    steps: `season | - | - |
brown | 10 | - | burner pot
soften | 12 | - | burner pot
simmer | - | - | burner pot
bake | 180 | 150 | oven pot`,
  },
  {
    text: `Crispy tofu noodles - serves 2

1. Cook 150g noodles in boiling water for 4 mins, drain and rinse under cold water.
2. Meanwhile, cube 280g tofu and toss in 2 tbsp cornflour.
3. Heat 3 tbsp oil in a wok and fry the tofu for 6-8 mins until golden on all sides. Scoop out.
4. Stir-fry 1 sliced pepper and 100g beansprouts for 3 mins.
5. Add the noodles and tofu, pour over 3 tbsp soy sauce and toss for 1 min. Serve straight away.`,
    steps: `boil | 4 | - | burner pot
drain | - | - | colander
cut | - | - | board
mix | - | - | bowl
fry | 6-8 | - | burner frying-pan
fry | 3 | - | burner frying-pan
mix | 1 | - | frying-pan
assemble | - | - |`,
  },
  {
    text: `SLOW-COOKER OXTAIL

Flour and season 1.5 kg oxtail. Brown in batches in a frying pan, around 8 minutes per batch. Meanwhile chop 2 carrots and 1 leek. Put everything in the slow cooker with 700ml beef stock. Cover. LOW for 9 hours. Skim off the fat. Shred the meat.`,
    steps: `season | - | - |
brown | 8 | - | burner frying-pan
cut | - | - | board
assemble | - | - | slow-cooker
slow | 540 | - | slow-cooker
cut | - | - | board`,
  },
  {
    text: `Cheese sauce
Melt 50g butter in a small pan, add 50g flour and cook for two minutes. Take off the heat and gradually whisk in 600ml milk. Return to the heat and simmer for five minutes, stirring all the time. Stir in 100g grated cheddar.`,
    steps: `fry | 2 | - | burner pot
mix | - | - | pot
simmer | 5 | - | burner pot
mix | - | - | pot`,
  },
  {
    text: `Stuffed squash

2 small squash
150g quinoa
1 onion, chopped
50g walnuts

Halve the squash and scoop out the seeds. Place cut side up on a baking tray, brush with oil and roast at 200°C for 40 minutes. While they roast, simmer the quinoa in 350ml water for 15 minutes, then stand off the heat for 5 minutes. Fry the onion in a little oil for 7 minutes. Chop the walnuts and mix with the quinoa and onion. Fill the squash and return to the oven for a final 10 minutes.`,
    steps: `cut | - | - | board
assemble | - | - | tray
bake | 40 | 200 | oven tray
simmer | 15 | - | burner pot
rest | 5 | - |
fry | 7 | - | burner frying-pan
cut | - | - | board
mix | - | - | bowl
bake | 10 | 200 | oven tray`,
  },
  {
    text: `Freezer breakfast muffins (makes 12)

250 g plain flour
2 tsp baking powder
2 eggs
250 ml buttermilk
80 g butter, melted
150 g blueberries

- Oven to 200 °C / 400 °F. Line a 12-hole muffin tin.
- Whisk the eggs, buttermilk and butter in a jug.
- Tip into the flour and baking powder and stir briefly; fold in the berries.
- Divide between the holes and bake 20-22 min.
- Cool 5 min in the tin, then on a rack. Freeze in bags up to 3 months.`,
    steps: `heat | - | 200 | oven
mix | - | - | tin
mix | - | - | bowl
mix | - | - | bowl
assemble | - | - |
bake | 20-22 | 200 | oven tin
cool | 5 | - | tin rack
pack | - | - |`,
  },
  {
    text: `Cured salmon. Mix 100 g salt, 100 g sugar and a bunch of chopped dill. Rub over a 1 kg side of salmon, wrap tightly and refrigerate for 48 hours, turning every 12 hours. Rinse, pat dry and slice thinly.`,
    steps: `mix | - | - | bowl
season | - | - |
chill | 2880 | - | fridge
drain | - | - | colander
cut | - | - | board`,
  },
  {
    text: `Chicken stock soup for a crowd

Ingredients:
1 whole chicken (about 1.8kg)
4 litres water
3 leeks
300g rice

Instructions:
Put the chicken into your biggest stockpot and cover with the water. Bring to a simmer, skim off the scum and poach gently for 1 hour 20 minutes, until the thigh reads 74°C. Remove the chicken and let it cool for 20 minutes. Slice the leeks and add to the broth with the rice; cook for 15 minutes. Strip the chicken from the bones, shred and return to the pot. Heat through for 5 minutes and season.`,
    steps: `assemble | - | - | pot
simmer | 80 | - | burner pot
cool | 20 | - |
cut | - | - | board
simmer | 15 | - | burner pot
cut | - | - | board
simmer | 5 | - | burner pot`,
  },
  {
    text: `Flapjacks
175g butter, 175g golden syrup, 175g sugar, 350g oats
Gently melt the butter, syrup and sugar in a saucepan for 4-5 minutes. Take off the heat, stir in the oats. Press into a baking tray lined with paper. Gas 4, 25 mins. Mark into squares while hot; leave till cold.`,
    steps: `soften | 4-5 | - | burner pot
mix | - | - | pot
assemble | - | - | tray
bake | 25 | 180 | oven tray
cut | - | - | board
cool | - | - |`,
  },
  {
    text: `Pork and apple burgers

Ingredients
500g pork mince
1 apple, grated
1 tsp sage

Directions
1. In a mixing bowl, combine the mince, apple and sage. Using wet hands, form into 4 patties. Chill in the fridge for 30 minutes.
2. Heat grill to medium-high. Grill the burgers for 6-7 minutes each side until 71C in the centre.
3. Rest 2 minutes, then serve in buns.`,
    steps: `mix | - | - | bowl
shape | - | - | board
chill | 30 | - | fridge
heat | - | - | oven
grill | 12-14 | - | oven
rest | 2 | - |
assemble | - | - |`,
  },
  {
    text: `Beetroot soup (pressure cooker)

Peel and cube 600g beetroot and 1 potato. Set the pressure cooker to sauté and soften 1 chopped onion in 1 tbsp oil for 3 minutes. Add the beetroot, potato and 900 ml stock. Lock the lid and cook on high pressure for 12 minutes. Quick-release the pressure. Blend until smooth with an immersion blender.`,
    steps: `cut | - | - | board
soften | 3 | - | pressure-cooker
assemble | - | - | pressure-cooker
pressure | 12 | - | pressure-cooker
rest | - | - |
blend | - | - | blender`,
  },
  {
    text: `Focaccia

500 g bread flour
400 ml water
7 g yeast
60 ml olive oil

Stir the flour, water and yeast together in a bowl. Cover and leave overnight in the fridge. Tip into an oiled baking tin and let it prove at room temperature for 2 to 3 hours. Dimple with your fingers, drizzle with oil and bake at 230°C for 20-25 minutes. Cool on a wire rack for at least 15 minutes.`,
    steps: `mix | - | - | bowl
chill | 480-720 | - | fridge
prove | 120-180 | - | tray
assemble | - | - |
bake | 20-25 | 230 | oven tray
cool | 15 | - | rack`,
  },
  {
    text: `Tray of roast roots

Scrub 1.5 kg of mixed roots and cut into thumb-sized pieces. Spread over two large roasting trays, toss with 4 tbsp oil and a teaspoon of cumin seeds. Roast in a hot oven, 220C, for 35 minutes, shaking the trays after 20 minutes. Cool and keep in boxes for up to 4 days.`,
    steps: `cut | - | - | board
assemble | - | - | tray
bake | 35 | 220 | oven tray
cool | - | - |`,
  },
  {
    text: `Three-bean chili

1 onion, 2 peppers, 2 cloves garlic, 1 tbsp chilli powder, 3 tins beans, 1 tin tomatoes

Dice the onion and peppers, crush the garlic. Warm a splash of oil in a big pot. Cook the onion and peppers for about 10 min over medium heat until tender. Add garlic and chilli powder; cook one minute. Stir in drained beans, tomatoes and a tin of water. Bring up to a boil, turn down and bubble gently with the lid ajar for half an hour. Taste, adjust the salt. Ladle into tubs, cool, then freeze.`,
    steps: `cut | - | - | board
soften | 10 | - | burner pot
fry | 1 | - | burner pot
assemble | - | - | pot
simmer | 30 | - | burner pot
assemble | - | - |
cool | - | - |
pack | - | - |`,
  },
]
