import { expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { breachText, checkPlan, progressAt } from '../plan'
import { readProblem } from '../problem'
import { solve } from '../solver'
import { compileSession } from './compile'

const compiled = compileSession({
  session: demoSession,
  kitchen: demoKitchen,
  recipes: demoRecipes,
})
if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
const { problem } = compiled.value
const plan = solve(problem, { iterations: 60 })

it.each([0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9])(
  'has a plan of what is left at the first attempt, %s of the session gone by',
  (share) => {
    const now = Math.ceil(plan.makespan * share)
    const reading = readProblem({ ...problem, progress: progressAt(problem, plan, now) })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const next = solve(reading.value, { iterations: 1 })
    expect(next.activities).toHaveLength(plan.activities.length)
    expect(checkPlan(reading.value, next).map(breachText)).toEqual([])
  },
)
