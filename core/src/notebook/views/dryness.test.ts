import { expect, test } from '@jest/globals'
import type { Entry } from '../entry'
import { airMinutes } from './dryness'

const START = 1_790_000_000_000
const timer = (atMin: number, minutes: number) =>
  ({ at: START + atMin * 60_000, body: { timer: 'air', minutes } }) as Entry<'timer started'>
const by = (min: number) => START + min * 60_000

test('drying counts as far as its timers had run, and where two ran together, once', () => {
  expect(airMinutes([], by(60))).toBe(0)
  expect(airMinutes([timer(0, 10)], by(4))).toBe(4)
  expect(airMinutes([timer(0, 10)], by(60))).toBe(10)
  expect(airMinutes([timer(0, 10), timer(5, 10)], by(60))).toBe(15)
  expect(airMinutes([timer(0, 30), timer(5, 10)], by(60))).toBe(30)
  expect(airMinutes([timer(0, 10), timer(20, 10)], by(25))).toBe(15)
  expect(airMinutes([timer(30, 10)], by(25))).toBe(0)
})
