import type { KitchenInput } from './schema'

type StationInput = KitchenInput['stations'][number]

const board = {
  seconds: 60,
  between: { produce: { raw: 0, ready: 20 }, ready: { raw: 0, produce: 0 } },
}
const burner = (id: string, name: string, large = false): StationInput => ({
  id,
  name,
  zone: 'hob',
  kind: 'burner',
  ...(large ? { tags: ['large'] } : {}),
})
const oven = (id: string, name: string, shelves: number): StationInput => ({
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
const pot = (id: string, name: string, litres: number): StationInput => ({
  id,
  name,
  zone: 'vessel',
  kind: 'pot',
  size: litres,
  wash: { seconds: 60 + 8 * litres },
})
const pan = (id: string, name: string, size: number): StationInput => ({
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

/** What can be added to a kitchen, as it is usually found. */
export const STATION_KINDS: Record<string, StationInput> = {
  burner: burner('burner', 'Burner'),
  oven: oven('oven', 'Oven', 2),
  'slow-cooker': {
    id: 'slow-cooker',
    name: 'Slow cooker',
    zone: 'appliance',
    kind: 'slow-cooker',
    size: 4,
    wash: { seconds: 180 },
  },
  'pressure-cooker': {
    id: 'pressure-cooker',
    name: 'Pressure cooker',
    zone: 'appliance',
    kind: 'pressure-cooker',
    size: 6,
    wash: { seconds: 150 },
  },
  'rice-cooker': {
    id: 'rice-cooker',
    name: 'Rice cooker',
    zone: 'appliance',
    kind: 'rice-cooker',
    size: 2,
    wash: { seconds: 90 },
  },
  'air-fryer': {
    id: 'air-fryer',
    name: 'Air fryer',
    zone: 'appliance',
    kind: 'air-fryer',
    size: 4,
    wash: { seconds: 120 },
  },
  microwave: { id: 'microwave', name: 'Microwave', zone: 'appliance', kind: 'microwave' },
  processor: {
    id: 'processor',
    name: 'Food processor',
    zone: 'appliance',
    kind: 'processor',
    wash: { seconds: 90 },
  },
  blender: {
    id: 'blender',
    name: 'Blender',
    zone: 'appliance',
    kind: 'blender',
    wash: { seconds: 30 },
  },
  mixer: { id: 'mixer', name: 'Mixer', zone: 'appliance', kind: 'mixer', wash: { seconds: 60 } },
  'outdoor-grill': {
    id: 'outdoor-grill',
    name: 'Outdoor grill',
    zone: 'appliance',
    kind: 'outdoor-grill',
    walk: 1,
    wash: { seconds: 240 },
  },
  pot: pot('pot', 'Pot', 5),
  'frying-pan': pan('frying-pan', 'Frying pan', 28),
  tray: many('trays', 'Trays', 'tray', 2),
  'oven-dish': many('dishes', 'Oven dishes', 'oven-dish', 2),
  bowl: many('bowls', 'Bowls', 'bowl', 4),
  'stick-blender': {
    id: 'stick-blender',
    name: 'Stick blender',
    zone: 'appliance',
    kind: 'stick-blender',
    wash: { seconds: 30 },
  },
  kettle: { id: 'kettle', name: 'Kettle', zone: 'appliance', kind: 'kettle' },
  lid: many('lids', 'Lids', 'lid', 3),
  colander: many('colander', 'Colander', 'colander', 1),
  grater: many('grater', 'Grater', 'grater', 1),
  board: { id: 'board', name: 'Board', zone: 'bench', kind: 'board', wash: board },
  bench: { id: 'bench', name: 'Places to work at', zone: 'bench', kind: 'bench', capacity: 2 },
  fridge: { id: 'fridge', name: 'Fridge', zone: 'cold', kind: 'fridge', capacity: 20 },
  freezer: { id: 'freezer', name: 'Freezer', zone: 'cold', kind: 'freezer', capacity: 30 },
}

const hand = {
  raw: { ready: 60, produce: 60, neutral: 60 },
  produce: { ready: 20 },
}
const me: KitchenInput['people'] = [
  { id: 'me', name: 'Me', practice: 'practised', skills: ['knife', 'heat', 'raw', 'simple'] },
]
const base = (id: string, name: string, stations: StationInput[]): KitchenInput => ({
  format: 'cadrum/kitchen@1',
  id,
  name,
  people: me,
  stations,
  handWash: hand,
})
const take = (...kinds: string[]) => kinds.map((k) => STATION_KINDS[k]!)

/** A few kitchens to start from. */
export const READY_KITCHENS: { title: string; about: string; kitchen: KitchenInput }[] = [
  {
    title: 'One oven, four burners',
    about: 'Three pots, two pans, a blender, fridge and freezer',
    kitchen: base('my-kitchen', 'My kitchen', [
      ...take('bench'),
      { ...STATION_KINDS['board']!, id: 'board-1', name: 'Big board' },
      { ...STATION_KINDS['board']!, id: 'board-2', name: 'Small board' },
      burner('front-left', 'Front left', true),
      burner('front-right', 'Front right', true),
      burner('back-left', 'Back left'),
      burner('back-right', 'Back right'),
      ...take('oven', 'blender'),
      pot('big-pot', 'Big pot', 8),
      pot('middle-pot', 'Middle pot', 4),
      pot('small-pot', 'Small pot', 2),
      pan('wide-pan', 'Wide pan', 28),
      pan('small-pan', 'Small pan', 24),
      ...take('tray', 'oven-dish', 'bowl', 'fridge', 'freezer'),
    ]),
  },
  {
    title: 'A small kitchen',
    about: 'Two burners, a small oven, a slow cooker, two pots and a pan',
    kitchen: base('my-kitchen', 'My kitchen', [
      { ...STATION_KINDS['bench']!, capacity: 1 },
      ...take('board'),
      burner('left', 'Left', true),
      burner('right', 'Right'),
      { ...oven('oven', 'Small oven', 1) },
      ...take('slow-cooker'),
      pot('big-pot', 'Big pot', 5),
      pot('small-pot', 'Small pot', 2),
      pan('pan', 'Frying pan', 26),
      { ...STATION_KINDS['tray']!, capacity: 1 },
      { ...STATION_KINDS['oven-dish']!, capacity: 1 },
      ...take('bowl', 'fridge'),
      { ...STATION_KINDS['freezer']!, capacity: 10 },
    ]),
  },
  {
    title: 'Two ovens and many machines',
    about: 'Five burners, processor, pressure cooker, slow cooker, mixer',
    kitchen: base('my-kitchen', 'My kitchen', [
      { ...STATION_KINDS['bench']!, capacity: 4 },
      { ...STATION_KINDS['board']!, id: 'board-1', name: 'Big board' },
      { ...STATION_KINDS['board']!, id: 'board-2', name: 'Second board' },
      { ...STATION_KINDS['board']!, id: 'board-3', name: 'Small board' },
      burner('front-left', 'Front left', true),
      burner('front-right', 'Front right', true),
      burner('middle', 'Middle', true),
      burner('back-left', 'Back left'),
      burner('back-right', 'Back right'),
      oven('oven-1', 'Upper oven', 2),
      oven('oven-2', 'Lower oven', 2),
      ...take('slow-cooker', 'pressure-cooker', 'processor', 'blender', 'mixer'),
      pot('stock-pot', 'Stock pot', 10),
      pot('big-pot', 'Big pot', 6),
      pot('middle-pot', 'Middle pot', 4),
      pot('small-pot', 'Small pot', 2),
      pan('wide-pan', 'Wide pan', 30),
      pan('middle-pan', 'Middle pan', 26),
      pan('small-pan', 'Small pan', 22),
      { ...STATION_KINDS['tray']!, capacity: 4 },
      { ...STATION_KINDS['oven-dish']!, capacity: 4 },
      { ...STATION_KINDS['bowl']!, capacity: 8 },
      { ...STATION_KINDS['fridge']!, capacity: 40 },
      { ...STATION_KINDS['freezer']!, capacity: 80 },
    ]),
  },
]

/** A station of a kind under an id and a name that the kitchen has not yet. */
export function newStation(
  kind: string,
  taken: readonly { id: string; name: string }[],
): StationInput {
  const model = STATION_KINDS[kind]!
  for (let n = 1; ; n++) {
    const id = n === 1 ? kind : `${kind}-${n}`
    const name = n === 1 ? model.name : `${model.name} ${n}`
    if (!taken.some((s) => s.id === id || s.name === name)) return { ...model, id, name }
  }
}
