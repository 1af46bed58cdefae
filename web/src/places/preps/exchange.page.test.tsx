import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { cleanup, screen, waitFor, within } from '@testing-library/react'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { golden } from '../../../../core/golden/contract'
import { NOTEBOOK, openDemo, server, showAt } from '../../testing/opened'

const saved: { name: string; content: BlobPart }[] = []
jest.unstable_mockModule('../../device/download', () => ({
  download: (name: string, content: BlobPart) => void saved.push({ name, content }),
}))
const { Exchange } = await import('./Exchange')
await import('./packNotebook')
await import('./readNotebookFile')

const TITLE = 'Saltmarsh teaching laboratory, bench 7'
const EXPORT = JSON.stringify({
  format: 'ivory-crystal notebook',
  version: 1,
  coreVersion: '1',
  exportedAt: golden.nowMs,
  notebook: { id: NOTEBOOK, title: TITLE },
  entries: golden.entries,
})
const LOOK = {
  notebook: { id: NOTEBOOK, title: TITLE, createdAt: 0 },
  isHere: true,
  lines: 283,
  here: 280,
  fresh: 2,
  refused: 1,
  conflicts: 1,
  strikes: 2,
  authors: ['bench 9'],
  farDates: 1,
  report: [{ line: 7, sentence: 'A line of this kind needs a text.' }],
}

beforeEach(async () => {
  localStorage.clear()
  saved.length = 0
  await openDemo()
  server.exported.mockResolvedValue(EXPORT)
  server.lookAtNotebook.mockResolvedValue(LOOK)
})
afterEach(cleanup)
const at = () => showAt(Exchange, `/n/${NOTEBOOK}/preps`, '/n/:notebook/preps')
const file = () => screen.getByLabelText('Notebook file')

test('out as a zip and in again: what it holds is shown before anything of it is taken', async () => {
  const user = at()
  await user.click(screen.getByRole('checkbox', { name: 'include pages as PDF' }))
  await user.click(screen.getByRole('button', { name: 'Export as a zip' }))
  await screen.findByText(/^Packed: \d+ kB are among your downloads/)
  const [zip] = saved
  expect(zip?.name).toBe('bench-7.zip')
  const bytes = new Uint8Array(await (zip?.content as Blob).arrayBuffer())
  expect(Object.keys(unzipSync(bytes))).toContain('weighings.csv')
  await user.upload(file(), new File([bytes], 'bench-7.zip'))
  const look = within(await screen.findByRole('region', { name: 'What the file holds' }))
  expect(server.lookAtNotebook.mock.calls[0]?.[0]).toEqual(JSON.parse(EXPORT))
  look.getByText(/283 entries, of which 280 are here already, 2 are new and 1 would be refused/)
  look.getByText('Entry 7: A line of this kind needs a text.')
  look.getByText('2 entries of the new ones strike out other entries.')
  look.getByText(/^One entry says something different from the entry here with the same id/)
  look.getByText('New here as writers: bench 9.')
  look.getByText(/^One entry of the new ones is dated before 2010/)
  expect(server.importNotebook).not.toHaveBeenCalled()
  server.importNotebook.mockResolvedValue({
    notebook: LOOK.notebook,
    stored: 2,
    duplicate: 280,
    conflict: 0,
    refused: 1,
    report: LOOK.report,
  })
  await user.click(look.getByRole('button', { name: 'Take 2 entries in' }))
  await screen.findByText(/2 entries saved, 280 were here already, 1 refused/)
  expect(screen.queryByRole('region', { name: 'What the file holds' })).toBeNull()
})

test('a look may be left, a file with nothing new is not taken, and what is no notebook gets a sentence', async () => {
  const user = at()
  await user.click(screen.getByRole('checkbox', { name: 'include pages as PDF' }))
  server.lookAtNotebook.mockResolvedValue({
    ...LOOK,
    fresh: 0,
    refused: 0,
    conflicts: 0,
    here: 283,
    report: [],
  })
  await user.upload(file(), new File([EXPORT], 'lines.json'))
  expect((await screen.findByRole('button', { name: 'Nothing in it is new' })).hasAttribute('disabled')).toBe(
    true,
  )
  await user.click(screen.getByRole('button', { name: 'Leave it' }))
  expect(screen.queryByRole('region', { name: 'What the file holds' })).toBeNull()
  for (const [one, says] of [
    [new File(['hello'], 'note.json'), 'neither a zip nor a JSON file'],
    [new File(['{"format":'], 'cut.json'), 'is incomplete'],
    [new File([zipSync({ 'a.txt': strToU8('a') })], 'other.zip'), 'no research crate'],
    [new File(['PK'], 'cut.zip'), 'cannot be unpacked'],
  ] as const) {
    await user.upload(file(), one)
    await waitFor(() => {
      expect(screen.getByRole('status').textContent).toContain(says)
    })
  }
})

test('with the server gone it says so, and can be stopped while it packs', async () => {
  const user = at()
  await user.click(screen.getByRole('checkbox', { name: 'include pages as PDF' }))
  server.exported.mockRejectedValue(new Error('The server cannot be reached.'))
  await user.click(screen.getByRole('button', { name: 'Export as a zip' }))
  await screen.findByText('The server cannot be reached.')
  let answer: (text: string) => void = () => undefined
  server.exported.mockReturnValue(new Promise((resolve) => (answer = resolve)))
  await user.click(screen.getByRole('button', { name: 'Export as a zip' }))
  await user.click(await screen.findByRole('button', { name: 'Stop' }))
  answer(EXPORT)
  await screen.findByRole('button', { name: 'Export as a zip' })
  expect(saved).toHaveLength(0)
})

test('a long file goes in by parts, with line numbers of the whole, and can be stopped between', async () => {
  const { takeInParts } = await import('./takeInParts')
  const entries = Array.from({ length: 4500 }, (_, i) => ({ i }))
  const parts: { i: number }[][] = []
  server.importNotebook.mockImplementation((file) => {
    const part = file as { entries: { i: number }[] }
    parts.push(part.entries)
    return Promise.resolve({
      notebook: LOOK.notebook,
      stored: part.entries.length - 1,
      duplicate: 0,
      conflict: 0,
      refused: 1,
      report: [{ line: 3, sentence: 'no' }],
    })
  })
  const whole = await takeInParts({ format: 'x', entries }, () => true)
  expect(parts.map((part) => part.length)).toEqual([2000, 2000, 500])
  expect(parts.flat()).toEqual(entries)
  expect(whole).toMatchObject({ stored: 4497, refused: 3, isStopped: false })
  expect(whole.report.map(({ line }) => line)).toEqual([3, 2003, 4003])
  const stopped = await takeInParts({ format: 'x', entries }, () => false)
  expect(stopped).toMatchObject({ stored: 1999, isStopped: true })
})
