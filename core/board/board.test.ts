import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { ovenSettings } from '../plan'
import { compileSession } from '../session'
import { solve } from '../solver'
import { buildModel } from '../solver/model/buildModel'
import { chainText, decidingChain, handworkOf, strandsOf, waitingTime } from './index'
import { valuesOfBody } from '../solver/model/objective'

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
    const { strands, stretches } = strandsOf(plan, compiled, demoKitchen)
    const real = plan.activities.filter((a) => !compiled.cards[a.id]!.marker)
    expect(stretches.map((s) => s.activity).sort()).toEqual(real.map((a) => a.id).sort())
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
    const chain = decidingChain(compiled, plan)
    expect(chain[chain.length - 1]!.to).toBe(plan.makespan)
    expect(chain[0]).toMatchObject({ waitedFor: 'nothing', from: 0 })
    // Every link but the first begins when something lets it: no gap is left unexplained.
    for (const link of chain.slice(1)) expect(link.waitedFor).not.toBe('nothing')
  })

  it('says the chain with each dish once in a row, in words', () => {
    const { dishes, steps: words } = chainText(decidingChain(compiled, plan), compiled, demoKitchen)
    for (const dish of dishes.split(', then ')) expect(words).toContain(dish)
    const names = words.split('; ').map((part) =>
      part
        .replace(/^then /, '')
        .split(/[(:]/)[0]!
        .trim(),
    )
    names.forEach((name, i) => expect(name).not.toBe(names[i - 1]))
    expect(words).not.toMatch(/[a-z]+\.[a-z]+-?\d*/)
  })
})
