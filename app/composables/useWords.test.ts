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
const said = (words: string) => inKitchenWords(words, session, kitchen)

it('calls steps, ways, cooks and stations what the kitchen does', () => {
  expect(said('"pie.cut" takes at least 60 s')).toBe(
    '“Slice the leeks” of Leek pie takes at least 60 s',
  )
  expect(said('"pie.cut" (machine) fits nowhere')).toBe(
    '“Slice the leeks” of Leek pie (in the processor) fits nowhere',
  )
  expect(said('the hands work of "ann" and the work on "front"')).toBe(
    'the hands work of Ann-Kathrin and the work on Front left',
  )
})

it('leaves what is no id of theirs as it is', () => {
  expect(said('"pie.cut" (other) needs the skill "knife"')).toBe(
    '“Slice the leeks” of Leek pie (other) needs the skill "knife"',
  )
  expect(said('"no.such" (machine) is due at 60')).toBe('"no.such" (machine) is due at 60')
})
