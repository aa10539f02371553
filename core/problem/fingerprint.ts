import type { Problem } from './schema'

/**
 * A short text that two equal problems share and two different ones practically never do
 * (FNV-1a over their JSON, twice with different seeds). Not for secrets.
 */
export function fingerprint(problem: Problem): string {
  const content = JSON.stringify(problem)
  return [2166136261, 3333333333].map((seed) => hash(content, seed)).join('')
}

function hash(content: string, seed: number): string {
  let h = seed >>> 0
  for (let i = 0; i < content.length; i++) h = Math.imul(h ^ content.charCodeAt(i), 16777619) >>> 0
  return h.toString(16).padStart(8, '0')
}
