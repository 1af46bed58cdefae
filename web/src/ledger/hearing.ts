import type { NotebookId } from '@ivory-crystal/core/ids'
import { areOlder, fold, type RawEntry } from '@ivory-crystal/core/notebook'
import type { BalanceStanding } from '@ivory-crystal/core/wire'
import type { Kept, StoredLine } from './kept'
import type { LedgerState, Surroundings } from './ledgerClient'
import { readable } from './older'
import { newerBalance, type Reading, withReading } from './readings'
import type { Tabs } from './tabs'

/** After the stream was lost it is asked who answers, ms. */
const WHO_ANSWERS_MS = 1000

/** How far a client has come with its notebook. */
export interface Standing {
  /** The last line heard of. */
  seen: number
  /** What other tabs tell of a notebook while this one is still reading it. */
  opening: { readonly notebook: NotebookId; readonly entries: RawEntry[] } | null
  /** Whether the server that is heard is known to keep this ledger, since it was last away. */
  isVerified: boolean
}

/** What is heard into: the client’s own state and places. */
interface Own {
  readonly given: Surroundings
  readonly getState: () => LedgerState
  readonly set: (change: Partial<LedgerState>) => void
  readonly tabs: () => Tabs | null
  readonly kept: () => Kept | null
  readonly standing: Standing
  readonly verify: () => Promise<void>
  readonly drain: (atOnce?: boolean) => Promise<void>
  readonly countWaiting: () => Promise<void>
}

/** What comes from others: over the stream of one tab, and from that tab to the others. */
export function createHearing(own: Own) {
  const { given, getState, set, standing, verify, drain, countWaiting } = own
  const { api, clock, locks } = given

  function keepLine(notebook: NotebookId, line: StoredLine): void {
    const { about } = getState()
    if (about)
      void own
        .kept()
        ?.add(about.ledger, notebook, [line], clock.now())
        .catch(() => undefined)
  }
  function takeIn(entries: readonly RawEntry[]): void {
    if (areOlder(entries))
      return void readable(entries).then(
        () => {
          takeIn(entries)
        },
        // Read once the notebook is opened again: the ledger has them.
        () => undefined,
      )
    const view = fold(entries, getState().view)
    if (view !== getState().view) set({ view })
  }
  function hearReading(reading: Reading): void {
    set({ readings: withReading(getState().readings, reading, clock.elapsed()) })
  }
  function hearBalance(balance: BalanceStanding): void {
    set({ balance: newerBalance(getState().balance, balance) })
  }
  function hearRest(instrument: string): void {
    set({ readings: { ...getState().readings, [instrument]: null } })
  }
  async function readShelf(): Promise<void> {
    set({ shelf: await api.shelf() })
  }

  function listenToTabs(heard: Tabs): void {
    heard.listen((message) => {
      switch (message.tell) {
        case 'lines':
          if (message.notebook === standing.opening?.notebook)
            standing.opening.entries.push(...message.entries)
          if (message.notebook !== getState().notebook) return
          takeIn(message.entries)
          if (message.seq === undefined) return void drain()
          standing.seen = Math.max(standing.seen, message.seq)
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
          set({ connected: message.connected })
          if (!message.connected) standing.isVerified = false
          else void verify().catch(() => undefined)
          return
        case 'asks':
          return tellStanding()
      }
    })
  }

  let holdsStream = false
  /** A tab that has just opened is told how things stand by the one that hears the stream. */
  function tellStanding(): void {
    if (!holdsStream) return
    own.tabs()?.tell({ tell: 'heard', connected: getState().connected })
    for (const [instrument, reading] of Object.entries(getState().readings))
      if (reading) own.tabs()?.tell({ tell: 'reading', reading: { ...reading, instrument } })
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
    const close = given.openStream(notebook, () => standing.seen, {
      connected(connected) {
        set({ connected })
        own.tabs()?.tell({ tell: 'heard', connected })
        if (connected)
          return void verify().then(
            () => drain(true),
            () => undefined,
          )
        standing.isVerified = false
        // It may answer and yet not be the one it was: then that is said.
        given.later(WHO_ANSWERS_MS, () => void verify().catch(() => undefined))
      },
      line({ seq, entry }) {
        standing.seen = Math.max(standing.seen, seq)
        takeIn([entry])
        keepLine(notebook, { seq, entry })
        own.tabs()?.tell({ tell: 'lines', notebook, entries: [entry], seq })
      },
      reading(reading) {
        hearReading(reading)
        own.tabs()?.tell({ tell: 'reading', reading })
      },
      balance(balance) {
        hearBalance(balance)
        own.tabs()?.tell({ tell: 'balance', balance })
      },
      rest(instrument) {
        hearRest(instrument)
        own.tabs()?.tell({ tell: 'rest', instrument })
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

  return { takeIn, hearReading, hearBalance, readShelf, listenToTabs, holdStream }
}
