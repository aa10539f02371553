import { expect, it } from 'vitest'
import type { ProblemInput } from '../../../problem'
import { problemOf } from '../../../testing/problemOf'
import { buildModel } from '../../model/buildModel'
import { Decisions } from '../search/decisions'
import { addDisjunctives } from '../model/disjunctive'
import { addPause, missingPauses, plannedPauses } from './pauseCuts'
import { buildSessionModel } from '../model/sessionModel'

const step = (id: string, hygiene: string) =>
  ({
    id,
    label: id,
    hygiene,
    modes: [{ id: 'm', phases: [{ seconds: [10, 10], hands: {} }] }],
  }) as ProblemInput['activities'][number]

/** What one cook does, one after another in the order of the list. */
function session(...classes: string[]) {
  const activities = classes.map((hygiene, i) => step(`s${i}`, hygiene))
  const model = buildModel(
    problemOf({
      cooks: [{ id: 'cook' }],
      activities,
      relations: activities
        .slice(1)
        .map((a, i) => ({ from: activities[i]!.id, to: a.id, kind: 'FS' })),
      hygiene: { raw: { ready: 40, produce: 60 }, produce: { ready: 30 } },
    }),
  )
  const built = buildSessionModel(model)
  addDisjunctives(built)
  built.engine.reserve(100)
  expect(built.engine.seal()).toBe(true)
  const own = model.activities.map((a) => built.touches.find((t) => t.activity === a.index)!)
  const settle = () => {
    const decisions = new Decisions(built, model)
    for (;;)
      if (!built.engine.propagate()) expect(built.engine.learn()).toBe(true)
      else if (!decisions.next()) return built.engine.lo(built.makespan)
  }
  const said = () =>
    plannedPauses(model, own, 0).map(({ chain, seconds }) => [
      chain.map((t) => t.activity).join(),
      seconds,
    ])
  return { built, model, own, settle, said }
}

it('says where hands are washed with something else in between, and only that', () => {
  expect(session('raw', 'neutral', 'ready').said()).toEqual([['0,1,2', 40]])
  // Next to each other they have their pause anyway.
  expect(session('raw', 'ready', 'neutral').said()).toEqual([])
  // Hands that are washed for the salad are clean for what comes after it, but not for longer washing.
  expect(session('raw', 'neutral', 'ready', 'ready').said()).toEqual([['0,1,2', 40]])
  expect(session('raw', 'neutral', 'ready', 'produce').said()).toEqual([
    ['0,1,2', 40],
    ['0,1,2,3', 60],
  ])
  expect(session('raw', 'neutral', 'produce', 'neutral', 'ready').said()).toEqual([
    ['0,1,2', 60],
    ['2,3,4', 30],
  ])
})

it('has the engine keep that pause, which it does not know of itself', () => {
  const open = session('raw', 'neutral', 'ready')
  // 40 s from raw to ready, the 10 s of stirring among them.
  expect(open.settle()).toBe(60)
  const missing = missingPauses(open.built)
  expect(missing.map(({ seconds }) => seconds)).toEqual([40])
  const { built, model, own, settle } = session('raw', 'neutral', 'ready')
  const planned = plannedPauses(model, own, 0)
  expect(planned.map(({ chain }) => chain.map((t) => t.activity))).toEqual(
    missing.map(({ chain }) => chain.map((t) => t.activity)),
  )
  expect(addPause(built, planned[0]!)).toBe(true)
  expect(settle()).toBe(70)
  expect(missingPauses(built)).toEqual([])
})
