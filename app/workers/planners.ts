import { wrap, type Remote } from 'comlink'
import type { Planner } from './planner.worker'

interface Held {
  worker: Worker
  planner: Remote<Planner>
}

/** Free planners that are kept. */
const MOST_FREE = 4
/** Milliseconds that one may take to stop: its slices are of 60, a step of a large session longer. */
const GRACE = 500

/**
 * Planners that are free. They are kept because what the compiler has made of the engine goes with a
 * worker: decision 017 says how much sooner one that has planned before finds the same.
 */
const free: Held[] = []
/** Those that were told to stop, until they have done so or were given up. */
let stopping: Promise<unknown>[] = []

function start(): Held {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
  return { worker, planner: wrap<Planner>(worker) }
}

async function borrow(count: number): Promise<Held[]> {
  if (free.length < count) await Promise.all(stopping)
  return Array.from({ length: count }, () => free.pop() ?? start())
}

/** Keeps a planner for the next work if it stops soon. */
async function giveBack(held: Held, work: Promise<unknown>): Promise<void> {
  void held.planner.stop(true)
  const late = new Promise<false>((resolve) => setTimeout(() => resolve(false), GRACE))
  const well = await Promise.race([work.then(() => true), late]).catch(() => false)
  if (well && free.length < MOST_FREE) free.push(held)
  else held.worker.terminate()
}

/** Planners at one work. */
export interface Team<T> {
  /** What each has come to; undefined where the work was ended before. */
  result: Promise<T[] | undefined>
  /** Has all stop soon: what each has by then is the result. */
  stop: () => void
  /** The work is of no use any more. */
  end: () => void
  /** Says something to all but one. */
  tell: (say: (planner: Remote<Planner>) => unknown, but?: number) => void
}

/** Has so many planners work, each in a worker of its own; they are kept for the next work. */
export function workTogether<T>(
  count: number,
  work: (planner: Remote<Planner>, who: number) => Promise<T>,
): Team<T> {
  const team = borrow(count).then((list) =>
    list.map((held, who) => ({ held, done: work(held.planner, who) })),
  )
  let ended = false
  let leave = () => {}
  const left = new Promise<undefined>((resolve) => (leave = () => resolve(undefined)))
  const end = () => {
    if (ended) return
    ended = true
    leave()
    // At once on the list, or whoever comes next would not wait for it.
    const back = team
      .then((list) => Promise.all(list.map((t) => giveBack(t.held, t.done))))
      .finally(() => (stopping = stopping.filter((other) => other !== back)))
    stopping.push(back)
  }
  const tell: Team<T>['tell'] = (say, but) =>
    void team.then((list) => list.forEach((t, i) => i !== but && !ended && say(t.held.planner)))
  const all = team.then((list) => Promise.all(list.map((t) => t.done)))
  return {
    result: Promise.race([all, left]).finally(end),
    stop: () => tell((planner) => planner.stop()),
    end,
    tell,
  }
}
