import { KINDS, oneOf, type Kitchen, type KitchenStation } from '../kitchen'
import { isStoodBeside, lowerFirst, type WorkKind } from '../recipe'

/** A station as one says it in a sentence: `the wide pan`, `a tray`, `the front left burner`. */
export function placeWords(id: string, kitchen: Kitchen): string {
  const station = kitchen.stations.find((s) => s.id === id)
  if (!station) return id
  const name = lowerFirst(station.name)
  if (station.kind === 'burner')
    return /\bburner|ring|hob\b/i.test(name) ? `the ${name}` : `the ${name} burner`
  if (isOneOfMany(station)) return oneOf(station.kind)
  return `the ${name}`
}

/** Bowls, trays and dishes are counted, not known one by one. */
const isOneOfMany = (s: KitchenStation) => s.capacity > 1 && KINDS[s.kind]?.loose === true

/** `the wide pan and the stock pot`. */
export const listed = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

/** How often what is minded wants a stir or a look, by the kind of work: estimates of ours. */
export const MINDING: Partial<Record<WorkKind, { kind: 'stir' | 'check'; text: string }>> = {
  soften: { kind: 'stir', text: 'Stir every two minutes or so' },
  simmer: { kind: 'stir', text: 'Look in every ten minutes and stir to the bottom' },
  boil: { kind: 'check', text: 'Keep it at a steady boil, and do not let it boil over' },
  grill: { kind: 'check', text: 'Stay beside the grill: it burns in a moment' },
  pressure: { kind: 'check', text: 'Once it is up to pressure, turn it down and keep it there' },
}

/** What is said when something comes off the heat, out of the oven, or is over. */
export const ENDING: Partial<Record<WorkKind, string>> = {
  bake: 'Out of the oven',
  grill: 'Out from under the grill',
  soften: 'Off the heat',
  boil: 'Off the heat',
  simmer: 'Off the heat',
  slow: 'Slow cooker off',
  pressure: 'Pressure cooker off',
  rest: 'Rested',
  cool: 'Cool enough',
  soak: 'Soaked',
  prove: 'Risen',
  chill: 'Out of the cold',
  heat: 'Hot',
}

const CUE = /\b(?:until|till) ([^.;()]+)/i

export const mindingOf = (work: WorkKind, seconds: number) =>
  isStoodBeside(work, seconds)
    ? { kind: 'stir' as const, text: 'Stay near it, and stir now and then' }
    : MINDING[work]

/** The cue for done that the words of a step give. */
export const cueIn = (text: string): string | undefined =>
  CUE.exec(text)?.[1]
    ?.replace(/,?\s+(?:about|for)?\s*\d+(?:\s*(?:-|–|to)\s*\d+)?\s*min\w*.*$/i, '')
    .trim()
