import { packSchema, type Pack } from './schema'

/** A pack of a made-up dish, to be changed as a test wants it. */
export const packed = (dish: string, portions: number, more: Partial<Pack> = {}): Pack =>
  packSchema.parse({
    format: 'cadrum/pack@1',
    id: `${dish}-${more.place ?? 'fridge'}-${portions}`,
    dish,
    name: dish,
    mark: 'Xx',
    portions,
    is: 'cooked',
    cooked: '2027-03-20',
    at: '2027-03-20T13:00',
    place: 'fridge',
    keeps: { fridge: 3, freezer: 90, shelf: 0 },
    because: 'a test says so',
    litres: portions * 0.4,
    moves: [],
    ...more,
  })
