import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { ImpossibleInput } from '../problems'
import { isConstantMass } from './constantMass'
import { netMass, type Weighing } from './netMass'
import { readFromBalance, readReading } from './reading'
import { massClosure, percentRecovery, percentYield, theoreticalYieldG } from './recovery'

interface Case {
  crude: Weighing
  purified: Weighing
  netG: number
  netU: number
  recoveryPercent: number
  recoveryU: number
}
const { cases } = JSON.parse(
  readFileSync(new URL('../../vectors/weighing.json', import.meta.url), 'utf8'),
) as {
  cases: Case[]
}

const codeOf = (run: () => unknown) => {
  try {
    run()
  } catch (error) {
    return (error as ImpossibleInput).code
  }
  return 'nothing thrown'
}

describe('weighing', () => {
  test.each(cases)('agrees with the vector of $recoveryPercent %', (one) => {
    const purified = netMass(one.purified)
    const recovery = percentRecovery(purified, netMass(one.crude))
    expect(purified.value).toBeCloseTo(one.netG, 12)
    expect(purified.standardUncertainty).toBeCloseTo(one.netU, 12)
    expect(recovery.value / one.recoveryPercent).toBeCloseTo(1, 9)
    expect(recovery.standardUncertainty / one.recoveryU).toBeCloseTo(1, 6)
  })

  test('swapped vessels are named, not computed', () => {
    const swapped = { method: 'difference', emptyG: 31.9, loadedG: 31.2, readabilityG: 0.1 } as const
    expect(() => netMass(swapped)).toThrow('31.2 g loaded is less than 31.9 g empty. Were the two swapped?')
    expect(codeOf(() => netMass(swapped))).toBe('loaded-lighter-than-empty')
  })

  test.each([
    [{ method: 'tared', netG: -0.1, readabilityG: 0.01 }, 'negative-mass'],
    [{ method: 'tared', netG: NaN, readabilityG: 0.01 }, 'not-a-number'],
    [{ method: 'tared', netG: 1, readabilityG: 0 }, 'bad-readability'],
  ] as const)('%j is impossible: %s', (weighing, code) => {
    expect(codeOf(() => netMass(weighing))).toBe(code)
  })

  test('recovery over 100 % is a result', () => {
    const exact = (value: number) => ({ value, standardUncertainty: 0 })
    expect(percentRecovery(exact(1.9), exact(1.8)).value).toBeCloseTo(105.5556, 3)
    expect(codeOf(() => percentRecovery(exact(1), exact(0)))).toBe('nothing-weighed')
  })

  test('mass is conserved in the closure', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 100, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 50, noNaN: true })),
        (crudeG, accountedG) => {
          const { percent, missingG } = massClosure({ crudeG, accountedG })
          expect((percent / 100) * crudeG + missingG).toBeCloseTo(crudeG, 6)
        },
      ),
    )
  })

  test('yield against theory', () => {
    const theory = theoreticalYieldG({
      limitingG: 2,
      limitingMolarMass: 212.24,
      productMolarMass: 210.23,
      productPerLimiting: 1,
    })
    expect(theory).toBeCloseTo(1.98106, 4)
    expect(percentYield(1.39, theory)).toBeCloseTo(70.164, 2)
    expect(
      codeOf(() =>
        theoreticalYieldG({ limitingG: 2, limitingMolarMass: 0, productMolarMass: 1, productPerLimiting: 1 }),
      ),
    ).toBe('bad-molar-mass')
  })

  test('constant mass counts steps of the balance and minutes of drying', () => {
    const rule = { toleranceG: 0.001, dryingMin: 10 }
    const at = (massG: number, minutes: number) => ({ massG, at: minutes * 60_000, readabilityG: 0.001 })
    expect(isConstantMass([at(1.9, 0), at(1.804, 10), at(1.803, 20)], rule)).toBe(true)
    expect(isConstantMass([at(1.805, 10), at(1.803, 20)], rule)).toBe(false)
    expect(isConstantMass([at(1.804, 10), at(1.803, 15)], rule)).toBe(false)
    expect(isConstantMass([at(1.804, 10)], rule)).toBe(false)
  })
})

describe('a typed reading', () => {
  test('keeps its digits', () => {
    expect(readReading(' 1.80 ', 'The mass')).toEqual({ ok: true, value: { text: '1.80', value: 1.8 } })
  })
  test.each([
    ['1,804', 'decimal-comma'],
    ['', 'not-a-reading'],
    ['1.8.0', 'not-a-reading'],
    ['about 2', 'not-a-reading'],
    ['1e3', 'not-a-reading'],
    ['Infinity', 'not-a-reading'],
  ])('%j is refused as %s', (text, code) => {
    const read = readReading(text, 'The mass')
    expect(read.ok ? 'taken' : read.problem.code).toBe(code)
  })
  test('more digits than the balance has are pointed out', () => {
    const read = readFromBalance({ text: '1.80456', value: 1.80456 }, 0.001, 'The mass')
    expect(read.ok ? '' : read.problem.sentence).toContain(
      'has 5 decimals, but this balance reads to 0.001 g',
    )
    expect(readFromBalance({ text: '1.804', value: 1.804 }, 0.001, 'The mass').ok).toBe(true)
  })
})
