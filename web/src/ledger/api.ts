import type { InstrumentId, MeltId, NotebookId, RunId, SampleId, UnknownId } from '@ivory-crystal/core/ids'
import type { BlockCommand } from '@ivory-crystal/core/instruments'
import type { Answer, RawEntry, StoredEntry } from '@ivory-crystal/core/notebook'
import type { PanLoad } from '@ivory-crystal/core/simulator'
import type {
  About,
  BalanceStatus,
  InstrumentState,
  Keeping,
  NotebookRow,
  ImportLook,
  Restored,
  RunState,
  Shelf,
  ShelfReport,
  ShelfVersion,
} from '@ivory-crystal/core/wire'
import { author } from './writer'

/** The server said no, with a sentence to show. */
export class Refused extends Error {
  constructor(
    sentence: string,
    readonly status = 400,
    /** When it could be asked again, s; null when it does not say. */
    readonly retryAfterS: number | null = null,
  ) {
    super(sentence)
  }
}
/** The server could not be reached. */
export class Unreachable extends Error {
  constructor() {
    super(
      'The server cannot be reached. What you write is saved on this device and sent when the server is back.',
    )
  }
}

/** Another ledger answers at this address. */
export class OtherLedger extends Error {
  constructor() {
    super(
      'The server at this address has another ledger now. What is not yet sent stays on this device until its own server is back.',
    )
  }
}

/** What a lab may put on the shelf. */
export type ShelfSort = 'compound' | 'solvent' | 'solubility' | 'procedure' | 'instrument' | 'house rules'

const TIMEOUT_MS = 15_000

async function call<T>(path: string, body?: unknown): Promise<T> {
  const response = await fetch(`/api${path}`, {
    method: body === undefined ? 'GET' : 'POST',
    signal: AbortSignal.timeout(TIMEOUT_MS),
    ...(body === undefined
      ? {}
      : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
  }).catch(() => {
    throw new Unreachable()
  })
  if (response.status >= 502 && response.status <= 504) throw new Unreachable()
  const answer = (await response.json().catch(() => null)) as { detail?: string } | null
  if (!response.ok) {
    const retryAfterS = Number(response.headers.get('Retry-After')) || null
    throw new Refused(
      answer?.detail ?? `The server answered ${response.status}.`,
      response.status,
      retryAfterS,
    )
  }
  return answer as T
}

/** The whole notebook as the server exports it: every line as it was written, JSON. */
async function exported(notebook: string): Promise<string> {
  const response = await fetch(`/api/notebooks/${notebook}/export`, {
    signal: AbortSignal.timeout(EXPORT_TIMEOUT_MS),
  }).catch(() => {
    throw new Unreachable()
  })
  if (!response.ok) throw new Refused(`The server answered ${response.status}.`, response.status, null)
  return response.text()
}
const EXPORT_TIMEOUT_MS = 120_000

/** A picture, under its SHA-256. */
async function sendPhotograph(sha256: string, jpeg: ArrayBuffer): Promise<void> {
  const response = await fetch(`/api/photographs/${sha256}`, {
    method: 'POST',
    headers: { 'Content-Type': 'image/jpeg' },
    body: jpeg,
    signal: AbortSignal.timeout(PHOTOGRAPH_TIMEOUT_MS),
  }).catch(() => {
    throw new Unreachable()
  })
  if (response.status >= 502 && response.status <= 504) throw new Unreachable()
  if (response.ok) return
  const answer = (await response.json().catch(() => null)) as { detail?: string } | null
  throw new Refused(answer?.detail ?? `The server answered ${response.status}.`, response.status)
}
/** A poor network takes a while over a picture. */
const PHOTOGRAPH_TIMEOUT_MS = 60_000

/** @returns null where the server does not have it */
async function photograph(sha256: string): Promise<ArrayBuffer | null> {
  const response = await fetch(`/api/photographs/${sha256}`, {
    signal: AbortSignal.timeout(PHOTOGRAPH_TIMEOUT_MS),
  }).catch(() => {
    throw new Unreachable()
  })
  if (response.status >= 502 && response.status <= 504) throw new Unreachable()
  return response.ok ? response.arrayBuffer() : null
}

/** @param word the instructor's word, which opens sealed answers; empty leaves them out */
async function sendBackup(path: string, file: Blob, word: string): Promise<Restored> {
  const response = await fetch(`/api${path}`, {
    method: 'POST',
    headers: {
      'Content-Type': 'application/zip',
      ...(word === '' ? {} : { 'Instructor-Word': encodeURIComponent(word) }),
    },
    body: file,
    signal: AbortSignal.timeout(EXPORT_TIMEOUT_MS),
  }).catch(() => {
    throw new Unreachable()
  })
  const answer = (await response.json().catch(() => null)) as (Restored & { detail?: string }) | null
  if (!response.ok || !answer)
    throw new Refused(answer?.detail ?? `The server answered ${response.status}.`, response.status)
  return answer
}

/** Everything the server keeps as one zip; with the instructor's word sealed answers too, encrypted under it. */
async function backup(word: string): Promise<Blob> {
  const response = await fetch('/api/backup', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ word }),
    signal: AbortSignal.timeout(EXPORT_TIMEOUT_MS),
  }).catch(() => {
    throw new Unreachable()
  })
  if (response.ok) return response.blob()
  const answer = (await response.json().catch(() => null)) as { detail?: string } | null
  throw new Refused(answer?.detail ?? `The server answered ${response.status}.`, response.status)
}

export const api = {
  keeping: () => call<Keeping>('/keeping'),
  lookAtBackup: (file: Blob, word: string) => sendBackup('/restore/look', file, word),
  restore: (file: Blob, word: string) => sendBackup('/restore', file, word),
  backup,
  exported,
  photograph,
  sendPhotograph,
  about: () => call<About>('/about'),
  notebooks: () => call<{ notebooks: NotebookRow[] }>('/notebooks'),
  entries: (notebook: NotebookId, after: number) =>
    call<{ entries: StoredEntry[] }>(`/notebooks/${notebook}/entries?after=${after}`),
  /** The last line of a notebook, whose hash stands for every line before it. */
  head: (notebook: NotebookId) => call<{ seq: number; hash: string }>(`/notebooks/${notebook}/head`),
  post: (notebook: NotebookId, groups: readonly (readonly unknown[])[]) =>
    call<{ answers: Answer[] }>(`/notebooks/${notebook}/entries`, { groups }),
  shelf: () => call<Shelf>('/shelf'),
  /** Rows put on the shelf, each as a new version; with `dryRun` only what would come of it. */
  putOnShelf: (sort: ShelfSort, rows: readonly unknown[], dryRun: boolean) =>
    call<ShelfReport>(`/shelf/${encodeURIComponent(sort)}`, { rows, dryRun, author: author() }),
  takeOffShelf: (sort: ShelfSort, id: string) =>
    call<object>(`/shelf/${encodeURIComponent(sort)}/off`, { id, author: author() }),
  shelfVersions: (sort: ShelfSort, id: string) =>
    call<{ versions: ShelfVersion[] }>(
      `/shelf/${encodeURIComponent(sort)}/versions?id=${encodeURIComponent(id)}`,
    ),
  loadBalance: (notebook: NotebookId, sample: SampleId, load: PanLoad, aboutG: number) =>
    call<BalanceStatus>('/balance/load', { notebook, sample, load, aboutG }),
  tareBalance: () => call<BalanceStatus>('/balance/tare', {}),
  instruments: () => call<{ instruments: InstrumentState[] }>('/instruments'),
  startRun: (instrument: InstrumentId, notebook: NotebookId, melt: MeltId) =>
    call<RunState>(`/instruments/${instrument}/runs`, { notebook, melt }),
  command: (instrument: InstrumentId, run: RunId, command: BlockCommand | { kind: 'pace'; pace: number }) =>
    call<RunState>(`/instruments/${instrument}/runs/${run}/commands`, { command }),
  endRun: (instrument: InstrumentId, run: RunId) =>
    call<InstrumentState>(`/instruments/${instrument}/runs/${run}/end`, {}),
  /** Lines of a bridge to a connected instrument, one message each. */
  line: async (instrument: InstrumentId, lines: readonly string[]) => {
    const response = await fetch(`/api/instruments/${instrument}/line`, {
      method: 'POST',
      headers: { 'Content-Type': 'text/plain' },
      body: lines.join('\n'),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    }).catch(() => {
      throw new Unreachable()
    })
    if (response.ok) return
    const answer = (await response.json().catch(() => null)) as { detail?: string } | null
    throw new Refused(answer?.detail ?? `The server answered ${response.status}.`)
  },
  /** Seals the answer to an unknown; what it is stays on the server. */
  seal: (notebook: NotebookId, unknown: UnknownId, compound: string, purity: number) =>
    call<{ line: RawEntry }>('/seals', { notebook, unknown, compound, purity }),
  /** Opens the answer of a signed case. */
  openSeal: (notebook: NotebookId, unknown: UnknownId) =>
    call<{ line: RawEntry }>('/seals/open', {
      notebook,
      unknown,
    }),
  lookAtNotebook: (file: unknown) => call<ImportLook>('/import/look', file),
  importNotebook: (file: unknown) =>
    call<{
      notebook: NotebookRow
      stored: number
      duplicate: number
      conflict: number
      refused: number
      report: { line: number; sentence: string }[]
    }>('/import', file),
}
export type Api = typeof api
