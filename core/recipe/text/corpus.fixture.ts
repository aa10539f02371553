/** A made-up recipe text, and its steps as a person reads them. */
export interface Sample {
  text: string
  /** `work | minutes as stated, or - | °C as stated, or - | equipment`, one line for each step. */
  steps: string
}

/** Texts of very different style: numbered, told, telegraphic, metric, American, old-fashioned. */
export const CORPUS: Sample[] = [
  {
    text: `Beef and barley stew

Serves 6

Ingredients
800 g stewing beef, cut in chunks
2 onions, chopped
3 carrots, sliced
150g pearl barley
1 litre beef stock
2 tbsp oil

Method
1. Preheat the oven to 160°C/140°C fan/gas mark 3.
2. Heat the oil in a large casserole and brown the beef in batches for about 5 minutes each.
3. Add the onions and carrots to the pan and cook gently for 8-10 minutes until softened. Stir in the barley and pour in the stock.
4. Bring to the boil, cover and transfer to the oven for 2½ hours, stirring once halfway.
5. Leave to cool for 30 minutes, then pack into boxes and freeze for up to 3 months.`,
    steps: `heat | - | 160 | oven
brown | 5 | - | burner pot
soften | 8-10 | - | burner pot
mix | - | - | pot
boil | - | - | burner pot
bake | 150 | 160 | oven pot
cool | 30 | - |
pack | - | - |`,
  },
  {
    text: `LENTIL SOUP (feeds 4)
- 250g red lentils
- 1 onion
- 2 carrots
- 1.2 l water
- 1 tsp cumin

Chop the onion and carrots. Sweat them in a big saucepan with a spoon of oil for ten minutes. Tip in the lentils, water and cumin, bring to the boil and simmer for 25 minutes. Blend with a stick blender until smooth.`,
    steps: `cut | - | - | board
soften | 10 | - | burner pot
simmer | 25 | - | burner pot
blend | - | - | blender`,
  },
  {
    text: `Sheet Pan Sausage Supper
Yield: 4 servings

1 lb pork sausages
1 1/2 lbs potatoes, cubed
2 bell peppers, sliced
2 Tbsp olive oil

Preheat oven to 425°F. Toss potatoes with oil on a large sheet pan and roast for 20 minutes. Add the sausages and peppers and roast another 25 to 30 minutes, turning once, until the sausages reach an internal temperature of 160°F.`,
    steps: `heat | - | 218 | oven
mix | - | - | tray
bake | 20 | 218 | oven tray
bake | 25-30 | 218 | oven tray`,
  },
  {
    text: `Slow cooker pulled pork

1.5kg pork shoulder
2 tbsp brown sugar
1 tbsp smoked paprika
200ml cider

Mix the sugar and paprika and rub all over the pork. Put the pork in the slow cooker, pour over the cider, cover and cook on low for 8-10 hours. Lift out the meat, rest for 15 minutes and shred with two forks.`,
    steps: `mix | - | - | bowl
season | - | - |
slow | 480-600 | - | slow-cooker
rest | 15 | - |
cut | - | - | board`,
  },
  {
    text: `Pressure cooker chickpeas
Serves 8

Ingredients:
500 g dried chickpeas
1 bay leaf

Directions:
Soak the chickpeas overnight in plenty of cold water. Drain and rinse. Put in the pressure cooker with the bay leaf and cover with 1.5 litres of fresh water. Cook at high pressure for 18 minutes. Let the pressure drop naturally for 15 minutes, then drain.`,
    steps: `soak | 480-720 | - |
drain | - | - | colander
assemble | - | - | pressure-cooker
pressure | 18 | - | pressure-cooker
rest | 15 | - |
drain | - | - | colander`,
  },
  {
    text: `Everyday brown bread

For the dough:
500g wholemeal flour
7g dried yeast
10g salt
350ml warm water

Method
Mix everything in a large bowl to a rough dough. Knead on a floured surface for 10 minutes. Leave to rise in a warm place for 1 hour, or until doubled. Shape into a loaf, put it in a greased loaf tin and leave to prove for a further 40 minutes. Bake at 220C / gas 7 for 30-35 minutes. Cool on a wire rack.`,
    steps: `mix | - | - | bowl
mix | 10 | - | bench
prove | 60 | - |
shape | - | - | tin
prove | 40 | - |
bake | 30-35 | 220 | oven tin
cool | - | - | rack`,
  },
  {
    text: `Fish cakes - makes 8

600g potatoes, 400g smoked haddock, 300ml milk, 2 spring onions, 1 egg, 100g breadcrumbs

Boil the potatoes for 15 minutes until tender, then drain and mash. Meanwhile poach the haddock in the milk for 8 minutes. Flake the fish into the mash with the spring onions. Shape into 8 cakes and chill for at least 30 minutes. Dip in the egg, coat with the breadcrumbs and fry in a frying pan for 4 minutes on each side.`,
    steps: `boil | 15 | - | burner pot
drain | - | - | colander
mix | - | - |
simmer | 8 | - | burner pot
cut | - | - |
shape | - | - | board
chill | 30 | - | fridge
assemble | - | - |
fry | 8 | - | burner frying-pan`,
  },
  {
    text: `Gran's Rice Pudding
Take two ounces of pudding rice and wash it well. Butter a pie dish. Put in the rice, an ounce of sugar and a pint of milk, and grate a little nutmeg over the top. Bake in a slow oven for two hours, stirring after the first half hour.`,
    steps: `drain | - | - | colander
mix | - | - | oven-dish
assemble | - | - | oven-dish
bake | 120 | 150 | oven oven-dish`,
  },
  {
    text: `Quick flatbreads

250g plain flour
150g yoghurt
1 tsp baking powder

Combine the flour, yoghurt and baking powder in a bowl and bring together into a dough. Rest it for 10 mins. Divide into six and roll out thinly on a floured worktop. Cook in a hot dry frying pan for 2 mins per side.`,
    steps: `mix | - | - | bowl
rest | 10 | - |
shape | - | - | bench
fry | 4 | - | burner frying-pan`,
  },
  {
    text: `Chicken traybake with lemon

8 chicken thighs
1 lemon
500g new potatoes, halved
1 tbsp oregano
3 tbsp olive oil

Method:
Heat the oven to 200C/180C fan/gas 6.
Put the chicken and potatoes in a roasting tin, drizzle over the oil, scatter with oregano and season well.
Roast for 45-50 mins, basting halfway through, until the chicken is golden and cooked to 74C inside.
Squeeze over the lemon and rest for 5 mins before serving.`,
    steps: `heat | - | 200 | oven
assemble | - | - | tray
bake | 45-50 | 200 | oven tray
rest | 5 | - |`,
  },
  {
    text: `Tomato sauce for the freezer

2 kg tomatoes
4 cloves garlic
100 ml olive oil

1) Score and blanch the tomatoes in boiling water for 1 minute, then peel and chop them.
2) Warm the oil in a heavy-based saucepan. Add the garlic and fry gently for 1 to 2 minutes.
3) Add the tomatoes and simmer uncovered for three quarters of an hour.
4) Cool, then portion into bags and label.`,
    steps: `cut | - | - | board
boil | 1 | - | burner pot
cut | - | - | board
fry | 1-2 | - | burner pot
simmer | 45 | - | burner pot
cool | - | - |
pack | - | - |`,
  },
  {
    text: `Rice cooker pilaf

2 cups basmati rice
3 cups stock
1 onion, chopped
1 cup peas

Rinse the rice in a sieve. Put rice, stock and onion in the rice cooker, and cook for 20 minutes. Stir in the peas, close the lid and leave to stand for 5 minutes. Fluff with a fork.`,
    steps: `drain | - | - | colander
assemble | - | - | rice-cooker
simmer | 20 | - | rice-cooker
mix | - | - | rice-cooker
rest | 5 | - | rice-cooker`,
  },
  {
    text: `Air fryer chickpeas: drain and dry a tin of chickpeas. Toss with 1 tbsp oil and 1 tsp paprika. Air fry at 200°C for 12 to 15 minutes, shaking every 4 minutes.`,
    steps: `drain | - | - | colander
mix | - | - | bowl
bake | 12-15 | 200 | air-fryer`,
  },
  {
    text: `Meatballs in gravy
Serves: 5

For the meatballs
500g minced beef
1 onion, grated
50g breadcrumbs
1 egg

For the gravy
25g butter
25g flour
500ml beef stock

Method

Put the mince, onion, breadcrumbs and egg into a bowl, season and mix with your hands. Shape into 20 balls. Fry the meatballs in batches in a large frying pan for 6-8 minutes, then set aside on a plate. Melt the butter in the same pan, stir in the flour and cook for 1 minute. Gradually whisk in the stock and simmer for 10 minutes. Return the meatballs and heat through for 5 minutes.`,
    steps: `mix | - | - | bowl
shape | - | - | board
fry | 6-8 | - | burner frying-pan
fry | 1 | - | burner frying-pan
simmer | 10 | - | burner frying-pan
simmer | 5 | - | burner frying-pan`,
  },
  {
    text: `Overnight oats
100 g oats
200 ml milk
1 apple
Grate the apple into a jug. Stir in the oats and milk. Cover and refrigerate overnight.`,
    steps: `cut | - | - | bowl
mix | - | - | bowl
chill | 480-720 | - | fridge`,
  },
  {
    text: `Microwave porridge: mix 50g oats with 300ml milk in a bowl, microwave for 2 minutes, stir, and microwave for 1 minute more. Stand for 1 minute.`,
    steps: `mix | - | - | bowl
heat | 2 | - | microwave
heat | 1 | - | microwave
rest | 1 | - |`,
  },
  {
    text: `Roast shoulder of lamb

1 x 2 kg lamb shoulder
4 garlic cloves
2 sprigs rosemary

Cut small slits in the lamb and push in slivers of garlic and rosemary. Place in a roasting tin and roast at 220°C for 20 minutes. Turn down to 170°C and roast for 20 minutes per 500 g plus 20 minutes. Rest under foil for 20 minutes before carving.`,
    steps: `cut | - | - | board
bake | 20 | 220 | oven tray
bake | 100 | 170 | oven tray
rest | 20 | - |`,
  },
  {
    text: `Carrot cake

200g self-raising flour
200g sugar
250g carrots, grated
3 eggs
150ml sunflower oil

Icing:
200g soft cheese
50g icing sugar

1. Set the oven to 180 degrees C (350 degrees F), and line a 20cm cake tin with paper.
2. Whisk the eggs, oil and sugar with an electric mixer for 3 minutes. Fold in the flour and the carrots.
3. Pour into the tin. Bake for 45 to 50 minutes or until a skewer comes out clean.
4. Cool in the tin for 10 minutes, then turn out onto a rack to cool completely.
5. Beat the cheese and icing sugar, and spread over the cake.`,
    steps: `heat | - | 180 | oven
mix | - | - | tin
mix | 3 | - | mixer
mix | - | - |
assemble | - | - | tin
bake | 45-50 | 180 | oven tin
cool | 10 | - | tin
cool | - | - | rack
mix | - | - | bowl
assemble | - | - |`,
  },
  {
    text: `Baked beans from scratch

Ingredients
400 g dried haricot beans
1 onion
400g tinned tomatoes
2 tbsp treacle
1 tsp mustard

Preparation
Soak the beans in cold water for 12 hours. Drain them, cover with fresh water in a large pot, bring to the boil and boil hard for 10 minutes, then simmer for 1 hr. Finely chop the onion. Drain the beans and put into a casserole dish with everything else. Cover and bake for 3-4 hours at 140°C, checking now and then.`,
    steps: `soak | 720 | - |
drain | - | - | colander
boil | 10 | - | burner pot
simmer | 60 | - | burner pot
cut | - | - | board
drain | - | - | colander
assemble | - | - | pot
bake | 180-240 | 140 | oven pot`,
  },
  {
    text: `Grilled mackerel with salad

4 mackerel fillets
1 lemon
1 cucumber
100g yoghurt

Slice the cucumber and stir into the yoghurt. Heat the grill to high. Lay the fillets skin side up on a baking tray, brush with oil and season. Grill for 5-6 minutes, without turning. Serve with the salad and lemon wedges.`,
    steps: `cut | - | - | board
mix | - | - | bowl
heat | - | - | oven
assemble | - | - | tray
grill | 5-6 | - | oven tray
assemble | - | - |`,
  },
  {
    text: `Potato gratin

1kg potatoes
400ml double cream
2 cloves garlic
100g cheese, grated

Preheat the oven to 170 °C. Peel the potatoes and slice them thinly in a food processor. Layer in a gratin dish with the garlic. Pour over the cream, sprinkle with the cheese and bake for 1 hour 15 minutes until bubbling and brown. Leave it for ten minutes before you serve it.`,
    steps: `heat | - | 170 | oven
cut | - | - | processor
assemble | - | - | oven-dish
assemble | - | - | oven-dish
bake | 75 | 170 | oven oven-dish
rest | 10 | - |`,
  },
  {
    text: `TURKEY CHILI (US style)
Serves 8
2 lb ground turkey
1 large onion, diced
2 (15 oz) cans kidney beans
1 (28 oz) can crushed tomatoes
2 tbsp chili powder

In a Dutch oven over medium-high heat, brown the turkey for 7 minutes, breaking it up as it cooks. Add onion and cook until soft, about 5 minutes. Stir in chili powder and cook 1 minute. Add beans and tomatoes; bring to a boil, then reduce heat, cover and simmer 40 minutes.`,
    steps: `brown | 7 | - | burner pot
soften | 5 | - | burner pot
fry | 1 | - | burner pot
simmer | 40 | - | burner pot`,
  },
  {
    text: `Stock, for nothing

Put a chicken carcass in the biggest pot you have with an onion, a carrot, celery and a bay leaf. Cover with 3 litres of cold water. Bring slowly to a simmer, skim, and simmer very gently for 3 to 4 hours. Strain through a sieve and cool quickly in an ice bath. Keeps 3 days in the fridge or 6 months in the freezer.`,
    steps: `assemble | - | - | pot
simmer | 180-240 | - | burner pot
drain | - | - | colander
cool | - | - |`,
  },
  {
    text: `Marinated tofu

400g tofu
3 tbsp soy sauce
1 tbsp honey
1 tsp sesame oil

Press the tofu between two plates for 20 minutes. Whisk soy sauce, honey and oil in a bowl. Cut the tofu into cubes, add to the bowl and marinate in the fridge for 2-4 hours. Spread on a lined baking sheet and bake at 200°C (180°C fan) for 25 minutes, turning halfway.`,
    steps: `rest | 20 | - |
mix | - | - | bowl
cut | - | - | board
soak | 120-240 | - | fridge
assemble | - | - | tray
bake | 25 | 200 | oven tray`,
  },
  {
    text: `Pasta bake
Serves four

300g pasta
2 tins tuna
300ml white sauce
100g sweetcorn
75g cheese

Cook the pasta in a large pan of boiling salted water for 9 minutes. Drain. Mix with the tuna, sauce and sweetcorn in an ovenproof dish, top with the cheese. Bake at gas mark 5 for 20 to 25 minutes.`,
    steps: `boil | 9 | - | burner pot
drain | - | - | colander
mix | - | - | oven-dish
bake | 20-25 | 190 | oven oven-dish`,
  },
  {
    text: `Steamed greens and barley bowl

Rinse 200 g pearl barley, then boil in salted water for 30-35 min. In the meantime whisk 2 tbsp oil with the juice of 1 lemon in a bowl. Steam 300 g greens over the barley for the last 5 min. Drain the barley, toss with the dressing and pile the greens on top.`,
    steps: `drain | - | - | colander
boil | 30-35 | - | burner pot
mix | - | - | bowl
simmer | - | - | burner pot
drain | - | - | colander
mix | - | - |
assemble | - | - |`,
  },
  {
    text: `Jam-jar dressing. 6 tbsp oil, 2 tbsp vinegar, 1 tsp mustard. Measure everything into a jar. Shake. Keeps for 2 weeks in the fridge.`,
    steps: `measure | - | - |`,
  },
  {
    text: `Braised red cabbage

1 red cabbage
2 apples
1 onion
50g butter
3 tbsp vinegar
2 tbsp sugar

Method
• Quarter, core and finely shred the cabbage.
• Peel and slice the apples and onion.
• Melt the butter in a big casserole, add the onion and soften for 8 minutes.
• Add everything else with 100 ml water, stir, cover tightly and cook over a low heat for 1 ½ hours, stirring every 20 minutes or so.`,
    steps: `cut | - | - | board
cut | - | - | board
soften | 8 | - | burner pot
simmer | 90 | - | burner pot`,
  },
  {
    text: `Egg fried rice

Scramble: beat 3 eggs. Heat 1 tbsp oil in a wok until smoking. Fry the eggs for 1 minute, then tip out. Add another tablespoon of oil, then stir-fry 2 chopped spring onions and 150 g peas for 2 minutes. Add 500 g cold cooked rice and fry for 4-5 minutes. Return the egg and serve at once.`,
    steps: `mix | - | - | bowl
fry | 1 | - | burner frying-pan
fry | 2 | - | burner frying-pan
fry | 4-5 | - | burner frying-pan
assemble | - | - | frying-pan`,
  },
  {
    text: `Apple crumble

For the filling
1kg cooking apples
75g sugar

For the crumble
200g flour
100g cold butter
75g demerara sugar

1 Peel, core and slice the apples and put in a pie dish with the sugar.
2 Rub the butter into the flour until it looks like crumbs, then stir in the demerara.
3 Sprinkle over the apples and bake at 190C for 35-40 minutes until golden.`,
    steps: `cut | - | - | board
assemble | - | - | oven-dish
mix | - | - | bowl
assemble | - | - |
bake | 35-40 | 190 | oven oven-dish`,
  },
  {
    text: `Ham hock and pea soup

1 ham hock
500g split peas
2 leeks, sliced
2.5 litres water

Put the ham hock in a stockpot with the water, bring to the boil, and simmer for an hour and a half. Lift the hock out and leave until cool enough to handle. Add the peas and leeks to the pot and simmer for 50 minutes. Meanwhile strip the meat from the bone and shred it. Purée half of the soup in a blender, pour it back, stir in the meat and warm through for 5 minutes.`,
    steps: `simmer | 90 | - | burner pot
cool | - | - |
simmer | 50 | - | burner pot
cut | - | - | board
blend | - | - | blender
simmer | 5 | - | burner pot`,
  },
  {
    text: `Oven-dried tomatoes. Halve 1 kg of tomatoes and lay them on trays, cut side up. Salt them. Dry in the oven at 100°C for 4-5 hours.`,
    steps: `cut | - | - | board
assemble | - | - | tray
season | - | - |
bake | 240-300 | 100 | oven tray`,
  },
  {
    text: `Chicken in the slow cooker

6 chicken legs
2 leeks, sliced
300 ml stock
200 ml cream

Brown the chicken legs in a frying pan for 4 to 5 minutes per side. Transfer to the slow cooker with the leeks and the stock. Cook on high for 4 hours or on low for 8 hours. Stir the cream in 15 minutes before the end.`,
    steps: `brown | 8-10 | - | burner frying-pan
assemble | - | - | slow-cooker
slow | 240-480 | - | slow-cooker
mix | - | - | slow-cooker`,
  },
  {
    text: `Shortbread

250g flour, 175g butter, 75g caster sugar

Cream the butter and sugar with a wooden spoon. Add the flour and work to a dough. Press into a lined square tin, prick all over and chill for 20 minutes. Bake for thirty-five minutes at 160°C (gas 3). Cut into fingers while warm, and leave in the tin to cool.`,
    steps: `mix | - | - | bowl
mix | - | - | bowl
assemble | - | - | tin
chill | 20 | - | fridge
bake | 35 | 160 | oven tin
cut | - | - | board
cool | - | - | tin`,
  },
  {
    text: `Beef koftas on the barbecue

Blitz 1 onion and a bunch of parsley in a food processor. Add 600 g minced beef and 1 tsp cumin and pulse briefly. Form into 12 sausages around skewers. Refrigerate for up to 1 hour. Barbecue over medium-hot charcoal for 8 to 10 minutes, turning every 2 minutes, until 71°C inside.`,
    steps: `blend | - | - | processor
blend | - | - | processor
shape | - | - | board
chill | 0-60 | - | fridge
grill | 8-10 | - | outdoor-grill`,
  },
  {
    text: `Vegetable lasagne

Roast veg first: chop 2 courgettes, 2 peppers and 1 aubergine, toss with oil on a roasting tray and roast 30 min at 200C. White sauce: melt 50g butter in a small saucepan, whisk in 50g flour, cook for 2 min, then slowly add 600ml milk and simmer 5 min, stirring. Layer veg, sauce and 9 lasagne sheets in a baking dish, finishing with sauce and cheese. Bake 35 min at 180C. Let it stand 10 min.`,
    steps: `cut | - | - | board
mix | - | - | tray
bake | 30 | 200 | oven tray
soften | - | - | burner pot
fry | 2 | - | burner pot
simmer | 5 | - | burner pot
assemble | - | - | oven-dish
bake | 35 | 180 | oven oven-dish
rest | 10 | - |`,
  },
  {
    text: `Pickled beetroot eggs

6 eggs
2 beetroot
300 ml vinegar
50 g sugar

Place the beetroot in a saucepan, cover with water and boil for 40-45 minutes. Boil the eggs for 9 minutes, then cool in cold water for 10 minutes and peel. In another pan, heat the vinegar and sugar for 3 minutes until dissolved. Pack the eggs and sliced beetroot into a jar, pour the hot vinegar over and seal. Refrigerate for at least 2 days before eating.`,
    steps: `boil | 40-45 | - | burner pot
boil | 9 | - | burner pot
cool | 10 | - |
cut | - | - | board
simmer | 3 | - | burner pot
pack | - | - |
assemble | - | - |
chill | 2880 | - | fridge`,
  },
  {
    text: `Weeknight dal

Method
Wash 1½ cups of split peas. Put them in a pot with 5 cups water & ½ tsp turmeric. Boil, skim, then turn the heat down and simmer half-covered for 40-45 mins. While that cooks, fry 1 sliced onion in 2 tbsp ghee in a small frying pan for 12-15 mins till dark. Mash the peas a little, tip the onions over, and salt to taste.`,
    steps: `drain | - | - | colander
assemble | - | - | pot
simmer | 40-45 | - | burner pot
fry | 12-15 | - | burner frying-pan
mix | - | - | pot
assemble | - | - |`,
  },
  {
    text: `Pan pizza

Ingredients: 300g strong flour, 200ml water, 5g yeast, 150g passata, 125g mozzarella

Instructions: Mix flour, yeast and water with the dough hook of a stand mixer for 5 minutes. Cover and prove for 90 minutes. Press the dough into an oiled cast-iron pan. Spread with passata and scatter with mozzarella. Bake in a very hot oven (240°C) for 12-14 minutes.`,
    steps: `mix | 5 | - | mixer
prove | 90 | - |
assemble | - | - | frying-pan
assemble | - | - |
bake | 12-14 | 240 | oven frying-pan`,
  },
  {
    text: `Cooked breakfast burritos for the freezer (makes 10)

10 tortillas
12 eggs
500g potatoes, diced
200g cheddar

STEP 1: Parboil the potatoes for 5 minutes and drain. STEP 2: Fry the potatoes in a large skillet for 10 minutes until crisp; remove. STEP 3: Whisk the eggs, then scramble them in the same skillet over low heat for about 4 minutes. STEP 4: Fill each tortilla, roll up and wrap in foil. Freeze flat for 3 hours, then bag.`,
    steps: `boil | 5 | - | burner pot
drain | - | - | colander
fry | 10 | - | burner frying-pan
mix | - | - | bowl
fry | 4 | - | burner frying-pan
assemble | - | - |
chill | 180 | - | freezer
pack | - | - |`,
  },
  {
    text: `Poached pears

Peel 4 pears, leaving the stalks on. Put 500 ml water, 200 g sugar and a cinnamon stick into a small deep saucepan and heat gently for 5 minutes until the sugar dissolves. Lower in the pears, cover with a disc of paper and poach for 20-30 minutes, depending on ripeness. Lift them out. Boil the syrup hard for 8 minutes to thicken it, then pour over the pears and chill.`,
    steps: `cut | - | - | board
simmer | 5 | - | burner pot
simmer | 20-30 | - | burner pot
boil | 8 | - | burner pot
assemble | - | - |
chill | - | - | fridge`,
  },
  {
    text: `Stuffed peppers

Cook 150g rice following the packet instructions, about 12 minutes. Cut the tops off 4 peppers and remove the seeds. Soften 1 chopped onion in a frying pan with a little oil for 6-7 minutes, add 300g minced lamb and brown for 5 minutes. Mix with the rice. Stuff the peppers, stand them in a baking dish, add a splash of water, cover with foil and cook in the oven at 190°C for 40 minutes, removing the foil for the last 10 minutes.`,
    steps: `boil | 12 | - | burner pot
cut | - | - | board
soften | 6-7 | - | burner frying-pan
brown | 5 | - | burner frying-pan
mix | - | - |
assemble | - | - | oven-dish
bake | 40 | 190 | oven oven-dish`,
  },
]
