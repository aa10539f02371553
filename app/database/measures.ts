import { measuresSchema, type Measures } from '~~/core/quantity'

/** The setting that says how the household measures and tells the time. */
export const MEASURES = 'measures'

/** What is kept of it; undefined where nothing is, or nothing that makes sense. */
export function measuresIn(text: string | undefined): Measures | undefined {
  try {
    return measuresSchema.parse(JSON.parse(text ?? ''))
  } catch {
    return undefined
  }
}
