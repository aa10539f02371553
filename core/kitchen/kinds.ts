import type { KitchenInput } from './schema'

export type StationInput = KitchenInput['stations'][number]

const board = {
  seconds: 60,
  between: { produce: { raw: 0, ready: 20 }, ready: { raw: 0, produce: 0 } },
}
export const burner = (id: string, name: string, large = false): StationInput => ({
  id,
  name,
  zone: 'hob',
  kind: 'burner',
  ...(large ? { tags: ['large'] } : {}),
})
export const oven = (id: string, name: string, shelves: number): StationInput => ({
  id,
  name,
  zone: 'oven',
  kind: 'oven',
  capacity: shelves,
  // About 12 minutes from cold to 200 °C, as home ovens heat, and slower down again.
  oven: {
    min: 50,
    max: 250,
    start: 20,
    heatSecondsPerDegree: 4,
    coolSecondsPerDegree: 9,
    methods: ['bake', 'grill'],
  },
})
export const pot = (id: string, name: string, litres: number): StationInput => ({
  id,
  name,
  zone: 'vessel',
  kind: 'pot',
  size: litres,
  wash: { seconds: 60 + 8 * litres },
})
export const pan = (id: string, name: string, size: number): StationInput => ({
  id,
  name,
  zone: 'vessel',
  kind: 'frying-pan',
  size,
  wash: { seconds: 90 },
})
const many = (id: string, name: string, kind: string, capacity: number): StationInput => ({
  id,
  name,
  zone: 'vessel',
  kind,
  capacity,
})

/** What a kitchen may have: what it is called and measured by, how it behaves, and how it is usually found. */
export interface Kind {
  /** As one says it in a sentence. */
  one: string
  many: string
  /** What its size is given in. */
  size?: 'litres' | 'cm across'
  /** What several of it, or its room, are counted in. */
  counted?: string
  /** Counted, not known one by one: any of them will do. */
  loose?: true
  /** Food cools in it, and nothing else waits for it. */
  shallow?: true
  /** Boils over or must not be full: how much goes in is worked out. */
  filled?: true
  /** There anyway, or only for keeping: nothing that a step asks for. */
  anyway?: true
  /** What does the same work where there is none of it: the first that is there and does such a step. */
  instead?: readonly StandIn[]
  usual: StationInput
}
/** What does the work of something else. */
export interface StandIn {
  /** Kinds that do it together. */
  on: readonly string[]
  /** How it is done then, as one says it, where that is otherwise than the step says. */
  how?: string
  /** How much longer it takes then: an estimate of ours. */
  slower?: number
  /** Only for steps in these words. */
  words?: RegExp
}
/** What is blended until nothing of it is left to see. */
const SMOOTH = /\b(?:smooth|pur[eé]e|fluffy|paste|hummus|sauce|soup|dressing)\b/i
/** A step that says nothing of the kind. */
const NOT_SMOOTH = new RegExp(`^(?!.*${SMOOTH.source})`, 'i')
const IN_A_POT: StandIn = { on: ['pot', 'burner'], how: 'in a pot' }
type Facts = Omit<Kind, 'one' | 'many' | 'usual'> & { many?: string }
const kind = (one: string, usual: StationInput, { many, ...facts }: Facts = {}): Kind => ({
  one,
  many: many ?? `${one}s`,
  ...facts,
  usual,
})
const machine = (id: string, name: string, more: Partial<StationInput> = {}): StationInput => ({
  id,
  name,
  zone: 'appliance',
  kind: id,
  ...more,
})

/** Every kind of station that a kitchen can be given, in the order in which they are offered. */
export const KINDS: Readonly<Record<string, Kind>> = {
  burner: kind('burner', burner('burner', 'Burner'), { size: 'cm across' }),
  oven: kind('oven', oven('oven', 'Oven', 2), { counted: 'shelves' }),
  'slow-cooker': kind(
    'slow cooker',
    machine('slow-cooker', 'Slow cooker', { size: 4, wash: { seconds: 180 } }),
    { size: 'litres', filled: true },
  ),
  'pressure-cooker': kind(
    'pressure cooker',
    machine('pressure-cooker', 'Pressure cooker', { size: 6, wash: { seconds: 150 } }),
    { size: 'litres', filled: true },
  ),
  'rice-cooker': kind(
    'rice cooker',
    machine('rice-cooker', 'Rice cooker', { size: 2, wash: { seconds: 90 } }),
    { size: 'litres', instead: [IN_A_POT] },
  ),
  'air-fryer': kind(
    'air fryer',
    machine('air-fryer', 'Air fryer', { size: 4, wash: { seconds: 120 } }),
    { size: 'litres' },
  ),
  microwave: kind('microwave', machine('microwave', 'Microwave'), {
    instead: [
      {
        on: ['frying-pan', 'burner'],
        how: 'in a dry pan',
        words: /\b(?:bread|flatbreads?|tortillas?|naans?|pitt?as?|wraps?|rolls|buns)\b/i,
      },
      IN_A_POT,
    ],
  }),
  processor: kind('processor', machine('processor', 'Food processor', { wash: { seconds: 90 } }), {
    instead: [
      { on: ['blender'], how: 'in a blender', words: SMOOTH },
      { on: ['stick-blender'], how: 'with a stick blender', words: SMOOTH },
      {
        on: ['bowl'],
        how: 'by hand in a bowl',
        slower: 2,
        words: /\b(?:flour|butter|dough|pastry)\b/i,
      },
      { on: ['board'], how: 'chopped finely by hand', slower: 3, words: NOT_SMOOTH },
    ],
  }),
  blender: kind('blender', machine('blender', 'Blender', { wash: { seconds: 30 } }), {
    instead: [{ on: ['stick-blender'] }],
  }),
  mixer: kind('mixer', machine('mixer', 'Mixer', { wash: { seconds: 60 } }), {
    instead: [{ on: ['bowl'], how: 'by hand in a bowl', slower: 1.5 }],
  }),
  'outdoor-grill': kind(
    'outdoor grill',
    machine('outdoor-grill', 'Outdoor grill', { walk: 1, wash: { seconds: 240 } }),
  ),
  pot: kind('pot', pot('pot', 'Pot', 5), { size: 'litres', filled: true }),
  'frying-pan': kind('frying pan', pan('frying-pan', 'Frying pan', 28), { size: 'cm across' }),
  tray: kind('tray', many('trays', 'Trays', 'tray', 2), {
    counted: 'trays',
    loose: true,
    shallow: true,
  }),
  'oven-dish': kind('oven dish', many('dishes', 'Oven dishes', 'oven-dish', 2), {
    many: 'oven dishes',
    counted: 'dishes',
    loose: true,
    shallow: true,
  }),
  tin: kind('tin', many('tins', 'Baking tins', 'tin', 1), { counted: 'tins', loose: true }),
  bowl: kind('bowl', many('bowls', 'Bowls', 'bowl', 4), {
    counted: 'bowls',
    loose: true,
    shallow: true,
  }),
  'stick-blender': kind(
    'stick blender',
    machine('stick-blender', 'Stick blender', { wash: { seconds: 30 } }),
    { instead: [{ on: ['blender'] }] },
  ),
  kettle: kind('kettle', machine('kettle', 'Kettle')),
  lid: kind('lid', many('lids', 'Lids', 'lid', 3), { counted: 'lids', loose: true }),
  colander: kind('colander', many('colander', 'Colander', 'colander', 1), { counted: 'of them' }),
  grater: kind('grater', many('grater', 'Grater', 'grater', 1), { counted: 'of them' }),
  board: kind('board', { id: 'board', name: 'Board', zone: 'bench', kind: 'board', wash: board }),
  bench: kind(
    'place to work at',
    { id: 'bench', name: 'Places to work at', zone: 'bench', kind: 'bench', capacity: 2 },
    { many: 'places to work at', counted: 'places', anyway: true },
  ),
  fridge: kind(
    'fridge',
    { id: 'fridge', name: 'Fridge', zone: 'cold', kind: 'fridge', capacity: 20 },
    { counted: 'litres free', anyway: true },
  ),
  freezer: kind(
    'freezer',
    { id: 'freezer', name: 'Freezer', zone: 'cold', kind: 'freezer', capacity: 30 },
    { counted: 'litres free', anyway: true },
  ),
}

/** Vessels and cookers that fill with what is put into them. */
export type Filled = 'pot' | 'slow-cooker' | 'pressure-cooker'
export const isFilled = (name: string): name is Filled => KINDS[name]?.filled === true

/** `oven dish`, also of a kind that only a recipe knows. */
export const kindWord = (name: string): string => KINDS[name]?.one ?? name.replace(/-/g, ' ')

/** `an oven dish`, also of a kind that only a recipe knows. */
export function oneOf(name: string): string {
  const word = kindWord(name)
  return `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
}
