import type { Kitchen } from '~~/core/kitchen'
import type { WorkKind } from '~~/core/recipe'
import type { CompiledSession } from '~~/core/session'
import { clockTime, spanText } from './useClock'

/** What a cook calls the kinds of work. */
export const WORK_WORDS: Record<WorkKind, string> = {
  cut: 'Cut',
  measure: 'Measure',
  mix: 'Mix',
  assemble: 'Put together',
  season: 'Season raw',
  shape: 'Shape',
  brown: 'Brown',
  fry: 'Fry',
  drain: 'Drain, rinse',
  blend: 'Blend',
  pack: 'Pack',
  soften: 'Soften',
  boil: 'Boil',
  simmer: 'Simmer',
  bake: 'Bake',
  grill: 'Grill',
  pressure: 'Pressure-cook',
  slow: 'Slow-cook',
  heat: 'Heat up',
  rest: 'Rest',
  cool: 'Cool',
  soak: 'Soak',
  prove: 'Prove',
  chill: 'Chill',
}

/** What a piece of work is called in the logbook, whatever it was. */
export const workWords = (work: string): string =>
  WORK_WORDS[work as WorkKind] ??
  { wash: 'Wash up', 'wash-hands': 'Wash hands', oven: 'Set the oven', break: 'Sit down' }[work] ??
  'Look and put away'

/** `10 min`, `8–10 min`, `1 h 30`, `8 h 00–12 h 00`, from least and most minutes. */
export function minutesText(least: number, most: number): string {
  const short = (minutes: number) => String(Math.round(minutes * 10) / 10)
  if (most < 60) return `${least === most ? '' : `${short(least)}–`}${short(most)} min`
  const long = spanText(most * 60)
  return least === most ? long : `${spanText(least * 60)}–${long}`
}

/**
 * What the planner says of a session, which knows steps, cooks and stations by their ids in quotes, as
 * the kitchen calls them, and its seconds as times of the day and spans. What is no id of theirs stays.
 */
export function inKitchenWords(
  words: string,
  { cards, dishes }: Pick<CompiledSession, 'cards' | 'dishes'>,
  { people, stations }: Pick<Kitchen, 'people' | 'stations'>,
  start: string,
): string {
  const spoken = words
    // Which ends of the two a wait is between, in a planner's letters.
    .replace(/ \((?:FS|SS|FF|SF)\)/g, '')
    .replace(/\b(at|from|to) (\d+) s\b/g, (_, when, s) => `${when} ${clockTime(start, Number(s))}`)
    .replace(/\b(\d+) s\b/g, (_, s) => spanText(Number(s)))
  return spoken.replace(/"([^"]+)"(?: \(([^)]+)\))?/g, (whole, id: string, mode?: string) => {
    const rest = mode === undefined ? '' : ` (${mode})`
    const card = cards[id]
    if (!card) {
      const known = people.find((p) => p.id === id) ?? stations.find((s) => s.id === id)
      return known ? known.name + rest : whole
    }
    const dish = dishes.find((d) => d.id === card.dish)?.name
    const way = mode === undefined ? undefined : card.ways[mode]
    return `“${card.text}”${dish ? ` of ${dish}` : ''}${way === undefined ? rest : ` (${way})`}`
  })
}
