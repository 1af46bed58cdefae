import { describe, expect, test } from '@jest/globals'
import { cautionsFor } from '../procedures/cautions'
import { disposalFor } from '../procedures/waste'
import { behaviourOf } from '../substances/behaviour'
import { fusionOf } from '../substances/fusionOf'
import { hazardLine, hazardStatement } from '../substances/hazards'
import { MOLAR_MASSES } from '../../golden/reference'
import { structureOf } from '../structures/structures'
import { referenceCompound, referenceSolvent } from '../../golden/reference'
import {
  REFERENCE_COMPOUNDS,
  REFERENCE_SOLUBILITIES,
  REFERENCE_SOLVENTS,
  SOLUBILITIES_LEFT_OUT,
} from './reference'
import { takeIn, takenForTheOther } from './takeIn'

const [compound, solvent] = [referenceCompound, referenceSolvent]

describe('the reference values', () => {
  test('are all here, each id once', () => {
    expect([REFERENCE_COMPOUNDS.length, REFERENCE_SOLVENTS.length]).toEqual([206, 20])
    expect(new Set(REFERENCE_COMPOUNDS.map((row) => row.id)).size).toBe(206)
    const points = REFERENCE_SOLUBILITIES.map((row) => `${row.compound} ${row.solvent} ${row.temperatureC}`)
    expect(new Set(points).size).toBe(points.length)
  })
  test('registry numbers have the check digit they ought to', () => {
    for (const { name, cas } of REFERENCE_COMPOUNDS) {
      if (cas === null) continue
      const digits = cas.replaceAll('-', '')
      const sum = [...digits.slice(0, -1)]
        .reverse()
        .reduce((total, digit, i) => total + (i + 1) * Number(digit), 0)
      expect([name, /^\d{2,7}-\d\d-\d$/.test(cas), sum % 10]).toEqual([name, true, Number(digits.at(-1))])
    }
  })
  test('a second set only adds: the first keeps its points, contradictions are listed, and all rises', () => {
    const held = REFERENCE_SOLUBILITIES.filter(({ confidence }) => confidence === 'high')
    expect(held.length).toBeGreaterThan(100)
    expect(REFERENCE_SOLUBILITIES.length).toBeGreaterThan(400)
    const pairs = new Map<string, { temperatureC: number; gPer100ML: number }[]>()
    for (const row of REFERENCE_SOLUBILITIES) {
      const key = `${row.compound} ${row.solvent}`
      pairs.set(key, [...(pairs.get(key) ?? []), row])
    }
    for (const [pair, rows] of pairs) {
      const sorted = [...rows].sort((p, q) => p.temperatureC - q.temperatureC)
      sorted.forEach((row, i) => {
        const after = sorted[i + 1]
        if (after) expect([pair, after.gPer100ML > row.gPer100ML]).toEqual([pair, true])
      })
    }
    expect(
      SOLUBILITIES_LEFT_OUT.map(
        ({ row, because }) => `${row.compound} in ${row.solvent} at ${row.temperatureC}: ${because}`,
      ),
    ).toEqual([
      'dl-malic-acid in water at 20: the first set has 125 g per 100 mL at 20 °C',
      'succinic-acid in ethanol-95 at 20: falls while the temperature rises, against its neighbour',
      'succinic-acid in ethanol-95 at 25: falls while the temperature rises, against its neighbour',
    ])
  })
  test('what is taken in follows its rules', () => {
    const row = (temperatureC: number, gPer100ML: number, confidence: 'low' | 'medium' = 'medium') => ({
      compound: 'a',
      solvent: 'water',
      temperatureC,
      gPer100ML,
      confidence,
    })
    const first = [row(20, 2), row(60, 8)]
    const taken = (...second: ReturnType<typeof row>[]) =>
      takeIn(first, second).taken.map((one) => one.temperatureC)
    expect(taken(row(20, 2.1), row(40, 4))).toEqual([])
    expect(taken(row(0, 1), row(90, 20))).toEqual([0, 90])
    expect(taken(row(0, 1, 'low'))).toEqual([])
    expect(takeIn(first, [row(90, 7)]).leftOut[0]?.because).toContain('against the rise')
    expect(takeIn([], [row(20, 3), row(40, 2), row(60, 9)]).taken.map((one) => one.temperatureC)).toEqual([
      60,
    ])
    expect(takenForTheOther([{ ...row(20, 3), solvent: 'ethanol-95' }])).toEqual([
      { ...row(20, 3, 'low'), solvent: 'ethanol-absolute' },
    ])
  })
  test('formulae agree with structures', () => {
    // Hill order puts C and H first and the rest by alphabet; compare as counts.
    const counts = (formula: string) =>
      [...formula.matchAll(/([A-Z][a-z]?)(\d*)/g)]
        .map(([, symbol, n]) => `${symbol}${n || 1}`)
        .sort()
        .join(' ')
    for (const row of REFERENCE_COMPOUNDS)
      expect([row.name, counts(structureOf(row.smiles).formula)]).toEqual([row.name, counts(row.formula)])
  })
  test('the molar masses kept for the tests are those of the structures', () => {
    expect(MOLAR_MASSES).toEqual(
      Object.fromEntries(
        REFERENCE_COMPOUNDS.map(({ id, smiles }) => [id, structureOf(smiles).molarMassGPerMol]),
      ),
    )
  })
  test('ranges run upward and solubilities name compounds and solvents of the shelf', () => {
    expect(REFERENCE_COMPOUNDS.filter((row) => row.meltLowC > row.meltHighC)).toEqual([])
    const known = new Set([...REFERENCE_COMPOUNDS, ...REFERENCE_SOLVENTS].map((row) => row.id))
    expect(
      REFERENCE_SOLUBILITIES.filter(
        (row) => !known.has(row.compound) || !known.has(row.solvent) || row.gPer100ML <= 0,
      ),
    ).toEqual([])
  })
  test('every hazard code on the shelf has its statement', () => {
    const codes = [...REFERENCE_COMPOUNDS, ...REFERENCE_SOLVENTS].flatMap((row) => row.hazards)
    expect(codes.filter((code) => hazardStatement(code) === code)).toEqual([])
  })
})

test('a missing fusion enthalpy is estimated, and that is said', () => {
  expect(fusionOf(compound('benzil'))).toMatchObject({ enthalpyKJPerMol: 23.5, estimated: false })
  const benzoin = fusionOf(compound('benzoin'))
  expect(benzoin.estimated).toBe(true)
  expect(benzoin.enthalpyKJPerMol).toBeCloseTo(0.0565 * (137.5 + 273.15), 9)
})

test('every hazard of a solvent is said, with what it asks for', () => {
  const sentenceOf = (id: string) => cautionsFor(compound('benzil'), solvent(id)).join('\n')
  expect(sentenceOf('ethanol-95')).toMatch(/flammable[^]*Ethanol 95%: Causes serious eye irritation/)
  for (const id of ['diethyl-ether', 'tetrahydrofuran', '2-methyltetrahydrofuran'])
    expect(sentenceOf(id)).toMatch(/may form explosive peroxides[^]*test for peroxides before you heat it/)
  expect(sentenceOf('ethanol-95')).not.toContain('peroxides')
  expect(sentenceOf('2-methyltetrahydrofuran')).toContain('face shield')
  for (const one of REFERENCE_SOLVENTS)
    for (const code of one.hazards)
      if (!/^H22[456]/.test(code))
        expect({ id: one.id, code, sentence: sentenceOf(one.id).toLowerCase() }).toEqual({
          id: one.id,
          code,
          sentence: expect.stringContaining(hazardStatement(code)) as unknown,
        })
})

test('what may cause cancer or harm a child is not begun without the person in charge', () => {
  const wordsOf = (id: string) => cautionsFor(compound(id), null).at(-1)
  expect(wordsOf('azobenzene')).toMatch(
    /^Do not do this without the person in charge. Azobenzene \(danger\): .*may cause cancer/,
  )
  expect(wordsOf('ferrocene')).toContain('may damage fertility and the unborn child')
  expect(wordsOf('benzil')).not.toContain('person in charge')
})

test('both of a pair are spoken for', () => {
  const sentence = cautionsFor(compound('benzil'), solvent('ethanol-95'), solvent('hexane')).join(' ')
  expect(sentence).toContain('Ethanol 95% is flammable')
  expect(sentence).toContain('Hexane is flammable')
})

test('cautions and waste follow the solvent', () => {
  expect(cautionsFor(compound('benzil'), solvent('ethanol-95')).join(' ')).toContain(
    'a bath in the hood and no bare hot plate, and have no flame',
  )
  expect(cautionsFor(compound('benzil'), solvent('water')).join(' ')).not.toContain('flame')
  expect(cautionsFor(compound('benzil'), solvent('dichloromethane')).join(' ')).toContain('Work in the hood')
  expect(disposalFor(solvent('dichloromethane'))[0]).toContain('halogenated organic waste')
  expect(disposalFor(solvent('ethanol-95'))[0]).toContain('halogen-free organic waste, never the sink')
  expect(hazardLine([])).toBe('No hazard data here. Read the safety data sheet.')
})

test('how a compound behaves when it is heated, and what comes from cold water, is known to judging', () => {
  const behaves = (id: string, fromWater = false) => behaviourOf(compound(id), fromWater)
  expect(behaves('acetylsalicylic-acid')).toBe('decomposes')
  expect(['ferrocene', 'caffeine', 'phthalic-anhydride', 'camphor'].map((id) => behaves(id))).toEqual(
    Array(4).fill('sublimes'),
  )
  expect(behaves('oxalic-acid-dihydrate')).toBe('hydrate')
  for (const id of ['citric-acid-anhydrous', 'd-glucose-anhydrous', 'caffeine'])
    expect(behaves(id, true)).toBe('hydrate')
  expect(behaves('citric-acid-anhydrous')).toBe('melts')
  expect(behaves('benzil', true)).toBe('melts')
})
