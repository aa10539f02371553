import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { handworkOf, strandsOf } from '../board'
import { instructions } from '../guide'
import { USUAL_RULES, type HouseRules } from '../kitchen'
import { breachText, checkPlan } from '../plan'
import { solve } from '../solver'
import { problemOf } from '../testing/problemOf'
import { withBreaks } from './breaks'
import { compileSession, type Session } from './index'

const compiled = (rules: Partial<HouseRules>, change: Partial<Session> = {}) => {
  const kitchen = { ...demoKitchen, rules: { ...USUAL_RULES, ...rules } }
  const reading = compileSession({
    session: { ...demoSession, ...change },
    kitchen,
    recipes: demoRecipes,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return { kitchen, value: reading.value }
}
const breaks = (ids: { id: string }[], of: string) => ids.filter((a) => a.id.startsWith(of))

describe('breaks', () => {
  it('are none where the house wants none', () => {
    expect(breaks(compiled({}).value.problem.activities, 'break')).toEqual([])
  })

  it('are minutes for each cook in every hour, in which the hands are free', () => {
    const { value, kitchen } = compiled({ breather: 6 })
    const { problem } = value
    const plan = solve(problem, { iterations: 150 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    for (const { id: cook } of problem.cooks) {
      const own = breaks(plan.activities, `break.${cook}`) as typeof plan.activities
      expect(own.length).toBeGreaterThan(1)
      own.forEach((run, hour) => {
        expect(run.phases[0]).toMatchObject({ cook })
        expect(run.end - run.start).toBe(360)
        expect(run.start).toBeGreaterThanOrEqual(hour * 3600 + 900)
        expect(run.end).toBeLessThanOrEqual((hour + 1) * 3600 + 360)
      })
    }
    // On the weave it is in the cook's hands, at no place and of no dish.
    const shown = handworkOf(plan, value).filter((h) => h.text.startsWith('Sit down'))
    expect(shown).toHaveLength(breaks(plan.activities, 'break').length)
    expect(shown.every((h) => h.dish === undefined && !h.where.length)).toBe(true)
    const { stretches } = strandsOf(plan, value, kitchen)
    expect(
      breaks(
        stretches.map((s) => ({ id: s.activity })),
        'break',
      ),
    ).toEqual([])
    const clock = (seconds: number) => `${seconds} s`
    const lines = instructions(plan, value, kitchen, { clock, dial: (c) => `${c} °C` })
    const told = lines.filter((l) => l.text.startsWith('Sit down for 6 minutes'))
    expect(told).toHaveLength(breaks(plan.activities, 'break').length)
    for (const line of told) expect([line.kind, line.dish || undefined]).toEqual(['do', undefined])
  })

  it('leave an eye for what murmurs by itself, and none for what is stood beside', () => {
    const beside = (watch: number) => {
      const problem = problemOf({
        cooks: [{ id: 'ana', attention: 80 }],
        activities: [
          {
            id: 'pot',
            label: 'pot',
            modes: [{ id: 'm', phases: [{ seconds: [4700, 4700], watch }] }],
          },
        ],
      })
      return solve(withBreaks(problem, { ...USUAL_RULES, breather: 10 }, {}), { iterations: 60 })
    }
    const rests = (watch: number) => {
      const { activities } = beside(watch)
      const pot = activities.find((a) => a.id === 'pot')!
      return activities.filter((a) => a.id !== 'pot' && a.start < pot.end && a.end > pot.start)
    }
    expect(rests(10).length).toBeGreaterThan(0)
    expect(rests(30)).toEqual([])
  })

  it('have all eat together where the session is long, and never where it is short', () => {
    const rules = { ...USUAL_RULES, meal: 25 }
    const stewing = (hours: number) =>
      problemOf({
        cooks: [{ id: 'ana' }, { id: 'bo' }],
        activities: [
          {
            id: 'stew',
            label: 'stew',
            modes: [{ id: 'm', phases: [{ seconds: [hours * 3600, null], watch: 10 }] }],
          },
        ],
      })
    const problem = withBreaks(stewing(5), rules, {})
    const plan = solve(problem, { iterations: 60 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    const meals = breaks(plan.activities, 'meal') as typeof plan.activities
    expect(meals.map((m) => m.phases[0]!.cook).toSorted()).toEqual(['ana', 'bo'])
    expect(new Set(meals.map((m) => m.start)).size).toBe(1)
    expect(meals[0]!.start).toBeGreaterThanOrEqual(7200)
    // Nobody is kept from watching the stew, and nothing takes longer for it.
    expect(plan.makespan).toBe(5 * 3600)
    expect(withBreaks(stewing(3), rules, {}).activities).toHaveLength(1)
    const short = compiled({ meal: 25 }, { dishes: demoSession.dishes.slice(0, 2) })
    expect(breaks(short.value.problem.activities, 'meal')).toEqual([])
  })
})
