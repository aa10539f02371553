import { describe, expect, it } from 'vitest'
import { checkPlan, type Plan } from '../../plan'
import { problemSchema, type ProblemInput } from '../../problem'
import { solve } from './solve'

type Rest = Omit<ProblemInput, 'format' | 'name'>
const problemOf = (rest: Rest) =>
  problemSchema.parse({ format: 'cadrum/problem@1', name: 'fault', ...rest })

/** Problems of which the engine once proved what is not so. */
describe('what the engine does not build in every way, it proves nothing of', () => {
  const board = { id: 'board', kind: 'board', unavailable: [[9, 109]] as [number, number][] }

  it('holds to the end of a session that is over before the station is closed', () => {
    // 9 s are possible: the board is closed when all is over.
    const plan = solve(
      problemOf({
        cooks: [],
        stations: [board],
        activities: [
          {
            id: 'a0',
            label: '',
            modes: [
              { id: 'm0', needs: [], phases: [{ seconds: [6, 11] }, { seconds: [3, null] }] },
            ],
          },
        ],
        holds: [{ id: 'h1', need: { kind: 'board' }, from: 'a0', to: null }],
      }),
      { iterations: 100 },
    )
    expect(plan.bound).toBeLessThanOrEqual(9)
    expect(plan.makespan).toBe(9)
  })

  it('and does not say that there is no plan', () => {
    const plan = solve(
      problemOf({
        cooks: [],
        deadline: 50,
        stations: [board],
        activities: [
          { id: 'a0', label: '', modes: [{ id: 'm0', needs: [], phases: [{ seconds: [9, 9] }] }] },
        ],
        holds: [{ id: 'h1', need: { kind: 'board' }, from: 'a0', to: null }],
      }),
      { iterations: 100 },
    )
    expect([plan.status, plan.makespan]).toEqual(['optimal', 9])
  })

  it('takes the way that has room beside what is held', () => {
    const problem = problemOf({
      cooks: [],
      stations: [{ id: 'pot', kind: 'pot' }],
      activities: [
        {
          id: 'a0',
          label: '',
          modes: [
            {
              id: 'm0',
              needs: [],
              phases: [{ seconds: [3, 4] }, { seconds: [0, 0] }, { seconds: [3, 3] }],
            },
          ],
        },
        {
          id: 'a1',
          label: '',
          modes: [
            { id: 'm0', needs: [{ kind: 'pot' }], phases: [{ seconds: [5, 8] }] },
            {
              id: 'm1',
              needs: [{ kind: 'pot', amount: 0.5 }],
              phases: [{ seconds: [3, 3] }, { seconds: [4, 4] }],
            },
          ],
        },
      ],
      relations: [
        { from: 'a0', to: 'a1', kind: 'SS' },
        { from: 'a0', to: 'a1', kind: 'FF', max: 0 },
      ],
      holds: [{ id: 'h1', need: { kind: 'pot', amount: 0.5 }, from: 'a1', to: 'a1' }],
    })
    const plan = solve(problem, { iterations: 100 })
    expect(plan.makespan).toBe(7)
    expect(checkPlan(problem, plan)).toEqual([])
  })

  it('proves no more of a session under way than a plan that is known allows', () => {
    const problem = problemOf({
      cooks: [{ id: 'c0' }, { id: 'c1' }],
      stations: [
        { id: 'b0', kind: 'burner' },
        {
          id: 'o0',
          kind: 'oven',
          oven: {
            min: 60.5,
            max: 180,
            start: 100,
            heatSecondsPerDegree: 0.01,
            coolSecondsPerDegree: 0.13,
            methods: ['bake', 'grill'],
          },
        },
        { id: 'pot', kind: 'pot' },
      ],
      activities: [
        {
          id: 'a0',
          label: '',
          modes: [
            {
              id: 'm1',
              needs: [{ kind: 'oven', amount: 0.5, contents: 'toString' }],
              phases: [
                { seconds: [6, 12], watch: 10 },
                { seconds: [3, 3] },
                { seconds: [7, 12], watch: 30 },
                { seconds: [1, 3], hands: {} },
              ],
            },
          ],
        },
        {
          id: 'a2',
          label: '',
          modes: [
            {
              id: 'm0',
              needs: [{ kind: 'burner', amount: 0.5 }],
              phases: [{ seconds: [3, 3] }, { seconds: [4, 5] }, { seconds: [1, 6] }],
            },
          ],
        },
        {
          id: 'a3',
          label: '',
          hygiene: 'produce',
          modes: [
            {
              id: 'm0',
              needs: [{ kind: 'pot', contents: 'b' }],
              phases: [
                { seconds: [4, null] },
                { seconds: [6, 6], hands: { attention: 30 } },
                { seconds: [3, null], hands: { skill: 'simple' } },
              ],
            },
          ],
        },
        {
          id: 'a4',
          label: '',
          modes: [
            {
              id: 'm0',
              needs: [{ kind: 'burner', amount: 0.5 }],
              phases: [
                { seconds: [0, 1] },
                { seconds: [6, 6], hands: { attention: 40 } },
                { seconds: [6, 9] },
              ],
            },
          ],
        },
      ],
      hygiene: { produce: { neutral: 2 } },
      progress: {
        now: 7,
        choices: {},
        activities: [
          {
            id: 'a3',
            mode: 'm0',
            start: 0,
            end: null,
            stations: ['pot'],
            phases: [
              { from: 0, to: 4 },
              { from: 4, to: null, cook: 'c1' },
            ],
          },
          {
            id: 'a0',
            mode: 'm1',
            start: 0,
            end: null,
            stations: ['o0'],
            phases: [
              { from: 0, to: 6, cook: 'c0' },
              { from: 6, to: null },
            ],
          },
        ],
        holds: [],
        chores: [],
        heats: [{ station: 'o0', celsius: 180, method: 'bake', from: 5, to: null }],
      },
    })
    const known: Plan = {
      format: 'cadrum/plan@1',
      problem: 'x',
      status: 'feasible',
      makespan: 19,
      bound: 0,
      seed: 1,
      elapsedMs: 0,
      choices: {},
      activities: [
        {
          id: 'a3',
          mode: 'm0',
          start: 0,
          end: 13,
          stations: ['pot'],
          phases: [
            { from: 0, to: 4 },
            { from: 4, to: 10, cook: 'c1' },
            { from: 10, to: 13, cook: 'c1' },
          ],
        },
        {
          id: 'a0',
          mode: 'm1',
          start: 0,
          end: 17,
          stations: ['o0'],
          phases: [
            { from: 0, to: 6, cook: 'c0' },
            { from: 6, to: 9 },
            { from: 9, to: 16, cook: 'c0' },
            { from: 16, to: 17, cook: 'c1' },
          ],
        },
        {
          id: 'a2',
          mode: 'm0',
          start: 7,
          end: 15,
          stations: ['b0'],
          phases: [
            { from: 7, to: 10 },
            { from: 10, to: 14 },
            { from: 14, to: 15 },
          ],
        },
        {
          id: 'a4',
          mode: 'm0',
          start: 7,
          end: 19,
          stations: ['b0'],
          phases: [
            { from: 7, to: 7 },
            { from: 7, to: 13, cook: 'c0' },
            { from: 13, to: 19 },
          ],
        },
      ],
      holds: [],
      chores: [],
      heats: [{ station: 'o0', celsius: 180, method: 'bake', from: 5, to: 7 }],
      reasons: [],
    }
    expect(checkPlan(problem, known)).toEqual([])
    expect(solve(problem, { iterations: 100 }).bound).toBeLessThanOrEqual(19)
  })

  it('has words, and no crash, for one oven that would have to be at two heats at once', () => {
    const plan = solve(
      problemOf({
        cooks: [],
        stations: [
          {
            id: 'o0',
            kind: 'oven',
            capacity: 2,
            oven: {
              min: 50,
              max: 250,
              start: 100,
              heatSecondsPerDegree: 3,
              coolSecondsPerDegree: 12,
              methods: ['bake'],
            },
          },
        ],
        activities: [
          {
            id: 'a1',
            label: '',
            modes: [
              {
                id: 'm1',
                needs: [{ kind: 'oven', amount: 0.5 }, { kind: 'oven' }],
                phases: [
                  { seconds: [120, 480], heat: { need: 1, celsius: [200, 200], method: 'bake' } },
                  { seconds: [360, 360], heat: { need: 0, celsius: [180, 180], method: 'bake' } },
                ],
              },
            ],
          },
        ],
      }),
      { iterations: 100 },
    )
    expect(['infeasible', 'unknown']).toContain(plan.status)
  })
})
