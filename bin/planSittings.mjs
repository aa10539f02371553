import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { clockOf, listText } from './listText.mjs'

const EXIT = { optimal: 0, feasible: 0, infeasible: 3, unknown: 4 }

/**
 * Plans every sitting and evening of a session in the order of time, each knowing what the earlier ones have
 * left, and writes session, problem, plan and list of each into a folder, with `sittings.json` over all.
 * Exit as for a single plan: the worst of all.
 */
export function planSittings(core, held, folder, options, fail) {
  mkdirSync(folder, { recursive: true })
  const plans = new Map()
  const out = []
  let worst = 0
  const first = core.sittingsOf(held)
  if (first.issues.length) fail(words(first.issues))
  for (const [k, { id, kind, ...planned }] of first.sittings.entries()) {
    // What was planned before says when what goes on overnight was begun.
    const now =
      kind === 'cooking'
        ? core.cookingsOf(held, (key) => plans.get(key)).sittings.find((s) => s.id === id)
        : planned
    const { session, recipes } = now
    const file = {
      format: held.format,
      session,
      kitchen: held.kitchen,
      recipes: core.recipesOf(session, recipes),
    }
    const reading = core.compileSession(file)
    if (!reading.ok) fail(`${session.name}: ${words(reading.issues)}`)
    const compiled = reading.value
    const plan = core.solve(compiled.problem, { clock: () => performance.now(), ...options })
    plans.set(session.id, plan)
    const name = `${String(k + 1).padStart(2, '0')}-${id}`
    const write = (what, content) => writeFileSync(join(folder, `${name}.${what}`), content + '\n')
    const json = (value) => JSON.stringify(value, null, 2)
    write('session.json', json(file))
    write('problem.json', json(compiled.problem))
    write('plan.json', json(plan))
    worst = Math.max(worst, EXIT[plan.status])
    const clock = clockOf(session)
    if (plan.activities.length) {
      const lines = core.instructions(plan, compiled, held.kitchen, { clock })
      write('list.txt', listText(core, file, compiled, lines, clock).join('\n'))
    }
    for (const reason of plan.reasons) console.error(`${session.name}: ${reason}`)
    console.log(
      `${name}  ${session.start.replace('T', ' ')} to ${clock(plan.makespan)}  ${session.name}: ${compiled.dishes
        .filter((d) => !d.base)
        .map((d) => d.name)
        .join(', ')}  (${plan.status})`,
    )
    out.push({
      id,
      kind,
      name: session.name,
      start: session.start,
      minutes: Math.round(plan.makespan / 60),
      ...(session.limit === undefined ? {} : { limit: session.limit }),
      status: plan.status,
      dishes: session.dishes.map((d) => d.recipe),
      files: name,
    })
  }
  const { assignment } = first
  const cooked = out.filter((s) => s.kind === 'cooking')
  writeFileSync(
    join(folder, 'sittings.json'),
    JSON.stringify(
      {
        sittings: out,
        minutes: cooked.reduce((sum, s) => sum + s.minutes, 0),
        ...(assignment
          ? {
              least: Math.floor(assignment.bound),
              parted: Object.fromEntries(
                [...assignment.placed].map(([dish, steps]) => [
                  dish,
                  Object.fromEntries(
                    [...steps].map(([step, at]) => [step, assignment.slots[at].id]),
                  ),
                ]),
              ),
            }
          : {}),
      },
      null,
      2,
    ) + '\n',
  )
  return worst
}

const words = (issues) =>
  issues.map((i) => `${i.path}: ${i.message}; allowed: ${i.allowed}`).join('\n')
