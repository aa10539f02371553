import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { decidingChain } from '../board'
import { checkPlan } from '../plan'
import { compileSession, type Wish } from '../session'
import { solve } from '../solver'
import {
  changesFor,
  compared,
  costOf,
  gainsOf,
  schoolsFor,
  slackOf,
  tried,
  wishText,
  withoutWish,
  withWish,
} from './index'

const asked = { session: { ...demoSession, calm: 0 }, kitchen: demoKitchen, recipes: demoRecipes }
const reading = compileSession(asked)
if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
const compiled = reading.value
const plan = solve(compiled.problem, { iterations: 200 })
const effort = { iterations: 40 }
const clock = (minutes: number) => {
  const at = Number(demoSession.start.slice(11, 13)) * 60 + minutes
  const two = (n: number) => String(n).padStart(2, '0')
  return `${demoSession.start.slice(0, 10)}T${two(Math.floor(at / 60))}:${two(at % 60)}`
}
const speaking = { compiled, kitchen: demoKitchen, hour: (iso: string) => iso.slice(11) }

describe('how much later a step may begin', () => {
  const slack = slackOf(compiled.problem, plan)

  it('is nothing on the chain that decides, and never beyond the finish', () => {
    for (const { activity, waitedFor } of decidingChain(compiled, plan).slice(-3))
      if (waitedFor === 'step') expect(slack.get(activity)).toBe(0)
    for (const run of plan.activities) {
      const activity = compiled.problem.activities.find((a) => a.id === run.id)!
      if (!activity.aside) expect(run.end + slack.get(run.id)!).toBeLessThanOrEqual(plan.makespan)
    }
    expect([...slack.values()].some((s) => s > 300)).toBe(true)
  })

  it('is so: begun that much later, there is a plan that is finished no later', () => {
    const optional = new Set(
      compiled.problem.choices.flatMap((c) => c.options.flatMap((o) => o.activities)),
    )
    const loose = plan.activities
      .filter((r) => !optional.has(r.id))
      .filter((r) => (slack.get(r.id) ?? 0) >= 240 && !compiled.cards[r.id]!.marker)
      .slice(0, 3)
    expect(loose.length).toBeGreaterThan(0)
    for (const run of loose) {
      const later = Math.floor((run.start + slack.get(run.id)!) / 60)
      const wish: Wish = { kind: 'at', step: run.id, from: clock(later) }
      const { problem } = (() => {
        const made = compileSession({ ...asked, session: withWish(asked.session, wish) })
        if (!made.ok) throw new Error('it does not compile')
        return made.value
      })()
      const found = solve(problem, { iterations: 300, previous: plan })
      expect(found.activities.find((r) => r.id === run.id)!.start).toBeGreaterThanOrEqual(
        later * 60,
      )
      expect(found.makespan).toBeLessThanOrEqual(plan.makespan * 1.02)
    }
  })
})

describe('what would help', () => {
  it('is found by solving, ranked, and comes out the same when it is solved again', async () => {
    const changes = changesFor(asked, compiled, plan)
    expect(changes.length).toBeGreaterThan(5)
    expect(new Set(changes.map((c) => c.id)).size).toBe(changes.length)
    const gains = await gainsOf(changes, plan, effort)
    expect(gains.length).toBeGreaterThan(0)
    expect(gains.map((g) => g.gained)).toEqual(gains.map((g) => g.gained).sort((a, b) => b - a))
    for (const { change, makespan, gained } of gains.slice(0, 4)) {
      const again = tried(change.asked, plan, effort)
      if (!again.possible) throw new Error(change.words)
      expect(checkPlan(again.compiled.problem, again.plan)).toEqual([])
      expect(again.plan.makespan).toBe(makespan)
      expect(plan.makespan - makespan).toBe(gained)
    }
  })

  it('is never worse with one more of anything, and stops when it is told to', async () => {
    for (const change of changesFor(asked, compiled, plan).filter((c) => c.id.startsWith('more'))) {
      const trial = tried(change.asked, plan, { iterations: 1 })
      expect(trial.possible && trial.plan.makespan).toBeLessThanOrEqual(plan.makespan)
    }
    let heard = 0
    await gainsOf(changesFor(asked, compiled, plan), plan, effort, () => ++heard < 3)
    expect(heard).toBe(3)
  })
})

describe('ways side by side', () => {
  it('are planned each for itself, and measured as their plans are', async () => {
    const all = schoolsFor(asked)
    expect(all[0]!.asked).toBe(asked)
    expect(new Set(all.map((s) => s.id)).size).toBe(all.length)
    const three = all.filter((s) => ['now', 'alone runa', 'cut first'].includes(s.id))
    expect(three).toHaveLength(3)
    const found = await compared(three, plan, effort)
    for (const { school, figures, handwork, cooks } of found) {
      const again = tried(school.asked, plan, effort)
      if (!again.possible || !figures) throw new Error(school.words)
      // As it stands it is the plan that is there.
      const measured = school.id === 'now' ? plan : again.plan
      expect(figures.makespan).toBe(measured.makespan)
      expect(figures.washes).toBe(measured.chores.length)
      expect(figures.hands).toBe(handwork.reduce((n, w) => n + w.to - w.from, 0))
      expect(figures.handsFree).toBe(Math.max(...handwork.map((w) => w.to)))
      expect(new Set(handwork.map((w) => w.cook)).size).toBeLessThanOrEqual(cooks.length)
      expect(figures.nineInTen).toBeGreaterThan(figures.makespan * 0.8)
    }
    // One pair of hands takes longer than two.
    const [now, ...rest] = found
    const alone = rest.find((c) => c.school.id === 'alone runa')!
    expect(alone.figures!.makespan).toBeGreaterThan(now!.figures!.makespan)
  })
})

describe('what a wish costs', () => {
  const step = plan.activities.find((r) => r.start > 1800 && compiled.cards[r.id]?.work === 'cut')!

  it('is worked out by a plan that keeps it', () => {
    const wish: Wish = { kind: 'at', step: step.id, until: clock(10) }
    const answer = costOf(asked, plan, wish, effort)
    if (!answer.possible) throw new Error('no plan')
    const run = answer.cost.plan.activities.find((r) => r.id === step.id)!
    expect(run.start).toBeLessThanOrEqual(600)
    expect(answer.cost.plan.makespan - plan.makespan).toBe(answer.cost.later)
    expect(answer.cost.moved).toBeGreaterThan(0)
  })

  it('names the wish that stands in the way, and what there is without it', () => {
    const early: Wish = { kind: 'at', step: step.id, until: clock(10) }
    const other: Wish = { kind: 'free', cook: 'runa', from: clock(100), until: clock(105) }
    const session = withWish(withWish(asked.session, other), early)
    const blocked: Wish = { kind: 'at', step: step.id, from: clock(60) }
    const never: Wish = { kind: 'before', step: 'fish-pie.pack', other: step.id }
    for (const wish of [blocked, never].filter((w) => w.step in compiled.cards)) {
      const answer = costOf({ ...asked, session }, plan, wish, effort)
      if (answer.possible) throw new Error('what contradicts itself was planned')
      expect(answer.instead.map((c) => c.wish)).toEqual([early])
      const without = withoutWish(withWish(session, wish), early)
      const again = tried({ ...asked, session: without }, undefined, effort)
      expect(again.possible && again.plan.makespan).toBe(answer.instead[0]!.makespan)
    }
  })

  it('is said in words that name the step, and taken back without a trace', () => {
    const wish: Wish = { kind: 'free', cook: 'runa', from: clock(60), until: clock(75) }
    expect(wishText(wish, speaking)).toMatch(/^Runa is free from \d\d:00 to \d\d:15$/)
    expect(wishText({ kind: 'at', step: step.id, from: clock(60) }, speaking)).toContain(
      'no sooner',
    )
    expect(withoutWish(withWish(asked.session, wish), wish)).toEqual(asked.session)
  })
})
