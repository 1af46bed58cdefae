import { afterEach, describe, expect, test } from '@jest/globals'
import { clock as pageClock } from '../clock/clock'
import { clock, day, dayAndClock, netMassText, span, withUncertainty, wholeParts } from './format'

describe('how numbers look', () => {
  test.each([
    [77.1286, 0.0176, '77.13 ± 0.04'],
    [74.75, 3.39, '75 ± 7'],
    [0.5, 0.0000004, '0.500000 ± 0.000001'],
    [10, 0, '10.00 ± 0.00'],
  ])('%d with u = %d is %s', (value, standardUncertainty, text) => {
    expect(withUncertainty({ value, standardUncertainty })).toBe(text)
  })
  test('a net mass shows the digits the balance gave', () => {
    const reading = (text: string) => ({ text, value: Number(text) })
    expect(netMassText({ method: 'tared', net: reading('1.80'), readabilityG: 0.01, from: 'typed' })).toBe(
      '1.80',
    )
    expect(
      netMassText({
        method: 'difference',
        empty: reading('31.2216'),
        loaded: reading('32.6130'),
        readabilityG: 0.0001,
        from: 'typed',
      }),
    ).toBe('1.3914')
    expect(
      netMassText({
        method: 'difference',
        empty: reading('2.0'),
        loaded: reading('3.00'),
        readabilityG: 0.01,
        from: 'typed',
      }),
    ).toBe('1.00')
  })
  test('a span of time', () => {
    expect([span(65_000), span(-5), span(3_600_000)]).toEqual(['1:05', '0:00', '60:00'])
  })
})

describe('when something happened', () => {
  const zone = pageClock.zone
  afterEach(() => {
    pageClock.zone = zone
  })
  const leapNight = Date.UTC(2028, 1, 29, 23, 58)
  test.each([
    ['UTC', '23:58', '29 Feb 2028'],
    ['Pacific/Kiritimati', '13:58', '1 Mar 2028'],
    ['America/St_Johns', '20:28', '29 Feb 2028'],
  ])('is told in the zone of the page: %s', (name, time, date) => {
    pageClock.zone = () => name
    expect([clock(leapNight), day(leapNight)]).toEqual([time, date])
  })
  test('is “today” as long as the day of that zone lasts', () => {
    const later = leapNight + 4 * 60_000
    expect(dayAndClock(leapNight, later)).toBe('29 Feb, 23:58')
    pageClock.zone = () => 'America/St_Johns'
    expect(dayAndClock(leapNight, later)).toBe('today 20:28')
  })
})

test.each([
  [
    [5.2, 35.5],
    [5, 36],
  ],
  [
    [2.46, 35.5],
    [2, 36],
  ],
  [
    [0.4, 0.4, 0.4],
    [0, 1, 0],
  ],
  [[], []],
])('parts %j in whole numbers are %j', (parts, whole) => {
  expect(wholeParts(parts)).toEqual(whole)
})
