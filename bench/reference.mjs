// Holds the engine against an exact reference: npm run reference -- [seconds] [name pattern].
// Chuffed, which the minizinc package carries, gets a model written from the contract alone
// (exactModel.ts) and the engine's makespan as the longest allowed. Ends with 1 where the two
// contradict each other; writes bench/results/reference.json, where all were compared.
import { writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { loadCore } from '../bin/core.mjs'

/** Longer than any of the random problems can take, where the engine says that there is no plan. */
const LONG = 2000

const seconds = Number(process.argv[2] ?? 30)
const pattern = new RegExp(process.argv[3] ?? '')
const { comparable, referenceModel, solve } = await loadCore('bench/comparable.ts')
const dist = dirname(createRequire(import.meta.url).resolve('minizinc'))

/** What Chuffed makes of a model: the least makespan it found, and whether that is proven. */
function chuffed(model) {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./chuffedWorker.mjs', import.meta.url))
    const began = performance.now()
    let best = null
    let status = 'UNKNOWN'
    const end = () => {
      clearTimeout(timer)
      void worker.terminate()
      resolve({ best, status, seconds: (performance.now() - began) / 1000 })
    }
    const timer = setTimeout(end, seconds * 1000)
    worker.on('error', reject)
    worker.on('message', (m) => {
      if (m.type === 'ready')
        worker.postMessage({
          jsonStream: true,
          files: { 'model.mzn': model },
          args: ['--solver', 'chuffed', '-f', '-a', 'model.mzn'],
        })
      else if (m.type === 'solution') best = Number(m.output.default)
      else if (m.type === 'status') status = m.status
      else if (m.type === 'error') reject(new Error(m.message))
      else if (m.type === 'exit') end()
    })
    worker.postMessage({
      wasmURL: join(dist, 'minizinc.wasm'),
      dataURL: join(dist, 'minizinc.data'),
    })
  })
}

/** In what the two contradict each other; nothing where they agree as far as both went. */
function contradiction(plan, { best, status }) {
  const found = plan.status === 'optimal' || plan.status === 'feasible'
  if (best !== null && plan.status === 'infeasible') return 'the reference has a plan'
  if (best !== null && best < plan.bound) return 'a plan below the proven least'
  if (found && status === 'UNSATISFIABLE') return 'the reference has no plan'
  if (found && status === 'OPTIMAL_SOLUTION' && best > plan.makespan)
    return 'the reference is longer'
  return undefined
}

const rows = []
console.log('| problem | steps | engine | proven least | reference | reference s | agree |')
console.log('| --- | --- | --- | --- | --- | --- | --- |')
for (const [name, problem] of comparable().filter(([n]) => pattern.test(n))) {
  const plan = solve(problem, {
    clock: () => performance.now(),
    seconds: Math.min(10, seconds),
    seed: 1,
  })
  const upper = plan.activities.length ? plan.makespan : LONG
  const reference = await chuffed(referenceModel(problem, upper))
  const against = contradiction(plan, reference)
  const proven = reference.status === 'OPTIMAL_SOLUTION' || reference.status === 'UNSATISFIABLE'
  rows.push({
    name,
    steps: problem.activities.length,
    status: plan.status,
    makespan: plan.makespan,
    bound: plan.bound,
    reference: reference.best,
    proven,
    seconds: Math.round(reference.seconds * 10) / 10,
    against,
  })
  const said = reference.best ?? (proven ? 'no plan' : 'nothing')
  const { steps } = rows[rows.length - 1]
  console.log(
    `| ${name} | ${steps} | ${plan.status === 'infeasible' ? 'no plan' : plan.makespan} | ${plan.bound} | ${said}${proven ? ', proven' : ''} | ${reference.seconds.toFixed(1)} | ${against ?? (proven ? 'yes' : 'as far as it came')} |`,
  )
}
if (!process.argv[3])
  writeFileSync(
    new URL('./results/reference.json', import.meta.url),
    JSON.stringify({ seconds, rows }, null, 1) + '\n',
  )
process.exit(rows.some((r) => r.against) ? 1 : 0)
