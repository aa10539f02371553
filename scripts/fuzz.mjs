// Holds what the engine says of random problems against what is known of them from elsewhere:
// npm run fuzz -- [problems] [first seed]. Two processes share the work; a fault is printed with its
// seed and kept as a problem file under test-results/fuzz.
import { fork } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { loadCore } from '../bin/core.mjs'

const { positionals } = parseArgs({ allowPositionals: true })
const [count, first] = [Number(positionals[0] ?? 1000), Number(positionals[1] ?? 1)]
/** Problems that are solved between two words about it. */
const PART = 50

if (process.send) {
  const { fuzz } = await loadCore('core/testing/fuzz.ts')
  process.on('message', (from) => process.send(fuzz(from, Math.min(PART, first + count - from))))
  process.send('ready')
} else {
  if (!(count > 0) || !Number.isInteger(count) || !Number.isInteger(first)) {
    console.error('problems: a whole number from 1 up; first seed: a whole number')
    process.exit(2)
  }
  process.exitCode = await run()
}

async function run() {
  const folder = fileURLToPath(new URL('../test-results/fuzz', import.meta.url))
  const total = { problems: 0, plans: 0, optimal: 0, infeasible: 0, faults: [] }
  const began = performance.now()
  let next = first
  const work = () =>
    new Promise((resolve, reject) => {
      const child = fork(fileURLToPath(import.meta.url), [String(count), String(first)])
      const give = () => {
        if (next >= first + count) return void child.kill()
        child.send(next)
        next += PART
      }
      child.on('message', (result) => {
        if (result !== 'ready') tell(result)
        give()
      })
      child.on('exit', (code, signal) =>
        code === 0 || signal === 'SIGTERM' ? resolve() : reject(new Error(`ended with ${code}`)),
      )
    })
  const tell = (result) => {
    for (const key of ['problems', 'plans', 'optimal', 'infeasible']) total[key] += result[key]
    for (const fault of result.faults) {
      total.faults.push(fault)
      console.log(`seed ${fault.seed}: ${fault.what}`)
      mkdirSync(folder, { recursive: true })
      const name = join(folder, `${fault.seed}-${total.faults.length}`)
      writeFileSync(`${name}.json`, JSON.stringify(fault.problem, null, 1))
      if (fault.plan) writeFileSync(`${name}.plan.json`, JSON.stringify(fault.plan, null, 1))
    }
  }
  await Promise.all(Array.from({ length: Math.min(2, availableParallelism()) }, work))
  const { problems, plans, optimal, infeasible, faults } = total
  console.log(
    `${count} seeds, ${problems} problems solved in ${Math.round((performance.now() - began) / 1000)} s: ` +
      `${plans} plans, ${optimal} of them proven optimal, ${infeasible} infeasible, ${faults.length} faults`,
  )
  return faults.length ? 1 : 0
}
