// How plans go with people: npm run bench:people -- [seconds for each plan]. Of 24 sessions it makes the
// shortest, a calm and a robust plan, rehearses each in the plan's order and planned anew on the way, and
// prints means against the shortest plan; writes bench/results/people.json.
import { writeFileSync } from 'node:fs'
import { loadCore } from '../bin/core.mjs'

const seconds = Number(process.argv[2] ?? 5)
const { measurePeople, against, SESSIONS } = await loadCore('bench/people.ts', 'people')
const rows = []
for (const [dishes, count] of SESSIONS)
  for (let seed = 1; seed <= count; seed++) {
    const found = measurePeople(dishes, seed, seconds)
    rows.push(...found)
    for (const { kind, planned, switches, policies } of found)
      console.log(
        `${dishes} dishes, ${seed}, ${kind.padEnd(8)} ${String(planned).padStart(6)} s, ${String(switches).padStart(3)} changes;` +
          Object.entries(policies)
            .map(
              ([name, p]) =>
                ` ${name}: ${p.half} / ${p.eighty} / ${p.ninety} s, ${Math.round(p.broken)} broken`,
            )
            .join(';'),
      )
  }
const percent = (x) => `${(100 * (x - 1)).toFixed(1).replace(/^(?=\d)/, '+')} %`
const means = {}
for (const kind of ['calm', 'robust']) {
  means[kind] = against(rows, kind)
  console.log(`\n${kind} against shortest, on average:`)
  for (const [name, value] of Object.entries(means[kind]))
    console.log(`  ${name}: ${percent(value)}`)
}
writeFileSync(
  new URL('./results/people.json', import.meta.url),
  `${JSON.stringify({ seconds, means, rows }, null, 1)}\n`,
)
