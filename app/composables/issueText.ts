import type { Issue } from '~~/core/reading'

/** What is wrong and what is allowed, as the field says it where it was typed. */
export const issueText = ({ message, allowed }: Pick<Issue, 'message' | 'allowed'>): string =>
  `${message}. Allowed: ${allowed}.`

/** The same of a file, each with where; so many that they can be read. */
export const issueLines = (issues: readonly Issue[], most = 6): string[] =>
  issues.slice(0, most).map((i) => `${i.path}: ${issueText(i)}`)
