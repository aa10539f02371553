import { expect, it } from 'vitest'
import { inKitchenWords } from './useWords'

const card = {
  dish: 'pie',
  step: 'cut',
  text: 'Slice the leeks',
  work: 'cut' as const,
  turns: 1,
  uses: [],
  ways: { machine: 'in the processor' },
  hygiene: 'produce',
  later: [],
}
const session = {
  cards: { 'pie.cut': card },
  dishes: [{ id: 'pie', name: 'Leek pie', mark: 'Lp', batches: 1, base: false, to: 'fridge' }],
}
const kitchen = {
  people: [{ id: 'ann', name: 'Ann-Kathrin' }],
  stations: [{ id: 'front', name: 'Front left' }],
} as unknown as Parameters<typeof inKitchenWords>[2]
const said = (words: string) => inKitchenWords(words, session, kitchen, '2027-03-20T09:00')

it('calls steps, ways, cooks and stations what the kitchen does', () => {
  expect(said('"pie.cut" takes at least 600 s')).toBe(
    '“Slice the leeks” of Leek pie takes at least 10 min',
  )
  expect(said('"pie.cut" (machine) fits nowhere')).toBe(
    '“Slice the leeks” of Leek pie (in the processor) fits nowhere',
  )
  expect(said('at most 300 s from "pie.cut" to "pie.cut" (FS)')).toBe(
    'at most 5 min from “Slice the leeks” of Leek pie to “Slice the leeks” of Leek pie',
  )
  expect(said('the hands work of "ann" and the work on "front"')).toBe(
    'the hands work of Ann-Kathrin and the work on Front left',
  )
})

it('says instants by the clock, and how long something takes in minutes', () => {
  expect(said('"pie.cut" starts at 1800 s or later')).toBe(
    '“Slice the leeks” of Leek pie starts at 9:30 or later',
  )
  expect(said('"ann" is away from 3600 s to 7200 s')).toBe(
    'Ann-Kathrin is away from 10:00 to 11:00',
  )
  expect(said('at least 5400 s between them, at most 20 s')).toBe(
    'at least 1 h 30 between them, at most 20 s',
  )
})

it('leaves what is no id of theirs as it is', () => {
  expect(said('"pie.cut" (other) needs the skill "knife"')).toBe(
    '“Slice the leeks” of Leek pie (other) needs the skill "knife"',
  )
  expect(said('"no.such" (machine) is due at 60')).toBe('"no.such" (machine) is due at 60')
})
