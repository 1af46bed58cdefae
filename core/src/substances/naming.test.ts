import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { compoundCalled, compoundsCalled, compoundsToAsk } from './naming'
import { REAGENTS } from '../reference/reagents'
import { REFERENCE_COMPOUNDS } from '../reference/reference'
import { readFormula } from '../structures/formula'
import { structureOf } from '../structures/structures'

const called = (typed: string) => compoundCalled(REFERENCE_COMPOUNDS, typed)?.name ?? null

describe('a compound is found as people write it', () => {
  test.each([
    ['cinnamic acid', 'trans-cinnamic acid'],
    ['Trans Cinnamic Acid', 'trans-cinnamic acid'],
    ['ASPIRIN', 'acetylsalicylic acid'],
    ['p-nitroaniline', '4-nitroaniline'],
    ['para-nitroaniline', '4-nitroaniline'],
    ['p nitroaniline', '4-nitroaniline'],
    ['m-toluic acid', '3-methylbenzoic acid'],
    ['sulphanilamide', 'sulfanilamide'],
    ['4‑nitro‑aniline', '4-nitroaniline'],
    ['103-84-4', 'acetanilide'],
    ['C14H10O2', 'benzil'],
    ['β-naphthol', '2-naphthol'],
    ['stilbene', 'trans-stilbene'],
  ])('%s is %s', (typed, name) => {
    expect(called(typed)).toBe(name)
  })

  test.each(['', '  ', '-', 'D-tartaric acid', 'cis-cinnamic acid', 'benzoik acid', 'unobtainium'])(
    '“%s” is none',
    (typed) => {
      expect(called(typed)).toBeNull()
    },
  )

  test.each([
    ['tartaric acid', 'L-tartaric acid'],
    ['malic acid', 'DL-malic acid'],
    ['glucose', 'D-glucose anhydrous'],
    ['citric acid', 'citric acid anhydrous'],
    ['oxalic acid', 'oxalic acid dihydrate'],
  ])('%s may be another form than %s: it is asked about and not taken', (typed, name) => {
    expect(called(typed)).toBeNull()
    expect(compoundsToAsk(REFERENCE_COMPOUNDS, typed).map((one) => one.name)).toContain(name)
  })

  test('isomers of one formula are several, and none of them is guessed', () => {
    const found = compoundsCalled(REFERENCE_COMPOUNDS, 'C6H6N2O2').map(({ name }) => name)
    expect(found).toEqual(['2-nitroaniline', '3-nitroaniline', '4-nitroaniline'])
    expect(called('C6H6N2O2')).toBeNull()
  })

  test('every name, registry number and synonym of the shelf, however it is set, finds its own compound', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...REFERENCE_COMPOUNDS),
        fc.nat(20),
        fc.constantFrom<(name: string) => string>(
          (name) => name,
          (name) => name.toUpperCase(),
          (name) => ` ${name} `,
          (name) => name.replaceAll('-', '‑'),
          (name) => name.replaceAll('-', ' '),
        ),
        (compound, nth, set) => {
          const names = [compound.name, ...compound.synonyms]
          const written = set(names[nth % names.length] ?? compound.name)
          expect(compoundsCalled(REFERENCE_COMPOUNDS, written)).toContain(compound)
        },
      ),
    )
    for (const compound of REFERENCE_COMPOUNDS) expect(called(compound.name)).toBe(compound.name)
  })
})

describe('starting materials that are on no shelf of melting ranges', () => {
  test.each(REAGENTS.map((one) => [one.name, one] as const))(
    '%s weighs what its structure does',
    (_, one) => {
      const drawn = structureOf(one.smiles)
      expect(readFormula(one.formula)?.molarMassGPerMol).toBeCloseTo(drawn.molarMassGPerMol, 1)
    },
  )

  test('none stands on the shelf too, and no two are called alike', () => {
    for (const one of REAGENTS)
      for (const name of [one.name, ...one.synonyms]) {
        expect([name, compoundsCalled(REFERENCE_COMPOUNDS, name).length]).toEqual([name, 0])
        expect([name, compoundCalled(REAGENTS, name)?.name]).toEqual([name, one.name])
      }
  })
})
