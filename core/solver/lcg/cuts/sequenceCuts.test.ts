import { describe, expect, it } from 'vitest'
import { randomProblem } from '../../../testing/randomProblem'
import type { Plan } from '../../../plan'
import type { Problem } from '../../../problem'
import { problemOf } from '../../../testing/problemOf'
import { buildModel } from '../../model/buildModel'
import { prove } from '../../bounds/rootProof'
import { solve } from '../../portfolio/solve'
import { shortWashes, strangers, together } from './sequenceCuts'
import { ALWAYS } from '../engine/literals'
import { Decisions } from '../search/decisions'
import { addDisjunctives } from '../model/disjunctive'
import { planFromSolution } from '../model/planFromSolution'
import { heatCuts } from './heatCuts'
import { missingPauses } from './pauseCuts'
import { buildSessionModel, type Scope, type SessionModel, type Touch } from '../model/sessionModel'
import { breachesOf } from '../../model/planBody'

/** A solution of a session in which only neighbours in its plan have an order from the beginning. */
function solution(seed: number, large = 160): SessionModel | undefined {
  const problem = randomProblem(seed, 14)
  const model = buildModel(problem)
  if (!prove(model).feasible) return undefined
  const plan = solve(problem, { iterations: 14, seed })
  if (!plan.activities.length) return undefined
  const session = buildSessionModel(model, plan, { hands: 1, large, uses: 1 })
  addDisjunctives(session)
  const { engine } = session
  if (!engine.seal()) return undefined
  const decisions = new Decisions(session, model)
  while (engine.conflicts < 200)
    if (!engine.propagate()) {
      if (!engine.learn()) return undefined
    } else if (!decisions.next()) return session
  return undefined
}

const clock = () => performance.now()

describe('touches that meet', () => {
  it('come with those shortly after each other, and nothing comes where none meet', () => {
    let met = 0
    let apart = 0
    for (let seed = 1; seed <= 120; seed++) {
      const session = solution(seed)
      if (!session) continue
      const { engine, touches } = session
      const on = (t: Touch, cook: number) =>
        t.cooks.some((x) => x.cook === cook && (x.literal < 0 || engine.isTrue(x.literal)))
      const pause = (a: Touch, b: Touch) =>
        Math.max(engine.lo(a.s) - engine.lo(b.e), engine.lo(b.s) - engine.lo(a.e))
      const open = touches.flatMap((a, i) =>
        touches
          .slice(i + 1)
          .filter(
            (b) =>
              (a.activity < 0 || a.activity !== b.activity) &&
              !session.ordered(a, b) &&
              session.model.cooks.some((_, c) => on(a, c) && on(b, c)),
          )
          .map((b) => pause(a, b)),
      )
      const pairs = together(session)
      const shortest = open.length ? Math.min(...open) : 0
      if (shortest >= 0) {
        apart++
        expect(pairs).toEqual([])
        continue
      }
      met++
      for (const [a, b] of pairs) expect(session.ordered(a, b)).toBe(false)
      expect(pairs.some(([a, b]) => pause(a, b) < 0)).toBe(true)
      expect(pairs.length).toBe(open.filter((gap) => gap < 3000).length)
    }
    expect(met).toBeGreaterThan(10)
    expect(apart).toBeGreaterThan(10)
  })
})

describe('a solution that breaks a rule', () => {
  it('always shows what has not been said, in sessions learned whole and in part', () => {
    let broken = 0
    for (let seed = 1; seed <= 400; seed++) {
      const session = solution(seed, seed % 2 ? 160 : 0)
      if (!session) continue
      const { engine, washes } = session
      const on = (literal: number) => literal === ALWAYS || engine.isTrue(literal)
      for (const w of washes)
        if (on(w.literal)) expect(w.uses.some((u) => on(u.use.literal))).toBe(true)
      const body = planFromSolution(session)
      if (body && breachesOf(session.model, body) === 0) continue
      broken++
      const unsaid = [missingPauses, shortWashes, heatCuts, together, strangers]
      expect([seed, unsaid.some((missing) => missing(session).length > 0)]).toEqual([seed, true])
    }
    expect(broken).toBeGreaterThan(60)
  })

  it('shows hands that could only be washed while their cook is away', () => {
    const problem = problemOf({
      cooks: [{ id: 'cook', unavailable: [[20, 100]] }],
      activities: [
        { id: 'chicken', label: 'Cut', hygiene: 'raw', modes: [hands(20)] },
        { id: 'stir', label: 'Stir', modes: [hands(10)] },
        { id: 'salad', label: 'Tear', hygiene: 'ready', release: 110, modes: [hands(10)] },
      ],
      relations: [
        { from: 'chicken', to: 'stir', kind: 'FS' },
        { from: 'stir', to: 'salad', kind: 'FS' },
      ],
      hygiene: { raw: { ready: 40 } },
    })
    const session = settled(problem)
    // Away from 20 to 100, at it again until 110: the 90 s between are no pause.
    expect(session.engine.lo(session.makespan)).toBe(120)
    const [cut] = missingPauses(session)
    expect(cut!.seconds).toBe(40)
    expect(cut!.chain.length).toBe(4)
    expect(solve(problem, { clock, seconds: 5, seed: 1 })).toMatchObject({
      status: 'optimal',
      makespan: 160,
    })
  })

  it('shows a wash left out for something alike that stood there longer ago', () => {
    const pan = (contents: string) => ({ ...hands(10), needs: [{ kind: 'pan', contents }] })
    const problem = problemOf({
      stations: [{ id: 'pan', kind: 'pan', wash: { seconds: 5 } }],
      activities: [
        { id: 'onions', label: 'Fry', modes: [pan('onions')] },
        { id: 'fish', label: 'Fry', modes: [pan('fish')] },
        { id: 'more', label: 'Fry', modes: [pan('onions')] },
      ],
      relations: [
        { from: 'onions', to: 'fish', kind: 'FS' },
        { from: 'fish', to: 'more', kind: 'FS' },
      ],
    })
    // By this plan the onions come last, too far from the fish to be heard of beside it.
    const start = { fish: 0, more: 10, onions: 20 }
    const plan = solve(problem, { clock, seconds: 1, seed: 1 })
    for (const a of plan.activities) a.phases[0]!.from = start[a.id as keyof typeof start]
    const session = settled(problem, plan, { hands: 16, large: 0, uses: 1 })
    const idOf = (i: number) => problem.activities[i]!.id
    const ordered = strangers(session).filter(({ pair }) => session.usesOrdered(...pair))
    expect(ordered.map(({ pair }) => pair.map((u) => idOf(u.activity)))).toEqual([['fish', 'more']])
    const { place, pair } = ordered[0]!
    session.engine.backtrack(0)
    session.lateUses(place, ...pair)
    settle(session)
    const { engine, washes } = session
    const more = washes.find((w) => w.uses.some(({ use }) => use === pair[1]))!
    expect(engine.isTrue(more.literal)).toBe(true)
    expect(engine.lo(more.start)).toBeGreaterThanOrEqual(engine.lo(pair[0].e))
  })
})

it('nothing is washed for a way that is not taken', () => {
  const pan = (contents: string) => ({ ...hands(10), needs: [{ kind: 'pan', contents }] })
  const problem = problemOf({
    stations: [{ id: 'pan', kind: 'pan', wash: { seconds: 5 } }],
    activities: [
      { id: 'fish', label: 'Fry', modes: [pan('fish')] },
      { id: 'onions', label: 'Fry', modes: [pan('onions'), { ...hands(20), id: 'other' }] },
    ],
  })
  const session = settled(problem)
  const { engine, washes } = session
  engine.backtrack(0)
  const onions = washes.find((w) => w.uses.some(({ use }) => use.activity === 1))!
  engine.decide(onions.literal, 1)
  expect(engine.propagate()).toBe(true)
  expect(engine.isTrue(onions.uses[0]!.use.literal)).toBe(true)
})

const decisions = new WeakMap<SessionModel, Decisions>()

/** The first solution of a session that has one without any conflict. */
function settled(problem: Problem, plan?: Plan, scope?: Scope): SessionModel {
  const model = buildModel(problem)
  const session = buildSessionModel(model, plan, scope)
  addDisjunctives(session)
  session.engine.reserve(50)
  expect(session.engine.seal()).toBe(true)
  decisions.set(session, new Decisions(session, model))
  settle(session)
  return session
}

function settle(session: SessionModel): void {
  do expect(session.engine.propagate()).toBe(true)
  while (decisions.get(session)!.next())
}

const hands = (seconds: number) => ({
  id: 'hand',
  phases: [{ seconds: [seconds, seconds] as [number, number], hands: {} }],
})
