import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, waitFor, within } from '@testing-library/react'
import type { Procedure } from '@ivory-crystal/core/procedures'
import type { Compound } from '@ivory-crystal/core/substances'
import type { ShelfReport } from '@ivory-crystal/core/wire'
import { NOTEBOOK, openDemo, PROCEDURES, server, SHELF, showAt } from '../../testing/opened'

const { Shelf } = await import('./Shelf')
const { CompoundForm } = await import('./CompoundForm')
const { ProcedureForm } = await import('./ProcedureForm')

beforeEach(() => openDemo())
afterEach(cleanup)
const at = (search = '') => showAt(Shelf, `/n/${NOTEBOOK}/shelf${search}`)
const report = (change: Partial<ShelfReport> = {}): ShelfReport => ({
  added: 0,
  changed: 0,
  same: 0,
  refused: [],
  ...change,
})
const benzil = SHELF.compounds.find(({ id }) => id === 'benzil') as Compound
const box = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name })

describe('a compound', () => {
  test('opens with its structure, values, confidence and source', async () => {
    at('?id=benzil')
    // The drawing package is a megabyte to load the first time.
    await screen.findByRole('img', { name: 'Structure of benzil' })
    screen.getByText(/94\.0 to 96\.0 °C/)
    screen.getByText(/23\.5 kJ\/mol/)
    screen.getByText('general reference value')
  })
  test('without an enthalpy of fusion says that it is estimated', () => {
    at('?id=benzoin')
    screen.getByText(/estimated by Walden’s rule where it is needed/)
  })
  test('shows its versions on asking, or why not', async () => {
    server.shelfVersions.mockResolvedValueOnce({
      versions: [
        { version: 1, origin: 'reference', author: null, createdAt: 0, body: { source: 'handbook' } },
        { version: 2, origin: 'own', author: 'bench 3', createdAt: 0, body: { source: 'our standard' } },
      ],
    })
    const user = at('?id=benzil')
    await user.click(screen.getByRole('button', { name: 'Earlier versions' }))
    await screen.findByText(/version 1, reference, 1 Jan 1970: handbook/)
    screen.getByText(/version 2, bench 3, 1 Jan 1970: our standard/)
    cleanup()
    server.shelfVersions.mockRejectedValueOnce(new Error('The server cannot be reached.'))
    const again = at('?id=benzil')
    await again.click(screen.getByRole('button', { name: 'Earlier versions' }))
    await screen.findByText('The server cannot be reached.')
  })
  test('is changed as a new version; what is typed outlives a server that is away', async () => {
    const user = at('?id=benzil')
    await user.click(screen.getByRole('button', { name: 'Change these values' }))
    await user.clear(box('melts from, °C'))
    await user.type(box('melts from, °C'), '94.8')
    server.putOnShelf.mockRejectedValueOnce(new Error('The server cannot be reached.'))
    await user.click(screen.getByRole('button', { name: 'Save as a new version' }))
    await waitFor(() => {
      expect(screen.getByRole('alert').textContent).toContain('Nothing you typed is lost')
    })
    expect(box('melts from, °C').value).toBe('94.8')
    server.putOnShelf.mockResolvedValueOnce(report({ changed: 1 }))
    await user.click(screen.getByRole('button', { name: 'Save as a new version' }))
    await waitFor(() => {
      expect(screen.queryByRole('form')).toBeNull()
    })
    expect(server.putOnShelf).toHaveBeenLastCalledWith('compound', [{ ...benzil, meltLowC: 94.8 }], false)
  })
  test('that the server refuses keeps the form open with the reason', async () => {
    const user = at('?id=benzil')
    await user.click(screen.getByRole('button', { name: 'Change these values' }))
    server.putOnShelf.mockResolvedValueOnce(report({ refused: [{ row: 1, sentence: 'It runs backwards.' }] }))
    await user.click(screen.getByRole('button', { name: 'Save as a new version' }))
    await waitFor(() => {
      expect(screen.getByRole('alert').textContent).toBe('It runs backwards.')
    })
  })
  test('another structure forgets the old formula and mass, and no enthalpy is no confidence', async () => {
    let saved: string | null = null
    const user = showAt(
      () => (
        <CompoundForm
          before={benzil}
          onDone={(id) => {
            saved = id
          }}
        />
      ),
      `/n/${NOTEBOOK}/x`,
    )
    server.putOnShelf.mockResolvedValueOnce(report({ changed: 1 }))
    await user.clear(box('structure (SMILES)'))
    await user.type(box('structure (SMILES)'), 'CCO')
    await user.clear(box('enthalpy of fusion, kJ/mol'))
    await user.click(screen.getByRole('button', { name: 'Save as a new version' }))
    await waitFor(() => {
      expect(saved).toBe('benzil')
    })
    const [row] = server.putOnShelf.mock.calls[0]?.[1] as [Record<string, unknown>]
    expect(row).toMatchObject({
      smiles: 'CCO',
      formula: '',
      fusionEnthalpyKJPerMol: null,
      fusionConfidence: null,
    })
    expect(row).not.toHaveProperty('molarMassGPerMol')
  })
  test('needs a name and a source', async () => {
    const user = at()
    await user.click(screen.getByRole('button', { name: 'Add a compound' }))
    await user.click(screen.getByRole('button', { name: 'Add to the shelf' }))
    expect(screen.getByRole('alert').textContent).toBe('Enter its name.')
    await user.type(box('name'), 'bench solid')
    await user.click(screen.getByRole('button', { name: 'Add to the shelf' }))
    expect(screen.getByRole('alert').textContent).toContain('Enter the source of the values')
    expect(server.putOnShelf).not.toHaveBeenCalled()
  })
})

describe('a search', () => {
  test('that finds nothing says so', async () => {
    const user = at()
    await user.type(screen.getByRole('searchbox'), 'unobtainium')
    await screen.findByText('Nothing on the shelf matches “unobtainium”.')
    await user.clear(screen.getByRole('searchbox'))
    await user.type(screen.getByRole('searchbox'), '100 to 152')
    // Benzoin from 134 and adipic acid from 151 °C.
    await screen.findByText(/2 of 7 melting between 100 and 152 °C/)
  })
})

describe('solvents and points', () => {
  test('points are saved by pair, those taken out are taken off', async () => {
    const user = at('?show=solubilities')
    await user.click(screen.getByRole('button', { name: 'Add points' }))
    const form = screen.getByRole('form', { name: 'Solubility points' })
    await user.type(within(form).getByRole('combobox', { name: 'compound' }), 'benzil')
    await user.selectOptions(within(form).getByRole('combobox', { name: 'solvent' }), 'ethanol-95')
    await user.type(within(form).getByRole('textbox', { name: /point 1: temperature/ }), '20')
    await user.type(within(form).getByRole('textbox', { name: /point 1: g per 100 mL/ }), '0')
    await user.type(within(form).getByRole('textbox', { name: /source of these points/ }), 'bench 7')
    await user.click(within(form).getByRole('button', { name: 'Save these points' }))
    expect(within(form).getByRole('alert').textContent).toContain('Leave a point out instead of typing 0')
    await user.type(within(form).getByRole('textbox', { name: /point 1: g per 100 mL/ }), '.9')
    server.putOnShelf.mockResolvedValueOnce(report({ changed: 1 }))
    server.takeOffShelf.mockResolvedValue({})
    await user.click(within(form).getByRole('button', { name: 'Save these points' }))
    await waitFor(() => {
      expect(server.takeOffShelf.mock.calls.map(([, id]) => id)).toEqual([
        'benzil/ethanol-95/50',
        'benzil/ethanol-95/78',
      ])
    })
    expect(server.putOnShelf.mock.calls[0]?.[1]).toEqual([
      {
        compound: 'benzil',
        solvent: 'ethanol-95',
        temperatureC: 20,
        gPer100ML: 0.9,
        confidence: null,
        source: 'bench 7',
      },
    ])
  })
  test('a new solvent is filed under its name', async () => {
    const user = at('?show=solvents')
    screen.getByText(/Choose a solvent/)
    await user.click(screen.getByRole('button', { name: 'Add a solvent' }))
    await user.type(box('name'), 'Bench spirit 40 %')
    await user.type(box('density at 20 °C, g/mL'), '0.94')
    await user.type(box('source of these values'), 'label')
    server.putOnShelf.mockResolvedValueOnce(report({ added: 1 }))
    await user.click(screen.getByRole('button', { name: 'Add to the shelf' }))
    await waitFor(() => {
      expect(server.putOnShelf).toHaveBeenCalled()
    })
    expect(server.putOnShelf.mock.calls[0]?.[1]).toMatchObject([
      { id: 'bench-spirit-40', densityGPerML20: 0.94, boilingPointC: null, hazards: [], group: 'other' },
    ])
  })
})

describe('files', () => {
  const csv = (name: string, text: string) => new File([text], name, { type: 'text/csv' })
  test('are looked through before anything is put on the shelf', async () => {
    server.putOnShelf.mockImplementation((_, rows, dryRun) =>
      Promise.resolve(
        report({
          added: rows.length - 1,
          refused: [{ row: 2, sentence: dryRun ? 'It runs backwards.' : 'Still backwards.' }],
        }),
      ),
    )
    const user = at()
    await user.upload(
      screen.getByLabelText('File of compound rows'),
      csv('ours.csv', 'name,meltLowC\na,1\nb,2\nc,3'),
    )
    const dialog = await screen.findByRole('dialog')
    await within(dialog).findByText(/2 new, 0 would change/)
    within(dialog).getByText('It runs backwards.')
    expect(server.putOnShelf.mock.calls.every(([, , dryRun]) => dryRun)).toBe(true)
    await user.click(within(dialog).getByRole('button', { name: 'Put 2 on the shelf' }))
    await within(dialog).findByRole('heading', { name: 'On the shelf' })
    expect(server.putOnShelf.mock.calls.at(-1)?.[2]).toBe(false)
  })
  test('that are none, or empty, are answered', async () => {
    const user = at()
    await user.upload(screen.getByLabelText('File of compound rows'), csv('odd.csv', 'weather\nfine'))
    expect((await screen.findByRole('alert')).textContent).toContain('names no column of the shelf')
    await user.click(screen.getByRole('button', { name: 'Leave it' }))
    await user.upload(screen.getByLabelText('File of compound rows'), csv('empty.csv', 'name,meltLowC\n'))
    expect((await screen.findByRole('alert')).textContent).toContain('no rows in this file')
  })
  test('cut off half way say that what went in stands', async () => {
    server.putOnShelf.mockRejectedValueOnce(new Error('The server cannot be reached.'))
    const user = at()
    await user.upload(screen.getByLabelText('File of compound rows'), csv('ours.csv', 'name,meltLowC\na,1'))
    expect((await screen.findByRole('alert')).textContent).toContain('nothing is added twice')
  })
})

describe('procedures', () => {
  test('of the house are taken off after asking', async () => {
    const house = { ...PROCEDURES[0], id: 'ours', name: 'Ours', copiedFrom: 'large-funnel' } as Procedure
    await openDemo({ ...SHELF, procedures: [house] })
    const user = at('?show=procedures')
    screen.getByRole('heading', { name: 'Ours' })
    await user.click(screen.getByRole('button', { name: 'Take it off the shelf' }))
    await user.click(screen.getByRole('button', { name: 'No' }))
    expect(server.takeOffShelf).not.toHaveBeenCalled()
    await user.click(screen.getByRole('button', { name: 'Take it off the shelf' }))
    server.takeOffShelf.mockResolvedValueOnce({})
    await user.click(screen.getByRole('button', { name: 'Yes' }))
    await waitFor(() => {
      expect(server.takeOffShelf).toHaveBeenCalledWith('procedure', 'ours')
    })
  })
  test('are edited step by step: moved, added, taken out, cautions by line', async () => {
    const short = {
      ...(PROCEDURES[0] as Procedure),
      id: 'ours',
      steps: (PROCEDURES[0] as Procedure).steps.slice(0, 3),
    }
    const user = showAt(
      () => <ProcedureForm procedure={short} onDone={() => undefined} />,
      `/n/${NOTEBOOK}/x`,
    )
    const words = () =>
      screen
        .getAllByRole<HTMLTextAreaElement>('textbox', { name: /^what is done/ })
        .map(({ value }) => value.slice(0, 12))
    const before = words()
    await user.click(screen.getAllByRole('button', { name: 'down' })[0] as HTMLElement)
    expect(words()).toEqual([before[1], before[0], before[2]])
    await user.click(screen.getAllByRole('button', { name: 'up' })[1] as HTMLElement)
    expect(words()).toEqual(before)
    await user.click(screen.getAllByRole('button', { name: 'take out' })[1] as HTMLElement)
    await user.click(screen.getAllByRole('button', { name: 'add a step below' })[0] as HTMLElement)
    expect(words()).toEqual([before[0], '', before[2]])
    await user.click(screen.getByRole('button', { name: 'Save this house procedure' }))
    expect(screen.getByRole('alert').textContent).toContain('Step 2 is still empty')
    await user.type(box('what is done in step 2'), 'Open the sash to the mark.')
    await user.type(box('cautions of step 2, one per line'), 'Not higher.{enter}Gloves.')
    await user.clear(box('to, g'))
    await user.type(box('to, g'), '1')
    await user.click(screen.getByRole('button', { name: 'Save this house procedure' }))
    expect(screen.getByRole('alert').textContent).toContain('from the smaller mass to the larger')
    await user.clear(box('to, g'))
    await user.type(box('to, g'), '50')
    server.putOnShelf.mockResolvedValueOnce(report({ added: 1 }))
    await user.click(screen.getByRole('button', { name: 'Save this house procedure' }))
    await waitFor(() => {
      expect(server.putOnShelf).toHaveBeenCalled()
    })
    const [saved] = server.putOnShelf.mock.calls[0]?.[1] as [Procedure]
    expect(saved.scaleG).toEqual([2, 50])
    expect(saved.steps[1]).toEqual({
      id: 'our-step-1',
      station: 'dissolve',
      text: 'Open the sash to the mark.',
      cautions: [{ text: 'Not higher.' }, { text: 'Gloves.' }],
    })
    expect(saved.steps[0]?.cautions?.[0]).toEqual(short.steps[0]?.cautions?.[0])
  })
})
