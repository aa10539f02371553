import { reactive, watch } from 'vue'
import type { Issue } from '~~/core/reading'
import { upperFirst } from '~~/core/recipe'
import { NotSaved } from '~/database/failure'
import { useSaving } from '~/stores/saving'

const NOT_SAVED = 'Not saved yet.'

/** A number as somebody types it, with a comma or a point; NaN where it is none. */
export const numberTyped = (typed: string): number =>
  typed.trim() === '' ? NaN : Number(typed.replace(',', '.'))

/** What an edit of `T` comes to: nothing, or why nothing was written. */
export type Change<T> = (edit: (value: T) => T) => Promise<Issue[]>

/** The fields of a form over one value: each edit is kept at once, or explained where it was typed. */
export function useFields<T>(change: Change<T>) {
  const errors = reactive<Record<string, string | undefined>>({})
  const saving = useSaving()
  watch(
    () => saving.pending.length,
    (left) => {
      if (left) return
      for (const field of Object.keys(errors))
        if (errors[field] === NOT_SAVED) errors[field] = undefined
    },
  )

  async function apply(field: string, edit: (value: T) => T): Promise<void> {
    try {
      const [issue] = await change(edit)
      errors[field] = issue && `${upperFirst(issue.message)}. Allowed: ${issue.allowed}.`
    } catch (error) {
      if (!(error instanceof NotSaved)) throw error
      errors[field] = NOT_SAVED
    }
  }

  /** A number as typed; what is none is refused with its name. */
  function figure(field: string, name: string, typed: string, use: (value: number) => void): void {
    const value = numberTyped(typed)
    if (!(value >= 0 && value < Infinity))
      errors[field] = `${name}: "${typed}" is not a number from 0 up.`
    else use(value)
  }

  return { errors, apply, figure }
}
