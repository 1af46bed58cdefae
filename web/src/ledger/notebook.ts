import { create } from 'zustand'
import {
  type About,
  type BalanceStanding,
  type Bodies,
  EMPTY_VIEW,
  type Entry,
  type EntryId,
  fold,
  type Kind,
  KINDS,
  nextId,
  type NotebookId,
  type NotebookRow,
  type RawEntry,
  type RunState,
  type Shelf,
  type SubjectId,
  type View,
} from '@ivory-crystal/core'
import { api, Refused, Unreachable } from './api'
import { clock } from '../app/clock'
import { openOutbox, type Outbox, type QuarantinedLine } from './outbox'
import { openTabs, type Tabs } from './tabs'

export interface HeardReading extends RunState {
  /** Milliseconds on this page's own clock when it was heard. */
  readonly heardAt: number
  /** The latest probe readings heard, by sample number; enough for a live rate. */
  readonly recent: readonly (readonly [sample: number, temperatureC: number])[]
}

export interface NotebookState {
  readonly status: 'opening' | 'open' | 'failed'
  /** Why it could not be opened. */
  readonly failure: string | null
  readonly about: About | null
  readonly notebooks: readonly NotebookRow[]
  readonly notebook: NotebookId | null
  readonly view: View
  readonly shelf: Shelf | null
  /** Lines kept on this device that the server has not acknowledged. */
  readonly waiting: number
  readonly quarantine: readonly QuarantinedLine[]
  readonly connected: boolean
  /** Latest reading of each instrument with a run. */
  readonly readings: Readonly<Record<string, HeardReading | null>>
  /** The simulated balance as last heard; null before. */
  readonly balance: BalanceStanding | null
}

export const useNotebook = create<NotebookState>()(() => ({
  status: 'opening',
  failure: null,
  about: null,
  notebooks: [],
  notebook: null,
  view: EMPTY_VIEW,
  shelf: null,
  waiting: 0,
  quarantine: [],
  connected: false,
  readings: {},
  balance: null,
}))

/** A line to be written: what it says and about what. */
export interface Line<K extends Kind = Kind> {
  readonly kind: K
  readonly subject: SubjectId
  readonly body: Bodies[K]
}

const RETRY_MS = 2000
let outbox: Outbox | null = null
let tabs: Tabs | null = null
let seen = 0
/** What other tabs tell of a notebook while this one is still reading it. */
let opening: { readonly notebook: NotebookId; readonly entries: RawEntry[] } | null = null

/** Opens a notebook of this server's ledger; the first when none is named. */
export async function openNotebook(wanted: string | null): Promise<void> {
  useNotebook.setState({ status: 'opening', failure: null })
  try {
    const [about, { notebooks }, shelf] = await Promise.all([api.about(), api.notebooks(), api.shelf()])
    const notebook =
      notebooks.find((row) => row.id === wanted)?.id ?? (wanted === null ? notebooks[0]?.id : undefined)
    if (!notebook)
      throw new Refused('This ledger holds no such notebook. The link may be of another data folder.')
    outbox ??= await openOutbox(about.ledger)
    if (!tabs) {
      tabs = openTabs(about.ledger)
      listenToTabs()
    }
    const told = { notebook, entries: [] as RawEntry[] }
    opening = told
    const { entries } = await api.entries(notebook, 0)
    const kept = (await outbox.waiting()).filter((entry) => entry.notebook === notebook)
    seen = entries.at(-1)?.seq ?? 0
    const view = fold([...entries.map((line) => line.entry), ...kept, ...told.entries])
    opening = null
    useNotebook.setState({ status: 'open', about, notebooks, notebook, shelf, view })
    await countWaiting()
    holdStream(notebook)
    tabs.tell({ tell: 'asks' })
    void drain()
  } catch (error) {
    useNotebook.setState({ status: 'failed', failure: (error as Error).message })
  }
}

/**
 * Writes lines that belong together. They stand on the screen at once, and are kept on this device before
 * anything is sent; the screen never waits for the network.
 */
export function write(...lines: readonly Line[]): readonly EntryId[] {
  const { about, notebook, view } = useNotebook.getState()
  if (!about || !notebook) throw new Error('No notebook is open.')
  let latest = view.latestId
  const entries = lines.map((line): Entry => {
    const id = nextId(latest, clock.now(), crypto.getRandomValues(new Uint8Array(8)))
    latest = id
    return {
      id,
      v: KINDS[line.kind].version,
      ledger: about.ledger,
      notebook,
      subject: line.subject,
      kind: line.kind,
      body: line.body,
      at: clock.now(),
      author: author(),
      device: device(),
    }
  })
  useNotebook.setState({
    view: fold(entries, view),
    waiting: useNotebook.getState().waiting + entries.length,
  })
  void keep(entries)
  return entries.map((entry) => entry.id)
}

/** Strikes one line, with a reason. */
export function strike(target: { readonly id: EntryId; readonly subject: SubjectId }, reason: string): void {
  write({ kind: 'struck', subject: target.subject, body: { target: target.id, reason } })
}

async function keep(entries: readonly Entry[]): Promise<void> {
  await outbox?.put(entries)
  tabs?.tell({ tell: 'lines', notebook: entries[0]?.notebook ?? '', entries })
  await drain()
}

let draining: Promise<void> | null = null
let retry: ReturnType<typeof setTimeout> | undefined

/** Sends what waits, one tab at a time. */
function drain(): Promise<void> {
  draining ??= navigator.locks
    .request('ivory-crystal outbox', async () => {
      await outbox?.drain(async (notebook, groups) => (await api.post(notebook, groups)).answers)
    })
    .then(
      () => {
        tabs?.tell({ tell: 'settled' })
      },
      () => {
        clearTimeout(retry)
        retry = setTimeout(() => void drain(), RETRY_MS)
      },
    )
    .finally(() => {
      draining = null
    })
    .then(countWaiting)
  return draining
}

/** Resolves when nothing waits; rejects with a sentence when the server cannot be reached. */
export async function allStored(): Promise<void> {
  await drain()
  if ((await outbox?.waiting())?.length) await drain()
  if ((await outbox?.waiting())?.length) throw new Unreachable()
}

async function countWaiting(): Promise<void> {
  if (!outbox) return
  const [waiting, quarantine] = await Promise.all([outbox.waiting(), outbox.quarantined()])
  useNotebook.setState({ waiting: waiting.length, quarantine })
  if (waiting.length > 0 && !draining) void drain()
}

export async function dismissRefused(id: string): Promise<void> {
  await outbox?.dismiss(id)
  await countWaiting()
}

function takeIn(entries: readonly RawEntry[]): void {
  useNotebook.setState({ view: fold(entries, useNotebook.getState().view) })
}

const RECENT_MOST = 90
const sampleOf = (run: RunState) => run.reading?.sample ?? -1

/**
 * Takes in a reading as it passes. An answer to a command may come after a newer reading of the stream: what it
 * says of the pace counts, its older reading does not.
 */
export function hearReading(reading: RunState & { instrument: string }): void {
  const { readings } = useNotebook.getState()
  const before = readings[reading.instrument]
  if (before?.id === reading.id && sampleOf(reading) < sampleOf(before)) {
    const { pace } = reading
    useNotebook.setState({ readings: { ...readings, [reading.instrument]: { ...before, pace } } })
    return
  }
  const recent = before?.id === reading.id ? before.recent : []
  const now = reading.reading
  const isNew = now !== null && recent[recent.length - 1]?.[0] !== now.sample
  const heard: HeardReading = {
    ...reading,
    heardAt: clock.elapsed(),
    recent: isNew ? [...recent.slice(1 - RECENT_MOST), [now.sample, now.probe.value]] : recent,
  }
  useNotebook.setState({ readings: { ...readings, [reading.instrument]: heard } })
}

/** The answer to a command may come after a newer reading came over the stream: the newer one stands. */
export function hearBalance(balance: BalanceStanding): void {
  const heard = useNotebook.getState().balance
  if (!heard || balance.order >= heard.order) useNotebook.setState({ balance })
}

/** Reads the shelf again, here and in the other tabs. */
export async function shelfChanged(): Promise<void> {
  tabs?.tell({ tell: 'shelf' })
  await readShelf()
}
async function readShelf(): Promise<void> {
  useNotebook.setState({ shelf: await api.shelf() })
}

function hearRest(instrument: string): void {
  useNotebook.setState({ readings: { ...useNotebook.getState().readings, [instrument]: null } })
}

function listenToTabs(): void {
  tabs?.listen((message) => {
    switch (message.tell) {
      case 'lines':
        if (message.notebook === opening?.notebook) opening.entries.push(...message.entries)
        if (message.notebook !== useNotebook.getState().notebook) return
        takeIn(message.entries)
        if (message.seq !== undefined) seen = Math.max(seen, message.seq)
        return void countWaiting()
      case 'settled':
        return void countWaiting()
      case 'reading':
        return hearReading(message.reading)
      case 'rest':
        return hearRest(message.instrument)
      case 'balance':
        return hearBalance(message.balance)
      case 'shelf':
        return void readShelf().catch(() => undefined)
      case 'heard':
        return useNotebook.setState({ connected: message.connected })
      case 'asks':
        return tellStanding()
    }
  })
}

let holdsStream = false

function tellStanding(): void {
  if (!holdsStream) return
  const { connected, readings } = useNotebook.getState()
  tabs?.tell({ tell: 'heard', connected })
  for (const [instrument, reading] of Object.entries(readings))
    if (reading) tabs?.tell({ tell: 'reading', reading: { ...reading, instrument } })
}

let stopStream: (() => void) | null = null

/** One stream a browser: whichever tab has the lock holds it and tells the others. */
function holdStream(notebook: NotebookId): void {
  stopStream?.()
  const ends = new AbortController()
  stopStream = () => {
    ends.abort()
  }
  void navigator.locks
    .request(`ivory-crystal stream ${notebook}`, { signal: ends.signal }, () =>
      streamUntil(notebook, ends.signal),
    )
    .catch(() => undefined)
}

function streamUntil(notebook: NotebookId, ended: AbortSignal): Promise<void> {
  holdsStream = true
  return new Promise((resolve) => {
    const open = () => new EventSource(`/api/notebooks/${notebook}/stream?after=${seen}`)
    let source = open()
    let again: ReturnType<typeof setTimeout> | undefined
    const attach = () => {
      source.onopen = () => {
        say(true)
        void drain()
      }
      source.onerror = () => {
        say(false)
        if (source.readyState !== EventSource.CLOSED) return
        clearTimeout(again)
        again = setTimeout(() => {
          source = open()
          attach()
        }, RETRY_MS)
      }
      source.addEventListener('entry', (event: MessageEvent<string>) => {
        const line = JSON.parse(event.data) as { seq: number; entry: RawEntry }
        seen = Math.max(seen, line.seq)
        takeIn([line.entry])
        tabs?.tell({ tell: 'lines', notebook, entries: [line.entry], seq: line.seq })
      })
      source.addEventListener('reading', (event: MessageEvent<string>) => {
        const reading = JSON.parse(event.data) as RunState & { instrument: string }
        hearReading(reading)
        tabs?.tell({ tell: 'reading', reading })
      })
      source.addEventListener('balance', (event: MessageEvent<string>) => {
        const balance = JSON.parse(event.data) as BalanceStanding
        hearBalance(balance)
        tabs?.tell({ tell: 'balance', balance })
      })
      source.addEventListener('rest', (event: MessageEvent<string>) => {
        const { instrument } = JSON.parse(event.data) as { instrument: string }
        hearRest(instrument)
        tabs?.tell({ tell: 'rest', instrument })
      })
    }
    const say = (connected: boolean) => {
      useNotebook.setState({ connected })
      tabs?.tell({ tell: 'heard', connected })
    }
    attach()
    ended.addEventListener('abort', () => {
      holdsStream = false
      clearTimeout(again)
      source.close()
      resolve()
    })
  })
}

const AUTHOR = 'ivory-crystal author'
const DEVICE = 'ivory-crystal device'

/** Bench code that goes on every line written here. */
export function author(): string {
  return localStorage.getItem(AUTHOR) ?? 'this bench'
}

export function setAuthor(name: string): void {
  localStorage.setItem(AUTHOR, name.trim().slice(0, 80) || 'this bench')
}

function device(): string {
  const known = localStorage.getItem(DEVICE)
  if (known) return known
  const made = crypto.randomUUID()
  localStorage.setItem(DEVICE, made)
  return made
}

/** Identity for a new subject. */
export function newSubject<T extends string>(): T {
  return crypto.randomUUID() as T
}
