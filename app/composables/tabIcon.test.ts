import { expect, it } from 'vitest'
import { tabIcon } from './tabIcon'

it('is a picture that holds the word, red where it is hot', () => {
  const picture = (word: string, hot: boolean) =>
    decodeURIComponent(tabIcon(word, hot).replace('data:image/svg+xml,', ''))
  expect(picture('12', false)).toContain('>12</text>')
  expect(picture('12', false)).toMatch(/^<svg .*<\/svg>$/)
  expect(picture('!', true)).not.toBe(picture('!', false))
  // Whatever is in it, the address has no character that would end it.
  expect(tabIcon('"<#', false)).not.toMatch(/["<#]/)
})
