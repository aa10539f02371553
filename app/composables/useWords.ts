import type { WorkKind } from '~~/core/recipe'

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

/** `10 min`, `8–10 min`, `1 h 30`, `8 h–12 h`, from least and most minutes. */
export function minutesText(least: number, most: number): string {
  const hours = most >= 60
  const one = (minutes: number) => {
    if (!hours || minutes < 60) return `${Math.round(minutes * 10) / 10}${hours ? ' min' : ''}`
    const whole = Math.round(minutes)
    const rest = whole % 60
    return `${Math.floor(whole / 60)} h${rest ? ` ${String(rest).padStart(2, '0')}` : ''}`
  }
  const text = least === most ? one(most) : `${one(least)}–${one(most)}`
  return hours ? text : `${text} min`
}
