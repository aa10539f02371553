import type { Step } from '../recipe'

/** A step that no recipe has, of hands alone and without anything before it: boxing, fetching, reheating. */
export const ownStep = (
  id: string,
  words: string,
  work: Step['work'],
  minutes: [number, number, number],
  more: Partial<Step> = {},
): Step => ({
  id,
  do: words.slice(0, 300),
  work,
  ways: [{ id: 'usual', minutes, on: [] }],
  after: [],
  takes: [],
  uses: [],
  scale: 'once',
  aside: false,
  doubts: [],
  ...more,
})

/** The step that takes something up that an earlier sitting has left, whatever it is. */
export const fetchStep = (id: string, words: string, more: Partial<Step>): Step =>
  ownStep(id, words, 'assemble', [1, 1, 2], more)
