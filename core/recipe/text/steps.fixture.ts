import type { StepRead } from './drafts'

/** The first step that says so. */
export function stepOf(steps: readonly StepRead[], words: string): StepRead {
  const found = steps.find((s) => s.do.toLowerCase().includes(words))
  if (!found) throw new Error(`no step "${words}" in: ${steps.map((s) => s.do).join(' | ')}`)
  return found
}
