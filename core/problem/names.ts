/**
 * What a record holds under a name of its own: `constructor` and the like are names that somebody may
 * give a choice, and that every object answers to.
 */
export const ownValue = <T>(
  record: Readonly<Record<string, T>> | undefined,
  name: string | undefined,
): T | undefined =>
  record !== undefined && name !== undefined && Object.hasOwn(record, name)
    ? record[name]
    : undefined

const AWKWARD = '__proto__'
/** Stands for it while a file is read, whose schema would drop it; longer than any id may be. */
const STAND_IN = `${AWKWARD}${' '.repeat(190)}`

/**
 * Reads an input with a schema that cannot see fields called `__proto__`, so that they come through
 * all the same.
 */
export function readingAllNames<T>(input: unknown, read: (input: unknown) => T): T {
  if (!JSON.stringify(input ?? null)?.includes(`"${AWKWARD}":`)) return read(input)
  return renamed(read(renamed(input, AWKWARD, STAND_IN)), STAND_IN, AWKWARD) as T
}

function renamed(value: unknown, from: string, to: string): unknown {
  if (Array.isArray(value)) return value.map((v) => renamed(v, from, to))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, v]) => [key === from ? to : key, renamed(v, from, to)]),
  )
}
