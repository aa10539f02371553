import { expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { instructions } from '../guide'
import { compileSession } from '../session'
import { solve } from '../solver'
import { cookThrough } from './cooked.fixture'
import { coolingNow } from './cooling'
import { ofKind } from './events'
import { standingAt } from './standing'

const reading = compileSession({
  session: demoSession,
  kitchen: demoKitchen,
  recipes: demoRecipes,
})
if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
const compiled = reading.value
const plan = solve(compiled.problem, { iterations: 40 })
const lines = instructions(plan, compiled, demoKitchen)
const { events } = cookThrough(compiled, plan, { seed: 1, noise: 0, kitchen: demoKitchen })

/** What is on its way to the cold at a second, by what had been told until then. */
const at = (now: number) => {
  const told = events.filter((e) => e.at <= now * 1000)
  const running = { problem: compiled.problem, plan, lines, events: told, links: [] }
  return coolingNow(running, standingAt(running, now), compiled, 7200)
}

it('counts from off the heat until it is put into the cold, each dish for itself', () => {
  const bake = plan.activities.find((a) => a.id === 'fish-pie.bake')!
  const put = ofKind(events, 'done').find((e) => e.key === 'cold fish-pie')!
  const pie = (now: number) => at(now).find((c) => c.dish === 'fish-pie')
  expect(pie(bake.end - 60)).toBeUndefined()
  expect(pie(bake.end + 60)).toEqual({
    dish: 'fish-pie',
    since: bake.end,
    by: bake.end + 7200,
  })
  expect(pie(put.to + 1)).toBeUndefined()
})

it('does not count what is still on the heat, however late it is taken off', () => {
  const out = ofKind(events, 'done').find((e) => e.key === 'fish-pie.bake#2')!
  const told = events.filter((e) => e.at < out.at)
  const running = { problem: compiled.problem, plan, lines, events: told, links: [] }
  const late = standingAt(running, out.to + 1200)
  const dishes = coolingNow(running, late, compiled, 7200).map((c) => c.dish)
  expect(dishes).not.toContain('fish-pie')
})

it('says nothing of what is eaten today, kept dry, or only made for other dishes', () => {
  const kept = new Set(
    compiled.dishes.filter((d) => !d.base && /fridge|freezer/.test(d.to)).map((d) => d.id),
  )
  for (let now = 0; now < plan.makespan; now += 600)
    for (const c of at(now)) expect(kept.has(c.dish)).toBe(true)
})
