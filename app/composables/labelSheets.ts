/** A sheet of labels: what paper, how many on it, and how large each is, in millimetres. */
export interface LabelSheet {
  id: string
  title: string
  paper: 'A4' | 'LETTER'
  across: number
  down: number
  wide: number
  high: number
  /** To the first label from the left and from above, and between two. */
  left: number
  top: number
  gap: number
  /** Lines to cut along. */
  cut?: true
}

const A4 = { paper: 'A4' as const, wide: 210, high: 297 }
const LETTER = { paper: 'LETTER' as const, wide: 215.9, high: 279.4 }

/** Labels in the middle of their paper. */
function sheet(
  id: string,
  title: string,
  on: typeof A4 | typeof LETTER,
  [across, down]: [number, number],
  [wide, high]: [number, number],
  gap = 0,
  cut = false,
): LabelSheet {
  return {
    id,
    title,
    paper: on.paper,
    across,
    down,
    wide,
    high,
    gap,
    left: (on.wide - across * wide - (across - 1) * gap) / 2,
    top: (on.high - down * high) / 2,
    ...(cut ? { cut: true as const } : {}),
  }
}

/** Sizes in which sheets of labels are usually sold, and plain paper. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  sheet('a4-8', 'A4, 8 on a sheet, 99 by 67 mm', A4, [2, 4], [99, 67.7]),
  sheet('a4-14', 'A4, 14 on a sheet, 99 by 38 mm', A4, [2, 7], [99, 38.1]),
  sheet('a4-21', 'A4, 21 on a sheet, 63 by 38 mm', A4, [3, 7], [63.5, 38.1], 2.5),
  sheet('letter-10', 'US letter, 10 on a sheet, 4 by 2 inches', LETTER, [2, 5], [101.6, 50.8], 4.8),
  sheet('a4-cut', 'A4, plain paper to cut', A4, [2, 4], [95, 68], 0, true),
  sheet('letter-cut', 'US letter, plain paper to cut', LETTER, [2, 4], [98, 64], 0, true),
]

/** Points of a millimetre. */
export const POINTS = 72 / 25.4
/** Room inside a label's edge, in millimetres. */
export const INSIDE = 3
/** How wide a letter is on average, and how high a line, in parts of the size of the type. */
const [LETTER_WIDE, LINE] = [0.52, 1.2]
const SIZES = [14, 13, 12, 11, 10, 9, 8, 7, 6.5, 6, 5.5]

/** Rows that a line takes in a type of some size. */
const rowsOf = (line: string, size: number, wide: number) =>
  Math.max(1, Math.ceil((line.length * size * LETTER_WIDE) / (wide * POINTS)))

/**
 * The size of type in which lines fit a label, and the lines: the largest that does; where none does, the
 * smallest with what has room.
 */
export function fitted(
  lines: readonly string[],
  wide: number,
  high: number,
): { size: number; lines: string[] } {
  const fits = (size: number, some: readonly string[]) =>
    some.reduce((n, l) => n + rowsOf(l, size, wide), 0) * size * LINE <= high * POINTS
  const size = SIZES.find((s) => fits(s, lines))
  if (size !== undefined) return { size, lines: [...lines] }
  const least = SIZES.at(-1)!
  let n = lines.length
  while (n > 1 && !fits(least, [...lines.slice(0, n), '…'])) n--
  return { size: least, lines: [...lines.slice(0, n), '…'] }
}
