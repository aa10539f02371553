/** Dots of a small thermal printer: 8 to the millimetre, on labels 60 by 40 mm. */
const DOTS = 8
const WIDE = 60 * DOTS
const HIGH = 40 * DOTS
const EDGE = 12
/** Dots of a letter of the printer's own face, and of the first line's. */
const SIZES = [
  { high: 30, wide: 15 },
  { high: 24, wide: 12 },
] as const

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

/** A line in as many as its letters take, broken between words. */
function wrapped(line: string, most: number): string[] {
  const out: string[] = []
  let row = ''
  for (const word of line.split(/\s+/)) {
    const next = row ? `${row} ${word}` : word
    if (next.length <= most) row = next
    else {
      if (row) out.push(row)
      row = word.slice(0, most)
    }
  }
  return row ? [...out, row] : out
}

/**
 * What a small thermal printer prints of a label: its lines in its own fixed letters, black on white, as
 * many as there is room for. What has no room is said by three dots. A stand-in for a real one.
 */
export function simulatedLabel(lines: readonly string[]): string {
  let y = EDGE
  const rows: string[] = []
  const all = lines.flatMap((line, k) =>
    wrapped(line, Math.floor((WIDE - 2 * EDGE) / SIZES[k ? 1 : 0].wide)).map((text) => ({
      text,
      ...SIZES[k ? 1 : 0],
    })),
  )
  for (const [k, { text, high, wide }] of all.entries()) {
    const more = k < all.length - 1
    const last = more && y + high + SIZES[1].high > HIGH - EDGE
    y += high
    rows.push(
      `<text x="${EDGE}" y="${y - 6}" font-size="${high - 4}" textLength="${(last ? 3 : text.length) * wide}" lengthAdjust="spacingAndGlyphs">${last ? '...' : escaped(text)}</text>`,
    )
    if (last) break
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDE} ${HIGH}" width="${WIDE}" height="${HIGH}" font-family="monospace" shape-rendering="crispEdges"><rect width="${WIDE}" height="${HIGH}" fill="#fff"/>${rows.join('')}</svg>`
}
