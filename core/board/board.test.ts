import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { ovenSettings } from '../plan'
import { compileSession } from '../session'
import { solve } from '../solver'
import { buildModel } from '../solver/buildModel'
import { valuesOfBody } from '../solver/objective'
import { decidingChain, handworkOf, runningList, strandsOf, unattended, waitingTime } from './index'

const reading = compileSession({ session: demoSession, kitchen: demoKitchen, recipes: demoRecipes })
if (!reading.ok) throw new Error('the demo session does not compile')
const compiled = reading.value
const plan = solve(compiled.problem, { iterations: 40 })

describe('the board', () => {
  it('shows all hands work once, and never two things in the same hands', () => {
    const work = handworkOf(plan, compiled)
    expect(new Set(work.map((w) => w.key)).size).toBe(work.length)
    for (const cook of ['runa', 'teo']) {
      const own = work.filter((w) => w.cook === cook)
      own.forEach((w, i) => {
        if (i) expect(w.from).toBeGreaterThanOrEqual(own[i - 1]!.to)
      })
    }
    const washes = work.filter((w) => w.activity === undefined)
    expect(washes).toHaveLength(plan.chores.length)
  })

  it('adds up how long each cook waits between the first work and the last', () => {
    const stretch = (cook: string, from: number, to: number) => ({
      key: `${cook}${from}`,
      cook,
      from,
      to,
      text: '',
      where: [],
    })
    expect(waitingTime([])).toBe(0)
    const work = [stretch('a', 100, 160), stretch('b', 0, 30), stretch('a', 0, 40)]
    expect(waitingTime(work)).toBe(60)
    expect(waitingTime([...work, stretch('b', 50, 60)])).toBe(80)
    // Nobody works on two things at once, so that this is what the planner makes small.
    const { problem } = compiled
    const aside = new Set(problem.activities.filter((a) => a.aside).map((a) => a.id))
    const counted = handworkOf(plan, compiled).filter((w) => !aside.has(w.activity ?? ''))
    const model = buildModel({ ...problem, objective: ['handsSpread'] })
    expect(waitingTime(counted)).toBe(valuesOfBody(model, plan)[0])
  })

  it('gives every activity one stretch, and none of a lane to two at once', () => {
    const { strands, stretches } = strandsOf(plan, demoKitchen)
    expect(stretches.map((s) => s.activity).sort()).toEqual(plan.activities.map((a) => a.id).sort())
    for (const a of stretches) {
      expect(a.lane).toBeLessThan(strands.find((s) => s.id === a.strand)!.lanes)
      for (const b of stretches)
        if (a !== b && a.strand === b.strand && a.lane === b.lane)
          expect(a.to <= b.from || b.to <= a.from).toBe(true)
    }
    expect(strands.find((s) => s.id === 'oven')!.lanes).toBeLessThanOrEqual(2)
  })

  it('sets the oven early enough, and never while the heat before is still wanted', () => {
    const settings = ovenSettings(compiled.problem, plan)
    expect(settings).toHaveLength(plan.heats.length)
    settings.forEach((s, i) => {
      const before = settings[i - 1]
      const degrees = Math.abs(s.celsius - (before?.celsius ?? 20))
      expect(s.from - s.setAt).toBeGreaterThanOrEqual(degrees * 4)
      if (before) expect(s.setAt).toBeGreaterThanOrEqual(before.to)
    })
  })

  it('follows the finish back, link by link, to something that began the day', () => {
    const chain = decidingChain(compiled.problem, plan)
    expect(chain[chain.length - 1]!.to).toBe(plan.makespan)
    for (let i = 1; i < chain.length; i++)
      expect(chain[i]!.from).toBeGreaterThan(chain[i - 1]!.from)
    expect(chain[0]!.waitedFor).toBe('nothing')
  })

  it('lists what runs meanwhile, and amounts where a thing is first touched', () => {
    const lines = runningList(plan, compiled)
    const alone = unattended(plan, compiled)
    for (const line of lines)
      for (const m of line.meanwhile)
        expect(
          alone.some(
            (a) => a.activity === m.activity && a.from <= line.from && line.from < a.until,
          ),
        ).toBe(true)
    const simmer = lines.filter((l) => l.activity === 'squash-soup.simmer')
    expect(simmer.length).toBeGreaterThan(1)
    expect(simmer[0]!.uses.length).toBeGreaterThan(0)
    expect(simmer[1]!.uses).toEqual([])
  })
})
