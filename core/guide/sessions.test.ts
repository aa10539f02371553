import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { TEXT_SESSIONS } from '../../demo/textSessions'
import { namedKitchens } from '../cli'
import { breachText, checkPlan } from '../plan'
import { readRecipes } from '../recipe'
import { compileSession, recipesFrom, sessionFrom } from '../session'
import { solve } from '../solver'
import { instructions } from './index'

const textOf = (name: string) =>
  readFileSync(fileURLToPath(new URL(`../../demo/texts/${name}.txt`, import.meta.url)), 'utf8')

function told(session: (typeof TEXT_SESSIONS)[number]) {
  const recipes = recipesFrom(
    session.texts.flatMap((name) => {
      const reading = readRecipes(textOf(name))
      if (!reading.ok) throw new Error(`${name}: ${JSON.stringify(reading.issues)}`)
      return reading.value
    }),
  )
  const kitchen = namedKitchens()[session.kitchen]!
  const file = sessionFrom({ kitchen, recipes, start: '2027-03-20T09:00' })
  if (!file.ok) throw new Error(JSON.stringify(file.issues))
  const reading = compileSession(file.value)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  const compiled = reading.value
  const plan = solve(compiled.problem, { iterations: 60 })
  return { compiled, plan, lines: instructions(plan, compiled, kitchen), kitchen }
}

describe.each(TEXT_SESSIONS)('$name', (session) => {
  const { compiled, plan, lines, kitchen } = told(session)
  const at = (words: RegExp) => {
    const line = lines.find((l) => words.test(l.text))
    if (!line) throw new Error(`nothing says ${words}`)
    return line
  }

  it('has a plan that keeps every rule', () => {
    expect(checkPlan(compiled.problem, plan).map(breachText)).toEqual([])
    expect(plan.activities.length).toBeGreaterThan(0)
  })

  it('tells each dish to its end, and where it goes', () => {
    for (const dish of compiled.dishes.filter((d) => !d.base)) {
      const own = lines.filter((l) => l.dish === dish.id)
      expect(own.at(-1)!.text).toContain(`${dish.name} is done`)
    }
  })

  it('washes nothing that has food in it, and nobody’s hands but after something', () => {
    for (const wash of lines.filter((l) => l.kind === 'wash'))
      for (const hold of plan.holds.filter((h) => h.station === wash.places[0]))
        expect(wash.until <= hold.from || hold.to <= wash.at).toBe(true)
    for (const wash of lines.filter((l) => l.kind === 'wash-hands' && /raw/.test(l.text)))
      expect(
        plan.activities.some(
          (a) =>
            compiled.cards[a.id]!.hygiene === 'raw' &&
            a.phases.some((p) => p.cook === wash.cook && p.to <= wash.at),
        ),
      ).toBe(true)
  })

  it('names places of this kitchen, and cuts before it cooks', () => {
    const known = new Set(kitchen.stations.map((s) => s.id))
    for (const l of lines) for (const p of l.places) expect(known).toContain(p)
    if (session.texts.includes('chilli')) {
      expect(at(/^Chop the large onions/).at).toBeLessThan(at(/^Add the onions and peppers/).at)
      // The beans go in for the last quarter of an hour, which is cooked.
      expect(at(/^Stir in the beans/).at).toBeLessThan(at(/^Go on for 15 minutes/).at)
      expect(at(/chilli is done/i).text).toContain('freezer')
    }
    if (session.texts.includes('bread')) expect(at(/tin loaf is done/).text).toContain('dry')
    if (session.texts.includes('meatballs'))
      expect(at(/^Drop them into the sauce/).places).toEqual(
        at(/^For the sauce, soften the onion/).places,
      )
  })
})
