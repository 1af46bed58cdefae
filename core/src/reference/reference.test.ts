import { describe, expect, test } from '@jest/globals'
import {
  cautionsFor,
  type Compound,
  disposalFor,
  fusionOf,
  hazardLine,
  hazardStatement,
  type Solvent,
} from '../index'
import { structureOf } from '../structures/structures'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLUBILITIES, REFERENCE_SOLVENTS } from './reference'

const compound = (id: string): Compound => {
  const row = REFERENCE_COMPOUNDS.find((one) => one.id === id) as (typeof REFERENCE_COMPOUNDS)[number]
  return { ...row, molarMassGPerMol: structureOf(row.smiles).molarMassGPerMol, source: 'test' }
}
const solvent = (id: string) =>
  ({ ...REFERENCE_SOLVENTS.find((one) => one.id === id), source: 'test' }) as Solvent

describe('the reference values', () => {
  test('are all here, each id once', () => {
    expect([REFERENCE_COMPOUNDS.length, REFERENCE_SOLVENTS.length, REFERENCE_SOLUBILITIES.length]).toEqual([
      132, 20, 159,
    ])
    expect(new Set(REFERENCE_COMPOUNDS.map((row) => row.id)).size).toBe(132)
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

test('cautions and waste follow the solvent', () => {
  expect(cautionsFor(compound('benzil'), solvent('ethanol-95')).join(' ')).toContain(
    'hot plate in the hood, no flame',
  )
  expect(cautionsFor(compound('benzil'), solvent('water')).join(' ')).not.toContain('flame')
  expect(cautionsFor(compound('benzil'), solvent('dichloromethane')).join(' ')).toContain('Work in the hood')
  expect(disposalFor(solvent('dichloromethane'))[0]).toContain('halogenated organic waste')
  expect(disposalFor(solvent('ethanol-95'))[0]).toContain('halogen-free organic waste, never the sink')
  expect(hazardLine([])).toBe('No hazard data here; read the safety data sheet.')
})
