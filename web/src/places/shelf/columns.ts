import { shortNameOf } from '../../parts/shortName'
import type { Compound, SolubilityRow, Solvent } from '@ivory-crystal/core/substances'
import type { ShelfSort } from '../../ledger/api'

/** How a value of a shelf row stands in a CSV cell. */
type Cell = 'text' | 'number' | 'number or nothing' | 'text or nothing' | 'list' | 'classes'

/** The columns of each sort, in the order they are written; the names are the JSON's own. */
export const COLUMNS: Readonly<
  Record<Extract<ShelfSort, 'compound' | 'solvent' | 'solubility'>, Readonly<Record<string, Cell>>>
> = {
  compound: {
    id: 'text',
    name: 'text',
    smiles: 'text',
    formula: 'text',
    molarMassGPerMol: 'number',
    cas: 'text or nothing',
    meltLowC: 'number',
    meltHighC: 'number',
    meltSpreadC: 'number',
    meltConfidence: 'text',
    behaviour: 'text',
    fusionEnthalpyKJPerMol: 'number or nothing',
    fusionConfidence: 'text or nothing',
    colour: 'text',
    hazards: 'list',
    hazardsToCheck: 'list',
    signalWord: 'text',
    vapour1mmHgC: 'number',
    sublimes: 'text',
    meltsUnderWaterC: 'number',
    hydrateWaters: 'number',
    anhydrousAtC: 'number',
    solubilityClasses: 'classes',
    synonyms: 'list',
    source: 'text',
  },
  solvent: {
    id: 'text',
    name: 'text',
    boilingPointC: 'number or nothing',
    boilingFromC: 'number',
    boilingToC: 'number',
    freezingPointC: 'number or nothing',
    densityGPerML20: 'number',
    flashPointC: 'number or nothing',
    autoignitionC: 'number',
    group: 'text',
    waterMiscible: 'text',
    hazards: 'list',
    source: 'text',
  },
  solubility: {
    compound: 'text',
    solvent: 'text',
    temperatureC: 'number',
    gPer100ML: 'number',
    confidence: 'text or nothing',
    source: 'text',
  },
}

/** What a row without a value of its own is given; nothing here is a physical constant. */
const GIVEN: Readonly<Record<string, unknown>> = {
  smiles: '',
  formula: '',
  cas: null,
  meltConfidence: 'low',
  behaviour: 'melts',
  fusionEnthalpyKJPerMol: null,
  fusionConfidence: null,
  colour: '',
  hazards: [],
  synonyms: [],
  boilingPointC: null,
  freezingPointC: null,
  flashPointC: null,
  confidence: null,
  source: 'imported by this lab',
}

/** One CSV record as a shelf row; a cell that is no number stays text, so that the refusal can name it. */
export function rowOf(
  sort: keyof typeof COLUMNS,
  record: Readonly<Record<string, string>>,
): Record<string, unknown> {
  const row: Record<string, unknown> = {}
  for (const [name, cell] of Object.entries(COLUMNS[sort])) {
    const text = (record[name] ?? '').trim()
    if (text === '') {
      if (name in GIVEN) row[name] = GIVEN[name]
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
          const [column = '', told = ''] = part.split(':')
          return [column.trim(), told.trim()]
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
export function cellsOf(
  sort: keyof typeof COLUMNS,
  row: Compound | Solvent | SolubilityRow,
): Record<string, string> {
  const values = row as unknown as Readonly<Record<string, unknown>>
  return Object.fromEntries(
    Object.keys(COLUMNS[sort]).map((name) => {
      const value = values[name]
      if (value === null || value === undefined) return [name, '']
      if (typeof value === 'object' && !Array.isArray(value))
        return [
          name,
          Object.entries(value)
            .map(([column, told]) => `${column}: ${String(told)}`)
            .join('; '),
        ]
      return [name, Array.isArray(value) ? value.join('; ') : `${value as string | number}`]
    }),
  )
}
