import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** A worker that does what it is told to: its work ends with what the test says, or never. */
class FakeWorker {
  static all: FakeWorker[] = []
  ended = false
  stops: unknown[] = []
  readonly number = FakeWorker.all.push(this)
  terminate() {
    this.ended = true
  }
}
vi.mock('comlink', () => ({
  wrap: (worker: FakeWorker) => ({
    worker,
    stop: (forget?: boolean) => void worker.stops.push(forget),
  }),
}))
const workerOf = (planner: unknown) => (planner as { worker: FakeWorker }).worker

/** Work that the test ends by hand. */
function open<T>() {
  let done!: (value: T) => void
  let fail!: (error: Error) => void
  const work = new Promise<T>((resolve, reject) => {
    done = resolve
    fail = reject
  })
  return { work, done, fail }
}

describe('planners', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    vi.resetModules()
    vi.stubGlobal('Worker', FakeWorker)
    FakeWorker.all = []
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })
  const team = async () => (await import('./planners')).workTogether

  it('work each in a worker of its own, and are lent to the next work', async () => {
    const workTogether = await team()
    const first = workTogether(2, (planner, who) =>
      Promise.resolve(`${who} in ${workerOf(planner).number}`),
    )
    expect(await first.result).toEqual(['0 in 1', '1 in 2'])
    await vi.advanceTimersByTimeAsync(1)
    const second = workTogether(3, (planner) => Promise.resolve(workerOf(planner).number))
    expect((await second.result)!.toSorted()).toEqual([1, 2, 3])
    expect(FakeWorker.all.some((w) => w.ended)).toBe(false)
  })

  it('that stop soon when a work is ended do the next one, which waits for them', async () => {
    const workTogether = await team()
    const { work, done } = open<string>()
    const first = workTogether(1, () => work)
    await vi.advanceTimersByTimeAsync(1)
    first.end()
    expect(await first.result).toBeUndefined()
    const second = workTogether(1, (planner) => Promise.resolve(workerOf(planner).number))
    await vi.advanceTimersByTimeAsync(100)
    expect(FakeWorker.all[0]!.stops).toEqual([true])
    expect(FakeWorker.all).toHaveLength(1)
    done('too late to be of use')
    expect(await second.result).toEqual([1])
  })

  it('that do not stop are ended, and the next work gets a new one', async () => {
    const workTogether = await team()
    const first = workTogether(1, () => new Promise<never>(() => {}))
    await vi.advanceTimersByTimeAsync(1)
    first.end()
    const second = workTogether(1, (planner) => Promise.resolve(workerOf(planner).number))
    await vi.advanceTimersByTimeAsync(600)
    expect(await second.result).toEqual([2])
    expect(FakeWorker.all.map((w) => w.ended)).toEqual([true, false])
  })

  it('that fail are ended, and the failure is told', async () => {
    const workTogether = await team()
    const { work, fail } = open<string>()
    const first = workTogether(2, (_, who) => (who ? work : Promise.resolve('good')))
    const told = expect(first.result).rejects.toThrow('broken')
    fail(new Error('broken'))
    await told
    await vi.advanceTimersByTimeAsync(1)
    expect(FakeWorker.all.map((w) => w.ended)).toEqual([false, true])
  })

  it('are told things, all but one, and nothing once the work is ended', async () => {
    const workTogether = await team()
    const work = workTogether(3, () => new Promise<never>(() => {}))
    const told: number[] = []
    const tell = () => work.tell((planner) => told.push(workerOf(planner).number), 1)
    tell()
    await vi.advanceTimersByTimeAsync(1)
    expect(told).toEqual([1, 3])
    work.stop()
    await vi.advanceTimersByTimeAsync(1)
    expect(FakeWorker.all.map((w) => w.stops)).toEqual([[undefined], [undefined], [undefined]])
    work.end()
    tell()
    await vi.advanceTimersByTimeAsync(1)
    expect(told).toEqual([1, 3])
  })
})
