import {
  type BalanceStanding,
  type Entry,
  type EntryId,
  fold,
  KINDS,
  type Line,
  nextId,
  type NotebookId,
  type RawEntry,
} from '@ivory-crystal/core'
import { Refused, Unreachable } from './api'
import type { Outbox } from './outbox'
import { newerBalance, type Reading, withReading } from './readings'
import type { Tabs } from './tabs'
import { CLOSED, type LedgerClient, type LedgerState, type Surroundings } from './ledgerClient'

const RETRY_MS = 2000

/** A notebook on this device: written at once, kept in the outbox, sent when it can be, heard from others. */
export function createLedgerClient(given: Surroundings): LedgerClient {
  const { api, clock, locks } = given
  let state = CLOSED
  const listeners = new Set<(state: LedgerState) => void>()
  const set = (change: Partial<LedgerState>) => {
    state = { ...state, ...change }
    for (const hear of listeners) hear(state)
  }

  let outbox: Outbox | null = null
  let tabs: Tabs | null = null
  let seen = 0
  /** What other tabs tell of a notebook while this one is still reading it. */
  let opening: { readonly notebook: NotebookId; readonly entries: RawEntry[] } | null = null

  async function open(wanted: string | null): Promise<void> {
    set({ status: 'opening', failure: null, readings: {}, balance: null })
    try {
      const [about, { notebooks }, shelf] = await Promise.all([api.about(), api.notebooks(), api.shelf()])
      const notebook =
        notebooks.find((row) => row.id === wanted)?.id ?? (wanted === null ? notebooks[0]?.id : undefined)
      if (!notebook)
        throw new Refused('This ledger holds no such notebook. The link may be of another data folder.')
      outbox ??= await given.openOutbox(about.ledger)
      if (!tabs) {
        tabs = given.openTabs(about.ledger)
        listenToTabs(tabs)
      }
      const told = { notebook, entries: [] as RawEntry[] }
      opening = told
      const { entries } = await api.entries(notebook, 0)
      const kept = (await outbox.waiting()).filter((entry) => entry.notebook === notebook)
      seen = entries.at(-1)?.seq ?? 0
      const view = fold([...entries.map((line) => line.entry), ...kept, ...told.entries])
      opening = null
      set({ status: 'open', about, notebooks, notebook, shelf, view })
      await countWaiting()
      holdStream(notebook)
      tabs.tell({ tell: 'asks' })
      void drain()
    } catch (error) {
      set({ status: 'failed', failure: (error as Error).message })
    }
  }

  // ── writing ───────────────────────────────────────────────────────────────────────────────────
  function write(...lines: readonly Line[]): readonly EntryId[] {
    const { about, notebook, view, waiting } = state
    if (!about || !notebook) throw new Error('No notebook is open.')
    let latest = view.latestId
    const at = clock.now()
    const entries = lines.map(({ kind, subject, body }): Entry => {
      const id = nextId(latest, at, given.random(8))
      latest = id
      const v = KINDS[kind].version
      return { id, v, ledger: about.ledger, notebook, subject, kind, body, at, ...given.writer() }
    })
    set({ view: fold(entries, view), waiting: waiting + entries.length })
    void keep(entries)
    return entries.map((entry) => entry.id)
  }

  async function keep(entries: readonly Entry[]): Promise<void> {
    await outbox?.put(entries)
    tabs?.tell({ tell: 'lines', notebook: entries[0]?.notebook ?? '', entries })
    await drain()
  }

  let draining: Promise<void> | null = null
  let callOffRetry: (() => void) | null = null

  /** Sends what waits, one tab at a time. */
  function drain(): Promise<void> {
    draining ??= locks
      .request('ivory-crystal outbox', {}, async () => {
        await outbox?.drain(async (notebook, groups) => (await api.post(notebook, groups)).answers)
      })
      .then(
        () => {
          tabs?.tell({ tell: 'settled' })
          return true
        },
        () => {
          callOffRetry?.()
          callOffRetry = given.later(RETRY_MS, () => void drain())
          return false
        },
      )
      .finally(() => {
        draining = null
      })
      .then(async (isSent) => {
        await countWaiting()
        // A line may have been kept while the last answer was on its way.
        if (isSent && state.waiting > 0) void drain()
      })
    return draining
  }

  async function allStored(): Promise<void> {
    await drain()
    if ((await outbox?.waiting())?.length) await drain()
    if ((await outbox?.waiting())?.length) throw new Unreachable()
  }

  async function countWaiting(): Promise<void> {
    if (!outbox) return
    const [waiting, quarantine] = await Promise.all([outbox.waiting(), outbox.quarantined()])
    if (waiting.length !== state.waiting || quarantine.length > 0 || state.quarantine.length > 0)
      set({ waiting: waiting.length, quarantine })
  }

  // ── hearing ───────────────────────────────────────────────────────────────────────────────────
  function takeIn(entries: readonly RawEntry[]): void {
    const view = fold(entries, state.view)
    if (view !== state.view) set({ view })
  }
  function hearReading(reading: Reading): void {
    set({ readings: withReading(state.readings, reading, clock.elapsed()) })
  }
  function hearBalance(balance: BalanceStanding): void {
    set({ balance: newerBalance(state.balance, balance) })
  }
  function hearRest(instrument: string): void {
    set({ readings: { ...state.readings, [instrument]: null } })
  }
  async function readShelf(): Promise<void> {
    set({ shelf: await api.shelf() })
  }

  function listenToTabs(heard: Tabs): void {
    heard.listen((message) => {
      switch (message.tell) {
        case 'lines':
          if (message.notebook === opening?.notebook) opening.entries.push(...message.entries)
          if (message.notebook !== state.notebook) return
          takeIn(message.entries)
          if (message.seq === undefined) return void drain()
          seen = Math.max(seen, message.seq)
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
          return set({ connected: message.connected })
        case 'asks':
          return tellStanding()
      }
    })
  }

  let holdsStream = false
  /** A tab that has just opened is told how things stand by the one that hears the stream. */
  function tellStanding(): void {
    if (!holdsStream) return
    tabs?.tell({ tell: 'heard', connected: state.connected })
    for (const [instrument, reading] of Object.entries(state.readings))
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
    locks
      .request(`ivory-crystal stream ${notebook}`, { signal: ends.signal }, () =>
        hearStream(notebook, ends.signal),
      )
      .catch(() => undefined)
  }

  function hearStream(notebook: NotebookId, ended: AbortSignal): Promise<void> {
    holdsStream = true
    const close = given.openStream(notebook, () => seen, {
      connected(connected) {
        set({ connected })
        tabs?.tell({ tell: 'heard', connected })
        if (connected) void drain()
      },
      line({ seq, entry }) {
        seen = Math.max(seen, seq)
        takeIn([entry])
        tabs?.tell({ tell: 'lines', notebook, entries: [entry], seq })
      },
      reading(reading) {
        hearReading(reading)
        tabs?.tell({ tell: 'reading', reading })
      },
      balance(balance) {
        hearBalance(balance)
        tabs?.tell({ tell: 'balance', balance })
      },
      rest(instrument) {
        hearRest(instrument)
        tabs?.tell({ tell: 'rest', instrument })
      },
    })
    return new Promise((resolve) => {
      ended.addEventListener('abort', () => {
        holdsStream = false
        close()
        resolve()
      })
    })
  }

  return {
    getState: () => state,
    subscribe(hear) {
      listeners.add(hear)
      return () => {
        listeners.delete(hear)
      }
    },
    open,
    write,
    strike(target, reason) {
      write({ kind: 'struck', subject: target.subject, body: { target: target.id, reason } })
    },
    allStored,
    async dismissRefused(id) {
      await outbox?.dismiss(id)
      await countWaiting()
    },
    hearReading,
    hearBalance,
    async shelfChanged() {
      tabs?.tell({ tell: 'shelf' })
      await readShelf()
    },
  }
}
