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
  return bestOf(ends)
}

/** The proof if there is one, else the shortest plan with the highest bound that anybody proved. */
function bestOf(ends) {
  const proven = ends.find((e) => e.status === 'optimal' || e.status === 'infeasible')
  if (proven) return proven
  const planned = ends.filter((e) => e.activities.length)
  if (!planned.length) return ends[0]
  const best = planned.reduce((a, b) => (b.makespan < a.makespan ? b : a))
  return { ...best, bound: Math.max(...ends.map((e) => e.bound)) }
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
  let sent = Infinity
  for (let going = true; going;) {
    going = run.advance(50)
    const plan = run.plan()
    if (plan.activities.length && plan.makespan < sent) {
      sent = plan.makespan
      parentPort.postMessage({ better: plan })
    }
    // What the others found is heard between slices.
    await new Promise((resolve) => setImmediate(resolve))
  }
  parentPort.postMessage({ end: run.plan() })
}

if (!isMainThread) await work()
