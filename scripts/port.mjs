import { createServer } from 'node:net'

/** Ends with a clear word where a port is taken; `instead` is a command that avoids it. */
export function refuseTakenPort(host, port, instead) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => {
      console.error(`Port ${port} is taken. Stop what uses it, or choose another one:`)
      console.error(`  ${instead}`)
      process.exit(1)
    })
    probe.listen(port, host, () => probe.close(resolve))
  })
}
