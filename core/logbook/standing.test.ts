import { describe, expect, it } from 'vitest'
import { solve } from '../solver'
import { problemOf } from '../testing/problemOf'
import type { Instruction } from '../guide'
import type { CompiledSession } from '../session'
import { startAnew, worthTelling } from './anew'
import { doneEarlier, moreFor, skippedOf } from './acts'
import { ableTo, problemLeft, stuckWithout } from './asked'
import { counting, type Event } from './events'
import { doneOf, inHand, turnsOf } from './queue'
import { timersAt } from './timers'
import { pausesIn, standingAt, type Running } from './standing'

/** Ana chops for ten minutes, it simmers for twenty and she takes two to pack it; bo peels for five. */
const problem = problemOf({
  cooks: [{ id: 'ana' }, { id: 'bo' }],
  stations: [
    { id: 'left', kind: 'burner' },
    { id: 'right', kind: 'burner' },
  ],
  activities: [
    {
      id: 'chop',
      label: 'chop',
      modes: [{ id: 'm', phases: [{ seconds: [600, 600], hands: { attention: 60 } }] }],
    },
    {
      id: 'simmer',
      label: 'simmer',
      modes: [
        {
          id: 'm',
          needs: [{ kind: 'burner' }],
          phases: [{ seconds: [1200, 2400], watch: 10 }],
        },
      ],
    },
    {
      id: 'pack',
      label: 'pack',
      modes: [{ id: 'm', phases: [{ seconds: [120, 120], hands: { attention: 60 } }] }],
    },
    {
      id: 'peel',
      label: 'peel',
      modes: [{ id: 'm', phases: [{ seconds: [300, 300], hands: { attention: 60 } }] }],
    },
  ],
  relations: [
    { from: 'chop', to: 'simmer', kind: 'FS', min: 0, max: 300 },
    { from: 'simmer', to: 'pack', kind: 'FS', min: 0, max: 600 },
  ],
  pins: [
    { activity: 'chop', cook: 'ana' },
    { activity: 'pack', cook: 'ana' },
    { activity: 'peel', cook: 'bo' },
  ],
})
const plan = solve(problem, { iterations: 40 })
const run = (id: string) => plan.activities.find((a) => a.id === id)!
const line = (
  activity: string,
  kind: Instruction['kind'],
  points: [number, number],
  cook: string,
): Instruction => {
  const at = (k: number) => (k === 0 ? run(activity).start : run(activity).phases[k - 1]!.to)
  return {
    key: `${activity}#${points.join()}`,
    at: at(points[0]),
    until: run(activity).end,
    free: at(points[1]),
    cook,
    kind,
    activity,
    points,
    text: activity,
    amounts: [],
    places: [],
  }
}
const lines = [
  line('chop', 'do', [0, 1], 'ana'),
  line('peel', 'do', [0, 1], 'bo'),
  line('simmer', 'start', [0, 0], 'ana'),
  line('simmer', 'end', [1, 1], 'ana'),
  line('pack', 'do', [0, 1], 'ana'),
]
let n = 0
const event = (e: object, at = 0): Event => ({ id: `e${n++}`, at: at * 1000, ...e }) as Event
const running = (...events: Event[]): Running => ({ problem, plan, lines, events, links: [] })
const handOf = (r: Running, cook: string, now: number) =>
  inHand(turnsOf(r, standingAt(r, now)), r, cook, standingAt(r, now))
/** The session after this cook has ticked off what is in hand at that second. */
const ticked = (r: Running, cook: string, now: number) => {
  const hand = handOf(r, cook, now)
  return running(...r.events, event(doneOf(hand.now!, hand, cook, now), now))
}

describe('where a session stands', () => {
  it('is as planned before anything has happened', () => {
    const { finish, waits } = standingAt(running(), 0)
    expect([finish, waits]).toEqual([1920, []])
    expect(handOf(running(), 'ana', 0)).toMatchObject({ startsIn: 0, left: 600 })
    expect(handOf(running(), 'bo', 0).now!.line.activity).toBe('peel')
  })

  it('is late by as much as what is in hand runs over, and all behind it', () => {
    const at900 = standingAt(running(), 900)
    expect(at900.finish).toBe(1920 + 300)
    expect(handOf(running(), 'ana', 900)).toMatchObject({ left: -300 })
    // Told as done at last: it took fifteen minutes, and goes on from there.
    const after = ticked(running(), 'ana', 900)
    expect(standingAt(after, 1000).finish).toBe(2220)
    expect(handOf(after, 'ana', 1000).now!.line.key).toBe('simmer#0,0')
  })

  it('has nothing come off the heat before somebody says so', () => {
    const simmering = ticked(ticked(running(), 'ana', 600), 'ana', 600)
    expect(handOf(simmering, 'ana', 1900).now!.line.key).toBe('simmer#1,1')
    expect(standingAt(simmering, 2000).finish).toBe(2120)
    const off = ticked(simmering, 'ana', 1950)
    expect(standingAt(off, 2000).plan.activities.find((a) => a.id === 'simmer')!.end).toBe(1950)
  })

  it('has nobody begin what somebody else is not done with, and do another thing meanwhile', () => {
    // Bo is told to peel, and to pack what ana has on the heat.
    const other = { ...line('pack', 'do', [0, 1], 'bo'), at: 0 }
    const both = (...events: Event[]): Running => ({
      ...running(...events),
      lines: [other, ...lines.filter((l) => l.activity !== 'pack')],
    })
    const simmering = ticked(ticked(running(), 'ana', 600), 'ana', 600)
    const before = both(...simmering.events)
    const turns = turnsOf(before, standingAt(before, 2000))
    expect(turns.filter((t) => t.waits).map((t) => t.line.activity)).toEqual(['pack'])
    expect(inHand(turns, before, 'bo', standingAt(before, 2000)).now!.line.activity).toBe('peel')
    const off = both(...ticked(simmering, 'ana', 1950).events)
    expect(turnsOf(off, standingAt(off, 2000)).some((t) => t.waits)).toBe(false)
  })

  it('times what goes on by itself from when it was put on, and rings until somebody has heard', () => {
    const card = { dish: 'stew', work: 'simmer', text: 'Simmer' }
    const compiled = { cards: { simmer: card } } as unknown as CompiledSession
    const timers = (r: Running, now: number) => timersAt(r, standingAt(r, now), compiled)
    const chopped = ticked(running(), 'ana', 600)
    const on = ticked(chopped, 'ana', 600)
    expect(timers(running(), 500)).toEqual([])
    expect(timers(on, 700)).toMatchObject([{ from: 600, due: 1800, rings: false }])
    expect(timers(on, 1800)).toMatchObject([{ rings: true }])
    const heard = { kind: 'heard', activity: 'simmer', phase: 0, second: 1810 }
    expect(timers(running(...on.events, event(heard)), 1820)).toMatchObject([{ rings: false }])
    // With more time it rings again once that is over.
    const more = event({ kind: 'more', activity: 'simmer', phase: 0, until: 2100 })
    const again = running(...on.events, event(heard), more)
    expect(timers(again, 2000)).toMatchObject([{ due: 2100, rings: false }])
    expect(timers(again, 2100)).toMatchObject([{ rings: true }])
    expect(timers(ticked(on, 'ana', 1900), 2000)).toEqual([])
  })

  it('takes for done what something has been begun with, though nobody said so', () => {
    const turn = handOf(running(), 'ana', 0).now!
    const begun = running(
      event({ ...doneOf({ ...turn, line: lines[2]! }, { now: undefined, since: 0 }, 'ana', 700) }),
    )
    const { plan: course } = standingAt(begun, 800)
    expect(course.activities.find((a) => a.id === 'chop')!.end).toBe(0)
    expect(turnsOf(begun, standingAt(begun, 800)).find((t) => t.line === lines[0])!.over).toBe(true)
  })

  it('gives more time to what wants it', () => {
    const simmering = ticked(ticked(running(), 'ana', 600), 'ana', 600)
    const turn = handOf(simmering, 'ana', 1800).now!
    expect(moreFor(turn, plan, 2100)).toEqual({ activity: 'simmer', phase: 0, until: 2100 })
    const more = running(
      ...simmering.events,
      event({ kind: 'more', ...moreFor(turn, plan, 2100)! }),
    )
    expect(standingAt(more, 1800).finish).toBe(2220)
  })

  it('has nobody begin anything while all stand still, and the heat go on', () => {
    const chopped = ticked(running(), 'ana', 600)
    const still = running(
      ...ticked(chopped, 'ana', 600).events,
      event({ kind: 'paused' }, 1700),
      event({ kind: 'resumed' }, 2300),
    )
    const { plan: course } = standingAt(still, 1750, pausesIn(still.events, 0))
    expect(course.activities.find((a) => a.id === 'pack')!.start).toBe(2300)
  })

  it('counts no pause as work', () => {
    const still = running(event({ kind: 'paused' }, 100), event({ kind: 'resumed' }, 400))
    const at = (now: number) => {
      const standing = standingAt(still, now, pausesIn(still.events, 0))
      return inHand(turnsOf(still, standing), still, 'ana', standing).left
    }
    expect([at(100), at(400), at(500)]).toEqual([500, 500, 400])
  })

  it('has a cook go on with the next thing while one is put off', () => {
    const chopped = ticked(running(), 'ana', 600)
    const simmering = ticked(chopped, 'ana', 600)
    const off = ticked(simmering, 'ana', 1800)
    const sweep = { ...line('peel', 'do', [0, 1], 'ana'), at: 2000 }
    const put = (...events: Event[]): Running => ({
      ...running(...events),
      plan: {
        ...plan,
        activities: plan.activities.map((a) =>
          a.id === 'peel'
            ? { ...a, start: 1920, end: 2220, phases: [{ from: 1920, to: 2220, cook: 'ana' }] }
            : a,
        ),
      },
      lines: [...lines.filter((l) => l.activity !== 'peel'), sweep],
    })
    const before = put(...off.events)
    expect(handOf(before, 'ana', 1810).now!.line.activity).toBe('pack')
    const later = put(...off.events, event({ kind: 'later', activity: 'pack', until: 2700 }, 1810))
    expect(handOf(later, 'ana', 1811).now!.line.activity).toBe('peel')
    expect(handOf(later, 'ana', 2710).next.length + 1).toBe(2)
  })

  it('counts nothing twice, nothing that was undone, and what was set right as it is right', () => {
    const done = ticked(running(), 'ana', 900).events[0]!
    expect(counting([done, done])).toEqual([done])
    const undone = event({ kind: 'undone', event: done.id })
    expect(counting([done, undone])).toEqual([])
    expect(counting([done, undone, event({ kind: 'undone', event: undone.id })])).toEqual([done])
    const right = event({ kind: 'corrected', event: done.id, from: 0, to: 700 })
    expect(counting([done, right])).toMatchObject([{ to: 700 }])
    expect(standingAt(running(done, right), 900).finish).toBe(2220 - 200)
  })

  it('leaves out what is skipped, and what was done earlier is done then', () => {
    const turn = handOf(running(), 'ana', 60).now!
    const skipped = running(event(skippedOf(turn, plan, 'ana', 60)!))
    expect(standingAt(skipped, 60).finish).toBe(60 + 1200 + 120)
    const hand = handOf(running(), 'ana', 900)
    const earlier = running(event(doneEarlier(doneOf(hand.now!, hand, 'ana', 900), 200)))
    expect(standingAt(earlier, 900).finish).toBe(700 + 1320)
  })
})

describe('what is left to plan', () => {
  it('has the facts, keeps hands off what is to be later, and a broken place empty', () => {
    const chopped = ticked(running(), 'ana', 600)
    const broken = running(
      ...chopped.events,
      event({ kind: 'out', station: run('simmer').stations[0] }),
      event({ kind: 'later', activity: 'simmer', until: 900 }),
    )
    const standing = standingAt(broken, 610)
    const asked = problemLeft(broken, standing)
    expect(asked.progress!.activities.map((a) => a.id).toSorted()).toEqual(['chop', 'peel'])
    const anew = startAnew(asked, standing.plan, { iterations: 40 })
    while (anew.advance(Infinity));
    const simmer = anew.best()!.plan.activities.find((a) => a.id === 'simmer')!
    expect(simmer.start).toBeGreaterThanOrEqual(900)
    expect(simmer.stations[0]).not.toBe(run('simmer').stations[0])
    expect(worthTelling(asked, standing.plan, anew.best()!)).toBe(true)
  })

  it('says what nothing else can do where a place is gone, and plans the rest all the same', () => {
    const out = (id: string) => event({ kind: 'out', station: id })
    const one = running(out('left'))
    expect(stuckWithout(one, standingAt(one, 10))).toEqual([])
    const none = running(out('left'), out('right'))
    const standing = standingAt(none, 10)
    expect(stuckWithout(none, standing)).toEqual(['simmer'])
    const anew = startAnew(problemLeft(none, standing), standing.plan, { iterations: 40 })
    while (anew.advance(Infinity));
    expect(anew.best()!.plan.activities).toHaveLength(4)
    expect(anew.best()!.plan.makespan).toBeLessThan(10_000)
  })

  it('is for nobody who is not able to do it', () => {
    const skilful = problemOf({
      cooks: [
        { id: 'ana', skills: ['knife', 'heat'] },
        { id: 'ivo', skills: ['simple'] },
      ],
      activities: [
        {
          id: 'chop',
          label: 'chop',
          modes: [{ id: 'm', phases: [{ seconds: [60, 60], hands: { skill: 'knife' } }] }],
        },
        {
          id: 'stir',
          label: 'stir',
          modes: [{ id: 'm', phases: [{ seconds: [60, 60], hands: { skill: 'simple' } }] }],
        },
      ],
    })
    expect([ableTo(skilful, 'chop'), ableTo(skilful, 'stir')]).toEqual([['ana'], ['ivo']])
  })

  it('gives to another what is handed over', () => {
    const one = running(event({ kind: 'handed', activity: 'peel', to: 'ana', from: 30 }, 30))
    const standing = standingAt(one, 30)
    const asked = problemLeft(one, standing)
    const anew = startAnew(asked, standing.plan, { iterations: 40 })
    while (anew.advance(Infinity));
    expect(anew.best()!.plan.activities.find((a) => a.id === 'peel')!.phases[0]!.cook).toBe('ana')
    expect(worthTelling(asked, standing.plan, anew.best()!)).toBe(true)
  })

  it('does not trouble the cooks for less than a minute', () => {
    const standing = standingAt(running(), 60)
    const asked = problemLeft(running(), standing)
    const anew = startAnew(asked, standing.plan, { iterations: 40 })
    while (anew.advance(Infinity));
    expect(worthTelling(asked, standing.plan, anew.best()!)).toBe(false)
  })

  it('has a plan too where food has waited too long already', () => {
    const chopped = ticked(running(), 'ana', 600)
    const late = running(
      ...chopped.events,
      event({ kind: 'later', activity: 'simmer', until: 1500 }, 700),
    )
    const standing = standingAt(late, 1200)
    expect(standing.waits).toEqual([{ between: ['chop', 'simmer'], over: 600 }])
    const asked = problemLeft(late, standing)
    const anew = startAnew(asked, standing.plan, { iterations: 40 })
    while (anew.advance(Infinity));
    expect(anew.best()!.broken).toMatchObject([{ was: 300, now: 900 }])
  })
})
