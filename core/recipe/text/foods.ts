/** What kind of food a word names, as far as hygiene and cooking liquids go. */
const MEAT =
  /\b(?:beef|veal|lambs?|mutton|pork|hogget|goat|kid|boar|hare|pheasants?|partridges?|pigeons?|grouse|quails?|guinea fowls?|poussins?|kofta|k[oö]fte|merguez|kebabs?|bratwursts?|frankfurters?|salsiccia|haggis|black pudding|nduja|(?:ham )?hocks?|gammon|bacon|pancetta|lardons?|sausages?|sausagemeat|chorizo|(?:the|of|beef|pork|lamb|turkey|quorn|raw|your) mince|minced (?:meat|beef|lamb|pork|turkey)|ground (?:beef|pork|lamb|turkey|chicken)|steaks?|chops|ribs?|brisket|shanks?|shin|shoulder|joint|meat(?:balls?|loaf)?|venison|rabbits?|game|livers?|kidneys|oxtails?|tripe|giblets|patties|patty|burgers?|chickens?|turkeys?|ducks?|goose|geese|poultry|thighs?|drumsticks?|wings|tenders|escalopes?|schnitzels?|cutlets|tenderloin|sirloin|rump|topside|silverside|chuck|pork loin|loin|belly|cheeks?|neck fillet|hens?|birds?)\b/
const FISH =
  /\b(?:fish|cod|haddocks?|salmon|trouts?|mackerels?|herrings?|sardines?|tuna|hake|pollock|coley|whiting|ling|plaice|soles?|turbot|halibut|monkfish|bream|bass|snapper|tilapia|catfish|arctic char|pike|perch|carp|eels?|skate|sprats?|whitebait|kippers?|mullet|anchov(?:y|ies)|octopus|cuttlefish|lobsters?|crayfish|langoustines?|oysters?|cockles|prawns?|shrimps?|mussels?|clams?|squid|crab|scallops?|fillets? of)\b/
const EGG = /\beggs?\b|\begg (?:whites?|yolks?)\b/
/** Cooked, cured or dried already: nothing raw about it. */
const READY_MADE =
  /\b(?:(?:goose|duck|beef|bacon|pork|chicken) (?:fat|dripping)|(?:ready[- ])?cooked(?: [a-z]+)?|leftover(?: [a-z]+)?|(?<!fresh )anchov(?:y|ies)(?: fillets?)?|roast(?:ed)? (?:chicken|beef|pork|turkey)|smoked (?:ham|mackerel|salmon|trout)|(?:tinned|canned)(?: [a-z]+)?|dried shrimps?|(?:\w+ )?(?:stock|broth|gravy|bouillon|sauce)|hard-boiled|boiled eggs?|kidney beans?|sausage rolls?|eggplants?|egg noodles|oyster sauce|fish sauce|pease)\b/g

const asBought = (text: string) => text.toLowerCase().replace(READY_MADE, ' ')

/** Words that name raw meat, fish or egg in a line of ingredients or of a method. */
export const isRaw = (text: string) => isMeat(text) || EGG.test(asBought(text))

/** Only meat and fish: what is browned, rubbed and shaped. */
export function isMeat(text: string): boolean {
  return MEAT.test(asBought(text)) || isFish(text)
}

export const isFish = (text: string) => FISH.test(asBought(text))

export const isLiquid = (text: string) =>
  /\b(?:stock|broth|water|wine|milk|cream|coconut milk|passata|tinned tomatoes|chopped tomatoes|tomatoes|cider|beer|ale|stout|juice|sauce|syrup|bouillon)\b/i.test(
    text,
  )

/** Powder, grain, seeds, nuts and spices: what is mixed dry before anything wet comes to it. */
export const isDry = (text: string) =>
  !/\b(?:milk|butter|oil|sauce|paste|stock|water|juice|syrup)\b/i.test(text) &&
  /\b(?:flours?|oats?|sugar|powder|soda|bicarb(?:onate)?|salt|pepper|spices?|cinnamon|nutmeg|ginger|cumin|paprika|turmeric|cloves|allspice|cardamom|cocoa|seeds?|nuts?|almonds?|walnuts?|hazelnuts?|pecans?|coconut|semolina|polenta|cornmeal|cornflour|cornstarch|yeast|bran|wheatgerm|breadcrumbs?|raisins?|sultanas?)\b/i.test(
    text,
  )

export const isDough = (text: string) =>
  /\b(?:dough|pastry|loaf|loaves|bread|rolls|buns|batter|flatbreads?|scones?|biscuits?|cookies?)\b/i.test(
    text,
  )

/** Bread and the like, which is warmed by itself and goes stiff as it stands. */
export const isBread = (text: string) =>
  /\b(?:bread|flatbreads?|tortillas?|naans?|pitt?as?|wraps?|rolls|buns)\b/i.test(text)

/** Boiled rather than simmered when a method only says to cook it. */
export const isBoiled = (text: string) =>
  isPasta(text) ||
  /\b(?:lasagne sheets|potatoes|eggs|rice|barley|quinoa|bulgur|couscous)\b/i.test(text)

/** Pasta, noodles and grain, which stick together and go soft as they stand. */
export const isGrain = (text: string) =>
  isPasta(text) ||
  /\b(?:orzo|rice|couscous|bulgur)\b(?! (?:vinegar|flour|paper|cooker|wine))/i.test(text)

export const isPasta = (text: string) =>
  /\b(?:pasta|spaghetti|penne|fusilli|rigatoni|linguine|tagliatelle|pappardelle|farfalle|ditalini|orecchiette|conchiglie|cavatappi|ziti|tortellini|ravioli|pasta shells|noodles|macaroni|vermicelli|gnocchi)\b/i.test(
    text,
  )
