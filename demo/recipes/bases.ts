import type { RecipeInput } from '../../core/recipe'

export const softOnions: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'soft-onions',
  name: 'Soft onions',
  mark: 'So',
  base: true,
  serves: 8,
  ingredients: [
    { id: 'onion', item: 'onions', amount: 800, unit: 'g' },
    { id: 'oil', item: 'rapeseed oil', amount: 40, unit: 'ml' },
    { id: 'salt', item: 'salt', amount: 1, unit: 'tsp' },
  ],
  steps: [
    {
      id: 'cut',
      do: 'Peel and slice the onions',
      work: 'cut',
      scale: 'each',
      uses: ['onion'],
      ways: [
        { id: 'knife', label: 'by knife', minutes: [7, 9, 12], on: [{ kind: 'board' }] },
        {
          id: 'machine',
          label: 'in the processor',
          minutes: [4, 5, 7],
          on: [{ kind: 'processor' }],
        },
      ],
    },
    {
      id: 'soften',
      do: 'Soften the onions, lid on, stirring now and then',
      work: 'soften',
      scale: 'pot',
      uses: ['oil', 'salt'],
      after: [{ step: 'cut' }],
      ways: [
        {
          id: 'pot',
          minutes: [20, 22, 32],
          on: [
            { kind: 'burner', tags: ['large'] },
            { kind: 'pot', minSize: 5 },
          ],
        },
      ],
    },
    {
      id: 'divide',
      do: 'Divide the onions between the dishes',
      work: 'assemble',
      hygiene: 'ready',
      after: [{ step: 'soften', most: 30 }],
      ways: [{ id: 'spoon', minutes: [2, 3, 4], on: [{ kind: 'bowl' }] }],
    },
  ],
}

export const roastRoots: RecipeInput = {
  format: 'cadrum/recipe@1',
  id: 'roast-roots',
  name: 'Roast roots',
  mark: 'Rr',
  base: true,
  serves: 6,
  ingredients: [
    { id: 'carrot', item: 'carrots', amount: 600, unit: 'g' },
    { id: 'parsnip', item: 'parsnips', amount: 500, unit: 'g' },
    { id: 'swede', item: 'swede', amount: 500, unit: 'g' },
    { id: 'oil', item: 'rapeseed oil', amount: 45, unit: 'ml' },
  ],
  steps: [
    {
      id: 'cut',
      do: 'Peel and cut the roots to thumb size',
      work: 'cut',
      scale: 'each',
      uses: ['carrot', 'parsnip', 'swede'],
      ways: [{ id: 'knife', minutes: [10, 13, 17], on: [{ kind: 'board' }] }],
    },
    {
      id: 'oil',
      do: 'Turn the roots in oil and spread them on trays',
      work: 'mix',
      hygiene: 'produce',
      uses: ['oil'],
      after: [{ step: 'cut' }],
      ways: [{ id: 'hand', minutes: [2, 3, 4] }],
    },
    {
      id: 'roast',
      do: 'Roast the roots until brown at the edges',
      work: 'bake',
      after: [{ step: 'oil', most: 60 }],
      caution: 'Hot trays: dry cloth, and steam when the door opens.',
      ways: [
        {
          id: 'oven',
          minutes: [34, 38, 44],
          on: [
            { kind: 'oven', amount: 1.5 },
            { kind: 'tray', amount: 1.5 },
          ],
          heat: { celsius: [210, 220] },
        },
      ],
    },
    {
      id: 'divide',
      do: 'Divide the roots between the dishes',
      work: 'assemble',
      hygiene: 'ready',
      after: [{ step: 'roast', most: 60 }],
      ways: [{ id: 'spoon', minutes: [2, 3, 4] }],
    },
  ],
}
