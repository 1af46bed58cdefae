import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Entry } from '../index'
import {
  gritMarkML,
  pastThePlanML,
  planCrystallization,
  proposedVolumeML,
  smallFlaskSteps,
  whyThisSolvent,
  withVolumeML,
  workingTemperatures,
} from '../index'

const { entries } = JSON.parse(
  readFileSync(new URL('../../golden/ledger.json', import.meta.url), 'utf8'),
) as { entries: Entry[] }
const [benzil, adipic] = (entries.filter((line) => line.kind === 'plan fixed') as Entry<'plan fixed'>[]).map(
  (line) => line.body,
) as [Entry<'plan fixed'>['body'], Entry<'plan fixed'>['body']]

describe('the steps', () => {
  test('carry the amounts of this batch, in the order of the work', () => {
    const steps = smallFlaskSteps(benzil)
    expect(steps.map((step) => step.station)).toEqual([
      ...Array<string>(4).fill('dissolve'),
      ...Array<string>(3).fill('crystallize'),
      ...Array<string>(5).fill('collect'),
    ])
    const text = steps.map((step) => step.text).join(' ')
    for (const amount of [
      '1.804 g',
      '25 mL Erlenmeyer',
      'near 3.5 mL',
      'up to 11.0 mL',
      '1.0 mL of ice-cold',
      'at most 0.007 g',
    ])
      expect(text).toContain(amount)
    expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length)
  })
  test('carry the cautions where they belong', () => {
    const caution = (id: string) => smallFlaskSteps(benzil).find((step) => step.id === id)?.caution ?? ''
    expect(caution('heat-solvent')).toContain('no flame')
    expect(caution('wet-the-crude')).toContain('melts to an oil')
    expect(caution('off-the-heat')).toContain('Never a tight stopper')
    expect(caution('cool-undisturbed')).toContain('a fresh boiling stone')
    expect(smallFlaskSteps(adipic)[0]?.caution).not.toContain('flame')
  })
  test('grit gets a step of its own, and no dilution is asked for at the least volume', () => {
    const atLeast = {
      ...benzil,
      result: { ...benzil.result, hotML: benzil.result.minimumHotML, gritG: 0.05 },
    }
    const ids = smallFlaskSteps(atLeast).map((step) => step.id)
    expect(ids).toContain('leave-the-grit')
    expect(ids).not.toContain('dilute-hot')
  })
})

describe('the volume', () => {
  const { excess: _, ...rest } = benzil.input
  test('proposed just keeps the impurity dissolved; without one, a tenth above the least', () => {
    expect(proposedVolumeML(planCrystallization({ ...rest, excess: 0 }))).toBe(11)
    const { impurity: __, ...alone } = rest
    expect(proposedVolumeML(planCrystallization({ ...alone, excess: 0 }))).toBe(3.9)
  })
  test('is not proposed beyond five times the least', () => {
    const stubborn = planCrystallization({
      ...rest,
      impurity: [
        [2, 0.2],
        [78, 15],
      ],
      excess: 0,
    })
    expect(stubborn.impurityStaysDissolvedML).toBeGreaterThan(5 * stubborn.minimumHotML)
    expect(proposedVolumeML(stubborn)).toBe(3.9)
  })
  test('given becomes the excess that gives it, and below the least it is refused', () => {
    expect(planCrystallization(withVolumeML(rest, 7)).hotML).toBeCloseTo(7, 9)
    expect(() => withVolumeML(rest, 3)).toThrow('below the least hot volume of 3.5 mL')
  })
})

test('solid left past twice the least is grit, and solvent past the plan is remarked on', () => {
  const plan = { minimumHotML: 3.5, hotML: 11 }
  expect(gritMarkML(3.5)).toBe(7)
  expect([pastThePlanML(plan, 11), pastThePlanML(plan, 12), pastThePlanML(plan, 20)]).toEqual([null, null, 9])
  expect(pastThePlanML({ minimumHotML: 10, hotML: 11 }, 15)).toBeNull()
})

test('working temperatures stay under boiling, under the melting point, and above freezing', () => {
  expect(workingTemperatures(benzil.solvent, benzil.compound)).toEqual({ hotC: 78, coldC: 2 })
  expect(workingTemperatures({ ...benzil.solvent, boilingPointC: 110 }, benzil.compound).hotC).toBe(84)
  expect(workingTemperatures({ ...benzil.solvent, freezingPointC: 6.5 }, benzil.compound).coldC).toBe(9)
})

test('why this solvent', () => {
  expect(whyThisSolvent(benzil)[0]).toBe('About 71 times as much benzil dissolves at 78 °C as at 2 °C.')
  expect(whyThisSolvent(benzil).at(-1)).toBe('At this volume benzoin stays in the cold liquor.')
  const toluene = { ...benzil, solvent: { ...benzil.solvent, boilingPointC: 110.6 } }
  expect(whyThisSolvent(toluene).join(' ')).toContain('may come out as an oil')
})
