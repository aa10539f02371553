import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Lasting } from '~/database/database'
import { NotSaved, whyNotKept } from '~/database/failure'
import { keepState } from '~/database/household'
import { useTabs } from './tabs'

/** Between two tries to keep what was not kept, in milliseconds: longer each time. */
const TRIES_MS = [1000, 3000, 10_000, 30_000]

/** How long a write may take before it counts as failed for now. */
const PATIENCE_MS = 8000

/** Between two states of the household that are kept to go back to. */
const STATE_MS = 10 * 60_000
const STATE_AFTER_MS = 3000

interface Pending {
  what: string
  why: string
  attempt: () => Promise<unknown>
  kept: boolean
}

/**
 * Every write of the application goes through here: what fails is told by name, stays in hand, and is
 * tried again in its order until it is kept. Nothing that is not kept is taken for saved.
 */
export const useSaving = defineStore('saving', () => {
  const pending = ref<Pending[]>([])
  /** How many writes that somebody asked for have neither been kept nor failed yet. */
  const writing = ref(0)
  const lasting = shallowRef<Lasting>({ lasts: true })
  /** Another tab, of an older version, is in the way. */
  const blocked = ref(false)
  /** What the household owns is there to be shown. */
  const opened = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  let tries = 0
  let lastState = 0

  /** What is not saved, each thing once. */
  const unsaved = computed(() => [...new Set(pending.value.map((p) => p.what))])
  const why = computed(() => pending.value[0]?.why)

  /**
   * Writes something. Where earlier writes are still in hand they go first.
   *
   * @param what what is being saved, as the cook would call it: "the kitchen"
   * @param byItself nobody asked for it: another tab goes on being the one that writes
   * @throws NotSaved where it could not be kept; it has been told then and is tried again
   */
  async function write<T>(
    what: string,
    action: () => Promise<T>,
    { byItself = false } = {},
  ): Promise<T> {
    if (byItself) return keep(what, action)
    useTabs().takeOver()
    writing.value++
    try {
      return await keep(what, action)
    } finally {
      writing.value--
    }
  }

  async function keep<T>(what: string, action: () => Promise<T>): Promise<T> {
    const job: Pending = { what, why: '', attempt: once(action), kept: false }
    if (pending.value.length) {
      job.why = pending.value[0]!.why
      pending.value.push(job)
      await again()
      if (job.kept) return (await job.attempt()) as T
      throw new NotSaved(what, why.value ?? '')
    }
    try {
      const value = (await patiently(job.attempt())) as T
      stateNowAndThen()
      return value
    } catch (error) {
      // Within another write, that has told it already.
      if (error instanceof NotSaved) throw error
      job.why = whyNotKept(error)
      pending.value.push(job)
      wait()
      throw new NotSaved(what, job.why)
    }
  }

  let trying: Promise<void> | undefined
  /** Tries again what is in hand, in its order, as far as it goes; whoever asks meanwhile waits for the same. */
  const again = (): Promise<void> => (trying ??= flush().finally(() => (trying = undefined)))

  async function flush(): Promise<void> {
    clearTimeout(timer)
    while (pending.value.length) {
      const first = pending.value[0]!
      try {
        await patiently(first.attempt())
      } catch (error) {
        const words = whyNotKept(error)
        for (const p of pending.value) p.why = words
        wait()
        return
      }
      first.kept = true
      // It may have been let go of meanwhile.
      pending.value = pending.value.filter((p) => p !== first)
    }
    tries = 0
  }

  function wait(): void {
    clearTimeout(timer)
    timer = setTimeout(() => void again(), TRIES_MS[Math.min(tries++, TRIES_MS.length - 1)])
  }

  function stateNowAndThen(): void {
    if (Date.now() - lastState < STATE_MS) return
    lastState = Date.now()
    // Out of the way of what is being written now. A state that cannot be kept is no loss of what
    // somebody wrote: that is told where it happens.
    setTimeout(() => void keepState('').catch(() => {}), STATE_AFTER_MS)
  }

  /** Lets go of what could not be saved: what is on the page then is what is kept. */
  function giveUp(): void {
    clearTimeout(timer)
    tries = 0
    pending.value = []
  }

  return { pending, writing, unsaved, why, lasting, blocked, opened, write, again, giveUp }
})

/** Tries something until it has been done, and never twice at a time: one that is late may still come through. */
function once<T>(action: () => Promise<T>): () => Promise<T> {
  let under: Promise<T> | undefined
  return () =>
    (under ??= action().catch((error: unknown) => {
      under = undefined
      throw error
    }))
}

/** The result, or a failure where the browser never answers. */
function patiently<T>(work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout>
  const late = new Promise<never>((_, refuse) => {
    timer = setTimeout(
      () => refuse(Object.assign(new Error('no answer'), { name: 'TimeoutError' })),
      PATIENCE_MS,
    )
  })
  return Promise.race([work, late]).finally(() => clearTimeout(timer))
}
