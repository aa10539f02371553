import { isFilled, KINDS, type KitchenStation } from '~~/core/kitchen'
import { mostLitres } from '~~/core/recipe'
import { heatRange } from './useMeasures'

/** Degrees Celsius from cold to 200: what a cook knows of an oven is how long this takes. */
const TO_HOT = 180

/** Minutes that an oven takes from cold to 200 °C, to a tenth. */
export const warmUp = (oven: NonNullable<KitchenStation['oven']>): number =>
  Math.round((oven.heatSecondsPerDegree * TO_HOT) / 6) / 10

/** The same oven, so many minutes from cold to 200 °C; how much more slowly it cools stays as it was. */
export function withWarmUp(
  oven: NonNullable<KitchenStation['oven']>,
  minutes: number,
): NonNullable<KitchenStation['oven']> {
  const heatSecondsPerDegree = Math.round((minutes * 6000) / TO_HOT) / 100
  const ratio =
    oven.heatSecondsPerDegree > 0 ? oven.coolSecondsPerDegree / oven.heatSecondsPerDegree : 2
  const coolSecondsPerDegree = Math.min(60, Math.round(heatSecondsPerDegree * ratio * 100) / 100)
  return { ...oven, heatSecondsPerDegree, coolSecondsPerDegree }
}

/** How much may go into what boils over or must not be full, with the source; else undefined. */
export const mostIn = ({ kind, size }: KitchenStation) =>
  size !== undefined && isFilled(kind) ? mostLitres(kind, size) : undefined

/** What one wants to know of a place at a glance: `6 litres, holds 4`, `2 shelves, 50–250 °C, grill`. */
export function stationWords(station: KitchenStation): string {
  const { size, counted } = KINDS[station.kind] ?? {}
  const most = mostIn(station)?.most
  const { oven } = station
  return [
    size && station.size !== undefined && `${station.size} ${size}`,
    most !== undefined && `holds ${most}`,
    counted && `${station.capacity} ${counted}`,
    station.tags.includes('large') && 'strong',
    oven && heatRange([oven.min, oven.max]),
    oven?.methods.includes('grill') && 'grill',
    oven && `hot in ${warmUp(oven)} min`,
    station.walk && `a walk of ${station.walk} min`,
  ]
    .filter(Boolean)
    .join(', ')
}
