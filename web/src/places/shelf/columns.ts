import { shortNameOf } from '../../parts/shortName'
import type { Compound, SolubilityRow, Solvent } from '@ivory-crystal/core/substances'
import type { ShelfSort } from '../../ledger/api'

/** How a value of a shelf row stands in a CSV cell. */
type Cell = 'text' | 'number' | 'number or nothing' | 'text or nothing' | 'list' | 'classes'

/** One value of a row: how a file holds it, what a new row has, and how form and table show it. */
export interface Column {
  readonly cell: Cell
  /** What a row without a value of its own has; nothing here is a physical constant. */
  readonly given?: unknown
  readonly label?: string
  readonly help?: string
  readonly options?: readonly string[]
  /** Decimals in the table. */
  readonly digits?: number
}
export type ExchangeSort = Extract<ShelfSort, 'compound' | 'solvent' | 'solubility'>

const CONFIDENCES = ['high', 'medium', 'low']
const SOURCE: Column = {
  cell: 'text',
  given: 'imported by this lab',
  label: 'source of these values',
  help: 'handbook and edition, or who measured it',
}
const HAZARDS: Column = { cell: 'list', given: [], label: 'hazard codes', help: 'H225; H319' }

/** The columns of each sort, in the order they are written; the names are the JSON's own. */
export const COLUMNS: Readonly<Record<ExchangeSort, Readonly<Record<string, Column>>>> = {
  compound: {
    id: { cell: 'text' },
    name: { cell: 'text', label: 'name' },
    smiles: {
      cell: 'text',
      given: '',
      label: 'structure (SMILES)',
      help: 'gives formula and molar mass; without one, type the formula',
    },
    formula: { cell: 'text', given: '', label: 'formula' },
    molarMassGPerMol: { cell: 'number', label: 'molar mass, g/mol', digits: 2 },
    cas: { cell: 'text or nothing', given: null },
    meltLowC: { cell: 'number', label: 'melts from, °C' },
    meltHighC: { cell: 'number', label: 'to, °C' },
    meltSpreadC: { cell: 'number', label: 'sources apart by, °C' },
    meltConfidence: { cell: 'text', given: 'low', label: 'confidence', options: CONFIDENCES },
    behaviour: {
      cell: 'text',
      given: 'melts',
      label: 'behaviour',
      options: ['melts', 'decomposes', 'sublimes', 'hydrate', 'other forms'],
    },
    fusionEnthalpyKJPerMol: {
      cell: 'number or nothing',
      given: null,
      label: 'enthalpy of fusion, kJ/mol',
      help: 'empty if not known',
    },
    fusionConfidence: { cell: 'text or nothing', given: null },
    colour: { cell: 'text', given: '', label: 'looks' },
    hazards: { ...HAZARDS, help: 'H315; H319' },
    hazardsToCheck: { cell: 'list' },
    signalWord: { cell: 'text' },
    vapour1mmHgC: {
      cell: 'number',
      label: '1 mmHg of vapour at, °C',
      help: 'limits the temperature of the oven; empty if not known',
    },
    sublimes: { cell: 'text' },
    meltsUnderWaterC: {
      cell: 'number',
      label: 'melts under hot water at, °C',
      help: 'empty if not known',
    },
    hydrateWaters: { cell: 'number' },
    anhydrousAtC: { cell: 'number' },
    solubilityClasses: { cell: 'classes' },
    synonyms: { cell: 'list', given: [], label: 'other names', help: 'one; another' },
    source: SOURCE,
  },
  solvent: {
    id: { cell: 'text' },
    name: { cell: 'text', label: 'name' },
    boilingPointC: { cell: 'number or nothing', given: null, label: 'boils, °C' },
    boilingFromC: { cell: 'number', label: 'or boils from, °C' },
    boilingToC: { cell: 'number', label: 'to, °C' },
    freezingPointC: { cell: 'number or nothing', given: null, label: 'freezes, °C', digits: 1 },
    densityGPerML20: { cell: 'number', label: 'density at 20 °C, g/mL', digits: 3 },
    flashPointC: { cell: 'number or nothing', given: null, label: 'flash point, °C', digits: 1 },
    autoignitionC: { cell: 'number', label: 'autoignition temperature, °C' },
    group: {
      cell: 'text',
      label: 'group, for waste',
      options: [
        ...['water', 'alcohol', 'ketone', 'ester', 'ether', 'chlorinated'],
        ...['aromatic', 'alkane', 'nitrile', 'acid', 'other'],
      ],
    },
    waterMiscible: { cell: 'text', label: 'mixes with water', options: ['full', 'partial', 'no'] },
    hazards: HAZARDS,
    source: SOURCE,
  },
  solubility: {
    compound: { cell: 'text' },
    solvent: { cell: 'text' },
    temperatureC: { cell: 'number' },
    gPer100ML: { cell: 'number' },
    confidence: { cell: 'text or nothing', given: null },
    source: SOURCE,
  },
}

/** One CSV record as a shelf row; a cell that is no number stays text, so that the refusal can name it. */
export function rowOf(sort: ExchangeSort, record: Readonly<Record<string, string>>): Record<string, unknown> {
  const row: Record<string, unknown> = {}
  for (const [name, { cell, given }] of Object.entries(COLUMNS[sort])) {
    const text = (record[name] ?? '').trim()
    if (text === '') {
      if (given !== undefined) row[name] = given
      continue
    }
    row[name] = valueOf(text, cell)
  }
  if (sort !== 'solubility' && row['id'] === undefined && typeof row['name'] === 'string')
    row['id'] = shortNameOf(row['name'])
  return row
}

function valueOf(text: string, cell: Cell): unknown {
  switch (cell) {
    case 'list':
      return text
        .split(';')
        .map((part) => part.trim())
        .filter((part) => part !== '')
    case 'classes':
      return Object.fromEntries(
        text.split(';').map((part) => {
          const [column = '', valueText = ''] = part.split(':')
          return [column.trim(), valueText.trim()]
        }),
      )
    case 'number':
    case 'number or nothing': {
      const value = Number(text)
      return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(text) ? value : text
    }
    default:
      return text
  }
}

/** A shelf row as CSV cells. */
export function cellsOf(sort: ExchangeSort, row: Compound | Solvent | SolubilityRow): Record<string, string> {
  const values = row as unknown as Readonly<Record<string, unknown>>
  return Object.fromEntries(
    Object.keys(COLUMNS[sort]).map((name) => {
      const value = values[name]
      if (value === null || value === undefined) return [name, '']
      if (typeof value === 'object' && !Array.isArray(value))
        return [
          name,
          Object.entries(value)
            .map(([column, part]) => `${column}: ${String(part)}`)
            .join('; '),
        ]
      return [name, Array.isArray(value) ? value.join('; ') : `${value as string | number}`]
    }),
  )
}
