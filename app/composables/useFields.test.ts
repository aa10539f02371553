import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { useSaving } from '~/stores/saving'
import { useFields } from './useFields'
import { minutesText } from './useWords'

beforeEach(() => setActivePinia(createPinia()))

describe('useFields', () => {
  const form = () => {
    let value = 5
    return {
      ...useFields<number>(async (edit) => {
        const next = edit(value)
        if (next > 10) return [{ path: 'x', message: 'is too large', allowed: 'at most 10' }]
        value = next
        return []
      }),
      value: () => value,
    }
  }

  it('keeps what is sound and explains what is not, until it is mended', async () => {
    const { errors, apply, value } = form()
    await apply('n', (n) => n + 20)
    expect([value(), errors.n]).toEqual([5, 'Is too large. Allowed: at most 10.'])
    await apply('n', (n) => n + 1)
    expect([value(), errors.n]).toEqual([6, undefined])
  })

  it('says beside a field that it is not saved, until it is', async () => {
    const saving = useSaving()
    let broken = true
    const put = async () => {
      if (broken) throw new DOMException('full', 'QuotaExceededError')
      return []
    }
    const { errors, apply } = useFields<number>(() => saving.write('it', put))
    await apply('n', (n) => n + 1)
    expect(errors.n).toBe('Not saved yet.')
    broken = false
    await saving.again()
    await nextTick()
    expect(errors.n).toBeUndefined()
  })

  it.each(['', ' ', '-4', 'soon', '1e999'])('takes %j for no number', (typed) => {
    const { errors, figure } = form()
    figure('n', 'Minutes', typed, () => expect.fail('was used'))
    expect(errors.n).toContain(`Minutes: "${typed}" is not a number`)
  })

  it('takes a comma for a point', () => {
    let used = 0
    form().figure('n', 'Minutes', '2,5', (n) => (used = n))
    expect(used).toBe(2.5)
  })
})

describe('minutesText', () => {
  it.each([
    [10, 10, '10 min'],
    [0.5, 1, '0.5–1 min'],
    [8, 10, '8–10 min'],
    [84, 84, '1 h 24'],
    [45, 75, '45 min–1 h 15'],
    [480, 720, '8 h 00–12 h 00'],
  ])('%d to %d', (least, most, text) => {
    expect(minutesText(least, most)).toBe(text)
  })
})
