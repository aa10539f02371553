/**
 * A copy without what the page's state has around it, and without fields that are undefined: what goes
 * to a worker, or is read anew before it is kept.
 */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
