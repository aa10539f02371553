import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { solve } from '../core/solver'
import { randomProblem } from '../core/testing/randomProblem'
import { referenceModel } from './exactModel'

describe('the exact reference', () => {
  it('proves the same optimum as the engine, and no plan where there is none', () => {
    const run = spawnSync('node', ['bench/reference.mjs', '30', '^random, (5|7|24)$'], {
      encoding: 'utf8',
    })
    const rows = run.stdout.trim().split('\n').slice(2)
    expect(rows.map((r) => r.replace(/\| \d+\.\d \|/, '|'))).toEqual([
      '| random, 5 | 8 | 59 | 59 | 59, proven | yes |',
      '| random, 7 | 6 | no plan | 0 | no plan, proven | yes |',
      '| random, 24 | 5 | 52 | 52 | 52, proven | yes |',
    ])
    expect(run.status).toBe(0)
  }, 120_000)

  it('allows no makespan above the one that is known', () => {
    const problem = randomProblem(5)
    const { makespan } = solve(problem, { iterations: 200 })
    expect(referenceModel(problem, makespan)).toContain(`var 0..${makespan}: makespan;`)
  })

  it('refuses a session under way, whose rules it does not know', () => {
    const progress = { now: 0, choices: {}, activities: [], holds: [], chores: [], heats: [] }
    expect(() => referenceModel({ ...randomProblem(5), progress }, 59)).toThrow('under way')
  })
})
