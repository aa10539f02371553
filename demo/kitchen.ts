import type { KitchenInput } from '../core/kitchen'

const board = {
  seconds: 60,
  between: { produce: { raw: 0, ready: 20 }, ready: { raw: 0, produce: 0 } },
}
const pan = { seconds: 90 }

/** The kitchen of Highfell, a made-up hill farm. */
export const highfell: KitchenInput = {
  format: 'cadrum/kitchen@1',
  id: 'highfell',
  name: 'Highfell',
  people: [
    { id: 'runa', name: 'Runa', practice: 'practised', skills: ['knife', 'heat', 'raw', 'simple'] },
    { id: 'teo', name: 'Teo', practice: 'learning', skills: ['knife', 'heat', 'simple'] },
    { id: 'ivo', name: 'Ivo', practice: 'helper', skills: ['simple'] },
  ],
  stations: [
    { id: 'bench', name: 'Bench', zone: 'bench', kind: 'bench', capacity: 3 },
    { id: 'big-board', name: 'Big board', zone: 'bench', kind: 'board', wash: board },
    { id: 'small-board', name: 'Small board', zone: 'bench', kind: 'board', wash: board },
    { id: 'front-left', name: 'Front left', zone: 'hob', kind: 'burner', tags: ['large'] },
    { id: 'front-right', name: 'Front right', zone: 'hob', kind: 'burner', tags: ['large'] },
    { id: 'back-left', name: 'Back left', zone: 'hob', kind: 'burner' },
    { id: 'back-right', name: 'Back right', zone: 'hob', kind: 'burner' },
    {
      id: 'oven',
      name: 'Oven',
      zone: 'oven',
      kind: 'oven',
      capacity: 2,
      oven: {
        min: 60,
        max: 240,
        start: 20,
        heatSecondsPerDegree: 4,
        coolSecondsPerDegree: 9,
        methods: ['bake', 'grill'],
      },
    },
    {
      id: 'slow-cooker',
      name: 'Slow cooker',
      zone: 'appliance',
      kind: 'slow-cooker',
      size: 6,
      wash: { seconds: 180 },
    },
    {
      id: 'pressure-cooker',
      name: 'Pressure cooker',
      zone: 'appliance',
      kind: 'pressure-cooker',
      size: 6,
      wash: { seconds: 150 },
    },
    {
      id: 'stick-blender',
      name: 'Stick blender',
      zone: 'appliance',
      kind: 'blender',
      wash: { seconds: 30 },
    },
    {
      id: 'processor',
      name: 'Processor',
      zone: 'appliance',
      kind: 'processor',
      wash: { seconds: 90 },
    },
    {
      id: 'stock-pot',
      name: 'Stock pot',
      zone: 'vessel',
      kind: 'pot',
      size: 9,
      wash: { seconds: 120 },
    },
    {
      id: 'middle-pot',
      name: 'Middle pot',
      zone: 'vessel',
      kind: 'pot',
      size: 5,
      wash: { seconds: 90 },
    },
    {
      id: 'small-pot',
      name: 'Small pot',
      zone: 'vessel',
      kind: 'pot',
      size: 3,
      wash: { seconds: 60 },
    },
    { id: 'wide-pan', name: 'Wide pan', zone: 'vessel', kind: 'frying-pan', size: 30, wash: pan },
    { id: 'black-pan', name: 'Black pan', zone: 'vessel', kind: 'frying-pan', size: 26, wash: pan },
    { id: 'trays', name: 'Trays', zone: 'vessel', kind: 'tray', capacity: 4 },
    { id: 'dishes', name: 'Oven dishes', zone: 'vessel', kind: 'oven-dish', capacity: 3 },
    { id: 'bowls', name: 'Bowls', zone: 'vessel', kind: 'bowl', capacity: 5 },
    { id: 'fridge', name: 'Fridge', zone: 'cold', kind: 'fridge', capacity: 12 },
    { id: 'freezer', name: 'Chest freezer', zone: 'cold', kind: 'freezer', capacity: 60 },
  ],
  handWash: {
    raw: { ready: 60, produce: 60, neutral: 60 },
    produce: { ready: 20 },
  },
}
