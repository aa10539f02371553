import { fileURLToPath } from 'node:url'
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads'
import { loadCore } from './core.mjs'

/** More than any home machine has cores for. */
export const MOST_THREADS = 16

/**
 * The best plan that several searches with seeds of their own find together: each hears of every
 * better plan of the others at once. The first proof ends them all. Not the same twice.
 */
export async function solveThreads(problem, { seconds, seed, threads }) {
  const workers = Array.from(
    { length: threads },
    (_, i) =>
      new Worker(fileURLToPath(import.meta.url), {
        workerData: { problem, seconds, seed: seed + 7919 * i },
      }),
  )
  const ends = []
  try {
    await Promise.all(
      workers.map(
        (worker) =>
          new Promise((resolve, reject) => {
            worker.on('error', reject)
            worker.on('message', ({ better, end }) => {
              const others = workers.filter((w) => w !== worker)
              if (better) for (const other of others) other.postMessage({ plan: better })
              if (!end) return
              ends.push(end)
              const proven = end.status === 'optimal' || end.status === 'infeasible'
              if (proven) for (const other of others) other.postMessage({ stop: true })
              resolve()
            })
          }),
      ),
    )
  } finally {
    await Promise.all(workers.map((w) => w.terminate()))
  }
  return bestOf(problem, ends)
}

/** A proof that there is none, else the best plan with the highest bound that anybody proved. */
async function bestOf(problem, ends) {
  const infeasible = ends.find((e) => e.status === 'infeasible')
  if (infeasible) return infeasible
  const planned = ends.filter((e) => e.activities.length)
  if (!planned.length) return ends[0]
  const { comparePlans } = await loadCore('core/cli.ts', 'threads')
  const late = problem.objective[0] === 'lateStart'
  const [best, furthest] = late ? [Math.max, Math.min] : [Math.min, Math.max]
  const plan = planned.reduce((a, b) => (comparePlans(problem, b, a) < 0 ? b : a))
  const shortest = best(...planned.map((e) => e.shortest))
  const bound = furthest(...ends.map((e) => e.bound))
  return { ...plan, shortest, bound, status: bound === shortest ? 'optimal' : plan.status }
}

async function work() {
  const { problem, seconds, seed } = workerData
  const core = await loadCore('core/cli.ts', 'plan')
  let stopped = false
  const run = core.startSolving(problem, {
    clock: () => performance.now(),
    seconds,
    seed,
    signal: {
      get aborted() {
        return stopped
      },
    },
  })
  parentPort.on('message', ({ plan, stop }) => {
    if (stop) stopped = true
    else if (plan) run.receive(plan)
  })
  let sent
  for (let going = true; going;) {
    going = run.advance(50)
    const plan = run.plan()
    if (plan.activities.length && (!sent || core.comparePlans(problem, plan, sent) < 0)) {
      sent = plan
      parentPort.postMessage({ better: plan })
    }
    // What the others found is heard between slices.
    await new Promise((resolve) => setImmediate(resolve))
  }
  parentPort.postMessage({ end: run.plan() })
}

if (!isMainThread) await work()
