import type { StepRead } from './drafts'

/** The first step that says so. */
export function stepOf(steps: readonly StepRead[], words: string): StepRead {
  const found = steps.find((s) => s.do.toLowerCase().includes(words))
  if (!found) throw new Error(`no step "${words}" in: ${steps.map((s) => s.do).join(' | ')}`)
  return found
}

/** Each step that is spoken of with the beginnings of those that it waits for. */
export function waits(steps: readonly StepRead[]): Record<string, string[]> {
  const words = (s: StepRead) => s.do.toLowerCase().split(' ').slice(0, 2).join(' ')
  return Object.fromEntries(
    steps.map((s) => [
      words(s),
      s.after.map(
        (a) => `${a.food === false ? '(' : ''}${words(steps.find((o) => o.id === a.step)!)}`,
      ),
    ]),
  )
}
