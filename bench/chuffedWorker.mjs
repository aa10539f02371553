// The solver's script is written for a browser's worker: it gets what it expects from one.
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { parentPort } from 'node:worker_threads'

const require = createRequire(import.meta.url)
const script = join(dirname(require.resolve('minizinc')), 'minizinc-worker.js')
Object.assign(globalThis, {
  addEventListener: (_, listen) => parentPort.on('message', (data) => listen({ data })),
  postMessage: (message) => parentPort.postMessage(message),
  require,
  __dirname: dirname(script),
  __filename: script,
})
require(script)
