import { burner, KINDS, oven, pan, pot, type StationInput } from './kinds'
import type { KitchenInput } from './schema'

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
const usual = (kind: string) => KINDS[kind]!.usual
const take = (...kinds: string[]) => kinds.map(usual)

/** A few kitchens to start from. */
export const READY_KITCHENS: { title: string; about: string; kitchen: KitchenInput }[] = [
  {
    title: 'One oven, four burners',
    about: 'Three pots, two pans, a blender, fridge and freezer',
    kitchen: base('my-kitchen', 'My kitchen', [
      ...take('bench'),
      { ...usual('board'), id: 'board-1', name: 'Big board' },
      { ...usual('board'), id: 'board-2', name: 'Small board' },
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
      { ...usual('bench'), capacity: 1 },
      ...take('board'),
      burner('left', 'Left', true),
      burner('right', 'Right'),
      { ...oven('oven', 'Small oven', 1) },
      ...take('slow-cooker'),
      pot('big-pot', 'Big pot', 5),
      pot('small-pot', 'Small pot', 2),
      pan('pan', 'Frying pan', 26),
      { ...usual('tray'), capacity: 1 },
      { ...usual('oven-dish'), capacity: 1 },
      ...take('bowl', 'fridge'),
      { ...usual('freezer'), capacity: 10 },
    ]),
  },
  {
    title: 'Two ovens and many machines',
    about: 'Five burners, processor, pressure cooker, slow cooker, mixer',
    kitchen: base('my-kitchen', 'My kitchen', [
      { ...usual('bench'), capacity: 4 },
      { ...usual('board'), id: 'board-1', name: 'Big board' },
      { ...usual('board'), id: 'board-2', name: 'Second board' },
      { ...usual('board'), id: 'board-3', name: 'Small board' },
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
      { ...usual('tray'), capacity: 4 },
      { ...usual('oven-dish'), capacity: 4 },
      { ...usual('bowl'), capacity: 8 },
      { ...usual('fridge'), capacity: 40 },
      { ...usual('freezer'), capacity: 80 },
    ]),
  },
]

/** A station of a kind under an id and a name that the kitchen has not yet. */
export function newStation(
  kind: string,
  taken: readonly { id: string; name: string }[],
): StationInput {
  const model = usual(kind)
  for (let n = 1; ; n++) {
    const id = n === 1 ? kind : `${kind}-${n}`
    const name = n === 1 ? model.name : `${model.name} ${n}`
    if (!taken.some((s) => s.id === id || s.name === name)) return { ...model, id, name }
  }
}
