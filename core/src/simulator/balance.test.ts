import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import type { Entry } from '../notebook/entry'
import { createBalance, passBalance } from './balance'
import { TEACHING_BALANCE } from './balance'
import { simulatedPan } from './pan'

const plan = (golden.entries.find(({ kind }) => kind === 'plan fixed') as Entry<'plan fixed'>).body
const settled = (loadG: number, seed = 7) =>
  passBalance(createBalance(TEACHING_BALANCE, seed), [{ kind: 'load', g: loadG }], 12)

describe('the simulated balance', () => {
  test('settles on what is on it, to its readability', () => {
    const { reading } = settled(31.2216)
    expect(reading.display.value).toBeCloseTo(31.2216, 2)
    expect(reading.display.text).toMatch(/^31\.22\d$/)
  })
  test('does not show rest while it moves', () => {
    const { reading } = passBalance(createBalance(TEACHING_BALANCE, 7), [{ kind: 'load', g: 31.2216 }], 1)
    expect(reading.stable).toBe(false)
    expect(reading.display.value).toBeLessThan(31)
  })
  test('comes to rest sooner or later, whatever the seed', () => {
    for (let seed = 1; seed < 30; seed++) {
      let { state, reading } = settled(2.4567, seed)
      for (let i = 0; i < 60 && !reading.stable; i++) ({ state, reading } = passBalance(state, [], 0.5))
      expect(reading.stable).toBe(true)
      expect(Math.abs(reading.display.value - 2.4567)).toBeLessThan(0.0025)
    }
  })
  test('tares, drifts, and is the same for the same seed', () => {
    const tared = passBalance(settled(20).state, [{ kind: 'tare' }], 3)
    expect(Math.abs(tared.reading.display.value)).toBeLessThan(0.002)
    expect(settled(20, 3).state).toEqual(settled(20, 3).state)
    const later = passBalance(settled(20).state, [], 600)
    expect(later.state.driftG).not.toBe(0)
    expect(Math.abs(later.state.driftG)).toBeLessThan(0.01)
  })
  test('says when it is overloaded', () => {
    expect(settled(500).reading.overloaded).toBe(true)
  })
})

describe('what its pan carries', () => {
  const pan = (
    load: Parameters<typeof simulatedPan>[0],
    role: Parameters<typeof simulatedPan>[1],
    driedMin = 0,
  ) => simulatedPan(load, role, plan, { seed: 42, driedMs: driedMin * 60_000, crudeG: 1.8 })
  test('the product is near the plan, damp at first and drying', () => {
    const vessel = pan('empty vessel', 'product')
    const masses = [0, 10, 30, 120].map((minutes) => pan('vessel with sample', 'product', minutes) - vessel)
    expect([...masses].sort((p, q) => q - p)).toEqual(masses)
    expect(masses[3]).toBeLessThan(plan.result.crystalMassG)
    expect(masses[3]).toBeGreaterThan(0.85 * plan.result.crystalMassG)
    expect(masses[0]).toBeGreaterThan(1.1 * (masses[3] as number))
  })
  test('the residue is near what the liquor holds, and nothing weighs nothing', () => {
    const residue = pan('vessel with sample', 'residue', 600) - pan('empty vessel', 'residue')
    expect(residue).toBeGreaterThan(0.15)
    expect(residue).toBeLessThan(0.35)
    expect(pan('nothing', 'crude')).toBe(0)
  })
})
