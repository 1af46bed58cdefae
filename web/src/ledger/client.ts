import type { EntryId, LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import { type Entry, fold, KINDS, type Line, nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { OtherLedger, Refused, Unreachable } from './api'
import type { Kept, StoredLine } from './kept'
import { readable } from './older'
import type { Outbox } from './outbox'
import { createHearing, type Standing } from './hearing'
import { createSending } from './sending'
import type { Tabs } from './tabs'
import { CLOSED, type LedgerClient, type LedgerState, type Surroundings } from './ledgerClient'

/** A notebook on this device: written at once, kept in the outbox, sent when it can be, heard from others. */
export function createLedgerClient(given: Surroundings): LedgerClient {
  const { api, clock } = given
  let state = CLOSED
  const listeners = new Set<(state: LedgerState) => void>()
  const set = (change: Partial<LedgerState>) => {
    state = { ...state, ...change }
    for (const hear of listeners) hear(state)
  }

  let outbox: Outbox | null = null
  let tabs: Tabs | null = null
  const standing: Standing = { seen: 0, opening: null, isVerified: false }

  async function open(wanted: string | null): Promise<void> {
    set({ status: 'opening', failure: null, readings: {}, balance: null })
    kept ??= (await given.openKept?.().catch(() => null)) ?? null
    try {
      const heardAt = clock.now()
      const shelfAsked = api.shelf()
      shelfAsked.catch(() => undefined)
      const [about, { notebooks }] = await Promise.all([api.about(), api.notebooks()])
      const notebook =
        notebooks.find((row) => row.id === wanted)?.id ?? (wanted === null ? notebooks[0]?.id : undefined)
      // Other tabs are listened to before the lines are asked for: what they tell meanwhile is not missed.
      await openPlaces(about.ledger)
      if (!notebook)
        throw new Refused('This ledger holds no such notebook. The link may be of another data folder.')
      const told = { notebook, entries: [] as RawEntry[] }
      standing.opening = told
      const [{ entries }, shelf] = await Promise.all([api.entries(notebook, 0), shelfAsked])
      const own = await notYetStored(notebook)
      standing.seen = entries.at(-1)?.seq ?? 0
      const stored = entries.map((line) => line.entry)
      await readable([...stored, ...own])
      const view = fold([...stored, ...own])
      standing.opening = null
      standing.isVerified = true
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
      // What other tabs told of meanwhile.
      hearing.takeIn(told.entries)
      await begin(notebook)
      void keepCopy(entries).catch(() => undefined)
    } catch (error) {
      standing.opening = null
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
    hearing.listenToTabs(tabs)
  }

  /** Lines of this device that the server has not, or refused. */
  async function notYetStored(notebook: NotebookId): Promise<readonly RawEntry[]> {
    const waiting = outbox ? await outbox.waiting() : []
    const refused = outbox ? (await outbox.quarantined()).map(({ entry }) => entry) : []
    return [...waiting, ...refused, ...state.unkept].filter((entry) => entry.notebook === notebook)
  }

  async function begin(notebook: NotebookId): Promise<void> {
    await countWaiting()
    hearing.holdStream(notebook)
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
    const whole = [...lines.map((line) => line.entry), ...(await notYetStored(notebook))]
    await readable(whole)
    standing.seen = lines.at(-1)?.seq ?? 0
    const view = fold(whole)
    standing.isVerified = false
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
    const missing = await kept
      .keep({ about, notebooks, notebook, shelf }, lines, clock.now())
      .catch(() => [] as readonly StoredLine[])
    if (missing.length === 0) return
    // What was stored while these were on their way is there by now.
    const since = await api.entries(notebook, lines.at(-1)?.seq ?? 0)
    const arrived = new Set(since.entries.map(({ entry }) => entry.id))
    const gone = missing.filter(({ entry }) => !arrived.has(entry.id))
    if (gone.length === 0 || !outbox) return
    for (const { entry } of gone) await outbox.put([entry])
    takeIn(gone.map(({ entry }) => entry))
    set({ broughtBack: gone.length })
    await countWaiting()
    await drain(true)
  }

  /**
   * Makes sure of who answers before anything is sent: after it was away, the server at this address may be another
   * one, or its ledger may have been put back to an earlier day.
   *
   * @throws Unreachable while it is away
   * @throws OtherLedger when it keeps another ledger
   */
  async function verify(): Promise<void> {
    const { about: before, notebook } = state
    if (standing.isVerified || !before || !notebook) return
    const heardAt = clock.now()
    const about = await api.about()
    if (about.ledger !== before.ledger) {
      set({ isOtherLedger: true })
      throw new OtherLedger()
    }
    if (state.copyOfMs !== null || about.run !== before.run) {
      const { entries } = await api.entries(notebook, 0)
      standing.seen = entries.at(-1)?.seq ?? 0
      const own = await notYetStored(notebook)
      takeIn([...entries.map((line) => line.entry), ...own])
      const [{ notebooks }, shelf] = await Promise.all([api.notebooks(), api.shelf()])
      standing.isVerified = true
      set({ notebooks, shelf })
      void keepCopy(entries).catch(() => undefined)
    }
    standing.isVerified = true
    set({ about, heardAt, copyOfMs: null, isOtherLedger: false })
  }

  const { keep, drain, allStored, countWaiting, dismissRefused } = createSending({
    given,
    getState: () => state,
    set,
    outbox: () => outbox,
    tabs: () => tabs,
    verify,
  })
  const hearing = createHearing({
    given,
    getState: () => state,
    set,
    tabs: () => tabs,
    kept: () => kept,
    standing,
    verify,
    drain,
    countWaiting,
  })
  const { takeIn, readShelf } = hearing

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
    dismissRefused,
    hearReading: hearing.hearReading,
    hearBalance: hearing.hearBalance,
    hearLines: takeIn,
    async shelfChanged() {
      tabs?.tell({ tell: 'shelf' })
      await readShelf()
    },
  }
}
