import fc from 'fast-check'
import { expect, it } from 'vitest'
import { fitWords } from './fitWords'

it('writes a name out where there is room, and else as many whole words as fit', () => {
  const text = 'Peel and cut the roots to thumb size, part 1 of 3'
  expect(fitWords(text, 400, 11, true)).toEqual([text])
  expect(fitWords(text, 170, 11, true)).toEqual(['Peel and cut the roots to thumb'])
  expect(fitWords(text, 126, 11, true)).toEqual(['Peel and cut the roots'])
  expect(fitWords(text, 170, 26, true)).toEqual([
    'Peel and cut the roots to thumb',
    'size, part 1 of 3',
  ])
  expect(fitWords('Unzerteilbar', 30, 11, false)).toEqual([''])
})

it('never cuts within a word, and says them in their order', () => {
  fc.assert(
    fc.property(
      fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { minLength: 1, maxLength: 12 }),
      fc.integer({ min: 30, max: 300 }),
      fc.integer({ min: 8, max: 60 }),
      (words, width, height) => {
        const said = fitWords(words.join(' '), width, height, true).join(' ').trim()
        expect(words.join(' ').startsWith(said)).toBe(true)
        expect(said === '' || words.slice(0, said.split(' ').length).join(' ') === said).toBe(true)
      },
    ),
  )
})
