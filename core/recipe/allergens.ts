/** Allergens that law in many places wants named, by what a thing usually holds. */
interface Allergen {
  name: string
  contains: RegExp
  /** Things of which some makes have it and others do not: the pack says. */
  varies: RegExp
  /** What only sounds like them. */
  but?: RegExp
}

const words = (list: string) => new RegExp(`(?<![a-z])(?:${list})(?![a-z])`, 'i')

const ALLERGENS: Allergen[] = [
  {
    name: 'gluten',
    contains: words(
      'wheat|flour|bread(?:crumbs?|sticks?)?|crumbs|panko|pasta|spaghetti|penne|macaroni|fusilli|rigatoni|linguine|tagliatelle|farfalle|orzo|lasagn[ea]|cannelloni|ravioli|tortellini|gnocchi|noodles?|ramen|udon|couscous|bulgur|freekeh|farro|barley|rye|oats?|oatmeal|granola|muesli|semolina|spelt|durum|pastry|filo|phyllo|crackers?|biscuits?|cookies?|digestives?|cakes?|beer|ale|stout|lager|naans?|pitt?as?|chapatis?|rotis?|parathas?|tortillas?|wraps?|baguettes?|ciabatta|brioche|croissants?|rolls?|buns?|bagels?|sourdough|focaccia|flatbreads?|croutons?|crumpets?|muffins?|waffles?|wrappers?|gyoza|wontons?|soy sauce|soya sauce|teriyaki|hoisin|seitan|malt|pizza(?: dough| base)?|batter|gravy granules|stuffing mix|yeast extract',
    ),
    varies: words(
      'sausages?|sausagemeat|burgers?|meatballs?|stock cubes?|bouillon|suet|worcester(?:shire)? sauce|oyster sauce|miso|soba|curry paste|crisps|corn ?flakes|baking powder|mustard|chocolate|ice cream|vegetarian mince|ketchup',
    ),
    but: /\b(?:rice|corn|maize|buckwheat|chickpea|gram|gluten-free|almond|coconut|potato|tapioca|chestnut|cassava|soya|lentil|quinoa|teff|sorghum|millet|glass|mung bean) (?:flour|noodles?|pasta|crackers?|cakes?|tortillas?|starch|bread|wraps?|wrappers?|vermicelli)\b|\bgluten-free [a-z]+(?: [a-z]+)?\b|\bcornflour\b|\brice paper wrappers?\b|\bflourless\b|\b(?:lettuce|cabbage) wraps?\b|\bginger beer\b|\bsushi rolls?\b|\bfishcakes?\b|\bbread ?fruit\b|\broll(?:ed)? (?:pork|beef)\b/gi,
  },
  {
    name: 'milk',
    contains: words(
      'milk|butter|buttermilk|cream|cheeses?|cheddar|parmesan|mozzarella|feta|ricotta|yogh?urt|ghee|mascarpone|halloumi|cr[eè]me|paneer|labneh|kefir|quark|skyr|brie|camembert|gouda|gruy[eè]re|emmental|edam|pecorino|grana padano|stilton|gorgonzola|roquefort|manchego|burrata|custard|ice cream|whey|fromage frais|butterscotch|toffee|fudge|dulce de leche|milk chocolate|white chocolate|pesto|tzatziki|raita|lassi|b[eé]chamel|brioche|croissants?|milk powder|curds?|casein',
    ),
    varies: words(
      'chocolate|margarine|naans?|pastry|biscuits?|cookies?|cakes?|bread|sausages?|mashed potato|soup|curry paste|stock cubes?|crisps|granola|scones?|muffins?',
    ),
    but: /\b(?:coconut|oat|almond|soya?|rice|cashew|hazelnut|hemp|pea|plant|vegan|dairy-free)(?:-based)? (?:milk|cream|yogh?urt|butter|cheese|custard|ice cream|chocolate)\b|\b(?:peanut|cocoa|almond|nut|cashew|hazelnut|seed|apple|shea) butter\b|\bbutter ?beans?\b|\bbutternut\b|\bbutter lettuce\b|\bcreamed coconut\b|\bcream of tartar\b|\bcream crackers?\b|\bbean curds?\b|\bcream sherry\b|\bsoy curds?\b|\b(?:lemon|orange|lime) curd\b|\bvegan [a-z]+\b/gi,
  },
  {
    name: 'egg',
    contains: words(
      'eggs?|egg (?:whites?|yolks?|noodles)|yolks?|mayonnaise|mayo|aioli|meringues?|hollandaise|b[eé]arnaise|tartare sauce|brioche|quiche|omelette|lemon curd|custard|albumen',
    ),
    varies: words(
      'fresh pasta|fresh lasagn[ea]|pastry|cakes?|biscuits?|cookies?|marzipan|ice cream|batter|noodles?|breaded [a-z]+|gnocchi|burgers?|meatballs?|nougat|marshmallows?|salad cream|caesar dressing|muffins?|waffles?',
    ),
    but: /\begg-free [a-z]+\b|\bvegan (?:mayonnaise|mayo|aioli)\b|\bcustard powder\b|\brice noodles?\b|\bchocolate eggs?\b|\begg replacer\b/gi,
  },
  {
    name: 'fish',
    contains: words(
      'fish|cod|haddock|salmon|trout|mackerel|herrings?|sardines?|pilchards?|tuna|hake|pollock|coley|whiting|anchov(?:y|ies)|sea bass|bass|bream|halibut|sole|plaice|turbot|monkfish|snapper|tilapia|catfish|eels?|whitebait|sprats?|skate|swordfish|kippers?|pike|perch|carp|mullet|fish sauce|nam pla|bonito|dashi|katsuobushi|caviar|roe|taramasalata|surimi|crab sticks?|gravlax|lox|worcester(?:shire)? sauce',
    ),
    varies: words(
      'caesar dressing|curry paste|kimchi|puttanesca|tapenade|stock|xo sauce|barbecue sauce',
    ),
    but: /\bvegetable stock\b|\b(?:chicken|beef|lamb) stock\b|\bvegan [a-z]+ sauce\b|\bsole trader\b|\bbass clef\b/gi,
  },
  {
    name: 'shellfish',
    contains: words(
      'prawns?|shrimps?|crabs?|crabmeat|lobsters?|crayfish|langoustines?|scampi|krill|shrimp paste|belacan|prawn crackers',
    ),
    varies: words(
      'curry paste|xo sauce|kimchi|laksa|fish stock|surimi|crab sticks?|bisque|paella mix|seafood mix|gumbo',
    ),
    but: /\bcrab ?apples?\b/gi,
  },
  {
    name: 'molluscs',
    contains: words(
      'mussels?|clams?|squid|calamari|scallops?|oysters?|oyster sauce|octopus|cuttlefish|cockles?|whelks?|winkles?|snails?|escargots?|abalone|squid ink',
    ),
    varies: words('seafood mix|fish stock|xo sauce|paella mix|bouillabaisse'),
    but: /\boyster mushrooms?\b|\bvegetarian oyster sauce\b|\bsquid game\b/gi,
  },
  {
    name: 'nuts',
    contains: words(
      'almonds?|walnuts?|hazelnuts?|pecans?|cashews?|pistachios?|brazil nuts?|macadamias?|(?:mixed|chopped|roasted) nuts|nuts|nut butter|marzipan|frangipane|praline|nougat|amaretti|gianduja|almond (?:milk|butter|flour|extract)|baklava|bakewell',
    ),
    varies: words(
      'pesto|granola|muesli|dukkah|chocolate|chocolate spread|cereal bars?|korma|curry paste|macaroons?|biscuits?|cakes?|ice cream|trail mix|mincemeat|romesco|nut roast',
    ),
    but: /\bpine nuts?\b|\bcoconuts?\b|\bbutternut\b|\bdoughnuts?\b|\bwater chestnuts?\b|\bchestnuts?\b|\btiger nuts?\b|\bpeanuts?\b|\bnutmeg\b|\bginger nuts\b|\bmonkey nuts\b|\bgroundnuts?\b/gi,
  },
  {
    name: 'peanut',
    contains: words('peanuts?|groundnuts?|satay|monkey nuts|peanut butter'),
    varies: words(
      'mixed nuts|trail mix|bombay mix|granola|cereal bars?|chocolate|korma|dukkah|nuts',
    ),
  },
  {
    name: 'sesame',
    contains: words(
      "sesame|tahini|hummus|houmous|humus|halva|za'?atar|dukkah|gomasio|baba ?gh?anoush",
    ),
    varies: words(
      'burger buns?|bagels?|breadsticks?|crackers?|falafels?|bread|granola|buns?|curry paste|teriyaki|seed mix|mixed seeds',
    ),
  },
  {
    name: 'soya',
    contains: words(
      'soya?|soybeans?|tofu|tempeh|miso|edamame|tamari|teriyaki|hoisin|shoyu|natto|bean curd|textured vegetable protein|tvp|soy sauce|soya sauce',
    ),
    varies: words(
      'chocolate|margarine|bread|stock cubes?|veg(?:gie|etarian|an) (?:burgers?|sausages?|mince)|vegetable oil|oyster sauce|worcester(?:shire)? sauce|mayonnaise|biscuits?|ice cream|quorn|satay|black bean sauce',
    ),
  },
  {
    name: 'celery',
    contains: words('celery|celeriac|celery salt'),
    varies: words(
      'stock|stock cubes?|bouillon|gravy|gravy granules|soup|mixed vegetables|curry powder|sausages?|passata|spice mix|crisps|marinade|vegetable juice',
    ),
  },
  {
    name: 'mustard',
    contains: words('mustard|dijon|piccalilli|mustard seeds'),
    varies: words(
      'mayonnaise|mayo|salad dressing|vinaigrette|curry powder|curry paste|sausages?|burgers?|barbecue sauce|marinade|coleslaw|salad cream|spice mix|garam masala|ham|chutney|pickles?',
    ),
    but: /\bmustard greens\b/gi,
  },
  {
    name: 'sulphites',
    contains: words(
      'wine|cider|sherry|port|vermouth|marsala|madeira|prosecco|champagne|cava|(?:wine|cider|balsamic|sherry) vinegar|balsamic|dried apricots|sulphites?',
    ),
    varies: words(
      'dried (?:fruit|mango|figs|pears|apples|coconut)?|raisins?|sultanas?|currants?|prunes?|dates|sausages?|burgers?|bottled lemon juice|lemon juice|prawns?|horseradish|glac[eé] cherries|pickles?|gherkins?|capers?|beer|ale|stout|lager|molasses|desiccated coconut|potato flakes|stock cubes?|jam|chorizo|tinned crab|sauerkraut|mincemeat|vinegar',
    ),
    but: /\bport salut\b|\b(?:fresh|unsulphured) [a-z ]+\b|\bredcurrants?\b|\bblackcurrants?\b|\bmedjool\b/gi,
  },
  {
    name: 'lupin',
    contains: words('lupins?|lupin flour'),
    varies: words('gluten-free (?:flour|bread|pasta)|pastry mix'),
  },
]

/** What a household has to know besides: no list replaces the pack. */
export const READ_THE_PACK = 'No list replaces reading the pack: what is bought varies.'

/** Allergens of a list of ingredients. */
export interface AllergensFound {
  /** Names of those that something in it usually holds. */
  contains: string[]
  /** Names of those that depend on what was bought, with the things that vary. */
  varies: { name: string; items: string[] }[]
}

/** What the names of ingredients give away, by the fourteen of common law. */
export function allergensOf(items: readonly string[]): AllergensFound {
  const contains: string[] = []
  const varies: AllergensFound['varies'] = []
  for (const a of ALLERGENS) {
    const bare = items.map((item) => (a.but ? item.replace(a.but, ' ') : item))
    if (bare.some((item) => a.contains.test(item))) contains.push(a.name)
    else {
      const some = items.filter((_, k) => a.varies.test(bare[k]!))
      if (some.length) varies.push({ name: a.name, items: some })
    }
  }
  return { contains, varies }
}

/** Names of the allergens that a list of ingredients usually holds. */
export const allergensIn = (items: readonly string[]): string[] => allergensOf(items).contains
