import { beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { Compound } from '@ivory-crystal/core/substances'
import type { Shelf, ShelfReport } from '@ivory-crystal/core/wire'
import { cellsOf, COLUMNS, rowOf } from './columns'
import { shortNameOf } from '../../parts/shortName'
import { csvOf } from '../../format/csv'
import { matches, readSearch } from './search'

const putOnShelf =
  jest.fn<(sort: string, rows: readonly unknown[], dryRun: boolean) => Promise<ShelfReport>>()
jest.unstable_mockModule('../../ledger/api', () => ({ api: { putOnShelf } }))
const { fileOf, readFile, sendRows } = await import('./exchange')

const benzil: Compound = {
  id: 'benzil',
  name: 'benzil',
  smiles: 'O=C(C(=O)c1ccccc1)c1ccccc1',
  formula: 'C14H10O2',
  molarMassGPerMol: 210.23,
  cas: '134-81-6',
  meltLowC: 94,
  meltHighC: 96,
  meltConfidence: 'high',
  behaviour: 'melts',
  fusionEnthalpyKJPerMol: 23.5,
  fusionConfidence: 'high',
  colour: 'yellow',
  hazards: ['H315', 'H319'],
  synonyms: ['dibenzoyl', 'diphenyl-ethane-1,2-dione'],
  source: 'general reference value',
}
const water = {
  id: 'water',
  name: 'water',
  boilingPointC: 100,
  freezingPointC: 0,
  densityGPerML20: 0.998,
  flashPointC: null,
  group: 'water',
  waterMiscible: 'full' as const,
  hazards: [],
  source: 'test',
}
const shelf = {
  compounds: [benzil, { ...benzil, id: 'other', name: 'other, with a comma', cas: null, hazards: [] }],
  solvents: [water],
  solubilities: [
    {
      compound: 'benzil',
      solvent: 'water',
      temperatureC: 20,
      gPer100ML: 0.002,
      confidence: null,
      source: 'own',
    },
  ],
} as unknown as Shelf

describe('a row of CSV', () => {
  test('goes out and comes back the same', () => {
    expect(rowOf('compound', cellsOf('compound', benzil))).toEqual(benzil)
    const whole: Compound = {
      ...benzil,
      hazardsToCheck: ['H412'],
      signalWord: 'Warning',
      vapour1mmHgC: 128.4,
      sublimes: 'no',
      meltsUnderWaterC: 93.5,
    }
    expect(rowOf('compound', cellsOf('compound', whole))).toEqual(whole)
    expect(rowOf('solvent', cellsOf('solvent', water))).toEqual(water)
  })
  test('without values of its own is given only what is no constant', () => {
    const row = rowOf('compound', { name: 'Bench Solid (1)', meltLowC: '90', meltHighC: '92' })
    expect(row).toMatchObject({
      id: 'bench-solid-1',
      fusionEnthalpyKJPerMol: null,
      meltConfidence: 'low',
      hazards: [],
      source: 'imported by this lab',
    })
    expect('molarMassGPerMol' in row).toBe(false)
    expect(
      rowOf('solubility', { compound: 'benzil', solvent: 'water', temperatureC: '20' }),
    ).not.toHaveProperty('gPer100ML')
  })
  test('keeps what is no number as it was typed, so that the refusal can name it', () => {
    expect(rowOf('compound', { name: 'x', meltLowC: 'about 90', meltHighC: '9,2' })).toMatchObject({
      meltLowC: 'about 90',
      meltHighC: '9,2',
    })
  })
  test.each([
    ['1,2-Diphenyl ethane–dione', '1-2-diphenyl-ethane-dione'],
    ['Süßstoff', 'su-stoff'],
    ['---', 'unnamed'],
    ['結晶', 'u-or4-k8m'],
  ])('%s is filed under %s', (name, id) => {
    expect(shortNameOf(name)).toBe(id)
  })
})

describe('a cell that a spreadsheet would run', () => {
  const odd = {
    ...water,
    id: 'odd',
    name: '=cmd()',
    freezingPointC: -114.1,
    boilingPointC: 78,
    source: '@lab, +measured',
  }
  test('a number with an exponent stays a number', () => {
    expect(csvOf([['-1e5', '-1.5E-3', '=1e5', '-1e5x']])).toContain('-1e5,-1.5E-3,"\'=1e5","\'-1e5x"')
  })
  test('goes out harmless, numbers with a sign as they are, and comes back as it was', async () => {
    const out = await fileOf({ ...shelf, solvents: [odd] }, 'solvent', 'csv').text()
    expect(out).toContain("'=cmd()")
    expect(out).toContain('-114.1')
    expect(out).not.toContain("'-114.1")
    expect(readFile('solvent', 'x.csv', out).rows).toEqual([odd])
  })
})

describe('a file', () => {
  const text = async (blob: Blob) => blob.text()
  test.each(['csv', 'json'] as const)('of %s comes back as the rows it was made of', async (format) => {
    const out = await text(fileOf(shelf, 'compound', format))
    const { rows, remarks } = readFile('compound', `shelf.${format}`, out)
    expect(rows).toEqual(shelf.compounds)
    expect(remarks).toEqual([])
  })
  test('of points and of solvents too', async () => {
    for (const sort of ['solubility', 'solvent'] as const) {
      const { rows } = readFile(sort, 'x.csv', await text(fileOf(shelf, sort, 'csv')))
      expect(rows).toEqual(sort === 'solvent' ? shelf.solvents : shelf.solubilities)
    }
  })
  test('with columns nobody knows says which were passed over', () => {
    const { rows, remarks } = readFile('compound', 'x.csv', 'name,mood,meltLowC\nbenzil,calm,94\n\n')
    expect(rows).toHaveLength(1)
    expect(remarks).toEqual(['Ignored the columns mood: the shelf has no such columns.'])
  })
  test('with a line too long names it', () => {
    const { remarks } = readFile('compound', 'x.csv', 'name,meltLowC\nbenzil,94,extra\n')
    expect(remarks.join(' ')).toContain('Line 2')
  })
  test.each([
    ['x.csv', 'colour of the sky,weight\nblue,3', 'names no column of the shelf'],
    ['x.json', '[{"name":', 'not complete JSON'],
    ['x.json', '{"name":"benzil"}', 'holds no rows'],
    ['x.json', 'null', 'holds no rows'],
    ['x.json', '{"sort":"solvent","rows":[]}', 'holds solvent rows, and compound rows were asked for'],
  ])('%s holding %s is answered', (name, content, message) => {
    expect(() => readFile('compound', name, content)).toThrow(message)
  })
  test('of JSON is known without its ending', () => {
    expect(readFile('compound', 'shelf', '[{"id":"a"}]').rows).toEqual([{ id: 'a' }])
  })
  test('classes of solubility go out and come back as they were', () => {
    const solubilityClasses = { water: 'i', ethanol: 'sl to s', ethanolHot: 'vs' } as const
    const cells = cellsOf('compound', { ...benzil, solubilityClasses })
    expect(cells['solubilityClasses']).toBe('water: i; ethanol: sl to s; ethanolHot: vs')
    expect(rowOf('compound', cells)['solubilityClasses']).toEqual(solubilityClasses)
  })
  test('names every column of a row in its first line', async () => {
    const [head] = (await text(fileOf(shelf, 'compound', 'csv'))).split(/\r?\n/)
    expect(head?.split(',')).toEqual(Object.keys(COLUMNS.compound))
    // A spread stands only where sources differ; benzil has none.
    expect(
      [
        ...Object.keys(benzil),
        'meltSpreadC',
        'hazardsToCheck',
        'signalWord',
        'vapour1mmHgC',
        'sublimes',
        'meltsUnderWaterC',
        'hydrateWaters',
        'anhydrousAtC',
        'solubilityClasses',
      ].sort(),
    ).toEqual(Object.keys(COLUMNS.compound).sort())
  })
})

describe('sending rows', () => {
  beforeEach(() => {
    putOnShelf.mockReset()
  })
  test('goes in parts, adds the reports up, and counts rows through', async () => {
    putOnShelf.mockImplementation((_, rows) =>
      Promise.resolve({ added: rows.length - 1, changed: 0, same: 0, refused: [{ row: 2, sentence: 'no' }] }),
    )
    const shares: number[] = []
    const rows = Array.from({ length: 620 }, (_, i) => ({ id: `${i}` }))
    const report = await sendRows('compound', rows, true, (share) => shares.push(share))
    expect(putOnShelf.mock.calls.map(([, part]) => part.length)).toEqual([250, 250, 120])
    expect(report).toMatchObject({ added: 617, refused: [{ row: 2 }, { row: 252 }, { row: 502 }] })
    expect(shares).toEqual([expect.closeTo(0.403, 3), expect.closeTo(0.806, 3), 1])
  })
  test('stops where the server cannot be reached', async () => {
    putOnShelf.mockResolvedValueOnce({ added: 250, changed: 0, same: 0, refused: [] })
    putOnShelf.mockRejectedValueOnce(new Error('gone'))
    const rows = Array.from({ length: 600 }, (_, i) => ({ id: `${i}` }))
    await expect(sendRows('compound', rows, false, () => undefined)).rejects.toThrow('gone')
    expect(putOnShelf).toHaveBeenCalledTimes(2)
  })
})

describe('a search of the shelf', () => {
  test.each([
    ['95', { fromC: 92, toC: 98 }],
    ['90-100', { fromC: 90, toC: 100 }],
    ['100 to 90 °C', { fromC: 90, toC: 100 }],
    ['90–100', { fromC: 90, toC: 100 }],
    ['-20 to −10', { fromC: -20, toC: -10 }],
    ['1-naphthol', { words: '1-naphthol' }],
    ['  Benzil ', { words: 'benzil' }],
    ['', { words: '' }],
  ])('%j asks for %j', (typed, wanted) => {
    expect(readSearch(typed)).toEqual(wanted)
  })
  test.each([
    ['benz', true],
    ['DIBENZOYL', true],
    ['c14h10', true],
    ['naphthol', false],
    ['', true],
    ['95 to 120', true],
    ['60 to 90', false],
    ['97', true],
    ['102', false],
  ])('%j finds benzil: %j', (typed, found) => {
    expect(matches(benzil, readSearch(typed))).toBe(found)
  })
})
