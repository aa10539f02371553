import { describe, expect, it } from 'vitest'
import type { ProblemInput } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { solve } from './solve'

/** Two bakes of 100 s in one small oven, and what else is asked. */
function bakes(more: Partial<ProblemInput>, due: (number | undefined)[] = []) {
  return problemOf({
    stations: [{ id: 'oven', kind: 'oven' }],
    activities: ['tart', 'loaf'].map((id, i) => ({
      id,
      label: id,
      ...(due[i] === undefined ? {} : { due: due[i] }),
      modes: [{ id: 'm', needs: [{ kind: 'oven' }], phases: [{ seconds: [100, 100] }] }],
    })),
    ...more,
  })
}
const reasonsOf = (...args: Parameters<typeof bakes>) => {
  const plan = solve(bakes(...args), { iterations: 400 })
  expect(plan.status).toBe('infeasible')
  expect(plan.activities).toEqual([])
  return plan.reasons
}

describe('what an infeasible session founders on', () => {
  it('names each due time without which the other could be met', () => {
    const [first, ...parts] = reasonsOf({}, [150, 150])
    expect(first).toContain('every order')
    expect(parts).toEqual([
      'without this there would be a plan: "tart" is due at 150 s',
      'without this there would be a plan: "loaf" is due at 150 s',
    ])
  })

  it('names an absence and a longest wait, and leaves out what does not matter', () => {
    const stations = [{ id: 'oven', kind: 'oven', unavailable: [[100, 160]] as [number, number][] }]
    const parts = reasonsOf(
      {
        stations,
        relations: [{ from: 'tart', to: 'loaf', kind: 'FS', min: 0, max: 50 }],
        cooks: [{ id: 'ana', unavailable: [[500, 600]] }],
      },
      [100, undefined],
    ).slice(1)
    expect(parts.join('\n')).toContain('"oven" cannot be used from 100 s to 160 s')
    expect(parts.join('\n')).toContain('at most 50 s from "tart" to "loaf"')
    expect(parts.join('\n')).not.toContain('ana')
  })

  it('says only that no order goes where no limit alone is to blame', () => {
    const stations = [
      {
        id: 'oven',
        kind: 'oven',
        unavailable: [
          [150, 1000],
          [1050, 5000],
        ] as [number, number][],
      },
    ]
    const reasons = reasonsOf({ stations, deadline: 900 }, [170, 170])
    expect(reasons).toHaveLength(1)
    expect(reasons[0]).toContain('every order')
  })
})
