import { describe, expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { homeSession } from '../../../bench/sessions'
import { checkPlan, breachText } from '../../plan'
import { buildModel } from '../model/buildModel'
import { Construction } from '../construct/construction'
import { withAskedWashes } from '../model/askedWashes'
import { planFromSchedule } from '../sgs/planFromSchedule'
import { emptyEncoding } from '../sgs/encoding'
import { Moves } from './moves'
import { seeded } from '../structures/random'
import { SerialSchedule } from '../sgs/serialScheduleGeneration'
import { planOf } from '../model/planBody'
import { encodeSchedule } from '../sgs/encodeSchedule'
import { lateness } from '../sgs/scheduleObjective'

const verdict = { status: 'feasible' as const, bound: 0, seed: 0, elapsedMs: 0, reasons: [] }

describe('changes and kicks', () => {
  it('lead to plans that the checker passes, and now and then to a shorter one', () => {
    const model = buildModel(everyFeature(9, 4))
    const schedule = new SerialSchedule(model)
    const random = seeded(3)
    const moves = new Moves(model, random)
    const current = emptyEncoding(model)
    const candidate = emptyEncoding(model)
    new Construction(model, random).next(0, current, current)
    expect(schedule.decode(current)).toBe(true)
    encodeSchedule(current, schedule)
    const first = planFromSchedule(model, schedule).makespan
    let shortest = first
    let kept = 0
    for (let k = 0; k < 300; k++) {
      if (k % 10 === 9) moves.kick(candidate, current)
      else moves.change(candidate, current)
      for (const [c, option] of candidate.option.entries())
        expect(model.choices[c]!.options[option]!.possible).toBe(true)
      candidate.mode.forEach((m, i) =>
        expect(m).toBeLessThan(Math.max(1, model.activities[i]!.modes.length)),
      )
      expect(Math.min(...candidate.floor)).toBeGreaterThanOrEqual(0)
      if (!schedule.decode(candidate) || lateness(model, schedule) > 0) continue
      kept++
      const body = withAskedWashes(model, planFromSchedule(model, schedule))
      expect(checkPlan(model.problem, planOf(model, body, verdict)).map(breachText)).toEqual([])
      if (body.makespan > shortest) continue
      shortest = body.makespan
      encodeSchedule(candidate, schedule)
      for (const key of ['priority', 'at', 'cook', 'seat', 'option', 'mode'] as const)
        current[key].set(candidate[key] as never)
    }
    expect(kept).toBeGreaterThan(250)
    expect(shortest).toBeLessThan(0.9 * first)
  })

  it('leave the encoding that they set out from as they were', () => {
    const model = buildModel(everyFeature(4, 2))
    const random = seeded(1)
    const encoding = emptyEncoding(model)
    new Construction(model, random).next(0, encoding, encoding)
    const schedule = new SerialSchedule(model)
    schedule.decode(encoding)
    encodeSchedule(encoding, schedule)
    const before = JSON.stringify(encoding)
    const moves = new Moves(model, random)
    for (let k = 0; k < 50; k++) {
      moves.change(emptyEncoding(model), encoding)
      moves.kick(emptyEncoding(model), encoding)
    }
    expect(JSON.stringify(encoding)).toBe(before)
  })
})

describe('construction', () => {
  it('begins with the slow cookers not all in one, and tries every option', () => {
    const model = buildModel(everyFeature(18, 2))
    const construction = new Construction(model, seeded(1))
    const encoding = emptyEncoding(model)
    construction.next(0, encoding, encoding)
    expect(model.choices.length).toBeGreaterThan(2)
    expect([...encoding.option].every((o) => o === 0)).toBe(false)
    construction.tell(1, encoding, true)
    const seen = model.choices.map(() => new Set<number>())
    const candidate = emptyEncoding(model)
    for (let k = 1; k < construction.length; k++) {
      construction.next(k, candidate, encoding)
      candidate.option.forEach((o, c) => seen[c]!.add(o))
    }
    seen.forEach((options, c) =>
      expect(options.size).toBe(model.choices[c]!.options.filter((o) => o.possible).length),
    )
  })

  it('passes over what would come out like an earlier schedule, and over nothing else', () => {
    const model = buildModel(homeSession(9, 1))
    const schedule = new SerialSchedule(model)
    const construction = new Construction(model, seeded(1))
    const candidate = emptyEncoding(model)
    const outcomes = new Set<string>()
    let passed = 0
    for (let k = 0; k < construction.length; k++) {
      const fresh = construction.next(k, candidate, candidate)
      const ok = schedule.decode(candidate)
      const outcome = JSON.stringify([ok, ok && planFromSchedule(model, schedule)])
      if (fresh) outcomes.add(outcome)
      else {
        expect(outcomes).toContain(outcome)
        passed++
      }
      construction.tell(1, candidate, k === 0)
    }
    expect(passed).toBeGreaterThan(2)
    expect(passed).toBeLessThan(construction.length / 2)
  })
})
