import { wrap, type Remote } from 'comlink'
import type { Reading } from '~~/core/reading'
import type { Found } from '~~/core/recipe'
import type { Reader } from './reader.worker'

/** So long a text may take, in milliseconds; ordinary ones take a hundredth of it. */
const PATIENCE_MS = 20_000

let held: { worker: Worker; reader: Remote<Reader>; busy: boolean } | undefined
let turn = 0

/**
 * Reads recipes out of a text away from the page, which goes on meanwhile. Only the last text asked
 * for counts: an earlier one that is still being read is left, and gives undefined.
 */
export async function readAway(text: string): Promise<Reading<Found[]> | undefined> {
  const mine = ++turn
  if (held?.busy) {
    held.worker.terminate()
    held = undefined
  }
  held ??= start()
  const { worker, reader } = held
  held.busy = true
  let timer: ReturnType<typeof setTimeout>
  const late = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), PATIENCE_MS)
  })
  const broken = new Promise<never>((_, reject) => {
    worker.onerror = () => reject(new Error('the reader has stopped'))
  })
  const reading = await Promise.race([reader.read(text), late, broken])
    .catch(() => undefined)
    .finally(() => clearTimeout(timer))
  if (mine !== turn) return undefined
  if (reading) {
    held.busy = false
    return reading
  }
  worker.terminate()
  held = undefined
  return {
    ok: false,
    issues: [
      {
        path: '(the whole file)',
        message: `it could not be read within ${PATIENCE_MS / 1000} seconds`,
        allowed: 'a shorter text, or one recipe at a time',
      },
    ],
  }
}

function start() {
  const worker = new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module' })
  return { worker, reader: wrap<Reader>(worker), busy: false }
}
