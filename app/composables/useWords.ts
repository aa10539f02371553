import type { WorkKind } from '~~/core/recipe'
import { spanText } from './useClock'

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

/** `air-fryer` as one says it. */
export const kindWord = (kind: string) => kind.replace(/-/g, ' ')

/** `10 min`, `8–10 min`, `1 h 30`, `8 h 00–12 h 00`, from least and most minutes. */
export function minutesText(least: number, most: number): string {
  const short = (minutes: number) => String(Math.round(minutes * 10) / 10)
  if (most < 60) return `${least === most ? '' : `${short(least)}–`}${short(most)} min`
  const long = spanText(most * 60)
  return least === most ? long : `${spanText(least * 60)}–${long}`
}
