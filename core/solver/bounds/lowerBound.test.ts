import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ProblemInput } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { randomProblem } from '../../testing/randomProblem'
import { lowerBound } from './lowerBound'
import { buildModel } from '../model/buildModel'
import { boundWords, prove } from './rootProof'
import { solve } from '../portfolio/solve'

function boundOf(input: Partial<ProblemInput>) {
  return lowerBound(buildModel(problemOf({ cooks: [{ id: 'ana' }, { id: 'bo' }], ...input })))!
}
const step = (id: string, seconds: number, extra: object = {}, needs: { kind: string }[] = []) => ({
  id,
  label: id,
  modes: [
    { id: 'm', needs, phases: [{ seconds: [seconds, seconds] as [number, number], ...extra }] },
  ],
})

describe('lowerBound', () => {
  it('follows the longest chain, and names it', () => {
    const bound = boundOf({
      activities: [step('a', 30), step('b', 50), step('c', 10)],
      relations: [
        { from: 'a', to: 'b', kind: 'FS', min: 5 },
        { from: 'b', to: 'c', kind: 'FS' },
      ],
    })
    expect(bound).toMatchObject({ value: 95, kind: 'chain', because: ['a', 'b', 'c'] })
    expect(boundWords(bound)).toBe('the chain "a", "b", "c"')
  })

  it('shares hands between those who have them, and not with those who lack the skill', () => {
    const activities = [1, 2, 3, 4].map((k) => step(`a${k}`, 100, { hands: { skill: 'knife' } }))
    expect(boundOf({ activities })).toMatchObject({ value: 200, kind: 'hands' })
    const one = boundOf({ activities, cooks: [{ id: 'ana' }, { id: 'bo', skills: [] }] })
    expect(one).toMatchObject({ value: 400, because: ['ana'] })
  })

  it('adds a head before and a tail after the work', () => {
    const bound = boundOf({
      cooks: [{ id: 'ana' }],
      activities: [
        ...[1, 2].map((k) => ({ ...step(`a${k}`, 100, { hands: {} }), release: 30 })),
        ...[1, 2].map((k) => step(`cool${k}`, 40)),
      ],
      relations: [1, 2].map((k) => ({ from: `a${k}`, to: `cool${k}`, kind: 'FS' as const })),
    })
    expect(bound.value).toBe(30 + 200 + 40)
  })

  it('counts absences off, and the time that a station is taken', () => {
    expect(
      boundOf({
        cooks: [{ id: 'ana', unavailable: [[10, 60]] }],
        activities: [step('a', 100, { hands: {} })],
      }).value,
    ).toBe(150)
    const needs = [{ kind: 'burner' }]
    expect(
      boundOf({
        stations: [{ id: 'hob', kind: 'burner' }],
        activities: [step('a', 100, {}, needs), step('b', 70, {}, needs)],
      }),
    ).toMatchObject({ value: 170, kind: 'station', because: ['hob'] })
  })

  it('has what may last for no time at all wait for no room in an oven', () => {
    const bake = (id: string, seconds: [number, number], release = 0) => ({
      ...step(id, 0, {}, [{ kind: 'oven' }]),
      release,
      modes: [
        {
          id: 'm',
          needs: [{ kind: 'oven' }],
          phases: [
            { seconds, heat: { need: 0, celsius: [180, 180] as [number, number], method: 'bake' } },
          ],
        },
      ],
    })
    const oven = {
      min: 50,
      max: 250,
      start: 180,
      heatSecondsPerDegree: 1,
      coolSecondsPerDegree: 1,
      methods: ['bake'],
    }
    const bound = boundOf({
      stations: [{ id: 'oven', kind: 'oven', oven }],
      activities: [bake('roast', [600, 600]), bake('glance', [0, 60], 100), step('rest', 300)],
      relations: [{ from: 'glance', to: 'rest', kind: 'FS' }],
    })
    expect(bound.value).toBe(600)
  })

  it('takes the better of two options, and what both have in common', () => {
    expect(
      boundOf({
        activities: [step('slow', 300), step('quick', 80)],
        choices: [
          {
            id: 'way',
            options: [
              { id: 's', activities: ['slow'] },
              { id: 'q', activities: ['quick'] },
            ],
          },
        ],
      }).value,
    ).toBe(80)
  })

  it('heats the oven first, and between temperatures that exclude each other', () => {
    const bake = (id: string, low: number) =>
      step(id, 600, { heat: { need: 0, celsius: [low, low + 10], method: 'bake' } }, [
        { kind: 'oven' },
      ])
    const oven = {
      min: 50,
      max: 250,
      start: 20,
      heatSecondsPerDegree: 4,
      coolSecondsPerDegree: 9,
      methods: ['bake'],
    }
    const bound = boundOf({
      stations: [{ id: 'oven', kind: 'oven', capacity: 2, oven }],
      activities: [bake('a', 160), bake('b', 210)],
    })
    // Up to 160 at least, both, and on to 210: (210 - 20) * 4 in all.
    expect(bound).toMatchObject({ value: 760 + 1200, kind: 'oven' })
  })

  it('is never above the makespan of any plan', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const problem = randomProblem(seed, 9)
        const proof = prove(buildModel(problem))
        const plan = solve(problem, { iterations: 20, seed })
        if (!proof.feasible) expect(plan.status).toBe('infeasible')
        else if (plan.activities.length)
          expect(proof.bound.value).toBeLessThanOrEqual(plan.makespan)
      }),
      { numRuns: 150 },
    )
  })
})
