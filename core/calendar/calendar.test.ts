import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { busyEvenings, calendarOf } from './index'

const held = { session: demoSession, kitchen: demoKitchen, recipes: demoRecipes }

describe('calendarOf', () => {
  const text = calendarOf(held, '2027-03-01T08:00:00Z', (id) =>
    id === demoSession.id ? 180 : undefined,
  )
  const events = new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((v) => new ICAL.Event(v))
  const of = (uid: string) => events.find((e) => e.uid === `${uid}@cadrum`)!

  it('has every sitting and evening, each once, with an alarm', () => {
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
    expect(events.filter((e) => e.summary.startsWith('Dinner: '))).toHaveLength(12)
    expect(events).toHaveLength(14)
    for (const e of events) expect(e.component.getAllSubcomponents('valarm')).toHaveLength(1)
  })

  it('calls what is to be seen to before, at its time', () => {
    const before = [{ id: 'soak', at: '2027-03-19T21:00', words: 'Soak the chickpeas' }]
    const own = new ICAL.Component(
      ICAL.parse(calendarOf(held, '2027-03-01T08:00:00Z', undefined, before)) as unknown[],
    )
      .getAllSubcomponents('vevent')
      .map((v) => new ICAL.Event(v))
      .find((e) => e.uid === `${demoSession.id}.soak@cadrum`)!
    expect(own.summary).toBe('Soak the chickpeas')
    expect(own.startDate.toString()).toBe('2027-03-19T21:00:00')
    expect(own.component.getAllSubcomponents('valarm')).toHaveLength(1)
  })

  it('has the times of the plan, else of the sitting, by the clock on the wall', () => {
    expect(of('before-lambing').startDate.toString()).toBe('2027-03-20T09:00:00')
    expect(of('before-lambing').endDate.toString()).toBe('2027-03-20T12:00:00')
    expect(of('before-lambing--friday').endDate.toString()).toBe('2027-03-19T20:30:00')
    expect(of('before-lambing--2027-03-22').endDate.toString()).toBe('2027-03-22T18:30:00')
    expect(of('before-lambing--2027-03-22').startDate.toString() < '2027-03-22T18:30').toBe(true)
  })

  it('says the evening before what comes out of the freezer', () => {
    expect(of('before-lambing--2027-03-22').description).toMatch(
      /Out of the freezer into the fridge for tomorrow: Smoked fish and leek pie/,
    )
  })
})

describe('busyEvenings', () => {
  const event = (lines: string) =>
    `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\n${lines}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`
  const days = (lines: string) => {
    const found = busyEvenings(event(lines), '2027-03-20', '2027-04-02')
    return found.ok ? found.value.map((b) => `${b.day} ${b.what.join()}`) : found.issues
  }

  it('finds what lies between five and eight, and nothing else', () => {
    expect(days('SUMMARY:Choir\r\nDTSTART:20270323T190000\r\nDTEND:20270323T210000')).toEqual([
      '2027-03-23 Choir',
    ])
    expect(days('SUMMARY:School\r\nDTSTART:20270323T080000\r\nDTEND:20270323T150000')).toEqual([])
    expect(days('SUMMARY:Late\r\nDTSTART:20270323T200000\r\nDTEND:20270323T230000')).toEqual([])
  })

  it('repeats what is repeated, and takes whole days', () => {
    expect(
      days(
        'SUMMARY:Training\r\nDTSTART:20270302T173000\r\nDTEND:20270302T190000\r\nRRULE:FREQ=WEEKLY',
      ),
    ).toEqual(['2027-03-23 Training', '2027-03-30 Training'])
    expect(
      days('SUMMARY:Away\r\nDTSTART;VALUE=DATE:20270327\r\nDTEND;VALUE=DATE:20270329'),
    ).toEqual(['2027-03-27 Away', '2027-03-28 Away'])
  })

  it('finds what has been repeated for years', () => {
    expect(
      days(
        'SUMMARY:Milking\r\nDTSTART:20100101T170000\r\nDTEND:20100101T183000\r\nRRULE:FREQ=DAILY',
      ),
    ).toHaveLength(14)
  })

  it('says what is wrong with a file that is none', () => {
    expect(days('SUMMARY:Whenever')).toMatchObject([{ message: 'is not a calendar' }])
    expect(busyEvenings('hello', '2027-03-20', '2027-03-21')).toMatchObject({
      ok: false,
      issues: [{ path: 'file', message: 'is not a calendar' }],
    })
  })
})
