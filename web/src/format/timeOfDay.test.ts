import { afterEach, describe, expect, test } from '@jest/globals'
import { clock } from '../clock/clock'
import { clock as shown } from './format'
import { momentAfter, momentAt } from './timeOfDay'

const real = clock.zone
afterEach(() => {
  clock.zone = real
})
const inZone = (zone: string) => {
  clock.zone = () => zone
}

describe('a time of day as a moment', () => {
  test('the nearest to now, on this side of midnight or the other', () => {
    inZone('Europe/Berlin')
    const now = Date.parse('2026-11-28T22:50:00Z') // 23:50 there
    expect(momentAt('23:30', now)).toBe(Date.parse('2026-11-28T22:30:00Z'))
    expect(momentAt('00:15', now)).toBe(Date.parse('2026-11-28T23:15:00Z'))
    expect(momentAfter('02:00', now)).toBe(Date.parse('2026-11-29T01:00:00Z'))
    expect(momentAfter('23:50', now)).toBe(Date.parse('2026-11-29T22:50:00Z'))
  })
  test('over the change to winter time the clock on the wall is right at both ends', () => {
    inZone('Europe/Berlin')
    const evening = Date.parse('2026-10-24T20:00:00Z') // 22:00 summer time
    const end = momentAfter('04:00', evening)
    expect(end).toBe(Date.parse('2026-10-25T03:00:00Z'))
    expect(shown(end ?? 0)).toBe('04:00')
  })
  test('an hour that the clocks are put forward past is none', () => {
    inZone('Europe/Berlin')
    expect(momentAt('02:30', Date.parse('2026-03-29T01:10:00Z'))).toBeNull()
  })
  test('zones off the whole hour, and what is no time at all', () => {
    inZone('Asia/Kathmandu')
    const now = Date.parse('2026-11-28T08:00:00Z')
    expect(shown(momentAt('13:30', now) ?? 0)).toBe('13:30')
    expect(shown(momentAt('1330', now) ?? 0)).toBe('13:30')
    expect(shown(momentAt('9.05', now) ?? 0)).toBe('09:05')
    for (const text of ['', '25:00', '12:60', 'noon', '1:5', '99999']) expect(momentAt(text, now)).toBeNull()
  })
})
