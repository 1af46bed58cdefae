import { describe, expect, test } from '@jest/globals'
import { referenceCompound, referenceSolvent } from '../../golden/reference'
import { airMinutesFor } from '../weighing/airDrying'
import { agreeWithinG, dryRuleOf } from './dryRule'
import { weighedAs } from './drying'
import { durationInWords } from './dryRule'

const benzil = referenceCompound('benzil')
const AIR = { atLeastMin: 10, constantMassToleranceG: null }
const wetWith = (...ids: string[]) => ids.map(referenceSolvent)

describe('what counts as dry', () => {
  test('air, as long as the solvent needs and the house asks', () => {
    const min = (id: string, atLeastMin = 10) => dryRuleOf({ ...AIR, atLeastMin }, wetWith(id), benzil).airMin
    expect(['diethyl-ether', 'acetone', 'ethanol-95'].map((id) => min(id))).toEqual([10, 15, 60])
    expect(min('ethanol-95', 90)).toBe(90)
    expect(min('toluene')).toBe(Infinity)
    expect([34.6, 50, 64.7, 78.2, 85, 86].map(airMinutesFor)).toEqual([5, 5, 15, 60, 60, Infinity])
  })
  test('two weighings where air is not enough, half an hour apart or a night', () => {
    const of = (...ids: string[]) => dryRuleOf(AIR, wetWith(...ids), benzil)
    expect(of('ethanol-95')).toMatchObject({ by: 'minutes of air', betweenMin: 30 })
    expect(of('toluene')).toMatchObject({
      by: 'constant mass',
      betweenMin: 720,
      how: 'hood, then desiccator',
    })
    expect(of('ethanol-95', 'water')).toMatchObject({ by: 'constant mass', betweenMin: 720 })
    const adipic = dryRuleOf(AIR, wetWith('water'), referenceCompound('adipic-acid'))
    expect(adipic).toMatchObject({ by: 'constant mass', betweenMin: 30, how: 'oven' })
    expect(
      dryRuleOf({ atLeastMin: 45, constantMassToleranceG: 0.001 }, wetWith('ethanol-95'), benzil),
    ).toMatchObject({
      by: 'constant mass',
      betweenMin: 45,
    })
  })
  test('wet with nothing that is known, the house’s minutes alone', () => {
    expect(dryRuleOf(AIR, [], benzil)).toMatchObject({ by: 'minutes of air', airMin: 10 })
  })
  test('two weighings agree within what the house says, and never by more than 0.2 % of the mass', () => {
    expect(agreeWithinG(AIR, 1.5, 0.001)).toBeCloseTo(0.002, 12)
    expect(agreeWithinG(AIR, 1.5, 0.01)).toBeCloseTo(0.003, 12)
    expect(agreeWithinG({ atLeastMin: 10, constantMassToleranceG: 0.0005 }, 88, 0.0001)).toBe(0.0005)
  })
  test('a drying time is said as one says it', () => {
    expect([30, 90, 120, 300, 720, 1440].map(durationInWords)).toEqual([
      '30 min',
      '90 min',
      '2 h',
      '5 h',
      'a night',
      '24 h',
    ])
  })
})

test('a hydrate is weighed as such, or without its water where an oven is known to take it', () => {
  const as = (id: string, ...from: string[]) => weighedAs(wetWith(...from), referenceCompound(id))
  expect(as('caffeine', 'water')).toBe('anhydrous')
  expect(as('caffeine', 'ethanol-95', 'water')).toBe('hydrate')
  expect(as('caffeine', 'ethanol-95')).toBeNull()
  expect(as('citric-acid-anhydrous', 'water')).toBe('hydrate')
  expect(as('oxalic-acid-dihydrate', 'water')).toBe('hydrate')
  expect(as('benzil', 'water')).toBeNull()
})
