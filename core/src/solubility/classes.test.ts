import { describe, expect, test } from '@jest/globals'
import { referenceCompound, referenceSolvent } from '../../golden/reference'
import { boilsFromC, boilsInWords, boilsToC } from '../substances/boiling'
import { reactionOf } from '../substances/reactions'
import { classDoubt, classesIn, classOf, tubesToTry } from './classes'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../reference/reference'

const solvents = REFERENCE_SOLVENTS.map(({ id }) => referenceSolvent(id))
const solvent = referenceSolvent

describe('classes of solubility', () => {
  test('a figure falls in one, the borders counted with the lesser', () => {
    expect([0.05, 0.1, 1, 1.1, 10, 11].map(classOf)).toEqual(['i', 'sl', 'sl', 's', 's', 'vs'])
  })
  test('are told of a solvent and of what is much like it, hot where they are known', () => {
    const benzil = referenceCompound('benzil')
    expect(classesIn(benzil, solvent('ethanol-95'))).toEqual({ cold: 's', hot: 'vs' })
    expect(classesIn(benzil, solvent('heptane'))).toEqual({ cold: 'sl to s', hot: null })
    expect(classesIn(benzil, solvent('acetone'))).toEqual({ cold: null, hot: null })
    expect(classesIn({ solubilityClasses: undefined }, solvent('water'))).toEqual({ cold: null, hot: null })
  })
  test('two whole classes off is doubted, one is not', () => {
    const benzil = referenceCompound('benzil')
    const doubt = (at20: number) =>
      classDoubt(benzil, solvent('water'), [
        [20, at20],
        [90, 10 * at20],
      ])
    expect(doubt(0.02)).toBeNull()
    expect(doubt(0.5)).toBeNull()
    expect(doubt(5)).toMatch(
      /^Benzil is said to dissolve hardly .* in water .*these points say \d.* Try a little/,
    )
    expect(classDoubt(benzil, solvent('acetone'), [[20, 5]])).toBeNull()
    expect(classDoubt(benzil, solvent('water'), [])).toBeNull()
  })
  test('tubes to try are of solvents that mix, react with nothing, and part cold from hot', () => {
    for (const { id } of REFERENCE_COMPOUNDS) {
      const compound = referenceCompound(id)
      const tubes = tubesToTry(compound, solvents)
      for (const { solvents: tried, because } of tubes) {
        expect([id, tried.every((one) => reactionOf(compound, one)?.rulesOut !== true)]).toEqual([id, true])
        expect([id, tried.length === 1 || tried.length === 2]).toEqual([id, true])
        expect([id, because.length > 10]).toEqual([id, true])
      }
      const promise = tubes.map((tube) => tube.promise)
      expect(promise).toEqual([...promise].sort((p, q) => q - p))
    }
    const acetanilide = tubesToTry(referenceCompound('acetanilide'), solvents)
    expect(acetanilide[0]).toMatchObject({ promise: 3, solvents: [{ id: 'water' }] })
    const benzil = tubesToTry(referenceCompound('benzil'), solvents)
    expect(benzil.map(({ solvents: tried }) => tried.map(({ id }) => id).join(' + '))).toContain(
      'ethanol-95 + water',
    )
    // What the lab has closed is not among the solvents handed over, and so in no tube.
    const open = solvents.filter(({ id }) => id !== 'water')
    expect(
      tubesToTry(referenceCompound('benzil'), open).flatMap((tube) => tube.solvents.map(({ id }) => id)),
    ).not.toContain('water')
  })
})

test('a mixture boils from where the first of it does to where the last does', () => {
  const petroleum = solvent('petroleum-ether-60-80')
  expect([boilsFromC(petroleum), boilsToC(petroleum), boilsInWords(petroleum)]).toEqual([
    60,
    80,
    '60 to 80 °C',
  ])
  const ethanol = solvent('ethanol-95')
  expect([boilsFromC(ethanol), boilsToC(ethanol), boilsInWords(ethanol)]).toEqual([78.2, 78.2, '78.2 °C'])
  const unknown = { ...petroleum, boilingFromC: undefined, boilingToC: undefined }
  expect([boilsFromC(unknown), boilsToC(unknown), boilsInWords(unknown)]).toEqual([null, null, null])
  expect(boilsInWords({ ...petroleum, boilingToC: undefined })).toBe('from 60 °C')
})
