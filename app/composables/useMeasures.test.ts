import { afterEach, describe, expect, it } from 'vitest'
import { USUAL_MEASURES } from '~~/core/quantity'
import { dayTyped, heatText, measures, timeOf, timeTyped } from './useMeasures'

const TODAY = new Date(2027, 2, 1)
afterEach(() => Object.assign(measures, USUAL_MEASURES))

describe('what somebody types', () => {
  it('is a day, however it is written', () => {
    for (const typed of [
      '20 March 2027',
      'Saturday 20 March 2027',
      '20 Mar 2027',
      '20 mar',
      '2027-03-20',
      '20/3/2027',
      '20.3.2027',
    ])
      expect(dayTyped(typed, TODAY), typed).toBe('2027-03-20')
    for (const typed of ['', 'tomorrow', '31 February 2027', '2027-99-99', '20 March 27000'])
      expect(dayTyped(typed, TODAY), typed).toBeUndefined()
  })

  it('begins with the month only where cups and pounds are used', () => {
    expect(dayTyped('3/20/2027', TODAY)).toBeUndefined()
    measures.amounts = 'us'
    expect(dayTyped('3/20/2027', TODAY)).toBe('2027-03-20')
  })

  it('is a time of the day', () => {
    expect(
      ['9', '9:30', '09.30', '0930', '9 pm', '12 am', '12:15 p.m.', '18h'].map(timeTyped),
    ).toEqual(['09:00', '09:30', '09:30', '09:30', '21:00', '00:00', '12:15', '18:00'])
    for (const typed of ['', '25', '9:75', '13 pm', 'noon', '-1'])
      expect(timeTyped(typed), typed).toBeUndefined()
  })
})

it('tells time and heat as the household does', () => {
  const at = new Date(2027, 2, 20, 21, 5)
  expect([timeOf(at), heatText(74)]).toEqual(['21:05', '74 °C'])
  Object.assign(measures, { clock: '12', degrees: 'F' })
  expect([timeOf(at), heatText(74)]).toEqual(['9:05 pm', '165 °F'])
})
