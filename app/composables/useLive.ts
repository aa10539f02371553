import { liveQuery } from 'dexie'
import { getCurrentScope, onScopeDispose, shallowRef, type ShallowRef } from 'vue'

/** The result of a database query, kept up to date, also with what other tabs write. */
export function useLive<T>(query: () => Promise<T>): ShallowRef<T | undefined> {
  const value = shallowRef<T>()
  const subscription = liveQuery(query).subscribe({
    next: (result) => {
      value.value = result
    },
    error: (error: unknown) => {
      // Told like any other failure nobody has caught.
      void Promise.reject(error instanceof Error ? error : new Error(String(error)))
    },
  })
  if (getCurrentScope()) onScopeDispose(() => subscription.unsubscribe())
  return value
}
