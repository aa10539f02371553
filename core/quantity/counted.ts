const RULES = new Intl.PluralRules('en')

/** One word for one of something, another for any other number of them. */
export const plural = (n: number, one: string, many = `${one}s`): string =>
  RULES.select(n) === 'one' ? one : many

/** `1 recipe`, `12 recipes`, `1.5 days`. */
export const counted = (n: number, one: string, many?: string): string =>
  `${n} ${plural(n, one, many)}`
