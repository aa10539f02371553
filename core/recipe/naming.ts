/** Two letters for a dish that none of the others has: from its words, else the next that is free. */
export function markFor(name: string, taken: ReadonlySet<string>): string {
  const words = name
    .replace(/[^A-Za-z ]/g, ' ')
    .split(/\s+/)
    .filter((w) => w.length > 1)
  const upper = (words[0]?.[0] ?? 'R').toUpperCase()
  const wanted = [words[1]?.[0], ...(words[0] ?? '').slice(1), ...words.slice(1).join('')]
  for (const letter of [...wanted, ...'abcdefghijklmnopqrstuvwxyz'])
    if (letter && !taken.has(upper + letter.toLowerCase())) return upper + letter.toLowerCase()
  for (const first of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ')
    for (const second of 'abcdefghijklmnopqrstuvwxyz')
      if (!taken.has(first + second)) return first + second
  return `${upper}x`
}

/** An id for a name that none of the others has. */
export const idFor = (name: string, taken: ReadonlySet<string>): string =>
  freeId(
    name
      .normalize('NFD')
      .toLowerCase()
      .replace(/[\u0300-\u036f]/g, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'recipe',
    taken,
  )

/** The id itself or, where another has it, with the first number behind it that is free. */
export function freeId(base: string, taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`
    if (!taken.has(id)) return id
  }
}
