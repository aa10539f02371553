import type { RecipeInput } from '../../core/recipe'

const COOL =
  'Into the fridge or freezer within two hours of leaving the oven: warm food keeps germs growing. Follow local guidance.'
const HOT = 'Hot dish, hot door: dry cloth, and let the steam out first.'

export const fishPie: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'fish-pie',
  name: 'Smoked fish and leek pie',
  mark: 'Fp',
  serves: 5,
  ingredients: [
    { id: 'fish', item: 'smoked white fish', amount: 600, unit: 'g' },
    { id: 'leek', item: 'leeks', amount: 400, unit: 'g' },
    { id: 'potato', item: 'floury potatoes', amount: 1000, unit: 'g' },
    { id: 'milk', item: 'milk', amount: 500, unit: 'ml' },
    { id: 'flour', item: 'flour', amount: 50, unit: 'g' },
  ],
  steps: [
    {
      id: 'peel',
      do: 'Peel and cut the potatoes',
      work: 'cut',
      scale: 'each',
      uses: ['potato'],
      ways: [{ id: 'knife', minutes: [6, 7, 10], on: [{ kind: 'board' }] }],
    },
    {
      id: 'boil',
      do: 'Boil the potatoes',
      work: 'boil',
      scale: 'pot',
      after: [{ step: 'peel' }],
      ways: [{ id: 'hob', minutes: [16, 18, 22], on: [{ kind: 'burner' }] }],
    },
    {
      id: 'mash',
      do: 'Drain and mash the potatoes',
      work: 'drain',
      hygiene: 'ready',
      after: [{ step: 'boil', most: 5 }],
      caution: 'Pour boiling water away from you: the steam scalds.',
      ways: [{ id: 'hand', minutes: [4, 5, 6] }],
    },
    {
      id: 'slice',
      do: 'Wash and slice the leeks',
      work: 'cut',
      scale: 'each',
      uses: ['leek'],
      ways: [{ id: 'knife', minutes: [4, 5, 7], on: [{ kind: 'board' }] }],
    },
    {
      id: 'poach',
      do: 'Poach the fish in the milk',
      work: 'simmer',
      uses: ['fish', 'milk'],
      hygiene: 'raw',
      ways: [{ id: 'hob', minutes: [8, 9, 11], on: [{ kind: 'burner' }, { kind: 'frying-pan' }] }],
    },
    {
      id: 'flake',
      do: 'Lift out and flake the fish, feeling for bones',
      work: 'assemble',
      hygiene: 'ready',
      after: [{ step: 'poach', least: 3, most: 40 }],
      ways: [{ id: 'hand', minutes: [4, 5, 7] }],
    },
    {
      id: 'sauce',
      do: 'Soften the leeks and stir up the sauce',
      work: 'fry',
      hygiene: 'ready',
      uses: ['flour'],
      after: [{ step: 'slice' }, { step: 'poach' }],
      ways: [
        { id: 'hob', minutes: [8, 9, 12], on: [{ kind: 'burner' }, { kind: 'pot', minSize: 3 }] },
      ],
    },
    {
      id: 'build',
      do: 'Build the pie',
      work: 'assemble',
      hygiene: 'ready',
      after: [{ step: 'mash', most: 40 }, { step: 'flake' }, { step: 'sauce', most: 40 }],
      ways: [{ id: 'dish', minutes: [4, 5, 6], on: [{ kind: 'bench' }, { kind: 'oven-dish' }] }],
    },
    {
      id: 'bake',
      do: 'Bake the pie until it bubbles',
      work: 'bake',
      after: [{ step: 'build', most: 45 }],
      caution: HOT,
      ways: [
        {
          id: 'oven',
          minutes: [28, 30, 36],
          on: [{ kind: 'oven', amount: 1 }, { kind: 'oven-dish' }],
          heat: { celsius: [190, 200] },
        },
      ],
    },
    {
      id: 'cool',
      do: 'Cool the pie',
      work: 'cool',
      after: [{ step: 'bake', most: 0 }],
      ways: [{ id: 'rack', minutes: [30, 35, 100] }],
    },
    {
      id: 'pack',
      do: 'Portion, wrap and label the pie',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      caution: COOL,
      ways: [{ id: 'trays', minutes: [4, 5, 7] }],
    },
  ],
  keeps: [
    {
      id: 'pot',
      vessel: { kind: 'pot', contents: 'fish-pie-potatoes' },
      litres: 2.5,
      from: 'boil',
      to: 'build',
    },
  ],
  store: { place: 'freezer', litres: 2.5, days: 60 },
}

export const turkeyPatties: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'turkey-patties',
  name: 'Turkey patties',
  mark: 'Tp',
  role: 'part',
  serves: 4,
  ingredients: [
    { id: 'turkey', item: 'minced turkey', amount: 700, unit: 'g' },
    { id: 'courgette', item: 'courgette', amount: 200, unit: 'g' },
    { id: 'oats', item: 'rolled oats', amount: 60, unit: 'g' },
  ],
  steps: [
    {
      id: 'grate',
      do: 'Grate and squeeze the courgette',
      work: 'cut',
      scale: 'each',
      uses: ['courgette'],
      ways: [{ id: 'hand', minutes: [2, 3, 4], on: [{ kind: 'board' }] }],
    },
    {
      id: 'shape',
      do: 'Mix and shape the patties',
      work: 'shape',
      scale: 'each',
      uses: ['turkey', 'oats'],
      after: [{ step: 'grate', most: 60 }],
      caution: 'Raw mince: wash hands, bowl and board before touching anything else.',
      ways: [{ id: 'hand', minutes: [6, 7, 9], on: [{ kind: 'board' }, { kind: 'bowl' }] }],
    },
    {
      id: 'fry',
      do: 'Brown the patties, turning once',
      work: 'brown',
      after: [{ step: 'shape', most: 40 }],
      panfuls: { pieces: 10, per28: 6 },
      caution: 'Poultry is done at 74 °C in the middle: check one of each panful.',
      ways: [
        {
          id: 'pan',
          minutes: [8, 9, 11],
          on: [{ kind: 'burner', tags: ['large'] }, { kind: 'frying-pan' }],
        },
      ],
    },
    {
      id: 'cool',
      do: 'Cool the patties on a rack',
      work: 'cool',
      after: [{ step: 'fry', most: 30 }],
      ways: [{ id: 'rack', minutes: [12, 15, 90] }],
    },
    {
      id: 'pack',
      do: 'Bag the patties in layers',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      caution: COOL,
      ways: [{ id: 'bags', minutes: [3, 4, 5] }],
    },
  ],
  store: { place: 'freezer', litres: 1.4, days: 90 },
}

export const beanBake: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'bean-bake',
  name: 'Butter bean and fennel bake',
  mark: 'Bf',
  serves: 5,
  ingredients: [
    { id: 'bean', item: 'cooked butter beans', amount: 800, unit: 'g' },
    { id: 'fennel', item: 'fennel', amount: 2, unit: 'piece' },
    { id: 'crumb', item: 'breadcrumbs', amount: 120, unit: 'g' },
  ],
  steps: [
    {
      id: 'slice',
      do: 'Slice the fennel thinly',
      work: 'cut',
      scale: 'each',
      uses: ['fennel'],
      caution: 'On a slicer use the guard: the last slice is where fingers go.',
      ways: [{ id: 'knife', minutes: [5, 6, 8], on: [{ kind: 'board' }] }],
    },
    {
      id: 'build',
      do: 'Layer beans, fennel, onions and roots, crumbs on top',
      work: 'assemble',
      uses: ['bean', 'crumb'],
      takes: [
        { base: 'soft-onions', batches: 0.25 },
        { base: 'roast-roots', batches: 0.25 },
      ],
      after: [{ step: 'slice' }],
      ways: [{ id: 'dish', minutes: [4, 5, 7], on: [{ kind: 'bench' }, { kind: 'oven-dish' }] }],
    },
    {
      id: 'bake',
      do: 'Bake until the crumbs are brown',
      work: 'bake',
      after: [{ step: 'build', most: 60 }],
      caution: HOT,
      ways: [
        {
          id: 'oven',
          minutes: [38, 42, 48],
          on: [{ kind: 'oven', amount: 1 }, { kind: 'oven-dish' }],
          heat: { celsius: [170, 180] },
        },
      ],
    },
    {
      id: 'cool',
      do: 'Cool the bake',
      work: 'cool',
      after: [{ step: 'bake', most: 0 }],
      ways: [{ id: 'rack', minutes: [25, 30, 100] }],
    },
    {
      id: 'pack',
      do: 'Portion and label the bake',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      caution: COOL,
      ways: [{ id: 'boxes', minutes: [4, 5, 6] }],
    },
  ],
  store: { place: 'fridge', litres: 2.4, days: 3 },
}

export const oatBars: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'oat-bars',
  name: 'Oat and date bars',
  mark: 'Od',
  role: 'extra',
  serves: 16,
  ingredients: [
    { id: 'date', item: 'dates', amount: 300, unit: 'g' },
    { id: 'oats', item: 'rolled oats', amount: 350, unit: 'g' },
    { id: 'butter', item: 'butter', amount: 180, unit: 'g' },
    { id: 'honey', item: 'honey', amount: 120, unit: 'g' },
  ],
  steps: [
    {
      id: 'chop',
      do: 'Chop the dates',
      work: 'cut',
      hygiene: 'ready',
      scale: 'each',
      uses: ['date'],
      ways: [
        { id: 'knife', label: 'by knife', minutes: [5, 6, 8], on: [{ kind: 'board' }] },
        {
          id: 'machine',
          label: 'in the processor',
          minutes: [2, 2, 3],
          on: [{ kind: 'processor' }],
        },
      ],
    },
    {
      id: 'melt',
      do: 'Melt butter and honey',
      work: 'soften',
      uses: ['butter', 'honey'],
      ways: [
        { id: 'hob', minutes: [4, 5, 8], on: [{ kind: 'burner' }, { kind: 'pot', minSize: 3 }] },
      ],
    },
    {
      id: 'press',
      do: 'Stir oats and dates in, press into the tray',
      work: 'mix',
      hygiene: 'ready',
      uses: ['oats'],
      after: [{ step: 'chop' }, { step: 'melt', most: 20 }],
      ways: [
        { id: 'tray', minutes: [4, 5, 7], on: [{ kind: 'bench' }, { kind: 'tray', amount: 1 }] },
      ],
    },
    {
      id: 'bake',
      do: 'Bake the bars golden',
      work: 'bake',
      after: [{ step: 'press', most: 60 }],
      caution: HOT,
      ways: [
        {
          id: 'oven',
          minutes: [22, 25, 29],
          on: [
            { kind: 'oven', amount: 1 },
            { kind: 'tray', amount: 1 },
          ],
          heat: { celsius: [160, 170] },
        },
      ],
    },
    {
      id: 'cool',
      do: 'Leave the bars to set',
      work: 'cool',
      after: [{ step: 'bake', most: 0 }],
      ways: [{ id: 'tray', minutes: [30, 40, 240], on: [{ kind: 'tray', amount: 1 }] }],
    },
    {
      id: 'pack',
      do: 'Cut and box the bars',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      ways: [{ id: 'box', minutes: [4, 5, 6], on: [{ kind: 'board' }] }],
    },
  ],
  store: { place: 'shelf', litres: 2, days: 10 },
}

export const sodaBread: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'soda-bread',
  name: 'Soda bread',
  mark: 'Sb',
  role: 'extra',
  serves: 8,
  ingredients: [
    { id: 'flour', item: 'wholemeal flour', amount: 450, unit: 'g' },
    { id: 'buttermilk', item: 'buttermilk', amount: 400, unit: 'ml' },
    { id: 'soda', item: 'baking soda', amount: 1.5, unit: 'tsp' },
  ],
  steps: [
    {
      id: 'mix',
      do: 'Stir the dough together and shape the loaf',
      work: 'mix',
      hygiene: 'ready',
      scale: 'pot',
      uses: ['flour', 'buttermilk', 'soda'],
      ways: [{ id: 'hand', minutes: [6, 7, 9], on: [{ kind: 'bench' }, { kind: 'bowl' }] }],
    },
    {
      id: 'bake',
      do: 'Bake until it sounds hollow underneath',
      work: 'bake',
      after: [{ step: 'mix', most: 10 }],
      caution: HOT,
      ways: [
        {
          id: 'oven',
          minutes: [34, 37, 42],
          on: [
            { kind: 'oven', amount: 0.5 },
            { kind: 'tray', amount: 0.5 },
          ],
          heat: { celsius: [200, 210] },
        },
      ],
    },
    {
      id: 'cool',
      do: 'Cool the bread on a rack',
      work: 'cool',
      after: [{ step: 'bake', most: 0 }],
      ways: [{ id: 'rack', minutes: [35, 40, 300] }],
    },
    {
      id: 'pack',
      do: 'Slice and bag the bread',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      ways: [{ id: 'bags', minutes: [3, 4, 5], on: [{ kind: 'board' }] }],
    },
  ],
  store: { place: 'freezer', litres: 3, days: 60 },
}
