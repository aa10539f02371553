import { counted } from '../quantity'
import type { Reading } from '../reading'
import type { Recipe, Step } from './schema'
import { lawOf } from './work'

export type Kind = NonNullable<Recipe['variants']>['kinds'][number]

const EXAMPLE = 'mild 1/4, smoky, lemon'
const SHARE = /\s+(?:(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?)\s*%|([¼½¾⅓⅔]))$/
const SIGNS: Record<string, number> = { '¼': 1 / 4, '½': 1 / 2, '¾': 3 / 4, '⅓': 1 / 3, '⅔': 2 / 3 }

/**
 * Whether a dish can be split at a step: hands do it, and its time goes with how much there is. What
 * cooks takes its whole time however little it is, and panfuls are portions already.
 */
export const canSplit = (step: Step): boolean =>
  lawOf(step.work).attend === 'hands' &&
  !step.panfuls &&
  !step.ways.some((w) => w.heat || w.on.some((n) => n.amount !== undefined || n.kind === 'burner'))

/**
 * Kinds as a cook would write them, `mild 1/4, smoky, lemon`: those without a share divide evenly
 * what is left. Or why they are none.
 */
export function readKinds(text: string): Reading<Kind[]> {
  const no = (message: string, allowed: string): Reading<Kind[]> => ({
    ok: false,
    issues: [{ path: 'variants', message, allowed }],
  })
  const parts = text
    .split(',')
    .map((p) => p.trim())
    .filter(Boolean)
  if (parts.length < 2 || parts.length > 6)
    return no(`${counted(parts.length, 'kind is', 'kinds are')} named`, `2 to 6 kinds: ${EXAMPLE}`)
  const read = parts.map((part) => {
    const m = SHARE.exec(part)
    if (!m) return { name: part, share: undefined }
    const share = m[1]
      ? Number(m[1]) / Number(m[2])
      : m[3]
        ? Number(m[3].replace(',', '.')) / 100
        : SIGNS[m[4]!]!
    return { name: part.slice(0, m.index), share }
  })
  const stated = read.reduce((sum, k) => sum + (k.share ?? 0), 0)
  const open = read.filter((k) => k.share === undefined).length
  if (read.some((k) => k.share !== undefined && !(k.share > 0 && k.share < 1)))
    return no('a share is nothing, or all of it', 'shares between 0 and 1, like 1/4')
  if (open ? stated > 0.98 : Math.abs(stated - 1) > 0.01)
    return no(
      `the shares come to ${Math.round(stated * 100)} %`,
      open
        ? 'less than the whole, so that something is left for the others'
        : 'shares that make up the whole',
    )
  const rest = open ? (1 - stated) / open : 0
  return {
    ok: true,
    value: read.map(({ name, share }) => ({
      name: name.slice(0, 300),
      share: Math.round((share ?? rest) * 10000) / 10000,
    })),
  }
}
