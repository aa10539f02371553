import type { Issue, Reading } from './issue'

/** An issue for each id of a list that an earlier one has already, by default its field `id`. */
export function standTwice(list: readonly object[], where: string, field = 'id'): Issue[] {
  const seen = new Set<unknown>()
  return list.flatMap((item, i) => {
    const id = (item as Record<string, unknown>)[field]
    if (!seen.has(id)) {
      seen.add(id)
      return []
    }
    return [
      {
        path: `${where}[${i}].${field}`,
        message: `"${String(id)}" stands twice`,
        allowed: 'each once in its list',
      },
    ]
  })
}

/** What is wrong within each of a list, with its place in the list. */
export const issuesWithin = <T>(
  list: readonly T[],
  where: string,
  read: (item: T) => Reading<unknown>,
): Issue[] =>
  list.flatMap((item, i) => {
    const reading = read(item)
    return reading.ok
      ? []
      : reading.issues.map((issue) => ({ ...issue, path: `${where}[${i}].${issue.path}` }))
  })
