import type { Food } from './food'

/** Meat, fish, milk, cheese, eggs and bread. */
export const CHILLED: readonly Food[] = [
  // Meat.
  {
    words: /\b(?:bacon|pancetta|lardons|streaky|rashers)\b/,
    section: 'meat',
    by: 'g',
    each: 25,
    packs: [200],
    counted: { rasher: 25, slice: 25 },
  },
  {
    words: /\bchorizo\b|\bsalami\b|\bham\b(?! hocks?)|\bprosciutto\b/,
    section: 'meat',
    by: 'g',
    packs: [200],
    counted: { slice: 20 },
  },
  {
    words:
      /\b(?:vegetarian|vegan|meat-free) (?:mince|sausages|burgers)\b|\btofu\b|\btempeh\b|\bseitan\b|\bquorn\b/,
    section: 'dairy',
    by: 'g',
    packs: [280],
  },
  { words: /\bsausages?\b(?! ?meat)/, section: 'meat', by: 'g', each: 65, packs: [400] },
  { words: /\bsausage ?meat\b/, section: 'meat', by: 'g', packs: [400] },
  {
    words:
      /\b(?:minced (?:beef|lamb|pork|turkey|chicken|veal|meat)|(?:beef|lamb|pork|turkey|chicken|veal|steak) mince|ground (?:beef|lamb|pork|turkey|chicken))\b/,
    section: 'meat',
    by: 'g',
    packs: [500],
  },
  {
    words:
      /\bwhole (?:chicken|turkey|duck)s?\b|^(?:large |medium |small |free-range |oven-ready )*chickens?$/,
    section: 'meat',
    by: 'g',
    each: 1600,
  },
  {
    words: /\b(?:chicken|turkey|duck) (?:breasts?|breast fillets?)\b/,
    section: 'meat',
    by: 'g',
    each: 170,
  },
  {
    words: /\b(?:chicken|turkey|duck) (?:thighs?|legs?)\b|\bdrumsticks?\b/,
    section: 'meat',
    by: 'g',
    each: 130,
  },
  {
    words:
      /\b(?:joint|shoulder|leg of (?:lamb|pork)|pork loin|pork belly|gammon|brisket|topside|silverside)\b/,
    section: 'meat',
    by: 'g',
    each: 2000,
  },
  {
    words:
      /\b(?:beef|veal|lamb|mutton|pork|venison|goat|gammon|rabbits?|chickens?|turkeys?|ducks?|steaks?|chops?|brisket|shin|oxtails?|ribs?|livers?|kidneys?|hocks?|joint|shanks?)\b/,
    section: 'meat',
    by: 'g',
    each: 200,
  },
  { words: /\bbones\b/, section: 'meat', by: 'g' },
  // Fish.
  {
    words:
      /\b(?:prawns?|shrimps?|mussels?|clams?|squid|scallops?|crab|lobster|oysters?)\b(?! sauce| paste| crackers)/,
    section: 'fish',
    by: 'g',
    each: 12,
    packs: [200],
  },
  {
    words:
      /\b(?:fish|cod|haddock|salmon|trout|mackerel|herrings?|sardines?|tuna|hake|pollock|coley|plaice|sole|halibut|monkfish|bream|bass)\b(?! sauce| stock)/,
    section: 'fish',
    by: 'g',
    each: 140,
    counted: { fillet: 140 },
  },
  // Milk, cheese and eggs.
  {
    name: 'eggs',
    words: /\beggs?\b(?! noodles)|\begg (?:whites?|yolks?)\b/,
    section: 'dairy',
    by: 'piece',
    each: 58,
    packs: [6, 12],
  },
  {
    name: 'buttermilk',
    words: /\bbuttermilk\b/,
    section: 'dairy',
    by: 'ml',
    density: 1.03,
    packs: [300, 500],
  },
  {
    words: /\b(?:oat|almond|soya?|rice) (?:milk|drink)\b/,
    section: 'dairy',
    by: 'ml',
    density: 1.03,
    packs: [1000],
  },
  {
    name: 'milk',
    words: /\b(?:whole |semi-skimmed |skimmed |full-fat |warm |cold )*milk\b(?! chocolate| powder)/,
    section: 'dairy',
    by: 'ml',
    density: 1.03,
    packs: [1000, 2000],
  },
  {
    words:
      /\b(?:double|single|whipping|soured?|heavy|clotted) cream\b|\bhalf-and-half\b|\bcr[eè]me fra[iî]che\b|^cream$/,
    section: 'dairy',
    by: 'ml',
    density: 1,
    packs: [150, 300],
  },
  {
    words: /\byogh?urt\b|\bquark\b|\bskyr\b|\bkefir\b|\blabneh\b/,
    section: 'dairy',
    by: 'g',
    density: 1.03,
    packs: [500],
  },
  {
    name: 'butter',
    words: /\bbutter\b(?! ?beans?| ?nut|milk)/,
    section: 'dairy',
    by: 'g',
    density: 0.91,
    packs: [250],
    counted: { knob: 15, stick: 113 },
  },
  {
    words: /\bmargarine\b|\bghee\b|\blard\b|\bsuet\b/,
    section: 'dairy',
    by: 'g',
    density: 0.91,
    packs: [250],
    counted: { knob: 15 },
  },
  {
    words: /\b(?:parmesan|pecorino|grana padano)\b/,
    section: 'dairy',
    by: 'g',
    density: 0.42,
    packs: [200],
  },
  {
    words: /\b(?:ricotta|mascarpone|cream cheese|cottage cheese|mozzarella|feta|halloumi|paneer)\b/,
    section: 'dairy',
    by: 'g',
    density: 1,
    each: 125,
    packs: [250],
    counted: { ball: 125 },
  },
  {
    words: /\b(?:cheddar|cheese|gruy[eè]re|gouda|emmental|stilton|brie)\b/,
    section: 'dairy',
    by: 'g',
    density: 0.42,
    packs: [250, 400],
  },
  {
    words:
      /\b(?:fresh )?(?:puff|shortcrust|filo) pastry\b|\byeast, fresh\b|\bfresh yeast\b|\bfresh pasta\b|\bgnocchi\b/,
    section: 'dairy',
    by: 'g',
    packs: [320],
    each: 320,
    counted: { sheet: 320 },
  },
  // Bread.
  {
    words: /\bbreadcrumbs?\b|\bpanko\b|^crumbs$/,
    section: 'bread',
    by: 'g',
    density: 0.45,
    packs: [200],
    counted: { handful: 30 },
  },
  {
    words: /\b(?:bread|loaf|loaves|baguettes?|ciabatta|sourdough|focaccia)\b(?! flour)/,
    section: 'bread',
    by: 'g',
    each: 800,
    packs: [800],
    counted: { slice: 40 },
  },
  {
    words: /\b(?:tortillas?|wraps?|pittas?|pitas?|naans?|rolls|buns|flatbreads?|bagels?|muffins)\b/,
    section: 'bread',
    by: 'piece',
    each: 60,
    packs: [6],
  },
]
