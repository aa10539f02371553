import { describe, expect, it } from 'vitest'
import { everyFeature } from '../../bench/everyFeature'
import { homeSession } from '../../bench/sessions'
import { checkPlan, breachText } from '../plan'
import { buildModel } from './buildModel'
import { Construction } from './construction'
import { withAskedWashes } from './askedWashes'
import { planBody, planOf } from './emit'
import { emptyGenes, takeDown } from './genes'
import { Moves } from './moves'
import { lateness } from './objective'
import { seeded } from './random'
import { Schedule } from './schedule'

const verdict = { status: 'feasible' as const, bound: 0, seed: 0, elapsedMs: 0, reasons: [] }

describe('changes and kicks', () => {
  it('lead to plans that the checker passes, and now and then to a shorter one', () => {
    const model = buildModel(everyFeature(9, 4))
    const schedule = new Schedule(model)
    const random = seeded(3)
    const moves = new Moves(model, random)
    const current = emptyGenes(model)
    const candidate = emptyGenes(model)
    new Construction(model, random).next(0, current, current)
    expect(schedule.decode(current)).toBe(true)
    takeDown(current, schedule)
    const first = planBody(model, schedule).makespan
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
      const body = withAskedWashes(model, planBody(model, schedule))
      expect(checkPlan(model.problem, planOf(model, body, verdict)).map(breachText)).toEqual([])
      if (body.makespan > shortest) continue
      shortest = body.makespan
      takeDown(candidate, schedule)
      for (const key of ['priority', 'at', 'cook', 'seat', 'option', 'mode'] as const)
        current[key].set(candidate[key] as never)
    }
    expect(kept).toBeGreaterThan(250)
    expect(shortest).toBeLessThan(0.9 * first)
  })

  it('leave the genes that they set out from as they were', () => {
    const model = buildModel(everyFeature(4, 2))
    const random = seeded(1)
    const genes = emptyGenes(model)
    new Construction(model, random).next(0, genes, genes)
    const schedule = new Schedule(model)
    schedule.decode(genes)
    takeDown(genes, schedule)
    const before = JSON.stringify(genes)
    const moves = new Moves(model, random)
    for (let k = 0; k < 50; k++) {
      moves.change(emptyGenes(model), genes)
      moves.kick(emptyGenes(model), genes)
    }
    expect(JSON.stringify(genes)).toBe(before)
  })
})

describe('construction', () => {
  it('begins with the slow cookers not all in one, and tries every option', () => {
    const model = buildModel(everyFeature(18, 2))
    const construction = new Construction(model, seeded(1))
    const genes = emptyGenes(model)
    construction.next(0, genes, genes)
    expect(model.choices.length).toBeGreaterThan(2)
    expect([...genes.option].every((o) => o === 0)).toBe(false)
    construction.tell(1, genes, true)
    const seen = model.choices.map(() => new Set<number>())
    const candidate = emptyGenes(model)
    for (let k = 1; k < construction.length; k++) {
      construction.next(k, candidate, genes)
      candidate.option.forEach((o, c) => seen[c]!.add(o))
    }
    seen.forEach((options, c) =>
      expect(options.size).toBe(model.choices[c]!.options.filter((o) => o.possible).length),
    )
  })

  it('passes over what would come out like an earlier schedule, and over nothing else', () => {
    const model = buildModel(homeSession(9, 1))
    const schedule = new Schedule(model)
    const construction = new Construction(model, seeded(1))
    const candidate = emptyGenes(model)
    const outcomes = new Set<string>()
    let passed = 0
    for (let k = 0; k < construction.length; k++) {
      const fresh = construction.next(k, candidate, candidate)
      const ok = schedule.decode(candidate)
      const outcome = JSON.stringify([ok, ok && planBody(model, schedule)])
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
