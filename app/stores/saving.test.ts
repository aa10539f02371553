import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { NotSaved, whyNotKept } from '~/database/failure'
import { useSaving } from './saving'

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  return () => vi.useRealTimers()
})
const full = () => Promise.reject(new DOMException('full', 'QuotaExceededError'))

describe('useSaving', () => {
  it('gives what was written', async () => {
    const saving = useSaving()
    const writing = saving.write('it', async () => 7)
    expect(saving.writing).toBe(1)
    expect(await writing).toBe(7)
    expect([saving.writing, saving.unsaved]).toEqual([0, []])
  })

  it('tells what could not be kept and why, and keeps it later by itself', async () => {
    const saving = useSaving()
    let broken = true
    const wrote: string[] = []
    const put = (x: string) => async () => (broken ? full() : void wrote.push(x))
    await expect(saving.write('the kitchen', put('a'))).rejects.toThrow(NotSaved)
    expect(saving.writing).toBe(0)
    expect(saving.unsaved).toEqual(['the kitchen'])
    expect(saving.why).toMatch(/storage .* is full/)
    await vi.advanceTimersByTimeAsync(1500)
    expect(saving.unsaved).toEqual(['the kitchen'])
    broken = false
    await vi.advanceTimersByTimeAsync(5000)
    expect(saving.unsaved).toEqual([])
    expect(wrote).toEqual(['a'])
  })

  it('keeps the order in which things were written', async () => {
    const saving = useSaving()
    let broken = true
    const wrote: string[] = []
    const put = (x: string) => async () => (broken ? full() : void wrote.push(x))
    for (const x of ['a', 'b', 'c']) await expect(saving.write(x, put(x))).rejects.toThrow(NotSaved)
    expect(saving.unsaved).toEqual(['a', 'b', 'c'])
    broken = false
    await saving.write('d', put('d'))
    expect(wrote).toEqual(['a', 'b', 'c', 'd'])
    expect(saving.unsaved).toEqual([])
  })

  it('does nothing twice that was merely late', async () => {
    const saving = useSaving()
    let done = 0
    const slow = async () => {
      await new Promise((resolve) => setTimeout(resolve, 8500))
      done++
    }
    const writing = saving.write('the recipes', slow)
    writing.catch(() => {})
    await vi.advanceTimersByTimeAsync(8100)
    await expect(writing).rejects.toThrow(NotSaved)
    await vi.advanceTimersByTimeAsync(20_000)
    expect([done, saving.unsaved]).toEqual([1, []])
  })

  it('tries nothing twice at a time, whoever asks for it meanwhile', async () => {
    const saving = useSaving()
    let broken = true
    const wrote: string[] = []
    const put = (x: string) => async () => {
      await new Promise((resolve) => setTimeout(resolve, 100))
      if (broken) await full()
      wrote.push(x)
    }
    const a = saving.write('a', put('a'))
    a.catch(() => {})
    await vi.advanceTimersByTimeAsync(150)
    await expect(a).rejects.toThrow(NotSaved)
    broken = false
    // By itself, by hand and by two more writes at once.
    const all = Promise.all([
      saving.again(),
      saving.again(),
      saving.write('b', put('b')),
      saving.write('c', put('c')),
    ])
    await vi.advanceTimersByTimeAsync(3000)
    await all
    expect(wrote).toEqual(['a', 'b', 'c'])
    expect(saving.unsaved).toEqual([])
  })

  it('lets go of what nobody wants kept', async () => {
    const saving = useSaving()
    await expect(saving.write('it', full)).rejects.toThrow()
    saving.giveUp()
    expect(saving.unsaved).toEqual([])
    expect(await saving.write('it', async () => 1)).toBe(1)
  })
})

describe('whyNotKept', () => {
  it.each([
    ['QuotaExceededError', /full/],
    ['AbortError', /broke the writing off/],
    ['InvalidStateError', /closed its storage/],
    ['VersionError', /newer Cadrum/],
  ])('speaks of %s in words', (name, words) => {
    expect(whyNotKept(new DOMException('x', name))).toMatch(words)
    expect(whyNotKept({ name: 'AbortError', message: '', inner: { name } })).toMatch(words)
  })

  it('passes on what it does not know', () => {
    expect(whyNotKept(new Error('what was written does not read back the same'))).toBe(
      'what was written does not read back the same.',
    )
  })
})
