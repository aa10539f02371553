import { z } from 'zod'

// The page's content security policy forbids eval; Zod would otherwise probe for it.
z.config({ jitless: true })

/** Something a user can mend: where it stands, what is wrong, and what would be right. */
export interface Issue {
  path: string
  message: string
  allowed: string
}

/** What reading a file or a form gives: the value, or everything that is wrong with it. */
export type Reading<T> = { ok: true; value: T } | { ok: false; issues: Issue[] }

/** `['stations', 2, 'wash']` becomes `stations[2].wash`. */
export function pathText(path: readonly PropertyKey[]): string {
  let out = ''
  for (const part of path) {
    if (typeof part === 'number') out += `[${part}]`
    else out += (out ? '.' : '') + String(part)
  }
  return out || '(the whole file)'
}

const article = (word: string) => (/^[aeiou]/.test(word) ? `an ${word}` : `a ${word}`)

const kindOf = (value: unknown) =>
  value === undefined
    ? 'nothing'
    : value === null
      ? 'null'
      : Array.isArray(value)
        ? 'a list'
        : article(typeof value)

const expectedWord = (expected: string) =>
  ({ array: 'a list', object: 'an object', int: 'a whole number', record: 'an object' })[
    expected
  ] ?? article(expected)

/**
 * One issue for each thing a Zod schema refused, in file order. An unknown field is named
 * with its own path, not its parent's.
 */
export function issuesFrom(error: z.ZodError): Issue[] {
  const issues: Issue[] = []
  for (const problem of error.issues) issues.push(...describe(problem))
  return issues
}

function describe(issue: z.core.$ZodIssue): Issue[] {
  const path = pathText(issue.path)
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        path: pathText([...issue.path, key]),
        message: 'unknown field',
        allowed: 'only the fields of the format',
      }))
    case 'invalid_type':
      return [
        {
          path,
          message:
            issue.input === undefined
              ? 'missing, or not of the right kind'
              : `is ${kindOf(issue.input)}`,
          allowed: expectedWord(issue.expected),
        },
      ]
    case 'invalid_value':
      return [
        { path, message: 'is not one of the allowed values', allowed: issue.values.join(' | ') },
      ]
    case 'too_small':
      return [
        {
          path,
          message: 'is too small or too short',
          allowed: `${issue.inclusive === false ? 'above' : 'at least'} ${String(issue.minimum)}`,
        },
      ]
    case 'too_big':
      return [
        { path, message: 'is too large or too long', allowed: `at most ${String(issue.maximum)}` },
      ]
    default:
      return [{ path, message: issue.message, allowed: 'see the description of the format' }]
  }
}
