import type { RecipeInput } from '../../core/recipe'

const COOL =
  'Into the fridge or freezer within two hours of leaving the heat, in shallow boxes: warm food keeps germs growing. Follow local guidance.'
const STEAM =
  'Never force the lid, keep face and hands away from the steam, stay below the fill line: see the maker’s manual.'

export const braisedPork: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'braised-pork',
  name: 'Braised pork with apple and barley',
  mark: 'Pk',
  serves: 6,
  ingredients: [
    { id: 'pork', item: 'pork shoulder', amount: 900, unit: 'g', note: 'in large dice' },
    { id: 'apple', item: 'sharp apples', amount: 3, unit: 'piece' },
    { id: 'celery', item: 'celery', amount: 200, unit: 'g', instead: 'fennel' },
    { id: 'barley', item: 'pearl barley', amount: 180, unit: 'g' },
    { id: 'stock', item: 'stock', amount: 900, unit: 'ml' },
  ],
  steps: [
    {
      id: 'cut',
      do: 'Core the apples, cut apples and celery',
      work: 'cut',
      scale: 'each',
      uses: ['apple', 'celery'],
      ways: [{ id: 'knife', minutes: [5, 6, 8], on: [{ kind: 'board' }] }],
    },
    {
      id: 'season',
      do: 'Dry, season and flour the pork',
      work: 'season',
      scale: 'each',
      uses: ['pork'],
      caution:
        'Raw meat: wash board, knife and hands before anything else. Do not rinse the meat, it only spreads germs.',
      ways: [{ id: 'hand', minutes: [3, 4, 6], on: [{ kind: 'board' }] }],
    },
    {
      id: 'brown',
      do: 'Brown the pork on all sides',
      work: 'brown',
      after: [{ step: 'season', most: 45 }],
      panfuls: { pieces: 24, per28: 14 },
      caution: 'Hot fat spits: lower the pieces in away from you, and stay with the pan.',
      ways: [
        {
          id: 'pan',
          minutes: [5, 6, 8],
          on: [{ kind: 'burner', tags: ['large'] }, { kind: 'frying-pan' }],
        },
      ],
    },
    {
      id: 'braise',
      do: 'Braise the pork with apple, onions and barley',
      work: 'simmer',
      uses: ['barley', 'stock'],
      scale: 'once',
      takes: [{ base: 'soft-onions', batches: 0.25 }],
      after: [{ step: 'cut' }, { step: 'brown', most: 30 }],
      ways: [{ id: 'pot', label: 'in a pot', minutes: [70, 80, 110], on: [{ kind: 'burner' }] }],
    },
    {
      id: 'press',
      do: 'Cook the pork under pressure, then let it release by itself',
      work: 'pressure',
      uses: ['barley', 'stock'],
      takes: [{ base: 'soft-onions', batches: 0.25 }],
      after: [{ step: 'cut' }, { step: 'brown', most: 30 }],
      caution: STEAM,
      ways: [
        {
          id: 'cooker',
          label: 'in the pressure cooker',
          minutes: [52, 58, 75],
          on: [{ kind: 'pressure-cooker' }],
        },
      ],
    },
    {
      id: 'spread',
      do: 'Check the pork is tender and 63 °C inside or more, spread it in shallow boxes',
      work: 'assemble',
      hygiene: 'ready',
      after: [
        { step: 'braise', most: 15 },
        { step: 'press', most: 15 },
      ],
      ways: [{ id: 'ladle', minutes: [3, 4, 6] }],
    },
    {
      id: 'cool',
      do: 'Let the pork stop steaming',
      work: 'cool',
      after: [{ step: 'spread', most: 0 }],
      ways: [{ id: 'stand', minutes: [20, 25, 100] }],
    },
    {
      id: 'pack',
      do: 'Lid and label the pork',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      caution: COOL,
      ways: [{ id: 'boxes', minutes: [3, 4, 5] }],
    },
  ],
  keeps: [{ id: 'pot', vessel: { kind: 'pot' }, litres: 2.8, from: 'braise', to: 'braise' }],
  routes: [
    {
      id: 'way',
      options: [
        { id: 'hob', label: 'in a pot on the hob', steps: ['braise'] },
        { id: 'pressure', label: 'in the pressure cooker', steps: ['press'] },
      ],
    },
  ],
  leaves: [{ item: 'stock', amount: 300, unit: 'ml', days: 3 }],
  store: { place: 'freezer', litres: 2.2, days: 90 },
}

export const squashSoup: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'squash-soup',
  name: 'Squash and red lentil soup',
  mark: 'Sq',
  serves: 6,
  ingredients: [
    { id: 'squash', item: 'squash', amount: 1000, unit: 'g' },
    { id: 'lentil', item: 'red lentils', amount: 200, unit: 'g' },
    { id: 'stock', item: 'stock', amount: 1200, unit: 'ml' },
  ],
  steps: [
    {
      id: 'cut',
      do: 'Peel and dice the squash',
      ahead: { days: 3, how: 'in a bag in the fridge' },
      work: 'cut',
      scale: 'each',
      uses: ['squash'],
      ways: [{ id: 'knife', minutes: [8, 10, 14], on: [{ kind: 'board' }] }],
    },
    {
      id: 'simmer',
      do: 'Simmer squash, lentils and onions',
      work: 'simmer',
      scale: 'pot',
      uses: ['lentil', 'stock'],
      takes: [
        { base: 'soft-onions', batches: 0.25 },
        { base: 'roast-roots', batches: 0.25 },
      ],
      after: [{ step: 'cut' }],
      ways: [{ id: 'hob', minutes: [20, 22, 40], on: [{ kind: 'burner' }] }],
    },
    {
      id: 'blend',
      do: 'Blend the soup smooth',
      work: 'blend',
      scale: 'each',
      after: [{ step: 'simmer', most: 20 }],
      caution: 'Hot soup spits: blender head under the surface before it runs.',
      ways: [{ id: 'stick', minutes: [2, 3, 4], on: [{ kind: 'blender' }] }],
    },
    {
      id: 'cool',
      do: 'Let the soup stop steaming',
      work: 'cool',
      after: [{ step: 'blend', most: 0 }],
      ways: [{ id: 'stand', minutes: [25, 30, 100] }],
    },
    {
      id: 'pack',
      do: 'Bag the soup flat, with room to expand',
      work: 'pack',
      scale: 'each',
      after: [{ step: 'cool', most: 0 }],
      caution: COOL,
      ways: [{ id: 'bags', minutes: [2, 3, 4] }],
    },
  ],
  keeps: [{ id: 'pot', vessel: { kind: 'pot' }, litres: 2.6, from: 'simmer', to: 'pack' }],
  store: { place: 'freezer', litres: 2.4, days: 90 },
}

export const spicedChickpeas: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'spiced-chickpeas',
  name: 'Spiced chickpeas',
  mark: 'Ch',
  role: 'part',
  serves: 5,
  ingredients: [
    { id: 'chickpea', item: 'soaked chickpeas', amount: 500, unit: 'g' },
    {
      id: 'tomato',
      item: 'chopped tomatoes',
      amount: 800,
      unit: 'g',
      pack: { amount: 400, unit: 'g' },
    },
    { id: 'spice', item: 'toasting spices', amount: 2, unit: 'tbsp' },
  ],
  steps: [
    {
      id: 'toast',
      do: 'Toast and crush the spices',
      ahead: { days: 30, how: 'in a jar' },
      work: 'fry',
      uses: ['spice'],
      ways: [{ id: 'pan', minutes: [3, 4, 5], on: [{ kind: 'burner' }, { kind: 'frying-pan' }] }],
    },
    {
      id: 'cook',
      do: 'Cook the chickpeas until a squeezed one gives',
      work: 'simmer',
      uses: ['chickpea'],
      ways: [
        {
          id: 'hob',
          label: 'in a pot',
          minutes: [55, 65, 80],
          on: [{ kind: 'burner' }, { kind: 'pot', minSize: 3 }],
        },
        {
          id: 'pressure',
          label: 'in the pressure cooker',
          minutes: [32, 36, 45],
          on: [{ kind: 'pressure-cooker' }],
        },
      ],
      caution: STEAM,
    },
    {
      id: 'sauce',
      do: 'Simmer chickpeas, tomatoes, spices and onions together',
      work: 'simmer',
      scale: 'pot',
      uses: ['tomato'],
      takes: [{ base: 'soft-onions', batches: 0.25 }],
      after: [{ step: 'toast' }, { step: 'cook', most: 30 }],
      ways: [
        { id: 'hob', minutes: [12, 15, 30], on: [{ kind: 'burner' }, { kind: 'pot', minSize: 5 }] },
      ],
    },
    {
      id: 'cool',
      do: 'Let the chickpeas stop steaming',
      work: 'cool',
      after: [{ step: 'sauce', most: 10 }],
      ways: [{ id: 'boxes', minutes: [20, 25, 100], load: 2 }],
    },
    {
      id: 'pack',
      do: 'Lid and label the chickpeas',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      caution: COOL,
      ways: [{ id: 'boxes', minutes: [3, 4, 5] }],
    },
  ],
  store: { place: 'freezer', litres: 1.8, days: 90 },
}

export const brownRice: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'brown-rice',
  name: 'Brown rice with roots',
  mark: 'Br',
  role: 'part',
  serves: 6,
  ingredients: [
    { id: 'rice', item: 'brown rice', amount: 450, unit: 'g' },
    { id: 'water', item: 'water', amount: 900, unit: 'ml' },
  ],
  steps: [
    {
      id: 'rinse',
      do: 'Rinse and measure the rice',
      work: 'measure',
      uses: ['rice', 'water'],
      ways: [{ id: 'hand', minutes: [2, 3, 4] }],
    },
    {
      id: 'cook',
      do: 'Cook the rice',
      work: 'simmer',
      after: [{ step: 'rinse' }],
      ways: [
        {
          id: 'pot',
          label: 'in a pot',
          minutes: [28, 32, 36],
          on: [{ kind: 'burner' }, { kind: 'pot', minSize: 3 }],
        },
        {
          id: 'pressure',
          label: 'in the pressure cooker',
          minutes: [24, 28, 34],
          on: [{ kind: 'pressure-cooker' }],
        },
      ],
    },
    {
      id: 'spread',
      do: 'Spread the rice on a tray with the roots',
      work: 'assemble',
      hygiene: 'ready',
      takes: [{ base: 'roast-roots', batches: 0.25 }],
      after: [{ step: 'cook', most: 10 }],
      ways: [{ id: 'tray', minutes: [2, 3, 4] }],
    },
    {
      id: 'cool',
      do: 'Cool the rice on its tray',
      work: 'cool',
      after: [{ step: 'spread', most: 0 }],
      ways: [{ id: 'tray', minutes: [12, 15, 45], on: [{ kind: 'tray', amount: 1 }] }],
    },
    {
      id: 'pack',
      do: 'Box the rice and put it straight into the fridge',
      work: 'pack',
      after: [{ step: 'cool', most: 0 }],
      caution:
        'Cooked rice: cool it fast, keep it in the fridge a day or so at most, reheat it steaming hot. Spores that survive cooking grow in warm rice.',
      ways: [{ id: 'boxes', minutes: [2, 3, 4] }],
    },
  ],
  store: { place: 'fridge', litres: 2, days: 1 },
}

export const beetrootEggs: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'beetroot-eggs',
  name: 'Pickled beetroot eggs',
  mark: 'Be',
  role: 'part',
  serves: 6,
  ingredients: [
    { id: 'egg', item: 'eggs', amount: 12, unit: 'piece' },
    { id: 'beet', item: 'cooked beetroot', amount: 300, unit: 'g' },
    { id: 'vinegar', item: 'cider vinegar', amount: 300, unit: 'ml' },
  ],
  steps: [
    {
      id: 'boil',
      do: 'Boil the eggs hard',
      work: 'boil',
      uses: ['egg'],
      ways: [
        { id: 'hob', minutes: [11, 12, 13], on: [{ kind: 'burner' }, { kind: 'pot', minSize: 3 }] },
      ],
    },
    {
      id: 'ice',
      do: 'Leave the eggs in iced water',
      work: 'cool',
      after: [{ step: 'boil', most: 2 }],
      ways: [{ id: 'bowl', minutes: [10, 12, 40], on: [{ kind: 'bowl' }] }],
    },
    {
      id: 'brine',
      do: 'Bring vinegar, sugar and salt to the boil',
      ahead: { days: 7, how: 'covered, in the fridge' },
      work: 'boil',
      uses: ['vinegar'],
      ways: [
        { id: 'hob', minutes: [5, 6, 10], on: [{ kind: 'burner' }, { kind: 'pot', minSize: 3 }] },
      ],
    },
    {
      id: 'slice',
      do: 'Slice the beetroot',
      work: 'cut',
      hygiene: 'ready',
      uses: ['beet'],
      ways: [{ id: 'knife', minutes: [3, 4, 5], on: [{ kind: 'board' }] }],
    },
    {
      id: 'peel',
      do: 'Peel the eggs',
      work: 'assemble',
      hygiene: 'ready',
      scale: 'each',
      after: [{ step: 'ice', most: 60 }],
      ways: [{ id: 'hand', minutes: [5, 6, 9] }],
    },
    {
      id: 'pack',
      do: 'Layer eggs and beetroot in jars, cover with brine',
      work: 'pack',
      after: [{ step: 'peel' }, { step: 'slice' }, { step: 'brine', most: 60 }],
      caution: 'Fridge only, and eat within the days on the label: this is no shelf preserve.',
      ways: [{ id: 'jars', minutes: [4, 5, 7] }],
    },
  ],
  store: { place: 'fridge', litres: 1.8, days: 7 },
}
