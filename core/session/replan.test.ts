import { expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { breachText, checkPlan, progressAt } from '../plan'
import { readProblem } from '../problem'
import { solve, startSolving } from '../solver'
import { changesFrom } from '../solver/portfolio/changes'
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
  'soon has a plan of what is left, %s of the session gone by',
  (share) => {
    const now = Math.ceil(plan.makespan * share)
    const reading = readProblem({ ...problem, progress: progressAt(problem, plan, now) })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const next = solve(reading.value, { iterations: 12 })
    expect(next.activities).toHaveLength(plan.activities.length)
    expect(checkPlan(reading.value, next).map(breachText)).toEqual([])
  },
)

const underWay = (share: number, late: number) => {
  const now = Math.ceil(plan.makespan * share)
  const progress = progressAt(problem, plan, now)
  const reading = readProblem({ ...problem, progress: { ...progress, now: now + late } })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}

it('keeps to the earlier plan where all went as planned', () => {
  const run = startSolving(underWay(0.5, 0), { iterations: 1, previous: plan })
  while (run.advance(Infinity));
  expect(run.plan().makespan).toBe(plan.makespan)
  expect(run.stability()).toEqual({ kept: plan.makespan, changes: 0 })
})

it('says what keeping to it costs where everything stood still for ten minutes', () => {
  // Late in the session, where no longest wait is broken by it.
  const late = underWay(0.9, 600)
  const run = startSolving(late, { iterations: 400, previous: plan })
  while (run.advance(Infinity));
  const best = run.plan()
  const { kept, changes } = run.stability()!
  expect(checkPlan(late, best).map(breachText)).toEqual([])
  expect(best.makespan).toBeLessThanOrEqual(kept)
  expect(changes).toBe(changesFrom(plan, best))
})
