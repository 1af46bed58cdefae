import {
  type BalanceStanding,
  type Entry,
  type EntryId,
  fold,
  KINDS,
  type LedgerId,
  type Line,
  nextId,
  type NotebookId,
  type RawEntry,
} from '@ivory-crystal/core'
import { OtherLedger, Refused, Unreachable } from './api'
import type { Kept, StoredLine } from './kept'
import { answersTo } from './answers'
import type { Outbox, QuarantinedLine } from './outbox'
import { newerBalance, type Reading, withReading } from './readings'
import type { Tabs } from './tabs'
import { CLOSED, type LedgerClient, type LedgerState, type Surroundings } from './ledgerClient'

/** Waits between attempts: each longer than the one before, no two devices alike. */
const RETRY_FIRST_MS = 1000
const RETRY_MOST_MS = 30_000

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
    kept ??= (await given.openKept?.().catch(() => null)) ?? null
    try {
      const heardAt = clock.now()
      const [about, { notebooks }, shelf] = await Promise.all([api.about(), api.notebooks(), api.shelf()])
      const notebook =
        notebooks.find((row) => row.id === wanted)?.id ?? (wanted === null ? notebooks[0]?.id : undefined)
      await openPlaces(about.ledger)
      if (!notebook)
        throw new Refused('This ledger holds no such notebook. The link may be of another data folder.')
      const told = { notebook, entries: [] as RawEntry[] }
      opening = told
      const { entries } = await api.entries(notebook, 0)
      const own = await notYetStored(notebook)
      seen = entries.at(-1)?.seq ?? 0
      const view = fold([...entries.map((line) => line.entry), ...own, ...told.entries])
      opening = null
      isVerified = true
      set({
        status: 'open',
        about,
        heardAt,
        notebooks,
        notebook,
        shelf,
        view,
        copyOfMs: null,
        isOtherLedger: false,
      })
      await begin(notebook)
      void keepCopy(entries)
    } catch (error) {
      opening = null
      if (error instanceof Unreachable && (await openCopy(wanted))) return
      set({ status: 'failed', failure: (error as Error).message })
    }
  }

  /** What belongs to a ledger on this device: its outbox and the channel of its tabs. */
  async function openPlaces(ledger: LedgerId): Promise<void> {
    // Where this device may keep nothing, what is written is sent at once, and said to be kept nowhere.
    outbox ??= await given.openOutbox(ledger).catch(() => null)
    const waitingElsewhere = (await outbox?.waitingElsewhere().catch(() => [])) ?? []
    set({ waitingElsewhere })
    if (tabs) return
    tabs = given.openTabs(ledger)
    listenToTabs(tabs)
  }

  /** Lines of this device that the server has not, or refused. */
  async function notYetStored(notebook: NotebookId): Promise<readonly RawEntry[]> {
    const waiting = outbox ? await outbox.waiting() : []
    const refused = outbox ? (await outbox.quarantined()).map(({ entry }) => entry) : []
    return [...waiting, ...refused, ...state.unkept].filter((entry) => entry.notebook === notebook)
  }

  async function begin(notebook: NotebookId): Promise<void> {
    await countWaiting()
    holdStream(notebook)
    tabs?.tell({ tell: 'asks' })
    void drain()
  }

  // ── this device's copy ────────────────────────────────────────────────────────────────────────
  let kept: Kept | null = null

  /** Opens what this device keeps of a notebook while the server is away, with all that waits. */
  async function openCopy(wanted: string | null): Promise<boolean> {
    const copy = await kept?.read(wanted).catch(() => null)
    if (!copy) return false
    const { about, notebooks, notebook, shelf, lines, keptAtMs } = copy
    await openPlaces(about.ledger)
    const own = await notYetStored(notebook)
    seen = lines.at(-1)?.seq ?? 0
    const view = fold([...lines.map((line) => line.entry), ...own])
    isVerified = false
    set({ status: 'open', about, heardAt: keptAtMs, notebooks, notebook, shelf, view, copyOfMs: keptAtMs })
    await begin(notebook)
    return true
  }

  /**
   * Keeps what the server has. What it acknowledged once and has no more (its data folder was put back to an earlier
   * day) is sent to it again: nothing acknowledged is lost while one device still has it.
   */
  async function keepCopy(lines: readonly StoredLine[]): Promise<void> {
    const { about, notebooks, notebook, shelf } = state
    if (!kept || !about || !notebook || !shelf) return
    const gone = await kept
      .keep({ about, notebooks, notebook, shelf }, lines, clock.now())
      .catch(() => [] as readonly StoredLine[])
    if (gone.length === 0 || !outbox) return
    for (const { entry } of gone) await outbox.put([entry])
    takeIn(gone.map(({ entry }) => entry))
    set({ broughtBack: gone.length })
    await countWaiting()
    await drain(true)
  }

  /** Whether the server that is heard is known to keep this ledger, since it was last away. */
  let isVerified = false
  /**
   * Makes sure of who answers before anything is sent: after it was away, the server at this address may be another
   * one, or its ledger may have been put back to an earlier day.
   *
   * @throws Unreachable while it is away
   * @throws OtherLedger when it keeps another ledger
   */
  async function verify(): Promise<void> {
    const { about: before, notebook } = state
    if (isVerified || !before || !notebook) return
    const heardAt = clock.now()
    const about = await api.about()
    if (about.ledger !== before.ledger) {
      set({ isOtherLedger: true })
      throw new OtherLedger()
    }
    if (state.copyOfMs !== null || about.run !== before.run) {
      const { entries } = await api.entries(notebook, 0)
      seen = entries.at(-1)?.seq ?? 0
      const own = await notYetStored(notebook)
      takeIn([...entries.map((line) => line.entry), ...own])
      const [{ notebooks }, shelf] = await Promise.all([api.notebooks(), api.shelf()])
      isVerified = true
      set({ notebooks, shelf })
      void keepCopy(entries)
    }
    isVerified = true
    set({ about, heardAt, copyOfMs: null, isOtherLedger: false })
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
    try {
      if (!outbox) throw new Error('Nothing can be kept here.')
      await outbox.put(entries)
    } catch {
      unkeptGroups.push(entries)
      tellUnkept()
    }
    tabs?.tell({ tell: 'lines', notebook: entries[0]?.notebook ?? '', entries })
    await drain()
  }

  /** Lines this device could not keep; those written together are sent together. */
  const unkeptGroups: (readonly Entry[])[] = []
  function tellUnkept(): void {
    set({ unkept: unkeptGroups.flat() })
  }
  /** Lines refused that only this page had. */
  let refusedInPage: readonly QuarantinedLine[] = []
  let draining: Promise<void> | null = null
  let callOffRetry: (() => void) | null = null
  /** Attempts that failed one after the other. */
  let failed = 0

  /** Sends what waits, one tab at a time. After a failure it waits: until then only `atOnce` tries again. */
  function drain(atOnce = false): Promise<void> {
    if (draining) return draining
    if (callOffRetry && !atOnce) return Promise.resolve()
    callOffRetry?.()
    callOffRetry = null
    draining = locks
      .request('ivory-crystal outbox', {}, sendWaiting)
      .then(
        () => {
          failed = 0
          tabs?.tell({ tell: 'settled' })
          return true
        },
        (error: unknown) => {
          callOffRetry = given.later(waitAfter(error), () => {
            callOffRetry = null
            void drain()
          })
          failed += 1
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

  async function sendWaiting(): Promise<void> {
    await verify()
    await given.sendBefore?.()
    await outbox?.drain(async (notebook, groups) => (await api.post(notebook, groups)).answers)
    await sendUnkept()
  }

  /** What this device could not keep is sent straight from the page. */
  async function sendUnkept(): Promise<void> {
    for (let group = unkeptGroups[0]; group; group = unkeptGroups[0]) {
      const byId = new Map(group.map((entry) => [entry.id as string, entry]))
      const notebook = group[0]?.notebook as NotebookId
      const answers = await answersTo([group], async () => (await api.post(notebook, [group])).answers)
      if (answers === 'in parts' || answers.length === 0)
        throw new Error('The server answered for none of the lines sent.')
      for (const answer of answers) {
        const entry = byId.get(answer.id)
        if (entry && 'sentence' in answer)
          refusedInPage = [
            ...refusedInPage,
            { ledger: entry.ledger, id: entry.id, entry, sentence: answer.sentence },
          ]
      }
      unkeptGroups.shift()
      tellUnkept()
    }
  }

  function waitAfter(error: unknown): number {
    const { retryAfterS } = error as { retryAfterS?: number | null }
    if (retryAfterS) return retryAfterS * 1000
    return Math.min(RETRY_MOST_MS, RETRY_FIRST_MS * 2 ** failed) * (0.5 + given.chance() / 2)
  }

  async function allStored(): Promise<void> {
    for (let tries = 0; tries < 2; tries++) {
      await drain(true)
      if (state.unkept.length === 0 && !(await outbox?.waiting())?.length) return
    }
    throw new Unreachable()
  }

  async function countWaiting(): Promise<void> {
    const [waiting, quarantine] = outbox
      ? await Promise.all([outbox.waiting(), outbox.quarantined()])
      : [[], []]
    const count = waiting.length + state.unkept.length
    const refused = [...quarantine, ...refusedInPage]
    if (count !== state.waiting || refused.length > 0 || state.quarantine.length > 0)
      set({ waiting: count, quarantine: refused })
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
          set({ connected: message.connected })
          if (!message.connected) isVerified = false
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
        if (connected)
          return void verify().then(
            () => drain(true),
            () => undefined,
          )
        isVerified = false
        // It may answer and yet not be the one it was: then that is said.
        given.later(RETRY_FIRST_MS, () => void verify().catch(() => undefined))
      },
      line({ seq, entry }) {
        seen = Math.max(seen, seq)
        takeIn([entry])
        if (state.about) void kept?.add(state.about.ledger, notebook, [{ seq, entry }]).catch(() => undefined)
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

  given.whenOnline(() => void drain(true))

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
      set({ lastStruck: target.id })
    },
    allStored,
    async dismissRefused(id) {
      refusedInPage = refusedInPage.filter((line) => line.id !== id)
      await outbox?.dismiss(id)
      await countWaiting()
    },
    hearReading,
    hearBalance,
    hearLines: takeIn,
    async shelfChanged() {
      tabs?.tell({ tell: 'shelf' })
      await readShelf()
    },
  }
}
