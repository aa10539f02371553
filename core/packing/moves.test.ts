import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isPast, litresLying, lyingIn, lyingOf } from './lying'
import { withMove } from './moves'
import { packed } from './packs.fixture'
import type { Move, Pack } from './schema'
import { tallyMoves } from './tally'

const told = (pack: Pack, ...moves: Move[]): Pack =>
  moves.reduce((p, m) => {
    const read = withMove(p, m)
    if (!read.ok) throw new Error(`${read.issues[0]!.message}; ${read.issues[0]!.allowed}`)
    return read.value
  }, pack)
const refusal = (pack: Pack, move: Move): string => {
  const read = withMove(pack, move)
  if (read.ok) throw new Error('was not refused')
  return `${read.issues[0]!.message}; ${read.issues[0]!.allowed}`
}
const to = (place: Pack['place'], at: string): Move => ({ kind: 'moved', place, at })

describe('a pack', () => {
  it('is eaten by as many days as it keeps where it lies, from the day it was cooked', () => {
    expect(lyingOf(packed('stew', 4)).eatBy).toBe('2027-03-23')
    expect(lyingOf(packed('stew', 4, { place: 'freezer' })).eatBy).toBe('2027-06-18')
  })

  it('loses no day by being frozen, and has two once it has thawed', () => {
    const frozen = told(packed('stew', 4), to('freezer', '2027-03-22T09:00'))
    expect(lyingOf(frozen).place).toBe('freezer')
    const out = told(frozen, to('fridge', '2027-04-10T20:00'))
    // It had lain two of its three days in the fridge before.
    expect(lyingOf(out)).toMatchObject({ thawed: true, eatBy: '2027-04-11' })
    const early = told(packed('stew', 4, { place: 'freezer' }), to('fridge', '2027-04-10T20:00'))
    expect(lyingOf(early).eatBy).toBe('2027-04-12')
  })

  it('is never frozen again once it has thawed', () => {
    const out = told(packed('stew', 4, { place: 'freezer' }), to('fridge', '2027-04-10T20:00'))
    expect(refusal(out, to('freezer', '2027-04-10T21:00'))).toMatch(
      /has thawed, and is not frozen again.*cooked into another dish it may be/,
    )
  })

  it('is not eaten, frozen or given away past its day, but thrown away, or told as eaten all the same', () => {
    const stew = packed('stew', 4)
    const late = '2027-03-24T18:00'
    expect(refusal(stew, { kind: 'eaten', at: late, portions: 1 })).toMatch(
      /past its day since 2027-03-23/,
    )
    expect(refusal(stew, to('freezer', late))).toMatch(/past its day/)
    expect(refusal(stew, { kind: 'given', at: late, portions: 1 })).toMatch(/past its day/)
    const some = told(stew, { kind: 'eaten', at: late, portions: 1, anyway: true })
    const none = told(some, { kind: 'thrown', at: late, portions: 3, why: 'past its day' })
    expect(lyingIn([none])).toEqual([])
    // In the freezer only its taste is past.
    const frozen = packed('stew', 4, { place: 'freezer' })
    expect(lyingOf(told(frozen, { kind: 'eaten', at: '2027-09-01T18:00', portions: 4 })).left).toBe(
      0,
    )
  })

  it('cannot lose more than is in it or go where it does not keep, and a clock set back changes no order', () => {
    const stew = packed('stew', 4)
    expect(refusal(stew, { kind: 'eaten', at: '2027-03-21T18:00', portions: 5 })).toMatch(
      /has 4 left, 5 cannot be taken; more than 0, up to 4/,
    )
    expect(refusal(stew, to('shelf', '2027-03-21T18:00'))).toMatch(/does not keep outside the cold/)
    expect(refusal(stew, to('fridge', '2027-03-21T18:00'))).toMatch(/lies in the fridge already/)
    const early = told(stew, to('freezer', '2027-03-19T18:00'))
    expect(early.moves[0]!.at).toBe(stew.at)
    const salad = packed('salad', 4, { keeps: { fridge: 2, freezer: 0, shelf: 0 } })
    expect(refusal(salad, to('freezer', '2027-03-21T18:00'))).toMatch(/does not freeze well/)
  })

  it('lies in another drawer without anything else about it changing', () => {
    const down = told(packed('stew', 4, { place: 'freezer' }), {
      kind: 'moved',
      place: 'freezer',
      where: 'lower drawer',
      at: '2027-03-21T18:00',
    })
    expect(lyingOf(down)).toMatchObject({
      where: 'lower drawer',
      thawed: false,
      eatBy: '2027-06-18',
    })
  })

  it('takes room as long as anything is in it', () => {
    const stew = packed('stew', 4, { litres: 2 })
    expect(
      litresLying(lyingIn([stew, packed('soup', 2, { place: 'freezer', litres: 1 })]), 'fridge'),
    ).toBe(2)
    const gone = told(stew, { kind: 'eaten', at: '2027-03-21T18:00', portions: 4 })
    expect(litresLying(lyingIn([gone]), 'fridge')).toBe(0)
  })

  it('adds up, whatever happens to it, and never goes from thawed to frozen', () => {
    const happens = fc.record({
      hours: fc.integer({ min: 0, max: 40 }),
      kind: fc.constantFrom('fridge', 'freezer', 'shelf', 'eaten', 'thrown', 'given', 'used'),
      portions: fc.double({ min: 0.01, max: 3, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(happens, { maxLength: 25 }), (list) => {
        let pack = packed('stew', 6, { keeps: { fridge: 3, freezer: 90, shelf: 2 } })
        let hour = 0
        for (const { hours, kind, portions } of list) {
          hour += hours
          const at = new Date(Date.UTC(2027, 2, 20, 13 + hour)).toISOString().slice(0, 16)
          const before = lyingOf(pack)
          const move: Move =
            kind === 'fridge' || kind === 'freezer' || kind === 'shelf'
              ? to(kind, at)
              : kind === 'thrown'
                ? { kind, at, portions, why: 'too much' }
                : { kind: kind as 'eaten', at, portions }
          const read = withMove(pack, move)
          if (!read.ok) continue
          const past = isPast(before, at.slice(0, 10))
          if (past) expect(kind).toBe('thrown')
          pack = read.value
          const after = lyingOf(pack)
          if (before.thawed) expect(after.place === 'freezer').toBe(false)
          const t = tallyMoves([pack])
          expect(t.left + t.eaten + t.thrown + t.given + t.used).toBeCloseTo(t.packed, 1)
          expect(after.left).toBeGreaterThanOrEqual(0)
        }
      }),
    )
  })
})
