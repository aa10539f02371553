import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { compileSession } from '~~/core/session'
import { solve } from '~~/core/solver'
import { demoKitchen, demoRecipes, demoSession } from '~~/demo'
import { useWeave } from './useWeave'

const reading = compileSession({ session: demoSession, kitchen: demoKitchen, recipes: demoRecipes })
if (!reading.ok) throw new Error('the demo session does not compile')
const compiled = reading.value
const plan = solve(compiled.problem, { iterations: 14 })
const weave = (width: number, perMinute = 3.4) =>
  useWeave({
    plan: ref(plan),
    compiled: ref(compiled),
    kitchen: ref(demoKitchen),
    width: ref(width),
    perMinute: ref(perMinute),
  })

describe('the weave', () => {
  it('puts hands first, and no column over another', () => {
    const { columns, width } = weave(940)
    expect(columns.value.slice(0, 2).map((c) => c.name)).toEqual(['Runa', 'Teo'])
    columns.value.forEach((c, i) => {
      const before = columns.value[i - 1]
      if (before) expect(c.x).toBeGreaterThanOrEqual(before.x + before.width)
    })
    const last = columns.value[columns.value.length - 1]!
    expect(width.value).toBeGreaterThanOrEqual(last.x + last.width)
  })

  it('fits the demo session into the page at 1280, and scrolls where it is narrow', () => {
    expect(weave(946).width.value).toBeLessThanOrEqual(946)
    expect(weave(340).width.value).toBeGreaterThan(340)
  })

  it('runs time down at the scale it is given', () => {
    const small = weave(940)
    const large = weave(940, 6.8)
    expect(large.y(3600) - large.y(0)).toBeCloseTo(2 * (small.y(3600) - small.y(0)))
    for (const s of small.stretches.value) {
      expect(s.bottom - s.top).toBeCloseTo(((s.to - s.from) / 60) * 3.4)
      expect(s.bottom).toBeLessThanOrEqual(small.height.value)
    }
  })

  it('draws all hands work in the column of its cook, and a thread to where it happens', () => {
    const { hands, columns, threads } = weave(940)
    for (const h of hands.value) {
      const column = columns.value.find((c) => c.id === h.cook)!
      expect([h.x, h.width]).toEqual([column.x, column.width])
    }
    const crossing = threads.value.filter((t) => t.key.includes('#'))
    expect(crossing).toHaveLength(hands.value.filter((h) => h.activity !== undefined).length)
  })

  it('tints the oven from when it is set, and the hairline ends at the finish', () => {
    const { ovens, hairline, y } = weave(940)
    expect(ovens.value).toHaveLength(plan.heats.length)
    for (const o of ovens.value) expect(o.set).toBeLessThanOrEqual(o.top)
    const last = hairline.value.split(' ').at(-1)!.split(',')[1]
    expect(Number(last)).toBeCloseTo(y(plan.makespan))
  })
})
