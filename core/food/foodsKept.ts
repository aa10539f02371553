import type { Food } from './food'

/** What comes from the tap, in tins, jars and bottles. */
export const KEPT: readonly Food[] = [
  // What is no shopping at all.
  {
    name: 'water',
    words:
      /\b(?:(?:boiling|cold|hot|warm|tap|pasta|cooking|ice|iced) )*(?:water|ice cubes?)\b(?! chestnut)/,
    section: 'other',
    by: 'ml',
    density: 1,
    free: true,
  },
  // What a recipe asks for soaked or cooked, and what is bought for it.
  {
    name: 'dried chickpeas',
    words: /\bsoaked (?:dried )?chickpeas?\b/,
    section: 'dry',
    by: 'g',
    packs: [500, 1000],
    bought: 0.45,
  },
  {
    name: 'dried chickpeas',
    words: /\bdried chickpeas?\b/,
    section: 'dry',
    by: 'g',
    packs: [500, 1000],
  },
  {
    name: 'dried beans',
    words: /\bsoaked (?:[a-z]+ )?beans?\b/,
    section: 'dry',
    by: 'g',
    packs: [500],
    bought: 0.45,
  },
  {
    name: 'cooked beetroot',
    words: /\b(?:cooked|vacuum-packed) beetroots?\b/,
    section: 'produce',
    by: 'g',
    each: 60,
    packs: [250, 500],
  },
  // Tins and jars.
  {
    name: 'chopped tomatoes',
    words:
      /\b(?:(?:tin(?:ned|s?)|canned|cans?)(?: of)?(?: chopped| plum)? tomatoes|chopped tomatoes|tinned plum tomatoes)\b/,
    section: 'tins',
    by: 'g',
    density: 1.05,
    packs: [400],
    counted: { tin: 400, can: 400 },
  },
  {
    name: 'passata',
    words: /\bpassata\b/,
    section: 'tins',
    by: 'g',
    density: 1.05,
    packs: [500, 700],
  },
  {
    name: 'tomato purée',
    words: /\btomato (?:pur[eé]e|paste)\b/,
    section: 'tins',
    by: 'g',
    density: 1.1,
    packs: [200],
    pantry: 60,
  },
  {
    name: 'coconut milk',
    words: /\bcoconut (?:milk|cream)\b/,
    section: 'tins',
    by: 'ml',
    density: 0.97,
    packs: [400],
    counted: { tin: 400, can: 400 },
  },
  {
    words:
      /\b(?:tinned|canned|drained|cooked|tins?(?: of)?) (?:[a-z]+ )?(?:beans?|chickpeas?|lentils)\b/,
    section: 'tins',
    by: 'g',
    packs: [240],
    counted: { tin: 240, can: 240 },
  },
  {
    words:
      /\b(?:butter|cannellini|kidney|black|haricot|borlotti|pinto|baked|white|cannelini) beans?\b/,
    section: 'tins',
    by: 'g',
    packs: [240],
    counted: { tin: 240, can: 240 },
  },
  {
    name: 'chickpeas',
    words: /\bchickpeas?\b(?! flour)/,
    section: 'tins',
    by: 'g',
    packs: [240],
    counted: { tin: 240, can: 240 },
  },
  {
    words:
      /\b(?:tinned|canned|tins?(?: of)?) (?:tuna|sardines|mackerel|salmon|anchov(?:y|ies))\b|\banchov(?:y|ies)\b/,
    section: 'tins',
    by: 'g',
    packs: [110],
    each: 4,
    counted: { tin: 110, fillet: 4 },
  },
  {
    words:
      /\b(?:tinned|canned) (?:sweetcorn|corn|mushrooms|peaches|pineapple|pears)\b|\bsweetcorn\b|\bcorn kernels\b/,
    section: 'tins',
    by: 'g',
    packs: [200, 340],
    counted: { tin: 200, can: 200 },
  },
  {
    words: /\b(?:olives|capers|gherkins|sun-dried tomatoes|artichoke hearts|jalape[nñ]os)\b/,
    section: 'tins',
    by: 'g',
    each: 4,
    packs: [200],
  },
  // Stock, and what is made into it.
  {
    name: 'stock',
    words:
      /\b(?:(?:chicken|beef|vegetable|fish|lamb|hot|veal|ham|bone) )*(?:stock|broth|bouillon)\b(?! cubes?| powder| pots?)/,
    section: 'tins',
    by: 'ml',
    density: 1,
    packs: [500, 1000],
  },
  {
    name: 'stock cubes',
    words: /\bstock (?:cubes?|pots?|powder)\b|\bbouillon (?:cubes?|powder)\b/,
    section: 'tins',
    by: 'piece',
    each: 10,
    packs: [8],
    pantry: 2,
  },
  // Oil, vinegar and sauces.
  {
    words:
      /\b(?:olive|rapeseed|sunflower|vegetable|sesame|groundnut|coconut|corn|frying|cooking) oil\b|^oil\b|\bcooking spray\b|\boil\b$/,
    section: 'oils',
    by: 'ml',
    density: 0.92,
    packs: [500, 1000],
    pantry: 200,
  },
  {
    words: /\bvinegar\b/,
    section: 'oils',
    by: 'ml',
    density: 1.01,
    packs: [350, 500],
    pantry: 150,
  },
  {
    words:
      /\b(?:soy|soya|fish|oyster|hoisin|worcester(?:shire)?|chilli|hot|tabasco|teriyaki|bbq|barbecue|sriracha) sauce\b|\btamari\b|\bsriracha\b|\bmirin\b/,
    section: 'oils',
    by: 'ml',
    density: 1.15,
    packs: [150, 250],
    pantry: 80,
  },
  {
    words:
      /\b(?:mustard|ketchup|mayonnaise|mayo|horseradish|tahini|miso|peanut butter|curry paste|pesto|harissa|chutney|tamarind(?: paste)?|gochujang|jelly|jam|marmalade|cranberry sauce)\b(?! seeds?| powder)/,
    section: 'oils',
    by: 'g',
    density: 1.05,
    packs: [200],
    pantry: 40,
  },
]
