import { reactive } from 'vue'
import type { Issue } from '~~/core/reading'
import { upperFirst } from '~~/core/recipe'

/** What an edit of `T` comes to: nothing, or why nothing was written. */
export type Change<T> = (edit: (value: T) => T) => Promise<Issue[]>

/** The fields of a form over one value: each edit is kept at once, or explained where it was typed. */
export function useFields<T>(change: Change<T>) {
  const errors = reactive<Record<string, string | undefined>>({})

  async function apply(field: string, edit: (value: T) => T): Promise<void> {
    const [issue] = await change(edit)
    errors[field] = issue && `${upperFirst(issue.message)}. Allowed: ${issue.allowed}.`
  }

  /** A number as typed; what is none is refused with its name. */
  function figure(field: string, name: string, typed: string, use: (value: number) => void): void {
    const value = Number(typed.replace(',', '.'))
    if (typed.trim() === '' || !Number.isFinite(value) || value < 0)
      errors[field] = `${name}: "${typed}" is no number from 0 up.`
    else use(value)
  }

  return { errors, apply, figure }
}
