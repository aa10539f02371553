import { defineStore } from 'pinia'
import { ref } from 'vue'

const LOCK = 'cadrum-writes'

/**
 * Which of several tabs writes: the first one, until another takes over. The others follow what it
 * writes, live. Browsers without locks have no way to tell; every tab writes there, each change being
 * made to what is there by then.
 */
export const useTabs = defineStore('tabs', () => {
  const writes = ref(true)
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks

  function hold(options: LockOptions): void {
    locks
      ?.request(LOCK, options, (lock) => {
        writes.value = lock !== null
        if (!lock) {
          // Somebody else has it: in line, for when that tab is closed.
          hold({})
          return undefined
        }
        return new Promise<never>(() => {})
      })
      // Taken over by another tab.
      .catch(() => {
        writes.value = false
        hold({})
      })
  }

  /** Finds out whether another tab writes already. */
  const begin = () => hold({ ifAvailable: true })

  /** Has this tab write from now on, and the other one follow. */
  function takeOver(): void {
    if (writes.value) return
    writes.value = true
    hold({ steal: true })
  }

  return { writes, begin, takeOver }
})
