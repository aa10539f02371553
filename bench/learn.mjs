// What sessions teach: npm run bench:learning -- [households]. Each household cooks twenty sessions one after
// another with a cook a third slower at cutting and a tenth quicker elsewhere; prints how far the foretold
// finish is off, and how often nine in ten holds, beside knowing nothing of the cook and knowing all;
// writes bench/results/learning.json.
import { writeFileSync } from 'node:fs'
import { loadCore } from '../bin/core.mjs'

const households = Number(process.argv[2] ?? 5)
const { learning, judged, KNOWING } = await loadCore('bench/learning.ts', 'learning')
const SESSIONS = 20
const percent = (x) => `${(100 * x).toFixed(1)} %`
const results = {}
for (const knowing of KNOWING) {
  const all = []
  for (let h = 1; h <= households; h++) all.push(learning(SESSIONS, h, knowing))
  const sessions = Array.from({ length: SESSIONS }, (_, n) => judged(all.map((rows) => rows[n])))
  const early = judged(all.flatMap((rows) => rows.slice(0, 4)))
  const later = judged(all.flatMap((rows) => rows.slice(4)))
  console.log(`knowing ${knowing}:`)
  for (const [when, { off, bias, holds }] of [
    ['sessions 1 to 4', early],
    ['from the fifth on', later],
  ])
    console.log(
      `  ${when}: off by ${percent(off)} (${percent(bias)} on balance), nine in ten holds in ${percent(holds)}`,
    )
  results[knowing] = { early, later, sessions, rows: all }
}
writeFileSync(
  new URL('./results/learning.json', import.meta.url),
  `${JSON.stringify({ households, results }, null, 1)}\n`,
)
