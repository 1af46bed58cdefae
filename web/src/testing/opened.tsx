import { jest } from '@jest/globals'
import { act, configure, render } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { createMemoryRouter, RouterProvider } from 'react-router'
import type { ComponentType } from 'react'
// What several chunks share is there before the first of them is asked for: the test runner cannot link it twice at once.
import '@ivory-crystal/core/chromatography'
import '@ivory-crystal/core/identity'
import '@ivory-crystal/core/judging'
import '@ivory-crystal/core/planning'
import '@ivory-crystal/core/practice'
import '@ivory-crystal/core/scheduling'
import '@ivory-crystal/core/solubility'
import '@ivory-crystal/core/thermometer'
import '@ivory-crystal/core/weighing'
import { SCHOOLS } from '@ivory-crystal/core/conventions'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { SIMULATED_INSTRUMENTS } from '@ivory-crystal/core/instruments'
import { type Answer, type PrepFacts, prepOf, prepsOf, type RawEntry } from '@ivory-crystal/core/notebook'
import { PROCEDURES } from '@ivory-crystal/core/procedures'
import type { Compound } from '@ivory-crystal/core/substances'
import type {
  BalanceStatus,
  InstrumentState,
  Keeping,
  Restored,
  RunState,
  Shelf,
  ShelfReport,
} from '@ivory-crystal/core/wire'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../../../core/src/reference/reference'
import { OtherLedger, Refused, Unreachable } from '../ledger/api'
import type { QuarantinedLine } from '../ledger/outbox'
import type { StreamEvents } from '../ledger/stream'
import { golden } from '../../../core/golden/contract'
import { standIn } from './standIn'

// A machine that is busy is waited for; nothing is told by how long it took.
configure({ asyncUtilTimeout: 20_000 })

export const NOTEBOOK = golden.entries[0]?.notebook as NotebookId
const source = 'general reference value'
const points = (golden as unknown as { solubilities: Shelf['solubilities'] }).solubilities

/** The compounds the demo speaks of, as its lines keep them. */
const compounds = new Map<string, Compound>()
for (const { body } of golden.entries) {
  const { compound, impurity, candidates } = body as {
    compound?: Compound | string | null
    impurity?: Compound | null
    candidates?: readonly Compound[]
  }
  for (const one of [compound, impurity, ...(candidates ?? [])])
    if (one && typeof one !== 'string') compounds.set(one.id, one)
}

/** Those compounds, every solvent, and the demo's own points. */
export const SHELF: Shelf = {
  compounds: [...compounds.values()],
  solvents: REFERENCE_SOLVENTS.map((row) => ({ ...row, source })),
  solubilities: points,
  instruments: SIMULATED_INSTRUMENTS,
  houseRules: SCHOOLS,
  procedures: [],
}

/** What the server would be asked, under the test's hand. */
export const server = {
  shelf: jest.fn<() => Promise<Shelf>>(),
  putOnShelf: jest.fn<(sort: string, rows: readonly unknown[], dryRun: boolean) => Promise<ShelfReport>>(),
  takeOffShelf: jest.fn<(sort: string, id: string) => Promise<object>>(),
  shelfVersions: jest.fn<(sort: string, id: string) => Promise<{ versions: unknown[] }>>(),
  loadBalance: jest.fn<(...what: unknown[]) => Promise<BalanceStatus>>(),
  tareBalance: jest.fn<() => Promise<BalanceStatus>>(),
  instruments: jest.fn<() => Promise<{ instruments: InstrumentState[] }>>(),
  startRun: jest.fn<(...what: unknown[]) => Promise<RunState>>(),
  command: jest.fn<(...what: unknown[]) => Promise<RunState>>(),
  endRun: jest.fn<(...what: unknown[]) => Promise<InstrumentState>>(),
  head: jest.fn<(...what: unknown[]) => Promise<{ seq: number; hash: string }>>(),
  line: jest.fn<(...what: unknown[]) => Promise<void>>(),
  seal: jest.fn<(...what: unknown[]) => Promise<{ line: RawEntry }>>(),
  exported: jest.fn<(notebook: string) => Promise<string>>(),
  lookAtNotebook: jest.fn<(file: unknown) => Promise<object>>(),
  importNotebook: jest.fn<(file: unknown) => Promise<object>>(),
  keeping: jest.fn<() => Promise<Keeping>>(),
  lookAtBackup: jest.fn<(file: Blob, word: string) => Promise<Restored>>(),
  restore: jest.fn<(file: Blob) => Promise<Restored>>(),
  photograph: jest.fn<(sha256: string) => Promise<ArrayBuffer | null>>(),
  sendPhotograph: jest.fn<(sha256: string, jpeg: ArrayBuffer) => Promise<void>>(),
  openSeal: jest.fn<(...what: unknown[]) => Promise<{ line: RawEntry }>>(),
}

/** The instruments at rest, cold, one of them at another temperature if told so. */
export function restingAt(blockC: Readonly<Record<string, number>> = {}): InstrumentState[] {
  return SIMULATED_INSTRUMENTS.map((instrument) => ({
    instrument,
    blockC: blockC[instrument.id] ?? 22,
    run: null,
  }))
}

const { about, notebooks, entries } = standIn().api
jest.unstable_mockModule('../ledger/api', () => ({
  api: {
    ...server,
    about,
    notebooks,
    entries,
    // What is written stays on its way, under the test’s eyes.
    post: (): Promise<{ answers: Answer[] }> => new Promise(() => undefined),
  },
  Refused,
  Unreachable,
  OtherLedger,
}))
/** Lines the server refused, as the outbox keeps them. */
export const refused: QuarantinedLine[] = []
jest.unstable_mockModule('../ledger/outbox', () => ({
  openOutbox: () =>
    Promise.resolve({
      put: () => Promise.resolve(),
      waiting: () => Promise.resolve([]),
      waitingElsewhere: () => Promise.resolve([]),
      quarantined: () => Promise.resolve([...refused]),
      dismiss: (id: string) => {
        refused.splice(
          refused.findIndex((line) => line.id === id),
          1,
        )
        return Promise.resolve()
      },
      drain: () => new Promise(() => undefined),
    }),
}))
jest.unstable_mockModule('../ledger/tabs', () => ({
  openTabs: () => ({ post: () => undefined, listen: () => undefined }),
}))
/** The stream of the open notebook, under the test's hand: what it tells, the page hears. */
export const stream: { events: StreamEvents | null } = { events: null }
jest.unstable_mockModule('../ledger/stream', () => ({
  openStream: (_: NotebookId, __: () => number, events: StreamEvents) => {
    stream.events = events
    return () => undefined
  },
}))
// Drawings by the chart package need a real browser.
jest.unstable_mockModule('../drawings/plot/LineChart', () => ({
  LineChart: () => null,
}))
const { openNotebook, useNotebook } = await import('../ledger/notebook')
export { PROCEDURES, REFERENCE_COMPOUNDS, useNotebook }

const HASH = '0123456789abcdef'.repeat(4)

/** Opens the demo notebook anew, as it was. */
export async function openDemo(shelf: Shelf = SHELF): Promise<void> {
  for (const mock of Object.values(server)) mock.mockReset()
  refused.length = 0
  server.shelf.mockResolvedValue(shelf)
  server.head.mockResolvedValue({ seq: golden.entries.length, hash: HASH })
  server.photograph.mockResolvedValue(null)
  server.sendPhotograph.mockResolvedValue()
  server.instruments.mockResolvedValue({ instruments: restingAt() })
  server.keeping.mockResolvedValue({
    folder: 'data',
    isElsewhere: false,
    journalBytes: 200_000,
    flushedAt: golden.nowMs,
    shelfBytes: 60_000,
    photographs: { count: 1, bytes: 30_000 },
    notebooks: [{ id: NOTEBOOK, title: 'bench 7', seq: golden.entries.length, hash: HASH }],
  })
  await act(() => openNotebook(null))
}

/** A prep of the open notebook, by the start of its title. */
export function prepNamed(title: string): PrepFacts {
  const prep = prepsOf(useNotebook.getState().view).find(({ opened }) => opened.body.title.startsWith(title))
  if (!prep) throw new Error(`No prep is called ${title}.`)
  return prep
}

/** The lines of one kind written since the notebook was opened. */
export function written(kind: string): readonly RawEntry[] {
  const known = new Set(golden.entries.map(({ id }) => id as string))
  return [...useNotebook.getState().view.subjects.values()]
    .flatMap(({ lines }) => lines as readonly RawEntry[])
    .filter((line) => line.kind === kind && !known.has(line.id))
}

/** Shows a part of a prep, following the notebook as it is written. */
export function show(
  Part: ComponentType<{ prep: PrepFacts }>,
  prep: PrepFacts,
  station = 'plan',
  search = '',
): ReturnType<typeof userEvent.setup> {
  function Following() {
    const view = useNotebook((state) => state.view)
    const now = prepOf(view, prep.id)
    return now ? <Part prep={now} /> : null
  }
  return showAt(Following, `/n/${NOTEBOOK}/preps/${prep.id}/${station}${search}`)
}

/** Shows a place at its address. */
export function showAt(
  Place: ComponentType,
  address: string,
  path = '/n/:notebook/preps/:prep/:station',
): ReturnType<typeof userEvent.setup> {
  const router = createMemoryRouter(
    [
      { path, element: <Place /> },
      { path: '/n/:notebook/*', element: <Place /> },
    ],
    { initialEntries: [address] },
  )
  render(<RouterProvider router={router} />)
  return userEvent.setup()
}
