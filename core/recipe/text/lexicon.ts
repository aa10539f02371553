import { HOLDS_FOOD } from '../flow/vessels'
import type { WorkKind } from '../work'

/** Words for what a cook does, as commands begin with them. `light` is done beside what follows. */
export interface Verb {
  words: string
  work: WorkKind
  light?: true
}

export const VERBS: Verb[] = [
  {
    words:
      'pull chop slice dice cube mince grate peel trim shred crush halve quarter core deseed seed zest julienne pit stone crumble tear cut carve score shave snip hull segment bash bruise flake spiralize debone fillet skin joint string top-and-tail',
    work: 'cut',
  },
  { words: 'mark', work: 'cut' },
  { words: 'weigh measure', work: 'measure' },
  {
    words:
      'fork fluff shake whip wipe grind pound mix whisk beat combine cream knead sift fold stir toss rub mash work toss-through dissolve incorporate moisten thin loosen dress coat dust tip-in grease line flour butter',
    work: 'mix',
    light: true,
  },
  {
    words:
      'spray get-the get-your sit-the sit-it sit-them bring scrape dimple assemble layer arrange fill stuff top spread pour ladle spoon scatter sprinkle overlap garnish drizzle brush pile divide split share put take stack give place transfer lay tip serve dot cover uncover return remove add lift skim discard turn flip reduce lower raise increase deglaze swirl finish plate wrap unwrap insert prick stand thread skewer tuck nestle submerge push drop crack strip reserve set-aside keep switch swap glaze decorate sandwich roll-up ice pipe stud taste adjust check squeeze baste scoop level dip dredge smooth unmould unmold invert slide loosen-edges lock open close seal cover-with',
    work: 'assemble',
    light: true,
  },
  { words: 'season salt rub-in massage', work: 'season', light: true },
  { words: 'shape form mould roll flatten press pat stamp plait braid knock-back', work: 'shape' },
  { words: 'blacken brown sear char colour color', work: 'brown' },
  {
    words:
      'scramble fry deep-fry stir-fry pan-fry dry-fry saute sauté toast crisp caramelise caramelize flip-fry sizzle splutter crackle',
    work: 'fry',
  },
  { words: 'soften sweat melt wilt', work: 'soften' },
  { words: 'drain rinse strain wash sieve squeeze-out pat-dry dry', work: 'drain' },
  {
    words: 'blend part-blend puree purée liquidise liquidize blitz pulse process whizz',
    work: 'blend',
  },
  { words: 'pack portion label bag freeze store box jar decant bottle', work: 'pack' },
  { words: 'boil parboil blanch hard-boil soft-boil', work: 'boil' },
  {
    words:
      'simmer poach stew braise steam bubble blip putter tick-over evaporate infuse warm reheat thicken cook heat reduce-down',
    work: 'simmer',
  },
  { words: 'bake roast blind-bake', work: 'bake' },
  { words: 'grill broil barbecue', work: 'grill' },
  { words: 'pressure-cook', work: 'pressure' },
  { words: 'slow-cook', work: 'slow' },
  { words: 'preheat', work: 'heat' },
  { words: 'microwave', work: 'heat' },
  { words: 'release quick-release rest stand leave let allow wait thaw defrost', work: 'rest' },
  { words: 'cool plunge refresh', work: 'cool' },
  { words: 'soak marinate marinade steep brine', work: 'soak' },
  { words: 'prove rise proof ferment', work: 'prove' },
  { words: 'chill refrigerate open-freeze flash-freeze', work: 'chill' },
]

export const VERB_OF = new Map<string, Verb>(
  VERBS.flatMap((v) => v.words.split(' ').map((w) => [w.replace(/-/g, ' '), v] as const)),
)

/** Phrases that say more than their first word, looked for before single words. */
export const PHRASES: [RegExp, WorkKind][] = [
  [
    /\b(?:let|allow|leave|wait for)\b[^.;]*\bpressure\b|\bnatural(?:ly)? (?:pressure )?release\b|\brelease (?:the )?(?:pressure|steam)\b/,
    'rest',
  ],
  [/^(?:warm|heat|reheat|crisp)\b[^.;]*\bin (?:the|a) (?:[a-z]+ )?oven\b/, 'bake'],
  [/^get (?:the |your |an? )?(?:oven|grill)\b/, 'heat'],
  [
    /^(?:put|switch|turn|fire) (?:the |your )?(?:oven|grill|broiler) (?:on|up)\b|^(?:put|switch|turn|fire) (?:on|up) (?:the |your )?(?:oven|grill|broiler)\b/,
    'heat',
  ],
  [
    /\b(?:pre-?heat|heat|turn on|warm|set|switch on)\b[^.;]*\b(?:oven|grill|broiler|griddle|barbecue)\b/,
    'heat',
  ],
  [
    /\b(?:pre-?heat|heat|turn on|warm|set|switch on) (?:up )?(?:the |your |an? )?air[ -]?fryer\b/,
    'heat',
  ],
  [
    /\b(?:turn|put|switch|raise|increase|lower|reduce)\b[^.;]*\boven\b(?: temperature)?(?: up| down| heat)*(?: to)? (?:gas|\d)/,
    'heat',
  ],
  [
    /\b(?:take|get|bring|lift|remove)\b[^.;]*\bout of the (?:fridge|refrigerator|freezer)\b/,
    'rest',
  ],
  [/\bput\b[^.;]*\bon to (?:boil|cook|steam)\b/, 'boil'],
  [/\bput\b[^.;]*\bon to simmer\b/, 'simmer'],
  // `Drop the gnocchi into a large pan of boiling water`.
  [
    /^(?:drop|tip|put|lower|slide|throw)\b[^.;]*\b(?:in|into) (?:a|the|your) (?:[a-z-]+ ){0,2}(?:pan|pot|saucepan) of (?:salted |rapidly |gently )*(?:boiling|simmering)\b[^.;]*\bwater\b/,
    'boil',
  ],
  [/\bpat\b[^.;]*\bdry\b/, 'drain'],
  [
    /\b(?:at|on|under|to) (?:high |low |full )?pressure\b|\b(?:high|low|full) pressure\b|\bpressure[ -]cook(?!er)/,
    'pressure',
  ],
  [
    /\bslow[ -]cook(?!er)\b|\b(?:on|at) (?:low|high)\b(?! heat| flame| speed| power| pressure| setting of the hob)(?=[^.;]*\b(?:hours?|hrs?|h)\b)/,
    'slow',
  ],
  [/\bair[ -]?fry\b/, 'bake'],
  [/\bcook\b[^.;]*\bin (?:the|a) (?:[a-z-]+ )?oven\b/, 'bake'],
  [/\b(?:cold |plenty of |lots of |much )water\b[^.;]*\b(?:overnight|hours?)\b/, 'soak'],
  [
    /\b(?:bring|return|brought|come|comes) (?:[^.;]*? )?(?:back )?(?:up )?to (?:a |the )?(?:rolling |gentle |full |fast )?(?:boil|bubble)\b/,
    'boil',
  ],
  [/\bhead[ -]start\b/, 'bake'],
  [/\b(?:ladle|decant)\b[^.;]*\b(?:containers?|tubs?|boxes|jars|bags)\b/, 'pack'],
  [
    /(?<!\badd(?:ing)? (?:the |a little |some )?)\b(?:iced|ice[ -]cold) water\b|\b(?:plunge|refresh|transfer|run|cool)\b[^.;]*\bcold (?:running )?water\b/,
    'cool',
  ],
  [
    /\b(?:bring|return|reduce|turn|lower|come) (?:[^.;]*? )?(?:down )?to a (?:gentle |bare |slow )?simmer\b/,
    'simmer',
  ],
  [/\b(?:under|beneath) (?:the|a) (?:hot |preheated )?(?:grill|broiler)\b/, 'grill'],
  [/\b(?:take|pull|pick|strip) (?:all )?the meat (?:from|off) (?:the|its) bones?\b/, 'cut'],
  // `Let it halve`: over the heat.
  [
    /\b(?:let|leave|allow) (?:(?:it|this|that|everything|the [a-z]+) )?(?:to )?(?:halve|(?:bubble|boil|cook|reduce) (?:down|away)|reduce|go (?:syrupy|sticky))\b/,
    'simmer',
  ],
  // `Put it back on a low heat`.
  [
    /^(?:put|return|set|place) [^.;]*\b(?:on|over|to) (?:a |the )?(?:very )?(?:low|medium|gentle|moderate|high)(?:ish)? (?:heat|flame)\b/,
    'simmer',
  ],
  [/\breduce (?:it |this |(?:the )?[a-z]+ )?by (?:half|a third|two thirds|a quarter)\b/, 'simmer'],
  [
    /\b(?:leave|stand)\b[^.;]*\b(?:till|until) (?:completely |stone |quite |totally |really )?(?:cold|cool)\b/,
    'cool',
  ],
  [
    /\b(?:let|leave|allow)\b[^.;]*\b(?:become|get|go) (?:completely |quite )?(?:cold|cool)\b/,
    'cool',
  ],
  [
    /\bto (?:cool(?: completely| slightly| down| a little)?|go (?:quite |completely )?cold)[\s.]*$/,
    'cool',
  ],
  [
    /\b(?:leave|allow|let|set|put|stand|sit)\b[^.;]*\b(?:go cold|come to room temperature|cool(?:ed)?|until cool enough)\b/,
    'cool',
  ],
  [/\b(?:leave|allow|let|set|put)\b[^.;]*\b(?:rise|prove|proof|double in size|doubled)\b/, 'prove'],
  [/\b(?:leave|allow|let|set|put)\b[^.;]*\b(?:soak|marinate|steep|plump up|brine)\b/, 'soak'],
  [
    /\b(?:leave|allow|let|set|put|keep|place|firm up|chill)\b[^.;]*\b(?:in(?:to)? (?:the|a) (?:fridge|refrigerator|freezer)|chill)\b/,
    'chill',
  ],
  [
    /\b(?:leave|allow|let|set aside)\b[^.;]*\b(?:rest|stand|sit|settle|infuse|steep|thaw|defrost|set|hydrate|relax|steam)\b/,
    'rest',
  ],
  [
    /\b(?:put|place|return|transfer|slide|pop|get|move|stick|set)\b[^.;]*\b(?:in|into|to|back in|back into) (?:the|a|your) (?:(?!air)[a-z-]+ )?(?:oven|air ?fryer)\b(?! dish|proof)/,
    'bake',
  ],
]

/** Names of equipment, in kitchen kinds, longest names first. */
export const EQUIPMENT: [RegExp, string][] = [
  [/\bslow[ -]cooker\b|\bcrock ?pot\b/, 'slow-cooker'],
  [/\b(?:electric )?pressure[ -]cooker\b|\bmulti-?cooker\b/, 'pressure-cooker'],
  [/\brice[ -]cooker\b/, 'rice-cooker'],
  [/\bair[ -]?fry(?:er)?\b/, 'air-fryer'],
  [/\bmicrowaves?\b/, 'microwave'],
  [/\bfood[ -]processor\b|\bprocessor\b/, 'processor'],
  [/\b(?:stick|hand|immersion|jug)[ -]?blender\b|\bblender\b|\bliquidi[sz]er\b/, 'blender'],
  [
    /\b(?:stand|electric|hand|food)[ -]mixer\b|\bmixer\b|\bdough hook\b|\bpaddle attachment\b|\belectric whisk\b/,
    'mixer',
  ],
  [/\bkettle\b/, 'kettle'],
  [
    /\bsaut[eé] (?:setting|mode|function|button)\b|\b(?:press|select|choose|hit) (?:the )?saut[eé](?![a-z])/,
    'pressure-cooker',
  ],
  [/\bgrill pans?\b/, 'tray'],
  [
    /\b(?:barbecue(?! sauce)|charcoal|outdoor grill|gas grill|smoker)\b|\bgrill(?:'s)? lid\b/,
    'outdoor-grill',
  ],
  [/\bgriddle(?: pan)?\b/, 'griddle'],
  [
    /\b(?:frying|saut[eé]|non-?stick|dry|sauce-less|cast[ -]iron|omelette|shallow) ?pans?\b|\bskillets?\b|\bwoks?\b/,
    'frying-pan',
  ],
  [
    /\b(?:sauce|stock|soup|preserving|deep|biggest|largest|heavy(?:-based|-bottomed)?) ?-?pans?\b|\b(?:stock|soup|cooking|pasta|large|big|heavy|lidded|deep|medium|small)[ -]?pots?\b|\bstockpots?\b|\bsaucepans?\b|\bcasseroles?(?: dish| pot)?\b|\bdutch oven\b|\bcauldron\b|\bpots?\b|\bcocottes?\b|\bmarmites?(?! on)\b/,
    'pot',
  ],
  [
    /\b(?:muffin|cake|loaf|bread|sandwich|springform|tart|pie|flan|bun|brownie|square) (?:tins?|pans?|moulds?|molds?|cases?)\b|\bramekins?\b|\bspringforms?\b|\bthe holes\b|\b\d+-hole (?:[a-z]+ )?(?:tins?|pans?|trays?)\b|\bcases\b|\b(?:the|paper|muffin|cupcake|bun) (?:paper )?cases\b|\b(?:the|into an?|in an?|lined|greased|buttered|prepared|same|your|square|round|deep|cm|inch|another|second) tins?\b(?! of)|\b\d+ ?(?:cm|in|inch|x)[a-z0-9 ]* (?:baking )?tins?\b|\bbaking tins?\b/,
    'tin',
  ],
  [
    /\b(?:roasting|baking|oven) (?:trays?|sheets?|tins?|pans?|trays)\b|\b(?:sheet pans?|roasters?|trays?|cookie sheets?|hot sheets?)\b|(?<!\b(?:lid|cover) )\bon(?:to)? the (?:prepared |lined )pan\b|^(?:scoop|shape|roll|form|arrange|spread|space)\b[^.;]*\bon(?:to)? the pan\b/,
    'tray',
  ],
  [
    /\b(?:oven-?proof|baking|gratin|pie|oven|lasagne|roasting|casserole|glass|ovenproof baking) ?dish(?:es)?\b|\bdish\b/,
    'oven-dish',
  ],
  [/\bbowls?\b|\bjug\b/, 'bowl'],
  [/\b(?:chopping|cutting) boards?\b|\bboard\b/, 'board'],
  [/\b(?:work ?surface|worktop|counter|floured surface|bench)\b/, 'bench'],
  [/\b(?:colander|sieve|strainer)\b/, 'colander'],
  [/\bsteamer\b|\bsteaming basket\b/, 'steamer'],
  [/\b(?:wire|cooling|cake) racks?\b|\brack\b/, 'rack'],
  [/\b(?:fridge|refrigerator|refrigerate)\b/, 'fridge'],
  [/\bfreezer\b(?!-?proof| (?:bags?|box|boxes|tubs?)\b)/, 'freezer'],
  [/\b(?:grill|broiler)\b/, 'grill'],
  [/\bovens?\b/, 'oven'],
]
/** Vessels that food stays in from one step to the next. */
export const VESSELS = new Set([...HOLDS_FOOD, 'griddle', 'blender', 'steamer'])
/** Vessels in which a thing cooks together with others. */
export const POTS = new Set<string>(['pot', 'slow-cooker', 'pressure-cooker'])
/** Vessels that stand on a burner while they are heated. */
export const ON_HOB = new Set(['pot', 'frying-pan', 'griddle', 'steamer', 'kettle'])

/** What is done to an ingredient before it goes in, by the word that a list has for it. */
export const DONE: Record<string, string> = {
  chopped: 'chop',
  sliced: 'slice',
  diced: 'dice',
  cubed: 'cube',
  minced: 'mince',
  grated: 'grate',
  crushed: 'crush',
  peeled: 'peel',
  cored: 'core',
  deseeded: 'deseed',
  halved: 'halve',
  quartered: 'quarter',
  shredded: 'shred',
  trimmed: 'trim',
  torn: 'tear',
  cut: 'cut',
  crumbled: 'crumble',
  bashed: 'bash',
  skinned: 'skin',
  stoned: 'stone',
  pitted: 'pit',
  chunked: 'chop',
}
