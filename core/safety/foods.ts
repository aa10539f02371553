/** Words for food that hazards go by, as shops and cooks name it in many kitchens. */

export const POULTRY =
  /\b(?:chickens?|turkeys?|ducks?|ducklings?|goose|geese|poultry|hens?|quails?|guinea fowls?|poussins?|capons?|pheasants?|partridges?|pigeons?)\b/
/** Meat that is minced, so that what was on the outside is all through it. */
export const MINCED =
  /\bminced? (?:beef|lamb|pork|veal|meat|turkey|chicken|venison)\b|\b(?:beef|lamb|pork|veal|turkey|chicken|venison|the|steak) mince\b|\bground (?:beef|lamb|pork|veal|meat|turkey|chicken|venison)\b|\b(?:sausages?|sausage ?meat|burgers?|hamburgers?|meat ?balls?|meat ?loaf|patties|koftas?|k[oö]fte|kefta|kebab mince|merguez|salsiccia|bratwursts?|boerewors|cevapcici|keema|qeema|polpette|albondigas|frikadell\w*|rissoles?|faggots|haggis|black pudding|fresh chorizo|cooking chorizo)\b/
/** Cured, smoked, tinned or cooked already, or of no meat at all. */
export const NOT_RAW =
  /\b(?:cooked|smoked sausages?|frankfurters?|salami|cured|tinned|canned|roasted|leftover|(?:chicken|beef|fish|lamb|turkey|duck|pork|meat) (?:stock|broth|bouillon|gravy|fat|cubes?)|stock cubes?|vegetarian|vegan|veggie|soya?|tofu|quorn|fish sauce|burger buns?|duck eggs?|quail eggs?|goose (?:eggs?|fat))\b/
export const RED =
  /\b(?:beef|veal|lamb|mutton|pork|venison|goat|steaks?|chops|joint|ham hock|gammon|rabbits?|boar)\b/
export const FISH =
  /\b(?:fish|cod|haddock|salmon|trout|mackerel|herring|tuna|hake|pollock|plaice|sole|halibut|monkfish|bream|sea bass|snapper|prawns?|shrimps?)\b/
/** Meat and fish in one piece. */
export const WHOLE_CUT = new RegExp(`${RED.source}|${FISH.source}`)
export const SHELLFISH = /\b(?:mussels?|clams?|oysters?|cockles)\b/
export const KIDNEY_BEANS =
  /\b(?:(?:red )?kidney beans?|rajma|red beans|cannellini beans?|flageolet)\b/
export const TINNED = /\b(?:tins?|tinned|cans?|canned|jars?|drained|cooked|ready-cooked)\b/
export const SPROUTS =
  /\b(?:bean ?sprouts?|sprouted \w+|alfalfa|mung sprouts?|radish sprouts?|cress sprouts)\b/
export const COLD_SMOKED =
  /\b(?:smoked (?:salmon|trout|mackerel|halibut|fish)|gravlax|gravad lax|lox)\b/
export const HERBS =
  /\b(?:garlic|basil|rosemary|thyme|herbs?|chill(?:i|ies)|sage|oregano|tarragon|bay|ginger|peppers?|sun-dried tomatoes)\b/
export const OIL = /\b(?:oil|ghee)\b/
export const EGG = /\beggs?\b(?! noodles)|\byolks?\b/
export const FLOUR = /\bflour\b/
export const FOAMING =
  /\b(?:lentils?|dal|beans?|chickpeas?|split peas|peas|barley|rice|oats|quinoa|pulses|grains?|pasta)\b/
export const PET_POISONS =
  /\b(?:onions?|garlic|leeks?|chives|shallots?|grapes?|raisins?|sultanas?|currants?|chocolate|cocoa|macadamias?|avocados?|xylitol|nutmeg|yeast dough|coffee)\b/
