import { expect, it } from 'vitest'
import { ref } from 'vue'
import { useFollowing } from './useFollowing'

const hands = ref([
  { cook: 'runa', activity: 'pie.cut', dish: 'pie' },
  { cook: 'teo', activity: 'soup.stir', dish: 'soup' },
  { cook: 'runa', dish: undefined },
])
const stretches = ref([
  { strand: 'board', activity: 'pie.cut', dish: 'pie' },
  { strand: 'hob', activity: 'soup.stir', dish: 'soup' },
])
const seen = (f: ReturnType<typeof useFollowing>) => [
  ...hands.value.map((h) => !f.faded(h)),
  ...stretches.value.map((s) => !f.faded(s)),
]

it('shows all while nothing is followed, and one dish while it is', () => {
  const dish = ref<string>()
  const f = useFollowing({ dish, hands, stretches })
  expect([f.following.value, ...seen(f)]).toEqual([false, true, true, true, true, true])
  dish.value = 'pie'
  expect(seen(f)).toEqual([true, false, false, true, false])
  f.dishLooked.value = 'soup'
  expect(seen(f)).toEqual([false, true, false, false, true])
})

it('shows what a cook does, wherever it is done, and what is done at a place, by whomever', () => {
  const f = useFollowing({ dish: ref('soup'), hands, stretches })
  f.lookedAt.value = 'runa'
  expect(seen(f)).toEqual([true, false, true, true, false])
  f.lookedAt.value = undefined
  f.keep('hob')
  expect(seen(f)).toEqual([false, true, false, false, true])
  // A second tap lets go of it: the dish is followed again.
  f.keep('hob')
  expect(seen(f)).toEqual([false, true, false, false, true])
  expect(f.kept.value).toBeUndefined()
})
