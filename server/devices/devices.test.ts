import { describe, expect, it } from 'vitest'
import { foodOf } from '../../core/food'
import { priceSchema } from '../../core/shopping'
import { simulatedLabel } from './labelPrinter'
import { simulatedScales } from './scales'
import { CATALOGUE } from './shop'

describe('the simulated scales', () => {
  it('read nearly what was put on them, and now and then too much', () => {
    const read = Array.from({ length: 90 }, (_, k) => simulatedScales(500, `thing ${k}`))
    const near = read.filter((g) => Math.abs(g - 500) <= 10)
    expect(near.length).toBeGreaterThan(60)
    expect(read.some((g) => g > 700)).toBe(true)
    const again = Array.from({ length: 90 }, (_, k) => simulatedScales(500, `thing ${k}`, 2))
    expect(again.every((g) => Math.abs(g - 500) <= 10)).toBe(true)
    expect(simulatedScales(500, 'oats')).toBe(simulatedScales(500, 'oats'))
    expect(simulatedScales(0, 'oats')).toBe(0)
  })
})

describe('the simulated label printer', () => {
  it('prints what has room, says by dots that there is more, and takes no line for markup', () => {
    const small = simulatedLabel(['Pie & peas', '3 portions'])
    expect(small).toContain('>Pie &amp; peas</text>')
    expect(small).not.toContain('>...</text>')
    const long = simulatedLabel(['Pie', ...Array.from({ length: 30 }, (_, k) => `line ${k}`)])
    expect(long).toContain('>...</text>')
    expect(long).not.toContain('line 29')
    for (const [, y] of long.matchAll(/ y="(\d+)"/g)) expect(Number(y)).toBeLessThan(320)
    expect(simulatedLabel(['<script>'])).not.toContain('<script>')
  })
})

describe('the simulated shop', () => {
  it('has prices that can be kept, of food that is known, each size once', () => {
    for (const p of CATALOGUE) {
      expect(priceSchema.safeParse({ ...p, id: 'x', day: '2027-03-01' }).success).toBe(true)
      expect(foodOf(p.item).food, p.item).toBeDefined()
    }
    const sizes = CATALOGUE.map((p) => `${p.item} ${p.amount} ${p.unit}`)
    expect(new Set(sizes).size).toBe(sizes.length)
  })
})
