// Fails where docs/formats is not what the schemas say today; `npm run formats` mends it.
import { readFileSync } from 'node:fs'
import { loadCore } from '../bin/core.mjs'

const core = await loadCore()
for (const [name, schema] of Object.entries(core.jsonSchemas())) {
  const file = `docs/formats/${name}.schema.json`
  if (readFileSync(file, 'utf8') !== JSON.stringify(schema, null, 2) + '\n') {
    console.error(`${file} is out of date: run npm run formats`)
    process.exitCode = 1
  }
}
