import { describe, expect, it } from 'vitest'
import { brokenWords, checkPlan, progressAt, relaxed } from '../../plan'
import { problemSchema, readProblem, type ProblemInput } from '../../problem'
import { randomProblem } from '../../testing/randomProblem'
import { leastBad } from './leastBad'
import { solve } from './solve'

const step = (
  id: string,
  seconds: number,
  more: object = {},
): ProblemInput['activities'][number] => ({
  id,
  label: id,
  modes: [{ id: 'm', needs: [], phases: [{ seconds: [seconds, seconds], hands: {} }] }],
  ...more,
})
const problemOf = (rest: Omit<ProblemInput, 'format' | 'name' | 'cooks' | 'stations'>) =>
  problemSchema.parse({
    format: 'cadrum/problem@1',
    name: 'late',
    cooks: [{ id: 'ana' }],
    stations: [],
    ...rest,
  })

describe('the least bad plan', () => {
  it('breaks only the deadline where that is what is too early, and by no more than must be', () => {
    const problem = problemOf({
      activities: [step('a', 60), step('b', 60)],
      relations: [{ from: 'a', to: 'b', kind: 'FS', max: 10 }],
      deadline: 100,
    })
    expect(solve(problem, { iterations: 50 }).status).toBe('infeasible')
    const found = leastBad(problem)!
    expect(found.broken).toEqual([{ limit: { kind: 'deadline' }, was: 100, now: 120 }])
    expect(checkPlan(relaxed(problem, found.broken), found.plan)).toEqual([])
    expect(brokenWords(problem, found.broken, (s) => `${s} s`)).toEqual([
      'everything is over 20 s too late',
    ])
  })

  it('would rather have one dish late than food stand too long', () => {
    const problem = problemOf({
      activities: [step('a', 60), step('b', 60, { due: 90 }), step('c', 100, { due: 110 })],
      relations: [{ from: 'a', to: 'b', kind: 'FS', max: 10 }],
    })
    const { broken, plan } = leastBad(problem)!
    expect(broken.map((b) => b.limit.kind)).not.toContain('relation')
    expect(broken.length).toBeGreaterThan(0)
    expect(checkPlan(relaxed(problem, broken), plan)).toEqual([])
  })

  it('goes on with what has begun when a session runs late', () => {
    const problem = problemOf({
      activities: [step('a', 60), step('b', 60, { due: 130 })],
      relations: [{ from: 'a', to: 'b', kind: 'FS', max: 30 }],
    })
    const facts = progressAt(problem, solve(problem, { iterations: 50 }), 30)
    // Half a minute in, and then the cook was called away for five.
    const late = { ...problem, progress: { ...facts, now: 330 } }
    expect(solve(late, { iterations: 50 }).status).toBe('infeasible')
    const { broken, plan } = leastBad(late)!
    expect(broken.map((b) => b.limit)).toEqual([{ kind: 'due', activity: 'b' }])
    expect(checkPlan(relaxed(late, broken), plan)).toEqual([])
  })

  it('is none where no limit is to blame', () => {
    const problem = problemSchema.parse({
      ...problemOf({ activities: [step('a', 60)] }),
      activities: [
        {
          ...step('a', 60),
          modes: [{ id: 'm', needs: [{ kind: 'oven' }], phases: [{ seconds: [5, 5] }] }],
        },
      ],
    })
    expect(leastBad(problem)).toBeUndefined()
  })

  it('is always valid once its limits are drawn where it says', () => {
    let seen = 0
    for (let seed = 1; seed <= 60; seed++) {
      const problem = randomProblem(seed, 7)
      const plan = solve(problem, { iterations: 40, seed })
      if (plan.makespan < 20) continue
      const hurried = readProblem({ ...problem, deadline: Math.floor(plan.makespan / 2) })
      if (!hurried.ok) continue
      const found = leastBad(hurried.value)
      expect(found, `seed ${seed}`).toBeDefined()
      const { broken, plan: least } = found!
      expect(checkPlan(relaxed(hurried.value, broken), least)).toEqual([])
      const strict = checkPlan(hurried.value, least)
      expect(strict.length > 0).toBe(broken.length > 0)
      if (broken.length) seen++
    }
    expect(seen).toBeGreaterThan(20)
  })
})
