import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { act, cleanup, screen, within } from '@testing-library/react'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Keeping, Restored } from '@ivory-crystal/core/wire'
import { NOTEBOOK, openDemo, server, showAt, stream, useNotebook } from '../../testing/opened'

const { ThisNotebook } = await import('./ThisNotebook')

const OTHER = '0a5a1c7e-0000-4000-8000-0000000000dd' as NotebookId
const KEEPING: Keeping = {
  folder: '/somewhere/data',
  isElsewhere: false,
  journalBytes: 204_000,
  flushedAt: Date.UTC(2026, 10, 24, 13, 58),
  shelfBytes: 900,
  photographs: { count: 0, bytes: 0 },
  notebooks: [
    { id: NOTEBOOK, title: 'bench 7', seq: 284, hash: 'ab' },
    { id: OTHER, title: 'bench 8', seq: 16, hash: 'cd' },
  ],
}
const TOLD = { lines: 16, here: 0, fresh: 0, refused: 0, conflicts: 0, strikes: 0, authors: [], farDates: 0 }
const REPORT: Restored = {
  madeAt: Date.UTC(2026, 10, 20),
  isSameLedger: false,
  notebooks: [{ id: OTHER, title: 'bench 8', ...TOLD, here: 4, fresh: 12, strikes: 3, authors: ['bench 9'] }],
  photographs: { all: 2, fresh: 1 },
  shelf: { all: 5, fresh: 0 },
  remarks: ['2 sealed answers are left out: the instructor’s word opens them.'],
}

beforeEach(async () => {
  await openDemo()
  server.keeping.mockResolvedValue(KEEPING)
  act(() => stream.events?.connected(true))
})
afterEach(cleanup)
const show = () => showAt(ThisNotebook, `/n/${NOTEBOOK}/this-notebook`, '/n/:notebook/this-notebook')
const zip = () => new File(['PK'], 'backup.zip')

test('what is on the server is told, and its numbers are those of the server', async () => {
  show()
  const table = within(await screen.findByRole('table', { name: 'On the server' }))
  const cells = table.getAllByRole('row').map((row) => row.textContent)
  expect(cells).toEqual([
    'Data folder (sample data)/somewhere/data',
    'Entries of this notebook284',
    'Entries of all 2 notebooks300',
    'Journal204 kB',
    'Photographsnone',
    'Last flushed to the disktoday 13:58',
  ])
  const device = within(await screen.findByRole('table', { name: 'On this device' }))
  device.getByText('none: this browser stores nothing')
  device.getByText('nothing')
})

test('with the server gone its figures are said to come, and nothing that needs it can be pressed', async () => {
  server.keeping.mockRejectedValue(new Error('The server cannot be reached.'))
  show()
  await screen.findByText(/cannot be reached.*Its figures appear when it is back/)
  expect(screen.getByRole('button', { name: 'Save a backup' })).toHaveProperty('disabled', true)
  expect(screen.getByRole('button', { name: 'Restore from a backup' })).toHaveProperty('disabled', true)
})

test('a ledger in PostgreSQL is not backed up here', async () => {
  server.keeping.mockResolvedValue({ ...KEEPING, isElsewhere: true, flushedAt: null })
  show()
  await screen.findByText('in a PostgreSQL server')
  expect(screen.getByRole('button', { name: 'Save a backup' })).toHaveProperty('disabled', true)
})

test('a backup is looked at before it is brought back, and what came is counted', async () => {
  server.lookAtBackup.mockResolvedValue(REPORT)
  server.restore.mockResolvedValue(REPORT)
  const user = show()
  await screen.findByRole('button', { name: 'Save a backup' })
  await user.upload(screen.getByLabelText('Backup file'), zip())
  const look = within(await screen.findByRole('region', { name: 'What the backup holds' }))
  look.getByText(
    /Of 20 Nov 2026, of another data folder: “bench 8”: 12 of 16 entries new; 1 of 2 photographs new/,
  )
  look.getByText('3 entries of the new ones strike out other entries.')
  look.getByText('New here as writers: bench 9.')
  look.getByText(/2 sealed answers are left out/)
  expect(server.restore).not.toHaveBeenCalled()
  await user.click(look.getByRole('button', { name: 'Bring it back' }))
  await screen.findByText(/^Restored: “bench 8”/)
  screen.getByRole('button', { name: 'Open “bench 8”' })
})

test('one with nothing new cannot be brought back; a damaged one is told, and the page stands', async () => {
  server.lookAtBackup.mockResolvedValue({
    ...REPORT,
    notebooks: [{ id: OTHER, title: 'bench 8', ...TOLD, here: 16 }],
    photographs: { all: 2, fresh: 0 },
  })
  const user = show()
  await screen.findByRole('button', { name: 'Save a backup' })
  await user.upload(screen.getByLabelText('Backup file'), zip())
  expect(await screen.findByRole('button', { name: 'Nothing in it is new' })).toHaveProperty('disabled', true)
  await user.click(screen.getByRole('button', { name: 'Leave it' }))
  server.lookAtBackup.mockRejectedValue(new Error('“journal.jsonl” is not as it was: its sum differs.'))
  await user.upload(screen.getByLabelText('Backup file'), zip())
  await screen.findByText(/its sum differs/)
})

test('lines of another ledger that wait here are told, and can be saved', async () => {
  const line = useNotebook.getState().view.subjects.values().next().value?.lines[0]
  if (!line) throw new Error('The demo holds no line.')
  useNotebook.setState({ waitingElsewhere: [line] })
  show()
  await screen.findByText(/1 entry of another ledger is not yet sent on this device/)
  screen.getByRole('button', { name: 'Save a copy' })
})
